using Ochema.Core.Structure;

namespace Ochema.Core.Rigs;

/// <summary>A foot that is not stuck any more.</summary>
/// <param name="Spring">Its rubbing spring.</param>
/// <param name="Pads">Lines of its rim that only push.</param>
public sealed record FrictionFoot(HoldSpot Spot, SpringIndex Spring, IReadOnlyList<LineIndex> Pads, double Friction);
