using Ochema.Core.Analysis;
using Ochema.Core.Assessment;
using Ochema.Core.Hosts;
using Ochema.Core.Kinds.Bases;
using Ochema.Core.Kinds.Reaches;
using Ochema.Core.Loads;
using Ochema.Core.Making;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Structure;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Practice;

/// <summary>The tall pole: columns that bow, a cap that is pressed on, a plug whose middle is found by its corners.</summary>
public sealed class TallPoleTests
{
    private static RigDocument Rig => RigFiles.Named("tall-pole");

    private static SteppedPole Pole => (SteppedPole)Rig.Reach;

    private static AssessmentReport Assess(RigDocument rig) => Assessor.Assess(rig, Catalogue.Shipped);

    private static double Use(RigDocument rig, string check) => Assess(rig).Checks.Single(c => c.Id == check).Use;

    /// <summary>Load at the tip of a stepped column built in at its foot: EI·w″ = −P·w from w′ = 0 to w = 0, by steps (Runge and Kutta), P
    /// by halving.</summary>
    private static double ByShooting((double Length, double Stiffness)[] pieces)
    {
        double Tip(double load)
        {
            var (w, v) = (1.0, 0.0);
            foreach (var (length, stiffness) in pieces)
            {
                var (h, q) = (length / 400, load / stiffness);
                for (var i = 0; i < 400; i++)
                {
                    var (k1, l1) = (v, -q * w);
                    var (k2, l2) = (v + h / 2 * l1, -q * (w + h / 2 * k1));
                    var (k3, l3) = (v + h / 2 * l2, -q * (w + h / 2 * k2));
                    var (k4, l4) = (v + h * l3, -q * (w + h * k3));
                    (w, v) = (w + h / 6 * (k1 + 2 * k2 + 2 * k3 + k4), v + h / 6 * (l1 + 2 * l2 + 2 * l3 + l4));
                    if (w < 0)
                        return w;
                }
            }
            return w;
        }
        var (low, high) = (0.0, 1e6);
        for (var i = 0; i < 100; i++)
            (low, high) = Tip(0.5 * (low + high)) > 0 ? (0.5 * (low + high), high) : (low, 0.5 * (low + high));
        return low;
    }

    [Fact] // π²EI/4L² of a plain cantilever (Euler), exactly; of stepped ones as by another way
    public void AColumnFallsWhereEulerSays()
    {
        Near.Share(Math.PI * Math.PI * 500 / (4 * 3 * 3), SteppedColumn.Critical([(3, 500)]), 1e-9);
        foreach (var pieces in new (double, double)[][] { [(1.2, 1100), (1.2, 600), (1.2, 280)], [(2, 3000), (2, 500)],
            [(1, 900), (1, 800), (1, 700), (1, 600)], [(3, 20000), (1, 100)], [(1, 100), (1, 20000)] })
            Near.Share(ByShooting(pieces), SteppedColumn.Critical(pieces), 1e-5);
    }

    [Fact] // held half way up over a foot that turns: tan x = 2x with x = k·L ÷ 2; held at its tip π²EI/L²; held close to its foot as clamped
    public void AColumnThatHandsHoldFallsWhereItsOverhangSays()
    {
        var x = 1.0;
        for (var i = 0; i < 200; i++)
            x -= (Math.Tan(x) - 2 * x) / (1 / (Math.Cos(x) * Math.Cos(x)) - 2) * (i < 3 ? 0.2 : 1);
        Near.Share(1.16556, x, 1e-5);
        Near.Share(4 * x * x * 700 / 16, SteppedColumn.Critical([(4, 700)], held: 2), 1e-6);
        Near.Share(Math.PI * Math.PI * 700 / 16, SteppedColumn.Critical([(4, 700)], held: 4), 0.01);
        Near.Share(Math.PI * Math.PI * 700 / 64, SteppedColumn.Critical([(4, 700)], held: 0.01), 0.01);
        // A stiff foot piece: what is over the hands is a cantilever of its own.
        Near.Share(Math.PI * Math.PI * 300 / 36, SteppedColumn.Critical([(1, 3e6), (3, 300)], held: 1), 0.01);
        Assert.True(SteppedColumn.Critical([(1.8, 1100), (1.8, 600), (1.8, 280)], 1.1)
            > SteppedColumn.Critical([(1.8, 1100), (1.8, 600), (1.8, 280)]));
    }

    private static RigDocument OnItsButt => RigFiles.Named("pole-on-its-butt");

    private static PoleButt Butt => (PoleButt)OnItsButt.Base;

