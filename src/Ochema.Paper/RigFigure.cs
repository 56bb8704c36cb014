using Ochema.Core.Making;
using Ochema.Core.Quantities;
using Ochema.Core.Rigs;
using Ochema.Core.Structure;

namespace Ochema.Paper;

/// <summary>The rig as lines, seen from its front left and above, with a number at each station and what that is beside it.</summary>
internal static class RigFigure
{
    private const double Height = 78;

    /// <summary>Share of the page's width that the figure takes; the names stand beside it.</summary>
    private const double Share = 0.56;

    /// <summary>From the eye to the rig: forward, left and up as the host sees them.</summary>
    private static readonly Vec3 View = new Vec3(-1, -0.75, -0.55).Normalized();
    private static readonly Vec3 Across = View.Cross(Vec3.UnitZ).Normalized();
    private static readonly Vec3 Up = Across.Cross(View);

    private const double Balloon = 2.6;

    /// <summary>Room round what is built for the lines that go off, as a share of it.</summary>
    private const double Around = 0.15;

    /// <summary>Draws it where the text has come to.</summary>
    public static void Draw(Flow flow, IReadOnlyList<FigureShape> figure, MakeReport report, UnitSystem units)
    {
        // What stands round it is no part of it.
        var shapes = figure.Where(s => s.Type is not ("post" or "strip") && report.Parts.Any(p => p.Station == s.Station)).ToList();
        if (shapes.Count == 0)
            return;
        flow.Headline("What it becomes");
        flow.Room(Height + 4);
        var (left, top, wide) = (Flow.Left, flow.Y + 2, flow.Width * Share);
        var lines = shapes.SelectMany(s => Lines(s).Select(l => (Shape: s, Line: l))).ToList();
        // Long lines to the host are cut off at the figure's edge: what stands on the base is what is built.
        var built = lines.Where(l => l.Shape.Type is not ("strap" or "tether")).ToList();
        var all = (built.Count > 0 ? built : lines).SelectMany(l => l.Line).Select(Flat).ToList();
        var (x0, x1, y0, y1) = (all.Min(p => p.X), all.Max(p => p.X), all.Min(p => p.Y), all.Max(p => p.Y));
        var around = Around * Math.Max(x1 - x0, y1 - y0);
        (x0, x1, y0, y1) = (x0 - around, x1 + around, y0 - around, y1 + around);
        var scale = Math.Min((wide - 4 * Balloon) / Math.Max(1e-3, x1 - x0), (Height - 4 * Balloon) / Math.Max(1e-3, y1 - y0));
        (double X, double Y) On(Vec3 p) => Flat(p) is var f ? (left + 2 * Balloon + (f.X - x0) * scale, top + 2 * Balloon + (y1 - f.Y)
            * scale) : default;
        using (flow.Page.Within(left, top, wide, Height))
            foreach (var (shape, line) in lines)
                foreach (var (a, b) in line.Zip(line.Skip(1)))
                {
                    var (from, to) = (On(a), On(b));
                    flow.Page.Line(from.X, from.Y, to.X, to.Y, shape.Type switch
                    {
                        "tether" => Stroke.Dashed,
                        "tube" => Stroke.Thick,
                        _ =>
                        Stroke.Thin
                    });
                }
        // One number a station, at the middle of the longest line that is drawn of it, moved until it lies over no other.
        var put = new List<(double X, double Y)>();
        var at = top + 4;
        foreach (var (station, n) in shapes.Select(s => s.Station).Distinct().Select((s, i) => (s, i + 1)))
        {
            var longest = lines.Where(l => l.Shape.Station == station).MaxBy(l => (On(l.Line[^1]).X - On(l.Line[0]).X) is var dx
                && (On(l.Line[^1]).Y - On(l.Line[0]).Y) is var dy ? dx * dx + dy * dy : 0).Line;
            var (a, b) = (On(longest[0]), On(longest[^1]));
            // Of a long line the part that is seen.
            var seen = Enumerable.Range(0, 9).Select(i => (X: a.X + i / 8.0 * (b.X - a.X), Y: a.Y + i / 8.0 * (b.Y - a.Y)))
                .Where(p => p.X > left + 2 * Balloon && p.X < left + wide - 2 * Balloon && p.Y > top + 2 * Balloon && p.Y < top + Height - 2
                    * Balloon)
                .ToList();
            var (mx, my) = seen.Count > 0 ? seen[seen.Count / 2] : ((a.X + b.X) / 2, (a.Y + b.Y) / 2);
            var (x, y) = (mx + 2.5 * Balloon, my);
            for (var turn = 0; turn < 24 && put.Any(p => Math.Abs(p.X - x) < 2.2 * Balloon && Math.Abs(p.Y - y) < 2.2 * Balloon); turn++)
                (x, y) = (mx + (2.5 + turn / 8) * Balloon * Math.Cos(turn * Math.PI / 4), my + (2.5 + turn / 8) * Balloon
                    * Math.Sin(turn * Math.PI / 4));
            put.Add((x, y));
            flow.Page.Line(mx, my, x, y, Stroke.Faint);
            flow.Page.Disc(x, y, Balloon);
            flow.Page.Text(x - flow.Page.Width($"{n}", Sheet.Small, true) / 2, y + 1.1, $"{n}", Sheet.Small, bold: true);
            // Its parts, those that are drawn in no shape left out: screws and what is used up.
            var names = report.Parts.Where(p => p.Station == station
                && (p.Sort != PieceSort.Bought || (p.Mass > 0 && p.Aisle != Core.Stock.Aisle.Screws)))
                .Select(p => Sheet.Printed(p.Name, units)).Distinct().ToList();
            foreach (var (text, i) in flow.Page.Wrap(string.Join("; ", names), flow.Width * (1 - Share) - 8, Sheet.Small).Take(4).Select((t, i) => (t, i)))
            {
                if (at > top + Height)
                    break;
                if (i == 0)
                    flow.Page.Text(left + wide + 2, at, $"{n}", Sheet.Small, bold: true);
                flow.Page.Text(left + wide + 7, at, text, Sheet.Small);
                at += Sheet.LineOf(Sheet.Small);
            }
            at += 1;
        }
        flow.Space(Height + 6);
    }

