using System.ComponentModel;
using System.Text.Json.Serialization;
using Ochema.Core.Quantities;

namespace Ochema.Core.Stock;

/// <summary>A suction cup. Lengths m, stiffnesses N/m and N·m/rad, mass kg.</summary>
/// <param name="LipDiameter">Diameter of the sealing line that the vacuum acts within.</param>
/// <param name="VacuumShare">Pressure difference after pumping as a share of the ambient pressure.</param>
/// <param name="CurvatureSag">How much panel sag across its diameter the lip follows, m.</param>
public sealed record SuctionCupRow(
    string Id, string Name,
    [property: Measure("Across", Dimension.Length, 0.02, 0.4)] double Diameter,
    [property: Measure("Sealing line across", Dimension.Length, 0.015, 0.4, HowTo = "the mark that it leaves on wet glass")] double LipDiameter,
    [property: Measure("Vacuum after pumping", Dimension.Ratio, 0.05, 0.95, HowTo = "gauge reading as a share of the air's pressure")] double VacuumShare,
    [property: Measure("Stiffness pulled off", Dimension.Stiffness, 1e4, 1e8)] double NormalStiffness,
    [property: Measure("Stiffness sideways", Dimension.Stiffness, 1e3, 1e8)] double ShearStiffness,
    [property: Measure("Stiffness rocked", Dimension.RotationalStiffness, 1, 1e5)] double RockingStiffness,
    [property: Measure("Mass", Dimension.Mass, 0.01, 10, HowTo = "kitchen scale")] double Mass,
    [property: Measure("Height", Dimension.Length, 0.005, 0.3, HowTo = "pumped, to its stud's foot")] double Height,
    [property: Measure("Curve it follows", Dimension.Length, 0, 0.05, HowTo = "gap under a ruler across it, on the most curved place where it seals")]
    double CurvatureSag,
    [property: Measure("Price", Dimension.Money, 0, 10000)] double Price, string Source, string? Range = null) : IBoughtRow
{
    /// <inheritdoc/>
    [JsonIgnore]
    public Aisle Aisle => Aisle.Rigging;

    /// <inheritdoc/>
    [JsonIgnore]
    public (string Field, string Reason)? Wrong => LipDiameter > Diameter ? ("lipDiameter", "is more than the cup is across") : null;
}

/// <summary>A pot magnet. Pull N on thick bare steel, lengths m.</summary>
/// <param name="Coat">Rubber on its face, m.</param>
/// <param name="FullThickness">Sheet thickness that carries practically the whole field, m.</param>
public sealed record MagnetRow(
    string Id, string Name,
    [property: Measure("Across", Dimension.Length, 0.005, 0.3)] double Diameter,
    [property: Measure("Pull on thick bare steel", Dimension.Force, 1, 5000, HowTo = "luggage scale, straight off a flat block of 10 mm steel or more")]
    double RatedPull,
    [property: Measure("Rubber on its face", Dimension.Length, 0, 0.005)] double Coat,
    [property: Measure("Friction", Dimension.Factor, 0.02, 1.2, HowTo = "sideways pull over straight pull, on paint as it will be; bare pots slide at a fifth")]
    double Friction,
    [property: Measure("Steel for its whole pull", Dimension.Length, 0.0005, 0.05, HowTo = "thickness beyond which it pulls no more")] double FullThickness,
    [property: Measure("Mass", Dimension.Mass, 0.001, 10, HowTo = "kitchen scale")] double Mass,
    [property: Measure("Height", Dimension.Length, 0.001, 0.2)] double Height,
    [property: Measure("Hottest it bears", Dimension.Temperature, 320, 600, HowTo = "{temperature:353} for common ones")] double TemperatureLimit,
    [property: Measure("Price", Dimension.Money, 0, 10000)] double Price, string Source, string? Range = null) : IBoughtRow
{
    /// <inheritdoc/>
    [JsonIgnore]
    public Aisle Aisle => Aisle.Rigging;
}

