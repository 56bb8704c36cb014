using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;

namespace Ochema.Core.Analysis;

/// <summary>One way in which something is gone.</summary>
/// <param name="Station">Spine row whose piece comes off, for links of the path and struts; empty for the others.</param>
internal sealed record LetGoCase(string Id, string Kind, string Title, IReadOnlyList<string> Gone, StationId Station = default);

/// <summary>Each hold, link of the path, brace and strap taken away in turn; then all straps. (Straps alone is a model of its
/// own.)</summary>
internal static class LetGoCases
{
    public static IReadOnlyList<LetGoCase> Of(BuiltRig b)
    {
        var list = new List<LetGoCase>();
        foreach (var h in b.Holds)
            list.Add(h.Station == StationId.Base
                ? new(h.Id, "hold", "Without the " + h.Label, [h.Id])
                : new(h.Id, "brace", $"Without {Words.Named("strut", h.Station.UserId)}", [h.Id], h.Station));
        var straps = b.Rig.Straps.Select(s => (s.Id, Name: b.NameOf(StationId.Strap(s.Id)))).ToList();
        list.AddRange(straps.Select(s => new LetGoCase(s.Name, "strap", $"Without {Words.Named("strap", s.Id)}", [s.Name])));
        if (straps.Count > 0)
            list.Add(new("holds-alone", "holds-alone", "Holds alone", [.. straps.Select(s => s.Name)]));
        return list;
    }

    /// <summary>The links of the path, each with all that hangs on it.</summary>
    public static IReadOnlyList<LetGoCase> Links(BuiltRig b) =>
        [.. b.Links.Select(l => new LetGoCase(l.Spring, "link", "Without " + l.Label, [l.Spring], l.Station))];
}
