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

    public Suction(RigSetting b, SuctionCupRow row, SurfaceState surface, double? gauge, double since, double? halfLife)
    {
        (Row, Surface) = (row, surface);
        Ambient = Atmosphere.Pressure(b.Rig.Run.Altitude);
        (Seal, Friction) = Surfaces[surface];
        Vacuum = gauge ?? row.VacuumShare * Ambient;
        VacuumSource = gauge is { } read ? Taken.Origin(b.Rig, "your gauge", "vacuum", read)
            : $"{row.VacuumShare:0.##} of the air's {Ambient / 1e5:0.00} bar (ISO 2533); {row.Source}";
        Left = LeftAfter(since, halfLife ?? HalfLife(surface, b.Rig.Run.Sun));
        Force = Left * Seal * Math.Min(Vacuum, Ambient) * Math.PI / 4 * row.LipDiameter * row.LipDiameter;
    }

    /// <summary>Time in which a cup loses half its vacuum, s (judgement: clean and dry a day, dusty two hours, 0.2–5 ×); a hot panel halves
    /// it.</summary>
    public static double HalfLife(SurfaceState surface, Sun sun) =>
        3600 * (surface switch { SurfaceState.CleanDry => 24, SurfaceState.Wet => 12, SurfaceState.Dusty => 2, _ => 0.5 })
            * (sun == Sun.Shade ? 1 : 0.5);

    /// <summary>Share of a vacuum that is left: 2^(−t/T½).</summary>
    /// <param name="since">Time since it was pumped, s.</param>
    /// <param name="halfLife">Time in which it loses half, s.</param>
    public static double LeftAfter(double since, double halfLife) => Math.Pow(2, -since / halfLife);

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

    /// <summary>Share of the vacuum that is left at the end of the run.</summary>
    public double Left { get; }

    /// <summary>What it can do: a rim of vacuum, tipping about its lip and twisting on it.</summary>
    public HoldGrasp Grasp => new(
        Force, "vacuum force", $"vacuum × lip area × seal {Seal:0.##} × {Left:0.##} left after leaking; {VacuumSource}",
            Friction, "judgement by surface, 0.15–0.6",
        Row.LipDiameter / 2, Row.Source, Row.LipDiameter / 2, FactorTable.SuctionPull,
            FactorTable.SuctionSlide, "factors 2 and 4 after common vacuum-lifting practice (EN 13155)",
                "Dirt under the lip, a lip that ages.");
}
