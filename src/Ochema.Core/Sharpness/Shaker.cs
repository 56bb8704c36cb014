using Ochema.Core.Assessment;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;

namespace Ochema.Core.Sharpness;

/// <summary>Will the picture be sharp: what drives the rig through its modes to pixels of the delivered picture.</summary>
public static class Shaker
{
    /// <summary>The excitation is judged: amplitudes may be half or twice what is taken.</summary>
    private const double Doubt = 2;

    /// <summary>Everything for the screen.</summary>
    /// <exception cref="DocumentException">The rig names something that does not exist, or can move freely.</exception>
    public static ShakeReport Of(RigDocument rig, Catalogue stock)
    {
        var model = new RigModel(rig, stock);
        if (model.Dynamics is not { } dynamics)
            throw new DocumentException("base", $"the {model.Mechanism!.Node.Replace('-', ' ')} can {model.Mechanism.Motion} freely: it has no frequencies to shake at");
        var motion = new CameraMotion(model);
        var energy = model.Modes.Select(m => m.Rotation.Length * m.Participation.Max(Math.Abs) / m.Omega2).ToList();
        var (random, steady) = (dynamics.Excitations.OfHost, dynamics.Excitations.Steady);
        return new ShakeReport(
            Words(model, motion), [.. model.Modes.Select((m, i) => new ModeReport(m.Frequency, m.Damping, ModeNames.Of(model, m), energy.Sum() > 0 ? energy[i] / energy.Sum() : 0, Movement(model, m)))],
            motion.Frequencies, [.. motion.Frequencies.Select(f => random.Sum(r => r.Spectrum(f)))], motion.Sum,
            [.. steady.Select(s => new SteadyReport(s.Shake.Label, s.Shake.Frequency, s.To, s.Shake.Amplitude, s.Shake.Source))], model.Builder.Host.Shake.Band,
            random.Count > 0 ? random[0].Label : "standing still",
            [.. dynamics.Excitations.Random.DistinctBy(e => e.Label).Select(e => new SourceReport(e.Label, e.Source, motion.Sources.First(s => s.Label == e.Label).Spectrum))],
            [.. motion.Acceleration.Zip(["along", "across", "up and down"]).Select(a => new AxisReport(a.Second, a.First.Rms, a.First.Peak))],
            MemberLives.Of(model), model.Builder.Soft?.Invoke());
    }

    /// <summary>The three numbers with their words; a rig that can move freely has none.</summary>
    internal static PictureWords Words(RigModel model) =>
        model.Dynamics is null ? new PictureWords(Sharp.Unusable, [], "It can move freely: there is no picture.") : Words(model, new CameraMotion(model));

    private static PictureWords Words(RigModel model, CameraMotion motion)
    {
        var (b, c) = (model.Builder, model.Builder.Rig.Camera);
        var delivered = c.Delivery == Delivery.Hd ? 1920 : 3840;
        var focal = PictureSpread.FocalPixels(b.Camera.Lens.FocalLength, b.Camera.Body.SensorWidth, delivered);
        var corner = c.Stabiliser == Stabiliser.Off ? 0 : b.Camera.Body.Stabilisation switch { "strong" => 5, "none" => 0, _ => 2.5 };
        PictureNumber Number(string id, string label, double time, double stabilised)
        {
            var weights = motion.Frequencies.Select(f => Weight(f, time, stabilised)).ToArray();
            var parts = motion.Sources.Select(s => (s.Label, Pixels: PictureSpread.Rms(motion.Frequencies, i => s.Spectrum[i] * weights[i], focal)))
                .Concat(motion.Lines.Select(l => (l.Label, Pixels: focal * Math.Sqrt(l.Power * Weight(l.Frequency, time, stabilised))))).ToList();
            var all = Math.Sqrt(parts.Sum(p => p.Pixels * p.Pixels));
            return new(id, label, all, all / Doubt, all * Doubt, WordOf(all), Blame(model, motion, weights), parts.Count > 0 ? parts.MaxBy(p => p.Pixels).Label : "nothing");
        }
        List<PictureNumber> numbers =
        [
            Number("shake", "Shake, frame to frame", 1 / c.FrameRate, corner),
            Number("smear", "Smear, within one exposure", Math.Min(c.Exposure, 1 / c.FrameRate), 0),
            Number("wobble", "Wobble, within one read-out", b.Camera.Body.ReadOutTime, 0),
        ];
        var worst = numbers.MaxBy(n => n.Pixels)!;
        var text = worst.Word == Sharp.Sharp ? "Below a pixel in all three."
            : worst.Id switch
            {
                "shake" => "It jumps from frame to frame: a stabiliser can take that out.",
                "smear" => "It smears within each exposure: a shorter one helps, a stabiliser does not.",
                _ => "It wobbles within each read-out: only less shaking or a faster sensor helps.",
            };
        return new PictureWords(numbers.Max(n => n.Word), numbers, text);
    }

    private static double Weight(double frequency, double time, double stabilised) => PictureSpread.Weight(frequency, time) * PictureSpread.Stabilised(frequency, stabilised);

    /// <summary>The mode nearest to where most of a weighted spectrum lies; −1 below half of the first.</summary>
    private static int Blame(RigModel model, CameraMotion motion, double[] weights)
    {
        var (best, at) = (0.0, 0);
        for (var i = 1; i < weights.Length; i++)
            if (motion.Sum[i] * weights[i] * motion.Frequencies[i] is var v && v > best)
                (best, at) = (v, i);
        if (model.Modes.Count == 0 || motion.Frequencies[at] < 0.5 * model.Modes[0].Frequency)
            return -1;
        return Enumerable.Range(0, model.Modes.Count).MinBy(m => Math.Abs(Math.Log(model.Modes[m].Frequency / motion.Frequencies[at])));
    }

    private static Sharp WordOf(double pixels) => pixels < 1 ? Sharp.Sharp : pixels <= 3 ? Sharp.Soft : Sharp.Unusable;

    private static Dictionary<string, double[]> Movement(RigModel model, RigMode m)
    {
        var nodes = model.Builder.Figure.SelectMany(s => s.Points).Select(p => p.Node).Where(n => n.Length > 0).Distinct().ToDictionary(n => n, n => model.System.Displacement(m.Shape, model.System.NodeIndex(n)).U);
        var most = Math.Max(1e-12, nodes.Values.Max(v => v.Length));
        return nodes.ToDictionary(p => p.Key, p => (1 / most * p.Value).ToArray());
    }
}
