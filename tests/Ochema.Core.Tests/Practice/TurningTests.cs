using Ochema.Core.Analysis;
using Ochema.Core.Assessment;
using Ochema.Core.Hosts;
using Ochema.Core.Loads;
using Ochema.Core.Responses;
using Ochema.Core.Stock;
using Ochema.Core.Structure;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Practice;

/// <summary>Hosts that turn with the rig on them: ω²·r on every piece, by its own distance from the axis.</summary>
public sealed class TurningTests
{
    private static readonly Catalogue Stock = Catalogue.Shipped;

    public static TheoryData<string> Names => ["roundabout", "swing", "fan", "wheel"];

    [Theory] // common practice: 0.5 m at 60 turns a minute 2 g, at 200 turns 22 g
    [InlineData(60, 2.0)]
    [InlineData(200, 22.4)]
    public void TurningPullsByTheSquare(double rpm, double g)
    {
        var spin = new Spin(Vec3.UnitZ, Vec3.Zero, 0.5);
        var speed = rpm * Math.PI / 30 * 0.5;
        Near.Share(rpm, spin.Rpm(speed), 1e-9);
        Near.Share(g, Math.Pow(spin.Rate(speed), 2) * spin.Outward(new(0.3, -0.4, 7)).Length / 9.80665, 0.01);
    }

    [Theory]
    [MemberData(nameof(Names))]
    public void WhatHoldsItCarriesEveryPieceByItsOwnDistance(string name)
    {
        var rig = RigFiles.Named(name);
        var model = new RigModel(rig, Stock);
        var b = model.Built;
        var spin = b.Host.Motion.Turning!;
        var (mass, centre) = b.MassOf(_ => true);
        var hold = b.Holds.Single(h => h.Station == StationId.Base);
        foreach (var speed in new[] { 1.0, 3.0 })
        {
            // Turning alone: no weight, no wind.
            var f = model.Forces(model.State([]), new RigCase("turn", "", Vec3.Zero, -1, Vec3.Zero, Spins: true), speed)!;
            var (force, moment) = f.Spring(hold.Spring);
            var pull = spin.Rate(speed) * spin.Rate(speed) * mass * spin.Outward(centre);
            Assert.True((force + pull).Length < 1e-6 * pull.Length, $"{force} against {pull}");
            Near.Share(Math.Pow(spin.Rate(speed), 2) * spin.Outward(b.Position(b.Camera.Node)).Length, f.Field.Length, 1e-9);
            // Nothing of it at rest.
            Assert.True(model.Forces(model.State([]), new RigCase("still", "", Vec3.Zero, -1, Vec3.Zero),
                speed)!.Spring(hold.Spring).Force.Length < 1e-9);
            Assert.True(double.IsFinite(moment.Length));
        }
    }

    [Fact]
    public void TheWheelHangsItFromEverySideAndStopsWithoutTurning()
    {
        var cases = HostLibrary.Find("turning-wheel")!.Motion.Cases(Going.Average);
        Assert.Contains(cases, c => c.Id == "turn-under" && c.Field.Z > 9 && c.Spins);
        Assert.Equal(2, cases.Count(c => c.Id is "turn-down" or "turn-up" && Math.Abs(c.Field.X) > 9));
        Assert.DoesNotContain(cases, c => c.Spins && (c.AtRest || c.Id == "brake"));
        // A roundabout stays upright, and what does not turn has none of it.
        Assert.DoesNotContain(HostLibrary.Find("roundabout")!.Motion.Cases(Going.Average), c =>
            c.Id.StartsWith("turn-", StringComparison.Ordinal));
        Assert.DoesNotContain(HostLibrary.Find("estate")!.Motion.Cases(Going.Average), c => c.Spins);
    }

    [Fact]
    public void FasterThanItsJawHoldsItFlies()
    {
        var fan = RigFiles.Named("fan");
        // Whether anybody is where it flies has to be answered first.
        Assert.Equal(Why.Unanswered, Assessor.Assess(fan, Stock).Verdict.Why);
        fan = fan with { Survey = fan.Survey with { NobodyBelow = Answer.Yes } };
        var slow = Assessor.Assess(fan, Stock);
        Assert.Equal(Verdict.Holds, slow.Verdict.Word);
        var spin = HostLibrary.Find("ceiling-fan")!.Motion.Turning!;
        Assert.InRange(spin.Rpm(slow.Verdict.LimitSpeed!.Value), 35, 60);
        var fast = Assessor.Assess(fan with { Run = fan.Run with { Speed = 200 * Math.PI / 30 * 0.5 } }, Stock);
        Assert.Equal(Verdict.LetsGo, fast.Verdict.Word);
        Assert.Contains(fast.Findings, x => x.Text.Contains("200 turns a minute", StringComparison.Ordinal));
        Assert.Contains(slow.Findings, x => x.Text.Contains("out of balance", StringComparison.Ordinal));
        Assert.DoesNotContain(Assessor.Assess(RigFiles.Named("swing"), Stock).Findings, x =>
            x.Text.Contains("out of balance", StringComparison.Ordinal));
        // What comes off flies on: the tether sees more of it, the faster it turns.
        double Catches(double speed) => Assessor.Assess(fan with { Run = fan.Run with { Speed = speed } }, Stock).Checks.Single(c =>
            c.Id == "tether.catch").Use;
        Assert.True(Catches(6) > 2 * Catches(1.6));
    }

    [Fact] // a second camera is pulled by its own distance
    public void WhatIsFartherOutIsPulledHarder()
    {
        var model = new RigModel(RigFiles.Named("roundabout"), Stock);
        var b = model.Built;
        var f = model.Forces(model.State([]), new RigCase("turn", "", Vec3.Zero, -1, Vec3.Zero, Spins: true), 2)!;
        var at = b.Position(b.Camera.Node) - 0.3 * Vec3.UnitY;
        var rate = b.Host.Motion.Turning!.Rate(2);
        Near.Share(0.3 * rate * rate, Ochema.Core.Rigs.Flung.Beyond(b, f, at).Length, 1e-9);
        Assert.Equal(Vec3.Zero, Ochema.Core.Rigs.Flung.Beyond(b, model.Forces(model.State([]),
            new RigCase("still", "", Vec3.Zero, -1, Vec3.Zero), 2)!, at));
    }
}
