using Ochema.Core.Assessment;
using Ochema.Core.Hosts;
using Ochema.Core.Json;
using Ochema.Core.Kinds.Bases;
using Ochema.Core.Kinds.Heads;
using Ochema.Core.Kinds.Reaches;
using Ochema.Core.Making;
using Ochema.Core.Rigs;
using Ochema.Core.Sharpness;
using Ochema.Core.Stock;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Invariants;

/// <summary>Anything finite gets a verdict: every kind with every other on every site, second cameras, extremes.</summary>
public class AnythingGetsAVerdictTests
{
    private static IEnumerable<T> Fresh<T>() => KindRegistry.Of(typeof(T)).Select(t => (T)Activator.CreateInstance(t)!);

    private static void Judge(RigDocument rig, string what)
    {
        RigReader.Check(rig, Catalogue.Shipped);
        var report = Assessor.Assess(rig, Catalogue.Shipped);
        Assert.False(string.IsNullOrWhiteSpace(report.Verdict.Text), what);
        Assert.True(double.IsFinite(report.Verdict.Use), what);
        // What is written must be readable JSON: no infinities, no NaN.
        Assert.NotEmpty(StrictJson.Write(report));
        Assert.NotEmpty(StrictJson.Write(Shaker.Of(rig, Catalogue.Shipped)));
        Make(rig, report, what);
    }

    /// <summary>And a plan: all of it listed, each line put in somewhere, nothing before what must precede it.</summary>
    private static void Make(RigDocument rig, AssessmentReport report, string what)
    {
        var plan = Maker.Of(rig, Catalogue.Shipped);
        Assert.NotEmpty(StrictJson.Write(plan));
        Assert.Equal(report.Mass, plan.Mass, 5e-7);
        Assert.Equal(report.Cost, plan.Cost, 5e-7);
        var steps = plan.Steps.ToDictionary(s => s.Id);
        Assert.All(plan.Parts, p => Assert.True(steps.ContainsKey(p.Step), $"{what}: {p.Name} has no step"));
        foreach (var s in plan.Steps)
            Assert.All(s.After, a => Assert.True(steps[a].Done <= s.Start + 1e-6, $"{what}: {s.Id} before {a}"));
    }

    public static TheoryData<string> Hosts => [.. HostLibrary.All.Select(h => h.Id)];

    /// <summary>One of each kind: what stands on the base hangs little on the host.</summary>
    public static TheoryData<string> HostKinds => [.. HostLibrary.All.DistinctBy(h => h.Kind).Select(h => h.Id)];

    [Theory]
    [MemberData(nameof(Hosts))]
    public void EveryBaseOnEverySite(string id)
    {
        var host = HostLibrary.Find(id)!;
        foreach (var site in host.Sites)
            foreach (var b in Fresh<BaseKind>())
                Judge(Plain(host, site) with { Base = b }, $"{id}, {site.Id}, {b.GetType().Name}");
    }

    [Theory]
    [MemberData(nameof(HostKinds))]
    public void EveryReachWithEveryHeadAndSoftMount(string id)
    {
        var host = HostLibrary.Find(id)!;
        var site = host.Sites[0];
        var basis = Fresh<BaseKind>().First(b => Survey.Refusal(b.Grip, site, new(), host, Catalogue.Shipped) is null || b is ShellScrews);
        var rig = Plain(host, site) with { Base = basis };
        foreach (var reach in Fresh<ReachKind>())
            foreach (var head in Fresh<HeadKind>())
                Judge(rig with { Reach = reach, Head = head }, $"{id}, {reach.GetType().Name}, {head.GetType().Name}");
        foreach (var soft in Fresh<IsolatorKind>())
            foreach (var head in Fresh<HeadKind>())
                Judge(rig with { Isolator = soft, Head = head }, $"{id}, {soft.GetType().Name}, {head.GetType().Name}");
    }

