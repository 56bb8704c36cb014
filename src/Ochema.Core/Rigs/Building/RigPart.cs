using Ochema.Core.Responses;
using System.Text.Json.Serialization;
using Ochema.Core.Stock;

namespace Ochema.Core.Rigs;

/// <summary>How a part comes to be.</summary>
public enum PieceSort
{
    /// <summary>Bought by the piece.</summary>
    Bought,

    /// <summary>Cut from a bar, tube, rod or line.</summary>
    Cut,

    /// <summary>Cut from sheet, plate or block.</summary>
    Sheet,

    /// <summary>Something of one's own, weighed.</summary>
    Own,

    /// <summary>What the day puts on it: rain, ice. Nothing to buy or make.</summary>
    Caught,
}

/// <summary>A piece cut from a bar, tube or line.</summary>
/// <param name="Length">m, over the long sides of its ends.</param>
/// <param name="Mitres">Angle of each end's cut from square, rad; first end, second end.</param>
public sealed record CutPiece(double Length, double[] Mitres)
{
    /// <summary>Measurement of its kind that its length follows, one to one; null where several make it.</summary>
    [JsonIgnore]
    public string? By { get; init; }

    /// <summary>Left on when it is cut and trimmed off when it has been tried, m.</summary>
    [JsonIgnore]
    public double Long { get; init; }

    /// <summary>Its bends, in the order along its length: of a bent bar, cut flat.</summary>
    [JsonIgnore]
    public IReadOnlyList<BendLine> Bends { get; init; } = [];

    /// <summary>Where its holes are, on the middle of its wider face.</summary>
    [JsonIgnore]
    public IReadOnlyList<BarHole> Holes { get; init; } = [];

    /// <summary>Drilled and tapped into its end, along it; null where nothing is.</summary>
    [JsonIgnore]
    public TappedEnd? Tapped { get; init; }

    /// <summary>Sawn out along a pipe; null where nothing is.</summary>
    [JsonIgnore]
    public PipeSlit? Slit { get; init; }

    /// <summary>
    /// Length over the long sides, m, of a piece whose middle line is given: a mitre takes the short side back by as much as it puts the
    /// long one out.
    /// </summary>
    /// <param name="middle">m.</param>
    /// <param name="wide">Of the bar in the plane of its mitres, m.</param>
    /// <param name="mitres">From square, rad.</param>
    public static double LongSide(double middle, double wide, double[] mitres) => middle
        + mitres.Sum(a => Math.Tan(Math.Abs(a)) * wide / 2);
}

/// <summary>A thread in the end of a rod, along it.</summary>
/// <param name="Title">Over such holes in a table.</param>
/// <param name="Depth">m.</param>
/// <param name="Ends">How many of its ends have it.</param>
public sealed record TappedEnd(string Title, Fastener Thread, double Depth, int Ends = 1);

/// <summary>A slit along the side of a pipe.</summary>
/// <param name="From">Where it begins, from the first end, m.</param>
/// <param name="To">Where it ends, m.</param>
/// <param name="Width">m.</param>
public sealed record PipeSlit(double From, double To, double Width);

/// <summary>A hole through a bar or tube; how wide it is follows from its joint.</summary>
/// <param name="At">Middle, from the first end, m.</param>
/// <param name="Layer">Name of the piece among the layers of the joint that passes there.</param>
/// <param name="Joint">Id of that joint; null for what stands on the piece, whatever that is.</param>
public sealed record BarHole(double At, string Layer, string? Joint = null)
{
    /// <summary>What goes through where no joint is made of it; null for all else.</summary>
    public OwnHole? Own { get; init; }
}

/// <summary>A hole of no screwed joint: for a pin, a ball, a leg of a U-bolt.</summary>
/// <param name="Name">What goes in: "pin".</param>
/// <param name="Title">Over such holes in a table.</param>
/// <param name="Drill">m.</param>
/// <param name="Screw">What passes, where it is a screw; else the kind's own steps tell how it is drilled.</param>
public sealed record OwnHole(string Name, string Title, double Drill, Fastener? Screw = null);

