using Ochema.Core.Structure;

namespace Ochema.Core.Hosts;

/// <summary>
/// Somebody on a host, as plain round parts of right proportions: a grown person of 1.75 m (sitting height 0.91 m, shoulders 0.40 m apart,
/// head 0.23 m high; ISO 7250-1 medians, from memory).
/// </summary>
/// <param name="Id">Begins the names of its surfaces.</param>
/// <param name="Name">In the user's words: "the driver".</param>
/// <param name="Hip">Middle between the hips, m.</param>
/// <param name="Lean">Back from upright, rad; negative forwards.</param>
/// <param name="Knees">Middle between the knees, m.</param>
/// <param name="Feet">Middle between the feet, m.</param>
/// <param name="Hands">Middle between the hands, m.</param>
/// <param name="Apart">Half the distance of the hands, m.</param>
/// <param name="Astride">Half the distance of the knees, m.</param>
/// <param name="Helmet">True with a helmet on.</param>
public sealed record PersonFigure(
    string Id, string Name, Vec3 Hip, double Lean, Vec3 Knees, Vec3 Feet, Vec3 Hands, double Apart = 0.18, double Astride = 0.12,
        bool Helmet = false)
{
    private const double Back = 0.54;
    private const double ShoulderHalf = 0.18;

    /// <summary>Middle between the shoulders, m.</summary>
    private Vec3 Shoulders => Hip + Back * new Vec3(-Math.Sin(Lean), 0, Math.Cos(Lean));

    /// <summary>Middle of the head, m.</summary>
    public Vec3 Head => Shoulders + new Vec3(0.05, 0, 0.22);

    /// <summary>Room that a head needs round it, m: as far as it goes in a jolt with a belt on, or when it looks round (judgement, 0.05–0.2
    /// m).</summary>
    private const double HeadRoom = 0.1;

    /// <summary>The room of the head, which must stay free.</summary>
    /// <param name="inside">Behind the host's skin.</param>
    internal KeepClear Room(bool inside)
    {
        Vec3 half = new(0.095 + HeadRoom, 0.077 + HeadRoom, 0.115 + HeadRoom);
        return new(Id + "-head", "room of " + Name + "'s head", (Head - half).ToArray(), (Head + half).ToArray(),
            "A head comes this far in a jolt.", Inside: inside);
    }

    /// <summary>Its parts: cloth, skin, and trim for a helmet.</summary>
    public IEnumerable<HostSurface> Surfaces()
    {
        var shoulders = Shoulders;
        HostSurface Part(string part, string kind, double diameter, params Vec3[] path) =>
            HostDrawing.Tube($"{Id}-{part}", kind, diameter, path);
        yield return HostDrawing.Dome(Id + "-head", "skin", Head, new Vec3(0.095, 0.077, 0.115), 0, Math.PI);
        yield return HostDrawing.Dome(Id + "-nose", "skin", Head + new Vec3(0.092, 0, -0.015), new Vec3(0.024, 0.015, 0.024), 0, Math.PI);
        if (Helmet)
            yield return HostDrawing.Dome(Id + "-helmet", "trim", Head + new Vec3(-0.01, 0, 0.015), new Vec3(0.135, 0.115, 0.135), 0, 1.75);
        yield return Part("neck", "skin", 0.115, Head - 0.08 * Vec3.UnitZ, shoulders + 0.03 * Vec3.UnitZ);
        // Wide enough for a trunk: two round bars side by side would leave a seam.
        yield return Part("trunk", "cloth", 0.27, Hip - 0.06 * Vec3.UnitZ, 0.5 * (Hip + shoulders), shoulders - 0.06 * Vec3.UnitZ);
        yield return Part("shoulders", "cloth", 0.13, shoulders + new Vec3(0, ShoulderHalf, -0.03), shoulders
            + new Vec3(0, -ShoulderHalf, -0.03));
        foreach (var (side, name) in new[] { (1, "left"), (-1, "right") })
        {
            var shoulder = shoulders + new Vec3(0, side * ShoulderHalf, -0.04);
            var hand = Hands + new Vec3(0, side * Apart, 0);
            // The elbow hangs below the line from shoulder to hand.
            var elbow = 0.5 * (shoulder + hand) + new Vec3(-0.03, side * 0.06, -0.11);
            yield return Part("arm-" + name, "cloth", 0.085, shoulder, elbow, hand + 0.15 * (elbow - hand).Normalized());
            yield return Part("hand-" + name, "skin", 0.075, hand + 0.12 * (elbow - hand).Normalized(), hand);
            var (knee, foot) = (Knees + new Vec3(0, side * Astride, 0), Feet + new Vec3(0, side * Astride, 0));
            yield return Part("leg-" + name, "cloth", 0.13, Hip + new Vec3(0, side * 0.09, 0), knee, foot + 0.06 * Vec3.UnitZ);
            yield return Part("foot-" + name, "trim", 0.085, foot + new Vec3(-0.05, 0, 0.05), foot + new Vec3(0.16, 0, 0.02));
        }
    }
}

/// <summary>What lies round a host, for the scene.</summary>
public enum Backdrop
{
    /// <summary>Grass and earth.</summary>
    Ground,

    /// <summary>A lane with its lines and verges.</summary>
    Road,
    Water,

    /// <summary>Fields far below.</summary>
    Air,
}

/// <summary>Somebody on a host, as published.</summary>
/// <param name="Head">Middle of the head, m.</param>
public sealed record HostPerson(string Id, string Name, double[] Head);
