using Ochema.Core.Kinds;
using Ochema.Core.Making;
using Ochema.Core.Quantities;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Data;
using Ochema.Paper;
using UglyToad.PdfPig;
using UglyToad.PdfPig.Content;
using UglyToad.PdfPig.Core;

namespace Ochema.Web.Tests;

/// <summary>What is printed, read back by a reader of its own: words, and lengths measured on the page.</summary>
public sealed class PaperTests
{
    private const double PointsPerMillimetre = 72 / 25.4;

    /// <summary>Measured on the page, mm.</summary>
    private const double Near = 0.1;

    private static readonly Dictionary<string, RigDocument> Rigs = RecipeLibrary.All.Select(r => (r.Id, r.Document))
        .Concat(DemoFilm.Rigs.Select(r => (r.Id, r.Document))).ToDictionary(r => r.Id, r => r.Document);

    public static TheoryData<string> Names => [.. Rigs.Keys];

    private static MakeReport Made(string name) => Maker.Of(Rigs[name], Catalogue.Shipped.With(Rigs[name].Stock));

    private static List<Page> Pages(byte[] file) => [.. PdfDocument.Open(file).GetPages()];

    /// <summary>Straight lines on a page, mm from its upper left corner.</summary>
    private static IEnumerable<(double X1, double Y1, double X2, double Y2)> Lines(Page page)
    {
        foreach (var path in page.Paths.Where(p => !p.IsClipping).SelectMany(p => p))
            foreach (var line in path.Commands.OfType<PdfSubpath.Line>())
                yield return (line.From.X / PointsPerMillimetre, (page.Height - line.From.Y) / PointsPerMillimetre,
                    line.To.X / PointsPerMillimetre, (page.Height - line.To.Y) / PointsPerMillimetre);
    }

    /// <summary>Circles on a page: middle and radius, mm from its upper left corner.</summary>
    private static IEnumerable<(double X, double Y, double R)> Circles(Page page)
    {
        foreach (var path in page.Paths.Where(p => !p.IsClipping).SelectMany(p => p).Where(s => s.Commands.OfType<PdfSubpath.CubicBezierCurve>().Count() == 4))
        {
            var ends = path.Commands.OfType<PdfSubpath.CubicBezierCurve>().Select(c => c.EndPoint).ToList();
            var (x, y) = ((ends.Min(e => e.X) + ends.Max(e => e.X)) / 2, (ends.Min(e => e.Y) + ends.Max(e => e.Y)) / 2);
            yield return (x / PointsPerMillimetre, (page.Height - y) / PointsPerMillimetre,
                (ends.Max(e => e.X) - ends.Min(e => e.X)) / 2 / PointsPerMillimetre);
        }
    }

    private static string Words(IEnumerable<Page> pages) => Squeezed(string.Concat(pages.Select(p =>
        string.Concat(p.Letters.Select(l => l.Value)))));

    private static string Squeezed(string text) => new([.. text.Where(c => !char.IsWhiteSpace(c))]);

    [Theory]
    [MemberData(nameof(Names))]
    public void NoTextOfATemplateLiesOverAnother(string name)
    {
        if (TemplatePaper.Of(Rigs[name].Name, Made(name), PaperSize.Of("a4")!, UnitSystem.Metric) is not { } file)
            return;
        foreach (var page in Pages(file))
        {
            var letters = page.Letters.Where(l => !string.IsNullOrWhiteSpace(l.Value)).ToList();
            for (var i = 0; i < letters.Count; i++)
                for (var k = 0; k < i; k++)
                    // Of other lines: on the same base line letters are kerned into each other.
                    if (Math.Abs(letters[i].StartBaseLine.Y - letters[k].StartBaseLine.Y) is > 0.1 and < 4.5
                        && letters[i].StartBaseLine.X < letters[k].EndBaseLine.X - 0.3 && letters[k].StartBaseLine.X
                            < letters[i].EndBaseLine.X - 0.3)
                        Assert.Fail($"page {page.Number}: '{letters[i].Value}' over '{letters[k].Value}' at {letters[i].StartBaseLine} in\n"
                            + string.Concat(letters.Select(l => l.Value)));
        }
    }

    /// <summary>No letter stands over the edge of the paper or in the white that printers leave.</summary>
    private static void StandsOnThePaper(Page page)
    {
        foreach (var letter in page.Letters)
        {
            Assert.InRange(letter.BoundingBox.Left, 10 * PointsPerMillimetre, page.Width);
            Assert.InRange(letter.BoundingBox.Right, 0, page.Width - 10 * PointsPerMillimetre);
            Assert.InRange(letter.BoundingBox.Bottom, 8 * PointsPerMillimetre, page.Height - 10 * PointsPerMillimetre);
        }
    }

