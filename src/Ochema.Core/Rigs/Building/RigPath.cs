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
    public static RigPath Of(StationId station) => new(station.IsOfSecond);

    /// <summary>True for the way to the second camera.</summary>
    public bool IsSecond => second;

    /// <summary>A name made unique for the path.</summary>
    public string Own(string name) => second ? name + SecondMark : name;

    /// <summary>The row of its camera.</summary>
    public StationId Camera => Row("camera");

    /// <summary>The row of its head.</summary>
    public StationId Head => Row("head");

    /// <summary>The row of its reach.</summary>
    public StationId Reach => Row("reach");

    private StationId Row(string family) => StationId.OnPath(family, Own(family), second);

    /// <summary>Rows from the camera down to where its path begins on the base.</summary>
    public IReadOnlyList<StationId> Stations => second ? [Camera, Head, Reach] : [Camera, Head, StationId.Isolator, Reach];

    /// <summary>Where a tether is tied that keeps its camera.</summary>
    public TetherPoint CameraPoint => second ? TetherPoint.SecondCamera : TetherPoint.Camera;
}