    private static (double X, double Y) Flat(Vec3 p) => (p.Dot(Across), p.Dot(Up));

    private const int Round = 20;

    /// <summary>A shape as lines in space, m.</summary>
    private static IEnumerable<IReadOnlyList<Vec3>> Lines(FigureShape s)
    {
        var points = s.Points.Select(p => Vec3.From(p.P)).ToList();
        if (points.Count > 1)
        {
            yield return points;
            yield break;
        }
        var (centre, normal) = (points[0], s.Axis is { } axis ? Vec3.From(axis).Normalized() : Vec3.UnitZ);
        var side = s.Side is { } along ? Vec3.From(along).PerpendicularTo(normal).Normalized()
            : (Math.Abs(normal.Z) < 0.9 ? Vec3.UnitZ : Vec3.UnitX).PerpendicularTo(normal).Normalized();
        var other = normal.Cross(side);
        if (s.Size.Length >= 3)
        {
            // A box: its two faces across the axis, and the four edges between them.
            var (a, b, c) = s.Type is "camera" ? (s.Size[1], s.Size[2], s.Size[0]) : (s.Size[0], s.Size[1], s.Size[2]);
            Vec3 Corner(int i, int j, int k) => centre + i * a / 2 * side + j * b / 2 * other + k * c / 2 * normal;
            foreach (var k in new[] { -1, 1 })
                yield return [Corner(1, 1, k), Corner(-1, 1, k), Corner(-1, -1, k), Corner(1, -1, k), Corner(1, 1, k)];
            foreach (var (i, j) in new[] { (1, 1), (-1, 1), (-1, -1), (1, -1) })
                yield return [Corner(i, j, -1), Corner(i, j, 1)];
            yield break;
        }
        var radius = (s.Size.Length > 0 ? s.Size[0] : 0.02) / 2;
        yield return [.. Enumerable.Range(0, Round + 1).Select(i => 2 * Math.PI * i / Round)
            .Select(angle => centre + radius * (Math.Cos(angle) * side + Math.Sin(angle) * other))];
    }
}