/// <summary>A double-sided foam pad. Strength and shear modulus Pa.</summary>
public sealed record AdhesivePadRow(
    string Id, string Name,
    [property: Measure("Width", Dimension.Length, 0.005, 0.3)] double Width,
    [property: Measure("Height", Dimension.Length, 0.005, 0.3)] double Height,
    [property: Measure("Strength", Dimension.Stress, 1e4, 5e6, HowTo = "cured, on clean paint, by its sheet of data")] double Strength,
    [property: Measure("Thickness", Dimension.Length, 0.0001, 0.01)] double Thickness,
    [property: Measure("Shear modulus", Dimension.Stress, 1e4, 1e8)] double ShearModulus,
    [property: Measure("Mass", Dimension.Mass, 0.0005, 1)] double Mass,
    [property: Measure("Price", Dimension.Money, 0, 1000)] double Price, string Source, string? Range = null) : IBoughtRow
{
    /// <inheritdoc/>
    [JsonIgnore]
    public Aisle Aisle => Aisle.Glue;
}

/// <summary>What a line is: it says which knots hold in it, what it can be used for, and never what it is called.</summary>
public enum LineSort
{
    /// <summary>Nobody said: asked, and until then judged as elastic, in which the fewest knots hold.</summary>
    [Description("not said")]
    Unsaid,

    [Description("ratchet strap")]
    Ratchet,

    [Description("cam-buckle strap")]
    CamBuckle,

    [Description("webbing without a buckle")]
    Webbing,

    [Description("cord that stretches little")]
    Cord,

    [Description("cord that stretches, nylon")]
    StretchCord,

    [Description("rope")]
    Rope,

    [Description("stretching lanyard, sewn")]
    Lanyard,

    [Description("wire")]
    Wire,

    [Description("elastic")]
    Elastic,
}

/// <summary>A strap, cord or wire. Axial stiffness N (force per unit strain), breaking strength N.</summary>
public sealed record StrapRow(
    string Id, string Name,
    [property: Measure("Width", Dimension.Length, 0.0005, 0.15, HowTo = "across, or its diameter")] double Width,
    [property: Measure("Force that would double its length", Dimension.Force, 100, 5e6, HowTo = "force over stretch: 500 N for 1 % is 50 kN")]
    double AxialStiffness,
    [property: Measure("Breaking strength", Dimension.Force, 50, 200000, HowTo = "as stamped on it; three times the working load where only that is")]
    double BreakingStrength,
    [property: Measure("Mass a metre", Dimension.LineMass, 0.0005, 5)] double MassPerMetre,
    [property: Measure("Price a metre", Dimension.Money, 0, 1000)] double PricePerMetre, string Source, string? Range = null,
    [property: Measure("Keeps of its pull", Dimension.Ratio, 0.1, 1, HowTo = "after an hour, by scale: cam buckles creep, ratchets hardly")]
    double Keeps = StrapRow.UsuallyKeeps) : IStockRow
{
    /// <summary>What sort of line it is.</summary>
    [Option("Sort", HowTo = "says which knots hold in it and what it may be used for")]
    public LineSort Sort { get; init; }

    /// <summary>True for what is sold with its ends sewn, hooked or crimped; cord and tape off the roll have none.</summary>
    [JsonIgnore]
    public bool HasEnds => Sort is LineSort.Ratchet or LineSort.CamBuckle or LineSort.Lanyard;

    /// <summary>True where only knots for elastic hold: also where nobody said what it is.</summary>
    [JsonIgnore]
    public bool IsElastic => Sort is LineSort.Elastic or LineSort.Unsaid;

    /// <summary>True for what is drawn by a buckle, which nobody ties a camera with.</summary>
    [JsonIgnore]
    public bool HasBuckle => Sort is LineSort.Ratchet or LineSort.CamBuckle;

    /// <summary>What has to be said of it before its knots can be judged, in words; null where all is.</summary>
    [JsonIgnore]
    public string? Asks => Sort != LineSort.Unsaid ? null
        : $"what sort of line {Words.Inside(Name)} is was not said: say it on its row; until then it is judged as elastic";

    /// <summary>Share of its pull that a line tied off by hand keeps (judgement, 0.6–0.9: the knot settles, the line creeps).</summary>
    public const double UsuallyKeeps = 0.8;

    /// <summary>What knots are reckoned by, m: a line's diameter; webbing bunches to a line of 12 mm at the most (judgement, 8–15
    /// mm).</summary>
    public double Thickness => Math.Min(Width, 0.012);
}
