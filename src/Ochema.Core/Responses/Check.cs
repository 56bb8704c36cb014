using Ochema.Core.Quantities;
using Ochema.Core.Structure;

namespace Ochema.Core.Responses;

/// <summary>
/// One way in which one part can fail. It turns the forces of a case into a use (demand × required factor ÷ capacity) and can
/// show its working; the formula is written once, in <see cref="Use"/>.
/// </summary>
public abstract class Check(string id, StationId station, PartId part, string title)
{
    /// <summary>Use is reported no higher than this (999 %): beyond it the number says nothing more.</summary>
    public const double MostUse = 9.99;

    /// <summary>Unique within the rig.</summary>
    public string Id { get; } = id;

    /// <summary>Spine row.</summary>
    public StationId Station { get; } = station;

    /// <summary>The part that fails; checks of a part that has let go are left out.</summary>
    public PartId Part { get; } = part;

    /// <summary>What happens, a few words: "Front lip lifts".</summary>
    public string Title { get; } = title;

    /// <summary>True when the result does not depend on the forces.</summary>
    public virtual bool Fixed => false;

    /// <summary>True when the check counts only while the rig is whole (the tether is never loaded then).</summary>
    public virtual bool Reserve => false;

    /// <summary>Strength: it lets go. Service: it marks, flexes, is awkward. Tightening: how hard a screw is drawn, no use of a
    /// case.</summary>
    public virtual CheckSort Sort => CheckSort.Strength;

    /// <summary>Index of the spring whose load it looks at; null where it looks at a piece, or at none.</summary>
    public virtual SpringIndex? Joint => null;

    /// <summary>True for what turns or slides when it is pushed and stays on: it wants aiming again, no more.</summary>
    public virtual bool GivesWay => false;

    /// <summary>
    /// What a use counts for in a verdict: a service check at 100 % at the most (tight), a screw's tightening not at all until it is too
    /// much.
    /// </summary>
    public double Counts(double use) => Sort switch
    {
        CheckSort.Strength => use,
        CheckSort.Service => Math.Min(use, 1),
        _ => use > 1 ? use
        : 0
    };

    /// <summary>Use (1 = at its allowed load); the working is written when a sheet is given.</summary>
    public abstract double Use(CaseForces f, Worksheet? sheet = null);

    /// <summary>demand ÷ capacity, kept finite.</summary>
    protected static double Ratio(double demand, double capacity) =>
        demand <= 0 ? 0 : capacity > 0 && demand / capacity < MostUse ? demand / capacity : MostUse;
}

/// <summary>What it means when a check is past 100 %.</summary>
public enum CheckSort
{
    /// <summary>It lets go.</summary>
    Strength,

    /// <summary>It marks, flexes or is awkward: tight at the most.</summary>
    Service,

    /// <summary>How hard a screw is tightened: no use of a case, a failure of its own when it is too much.</summary>
    Tightening,
}

/// <summary>A number of a working.</summary>
/// <param name="Symbol">As in the formula.</param>
/// <param name="Name">In words.</param>
/// <param name="Value">SI.</param>
/// <param name="Source">Where it came from.</param>
public sealed record WorkingTerm(string Symbol, string Name, double Value, Dimension Dimension, string Source);

/// <summary>The working of a check: formula with symbols in braces, its numbers, and what it leaves out.</summary>
public sealed record Working(string Formula, IReadOnlyList<WorkingTerm> Terms, string Method, string NotCovered);

/// <summary>Where numbers of a working come from, as several checks say it.</summary>
internal static class Origin
{
    public const string Frame = "solved frame, this case";
    public const string Measures = "this rig's measurements";
    public const string Follows = "follows from the numbers beside it";
}

/// <summary>Where a check writes its working.</summary>
public sealed class Worksheet
{
    private readonly List<WorkingTerm> terms = [];
    private string formula = "";
    private string method = "";
    private string notCovered = "";

    /// <summary>States the formula, its source, and what it does not cover.</summary>
    public Worksheet Formula(string text, string source, string leavesOut = "")
    {
        (formula, method, notCovered) = (text, source, leavesOut);
        return this;
    }

    /// <summary>A number; forces, moments and stresses come from the solved frame in the case at hand unless another origin is
    /// said.</summary>
    /// <exception cref="ArgumentException">Its origin is not said.</exception>
    public Worksheet Term(string symbol, string name, double value, Dimension dimension, string source = "")
    {
        if (source.Length == 0)
            source = dimension is Dimension.Force or Dimension.Torque or Dimension.Stress ? Origin.Frame
                : throw new ArgumentException($"the origin of “{name}” is not said", nameof(source));
        terms.Add(new(symbol, name, value, dimension, source));
        return this;
    }

    public Working Done() => new(formula, terms, method, notCovered);
}
