using Ochema.Core.Hosts;
using Ochema.Core.Rigs;
using Ochema.Core.Structure;

namespace Ochema.Core.Assessment;

/// <summary>Where the camera comes to rest once something has let go: below what still holds it, or on the ground. Drawn, not computed
/// with.</summary>
internal static class EndsUp
{
    /// <summary>On a tether: as low as its line lets it round the bodywork; straight below its end where no way is looked for.</summary>
    public static IReadOnlyList<double[]> On(BuiltRig b, TetherBuilt tether)
    {
        var round = tether.Length < WayRound.Farthest ? WayRound.From(b.Host, tether.End, tether.From).Lowest(tether.Length) : null;
        var low = round is { } rest && rest.Z <= tether.End.Z ? rest : Low(b, tether.End, tether.Length);
        return [tether.From.ToArray(), tether.End.ToArray(), Low(b, low, 0).ToArray()];
    }

    /// <summary>What swings over and hangs on holds that are left: as far below their middle as it stood off them.</summary>
    /// <param name="gone">Ids of the holds that let go.</param>
    public static IReadOnlyList<double[]>? On(BuiltRig b, IReadOnlyList<string> gone)
    {
        var left = b.Holds.Where(h => !gone.Contains(h.Id.Name)).Select(h => b.Position(h.Node)).ToList();
        if (left.Count == 0)
            return null;
        var (camera, pivot) = (b.Position(b.Camera.Node), 1.0 / left.Count * left.Aggregate(Vec3.Zero, (sum, p) => sum + p));
        return [camera.ToArray(), pivot.ToArray(), Low(b, pivot, (camera - pivot).Length).ToArray()];
    }

    /// <summary>What falls: on the tether that catches it best, or loose where none does or it breaks as it catches.</summary>
    public static IReadOnlyList<double[]> Fallen(BuiltRig b, double speed) =>
        b.Tethers.Where(t => t.KeepsNothing(b, speed) is null).Select(t => (Tether: t, Use: t.Catches(b, t.Keeps(b), speed)))
            .Where(t => t.Use <= 1)
            .OrderBy(t => t.Use).Select(t => On(b, t.Tether)).FirstOrDefault() ?? Loose(b);

    /// <summary>What nothing catches: on the ground below.</summary>
    public static IReadOnlyList<double[]> Loose(BuiltRig b)
    {
        var camera = b.Position(b.Camera.Node);
        return [camera.ToArray(), new Vec3(camera.X, camera.Y, Math.Min(camera.Z, b.Host.GroundHeight)).ToArray()];
    }

    /// <summary>As far below as it hangs; no farther than the ground, but into water.</summary>
    private static Vec3 Low(BuiltRig b, Vec3 from, double length) =>
        new(from.X, from.Y, b.Host.Motion.Wet ? from.Z - length : Math.Max(b.Host.GroundHeight, from.Z - length));
}
