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
    Metal,
    Screws,
    Plumbing,
    Rigging,
    Glue,
    Camera,
}

/// <summary>A small part that is bought by the piece.</summary>
/// <param name="Mass">kg; 0 where it is weighed with what it belongs to.</param>
public sealed record FittingRow(
    string Id, string Name, double Mass, double Price, Aisle Aisle, string Source, string? Range = null) : IBoughtRow;

/// <summary>A material; <c>BendRatio</c> is the smallest inside bend radius in sheet thicknesses (usual handbook multiple). Moduli and strengths in Pa, density in kg/m³, elongation as a share.</summary>
public sealed record Material(
    string Id, string Name, MaterialFamily Family, double YoungsModulus, double PoissonRatio, double Density,
    double YieldStrength, double UltimateStrength, double Elongation, bool Magnetic, string Source, string? Range = null, double? BendRatio = null,
    double PricePerKilogram = 0) : IStockRow
{
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
}

/// <summary>A bar, tube or strip. Lengths in m, price per m.</summary>
/// <param name="Width">Across (diameter of round ones).</param>
/// <param name="Height">The other way (thickness of flat bar and sheet).</param>
/// <param name="Wall">Wall thickness; 0 for solid round bar.</param>
public sealed record SectionRow(
    string Id, string Name, SectionShape Shape, string Material, double Width, double Height, double Wall,
    double PricePerMetre, string Source, string? Range = null) : IStockRow;

/// <summary>A screw thread with drill sizes (m), stress area (m²) and proof stress (Pa).</summary>
public sealed record Fastener(
    string Id, string Name, double MajorDiameter, double Pitch, double StressArea, double TapDrill, double ClearanceClose,
    double ClearanceMedium, double ClearanceFree, double NutHeight, double AcrossFlats, double HeadHeight, double ProofStress,
        string Grade, string Source,
    string? Range = null, double ScrewPrice = 0, double NutPrice = 0, double WasherPrice = 0) : IStockRow
{
    /// <summary>Proof load, N: proof stress × stress area (ISO 898-1, SAE J429).</summary>
    public double ProofLoad => ProofStress * StressArea;
}

/// <summary>A suction cup. Lengths m, stiffnesses N/m and N·m/rad, mass kg.</summary>
/// <param name="LipDiameter">Diameter of the sealing line that the vacuum acts within.</param>
/// <param name="VacuumShare">Pressure difference after pumping as a share of the ambient pressure.</param>
/// <param name="CurvatureSag">How much panel sag across its diameter the lip follows, m.</param>
public sealed record SuctionCupRow(
    string Id, string Name, double Diameter, double LipDiameter, double VacuumShare, double NormalStiffness, double ShearStiffness,
    double RockingStiffness, double Mass, double Height, double CurvatureSag, double Price, string Source, string? Range = null) : IBoughtRow
{
    /// <inheritdoc/>
    public Aisle Aisle => Aisle.Rigging;
}

/// <summary>A pot magnet. Pull N on thick bare steel, lengths m.</summary>
/// <param name="Coat">Rubber on its face, m.</param>
/// <param name="FullThickness">Sheet thickness that carries practically the whole field, m.</param>
public sealed record MagnetRow(
    string Id, string Name, double Diameter, double RatedPull, double Coat, double Friction, double FullThickness,
    double Mass, double Height, double TemperatureLimit, double Price, string Source, string? Range = null) : IBoughtRow
{
    /// <inheritdoc/>
    public Aisle Aisle => Aisle.Rigging;
}

/// <summary>A double-sided foam pad. Strength and shear modulus Pa.</summary>
public sealed record AdhesivePadRow(
    string Id, string Name, double Width, double Height, double Strength, double Thickness, double ShearModulus,
    double Mass, double Price, string Source, string? Range = null) : IBoughtRow
{
    /// <inheritdoc/>
    public Aisle Aisle => Aisle.Glue;
}

