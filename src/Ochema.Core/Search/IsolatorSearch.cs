using Ochema.Core.Analysis;
using Ochema.Core.Assessment;
using Ochema.Core.Kinds.Isolators;
using Ochema.Core.Rigs;
using Ochema.Core.Sharpness;
using Ochema.Core.Stock;

namespace Ochema.Core.Search;

/// <summary>A soft mount that was tried: the picture with it, and how much of its travel it uses.</summary>
public sealed record IsolatorChoice(string Id, string Title, double Shake, double Smear, double Wobble, Sharp Word, double Travel, double Use, RigDocument Document);

/// <summary>
/// Tries the catalogue's soft mounts on a rig: rubber, loops and cords by number and spread, sprung arms by spring, coils cut off, hook point
/// and damper. Keeps those that neither sag, bottom nor let go.
/// </summary>
public static class IsolatorSearch
{
    /// <summary>The best for the picture, best first, with stiff as the yardstick.</summary>
    /// <exception cref="OperationCanceledException">Whoever asked has gone on.</exception>
    public static IReadOnlyList<IsolatorChoice> Of(RigDocument rig, Catalogue stock, CancellationToken stop = default) =>
        [.. Trials.Each(Candidates(stock).Concat(Arms(rig, stock)), c => Try(rig with { Isolator = c.Kind }, c.Id, c.Title, stock), stop)
            .OrderBy(c => Math.Max(c.Shake, Math.Max(c.Smear, c.Wobble))).ThenBy(c => c.Id, StringComparer.Ordinal).Take(6)];

    private static IsolatorChoice? Try(RigDocument changed, string id, string title, Catalogue stock)
    {
        var model = new RigModel(changed, stock);
        var state = model.State([]);
        if (state.Mechanism is not null)
            return null;
        var limits = new LimitSpeed(model, state, Assessor.Driving(model));
        var worst = limits.At(model.Builder.Checks, changed.Run.Speed);
        var travel = limits.At([.. model.Builder.Checks.Where(c => c.Station == "isolator")], changed.Run.Speed).Use;
        if (worst.Use > 1 || travel > 1)
            return null;
        var n = Shaker.Words(model);
        return new(id, title, n.Numbers[0].Pixels, n.Numbers[1].Pixels, n.Numbers[2].Pixels, n.Word, Math.Max(0, travel), worst.Use, changed);
    }

    private static IEnumerable<(string Id, string Title, IsolatorKind Kind)> Candidates(Catalogue stock)
    {
        yield return ("stiff", "Nothing soft", new NoIsolator());
        foreach (var row in stock.Isolators)
            foreach (var count in new[] { 3.0, 4, 6, 8 })
                foreach (var spread in new[] { 0.04, 0.07, 0.11 })
                {
                    IsolatorKind kind = row.Type switch
                    {
                        "rubber" => new RubberMounts { Stock = row.Id, Count = count, Spread = spread },
                        "wire-rope" => new WireRopeLoops { Stock = row.Id, Count = count, Spread = spread },
                        _ => new ElasticCords { Stock = row.Id, Count = count, Spread = spread },
                    };
                    yield return ($"{row.Id}-{count:0}-{spread * 1000:0}", $"{count:0} × {char.ToLowerInvariant(row.Name[0])}{row.Name[1..]}, {spread * 1000:0} mm out", kind);
                }
    }

    /// <summary>Damping ratios of an arm: its pivots' friction alone with little, and a damper set for rough roads (common practice, no source).</summary>
    private static readonly double[] Dampings = [0.08, 0.4];

    /// <summary>An arm this near to level needs no more trimming, rad.</summary>
    private const double Level = 3 * Math.PI / 180;

    /// <summary>For each spring and number the hook point and cut that stand level with what is on the arm, the softest of them.</summary>
    private static IEnumerable<(string Id, string Title, IsolatorKind Kind)> Arms(RigDocument rig, Catalogue stock)
    {
        var own = rig.Isolator as SpringArm ?? new SpringArm();
        var payload = own.Payload(rig, stock);
        foreach (var row in stock.Springs)
            foreach (var count in new[] { 1.0, 2, 3, 4 })
            {
                var level =
                    from share in Enumerable.Range(8, 12).Select(i => 0.05 * i)
                    from cut in Enumerable.Range(0, (int)Math.Min(40, row.Coils / 2) + 1)
                    let kind = own with { Spring = row.Id, Count = count, Cut = cut, Along = share * own.Link }
                    let arm = kind.Arm(stock)
                    let rest = arm.Rest(payload)
                    where rest is { } angle && Math.Abs(angle) < Level && arm.VerticalRate(angle) > 0
                    orderby arm.VerticalRate(rest.Value), cut
                    select kind;
                if (level.FirstOrDefault() is not { } best)
                    continue;
                foreach (var damping in Dampings)
                    yield return ($"arm-{row.Id}-{count:0}-{damping * 100:0}",
                        $"Sprung arm: {count:0} × {char.ToLowerInvariant(row.Name[0])}{row.Name[1..]}, {(best.Cut > 0 ? $"{best.Cut:0} coils cut off, " : "")}hooked {best.Along * 1000:0} mm along, {(damping > 0.2 ? $"damper at {damping:P0}" : "no damper")}",
                        best with { Damping = damping });
            }
    }
}
