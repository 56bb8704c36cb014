using Ochema.Core.Analysis;
using Ochema.Core.Assessment;
using Ochema.Core.Hosts;
using Ochema.Core.Kinds;
using Ochema.Core.Kinds.Bases;
using Ochema.Core.Kinds.Braces;
using Ochema.Core.Kinds.Heads;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Assessment;

/// <summary>What is missing comes before what holds: retentions by class, answers, worth, what is refused by name.</summary>
public class RetentionVerdictTests
{
    private static RigDocument Recipe(string id) => RecipeLibrary.All.First(r => r.Id == id).Document;

    private static AssessmentReport Assess(RigDocument rig) => Assessor.Assess(rig, Catalogue.Shipped);

    private static RigDocument In(RigDocument rig, Consequence c) => rig with { Run = rig.Run with { Consequence = c } };

    [Theory]
    [InlineData(Consequence.PublicWay, Verdict.LetsGo)]
    [InlineData(Consequence.OnPeople, Verdict.LetsGo)]
    [InlineData(Consequence.DeepWater, Verdict.LetsGo)]
    [InlineData(Consequence.OwnGround, Verdict.Holds)]
    [InlineData(Consequence.InsideHost, Verdict.Holds)]
    public void WhatIsKeptByTooLittleIsNeverSaidToHold(Consequence c, Verdict word)
    {
        var rig = Recipe("bolted-roof") with { Tethers = [] };
        var verdict = Assess(In(rig, c)).Verdict;
        Assert.Equal(word, verdict.Word);
        if (word == Verdict.Holds)
            return;
        Assert.Equal(Why.Missing, verdict.Why);
        // What a hand has tightened does not count above people.
        Assert.StartsWith(c == Consequence.OnPeople ? "Camera: 0 of" : "Camera: 1 of", verdict.Text);
        Assert.Contains("tether", verdict.Missing![0]);
    }

    [Theory] // what the finding says to add can be added, and then it is enough: by class
    [InlineData("cup-and-arm", Consequence.PublicWay)]
    [InlineData("bolted-roof", Consequence.PublicWay)]
    [InlineData("cup-plate-low-head", Consequence.PublicWay)]
    [InlineData("strut-clamps", Consequence.OnPeople)]
    [InlineData("tie-down-block", Consequence.OnPeople)]
    [InlineData("bolted-roof", Consequence.OnPeople)]
    public void WhatIsAskedForCanBeDone(string recipe, Consequence c)
    {
        var rig = In(Recipe(recipe) with { Tethers = [] }, c);
        for (var i = 0; i < 4 && Assess(rig).Retentions.FirstOrDefault(r => r.Has < r.Needs) is { } few; i++)
        {
            var b = RigAssembly.Build(rig, Catalogue.Shipped);
            var plan = TetherPlan.Best(b, TetherPoint.Camera, b.MassFrom(few.Station), rig.Run.Speed);
            Assert.True(plan is not null, $"{recipe}: nothing on the shelf keeps {few.Piece}");
            rig = TetherPlan.With(b, plan.Value.Tether);
        }
        Assert.All(Assess(rig).Retentions, r => Assert.True(r.Has >= r.Needs, $"{recipe}: {r.Piece} {r.Has} of {r.Needs}"));
    }

    [Fact]
    public void ATetherThatBreaksAsItCatchesDoesNotCount()
    {
        var rig = Recipe("cup-plate-low-head");
        Assert.Contains("tether", Assess(rig).Retentions.Single(r => r.Piece == "Camera").By);
        var wire = rig with { Tethers = [rig.Tethers[0] with { Stock = "wire-2" }, .. rig.Tethers.Skip(1)] };
        var camera = Assess(wire).Retentions.Single(r => r.Piece == "Camera");
        Assert.Equal(["its screw"], camera.By);
        Assert.Contains("does not count", camera.Add);
        Assert.Equal(Verdict.LetsGo, Assess(wire).Verdict.Word);
    }

    [Fact]
    public void ATetherKeepsWhatLiesBetweenItsKnotAndTheHost()
    {
        var rig = Recipe("cup-plate-riser");
        RetentionReport Piece(TetherPoint from, string piece) =>
            Assess(rig with { Tethers = [rig.Tethers[0] with { From = from }, .. rig.Tethers.Skip(1)] }).Retentions.Single(r => r.Piece == piece);
        Assert.Contains("tether", Piece(TetherPoint.Camera, "Reach").By);
        Assert.Contains("tether", Piece(TetherPoint.Head, "Head").By);
        Assert.DoesNotContain("tether", Piece(TetherPoint.Head, "Camera").By);
        Assert.DoesNotContain("tether", Piece(TetherPoint.Reach, "Head").By);
    }

