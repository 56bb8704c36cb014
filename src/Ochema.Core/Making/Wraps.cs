using Ochema.Core.Joints;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;

namespace Ochema.Core.Making;

/// <summary>
/// Strips of paper that go once round a tube, their lower edge flush with its end: where the pin of the plug in it is drilled, on both
/// sides, and where a mitred end is sawn. What is half the strip apart on paper stands opposite on the tube.
/// </summary>
public static class Wraps
{
    /// <summary>Strip beyond what is marked on it, m: enough to tape down.</summary>
    private const double Beyond = 0.015;

    /// <summary>Points that a mitre's line round a tube is drawn through: straight between them it is off by less than a pencil.</summary>
    private const int Round = 72;

    /// <summary>Less than this is sawn square, rad.</summary>
    private const double Square = 0.01;

    /// <summary>One for each tube's end whose plug is pinned, and one for each mitre.</summary>
    /// <param name="lines">The list.</param>
    public static IReadOnlyList<Template> Of(BuiltRig b, IReadOnlyList<PartLine> lines) =>
    [
        .. b.Joints.Where(j => j.Plug is { Kept: PlugKept.Pinned }).Select(j =>
        {
            var (plug, line) = (j.Plug!, lines.First(l => l.Joint == j.Id && l.Row == Maker.PlugRow));
            var round = (plug.Square ? 4 : Math.PI) * (plug.Inside + 2 * plug.Wall);
            TemplateHole Pin(double share) => new(share * round, plug.Depth / 2, TubePlug.Pin, HoleSort.Clearance, "the pin", j.Id,
                "pin through the wall");
            return new Template($"{line.Id}-wrap", line.Station.ToString(), $"Strip round the tube's end, lower edge flush with it: {j.Title}", round,
                plug.Depth + Beyond, Paper, 1, [],
                [Pin(0.25), Pin(0.75)], [])
            { Flat = false };
        }),
        .. lines.Where(l => l.Sort == PieceSort.Cut && l.Row is { } row && b.Stock.Has("sections", row))
            .SelectMany(l => b.Parts.First(p => p.Sort == l.Sort && p.Station == l.Station && p.Name == l.Name).Cut!.Mitres.Where(a =>
                Math.Abs(a) > Square)
                .Select(Math.Abs).Distinct().Select((angle, n) => Mitre(l, n, b.Stock.Find<SectionRow>("sections", l.Row!),
                    angle)).OfType<Template>()),
        .. lines.Where(l => l.Sort == PieceSort.Cut && l.Row is { } row && b.Stock.Has("sections", row))
            .Select(l => (Line: l, b.Parts.First(p => p.Sort == l.Sort && p.Station == l.Station && p.Name == l.Name).Cut!.Slit))
            .Where(x => x.Slit is not null).Select(x => Slit(x.Line, x.Slit!, b.Stock.Find<SectionRow>("sections", x.Line.Row!))),
    ];

    /// <summary>Where a pipe is slit: two lines along it and one across where they stop, the strip's lower edge at the end that stays
    /// whole.</summary>
    internal static Template Slit(PartLine line, PipeSlit slit, SectionRow row)
    {
        var (round, half) = (Math.PI * row.Width, slit.Width / 2);
        return new($"{line.Id}-slit", line.Station.ToString(), $"Strip for the slit, lower edge at the end that stays whole: "
            + $"{Quantities.Words.Inside(line.Name.Split(':')[0])}", round,
            slit.To, Paper, 1, [], [], [])
        {
            Flat = false,
            Lines =
            [
                new("saw along these lines", [[round / 2 - half, slit.To], [round / 2 - half, slit.From]]),
                new("saw along these lines", [[round / 2 + half, slit.To], [round / 2 + half, slit.From]]),
                new("stop here", [[round / 2 - half, slit.From], [round / 2 + half, slit.From]]),
            ],
        };
    }

    /// <summary>
    /// Where a mitred end is sawn: on a round tube y = r·tan α·(1 − cos φ), on a square one straight over two faces and level on the others
    /// (the plane of the cut, unrolled). The strip begins in the middle of the long side, its lower edge at the tip. Null for a flat bar,
    /// which is marked by a square.
    /// </summary>
    /// <param name="angle">From square, rad.</param>
    internal static Template? Mitre(PartLine line, int n, SectionRow row, double angle)
    {
        var (w, rise) = (row.Width, row.Width * Math.Tan(angle));
        if (row.Shape is SectionShape.Flat)
            return null;
        var round = row.Shape is SectionShape.Round or SectionShape.RoundTube;
        var (length, points) = round
            ? (Math.PI * w, Enumerable.Range(0, Round + 1).Select(i => (double[])[Math.PI * w * i / Round, rise / 2
                * (1 - Math.Cos(2 * Math.PI * i / Round))]))
            : (4 * w, [[0, 0], [w / 2, 0], [1.5 * w, rise], [2.5 * w, rise], [3.5 * w, 0], [4 * w, 0]]);
        return new($"{line.Id}-mitre{(n > 0 ? $"-{n + 1}" : "")}", line.Station.ToString(),
            $"Mitre strip, lower edge at the tip, ends meet on the long side: {Quantities.Words.Inside(line.Name.Split(':')[0])}", length,
                rise + Beyond, Paper, 1, [], [], [])
        {
            Flat = false,
            Lines = [new("saw along this line", [.. points])],
        };
    }

    /// <summary>Thickness of paper, m.</summary>
    private const double Paper = 0.0001;
}
