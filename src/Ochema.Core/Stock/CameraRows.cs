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

/// <summary>What stands on a head is there for.</summary>
public enum Makes
{
    Picture,

    /// <summary>A lamp.</summary>
    Light,

    /// <summary>A recorder or a microphone.</summary>
    Sound,
}

/// <summary>A camera body, or what is put in a camera's place: a lamp, a recorder, a microphone. Lengths m, read-out time s.</summary>
/// <param name="BuiltIn">True when its lens cannot be changed.</param>
/// <param name="Makes">What it is there for.</param>
/// <param name="InShoe">True for what also fits the shoe on top of a camera.</param>
/// <param name="TurnsItself">True for a camera that turns its picture the right way up when it hangs.</param>
public sealed record CameraRow(
    string Id, string Name,
    [property: Measure("Sensor width", Dimension.Length, 0.003, 0.07, OfPictures = true)] double SensorWidth,
    [property: Measure("Sensor height", Dimension.Length, 0.002, 0.06, OfPictures = true)] double SensorHeight,
    [property: Measure("Pixels across", Dimension.Count, 640, 20000, OfPictures = true, HowTo = "of the widest picture that it takes")] int PixelsAcross,
    [property: Measure("Read-out time", Dimension.Time, 0, 0.05, OfPictures = true,
        HowTo = "film a fast upright edge: lean over picture height; 5 to 30 ms are usual")]
    double ReadOutTime,
    [property: Measure("Mass", Dimension.Mass, 0.02, 15, HowTo = "with battery and card")] double Mass,
    [property: Measure("Length", Dimension.Length, 0.005, 0.5, HowTo = "front to back, without the lens")] double Length,
    [property: Measure("Width", Dimension.Length, 0.01, 0.5)] double Width,
    [property: Measure("Height", Dimension.Length, 0.01, 0.5)] double Height,
    [property: Measure("Centre above its foot", Dimension.Length, 0.003, 0.4, HowTo = "where it balances on its side")] double CentreHeight,
    string Stabilisation, string Socket, string Source, string? Range = null,
    bool BuiltIn = false,
    [property: Measure("Screen stands out", Dimension.Length, 0, 0.2, OfPictures = true,
        HowTo = "to the side, when it is open; 0 for one that does not open so")]
    double ScreenOpen = 0,
    [property: Measure("Socket beside the middle", Dimension.Length, -0.1, 0.1, HowTo = "to the left, seen from behind; to the right is negative")]
    double SocketAcross = 0,
    [property: Measure("Button beside the middle", Dimension.Length, -0.2, 0.2, OfPictures = true,
        HowTo = "to the left, seen from behind; most are on the right, negative")]
    double ButtonAcross = CameraRow.UsualButton,
    [property: Measure("Button behind the front", Dimension.Length, 0, 0.3, OfPictures = true, HowTo = "front of the body to the middle of the button")]
    double ButtonBack = 0.015,
    Makes Makes = Makes.Picture,
    bool InShoe = false,
    bool TurnsItself = false,
    [property: Measure("Beam", Dimension.Angle, 0.05, 3.1, HowTo = "of a lamp: edge to edge, where it is half as bright", Measured = true)]
    double? Beam = null,
    [property: Measure("Glass to glass", Dimension.Length, 0.004, 0.2, OfPictures = true,
        HowTo = "of a camera that sees all round: front of one lens to front of the other",
        Measured = true)]
    double? AllRound = null,
    [property: Measure("Stabiliser follows up to", Dimension.Frequency, 0, 30, OfPictures = true, HowTo = "leave empty for what is usual of its kind",
        Measured = true)]
    double? Follows = null,
    [property: Measure("Draws", Dimension.Power, 0, 500, HowTo = "while it runs; on its charger's label or by a meter in the lead")] double Draws = 0,
    [property: Measure("Its battery holds", Dimension.Energy, 0, 3.6e6, HowTo = "on its label; volts × ampere-hours")] double Battery = 0,
    [property: Measure("Under water down to", Dimension.Length, 0, 300, HowTo = "as rated, without a housing; 0 for what is not tight")]
    double UnderWater = 0) : IStockRow
{
    /// <summary>What its stabiliser follows, Hz, by its kind: a strong one crops the picture, the others shift glass or sensor (judgement,
    /// 4–6 and 2–3).</summary>
    [JsonIgnore]
    public double Band => Follows ?? Stabilisation switch { "strong" => 5, "none" => 0, _ => 2.5 };

    /// <summary>What it is called in the load path.</summary>
    public string Called(bool second) => (Makes, second) switch
    {
        (Makes.Light, _) => "Lamp",
        (Makes.Sound, _) => "Sound",
        (_, true) => "Second camera",
        _ => "Camera",
    };

    /// <summary>How long it runs on its own battery, s; null where that is not known.</summary>
    [JsonIgnore]
    public double? Lasts => Draws > 0 && Battery > 0 ? Battery / Draws : null;

    /// <summary>Where a right forefinger lies, m to the left of the middle (judgement, −60 to −20 mm).</summary>
    public const double UsualButton = -0.04;

    /// <inheritdoc/>
    [JsonIgnore]
    public (string Field, string Reason)? Wrong => this switch
    {
        { Makes: Makes.Picture } when CentreHeight > Height => ("centreHeight", "is above the camera"),
        _ when CentreHeight > Height => ("centreHeight", "is above it"),
        { Makes: not Makes.Light, Beam: not null } => ("beam", "is a lamp's: leave it out"),
        { Makes: not Makes.Picture, AllRound: not null } => ("allRound", "is a camera's: leave it out"),
        { AllRound: { } glass } when glass > Length + 0.001 => ("allRound", "is more than the camera is long"),
        _ => null,
    };
}