    [Theory, MemberData(nameof(Names))]
    public void ThePlanHasEveryStepEveryPartAndEveryHole(string name)
    {
        var report = Made(name);
        foreach (var (paper, units) in new[] { (PaperSize.A4, UnitSystem.Metric), (PaperSize.Letter, UnitSystem.Inch) })
        {
            var pages = Pages(PlanPaper.Of(Rigs[name].Name, report, paper, units, RigAssembly.Build(Rigs[name], Catalogue.Shipped).Figure));
            Assert.All(pages, StandsOnThePaper);
            Assert.All(pages, p => Assert.Equal(paper.Height, p.Height / PointsPerMillimetre, 2));
            var words = Words(pages);
            string Printed(string text) => Squeezed(QuantityText.Print(text, units));
            foreach (var step in report.Steps)
            {
                Assert.Contains(Printed($"{step.Number} {step.Title}"), words);
                Assert.All(step.Beware, b => Assert.Contains(Printed(b), words));
                Assert.All(step.Readings, r => Assert.Contains(Printed(r.Label), words));
            }
            Assert.All(report.Parts, p => Assert.Contains(Printed(p.Name), words));
            Assert.All(report.Holes, h => Assert.Contains(Printed($"{h.For}"), words));
            Assert.Contains("proveitbytest", words);
            // Quantities are printed, not their tokens.
            Assert.DoesNotContain("{", words);
        }
    }

    [Theory, MemberData(nameof(Names))]
    public void ThePlanShowsWhatItBecomesAndEveryPieceThatIsWorked(string name)
    {
        var report = Made(name);
        var figure = RigAssembly.Build(Rigs[name], Catalogue.Shipped).Figure;
        var pages = Pages(PlanPaper.Of(Rigs[name].Name, report, PaperSize.A4, UnitSystem.Metric, figure));
        var words = Words(pages);
        Assert.Contains("Whatitbecomes", words);
        var shown = figure.Where(s => s.Type is not ("post" or "strip")
            && report.Parts.Any(p => p.Station == s.Station)).Select(s => s.Station).Distinct().Count();
        Assert.True(Circles(pages[0]).Count(c => Math.Abs(c.R - 2.6) < 0.01) >= shown);
        // Every hole of a piece by its number and place.
        foreach (var t in report.Templates)
            Assert.All(t.Holes, h => Assert.Contains(Squeezed(QuantityText.Print(
                $"{h.Number}: {QuantityText.Of(h.X, Dimension.Mark)} along, {QuantityText.Of(h.Y, Dimension.Mark)} across",
                    UnitSystem.Metric)), words));
    }

    [Theory, MemberData(nameof(Names))]
    public void CutsAloneAreAPaperOfTheirOwn(string name)
    {
        var report = Made(name);
        if (PlanPaper.OfCuts(Rigs[name].Name, report, PaperSize.A4, UnitSystem.Metric) is not { } file)
        {
            Assert.Empty(report.Cuts);
            return;
        }
        var pages = Pages(file);
        Assert.All(pages, StandsOnThePaper);
        var words = Words(pages);
        foreach (var group in report.Cuts)
        {
            Assert.Contains(Squeezed(QuantityText.Print(group.Name, UnitSystem.Metric)), words);
            Assert.All(group.Pieces, p => Assert.Contains(Squeezed(QuantityText.Print(QuantityText.Of(p.Length, Dimension.Length),
                UnitSystem.Metric)), words));
        }
    }

