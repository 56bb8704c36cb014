using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Structure;

namespace Ochema.Core.Rigs;

/// <summary>What a host that turns does to the rig, in the builder's words: turns a minute, pull outwards, weight that balances
/// it.</summary>
internal static class Flung
{
    /// <summary>How much more than the first camera something is pulled outwards, m/s²: by as much as it is farther out.</summary>
    /// <param name="at">Its middle, m.</param>
    public static Vec3 Beyond(BuiltRig b, CaseForces f, Vec3 at)
    {
        if (!f.Case.Spins || b.Host.Motion.Turning is not { } spin)
            return Vec3.Zero;
        var rate = spin.Rate(f.Speed);
        return rate * rate * (spin.Outward(at) - spin.Outward(b.Position(b.Camera.Node)));
    }

    public static IEnumerable<ReportFinding> Findings(BuiltRig b, double speed)
    {
        if (b.Host.Motion.Turning is not { } spin)
            yield break;
        var all = b.MassOf(_ => true);
        var (mass, centre) = all;
        var (out_, rate) = (spin.Outward(centre).Length, spin.Rate(speed));
        var camera = spin.Outward(b.Position(b.Camera.Node)).Length;
        yield return new ReportFinding(StationId.Site,
            $"At {(spin.Swings ? "its lowest" : FormattableString.Invariant($"{spin.Rpm(speed):0} turns a minute"))} the camera is "
                + $"pulled outwards by "
                + $"{QuantityText.Of(rate * rate * camera, Dimension.Acceleration)}, the whole rig by "
                    + $"{QuantityText.Of(mass * rate * rate * out_, Dimension.Force)}.");
        if (Counterweight.Of(b, all) is { } against)
        {
            yield return new ReportFinding(StationId.Site, $"It is out of balance with {QuantityText.Of(mass, Dimension.Mass)} at "
                + $"{QuantityText.Of(out_, Dimension.Length)} from the axis. {against.Text}");
        }
    }
}
