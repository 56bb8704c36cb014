using Ochema.Core.Loads;
using Ochema.Core.Structure;

namespace Ochema.Core.Analysis;

/// <summary>Something random that drives the modes of a rig.</summary>
/// <param name="Label">In the user's words.</param>
/// <param name="Spectrum">Of what drives, per Hz, over the <see cref="FrequencyGrid"/>: acceleration of the host, (m/s²)², or pressure of
/// the wind, Pa².</param>
/// <param name="Forces">Force on each mode for a unit of it.</param>
/// <param name="Host">How far the host itself goes along with it: a direction with its share; zero for the wind.</param>
internal sealed record Excitation(string Label, string Source, double[] Spectrum, double[] Forces, Vec3 Host);

/// <summary>A steady tremble that drives the modes.</summary>
/// <param name="Forces">Force on each mode, N·kg^-½, by axis of the host; the axes are not in step.</param>
/// <param name="Amplitudes">Of the host's acceleration along its axes, m/s².</param>
/// <param name="To">Hz it goes up to when the engine runs through a range; the shake's own frequency when it does not.</param>
internal sealed record SteadyExcitation(SineShake Shake, double To, IReadOnlyList<double> Amplitudes, IReadOnlyList<double[]> Forces)
{
    /// <summary>Frequencies where it can be worst, Hz: both ends, and the modes between.</summary>
    public IEnumerable<double> Candidates(IReadOnlyList<RigMode> modes) =>
        To > Shake.Frequency ? [Shake.Frequency, To, .. modes.Select(m => m.Frequency).Where(f => f > Shake.Frequency && f < To)]
            : [Shake.Frequency];
}

/// <summary>All that drives a rig at a speed: the host's skin along its three axes, gusts along and across, what round members shed, engine
/// and propeller.</summary>
internal sealed class Excitations
{
    /// <summary>Steady trembles go up and down with their full amplitude, along and across with half of it (judgement, 0.3–1).</summary>
    public static readonly double[] SteadyShares = [0.5, 0.5, 1];

    public IReadOnlyList<Excitation> Random { get; }

    public IReadOnlyList<SteadyExcitation> Steady { get; }

    /// <summary>What the host itself does, for publishing and its own nodding.</summary>
    public IReadOnlyList<RandomShake> OfHost { get; }

    /// <param name="frequencies">Of the grid, Hz.</param>
    public Excitations(RigModel model, IReadOnlyList<RigMode> modes, double[] frequencies, double speed)
    {
        var rig = model.Built.Rig;
        OfHost = model.Built.Host.Shake.Random(rig.Run.Road, speed);
        Random =
        [
            .. OfHost.SelectMany(s => OnBase(s, modes, frequencies)),
            .. Wind(model, modes, frequencies, speed),
            .. Wash(model, modes, frequencies, speed),
        ];
        Steady =
        [
            .. model.Built.Host.Shake.Steady(speed, rig.Run.Rpm, rig.Run.RpmTo).Select(s => new SteadyExcitation(s.Shake, s.To,
                [.. SteadyShares.Select(share => share * s.Shake.Amplitude)],
                [.. SteadyShares.Select((share, axis) => modes.Select(m => -share * s.Shake.Amplitude * m.Participation[axis]).ToArray())])),
        ];
    }

    private static IEnumerable<Excitation> OnBase(RandomShake s, IReadOnlyList<RigMode> modes, double[] frequencies)
    {
        double[] spectrum = [.. frequencies.Select(s.Spectrum)];
        var axes = new[] { Vec3.UnitX, Vec3.UnitY, Vec3.UnitZ };
        for (var axis = 0; axis < 3; axis++)
        {
            var share = Shares(s)[axis];
            yield return new(s.Label, s.Source, spectrum, [.. modes.Select(m => -share * m.Participation[axis])], share * axes[axis]);
        }
    }

    /// <summary>Shares of the vertical amplitude along x, y, z.</summary>
    public static double[] Shares(RandomShake s) => [s.Along, s.Across, 1];

