namespace Ochema.Core.Responses;

/// <summary>One source of load at a joint: weight, motion, wind, water, straps, shaking.</summary>
/// <param name="Force">N.</param>
/// <param name="Moment">N·m, at the joint.</param>
public sealed record LoadShare(string Label, double Force, double Moment);
