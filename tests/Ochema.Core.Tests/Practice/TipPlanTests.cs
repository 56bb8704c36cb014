using Ochema.Core.Assessment;
using Ochema.Core.Joints;
using Ochema.Core.Kinds;
using Ochema.Core.Kinds.Bases;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Structure;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Practice;

/// <summary>What stands by its weight seen from above, and tables that are levelled on a slope.</summary>
public sealed class TipPlanTests
{
    private static readonly Catalogue Stock = Catalogue.Shipped;

    public static TheoryData<string> Standing => ["ground-pan", "ground-bag", "lamp-foot", "table-gooseneck", "dashboard-pan",
        "window-slot", "window-bag"];

    private static TipReport Plan(RigDocument rig) => Assessor.Assess(rig, Stock).Tip!;

    [Theory, MemberData(nameof(Standing))] // statics: the weight stands under the centre of mass, upright on level ground
    public void ItsWeightStandsUnderItsCentreOfMass(string recipe)
    {
        if (Assessor.Assess(RigFiles.Named(recipe), Stock).Tip is not { } plan)
            return;
        var b = RigAssembly.Build(RigFiles.Named(recipe), Stock);
        var (mass, centre) = b.MassOf(_ => true);
        Near.Share(mass * 9.80665, plan.Weight, 0.02);
        var up = b.Surface.NormalAt(b.Rig.At[0], b.Rig.At[1]);
        var (ahead, foot) = (b.Camera.View.PerpendicularTo(up).Normalized(), b.Surface.Point(b.Rig.At[0], b.Rig.At[1]));
        // Down the weight's own line to the ground.
        var at = centre - foot - (centre - foot).Dot(up) / up.Z * Vec3.UnitZ;
        Assert.Equal(at.Dot(ahead), plan.Centre[0], 0.004);
        Assert.Equal(at.Dot(up.Cross(ahead)), plan.Centre[1], 0.004);
    }

    [Fact] // P·h = W·d, by hand for each edge of a square
    public void APushTipsAtWeightTimesWayToTheEdgeOverHeight()
    {
        var plan = Plan(RigFiles.Named("ground-bag"));
        foreach (var push in plan.Pushes)
        {
            var (sin, cos) = Math.SinCos(push.Angle);
            var least = double.PositiveInfinity;
            for (var i = 0; i < plan.Corners.Count; i++)
            {
                var (a, c) = (plan.Corners[i], plan.Corners[(i + 1) % plan.Corners.Count]);
                var (nx, ny) = (c[1] - a[1], a[0] - c[0]);
                var size = Math.Sqrt(nx * nx + ny * ny);
                (nx, ny) = (nx / size, ny / size);
                if (nx * a[0] + ny * a[1] < 0)
                    (nx, ny) = (-nx, -ny);
                if (nx * cos + ny * sin is > 1e-9 and var along)
                    least = Math.Min(least, plan.Weight * (nx * (a[0] - plan.Centre[0]) + ny * (a[1] - plan.Centre[1]))
                        / (plan.Height * along));
            }
            Near.Share(least, push.Force, 0.02, push.Way);
        }
        Assert.True(plan.Least.Force <= plan.Pushes.Min(p => p.Force) + 1e-9);
    }

    [Theory, MemberData(nameof(Standing))] // against the check's own rule, pushed to and fro until it says over
    public void APushIsWhatTheTipOverRuleSays(string recipe)
    {
        if (Assessor.Assess(RigFiles.Named(recipe), Stock).Tip is not { } plan)
            return;
        var corners = plan.Corners.Select(c => new Vec3(c[0], c[1], 0)).ToList();
        foreach (var push in plan.Pushes.Where(p => p.Force < 1e5))
        {
            var (sin, cos) = Math.SinCos(push.Angle);
            double Ratio(double p) => TipOver.Ratio(corners, Vec3.UnitZ, new(p * cos, p * sin, -plan.Weight),
                new Vec3(plan.Centre[0], plan.Centre[1], 0).Cross(new(0, 0, -plan.Weight)) + new Vec3(0, 0, plan.Height)
                    .Cross(new(p * cos, p * sin, 0)));
            if (push.Force < 0.01)
                continue;
            Assert.True(Ratio(0.93 * push.Force) < 1 && Ratio(1.07 * push.Force) > 1,
                $"{recipe} {push.Way} {push.Force}: {Ratio(push.Force)}");
        }
    }

