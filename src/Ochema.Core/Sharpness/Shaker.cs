using Ochema.Core.Analysis;
using Ochema.Core.Loads;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;

namespace Ochema.Core.Sharpness;

/// <summary>Will the picture be sharp: what drives the rig through its modes to pixels of the delivered picture.</summary>
public static class Shaker
{
    /// <summary>The excitation is judged: amplitudes may be half or twice what is taken.</summary>
    private const double Doubt = 2;

    /// <summary>Everything for the screen.</summary>
    /// <exception cref="Json.DocumentException">The rig names something that does not exist.</exception>
    public static ShakeReport Of(RigDocument rig, Catalogue stock)
    {
        var model = new RigModel(rig, stock);
        if (model.Dynamics is not { } dynamics)
            return new ShakeReport(Words(model), [], [], [], [], [], model.Built.Host.Shake.Band, "it can move freely", [], [], [], null);
        var motion = new CameraMotion(model);
        var energy = model.Modes.Select(m => m.Rotation.Length * m.Participation.Max(Math.Abs) / m.Omega2).ToList();
        var (random, steady) = (dynamics.Excitations.OfHost, dynamics.Excitations.Steady);
        return new ShakeReport(
            Words(model, motion), [.. model.Modes.Select((m, i) => new ModeReport(m.Frequency, m.Damping, ModeNames.Of(model, m),
                energy.Sum() > 0 ? energy[i] / energy.Sum() : 0, Movement(model, m)))],
            motion.Frequencies, [.. motion.Frequencies.Select(f => random.Sum(r => r.Spectrum(f)))], motion.Sum,
            [.. steady.Select(s => new SteadyReport(s.Shake.Label, s.Shake.Frequency, s.To, s.Shake.Amplitude, s.Shake.Source))], model.Built.Host.Shake.Band,
            random.Count > 0 ? random[0].Label : "standing still",
            [.. dynamics.Excitations.Random.DistinctBy(e => e.Label).Select(e => new SourceReport(e.Label, e.Source, motion.Sources.First(s => s.Label == e.Label).Spectrum))],
            [.. motion.Acceleration.Zip(["along", "across", "up and down"]).Select(a => new AxisReport(a.Second, a.First.Rms, a.First.Peak))],
            MemberLives.Of(model), model.Built.Soft);
    }

    /// <summary>The three numbers with their words; a rig that can move freely has none.</summary>
    internal static PictureWords Words(RigModel model) =>
        model.Built.Camera.Body.Makes != Makes.Picture ? NoPicture(model.Built.Camera.Body)
        : model.Dynamics is null ? new PictureWords(Sharp.Unusable, [], "It can move freely: there is no picture.")
            : Words(model, new CameraMotion(model));

    /// <summary>The same for the second camera; null where there is none.</summary>
    internal static PictureWords? SecondWords(RigModel model) => model.Built.SecondCamera is null ? null
        : model.Dynamics is null ? Words(model) : Words(model, new CameraMotion(model, second: true), second: true);

    private static PictureWords NoPicture(CameraRow body) => new(Sharp.None, [],
        $"The {Quantities.Words.Inside(body.Name)} takes no picture.");

