using System.Globalization;
using Ochema.Core.Making;
using Ochema.Core.Quantities;
using Ochema.Core.Rigs;

namespace Ochema.Paper;

/// <summary>The whole plan on paper, for the bench: steps to tick off, the list by aisle, bars to scale, holes.</summary>
public static class PlanPaper
{
    /// <summary>At the foot of every page of a rig that lets go.</summary>
    internal const string Warning = "IT LETS GO AS IT STANDS: not to be made or used";

    private const double Tick = 3.6;
    private const double Indent = 9;

    /// <summary>As a PDF.</summary>
    /// <param name="rig">Its name.</param>
    /// <param name="figure">The rig as drawn.</param>
    public static byte[] Of(string rig, MakeReport report, PaperSize paper, UnitSystem units, IReadOnlyList<FigureShape> figure) =>
        Papers.Of($"{rig}: build plan", document =>
    {
        using var flow = new Flow(document, paper, report.LetsGo ? $"{rig}, build plan · {Warning}"
            : $"{rig}, build plan · estimates for planning: prove it by test before it is used");
        flow.Text(rig, Sheet.Title, bold: true);
        flow.Space(1);
        Verdict(flow, report, units);
        flow.Text($"{report.Steps.Count} steps · {Span(report.HandsOn)} hands on · "
            + (report.LetsGo ? "" : $"it can be proved {Span(report.Ready)} after the start, cures included · ")
            + $"{Sheet.Printed(QuantityText.Of(report.Mass, Dimension.Mass), units)} · {Money(report.Cost)} used, {Money(report.Pay)} to "
                + $"pay");
        RigFigure.Draw(flow, figure, report, units);
        flow.Headline("Steps");
        foreach (var step in report.Steps)
            Step(flow, report, step, units);
        Parts(flow, report, units);
        Cuts(flow, report, units);
        Holes(flow, report, units);
        Places(flow, report, units);
    });

    /// <summary>Before all else: whether it holds.</summary>
    private static void Verdict(Flow flow, MakeReport report, UnitSystem units)
    {
        if (report.Verdict.Length > 0)
            flow.Text(Sheet.Printed(report.Verdict, units) + (report.LetsGo ? ". Change it before anything is bought or cut." : ""),
                Sheet.Head, bold: true);
    }

    private static void Step(Flow flow, MakeReport report, PlanStep step, UnitSystem units)
    {
        string Printed(string text) => Sheet.Printed(text, units);
        string[] facts =
        [
            step.Called, $"{step.Minutes:0} min", step.Place == WorkPlace.Bench ? "at the bench" : "at the host",
            step.Crew > 1 ? $"{step.Crew} people" : "one person", step.CameraIn ? "camera in" : "camera out",
        ];
        var parts = report.Parts.SelectMany(p => p.Steps.Where(s => s.Step == step.Id)
            .Select(s => s.Quantity == 1 ? p.Name : $"{s.Quantity:0.##} × {p.Name}"));
        (string Text, bool Bold)[] below = [.. new (string, bool)[]
        {
            (Printed(step.How), false),
            (step.Tools.Count > 0 ? "Tools: " + string.Join(", ", step.Tools.Select(t => t.Name)) : "", false),
            (parts.Any() ? "Parts: " + Printed(string.Join(", ", parts)) : "", false),
            (step.Beware.Count > 0 ? "Beware: " + Printed(string.Join(" ", step.Beware)) : "", true),
            (step.Wrong.Length > 0 ? "If it goes wrong: " + Printed(step.Wrong) : "", false),
            (step.Built.Count > 0 ? "As it came out: " + string.Join(" · ", step.Built.Select(r => CameOut(r, units))) : "", false),
            (step.Wait > 0 ? $"Then it needs {Span(step.Wait)} by itself: from ______ to ______" : "", true),
        }.Where(b => b.Item1.Length > 0)];
        var sketches = PieceSketch.Of(report, step);
        var head = (step.HoldPoint ? "Hold point. " : "") + $"{step.Number}  {Printed(step.Title)}";
        var height = Sheet.LineOf(Sheet.Small) + flow.Height(head, Sheet.Head, true, Indent)
            + below.Sum(b => flow.Height(b.Text, Sheet.Body, b.Bold, Indent))
            + step.Readings.Count * 7 + sketches.Sum(k => PieceSketch.HeightOf(k.Flat)) + 4;
        flow.Room(height);
        var top = flow.Y;
        flow.Text(string.Join(" · ", facts), Sheet.Small, indent: Indent);
        // A hold point has a shape of its own: nothing goes on before it is right.
        var y = top + Sheet.LineOf(Sheet.Small) + 0.6;
        if (step.HoldPoint)
            flow.Page.Diamond(Flow.Left, y, Tick);
        else
            flow.Page.Rectangle(Flow.Left, y, Tick, Tick, Stroke.Thick);
        if (step.IsDone)
        {
            flow.Page.Line(Flow.Left + 0.6, y + Tick / 2, Flow.Left + Tick / 2, y + Tick - 0.6, Stroke.Thick);
            flow.Page.Line(Flow.Left + Tick / 2, y + Tick - 0.6, Flow.Left + Tick + 0.8, y - 0.6, Stroke.Thick);
        }
        flow.Text(head, Sheet.Head, bold: true, indent: Indent);
        foreach (var (text, bold) in below)
            flow.Text(text, bold: bold, indent: Indent);
        foreach (var (flat, bar) in sketches)
            PieceSketch.Draw(flow, flat, bar, step, units, Indent);
        foreach (var reading in step.Readings)
            Blank(flow, reading, units, Indent);
        flow.Space(4);
    }

