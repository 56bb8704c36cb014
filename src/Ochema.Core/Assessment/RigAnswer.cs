using Ochema.Core.Joints;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Sharpness;

namespace Ochema.Core.Assessment;

/// <summary>What a rig is answered with: what it is, whatever its speed, and what it does at one. Nothing is said twice.</summary>
/// <param name="Advice">The best single changes, best first; absent when not asked for.</param>
public sealed record RigAnswer(DesignReport Design, DriveReport Drive, IReadOnlyList<Change>? Advice = null);

/// <summary>A row of the spine, as it is made.</summary>
/// <param name="Family">What stands there: camera, head, isolator, reach, base, brace, strap, tether or site.</param>
/// <param name="At">Where it stands in the document, as "second.head" or "braces.[left]"; null for what several places say.</param>
/// <param name="Branch">True for what branches off the path to the first camera.</param>
/// <param name="Name">What let-go cases call it among what is gone; null for what none takes away whole.</param>
public sealed record DesignStation(string Id, string Label, string Part, double? Mass, string Family, string? At, bool Branch,
    string? Name);

/// <summary>Something that can fail.</summary>
/// <param name="Sort">What it means past 100 %.</param>
/// <param name="LimitSpeed">Speed at which it does, m/s; null where none does.</param>
public sealed record DesignCheck(string Id, string Station, string Part, string Title, CheckSort Sort, double? LimitSpeed);

/// <summary>What a rig is, whatever its speed.</summary>
/// <param name="Id">By which another speed of it is asked for; the same rig has the same.</param>
/// <param name="TopSpeed">Fastest the host can do, m/s: where the speed tape ends.</param>
/// <param name="Straps">How each strap runs.</param>
/// <param name="Rods">How long the rod of each strut is cut.</param>
/// <param name="Knock">A shove by hand at rest; judged apart from driving.</param>
/// <param name="Frequencies">Natural frequencies, Hz, lowest first.</param>
/// <param name="Joints">Screwed joints as sections to scale.</param>
/// <param name="Joins">How each part is joined to what it stands on.</param>
/// <param name="Options">Ways to hold on at this site, with the reason on whatever is struck out.</param>
/// <param name="Places">Sites of the host, with the reason why this base cannot go there.</param>
/// <param name="Mass">kg, camera included.</param>
public sealed record DesignReport(
    string Id, double TopSpeed, IReadOnlyList<DesignStation> Stations, IReadOnlyList<DesignCheck> Checks, IReadOnlyList<SpeedFlag> Flags,
    IReadOnlyList<StrapRun> Straps, IReadOnlyList<RodLength> Rods, VerdictReport Knock, IReadOnlyList<double> Frequencies,
        PictureReport Picture,
    IReadOnlyList<string> Cautions, IReadOnlyList<JointReport> Joints, IReadOnlyList<JoinReport> Joins, IReadOnlyList<SurveyOption> Options,
    IReadOnlyList<SurveyOption> Places, IReadOnlyList<RigPart> Parts, double Mass, double Cost, FigureReport Figure)
{
    /// <summary>That part of a whole report.</summary>
    internal static DesignReport Of(string id, AssessmentReport r) => new(
        id, r.TopSpeed,
        [.. r.Stations.Select(s => new DesignStation(s.Id, s.Label, s.Part, s.Mass, s.Family, s.At, s.Branch, s.Name))],
        // In an order that no speed changes.
        [.. r.Checks.OrderBy(c => c.Id, StringComparer.Ordinal).Select(c => new DesignCheck(c.Id, c.Station, c.Part, c.Title, c.Sort, c.LimitSpeed))],
        r.Flags, r.Straps, r.Rods, r.Knock, r.Frequencies, r.Picture, r.Cautions, r.Joints, r.Joins, r.Options, r.Places, r.Parts, r.Mass,
            r.Cost,
        r.Figure);
}

/// <summary>A row of the spine at a speed.</summary>
/// <param name="Check">The check that governs it.</param>
/// <param name="Refused">Why what stands here is refused; null when it is not.</param>
public sealed record StationUse(string Id, double Use, Verdict Verdict, string? Check, string Says, string? Refused);

/// <summary>A check at a speed.</summary>
/// <param name="Use">As computed.</param>
/// <param name="Counts">What of it counts in a verdict.</param>
/// <param name="Working">Null where workings were not asked for: each can be asked for by itself.</param>
/// <param name="Loads">What loads the joint or hold it looks at, source by source; absent where workings were not asked for.</param>
public sealed record CheckUse(string Id, double Use, double Counts, Verdict Verdict, string Case, Working? Working = null,
    IReadOnlyList<LoadShare>? Loads = null);

/// <summary>How the rig, or what is left of it, stands under its governing loads. Drawn, not computed with: to four figures.</summary>
/// <param name="LetGo">The let-go case, "intact" for the whole rig.</param>
/// <param name="Case">The governing case; empty where there is none.</param>
/// <param name="Displacements">By node, m (only what the drawing needs).</param>
public sealed record StateShape(string LetGo, string Case, IReadOnlyList<LoadArrow> Arrows, IReadOnlyDictionary<string,
    double[]> Displacements)
{
    /// <summary>Use by spine row in this state; rows that carry nothing then are left out.</summary>
    public required IReadOnlyDictionary<string, double> Uses { get; init; }

    /// <summary>Where what falls or swings away comes to hang or lie, as <see cref="LetGoReport.Goes"/>; null where nothing does.</summary>
    public IReadOnlyList<double[]>? Goes { get; init; }
}

/// <summary>A let-go case at a speed, as <see cref="LetGoReport"/>; how it stands then is asked for one at a time.</summary>
/// <param name="Kind">intact, hold, two-holds, link, brace, strap, holds-alone, straps-alone.</param>
/// <param name="Gone">Ids taken away.</param>
/// <param name="LimitSpeed">m/s; null where none is.</param>
/// <param name="Gives">What gives there; null where that is the whole rig's, or there is none.</param>
public sealed record LetGoUse(string Id, string Kind, string Title, IReadOnlyList<string> Gone, double Use, Verdict Verdict,
    double? LimitSpeed,
    string? Gives, string Says, string Case);

/// <summary>What a rig does at a speed, worst first; what is not here hangs on no speed (<see cref="DesignReport"/>).</summary>
/// <param name="Design">Of which design.</param>
/// <param name="Speed">m/s.</param>
/// <param name="Shock">A pothole or kerb, by the half-sine shock spectrum; judged apart from driving.</param>
/// <param name="Sharpness">Shake, smear and wobble in pixels.</param>
/// <param name="SecondSharpness">The same for the second camera; absent where there is none.</param>
/// <param name="Shape">Of the whole rig, or the let-go case that was asked for.</param>
/// <param name="Tip">What stands by its weight, in plan; absent for what is held.</param>
public sealed record DriveReport(
    string Design, double Speed, VerdictReport Verdict, VerdictReport Shock, IReadOnlyList<StationUse> Stations,
        IReadOnlyList<CheckUse> Checks,
    IReadOnlyList<LetGoUse> LetGo, PictureWords Sharpness, PictureWords? SecondSharpness, IReadOnlyList<RetentionReport> Retentions,
    IReadOnlyList<ReportFinding> Findings, StateShape Shape, TipReport? Tip);
