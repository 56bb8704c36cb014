using Ochema.Core.Analysis;
using Ochema.Core.Loads;
using Ochema.Core.Stock;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Loads;

/// <summary>The water of a wave moves by itself: linear theory (Dean and Dalrymple, Water Wave Mechanics, ch. 3 and 4).</summary>
public sealed class WaveTests
{
    [Theory]
    [InlineData(0.3)]
    [InlineData(1.3)]
    public void DeepWaterMovesAtPiHOverTAndLessBelow(double amplitude)
    {
        var wave = new Wave(amplitude);
        // L = g·T²/2π, u = π·H/T, and e^(k·z) of it below; over still water as at its level.
        Near.Share(MotionProfile.Gravity * wave.Period * wave.Period / (2 * Math.PI), wave.Length, 1e-9);
        Near.Share(Math.PI * 2 * amplitude / wave.Period, wave.Speed(0), 1e-9);
        Assert.Equal(wave.Speed(0), wave.Speed(amplitude));
        Near.Share(Math.Exp(-2 * Math.PI), wave.Speed(-wave.Length) / wave.Speed(0), 1e-6);
        Near.Share(Math.Exp(-Math.PI), wave.Speed(-wave.Length / 2) / wave.Speed(0), 1e-9);
    }

    [Fact] // the shallow limit: u = a·√(g ÷ d), the same down to the bottom
    public void ShallowWaterMovesMoreAndAllTheWayDown()
    {
        var wave = new Wave(0.01, 0.004);
        Near.Share(0.01 * Math.Sqrt(MotionProfile.Gravity / 0.004), wave.Speed(0), 0.01);
        Near.Share(wave.Speed(0), wave.Speed(-0.004), 0.01);
        Assert.True(new Wave(0.3, 1.5).Speed(-0.5) > new Wave(0.3).Speed(-0.5));
        // Deep enough is deep: no step where the formulas part.
        Near.Share(new Wave(0.3).Speed(-0.5), new Wave(0.3, 0.99 * 6 / new Wave(0.3).Number).Speed(-0.5), 1e-4);
    }

    [Fact]
    public void CalmIsCalm() => Assert.Equal(0, new Wave(0).Speed(-1));

    [Theory] // at anchor it is all there is; going, the pressure is that of both speeds together
    [InlineData(0)]
    [InlineData(1.2)]
    [InlineData(3)]
    public void ThePressureOnWhatLiesInWaterIsThatOfBothSpeedsTogether(double speed)
    {
        var rig = RigFiles.Named("low-arm");
        var model = new RigModel(rig, Catalogue.Shipped);
        var wave = model.Built.Host.Motion.Wave(rig.Run.Road, rig.Base.WaterDepth);
        var cruise = model.Cases.First(c => c is { Wind: 0, AtRest: false, Dunk: false, Jolt: 0 });
        var doc = model.Document(cruise with { Wind = -1 }, speed, "c", []);
        var under = model.Built.Carrying.Where(m => model.Built.Position(m.From).Z < 0 && model.Built.Position(m.To).Z < 0).ToList();
        Assert.NotEmpty(under);
        foreach (var (beam, section, from, to) in under)
        {
            var (a, b) = (model.Built.Position(from), model.Built.Position(to));
            var axis = (b - a).Normalized();
            var forward = doc.MemberLoads.Where(l => l.Member == model.System.Beams[beam.Value].Member.Id).Sum(l => l.W[0]);
            if (Math.Abs(axis.X) > 1e-6)
                continue;
            // By hand in many slices.
            const int slices = 200;
            var mean = Enumerable.Range(0, slices).Average(i => Math.Pow(speed + wave.Speed(a.Z + (i + 0.5) / slices * (b.Z - a.Z)), 2));
            Near.Share(-0.5 * 1000 * mean * section.DragWidth * 1.2, forward, 0.01);
        }
    }

    [Fact] // mass it is, weight it is not: what hangs in water weighs what it weighs, less what it displaces
    public void WaterThatIsCarriedAlongWeighsNothing()
    {
        var rig = RigFiles.Named("low-arm");
        var model = new RigModel(rig, Catalogue.Shipped);
        var knock = model.Cases.First(c => c.AtRest);
        var doc = model.Document(knock with { Knock = default }, 0, "c", []);
        foreach (var (beam, section, from, to) in model.Built.Carrying.Where(m => model.Built.Position(m.From).Z < 0 && model.Built.Position(m.To).Z < 0))
        {
            var member = model.System.Beams[beam.Value].Member;
            var lift = doc.MemberLoads.Where(l => l.Member == member.Id).Sum(l => l.W[2]);
            var plastic = model.Built.Pieces.First(p => beam.Value >= p.First.Value && beam.Value <= p.Last.Value).Material.Density;
            Near.Share((plastic - Water.Density) * section.Area * MotionProfile.Gravity, member.Rho * member.A * MotionProfile.Gravity
                - lift, 1e-6);
        }
    }
}
