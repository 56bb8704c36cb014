using Ochema.Core.Analysis;
using Ochema.Core.Assessment;
using Ochema.Core.Checks;
using Ochema.Core.Hosts;
using Ochema.Core.Kinds.Bases;
using Ochema.Core.Kinds.Holds;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Structure;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Checks;

/// <summary>
/// Uses worked out again from the rig's published model document and the catalogue's rows: what a reader with a pencil would do.
/// </summary>
public class ByHandTests
{
    private static readonly Catalogue Stock = Catalogue.Shipped;

    private static AssessmentReport Assess(RigDocument rig) => Assessor.Assess(rig, Stock);

    /// <summary>Largest value over the driving cases of the whole rig.</summary>
    private static double Most(ModelDocument model, Func<ModelCase, double> value) =>
        model.Cases.Where(c => c.Without is null && !c.Id.StartsWith("knock", StringComparison.Ordinal)).Max(value);

    private static (double Pull, double Slide, double Moment, double Twist) Hold(ModelCase c, string id, Vec3 n)
    {
        var f = c.Result!.SpringForces[id];
        Vec3 force = new(f[0], f[1], f[2]), moment = new(f[3], f[4], f[5]);
        return (-force.Dot(n), force.PerpendicularTo(n).Length, moment.PerpendicularTo(n).Length, Math.Abs(moment.Dot(n)));
    }

    /// <summary>The same for a hold, with the jolts and the shaking, which are no static loads and so not in the document.</summary>
    private static double Most(RigDocument rig, ModelDocument document, Func<(double Pull, double Slide, double Moment, double Twist),
        double> value)
    {
        var (n, model) = (Normal(rig, 0, 0), new RigModel(rig, Stock));
        var (state, hold) = (model.State([]), model.Built.Holds.Single(h => h.Id == "base-hold").Spring);
        var moving = model.Built.Host.Motion.Cases(rig.Run.Road).Where(c => c.Dynamic)
            .Select(c => model.Forces(state, c, rig.Run.Speed)!.Spring(hold));
        return Math.Max(Most(document, c => value(Hold(c, "base-hold", n))),
            moving.Max(f => value((-f.Force.Dot(n), f.Force.PerpendicularTo(n).Length, f.Moment.PerpendicularTo(n).Length,
                Math.Abs(f.Moment.Dot(n))))));
    }

    private static Vec3 Normal(RigDocument rig, double s, double t) => HostLibrary.Find(rig.Host)!.Surface(rig.Site)
        .NormalAt(rig.At[0] + s, rig.At[1] + t);

    [Fact]
    public void ACupsPullAndTip()
    {
        var rig = RigFiles.CupAndArm();
        var (model, report) = (RigModelDocument.Of(rig, Stock), Assess(rig));
        var row = Stock.Find<SuctionCupRow>("cups", "cup-115");
        // A share of 101,325 Pa over the lip's circle, half an hour of a day's half-life gone; factor 2 on a public way (EN 13155).
        var force = Math.Pow(2, -0.5 / 24) * row.VacuumShare * 101325 * Math.PI / 4 * row.LipDiameter * row.LipDiameter;
        var n = Normal(rig, 0, 0);
        Near.Share(Most(rig, model, h => 2 * Math.Max(0, h.Pull) / force), report.Checks.Single(c => c.Id == "base-hold.pull").Use, 1e-4);
        var r = row.LipDiameter / 2;
        Near.Share(Most(rig, model, h => 2 * (h.Moment + Math.Max(0, h.Pull) * r) / ((force + Math.Max(0, -h.Pull)) * r)),
            report.Checks.Single(c => c.Id == "base-hold.tip").Use, 1e-4);
    }

    [Fact]
    public void ACupsSlideAloneUnderItsStem()
    {
        var rig = RigFiles.CupAndArm();
        var (model, report) = (RigModelDocument.Of(rig, Stock), Assess(rig));
        var row = Stock.Find<SuctionCupRow>("cups", "cup-115");
        var force = Math.Pow(2, -0.5 / 24) * row.VacuumShare * 101325 * Math.PI / 4 * row.LipDiameter * row.LipDiameter;
        // Pull twice, slide and twist over the lip's radius four times over the friction 0.5 of a clean, dry lip; pressed on, it slides
        // less.
        Near.Share(Most(rig, model, h => (2 * Math.Max(0, h.Pull) + 4 * (h.Slide + h.Twist / (row.LipDiameter / 2)) / 0.5)
            / (force + Math.Max(0, -h.Pull))),
            report.Checks.Single(c => c.Id == "base-hold.slide").Use, 1e-4);
    }

