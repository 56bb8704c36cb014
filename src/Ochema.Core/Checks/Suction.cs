using Ochema.Core.Hosts;
using Ochema.Core.Loads;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;

namespace Ochema.Core.Checks;

/// <summary>What a cup can do on its spot: F = Δp · A, with Δp a share of the day's pressure or your gauge's reading.</summary>
public sealed class Suction
{
    /// <summary>Share of the vacuum that each surface keeps, and the friction under the lip (judgement; EN 13155 asks for tests).</summary>
    private static readonly Dictionary<SurfaceState, (double Seal, double Friction)> Surfaces = new()
    {
        [SurfaceState.CleanDry] = (1.0, 0.5),
        [SurfaceState.Wet] = (1.0, 0.2),
        [SurfaceState.Dusty] = (0.75, 0.3),
        [SurfaceState.Textured] = (0.1, 0.5),
    };

    public Suction(RigBuilder b, SuctionCupRow row, double? gauge, SurfaceState surface)
    {
        (Row, Surface) = (row, surface);
        Ambient = Atmosphere.Pressure(b.Rig.Run.Altitude);
        (Seal, Friction) = Surfaces[surface];
        Vacuum = gauge ?? row.VacuumShare * Ambient;
        VacuumSource = gauge is null ? $"{row.VacuumShare:0.##} of the air's {Ambient / 1e5:0.00} bar (ISO 2533); {row.Source}" : "your gauge";
        Force = Seal * Math.Min(Vacuum, Ambient) * Math.PI / 4 * row.LipDiameter * row.LipDiameter;
    }

    public SuctionCupRow Row { get; }
    public SurfaceState Surface { get; }

    /// <summary>Air pressure of the day, Pa.</summary>
    public double Ambient { get; }

    /// <summary>Pressure difference after pumping, Pa.</summary>
    public double Vacuum { get; }

    public string VacuumSource { get; }
    public double Seal { get; }
    public double Friction { get; }

    /// <summary>Holding force, N.</summary>
    public double Force { get; }
}
