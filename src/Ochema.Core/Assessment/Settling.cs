using Ochema.Core.Analysis;
using Ochema.Core.Quantities;
using Ochema.Core.Rigs;

namespace Ochema.Core.Assessment;

/// <summary>How long to wait after an arm was moved: its lowest mode dies away by e^(−ζωt).</summary>
internal static class Settling
{
    /// <summary>What a hand that lets go leaves it swinging by, and what nobody sees any more, m (judgement, 3–10 mm and a tenth of a
    /// millimetre or two).</summary>
    private const double LetGo = 0.005;
    private const double Still = 0.0002;

    /// <summary>Seconds until a movement has died away.</summary>
    /// <param name="frequency">Hz.</param>
    /// <param name="damping">Ratio.</param>
    public static double Time(double frequency, double damping) => Math.Log(LetGo / Still) / (2 * Math.PI * frequency * damping);

    /// <summary>What is said of a rig that is moved by hand between pictures.</summary>
    public static IEnumerable<ReportFinding> Findings(RigModel model)
    {
        var (rig, modes) = (model.Built.Rig, model.Modes);
        if (!rig.Reach.WaitsToSettle || modes.Count == 0)
            yield break;
        var wait = modes.Take(3).Max(m => Time(m.Frequency, m.Damping));
        yield return new(RigPath.First.Reach,
            $"After a move it bounces at {QuantityText.Of(modes[0].Frequency, Dimension.Frequency)}: let go of it "
            + $"gently and wait {Math.Max(1, Math.Ceiling(wait)):0} s before the picture counts.");
    }
}
