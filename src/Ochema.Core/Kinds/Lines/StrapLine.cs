using Ochema.Core.Checks;
using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;

namespace Ochema.Core.Kinds.Lines;

/// <summary>Straps in the model.</summary>
internal static class StrapLine
{
    /// <summary>Left over at the buckle, to be wound and tied, m (common practice, no source).</summary>
    private const double Tail = 0.3;

    public static void Build(RigBuilder b, Strap strap)
    {
        var row = b.Stock.Find<StrapRow>("straps", strap.Stock);
        var i = b.Rig.Straps.ToList().IndexOf(strap);
        var node = b.At(strap.From);
        var anchor = b.Anchor(strap.To, $"straps[{i}].to");
        var from = b.Position(node);
        var length = (anchor - from).Length;
        var (station, called) = (StationId.Strap(strap.Id), Words.Named("Strap", strap.Id));
        if (length < 0.03)
        {
            b.Findings.Add(new ReportFinding(station, $"{called} has no length: its ends coincide. Move one of them.", true));
            b.Beside(Piece.Length(new(station, "strap"), row, 0, row.MassPerMetre, row.PricePerMetre, Aisle.Rigging));
            return;
        }
        var name = b.NameOf(station, strap.Id);
        var line = b.Line(name, node.Value, anchor, row.AxialStiffness, strap.Pretension);
        b.StrapsBuilt.Add(new(strap, line, b.Position(node), anchor));
        var knot = Lashing.Knots.First(k => k.Id == strap.End);
        if (Lashing.Fault(knot, row.IsElastic) is { } fault)
            b.Findings.Add(new ReportFinding(station, $"{called}: {fault}.", true));
        if (row.Asks is { } asks)
            b.Findings.Add(new ReportFinding(station, $"{called}: {asks}."));
        b.Checks.Add(new StrapTension(b, new(name), station, line, row, knot, strap.Edge));
        b.Beside(Piece.Length(new(station, "strap"), row, Math.Round(length + Tail + knot.Allowance(row.Thickness), 2), row.MassPerMetre,
            row.PricePerMetre, Aisle.Rigging));
        var closed = b.Host.Anchors.First(a => a.Id == strap.To.Anchor);
        if ((strap.AnchorHolds ?? closed.Holds) is { } anchored)
            b.Checks.Add(new AnchorLoad(b, new(name), strap, station, line, closed, anchored));
        else
            b.Unmeasured.Add($"What does the {Words.Inside(closed.Name)} hold, that {Words.Inside(called)} ends at? Pull on it with a "
                + $"scale, "
                + "twice what the strap is drawn with.");
        if (strap.Fitting == StrapFitting.OpenHook)
            b.Findings.Add(new ReportFinding(station,
                $"{called} ends in an open hook: it jumps off when the strap goes slack. A keeper, or a closed one."));
        b.Shape(name, station, "strap", [b.Point(node), .. BodyLine.Over(b.Host, from, anchor)], [row.Width]);
    }
}
