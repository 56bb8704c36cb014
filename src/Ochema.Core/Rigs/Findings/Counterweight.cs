using Ochema.Core.Quantities;

namespace Ochema.Core.Rigs;

/// <summary>
/// What balances a rig on a host that turns: as much mass times distance on the other side of the axis, m·r = M·R. A swing hangs and needs
/// none.
/// </summary>
/// <param name="Needed">Mass times distance that the rig is out of balance by, kg·m.</param>
/// <param name="Mass">Of the counterweight: as fixed, else what balances, kg.</param>
/// <param name="At">Axis to its middle: as fixed, else as far as the place that the rig is at, m.</param>
internal sealed record Counterweight(double Needed, double Mass, double At)
{
    /// <summary>Half turns by hand stop where they are left when it is balanced by this share (judgement, 0.05–0.2).</summary>
    private const double Near = 0.1;

    /// <summary>What the plan asks for, kg, at the distance there is.</summary>
    public double Planned => Needed / At;

    /// <summary>Share of what is needed that is too much (positive) or too little.</summary>
    public double Off => Needed <= 0 ? 0 : Mass * At / Needed - 1;

    public bool Balances => Math.Abs(Off) <= Near;

    /// <summary>That of a rig; null where nothing turns or it hangs.</summary>
    /// <param name="all">Mass of all of it, kg, and its middle, m.</param>
    public static Counterweight? Of(RigSetting b, (double Mass, Structure.Vec3 Centre) all)
    {
        if (b.Host.Motion.Turning is not { Swings: false } spin)
            return null;
        var (mass, centre) = all;
        var needed = mass * spin.Outward(centre).Length;
        var at = b.Rig.Run.CounterweightAt ?? spin.Radius;
        return new(needed, b.Rig.Run.Counterweight ?? needed / at, at);
    }

    /// <summary>What is said of it.</summary>
    public string Text => Balances
        ? $"Balanced by {QuantityText.Of(Mass, Dimension.Mass)} opposite, {QuantityText.Of(At, Dimension.Length)} from the axis."
        : $"The {QuantityText.Of(Mass, Dimension.Mass)} opposite are {(Off < 0 ? "too little" : "too much")}: "
            + $"{QuantityText.Of(Planned, Dimension.Mass)} at "
            + $"{QuantityText.Of(At, Dimension.Length)} from the axis balance it, or the same farther {(Off < 0 ? "out" : "in")}.";
}
