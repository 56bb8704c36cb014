using Ochema.Core.Responses;

namespace Ochema.Core.Rigs;

/// <summary>
/// The way from the base to a camera: the first, or that of a second camera. It scopes the names of what is built on it; nothing else knows
/// how.
/// </summary>
public readonly record struct RigPath
{
    private const string SecondMark = "-2";
    private readonly bool second;

    private RigPath(bool second) => this.second = second;

    /// <summary>To the camera that every rig has.</summary>
    public static RigPath First => new(false);

    /// <summary>To a second camera on the same base.</summary>
    public static RigPath Second => new(true);

    /// <summary>The path that a station's row belongs to; the base, the place and the helpers belong to the first.</summary>
    public static RigPath Of(string station) => new(station is "camera" + SecondMark or "head" + SecondMark or "reach" + SecondMark);

    /// <summary>True for the way to the second camera.</summary>
    public bool IsSecond => second;

    /// <summary>A name made unique for the path.</summary>
    public string Own(string name) => second ? name + SecondMark : name;

    /// <summary>The row of its camera.</summary>
    public StationId Camera => StationId.OnPath(Own("camera"));

    /// <summary>The row of its head.</summary>
    public StationId Head => StationId.OnPath(Own("head"));

    /// <summary>The row of its reach.</summary>
    public StationId Reach => StationId.OnPath(Own("reach"));

    /// <summary>Which station of a path a row is: "head" for the second camera's head as well.</summary>
    public static string Kind(string station) => Of(station).second ? station[..^SecondMark.Length] : station;

    /// <summary>Rows from the camera down to where its path begins on the base.</summary>
    public IReadOnlyList<StationId> Stations => second ? [Camera, Head, Reach] : [Camera, Head, StationId.Isolator, Reach];

    /// <summary>Where a tether is tied that keeps its camera.</summary>
    public TetherPoint CameraPoint => second ? TetherPoint.SecondCamera : TetherPoint.Camera;
}
