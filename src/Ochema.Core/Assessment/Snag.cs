using Ochema.Core.Analysis;
using Ochema.Core.Loads;
using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Structure;

namespace Ochema.Core.Assessment;

/// <summary>
/// What stands out and is caught by weed, a line or a branch: how hard its tip may be held back or aside until the first part is at its
/// limit, and which part that is. A part that turns is the better one to be first.
/// </summary>
internal static class Snag
{
    /// <summary>Pulls that are looked at, N.</summary>
    private const double Most = 2000;

    /// <summary>Pull at which the first check is at its limit, N, and that check; null where none is up to <see cref="Most"/>.</summary>
    /// <param name="way">Unit vector that the tip is pulled along.</param>
    public static (double Pull, Check By)? First(RigModel model, Vec3 way)
    {
        var state = model.State([]);
        var checks = model.Built.Checks.Where(c => !c.Fixed && !c.Reserve && c.Sort == CheckSort.Strength).ToList();
        (double Use, Check? By) At(double pull)
        {
            if (model.Forces(state, new RigCase("snag", "caught", -MotionProfile.Gravity * Vec3.UnitZ, -1, pull * way), 0) is not { } f)
                return (Check.MostUse, null);
            var worst = checks.MaxBy(c => c.Use(f));
            return worst is null ? (0, null) : (worst.Use(f), worst);
        }
        if (state.Mechanism is not null || At(0).Use >= 1 || At(Most).Use < 1)
            return null;
        var high = Bisection.Between(0, Most, 16, pull => At(pull).Use >= 1).High;
        return At(high).By is { } by ? (high, by) : null;
    }

    /// <summary>What is said of a rig that reaches out where things catch.</summary>
    public static IEnumerable<ReportFinding> Findings(RigModel model)
    {
        var b = model.Built;
        if (!b.Host.Snags || !b.Rig.Reach.Snags)
            yield break;
        foreach (var (way, where) in new[] { (-Vec3.UnitX, "held back"), (Vec3.UnitY, "pulled aside") })
            if (First(model, way) is var (pull, by))
                yield return new(RigPath.First.Reach,
                    $"Caught and {where} at its tip it is at its limit at {QuantityText.Of(pull, Dimension.Force)}: "
                    + $"{Words.Inside(by.Title)}, {(by.GivesWay ? "and stays on" : "and nothing turns before that")}.");
    }
}
