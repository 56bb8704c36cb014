using Ochema.Core.Hosts;
using Ochema.Core.Json;
using Ochema.Core.Responses;
using Ochema.Core.Stock;

namespace Ochema.Core.Rigs;

/// <summary>One way to hold on, judged against the place and the rules before anything is bought.</summary>
/// <param name="Kind">Id of the base.</param>
/// <param name="Reason">Why it is struck out; null when it can be used here.</param>
public sealed record SurveyOption(string Kind, string Label, string? Reason);

/// <summary>Rules that hold a way in or out at a place, each with its reason. One list, for choosing and for judging.</summary>
public static class Survey
{
    /// <summary>Why this grip cannot be used here, or null.</summary>
    public static string? Refusal(Grip grip, Site site, SiteSurvey survey, Host host, Catalogue stock)
    {
        var material = stock.Material(site.Material);
        var place = site.Name.ToLowerInvariant();
        if (!grip.Forms.Contains(site.Form))
            return $"{place}: {site.Form.Words}; this needs {string.Join(" or ", grip.Forms.Select(f => f.Words).Distinct())}";
        if (grip.Magnet && survey.MagnetSticks == Answer.No)
            return "you found that a magnet does not stick there";
        if (grip.Magnet && survey.MagnetSticks != Answer.Yes && !material.Magnetic && site.PlateBehind is not > 0)
            return $"a magnet does not stick to {Quantities.Words.Inside(material.Name)}";
        if (grip.Suction && survey.SuctionAllowed == Answer.No)
            return "suction cups are refused by the rules of the day";
        if (grip.Suction && survey.Even == Answer.No)
            return "a cup does not seal over a crease, a seam or a vent";
        if (grip.Suction && site.Surface == SurfaceState.Textured)
            return "a cup does not seal on a textured surface";
        if (grip.Glue && survey.GlueAllowed == Answer.No)
            return "glue is refused";
        if (grip.Glue && survey.Even == Answer.No)
            return "a pad needs an even place to stick";
        if (grip.Drills && survey.DrillingAllowed == Answer.No)
            return "drilling is refused by the owner";
        if (grip.Drills && host.Protects && survey.FilmingProp != Answer.Yes)
            return "a drilled helmet protects nobody any more: only when it is declared a filming prop, never worn at risk";
        if ((grip.Suction || grip.Glue || grip.Magnet) && material.Family == MaterialFamily.Glass)
            return "glass is never loaded";
        return null;
    }

    private static readonly IReadOnlyList<(KindAttribute Info, Grip Grip)> Bases =
        [.. KindRegistry.Fresh<BaseKind>().Select(b => (Kind.InfoOf(b.GetType()), b.Grip))];

    /// <summary>Every kind of base at the rig's site, with the reason on whatever is struck out.</summary>
    public static IReadOnlyList<SurveyOption> Options(RigDocument rig, Catalogue stock)
    {
        var host = HostLibrary.Find(rig.Host)!;
        return [.. Bases.Select(k => new SurveyOption(k.Info.Id, k.Info.Label, Refusal(k.Grip, rig.Site, rig.Survey, host, stock)))
            .OrderBy(o => o.Reason is not null).ThenBy(o => o.Label, StringComparer.Ordinal)];
    }

    /// <summary>Every site of the host, with the reason why the rig's base cannot go there.</summary>
    public static IReadOnlyList<SurveyOption> Places(RigDocument rig, Catalogue stock)
    {
        var host = HostLibrary.Find(rig.Host)!;
        return [.. host.Sites.Select(s => new SurveyOption(s.Id, s.Name,
            Refusal(rig.Base.Grip, s.Id == rig.Site.Id ? rig.Site : s, s.Id == rig.Site.Id ? rig.Survey : new(), host, stock)))];
    }

    /// <summary>What the survey says of the rig as it stands.</summary>
    internal static IEnumerable<ReportFinding> Findings(RigDocument rig, Host host, Catalogue stock)
    {
        if (Refusal(rig.Base.Grip, rig.Site, rig.Survey, host, stock) is { } reason)
        {
            var can = Options(rig, stock).Where(o => o.Reason is null).Select(o => o.Label.ToLowerInvariant()).Take(4).ToList();
            var instead = can.Count > 0 ? $"It takes: {string.Join(", ", can)}." : "Nothing holds there; pick another place.";
            yield return new ReportFinding(StationId.Base, $"This base cannot be used here: {reason}. {instead}", Blocks: true);
        }
        foreach (var strut in rig.Braces)
        {
            if (strut.Footing is not { } foot)
                continue;
            var own = foot.Site == rig.Site.Id;
            var site = own ? rig.Site : host.Sites.First(s => s.Id == foot.Site);
            if (Refusal(foot.Grip, site, own ? rig.Survey : new(), host, stock) is { } why)
                yield return new ReportFinding(StationId.Brace(strut.Id),
                    $"Strut {strut.Id}'s foot cannot stand on the {site.Name.ToLowerInvariant()}: {why}.", Blocks: true);
        }
        if (rig.Survey.FreeOfOtherJobs == Answer.No)
            yield return new ReportFinding(StationId.Site,
                "The place has another job while the rig is on it: it must be free of it, or the rig goes elsewhere.", Blocks: true);
        if (rig.Survey.DrillingAllowed == Answer.NotAsked && rig.Base.Grip.Drills)
            yield return new ReportFinding(StationId.Site, "It makes holes in the host: ask the owner first.");
    }
}