    /// <summary>What came out, or room to write it, beside what was drawn.</summary>
    private static string CameOut(Reading r, UnitSystem units)
    {
        string Size(double v) => Sheet.Printed(QuantityText.Of(v, r.Dimension), units);
        return $"{r.Label} {(r.Value is { } v ? Size(v) : "________")}"
            + (r.Planned is { } drawn and not 0 ? $" ({Size(drawn)} drawn)" : "");
    }

    /// <summary>A line to write a value on.</summary>
    internal static void Blank(Flow flow, Reading reading, UnitSystem units, double indent)
    {
        flow.Room(7);
        var known = reading.Value is { } v ? Sheet.Printed(QuantityText.Of(v, reading.Dimension), units) : "";
        flow.Page.Text(Flow.Left + indent, flow.Y + 4.5, reading.Label);
        flow.Page.Line(flow.Right - 45, flow.Y + 5.2, flow.Right, flow.Y + 5.2);
        if (known.Length > 0)
            flow.Page.Text(flow.Right - 44, flow.Y + 4.2, known);
        flow.Space(7);
    }

    private static void Parts(Flow flow, MakeReport report, UnitSystem units)
    {
        flow.Headline("What to buy, cut and bring");
        foreach (var aisle in report.Aisles)
        {
            flow.Room(12);
            flow.Space(2);
            Row(flow, aisle.Label, "", "", Money(aisle.Cost), true);
            foreach (var line in report.Parts.Where(p => p.Aisle == aisle.Aisle))
                Row(flow, Sheet.Printed(line.Name, units), $"{line.Quantity:0.##}",
                    Sheet.Printed(QuantityText.Of(line.Mass, Dimension.Mass), units),
                    line.Cost > 0 ? Money(line.Cost) : "–", false);
        }
        flow.Space(2);
        Row(flow, "All of it, as used", "", Sheet.Printed(QuantityText.Of(report.Mass, Dimension.Mass), units), Money(report.Cost), true);
        Row(flow, "Out of pocket, bars bought whole", "", "", Money(report.Pay), true);
    }

    private static void Row(Flow flow, string name, string count, string mass, string cost, bool bold)
    {
        var names = flow.Page.Wrap(name, flow.Width - 70, Sheet.Body, bold);
        flow.Room(names.Count * Sheet.LineOf(Sheet.Body) + 0.6);
        if (!bold)
            flow.Page.Rectangle(Flow.Left, flow.Y + 0.6, 3, 3);
        var y = flow.Y + Sheet.LineOf(Sheet.Body) * 0.75;
        foreach (var (text, at, right) in new[] { (count, flow.Right - 44, true), (mass, flow.Right - 22, true), (cost, flow.Right, true) })
            flow.Page.Text(at, y, text, bold: bold, right: right);
        foreach (var (line, i) in names.Select((n, i) => (n, i)))
            flow.Page.Text(Flow.Left + (bold ? 0 : 5), y + i * Sheet.LineOf(Sheet.Body), line, bold: bold);
        flow.Space(names.Count * Sheet.LineOf(Sheet.Body) + 0.6);
    }

