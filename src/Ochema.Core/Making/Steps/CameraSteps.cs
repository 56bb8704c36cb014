using Ochema.Core.Responses;
using Ochema.Core.Joints;
using Ochema.Core.Quantities;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;

namespace Ochema.Core.Making.Steps;

/// <summary>The camera put on and aimed: steps that follow from pieces and joints, whatever kinds they are of (common practice, no
/// source).</summary>
internal static class CameraSteps
{
    /// <summary>How long a full battery lasts, said where it is put in; empty where that is not known.</summary>
    private static string Full(CameraRow of) => of.Lasts is { } seconds
        ? $" Battery full: at {QuantityText.Of(of.Draws, Dimension.Power)} it lasts about {Math.Max(5, 5 * Math.Round(seconds / 300)):0} "
            + $"minutes, less in "
            + $"the cold." : "";

    /// <summary>What goes into a camera's shoe.</summary>
    public static StationStep InShoe(StationId station, CameraRow of, CameraChoice camera) => new(station, new(Work.Camera, "Into the shoe: "
        + $"{Words.Inside(of.Name)}",
        "Home to the shoe's stop, its ring drawn tight by fingers, pull on it." + (camera.ShoeLoop == ShoeLoop.Looped
            ? " A loop of cord from it through the camera's eye, short: it must not reach the lens." : "") + Full(of))
    {
        Minutes = 2,
        Wrong = "It rocks: the shoe's own screws are loose; they come before anything else.",
    });

    /// <summary>The camera, or what stands in its place, goes on; by its screw, or into what snaps round it.</summary>
    /// <param name="tied">True where a tether waits for it.</param>
    public static StationStep Camera(StationId station, string name, ScrewJoint? screw, CameraRow body, bool tied) =>
        new(station, new(Work.Camera,
        (body.Makes == Makes.Picture ? "Camera on: " : "On goes the ") + $"{Words.Inside(name)}",
        (screw is null ? $"One hand on it until {(tied ? "the tether and " : "")}its clip hold{(tied ? "" : "s")} it. In until it snaps, "
            + $"the pin or "
                + "band closed, pull on it."
            : $"One hand on it until {(tied ? "the tether and " : "")}its screw hold{(tied ? "" : "s")} it. "
                + (screw.Means == Loosening.RubberWasher ? "Rubber washer in, " : "")
                + $"{QuantityText.Of(screw.TightenedWith, Dimension.Torque)}, tight by hand, a mark line.")
        + Full(body) + (body.Makes == Makes.Light ? " Switched on before anybody moves off." : " Start it before anybody moves off."))
        {
            Tools = ["cloth"],
            Minutes = 4,
            Wrong = screw is null ? "It rattles: tape in the clip, or a new clip; the clip is the weak link."
            : "The screw bottoms before the camera is tight: a washer more; a driven-out socket is the camera's end.",
        });

    public static readonly WorkStep Level = new(Work.Set, "Level and aim",
        "With the host standing level. Bubble first, then through the lens. Lock everything, look once more: locking moves it.")
    {
        Tools = ["level"],
        Minutes = 6,
    };
}
