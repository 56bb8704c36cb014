using Ochema.Core.Analysis;
using Ochema.Core.Assessment;
using Ochema.Core.Hosts;
using Ochema.Core.Kinds.Bases;
using Ochema.Core.Kinds.Heads;
using Ochema.Core.Kinds.Reaches;
using Ochema.Core.Loads;
using Ochema.Core.Rigs;
using Ochema.Core.Sharpness;
using Ochema.Core.Stock;
using Ochema.Core.Structure;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Hosts;

/// <summary>What is particular to aeroplanes, boats and hands.</summary>
public class WaterAirAndHandTests
{
    private static RigDocument Recipe(string id) => RecipeLibrary.All.First(r => r.Id == id).Document;

    private static AssessmentReport Assess(RigDocument rig) => Assessor.Assess(rig, Catalogue.Shipped);

    [Fact] // 14 CFR 23.337 as of the older certification basis: +3.8 g at the limit
    public void RoughAirPullsToTheManoeuvreLimit()
    {
        var worst = Aeroplane.Flying.Cases(Going.Rough).Min(c => c.Field.Z);
        Near.Share(-3.8 * MotionProfile.Gravity, worst, 1e-9);
    }

    [Fact] // common practice, no source: about 125 N of water at 8 m/s on an action camera, 2 N of air at 100 km/h
    public void AWaveOverTheCameraIsAnotherMatterThanAir()
    {
        var rig = Recipe("gear-rail-boom");
        var own = HostLibrary.Find(rig.Host)!.Motion.Wave(rig.Run.Road).Speed(0);
        var model = RigModelDocument.Of(rig with { Camera = rig.Camera with { Pan = 0, Tilt = 0 }, Run = rig.Run with { Speed = 8 - own } },
            Catalogue.Shipped);
        double Along(string id) => model.Cases.First(c => c.Id == id).Loads.Where(l => l.Node == "camera").Sum(l => Math.Abs(l.F?[0] ?? 0));
        Near.Share(125, Along("dunk"), 0.05);
        var clip = Recipe("handlebar-clamp");
        var air = RigModelDocument.Of(clip with { Run = clip.Run with { Speed = 100 / 3.6, Gust = 0 } }, Catalogue.Shipped);
        Assert.InRange(air.Cases.First(c => c.Id == "cruise-0").Loads.Sum(l => Math.Abs(l.F?[0] ?? 0)), 1, 4);
    }

    [Fact]
    public void OnlyBoatsAreDunked()
    {
        foreach (var host in HostLibrary.All)
            Assert.Equal(host.Kind == "boat", host.Motion.Cases(Going.Average).Any(c => c.Dunk));
    }

    [Fact] // common practice, no source: on a small boat the clip's hinge is what gives first
    public void OnABoatTheWaveAtTheClipDecidesAndGoesWithTheSquareOfTheSpeed()
    {
        var rig = Recipe("gear-rail-boom");
        var slow = Assess(rig).Checks.Single(c => c.Id == "head-joint.torque");
        Assert.Equal("a wave over the camera", slow.Case);
        // The weight is in it, too; the water is all but all of it.
        var own = HostLibrary.Find(rig.Host)!.Motion.Wave(rig.Run.Road).Speed(0);
        Near.Share(Math.Pow((2 * rig.Run.Speed + own) / (rig.Run.Speed + own), 2),
            Assess(rig with { Run = rig.Run with { Speed = 2 * rig.Run.Speed } }).Checks.Single(c => c.Id == "head-joint.torque").Use
                / slow.Use, 0.03);
    }

    [Fact]
    public void AnAeroplanesPropellerShowsInThePicture()
    {
        var rig = Recipe("tie-down-block");
        var report = Shaker.Of(rig, Catalogue.Shipped);
        // Two blades on a four-cylinder: both meet at the same note.
        var blades = report.Steady.Single(s => s.Label == "propeller, blades");
        Near.Share(report.Steady.Single(s => s.Label == "engine, firing").Frequency, blades.Frequency, 1e-9);
        var idle = Shaker.Of(rig with { Run = rig.Run with { Rpm = 0 } }, Catalogue.Shipped);
        Assert.Empty(idle.Steady);
        Assert.True(idle.Picture.Numbers[1].Pixels < report.Picture.Numbers[1].Pixels);
    }

    [Fact]
    public void SmoothAirIsCalmerThanRough()
    {
        var rig = Recipe("strut-clamps");
        double Smear(Going g) => Shaker.Of(rig with { Run = rig.Run with { Road = g } }, Catalogue.Shipped).Picture.Numbers[1].Pixels;
        Assert.True(Smear(Going.Smooth) < Smear(Going.Average) && Smear(Going.Average) < Smear(Going.Rough));
    }