    [Fact]
    public void AnArmsJointTurns()
    {
        var rig = RigFiles.CupAndArm();
        var (model, report) = (RigModelDocument.Of(rig, Stock), Assess(rig));
        var torque = Stock.Find<ArmRow>("arms", "arm-11in").JointTorque;
        foreach (var joint in new[] { "lower", "upper" })
        {
            double Moment(ModelCase c) => c.Result!.SpringForces[joint + "-joint-spring"] is var f ? new Vec3(f[3], f[4], f[5]).Length : 0;
            Near.Share(Most(model, c => 2 * Moment(c) / torque), report.Checks.Single(c => c.Id == joint + "-joint.torque").Use, 1e-4);
        }
    }

    [Fact]
    public void AMagnetsPullOnThinPaintedSheet()
    {
        var rig = RigFiles.Plate(new Magnet(), 3, 0.3, "roof");
        var (model, report) = (RigModelDocument.Of(rig, Stock), Assess(rig));
        var row = Stock.Find<MagnetRow>("magnets", "magnet-90");
        var pull = row.RatedPull * (1 - Math.Exp(-2.3 * rig.Site.Thickness / row.FullThickness))
            * Math.Exp(-rig.Site.Coat * 60 / row.Diameter);
        var plate = (HoldPlate)rig.Base;
        var half = plate.Length / 2 - row.Diameter / 2 - 0.005;
        var n = Normal(rig, half, half);
        Near.Share(Most(model, c => 3 * Math.Max(0, Hold(c, "hold-1", n).Pull) / pull),
            report.Checks.Single(c => c.Id == "hold-1.pull").Use, 2e-4);
    }

    [Fact]
    public void AStrapsTension()
    {
        var rig = RigFiles.Named("3-roof-road-ahead");
        var (model, report) = (RigModelDocument.Of(rig, Stock), Assess(rig));
        var row = Stock.Find<StrapRow>("straps", rig.Straps[0].Stock);
        Near.Share(Most(model, c => 5 * c.Result!.LineTensions[rig.Straps[0].Id] / row.BreakingStrength),
            report.Checks.Single(c => c.Id == rig.Straps[0].Id + ".tension").Use, 1e-4);
    }

    [Fact] // F = m·g·(1 + √(1 + 2·c·h/(m·g))), energy of a fall on a spring (Timoshenko, "Strength of Materials")
    public void ATethersCatch()
    {
        var rig = RigFiles.Named("1-bonnet-close-up");
        var builder = new RigModel(rig, Stock).Built;
        var row = Stock.Find<StrapRow>("straps", rig.Tethers[0].Stock);
        var host = HostLibrary.Find(rig.Host)!;
        var camera = builder.Position(builder.Camera.Node);
        var end = host.Anchors.First(a => a.Id == rig.Tethers[0].To.Anchor).At(rig.Tethers[0].To.T);
        var length = (end - camera).Length + rig.Tethers[0].Slack;
        var mass = builder.Camera.Mass + Stock.Find<HeadRow>("heads", "stud-quarter").Mass;
        // Wind at 1.1 times the speed on the camera's face; weight and drag pull along one line, and the line is taut where that leaves the
        // sphere.
        (double Peak, double Drop) Caught(double speed)
        {
            var v = speed * rig.Site.WindFactor;
            var drag = 0.5 * 1.225 * v * v / mass * builder.Faces.Where(f => f.Node == builder.Camera.Node)
                .Aggregate(Vec3.Zero, (sum, f) => sum + f.BoxForce(new(-1, 0, 0)));
            var pull = drag - 9.80665 * Vec3.UnitZ;
            var (low, high) = (0.0, 5.0);
            for (var i = 0; i < 60; i++)
                if ((camera + 0.5 * (low + high) * pull.Normalized() - end).Length < length)
                    low = 0.5 * (low + high);
                else
                    high = 0.5 * (low + high);
            var weight = mass * pull.Length;
            return (weight * (1 + Math.Sqrt(1 + 2 * row.AxialStiffness / length * high / weight)), high);
        }
        // It may come off at any speed on the way: swept back it falls less far than slowly.
        var peak = Enumerable.Range(0, 200).Max(i => Caught(i / 199.0 * rig.Run.Speed).Peak);
        var holds = Math.Min(row.BreakingStrength, host.Anchors.First(a => a.Id == rig.Tethers[0].To.Anchor).Holds!.Value);
        Near.Share(2 * peak / holds, Assess(rig).Checks.Single(c => c.Id == "tether.catch").Use, 3e-3);
        Assert.True(Caught(rig.Run.Speed).Drop > camera.Z - end.Z, "it falls below the anchor, not by its slack alone");
    }

