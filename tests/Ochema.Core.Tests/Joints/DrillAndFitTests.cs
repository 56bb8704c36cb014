using Ochema.Core.Assessment;
using Ochema.Core.Joints;
using Ochema.Core.Kinds;
using Ochema.Core.Kinds.Bases;
using Ochema.Core.Kinds.Reaches;
using Ochema.Core.Quantities;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Joints;

/// <summary>Drills by their names, holes in the layer that was drilled, threads along the chain, parts in parts.</summary>
public class DrillAndFitTests
{
    private static readonly Catalogue Stock = Catalogue.Shipped;

    private static RigDocument Recipe(string id) => RecipeLibrary.All.First(r => r.Id == id).Document;

    private static AssessmentReport Assess(RigDocument rig) => Assessor.Assess(rig, Stock);

    private static Fastener Thread(string id) => Stock.Find<Fastener>("fasteners", id);

    [Theory] // ASME B94.11M drill sizes; usual machinists' tap-drill table
    [InlineData("1-4-20", "No. 7")]
    [InlineData("3-8-16", "5/16 in")]
    [InlineData("5-16-18", "letter F")]
    [InlineData("no10-24", "No. 25")]
    [InlineData("no8-32", "No. 29")]
    [InlineData("1-4-28", "No. 3")]
    public void TapDrillsHaveTheirNames(string thread, string drill) =>
        Assert.Equal(drill, Drills.Name(Thread(thread).TapDrill, UnitSystem.Inch));

    [Theory] // inches: 17/64 = 0.2656, F = 0.257, No. 7 = 0.201, No. 1 = 0.228, A = 0.234, Z = 0.413
    [InlineData("17/64 in", 0.265625)]
    [InlineData("letter F", 0.257)]
    [InlineData("No. 7", 0.201)]
    [InlineData("No. 1", 0.228)]
    [InlineData("letter Z", 0.413)]
    [InlineData("1/4 in", 0.25)]
    public void ADrillIsWhatItsNameSays(string name, double inches)
    {
        Near.Share(inches * 0.0254, Drills.InchDrills.Single(d => d.Name == name).Diameter, 1e-9);
        Assert.Equal(name, QuantityFormatter.Format(inches * 0.0254, Dimension.Drill, UnitSystem.Inch));
    }

    [Fact] // the very mistake a builder makes: 8.4 mm is no 5/16 in (7.94 mm)
    public void AClearanceHoleIsNeverRoundedToARulersSixteenths()
    {
        var clearance = Thread("m8").ClearanceClose;
        Assert.NotEqual("5/16 in", QuantityFormatter.Format(clearance, Dimension.Drill, UnitSystem.Inch));
        Assert.Equal("8.4 mm", QuantityFormatter.Format(clearance, Dimension.Drill, UnitSystem.Metric));
        Assert.All(Stock.Fasteners, f => Assert.True(Drills.PassingInch(f.ClearanceClose).Diameter >= f.ClearanceClose - 3e-5, f.Name));
        foreach (var hole in Stock.Fasteners.Select(f => f.ClearanceClose))
            Assert.True(Math.Abs(Drills.NearestInch(hole).Diameter - hole) < 0.00025, $"{hole}");
    }

    [Theory]
    [InlineData("No. 7", 0.201)]
    [InlineData("#7", 0.201)]
    [InlineData("letter F", 0.257)]
    [InlineData("F", 0.257)]
    [InlineData("17/64\"", 0.265625)]
    public void DrillsAreTypedByName(string text, double inches) =>
        Near.Share(inches * 0.0254, QuantityParser.Parse(text, Dimension.Drill, UnitSystem.Metric).Value!.Value, 1e-9);

    [Fact]
    public void AHoleBelongsToTheLayerThatWasDrilled()
    {
        var rig = RigFiles.Plate(new Core.Kinds.Holds.Cup(), 2);
        JointReport Joint(double hole) => Assess(rig with
        {
            Joints = new Dictionary<string,
            JointChoice>
            { ["spacer-bolt"] = new() { Hole = hole } }
        }).Joints.Single(j => j.Id == "spacer-bolt");
        var small = Joint(0.0075);
        var plate = small.Layers.ToList().FindIndex(l => l.Name == "Plate");
        Near.Share(0.0075, small.Layers[plate].Hole, 1e-12);
        Assert.Contains(small.Findings, f => f.Layer == plate && f.Blocks && f.Text.Contains("smaller than the screw"));
        // The washer and the bought spacer keep theirs.
        Assert.All(small.Layers.Where((_, i) => i != plate), l => Assert.NotEqual(0.0075, l.Hole));
        Assert.Contains(Joint(0.0115).Findings, f => f.Layer == plate && !f.Blocks && f.Text.Contains("is wide for"));
        Assert.Contains(Joint(0.014).Findings, f => f.Layer == plate && f.Blocks && f.Text.Contains("lets the head"));
    }