    [Fact] // the foot turns, so it bends most at the hands; what the ground carries, hands do not
    public void ThePoleTurnsOnItsButtAndBendsAtTheHands()
    {
        var leaning = OnItsButt with { Reach = (SteppedPole)OnItsButt.Reach with { Lean = 0.2 } };
        var model = new RigModel(leaning, Catalogue.Shipped);
        var b = model.Built;
        var f = model.Forces(model.State([]), new("rest", "", new(0, 0, -9.80665), -1, default), 0)!;
        var lowest = b.Pieces.Single(p => p.Label == "lowest tube");
        Span<double> room = stackalloc double[12];
        var bends = new List<(double Z, double M)>();
        for (var i = lowest.First.Value; i < lowest.First.Value + lowest.Count; i++)
        {
            var e = f.Beam(new(i), room);
            bends.Add((b.Model.Nodes.Single(n => n.Id == b.Model.Members[i].From).Z, Math.Sqrt(e[4] * e[4] + e[5] * e[5])));
        }
        Assert.Equal(Butt.Up * Math.Cos(0.2), bends.MaxBy(m => m.M).Z, 5e-7);
        Assert.True(bends[0].M < 0.1 * bends.Max(m => m.M), $"{bends[0].M} of {bends.Max(m => m.M)}");
        // Σ moments about the butt: what hands push with over their lever, but for what the foot and the wrists turn.
        var (hands, butt) = (b.Holds.Single(h => h.Id.Name == "hands"), b.Holds.Single(h => h.Id.Name == "base-hold"));
        var over = b.Mass * 9.80665 - f.Spring(butt.Spring).Force.Z - f.Spring(hands.Spring).Force.Z;
        Assert.InRange(over, -0.5, 0.5);
        Assert.True(f.Spring(butt.Spring).Force.Z > f.Spring(hands.Spring).Force.Z, "the ground carries more than the hands");
    }

    [Fact]
    public void BootsAndABoardKeepTheButtWhereItIs()
    {
        var rig = OnItsButt with { Reach = (SteppedPole)OnItsButt.Reach with { Lean = 0.2 } };
        double Of(PoleButt butt, string check, Site? site = null) => Use(rig with { Base = butt, Site = site ?? rig.Site }, check);
        Assert.True(Of(Butt with { Boots = Answer.No }, "base-hold.slide") > 2 * Of(Butt, "base-hold.slide"));
        var sand = rig.Site with { Bears = 3e4 };
        // Softer ground: as much more, but for what hands take over as it sinks.
        Assert.InRange(Of(Butt, "base-hold.bears", sand) / Of(Butt, "base-hold.bears"), 2.2, 1 / 0.3);
        Assert.True(Of(Butt with { Foot = 0.2 }, "base-hold.bears", sand) < 0.2 * Of(Butt, "base-hold.bears", sand));
        Assert.True(Of(Butt, "hands.hand") < Use(rig with { Host = Rig.Host, Site = Rig.Site, Base = Rig.Base }, "base-hold.hand"),
            "free hands carry more");
        var report = Assess(OnItsButt);
        Assert.Equal(Verdict.LetsGo, report.LetGo.Single(l => l.Id == "hands").Verdict);
        Assert.Contains(Assess(rig with { Reach = (SteppedPole)rig.Reach with { Length = 1 } }).Findings,
            f => f.Blocks && f.Text.Contains("higher up than the pole", StringComparison.Ordinal));
        Assert.Contains(Assess(rig with { Reach = new NoReach() }).Findings, f => f.Blocks
            && f.Text.Contains("Hands hold a pole", StringComparison.Ordinal));
    }

    [Fact] // arms tire: wind and weight for minutes, a stumble for a moment
    public void HandsHoldLessForMinutes()
    {
        var windy = Assess(Rig with { Run = Rig.Run with { Speed = 11, Gust = 0 } }).Checks.Single(c => c.Id == "base-hold.hand");
        Assert.Contains(windy.Working!.Terms, t => t.Symbol == "F0" && t.Source.Contains("30–70", StringComparison.Ordinal));
        Assert.InRange(windy.LimitSpeed ?? 99, 9, 14);
    }

