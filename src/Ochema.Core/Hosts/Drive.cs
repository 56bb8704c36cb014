namespace Ochema.Core.Hosts;

/// <summary>What a rig on a host is asked about along the tape: its travel, or the wind that it must stand.</summary>
/// <param name="Name">What the speed on the tape is.</param>
/// <param name="Top">Fastest it can do, m/s (judgement): rigs are not asked about, nor looked at, beyond it.</param>
/// <param name="AtTop">What <see cref="Top"/> is, for texts behind "at any".</param>
/// <param name="StandsStill">True where it does not travel: its speed is that of the wind it must stand.</param>
public sealed record Drive(string Name, double Top, string AtTop, bool StandsStill = false)
{
    /// <summary>Way that the place goes in one turn, m; null where the host does not turn.</summary>
    public double? PerTurn { get; init; }

    /// <summary>What travels.</summary>
    /// <param name="called">The host with its article: "the car".</param>
    /// <param name="top">m/s.</param>
    public static Drive Travel(string called, double top, string name = "design speed") => new(name, top, $"speed {called} does");

    /// <summary>What stands in the wind.</summary>
    /// <param name="top">m/s.</param>
    public static Drive Wind(double top = 40) => new("wind it must stand", top, "wind this tool looks at", true);
}
