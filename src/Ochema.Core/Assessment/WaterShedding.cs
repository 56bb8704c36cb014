using Ochema.Core.Analysis;
using Ochema.Core.Loads;
using Ochema.Core.Quantities;
using Ochema.Core.Rigs;

namespace Ochema.Core.Assessment;

/// <summary>
/// Round members under water that shed vortices near a mode: in water that is no hum but a swing of up to a diameter, for what swings
/// weighs little more than the water it moves.
/// </summary>
internal static class WaterShedding
{
    /// <summary>Strouhal number of a round member (Blevins, Flow-Induced Vibration, ch. 3; from memory).</summary>
    private const double Strouhal = 0.2;

    /// <summary>
    /// Reduced speeds V ÷ (f·d) between which a member in water swings across the stream: much wider than in air (Sumer and Fredsøe,
    /// Hydrodynamics around Cylindrical Structures, ch. 8; from memory: 4 to 8 at these mass ratios).
    /// </summary>
    private const double From = 4;
    private const double To = 8;

    /// <summary>
    /// Swing across the stream, in diameters, of a member with a stability parameter S_G: 1.29 ÷ (1 + 0.43·S_G)^3.35 (Griffin; Blevins, ch.
    /// 3, from memory).
    /// </summary>
    /// <param name="stability">S_G = (2π·St)²·2·ζ·m ÷ (ρ·d²), m per length with the water carried along.</param>
    public static double Swing(double stability) => 1.29 / Math.Pow(1 + 0.43 * stability, 3.35);

    /// <summary>What swings in the stream at the design speed, or at what a wave adds to it, once for each station.</summary>
    public static IEnumerable<ReportFinding> Findings(RigModel model, double speed)
    {
        var b = model.Built;
        if (!b.Host.Motion.Wet)
            yield break;
        var wave = b.Host.Motion.Wave(b.Rig.Run.Road, b.Rig.Base.WaterDepth);
        var said = new HashSet<string>();
        foreach (var piece in b.Pieces.Where(p => p.Section.Round && !said.Contains(p.Station.ToString())))
        {
            var (from, to) = (b.Position(b.StartOf(piece.First)), b.Position(b.EndOf(piece.Last)));
            if (Water.Share(from.Z, to.Z, 0) is not (> 0 and var share) || piece.Length * share < 3 * piece.Section.DragWidth)
                continue;
            var (d, slow) = (piece.Section.DragWidth, speed);
            var fast = speed + wave.Speed(Math.Min(0, (from.Z + to.Z) / 2));
            foreach (var m in model.Modes.Take(3).Where(m => Moves(m)))
            {
                if (fast / (m.Frequency * d) < From || slow / (m.Frequency * d) > To)
                    continue;
                var mass = piece.Mass / piece.Length + Water.AddedMass(d);
                var swing = Swing(2 * m.Damping * Math.Pow(2 * Math.PI * Strouhal, 2) * mass / (Water.Density * d * d)) * d;
                said.Add(piece.Station.ToString());
                yield return new ReportFinding(piece.Station, $"Between {Speed(From * m.Frequency * d)} and {Speed(To * m.Frequency * d)} "
                    + $"through the water the {piece.Label} sheds near {QuantityText.Of(m.Frequency, Dimension.Frequency)} "
                    + $"and swings by up to {QuantityText.Of(swing, Dimension.Length)} across the stream: "
                    + "stiffer, shorter, or a rope wound round it.");
                break;
            }
        }
        static string Speed(double v) => QuantityText.Of(v, Dimension.Speed);
        // A mode in which the camera stands still is none of what hangs in the stream.
        static bool Moves(RigMode m) => m.Move.Length + m.Rotation.Length > 1e-9;
    }
}
