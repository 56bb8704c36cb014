using Ochema.Core.Analysis;
using Ochema.Core.Assessment;
using Ochema.Core.Checks;
using Ochema.Core.Hosts;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Checks;

/// <summary>Tubes and branches of the host that a rig is clamped on.</summary>
public sealed class HostBarTests
{
    private static RigDocument OnABranch(double diameter) => Relocation.To(RigFiles.Named("railing-clamp"), "orchard-tree",
        "branch").Document is var rig
        ? rig with { Site = rig.Site with { Diameter = diameter, Thickness = diameter / 2 } } : null!;

    private static double Use(RigDocument rig) => Assessor.Assess(rig, Catalogue.Shipped).Checks.Single(c => c.Id == "site.bar").Use;

    [Fact] // π·D³ ÷ 32 of a solid bar; 48.3 × 3.2 mm pipe has 4.8 cm³ (EN 10220 dimensions)
    public void SectionModuliAsInTheTables()
    {
        Near.Share(Math.PI * 1e-6 / 32, HostBarBends.Modulus(new Site
        {
            Id = "x",
            Name = "x",
            Material = "pine",
            Diameter = 0.01,
            Thickness = 0.005,
            ClearRadius = 1,
            CrownRadius = 1,
            Coat = 0,
            Slope = 0,
            WindFactor = 1,
        }), 1e-9);
        Near.Share(4.8e-6, HostBarBends.Modulus(HostLibrary.Find("open-field")!.Sites.Single(s => s.Id == "railing")), 0.01);
    }

    [Fact] // built in at the trunk: F·a + M over the section modulus, four times, against green wood
    public void ABranchByHand()
    {
        var rig = OnABranch(0.03);
        var model = new RigModel(rig, Catalogue.Shipped);
        var (state, hold) = (model.State([]), model.Built.Holds.Single().Spring);
        var worst = model.Cases.Where(c => !c.AtRest).Max(c => model.Forces(state, c, rig.Run.Speed)!.Spring(hold) is var (f, m)
            ? f.Length * rig.Site.ClearRadius + m.Length : 0);
        Near.Share(4 * worst / (Math.PI * Math.Pow(0.03, 3) / 32) / 25e6, Use(rig), 1e-9);
    }

    [Fact] // by the cube of what is thinner
    public void AThinBranchBreaksWhereAThickOneCarries()
    {
        Assert.InRange(Use(OnABranch(0.025)) / Use(OnABranch(0.05)), 6, 12);
        var thin = Assessor.Assess(OnABranch(0.008), Catalogue.Shipped);
        Assert.Equal(Verdict.LetsGo, thin.Verdict.Word);
        Assert.Contains("branch", thin.Checks.Single(c => c.Id == "site.bar").Title, StringComparison.OrdinalIgnoreCase);
    }

    private static RigDocument With(string recipe, double diameter) => RigFiles.Named(recipe) is var rig
        ? rig with { Site = rig.Site with { Diameter = diameter, Thickness = diameter / 2 } } : null!;

    [Fact] // (F·2a/8 + M/2) over the section modulus, two and a half times over people, of a bar as thick as a pencil
    public void ATieDownRingByHand()
    {
        var rig = With("tie-down-block", 0.007);
        var model = new RigModel(rig, Catalogue.Shipped);
        var (state, hold) = (model.State([]), model.Built.Holds.Single().Spring);
        var worst = model.Cases.Where(c => !c.AtRest).Max(c => model.Forces(state, c, rig.Run.Speed)!.Spring(hold) is var (f, m)
            ? f.Length * rig.Site.ClearRadius / 4 + m.Length / 2 : 0);
        Near.Share(2.5 * worst / (Math.PI * Math.Pow(0.007, 3) / 32) / Catalogue.Shipped.Material("steel-1018").YieldStrength, Use(rig),
            1e-9);
        Assert.True(Use(With("tie-down-block", 0.004)) > 1 || Use(With("tie-down-block", 0.004)) > 4 * Use(rig));
    }

    [Fact] // a sapling is bent at its root by all that is held over it: ten times as thin, some thousand times as much
    public void ASaplingIsBentAtItsRoot()
    {
        var trunk = Use(RigFiles.Named("tree-arm"));
        Assert.InRange(trunk, 1e-3, 0.05);
        var thin = With("tree-arm", 0.1 * RigFiles.Named("tree-arm").Site.Diameter!.Value);
        var model = new RigModel(thin, Catalogue.Shipped);
        var f = model.Forces(model.State([]), model.Cases.First(c => !c.AtRest), 0)!;
        var (force, moment) = f.Spring(model.Built.Holds.Single().Spring);
        Near.Share(4 * (force.Length * model.Built.Position(model.Built.Holds.Single().Node).Z + moment.Length)
            / HostBarBends.Modulus(thin.Site) / Catalogue.Shipped.Material(thin.Site.Material).YieldStrength,
            model.Built.Checks.OfType<HostBarBends>().Single().Use(f), 1e-9);
        Assert.True(Use(thin) > 200 * trunk || Use(thin) >= Check.MostUse);
    }

    [Fact] // the share of both clamps is on the bar at once
    public void TwoClampsLoadOneBar()
    {
        var rig = RigFiles.Named("pan-rig");
        var model = new RigModel(rig, Catalogue.Shipped);
        var f = model.Forces(model.State([]), model.Cases[0], 0)!;
        var check = model.Built.Checks.OfType<HostBarBends>().Single();
        var all = model.Built.Holds.Sum(h => f.Spring(h.Spring).Force.Length);
        Assert.True(model.Built.Holds.Count > 1);
        Assert.True(check.Use(f) >= 2 * all * rig.Site.ClearRadius / 4 / HostBarBends.Modulus(rig.Site)
            / Catalogue.Shipped.Material(rig.Site.Material).YieldStrength);
    }
}