    [Fact] // common practice, no source: two hands wide apart are what steadies a pole
    public void TwoHandsWideApartHoldWhatOneCannot()
    {
        var rig = Recipe("hand-pole");
        double Use(double hands, double apart) => Assess(rig with
        {
            Base = new HandGrip
            {
                Hands = hands,
                Apart = apart
            }
        }).Checks.Single(c => c.Id == "base-hold.hand").Use;
        Assert.True(Use(1, 0.5) > 2 * Use(2, 0.5), $"{Use(1, 0.5)} against {Use(2, 0.5)}");
        Assert.True(Use(2, 0.2) > Use(2, 0.6));
    }

    [Fact]
    public void HandsWorkedOutByHand()
    {
        var rig = Recipe("hand-pole");
        var (model, report) = (new RigModel(rig, Catalogue.Shipped), Assess(rig));
        var (state, spring) = (model.State([]), model.Built.Holds.Single().Spring);
        // For a moment 150 N a hand and 8 N·m a wrist, against wind for minutes 50 N and 3 N·m; and the couple of two hands half a metre
        // apart.
        var worst = model.Built.Host.Motion.Cases(rig.Run.Road).Where(c => !c.AtRest).Max(c =>
        {
            var (force, moment) = model.Forces(state, c, rig.Run.Speed)!.Spring(spring);
            return c.Id.StartsWith("cruise", StringComparison.Ordinal) ? force.Length / 100 + moment.Length / (6 + 25)
                : force.Length / 300 + moment.Length / (16 + 75);
        });
        Near.Share(worst, report.Checks.Single(c => c.Id == "base-hold.hand").Use, 1e-9);
    }

    [Fact]
    public void ALongerPoleBendsMoreAndWhipsSlower()
    {
        var rig = Recipe("hand-pole");
        (double Use, double First) Of(double length)
        {
            var report = Assess(rig with { Reach = ((TelescopingPole)rig.Reach) with { Length = length } });
            return (report.Checks.Single(c => c.Id == "pole-low.strength").Use, report.Frequencies[0]);
        }
        Assert.True(Of(4).Use > 1.5 * Of(2).Use);
        Assert.True(Of(4).First < Of(2).First);
    }

    [Fact]
    public void ThePolesLockTurnsUnderACameraOffItsAxis()
    {
        var rig = Recipe("gear-rail-boom");
        var pole = (TelescopingPole)rig.Reach;
        var use = Assess(rig).Checks.Single(c => c.Id == "pole-lock.turn").Use;
        Near.Share(use / 2, Assess(rig with { Reach = pole with { LockTorque = 2 * pole.LockTorque } }).Checks.Single(c => c.Id
            == "pole-lock.turn").Use, 1e-9);
    }

    [Fact]
    public void NothingButHandsHoldsInHands()
    {
        var rig = Recipe("hand-pole");
        Assert.Equal(["hand-grip"], Survey.Options(rig, Catalogue.Shipped).Where(o => o.Reason is null).Select(o => o.Kind));
        Assert.DoesNotContain(Survey.Options(Recipe("gear-rail-boom"), Catalogue.Shipped), o => o.Kind == "hand-grip" && o.Reason is null);
        Assert.DoesNotContain(Survey.Options(Recipe("gear-rail-boom"), Catalogue.Shipped), o => o.Kind == "single-magnet" && o.Reason
            is null);
    }

    [Fact]
    public void WhatStandsInThePropellerIsRefused()
    {
        var rig = Recipe("cabin-tube");
        var reaching = rig with { Reach = new TelescopingPole { Length = 1.6, Lean = 1.57 } };
        Assert.DoesNotContain(Assess(rig).Findings, f => f.Blocks);
        Assert.Contains(Assess(reaching).Findings, f => f.Blocks && f.Text.Contains("propeller disc"));
    }

    [Theory]
    [InlineData("tie-down-block", "the aeroplane")]
    [InlineData("gear-rail-boom", "the boat")]
    [InlineData("hand-pole", "your hands")]
    [InlineData("cup-and-arm", "the car")]
    public void TextsNameTheHost(string recipe, string called)
    {
        var rig = Recipe(recipe) with { Tethers = [] };
        Assert.Contains(Assess(rig).LetGo, l => l.Says == $"nothing keeps it on {called}");
    }

    [Fact]
    public void HostsOfAKindShareNoSiteUnderTheWrongForm()
    {
        Assert.All(HostLibrary.All.Where(h => h.Kind is "aeroplane" or "boat" or "person"), h =>
        {
            Assert.All(h.Sites, s => Assert.True(Vec3.From(h.Surface(s).Normal.ToArray()).Length > 0.999));
            Assert.NotEmpty(h.Motion.Over.Of(Going.Rough));
            Assert.True(h.Shake.Band.Low < h.Shake.Band.High);
        });
        Assert.IsType<HandGrip>(Recipe("hand-pole").Base);
        Assert.IsType<ClipHead>(Recipe("hand-pole").Head);
    }
}
