using Ochema.Core.Hosts;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;

namespace Ochema.Core.Assessment;

/// <summary>The words of every judgement: 80 % or less holds, up to 100 % is tight, more lets go.</summary>
public enum Verdict
{
    Holds,
    Tight,
    LetsGo,
}

/// <summary>Turns uses into words.</summary>
public static class Judge
{
    public const double TightFrom = 0.8;

    public static Verdict Of(double use) => use <= TightFrom ? Verdict.Holds : use <= 1 ? Verdict.Tight : Verdict.LetsGo;
}

/// <summary>One check at the design speed: its worst case, its limit speed, its working.</summary>
/// <param name="Use">As computed.</param>
/// <param name="Counts">What of it counts in a verdict: service checks 100 % at the most, a screw's tightening nothing until it is too
/// much.</param>
/// <param name="Sort">What it means past 100 %.</param>
/// <param name="Working">Null where workings were not asked for: each can be asked for by itself.</param>
/// <param name="Loads">What loads the joint or hold it looks at, in its worst case, source by source; empty where it looks at none, or not
/// asked.</param>
public sealed record CheckReport(
    string Id, string Station, string Part, string Title, double Use, double Counts, CheckSort Sort, Verdict Verdict,
        string Case, double? LimitSpeed, Working? Working, IReadOnlyList<LoadShare> Loads);

/// <summary>The working of one check, asked for by itself.</summary>
/// <param name="Id">Of the check.</param>
/// <param name="Use">As computed.</param>
/// <param name="Loads">What loads the joint or hold it looks at, source by source; empty where it looks at none.</param>
public sealed record CheckWorking(string Id, double Use, Working Working, IReadOnlyList<LoadShare> Loads);

/// <summary>A row of the spine.</summary>
/// <param name="Family">What stands there: camera, head, isolator, reach, base, brace, strap, tether or site.</param>
/// <param name="At">Where it stands in the document, as "second.head" or "braces.[left]"; null for what several places say.</param>
/// <param name="Branch">True for what branches off the path to the first camera.</param>
/// <param name="Name">What let-go cases call it among what is gone; null for what none takes away whole.</param>
/// <param name="Refused">Why what stands here is refused; null when it is not.</param>
public sealed record StationReport(string Id, string Label, string Part, double Use, Verdict Verdict, string? Check, string Says,
    double? Mass, string Family, string? At, bool Branch, string? Name = null, string? Refused = null);

/// <summary>A flag on the speed tape: the speed (m/s) at which a check reaches 100 %.</summary>
public sealed record SpeedFlag(string Check, string Station, string Title, double Speed);

/// <summary>The overall verdict.</summary>
/// <param name="LimitSpeed">m/s from which it lets go, the end of the amber: loads and what keeps its pieces; null when that is beyond
/// what was looked at.</param>
/// <param name="TightSpeed">m/s up to which it holds, the end of the green; 0 where it is tight standing still, null when it holds as far
/// as was looked at.</param>
/// <param name="Why">What decides the word: the loads, something refused by name, something loose, something that is missing, a question
/// not answered.</param>
/// <param name="Missing">What is missing, most urgent first: retentions, answers.</param>
public sealed record VerdictReport(Verdict Word, double Use, double? LimitSpeed, string? Check, string Text,
    double? TightSpeed = null, Why Why = Why.Loads, IReadOnlyList<string>? Missing = null)
{
    /// <summary>What stands behind its word in every headline, speeds as {speed:12.5}.</summary>
    public string Rest => VerdictHeadline.Rest(this);

    /// <summary>How far was looked, m/s: the most that the host does.</summary>
    public double? LookedTo { get; init; }

    /// <summary>Speed from which too little keeps a piece of it, m/s: without a hold it lets go by then, so that none is to spare; null
    /// where enough does.</summary>
    public double? KeptTo { get; init; }
}

/// <summary>What decides a verdict.</summary>
public enum Why
{
    Loads,

    /// <summary>A rule, or parts that do not fit.</summary>
    Refused,

    /// <summary>It is free to turn or slide somewhere.</summary>
    Moves,
    Missing,
    Unanswered,
}

