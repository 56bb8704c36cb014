using Ochema.Core.Analysis;
using Ochema.Core.Assessment;
using Ochema.Core.Kinds.Holds;
using Ochema.Core.Rigs;
using Ochema.Core.Search;
using Ochema.Core.Sharpness;
using Ochema.Core.Stock;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Sharpness;

/// <summary>The picture's words by the viewer's eye, its floor, and what the trade knows of cups, struts, plates and risers.</summary>
public class PictureWordTests
{
    private static RigDocument Recipe(string id) => RecipeLibrary.All.First(r => r.Id == id).Document;

    private static PictureWords Words(RigDocument rig) => Shaker.Words(new RigModel(rig, Catalogue.Shipped));

    private static PictureNumber Number(RigDocument rig, string id) => Words(rig).Numbers.Single(n => n.Id == id);

    private static RigDocument At(RigDocument rig, double kmh) =>
        rig with { Run = rig.Run with { Speed = kmh / 3.6 }, Camera = rig.Camera with { Subject = null } };

    [Fact] // one arc minute at three picture heights: 1/1920 of the width (ITU-R BT.1845)
    public void TheFirstWordEndsNearWhatTheEyeResolves()
    {
        var (first, _) = Shaker.Limits("smear", 3840);
        Near.Share(3840.0 / 1920, first, 0.05);
        Assert.Equal((1920 / 2000.0, 1920 / 600.0), Shaker.Limits("wobble", 1920));
        Assert.Equal((3840 / 2000.0, 3840 / 400.0), Shaker.Limits("shake", 3840));
    }

    [Theory]
    [MemberData(nameof(RigFiles.Names), MemberType = typeof(RigFiles))]
    public void OneOwnerSaysWhetherItIsSharp(string name)
    {
        var report = Assessor.Assess(RigFiles.Named(name), Catalogue.Shipped);
        var (shake, smear, wobble) = (report.Sharpness.Numbers[0], report.Sharpness.Numbers[1], report.Sharpness.Numbers[2]);
        Assert.Equal((Sharp)Math.Max((int)smear.Word, (int)wobble.Word), report.Sharpness.Word);
        Assert.True(shake.Word >= Sharp.Steady, "shake has words of its own: rough is not unusable");
        Assert.All(report.Sharpness.Numbers, n => Near.Share(n.Pixels * n.Pixels, n.Floor * n.Floor + n.Mount * n.Mount, 1e-9));
        // The frequency is a sentence of advice that judges nothing.
        Assert.DoesNotContain("unusable", report.Picture.Text);
    }

    [Fact] // common practice, no source: the trade's story of the cup and arm at 90 km/h
    public void UnbracedItIsUnusableWithTwoStrutsItIsSharp()
    {
        Assert.Equal(Sharp.Unusable, Words(RigFiles.Named("1-bonnet-close-up")).Word);
        Assert.Equal(Sharp.Sharp, Words(RigFiles.Named("2-bonnet-close-up-braced")).Word);
        Assert.True(Number(At(Recipe("cup-and-arm"), 90), "smear").Word != Sharp.Sharp);
    }

    [Theory] // common practice, no source: plates on four holds with a low head are solid; what is seen is the car's nodding
    [InlineData("cup-plate-low-head")]
    [InlineData("magnet-plate-straps")]
    [InlineData("rail-table")]
    public void PlatesWithALowHeadAreAtMostSoftAndAddLittleToTheFloor(string recipe)
    {
        var rig = At(Recipe(recipe), 80);
        Assert.NotEqual(Sharp.Unusable, Words(rig).Word);
        var shake = Number(rig, "shake");
        Assert.True(shake.Pixels < 1.4 * shake.Floor, $"{shake.Pixels} with a floor of {shake.Floor}");
    }

    [Fact]
    public void OnATallRiserTheMountIsMostOfWhatIsSeen()
    {
        var rig = At(Recipe("cup-plate-riser"), 60);
        var tall = rig with { Reach = ((Core.Kinds.Reaches.Riser)rig.Reach) with { Height = 0.35 } };
        var smear = Number(tall, "smear");
        Assert.True(smear.Mount > smear.Floor, $"{smear.Mount} against {smear.Floor}");
    }

    [Fact]
    public void ASubjectOnTheHostNodsWithIt()
    {
        var rig = At(Recipe("cup-plate-low-head"), 80);
        Assert.True(Number(rig, "shake").Floor > 0);
        Assert.Equal(0, Number(rig with { Camera = rig.Camera with { Subject = 1.9 } }, "shake").Floor);
    }

    [Fact]
    public void AdviceNeverStiffensWhatTheFloorRules()
    {
        var rig = At(Recipe("magnet-plate-straps"), 80) with { };
        var smear = Number(rig, "smear");
        Assert.True(smear.Floor * smear.Floor > 0.5 * smear.Pixels * smear.Pixels);
        Assert.DoesNotContain(ShakeAdvice.Of(rig, Catalogue.Shipped), a => a.Id.Contains("strut") || a.Id
            is "spread" or "no-reach" or "lower-riser");
        Assert.Contains(ShakeAdvice.Of(RigFiles.CupAndArm(), Catalogue.Shipped), a => a.Id == "two struts");
    }

    [Fact]
    public void WhatAStabiliserDoesIsSaidFromItsBand()
    {
        var rig = Recipe("cup-and-arm");
        var shake = Number(rig, "shake");
        Assert.True(shake.Without >= shake.Pixels);
        Assert.Contains("without", Words(rig).Text);
        // A rocking above its band is outside what it can do.
        Assert.Contains("quicker than", Words(rig).Text);
        var off = rig with { Camera = rig.Camera with { Stabiliser = Stabiliser.Off } };
        Near.Share(shake.Without, Number(off, "shake").Pixels, 1e-9);
    }

    [Fact]
    public void AHumIsToldNearTheDesignSpeedOnly()
    {
        var rig = RigFiles.Plate(new Cup(), 2, 0.6) with
        {
            Reach = new Core.Kinds.Reaches.Riser
            {
                Height = 0.6,
                Section = "tube-al-40x2"
            }
        };
        var model = new RigModel(rig, Catalogue.Shipped);
        bool Hums(double speed) => Hum.Findings(new RigModel(rig with { Run = rig.Run with { Speed = speed } }, Catalogue.Shipped),
            Words(rig) with { Word = Sharp.Soft }, speed).Any();
        var at = model.Modes[2].Frequency * 0.04 / 0.2 / rig.Site.WindFactor;
        Assert.True(Hums(at));
        Assert.False(Hums(0.1 * at));
    }
}
