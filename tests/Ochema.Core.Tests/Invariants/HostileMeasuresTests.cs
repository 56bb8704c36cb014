using System.Globalization;
using System.Text.Json.Nodes;
using Ochema.Core.Assessment;
using Ochema.Core.Hosts;
using Ochema.Core.Json;
using Ochema.Core.Quantities;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Structure;
using Ochema.Core.Structure.Lines;
using Ochema.Core.Tests.Support;
using Ochema.Tests.Support;

namespace Ochema.Core.Tests.Invariants;

/// <summary>
/// Many measures hostile at once, all of them finite: each rig and each net has its answer, and soon. What never ends is worse than what is
/// wrong.
/// </summary>
public sealed class HostileMeasuresTests
{
    private static readonly TimeSpan Longest = TimeSpan.FromSeconds(10);
    private static readonly string[] Parts = ["base", "paths[0].reach", "paths[0].isolator", "paths[0].head", "paths[0].camera", "site",
        "run", "tethers[0]"];

    /// <summary>What is bounded by more than its own range: by the lens, by the host.</summary>
    private static readonly string[] Bounded = ["paths[0].camera.focalLength", "run.speed"];

    public static TheoryData<string> Recipes => [.. RecipeLibrary.All.Select(r => r.Id)];

    private static int Count => int.TryParse(Environment.GetEnvironmentVariable("OCHEMA_GENERATED"), CultureInfo.InvariantCulture,
        out var n) ? n / 20 : 8;

    [Theory]
    [MemberData(nameof(Recipes))]
    public void RigsOfManyHostileMeasuresAreJudgedInTime(string id)
    {
        var rig = RigFiles.Named(id);
        var places = Parts.SelectMany(at => Part(rig, at) is { } part
            ? MeasureReader.Declared(part.GetType()).Where(d => d.Measure is not null && !Bounded.Contains($"{at}.{d.Name}"))
                .Select(d => (At: at, d.Name, Measure: d.Measure!))
            : []).ToList();
        var random = new Random(RecipeLibrary.All.ToList().FindIndex(r => r.Id == id));
        var judged = 0;
        for (var i = 0; i < Count; i++)
        {
            var document = JsonNode.Parse(StrictJson.Write(rig))!;
            document["run"]!["speed"] = HostLibrary.Find(rig.Host)!.Drive.Top * random.NextDouble();
            foreach (var (at, name, measure) in places.OrderBy(_ => random.Next()).Take(random.Next(2, places.Count)).ToList())
                RigFiles.Place(document, at)[name] = Hostile(measure, random);
            try
            {
                var text = document.ToJsonString();
                var report = Soon.Within(Longest, () => Assessor.Assess(RigReader.Read(text, Catalogue.Shipped), Catalogue.Shipped), text);
                Assert.True(double.IsFinite(report.Verdict.Use), document.ToJsonString());
                Assert.NotEmpty(StrictJson.Write(report));
                judged++;
            }
            catch (DocumentException e)
            {
                Assert.NotEmpty(e.Path);
            }
        }
        Assert.True(judged > Count / 2, $"{judged} of {Count} judged");
    }

    private static object? Part(RigDocument rig, string at) => at switch
    {
        "base" => rig.Base,
        "paths[0].reach" => rig.Reach,
        "paths[0].isolator" => rig.Isolator,
        "paths[0].head" => rig.Head,
        "paths[0].camera" => rig.Camera,
        "site" => rig.Site,
        "run" => rig.Run,
        _ => rig.Tethers is [var tether, ..] ? tether : null,
    };

    /// <summary>An end of what may be entered, next to one, or anything between.</summary>
    private static double Hostile(MeasureAttribute m, Random random)
    {
        var (low, high) = (m.Minimum, m.Maximum);
        var v = random.Next(5) switch
        {
            0 => low,
            1 => high,
            2 => low + 1e-6 * (high - low),
            3 => low > 0 ? low * Math.Pow(high / low, random.NextDouble()) : low + (high - low) * Math.Pow(random.NextDouble(), 4),
            _ => low + (high - low) * random.NextDouble(),
        };
        return m.Dimension == Dimension.Count ? Math.Round(v) : v;
    }

