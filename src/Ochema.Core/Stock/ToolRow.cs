namespace Ochema.Core.Stock;

/// <summary>A tool that steps ask for.</summary>
/// <param name="Beware">What it can do to whoever uses it, and what is worn against that; empty for what is harmless.</param>
public sealed record ToolRow(string Id, string Name, string Source, string Beware = "", string? Range = null) : IStockRow;
