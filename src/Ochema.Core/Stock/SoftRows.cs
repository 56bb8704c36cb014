using System.Text.Json.Serialization;
using Ochema.Core.Quantities;

namespace Ochema.Core.Stock;

/// <summary>One soft mount: rubber, wire-rope loop or elastic cord. Stiffness N/m along and across, damping ratio, travel m, load
/// kg.</summary>
public sealed record IsolatorRow(
    string Id, string Name, string Type,
    [property: Measure("Stiffness along", Dimension.Stiffness, 50, 1e7, HowTo = "a known weight over how far it sinks")] double Axial,
    [property: Measure("Stiffness across", Dimension.Stiffness, 20, 1e7)] double Lateral,
    [property: Measure("Damping ratio", Dimension.Ratio, 0.005, 1)] double Damping,
    [property: Measure("Travel", Dimension.Length, 0.001, 0.3, HowTo = "until it bottoms")] double Travel,
    [property: Measure("Mass", Dimension.Mass, 0.001, 5)] double Mass,
    [property: Measure("Height", Dimension.Length, 0.002, 0.3)] double Height,
    [property: Measure("Price", Dimension.Money, 0, 1000)] double Price, string Source, string? Range = null) : IBoughtRow
{
    /// <inheritdoc/>
    [JsonIgnore]
    public Aisle Aisle => Aisle.Rigging;
}

/// <summary>A helical extension spring. Lengths m, initial tension N, shear modulus Pa.</summary>
public sealed record SpringRow(
    string Id, string Name,
    [property: Measure("Wire", Dimension.Length, 0.0003, 0.012, HowTo = "calipers across the wire")] double Wire,
    [property: Measure("Coil across", Dimension.Length, 0.002, 0.15, HowTo = "outside less one wire")] double CoilDiameter,
    [property: Measure("Coils", Dimension.Count, 3, 400)] double Coils,
    [property: Measure("Free length", Dimension.Length, 0.01, 1, HowTo = "inside of hook to inside of hook")] double FreeLength,
    [property: Measure("Pull at which it begins to open", Dimension.Force, 0, 2000, HowTo = "luggage scale, until light shows between the coils")]
    double InitialTension,
    [property: Measure("Shear modulus", Dimension.Stress, 2e10, 1e11, HowTo = "steel {stress:79e9}, stainless {stress:69e9}")] double ShearModulus,
    [property: Measure("Price", Dimension.Money, 0, 1000)] double Price, string Source, string? Range = null) : IBoughtRow
{
    /// <summary>Mass of the wire in its coils and two hooks of a coil each, kg.</summary>
    [JsonIgnore]
    public double Mass => Math.PI / 4 * Wire * Wire * Math.PI * CoilDiameter * (Coils + 2) * 7850;

    /// <inheritdoc/>
    [JsonIgnore]
    public Aisle Aisle => Aisle.Rigging;

    /// <inheritdoc/>
    [JsonIgnore]
    public (string Field, string Reason)? Wrong => CoilDiameter < 2 * Wire
        ? ("coilDiameter", "is less than two wires: no such spring is wound") : null;

    /// <summary>Rate, N/m: G·d⁴/(8·D³·N) (Shigley's Mechanical Engineering Design, ch. 10).</summary>
    [JsonIgnore]
    public double Rate => HelicalSpring.Rate(ShearModulus, Wire, CoilDiameter, Coils);
}
