using Ochema.Core.Analysis;
using Ochema.Core.Assessment;
using Ochema.Core.Json;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Sharpness;
using Ochema.Core.Stock;

namespace Ochema.Core.Search;

/// <summary>A soft mount that was tried: the picture with it, and how much of its travel it uses.</summary>
public sealed record IsolatorChoice(string Id, string Title, double Shake, double Smear, double Wobble, Sharp Word, double Travel,
    double Use, RigDocument Document);

/// <summary>
/// Tries the catalogue's soft mounts on a rig: rubber, loops and cords by number and spread, sprung arms by spring, coils cut off, hook
/// point and damper. Keeps those that neither sag, bottom nor let go.
/// </summary>
public static class IsolatorSearch
{
    /// <summary>The best for the picture, best first, with stiff as the yardstick.</summary>
    /// <exception cref="OperationCanceledException">Whoever asked has gone on.</exception>
    public static IReadOnlyList<IsolatorChoice> Of(RigDocument rig, Catalogue stock, CancellationToken stop = default) =>
        [.. Trials.Each(Candidates(rig, stock), c => Try(rig with { Isolator = c.Kind }, c.Id, c.Title, stock), stop)
            .OrderBy(c => Math.Max(c.Shake, Math.Max(c.Smear, c.Wobble))).ThenBy(c => c.Id, StringComparer.Ordinal).Take(6)];

    private static IsolatorChoice? Try(RigDocument changed, string id, string title, Catalogue stock)
    {
        var model = new RigModel(changed, stock);
        var state = model.State([]);
        if (state.Mechanism is not null)
            return null;
        var limits = new LimitSpeed(model, state, Assessor.Driving(model));
        var worst = limits.At(model.Built.Checks, changed.Run.Speed);
        var travel = limits.At([.. model.Built.Checks.Where(c => c.Station == StationId.Isolator)], changed.Run.Speed).Use;
        if (worst.Use > 1 || travel > 1)
            return null;
        var n = Shaker.Words(model);
        return new(id, title, n.Numbers[0].Pixels, n.Numbers[1].Pixels, n.Numbers[2].Pixels, n.Word, Math.Max(0, travel), worst.Use,
            changed);
    }

    private static IEnumerable<(string Id, string Title, IsolatorKind Kind)> Candidates(RigDocument rig, Catalogue stock) =>
        KindRegistry.Fresh<IsolatorKind>().SelectMany(fresh => (rig.Isolator.GetType() == fresh.GetType() ? rig.Isolator : fresh)
            .Tried(rig, stock));
}
