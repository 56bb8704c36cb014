using System.Globalization;
using System.Text;
using System.Xml.Linq;
using AnyAscii;
using Ochema.Core.Json;
using Ochema.Core.Quantities;
using Ochema.Core.Rigs;

namespace Ochema.Core.Making;

/// <summary>What a template is written as.</summary>
public enum TemplateFormat
{
    Svg,
    Dxf,

    /// <summary>The piece as a body, bent and drilled.</summary>
    Stl,
}

/// <summary>A template as files at 1:1: to be printed, glued on, or cut by machine.</summary>
public static class TemplateFiles
{
    /// <summary>Paper round it, mm.</summary>
    private const double Margin = 12;

    /// <summary>Length of the bar that is measured after printing, mm.</summary>
    private const double Bar = 100;

    /// <summary>The table of holes: its first line under the bar, and from line to line, mm.</summary>
    private const double Rows = 11;
    private const double RowHeight = 4;

    private static readonly XNamespace Name = "http://www.w3.org/2000/svg";

    /// <summary>A file's name: station, what it is, and the format.</summary>
    public static string FileName(Template t, TemplateFormat format) => FileName(t.Station, t.Name, format);

    /// <summary>A file's name: station, what it is, and the format.</summary>
    public static string FileName(string station, string name, TemplateFormat format)
    {
        var words = new string([.. $"{station}-{RigPart.Short(name)}".ToLowerInvariant()
            .Select(c => char.IsAsciiLetterOrDigit(c) ? c : '-')]);
        return string.Join('-', words.Split('-', StringSplitOptions.RemoveEmptyEntries)) + "." + format.ToString().ToLowerInvariant();
    }

    /// <summary>A file's name by its piece alone, which no other has.</summary>
    public static string FileNameOf(string part, TemplateFormat format) =>
        new string([.. part.Select(c => char.IsAsciiLetterOrDigit(c) ? c : '-')]) + "." + format.ToString().ToLowerInvariant();

    private static string Mm(double m) => (1000 * m).ToString("0.###", CultureInfo.InvariantCulture);

    private static string N(double mm) => mm.ToString("0.###", CultureInfo.InvariantCulture);

    /// <summary>
    /// As SVG whose units are millimetres: outline, bend lines dashed, holes with centre marks and their sizes, and a bar of 100 mm to be
    /// measured on the print.
    /// </summary>
    public static string Svg(Template t)
    {
        var (long_, wide) = (1000 * t.Length, 1000 * t.Width);
        var width = Math.Max(long_, Bar) + 2 * Margin;
        var height = wide + 2 * Margin + 16 + RowHeight * t.Holes.Count(h => h.Number > 0);
        // y counts upwards from the lower left corner of the piece.
        string X(double m) => N(Margin + 1000 * m);
        string Y(double m) => N(Margin + wide - 1000 * m);
        XElement Line(double x1, double y1, double x2, double y2, string dash = "") => new(Name + "line",
            new XAttribute("x1", N(x1)), new XAttribute("y1", N(y1)), new XAttribute("x2", N(x2)), new XAttribute("y2", N(y2)),
            dash.Length > 0 ? new XAttribute("stroke-dasharray", dash) : null);
        XElement Text(double x, double y, string text) => new(Name + "text", new XAttribute("x", N(x)), new XAttribute("y", N(y)),
            new XAttribute("font-size", "3"),
            new XAttribute("stroke", "none"), new XAttribute("fill", "black"), new XAttribute("font-family", "sans-serif"),
                PlainText.Printable(text));
        var foot = Margin + wide + 9;
        var svg = new XElement(Name + "svg", new XAttribute("width", N(width) + "mm"), new XAttribute("height", N(height) + "mm"),
            new XAttribute("viewBox", $"0 0 {N(width)} {N(height)}"),
            new XElement(Name + "title", Printed(t.Name)),
            new XElement(Name + "g", new XAttribute("fill", "none"), new XAttribute("stroke", "black"),
                new XAttribute("stroke-width", "0.2"),
                new XElement(Name + "polygon", new XAttribute("id", "outline"),
                    new XAttribute("points", string.Join(' ', t.Outline.Select(p => $"{X(p[0])},{Y(p[1])}")))),
                t.Folds.Select(b => Line(Margin + 1000 * b.From[0], Margin + wide - 1000 * b.From[1], Margin + 1000 * b.To[0],
                    Margin + wide - 1000 * b.To[1], "3 2")),
                t.Folds.Select(b => Text(Margin + 1000 * b.From[0] + 1, Margin + wide - 1000 * Math.Max(b.From[1], b.To[1])
                    + (b.Along ? -1 : 4),
                    $"bend{Turn(t, b)} {b.Angle * 180 / Math.PI:0} degrees, inside radius {Mm(b.Radius)}")),
                t.Lines.Select(line => new XElement(Name + "polyline", new XAttribute("class", "saw"),
                    new XAttribute("points", string.Join(' ', line.Points.Select(p => $"{X(p[0])},{Y(p[1])}"))))),
                t.Lines.Select(line => line.Label).Distinct().Select((label, i) =>
                    Text(Margin + 1000 * t.Length + 2, Margin + 4 + 4 * i, label)),
                t.Holes.Select(h => new XElement(Name + "circle", new XAttribute("cx", X(h.X)), new XAttribute("cy", Y(h.Y)),
                    new XAttribute("r", Mm(h.Diameter / 2)))),
                t.Holes.SelectMany(h => new[]
                {
                    Line(Margin + 1000 * h.X - 4, Margin + wide - 1000 * h.Y, Margin + 1000 * h.X + 4, Margin + wide - 1000 * h.Y),
                    Line(Margin + 1000 * h.X, Margin + wide - 1000 * h.Y - 4, Margin + 1000 * h.X, Margin + wide - 1000 * h.Y + 4),
                }),
                // A number at each; what it is stands once, below the bar, so that no text lies over another.
                t.Holes.Select(h => Text(Margin + 1000 * (h.X + h.Diameter / 2) + 1, Margin + wide - 1000 * h.Y - 1.5,
                    h.Number > 0 ? $"{h.Number}" : $"{Mm(h.Diameter)} {h.For}")),
                t.FrontAhead ? [Text(Margin + 1000 * t.Length - 12, Margin - 2, "front >")] : Array.Empty<XElement>(),
                t.Holes.Where(h => h.Number > 0).OrderBy(h => h.Number).Select((h, i) => Text(Margin, foot + Rows + RowHeight * i,
                    $"{h.Number}: {Mm(h.X)} along, {Mm(h.Y)} across; {Mm(h.Diameter)} {h.For}")),
                Line(Margin, foot, Margin + Bar, foot), Line(Margin, foot - 2, Margin, foot + 2),
                    Line(Margin + Bar, foot - 2, Margin + Bar, foot + 2),
                Text(Margin, foot + 6, $"measure this bar: 100 mm. {Printed(t.Name)}")));
        return svg.ToString();
    }