    /// <summary>
    /// Gusts about the mean relative wind, quasi-steady: drag follows 2·u/V, side force the yaw v/V (Holmes, "Wind Loading of Structures",
    /// ch. 5); lift that round members shed, keeping step over a few diameters (Blevins, "Flow-Induced Vibration", ch. 3).
    /// </summary>
    private static IEnumerable<Excitation> Wind(RigModel model, IReadOnlyList<RigMode> modes, double[] frequencies, double speed)
    {
        var (b, run) = (model.Built, model.Built.Rig.Run);
        var blown = b.ThroughAir(speed) * b.WindFactor + run.HeadWind;
        var sigma = Math.Sqrt(Math.Pow(run.Gust / 3, 2) + Math.Pow(Turbulence.OwnShare * blown, 2));
        var mean = Math.Max(blown, sigma);
        if (mean < 0.5)
            yield break;
        var q = 0.5 * model.Density * mean * mean;
        var size = SizeOf(b);
        double[] On(double[] load) => OnModes(modes, load);
        double Gusts(double f, double factor) => Math.Pow(factor * q / mean, 2) * Turbulence.Spectrum(sigma, mean, f)
            * Turbulence.Admittance(f, size, mean);
        const string source = "von Kármán spectrum (ESDU 85020) with a third of the gusts as its strength; length 1–10 m, judgement";
        yield return new("gusts from ahead", source, [.. frequencies.Select(f => Gusts(f, 2))], On(model.WindLoad(0)), Vec3.Zero);
        var across = model.WindLoad(1);
        VectorMath.AddScaled(across, -1, model.WindLoad(2));
        yield return new("gusts from the side", source, [.. frequencies.Select(f => Gusts(f, 1 / BothYaws))], On(across), Vec3.Zero);
        var wind = MotionProfile.WindDirection(0);
        foreach (var p in b.Pieces.Where(p => p.Section.Round && p.Length > 0.15))
        {
            var axis = model.System.Beams[p.First.Value].AxisX;
            var normal = mean * wind.PerpendicularTo(axis).Length;
            var d = p.Section.DragWidth;
            var at = Drag.SheddingFrequency(normal, d);
            if (normal < 1 || at > 1.3 * FrequencyGrid.Highest)
                continue;
            var load = new double[model.System.Size];
            var lift = 0.5 * model.Density * normal * normal * d * Turbulence.Lift
                * Math.Sqrt(Math.Min(1, 2 * Turbulence.InStep * d / p.Length));
            for (var i = p.First.Value; i < p.First.Value + p.Count; i++)
                model.System.AddMemberLoad(load, i, lift * wind.Cross(axis).Normalized());
            yield return new($"wind shed off the {p.Label}",
                "Strouhal 0.2, lift 0.35 (Blevins), bandwidth 10 % (Vickery and Clark); from memory, 0.3–2 ×",
                    [.. frequencies.Select(f => Turbulence.Shedding(f, at))], On(load), Vec3.Zero);
        }
    }

    /// <summary>Air that the propeller whirls up, on what stands in its wash: as gusts, of its own speed and length.</summary>
    private static IEnumerable<Excitation> Wash(RigModel model, IReadOnlyList<RigMode> modes, double[] frequencies, double speed)
    {
        if (model.InWash(speed) is not var (air, blows, straight, twisting))
            yield break;
        var q = 0.5 * model.Density * blows * blows;
        var size = SizeOf(model.Built);
        double[] Unrest(double factor) => [.. frequencies.Select(f => Math.Pow(factor * q / blows, 2)
            * Turbulence.Spectrum(PropellerWash.Unrest * blows, blows, f, air.Whirls) * Turbulence.Admittance(f, size, blows))];
        const string source = "von Kármán spectrum, a tenth of the wash's speed, whirls of 0.3 of the propeller's radius; judgement, "
            + "0.5–2 ×";
        yield return new("the propeller's wash", source, Unrest(2), OnModes(modes, straight), Vec3.Zero);
        yield return new("the propeller's wash", source, Unrest(1 / BothYaws), OnModes(modes, twisting), Vec3.Zero);
    }

    /// <summary>Angle between the yaws to either side, rad.</summary>
    private static readonly double BothYaws = MotionProfile.Yaw[1] - MotionProfile.Yaw[2];

    private static double SizeOf(Rigs.BuiltRig b) => Math.Sqrt(b.Camera.Body.Width * b.Camera.Body.Height);

    private static double[] OnModes(IReadOnlyList<RigMode> modes, double[] load) => [.. modes.Select(m => VectorMath.Dot(m.Shape, load))];
}

/// <summary>Frequencies at which spectra are taken: even in logarithms, crowded round the modes.</summary>
internal static class FrequencyGrid
{
    public const double Lowest = 0.5;
    public const double Highest = 200;
    private const int Count = 140;
    private static readonly double[] AroundModes = [-6, -3, -1.5, -0.7, -0.3, 0, 0.3, 0.7, 1.5, 3, 6];

    private static readonly double[] Even = [.. Enumerable.Range(0, Count)
        .Select(i => Lowest * Math.Pow(Highest / Lowest, i / (Count - 1.0)))];

    public static double[] Of(IReadOnlyList<RigMode> modes) =>
        [.. Even.Concat(modes.Where(m => m.Frequency is > Lowest and < Highest)
                .SelectMany(m => AroundModes.Select(s => m.Frequency * Math.Max(0.5, 1 + s * m.Damping))))
            .Where(f => f is >= Lowest and <= Highest).Order().Distinct()];

    /// <summary>∫ over the grid by trapezoids, up to a frequency, Hz.</summary>
    public static double Integrate(double[] frequencies, double[] values, double upTo = double.MaxValue)
    {
        var sum = 0.0;
        for (var i = 1; i < frequencies.Length && frequencies[i] <= upTo; i++)
            sum += 0.5 * (values[i] + values[i - 1]) * (frequencies[i] - frequencies[i - 1]);
        return sum;
    }
}