    [Fact]
    public void ALongLensBringsTheWeightForwardAndWeakensThatSide()
    {
        var rig = RigFiles.Named("ground-pan");
        RigDocument With(string lens, CameraFoot foot) =>
            rig with
            {
                Camera = rig.Camera with
                {
                    Body = "mirrorless-full",
                    Lens = lens,
                    Foot = foot,
                    Mass = null,
                    FocalLength = null,
                    Tilt = 0
                }
            };
        var (little, front, own) = (Plan(With("prime-24", CameraFoot.Body)), Plan(With("prime-600", CameraFoot.Body)),
            Plan(With("prime-600",
            CameraFoot.AsUsual)));
        Assert.True(front.Centre[0] > little.Centre[0] + 0.05);
        Assert.Equal("ahead", front.Least.Way.Split(' ')[0]);
        Assert.True(own.Least.Force > 1.5 * front.Least.Force);
        // With more speed of wind the loads stand further out.
        double Out(TipReport p) => p.Loads.Max(l => Math.Sqrt(l.At[0] * l.At[0] + l.At[1] * l.At[1]));
        var windy = With("prime-600", CameraFoot.AsUsual);
        Assert.True(Out(Plan(windy with { Run = windy.Run with { Speed = 2 * windy.Run.Speed + 3 } })) > Out(own));
    }

    [Fact]
    public void WhatIsHeldHasNoPlanAndTheDriveCarriesIt()
    {
        Assert.Null(Assessor.Assess(RigFiles.Named("magnet-plate-straps"), Stock).Tip);
        var rig = RigFiles.Named("ground-pan");
        Assert.Equal(Plan(rig).Least.Force, new Design(rig, Stock).At(rig.Run.Speed)!.Tip!.Least.Force, 1e-9);
    }

    private static BuiltRig Table(TableTop top, double slope = 0.174) => RigFiles.Named("rail-table") is var rig
        ? RigAssembly.Build(rig with { Base = (RailTable)rig.Base with { Top = top }, Site = rig.Site with { Slope = slope } }, Stock)
        : throw new InvalidOperationException();

    private static double Post(BuiltRig b, string name) => b.Pieces.Single(p => p.Label == name + " post").Length;

    [Fact] // plane geometry: the panel falls by Apart × sin β over the rails, a post square to it is longer by 1 ÷ cos β
    public void ALevelTableHasAPostForEachCorner()
    {
        var b = Table(TableTop.Level);
        var tops = new[] { 1, 2, 3, 4 }.Select(i => b.Position(new(b.NodeOf($"hold-{i}-post"))).Z).ToList();
        Assert.Equal(tops.Min(), tops.Max(), 1e-9);
        Assert.Equal(((RailTable)b.Rig.Base).Post, new[] { "front left", "front right", "rear left", "rear right" }.Min(n => Post(b, n)),
            0.002);
        var slope = Math.Asin(Math.Abs(b.Surface.U.Z));
        Near.Share(0.45 * Math.Tan(slope), Math.Abs(Post(b, "front left") - Post(b, "rear left")), 0.1);
        Assert.Equal(Post(b, "front left"), Post(b, "front right"), 1e-9);
        // A post stands square to the panel under its hold.
        foreach (var (hold, i) in b.Holds.Select((h, i) => (h, i + 1)))
            Assert.True((b.Position(new(b.NodeOf($"hold-{i}-post"))) - hold.Top.Position).Normalized().Dot(hold.Top.Axis) > 1 - 1e-9);
        var along = Table(TableTop.Along);
        Near.Share(Post(along, "rear left"), Post(along, "front left"), 0.05);
        Assert.Contains("for the front left", string.Join(' ', Core.Making.Maker.Of(b.Rig, Stock).Steps.Select(s => s.How)),
            StringComparison.Ordinal);
    }

    [Fact]
    public void SoSteepAPanelTakesNoLevelTable()
    {
        var b = Table(TableTop.Level, 0.7);
        Assert.Contains(b.Findings, f => f.Text.Contains("no level table", StringComparison.Ordinal));
        Near.Share(Post(b, "rear left"), Post(b, "front left"), 0.05);
    }
}
