using Ochema.Core.Quantities;
using Ochema.Core.Stock;

namespace Ochema.Core.Joints;

/// <summary>How much play a clearance hole leaves.</summary>
public enum Fit
{
    Close,
    Medium,
    Free,
}

/// <summary>Rules for holes: passing, tapping, edges, countersinks, recesses.</summary>
public static class Holes
{
    /// <summary>Clearance hole, m (ISO 273; ASME B18.2.8).</summary>
    public static double Clearance(Fastener f, Fit fit) => fit switch
    {
        Fit.Close => f.ClearanceClose,
        Fit.Medium => f.ClearanceMedium,
        _ =>
        f.ClearanceFree
    };

    /// <summary>Hole middle to the edge that is wanted, m: twice the diameter in metal, 1.5 at the least; four in wood (usual
    /// rules).</summary>
    public static double EdgeDistance(Fastener f, Material m) => f.MajorDiameter * (m.Family is MaterialFamily.Wood ? 4 : 1.5);

    /// <summary>Deepest countersink, m: two thirds of the sheet (usual rule for riveted and screwed sheet).</summary>
    public static double DeepestCountersink(double sheet) => sheet * 2 / 3;

    /// <summary>Across the corners of a hexagon nut, m: the width of a recess for it.</summary>
    public static double AcrossCorners(Fastener f) => f.AcrossFlats * 2 / Math.Sqrt(3);

    /// <summary>A hole that is so much wider than the screw passes it, whatever a table calls it, m (judgement, 0.1–0.2 mm).</summary>
    private const double Passes = 0.00015;

    /// <summary>What is wrong with a hole that the screw must pass, or null.</summary>
    public static string? ClearanceFault(Fastener f, double hole) =>
        hole >= f.AcrossFlats - 1e-5 ? $"a {Drilled(hole)} hole lets the head of {f.Name} through: drill {Drilled(f.ClearanceMedium)}, "
            + $"or a wide washer over it"
        : hole >= Math.Min(f.ClearanceClose, f.MajorDiameter + Passes) - 1e-5 ? null
        : hole >= f.MajorDiameter - 1e-5
            ? $"a {Drilled(hole)} hole is the screw's own size: {f.Name} needs {Drilled(f.ClearanceClose)} to pass"
        : $"a {Drilled(hole)} hole is smaller than the screw: {f.Name} needs {Drilled(f.ClearanceClose)} to pass";

    /// <summary>What a hole larger than the free fit means, or null: nothing but friction keeps the part in place.</summary>
    public static string? Oversize(Fastener f, double hole) =>
        hole > f.ClearanceFree + 2e-4 && hole < f.AcrossFlats - 1e-5
            ? $"a {Drilled(hole)} hole is wide for {f.Name} ({Drilled(f.ClearanceFree)} is the free fit): "
                + $"the part shifts {Size(hole - f.MajorDiameter)} before the screw stops it; a washer that covers it" : null;

    /// <summary>
    /// What holes of a row that are out of place mean, or null: with the other part's holes where they belong, a screw passes while the
    /// hole is off by no more than half its play (fixed fastener, ASME Y14.5).
    /// </summary>
    /// <param name="off">The worst hole's middle from where it belongs, m.</param>
    public static string? OutOfPlace(Fastener f, double hole, double off) => off <= (hole - f.MajorDiameter) / 2 + 1e-5 ? null
        : $"a hole is {Size(off)} out of place, and {Drilled(hole)} leaves {f.Name} {Size((hole - f.MajorDiameter) / 2)} to each side: "
            + $"open the holes to {Drilled(f.MajorDiameter + 2 * off)}, with a washer that covers them, or drill anew";

    /// <summary>What is wrong with a hole that is to be tapped, or null.</summary>
    public static string? TapFault(Fastener f, double hole)
    {
        var share = Threads.ThreadShare(f.MajorDiameter, f.Pitch, hole);
        return share <= 0.05 ? $"a {Drilled(hole)} hole is too wide to tap {f.Name}: nothing is left to cut; drill {Drilled(f.TapDrill)}"
            : share < 0.5 ? $"a {Drilled(hole)} hole leaves {share * 100:0} % of the thread: drill {Drilled(f.TapDrill)}"
            : share > 0.95 ? $"a {Drilled(hole)} hole is too tight to tap {f.Name}: the tap breaks; drill {Drilled(f.TapDrill)}"
            : null;
    }

    /// <summary>A hole by its drill.</summary>
    internal static string Drilled(double metres) => QuantityText.Of(metres, Quantities.Dimension.Drill);

    internal static string Size(double metres) => QuantityText.Of(metres, Quantities.Dimension.Length);
}
