using Ochema.Core.Responses;
using Ochema.Core.Rigs;

namespace Ochema.Core.Making.Steps;

/// <summary>A step with the spine row it belongs to and what it is about.</summary>
internal sealed record StationStep(StationId Station, WorkStep Step)
{
    /// <summary>Index of the part it makes; −1 for none.</summary>
    public int Part { get; init; } = -1;

    /// <summary>Joints it drills, taps or screws.</summary>
    public IReadOnlyList<string> Joints { get; init; } = [];

    public IReadOnlyList<Reading> Readings { get; init; } = [];

    /// <summary>The tether that is tied; null for all other work.</summary>
    public TetherBuilt? Tether { get; init; }
}
