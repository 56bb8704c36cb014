using CsCheck;
using Ochema.Core.Joints;
using Ochema.Core.Json;
using Ochema.Core.Stock;
using Ochema.Core.Structure;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Joints;

/// <summary>Friction, standing, springs, glue and knots against closed forms.</summary>
public class FrictionTests
{
    [Fact]
    public void TwoHalvesRoundABar() // two contact lines: N = F each
    {
        var (slide, torque) = FrictionGrip.Halves(1000, 0.03, 0.2);
        Near.Share(2 * 0.2 * 1000, slide, 1e-12);
        Near.Share(2 * 0.2 * 1000 * 0.015, torque, 1e-12);
    }

    [Fact]
    public void ABandPressesAllRound() // ∫ T/r over the circumference = 2π·T
    {
        var (slide, torque) = FrictionGrip.Band(500, 0.04, 0.3);
        var steps = 100000;
        var sum = 0.0;
        for (var i = 0; i < steps; i++)
            sum += 0.3 * 500 / 0.02 * (2 * Math.PI * 0.02 / steps);
        Near.Share(sum, slide, 1e-9);
        Near.Share(sum * 0.02, torque, 1e-9);
    }

    [Fact]
    public void AJawsPadsUnderEvenPressure() // disc clutch, even pressure: ⅔·μ·F·r a face (Shigley ch. 16)
    {
        var (_, torque) = FrictionGrip.Jaw(100, 0.012, 0.4);
        Near.Share(2 * 2.0 / 3 * 0.4 * 100 * 0.012, torque, 1e-12);
    }

    [Fact]
    public void EulersCapstan() => Near.Share(Math.Exp(0.3 * 2 * Math.PI), FrictionGrip.Capstan(1, 0.3, 2 * Math.PI), 1e-12);

    [Fact]
    public void GooseneckDroopAndLimit() // Roark table 8.1, cases 1a and 2a
    {
        Near.Share(0.3 * 9.80665 * Math.Pow(0.4, 3) / (3 * 14), Gooseneck.Droop(14, 0.4, 0.3, 0), 1e-9);
        Near.Share(0.28 * 9.80665 * Math.Pow(0.4, 3) / (8 * 14), Gooseneck.Droop(14, 0.4, 0, 0.28), 1e-9);
        Near.Share(1.8 / (9.80665 * 0.3) - 0.1, Gooseneck.LimitMass(1.8, 0.3, 0.2), 1e-9);
        Assert.Equal(0, Gooseneck.LimitMass(0.1, 1, 2));
    }

    private static readonly Vec3[] Square = [new(0.1, 0.1, 0), new(0.1, -0.1, 0), new(-0.1, -0.1, 0), new(-0.1, 0.1, 0)];

    [Theory] // a block of weight W pushed at height h tips at F·h = W·b/2
    [InlineData(1, 0)]
    [InlineData(-1, 0)]
    [InlineData(0, 1)]
    [InlineData(0, -1)]
    public void ABlockTipsOverEachEdge(double x, double y)
    {
        Vec3 push = new(10 * x, 10 * y, 0), weight = new(0, 0, -50);
        var moment = new Vec3(0, 0, 0.5).Cross(push);
        Near.Share(10 * 0.5 / (50 * 0.1), TipOver.Ratio(Square, Vec3.UnitZ, push + weight, moment), 1e-9);
    }

    [Fact]
    public void AWeightOffTheMiddleHelpsOneWay()
    {
        Vec3 push = new(10, 0, 0), weight = new(0, 0, -50);
        double Ratio(double at) => TipOver.Ratio(Square, Vec3.UnitZ, push + weight, new Vec3(0, 0, 0.4).Cross(push) + new Vec3(at, 0, 0)
            .Cross(weight));
        Assert.True(Ratio(-0.05) < Ratio(0) && Ratio(0) < Ratio(0.05));
        Assert.Equal(double.PositiveInfinity, TipOver.Ratio(Square, Vec3.UnitZ, new Vec3(1, 0, 5), new Vec3(0, 1, 0)));
    }

    [Fact]
    public void AnArmsRestBalancesItsMoments() => Gen.Select(Gen.Double[0.2, 0.5], Gen.Double[0.1, 0.25], Gen.Double[0.08, 0.25],
        Gen.Double[400, 4000], Gen.Double[5, 80], Gen.Double[0.5, 8]).Sample(x =>
    {
        var (link, along, above, rate, initial, mass) = x;
        var arm = new ParallelogramArm(link, along, above, rate, 0.12, initial);
        if (arm.Rest(mass) is not { } angle || arm.Tension(angle) <= 0)
            return;
        Near.Share(mass * 9.80665 * link * Math.Cos(angle), arm.Lift(angle), 1e-6);
        // The vertical rate is the slope of the lift less the weight.
        const double h = 1e-5;
        double Net(double a) => arm.Lift(a) - mass * 9.80665 * link * Math.Cos(a);
        var slope = -(Net(angle + h) - Net(angle - h)) / (2 * h) / (link * link);
        Assert.True(Math.Abs(slope - arm.VerticalRate(angle)) < 1e-3 * Math.Max(1, Math.Abs(slope)),
            $"{slope} against {arm.VerticalRate(angle)}");
    }, iter: 300);

    [Fact]
    public void AnArmIsLevelWithItsLevelMass()
    {
        var arm = new ParallelogramArm(0.35, 0.19, 0.127, 960, 0.15, 12);
        Assert.Equal(0, arm.Rest(arm.LevelMass)!.Value, 5e-7);
        Near.Share(arm.Rate, arm.LevelRate(arm.LevelMass), 1e-9);
        // A lighter lens lifts it.
        Assert.True(arm.Rest(arm.LevelMass - 0.2) > 0.02);
        Assert.True(arm.Rest(arm.LevelMass + 0.2) < -0.02);
    }

    [Fact]
    public void HotGlueCarriesNothingAndEpoxyCures()
    {
        var hot = Glues.Find("hot-glue");
        Assert.Equal(0, hot.Share(1e6, 293));
        Assert.Contains("carries nothing", hot.Fault("metal", "metal", Glues.BehindSunlitGlass));
        var epoxy = Glues.Find("epoxy-24h");
        Assert.Equal(0.5, epoxy.Share(12 * 3600, 293), 5e-7);
        Assert.Equal(1, epoxy.Share(48 * 3600, 293), 5e-7);
        Assert.True(epoxy.Share(48 * 3600, 343) <= 0.51);
        Assert.Null(epoxy.Fault("metal", "wood", 293));
        Assert.NotNull(Glues.Find("pvc-cement").Fault("pvc", "metal", 293));
        Assert.Throws<DocumentException>(() => Glues.Find("spit"));
    }

    [Fact]
    public void ElasticIsNotTiedWithRopesKnots()
    {
        Assert.NotNull(Lashing.Fault(Lashing.Knots.First(k => k.Id == "bowline"), true));
        Assert.All(Lashing.Knots, k => Assert.Null(Lashing.Fault(k, false)));
        Assert.All(Lashing.Knots, k => Assert.InRange(k.Keeps, 0.5, 1));
        Near.Share(3 * 2 * Math.PI * 0.3 * 100, Lashing.Slide(3, 100, 0.3), 1e-12);
    }
}
