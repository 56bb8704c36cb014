using CsCheck;
using Ochema.Core.Analysis;
using Ochema.Core.Assessment;
using Ochema.Core.Json;
using Ochema.Core.Kinds.Bases;
using Ochema.Core.Kinds.Braces;
using Ochema.Core.Kinds.Holds;
using Ochema.Core.Kinds.Reaches;
using Ochema.Core.Loads;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Structure;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Invariants;

/// <summary>What must be true of any rig.</summary>
public class RigInvariantTests
{
    private const int Tries = 40;

    /// <summary>Random plates and arms with braces and straps, camera straight ahead so that left and right mirror.</summary>
    private static readonly Gen<RigDocument> AnyRig =
        from plate in Gen.Bool
        from height in Gen.Double[0.05, 0.5]
        from mass in Gen.Double[0.2, 4]
        from speed in Gen.Double[5, 45]
        from s in Gen.Double[-0.1, 0.1]
        from feet in Gen.Select(Gen.Double[0.1, 0.3], Gen.Double[0.1, 0.45]).Array[0, 3]
        from strap in Gen.Double[0, 400]
        select RigFiles.CupAndArm() with
        {
            At = [s, 0],
            Base = plate ? new HoldPlate { Hold = new Cup() } : new SingleCup(),
            Reach = plate ? new Riser { Height = height } : new ArticulatedArm { Length = Math.Max(0.12, height) },
            Camera = new CameraChoice { Body = "mirrorless-small", Lens = "prime-24", Mass = mass },
            Braces = [.. feet.Select((f, i) => new Strut { Id = $"b{i}", Site = "bonnet", At = [f.Item1, f.Item2 - 0.2 * i] })],
            Straps = plate ? [new Strap { Id = "s0", Stock = "ratchet-25", From = RigPoint.BaseFrontLeft, To = new("bonnet-edge-left", 0.5),
                Pretension = strap }] : [],
            Run = new RunConditions { Speed = speed },
        };

    private static AssessmentReport Assess(RigDocument rig) => Assessor.Assess(rig, Catalogue.Shipped);

    [Fact]
    public void EveryNumberIsFiniteAndTheSameDocumentGivesTheSameBytes() => AnyRig.Sample(rig =>
    {
        var json = StrictJson.Write(Assess(rig));
        Assert.Equal(json, StrictJson.Write(Assess(rig)));
        Assert.DoesNotContain("NaN", json);
    }, iter: Tries);

    [Fact]
    public void LeftAndRightMirror() => AnyRig.Sample(rig =>
    {
        string Other(string side) => side.Replace("left", "X", StringComparison.Ordinal).Replace("right", "left", StringComparison.Ordinal)
            .Replace("X", "right", StringComparison.Ordinal);
        var mirrored = rig with
        {
            At = [rig.At[0], -rig.At[1]],
            Braces = [.. rig.Braces.OfType<Strut>().Select(b => b with { At = [b.At[0], -b.At[1]] })],
            Straps = [.. rig.Straps.Select(s => s with { From = RigPoint.BaseFrontRight, To = s.To with { Anchor = Other(s.To.Anchor) } })],
        };
        var (a, b) = (Assess(rig), Assess(mirrored));
        Near.Share(a.Verdict.Use, b.Verdict.Use, 1e-4);
        Near.Share(a.Frequencies[0], b.Frequencies[0], 1e-5);
        if (a.Verdict.LimitSpeed is > 0 and var limit)
            Near.Share(limit, b.Verdict.LimitSpeed!.Value, 2e-3);
    }, iter: Tries);

    [Fact]
    public void TheOrderOfPartsDoesNotMatter() => AnyRig.Where(r => r.Braces.Count > 1).Sample(rig =>
    {
        var turned = Assess(rig with { Braces = [.. rig.Braces.Reverse()] });
        var report = Assess(rig);
        Near.Share(report.Verdict.Use, turned.Verdict.Use, 1e-6);
        Near.Share(report.Frequencies[0], turned.Frequencies[0], 1e-6);
        foreach (var s in report.Stations)
            Near.Share(s.Use, turned.Stations.Single(t => t.Id == s.Id).Use, 1e-5, s.Id);
    }, iter: Tries);

    [Fact]
    public void WindForcesGrowWithTheSquareOfTheSpeed() => AnyRig.Sample(rig =>
    {
        var still = rig with { Run = rig.Run with { Gust = 0 }, Straps = [] };
        var model = new RigModel(still, Catalogue.Shipped);
        var wind = new RigCase("wind", "", Vec3.Zero, 0, Vec3.Zero);
        var state = model.State([]);
        if (state.Mechanism is not null)
            return;
        var hold = model.Built.Holds[0].Spring;
        var slow = model.Forces(state, wind, 10)!.Spring(hold).Force.Length;
        var fast = model.Forces(state, wind, 30)!.Spring(hold).Force.Length;
        Near.Share(9 * slow, fast, 1e-6);
    }, iter: Tries);

