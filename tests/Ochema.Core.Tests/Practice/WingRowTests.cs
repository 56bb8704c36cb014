using Ochema.Core.Analysis;
using Ochema.Core.Assessment;
using Ochema.Core.Kinds.Bases;
using Ochema.Core.Kinds.Reaches;
using Ochema.Core.Loads;
using Ochema.Core.Making;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Structure;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Practice;

/// <summary>Brackets in a row under a wing's own screws, an angle along them, a boom ahead: how they share, what one missing does, how the
/// boom whips.</summary>
public sealed class WingRowTests
{
    private static readonly Catalogue Stock = Catalogue.Shipped;

    private static RigDocument Rig => RigFiles.Named("wing-row");

    private static BracketRow Row => (BracketRow)Rig.Base;

    [Fact] // five, two and three, by hand
    public void GroupsFollowEachOther()
    {
        var at = Row.Places();
        Assert.Equal(10, at.Count);
        Assert.Equal(0, at[0] + at[^1], 1e-9);
        Assert.Equal(7 * Row.Pitch + 2 * Row.Gap, at[0] - at[^1], 1e-9);
        Assert.Equal([Row.Pitch, Row.Pitch, Row.Pitch, Row.Pitch, Row.Gap, Row.Pitch, Row.Gap, Row.Pitch, Row.Pitch],
            at.Zip(at.Skip(1), (a, b) => Math.Round(a - b, 9)));
        Assert.Equal(4, (Row with { Front = 4, Middle = 0, Rear = 0 }).Places().Count);
    }

    [Fact] // weight on all brackets together is that of the rig; the front ones carry the most, and with one gone its neighbours take it
    public void BracketsShareAndNeighboursTakeOver()
    {
        var model = new RigModel(Rig, Stock);
        var still = new RigCase("still", "", new Vec3(0, 0, -9.80665), -1, Vec3.Zero);
        double[] Forces(params string[] gone)
        {
            var f = model.Forces(model.State(gone), still, 0)!;
            return [.. model.Built.Holds.Where(h => h.Station.Is("base"))
                .Select(h => gone.Contains(h.Id.ToString()) ? 0 : f.Spring(h.Spring).Force.Z)];
        }
        var whole = Forces();
        // Tethers hang slack: their weight is nobody's but their own ends'.
        var hangs = model.Built.Mass - model.Built.Parts.Where(p => p.Station.Is("tether")).Sum(p => p.Mass * p.Quantity);
        Near.Share(9.80665 * hangs, whole.Sum(), 1e-3);
        Assert.Equal(0, Array.IndexOf(whole, whole.Max()));
        var without = Forces("hold-1");
        Near.Share(whole.Sum(), without.Sum(), 1e-6);
        Assert.True(without[1] > whole[1] && without.Max() > whole[1]);
        // Any one may be missing; the picture of it is in the let-go cases.
        var cases = Assessor.Assess(Rig, Stock).LetGo.Where(l => l.Kind == "hold").ToList();
        Assert.Equal(10, cases.Count);
        Assert.All(cases, c => Assert.NotEqual(Verdict.LetsGo, c.Verdict));
    }

    [Fact] // common practice: 1.5 m of half-inch conduit with 0.17 kg at its end whips near 5 Hz; by hand 3EI/((m + 0.2357·mL)·L³) on a rigid root
    public void AConduitBoomWhipsAtThePaceOfPractice()
    {
        var row = Stock.Find<SectionRow>("sections", "emt-1-2");
        var section = Stock.Section("emt-1-2");
        var steel = Stock.MaterialOf("emt-1-2");
        double Hand(double length, double mass) => Math.Sqrt(3 * steel.YoungsModulus * section.Iy
            / ((mass + 0.2357 * section.Area * steel.Density * length) * Math.Pow(length, 3))) / (2 * Math.PI);
        Assert.InRange(Hand(1.5, 0.17), 4, 6);
        Assert.Equal(0.017932, row.Width, 5e-7);
        // On its brackets it is the softer: rail and bolts give as well.
        var rig = Rig with { Reach = new ConduitBoom { Tube = "emt-1-2", StickOut = 1.2 } };
        var model = new RigModel(rig, Stock);
        var carried = model.Built.Mass - model.Built.Pieces.Sum(p => p.Mass);
        var least = model.Modes[0].Frequency;
        Assert.InRange(least, 0.55 * Hand(1.2, 0.24), Hand(1.2, 0.2));
        Assert.True(carried > 0.2);
    }

