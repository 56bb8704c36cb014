using Ochema.Core.Json;
using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;

namespace Ochema.Core.Assessment;

/// <summary>The rows of the spine, camera first.</summary>
internal static class StationRows
{
    public static List<StationReport> Of(RigBuilder b, IReadOnlyList<CheckReport> reports, IReadOnlyList<ReportFinding> findings)
    {
        StationReport Row(string id, string label, string part)
        {
            var worst = reports.Where(r => r.Station == id && r.Sort != CheckSort.Tightening || r.Station == id && r.Counts > 0).MaxBy(r => r.Counts);
            var use = worst?.Counts ?? 0;
            var refused = findings.FirstOrDefault(f => f.Blocks && f.Station == id)?.Text;
            return new(id, label, part, use, refused is null ? Judge.Of(use) : Verdict.LetsGo, worst?.Id, worst is null ? "carries no load of its own"
                : worst.Title + (worst.Case.Length > 0 ? ", " + worst.Case : ""), b.Parts.Where(p => p.Station == id).Sum(p => p.Mass * p.Quantity), refused);
        }
        string Part(string station) => b.Parts.FirstOrDefault(p => p.Station == station)?.Name ?? "";
        var rows = new List<StationReport>
        {
            Row("camera", "Camera", Part("camera")),
            Row("head", "Head", Part("head")),
        };
        if (b.Rig.Isolator is not NoIsolator)
            rows.Add(Row("isolator", "Soft mount", Part("isolator")));
        rows.Add(Row("reach", "Reach", Part("reach") is { Length: > 0 } r ? r : Kind.InfoOf(b.Rig.Reach.GetType()).Label));
        if (b.Rig.Second is { } second)
        {
            rows.Add(Row("camera-2", "Second camera", Part("camera-2")));
            rows.Add(Row("head-2", "Its head", Part("head-2")));
            rows.Add(Row("reach-2", "Its reach", Part("reach-2") is { Length: > 0 } own ? own : Kind.InfoOf(second.Reach.GetType()).Label));
        }
        rows.AddRange(b.Rig.Braces.Select(x => Row("brace:" + x.Id, $"Strut {x.Id}", b.Parts.LastOrDefault(p => p.Station == "brace:" + x.Id)?.Name ?? "")));
        var holds = b.Holds.Where(h => h.Station == "base").ToList();
        rows.Add(Row("base", "Base", b.Rig.Base.Called(holds.Count, Part("base"))));
        rows.AddRange(b.Rig.Straps.Select(s => Row("strap:" + s.Id, $"Strap {s.Id}", Part("strap:" + s.Id))));
        if (b.Rig.AllTethers.Any())
            rows.Add(Row("tether", b.Tethers.Count > 1 ? $"{b.Tethers.Count} tethers" : "Tether", Part("tether")));
        var site = b.Rig.Site;
        rows.Add(Row("site", "Place",
            $"{site.Name}, {Words.Inside(b.Stock.Material(site.Material).Name)}, {QuantityText.Of(site.Thickness, Dimension.Length)}"));
        return rows;
    }
}