    [Theory, MemberData(nameof(Names))]
    public void FlatPiecesMeasureOnPaperWhatTheyMeasureAtTheBench(string name)
    {
        var report = Made(name);
        foreach (var paper in PaperSize.All)
        {
            if (TemplatePaper.Of(Rigs[name].Name, report, paper, UnitSystem.Metric) is not { } file)
            {
                Assert.Empty(report.Prints);
                continue;
            }
            var pages = Pages(file);
            var at = 0;
            foreach (var template in report.Prints)
            {
                var tiling = TemplatePaper.Lay(template, paper);
                var found = new List<(double X, double Y, double R)>();
                var (corners, marks) = (new List<(double X, double Y)>(), new Dictionary<(double, double), int>());
                foreach (var tile in tiling.Tiles)
                {
                    var page = pages[at++];
                    StandsOnThePaper(page);
                    // Both bars on every sheet.
                    var lengths = Lines(page).Where(l => Math.Abs(l.Y1 - l.Y2) < 1e-6).Select(l => Math.Abs(l.X2 - l.X1)).ToList();
                    Assert.Contains(lengths, l => Math.Abs(l - 100) < Near);
                    Assert.Contains(lengths, l => Math.Abs(l - 101.6) < Near);
                    // Where things lie on the piece, mm from its lower left corner, put together from the sheets.
                    (double X, double Y) Piece(double x, double y) => (x - Tiling.Margin - Tiling.Round + tile.X,
                        1000 * template.Width - (y - Tiling.Margin - Tiling.Header - Tiling.Round + tile.Y));
                    foreach (var c in Circles(page))
                    {
                        var (x, y) = Piece(c.X, c.Y);
                        if (Math.Abs(c.R - 2) < 1e-3 && tiling.Marks.Any(m => Math.Abs(m.X - Tiling.Round - x) < Near
                            && Math.Abs(1000 * template.Width + Tiling.Round - m.Y - y) < Near))
                        {
                            if (c.X > Tiling.Margin && c.X < tiling.Paper.Width - Tiling.Margin && c.Y > Tiling.Margin + Tiling.Header
                                && c.Y < Tiling.Margin + Tiling.Header + tiling.WindowHeight)
                                marks[(Math.Round(x, 1), Math.Round(y, 1))] = marks.GetValueOrDefault((Math.Round(x, 1), Math.Round(y, 1)))
                                    + 1;
                        }
                        else
                            found.Add((x, y, c.R));
                    }
                    corners.AddRange(Lines(page).Where(l => l.Y2 < tiling.Paper.Height - Tiling.Margin - CheckBarsTop)
                        .Select(l => Piece(l.X1, l.Y1)));
                }
                foreach (var h in template.Holes)
                    Assert.Contains(found, f => Math.Abs(f.X - 1000 * h.X) < Near && Math.Abs(f.Y - 1000 * h.Y) < Near
                        && Math.Abs(f.R - 500 * h.Diameter) < Near);
                foreach (var p in template.Outline)
                    Assert.Contains(corners, c => Math.Abs(c.X - 1000 * p[0]) < Near && Math.Abs(c.Y - 1000 * p[1]) < Near);
                // Each mark is on both of the sheets that are laid on each other there.
                Assert.All(marks, m => Assert.True(m.Value >= 2, $"{name}: a mark at {m.Key} on one sheet only"));
                Assert.Equal(tiling.Columns * tiling.Rows > 1, marks.Count > 0);
            }
            Assert.Equal(pages.Count, at);
        }
    }

    private const double CheckBarsTop = 18;

    [Theory] // the sheets cover all of it, each two neighbours share a strip, and no fewer would do
    [InlineData(100, 100)]
    [InlineData(320, 320)]
    [InlineData(186, 240)]
    [InlineData(1200, 90)]
    [InlineData(900, 700)]
    public void SheetsCoverThePiece(double width, double height)
    {
        foreach (var paper in PaperSize.All)
        {
            var t = Tiling.Of(width, height, paper);
            var tiles = t.Tiles.ToList();
            Assert.Equal(t.Columns * t.Rows, tiles.Count);
            Assert.Equal(tiles.Count, tiles.Select(x => x.Name).Distinct().Count());
            Assert.True(tiles.Max(x => x.X) + t.Window >= width - 1e-9 && tiles.Max(x => x.Y) + t.WindowHeight >= height - 1e-9);
            Assert.True(t.Columns == 1 || t.Window + (t.Columns - 2) * (t.Window - Tiling.Overlap) < width);
            Assert.True(t.Rows == 1 || t.WindowHeight + (t.Rows - 2) * (t.WindowHeight - Tiling.Overlap) < height);
            foreach (var tile in tiles)
                foreach (var next in tiles.Where(n => (n.Row == tile.Row && n.Column == tile.Column + 1) || (n.Column == tile.Column && n.Row == tile.Row + 1)))
                    Assert.True(t.Marks.Count(m => Shows(tile, m) && Shows(next, m)) >= 2);
            bool Shows(Tile x, (double X, double Y) m) => m.X > x.X && m.X < x.X + t.Window && m.Y > x.Y && m.Y < x.Y + t.WindowHeight;
        }
    }

    [Theory, MemberData(nameof(Names))]
    public void TheMeasuringSheetAsksForAllThatIsReadOff(string name)
    {
        var report = Made(name);
        var readings = report.Steps.SelectMany(s => s.Readings).ToList();
        var file = MeasuringPaper.Of(Rigs[name].Name, Rigs[name].Site.Name, report, PaperSize.A4, UnitSystem.Metric);
        Assert.Equal(readings.Count > 0, file is not null);
        if (file is null)
            return;
        var pages = Pages(file);
        Assert.All(pages, StandsOnThePaper);
        var words = Words(pages);
        foreach (var r in readings)
        {
            Assert.Contains(Squeezed(r.Label), words);
            Assert.Contains(Squeezed(QuantityText.Print(r.HowTo, UnitSystem.Metric)), words);
        }
        // One page, but for rigs with a dozen values.
        Assert.True(pages.Count == 1 || readings.Count > 12, $"{pages.Count} pages for {readings.Count} values");
    }
}