/// <summary>A head. Rated load kg, holding torque N·m, rotational stiffness N·m/rad, frontal area m².</summary>
public sealed record HeadRow(
    string Id, string Name, string Type, double Height, double Mass, double RatedLoad, double HoldingTorque,
    double RotationalStiffness, double FrontalArea, double Price, string Source, string? Range = null) : IBoughtRow
{
    /// <inheritdoc/>
    public Aisle Aisle => Aisle.Camera;
}

/// <summary>A camera body. Lengths m, read-out time s.</summary>
/// <param name="BuiltIn">True when its lens cannot be changed.</param>
public sealed record CameraRow(
    string Id, string Name, double SensorWidth, double SensorHeight, int PixelsAcross, double ReadOutTime, double Mass,
    double Length, double Width, double Height, double CentreHeight, string Stabilisation, string Socket, string Source, string? Range = null,
    bool BuiltIn = false) : IStockRow;

/// <summary>A lens. Lengths m.</summary>
/// <param name="FocalLength">Of a zoom: where it is usually left.</param>
/// <param name="Shortest">Shortest focal length of a zoom; null for all others.</param>
/// <param name="Longest">Longest focal length of a zoom.</param>
public sealed record LensRow(
    string Id, string Name, double FocalLength, double Mass, double Length, double Diameter, string Source, string? Range = null,
    double? Shortest = null, double? Longest = null) : IStockRow
{
    /// <summary>Part of its body: weighed with it.</summary>
    public bool BuiltIn => Mass == 0;

    /// <summary>The lens set to a focal length, m; as it is usually left where none is given.</summary>
    public LensRow At(double? focalLength) => focalLength is { } f ? this with { FocalLength = f } : this;
}

/// <summary>A strap, cord or wire. Axial stiffness N (force per unit strain), breaking strength N.</summary>
public sealed record StrapRow(
    string Id, string Name, double Width, double AxialStiffness, double BreakingStrength, double MassPerMetre,
    double PricePerMetre, string Source, string? Range = null) : IStockRow;

/// <summary>An articulated arm of two links. Torque N·m, joint stiffness N·m/rad.</summary>
public sealed record ArmRow(
    string Id, string Name, double LinkDiameter, double MassPerMetre, double JointTorque, double JointStiffness,
    double UsualLength, double Price, string Material, string Thread, string Source, string? Range = null) : IBoughtRow
{
    /// <summary>At its usual length, kg.</summary>
    public double Mass => MassPerMetre * UsualLength;

    /// <inheritdoc/>
    public Aisle Aisle => Aisle.Rigging;
}

/// <summary>One soft mount: rubber, wire-rope loop or elastic cord. Stiffness N/m along and across, damping ratio, travel m, load kg.</summary>
public sealed record IsolatorRow(
    string Id, string Name, string Type, double Axial, double Lateral, double Damping, double Travel, double Mass, double Height,
        double Price, string Source, string? Range = null) : IBoughtRow
{
    /// <inheritdoc/>
    public Aisle Aisle => Aisle.Rigging;
}

/// <summary>A gooseneck. Holding moment N·m, bending stiffness N·m², mass kg/m.</summary>
public sealed record GooseneckRow(
    string Id, string Name, double Diameter, double HoldingMoment, double BendingStiffness, double MassPerMetre, double PricePerMetre, string Source, string? Range = null) : IStockRow;

/// <summary>A helical extension spring. Lengths m, initial tension N, shear modulus Pa.</summary>
public sealed record SpringRow(
    string Id, string Name, double Wire, double CoilDiameter, double Coils, double FreeLength, double InitialTension, double ShearModulus,
        double Price, string Source, string? Range = null) : IBoughtRow
{
    /// <summary>Mass of the wire in its coils and two hooks of a coil each, kg.</summary>
    public double Mass => Math.PI / 4 * Wire * Wire * Math.PI * CoilDiameter * (Coils + 2) * 7850;

    /// <inheritdoc/>
    public Aisle Aisle => Aisle.Rigging;

    /// <summary>Rate, N/m: G·d⁴/(8·D³·N) (Shigley's Mechanical Engineering Design, ch. 10).</summary>
    public double Rate => HelicalSpring.Rate(ShearModulus, Wire, CoilDiameter, Coils);
}
