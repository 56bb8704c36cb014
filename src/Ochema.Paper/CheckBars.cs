namespace Ochema.Paper;

/// <summary>The two bars that are measured on each print at 1:1: printers like to shrink a page to its margins.</summary>
internal static class CheckBars
{
    /// <summary>Lengths, mm: for a metric rule and an inch one (4 in = 101.6 mm, by definition of the inch).</summary>
    public const double Metric = 100;
    public const double Inch = 101.6;

    /// <summary>Height that they take, mm.</summary>
    public const double Height = 17;

    /// <summary>Draws them from their upper left corner.</summary>
    public static void Draw(Sheet sheet, double x, double y)
    {
        Bar(sheet, x, y + 3, Metric, "measure this bar: 100 mm");
        Bar(sheet, x, y + 11, Inch, "measure this bar: 4 in");
    }

    private static void Bar(Sheet sheet, double x, double y, double length, string says)
    {
        sheet.Line(x, y, x + length, y);
        sheet.Line(x, y - 1.5, x, y + 1.5);
        sheet.Line(x + length, y - 1.5, x + length, y + 1.5);
        sheet.Text(x + 2, y + 4, says, Sheet.Small);
    }
}
