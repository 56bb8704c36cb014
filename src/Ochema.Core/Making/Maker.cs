using Ochema.Core.Joints;
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
    /// <param name="kerf">Width of the saw's cut, m; null: as the document says, or a hacksaw's.</param>
    /// <param name="squaring">Cut off once from every bar, m; null: as the document says, or the usual.</param>
    /// <param name="now">What time it is, for what is done and cures by itself; null for the whole plan from its beginning.</param>
    /// <param name="clock">What time of day it is where it is built, s from midnight; null: the hour at which work begins.</param>
    /// <exception cref="Json.DocumentException">The rig names something that does not exist on its host.</exception>
    public static MakeReport Of(RigDocument rig, Catalogue stock, double? kerf = null, double? squaring = null, DateTime? now = null,
        double? clock = null)
    {
        var b = RigAssembly.Build(rig, stock);
        var holes = HoleTable.Of(b);
        var steps = BuildPlan.Of(b, holes);
        var lines = BuildPlan.Lines(b, steps);
        var bench = rig.Bench ?? new();
        var cuts = BarCuts.Of(lines, b.Stock, kerf ?? bench.Kerf ?? BarCuts.Hacksaw, squaring ?? bench.Squaring ?? BarCuts.Squared,
            bench.Offcuts);
        var from = bench.WorkFrom ?? WorkingHours.DefaultFrom;
        var planned = BuildPlan.Timed(steps, lines, b, cuts, holes, now, new(from, bench.WorkTo ?? WorkingHours.DefaultTo, clock ?? from));
        var proved = planned.Where(s => s.Work != Work.Finish).ToList();
        // Bars are paid whole; what is cut of them counts as used only.
        lines = [.. lines.Select(l => l.ByTheBar && !cuts.Any(c => c.Plan.Cost is not null && c.Row == l.Row)
            && l.Have < l.Quantity ? l with { Pay = l.Cost * (1 - l.Have / l.Quantity) } : l)];
        var bars = cuts.Sum(c => c.Plan.Cost ?? 0);
        var toBuy = lines.Where(l => l.Is is PartIs.ToBuy or PartIs.MadeForMe).Sum(l => l.Pay)
            + cuts.Where(c => lines.Any(l => l.Row == c.Row && l.Is == PartIs.ToBuy && c.Pieces.Any(p => p.Id == l.Id)))
                .Sum(c => c.Plan.Cost ?? 0);
        IReadOnlyList<AisleTotal> aisles =
        [
            .. lines.GroupBy(l => l.Aisle).OrderBy(g => g.Key)
                .Select(g => new AisleTotal(g.Key, KindDescriptors.LabelOf(typeof(Aisle), g.Key.ToString()), g.Sum(l => l.Cost))),
        ];
        return new(lines, aisles, lines.Sum(l => l.Mass), lines.Sum(l => l.Cost), lines.Sum(l => l.Pay) + bars, cuts, holes,
            planned, Templates.Of(b, lines, holes), [.. PlugPieces(b, lines, holes)],
            proved.Where(s => now is null || !s.IsDone).Sum(s => 60 * s.Minutes), Math.Max(0, proved.Max(s => s.Done)))
        {
            ToBuy = toBuy,
            Wraps = [.. Making.Wraps.Of(b, lines), .. PlugPieces(b, lines, holes).Select(Centres.Of), .. Octagons(lines, holes)],
            Tools = [.. planned.SelectMany(s => s.Tools).GroupBy(t => t.Id)
                .Select(g => new ToolNeed(g.Key, g.First().Name, g.First().From, g.Count()))],
            Saw = [Asked(bench, nameof(Bench.Kerf), cuts.Count > 0 ? cuts[0].Kerf : BarCuts.Hacksaw),
                Asked(bench, nameof(Bench.Squaring), cuts.Count > 0 ? cuts[0].Squaring : BarCuts.Squared)],
            Hours = [Asked(bench, nameof(Bench.WorkFrom), WorkingHours.DefaultFrom),
                Asked(bench, nameof(Bench.WorkTo), WorkingHours.DefaultTo)],
            LineAsks = [Asked(new BenchLine(), nameof(BenchLine.Pack), 1), Asked(new BenchLine(), nameof(BenchLine.Price), null),
                Asked(new BenchLine(), nameof(BenchLine.Have), null)],
            Instead = [Asked(bench, nameof(Bench.ReadyMade), null), Asked(bench, nameof(Bench.Hire), null)],
        };
    }

    /// <summary>The plan with the rig's verdict, which stands before everything that is printed of it.</summary>
    public static MakeReport Judged(MakeReport report, Assessment.VerdictReport verdict) =>
        report with { Verdict = Assessment.VerdictHeadline.Of(verdict), LetsGo = verdict.Word == Assessment.Verdict.LetsGo };

    /// <summary>A value of the bench that may be said.</summary>
    /// <param name="otherwise">What is taken while it is not.</param>
    private static Reading Asked(object bench, string property, double? otherwise)
    {
        var field = MeasureReader.Declared(bench.GetType()).First(d => d.Property.Name == property);
        var m = field.Measure!;
        return new($"bench.{field.Name}", m.Label, m.HowTo, m.Dimension, m.Minimum, m.Maximum, (double?)field.Property.GetValue(bench)
            ?? otherwise);
    }

    /// <summary>Plugs of tubes' ends, with the hole that is tapped in them.</summary>
    private static IEnumerable<PlugPiece> PlugPieces(BuiltRig b, IReadOnlyList<PartLine> lines, IReadOnlyList<HoleRow> holes)
    {
        foreach (var joint in b.Joints)
            if (joint.Plug is { } plug && lines.FirstOrDefault(l => l.Joint == joint.Id && l.Row == PlugRow) is { } line)
            {
                var tapped = holes.FirstOrDefault(h => h.Joint == joint.Id && h.Sort == HoleSort.Tapped);
                yield return new(line.Id, line.Station.ToString(), line.Name, plug.Inside, plug.Depth, tapped?.Diameter ?? 0,
                    tapped?.Thread ?? "")
                { Square = plug.Square };
            }
    }

    /// <summary>Plugs with eight sides, bought, whose middle is drilled.</summary>
    private static IEnumerable<Template> Octagons(IReadOnlyList<PartLine> lines, IReadOnlyList<HoleRow> holes) =>
        from l in lines
        from cap in PipeCap.All
        where l.Row == cap.Row
        select Centres.Octagon(l.Id, l.Station.ToString(), l.Name, cap.Across,
            holes.FirstOrDefault(h => h.Station == l.Station && h.Layer == PipeCap.Face));

    internal const string PlugRow = TubePlug.Row;
}