    [Fact]
    public void ALanyardToTheRigsOwnBaseKeepsTheCameraAndNotTheBase()
    {
        var report = Assess(Recipe("hand-pole"));
        Assert.Contains("tether", report.Retentions.Single(r => r.Piece == "Camera").By);
        Assert.DoesNotContain("tether", report.Retentions.Single(r => r.Station.Is("base")).By);
    }

    [Fact]
    public void OneCupUnderACostlyCameraIsRefusedByName()
    {
        var rig = Recipe("cup-and-arm");
        Assert.NotEqual(Why.Refused, Assess(rig).Verdict.Why);
        var costly = Assess(rig with { Camera = rig.Camera with { Worth = 3000 } });
        Assert.Equal((Verdict.LetsGo, Why.Refused), (costly.Verdict.Word, costly.Verdict.Why));
        Assert.Contains("cup", costly.Verdict.Text);
        var plate = Recipe("cup-plate-low-head");
        Assert.NotEqual(Why.Refused, Assess(plate with { Camera = plate.Camera with { Worth = 3000 } }).Verdict.Why);
    }

    [Fact]
    public void GlueAloneIsRefusedExceptOnAHeadThatItMustComeOff()
    {
        var car = RigFiles.CupAndArm() with { Base = new AdhesiveBase() };
        Assert.Contains(Assess(car).Findings, f => f.Blocks && f.Text.StartsWith("Glue alone", StringComparison.Ordinal));
        Assert.DoesNotContain(Assess(RigFiles.Tied(car)).Findings, f => f.Blocks
            && f.Text.StartsWith("Glue alone", StringComparison.Ordinal));
        Assert.DoesNotContain(Assess(Recipe("helmet-stuck")).Findings, f => f.Blocks);
    }

    [Fact]
    public void GlassIsNeverLoadedByAHold()
    {
        var rig = RigFiles.CupAndArm();
        var glass = Assess(rig with { Site = rig.Site with { Material = "glass" } });
        Assert.Equal(Why.Refused, glass.Verdict.Why);
        Assert.Contains("glass is never loaded", glass.Verdict.Text);
    }

    [Theory]
    [InlineData("strut-clamps", "signed")]
    [InlineData("hand-pole", "power lines")]
    public void QuestionsAreAnsweredBeforeItHolds(string recipe, string asks)
    {
        var rig = Recipe(recipe);
        var open = Assess(rig).Verdict;
        Assert.Equal((Verdict.Tight, Why.Unanswered), (open.Word, open.Why));
        Assert.Contains(asks, open.Text);
        var yes = new SiteSurvey { SignedOff = Answer.Yes, PowerLines = Answer.Yes, NobodyBelow = Answer.Yes };
        Assert.Equal(Verdict.Holds, Assess(rig with { Survey = yes }).Verdict.Word);
        var no = Assess(rig with { Survey = yes with { SignedOff = Answer.No, PowerLines = Answer.No } }).Verdict;
        Assert.Equal((Verdict.LetsGo, Why.Refused), (no.Word, no.Why));
    }

    [Fact] // deep water: it floats or it is tethered
    public void WhatFloatsIsNotLostInDeepWater()
    {
        var rig = In(Recipe("foredeck-cup") with { Tethers = [] }, Consequence.DeepWater);
        Assert.Equal(Verdict.LetsGo, Assess(rig).Verdict.Word);
        Assert.Equal(Verdict.Holds, Assess(rig with { Survey = rig.Survey with { Floats = Answer.Yes } }).Verdict.Word);
    }

    [Fact]
    public void AStrutOverPeopleNeedsALanyard()
    {
        var rig = In(RigFiles.CupAndArm((0.24, 0.34)), Consequence.OnPeople);
        Assert.Equal(2, Assess(rig).Retentions.Single(r => r.Station.IsBrace).Has);
        var tied = rig with { Braces = [.. rig.Braces.OfType<Strut>().Select(s => s with { Lanyard = Answer.Yes })] };
        Assert.Equal(3, Assess(tied).Retentions.Single(r => r.Station.IsBrace).Has);
    }

