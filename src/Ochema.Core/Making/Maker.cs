using Ochema.Core.Kinds;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;

namespace Ochema.Core.Making;

/// <summary>From the drawing to the bench: all of it follows from the pieces, joints and steps that kinds publish.</summary>
public static class Maker
{
    /// <summary>What there is to buy, cut, drill and do.</summary>
    /// <param name="rig">As read.</param>
    /// <param name="stock">The shelf.</param>
    /// <param name="kerf">Width of the saw's cut, m.</param>
    /// <param name="squaring">Cut off once from every bar, m.</param>
    /// <param name="now">What time it is, for what is done and cures by itself; null for the whole plan from its beginning.</param>
    /// <exception cref="Json.DocumentException">The rig names something that does not exist on its host.</exception>
    public static MakeReport Of(RigDocument rig, Catalogue stock, double kerf = BarCuts.Hacksaw, double squaring = BarCuts.Squared, DateTime? now = null)
    {
        var b = RigAssembly.Build(rig, stock);
        var holes = HoleTable.Of(b);
        var steps = BuildPlan.Of(b, holes);
        var lines = BuildPlan.Lines(b, steps);
        var cuts = BarCuts.Of(lines, b.Stock, kerf, squaring);
        var planned = BuildPlan.Timed(steps, lines, b, cuts, now);
        var proved = planned.Where(s => s.Work != Work.Finish).ToList();
        // Bars are paid whole; what is cut of them counts as used only.
        var cutUsed = lines.Where(l => cuts.Any(c => c.Plan.Cost is not null && c.Row == l.Row && l.Sort == PieceSort.Cut)).Sum(l => l.Cost);
        var cost = lines.Sum(l => l.Cost);
        IReadOnlyList<AisleTotal> aisles =
        [
            .. lines.GroupBy(l => l.Aisle).OrderBy(g => g.Key)
                .Select(g => new AisleTotal(g.Key, KindDescriptors.LabelOf(typeof(Aisle), g.Key.ToString()), g.Sum(l => l.Cost))),
        ];
        return new(lines, aisles, lines.Sum(l => l.Mass), cost, cost - cutUsed + cuts.Sum(c => c.Plan.Cost ?? 0), cuts, holes,
            planned, Templates.Of(b, lines, holes), [.. PlugPieces(b, lines, holes)],
            proved.Where(s => now is null || !s.IsDone).Sum(s => 60 * s.Minutes), Math.Max(0, proved.Max(s => s.Done)));
    }

    /// <summary>Plugs of tubes' ends, with the hole that is tapped in them.</summary>
    private static IEnumerable<PlugPiece> PlugPieces(RigBuilder b, IReadOnlyList<PartLine> lines, IReadOnlyList<HoleRow> holes)
    {
        foreach (var joint in b.Joints)
            if (joint.Plug is { } plug && lines.FirstOrDefault(l => l.Joint == joint.Id && l.Row == PlugRow) is { } line)
            {
                var tapped = holes.FirstOrDefault(h => h.Joint == joint.Id && h.Sort == HoleSort.Tapped);
                yield return new(line.Id, line.Station, line.Name, plug.Inside, plug.Depth, tapped?.Diameter ?? 0, tapped?.Thread ?? "");
            }
    }

    private const string PlugRow = "end-plug";
}