/// <summary>A lens. Lengths m.</summary>
/// <param name="FocalLength">Of a zoom: where it is usually left.</param>
/// <param name="Shortest">Shortest focal length of a zoom; null for all others.</param>
/// <param name="Longest">Longest focal length of a zoom.</param>
/// <param name="Foot">A long lens's own foot: the camera's face to the middle of its screw hole, m; null for a lens that has none.</param>
/// <param name="FootBelow">Middle of the lens to the face of its foot, m.</param>
/// <param name="FootSocket">Thread in the foot.</param>
/// <param name="None">True for no lens at all: what goes with lamps and recorders.</param>
public sealed record LensRow(
    string Id, string Name,
    [property: Measure("Focal length", Dimension.Length, 0.001, 1, HowTo = "real, not as on another sensor; of a zoom where it is usually left")]
    double FocalLength,
    [property: Measure("Mass", Dimension.Mass, 0, 10, HowTo = "0 for one that is built in: weighed with its body")] double Mass,
    [property: Measure("Length", Dimension.Length, 0, 0.6)] double Length,
    [property: Measure("Across", Dimension.Length, 0, 0.3)] double Diameter,
    string Source, string? Range = null,
    [property: Measure("Zoom from", Dimension.Length, 0.001, 1, HowTo = "leave empty for a prime", Measured = true)] double? Shortest = null,
    [property: Measure("Zoom to", Dimension.Length, 0.001, 1, Measured = true)] double? Longest = null,
    [property: Measure("Foot", Dimension.Length, 0.005, 0.6, HowTo = "of a long lens: from the camera's face to its foot's screw hole; leave empty without "
        + "a foot",
        Measured = true)]
    double? Foot = null,
    [property: Measure("Foot below its middle", Dimension.Length, 0.02, 0.2, HowTo = "middle of the lens to the face of its foot")] double FootBelow = 0.075,
    string FootSocket = "1-4-20",
    bool None = false) : IStockRow
{
    /// <summary>Part of its body: weighed with it.</summary>
    [JsonIgnore]
    public bool BuiltIn => Mass == 0;

    /// <inheritdoc/>
    [JsonIgnore]
    public (string Field, string Reason)? Wrong => this switch
    {
        { Foot: { } foot } when foot > Length => ("foot", "is ahead of the lens"),
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
