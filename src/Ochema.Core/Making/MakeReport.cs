using Ochema.Core.Responses;
using System.Text.Json;
using System.Text.Json.Serialization;
using Ochema.Core.Quantities;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;

namespace Ochema.Core.Making;

/// <summary>All that a builder needs to make a rig and put it on. Numbers SI, money in the user's currency.</summary>
/// <param name="Parts">Every piece, line by line.</param>
/// <param name="Aisles">Where they are found, with what they cost there; those without lines are left out.</param>
/// <param name="Mass">Of all lines, kg.</param>
/// <param name="Cost">What is used of all lines.</param>
/// <param name="Pay">Out of pocket: of the lines, and of the bars, which are bought whole.</param>
/// <param name="Cuts">What is cut from bars, by bar.</param>
/// <param name="Holes">What is drilled and tapped, by joint.</param>
/// <param name="Steps">In the order that they are done.</param>
/// <param name="Templates">Flat pieces as they are marked out.</param>
/// <param name="Plugs">Plugs for the ends of tubes, to be turned or printed.</param>
/// <param name="HandsOn">s of work that are left until it can be proved.</param>
/// <param name="Ready">s from now, or from the start, until it can be proved, cures included, one person working through.</param>
public sealed record MakeReport(
    IReadOnlyList<PartLine> Parts, IReadOnlyList<AisleTotal> Aisles, double Mass, double Cost, double Pay,
    IReadOnlyList<CutGroup> Cuts, IReadOnlyList<HoleRow> Holes, IReadOnlyList<PlanStep> Steps, IReadOnlyList<Template> Templates,
    IReadOnlyList<PlugPiece> Plugs, double HandsOn, double Ready)
{
    /// <summary>The rig's verdict as a headline; empty where nobody asked.</summary>
    [JsonIgnore]
    public string Verdict { get; init; } = "";

    /// <summary>True where the rig lets go: nothing of it is made as it stands.</summary>
    [JsonIgnore]
    public bool LetsGo { get; init; }

    /// <summary>Strips that are wrapped round the ends of tubes, to mark what is drilled through them.</summary>
    [JsonRequired]
    public IReadOnlyList<Template> Wraps { get; init; } = [];

    /// <summary>All that is printed at 1:1: flat pieces, then strips.</summary>
    [JsonIgnore]
    public IEnumerable<Template> Prints => Templates.Concat(Wraps);

    /// <summary>Of <see cref="Pay"/>, what is still to be bought.</summary>
    [JsonRequired]
    public double ToBuy { get; init; }

    /// <summary>Tools of all steps.</summary>
    [JsonRequired]
    public IReadOnlyList<ToolNeed> Tools { get; init; } = [];

    /// <summary>What may be said of the saw.</summary>
    [JsonRequired]
    public IReadOnlyList<Reading> Saw { get; init; } = [];

    /// <summary>Where a part may be, in words.</summary>
    public IReadOnlyList<Choice> Whereabouts { get; } = Choice.Of<PartIs>();

    /// <summary>Where a tool may come from, in words.</summary>
    public IReadOnlyList<Choice> Sources { get; } = Choice.Of<ToolFrom>();

    /// <summary>The hours of the day in which somebody works.</summary>
    [JsonRequired]
    public IReadOnlyList<Reading> Hours { get; init; } = [];

    /// <summary>What may be said of each line: by how many it is sold, and the price, with their ranges.</summary>
    [JsonRequired]
    public IReadOnlyList<Reading> LineAsks { get; init; } = [];

    /// <summary>What may be said of other ways to come by such a mount.</summary>
    [JsonRequired]
    public IReadOnlyList<Reading> Instead { get; init; } = [];
}

/// <summary>One of several that may be chosen.</summary>
/// <param name="Id">As in documents.</param>
/// <param name="Label">In words.</param>
public sealed record Choice(string Id, string Label)
{
    /// <summary>The values of an enum.</summary>
    public static IReadOnlyList<Choice> Of<T>()
        where T : struct, Enum =>
        [.. Enum.GetNames<T>().Select(n => new Choice(JsonNamingPolicy.KebabCaseLower.ConvertName(n), KindDescriptors.LabelOf(typeof(T), n)))];
}

/// <summary>A tool that is needed.</summary>
/// <param name="From">Where it comes from.</param>
/// <param name="Steps">In how many steps.</param>
public sealed record ToolNeed(string Id, string Name, ToolFrom From, int Steps);

/// <summary>What of a line goes in at a step.</summary>
public sealed record PartShare(string Step, double Quantity);