    [Theory]
    [InlineData("m8", "3-8-16", null)]
    [InlineData("3-8-16", "1-4-20", "bush")]
    [InlineData("1-4-20", "3-8-16", "bush")]
    [InlineData("m6", "1-4-20", null)]
    public void ThreadsThatDoNotMatchAreRefusedWithWhatFits(string screw, string socket, string? bush)
    {
        Assert.Equal(bush is not null, ThreadFit.Bush(screw, socket) is not null);
        Assert.Contains(bush ?? Thread(socket).Name, ThreadFit.Mismatch(Thread(screw), Thread(socket), "socket"));
    }

    [Fact]
    public void ThreadsAreMatchedAlongTheChain()
    {
        // 3/8-16 stud under a small clip: refused; with a stud of 1/4-20 it goes.
        var rig = Recipe("handlebar-clamp");
        var stud = rig with { Reach = new Stud { Thread = "3-8-16", Length = 0.02 } };
        Assert.Contains(Assess(stud).Findings, f => f.Blocks && f.Text.Contains("bush 3/8-16 outside"));
        Assert.DoesNotContain(Assess(rig).Findings, f => f.Blocks);
        // M8 under a head that takes 3/8-16.
        var head = Recipe("bolted-roof") with { Reach = new Stud { Thread = "m8", Length = 0.02 } };
        Assert.Contains(Assess(head).Findings, f => f.Blocks && f.Text.Contains("M8") && f.Text.Contains("take 3/8-16"));
        // A bush between is a choice of the joint.
        var thick = Recipe("bolted-roof") with { Reach = new Stud { Thread = "1-4-20", Length = 0.02 } };
        Assert.Contains(Assess(thick).Findings, f => f.Blocks && f.Text.Contains("bush"));
        var bushed = thick with
        {
            Joints = new Dictionary<string,
            JointChoice>
            { ["head-screw"] = new() { Bush = Core.Hosts.Answer.Yes } }
        };
        Assert.DoesNotContain(Assess(bushed).Findings, f => f.Blocks && f.Text.Contains("bush"));
    }

    [Fact]
    public void NutAndWasherFollowTheChosenThread()
    {
        var rig = Recipe("rail-table");
        JointReport Joint(string thread) => Assess(rig with
        {
            Joints = new Dictionary<string,
            JointChoice>
            { ["rail-clamp-bolt"] = new() { Thread = thread } }
        }).Joints.Single(j => j.Id == "rail-clamp-bolt");
        foreach (var id in new[] { "m8", "m12" })
        {
            var nut = Joint(id).Layers.Single(l => l.Role == LayerRole.Nut);
            Assert.Equal((Thread(id).LockNutHeight, Thread(id).AcrossFlats), (nut.Thickness, nut.Width));
            Assert.Equal(2.1 * Thread(id).MajorDiameter, Joint(id).Layers.First(l => l.Name == "Washer").Width);
        }
    }

    [Fact]
    public void AMagnetGoesIntoItsBoreOrIsRefused()
    {
        var rig = Recipe("bar-magnets");
        var bar = (MagnetCrossBar)rig.Base;
        Assert.DoesNotContain(Assess(rig).Findings, f => f.Blocks);
        Assert.Contains(Assess(rig with { Base = bar with { Magnet = "magnet-25", Bar = "tube-al-16x1-5" } }).Findings, f =>
            f.Blocks && f.Text.Contains("does not go into"));
        Assert.Contains(Assess(rig with { Base = bar with { Magnet = "magnet-16", Bar = "tube-al-40x2" } }).Findings, f =>
            f.Blocks && f.Text.Contains("rattles"));
    }

