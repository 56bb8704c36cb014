using Ochema.Core.Analysis;
using Ochema.Core.Loads;
using Ochema.Core.Quantities;
using Ochema.Core.Rigs;
using Ochema.Core.Sharpness;

namespace Ochema.Core.Assessment;

/// <summary>Round members that hum in the wind: told only near the design speed, and where there is a force behind it.</summary>
internal static class Hum
{
    /// <summary>Shedding locks on to a mode within about a fifth of its speed (Blevins, "Flow-Induced Vibration"; from memory).</summary>
    private const double Near = 0.2;

    /// <summary>Lift below this moves nothing, N (judgement).</summary>
    private const double Least = 0.15;

    /// <summary>What hums at the design speed, while the picture is not free of it.</summary>
    public static IEnumerable<ReportFinding> Findings(RigModel model, PictureWords picture, double speed)
    {
        var b = model.Built;
        var wind = b.ThroughAir(speed) * b.WindFactor + b.Rig.Run.HeadWind;
        foreach (var p in b.Pieces.Where(p => p.Section.Round && p.Length > 0.15).DistinctBy(p => (p.Station, p.Section.DragWidth)))
            foreach (var f in model.Modes.Take(3).Select(m => m.Frequency))
            {
                var v = f * p.Section.DragWidth / 0.2;
                var lift = 0.5 * model.Density * wind * wind * p.Section.DragWidth * p.Length * Turbulence.Lift;
                if (Math.Abs(v - wind) < Near * wind && lift > Least && picture.Word is not (Sharp.Sharp or Sharp.None))
                {
                    yield return new ReportFinding(p.Station,
                        $"The wind sheds off the {p.Label} at {QuantityText.Of(f, Dimension.Frequency)} near this speed "
                            + $"({QuantityText.Of((v - b.Rig.Run.HeadWind) / b.WindFactor, Dimension.Speed)}), with "
                                + $"{QuantityText.Of(lift, Dimension.Force)}: expect a hum in the picture (Strouhal 0.2).");
                    break;
                }
            }
    }
}
