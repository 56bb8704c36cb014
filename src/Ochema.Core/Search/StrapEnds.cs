using System.Reflection;
using Ochema.Core.Assessment;
using Ochema.Core.Hosts;
using Ochema.Core.Kinds;
using Ochema.Core.Quantities;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;

namespace Ochema.Core.Search;

/// <summary>One closed point of the host as the end of one more strap.</summary>
/// <param name="Anchor">Id of the point.</param>
/// <param name="Name">For people.</param>
/// <param name="Says">How the strap would run; why it cannot where there is no change.</param>
/// <param name="Change">The rig with that strap, computed; null where the point is of no use.</param>
public sealed record StrapEnd(string Anchor, string Name, string Says, Change? Change);

/// <summary>One strap from the rig to a point of the user's choice: each closed point with its best run, the useless ones with their
/// reason.</summary>
public static class StrapEnds
{
    /// <summary>Flatter than this a strap drags and hardly presses: sine of its angle below the panel (judgement).</summary>
    private const double Flattest = 0.08;

    /// <summary>What a strap declares of its pretension: label and range, N.</summary>
    public static MeasureAttribute Pretension { get; } = typeof(Strap)
        .GetProperty(nameof(Strap.Pretension))!.GetCustomAttribute<MeasureAttribute>()!;

    /// <summary>All closed points, those that press most first.</summary>
    /// <param name="pretension">N.</param>
    /// <exception cref="OperationCanceledException">Whoever asked has gone on.</exception>
    public static IReadOnlyList<StrapEnd> Of(RigDocument rig, double pretension, Catalogue stock, CancellationToken stop = default)
    {
        var b = RigAssembly.Build(rig with { Straps = [], Tethers = [] }, stock);
        var ends = b.Host.Anchors.Where(a => !a.Hung).Select(a => (Anchor: a, Best: Best(b, a))).ToList();
        return [.. Trials.Each(ends, e => Tried(rig, b, e.Anchor, e.Best, pretension, stock, stop), stop)
            .OrderBy(e => e.Change is null).ThenByDescending(e => e.Change is null ? 0 : Presses(e.Change))
                .ThenBy(e => e.Anchor, StringComparer.Ordinal)];

        double Presses(Change c) => StrapPull.Runs(RigAssembly.Build(c.Document, stock))[^1].Presses;
    }

    /// <summary>The corner of the base and the place along an edge from which a strap presses most and drags least.</summary>
    private static (RigPoint From, double T, double Length, double Down)? Best(BuiltRig b, Anchor anchor)
    {
        var n = b.Surface.NormalAt(b.Rig.At[0], b.Rig.At[1]);
        var runs =
            from p in new[] { RigPoint.BaseFrontLeft, RigPoint.BaseFrontRight, RigPoint.BaseRearLeft, RigPoint.BaseRearRight,
                RigPoint.BaseTop }
            let at = b.Position(b.At(p))
            from end in StrapPull.Ends(b.Host, at, b.Surface.U)
            where end.Anchor == anchor
            let d = end.End - at
            where d.Length > 1e-6
            let down = -d.Dot(n) / d.Length
            orderby d.Length is > StrapPull.Shortest and < StrapPull.Longest descending, Math.Min(down, 0.7) - 0.1 * d.Length descending, p,
                end.T
            select (p, Math.Round(end.T, 4), d.Length, down);
        return runs.Select(r => ((RigPoint, double, double, double)?)r).FirstOrDefault();
    }

    private static StrapEnd Tried(RigDocument rig, BuiltRig b, Anchor anchor, (RigPoint From, double T, double Length, double Down)? best,
        double pretension, Catalogue stock, CancellationToken stop)
    {
        string? Unfit()
        {
            if (b.Host.BreakawayLimit is not null)
                return "what is worn must come off in a snag: no strap";
            if (best is not { } run)
                return "it lies where the rig stands";
            return run.Length < StrapPull.Shortest ? $"only {QuantityText.Of(run.Length, Dimension.Length)} away: too short to tighten"
                : run.Length > StrapPull.Longest
                    ? $"{QuantityText.Of(run.Length, Dimension.Length)} away: a strap that long stretches and sings"
                : run.Down < 0 ? "it lies above the base: the strap would lift the rig"
                : run.Down < Flattest ? "it lies nearly level with the base: the strap would drag the rig and hardly press it"
                : null;
        }
        if (Unfit() is { } reason)
            return new(anchor.Id, anchor.Name, reason, null);
        var name = Instead.FreeId(rig, $"{rig.Straps.Count + 1}");
        var strap = new Strap
        {
            Id = name,
            Stock = "ratchet-25",
            From = best!.Value.From,
            To = new(anchor.Id, best.Value.T),
            Pretension = pretension
        };
        var changed = rig with { Straps = [.. rig.Straps, strap] };
        var change = Adviser.Compare(rig, changed, "strap-" + anchor.Id, "straps", anchor.Name, stock, stop);
        if (change is null)
            return new(anchor.Id, anchor.Name, "it does not fit this rig", null);
        var after = StrapPull.Runs(RigAssembly.Build(changed, stock))[^1];
        return new(anchor.Id, anchor.Name,
            $"{QuantityText.Of(after.Length, Dimension.Length)}, presses with {QuantityText.Of(after.Presses, Dimension.Force)}, "
                + $"drags with {QuantityText.Of(after.Drags, Dimension.Force)}", change);
    }
}