    [Fact] // a line to the foot of a pole is taut once what it keeps lies on the ground
    public void ALineToTheFootOfAPoleKeepsNothing()
    {
        RigDocument Tied(string end) => Rig with { Tethers = [Rig.Tethers[0] with { To = new(end, 0) }, .. Rig.Tethers.Skip(1)] };
        var (foot, top) = (Assess(Tied(AnchorEnd.OnRig)), Assess(Tied(AnchorEnd.OnReach)));
        Assert.Contains(foot.Findings, f => f.Text.Contains("on the ground before it is taut", StringComparison.Ordinal));
        Assert.Equal(1, foot.Retentions.First(r => r.Station.Is("camera")).Has);
        Assert.Equal(2, top.Retentions.First(r => r.Station.Is("camera")).Has);
        Assert.Equal(1, top.Retentions.First(r => r.Station.Is("reach")).Has);
        Assert.Equal(Verdict.LetsGo, foot.LetGo.Single(l => l.Title == "Without the pole's cap").Verdict);
        Assert.NotEqual(Verdict.LetsGo, top.LetGo.Single(l => l.Title == "Without the pole's cap").Verdict);
        // Proposed, where none is there: to the pole, close to its end.
        var proposed = TetherPlan.For(Kinds.RigAssembly.Build(Rig with { Tethers = [] }, Catalogue.Shipped), RigPath.First.Camera, Rig.Run.Speed);
        Assert.Equal(AnchorEnd.OnReach, proposed?.Tether.To.Anchor);
        // The same over water falls in and is pulled up again.
        Assert.DoesNotContain(Assess(RigFiles.Named("gear-rail-boom")).Findings, f =>
            f.Text.Contains("before it is taut", StringComparison.Ordinal));
    }

    [Fact] // carbon has a factor of its own: on an aluminium tube it is not judged as one
    public void EachTubeBowsByItsOwnFactor()
    {
        var pole = (TelescopingPole)RigFiles.Named("hand-pole").Reach;
        var report = Assess(RigFiles.Named("hand-pole") with
        {
            Reach = pole with
            {
                Length = 4,
                Lower = "tube-al-40x2",
                Upper = "carbon-20x1-5",
                Lean = 1
            }
        });
        var bows = report.Checks.Single(c => c.Id == "pole-low.grows");
        double T(string symbol) => bows.Working!.Terms.Single(t => t.Symbol == symbol).Value;
        Assert.Contains("pper tube", bows.Working!.Terms.Single(t => t.Symbol == "σ").Name, StringComparison.Ordinal);
        Assert.Equal(FactorTable.For(Consequence.OwnGround, new Dictionary<string, double>())[FactorTable.Composite], T("k"));
        Near.Share(T("k") * T("σ") / (1 - T("P") / T("Pc")) / T("Y"), bows.Use, 1e-9);
    }

    [Fact] // upright, a lock that opens lets it slide in; leant far out, it slides off
    public void AnUprightPolesLocksOnlySlideIn()
    {
        int Locks(double lean) => Assess(Rig with { Reach = Pole with { Lean = lean } }).LetGo.Count(l =>
            l.Title.EndsWith("lock", StringComparison.Ordinal));
        Assert.Equal(0, Locks(0.2));
        Assert.Equal(2, Locks(1.4));
        // Running throws it up by more than its weight.
        Assert.Equal(2, Assess(Rig with { Run = Rig.Run with { Road = Going.Rough } }).LetGo.Count(l =>
            l.Title.EndsWith("lock", StringComparison.Ordinal)));
    }

    [Fact] // twice as long, an eighth and more of what carries it: it bows before it breaks
    public void ALongerPoleBowsMore()
    {
        var short_ = Rig with { Reach = Pole with { Length = 2, Lean = 0.3 } };
        var long_ = Rig with { Reach = Pole with { Length = 7.3, Lean = 0.3 } };
        // Growth is what the bowing check says beyond plain bending.
        double Growth(RigDocument rig) => Use(rig, "pole-1.grows") / Use(rig, "pole-1.strength");
        Assert.InRange(Growth(short_), 1.0, 1.06);
        Assert.True(Growth(long_) > Growth(short_) + 0.1, $"{Growth(short_)} and {Growth(long_)}");
        Assert.True(Assess(long_).Frequencies[0] < 0.5 * Assess(short_).Frequencies[0]);
    }

    [Fact]
    public void EachTubeSlidesIntoTheOneBelow()
    {
        var pieces = Kinds.RigAssembly.Build(Rig, Catalogue.Shipped).Parts.Where(p => p.Cut is not null && p.Station.Is("reach")).ToList();
        var rows = pieces.Select(p => Catalogue.Shipped.Find<SectionRow>("sections", p.Row!)).ToList();
        Assert.Equal(3, rows.Count);
        for (var i = 1; i < rows.Count; i++)
            Assert.InRange(rows[i - 1].Width - 2 * rows[i - 1].Wall - rows[i].Width, -0.0001, 0.002);
        // What shows adds up to the draw-out; the upper ones reach down by their overlap.
        Assert.Equal(Pole.Length + 2 * Pole.Overlap, pieces.Sum(p => p.Cut!.Length), 1e-9);
        Assert.Contains(Assess(Rig with { Reach = Pole with { Tubes = 4, Lowest = "tube-al-20x2" } }).Findings,
            f => f.Blocks && f.Text.Contains("Nothing on the shelf slides", StringComparison.Ordinal));
        Assert.Contains(Assess(Rig with { Reach = Pole with { Overlap = 0.05 } }).Findings, f =>
            f.Text.Contains("three diameters", StringComparison.Ordinal));
    }