    [Fact]
    public void LinksOfThePathAndPairsOfHoldsAreAmongTheLetGoCases()
    {
        var report = Assess(Recipe("pan-rig"));
        Assert.Equal(["the crossing clamp", "the sprung arm", "the head"], report.LetGo.Where(l => l.Kind == "link")
            .Select(l => l.Title["Without ".Length..]));
        var plate = Assess(Recipe("cup-plate-low-head"));
        var pair = plate.LetGo.Single(l => l.Kind == "two-holds");
        // Two gone is worse than any one gone, and is the worst of all pairs.
        Assert.True(pair.Use >= plate.LetGo.Where(l => l.Kind == "hold").Max(l => l.Use));
        var model = new RigModel(Recipe("cup-plate-low-head"), Catalogue.Shipped);
        var driving = Assessor.Driving(model);
        foreach (var (a, b) in new[] { (1, 2), (1, 3), (1, 4), (2, 3), (2, 4), (3, 4) })
        {
            string[] gone = [$"hold-{a}", $"hold-{b}"];
            var worst = new LimitSpeed(model, model.State(gone), driving)
                .At([.. model.Built.Checks.Where(c => c.Station == StationId.Base && c is { Fixed: false, Sort: CheckSort.Strength }
                    && !gone.Contains(c.Part))],
                model.Built.Rig.Run.Speed).Use;
            Assert.True(worst <= pair.Use * 1.02, $"{a} and {b}: {worst} against {pair.Use}");
        }
    }

    [Fact]
    public void AServiceCheckIsTightAtTheMostAndTighteningIsNoUse()
    {
        var rig = RigFiles.Tied(RigFiles.Plate(new Core.Kinds.Holds.Cup(), 2));
        var soft = Assess(rig with { Site = rig.Site with { StiffnessFactor = 0.05 } });
        var flex = soft.Checks.Where(c => c.Id.EndsWith(".flex", StringComparison.Ordinal)).MaxBy(c => c.Use)!;
        Assert.True(flex.Use > 1 && flex.Verdict == Verdict.Tight && flex.LimitSpeed is null);
        Assert.DoesNotContain(soft.Flags, f => f.Check == flex.Id);
        var tight = soft.Checks.First(c => c.Sort == CheckSort.Tightening);
        Assert.True(tight.Use is > 0.05 and < 1 && tight.Counts == 0 && tight.Verdict == Verdict.Holds);
        Assert.NotEqual(tight.Id, soft.Verdict.Check);
    }

    [Fact] // T ÷ (K·d) against proof: a drill on a small screw
    public void OverTighteningIsAFailureOfItsOwn()
    {
        var rig = Recipe("bolted-roof");
        Assert.DoesNotContain(Assess(rig).Checks, c => c.Sort == CheckSort.Tightening && c.Counts > 0);
        var drilled = Assess(rig with
        {
            Joints = new Dictionary<string,
            Core.Joints.JointChoice>
            { ["host-screw"] = new() { By = Core.Joints.TightenedBy.Drill } }
        });
        var over = drilled.Checks.Single(c => c.Id == "host-screw.tight");
        var screw = Catalogue.Shipped.Find<Fastener>("fasteners", "m6");
        Assert.True(over.Use >= 30 / (0.2 * 0.006) / screw.ProofLoad - 1e-9);
        Assert.Equal(Verdict.LetsGo, drilled.Verdict.Word);
    }

    [Fact]
    public void AShoveThatTurnsAnArmIsNotCalledLettingGo()
    {
        var report = Assess(Recipe("cup-and-arm-braced"));
        Assert.Equal(Verdict.Tight, report.Knock.Word);
        Assert.Contains("aim it again", report.Knock.Text);
        // A bag that is shoved over is another matter.
        Assert.IsType<FluidHead>(Recipe("window-slot").Head);
    }

    [Theory]
    [MemberData(nameof(RigFiles.Names), MemberType = typeof(RigFiles))]
    public void EveryShippedRigIsOneABuilderWouldBuild(string name)
    {
        var report = Assess(RigFiles.Named(name));
        Assert.NotEqual(Verdict.LetsGo, report.Verdict.Word);
        Assert.All(report.Retentions, r => Assert.True(r.Has >= r.Needs, $"{name}: {r.Piece}"));
        Assert.DoesNotContain(report.Findings, f => f.Blocks);
    }
}