/// <summary>A line of the list.</summary>
/// <param name="Mass">Of all of it, kg.</param>
/// <param name="Cost">Of all of it, as used.</param>
/// <param name="Joint">Joint that it belongs to; null for all else.</param>
/// <param name="Step">Id of the step that it, or the first of it, goes in at.</param>
public sealed record PartLine(
    string Id, StationId Station, string Name, PieceSort Sort, Aisle Aisle, double Quantity, double Mass, double Cost, string? Row,
        string? Joint, string Step)
{
    /// <summary>What is cut to a length, m; null for all else.</summary>
    public double? Length { get; init; }

    /// <summary>The steps that something of it goes in at, and how much.</summary>
    [JsonRequired]
    public IReadOnlyList<PartShare> Steps { get; init; } = [new(Step, Quantity)];

    /// <summary>The pieces that it is of.</summary>
    [JsonRequired]
    public IReadOnlyList<PieceId> Pieces { get; init; } = [];

    /// <summary>What the document calls it: its first piece.</summary>
    [JsonRequired]
    public string Key { get; init; } = "";

    /// <summary>Where it is by now.</summary>
    [JsonRequired]
    public PartIs Is { get; init; }

    /// <summary>How many of it lie in the drawer.</summary>
    [JsonRequired]
    public double Have { get; init; }

    /// <summary>How many come in a pack.</summary>
    [JsonRequired]
    public double Pack { get; init; } = 1;

    /// <summary>Of one pack, or of one.</summary>
    [JsonRequired]
    public double Price { get; init; }

    /// <summary>True where the price is the user's own.</summary>
    [JsonRequired]
    public bool OwnPrice { get; init; }

    /// <summary>True for what is cut from a bar or tube, which is paid by the bar.</summary>
    [JsonRequired]
    public bool ByTheBar { get; init; }

    /// <summary>Out of pocket: whole packs of what does not lie in the drawer; 0 for what is cut from a bar, which is paid by the
    /// bar.</summary>
    [JsonRequired]
    public double Pay { get; init; }
}

/// <summary>What is found in one part of the shop.</summary>
/// <param name="Label">In words.</param>
/// <param name="Cost">Of its lines.</param>
public sealed record AisleTotal(Aisle Aisle, string Label, double Cost);

/// <summary>What is cut from one bar or tube of the shelf.</summary>
/// <param name="Row">Catalogue row.</param>
/// <param name="Kerf">Width of the saw's cut, m.</param>
/// <param name="Squaring">Cut off once from every bar, m.</param>
/// <param name="Stock">Lengths on sale.</param>
/// <param name="Pieces">What is wanted.</param>
/// <param name="Plan">Which piece from which bar, or why not.</param>
public sealed record CutGroup(
    string Row, string Name, double Kerf, double Squaring, IReadOnlyList<CutStock> Stock, IReadOnlyList<CutPieceWanted> Pieces,
        CutPlan Plan);

/// <summary>What a hole is for.</summary>
public enum HoleSort
{
    /// <summary>A screw passes.</summary>
    Clearance,

    /// <summary>A thread is cut.</summary>
    Tapped,

    /// <summary>A thread insert goes in.</summary>
    Insert,

    /// <summary>Nothing goes in: it ends a saw cut between two folds.</summary>
    Relief,

    /// <summary>Something else than a screw goes in: a pin, a ball.</summary>
    Own,
}

/// <summary>Holes of one layer of a joint.</summary>
/// <param name="Layer">What is drilled.</param>
/// <param name="Count">How many.</param>
/// <param name="Diameter">Of the drill, m.</param>
/// <param name="Thread">What goes in.</param>
/// <param name="Depth">Through the layer, or of the thread, m.</param>
/// <param name="Edge">Middle to the nearest edge, m; null when far or not known.</param>
/// <param name="Countersink">Depth of a countersink, m; 0 without one.</param>
public sealed record HoleRow(
    string Joint, StationId Station, string Title, string Layer, int Count, double Diameter, HoleSort Sort, string Thread, double Depth,
        double? Edge,
    double Countersink)
{
    /// <summary>What it is for, in words: "clear for M8 × 1.25".</summary>
    public string For => HoleTable.Words(Sort, Thread);

    /// <summary>Depth of a recess for the head or nut, m; 0 without one.</summary>
    [JsonRequired]
    public double Recess { get; init; }

    /// <summary>Of that recess, m: over the corners.</summary>
    [JsonRequired]
    public double RecessAcross { get; init; }

    /// <summary>What the joint calls the layer; empty where it is of no joint.</summary>
    [JsonIgnore]
    public string LayerId { get; init; } = "";
}

/// <summary>Where a step is done.</summary>
public enum WorkPlace
{
    Bench,
    Host,
}

