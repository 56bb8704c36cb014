using System.Text.Json.Serialization;
using Ochema.Core.Checks;
using Ochema.Core.Hosts;
using Ochema.Core.Json;
using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;

namespace Ochema.Core.Kinds.Holds;

/// <summary>A pot magnet.</summary>
[Kind("magnet", "Pot magnet", "Quick and never leaks; needs steel, loses most of its pull on thin or padded sheet, and slides long before it pulls off.",
    Caution = "Fingers away when it snaps on. Keep it off pacemakers, cards and compasses. Lift it off, do not drag it over paint.",
    Sketch = "host 60; rect 36 42 48 14; rect 36 56 48 4; dim pad 92 56 92 60; dim measuredPull 60 10 60 40")]
public sealed record Magnet : HoldKind
{
    [StockChoice("Magnet", "magnets", HowTo = "across the pot")]
    public string Stock { get; init; } = "magnet-90";

    [Measure("Pad between magnet and panel", Dimension.Length, 0, 0.01, HowTo = "felt, tape or cloth, pressed together")]
    public double Pad { get; init; }

    [Measure("Pull measured on this panel", Dimension.Force, 1, 5000,
        HowTo = "straight off with a luggage scale; leave empty for the estimate", Measured = true, Of = "stock,pad,site")]
    public double? MeasuredPull { get; init; }

    [JsonIgnore]
    public override Grip Grip => Needs;

    private static readonly Grip Needs = new([SiteForm.Panel], Magnet: true);

    internal override string Noun => "magnet";

    internal override Stance? Stance(SiteForm form) => form != SiteForm.Panel ? null : new(SchoolQuestion.Hold, 1, "Magnets",
        "Need steel; slide long before they pull off.", this with { Stock = "magnet-88-rubber" });

    public override double Diameter(Catalogue stock) => stock.Find<MagnetRow>("magnets", Stock).Diameter;

    /// <summary>Another magnet in its place: what was measured of this one does not count for it.</summary>
    internal Magnet Of(MagnetRow other) => other.Id == Stock ? this : this with { Stock = other.Id, MeasuredPull = null };

    public override HoldKind? Larger(Catalogue stock)
    {
        var own = stock.Find<MagnetRow>("magnets", Stock);
        return stock.Magnets.Where(m => m.Diameter > own.Diameter && m.RatedPull > own.RatedPull).OrderBy(m => m.Diameter).FirstOrDefault()
            is { } next ? Of(next) : null;
    }

    internal override IEnumerable<WorkStep> Steps(BuiltRig b, RigPath path) =>
    [
        new(Work.Place, b.Holds.Count(h => h.Station == StationId.Base) > 1 ? "Set the magnets down" : "Set the magnet down",
            "Clean paint and magnet faces: one chip under a magnet scratches and holds it off. One edge down first, fingers out, then "
                + "let it roll flat. To take it off: lift one edge and slide a strap under.")
        {
            Tools = ["cloth", "shim"],
            Minutes = 4,
            Beware = "Fingers stay out from under. Cards, watches and medical implants keep away.",
            Wrong = "It skates on its coat: clean once more; a thinner pad holds better.",
        },
    ];

    /// <summary>Of a plate behind the sheet past the magnet's edge, m (common practice, no source).</summary>
    private const double PlateBeyond = 0.005;

    public override Hold Build(RigBuilder b, HoldSpot spot)
    {
        var row = b.Stock.Find<MagnetRow>("magnets", Stock);
        var pull = new MagnetGrip(row, spot, Pad, MeasuredPull, b.Rig.Run.Skin,
            yours: MagnetGrip.Yours(b.Rig, MeasuredPull));
        // Metal on paint is stiff beside the sheet it stands on, but creeps a little along it before it slides (judgement, 0.3–3 ×);
        // rubber and pads give by their thickness.
        var gap = row.Coat + Pad;
        var kn = 5e6 * 0.001 / (gap + 0.001);
        var ks = 1e6 * 0.001 / (gap + 0.001);
        var hold = PanelHold.Place(b, spot, kn, ks, kn * row.Diameter * row.Diameter / 16, row.Diameter / 2, row.Height,
            spot.Site.Rubs(row.Friction), "magnet");
        b.WhileHeld(() =>
        {
            PanelHold.Grasps(b, spot, hold.Spring, pull.Grasp, "peels at its edge");
            b.Checks.Add(new MagnetHeat(b, spot, row));
        });
        if (spot.Site.PlateBehind is > 0 and var plate)
        {
            var across = row.Diameter + 2 * PlateBeyond;
            b.Beside(Piece.Sheet(new(StationId.Site, spot.Id + "-plate"), "Plate behind the sheet",
                new(across, across, plate, "steel-s235", []),
                b.Stock.Material("steel-s235")));
        }
        else if (!spot.Material.Magnetic)
            b.Findings.Add(new ReportFinding(spot.Station,
                $"A magnet does not stick to {Words.Inside(spot.Material.Name)}. Try it on the panel; take cups, straps or a clamp instead.", true));
        b.Put(Piece.Bought(new(spot.Station, spot.Id), row), hold.Body);
        return hold;
    }
}
