using Ochema.Core.Hosts;
using Ochema.Core.Loads;
using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Structure;

namespace Ochema.Core.Rigs;

/// <summary>The weather that reaches a rig: rain and ice of its day, none of them where its place is inside.</summary>
/// <param name="Rain">How hard it rains on it.</param>
/// <param name="Coat">What clings to it.</param>
public sealed record Weather(Rain Rain, Coat Coat)
{
    /// <summary>Inside its host, where no more of the wind comes than this share, rain does not come either: in an open boat it
    /// does.</summary>
    private const double Sheltered = 0.5;

    /// <summary>The weather of a rig's day at its place.</summary>
    public static Weather Of(RigDocument rig, Host host)
    {
        if (host.IsInside(rig.Site) && rig.Site.WindFactor <= Sheltered)
            return new(Rain.None, default);
        return new(rig.Run.Rain, new(rig.Run.Ice, rig.Run.Rain == Rain.None ? 0 : Coat.Hangs));
    }

    /// <summary>A place as it is today: what is clean and dry is wet in rain and where it ices; what is rough or dirty stays so and is
    /// slippery as well.</summary>
    public Site Today(Site site) => Rain == Rain.None && Coat.Ice == 0 ? site
        : site with { Rained = true, Surface = site.Surface == SurfaceState.CleanDry ? SurfaceState.Wet : site.Surface };

    /// <summary>What it is judged in, as "in a downpour with 6 mm of ice on it"; empty for a dry day.</summary>
    public string Said => string.Join(" ", ((string[])[Rain switch { Rain.None => "", Rain.Steady => "in steady rain", _ =>
        "in a downpour" },
        Coat.Ice > 0 ? $"with {QuantityText.Of(Coat.Ice, Dimension.Length)} of ice on it" : ""]).Where(s => s.Length > 0));

    /// <summary>What clings to it, in a word.</summary>
    public string Clings => Coat.Ice > 0 ? "Ice on it" : "Rain on it";

    /// <summary>What is said of it once the rig is built.</summary>
    internal static IEnumerable<ReportFinding> Findings(BuiltRig b, double speed)
    {
        var weather = b.Weather;
        var mass = b.Parts.Where(p => p.Sort == PieceSort.Caught).Sum(p => p.Mass);
        if (weather.Coat.Ice is > 0 and var ice)
            yield return new(StationId.Rig, $"{QuantityText.Of(ice, Dimension.Length)} of ice all round put "
                + $"{QuantityText.Of(mass, Dimension.Mass)} on it and make "
                + "it wider to the wind. Ice that wedges under a foot, or falls off in one piece, is not counted: build it dry, look "
                    + "often, "
                + "knock it off before it grows.");
        if (weather.Rain == Rain.None)
            yield break;
        var seen = 100 * Math.Round(Rainfall.Seen(weather.Rain)!.Value / 100);
        yield return new(StationId.Rig, $"In this rain one sees {QuantityText.Of(seen, Dimension.Altitude)} far, and what it stands on counts as "
            + $"wet.");
        foreach (var (camera, choice, station) in Cameras(b))
            if (camera.Body.Makes == Stock.Makes.Picture && camera.Lens.Diameter > 0)
                yield return new(station, OnLens(b, speed, weather.Rain, camera)
                    + (choice.Housing is null ? " Nothing says that it is tight: a bag over it, taped to the lens." : ""));
    }

    private static IEnumerable<(CameraBuild, CameraChoice, StationId)> Cameras(BuiltRig b)
    {
        yield return (b.Camera, b.Rig.Camera, RigPath.First.Camera);
        if (b.SecondCamera is { } second)
            yield return (second, b.Rig.Second!.Camera, RigPath.Second.Camera);
    }

    private static string OnLens(BuiltRig b, double speed, Rain rain, CameraBuild camera)
    {
        // Against the camera the drops come with the wind of travel, and fall.
        var air = b.ThroughAir(speed) * b.WindFactor + b.Rig.Run.HeadWind;
        var comes = new Vec3(-air, 0, -Rainfall.Falls);
        var front = Math.PI / 4 * camera.Lens.Diameter * camera.Lens.Diameter;
        var second = Rainfall.Drops(rain) * front * Math.Max(0, -comes.Dot(camera.View));
        var about = second < 20 ? second : 10 * Math.Round(second / 10);
        return second < 1 ? "No drops meet the lens at this speed."
            : FormattableString.Invariant($"At this speed {about:0} drops a second meet the front of the lens: ")
                + "wipe it at every stop, or look another way.";
    }
}
