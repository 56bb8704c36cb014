using Ochema.Core.Stock;

namespace Ochema.Core.Joints;

/// <summary>
/// The wall of a tube that a screw passes: only the wall is punched, and it dents under a washer long before a solid bar would. Formulas of
/// the face of a hollow section: EN 1993-1-8 section 7 (from memory), the washer taken as a square or strip of its own width, the bolt as
/// pressing square to the wall.
/// </summary>
/// <param name="Shape">Round or square tube.</param>
/// <param name="Across">Outside of the tube, m.</param>
/// <param name="Wall">m.</param>
public sealed record HollowWall(SectionShape Shape, double Across, double Wall)
{
    /// <summary>
    /// A wall is dented for good well before its face has become a mechanism (judgement, 1.3–2): that share of the mechanism's load is what
    /// may be tightened.
    /// </summary>
    public const double DentsBefore = 1.5;

    /// <summary>Widest part of a face that its formula goes by (EN 1993-1-8, table 7.8: β up to 0.85); beyond it the side walls
    /// carry.</summary>
    private const double WidestShare = 0.85;

    /// <summary>A sleeve in the tube is a steel tube round the screw, so much wider than it (judgement, 1.4–2).</summary>
    private const double SleeveWidth = 1.5;
    private const double SleeveYield = 235e6;

    /// <summary>The wall of a row; null for what is solid or open.</summary>
    public static HollowWall? Of(SectionRow row) =>
        row.Shape is SectionShape.RoundTube or SectionShape.SquareTube && row.Wall > 0 ? new(row.Shape, row.Width, row.Wall) : null;

    /// <summary>What is free inside, m: the length of a sleeve.</summary>
    public double Inside => Across - 2 * Wall;

    /// <summary>
    /// Force, N, that makes a mechanism of the face: fy·t²·(2η + 4·√(1 − β))/(1 − β) for a flat one (EN 1993-1-8, table 7.11, chord face),
    /// and 5·fy·t²·(1 + 0.25·η) for a round one, which a flat washer meets along a line (table 7.3, longitudinal plate).
    /// </summary>
    /// <param name="bearing">Width of what presses on it, m.</param>
    /// <param name="yield">Of the tube, Pa.</param>
    public double Yields(double bearing, double yield)
    {
        var share = Math.Max(0, bearing) / Across;
        if (Shape == SectionShape.RoundTube)
            return 5 * yield * Wall * Wall * (1 + 0.25 * Math.Min(4, share));
        var beta = Math.Min(WidestShare, share);
        return yield * Wall * Wall * (2 * beta + 4 * Math.Sqrt(1 - beta)) / (1 - beta);
    }

    /// <summary>Force, N, that the wall may be pressed with before it is dented for good.</summary>
    /// <inheritdoc cref="Yields"/>
    public double Dents(double bearing, double yield) => Yields(bearing, yield) / DentsBefore;

    /// <summary>Force, N, that a sleeve round the screw carries from wall to wall.</summary>
    /// <param name="thread">Of the screw.</param>
    public static double SleeveBears(Fastener thread) =>
        Math.PI / 4 * (Math.Pow(SleeveWidth * thread.MajorDiameter, 2) - Math.Pow(thread.ClearanceClose, 2)) * SleeveYield;

    /// <summary>The tube as a layer that a screw goes right through.</summary>
    /// <param name="name">What it is.</param>
    public static StackLayer Through(string name, SectionRow row) => new(name, LayerRole.Clearance,
        row.Shape is SectionShape.Flat or SectionShape.Batten or SectionShape.Sheet ? row.Height
            : row.Shape == SectionShape.Angle ? row.Wall : row.Width, row.Material, row.Width)
    { Hollow = Of(row) };
}