    [Fact]
    public void EverySecondCameraOnEveryBase()
    {
        var host = HostLibrary.Find("estate")!;
        foreach (var b in Fresh<BaseKind>())
            foreach (var reach in Fresh<ReachKind>())
                foreach (var where in Enum.GetValues<SecondPlace>())
                {
                    var site = host.Sites.First(s => b.Grip.Forms.Contains(s.Form) || s.Id == "bonnet");
                    Judge(Plain(host, site) with
                    {
                        Base = b,
                        Second = new CameraPath
                        {
                            Id = CameraPath.SecondId,
                            Reach = reach,
                            Head = new ClipHead(),
                            Camera = new CameraChoice { Body = "action", Lens = "built-in-wide" },
                            Where = where
                        },
                    }, $"{b.GetType().Name}, {reach.GetType().Name}, {where}");
                }
    }

    [Theory] // what lifts off on the rebound has nothing left to restore it: it lets go, by name
    [InlineData("window-bag")]
    [InlineData("dashboard-pan")]
    [InlineData("window-slot")]
    public void WhatLiftsOffLetsGo(string recipe)
    {
        var rig = RecipeLibrary.All.First(r => r.Id == recipe).Document;
        var host = HostLibrary.Find("skiff")!;
        var boat = rig with
        {
            Host = host.Id,
            Site = host.Sites.First(s => s.Form == SiteForm.Floor),
            At = [0, 0],
            Base = rig.Base is WindowSlotPlate
            ? rig.Base : rig.Base,
            Run = rig.Run with { Road = Core.Loads.Going.Rough }
        };
        Judge(boat, recipe);
        Assert.Equal(Verdict.LetsGo, Assessor.Assess(boat, Catalogue.Shipped).Verdict.Word);
    }

    [Fact]
    public void TwelveOfEverythingGetsAVerdict()
    {
        var rig = RigFiles.Plate(new Ochema.Core.Kinds.Holds.Cup(), 2);
        Judge(rig with
        {
            Straps = [.. Enumerable.Range(0, 12).Select(i =>
                new Strap { Id = $"s{i}", Stock = "cam-25", From = (RigPoint)(i % 8),
                To = new AnchorEnd(i % 2 == 0 ? "bonnet-edge-left" : "bonnet-edge-right", i / 12.0), Pretension = 50 + i })],
            Braces = [.. Enumerable.Range(0, 12).Select(i =>
                new Core.Kinds.Braces.Strut { Id = $"b{i}", Site = "bonnet", At = [0.4 * Math.Cos(i), 0.5 * Math.Sin(i)] })],
            Tethers = [.. Enumerable.Range(0, 12).Select(i =>
                new Tether { Id = $"t{i}", Stock = "cord-4", From = (TetherPoint)(i % 4), To = new AnchorEnd("bonnet-edge-left", i / 12.0) })],
        }, "twelve");
    }

    [Fact]
    public void AStrapOrAStrutWithoutALengthIsSaidByName()
    {
        var rig = RigFiles.CupAndArm((-0.1, 0)) with { Straps = [] };
        var low = rig with
        {
            Reach = new NoReach(),
            Base = new SingleCup { StemHeight = 0.005 },
            Braces = [new Core.Kinds.Braces.Strut { Id = "b", Site = "bonnet", At = rig.At, From = RigPoint.BaseTop }]
        };
        Judge(low, "strut");
        Assert.Contains(Assessor.Assess(low, Catalogue.Shipped).Findings, f => f.Blocks && f.Text.Contains("begins"));
    }

    private static RigDocument Plain(Host host, Site site) => new()
    {
        Schema = RigDocument.CurrentSchema,
        Name = "plain",
        Host = host.Id,
        Site = site,
        At = [0, 0],
        Base = new SingleCup(),
        Paths =
        [
            new CameraPath
            {
                Id = CameraPath.FirstId,
                Reach = new NoReach(),
                Head = new StudHead(),
                Camera = new CameraChoice { Body = "action", Lens = "built-in-wide" },
            },
        ],
        Run = new RunConditions { Speed = Math.Min(8, host.Drive.Top) },
    };
}
