using System.ComponentModel;
using Ochema.Core.Quantities;

namespace Ochema.Core.Stock;

/// <summary>A catalogue row. Every row says where its numbers are from.</summary>
public interface IStockRow
{
    string Id { get; }
    string Name { get; }

    /// <summary>A published source, or "judgement".</summary>
    string Source { get; }

    /// <summary>How far a judged value may be off.</summary>
    string? Range { get; }

    /// <summary>What of its numbers cannot be together: field and reason; null when they can.</summary>
    (string Field, string Reason)? Wrong => null;
}

/// <summary>A row that is bought by the piece.</summary>
public interface IBoughtRow : IStockRow
{
    /// <summary>Of one, kg.</summary>
    double Mass { get; }

    /// <summary>Of one, in the user's currency.</summary>
    double Price { get; }

    /// <summary>Where in a shop it lies.</summary>
    Aisle Aisle { get; }
}

/// <summary>Where in a shop something lies.</summary>
public enum Aisle
{
    [Description("Bar, tube and sheet")]
    Metal,

    [Description("Screws and nuts")]
    Screws,

    [Description("Plumbing")]
    Plumbing,

    [Description("Holds, straps, clamps")]
    Rigging,

    [Description("Glue and felt")]
    Glue,

    [Description("Camera shop, and your own")]
    Camera,
}

/// <summary>A small part that is bought by the piece.</summary>
/// <param name="Mass">kg; 0 where it is weighed with what it belongs to.</param>
public sealed record FittingRow(
    string Id, string Name, [property: Measure("Mass", Dimension.Mass, 0, 10)] double Mass,
    [property: Measure("Price", Dimension.Money, 0, 1000)] double Price, Aisle Aisle, string Source, string? Range = null) : IBoughtRow
{
    /// <summary>What it is cut from, where the builder makes it; null for what is bought as it is.</summary>
    public FittingSheet? Sheet { get; init; }
}

/// <summary>A small plate that the builder cuts and drills.</summary>
/// <param name="Length">m.</param>
/// <param name="Width">m.</param>
/// <param name="Thickness">m.</param>
/// <param name="Material">Catalogue id.</param>
/// <param name="Layer">What joints call it.</param>
public sealed record FittingSheet(double Length, double Width, double Thickness, string Material, string Layer);

/// <summary>A material; <c>BendRatio</c> is the smallest inside bend radius in sheet thicknesses (usual handbook multiple). Moduli and
/// strengths in Pa, density in kg/m³, elongation as a share.</summary>
public sealed record Material(
    string Id, string Name, MaterialFamily Family, [property: Measure("Young's modulus", Dimension.Stress, 1e7, 1e12)] double YoungsModulus,
    double PoissonRatio, [property: Measure("Density", Dimension.Density, 10, 2e4)] double Density,
    [property: Measure("Yields at", Dimension.Stress, 1e5, 5e9)] double YieldStrength,
    [property: Measure("Breaks at", Dimension.Stress, 1e5, 5e9)] double UltimateStrength,
    [property: Measure("Stretches before it breaks", Dimension.Ratio, 0, 10)] double Elongation, bool Magnetic, string Source,
        string? Range = null, double? BendRatio = null,
    double PricePerKilogram = 0) : IStockRow
{
    /// <summary>Which of its family it is, where something goes by that.</summary>
    public MaterialGrade Grade { get; init; }

    public double ShearModulus => YoungsModulus / (2 * (1 + PoissonRatio));
}

/// <summary>What required factors go by.</summary>
public enum MaterialFamily
{
    Metal,
    Plastic,
    Wood,
    Composite,
    Glass,

    /// <summary>Stone, earth, snow: stood on, not built of.</summary>
    Ground,
}

/// <summary>Materials that something goes by: what glue joins them, what eats what in the wet, what bends warm.</summary>
public enum MaterialGrade
{
    /// <summary>None of those below.</summary>
    Other,
    Aluminium,
    Steel,
    Stainless,
    Brass,
    Pvc,
}

/// <summary>A screw thread with drill sizes (m), stress area (m²) and proof stress (Pa).</summary>
public sealed record Fastener(
    string Id, string Name, [property: Measure("Across", Dimension.Length, 0.0005, 0.1)] double MajorDiameter, double Pitch,
        double StressArea,
    [property: Measure("Tap drill", Dimension.Drill, 0.0005, 0.1)] double TapDrill, double ClearanceClose,
    [property: Measure("Clearance drill", Dimension.Drill, 0.0005, 0.1)] double ClearanceMedium, double ClearanceFree, double NutHeight,
    [property: Measure("Spanner", Dimension.Length, 0.001, 0.1)] double AcrossFlats, double HeadHeight,
    [property: Measure("Proof stress", Dimension.Stress, 1e7, 5e9)] double ProofStress, string Grade, string Source,
    string? Range = null, double ScrewPrice = 0, double NutPrice = 0, double WasherPrice = 0) : IStockRow
{
    /// <summary>
    /// A lock nut with a nylon ring, m (ISO 7040, style 1, greatest; inch ones ASME B18.16.6; from memory). The ring carries nothing:
    /// thread in steel is that of a plain nut.
    /// </summary>
    public double LockNutHeight { get; init; }

    /// <summary>True for threads of the inch system (ASME B1.1), sold and drilled by it.</summary>
    public bool Inch { get; init; }

    /// <summary>True for screws of stainless steel (ISO 3506-1).</summary>
    public bool Stainless { get; init; }

    /// <summary>Proof load, N: proof stress × stress area (ISO 898-1, SAE J429).</summary>
    public double ProofLoad => ProofStress * StressArea;
}
