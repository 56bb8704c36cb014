namespace Ochema.Paper;

/// <summary>One sheet of a piece that is larger than the paper.</summary>
/// <param name="Column">From the left, from 0.</param>
/// <param name="Row">From the top, from 0.</param>
/// <param name="X">Its left edge on the piece, mm from the piece's left.</param>
/// <param name="Y">Its upper edge, mm from the piece's top.</param>
public sealed record Tile(int Column, int Row, double X, double Y)
{
    /// <summary>As it is called on the print: A1, A2 … along, B1 below.</summary>
    public string Name => $"{(char)('A' + Row)}{Column + 1}";
}

/// <summary>How a piece is laid over sheets of paper: they overlap by a strip in which each two share their marks.</summary>
/// <param name="Paper">Upright or on its side, whichever takes fewer sheets.</param>
/// <param name="Columns">Sheets side by side.</param>
/// <param name="Rows">Sheets below each other.</param>
public sealed record Tiling(PaperSize Paper, int Columns, int Rows, double Width, double Height)
{
    /// <summary>What printers leave white, mm (common practice, no source: 5–10).</summary>
    public const double Margin = 12;

    /// <summary>Strip that neighbours share, mm.</summary>
    public const double Overlap = 12;

    /// <summary>Room at the head for the sheet's name, mm.</summary>
    public const double Header = 14;

    /// <summary>Paper that a print shows round the piece, mm.</summary>
    public const double Round = 4;

    /// <summary>Width of the window of a sheet, mm.</summary>
    public double Window => Paper.Width - 2 * Margin;

    /// <summary>Its height, mm.</summary>
    public double WindowHeight => Paper.Height - 2 * Margin - Header - CheckBars.Height;

    /// <summary>Lays a piece out.</summary>
    /// <param name="width">Of what is drawn, mm.</param>
    /// <param name="height">Of what is drawn, mm.</param>
    public static Tiling Of(double width, double height, PaperSize paper)
    {
        Tiling With(PaperSize p)
        {
            var one = new Tiling(p, 1, 1, width, height);
            return one with { Columns = Count(width, one.Window), Rows = Count(height, one.WindowHeight) };
        }
        var (upright, turned) = (With(paper), With(paper.Turned));
        return turned.Columns * turned.Rows < upright.Columns * upright.Rows ? turned : upright;
    }

    private static int Count(double size, double window) => size <= window ? 1 : 1
        + (int)Math.Ceiling((size - window) / (window - Overlap) - 1e-9);

    /// <summary>The sheets, row by row.</summary>
    public IEnumerable<Tile> Tiles => Enumerable.Range(0, Rows).SelectMany(r => Enumerable.Range(0, Columns)
        .Select(c => new Tile(c, r, c * (Window - Overlap), r * (WindowHeight - Overlap))));

    /// <summary>
    /// Marks that two or four sheets share, mm on what is drawn: in the middle of each shared strip, at both ends of it and between, so
    /// that each sheet has at least two with each neighbour.
    /// </summary>
    public IEnumerable<(double X, double Y)> Marks
    {
        get
        {
            const int Along = 3;
            for (var c = 1; c < Columns; c++)
                for (var r = 0; r < Rows; r++)
                    for (var i = 0; i < Along; i++)
                        yield return (c * (Window - Overlap) + Overlap / 2, r * (WindowHeight - Overlap) + WindowHeight * (0.5 + i)
                            / Along);
            for (var r = 1; r < Rows; r++)
                for (var c = 0; c < Columns; c++)
                    for (var i = 0; i < Along; i++)
                        yield return (c * (Window - Overlap) + Window * (0.5 + i) / Along, r * (WindowHeight - Overlap) + Overlap / 2);
        }
    }
}
