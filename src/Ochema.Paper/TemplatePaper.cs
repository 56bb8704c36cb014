using System.Globalization;
using Ochema.Core.Making;
using Ochema.Core.Quantities;

namespace Ochema.Paper;

/// <summary>Flat pieces at 1:1 on paper: tiled where they are larger, with marks to lay the sheets on each other and bars to
/// measure.</summary>
public static class TemplatePaper
{
    /// <summary>Room for which sheet it is, mm.</summary>
    private const double Corner = 40;

    /// <summary>Thinner than this it is the paper itself, m.</summary>
    private const double Paper = 0.0002;

    /// <summary>All flat pieces of a plan, each from a sheet of its own.</summary>
    /// <param name="rig">Its name.</param>
    /// <param name="report">The plan.</param>
    /// <param name="part">One piece alone, by the id of its line; null for all.</param>
    /// <returns>A PDF; null where there is nothing to print.</returns>
    public static byte[]? Of(string rig, MakeReport report, PaperSize paper, UnitSystem units, string? part = null)
    {
        var templates = report.Prints.Where(t => part is null || t.Part == part).ToList();
        return templates.Count == 0 ? null : Papers.Of($"{rig}: templates", document =>
        {
            foreach (var template in templates)
            {
                var tiling = Lay(template, paper);
                foreach (var tile in tiling.Tiles)
                {
                    using var sheet = new Sheet(document, tiling.Paper);
                    Draw(sheet, report.LetsGo ? $"{rig} · {PlanPaper.Warning}" : rig, template, tiling, tile, units);
                }
            }
        });
    }

    /// <summary>How a flat piece lies over sheets of paper.</summary>
    public static Tiling Lay(Template template, PaperSize paper) =>
        Tiling.Of(1000 * template.Length + 2 * Tiling.Round, 1000 * template.Width + 2 * Tiling.Round, paper);

