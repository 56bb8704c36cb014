using Ochema.Core.Joints;
using Ochema.Core.Rigs;

namespace Ochema.Core.Making;

/// <summary>
/// Strips of paper that go once round a tube, flush with its end: where the pin of the plug in it is drilled, on both sides. What is half
/// the strip apart on paper stands opposite on the tube.
/// </summary>
public static class Wraps
{
    /// <summary>Strip beyond what is marked on it, m: enough to tape down.</summary>
    private const double Beyond = 0.015;

    /// <summary>One for each tube's end whose plug is pinned; the tube's end is the strip's lower edge.</summary>
    /// <param name="lines">The list.</param>
    public static IReadOnlyList<Template> Of(RigBuilder b, IReadOnlyList<PartLine> lines) =>
    [
        .. b.Joints.Where(j => j.Plug is { Kept: PlugKept.Pinned }).Select(j =>
        {
            var (plug, line) = (j.Plug!, lines.First(l => l.Joint == j.Id && l.Row == Maker.PlugRow));
            var round = Math.PI * (plug.Inside + 2 * plug.Wall);
            TemplateHole Pin(double share) => new(share * round, plug.Depth / 2, TubePlug.Pin, HoleSort.Clearance, "the pin", j.Id, "pin through the wall");
            return new Template($"{line.Id}-wrap", line.Station, $"Strip round the tube's end, lower edge flush with it: {j.Title}", round,
                plug.Depth + Beyond, Paper, 1, [],
                [Pin(0.25), Pin(0.75)], []);
        }),
    ];

    /// <summary>Thickness of paper, m.</summary>
    private const double Paper = 0.0001;
}
