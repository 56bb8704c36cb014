using System.Text.Json.Serialization;
using Ochema.Core.Quantities;

namespace Ochema.Core.Stock;

/// <summary>An articulated arm of two links. Torque N·m, joint stiffness N·m/rad.</summary>
public sealed record ArmRow(
    string Id, string Name,
    [property: Measure("Links across", Dimension.Length, 0.005, 0.08)] double LinkDiameter,
    [property: Measure("Mass a metre", Dimension.LineMass, 0.05, 20, HowTo = "weighed, over its length")] double MassPerMetre,
    [property: Measure("Joint torque", Dimension.Torque, 0.2, 300, HowTo = "scale reading × arm length when it slips")] double JointTorque,
    [property: Measure("A joint turns by", Dimension.RotationalStiffness, 5, 1e5, HowTo = "torque over the angle that it gives")] double JointStiffness,
    [property: Measure("Usual length", Dimension.Length, 0.05, 1.5)] double UsualLength,
    [property: Measure("Price", Dimension.Money, 0, 5000)] double Price, string Material, string Thread, string Source, string? Range = null) : IBoughtRow
{
    /// <summary>At its usual length, kg.</summary>
    [JsonIgnore]
    public double Mass => MassPerMetre * UsualLength;

    /// <inheritdoc/>
    [JsonIgnore]
    public Aisle Aisle => Aisle.Rigging;
}

/// <summary>A gooseneck. Holding moment N·m, bending stiffness N·m², mass kg/m.</summary>
public sealed record GooseneckRow(
    string Id, string Name,
    [property: Measure("Across", Dimension.Length, 0.004, 0.05)] double Diameter,
    [property: Measure("Holds a moment of", Dimension.Torque, 0.05, 50, HowTo = "weight × length at which it just sinks, held level")] double HoldingMoment,
    [property: Measure("Bending stiffness", Dimension.BendingStiffness, 0.2, 500)] double BendingStiffness,
    [property: Measure("Mass a metre", Dimension.LineMass, 0.02, 10)] double MassPerMetre,
    [property: Measure("Price a metre", Dimension.Money, 0, 1000)] double PricePerMetre, string Source, string? Range = null) : IStockRow;