    [Fact] // Euler, pinned ends: π²·E·I/L²
    public void AStrutsBucklingIsEulersWhenSlender()
    {
        var (section, metal) = (Stock.Section("rod-al-10"), Stock.MaterialOf("rod-al-10"));
        Near.Share(Math.PI * Math.PI * metal.YoungsModulus * Math.PI * Math.Pow(0.010, 4) / 64 / 0.36,
            StrutBuckling.Critical(section, metal, 0.6), 1e-9);
        // Stocky ones squash near yield, and the two curves meet without a step.
        Near.Share(section.Area * metal.YieldStrength, StrutBuckling.Critical(section, metal, 0.001), 0.001);
        var meet = Math.PI * Math.Sqrt(2 * metal.YoungsModulus / metal.YieldStrength) * section.RadiusOfGyration;
        Near.Share(StrutBuckling.Critical(section, metal, meet * 0.9999), StrutBuckling.Critical(section, metal, meet * 1.0001), 0.001);
    }

    [Fact]
    public void ARisersBendingByItsRootMoment()
    {
        var rig = RigFiles.Plate(new Cup(), 4, 0.4);
        var (model, report) = (RigModelDocument.Of(rig, Stock), Assess(rig));
        var use = report.Checks.Single(c => c.Id == "riser.strength").Use;
        // Root moment from the statics of what stands above: weight and wind at the camera's and head's places, upper bound without the
        // post's own.
        var (section, metal) = (Stock.Section("tube-al-50x3"), Stock.MaterialOf("tube-al-50x3"));
        var builder = new RigModel(rig, Stock).Built;
        var camera = builder.Position(builder.Camera.Node);
        var root = model.Nodes.First(n => n.Id == "plate").Position;
        var worst = Ochema.Core.Hosts.CarHost.Driving.Cases(rig.Run.Road).Where(c => !c.AtRest)
            .Max(c => (camera - root).Cross(builder.Camera.Mass * c.Field).Length);
        var least = 2 * worst / section.ModulusY / metal.YieldStrength;
        Assert.InRange(use, 0.8 * least, 2.0 * least);
    }

    [Theory]
    [InlineData(Consequence.InsideHost, 1.5)]
    [InlineData(Consequence.OwnGround, 2)]
    [InlineData(Consequence.PublicWay, 2)]
    [InlineData(Consequence.OnPeople, 3)]
    public void FactorsFollowFromWhereADropWouldLand(Consequence consequence, double factor)
    {
        var rig = RigFiles.CupAndArm();
        var check = Assess(rig with { Run = rig.Run with { Consequence = consequence } }).Checks.Single(c => c.Id == "base-hold.pull");
        Assert.Equal(factor, check.Working!.Terms.Single(t => t.Symbol == "k").Value);
    }

    [Fact]
    public void AFactorOfYourOwnIsUsedAndSaysSo()
    {
        var rig = RigFiles.CupAndArm() with { Factors = new Dictionary<string, double> { [FactorTable.SuctionPull] = 4 } };
        var check = Assess(rig).Checks.Single(c => c.Id == "base-hold.pull");
        Near.Share(2 * Assess(RigFiles.CupAndArm()).Checks.Single(c => c.Id == "base-hold.pull").Use, check.Use, 1e-9);
        Assert.Contains(check.Working!.Terms, t => t.Symbol == "k" && t.Source == "set by you");
    }

    [Theory]
    [MemberData(nameof(RigFiles.Names), MemberType = typeof(RigFiles))]
    public void EveryWorkingNamesItsSymbolsAndItsMethod(string name)
    {
        foreach (var c in Assess(RigFiles.Named(name)).Checks)
        {
            Assert.NotEmpty(c.Working!.Method);
            var symbols = System.Text.RegularExpressions.Regex.Matches(c.Working!.Formula, @"\{([^}]+)\}").Select(m => m.Groups[1].Value)
                .Distinct();
            foreach (var s in symbols)
                Assert.True(c.Working!.Terms.Any(t => t.Symbol == s), $"{name}, {c.Id}: {s} in “{c.Working!.Formula}” has no value");
            Assert.All(c.Working!.Terms, t => Assert.True(double.IsFinite(t.Value) && t.Name.Length > 1, $"{name}, {c.Id}: {t.Symbol}"));
        }
    }
}
