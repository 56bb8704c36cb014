using System.Globalization;
using Ochema.Core.Quantities;
using Ochema.Paper.Scripts;
using PdfSharp.Drawing;
using PdfSharp.Pdf;

namespace Ochema.Paper;

/// <summary>How a line is drawn.</summary>
internal enum Stroke
{
    Thin,
    Thick,
    Dashed,

    /// <summary>To draw over.</summary>
    Faint,
}

/// <summary>A page that is drawn on in millimetres, from its upper left corner.</summary>
internal sealed class Sheet : IDisposable
{
    private const double PointsPerMillimetre = 72 / 25.4;
    private readonly XGraphics graphics;

    /// <summary>Text sizes, points: small print, text, headline, title.</summary>
    public const double Small = 8;
    public const double Body = 10;
    public const double Head = 12;
    public const double Title = 20;

    /// <summary>Height of a line of text over its size.</summary>
    private const double Leading = 1.3;

    public PaperSize Paper { get; }

    public Sheet(PdfDocument document, PaperSize paper)
    {
        Paper = paper;
        var page = document.AddPage();
        (page.Width, page.Height) = (XUnit.FromMillimeter(paper.Width), XUnit.FromMillimeter(paper.Height));
        graphics = XGraphics.FromPdfPage(page);
    }

    /// <summary>mm to points.</summary>
    private static double P(double mm) => mm * PointsPerMillimetre;

    private static XFont Font(string family, double size, bool bold) => new(family, size, bold ? XFontStyleEx.Bold : XFontStyleEx.Regular,
        // Its letters are made of others, which a part of the file would lose.
        family == PaperFonts.OfManyScripts ? Whole : XPdfFontOptions.UnicodeDefault);

    private static readonly XPdfFontOptions Whole = new(PdfFontEncoding.Unicode, PdfFontEmbedding.EmbedCompleteFontFile);

    /// <summary>Height of a line of text, mm.</summary>
    public static double LineOf(double size) => size * Leading / PointsPerMillimetre;

    private static XPen Pen(Stroke stroke)
    {
        var pen = new XPen(stroke == Stroke.Faint ? XColor.FromGrayScale(0.75) : XColors.Black, P(stroke == Stroke.Thick ? 0.5 : 0.2));
        if (stroke == Stroke.Dashed)
        {
            pen.DashStyle = XDashStyle.Custom;
            pen.DashPattern = [15, 10];
        }
        return pen;
    }

    public void Line(double x1, double y1, double x2, double y2, Stroke stroke = Stroke.Thin) =>
        graphics.DrawLine(Pen(stroke), P(x1), P(y1), P(x2), P(y2));

    public void Rectangle(double x, double y, double width, double height, Stroke stroke = Stroke.Thin, bool filled = false)
    {
        if (filled)
            graphics.DrawRectangle(Pen(stroke), new XSolidBrush(XColor.FromGrayScale(0.88)), P(x), P(y), P(width), P(height));
        else
            graphics.DrawRectangle(Pen(stroke), P(x), P(y), P(width), P(height));
    }

    /// <summary>A square that stands on its corner.</summary>
    public void Diamond(double x, double y, double width)
    {
        var (cx, cy, r) = (x + width / 2, y + width / 2, width * 0.65);
        graphics.DrawPolygon(Pen(Stroke.Thick), [new(P(cx), P(cy - r)), new(P(cx + r), P(cy)), new(P(cx), P(cy + r)),
            new(P(cx - r), P(cy))]);
    }

    /// <summary>A circle about its middle.</summary>
    public void Circle(double x, double y, double radius, Stroke stroke = Stroke.Thin) =>
        graphics.DrawEllipse(Pen(stroke), P(x - radius), P(y - radius), P(2 * radius), P(2 * radius));

    /// <summary>A circle of paper with a line round it: what lies below does not show.</summary>
    public void Disc(double x, double y, double radius) =>
        graphics.DrawEllipse(Pen(Stroke.Thin), XBrushes.White, P(x - radius), P(y - radius), P(2 * radius), P(2 * radius));

