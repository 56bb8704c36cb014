using Ochema.Core.Analysis;
using Ochema.Core.Assessment;
using Ochema.Core.Kinds.Bases;
using Ochema.Core.Search;
using Ochema.Core.Sharpness;
using Ochema.Core.Stock;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Assessment;

/// <summary>What a report says in one place follows from what it says in another.</summary>
public class ReportAgreesTests
{
    private static AssessmentReport Assess(string name) => Assessor.Assess(RigFiles.Named(name), Catalogue.Shipped);

    [Theory]
    [MemberData(nameof(RigFiles.Names), MemberType = typeof(RigFiles))]
    public void TotalsAreTheSumsOfTheirLines(string name)
    {
        var r = Assess(name);
        Near.Share(r.Parts.Sum(p => p.Price * p.Quantity), r.Cost, 1e-9);
        Near.Share(r.Parts.Sum(p => p.Mass * p.Quantity), r.Mass, 1e-9);
    }

    [Theory]
    [MemberData(nameof(RigFiles.Names), MemberType = typeof(RigFiles))]
    public void WindAndWaterComeFromAhead(string name)
    {
        var rig = RigFiles.Named(name);
        var model = new RigModel(rig, Catalogue.Shipped);
        var state = model.State([]);
        foreach (var c in model.Built.Host.Motion.Cases(rig.Run.Road).Where(c => c.Wind >= 0 && Math.Abs(Ochema.Core.Loads.MotionProfile.Yaw[c.Wind]) < 1))
            foreach (var arrow in FigureBuilder.Arrows(model, model.Forces(state, c, rig.Run.Speed)!).Where(a => a.Label is "wind" or "water"))
                Assert.True(arrow.Force[0] < 0, $"{c.Id}: {arrow.Label} {string.Join(", ", arrow.Force)}");
    }

    [Fact] // a wave over the bow adds to what the wind does there
    public void AWaveIsMoreThanTheWind()
    {
        var rig = RigFiles.Named("gear-rail-boom");
        var model = new RigModel(rig, Catalogue.Shipped);
        var state = model.State([]);
        double Force(Func<Ochema.Core.Loads.RigCase, bool> which) => model.Built.Host.Motion.Cases(rig.Run.Road).Where(which)
            .SelectMany(c => FigureBuilder.Arrows(model, model.Forces(state, c, rig.Run.Speed)!)).Where(a => a.Label is "wind" or "water")
            .Select(a => Math.Sqrt(a.Force.Sum(v => v * v))).DefaultIfEmpty(0).Max();
        Assert.True(Force(c => c.Dunk) > 3 * Force(c => !c.Dunk));
    }

    [Theory]
    [MemberData(nameof(RigFiles.Names), MemberType = typeof(RigFiles))]
    public void AModeIsNamedByWhereItGoesMost(string name)
    {
        foreach (var m in new RigModel(RigFiles.Named(name), Catalogue.Shipped) is var model ? model.Modes : [])
        {
            var said = ModeNames.Of(model, m);
            double[] move = [Math.Abs(m.Move.X), Math.Abs(m.Move.Y), Math.Abs(m.Move.Z)];
            var most = Array.IndexOf(move, move.Max());
            if (said.Contains("sideways", StringComparison.Ordinal))
                Assert.Equal(1, most);
            else if (said.Contains("fore and aft", StringComparison.Ordinal))
                Assert.Equal(0, most);
            else if (said.Contains("up and down", StringComparison.Ordinal))
                Assert.Equal(2, most);
        }
    }

    [Theory] // random vibration, mode by mode: stress² = Σ (modal stress)²·∫|H|²·S df, with the integral done here
    [InlineData("hand-pole")]
    [InlineData("6-lane-boom")]
    public void AMembersStressIsThatOfItsModes(string name)
    {
        var model = new RigModel(RigFiles.Named(name), Catalogue.Shipped);
        var d = model.Dynamics!;
        double Square(RigMode m, int n)
        {
            var sum = 0.0;
            foreach (var e in d.Excitations.Random)
                for (var i = 1; i < d.Frequencies.Length; i++)
                {
                    double At(int k) => Math.Pow(m.Transfer(2 * Math.PI * d.Frequencies[k]).Magnitude, 2) * e.Spectrum[k];
                    sum += e.Forces[n] * e.Forces[n] * 0.5 * (At(i) + At(i - 1)) * (d.Frequencies[i] - d.Frequencies[i - 1]);
                }
            return sum + d.Excitations.Steady.Sum(e =>
                0.5 * Math.Pow(m.Transfer(2 * Math.PI * e.Shake.Frequency).Magnitude, 2) * e.Forces.Sum(f => f[n] * f[n]));
        }
        var worst = MemberLives.Of(model).MaxBy(l => l.Stress)!;
        Near.Share(model.Built.Pieces.Where(p => p.Label == worst.Label && p.Station.Is(worst.Station)).Max(Stress), worst.Stress, 0.1,
            name);

        double Stress(Ochema.Core.Rigs.BeamPiece piece)
        {
            var e = new double[12];
            var total = 0.0;
            for (var n = 0; n < model.Modes.Count; n++)
            {
                var most = 0.0;
                for (var i = piece.First.Value; i < piece.First.Value + piece.Count; i++)
                {
                    model.System.BeamForces(model.Modes[n].Shape, i, e);
                    most = Math.Max(most, new[] { 0, 6 }.Max(end => Math.Abs(e[end + 4]) / piece.Section.ModulusY
                        + Math.Abs(e[end + 5]) / piece.Section.ModulusZ));
                }
                total += most * most * Square(model.Modes[n], n);
            }
            // A peak between two frequencies is met only so well by straight lines.
            return Math.Sqrt(total);
        }
    }

    [Fact]
    public void AWiderPlateIsAThirdWider()
    {
        var offered = new[] { 0.1, 0.2, 0.3, 0.5 }.SelectMany(h => new[] { 1.5, 3.0 }, (h, m) =>
            RigFiles.Plate(new Ochema.Core.Kinds.Holds.Cup(), m, h))
            .Select(rig => (Own: (HoldPlate)rig.Base, Change: Adviser.Best(rig, Catalogue.Shipped).SingleOrDefault(c => c.Id == "spread")))
            .Where(x => x.Change is not null).ToList();
        Assert.NotEmpty(offered);
        foreach (var (own, change) in offered)
            Assert.Equal((own.Length * 4 / 3, own.Width * 4 / 3), (((HoldPlate)change!.Document.Base).Length,
                ((HoldPlate)change.Document.Base).Width));
    }
}
