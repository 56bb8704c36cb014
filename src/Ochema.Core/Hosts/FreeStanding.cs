using Ochema.Core.Structure;

namespace Ochema.Core.Hosts;

/// <summary>What stands on feet of its own and may tip with the rig on it: a table, a stand.</summary>
/// <param name="Noun">What it is called: "table".</param>
/// <param name="Middle">Of its feet, on the ground, m, host axes; its weight is taken to be above.</param>
/// <param name="Apart">How far apart its feet stand, between the nearest two sides of what they span, m (judgement, until
/// measured).</param>
/// <param name="Mass">Of it with what stays on it, kg (judgement, until weighed).</param>
/// <param name="Anchors">Closed points of the host that are on it.</param>
public sealed record FreeStanding(string Noun, Vec3 Middle, double Apart, double Mass, IReadOnlyList<string> Anchors);
