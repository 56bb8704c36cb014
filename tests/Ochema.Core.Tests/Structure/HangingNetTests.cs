using Ochema.Core.Json;
using Ochema.Core.Structure;
using Ochema.Core.Structure.Lines;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Structure;

/// <summary>Nets of ropes: what every answer must keep, and the same nets solved another way.</summary>
public sealed class HangingNetTests
{
    private static HangNode Fixed(string id, double x, double y, double z) => new(id, x, y, z, true);

    /// <summary>A net of two to four anchors and up to four loads, each on one or two ropes from what hangs already.</summary>
    private static HangTask Net(Random random, double softest, double stiffest, bool heavyPulley)
    {
        var span = new[] { 0.5, 3, 12, 40 }[random.Next(4)];
        double Of(double from, double to) => from + (to - from) * random.NextDouble();
        double Stiffness() => Math.Pow(10, Of(softest, stiffest));
        double Mass() => new[] { 0, 0.02, 0.2 }[random.Next(3)];
        var nodes = Enumerable.Range(0, random.Next(2, 5)).Select(i => Fixed($"f{i}", Of(0, span), Of(0, span / 2), Of(0, span / 3)))
            .ToList();
        var (held, free) = (nodes.Select(n => n.Id).ToList(), random.Next(1, 5));
        var ropes = new List<HangRope>();
        for (var i = 0; i < free; i++)
        {
            nodes.Add(new($"n{i}", Of(-span, 2 * span), Of(-span, span), Of(-span, span)));
            foreach (var from in held.OrderBy(_ => random.Next()).Take(random.Next(1, 3)).ToList())
                ropes.Add(new($"r{ropes.Count}", from, $"n{i}", Of(0.4, 1.3) * span, Stiffness(), Mass()));
            held.Add($"n{i}");
        }
        // A pulley that other ropes hold too, so that nothing runs it onto a neighbour.
        if (random.Next(2) == 0)
            ropes.Add(new("p", "f0", "f1", Of(1.2, 2) * span, Stiffness(), heavyPulley ? Mass() : 0) { Via = ["n0"] });
        return new()
        {
            Nodes = nodes,
            Ropes = ropes,
            Loads = [.. Enumerable.Range(0, free).Select(i =>
                new HangLoad($"n{i}") { M = Of(0.2, 15), F = random.Next(3) == 0 ? [Of(-30, 30), Of(-30, 30), Of(-10, 10)] : null })],
            Wind = random.Next(3) == 0 ? [Of(-1, 1), Of(-1, 1), 0] : null,
        };
    }

    [Fact]
    public void RandomNetsAgreeWithChainsLeftToSwing()
    {
        var random = new Random(12);
        for (var k = 0; k < 24; k++)
        {
            var net = Net(random, 2.5, 4, heavyPulley: false);
            if (net.Wind is not null && net.Ropes.Any(r => r.Via.Count > 0))
                net = net with { Wind = null };
            var (ours, theirs) = (HangingNet.Solve(net), ChainSolver.Solve(net));
            Assert.True(ours.Stable, $"net {k}: {ours.Finding}");
            var span = net.Nodes.Max(n => ours.Positions![n.Id].Max()) - net.Nodes.Min(n => ours.Positions![n.Id].Min());
            var most = theirs.Most.Values.Max();
            foreach (var (id, at) in theirs.At)
                Assert.True((Vec3.From(ours.Positions![id]) - at).Length < 1e-3 * span,
                    $"net {k}, {id}: {ours.Positions[id][2]} and {at.Z}");
            foreach (var (id, t) in theirs.Most)
                Assert.True(Math.Abs(ours.Tensions![id].Max - t) < 0.005 * most + Half(net, id),
                    $"net {k}, {id}: {ours.Tensions[id].Max} and {t}");
        }

        // A chain's last link lacks half its own weight.
        static double Half(HangTask net, string id) => net.Ropes.First(r => r.Id == id) is var r ? (r.Mass * 10 + 1.5) * r.Length / 80 : 0;
    }