    [Fact] // ANSI C80.3 half-inch conduit with a hole of 5.1 mm through both walls: what is left, against sums over small squares
    public void ADrilledTubeIsWeakerByWhatIsGone()
    {
        var row = Stock.Find<SectionRow>("sections", "emt-1-2");
        var (r, inside, hole, step) = (row.Width / 2, row.Width / 2 - row.Wall, 0.0051, 2e-5);
        var (area, iy, iz) = (0.0, 0.0, 0.0);
        for (var y = -r + step / 2; y < r; y += step)
            for (var z = -r + step / 2; z < r; z += step)
                if (y * y + z * z is var square && square <= r * r && square >= inside * inside && Math.Abs(y) > hole / 2)
                    (area, iy, iz) = (area + step * step, iy + step * step * z * z, iz + step * step * y * y);
        var net = Section.Drilled(row.Shape, row.Width, row.Height, row.Wall, hole);
        Near.Share(area, net.Area, 0.01);
        Near.Share(iy, net.Iy, 0.01);
        Near.Share(iz, net.Iz, 0.01);
        Assert.InRange(net.Iy / Stock.Section("emt-1-2").Iy, 0.5, 0.75);
        // A box loses two strips of its walls; a flat bar the hole's width of itself.
        var box = Section.Drilled(SectionShape.SquareTube, 0.025, 0.025, 0.002, 0.0084);
        var whole = Section.Of(SectionShape.SquareTube, 0.025, 0.025, 0.002);
        Near.Share(whole.Iy - 2 * (0.0084 * Math.Pow(0.002, 3) / 12 + 0.0084 * 0.002 * 0.0115 * 0.0115), box.Iy, 1e-9);
        Near.Share(0.02 * 0.005, Section.Drilled(SectionShape.Flat, 0.025, 0.005, 0, 0.005).Area, 1e-9);
        // Nothing is drilled, nothing is lost; what is drilled wider than it is has next to nothing left, and a verdict all the same.
        Assert.Equal(whole, Section.Drilled(SectionShape.SquareTube, 0.025, 0.025, 0.002, 0));
        Assert.True(Section.Drilled(SectionShape.RoundTube, 0.01, 0.01, 0.001, 0.02).Iy is > 0 and < 1e-10);
    }

    [Fact] // the hole at the front bolt is where it bends most: a longer boom gives there first, and a wider tube carries it
    public void TheBoomGivesAtItsFrontBolt()
    {
        double Use(string tube, double out_) => Assessor.Assess(Rig with { Reach = new ConduitBoom { Tube = tube, StickOut = out_ } },
            Stock)
            .Checks.Single(c => c.Id == "boom.strength").Use;
        Assert.True(Use("emt-1-2", 1.2) > 1);
        Assert.True(Use("emt-3-4", 1.2) < 0.7 * Use("emt-1-2", 1.2));
        Assert.True(Use("emt-3-4", 1.8) > Use("emt-3-4", 1.2));
    }

    [Fact] // nothing is offered as permitted: the verdict waits for who signs, and so does the plan
    public void NothingFliesBeforeItIsSigned()
    {
        var report = Assessor.Assess(Rig, Stock);
        Assert.NotEqual(Verdict.Holds, report.Verdict.Word);
        Assert.Contains(report.Verdict.Missing!, m => m.Contains("signed", StringComparison.Ordinal));
        var signed = Assessor.Assess(Rig with { Survey = Rig.Survey with { SignedOff = Core.Hosts.Answer.Yes } }, Stock);
        Assert.Empty(signed.Verdict.Missing!);
        Assert.Equal(Verdict.Holds, signed.Verdict.Word);
        // Screws are longer by a bracket and a pad, and go in one by one.
        var plan = Maker.Of(Rig, Stock);
        Assert.Contains(plan.Steps, s => s.How.Contains("never two at once", StringComparison.Ordinal));
        Assert.Contains(plan.Steps, s => s.Work == Work.Place && s.Beware.Any(c =>
            c.Contains("answered with yes", StringComparison.Ordinal)));
        Assert.Equal(10, plan.Parts.Single(p => p.Name.StartsWith("L-bracket", StringComparison.Ordinal)).Quantity);
        Assert.Equal(11, plan.Templates.Single(t => t.Name.Contains("Rail", StringComparison.Ordinal)
            || t.Name.StartsWith("Rail", StringComparison.Ordinal)).Holes.Count);
    }
}
