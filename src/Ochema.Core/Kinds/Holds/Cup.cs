using System.Text.Json.Serialization;
using Ochema.Core.Checks;
using Ochema.Core.Hosts;
using Ochema.Core.Json;
using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;

namespace Ochema.Core.Kinds.Holds;

/// <summary>A suction cup.</summary>
[Kind("cup", "Suction cup", "Holds on steel, aluminium, glass and smooth composite; leaks, and cares about dirt, curvature and altitude.",
    Caution = "Pump it on a clean, dry, closed surface, look at the ring again after ten minutes, and before every run.",
    Sketch = "host 60; circle 60 56 22; rect 54 20 12 18; dim vacuum 92 34 104 34")]
public sealed record Cup : HoldKind
{
    [StockChoice("Cup", "cups", HowTo = "across the sealing lip")]
    public string Stock { get; init; } = "cup-115";

    [Measure("Vacuum after pumping", Dimension.Pressure, 5000, 95000, HowTo = "gauge on the pump; leave empty for the usual", Measured = true, Of = "stock")]
    public double? Vacuum { get; init; }

    [Measure("Pumped up to the end of the run", Dimension.Duration, 0, 172800, HowTo = "how long it must hold before it is pumped again")]
    public double Since { get; init; } = 1800;

    [Measure("Loses half its vacuum in", Dimension.Duration, 60, 1e6,
        HowTo = "two readings of the gauge; leave empty for the usual: a day clean and dry, two hours in dust", Measured = true,
            Of = "stock,site")]
    public double? HalfLife { get; init; }

    [JsonIgnore]
    public override Grip Grip => Needs;

    private static readonly Grip Needs = new([SiteForm.Panel], Suction: true);

    internal override string Noun => "cup";

    internal override Stance? Stance(SiteForm form) => form != SiteForm.Panel ? null : new(SchoolQuestion.Hold, 0, "Cups",
        "Go on glass, aluminium and composite; leak, and mind dirt, curves and altitude.", this);

    public override double Diameter(Catalogue stock) => stock.Find<SuctionCupRow>("cups", Stock).Diameter;

    /// <summary>Another cup in its place: what was measured of this one does not count for it.</summary>
    internal Cup Of(SuctionCupRow other) => other.Id == Stock ? this : this with { Stock = other.Id, Vacuum = null, HalfLife = null };

    internal override HoldKind Pumped(double since, double? halfLife) => this with { Since = Since + since, HalfLife = halfLife ?? HalfLife };

    public override HoldKind? Larger(Catalogue stock)
    {
        var own = Diameter(stock);
        return stock.Cups.Where(c => c.Diameter > own).OrderBy(c => c.Diameter).FirstOrDefault() is { } next ? Of(next) : null;
    }

    /// <summary>A cup stands before it is trusted, s (common practice, no source).</summary>
    private const double Rests = 600;

    internal override IEnumerable<WorkStep> Steps(BuiltRig b, RigPath path) =>
    [
        new(Work.Place, b.Holds.Count(h => h.Station == StationId.Base) > 1 ? "Pump the cups on" : "Pump the cup on",
            "Wash the place with water and soap and wash the lips too: wiping dust scratches. Wet lip, press flat, pump until the ring "
                + "is gone. Note gauge and time; after ten minutes look whether a ring has come back.")
        {
            Tools = ["cloth"],
            Minutes = 6,
            Wait = Rests,
            Wrong = "A ring that comes back: another place, or another cup. Never run on a cup that leaks.",
            Beware = "The camera stays off until every cup has stood ten minutes.",
        },
    ];

    public override Hold Build(RigBuilder b, HoldSpot spot)
    {
        var row = b.Stock.Find<SuctionCupRow>("cups", Stock);
        var suction = new Suction(b, row, spot.Site.Surface, Vacuum, Since, HalfLife);
        var hold = PanelHold.Place(b, spot, row.NormalStiffness, row.ShearStiffness, row.RockingStiffness, row.LipDiameter / 2, row.Height,
            suction.Friction,
            "cup");
        b.WhileHeld(() =>
        {
            PanelHold.Grasps(b, spot, hold.Spring, suction.Grasp, "lifts at its lip");
            b.Checks.Add(new SuctionCurvature(spot, row));
            b.Checks.Add(new SuctionSeal(spot, suction));
            if (Vacuum is not null)
                b.Checks.Add(new SuctionAltitude(b, spot, suction));
        });
        b.Put(Piece.Bought(new(spot.Station, spot.Id), row), hold.Body);
        return hold;
    }
}
