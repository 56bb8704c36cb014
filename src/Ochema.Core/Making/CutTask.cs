namespace Ochema.Core.Making;

/// <summary>What is to be cut from what. Lengths m, prices in any unit.</summary>
/// <param name="Kerf">Width of the saw's cut.</param>
/// <param name="Squaring">Cut off once from every bar that is used, to square its end.</param>
/// <param name="Stock">Bars as sold, and leftovers.</param>
/// <param name="Pieces">What is wanted.</param>
public sealed record CutTask(double Kerf, double Squaring, IReadOnlyList<CutStock> Stock, IReadOnlyList<CutPieceWanted> Pieces);

/// <summary>A length of bar that can be had.</summary>
/// <param name="Length">m.</param>
/// <param name="Price">Of the whole bar, which is charged whole; 0 for a leftover, which goes first.</param>
/// <param name="Count">How many there are; null for as many as wanted.</param>
public sealed record CutStock(string Id, double Length, double Price, int? Count = null);

/// <summary>A piece that is wanted.</summary>
/// <param name="Length">m.</param>
/// <param name="Count">How many.</param>
public sealed record CutPieceWanted(string Id, double Length, int Count);

/// <summary>A bar and what is cut from it.</summary>
/// <param name="Stock">Id of the bar.</param>
/// <param name="Pieces">Ids of its pieces, in the order that they are cut: longest first.</param>
/// <param name="Offcut">What is left behind the last cut, m.</param>
public sealed record CutBar(string Stock, IReadOnlyList<string> Pieces, double Offcut);

/// <summary>The plan, or why there is none.</summary>
/// <param name="Bars">Leftovers first.</param>
/// <param name="Cost">Of all bars used.</param>
/// <param name="Bound">No plan costs less: proved.</param>
/// <param name="Optimal">True exactly when the cost is the bound.</param>
/// <param name="Finding">Why it cannot be cut; the rest is absent then.</param>
public sealed record CutPlan(
    IReadOnlyList<CutBar>? Bars = null, double? Cost = null, double? Bound = null, bool? Optimal = null, string? Finding = null);
