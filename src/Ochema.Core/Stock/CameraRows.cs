using System.Text.Json.Serialization;
using Ochema.Core.Quantities;

namespace Ochema.Core.Stock;

/// <summary>A head. Rated load kg, holding torque N·m, rotational stiffness N·m/rad, frontal area m².</summary>
public sealed record HeadRow(
    string Id, string Name, string Type,
    [property: Measure("Height", Dimension.Length, 0.002, 0.5, HowTo = "from its foot to the camera's")] double Height,
    [property: Measure("Mass", Dimension.Mass, 0.005, 20, HowTo = "kitchen scale")] double Mass,
    [property: Measure("Rated load", Dimension.Mass, 0.1, 100, HowTo = "as its maker says")] double RatedLoad,
    [property: Measure("Holding torque", Dimension.Torque, 0.05, 500, HowTo = "scale reading × lever when it slips")] double HoldingTorque,
    [property: Measure("Turns by", Dimension.RotationalStiffness, 1, 1e6, HowTo = "torque over the angle that it gives")] double RotationalStiffness,
    [property: Measure("Seen by the wind", Dimension.Area, 1e-5, 0.2, HowTo = "width × height")] double FrontalArea,
    [property: Measure("Price", Dimension.Money, 0, 50000)] double Price, string Source, string? Range = null) : IBoughtRow
{
    /// <inheritdoc/>
    [JsonIgnore]
    public Aisle Aisle => Aisle.Camera;
}

/// <summary>A camera body. Lengths m, read-out time s.</summary>
/// <param name="BuiltIn">True when its lens cannot be changed.</param>
public sealed record CameraRow(
    string Id, string Name,
    [property: Measure("Sensor width", Dimension.Length, 0.003, 0.07)] double SensorWidth,
    [property: Measure("Sensor height", Dimension.Length, 0.002, 0.06)] double SensorHeight,
    [property: Measure("Pixels across", Dimension.Count, 640, 20000, HowTo = "of the widest picture that it takes")] int PixelsAcross,
    [property: Measure("Read-out time", Dimension.Time, 0, 0.05, HowTo = "film a fast upright edge: lean over picture height; 5 to 30 ms are usual")]
    double ReadOutTime,
    [property: Measure("Mass", Dimension.Mass, 0.02, 15, HowTo = "with battery and card")] double Mass,
    [property: Measure("Length", Dimension.Length, 0.005, 0.5, HowTo = "front to back, without the lens")] double Length,
    [property: Measure("Width", Dimension.Length, 0.01, 0.5)] double Width,
    [property: Measure("Height", Dimension.Length, 0.01, 0.5)] double Height,
    [property: Measure("Centre above its foot", Dimension.Length, 0.003, 0.4, HowTo = "where it balances on its side")] double CentreHeight,
    string Stabilisation, string Socket, string Source, string? Range = null,
    bool BuiltIn = false,
    [property: Measure("Screen stands out", Dimension.Length, 0, 0.2, HowTo = "to the side, when it is open; 0 for one that does not open so")]
    double ScreenOpen = 0,
    [property: Measure("Socket beside the middle", Dimension.Length, -0.1, 0.1, HowTo = "to the left, seen from behind; to the right is negative")]
    double SocketAcross = 0,
    [property: Measure("Button beside the middle", Dimension.Length, -0.2, 0.2, HowTo = "to the left, seen from behind; most are on the right, negative")]
    double ButtonAcross = CameraRow.UsualButton,
    [property: Measure("Button behind the front", Dimension.Length, 0, 0.3, HowTo = "front of the body to the middle of the button")]
    double ButtonBack = 0.015) : IStockRow
{
    /// <summary>Where a right forefinger lies, m to the left of the middle (judgement, −60 to −20 mm).</summary>
    public const double UsualButton = -0.04;

    /// <inheritdoc/>
    [JsonIgnore]
    public (string Field, string Reason)? Wrong => CentreHeight > Height ? ("centreHeight", "is above the camera") : null;
}

/// <summary>A lens. Lengths m.</summary>
/// <param name="FocalLength">Of a zoom: where it is usually left.</param>
/// <param name="Shortest">Shortest focal length of a zoom; null for all others.</param>
/// <param name="Longest">Longest focal length of a zoom.</param>
public sealed record LensRow(
    string Id, string Name,
    [property: Measure("Focal length", Dimension.Length, 0.001, 1, HowTo = "real, not as on another sensor; of a zoom where it is usually left")]
    double FocalLength,
    [property: Measure("Mass", Dimension.Mass, 0, 10, HowTo = "0 for one that is built in: weighed with its body")] double Mass,
    [property: Measure("Length", Dimension.Length, 0, 0.6)] double Length,
    [property: Measure("Across", Dimension.Length, 0, 0.3)] double Diameter,
    string Source, string? Range = null,
    [property: Measure("Zoom from", Dimension.Length, 0.001, 1, HowTo = "leave empty for a prime", Measured = true)] double? Shortest = null,
    [property: Measure("Zoom to", Dimension.Length, 0.001, 1, Measured = true)] double? Longest = null) : IStockRow
{
    /// <summary>Part of its body: weighed with it.</summary>
    [JsonIgnore]
    public bool BuiltIn => Mass == 0;

    /// <inheritdoc/>
    [JsonIgnore]
    public (string Field, string Reason)? Wrong => this switch
    {
        { Shortest: null, Longest: null } => null,
        { Shortest: null } => ("shortest", "is missing: a zoom has two ends"),
        { Longest: null } => ("longest", "is missing: a zoom has two ends"),
        _ when Shortest >= Longest => ("longest", "is no longer than the shortest"),
        _ when FocalLength < Shortest || FocalLength > Longest => ("focalLength", "is outside of its zoom"),
        _ => null,
    };

    /// <summary>The lens set to a focal length, m; as it is usually left where none is given.</summary>
    public LensRow At(double? focalLength) => focalLength is { } f ? this with { FocalLength = f } : this;
}