/// <summary>What happens without one part.</summary>
/// <param name="Kind">intact, hold, two-holds, link, brace, strap, holds-alone, straps-alone.</param>
/// <param name="Gone">Ids taken away.</param>
/// <param name="Uses">Use by spine row in this state.</param>
public sealed record LetGoReport(
    string Id, string Kind, string Title, IReadOnlyList<string> Gone, double Use, Verdict Verdict, double? LimitSpeed, string Says,
        string Case,
    IReadOnlyDictionary<string, double> Uses)
{
    /// <summary>
    /// Where what falls or swings away comes to hang or lie, m, host axes: from where it was, by what it hangs on, to there; null where
    /// nothing does. It is where it would be at rest, not how far it swings on the way.
    /// </summary>
    public IReadOnlyList<double[]>? Goes { get; init; }

    /// <summary>What gives at <see cref="LimitSpeed"/>; null where that is the whole rig's, or there is none.</summary>
    public string? Gives { get; init; }
}

/// <summary>A load on the drawing.</summary>
/// <param name="At">m, host axes.</param>
/// <param name="Force">N, host axes.</param>
public sealed record LoadArrow(string Label, double[] At, double[] Force);

/// <summary>How the mount rocks, as a sentence of advice. Whether the picture is sharp is said by the pixel numbers alone.</summary>
public sealed record PictureReport(double? FirstFrequency, string Text);

/// <summary>A separable piece, what independently keeps it, and what catches it when that lets go.</summary>
/// <param name="Station">Spine row it belongs to.</param>
/// <param name="Single">True when one thing alone keeps it.</param>
/// <param name="Add">What to add when it has too few; empty when it has enough.</param>
public sealed record RetentionReport(string Piece, StationId Station, int Has, int Needs, IReadOnlyList<string> By, string CaughtBy,
    bool Single, string Add = "")
{
    /// <summary>Lines that it has and that do not count, each with why, in words.</summary>
    public IReadOnlyList<string> NotCounted { get; init; } = [];
}

/// <summary>A single change that was tried.</summary>
/// <param name="LimitSpeed">m/s with the change; null when nothing gives at any speed the host can do.</param>
/// <param name="Mass">Change in mass, kg.</param>
/// <param name="Cost">Change in price.</param>
/// <param name="Document">The rig with the change made.</param>
/// <param name="Why">What decides the verdict with the change.</param>
/// <param name="Because">Why it would be refused; empty when it would not.</param>
public sealed record Change(string Id, string Station, string Title, double? LimitSpeed, double Use, Verdict Verdict, double Mass,
    double Cost,
    double? FirstFrequency, RigDocument Document, Why Why = Why.Loads, string Because = "")
{
    /// <summary>What gets better by it, in short sentences, the most wanted first.</summary>
    public IReadOnlyList<string> Gains { get; init; } = [];

    /// <summary>What gets worse by it; empty where nothing does.</summary>
    public IReadOnlyList<string> Trades { get; init; } = [];
}

/// <summary>Drawing of the rig: shapes bound to nodes, the base's panel. How it bends, and under what, is a
/// <see cref="StateShape"/>.</summary>
public sealed record FigureReport(
    IReadOnlyList<FigureShape> Shapes, double[][][] Panel, string PanelId, LensReport Lens, PanelFrame Frame,
        IReadOnlyList<DragHandle> Handles,
    IReadOnlyList<KeepClear> Zones,
    IReadOnlyList<PersonSeen> People, IReadOnlyList<PersonSeen>? SecondPeople = null);

/// <summary>Somebody on the host, as the lens sees them.</summary>
/// <param name="Distance">From the lens to the head, m.</param>
/// <param name="Seen">True when the head is in the picture.</param>
/// <param name="Pan">To the left, rad: where the camera has to be turned to look at the head.</param>
/// <param name="Tilt">Up, rad.</param>
public sealed record PersonSeen(string Id, string Name, double Distance, bool Seen, double Pan, double Tilt);

/// <summary>What the lens sees from where: eye and directions (host axes), field of view (rad).</summary>
public sealed record LensReport(double[] Eye, double[] View, double[] Up, double HorizontalField, double VerticalField, string Label);

/// <summary>Something that can be dragged.</summary>
/// <param name="Path">Where its numbers stand in the document: <c>at</c>, <c>braces.[left].at</c>, <c>straps.[a].to</c>,
/// <c>paths.[first].reach.height</c>.</param>
/// <param name="Mode">panel (two numbers on its site), panels (two numbers on whatever panel it is drawn over), anchor (closed point
/// and share), measure (one number along an axis).</param>
public sealed record DragHandle(string Id, string Station, string Label, string Path, string Mode, double[] P, double[] Value, string Site,
    double[]? Axis, double Minimum, double Maximum);