    [Fact] // heavy ropes over pulleys and steel wire among them
    public void EveryAnswerIsInBalanceAndHangsOnNoGuess()
    {
        var random = new Random(7);
        for (var k = 0; k < 300; k++)
        {
            var net = Net(random, 2.5, 7, heavyPulley: true);
            var hung = HangingNet.Solve(net);
            if (!hung.Stable)
            {
                Assert.Contains("draws", hung.Finding);
                continue;
            }
            var most = hung.Tensions!.Values.Max(t => t.Max);
            Assert.InRange(hung.Residual!.Value, 0, 1e-6 * most);
            // The supports carry all that hangs.
            var g = new Vec3(0, 0, -9.80665);
            var wind = net.Wind is { } w ? Vec3.From(w) : Vec3.Zero;
            var all = net.Loads.Aggregate(Vec3.Zero, (s, l) => s + (l.M ?? 0) * g + (l.F is { } f ? Vec3.From(f) : Vec3.Zero))
                + net.Ropes.Aggregate(Vec3.Zero, (s, r) => s + r.Length * (r.Mass * g + wind));
            var held = hung.Reactions!.Values.Aggregate(all, (s, r) => s + Vec3.From(r));
            Assert.True(held.Length < 1e-5 * most + 1e-9, $"net {k}: {held} of {all}");
            var guessed = net with
            {
                Nodes = [.. net.Nodes.Select(n => n.Fixed ? n
                : n with { X = 100 * random.NextDouble(), Z = -n.Z, Y = 0 })]
            };
            var again = HangingNet.Solve(guessed);
            foreach (var n in net.Nodes)
                Assert.Equal(hung.Positions![n.Id], again.Positions![n.Id]);
        }
    }

    [Theory] // the same tension on both sides of a pulley, found by trying how much rope lies on each
    [InlineData(6, 3, 8.4, 0.4)]
    [InlineData(9, -2, 10.6, 1.5)]
    public void AHeavyRopeOverAFixedPulleyHasOneTensionThere(double span, double pulley, double length, double mass)
    {
        HangNode[] nodes = [Fixed("a", 0, 0, 0), Fixed("p", span / 3, 0, pulley), Fixed("b", span, 0, 1)];
        var over = HangingNet.Solve(new() { Nodes = nodes, Ropes = [new("r", "a", "b", length, 1e6, mass) { Via = ["p"] }] });
        (double Before, double Behind, RopeTension First, RopeTension Last) Cut(double first)
        {
            var two = HangingNet.Solve(new()
            {
                Nodes = nodes,
                Ropes = [new("x", "a", "p", first, 1e6, mass),
                new("y", "p", "b", length - first, 1e6, mass)]
            });
            return (two.Tensions!["x"].To, two.Tensions["y"].From, two.Tensions["x"], two.Tensions["y"]);
        }
        var chord = Math.Sqrt(span * span / 9 + pulley * pulley);
        var (low, high) = (0.9 * chord, length - 0.9 * Math.Sqrt(4 * span * span / 9 + (1 - pulley) * (1 - pulley)));
        for (var i = 0; i < 80; i++)
        {
            var mid = 0.5 * (low + high);
            (low, high) = Cut(mid) is var c && c.Before > c.Behind ? (mid, high) : (low, mid);
        }
        var cut = Cut(low);
        Near.Share(cut.First.From, over.Tensions!["r"].From, 1e-5);
        Near.Share(cut.Last.To, over.Tensions["r"].To, 1e-5);
    }

    [Fact]
    public void WhatNothingHoldsIsNamed()
    {
        var loose = HangingNet.Solve(new()
        {
            Nodes = [Fixed("a", 0, 0, 0), new("m", 1, 0, 0), new("n", 2, 0, 0), new("still", 0, 5, 0)],
            Ropes = [new("r", "m", "n", 1, 1000)],
            Loads = [new("m") { M = 2 }],
        });
        Assert.False(loose.Stable);
        Assert.Equal("nothing holds 'm', 'n': 19.613 N carry them away", loose.Finding);
        Assert.Null(loose.Positions);
        // Loads that hold each other need no support.
        var pair = HangingNet.Solve(new()
        {
            Nodes = [new("m", 0, 0, 0), new("n", 0, 1, 0)],
            Ropes = [new("r", "m", "n", 2, 1000)],
            Loads = [new("m") { F = [-10, 0, 0] }, new("n") { F = [10, 0, 0] }],
        });
        Near.Share(10, pair.Tensions!["r"].Max, 1e-9);
        Assert.Equal(2.02, pair.Positions!["n"][0] - pair.Positions["m"][0], 5e-7);
    }

