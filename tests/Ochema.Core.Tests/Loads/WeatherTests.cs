using Ochema.Core.Analysis;
using Ochema.Core.Assessment;
using Ochema.Core.Hosts;
using Ochema.Core.Json;
using Ochema.Core.Kinds;
using Ochema.Core.Kinds.Bases;
using Ochema.Core.Loads;
using Ochema.Core.Making;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Structure;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Loads;

/// <summary>Rain and ice: by published formulas, by what the frame carries, and for every shipped rig.</summary>
public sealed class WeatherTests
{
    public static TheoryData<string> Names => RigFiles.Names;

    private static RigDocument In(RigDocument rig, Rain rain, double ice = 0) => rig with { Run = rig.Run with { Rain = rain, Ice = ice } };

    [Theory] // area of ice on a round member, π·t·(d + t) (ASCE 7 ch. 10), against the difference of two circles; glaze of 900 kg/m³
    [InlineData(0.025, 0.0125)]
    [InlineData(0.010, 0.050)]
    [InlineData(0.219, 0.006)]
    public void IceIsAPipeRoundTheMember(double across, double ice)
    {
        var ring = Math.PI / 4 * (Math.Pow(across + 2 * ice, 2) - across * across);
        Near.Share(900 * ring, new Coat(ice, 0).Along(across), 1e-12);
        // A cube of 10 cm: a plate of ice on each face, and silhouettes that are wider all round.
        Near.Share(900 * ice * 6 * 0.01, new Coat(ice, 0).On(Coat.Surface([0.01, 0.01, 0.01])), 1e-12);
        Near.Share(Math.Pow(0.1 + 2 * ice, 2), new Coat(ice, 0).Grown(0.01), 1e-12);
    }

    [Fact] // exponential spectrum N₀·e^(−Λ·D) of Marshall and Palmer (1948), summed over its drops
    public void RainIsAsManyDropsAsItsSpectrumHas()
    {
        foreach (var rain in new[] { Rain.Steady, Rain.Downpour })
        {
            var slope = 4.1 * Math.Pow(Rainfall.Rate(rain), -0.21);
            var (drops, water) = (0.0, 0.0);
            const double step = 0.001;
            for (var d = step / 2; d < 20; d += step)
            {
                drops += 8000 * Math.Exp(-slope * d) * step;
                water += 8000 * Math.Exp(-slope * d) * Math.PI / 6 * Math.Pow(d * 1e-3, 3) * 1000 * step;
            }
            Near.Share(drops, Rainfall.Drops(rain), 1e-3);
            // Their own fit of the water, M = 72·R^0.88, lies within a quarter of the spectrum's.
            Near.Share(water, Rainfall.WaterInAir(rain), 0.25);
        }
        Assert.InRange(Rainfall.Falls, 5, 6); // 5.4 m/s for 1.5 mm (Gunn and Kinzer, 1949; from memory)
        Assert.Equal(0, Rainfall.Push(Rain.None, 30));
        Assert.Null(Rainfall.Seen(Rain.None));
    }

    [Theory, MemberData(nameof(Names))] // each mass of what clings is on the list and hangs on the frame, and weighs on the ground under it
    public void WhatClingsIsListedAndCarried(string name)
    {
        var dry = RigAssembly.Build(RigFiles.Named(name), Catalogue.Shipped);
        foreach (var (rain, ice) in new[] { (Rain.Downpour, 0.0), (Rain.None, 0.01), (Rain.Steady, 0.03) })
        {
            var b = RigAssembly.Build(In(RigFiles.Named(name), rain, ice), Catalogue.Shipped);
            var frame = b.MassOf(_ => true).Mass - dry.MassOf(_ => true).Mass;
            var listed = b.Parts.Where(p => p.Sort == PieceSort.Caught).Sum(p => p.Mass);
            Assert.Equal(frame, listed, 1e-9);
            // A counterweight, which is none of the rig, grows with what it is against.
            double Own(BuiltRig x) => x.Parts.Where(p => p.Station != StationId.Site).Sum(p => p.Mass * p.Quantity);
            Assert.Equal(Own(b) - Own(dry), listed, 1e-9);
            Assert.Equal(b.Weather.Coat.IsNone, listed == 0);
            // The camera's own checks know it as well.
            if (!b.Weather.Coat.IsNone)
                Assert.True(b.Camera.Mass > dry.Camera.Mass);
        }
    }

    [Theory, MemberData(nameof(Names))]
    public void EveryRigHasAVerdictInAnyWeatherAndNothingToBuyForIt(string name)
    {
        var rig = RigFiles.Named(name);
        var dry = Assessor.Assess(rig, Catalogue.Shipped);
        foreach (var (rain, ice) in new[] { (Rain.Steady, 0.0), (Rain.Downpour, 0.05), (Rain.None, 0.005) })
        {
            var wet = Assessor.Assess(In(rig, rain, ice), Catalogue.Shipped);
            Assert.True(double.IsFinite(wet.Verdict.Use));
            // Whatever is estimated in such weather says so.
            Assert.True(wet.Mass == dry.Mass || !wet.Verdict.Text.Contains("Planning estimate:", StringComparison.Ordinal),
                wet.Verdict.Text);
            // Heavier all over it answers more slowly; only a rope is the stiffer the more it carries.
            if (rig.Base is not RopeCarriage && dry.Frequencies.Count > 0 && wet.Frequencies.Count > 0)
                Assert.True(wet.Frequencies[0] <= dry.Frequencies[0] * (1 + 1e-9), $"{wet.Frequencies[0]} {dry.Frequencies[0]}");
            bool Says(string what) => wet.Findings.Any(f => f.Text.Contains(what, StringComparison.Ordinal));
            Assert.Equal(wet.Mass > dry.Mass, Says("rain") || Says("ice all round"));
            Assert.DoesNotContain(Maker.Of(In(rig, rain, ice), Catalogue.Shipped).Parts, p => p.Sort == PieceSort.Caught);
        }
    }

