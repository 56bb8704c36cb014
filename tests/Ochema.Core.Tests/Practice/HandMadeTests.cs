using Ochema.Core.Assessment;
using Ochema.Core.Joints;
using Ochema.Core.Kinds;
using Ochema.Core.Kinds.Bases;
using Ochema.Core.Kinds.Heads;
using Ochema.Core.Rigs;
using Ochema.Core.Search;
using Ochema.Core.Stock;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Practice;

/// <summary>A block with a quick pin where a bridle's wires meet, and a ball head out of a broken one.</summary>
public sealed class HandMadeTests
{
    private static readonly Catalogue Stock = Catalogue.Shipped;

    private static RigDocument Block(Func<PinBlock, PinBlock> change) =>
        RigFiles.Named("pin-block") is var rig ? rig with { Base = change((PinBlock)rig.Base) }
        : throw new InvalidOperationException();

    private static AssessmentReport Assess(RigDocument rig) => Assessor.Assess(rig, Stock);

    private static CheckReport Check(RigDocument rig, string id) => Assess(rig).Checks.Single(c => c.Id == id);

    private static double Term(CheckReport check, string symbol) => check.Working!.Terms.Single(t => t.Symbol == symbol).Value;

    [Fact] // common practice: what only friction keeps walks out
    public void APinThatNothingKeepsIsNoHold()
    {
        Assert.Equal(Verdict.LetsGo, Assess(Block(b => b with { Keeper = PinKeeper.Nothing })).Verdict.Word);
        Assert.NotEqual(Verdict.LetsGo, Assess(Block(b => b)).Verdict.Word);
        double Walks(PinKeeper k) => Check(Block(b => b with { Keeper = k }), "pin.stays").Use;
        Assert.True(Walks(PinKeeper.Clip) < Walks(PinKeeper.Elastic) && Walks(PinKeeper.Elastic) < Walks(PinKeeper.Ball));
        Near.Share(2, Check(Block(b => b with { Draws = 10 }), "pin.stays").Use / Check(Block(b => b with { Draws = 20 }), "pin.stays").Use,
            1e-6);
    }

    [Fact] // Shigley: P·l ÷ 8 over π·d³ ÷ 32; two planes of shear
    public void APinIsBentBetweenItsCheeksAndSheared()
    {
        var check = Check(Block(b => b), "pin.shear");
        var load = Term(check, "P");
        Near.Share(load * (0.005 + 2 * 0.015) / 8 / (Math.PI * Math.Pow(0.006, 3) / 32), Term(check, "B"), 1e-9);
        Near.Share(Math.PI * 9e-6, Term(check, "A"), 1e-9);
        // A thicker pin holds by about the cube of its size, until the cheeks give.
        Near.Share(Math.Pow(0.75, 3), Check(Block(b => b with { Pin = 0.008 }), "pin.shear").Use / check.Use, 0.1);
        var soft = Check(Block(b => b with { Pin = 0.013, Cheek = 0.005 }), "pin.shear");
        Assert.Contains("bearing", soft.Working!.Method, StringComparison.Ordinal);
    }

    [Fact]
    public void ATongueRattlesInTooWideASlotAndDoesNotGoIntoTooNarrowAOne()
    {
        Near.Share(Math.Atan(0.0003 / 0.045) / (0.5 * Math.PI / 180), Check(Block(b => b), "tongue.play").Use, 1e-9);
        Assert.True(Check(Block(b => b with { Shim = 0.001 }), "tongue.play").Use > 1);
        Assert.Equal(Verdict.Tight, Check(Block(b => b with { Shim = 0.001 }), "tongue.play").Verdict);
        var thin = Block(b => b);
        thin = thin with { Site = thin.Site with { Thickness = 0.003 } };
        Assert.Contains(Assess(thin).Findings, f => f.Blocks && f.Text.Contains("tongue is", StringComparison.Ordinal));
    }

