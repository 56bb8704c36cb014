using Ochema.Core.Analysis;
using Ochema.Core.Assessment;
using Ochema.Core.Checks;
using Ochema.Core.Hosts;
using Ochema.Core.Kinds.Bases;
using Ochema.Core.Kinds.Reaches;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Search;
using Ochema.Core.Stock;
using Ochema.Core.Structure;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Checks;

/// <summary>Tables and stands that a rig is clamped to, and that tip with it.</summary>
public sealed class CarrierTipsTests
{
    private static RigDocument OnTable => RigFiles.Named("table-gooseneck");

    private static RigDocument OnStand(double? weighs = null, double? feet = null)
    {
        var site = HostLibrary.Find("open-field")!.Sites.Single(s => s.Id == "thin-edge");
        return OnTable with
        {
            Site = site with { Weighs = weighs, FeetApart = feet },
            Base = (SpringClamp)OnTable.Base with { Force = 400 },
            Reach = (GooseneckReach)OnTable.Reach with { Length = 0.4 },
        };
    }

    private static double Use(RigDocument rig) => Assessor.Assess(rig, Catalogue.Shipped).Checks.Single(c => c.Id == "site.tip").Use;

    private static (Vec3 Force, Vec3 Moment, RigModel Model, CarrierTips Check) Still(RigDocument rig)
    {
        var model = new RigModel(rig with { Run = rig.Run with { Speed = 0, HeadWind = 0, Gust = 0 } }, Catalogue.Shipped);
        var check = model.Built.Checks.OfType<CarrierTips>().Single();
        var (force, moment) = check.Load(Standing(model));
        return (force, moment, model, check);
    }

    /// <summary>Its weight and nothing else.</summary>
    private static CaseForces Standing(RigModel model) =>
        model.Forces(model.State([]), model.Cases.First(c => !c.AtRest && c.Jolt == 0 && c.Field.X == 0 && c.Field.Y == 0), 0)!;

    [Fact] // in still air what tips it is the rig's weight in its own middle, and what keeps it its own weight and the rig's by half of its feet
    public void InStillAirItIsTheRigsWeight()
    {
        var (force, moment, model, check) = Still(OnStand(3, 0.3));
        var (mass, middle) = model.Built.MassOf(_ => true);
        var feet = model.Built.Host.StandingAt(model.Built.Rig.Site)!.Middle;
        var weight = -mass * 9.80665 * Vec3.UnitZ;
        Near.Share(mass * 9.80665, -force.Z, 1e-6);
        Assert.InRange((moment - (middle - feet).Cross(weight)).Length, 0, 1e-6);
        var over = Math.Max(Math.Abs(moment.X), Math.Abs(moment.Y));
        Near.Share(2 * over / ((mass + 3) * 9.80665 * 0.15), check.Use(Standing(model)), 1e-6);
    }

    [Fact] // a strap from the rig to the table's own leg pulls the two together: the table feels nothing of it
    public void AStrapToItsOwnLegDoesNotTipIt()
    {
        Strap To(string anchor) => new()
        {
            Id = "down",
            Stock = "cord-4",
            Pretension = 60,
            From = RigPoint.BaseTop,
            To = new AnchorEnd(anchor, 0.5)
        };
        var (force, moment, _, _) = Still(OnTable);
        var (tied, turned, _, _) = Still(OnTable with { Straps = [To("table-leg")] });
        Assert.InRange((tied - force).Length, 0, 1e-6);
        Assert.InRange((turned - moment).Length, 0, 1e-6);
        // To a stake in the ground it pulls the table along.
        Assert.True((Still(OnTable with { Straps = [To("stake")] }).Force - force).Length > 30);
    }

    [Fact] // light and narrow it goes over; a bag on its feet and it stands
    public void ALightStandTipsAndAHeavyOneStands()
    {
        var light = Assessor.Assess(OnStand(0.5, 0.12), Catalogue.Shipped);
        Assert.Equal(Verdict.LetsGo, light.Verdict.Word);
        Assert.Equal("The stand tips over", light.Checks[0].Title);
        Assert.InRange(Use(OnStand(10, 0.5)), 0, 0.2);
        Assert.True(Use(OnStand()) > Use(OnStand(5)) && Use(OnStand()) > Use(OnStand(null, 0.4)));
        Assert.InRange(Use(OnTable), 0.02, 0.3);
    }

    [Fact]
    public void ABagOnItsFeetIsAdvised()
    {
        var rig = OnStand(1, 0.2);
        var bag = Adviser.Best(rig, Catalogue.Shipped).Single(c => c.Id == "ballast");
        Assert.True(bag.Use < 0.8 * Use(rig) && bag.Document.Site.Weighs == 11);
        Assert.DoesNotContain(Adviser.Best(OnTable, Catalogue.Shipped), c => c.Id == "ballast");
    }

    [Fact] // what is set in the ground, and what an old document called an edge
    public void OnlyWhatStandsFreeTips()
    {
        Assert.DoesNotContain(Assessor.Assess(RigFiles.Named("railing-clamp"), Catalogue.Shipped).Checks, c => c.Id == "site.tip");
        Near.Share(Use(OnTable), Use(OnTable with { Site = OnTable.Site with { Form = SiteForm.Edge } }), 1e-9);
    }
}
