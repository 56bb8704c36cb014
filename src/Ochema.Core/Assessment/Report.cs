using Ochema.Core.Checks;
using Ochema.Core.Hosts;
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

/// <summary>Something to know that is not a use. Texts may carry quantities (<see cref="QuantityText"/>).</summary>
/// <param name="Station">Spine row it belongs to.</param>
/// <param name="Blocks">True when it alone makes the rig let go.</param>
public sealed record ReportFinding(string Station, string Text, bool Blocks = false);

/// <summary>One check at the design speed: its worst case, its limit speed, its working.</summary>
public sealed record CheckReport(string Id, string Station, string Part, string Title, double Use, Verdict Verdict, string Case, double? LimitSpeed, Working Working);

/// <summary>A row of the spine.</summary>
public sealed record StationReport(string Id, string Label, string Part, double Use, Verdict Verdict, string? Check, string Says, double? Mass);

/// <summary>A flag on the speed tape: the speed (m/s) at which a check reaches 100 %.</summary>
public sealed record SpeedFlag(string Check, string Station, string Title, double Speed);

/// <summary>The overall verdict.</summary>
/// <param name="LimitSpeed">m/s; null when nothing gives below 252 km/h.</param>
/// <param name="TightSpeed">m/s at which the first use passes 80 %; null when none does.</param>
public sealed record VerdictReport(Verdict Word, double Use, double? LimitSpeed, string? Check, string Text, double? TightSpeed = null);

/// <summary>What happens without one part.</summary>
/// <param name="Kind">intact, hold, brace, strap, holds-alone, straps-alone.</param>
/// <param name="Gone">Ids taken away.</param>
/// <param name="Uses">Use by spine row in this state.</param>
/// <param name="Displacements">By node, m (only what the drawing needs), in the governing case.</param>
public sealed record LetGoReport(
    string Id, string Kind, string Title, IReadOnlyList<string> Gone, double Use, Verdict Verdict, double? LimitSpeed, string Says, string Case,
    IReadOnlyDictionary<string, double> Uses, IReadOnlyDictionary<string, double[]> Displacements, IReadOnlyList<LoadArrow> Arrows);

/// <summary>A load on the drawing.</summary>
/// <param name="At">m, host axes.</param>
/// <param name="Force">N, host axes.</param>
public sealed record LoadArrow(string Label, double[] At, double[] Force);

/// <summary>Whether the picture can be steady: the first natural frequency against what wheels do.</summary>
public sealed record PictureReport(Verdict Word, double? FirstFrequency, string Text);

/// <summary>A separable piece, what independently keeps it, and what catches it when that lets go.</summary>
/// <param name="Station">Spine row it belongs to.</param>
/// <param name="Single">True when one thing alone keeps it.</param>
public sealed record RetentionReport(string Piece, string Station, int Has, int Needs, IReadOnlyList<string> By, string CaughtBy, bool Single);

/// <summary>A single change that was tried.</summary>
/// <param name="LimitSpeed">m/s with the change; null when nothing gives below 252 km/h.</param>
/// <param name="Mass">Change in mass, kg.</param>
/// <param name="Cost">Change in price.</param>
/// <param name="Document">The rig with the change made.</param>
public sealed record Change(string Id, string Station, string Title, double? LimitSpeed, double Use, Verdict Verdict, double Mass, double Cost, double? FirstFrequency, RigDocument Document);

/// <summary>Drawing of the rig: shapes bound to nodes, the base's panel, load arrows.</summary>
public sealed record FigureReport(
    IReadOnlyList<FigureShape> Shapes, double[][][] Panel, string PanelId, IReadOnlyList<LoadArrow> Arrows, string ArrowsCase,
    IReadOnlyDictionary<string, double[]> Displacements, LensReport Lens, PanelFrame Frame, IReadOnlyList<DragHandle> Handles);

/// <summary>What the lens sees from where: eye and directions (host axes), field of view (rad).</summary>
public sealed record LensReport(double[] Eye, double[] View, double[] Up, double HorizontalField, double VerticalField, string Label);

/// <summary>Something that can be dragged.</summary>
/// <param name="Path">Where its numbers stand in the document: <c>at</c>, <c>braces.0.at</c>, <c>straps.1.to</c>, <c>reach.height</c>.</param>
/// <param name="Mode">panel (two numbers on a site), anchor (closed point and share), measure (one number along an axis).</param>
public sealed record DragHandle(string Id, string Station, string Label, string Path, string Mode, double[] P, double[] Value, string Site, double[]? Axis, double Minimum, double Maximum);

/// <summary>All answers for a rig as it stands.</summary>
public sealed record AssessmentReport
{
    public required VerdictReport Verdict { get; init; }

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
    public required IReadOnlyList<RetentionReport> Retentions { get; init; }
    public required IReadOnlyList<ReportFinding> Findings { get; init; }
    public required IReadOnlyList<string> Cautions { get; init; }

    /// <summary>Screwed joints as sections to scale.</summary>
    public required IReadOnlyList<Joints.JointReport> Joints { get; init; }

    /// <summary>Ways to hold on at this site, with the reason on whatever is struck out.</summary>
    public required IReadOnlyList<SurveyOption> Options { get; init; }

    /// <summary>Sites of the host, with the reason why this base cannot go there.</summary>
    public required IReadOnlyList<SurveyOption> Places { get; init; }
    public required IReadOnlyList<RigPart> Parts { get; init; }

    /// <summary>kg, camera included.</summary>
    public required double Mass { get; init; }

    public required double Cost { get; init; }
    public required FigureReport Figure { get; init; }

    /// <summary>The best single changes, best first; absent when not asked for.</summary>
    public IReadOnlyList<Change>? Advice { get; init; }
}