    [Fact]
    public void NetsOfAnyFiniteNumbersHaveAnAnswer()
    {
        var random = new Random(7);
        double Any() => Math.Pow(10, random.Next(-9, 9)) * (random.Next(2) == 0 ? 1 : random.NextDouble() + 0.1);
        double Signed() => random.Next(5) == 0 ? 0 : (random.Next(2) == 0 ? -1 : 1) * Any();
        var (hung, still) = (0, 0);
        for (var k = 0; k < 60 * Count; k++)
        {
            var n = random.Next(1, 6);
            var nodes = Enumerable.Range(0, n).Select(i => new HangNode($"n{i}", Signed(), Signed(), Signed(), random.Next(2) == 0))
                .ToList();
            string Node() => nodes[random.Next(n)].Id;
            var ropes = Enumerable.Range(0, random.Next(0, 6)).Select(i =>
                new HangRope($"r{i}", Node(), Node(), Any(), Any(), random.Next(3) == 0 ? 0 : Any())
                {
                    Via = random.Next(4) == 0 ? [Node()] : [],
                }).ToList();
            var task = new HangTask
            {
                Nodes = nodes,
                Ropes = ropes,
                Loads =
                [
                    .. Enumerable.Range(0, random.Next(0, 4)).Select(_ =>
                        new HangLoad(Node()) { M = Any(), F = random.Next(2) == 0 ? [Signed(), Signed(), Signed()] : null }),
                ],
                Wind = random.Next(3) == 0 ? [Signed(), Signed(), Signed()] : null,
            };
            try
            {
                HangTaskReader.Check(task);
            }
            catch (DocumentException)
            {
                continue;
            }
            var text = StrictJson.Write(task);
            var result = Soon.Within(Longest, () => HangingNet.Solve(task), text);
            Assert.True(result.Stable || result.Finding is { Length: > 0 }, text);
            Assert.NotEmpty(StrictJson.Write(result));
            (hung, still) = (hung + 1, still + (result.Stable ? 1 : 0));
        }
        // Most are nets at all, and some of them hang still, others not.
        Assert.True(hung > 30 * Count && still > 0 && still < hung, $"{hung} hung, {still} still");
    }

    [Fact] // a rope with a carriage, taut to slack, soft to stiff, light to heavy
    public void SpansOfAnyFiniteNumbersComeToRestOrDoNot()
    {
        var random = new Random(8);
        double Any(double from, double to) => Math.Pow(10, from + (to - from) * random.NextDouble());
        for (var k = 0; k < 200 * Count; k++)
        {
            var (from, to) = (Vec3.Zero, new Vec3(Any(-2, 3), 0, random.Next(3) == 0 ? 0 : Any(-3, 2)));
            var chord = (to - from).Length;
            var span = new RopeSpan(from, to, chord * Any(-1, 1), Any(0, 9), Any(-6, 2));
            var (at, load) = (0.02 + 0.96 * random.NextDouble(), new Vec3(0, random.Next(2) == 0 ? 0 : Any(-3, 5), -Any(-6, 6)));
            var (stiffness, weight, sag, hangs) = (Any(2, 8), Any(-4, 1), Any(-4, 1) * chord, Any(-3, 5));
            var hung = Soon.Within(Longest, () => span.Under(at, load), $"{span} under {load} at {at}");
            var deep = Soon.Within(Longest, () => RopeSpan.LengthFor(from, to, stiffness, weight, 0.5, sag, hangs),
                $"{from} to {to}, {sag}");
            Assert.True(hung is null || double.IsFinite(hung.Most));
            Assert.True(deep is null or > 0);
        }
    }

    [Fact] // whoever asked has gone on: the work ends, whatever runs beside it
    public void WhatNobodyWaitsForEnds()
    {
        using var stop = new CancellationTokenSource();
        stop.Cancel();
        Asked.By(stop.Token);
        var rig = RigFiles.Named("rail-table");
        var e = Assert.ThrowsAny<Exception>(() => Assessor.Assess(rig, Catalogue.Shipped));
        Assert.True(e is OperationCanceledException
            || (e is AggregateException all && all.Flatten().InnerExceptions.All(i => i is OperationCanceledException)), e.ToString());
    }
}
