using Ochema.Core.Stock;

namespace Ochema.Core.Joints;

/// <summary>Geometry and strength of threads with the 60° profile (ISO 68-1, ASME B1.1), basic dimensions.</summary>
public static class Threads
{
    /// <summary>Nut factor K of T = K·F·d, dry (Shigley's Mechanical Engineering Design, ch. 8).</summary>
    public const double NutFactor = 0.2;

    /// <summary>Shear strength as a share of tensile strength (von Mises).</summary>
    public static readonly double ShearShare = 1 / Math.Sqrt(3);

    /// <summary>
    /// Shear strength of a sheet or block over its tensile strength: von Mises for metal and plastic, across the plies of wood and
    /// composite (judgement, 0.08–0.15).
    /// </summary>
    public static double SheetShear(Material m) => m.Family is MaterialFamily.Wood or MaterialFamily.Composite ? 0.1 : ShearShare;

    /// <summary>Pitch diameter, m: D − 0.6495·P.</summary>
    public static double PitchDiameter(double major, double pitch) => major - 0.649519 * pitch;

    /// <summary>Minor diameter of the internal thread, m: D − 1.0825·P.</summary>
    public static double MinorDiameter(double major, double pitch) => major - 1.082532 * pitch;

    /// <summary>Tensile stress area, m²: π/4·(D − 0.9382·P)² for metric threads (ISO 898-1), π/4·(D − 0.9743·P)² for inch ones (ASME
    /// B1.1).</summary>
    public static double StressArea(double major, double pitch, bool inch = false) => Math.PI / 4
        * Math.Pow(major - (inch ? 0.9743 : 0.938194) * pitch, 2);

    /// <summary>
    /// Share of the full thread height, 0…1, that a drilled hole leaves: (D − hole)/(1.299·P) (usual machinists' formula). Negative when
    /// the hole is larger than the screw.
    /// </summary>
    public static double ThreadShare(double major, double pitch, double hole) => (major - hole) / (1.299038 * pitch);

    /// <summary>Shear area of the internal thread over an engagement, m²: π·L·D·(1/2 + 0.57735·(D − E)/P) (FED-STD-H28/2, basic dimensions:
    /// 0.875·π·D·L).</summary>
    public static double InternalShearArea(double major, double pitch, double engagement) =>
        Math.PI * engagement * major * (0.5 + 0.57735 * (major - PitchDiameter(major, pitch)) / pitch);

    /// <summary>Shear area of the external thread, m²: π·L·K·(1/2 + 0.57735·(E − K)/P), K the minor diameter or the hole when that is
    /// larger.</summary>
    public static double ExternalShearArea(double major, double pitch, double engagement, double hole)
    {
        var k = Math.Max(hole, MinorDiameter(major, pitch));
        return Math.Max(0, Math.PI * engagement * k * (0.5 + 0.57735 * (PitchDiameter(major, pitch) - k) / pitch));
    }

    /// <summary>Load, N, at which the weaker of the two threads strips.</summary>
    public static double StripLoad(Fastener f, double engagement, double hole, Material nut, double screwStrength)
    {
        var share = Math.Clamp(ThreadShare(f.MajorDiameter, f.Pitch, hole) / 0.75, 0, 1);
        var inside = share * InternalShearArea(f.MajorDiameter, f.Pitch, engagement) * ShearShare * nut.UltimateStrength;
        var outside = ExternalShearArea(f.MajorDiameter, f.Pitch, engagement, hole) * ShearShare * screwStrength;
        return Math.Min(inside, outside);
    }

    /// <summary>Preload, N, from a tightening torque, N·m: F = T/(K·d).</summary>
    public static double Preload(double torque, double major, double nutFactor = NutFactor) => torque / (nutFactor * major);

    /// <summary>Length of engagement that is wanted, m: one diameter in steel, one and a half in aluminium, two in plastic or wood (usual
    /// rule).</summary>
    public static double WantedEngagement(Fastener f, Material nut) => f.MajorDiameter * nut.Family switch
    {
        MaterialFamily.Metal => nut.YoungsModulus > 1.5e11 ? 0.8 : 1.5,
        _ => 2,
    };

    /// <summary>How many times a tapped thread may be made up again: metal hardly minds, plastic wears (judgement, 5–15).</summary>
    public static int? Reassemblies(Material nut) => nut.Family is MaterialFamily.Metal ? null : 10;

    /// <summary>True for inch threads.</summary>
    public static bool Inch(Fastener f) => f.Inch;
}
