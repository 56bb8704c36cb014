using System.Text.Json.Serialization;
using Ochema.Core.Checks;
using Ochema.Core.Hosts;
using Ochema.Core.Joints;
using Ochema.Core.Json;
using Ochema.Core.Kinds.Holds;
using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Structure;

namespace Ochema.Core.Kinds.Bases;

/// <summary>A bar with a magnet glued in each angled end, across two steel bolt heads.</summary>
[Kind("magnet-cross-bar", "Cross-bar with magnet ends", "On and off in a second, clears key and gauges; a bolt head gives a magnet little to hold.",
    Caution = "What lets go lands in the rider's lap: tether it. Keys and cards away from the ends.",
    Sketch = "host 62; rect 24 54 14 8; rect 82 54 14 8; line 31 54 36 30; line 89 54 84 30; line 36 30 84 30; dim span 31 67 89 67; dim "
        + "rise 106 30 106 62; dim glueDepth 18 46 18 54")]
public sealed record MagnetCrossBar : BaseKind
{
    [Measure("Span", Dimension.Length, 0.04, 0.5, HowTo = "bolt head to bolt head, middle to middle")]
    public double Span { get; init; } = 0.10;

    [Measure("Rise", Dimension.Length, 0.005, 0.15, HowTo = "bolt heads to the bar: what must clear key and gauges")]
    public double Rise { get; init; } = 0.03;

    [StockChoice("Bar", "sections", Only = "round,round-tube")]
    public string Bar { get; init; } = "tube-al-16x1-5";

    [StockChoice("Magnets", "magnets")]
    public string Magnet { get; init; } = "magnet-16";

    [Measure("Felt under the magnets", Dimension.Length, 0, 0.004, HowTo = "pressed")]
    public double Felt { get; init; } = 0.0003;

    [Measure("Glued depth", Dimension.Length, 0.003, 0.06, HowTo = "how deep the magnet sits in the bar's end")]
    public double GlueDepth { get; init; } = 0.008;

    [StockChoice("Glue", "glues")]
    public string Glue { get; init; } = "epoxy-24h";

    [Measure("Pull measured on the bolt head", Dimension.Force, 0.5, 500,
        HowTo = "straight off with a luggage scale", Measured = true, Of = "magnet,felt,site")]
    public double? MeasuredPull { get; init; }

    [JsonIgnore]
    public override Grip Grip => Needs;

    private static readonly Grip Needs = new([SiteForm.Bolts], Magnet: true);

    /// <summary>Bar cut over its span: mitred, tried, trimmed (judgement, 1.1–1.3).</summary>
    private const double CutLong = 1.2;

    internal override IEnumerable<WorkStep> Steps(BuiltRig b, RigPath path) =>
    [
        new(Work.Measure, "Span and bolt heads",
            "Bolt head to bolt head and the angle of their faces, lock to lock; what the bar must clear: key turned, gauges read, "
                + "cables. Each bolt head with a magnet: steel or not.")
        {
            Tools = ["tape", "calipers"],
            Minutes = 10,
        },
        new(Work.Cut, "Cut the bar long, mitre, try, trim",
            "Leave a hand's width. Mitre both ends, hold it up on the bolt heads, trim a little at a time until it lies on both "
                + $"faces. Span {QuantityText.Of(Span, Dimension.Length)}.")
        {
            Piece = "cross-bar",
            Reads = [nameof(Span)],
            Tools = ["tape", "marker", "mitre-box", "hacksaw", "file"],
            Minutes = 20,
            Wrong = "Cut short: thicker felt or a longer magnet takes up to 3 mm; more is a new piece.",
        },
        new(Work.Glue, "Glue the magnets in",
            $"{Glues.Find(Glue).Name}: {Glues.Find(Glue).Preparation}. Roughen bore and magnet, fill, push in "
                + $"{QuantityText.Of(GlueDepth, Dimension.Length)} deep, magnet held in its place by a steel plate with film between. "
                + $"{QuantityText.Of(Glues.Find(Glue).OpenTime, Dimension.Duration)} to put together. It cures lying flat. No hot "
                + "glue: it softens in the sun.")
        {
            Tools = ["sandpaper", "spirit", "mixing"],
            Minutes = 15,
            Wait = Glues.Find(Glue).Cure,
            Takes = [Magnet, Supplies.Glue, Supplies.Film],
            Reads = [nameof(GlueDepth)],
            Wrong = "Set crooked and stiff already: warm the end to 80 °C, pull it with pliers, clean, again.",
            Beware = "Two magnets jump together: keep them an arm apart.",
        },
        new(Work.Fit, "Felt on the magnets",
            "Cut to the face, stuck on, trimmed. It keeps the bolt heads from scratching and costs pull: measure the pull with it on.")
        {
            Takes = ["felt"],
            Reads = [nameof(Felt)],
            Tools = ["scissors", "scale"],
            Minutes = 5,
        },
        new(Work.Place, "Set the bar on the bolt heads",
            "Wipe bolt heads and felt. One end first, then the other. Turn the bars lock to lock: nothing touches.")
        {
            Tools = ["cloth"],
            Minutes = 2,
            Beware = "What lets go lands in the rider's lap: tether before the camera.",
        },
    ];

