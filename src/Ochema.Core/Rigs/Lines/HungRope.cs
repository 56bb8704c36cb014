using Ochema.Core.Loads;
using Ochema.Core.Responses;
using Ochema.Core.Stock;
using Ochema.Core.Structure;
using Ochema.Core.Structure.Lines;

namespace Ochema.Core.Rigs;

/// <summary>
/// One rope of a rope run: drawn to a sag with the carriage in the middle, then hung anew for each case with what its point carries there,
/// and for the fall when the other rope has parted.
/// </summary>
public sealed class HungRope
{
    private readonly Vec3 from;
    private readonly Vec3 to;
    private readonly double share;
    private readonly double depth;

    /// <summary>Drag coefficient of a rope across the wind (Hoerner: a cylinder below its critical Reynolds number).</summary>
    private const double Drags = 1.2;

    /// <summary>Its part: taken away when it parts.</summary>
    public required PartId Id { get; init; }

    /// <summary>The other rope's name; null where there is none.</summary>
    public required string? Other { get; init; }

    /// <summary>Spring that the carriage stands on.</summary>
    public required SpringIndex Spring { get; init; }

    public StrapRow Row { get; }

    /// <summary>The rope by itself; null until <see cref="Settle"/>, or where no rope of its kind hangs like that.</summary>
    public RopeSpan? Span { get; private set; }

    /// <summary>As it hangs with its share of the carriage, at rest.</summary>
    public RopeHung? Rest { get; private set; }

    /// <summary>Where the carriage stands along it, a share of its chord.</summary>
    public double Place => share;

    /// <summary>Its share of the weight, N.</summary>
    public double Share { get; private set; }

    /// <summary>
    /// Times the weight that it catches when the other rope parts and all of it drops onto this one: until the work of the weight is the
    /// rope's.
    /// </summary>
    public double Catches { get; private set; } = 1;

    /// <summary>Stiffness of the carriage's point along, across and upright, N/m: the rope's tangent as it hangs at rest.</summary>
    public (double Along, double Across, double Upright) Tangent { get; private set; }

    /// <param name="from">Near end, m.</param>
    /// <param name="to">Far end, m.</param>
    /// <param name="share">Where the carriage stands along it.</param>
    /// <param name="depth">Under the chord with the carriage in the middle, m.</param>
    /// <param name="coat">What clings to it: it hangs as deep with it.</param>
    public HungRope(Vec3 from, Vec3 to, double share, double depth, StrapRow row, Coat coat) =>
        (this.from, this.to, this.share, this.depth, this.coat, Row) = (from, to, share, depth, coat, row);

    private readonly Coat coat;

    /// <summary>kg/m, with what clings to it.</summary>
    private double Weighs => Row.MassPerMetre + coat.Along(Row.Thickness);

    /// <summary>Hangs it, once it is known what it carries.</summary>
    /// <param name="load">Its share at rest, N.</param>
    /// <param name="all">All of the carriage, N.</param>
    internal void Settle(double load, double all)
    {
        Share = load;
        if (RopeSpan.LengthFor(from, to, Row.AxialStiffness, Weighs, 0.5, depth, load) is not { } length)
            return;
        var span = new RopeSpan(from, to, length, Row.AxialStiffness, Weighs);
        if (span.Under(share, new(0, 0, -load)) is not { } rest)
            return;
        (Span, Rest) = (span, rest);
        double Sunk(double force) => span.Under(share, new(0, 0, -force), default, rest)?.At.Z ?? rest.At.Z;
        var little = 0.01 * load;
        var along = 1e-3 * span.Chord;
        var (ahead, behind) = (span.Under(Math.Min(0.98, share + 1e-3), new(0, 0, -load)),
            span.Under(Math.Max(0.02, share - 1e-3), new(0, 0, -load)));
        Tangent = (
            ahead is null || behind is null ? 0 : Math.Max(0, (behind.Held - ahead.Held) / (2 * along)),
            little / Math.Max(1e-12, Math.Abs((span.Under(share, new(0, little, -load), default, rest)?.At.Y ?? rest.At.Y + 1)
                - rest.At.Y)),
            2 * little / Math.Max(1e-12, Sunk(load - little) - Sunk(load + little)));
        Catches = CatchOf(load, all, Sunk) / all;
    }

    /// <summary>Force, N, at which a weight that drops onto it from rest under a load comes to a stop: ∫(F − W)·dz = 0.</summary>
    private static double CatchOf(double load, double all, Func<double, double> sunk)
    {
        var (force, z, work) = (load, sunk(load), 0.0);
        const double step = 0.05;
        for (var i = 1; i <= 160; i++)
        {
            var (next, lower) = (load + i * step * all, sunk(load + i * step * all));
            var more = (0.5 * (force + next) - all) * (z - lower);
            if (next > all && work + more >= 0)
                return more > 0 ? force + (next - force) * -work / more : next;
            (force, z, work) = (next, lower, work + more);
        }
        return force;
    }

    /// <summary>What pulls at the rope in a case, N.</summary>
    public Vec3 LoadOf(CaseForces f) => -(Other is { } o && f.IsGone(o) ? Catches / f.Case.Caught : 1) * f.Spring(Spring).Force;

    /// <summary>How it hangs in a case; null where nothing is in balance.</summary>
    public RopeHung? In(CaseForces f) => f.Once(this, static (rope, forces) => new Found(rope.Hang(forces))).Hung;

    private sealed record Found(RopeHung? Hung);

    private RopeHung? Hang(CaseForces f) =>
        Span?.Under(share, LoadOf(f), f.Pressure * Drags * (Row.Thickness + 2 * coat.Ice) * f.Wind, Rest);
}