    private static void Draw(Sheet sheet, string rig, Template t, Tiling tiling, Tile tile, UnitSystem units)
    {
        string Printed(string text) => Sheet.Printed(text, units);
        string Size(double m) => Printed(QuantityText.Of(m, Dimension.Mark));
        var (left, top) = (Tiling.Margin, Tiling.Margin + Tiling.Header);
        var several = tiling.Columns * tiling.Rows > 1;
        var name = Printed(t.Name) + (t.Quantity > 1 ? $", {t.Quantity:0} of it" : "");
        var room = tiling.Paper.Width - 2 * Tiling.Margin - (several ? Corner : 0);
        // A long name in smaller letters rather than over the edge.
        var size = sheet.Wrap(name, room, Sheet.Head, true).Count == 1 ? Sheet.Head : Sheet.Small;
        sheet.Text(left, Tiling.Margin + 4.5, sheet.Wrap(name, room, size, true)[0], size, bold: true);
        var thick = t.Thickness > Paper ? $" × {Size(t.Thickness)}" : "";
        var facts = $" · {Size(t.Length)} × {Size(t.Width)}{thick} · print at 100 %, measure the bars";
        sheet.Text(left, Tiling.Margin + 9.5, sheet.Fitted(rig, room - sheet.Width(facts, Sheet.Small), Sheet.Small) + facts, Sheet.Small);
        if (several)
        {
            sheet.Text(tiling.Paper.Width - Tiling.Margin, Tiling.Margin + 4.5, $"sheet {tile.Name} of {tiling.Columns * tiling.Rows}",
                Sheet.Head, bold: true,
                right: true);
            sheet.Text(tiling.Paper.Width - Tiling.Margin, Tiling.Margin + 9.5, "lay the circles on each other", Sheet.Small, right: true);
        }
        CheckBars.Draw(sheet, left, tiling.Paper.Height - Tiling.Margin - CheckBars.Height + 1);

        // Places on the piece, m from its lower left corner, as places on this sheet.
        double X(double m) => left + Tiling.Round + 1000 * m - tile.X;
        double Y(double m) => top + Tiling.Round + 1000 * (t.Width - m) - tile.Y;
        using (sheet.Within(left, top, tiling.Window, tiling.WindowHeight))
        {
            foreach (var (a, c) in t.Outline.Zip([.. t.Outline.Skip(1), t.Outline[0]]))
                sheet.Line(X(a[0]), Y(a[1]), X(c[0]), Y(c[1]), Stroke.Thick);
            var labels = new Labels(top + Sheet.LineOf(Sheet.Small));
            foreach (var (b, i) in t.Folds.Select((b, i) => (b, i)))
            {
                sheet.Line(X(b.From[0]), Y(b.From[1]), X(b.To[0]), Y(b.To[1]), Stroke.Dashed);
                // Each in a line of its own, on the side where there is room.
                var says = string.Create(CultureInfo.InvariantCulture,
                    $"bend{(t.Folds.Count > 1 ? $" {b.Turn}:" : "")} {b.Angle * 180 / Math.PI:0}°, inside radius {Size(b.Radius)}");
                // Along the piece it is written on the wall, across it one below the other from the top.
                var (x, y) = b.Along ? (X(b.From[0]) + 2, Y(b.From[1]) + (b.From[1] > t.Width / 2 ? -1 : 3.5))
                    : (X(b.From[0]), Y(b.To[1]) + 4 + 3.5 * i);
                var right = x + 1 + sheet.Width(says, Sheet.Small) < Math.Min(X(t.Length), left + tiling.Window);
                if (x > left && x < left + tiling.Window && y > top && y < top + tiling.WindowHeight)
                    sheet.Text(x + (right ? 1 : -1), labels.Clear(x, y, sheet.Width(says, Sheet.Small) + 1, right, 1), says, Sheet.Small,
                        right: !right);
            }
            foreach (var line in t.Lines)
                foreach (var (a, c) in line.Points.Zip(line.Points.Skip(1)))
                    sheet.Line(X(a[0]), Y(a[1]), X(c[0]), Y(c[1]), Stroke.Thick);
            if (tile is { Row: 0, Column: 0 })
                foreach (var (label, i) in t.Lines.Select(l => l.Label).Distinct().Select((l, i) => (l, i)))
                    sheet.Text(X(0), labels.Clear(X(0), Y(0) + 4 + 3.5 * i, sheet.Width(label, Sheet.Small), true, 1), label, Sheet.Small);
            foreach (var h in t.Holes)
            {
                var (x, y, r) = (X(h.X), Y(h.Y), 500 * h.Diameter);
                sheet.Circle(x, y, r);
                sheet.Line(x - r - 2, y, x + r + 2, y);
                sheet.Line(x, y - r - 2, x, y + r + 2);
                // Beside the hole where it can be read: not over the piece's edge, nor the paper's.
                var says = (h.Number > 0 ? $"{h.Number}: "
                    : "") + $"{Printed(QuantityText.Of(h.Diameter, Dimension.Drill))} {Printed(h.For)}";
                var (long_, end) = (r + 2 + sheet.Width(says, Sheet.Small), left + tiling.Window);
                if (h.Sort == HoleSort.Relief)
                {
                    // Once for all of them, in the corner that is sawn out there.
                    if (ReferenceEquals(h, t.Holes.First(o => o.Sort == HoleSort.Relief)))
                        sheet.Text(x - r - 1, labels.Clear(x - r - 1, y + 4, sheet.Width($"each {says}", Sheet.Small), false, 1),
                            $"each {says}", Sheet.Small,
                            right: true);
                    continue;
                }
                var right = x + long_ < Math.Min(X(t.Length), end) || (x - long_ < Math.Max(X(0), left) && x + long_ < end);
                if (!(x > left && x < end && y > top && y < top + tiling.WindowHeight))
                    continue;
                // Over another text it goes up a line; where lines run across the piece, it stands beside it.
                var beside = t.Lines.Count > 0 && X(t.Length) + long_ < end;
                if (beside)
                    (x, right, r) = (X(t.Length), true, 1);
                sheet.Text(right ? x + r + 1 : x - r - 1, labels.Clear(x, y - 1.5, long_, right, -1), says, Sheet.Small, right: !right);
            }
            if (t.FrontAhead && X(t.Length) < left + tiling.Window && X(t.Length) > left && Y(t.Width) > top)
                sheet.Text(X(t.Length), Y(t.Width) - 1.5, "this end to the front", Sheet.Small, right: true);
            foreach (var (mx, my) in tiling.Marks)
                Mark(sheet, left + mx - tile.X, top + my - tile.Y);
        }
        if (several)
            sheet.Rectangle(left, top, tiling.Window, tiling.WindowHeight, Stroke.Dashed);
    }

    /// <summary>What is written on a sheet already, so that no text lies over another.</summary>
    /// <param name="highest">Base line of the first that is seen, mm from the top.</param>
    private sealed class Labels(double highest)
    {
        private readonly List<(double From, double To, double Y)> written = [];

        /// <summary>The base line for a text, mm: as asked, or as many lines further as are taken.</summary>
        /// <param name="right">True where it goes to the right of x.</param>
        /// <param name="step">1 to go down, −1 up, as far as there is paper: then down.</param>
        public double Clear(double x, double y, double width, bool right, int step)
        {
            var (from, to) = right ? (x, x + width) : (x - width, x);
            y = Math.Max(y, highest);
            while (written.Exists(w => w.From < to && w.To > from && Math.Abs(w.Y - y) < Sheet.LineOf(Sheet.Small)))
                if (y + step * Sheet.LineOf(Sheet.Small) < highest)
                    (y, step) = (highest, 1);
                else
                    y += step * Sheet.LineOf(Sheet.Small);
            written.Add((from, to, y));
            return y;
        }
    }

    /// <summary>A circle with a cross: looked through against a window, or pricked.</summary>
    private static void Mark(Sheet sheet, double x, double y)
    {
        sheet.Circle(x, y, 2);
        sheet.Line(x - 4, y, x + 4, y);
        sheet.Line(x, y - 4, x, y + 4);
    }
}
