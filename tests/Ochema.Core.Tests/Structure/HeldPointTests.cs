using Ochema.Core.Structure;
using Ochema.Core.Structure.Lines;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Structure;

/// <summary>A point on a few elastic lines: against the general net, by hand, and wherever one begins.</summary>
public sealed class HeldPointTests
{
    [Fact]
    public void HangsAsTheNetHangs()
    {
        var random = new Random(20261128);
        double Any(double low, double high) => low + (high - low) * random.NextDouble();
        for (var i = 0; i < 300; i++)
        {
            var lines = new HeldBy[random.Next(1, 4)];
            for (var j = 0; j < lines.Length; j++)
                lines[j] = new(new(Any(-1.5, 1.5), Any(-1.5, 1.5), Any(-1, 1)), Any(0.1, 1.5), Math.Pow(10, Any(2, 5)));
            var load = new Vec3(Any(-150, 150), Any(-150, 150), Any(-200, 50));
            var at = HeldPoint.Rest(lines, load, new(Any(-2, 2), Any(-2, 2), Any(-2, 2)));
            Assert.True(at is not null, $"{i}: {lines.Length} lines");
            var net = HangingNet.Solve(new HangTask
            {
                Nodes = [.. lines.Select((l, n) => new HangNode($"e{n}", l.End.X, l.End.Y, l.End.Z, true)), new("p", 0, 0, 0)],
                Ropes = [.. lines.Select((l, n) => new HangRope($"r{n}", "p", $"e{n}", l.Length, l.Stiffness))],
                Loads = [new("p") { F = load.ToArray() }],
            });
            Assert.True(net.Stable, $"{i}");
            for (var n = 0; n < lines.Length; n++)
                Assert.True(Math.Abs(net.Tensions![$"r{n}"].Max - lines[n].At(at.Value).Tension) < 1e-3 * load.Length, $"{i}, line {n}");
            Assert.True((Vec3.From(net.Positions!["p"]) - at.Value).Length < 2e-3, $"{i}: {at}");
        }
    }

    [Fact] // Hooke, by hand
    public void OneLineStretchesByItsLoad()
    {
        var at = HeldPoint.Rest([new(new(0, 0, 2), 1, 500)], new(0, 0, -50), Vec3.Zero)!.Value;
        Near.Share(2 - 1.1, at.Z, 1e-6);
        Assert.Null(HeldPoint.Rest([], new(0, 0, -1), Vec3.Zero));
    }
}