    /// <summary>True once letters that no type here has were written in Latin ones.</summary>
    public bool IsTransliterated { get; private set; }

    /// <summary>One line of text; y is that of its base line.</summary>
    public void Text(double x, double y, string text, double size = Body, bool bold = false, bool right = false)
    {
        IsTransliterated |= PrintedText.IsTransliterated(text);
        var at = P(right ? x - Width(text, size, bold) : x);
        foreach (var run in PrintedText.Of(text))
        {
            var font = Font(run.Family, size, bold);
            graphics.DrawString(run.Text, font, XBrushes.Black, new XPoint(at, P(y)), XStringFormats.BaseLineLeft);
            at += graphics.MeasureString(run.Text, font).Width;
        }
    }

    /// <summary>Width of a text, mm.</summary>
    public double Width(string text, double size = Body, bool bold = false) =>
        PrintedText.Of(text).Sum(r => graphics.MeasureString(r.Text, Font(r.Family, size, bold)).Width) / PointsPerMillimetre;

    /// <summary>A text in lines no wider than a width, mm; a word that is wider is broken where it must be.</summary>
    public IReadOnlyList<string> Wrap(string text, double width, double size = Body, bool bold = false)
    {
        var lines = new List<string>();
        foreach (var paragraph in text.Split('\n'))
        {
            var line = "";
            foreach (var word in paragraph.Split(' ', StringSplitOptions.RemoveEmptyEntries).SelectMany(w => Broken(w, width, size, bold)))
            {
                var longer = line.Length == 0 ? word : line + " " + word;
                if (line.Length > 0 && Width(longer, size, bold) > width)
                {
                    lines.Add(line);
                    line = word;
                }
                else
                    line = longer;
            }
            lines.Add(line);
        }
        return lines;
    }

    /// <summary>As much of a text as a width, mm, has room for, with dots where there is more.</summary>
    public string Fitted(string text, double width, double size = Body, bool bold = false)
    {
        if (Width(text, size, bold) <= width)
            return text;
        var elements = new StringInfo(text);
        var fits = elements.LengthInTextElements;
        while (fits > 0 && Width(elements.SubstringByTextElements(0, fits) + "…", size, bold) > width)
            fits--;
        return fits > 0 ? elements.SubstringByTextElements(0, fits) + "…" : "…";
    }

    /// <summary>A word in pieces that a line has room for: names without spaces, and scripts that have none.</summary>
    private IEnumerable<string> Broken(string word, double width, double size, bool bold)
    {
        while (Width(word, size, bold) > width && new StringInfo(word) is { LengthInTextElements: > 1 } elements)
        {
            var (fits, most) = (1, elements.LengthInTextElements - 1);
            while (fits < most)
                if ((fits + most + 1) / 2 is var middle && Width(elements.SubstringByTextElements(0, middle), size, bold) <= width)
                    fits = middle;
                else
                    most = middle - 1;
            yield return elements.SubstringByTextElements(0, fits);
            word = elements.SubstringByTextElements(fits);
        }
        yield return word;
    }

    /// <summary>Draws only within a rectangle until what is returned is disposed.</summary>
    public IDisposable Within(double x, double y, double width, double height)
    {
        var state = graphics.Save();
        graphics.IntersectClip(new XRect(P(x), P(y), P(width), P(height)));
        return new Restored(graphics, state);
    }

    private sealed class Restored(XGraphics graphics, XGraphicsState state) : IDisposable
    {
        public void Dispose() => graphics.Restore(state);
    }

    public void Dispose() => graphics.Dispose();

    /// <summary>A text with its quantities in the reader's units; the narrow space between thousands is one that the paper's face
    /// has.</summary>
    public static string Printed(string text, UnitSystem units) => QuantityText.Print(text, units).Replace('\u202f', '\u00a0');
}
