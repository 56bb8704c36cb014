using Ochema.Core.Quantities;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;

namespace Ochema.Core.Checks;

/// <summary>
/// A tether that catches the falling camera and head: F = m·g·(1 + √(1 + 2·k·h/(m·g))), with the tether as a spring k = EA/L
/// (energy balance; Timoshenko, "Strength of Materials").
/// </summary>
public sealed class TetherCatch(RigBuilder b, StrapRow row, double length, double slack) : Check("tether.catch", "tether", "tether", "Tether breaks as it catches")
{
    public override bool Fixed => true;

    public override bool Reserve => true;

    /// <summary>Peak force, N, of a mass falling freely by h on a line of stiffness k.</summary>
    public static double PeakForce(double mass, double stiffness, double h)
    {
        var w = mass * Loads.MotionProfile.Gravity;
        return w * (1 + Math.Sqrt(1 + 2 * stiffness * h / w));
    }

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        var falling = b.Camera.Mass + b.Parts.Where(p => p.Station == "head").Sum(p => p.Mass);
        var k = row.AxialStiffness / length;
        var peak = PeakForce(falling, k, slack);
        sheet?.Formula("{k} × {F} ÷ {B}", "m·g·(1 + √(1 + 2·c·h/(m·g))), energy of a free fall on a spring", "Swinging against the host, and the wind at speed.")
            .Factor(b, FactorTable.TetherCatch).Term("F", "peak as it catches", peak, Dimension.Force)
            .Term("m", "camera and head", falling, Dimension.Mass).Term("h", "slack", slack, Dimension.Length).Term("c", "tether stiffness", k, Dimension.Stiffness, row.Source)
            .Term("B", "breaking strength", row.BreakingStrength, Dimension.Force, row.Source);
        return Ratio(b.Factors[FactorTable.TetherCatch] * peak, row.BreakingStrength);
    }
}