    [Fact]
    public void TheFactoredSystemAgreesWithTheModelDocument() => AnyRig.Sample(rig =>
    {
        // Low-rank updates against a fresh factorisation, for each part that lets go.
        var model = new RigModel(rig, Catalogue.Shipped);
        foreach (var gone in LetGoCases.Of(model.Built))
        {
            var state = model.State(gone.Gone);
            var c = Ochema.Core.Hosts.CarHost.Driving.Cases(rig.Run.Road)[6];
            var solved = ModelSolver.Solve(model.Built.Model with { Cases = [model.Document(c, rig.Run.Speed, "c", gone.Gone)] }).Cases[0];
            Assert.Equal(state.Mechanism is null, solved.Finding?.Contains("freely") != true);
            if (state.Mechanism is not null || model.Forces(state, c, rig.Run.Speed) is not { } f || solved.Result is not { } result)
                continue;
            var u = model.Displacements(state, f);
            var camera = model.System.Displacement(u, model.System.NodeIndex("camera")).U;
            var expected = Vec3.From(result.Displacements["camera"]);
            Assert.True((camera - expected).Length <= 1e-4 * expected.Length + 1e-9, $"{gone.Id}: {camera} against {expected}");
            foreach (var h in model.Built.Holds.Where(h => !gone.Gone.Contains(h.Id)))
                Assert.True((f.Spring(h.Spring).Force - Vec3.From(result.SpringForces[h.Id])).Length <= 1e-3
                    * Math.Max(1, f.Spring(h.Spring).Force.Length), $"{gone.Id}, {h.Id}");
        }
    }, iter: 15);

    [Fact]
    public void LettingGoNeverRaisesWhatTheRigCanDo() => AnyRig.Sample(rig =>
    {
        var report = Assess(rig);
        // By its loads: what keeps its pieces is the whole rig's alone.
        var whole = report.Flags.Count > 0 ? report.Flags[0].Speed : double.MaxValue;
        Assert.All(report.LetGo.Where(l => l.Kind is "hold" or "brace" or "strap" or "holds-alone"), l =>
            Assert.True((l.LimitSpeed ?? double.MaxValue) <= whole * 1.001, l.Id));
    }, iter: Tries);

    [Fact]
    public void TheLimitSpeedIsWhereTheUseReachesOne() => AnyRig.Sample(rig =>
    {
        var report = Assess(rig);
        if (report.Flags.Count == 0 || report.Flags[0].Speed is not (> 1 and < 69 and var limit))
            return;
        var there = Assess(rig with { Run = rig.Run with { Speed = limit } });
        Near.Share(1, there.Verdict.Use, 0.004, $"{report.Flags[0].Check} at {limit}: there {there.Checks[0].Id} {there.Checks[0].Case}");
        Assert.True(Assess(rig with { Run = rig.Run with { Speed = 0.97 * limit } }).Verdict.Use <= 1.001);
    }, iter: Tries);

    [Fact]
    public void HigherFactorsNeverHelp() => AnyRig.Sample(rig =>
    {
        var stricter = rig with { Run = rig.Run with { Consequence = Consequence.OnPeople } };
        Assert.True(Assess(stricter).Verdict.Use >= Assess(rig).Verdict.Use - 1e-9);
    }, iter: Tries);

    [Fact]
    public void TwiceTheStiffnessHalvesTheDeflection() => Gen.Select(Gen.Double[0.2, 1.5], Gen.Double[0.005, 0.03], Gen.Double[-50, 50])
        .Sample(x =>
    {
        var (length, d, force) = x;
        ModelDocument Bar(double factor)
        {
            var m = Frames.Cantilever(length, d, 3, cases: Frames.Load("n3", [0, force, 1]));
            return m with
            {
                Members = [.. m.Members.Select(b => b with { E = factor * b.E, G = factor * b.G })],
                Springs = [.. m.Springs.Select(s => s with { K = [.. s.K.Select(k => factor * k)] })]
            };
        }
        var (one, two) = (ModelSolver.Solve(Bar(1)), ModelSolver.Solve(Bar(2)));
        Near.Share(one.Displacement("n3")[2], 2 * two.Displacement("n3")[2], 1e-9);
        Near.Share(one.Modes![0].Frequency * Math.Sqrt(2), two.Modes![0].Frequency, 1e-7);
    }, iter: Tries);

    [Fact]
    public void ChecksNeverGiveNaNOrLessThanNothing() => AnyRig.Sample(rig => Assert.All(Assess(rig).Checks, c => Assert.InRange(c.Use,
        0, Core.Responses.Check.MostUse)), iter: Tries);
}