    public override Mount Build(RigBuilder b)
    {
        var row = b.Stock.Find<MagnetRow>("magnets", Magnet);
        var bar = b.Stock.Find<SectionRow>("sections", Bar);
        var (section, metal) = (b.Stock.Section(Bar), b.Stock.MaterialOf(Bar));
        var bolt = ClampParts.Diameter(b);
        var glue = Glues.Find(Glue);
        b.Findings.Add(new ReportFinding(StationId.Base,
            $"{glue.Name}: {glue.Preparation}; {glue.OpenTime / 60:0.#} min to put together, "
            + $"{QuantityText.Of(glue.Cure, Dimension.Duration)} to full strength, "
            + $"soft at {QuantityText.Of(glue.SoftensAt, Dimension.Temperature)}; peels at {glue.Peel * 0.02:0} N across 20 mm."));
        var middle = b.Node("cross-bar", b.Surface.Point(b.Rig.At[0], 0) + (Rise + row.Height) * b.Surface.Normal);
        var beams = new List<BeamPiece>();
        foreach (var (side, name) in new[] { (1, "left"), (-1, "right") })
        {
            var id = name + "-magnet";
            var spot = b.Spot(id, StationId.Base, name + " magnet", side * Span / 2, 0);
            var grip = new MagnetGrip(row, spot, Felt, MeasuredPull, b.Rig.Run.Skin, HeadShare(bolt, row.Diameter),
                MagnetGrip.Yours(b.Rig, MeasuredPull));
            var gap = Felt + row.Coat + 0.0002;
            var hold = Kinds.Holds.PanelHold.Place(b, spot, 2e6 * 0.001 / (gap + 0.001), 4e5 * 0.001 / (gap + 0.001), 40,
                Math.Min(bolt, row.Diameter) / 2, row.Height, grip.Friction, "magnet");
            b.WhileHeld(() =>
            {
                // It tips and twists on the bolt head, which is smaller than the pot.
                PanelHold.Grasps(b, spot, hold.Spring, grip.Grasp with
                {
                    Radius = Math.Min(bolt, row.Diameter) / 2,
                    RadiusSource = "bolt head, as entered",
                    TwistRadius = Math.Min(bolt, row.Diameter) / 3
                }, "peels at its edge");
                b.Checks.Add(new MagnetHeat(b, spot, row));
            });
            // In a tube's bore the glue holds round the magnet; on a bar's end only on its face.
            var bore = PartFit.Bore(bar);
            var area = bore > 0 ? Math.PI * row.Diameter * GlueDepth : Math.PI / 4 * Math.Pow(Math.Min(row.Diameter, bar.Width), 2);
            if (side > 0 && bore > 0 && PartFit.Fault($"a {row.Diameter * 1000:0} mm magnet", row.Diameter, bore, "the bar's end")
                is { } misfit)
                b.Findings.Add(new ReportFinding(StationId.Base, Words.Capital(misfit) + ".", true));
            b.Checks.Add(new HoldPullOff(b, spot with { Id = new(id + "-glue") }, hold.Spring, $"Glue of the {name} magnet lets go",
                FactorTable.Adhesive,
                area * glue.Shear * glue.Share(7 * 86400, b.Rig.Run.Skin), row.Diameter,
                    $"{glue.Name}, {GlueDepth * 1000:0.#} mm deep; {glue.Source}"));
            if (glue.Fault("metal", Glues.Family(metal), b.Rig.Run.Skin) is { } fault)
                b.Findings.Add(new ReportFinding(StationId.Base, $"The {name} magnet's glue: {fault}.", true));
            var piece = b.Beam(StationId.Base, id + "-bar", "cross-bar", hold.Top.Node, middle, section, metal, Vec3.UnitX);
            beams.Add(piece);
            b.Checks.Add(new SectionStrength(b, StationId.Base, new(id + "-bar"), "Bar bends", piece));
            b.Shape(id + "-bar", StationId.Base, "tube", [b.Point(hold.Top.Node), b.Point(middle)], [bar.Width]);
            b.Put(Piece.Bought(new(StationId.Base, id), row), hold.Body);
        }
        var mitre = Math.Atan2(Rise, Span / 2) / 2;
        // Cut long for its mitres, with felt and glue.
        b.Put(Piece.Cut(new(StationId.Base, "cross-bar"), bar, metal, CutLong * beams.Sum(p => p.Length), what: "Cross-bar",
            mitres: [mitre, mitre]),
            [.. beams], middle);
        b.Put(Piece.Bought(new(StationId.Base, "glue"), b.Fitting(Supplies.Glue), name: glue.Name), middle);
        b.Beside(Piece.Used(new(StationId.Base, "film"), b.Fitting(Supplies.Film)));
        b.Put(Piece.Bought(new(StationId.Base, "felt"), b.Fitting("felt")), middle);
        return new Mount(middle, b.Position(middle), b.Surface.Normal,
            new ThroughPort("Bar", [HollowWall.Through("Bar", bar)], bar.Width));
    }

    /// <summary>A bolt head smaller than the pot carries that share of its field: the areas' ratio (judgement, 0.5–1 ×).</summary>
    public static double HeadShare(double bolt, double magnet) => Math.Min(1, bolt * bolt / (magnet * magnet));
}