    private static void Cuts(Flow flow, MakeReport report, UnitSystem units)
    {
        if (report.Cuts.Count == 0)
            return;
        string Size(double m) => Sheet.Printed(QuantityText.Of(m, Dimension.Length), units);
        flow.Headline("What to cut from which bar");
        foreach (var group in report.Cuts)
        {
            flow.Room(26);
            flow.Text(Sheet.Printed(group.Name, units) + $", saw cut {Size(group.Kerf)}, {Size(group.Squaring)} off to square one end",
                bold: true);
            if (group.Plan.Bars is not { } bars)
            {
                flow.Text("It cannot be cut: " + Sheet.Printed(group.Plan.Finding ?? "", units));
                continue;
            }
            foreach (var bar in bars)
            {
                flow.Room(16);
                var length = group.Stock.First(s => s.Id == bar.Stock).Length;
                var scale = flow.Width / group.Stock.Where(s => bars.Any(b => b.Stock == s.Id)).Max(s => s.Length);
                flow.Page.Rectangle(Flow.Left, flow.Y + 1, length * scale, 6, filled: true);
                var at = group.Squaring;
                foreach (var id in bar.Pieces)
                {
                    var piece = group.Pieces.First(p => p.Id == id).Length;
                    flow.Page.Rectangle(Flow.Left + at * scale, flow.Y + 1, piece * scale, 6, Stroke.Thick);
                    if (flow.Page.Width(Size(piece), Sheet.Small) < piece * scale - 1)
                        flow.Page.Text(Flow.Left + at * scale + 1, flow.Y + 5.2, Size(piece), Sheet.Small);
                    at += piece + group.Kerf;
                }
                flow.Space(8);
                var pieces = string.Join(", ", bar.Pieces.Select(p => Size(group.Pieces.First(x => x.Id == p).Length)));
                flow.Text($"{Size(length)} bar: {pieces}; {Size(bar.Offcut)} left",
                    Sheet.Small);
                flow.Space(2);
            }
        }
    }

    private static void Holes(Flow flow, MakeReport report, UnitSystem units)
    {
        if (report.Holes.Count == 0)
            return;
        flow.Headline("What to drill and tap");
        foreach (var h in report.Holes)
        {
            var sunk = h.Countersink > 0 ? $", countersunk {Sheet.Printed(QuantityText.Of(h.Countersink, Dimension.Length), units)} deep"
                : "";
            if (h.Recess > 0)
                sunk += Sheet.Printed($", recess {QuantityText.Of(h.RecessAcross, Dimension.Drill)} across, "
                    + $"{QuantityText.Of(h.Recess, Dimension.Length)} deep", units);
            flow.Room(Sheet.LineOf(Sheet.Body) * 2);
            var drill = Drills.Name(h.Diameter, units, h.Sort == HoleSort.Clearance);
            flow.Text($"{h.Count} × {drill}  {Sheet.Printed(h.For, units)}{sunk}: {h.Layer}, {h.Title}");
        }
    }

    /// <summary>Where they go: each with the number that it has on its template.</summary>
    private static void Places(Flow flow, MakeReport report, UnitSystem units)
    {
        string Size(double m) => Sheet.Printed(QuantityText.Of(m, Dimension.Mark), units);
        var drilled = report.Templates.Where(t => t.Holes.Count > 0).ToList();
        if (drilled.Count == 0)
            return;
        flow.Headline("Where the holes go, from the lower left corner");
        foreach (var t in drilled)
        {
            flow.Room(Sheet.LineOf(Sheet.Body) * 3);
            flow.Text(Sheet.Printed(t.Name, units) + (t.FrontAhead ? "; its far end goes to the front" : ""), bold: true);
            foreach (var h in t.Holes.OrderBy(h => h.Number))
            {
                flow.Room(Sheet.LineOf(Sheet.Body));
                flow.Text($"{h.Number}: {Size(h.X)} along, {Size(h.Y)} across; "
                    + $"{Drills.Name(h.Diameter, units, h.Sort == HoleSort.Clearance)} "
                    + $"{Sheet.Printed(h.For, units)}, {h.Title}");
            }
        }
    }

    /// <summary>The cuts alone, for the saw.</summary>
    public static byte[]? OfCuts(string rig, MakeReport report, PaperSize paper, UnitSystem units) => report.Cuts.Count == 0 ? null
        : Papers.Of($"{rig}: cuts", document =>
        {
            using var flow = new Flow(document, paper, report.LetsGo ? $"{rig}, cuts · {Warning}" : $"{rig}, cuts");
            flow.Text(rig, Sheet.Title, bold: true);
            Verdict(flow, report, units);
            Cuts(flow, report, units);
        });

    /// <summary>A span of time, s, in words.</summary>
    internal static string Span(double seconds) => seconds < 5400 ? $"{seconds / 60:0} min"
        : seconds < 48 * 3600 ? $"{Math.Floor(seconds / 3600):0} h {seconds % 3600 / 60:00}".Replace(" 00", "", StringComparison.Ordinal)
        : string.Create(CultureInfo.InvariantCulture, $"{seconds / 86400:0.#} days");

    private static string Money(double amount) => string.Create(CultureInfo.InvariantCulture, $"{amount:0.00}");
}
