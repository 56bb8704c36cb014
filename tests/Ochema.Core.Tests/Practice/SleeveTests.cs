using Ochema.Core.Analysis;
using Ochema.Core.Assessment;
using Ochema.Core.Hosts;
using Ochema.Core.Joints;
using Ochema.Core.Kinds.Bases;
using Ochema.Core.Kinds.Reaches;
using Ochema.Core.Making;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Practice;

/// <summary>The low arm on a lowering pole: a slit pipe that closes, cement that joins its own, water that drags.</summary>
public sealed class SleeveTests
{
    private static RigDocument Rig => RigFiles.Named("low-arm");

    private static SlitSleeve Sleeve => (SlitSleeve)Rig.Base;

    private static AssessmentReport Assess(RigDocument rig) => Assessor.Assess(rig, Catalogue.Shipped);

    private static double Use(RigDocument rig, string check) => Assess(rig).Checks.Single(c => c.Id == check).Use;

    [Fact] // a round that closes from one bore to a smaller one loses π times the difference
    public void TheSlitMustBeAsWideAsWhatItCloses()
    {
        var row = Catalogue.Shipped.Find<SectionRow>("sections", "pvc-1");
        var closes = Math.PI * (row.Width - 2 * row.Wall - 0.002 - Rig.Site.Diameter!.Value);
        string? Refused(SlitSleeve sleeve) => Assess(Rig with { Base = sleeve }).Findings.FirstOrDefault(f => f.Blocks && f.Station.Is("base"))
            ?.Text;
        Assert.Contains("closed before the sleeve grips", Refused(Sleeve with { Slit = closes - 0.0005 }));
        Assert.Null(Refused(Sleeve with { Slit = closes + 0.0005 }));
        // Nominal sizes are names: half-inch pipe does not go over a pole of 22 mm.
        Assert.Contains("does not go over the pole", Refused(Sleeve with { Pipe = "pvc-1-2" }));
    }

    [Fact]
    public void BandsGripAndRubberGripsMore()
    {
        Near.Share(1.5 * Use(Rig with { Base = Sleeve with { Bands = 3 } }, "base-hold.turn"), Use(Rig, "base-hold.turn"), 0.15);
        Assert.True(Use(Rig with { Base = Sleeve with { Lining = ClampLining.Bare, Slit = 0.02 } }, "base-hold.turn") > 2
            * Use(Rig, "base-hold.turn"));
        // Slide 2πμT of each band (FrictionGrip, checked beside its source).
        var (slide, torque) = FrictionGrip.Band(400, Rig.Site.Diameter!.Value, 0.3);
        var terms = Assess(Rig).Checks.Single(c => c.Id == "base-hold.turn").Working!.Terms.ToDictionary(t => t.Symbol, t => t.Value);
        Assert.Equal((2 * slide, 2 * torque), (terms["Sc"], terms["Mc"]));
    }

    [Fact] // the water's pull grows with the square of what passes, drift and the wave's own, and with the lever that it has
    public void WhatHangsInTheWaterIsDraggedAlong()
    {
        double Dragged(double drift, RigDocument rig)
        {
            var model = new RigModel(rig, Catalogue.Shipped);
            var dunk = rig.Run.Road is var going ? model.Built.Host.Motion.Cases(going).Single(c => c.Dunk) : null!;
            var (still, moving) = (model.Forces(model.State([]), dunk, 0)!, model.Forces(model.State([]), dunk, drift)!);
            var spring = model.Built.Holds[0].Spring;
            return (moving.Spring(spring).Force - still.Spring(spring).Force).Length;
        }
        var u = HostLibrary.Find(Rig.Host)!.Motion.Wave(Rig.Run.Road, ((SlitSleeve)Rig.Base).Deep).Speed(0);
        double More(double drift, double own) => (drift + own) * (drift + own) - own * own;
        Assert.InRange(Dragged(1.2, Rig) / Dragged(0.6, Rig), More(1.2, u) / More(0.6, u), 4);
        // A cylinder across the stream, Cd 1.2 (Hoerner), three times and a half as hard where a wave slams: within the camera's and clip's
        // share.
        Assert.InRange(Dragged(1, Rig) / More(1, u), 0.5 * 1000 * 0.034 * 0.3 * 1.0 * 0.5, 0.5 * 1000 * 0.034 * 0.45 * 1.2 * 3.5);
        Assert.True(Assess(Rig with { Reach = (PipeArm)Rig.Reach with { Out = 0.4 } }).Verdict.LimitSpeed < Assess(Rig).Verdict.LimitSpeed);
        // The limit is one and the same, whatever speed is asked about: far below it as well.
        Near.Share(Assess(Rig).Verdict.LimitSpeed!.Value, Assess(Rig with { Run = Rig.Run with { Speed = 0.1 } }).Verdict.LimitSpeed!.Value,
            1e-3);
    }

    [Fact]
    public void PipeIsCementedToItsOwnAndPluggedToAllElse()
    {
        var report = Assess(Rig);
        Assert.Contains(report.Joins, j => j.Sort == JoinSort.Cemented
            && j.Says.Contains("cemented into a coupler", StringComparison.Ordinal));
        Assert.Contains(report.Parts, p => p.Row == "pvc-coupler");
        Assert.Contains(report.Checks, c => c.Id == "reach-screw.cement");
        var other = Assess(Rig with { Reach = (PipeArm)Rig.Reach with { Pipe = "pvc-3-4" } });
        Assert.DoesNotContain(other.Joins, j => j.Sort == JoinSort.Cemented);
        Assert.Contains(other.Parts, p => p.Row == "end-plug");
    }

    [Fact] // on paper round the pipe: two lines the slit's width apart, from the free end to where it stops
    public void TheSlitIsMarkedByAStrip()
    {
        var plan = Maker.Of(Rig, Catalogue.Shipped);
        var strip = Assert.Single(plan.Wraps, t => t.Name.StartsWith("Strip for the slit", StringComparison.Ordinal));
        var pipe = Catalogue.Shipped.Find<SectionRow>("sections", "pvc-1");
        Assert.Equal(Math.PI * pipe.Width, strip.Length, 1e-9);
        var saw = strip.Lines.Where(l => l.Label.StartsWith("saw", StringComparison.Ordinal)).Select(l => l.Points).ToList();
        Assert.Equal(Sleeve.Slit, Math.Abs(saw[0][0][0] - saw[1][0][0]), 1e-9);
        Assert.All(saw, s => Assert.Equal(Sleeve.Length, Math.Abs(s[0][1] - s[1][1]), 9));
        // Its piece is the sleeve and the neck that goes into the coupler.
        var cut = Kinds.RigAssembly.Build(Rig, Catalogue.Shipped).Parts.Single(p =>
            p.Name.StartsWith("Sleeve", StringComparison.Ordinal)).Cut!;
        Assert.True(cut.Length > Sleeve.Length + PipeCap.All.Single(c => c.Pipe == PipeSize.One).Socket);
        Assert.Equal(cut.Length, strip.Width, 1e-9);
    }
}