    [Fact] // the fitting stands on its wires: drawn tighter it turns less; slack it is said
    public void TheFittingStandsOnItsWires()
    {
        double First(double pull) => Assess(Block(b => b with { Pull = pull })).Frequencies[0];
        Assert.True(First(4000) > 1.2 * First(500));
        Assert.Contains(Assess(Block(b => b with { Pull = 60 })).Findings, f => f.Text.Contains("all but slack", StringComparison.Ordinal));
        // Upright the two lower wires carry what the stay pulls.
        var b = RigAssembly.Build(Block(x => x), Stock);
        var springs = b.Model.Springs.Where(s => s.Id is "wire-left" or "wire-right").ToList();
        Assert.Equal(2, springs.Count);
        var length = Math.Sqrt(0.55 * 0.55 + 1.1 * 1.1 + 0.86 * 0.86);
        var across = 1000 * Math.Cos(0.34) / (2 * 0.86 / length) / Math.Sqrt(0.55 * 0.55 + 1.092 * 1.092 + 0.84 * 0.84);
        Assert.All(springs, s => Near.Share(across, s.K[1], 0.02));
    }

    [Fact]
    public void ElasticCordAndBlockAreSchoolsOfABridle()
    {
        foreach (var recipe in new[] { "pin-block", "bridle" })
        {
            var answers = Schools.Of(RigFiles.Named(recipe), Stock).SelectMany(s => s.Sides).Select(a => a.Title).ToList();
            Assert.Contains("Rigid block with a pin", answers);
            Assert.Contains("Elastic legs", answers);
        }
        // Without the pin nothing is left but the lanyard.
        Assert.Equal(Verdict.LetsGo, Assess(RigFiles.Named("pin-block")).LetGo.First(l => l.Gone.Contains("pin")).Verdict);
    }

    private static RigDocument OnBall(Func<BallInPlatesHead, BallInPlatesHead> change) =>
        RigFiles.Named("tree-arm") with { Head = change(new()) };

    [Fact] // statics; at 45° the rims are those of half shells
    public void ABallIsHeldByTheRimsOfItsHoles()
    {
        var even = new PlateGrip(1000, 0.03, 0.03 * Math.Sqrt(0.5), 0.3);
        Near.Share(new BallGrip(1000, 0.03, 0.3).Torque, even.Twist, 1e-9);
        Assert.Equal(even.Twist, even.Torque, 1e-12);
        Near.Share(0.03 * Math.Sqrt(0.5), even.Gap, 1e-9);
        // Every bit of both rims summed up in space, about an axis across.
        var grip = new PlateGrip(1000, 0.03, 0.024, 0.3);
        var (sum, n) = (0.0, 10_000);
        for (var i = 0; i < n; i++)
        {
            var sin = Math.Sin(2 * Math.PI * i / n);
            var (y, z) = (0.012 * sin, 0.015 * Math.Cos(grip.Angle));
            sum += 2 * 0.3 * (1000 / Math.Cos(grip.Angle) / n) * Math.Sqrt(y * y + z * z);
        }
        Near.Share(sum, grip.Tip, 1e-3);
        Assert.True(new PlateGrip(1000, 0.03, 0.01, 0.3).Torque < even.Torque);
    }

    [Fact]
    public void ABallHeadOfPlatesHoldsByItsScrewsUntilItsPlatesSplit()
    {
        var (loose, tight) = (OnBall(h => h with { Tightened = 0.2 }), OnBall(h => h with { Tightened = 0.6 }));
        Near.Share(3, Check(loose, "head-joint.torque").Use / Check(tight, "head-joint.torque").Use, 0.02);
        Assert.True(Check(tight, "head-joint.plate").Use > 2 * Check(loose, "head-joint.plate").Use);
        Assert.Equal(Verdict.LetsGo, Assess(OnBall(h => h with { Tightened = 3 })).Verdict.Word);
        Assert.Equal(Verdict.Holds, Assess(OnBall(h => h)).Checks.Single(c => c.Id == "head-joint.plate").Verdict);
        Assert.Contains(Assess(OnBall(h => h with { Hole = 0.029 })).Findings, f => f.Blocks
            && f.Text.Contains("slip through", StringComparison.Ordinal));
        // What was measured on it beats what follows.
        Near.Share(2, Check(OnBall(h => h with { HoldingTorque = 3 }), "head-joint.torque").Use
            / Check(OnBall(h => h with { HoldingTorque = 6 }),
            "head-joint.torque").Use, 1e-6);
        Assert.Contains(Assess(OnBall(h => h)).Parts, l => l.Name.Contains("off a broken head", StringComparison.Ordinal));
    }
}
