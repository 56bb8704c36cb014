using System.Text.Json.Nodes;
using Ochema.Core.Analysis;
using Ochema.Core.Assessment;
using Ochema.Core.Checks;
using Ochema.Core.Joints;
using Ochema.Core.Json;
using Ochema.Core.Kinds;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Joints;

/// <summary>Joints as they were built: each layer, what was put between, the head, inserts, and what keeps a plug in its tube.</summary>
public class JointChoiceTests
{
    private static readonly Catalogue Stock = Catalogue.Shipped;
    private static Fastener M6 => Stock.Find<Fastener>("fasteners", "m6");

    private static StackLayer Layer(string name, LayerRole role, double mm, string material = "al-6061-t6", bool bought = false) =>
        new(name, role, mm / 1000, material, 0.03, Bought: bought) { Id = name.ToLowerInvariant() };

    private static ScrewJoint Joint(params StackLayer[] layers) =>
        new() { Stock = Stock, Id = "j", Station = StationId.Base, Title = "test", Thread = M6, Layers = layers };

    private static ScrewJoint Plate(double mm = 6) =>
        Joint(Hardware.Washer(M6) with { Id = "washer" }, Layer("Plate", LayerRole.Clearance, mm),
            Hardware.LockNut(M6) with { Id = "lock-nut" });

    private static string[] Texts(ScrewJoint j) => [.. j.Report().Findings.Select(f => f.Text)];

    [Fact]
    public void ALayerIsAsItWasMeasuredAndDrilled()
    {
        var joint = Plate().With(new() { Layers = [new() { Layer = "plate", Thickness = 0.0072, Hole = 0.006, Edge = 0.004 }] });
        Assert.Equal(Plate().Grip + 0.0012, joint.Grip, 1e-9);
        // A hole of the screw's own size, and nearer to the edge than one and a half diameters.
        Assert.Contains(Texts(joint), t => t.StartsWith("plate: ", StringComparison.Ordinal) && t.Contains("the screw's own size"));
        Assert.Contains(Texts(joint), t => t.Contains("from the edge"));
        Assert.Contains(Texts(Plate().With(new() { Layers = [new() { Layer = "moon", Thickness = 0.01 }] })), t =>
            t.Contains("no such layer"));
    }

    [Fact]
    public void WhatIsPutBetweenEatsThreadAndLiesWhereItIsSaid()
    {
        var joint = Plate().With(new()
        {
            Added = [new() { What = Between.RubberWasher, Before = "plate" },
            new() { What = Between.Shim, Thickness = 0.001 }]
        });
        Assert.Equal(["Washer", "Rubber washer", "Plate", "Shim", "Lock nut"], joint.Layers.Select(l => l.Name));
        Assert.Equal(Plate().Grip + 0.002 + 0.001, joint.Grip, 1e-9);
        // A soft layer creeps: half of the preload stays, and the first run is followed by a spanner.
        Assert.Equal(Plate().Preload / 2, joint.Preload, 5e-7);
        Assert.Contains(joint.Report().Notes, n => n.Contains("tighten again"));
        // What lies behind the thread cannot be clamped by it.
        Assert.Contains(Texts(Joint(Layer("Plate", LayerRole.Clearance, 6), Layer("Block", LayerRole.Tapped, 12),
            Layer("Liner", LayerRole.KeepOut, 20))
            .With(new() { Added = [new() { Before = "liner" }] })), t => t.Contains("no place"));
    }

    [Theory] // two thirds of the sheet at the most (usual rule for riveted and screwed sheet): an M6 head is 3 mm deep
    [InlineData(6, false)]
    [InlineData(4.6, false)]
    [InlineData(4.4, true)]
    [InlineData(3, true)]
    public void ASunkHeadWantsSheetThatIsThickEnough(double mm, bool knifeEdge)
    {
        var joint = Plate(mm).With(new() { Head = ScrewHead.Countersunk });
        Assert.Equal(["Plate", "Lock nut"], joint.Layers.Select(l => l.Name));
        Assert.Equal(0.003, joint.Layers[0].Countersink, 1e-9);
        Assert.Equal(knifeEdge, Texts(joint).Any(t => t.Contains("knife edge")));
        var r = joint.Report();
        Assert.True(r.Countersunk);
        Assert.Equal((0.012, 0.003), (Math.Round(r.HeadWidth, 6), Math.Round(r.HeadHeight, 6)));
        var stud = joint with { Headless = true, Countersunk = false };
        Assert.Contains(Texts(stud.With(new() { Head = ScrewHead.Countersunk })), t => t.Contains("no head to sink"));
    }

