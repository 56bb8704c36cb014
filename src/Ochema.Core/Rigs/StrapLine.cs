using Ochema.Core.Checks;
using Ochema.Core.Stock;

namespace Ochema.Core.Rigs;

/// <summary>Straps in the model.</summary>
internal static class StrapLine
{
    public static void Build(RigBuilder b, Strap strap)
    {
        var row = b.Stock.Find<StrapRow>("straps", strap.Stock);
        var i = b.Rig.Straps.ToList().IndexOf(strap);
        var node = b.At(strap.From);
        var anchor = b.Anchor(strap.To, $"straps[{i}].to");
        var from = b.Position(node);
        var length = (anchor - from).Length;
        if (length < 0.03)
            throw new DocumentException($"straps[{i}].to", "the strap has no length: its ends coincide");
        var station = "strap:" + strap.Id;
        var line = b.Line(strap.Id, node, anchor, row.AxialStiffness, strap.Pretension);
        var knot = Joints.Lashing.Knots.First(k => k.Id == strap.End);
        if (Joints.Lashing.Fault(knot, row.Id.StartsWith("elastic", StringComparison.Ordinal)) is { } fault)
            b.Findings.Add(new Assessment.ReportFinding(station, $"Strap {strap.Id}: {fault}.", true));
        b.Checks.Add(new StrapTension(b, strap.Id, station, line, row, knot, strap.Edge));
        b.Part(station, $"{row.Name}, {length + 0.3:0.0} m", row.MassPerMetre * (length + 0.3), row.PricePerMetre * (length + 0.3));
        b.Shape(strap.Id, station, "strap", [b.Point(node), new FigurePoint("", anchor.ToArray())], [row.Width]);
    }
}

/// <summary>The tether: no stiffness until something lets go, so it is not in the model; its catch is checked.</summary>
internal static class TetherLine
{
    public static void Build(RigBuilder b, Tether tether)
    {
        var row = b.Stock.Find<StrapRow>("straps", tether.Stock);
        var anchor = b.Anchor(tether.To, "tether.to");
        var length = (anchor - b.Camera.Eye).Length + tether.Slack;
        b.Checks.Add(new TetherCatch(b, row, length, tether.Slack));
        b.Part("tether", $"{row.Name}, {length:0.0} m", row.MassPerMetre * length, row.PricePerMetre * length);
        b.Shape("tether", "tether", "tether", [b.Point(b.Camera.Seat), new FigurePoint("", anchor.ToArray())], [row.Width]);
    }
}
