using Ochema.Core.Making;
using Ochema.Core.Quantities;

namespace Ochema.Paper;

/// <summary>The sheet that is taken to the host: what to measure there and at the camera, how, and a line to write each value on.</summary>
public static class MeasuringPaper
{
    /// <summary>Squares to sketch on, mm.</summary>
    private const double Square = 5;

    /// <summary>As a PDF; null where nothing of the rig asks to be measured.</summary>
    /// <param name="rig">Its name.</param>
    /// <param name="place">Where it is held on, in words.</param>
    public static byte[]? Of(string rig, string place, MakeReport report, PaperSize paper, UnitSystem units)
    {
        var steps = report.Steps.Where(s => s.Readings.Count > 0).ToList();
        return steps.Count == 0 ? null : Papers.Of($"{rig}: measuring sheet", document =>
        {
            using var flow = new Flow(document, paper, $"{rig}, measuring sheet · {(report.LetsGo ? PlanPaper.Warning : "what is written here beats the lists")}");
            flow.Text("Measure on the host", Sheet.Title, bold: true);
            flow.Text($"{rig} · {place}");
            flow.Space(2);
            flow.Text("Date ______________   by ______________   with (tape, calipers, scale) ______________________");
            flow.Space(3);
            foreach (var step in steps)
                foreach (var reading in step.Readings)
                {
                    var how = Sheet.Printed(reading.HowTo, units);
                    flow.Room(9 + flow.Height(how, Sheet.Small));
                    PlanPaper.Blank(flow, reading, units, 0);
                    if (how.Length > 0)
                        flow.Text(how, Sheet.Small);
                    flow.Space(2);
                }
            Grid(flow, paper);
        });
    }

    /// <summary>What is left of the page, to sketch on.</summary>
    private static void Grid(Flow flow, PaperSize paper)
    {
        var height = Math.Floor((paper.Height - 26 - flow.Y) / Square) * Square;
        if (height < 30)
            return;
        flow.Text("Sketch: what is round it, what must stay clear", Sheet.Small);
        var (top, width) = (flow.Y + 1, Math.Floor(flow.Width / Square) * Square);
        height -= Square;
        for (var x = 0.0; x <= width + 1e-6; x += Square)
            flow.Page.Line(Flow.Left + x, top, Flow.Left + x, top + height, Stroke.Faint);
        for (var y = 0.0; y <= height + 1e-6; y += Square)
            flow.Page.Line(Flow.Left, top + y, Flow.Left + width, top + y, Stroke.Faint);
    }
}