    [Fact]
    public void AnInsertHoldsByItsOutsideAndDoesNotWear()
    {
        var wood = Joint(Layer("Plate", LayerRole.Clearance, 6), Layer("Block", LayerRole.Tapped, 12, "beech"));
        var with = wood.With(new() { Insert = Ochema.Core.Hosts.Answer.Yes });
        // By hand: half of π × 9 mm × 9 mm in shear at a tenth of beech's strength.
        Assert.Equal(0.5 * Math.PI * 0.009 * 0.009 * 0.1 * Stock.Material("beech").UltimateStrength, with.StripLoad, 0.0005);
        Assert.NotNull(wood.Report().Reassemblies);
        Assert.Null(with.Report().Reassemblies);
        Assert.Contains(with.Report().Notes, n => n.Contains("Insert: drill", StringComparison.Ordinal));
        Assert.Contains(Texts(Plate().With(new() { Insert = Ochema.Core.Hosts.Answer.Yes })), t => t.Contains("none here"));
    }

    [Fact] // what tears out first brings its own factor: plastics 3, not a bolt's 1.5
    public void AThreadTappedIntoPlasticIsJudgedAsPlastic()
    {
        var rig = RigFiles.Named("helmet-drilled");
        var factors = RigAssembly.Build(rig, Stock).Factors;
        var check = Assessor.Assess(rig, Stock).Checks.Single(c => c.Id == "shell-screw.strength");
        Assert.Equal(factors[FactorTable.Plastic], check.Working!.Terms.Single(t => t.Symbol == "k").Value);
        var metal = Assessor.Assess(RigFiles.Named("3-roof-road-ahead"), Stock).Checks.Single(c => c.Id == "head-screw.strength");
        Assert.Equal(factors[FactorTable.Bolt], metal.Working!.Terms.Single(t => t.Symbol == "k").Value);
    }

    [Fact]
    public void APinIsAsStrongAsItsShearOrTheWall()
    {
        // By hand: 5 mm mild steel sheared at one wall, π/4·25 mm²·240 MPa/√3 = 2721 N; a 1 mm wall of 6061-T6 in bearing, 5·1 mm²·240 MPa
        // = 1200 N.
        var alloy = Stock.Material("al-6061-t6");
        Assert.Equal(2720.7, TubePlug.PinShears, 0.05);
        Assert.Equal(0.005 * 0.001 * alloy.YieldStrength, new TubePlug(0.02, 0.001, 0.02, alloy).WallBears, 5e-7);
        // 300 N along and 3 N·m about a tube of 20 mm inside and 1 mm wall: hypot(150, 3/0.021).
        Assert.Equal(Math.Sqrt(150 * 150 + Math.Pow(3 / 0.021, 2)), new TubePlug(0.02, 0.001, 0.02, alloy).WallForce(300, 3), 1e-9);
        Assert.Equal(300 / (Math.PI * 0.02 * 0.02), new TubePlug(0.02, 0.001, 0.02, alloy).GlueStress(300, 0), 5e-7);
    }

    private static AssessmentReport With(string name, string joint, JointChoice choice)
    {
        var rig = RigFiles.Named(name) with { Joints = new Dictionary<string, JointChoice> { [joint] = choice } };
        rig = RigReader.Read(StrictJson.Write(rig), Stock);
        return Assessor.Assess(rig, Stock);
    }

    [Fact]
    public void APlugThatIsOnlyPressedInLetsGoAndPinsAndGlueAreJudged()
    {
        var pinned = Assessor.Assess(RigFiles.Named("9-skiff-ferryman"), Stock);
        var plug = pinned.Checks.Single(c => c.Id == "head-screw.plug");
        Assert.InRange(plug.Use, 1e-5, 0.2);
        Assert.True(pinned.Joints.Single(j => j.Id == "head-screw").Plugged);
        var pressed = With("9-skiff-ferryman", "head-screw", new() { Plug = PlugKept.Pressed });
        Assert.Equal(Verdict.LetsGo, pressed.Verdict.Word);
        Assert.Equal("head-screw.plug", pressed.Verdict.Check);
        var glued = With("9-skiff-ferryman", "head-screw", new() { Plug = PlugKept.Glued }).Checks.Single(c => c.Id == "head-screw.plug");
        Assert.Contains("glue", glued.Working!.Method);
        Assert.InRange(glued.Use, 1e-5, 0.5);
        Assert.Contains(With("3-roof-road-ahead", "head-screw", new() { Plug = PlugKept.Glued }).Findings, f =>
            f.Text.Contains("no end plug"));
    }

    /// <summary>A plug of the skiff's joint in a tube of another material, pulled on as there.</summary>
    private static double PlugUse(string material, PlugKept kept)
    {
        var rig = RigFiles.Named("9-skiff-ferryman");
        var model = new RigModel(rig, Stock);
        var b = model.Built;
        var joint = b.Joints.First(j => j.Plug is not null);
        var f = model.Forces(model.State([]), b.Host.Motion.Cases(rig.Run.Road)[0], rig.Run.Speed)!;
        return new PlugHolds(b, joint, joint.Plug! with { Tube = Stock.Material(material), Wall = 0.0002, Kept = kept }).Use(f);
    }

