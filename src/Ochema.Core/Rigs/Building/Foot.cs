using Ochema.Core.Joints;
using Ochema.Core.Responses;
using Ochema.Core.Structure;

namespace Ochema.Core.Rigs;

/// <summary>What a part has underneath, for the house to join it to what it stands on.</summary>
/// <param name="Id">Name of the joint.</param>
/// <param name="Station">Spine row it belongs to.</param>
/// <param name="Title">In the user's words: "screw under the head".</param>
/// <param name="Port">What it offers.</param>
/// <param name="Load">Force (N) and moment (N·m) on it, host axes; null where it is one with its neighbour.</param>
/// <param name="Lever">Middle of the joint to the edge it would tip about, m.</param>
/// <param name="Axis">Along its screw where that is not the axis of what it stands on: a clamp is turned until its stud points
/// there.</param>
/// <param name="Torque">It is tightened with, N·m; null: what goes with its means.</param>
public sealed record Foot(
    string Id, StationId Station, string Title, Port Port, Func<CaseForces, (Vec3 Force, Vec3 Moment)>? Load, double Lever,
        double? Torque = null, Vec3? Axis = null);

/// <summary>How two neighbours of the load path are joined.</summary>
/// <param name="Station">Spine row of the upper one.</param>
/// <param name="Joint">Id of its screwed joint; null where it has none.</param>
/// <param name="Says">In words.</param>
public sealed record JoinReport(StationId Station, JoinSort Sort, string? Joint, string Says);
