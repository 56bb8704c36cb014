using Ochema.Core.Assessment;
using Ochema.Core.Kinds.Bases;
using Ochema.Core.Quantities;
using Ochema.Core.Search;
using Ochema.Core.Stock;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Assessment;

/// <summary>The inverse answers: what they say must be so when taken, and a little more must not.</summary>
public class InverseTests
{
    [Theory]
    [MemberData(nameof(RigFiles.Names), MemberType = typeof(RigFiles))]
    public void EveryAnswerTakenStaysWithinTheShareAskedFor(string name)
    {
        var rig = RigFiles.Named(name);
        var answers = Inverse.Of(rig, Catalogue.Shipped);
        Assert.Contains(answers, a => a.Id == "camera.mass");
        foreach (var a in answers.Where(a => a.Document is not null))
        {
            var use = Assessor.Quick(a.Document!, Catalogue.Shipped, modes: false).Use;
            Assert.True(use <= Judge.TightFrom + 1e-9, $"{name} {a.Id}: {use}");
            Assert.Equal(use, a.Use, 1e-9);
        }
    }

    [Fact]
    public void AlittleMoreThanTheGreatestHeightDoesNotHold()
    {
        var rig = RigFiles.Named("cup-plate-riser");
        var height = Inverse.Of(rig, Catalogue.Shipped).Single(a => a.Id == "reach.height");
        var riser = Assert.IsType<Core.Kinds.Reaches.Riser>(height.Document!.Reach);
        Assert.Equal(height.Value!.Value, riser.Height, 1e-12);
        var more = Assessor.Quick(rig with { Reach = riser with { Height = riser.Height + 0.005 } }, Catalogue.Shipped, modes: false).Use;
        Assert.True(more > Judge.TightFrom, $"{riser.Height}: {more}");
        Assert.NotEqual("", height.By);
    }

    [Fact]
    public void AskingForMoreMarginGivesLessOfEverything()
    {
        var rig = RigFiles.Named("cup-plate-riser");
        var (at80, at40) = (Inverse.Of(rig, Catalogue.Shipped, 0.8), Inverse.Of(rig, Catalogue.Shipped, 0.4));
        foreach (var (a, b) in at80.Zip(at40).Where(p => p.First.Dimension != Dimension.Count))
            Assert.True((b.Value ?? 0) <= (a.Value ?? 0), $"{a.Id}: {b.Value} against {a.Value}");
        var (few, many) = (at80.Single(a => a.Id == "base.count"), at40.Single(a => a.Id == "base.count"));
        Assert.True((many.Value ?? double.MaxValue) >= few.Value);
    }

    [Fact]
    public void OneHoldThatIsNotEnoughBecomesAPlateOfTheSame()
    {
        var rig = RigFiles.CupAndArm() with { Camera = RigFiles.CupAndArm().Camera with { Mass = 1.2 } };
        var fewest = Inverse.Of(rig, Catalogue.Shipped, 1).Single(a => a.Id == "base.count");
        Assert.Equal(1, fewest.Now);
        if (fewest.Document is { } taken)
            Assert.Equal(fewest.Value, taken.Base is HoldPlate p ? p.Count : 1);
        Assert.True(Assessor.Quick(rig, Catalogue.Shipped, modes: false).Use > 1 == (fewest.Value != 1));
    }
}
