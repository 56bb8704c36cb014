using Ochema.Core.Checks;
using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;

namespace Ochema.Core.Kinds.Lines;

/// <summary>Tethers: no stiffness until something lets go, so they are not in the model; what they catch is checked.</summary>
internal static class TetherLine
{
    /// <summary>A line that a tether runs along.</summary>
    private static readonly PieceId Second = new(StationId.Tether, "second-rope");

    public static void Build(RigBuilder b)
    {
        var n = 0;
        foreach (var tether in b.Rig.Tethers)
        {
            n++;
            if (tether.From == TetherPoint.SecondCamera && b.SecondCamera is null)
            {
                b.Findings.Add(new ReportFinding(StationId.Tether,
                    "A tether is tied to a second camera that is not there: it keeps nothing."));
                continue;
            }
            var row = b.Stock.Find<StrapRow>("straps", tether.Stock);
            var end = tether.To.Anchor switch
            {
                AnchorEnd.OnRig => b.Position(b.At(RigPoint.BaseTop)),
                AnchorEnd.OnReach => b.Position(b.At(RigPoint.ReachTop)),
                _ => b.Anchor(tether.To, $"tethers[{n - 1}].to"),
            };
            var node = tether.From switch
            {
                TetherPoint.Head => b.At(RigPoint.HeadTop),
                TetherPoint.Reach => b.At(RigPoint.ReachTop),
                TetherPoint.ReachFoot => b.At(RigPoint.BaseTop),
                TetherPoint.SecondCamera => b.SecondCamera!.Node,
                _ => b.Camera.Node
            };
            var from = b.Position(node);
            var length = (end - from).Length + tether.Slack;
            var id = b.NameOf(tether);
            var built = new TetherBuilt(id, n == 1 ? "Tether" : $"Tether {n}", tether, from, tether.To.Anchor switch
            {
                AnchorEnd.OnRig => Hosts.HostDrawing.At(AnchorEnd.OnRig, "The rig's own base", end),
                AnchorEnd.OnReach => Hosts.HostDrawing.At(AnchorEnd.OnReach, "The rig's own reach, close to its end", end),
                _ => SlackLine.Held(b, b.Host.Anchors.First(a => a.Id == tether.To.Anchor)),
            }, end, length, row);
            if (built.Anchor.Hung && b.Rig.Base.HungBeside(b) is { } beside && b.Parts.All(p => p.Id != Second))
                b.Beside(Piece.Length(Second, beside.Row, Math.Round(beside.Cut, 2), beside.Row.MassPerMetre, beside.Row.PricePerMetre,
                    Aisle.Rigging, "Second rope:"));
            var swings = built.SwingsTo(b);
            built = built with { TakenBy = [.. swings.Where(s => s.Takes).Select(s => s.Name)] };
            b.Tethers.Add(built);
            b.Checks.Add(StationId.Tether, new(id), rig => new TetherCatch(rig, built));
            if (Lashing.Fault(Lashing.Knots.First(k => k.Id == tether.End), row.IsElastic) is { } fault)
                b.Findings.Add(new ReportFinding(StationId.Tether, $"{built.Name}: {fault}."));
            if (row.Asks is { } asks)
                b.Findings.Add(new ReportFinding(StationId.Tether, $"{built.Name}: {asks}."));
            b.Findings.Add((rig, speed) => Said(rig, built, swings, speed));
            b.Beside(Piece.Length(new(StationId.Tether, id), row, Math.Round(built.Cut, 2), row.MassPerMetre, row.PricePerMetre,
                Aisle.Rigging));
            b.Shape(id, StationId.Tether, "tether", [b.Point(node), .. BodyLine.Over(b.Host, from, end)], [row.Width]);
        }
    }

    /// <summary>What is said of one at a speed, m/s: what comes off falls faster than it swings.</summary>
    private static IEnumerable<ReportFinding> Said(BuiltRig b, TetherBuilt built, IReadOnlyList<SwungTo> swings, double speed)
    {
        if (built.IsTooLong(b, speed))
            yield return new(StationId.Tether, $"{built.Name} keeps nothing: what comes off is on {b.Host.Below} before it is taut. "
                + (b.Rig.Reach.IsPole ? "Tie it to the pole, close to its end." : "Shorter, or to a point further up."));
        if (built.TakenBy.Count > 0)
            yield return new(StationId.Tether, $"{built.Name} keeps nothing: what comes off swings as far as "
                + $"{string.Join(", ", built.TakenBy)}. Shorter, or to a point from where it does not reach.");
        else if (swings.Count > 0)
            yield return new(StationId.Tether,
                $"If it comes off, {Words.Inside(built.Name)} lets it fall "
                + (built.IsTooLong(b, speed) ? "all the way" : QuantityText.Of(built.Fall(b, built.Keeps(b), speed).Drop,
                    Quantities.Dimension.Length))
                + $", and it swings as far as {string.Join(", ", swings.Take(4).Select(s => s.Name))}. As short as aiming allows.");
    }
}
