using Ochema.Core.Structure;
using Ochema.Core.Structure.Lines;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Structure;

/// <summary>A rope with a carriage on it: against the general net, closed forms and what ropes do.</summary>
public sealed class RopeSpanTests
{
    private static readonly Vec3 From = new(-6.1, 0, 2.5);
    private static readonly Vec3 To = new(6.1, 0, 2.5);

    [Fact]
    public void HangsAsTheNetHangs()
    {
        var random = new Random(20261127);
        for (var i = 0; i < 60; i++)
        {
            var (chord, ea, mass) = (4 + 12 * random.NextDouble(), Math.Pow(10, 3.5 + 2 * random.NextDouble()), 0.005 + 0.1
                * random.NextDouble());
            var length = chord * (0.98 + 0.06 * random.NextDouble());
            var load = new Vec3(0, 40 * (random.NextDouble() - 0.5), -5 - 150 * random.NextDouble());
            var wind = new Vec3(0, random.NextDouble(), 0);
            var (a, b) = (new Vec3(-chord / 2, 0, 2), new Vec3(chord / 2, 0, 2));
            var hung = new RopeSpan(a, b, length, ea, mass).Under(0.5, load, wind);
            Assert.NotNull(hung);
            // In the middle of a level span nothing has to hold it: the net's free pulley comes to rest there.
            var net = HangingNet.Solve(new HangTask
            {
                Nodes = [new("a", a.X, a.Y, a.Z, true), new("b", b.X, b.Y, b.Z, true), new("c", 0.3, 0, 1)],
                Ropes = [new("r", "a", "b", length, ea, mass) { Via = ["c"] }],
                Loads = [new("c") { F = load.ToArray() }],
                Wind = wind.ToArray(),
            });
            Assert.True(net.Stable);
            Near.Share(net.Tensions!["r"].Max, hung.Most, 1e-5, $"{i}: {chord} {ea} {mass} {length}");
            Assert.True((Vec3.From(net.Positions!["c"]) - hung.At).Length < 1e-4 * chord, $"{i}: {hung.At}");
            Near.Share(net.Tensions["r"].From, hung.Start.Length, 1e-5);
            Assert.True(Math.Abs(hung.Held) < 1e-5 * hung.Most);
        }
    }

    [Fact] // H = P·a·b/(s·L), statics; a rope lighter than what hangs on it
    public void CarriesAPointLoadByItsSag()
    {
        foreach (var share in new[] { 0.1, 0.3, 0.5, 0.8 })
        {
            var hung = new RopeSpan(From, To, 12.25, 1e6, 1e-6).Under(share, new(0, 0, -44.13))!;
            var (a, s) = (12.2 * share, 2.5 - hung.At.Z);
            var level = 44.13 * a * (12.2 - a) / (s * 12.2);
            // What is level on one side; the other side's differs by what holds the carriage.
            Near.Share(level, (Math.Abs(hung.Start.X) * (12.2 - a) + Math.Abs(hung.End.X) * a) / 12.2, 2e-3, $"{share}");
            Near.Share(hung.Start.Length, hung.End.Length, 1e-6);
        }
    }

    [Fact] // the path of a pulley on a rope that does not stretch: an ellipse about its two ends
    public void RunsAlongAnEllipse()
    {
        foreach (var share in new[] { 0.05, 0.25, 0.5, 0.9 })
        {
            var hung = new RopeSpan(From, To, 12.25, 1e8, 1e-6).Under(share, new(0, 0, -44.13))!;
            Near.Share(12.25, (hung.At - From).Length + (To - hung.At).Length, 1e-5);
        }
    }

    [Fact] // common practice, no source: 12.2 m, 0.30 m of sag, 4.5 kg on two ropes: about 224 N each; half the sag, twice the tension
    public void TwiceAsTightHangsHalfAsDeep()
    {
        double Tension(double depth)
        {
            const double load = 4.5 * 9.80665 / 2;
            var length = RopeSpan.LengthFor(From, To, 45000, 1e-4, 0.5, depth, load);
            var hung = new RopeSpan(From, To, length!.Value, 45000, 1e-4).Under(0.5, new(0, 0, -load))!;
            Assert.Equal(2.5 - depth, hung.At.Z, 5e-7);
            return hung.Most;
        }
        Near.Share(224, Tension(0.30), 0.01);
        Near.Share(2 * Tension(0.30), Tension(0.15), 0.01);
    }

    [Fact]
    public void AnyGuessComesToTheSame()
    {
        var span = new RopeSpan(From, To + new Vec3(0, 0, 0.8), 12.4, 45000, 0.026);
        var plain = span.Under(0.2, new(0, 12, -60), new(0, 0.4, 0))!;
        var far = span.Under(0.9, new(0, -50, -600))!;
        var again = span.Under(0.2, new(0, 12, -60), new(0, 0.4, 0), far)!;
        Near.Share(plain.Most, again.Most, 1e-8);
        Assert.True((plain.At - again.At).Length < 1e-7);
        // Heavier hangs deeper and pulls harder, whatever the place.
        Assert.True(far.Most > span.Under(0.9, new(0, -50, -300))!.Most);
    }

    [Fact]
    public void AnEmptyRopeHangsAsACatenary()
    {
        // Irvine: sag of a shallow one is q·L²/(8·H).
        var span = new RopeSpan(From, To, 12.21, 45000, 0.026);
        var empty = span.Empty();
        var barely = span.Under(0.5, new(0, 0, -1e-6))!;
        Near.Share(0.026 * 9.80665 * 12.2 * 12.2 / 8 / empty.Tension, 2.5 - barely.At.Z, 0.01);
        Near.Share(empty.Most, barely.Most, 1e-5);
    }
}
