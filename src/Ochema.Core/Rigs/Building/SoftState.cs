namespace Ochema.Core.Rigs;

/// <summary>How a soft mount stands with what is on it, for the bench drawing.</summary>
/// <param name="Load">kg on it.</param>
/// <param name="Sag">m below where it stands unloaded; for an arm the drop of its end from level.</param>
/// <param name="Travel">m there is each way.</param>
/// <param name="Frequency">Hz it floats at, up and down.</param>
/// <param name="Angle">Arms: from level, rad, up positive; null for the others.</param>
/// <param name="Link">Arms: link length, m.</param>
/// <param name="Along">Arms: the spring's point along the link, m.</param>
/// <param name="Above">Arms: its other point above the pivot, m.</param>
/// <param name="LevelLoad">Arms: kg they carry level.</param>
/// <param name="LevelRate">Arms: spring rate that would hold this load level, N/m, all together; <paramref name="Rate"/> is what they
/// have.</param>
/// <param name="Damper">Arms: rate of a damper beside the spring that gives the damping ratio, N·s/m.</param>
public sealed record SoftState(double Load, double Sag, double Travel, double Frequency, double? Angle = null, double? Link = null,
    double? Along = null, double? Above = null, double? LevelLoad = null, double? LevelRate = null, double? Rate = null,
        double? Damper = null);