    [Fact] // two unequal weights over one pulley, and two carriages on one rope
    public void WhatRunsUntilItMeetsSomethingHangsNowhere()
    {
        HangTask Over(double heavier) => new()
        {
            Nodes = [Fixed("pulley", 0, 0, 0), new("m", 0, 0, -1), new("n", 0, 0, -1)],
            Ropes = [new("r", "m", "n", 4, 1e4) { Via = ["pulley"] }],
            Loads = [new("m") { M = 5 }, new("n") { M = heavier }],
        };
        Assert.Contains("'pulley'", HangingNet.Solve(Over(6)).Finding);
        Near.Share(5 * 9.80665, HangingNet.Solve(Over(5)).Tensions!["r"].Max, 1e-9);
    }

    [Fact]
    public void SlackRopesCarryNothing()
    {
        var hung = HangingNet.Solve(new()
        {
            Nodes = [Fixed("a", 0, 0, 0), Fixed("b", 1, 0, 0), new("m", 0, 0, 9)],
            Ropes = [new("spare", "a", "b", 2, 1e5), new("hung", "a", "m", 1, 1e5), new("tether", "b", "m", 5, 1e5),
                new("heavy", "a", "b", 3, 1e5, 0.1)],
            Loads = [new("m") { M = 1 }],
        });
        Assert.Equal((0, 0), (hung.Tensions!["spare"].Max, hung.Tensions["tether"].Max));
        Near.Share(9.80665, hung.Tensions["hung"].Max, 1e-9);
        Assert.InRange(hung.Tensions["heavy"].Max, 0.5 * 3 * 0.1 * 9.8, 1.1 * 0.5 * 3 * 0.1 * 9.9);
    }

    [Theory]
    [InlineData("""{"nodes":[],"ropes":[]}""", "nodes")]
    [InlineData("""{"nodes":[{"id":"a","x":0,"y":0,"z":0},{"id":"a","x":0,"y":0,"z":0}],"ropes":[]}""", "nodes[1].id")]
    [InlineData("""{"nodes":[{"id":"a","x":0,"y":0,"z":1e300}],"ropes":[]}""", "nodes[0].z")]
    [InlineData("""{"nodes":[{"id":"a","x":0,"y":0,"z":0}],"ropes":[{"id":"r","from":"a","to":"b","length":1,"EA":1}]}""", "ropes[0].to")]
    [InlineData("""{"nodes":[{"id":"a","x":0,"y":0,"z":0}],"ropes":[{"id":"r","from":"a","to":"a","length":0,"EA":1}]}""", "ropes[0].length")]
    [InlineData("""{"nodes":[{"id":"a","x":0,"y":0,"z":0}],"ropes":[{"id":"r","from":"a","to":"a","length":1,"EA":-1}]}""", "ropes[0].EA")]
    [InlineData("""{"nodes":[{"id":"a","x":0,"y":0,"z":0}],"ropes":[{"id":"r","from":"a","to":"a","length":1,"EA":1,"mass":-1}]}""", "ropes[0].mass")]
    [InlineData("""{"nodes":[{"id":"a","x":0,"y":0,"z":0},{"id":"b","x":0,"y":0,"z":0}],"ropes":[{"id":"r","from":"a","to":"b","length":1,"EA":1,"via":["b"]}]}""", "ropes[0].via[0]")]
    [InlineData("""{"nodes":[{"id":"a","x":0,"y":0,"z":0}],"ropes":[],"loads":[{"node":"b","m":1}]}""", "loads[0].node")]
    [InlineData("""{"nodes":[{"id":"a","x":0,"y":0,"z":0}],"ropes":[],"loads":[{"node":"a","f":[1,2]}]}""", "loads[0].f")]
    [InlineData("""{"nodes":[{"id":"a","x":0,"y":0,"z":0}],"ropes":[],"wind":[1]}""", "wind")]
    [InlineData("""{"nodes":[{"id":"a","x":0,"y":0,"z":0}],"ropes":[],"speed":1}""", "speed")]
    public void WhatIsNoNetIsRefusedByPath(string json, string path) =>
        Assert.Equal(path, Assert.Throws<DocumentException>(() => HangTaskReader.Read(json)).Path);
}