    [Fact]
    public void AnUpperTubeSlidesIntoTheLower()
    {
        var rig = Recipe("hand-pole");
        var pole = (TelescopingPole)rig.Reach;
        Assert.Contains(Assess(rig with { Reach = pole with { Lower = "tube-al-25x2", Upper = "tube-al-25x2" } }).Findings, f =>
            f.Blocks && f.Text.Contains("does not slide"));
        Assert.Contains(Assess(rig with { Reach = pole with { Lower = "tube-al-40x2", Upper = "tube-al-25x2" } }).Findings, f =>
            !f.Blocks && f.Text.Contains("rattles"));
    }

    [Fact] // PVC is joined by its own cement: epoxy for metal does not carry on it
    public void PvcIsNotGluedLikeMetal()
    {
        Assert.Equal("pvc", Glues.Family(Stock.Material("pvc")));
        Assert.NotNull(Glues.Find("epoxy-24h").Fault("metal", Glues.Family(Stock.Material("pvc")), 293));
        Assert.Null(Glues.Find("epoxy-24h").Fault("metal", Glues.Family(Stock.Material("al-6061-t6")), 293));
        Assert.NotNull(Glues.Find("epoxy-5min").Fault("metal", "metal", 343));
    }

    [Fact]
    public void ASplitBlockKnowsItsGeometry()
    {
        var rig = Recipe("split-block");
        var block = (SplitBlock)rig.Base;
        void Refused(SplitBlock b, string says) => Assert.Contains(Assess(rig with { Base = b }).Findings, f => f.Blocks
            && f.Text.Contains(says));
        Assert.DoesNotContain(Assess(rig).Findings, f => f.Blocks);
        Refused(block with { Width = 0.038 }, "beside the bolt");
        Refused(block with { Thickness = 0.025 }, "of rubber above and below");
        Refused(block with { Bolt = "m12", HoleOffset = 0.0045 }, "meets the ring bar");
        // Mass by its size: what stands in the parts is what the frame carries.
        Near.Share(0.06 * 0.06 * 0.04 * 1250, Assess(rig).Parts.Where(p => p.Name.Contains("block")).Sum(p => p.Mass * p.Quantity), 1e-9);
        // Rubber relaxes: half of the preload is left.
        var joint = Assess(rig).Joints.Single(j => j.Id == "block-bolt");
        Near.Share(0.5 * 4 / (0.2 * 0.00635), joint.Preload, 1e-6);
    }

    [Fact] // punching: π·D·t·τ
    public void AHeadPullsThroughPlywoodBeforeAluminium()
    {
        double Use(string material, double t) => Assess(RigFiles.Plate(new Core.Kinds.Holds.Cup(), 4) is var rig
            ? rig with { Base = ((HoldPlate)rig.Base) with { Material = material, Thickness = t } }
            : null!).Checks.Single(c => c.Id == "spacer-bolt.through").Use;
        Assert.True(Use("birch-ply", 0.006) > 3 * Use("al-6061-t6", 0.006));
        Assert.True(Use("birch-ply", 0.012) < 0.7 * Use("birch-ply", 0.006));
    }

    [Fact]
    public void StainlessInAluminiumIsTold()
    {
        var rig = Recipe("bolted-roof");
        var joint = Assess(rig with
        {
            Base = ((BoltedBracket)rig.Base) with
            {
                Screw = "m6-a2",
                Bar = "flat-al-40x5",
                BendRadius = 0.02
            }
        }).Joints.Single(j => j.Id == "host-screw");
        Assert.Contains(joint.Notes, n => n.StartsWith("Stainless", StringComparison.Ordinal));
    }

    [Theory]
    [MemberData(nameof(RigFiles.Names), MemberType = typeof(RigFiles))]
    public void AHoleThatIsTooSmallIsFoundInEveryJointThatIsDrilled(string name)
    {
        var rig = RigFiles.Named(name);
        var builder = RigAssembly.Build(rig, Catalogue.Shipped);
        foreach (var joint in builder.Joints.Where(j =>
            j.Layers.Any(l => !l.Bought && l.Role is LayerRole.Tapped or LayerRole.Clearance or LayerRole.Soft && !l.Bought)))
        {
            var drilled = RigAssembly.Build(rig with
            {
                Joints = new Dictionary<string,
                JointChoice>(rig.Joints)
                { [joint.Id] = new() { Hole = joint.Thread.MajorDiameter * 0.7 } }
            }, Catalogue.Shipped);
            Assert.True(drilled.Joints.First(j => j.Id == joint.Id).Report().Findings.Any(f => f.Blocks), $"{name}: {joint.Id}");
        }
    }
}