    /// <summary>
    /// As DXF R12 in ASCII, millimetres: outline on layer OUTLINE, bends on BENDS, holes on HOLES, lines to saw on SAW. R12 has no header
    /// for units: a text says them.
    /// </summary>
    public static string Dxf(Template t)
    {
        var text = new StringBuilder();
        void Pair(int code, string value) => text.Append(CultureInfo.InvariantCulture, $"{code}\r\n{value}\r\n");
        void Point(int code, double x, double y)
        {
            Pair(code, N(x));
            Pair(code + 10, N(y));
            Pair(code + 20, "0");
        }
        void Entity(string type, string layer)
        {
            Pair(0, type);
            Pair(8, layer);
        }
        void Line(string layer, double x1, double y1, double x2, double y2)
        {
            Entity("LINE", layer);
            Point(10, x1, y1);
            Point(11, x2, y2);
        }
        Pair(0, "SECTION");
        Pair(2, "HEADER");
        Pair(9, "$ACADVER");
        Pair(1, "AC1009");
        // Millimetres: what opens it else takes them for inches.
        Pair(9, "$INSUNITS");
        Pair(70, "4");
        Pair(9, "$MEASUREMENT");
        Pair(70, "1");
        Pair(0, "ENDSEC");
        Pair(0, "SECTION");
        Pair(2, "ENTITIES");
        void Between(string layer, IReadOnlyList<double> a, IReadOnlyList<double> b) =>
            Line(layer, 1000 * a[0], 1000 * a[1], 1000 * b[0], 1000 * b[1]);
        var r = t.Outline.Count == 4 ? t.Corner : 0;
        foreach (var (a, b) in t.Outline.Zip([.. t.Outline.Skip(1), t.Outline[0]]))
        {
            // Along each edge from round to round; a quarter circle at the end of it.
            var (dx, dy) = (b[0] - a[0], b[1] - a[1]);
            var long_ = Math.Sqrt(dx * dx + dy * dy);
            var (ux, uy) = (dx / long_, dy / long_);
            Between("OUTLINE", [a[0] + r * ux, a[1] + r * uy], [b[0] - r * ux, b[1] - r * uy]);
            if (r <= 0)
                continue;
            Entity("ARC", "OUTLINE");
            // Anticlockwise: the piece lies to the left of its edges.
            Point(10, 1000 * (b[0] - r * ux - r * uy), 1000 * (b[1] - r * uy + r * ux));
            Pair(40, Mm(r));
            var from = Math.Atan2(-ux, uy) * 180 / Math.PI;
            Pair(50, N((from + 360) % 360));
            Pair(51, N((from + 450) % 360));
        }
        foreach (var fold in t.Folds)
            Between("BENDS", fold.From, fold.To);
        foreach (var line in t.Lines)
            foreach (var (a, b) in line.Points.Zip(line.Points.Skip(1)))
                Between("SAW", a, b);
        foreach (var h in t.Holes)
        {
            Entity("CIRCLE", "HOLES");
            Point(10, 1000 * h.X, 1000 * h.Y);
            Pair(40, Mm(h.Diameter / 2));
        }
        Entity("TEXT", "NOTES");
        Point(10, 0, -8);
        Pair(40, "3");
        Pair(1, Plain($"millimetres; {Mm(t.Thickness)} thick; {Printed(t.Name)}"));
        Pair(0, "ENDSEC");
        Pair(0, "EOF");
        return text.ToString();
    }

    /// <summary>Which of several bends it is; nothing for the only one.</summary>
    internal static string Turn(Template t, Fold bend) => t.Folds.Count > 1 ? $" {bend.Turn}:" : "";

    private static string Printed(string text) => PlainText.Printable(QuantityText.Print(text, UnitSystem.Metric));

    /// <summary>R12 knows ASCII only: other letters are written in these.</summary>
    private static string Plain(string text) => text.Replace('×', 'x').Transliterate();
}