/// <summary>A piece cut from sheet, plate or block, laid flat.</summary>
/// <param name="Length">m.</param>
/// <param name="Width">m.</param>
/// <param name="Thickness">m.</param>
/// <param name="Material">Catalogue id.</param>
/// <param name="Bends">Its bends, in the order along its length.</param>
public sealed record SheetPiece(double Length, double Width, double Thickness, string Material, IReadOnlyList<BendLine> Bends)
{
    /// <summary>Measurement of its kind that its length follows, one to one; null where several make it.</summary>
    [JsonIgnore]
    public string? LengthBy { get; init; }

    /// <summary>As <see cref="LengthBy"/>, of its width.</summary>
    [JsonIgnore]
    public string? WidthBy { get; init; }

    /// <summary>As <see cref="LengthBy"/>, of its thickness.</summary>
    [JsonIgnore]
    public string? ThicknessBy { get; init; }

    /// <summary>Measurements of its kind that come out when it is bent.</summary>
    [JsonIgnore]
    public IReadOnlyList<string> BentTo { get; init; } = [];

    /// <summary>Where its holes are.</summary>
    [JsonIgnore]
    public IReadOnlyList<SheetHole> Holes { get; init; } = [];

    /// <summary>
    /// Bends the other way, along its length, by where they are across its width: walls on its edges. With <see cref="Bends"/> it is a
    /// tray, whose corners are sawn out.
    /// </summary>
    public IReadOnlyList<BendLine> Walls { get; init; } = [];

    /// <summary>True where the far end of its length goes to the front of the host.</summary>
    [JsonIgnore]
    public bool FrontAhead { get; init; }

    /// <summary>What is left of it when the corners are out, m².</summary>
    [JsonIgnore]
    public double Area => FlatOutline.Of(this).Area;
}

/// <summary>A hole in a flat piece; how wide it is follows from its joint.</summary>
/// <param name="X">Middle, from the first end along the length, m.</param>
/// <param name="Y">Middle, from the first edge across the width, m.</param>
/// <param name="Layer">Name of the piece among the layers of the joint that passes there.</param>
/// <param name="Joint">Id of that joint; null for what stands on the piece, whatever that is.</param>
public sealed record SheetHole(double X, double Y, string Layer, string? Joint = null)
{
    /// <summary>What goes through where no joint is made of it; null for all else.</summary>
    public OwnHole? Own { get; init; }
}

/// <summary>A bend across a flat piece.</summary>
/// <param name="At">Middle of the bend along the flat length, m.</param>
/// <param name="Angle">rad.</param>
/// <param name="Radius">Inside, m.</param>
public sealed record BendLine(double At, double Angle, double Radius)
{
    /// <summary>Which one it is in the order that they are bent in, from 1; 0 until it is laid out.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingDefault)]
    public int Turn { get; init; }
}

/// <summary>
/// A part: stated once by the kind that it belongs to; frame, list, cost and what is made of it derive from it. <c>Mass</c> (kg) and
/// <c>Price</c> (in the user's currency) are of one.
/// </summary>
/// <param name="Id">What its kind calls it.</param>
/// <param name="Row">Catalogue row that it is or is cut from; null where there is none.</param>
/// <param name="Cut">Only of what is cut from a bar or line.</param>
/// <param name="Sheet">Only of what is cut from sheet or block.</param>
/// <param name="Joint">Id of the screwed joint that it belongs to; null for all else.</param>
public sealed record RigPart(
    PieceId Id, string Name, double Quantity, double Mass, double Price, PieceSort Sort, Aisle Aisle, string? Row = null,
    CutPiece? Cut = null, SheetPiece? Sheet = null, string? Joint = null)
{
    /// <summary>Row of the spine.</summary>
    public StationId Station => Id.Station;

    /// <summary>A part's name without its sizes.</summary>
    public static string Short(string name) => name.Split('{', ',')[0].TrimEnd();
}
