using Ochema.Core.Loads;
using Ochema.Core.Quantities;
using Ochema.Core.Responses;

namespace Ochema.Core.Checks;

/// <summary>
/// A carriage that rolls by itself: from its start down to the lowest place of its path, less what its pulleys rub, against the speed that
/// is asked for.
/// </summary>
/// <param name="path">From where it is let go to the lowest place, m: how deep, and how far along.</param>
public sealed class RopeRolls((double Fall, double Way) path)
    : Check("base.rolls", StationId.Base, new("carriage"), "Rolls faster than asked")
{
    /// <summary>What pulleys with ball bearings rub (common practice, no source: 0.01–0.05).</summary>
    private const double Rubs = 0.02;

    public override CheckSort Sort => CheckSort.Service;

    /// <summary>Speed, m/s, that it reaches.</summary>
    /// <param name="fall">m.</param>
    /// <param name="way">m.</param>
    public static double Speed(double fall, double way) => Math.Sqrt(Math.Max(0, 2 * MotionProfile.Gravity * (fall - Rubs * way)));

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        var (fall, way) = path;
        var free = Speed(fall, way);
        sheet?.Formula("√(2 × g × ({h} − {μ} × {l})) ÷ {V}", "energy from its start to the lowest place of the rope",
            "A push at the start; wind from behind.")
            .Term("h", "it falls by", fall, Dimension.Length, "path along the rope")
            .Term("μ", "pulleys rub", Rubs, Dimension.Factor, "common practice, no source")
            .Term("l", "on the way there", way, Dimension.Length, "path along the rope")
                .Term("v", "it reaches", free, Dimension.Speed, Origin.Follows)
            .Term("V", "speed that is asked for", f.Speed, Dimension.Speed, Origin.Measures);
        return Ratio(free, f.Speed);
    }
}