    [Fact] // hung head down the weight draws at the cap: tape alone holds a light camera, screws more
    public void SetScrewsHoldTheCapThatTapeAloneLetsGo()
    {
        var hung = Rig with { Reach = Pole with { Lean = 1.5 } };
        var tape = Use(hung with { Reach = (SteppedPole)hung.Reach with { SetScrews = 0 } }, "cap.off");
        var screws = Use(hung, "cap.off");
        Assert.True(tape > 3 * screws && screws > 0, $"{tape} and {screws}");
        Near.Share(tape / 2, Use(hung with { Reach = (SteppedPole)hung.Reach with { SetScrews = 0, PullsOff = 120 } }, "cap.off"), 1e-6);
        Assert.Contains(Assess(Rig with { Reach = Pole with { Cap = "pvc-1" } }).Findings,
            f => f.Blocks && f.Text.Contains("hangs loose", StringComparison.Ordinal));
        Assert.Contains(Assess(Rig with { Reach = Pole with { Tubes = 2 } }).Findings,
            f => f.Blocks && f.Text.Contains("does not go over", StringComparison.Ordinal));
    }

    [Fact] // turned upside down by a field of one g upwards, head and cap hang on tape and screws; pressed on, they do not
    public void WhatLiftsTheCapDrawsItOff()
    {
        var model = new RigModel(Rig, Catalogue.Shipped);
        var check = model.Built.Checks.Single(c => c.Id == "cap.off");
        double Under(double g) => check.Use(model.Forces(model.State([]), new("field", "", new(0, 0, g), -1, default), 0)!);
        Assert.Equal(0, Under(-9.80665), 5e-7);
        // Cap, frame, camera and what is screwed between them; two set screws of 0.3 N·m at K = 0.2 on 60 N of tape.
        var hung = model.Built.MassFrom(RigPath.First.Head);
        var holds = 60 + 2 * 0.15 * 2 * 0.3 / (0.2 * 0.004826);
        Assert.InRange(Under(9.80665), 2 * 9.80665 * hung / holds, 2 * 9.80665 * (hung + 0.12) / holds);
    }

    [Fact] // corner to corner of a regular octagon: across flats ÷ cos 22.5°, all four through the middle
    public void TheMiddleOfAnOctagonIsWhereItsCornersCross()
    {
        var plan = Maker.Of(Rig, Catalogue.Shipped);
        var face = Assert.Single(plan.Wraps, t => t.Name.StartsWith("Face of the plug", StringComparison.Ordinal));
        Assert.Equal(PipeCap.All.Single(c => c.Pipe == PipeSize.Half).Across, face.Length, 1e-12);
        var diagonals = face.Lines.Where(l => l.Label == "corner to corner").Select(l => l.Points).ToList();
        Assert.Equal(4, diagonals.Count);
        foreach (var d in diagonals)
        {
            Assert.Equal(face.Length / Math.Cos(Math.PI / 8), Math.Sqrt(Math.Pow(d[1][0] - d[0][0], 2) + Math.Pow(d[1][1] - d[0][1], 2)),
                9);
            Assert.Equal(face.Length / 2, (d[0][0] + d[1][0]) / 2, 1e-9);
            Assert.Equal(face.Length / 2, (d[0][1] + d[1][1]) / 2, 1e-9);
        }
        var hole = Assert.Single(face.Holes);
        Assert.Equal(0.006747, hole.Diameter, 5e-5);
        // Counterbored, and bolted before it is cemented.
        Assert.Contains(plan.Holes, h => h.Layer == PipeCap.Face && h.Recess > 0);
        int At(string title) => plan.Steps.ToList().FindIndex(s => s.Title.StartsWith(title, StringComparison.Ordinal));
        Assert.True(At("Drill the cap") < At("Bolt through, plug") && At("Bolt of the cap") < 0);
        Assert.Equal(["cap-bolt"], plan.Steps[At("Bolt through, plug")].Joints);
        // The tap drill of the set screws is that of their thread: No. 25 for 10-24 (ASME B1.1 tables).
        Assert.Contains(plan.Holes, h => h.Joint == "cap-set-screws" && Math.Abs(h.Diameter - 0.0038) < 0.0001);
    }
}