    /// <summary>A joint under a pull along its axis, N, and a moment about it, N·m.</summary>
    private static ScrewJoint Loaded(ScrewJoint like, double pull, double twist) =>
        like with { Load = _ => (pull * like.Axis, twist * like.Axis) };

    [Theory] // a key takes the turning from the glue, which keeps the pull: whichever of the two uses more
    [InlineData(200, 0)]
    [InlineData(0, 4)]
    [InlineData(200, 4)]
    [InlineData(5, 30)]
    public void AKeyHasTheTurningAndTheGlueThePull(double pull, double twist)
    {
        var rig = RigFiles.Named("9-skiff-ferryman");
        var model = new RigModel(rig, Stock);
        var b = model.Built;
        var made = b.Joints.First(j => j.Plug is not null);
        var plug = made.Plug! with { Kept = PlugKept.Keyed };
        var f = model.Forces(model.State([]), b.Host.Motion.Cases(rig.Run.Road)[0], rig.Run.Speed)!;
        double Of(PlugKept kept, double n, double m) =>
            new PlugHolds(b, Loaded(made, n, m), plug with { Kept = kept }).Use(f);
        var steel = Math.Min(0.005 * 0.010 * 0.577 * 240e6, 0.010 * plug.Wall * plug.Tube.YieldStrength);
        var key = b.Factors[FactorTable.Metal] * twist / ((plug.Inside + plug.Wall) / 2) / steel;
        Near.Share(Math.Max(key, Of(PlugKept.Glued, pull, 0)), Of(PlugKept.Keyed, pull, twist), 1e-3);
        Assert.True(twist == 0 || Of(PlugKept.Keyed, pull, twist) < Of(PlugKept.Glued, pull, twist));
    }

    [Fact] // the wall that governs brings its own factor, and glue joins what it joins
    public void ATubeOfPlasticIsNoTubeOfMetal()
    {
        var (alloy, nylon) = (Stock.Material("al-6061-t6"), Stock.Material("nylon-66"));
        var factors = RigAssembly.Build(RigFiles.Named("9-skiff-ferryman"), Stock).Factors;
        Near.Share(PlugUse("al-6061-t6", PlugKept.Pinned) * factors[FactorTable.Plastic] / factors[FactorTable.Metal] * alloy.YieldStrength
            / nylon.YieldStrength,
            PlugUse("nylon-66", PlugKept.Pinned), 1e-9);
        Assert.True(PlugUse("al-6061-t6", PlugKept.Glued) < 1);
        Assert.True(PlugUse("nylon-66", PlugKept.Glued) > 9);
        Assert.True(PlugUse("pvc", PlugKept.Glued) > 9);
    }

    [Fact]
    public void ASolidBarNeedsNoPlug() =>
        Assert.DoesNotContain(JointMaker.Make(new TubePort("Rod", Stock.Find<SectionRow>("sections", "rod-al-10")),
            new SocketPort("Head", "1-4-20", 0.01, "al-6061-t6"), Stock), m => m.Plug is not null || (m.Fittings ?? [])
                .Contains("end-plug"));

    [Theory]
    [InlineData("layers", """[{"layer":"plate","thickness":9}]""", "joints.head-screw.layers[0].thickness")]
    [InlineData("layers", """[{"thickness":0.01}]""", "joints.head-screw.layers[0]")]
    [InlineData("added", """[{"what":"jam"}]""", "joints.head-screw.added[0].what")]
    [InlineData("added", """[{"what":"felt","thickness":1}]""", "joints.head-screw.added[0].thickness")]
    [InlineData("plug", "\"magic\"", "joints.head-screw.plug")]
    public void WhatIsWrongIsNamedByPath(string field, string value, string path)
    {
        var rig = JsonNode.Parse(StrictJson.Write(RigFiles.Named("3-roof-road-ahead")))!;
        rig["joints"] = new JsonObject { ["head-screw"] = new JsonObject { [field] = JsonNode.Parse(value) } };
        Assert.Equal(path, Assert.Throws<DocumentException>(() => RigReader.Read(rig.ToJsonString(), Stock)).Path);
    }

    [Fact]
    public void EveryLayerOfEveryRecipeCanBeMeasured()
    {
        foreach (var (name, rig) in RigFiles.All)
            foreach (var joint in Assessor.Assess(rig, Stock).Joints)
            {
                Assert.Equal(joint.Layers.Count, joint.Layers.Select(l => l.Id).Distinct().Count());
                var own = new JointChoice
                {
                    Layers = [.. joint.Layers.Where(l => !l.Fixed).Select(l => new LayerChoice { Layer = l.Id, Thickness = l.Thickness })],
                };
                var after = With(name, joint.Id, own).Joints.Single(j => j.Id == joint.Id);
                Assert.Equal(joint.Grip, after.Grip, 1e-9);
                Assert.DoesNotContain(after.Findings, f => f.Text.Contains("no such layer"));
            }
    }
}
