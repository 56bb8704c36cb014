using PdfSharp.Pdf;

namespace Ochema.Paper;

/// <summary>Text and blocks one below the other, from page to page.</summary>
internal sealed class Flow : IDisposable
{
    private const double Margin = 16;
    private const double Foot = 9;

    /// <summary>Room of the page's number, mm, and lines that a footer has.</summary>
    private const double Number = 12;
    private const int FooterLines = 2;
    private readonly PdfDocument document;
    private readonly PaperSize paper;
    private readonly string footer;
    private int pages;
    private bool transliterated;

    public Sheet Page { get; private set; }

    /// <summary>Where the next block begins, mm from the top.</summary>
    public double Y { get; private set; }

    /// <summary>Left edge, mm.</summary>
    public static double Left => Margin;

    /// <summary>Width of the text, mm.</summary>
    public double Width => paper.Width - 2 * Margin;

    /// <summary>Right edge, mm.</summary>
    public double Right => paper.Width - Margin;

    public Flow(PdfDocument document, PaperSize paper, string footer)
    {
        (this.document, this.paper, this.footer) = (document, paper, footer);
        Page = Begin();
    }

    private Sheet Begin()
    {
        var sheet = new Sheet(document, paper);
        pages++;
        // Clear of the page's number.
        foreach (var (line, i) in sheet.Wrap(footer, Width - Number, Sheet.Small).Take(FooterLines).Select((l, i) => (l, i)))
            sheet.Text(Left, paper.Height - Margin + 5 + i * Sheet.LineOf(Sheet.Small), line, Sheet.Small);
        sheet.Text(Right, paper.Height - Margin + 5, $"{pages}", Sheet.Small, right: true);
        Y = Margin;
        return sheet;
    }

    /// <summary>Goes on to the next page where a block of a height, mm, has no room on this one.</summary>
    public void Room(double height)
    {
        if (Y + height <= paper.Height - Margin - Foot + 4 || Y <= Margin + 1)
            return;
        transliterated |= Page.IsTransliterated;
        Page.Dispose();
        Page = Begin();
    }

    /// <summary>Leaves room, mm.</summary>
    public void Space(double height) => Y += height;

    /// <summary>A text below what stands there, wrapped.</summary>
    /// <param name="indent">From the left, mm.</param>
    public void Text(string text, double size = Sheet.Body, bool bold = false, double indent = 0)
    {
        foreach (var line in Page.Wrap(text, Width - indent, size, bold))
        {
            Room(Sheet.LineOf(size));
            Page.Text(Left + indent, Y + Sheet.LineOf(size) * 0.75, line, size, bold);
            Y += Sheet.LineOf(size);
        }
    }

    /// <summary>Height that a text takes, mm.</summary>
    public double Height(string text, double size = Sheet.Body, bool bold = false, double indent = 0) =>
        text.Length == 0 ? 0 : Page.Wrap(text, Width - indent, size, bold).Count * Sheet.LineOf(size);

    /// <summary>A headline with a line under it.</summary>
    public void Headline(string text)
    {
        Room(24);
        Space(4);
        Text(text, Sheet.Head + 2, bold: true);
        Page.Line(Left, Y + 0.5, Right, Y + 0.5);
        Space(3);
    }

    public void Dispose()
    {
        if (transliterated || Page.IsTransliterated)
        {
            Space(2);
            Text("Letters that there is no type here for are written in Latin ones.", Sheet.Small);
        }
        Page.Dispose();
    }
}
