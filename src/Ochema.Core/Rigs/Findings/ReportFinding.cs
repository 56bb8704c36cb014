using Ochema.Core.Responses;

namespace Ochema.Core.Rigs;

/// <summary>Something to know that is not a use. Texts may carry quantities (<see cref="Quantities.QuantityText"/>).</summary>
/// <param name="Station">Spine row it belongs to.</param>
/// <param name="Blocks">True when it alone makes the rig let go.</param>
public sealed record ReportFinding(StationId Station, string Text, bool Blocks = false);