    private static PictureWords Words(RigModel model, CameraMotion motion, bool second = false)
    {
        var b = model.Built;
        var (camera, c) = second ? (b.SecondCamera!, b.Rig.Second!.Camera) : (b.Camera, b.Rig.Camera);
        if (camera.Body.Makes != Makes.Picture)
            return NoPicture(camera.Body);
        var delivered = c.Delivery == Delivery.Hd ? 1920 : 3840;
        var focal = PictureSpread.FocalPixels(camera.Lens.FocalLength, camera.Body.SensorWidth, delivered);
        var corner = c.Stabiliser == Stabiliser.Off ? 0 : camera.Body.Band;
        PictureNumber Number(string id, string label, double time, double stabilised)
        {
            var weights = motion.Frequencies.Select(f => Weight(f, time, stabilised)).ToArray();
            var parts = motion.Sources.Select(s => (s.Label, Pixels: PictureSpread.Rms(motion.Frequencies, i => s.Spectrum[i] * weights[i],
                focal)))
                .Concat(motion.Lines.Select(l => (l.Label, Pixels: focal * Math.Sqrt(l.Power * Weight(l.Frequency, time, stabilised)))))
                    .ToList();
            var all = Math.Sqrt(parts.Sum(p => p.Pixels * p.Pixels));
            var floor = PictureSpread.Rms(motion.Frequencies, i => motion.Floor[i] * weights[i], focal);
            var without = stabilised > 0 ? Without(motion, focal, time) : all;
            var (first, second) = Limits(id, delivered);
            var blame = floor > 0.7 * all ? -1 : Blame(model, motion, weights);
            return new(id, label, all, all / Doubt, all * Doubt, WordOf(id, all, first, second), blame, parts.Count > 0
                ? parts.MaxBy(p => p.Pixels).Label : "nothing", floor, Math.Sqrt(Math.Max(0, all * all - floor * floor)), without, first,
                    second);
        }
        List<PictureNumber> numbers =
        [
            Number("shake", "Shake, frame to frame", 1 / c.FrameRate, corner),
            Number("smear", "Smear, within one exposure", Math.Min(c.Exposure, 1 / c.FrameRate), 0),
            Number("wobble", "Wobble, within one read-out", camera.Body.ReadOutTime, 0),
        ];
        var (shake, inside) = (numbers[0], numbers[1].Pixels >= numbers[2].Pixels ? numbers[1] : numbers[2]);
        var text = (inside.Word == Sharp.Sharp ? "Each frame is sharp."
                : inside.Floor > 0.7 * inside.Pixels
                    ? $"It {(inside.Id == "smear" ? "smears" : "wobbles")}, and that is {b.Host.Called}'s own nodding: slower, softer "
                        + $"springs or a shorter exposure; no mount takes it away."
                : inside.Id == "smear" ? "It smears within each exposure: a shorter one helps, a stabiliser does not."
                : "It wobbles within each read-out: only less shaking or a faster sensor helps.")
            + (shake.Word == Sharp.Steady ? "" : Shakes(shake, corner));
        // Each frame decides; shake between them is another matter and has its own word.
        return new PictureWords((Sharp)Math.Max((int)numbers[1].Word, (int)numbers[2].Word), numbers, text);
    }

    /// <summary>What a stabiliser does about the shake from frame to frame, said from its band.</summary>
    private static string Shakes(PictureNumber shake, double corner)
    {
        string Px(double v) => v >= 9.95 ? $"{v:0} px" : $"{v:0.0} px";
        return corner <= 0 ? $" From frame to frame it moves {Px(shake.Pixels)} without a stabiliser."
            : shake.Pixels < 0.7 * shake.Without
                ? $" From frame to frame it moves {Px(shake.Pixels)} with the stabiliser, {Px(shake.Without)} without."
            : $" From frame to frame it moves {Px(shake.Pixels)} with the stabiliser, {Px(shake.Without)} without: it is quicker than "
                + $"the {corner:0.#} Hz up to which that can follow.";
    }

    private static double Without(CameraMotion motion, double focal, double time) =>
        Math.Sqrt(motion.Sources.Sum(s => Math.Pow(PictureSpread.Rms(motion.Frequencies, i =>
            s.Spectrum[i] * PictureSpread.Weight(motion.Frequencies[i], time), focal), 2))
            + motion.Lines.Sum(l => focal * focal * l.Power * PictureSpread.Weight(l.Frequency, time)));

    /// <summary>Pixels at which the better and the middle word end, for a picture of a width in pixels (<see cref="Sharp"/>).</summary>
    internal static (double First, double Second) Limits(string id, double across) => (across / 2000, across / (id == "shake" ? 400 : 600));

    private static double Weight(double frequency, double time, double stabilised) => PictureSpread.Weight(frequency,
        time) * StabiliserShare.Left(frequency, stabilised);

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

    private static Sharp WordOf(string id, double pixels, double first, double second) => id == "shake"
        ? pixels <= first ? Sharp.Steady : pixels <= second ? Sharp.Lively : Sharp.Rough
        : pixels <= first ? Sharp.Sharp : pixels <= second ? Sharp.Soft : Sharp.Unusable;

    private static Dictionary<string, double[]> Movement(RigModel model, RigMode m)
    {
        var nodes = model.Built.Figure.SelectMany(s => s.Points).Select(p => p.Node).Where(n => n.Length > 0).Distinct()
            .ToDictionary(n => n, n => model.System.Displacement(m.Shape, model.System.NodeIndex(n)).U);
        var most = Math.Max(1e-12, nodes.Values.Max(v => v.Length));
        return nodes.ToDictionary(p => p.Key, p => (1 / most * p.Value).ToArray());
    }
}