    [Theory] // what comes into no cabin changes nothing of what stands in it
    [InlineData("cabin-tube")]
    [InlineData("roll-hoop")]
    [InlineData("dashboard-pan")]
    public void NothingReachesWhatStandsInside(string name)
    {
        var rig = RigFiles.Named(name);
        var wet = Assessor.Assess(In(rig, Rain.Downpour, 0.02), Catalogue.Shipped);
        Assert.Equal(StrictJson.Write(Assessor.Assess(rig, Catalogue.Shipped)), StrictJson.Write(wet));
    }

    [Fact] // drops on a camera at 30 m/s by hand: M·v² on its front, beside the wind on it
    public void RainPushesWithTheWaterThatItStops()
    {
        var rig = RigFiles.CupAndArm();
        var model = new RigModel(In(rig, Rain.Downpour), Catalogue.Shipped);
        var b = model.Built;
        var ahead = model.Cases.First(c => c.Wind == 0);
        var body = b.Faces.First(f => f.Node == b.Camera.Node);
        Vec3 Pushed(RigModel m) => m.Document(ahead, 30, "c", []).Loads.Where(l => l.Node == b.NodeId(b.Camera.Node))
            .Aggregate(Vec3.Zero, (s, l) => s + Vec3.From(l.F!));
        var more = Pushed(model) - Pushed(new RigModel(rig, Catalogue.Shipped));
        var meets = 30 * rig.Site.WindFactor + rig.Run.HeadWind + rig.Run.Gust;
        Near.Share(72e-6 * Math.Pow(50, 0.88) * meets * meets / Drag.Cube * body.BoxForce(-Vec3.UnitX).Length, more.Length, 1e-9);
        var told = model.Forces(model.State([]), ahead, 30)!.Split(b.Holds[0].Spring).Select(s => s.Label).ToList();
        Assert.Contains("rain", told);
    }

    [Fact] // iced members are wider, and too rough to lose their drag at speed
    public void IceMakesMembersWiderToTheWind()
    {
        var rig = RigFiles.Named("wing-row");
        Assert.Contains("wing-row", RecipeLibrary.All.Select(r => r.Id));
        var (bare, iced) = (RigAssembly.Build(rig, Catalogue.Shipped), RigAssembly.Build(In(rig, Rain.None, 0.01), Catalogue.Shipped));
        foreach (var (one, other) in bare.Faces.Zip(iced.Faces).Where(f => f.First.IsOnMember))
        {
            Assert.Equal(one.Width + 0.02, other.Width, 1e-12);
            Assert.True(other.Rough);
        }
    }

    [Fact] // rough or dirty ground is no drier for it
    public void WhatIsNotCleanIsSlipperyInRainAsWell()
    {
        var site = RigFiles.Panel("bonnet");
        var weather = RigAssembly.Build(In(RigFiles.CupAndArm(), Rain.Steady), Catalogue.Shipped).Weather;
        foreach (var surface in Enum.GetValues<SurfaceState>())
        {
            Assert.Equal(0.3, weather.Today(site with { Surface = surface }).Rubs(0.5), 1e-12);
            Assert.NotEmpty(weather.Today(site with { Surface = surface }).RubsWhy);
        }
    }

    [Theory] // nor do a window's edge, a hand or an open boat keep anything dry
    [InlineData("window-slot")]
    [InlineData("tall-pole")]
    [InlineData("9-skiff-ferryman")]
    public void WhatIsInTheWindIsInTheRain(string name) =>
        Assert.Equal(Rain.Steady, RigAssembly.Build(In(RigFiles.Named(name), Rain.Steady), Catalogue.Shipped).Weather.Rain);

    [Fact] // a friction that was listed for what is dry is less in rain, and the place itself is told as it was
    public void WhatIsCleanAndDryIsWetInRain()
    {
        var rig = RigFiles.CupAndArm();
        Assert.Equal(SurfaceState.CleanDry, rig.Site.Surface);
        var (wet, rained) = (rig with { Site = rig.Site with { Surface = SurfaceState.Wet } }, In(rig, Rain.Steady));
        double Slides(RigDocument r) => Assessor.Assess(r, Catalogue.Shipped).Checks.Single(c => c.Id == "base-hold.slide").Use;
        Assert.True(Slides(wet) > 1.2 * Slides(rig));
        Near.Share(Slides(wet), Slides(rained), 0.02);
        Assert.Equal(SurfaceState.CleanDry, RigAssembly.Build(rained, Catalogue.Shipped).Rig.Site.Surface);
    }
}
