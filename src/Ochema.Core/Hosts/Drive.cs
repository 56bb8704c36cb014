namespace Ochema.Core.Hosts;

/// <summary>What a rig on a host is asked about along the tape: its travel, or the wind that it must stand.</summary>
/// <param name="Name">What the speed on the tape is.</param>
/// <param name="Top">Fastest it can do, m/s (judgement): rigs are not asked about, nor looked at, beyond it.</param>
/// <param name="StandsStill">True where it does not travel: its speed is that of the wind it must stand.</param>
public sealed record Drive(string Name, double Top, bool StandsStill = false)
{
    /// <summary>Way that the place goes in one turn, m; null where the host does not turn.</summary>
    public double? PerTurn { get; init; }

    /// <summary>What travels.</summary>
    /// <param name="top">m/s.</param>
    public static Drive Travel(double top, string name = "design speed") => new(name, top);

    /// <summary>What stands in the wind.</summary>
    /// <param name="top">m/s.</param>
    public static Drive Wind(double top = 40) => new("wind it must stand", top, true);
}
