using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;

namespace Ochema.Core.Assessment;

/// <summary>The rows of the spine, camera first.</summary>
internal static class StationRows
{
    /// <summary>What a strut is of: the row says which strut it is.</summary>
    private static string Rod(BuiltRig b, string brace) =>
        b.Parts.FirstOrDefault(p => p.Station == StationId.Brace(brace) && p.Cut is not null) is not { } rod ? ""
            : b.Stock.Sections.FirstOrDefault(r => r.Id == rod.Row)?.Name ?? rod.Name;

    public static List<StationReport> Of(BuiltRig b, IReadOnlyList<CheckReport> reports, IReadOnlyList<ReportFinding> findings)
    {
        StationReport Row(string id, string label, string part, string family, string? at, bool branch = false, string? name = null)
        {
            var worst = reports.Where(r => r.Station == id && r.Sort != CheckSort.Tightening || r.Station == id && r.Counts > 0)
                .MaxBy(r => r.Counts);
            var use = worst?.Counts ?? 0;
            var refused = findings.FirstOrDefault(f => f.Blocks && f.Station.Is(id))?.Text;
            return new(id, label, part, use, refused is null ? Judge.Of(use) : Verdict.LetsGo, worst?.Id, worst is null
                ? "carries no load of its own"
                : worst.Title + (worst.Case.Length > 0 ? ", " + worst.Case : ""), b.Parts.Where(p => p.Station.Is(id))
                    .Sum(p => p.Mass * p.Quantity),
                family, at, branch, name, refused);
        }
        // What stands there, not what it is joined by.
        string Part(string station) => b.Parts.Where(p => p.Station.Is(station)).OrderBy(p => p.Joint is null ? 0 : 1).FirstOrDefault()?.Name
            ?? "";
        StationReport OnPath(RigPath path, string family, string label, ReachKind? made = null)
        {
            var id = path.Own(family);
            return Row(id, label, made?.Called(Part(id)) ?? Part(id), family,
                $"{b.Rig.Paths[path.IsSecond ? 1 : 0].At}.{family}", path.IsSecond);
        }
        StationReport Helper(string family, string id, StationId row, string label, string part) =>
            Row(row.ToString(), label, part, family, $"{family}s.[{id}]", true, b.NameOf(row));
        var rows = new List<StationReport> { OnPath(RigPath.First, "camera", b.Camera.Body.Called(second: false)),
            OnPath(RigPath.First, "head", "Head") };
        if (b.Rig.Isolator.Floats)
            rows.Add(OnPath(RigPath.First, "isolator", "Soft mount"));
        rows.Add(OnPath(RigPath.First, "reach", "Reach", b.Rig.Reach));
        if (b.Rig.Second is { } second)
            rows.AddRange([OnPath(RigPath.Second, "camera", b.SecondCamera!.Body.Called(second: true)),
                OnPath(RigPath.Second, "head", "Its head"),
                OnPath(RigPath.Second, "reach", "Its reach", second.Reach)]);
        rows.AddRange(b.Rig.Braces.Select(x => Helper("brace", x.Id, StationId.Brace(x.Id), Words.Named("Strut", x.Id),
            Rod(b, x.Id))));
        var holds = b.Holds.Where(h => h.Station == StationId.Base).ToList();
        rows.Add(Row("base", "Base", b.Rig.Base.Called(holds.Count, Part("base")), "base", "base"));
        rows.AddRange(b.Rig.Straps.Select(s => Helper("strap", s.Id, StationId.Strap(s.Id), Words.Named("Strap", s.Id),
            Part(StationId.Strap(s.Id).ToString()))));
        if (b.Rig.Tethers.Count > 0)
            rows.Add(Row("tether", b.Tethers.Count > 1 ? $"{b.Tethers.Count} tethers" : "Tether", Part("tether"), "tether", null, true));
        var site = b.Rig.Site;
        rows.Add(Row("site", "Place",
            $"{site.Name}, {site.Form.Describe(site, b.Stock.Material(site.Material))}", "site", "site"));
        return rows;
    }
}