/// <summary>Where a load stands in the plan of a footprint, m ahead and to the left as the lens looks, and what makes it.</summary>
public sealed record TipPoint(double[] At, string Case);

/// <summary>A push at the camera, level, that tips what stands by its weight.</summary>
/// <param name="Way">Its direction in words, as the lens looks.</param>
/// <param name="Angle">To the left of where the lens looks, rad.</param>
/// <param name="Force">N.</param>
public sealed record TipPush(string Way, double Angle, double Force);

/// <summary>What stands by its weight, seen from above; m ahead and to the left as the lens looks, from the middle of its
/// footprint.</summary>
/// <param name="Corners">Of its footprint, in order.</param>
/// <param name="Centre">Where its weight stands.</param>
/// <param name="Weight">N on the ground.</param>
/// <param name="Height">Of the camera over the ground, m.</param>
/// <param name="Pushes">Evenly round, beginning ahead, turning to the left.</param>
/// <param name="Least">The weakest push that tips it.</param>
/// <param name="Loads">Where wind and motion of each case push the weight to.</param>
public sealed record TipReport(IReadOnlyList<double[]> Corners, double[] Centre, double Weight, double Height,
    IReadOnlyList<TipPush> Pushes, TipPush Least,
    IReadOnlyList<TipPoint> Loads, string Says);

/// <summary>All answers for a rig as it stands.</summary>
public sealed record AssessmentReport
{
    public required VerdictReport Verdict { get; init; }

    /// <summary>How each strap runs.</summary>
    public required IReadOnlyList<StrapRun> Straps { get; init; }

    /// <summary>How long the rod of each strut is cut.</summary>
    public required IReadOnlyList<RodLength> Rods { get; init; }

    /// <summary>Fastest the host can do, m/s: where the speed tape ends.</summary>
    public required double TopSpeed { get; init; }

    /// <summary>A shove by hand at rest; judged apart from driving.</summary>
    public required VerdictReport Knock { get; init; }

    /// <summary>A pothole or kerb, by the half-sine shock spectrum; judged apart from driving.</summary>
    public required VerdictReport Shock { get; init; }

    public required IReadOnlyList<StationReport> Stations { get; init; }
    public required IReadOnlyList<CheckReport> Checks { get; init; }
    public required IReadOnlyList<SpeedFlag> Flags { get; init; }
    public required IReadOnlyList<LetGoReport> LetGo { get; init; }

    /// <summary>Natural frequencies, Hz, lowest first.</summary>
    public required IReadOnlyList<double> Frequencies { get; init; }

    public required PictureReport Picture { get; init; }

    /// <summary>Shake, smear and wobble in pixels.</summary>
    public required Sharpness.PictureWords Sharpness { get; init; }

    /// <summary>The same for the second camera; absent where there is none.</summary>
    public Sharpness.PictureWords? SecondSharpness { get; init; }

    public required IReadOnlyList<RetentionReport> Retentions { get; init; }
    public required IReadOnlyList<ReportFinding> Findings { get; init; }
    public required IReadOnlyList<string> Cautions { get; init; }

    /// <summary>Screwed joints as sections to scale.</summary>
    public required IReadOnlyList<Joints.JointReport> Joints { get; init; }

    /// <summary>How each part is joined to what it stands on.</summary>
    public required IReadOnlyList<JoinReport> Joins { get; init; }

    /// <summary>Ways to hold on at this site, with the reason on whatever is struck out.</summary>
    public required IReadOnlyList<SurveyOption> Options { get; init; }

    /// <summary>Sites of the host, with the reason why this base cannot go there.</summary>
    public required IReadOnlyList<SurveyOption> Places { get; init; }
    public required IReadOnlyList<RigPart> Parts { get; init; }

    /// <summary>kg, camera included.</summary>
    public required double Mass { get; init; }

    public required double Cost { get; init; }
    public required FigureReport Figure { get; init; }

    /// <summary>How the rig stands under its governing loads: the whole one, or the let-go case that was asked for.</summary>
    public required StateShape Shape { get; init; }

    /// <summary>What stands by its weight, in plan; absent for what is held.</summary>
    public TipReport? Tip { get; init; }

    /// <summary>The best single changes, best first; absent when not asked for.</summary>
    public IReadOnlyList<Change>? Advice { get; init; }
}
