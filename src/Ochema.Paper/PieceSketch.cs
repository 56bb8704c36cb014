using System.Globalization;
using Ochema.Core.Making;
using Ochema.Core.Quantities;
using Ochema.Core.Rigs;

namespace Ochema.Paper;

/// <summary>What a step saws, bends or drills, small, beside its words: not to scale across pieces, with the sizes that count.</summary>
internal static class PieceSketch
{
    private const double Most = 34;
    private const double Wide = 95;

    /// <summary>Of the page's height that one takes, mm: a bar little, a plate as much as it is wide.</summary>
    public static double HeightOf(Template? flat) => flat is null ? 18 : Math.Min(Wide / flat.Length, Most / flat.Width) * flat.Width + 11;

    /// <summary>The flat pieces and bars that a step works on; none for what is done to no single piece.</summary>
    public static IReadOnlyList<(Template? Flat, PartLine? Bar)> Of(MakeReport report, PlanStep step)
    {
        if (step.Work is not (Work.Cut or Work.Bend or Work.Drill or Work.Tap))
            return [];
        var flats = report.Templates.Where(t => step.Work is Work.Drill or Work.Tap ? t.Holes.Any(h => step.Joints.Contains(h.Joint))
            : step.Parts.Contains(t.Part) || (step.Work == Work.Bend && t.Station == step.Station && t.Folds.Count > 0)).ToList();
        if (flats.Count > 0)
            return [.. flats.Take(2).Select(t => ((Template?)t, (PartLine?)null))];
        return step.Work != Work.Cut ? [] : [.. report.Parts.Where(p => step.Parts.Contains(p.Id) && p
            is { Sort: PieceSort.Cut, Length: > 0 }).Take(2)
            .Select(p => ((Template?)null, (PartLine?)p))];
    }

    public static void Draw(Flow flow, Template? flat, PartLine? bar, PlanStep step, UnitSystem units, double indent)
    {
        string Size(double m) => Sheet.Printed(QuantityText.Of(m, Dimension.Mark), units);
        var (left, top) = (Flow.Left + indent, flow.Y + 2);
        var page = flow.Page;
        if (flat is null)
        {
            // A bar: its length is what counts.
            page.Rectangle(left, top + 3, Wide, 5, Stroke.Thick, filled: true);
            Across(page, left, left + Wide, top + 12, Size(bar!.Length!.Value), step.Work == Work.Cut ? "cut to" : "");
            flow.Space(HeightOf(null));
            return;
        }
        var scale = Math.Min(Wide / flat.Length, Most / flat.Width);
        double X(double m) => left + m * scale;
        double Y(double m) => top + (flat.Width - m) * scale;
        foreach (var (a, b) in flat.Outline.Zip([.. flat.Outline.Skip(1), flat.Outline[0]]))
            page.Line(X(a[0]), Y(a[1]), X(b[0]), Y(b[1]), Stroke.Thick);
        foreach (var fold in flat.Folds)
        {
            page.Line(X(fold.From[0]), Y(fold.From[1]), X(fold.To[0]), Y(fold.To[1]), Stroke.Dashed);
            if (step.Work == Work.Bend)
                page.Text(X(fold.From[0]) + 0.8, Y(fold.To[1]) + 3,
                    string.Create(CultureInfo.InvariantCulture, $"{fold.Angle * 180 / Math.PI:0}°"), Sheet.Small);
        }
        foreach (var h in flat.Holes)
        {
            var now = step.Joints.Contains(h.Joint);
            page.Circle(X(h.X), Y(h.Y), Math.Max(0.7, h.Diameter / 2 * scale), now ? Stroke.Thick : Stroke.Thin);
            // Beside the hole, inside of the piece.
            var inside = X(h.X) + 5 < X(flat.Length);
            if (now || step.Work == Work.Cut)
                page.Text(X(h.X) + (inside ? 1.2 : -1.2), Y(h.Y) + (flat.Width - h.Y < 3 / scale ? 3 : -0.8), $"{h.Number}", Sheet.Small,
                    bold: now, right: !inside);
        }
        Across(page, X(0), X(flat.Length), Y(0) + 4, Size(flat.Length), "");
        page.Text(X(flat.Length) + 2, Y(flat.Width / 2) + 1, Size(flat.Width) + " across", Sheet.Small);
        if (flat.FrontAhead)
            page.Text(X(flat.Length) + 2, Y(flat.Width) + 2, "front this way", Sheet.Small);
        flow.Space(HeightOf(flat));
    }

    /// <summary>A dimension line with its size in the middle.</summary>
    private static void Across(Sheet page, double from, double to, double y, string says, string before)
    {
        page.Line(from, y, to, y);
        page.Line(from, y - 1, from, y + 1);
        page.Line(to, y - 1, to, y + 1);
        var text = $"{before} {says}".Trim();
        page.Text((from + to - page.Width(text, Sheet.Small)) / 2, y + 3.4, text, Sheet.Small);
    }
}
