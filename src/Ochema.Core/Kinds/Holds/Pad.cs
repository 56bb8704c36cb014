using System.Text.Json.Serialization;
using Ochema.Core.Checks;
using Ochema.Core.Hosts;
using Ochema.Core.Json;
using Ochema.Core.Quantities;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;

namespace Ochema.Core.Kinds.Holds;

/// <summary>A foam pad glued on.</summary>
[Kind("pad", "Adhesive pad", "Small and flat; needs clean paint, warmth and three days, and is never the only thing that holds.",
    Caution = "Full strength after 72 h at room temperature. Never alone: a strap or tether goes with it.")]
public sealed record Pad : HoldKind
{
    [StockChoice("Pad", "adhesives")]
    public string Stock { get; init; } = "pad-acrylic-40";

    [Measure("Hours since it was stuck on", Dimension.Duration, 0, 3.6e6, HowTo = "72 h for full strength")]
    public double Cure { get; init; } = 72 * 3600;

    internal override bool GivesSlowly => true;

    [JsonIgnore]
    public override Grip Grip => Needs;

    private static readonly Grip Needs = new([SiteForm.Panel, SiteForm.Shell], Glue: true);

    internal override string Noun => "pad";

    public override double Diameter(Catalogue stock) => stock.Find<AdhesivePadRow>("adhesives", Stock).Width;

    public override HoldKind? Larger(Catalogue stock)
    {
        var own = Diameter(stock);
        return stock.Adhesives.Where(a => a.Width > own).OrderBy(a => a.Width).FirstOrDefault() is { } next ? this with { Stock = next.Id }
            : null;
    }

    internal override IEnumerable<WorkStep> Steps(BuiltRig b, RigPath path) =>
    [
        new(Work.Place, "Stick the pad on",
            "Wash, then wipe with spirit, one way, and let it dry. Peel, set down without touching the glue, press hard for half a "
                + "minute. Warm the place with a hand if it is cold. Nothing hangs on it until it has cured.")
        {
            Tools = ["cloth", "spirit"],
            Minutes = 6,
            Wait = 72 * 3600,
            Wrong = "Set down crooked: off at once and a new pad; the old one has lost its glue.",
            Beware = "Never the only thing that holds.",
        },
    ];

    public override Hold Build(RigBuilder b, HoldSpot spot)
    {
        var row = b.Stock.Find<AdhesivePadRow>("adhesives", Stock);
        var area = row.Width * row.Height;
        // A thin rubbery layer: shear G·A/t, across about three times that, confined.
        var ks = row.ShearModulus * area / row.Thickness;
        var hold = PanelHold.Place(b, spot, 3 * ks, ks, 3 * ks * row.Width * row.Width / 12, row.Width / 2, 0.012, spot.Site.Rubs(0.4),
            "pad");
        b.WhileHeld(() => b.Checks.Add(new AdhesiveStrength(b, spot, hold.Spring, row, Cure)));
        b.Put(Piece.Bought(new(spot.Station, spot.Id), row), hold.Body);
        return hold;
    }
}
