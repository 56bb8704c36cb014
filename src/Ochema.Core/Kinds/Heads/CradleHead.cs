using Ochema.Core.Checks;
using Ochema.Core.Joints;
using Ochema.Core.Json;
using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;

namespace Ochema.Core.Kinds.Heads;

/// <summary>A cradle bent from sheet round a small camera.</summary>
[Kind("cradle-head", "Sheet-metal cradle", "Holds a camera that has no socket; made in an hour, to its size plus the pads.",
    Caution = "Edges filed and taped; a band over the top, or it jumps out on a bump.",
    Sketch = "rect 34 50 52 4; rect 30 20 4 34; rect 86 20 4 34; rect 38 24 44 26; dim wall 98 20 98 54; dim lip 20 42 20 54; dim pad 34 "
        + "16 38 16; dim "
        + "thickness 24 54 30 54; dim bendRadius 30 62 38 62")]
public sealed record CradleHead : HeadKind
{
    [StockChoice("Sheet", "materials", Only = "al-5052-h32,al-6061-t6,steel-s235,stainless-304")]
    public string Sheet { get; init; } = "al-5052-h32";

    [Measure("Sheet thickness", Dimension.Length, 0.0005, 0.004, HowTo = "calipers")]
    public double Thickness { get; init; } = 0.0015;

    [Measure("Pads", Dimension.Length, 0, 0.01, HowTo = "felt or foam on each side, pressed")]
    public double Pad { get; init; } = 0.002;

    [Measure("Inside bend radius", Dimension.Length, 0.0002, 0.02, HowTo = "the rod it is bent round")]
    public double BendRadius { get; init; } = 0.002;

    [Measure("Walls", Dimension.Length, 0.008, 0.08, HowTo = "height of the sides")]
    public double Wall { get; init; } = 0.03;

    [Measure("Lips before and behind", Dimension.Length, 0, 0.06, HowTo = "height; below the lens, clear of the screen; 0 for open ends")]
    public double Lip { get; init; }

    /// <summary>Band over the top: what a rubber band or hook-and-loop holds, N (judgement, 10–40).</summary>
    private const double Band = 20;

    [System.Text.Json.Serialization.JsonIgnore]
    public override bool ScrewsIn => false;

    [System.Text.Json.Serialization.JsonIgnore]
    public override IReadOnlyList<string> Keeps => ["its cradle", "the band"];

    internal override bool LeavesTopFree => false;

    internal override string Row => "cradle";

    internal override (string? Piece, string By)? Joins => null;

    internal override IEnumerable<WorkStep> Steps(BuiltRig b, RigPath path) =>
    [
        new(Work.Bend, "Bend the cradle round the camera",
            "Pattern on the sheet: device plus twice the liner. The two bends as marked, one after the other, the second over a block of "
                + "the camera's width "
                + $"and its liner: it has to go between the "
                    + $"flanges.{(Lip > 0 ? " Then the lips, over the same block stood between the walls." : "")} "
                + "Fingernail over the outside of each: no crack. Liner in, camera in and out without force.")
        {
            Piece = "cradle",
            Reads = [nameof(Wall), .. Lip > 0 ? (string[])[nameof(Lip)] : [], nameof(BendRadius), nameof(Pad)],
            Tools = ["rule", "marker", "vice", "bending-block", "mallet", "file"],
            Minutes = Lip > 0 ? 40 : 25,
            Wrong = "Too tight: thinner liner. Too wide: a second liner, not a third.",
        },
    ];

    public override Mount Build(RigBuilder b, Mount from)
    {
        var row = b.Stock.Find<HeadRow>("heads", Row);
        var sheet = b.Stock.Material(Sheet);
        var body = b.Stock.Find<CameraRow>("cameras", b.CameraOfPath.Body);
        var inside = body.Width + 2 * Pad;
        var bend = Bend.Allowance(Math.PI / 2, BendRadius, Thickness);
        var flat = inside + 2 * Wall + 2 * bend - 4 * BendRadius;
        var first = Wall - BendRadius + bend / 2;
        var head = b.Path.Head;
        b.Checks.Add(new BendCracks(head, new(head + "-sheet"), sheet, Thickness, BendRadius));
        b.Checks.Add(new CradleBand(b, head, Band));
        // Open ends are as deep as the camera; with lips the liner goes round.
        var across = Lip > 0 ? body.Length + 2 * Pad + 2 * Lip + 2 * bend - 4 * BendRadius : body.Length;
        var lip = Lip - BendRadius + bend / 2;
        if (Lip > 0)
        {
            var lens = b.Stock.Find<LensRow>("lenses", b.CameraOfPath.Lens);
            var below = body.CentreHeight - (lens.Diameter > 0 ? lens.Diameter / 2 : body.Height / 4);
            if (Lip <= BendRadius)
                b.Findings.Add(new ReportFinding(head,
                    $"A lip of {QuantityText.Of(Lip, Dimension.Length)} is all bend: nothing is left of it above a "
                    + $"radius of "
                    + $"{QuantityText.Of(BendRadius, Dimension.Length)}.", true));
            else if (Lip > below)
                b.Findings.Add(new ReportFinding(head, $"The lip stands {QuantityText.Of(Lip, Dimension.Length)} high, the lens begins at "
                    + $"{QuantityText.Of(below, Dimension.Length)}: it is in the picture."));
        }
        var piece = Piece.Sheet(new(head, "cradle"), $"Cradle {QuantityText.Of(inside, Dimension.Length)} inside, flat",
            new(flat, across, Thickness, Sheet, [new(first, Math.PI / 2, BendRadius), new(flat - first, Math.PI / 2, BendRadius)])
            {
                ThicknessBy = nameof(Thickness),
                Holes = [new(flat / 2, across / 2, "Cradle's floor")],
                Walls = Lip > BendRadius ? [new(lip, Math.PI / 2, BendRadius), new(across - lip, Math.PI / 2, BendRadius)] : [],
            }, sheet);
        return HeadParts.Build(b, from, row, null, "Cradle turns on its screw",
            new ThroughPort("Cradle's floor", [new("Cradle's floor", LayerRole.Clearance, Thickness, Sheet, inside)], inside),
            carried: [piece, Piece.Bought(new(head, "band"), b.Fitting("cradle-band"))]);
    }
}

/// <summary>The band over a cradle against what throws the camera up.</summary>
internal sealed class CradleBand(RigBuilder b, StationId station, double band)
    : Check(station + ".band", station, new(station.ToString()), "Camera jumps out of its cradle")
{
    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        var up = Math.Max(0, f.Field.Z) * b.CameraOf(Station).Mass;
        sheet?.Formula("{k} × {U} ÷ {B}", "upward force on the camera against the band", "A band that ages in the sun.")
            .Factor(b, FactorTable.Friction).Term("U", "thrown up by", up, Dimension.Force, Origin.Frame)
            .Term("B", "band holds", band, Dimension.Force, "judgement, 10–40 N");
        return Ratio(b.Factors[FactorTable.Friction] * up, band);
    }
}