/// <summary>A value that is read off something at a step, and goes into the rig.</summary>
/// <param name="Path">What it is called; where it stands in the document, unless something else is read off than the document
/// keeps.</param>
/// <param name="Minimum">SI.</param>
/// <param name="Maximum">SI.</param>
/// <param name="Value">What was read, SI; null while it is not.</param>
public sealed record Reading(string Path, string Label, string HowTo, Dimension Dimension, double Minimum, double Maximum, double? Value)
{
    /// <summary>SI: smaller values are asked about.</summary>
    public double? UsualFrom { get; init; }

    /// <summary>SI: larger values are asked about.</summary>
    public double? UsualTo { get; init; }

    /// <summary>What the drawing says, SI; null where nothing is drawn but only found.</summary>
    public double? Planned { get; init; }

    /// <summary>Where the document keeps it, and the note of its day; null where that is the path.</summary>
    public string? Place { get; init; }
}

/// <summary>A measure that a step works to.</summary>
/// <param name="Id">Which one, the same as long as the piece is.</param>
/// <param name="Drawn">As the rig has it now, SI.</param>
/// <param name="Made">As it was when the step was done, SI; null while it is not done, or nobody kept it.</param>
public sealed record MadeMeasure(string Id, string Label, Dimension Dimension, double Drawn, double? Made)
{
    /// <summary>Less than this nobody measures at a bench: a tenth of a millimetre, a two-hundredth of all else (judgement).</summary>
    [JsonIgnore]
    private double Tolerance => Dimension is Dimension.Length or Dimension.Drill or Dimension.Mark ? 1e-4 : 0.005
        * Math.Max(Math.Abs(Drawn), Math.Abs(Made ?? 0));

    /// <summary>True where it was made as something else than is drawn now.</summary>
    public bool Differs => Made is { } made && Math.Abs(made - Drawn) > Tolerance;
}

/// <summary>A tool of a step.</summary>
/// <param name="From">Where it comes from.</param>
public sealed record ToolUse(string Id, string Name, ToolFrom From);

/// <summary>A step of the build plan.</summary>
/// <param name="Id">The same as long as the rig's parts are the same.</param>
/// <param name="Called">The sort of work, in words.</param>
/// <param name="CameraIn">True where the camera is needed; else it stays out.</param>
/// <param name="HoldPoint">True where nothing goes on before it is right.</param>
/// <param name="Minutes">Hands on.</param>
/// <param name="Wait">What it then needs by itself, s.</param>
/// <param name="Beware">What can hurt, and what is worn against it.</param>
/// <param name="Wrong">What to do when it goes wrong; empty where there is nothing to say.</param>
/// <param name="After">Steps that must be done before.</param>
/// <param name="Start">s from now (negative: done before), or from the start of the plan; one person working through.</param>
/// <param name="End">s, hands off.</param>
/// <param name="Done">s, when what follows may go on.</param>
/// <param name="Parts">Lines that go in here.</param>
/// <param name="Joints">Joints whose holes or screws it is about.</param>
/// <param name="Bars">Rows that are cut here.</param>
/// <param name="Readings">What is measured here.</param>
public sealed record PlanStep(
    string Id, string Station, Work Work, string Called, string Title, string How, WorkPlace Place, bool CameraIn, bool HoldPoint,
    int Crew, double Minutes, double Wait, IReadOnlyList<ToolUse> Tools, IReadOnlyList<string> Beware, string Wrong,
    IReadOnlyList<string> After, double Start, double End, double Done,
    IReadOnlyList<string> Parts, IReadOnlyList<string> Joints, IReadOnlyList<string> Bars, IReadOnlyList<Reading> Readings)
{
    /// <summary>Its place in the plan, from 1.</summary>
    public int Number { get; init; }

    /// <summary>Id of a hold point before it that is not done: it has to wait for that; null where none is open.</summary>
    public string? HeldBy { get; init; }

    /// <summary>True where the document says that it was done, to the measures that are drawn now.</summary>
    public bool IsDone { get; init; }

    /// <summary>What it works to: a document that says it is done keeps these (<c>as</c>), and is asked about them when the drawing
    /// changes.</summary>
    [JsonRequired]
    public IReadOnlyList<MadeMeasure> MadeAs { get; init; } = [];

    /// <summary>True where it was done to other measures than are drawn now, or nobody kept to which: made anew, or kept.</summary>
    [JsonRequired]
    public bool IsOutdated { get; init; }

    /// <summary>What documents called it before steps were called by their piece; what they say of it there is asked about.</summary>
    [JsonRequired]
    public string Earlier { get; init; } = "";

    /// <summary>What comes out here and may be entered as it was made: lengths, holes, bends, torques, the aim.</summary>
    [JsonRequired]
    public IReadOnlyList<Reading> Built { get; init; } = [];
}
