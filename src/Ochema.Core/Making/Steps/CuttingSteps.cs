using Ochema.Core.Responses;
using Ochema.Core.Quantities;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;

namespace Ochema.Core.Making.Steps;

/// <summary>Pieces taken off, cut, deburred and trimmed: steps that follow from pieces and joints, whatever kinds they are of (common
/// practice, no source).</summary>
internal static class CuttingSteps
{
    /// <summary>A part is taken off the thing that it is part of.</summary>
    public static StationStep Stripped(PartLine line) => new(line.Station, new(Work.Strip, $"Take off its donor: {Words.Inside(line.Name)}",
        "Measure it before anything else is cut for it: thread, holes, play. Keep its screws. What has a cord is unplugged first, the "
            + "cord cut off and "
            + "thrown away: the rest is never to be plugged in again.")
    {
        Tools = ["calipers", "spanners", "pliers"],
        Minutes = 10,
        Beware = "Springs under load jump; capacitors in lamps and motors keep a charge.",
        Wrong = "It breaks, or is of another size: buy it; the list has its price.",
    });

    /// <summary>How a piece is cut; null for what is not.</summary>
    public static StationStep? Cut(RigPart part, int index, Catalogue stock)
    {
        WorkStep? Step() => part switch
        {
            { Sort: PieceSort.Cut, Cut: { Length: > 0 } cut, Row: { } row } when stock.Has("sections", row) =>
                OfBar(part, cut, stock.MaterialOf(row)),
            { Sort: PieceSort.Cut, Row: { } row, Aisle: Aisle.Screws } when stock.Has("fasteners", row) => new(Work.Cut, "Cut "
                + $"{Named(part)}",
                "Run two nuts on first. Saw, file the end to a chamfer, run the nuts off over it: they clean the thread.")
            { Tools = ["vice", "hacksaw", "file"], Minutes = 6 },
            { Sort: PieceSort.Sheet, Sheet: { } sheet } => OfSheet(part, sheet, stock.Material(sheet.Material)),
            _ => null,
        };
        return Step() is { } step ? new(part.Station, step) { Part = index } : null;
    }

    private static WorkStep OfBar(RigPart part, CutPiece cut, Material m)
    {
        var mitred = cut.Mitres.Any(a => Math.Abs(a) > 0.01);
        var ends = mitred ? $" Ends at {QuantityText.Of(cut.Mitres[0], Dimension.Angle)} and "
            + $"{QuantityText.Of(cut.Mitres[1], Dimension.Angle)} from square, the length over the long side; print the strip for a "
                + $"round end."
            : " Both ends square.";
        var long_ = cut.Long > 0 ? $" Leave {QuantityText.Of(cut.Long, Dimension.Length)} on, so "
            + $"{QuantityText.Of(cut.Length + cut.Long, Dimension.Length)}: "
            + "it is trimmed when it has been tried." : "";
        return new(Work.Cut, $"Cut {Named(part)}{(cut.Long > 0 ? ", long" : "")}",
            $"Mark all round, saw on the waste side of the line, turn it as you go.{ends}{long_}")
        {
            Tools =
            [
                .. m.Family is MaterialFamily.Metal or MaterialFamily.Composite ? (string[])["rule", "marker", "vice", "hacksaw"]
                    : ["rule", "marker", "clamps", "fine-saw"],
                .. mitred ? (string[])["mitre-box"] : [],
            ],
            Minutes = 6 * Math.Ceiling(part.Quantity),
            Beware = m.Family is MaterialFamily.Composite ? "Carbon and glass dust: mask, wet, outdoors." : "",
            Wrong = "Cut short: keep it for a shorter piece and cut anew; nothing is stretched.",
        };
    }

    private static WorkStep OfSheet(RigPart part, SheetPiece sheet, Material m) => new(Work.Cut, $"Cut {Named(part)}",
        "Square one edge, mark from it, saw outside the line, file to it."
            + (FlatOutline.Corner(sheet) is > 0 and var round ? $" Corners round: {QuantityText.Of(round, Dimension.Length)} at the least."
                : "")
            + (FlatOutline.Of(sheet).Reliefs.Count is > 0 and var corners
                ? $" Where the folds of both ways end, centre-punch and drill {corners} × "
                    + $"{QuantityText.Of(FlatOutline.Relief(sheet.Thickness), Dimension.Drill)} "
                    + "first; then saw the corners out to the holes, along the template's edge." : ""))
    {
        Tools = m.Family switch
        {
            MaterialFamily.Metal => ["rule", "marker", "vice", "clamps", "hacksaw", "file",
                .. sheet.Walls.Count > 0 ? (string[])["punch", "drill", "bits"] : []],
            MaterialFamily.Wood or MaterialFamily.Plastic => ["rule", "marker", "clamps", "fine-saw", "sandpaper"],
            _ => ["rule", "marker", "knife"],
        },
        Minutes = 12 * Math.Ceiling(part.Quantity),
        Wrong = "Out of square: holes are marked from one edge and its end only; the others may be off.",
    };

    /// <summary>What was cut long is cut to what the trial showed; null for all else.</summary>
    public static StationStep? Trimmed(RigPart part, int index) => part.Cut is not { Long: > 0 } cut ? null
        : new(part.Station, new(Work.Trim, $"Trim {Named(part)}", "To the witness marks of the trial, not to the drawing: "
            + (part.Sheet is null
                ? $"{QuantityText.Of(cut.Length, Dimension.Length)} is what was reckoned between its ends. Leave a finger's width past "
                    + $"each clamp."
                : $"the leg's end past its hole; laid flat it was reckoned at {QuantityText.Of(cut.Length, Dimension.Length)}. Round the "
                    + $"corners.")
            + " Deburr.")
        {
            Tools = ["rule", "vice", "hacksaw", "file"],
            Minutes = 5,
            Wrong = part.Sheet is null ? "Trimmed too far: its foot goes nearer; enter the length that it came out at."
                : "Trimmed into the hole's edge: a new strip.",
        })
        { Part = index };

    /// <summary>Edges of all that was cut of metal.</summary>
    public static StationStep Deburr(int pieces) => new(StationId.Rig, new(Work.Deburr, "Deburr every cut edge",
        "File outside and inside, then a finger along it: nothing catches. Burrs crack bends, cut straps and hands.")
    { Tools = ["file", "sandpaper"], Minutes = 2 * pieces });

    /// <summary>A part by its name inside a sentence.</summary>
    internal static string Named(RigPart part) => (part.Quantity > 1 ? $"{part.Quantity:0} × " : "") + Words.Inside(part.Name);
}
