using System.Numerics;
using Ochema.Core.Assessment;
using Ochema.Core.Loads;
using Ochema.Core.Rigs;
using Ochema.Core.Rigs.Heads;
using Ochema.Core.Stock;
using Ochema.Core.Structure;

namespace Ochema.Core.Sharpness;

/// <summary>Will the picture be sharp: the host's shaking through the rig's modes to pixels of the delivered picture.</summary>
public static class Shaker
{
    private const double Lowest = 0.5;
    private const double Highest = 200;
    private const int Grid = 140;

    /// <summary>The excitation is judged: amplitudes may be half or twice what is taken.</summary>
    private const double Doubt = 2;

    /// <summary>Below this a gimbal's motors take rotation out, Hz (judgement, 2–5).</summary>
    private const double GimbalCorner = 3;

    /// <summary>Everything for the screen.</summary>
    public static ShakeReport Of(RigDocument rig, Catalogue stock)
    {
        var model = new RigModel(rig, stock);
        return new Run(model, new ModalResponse(model)).Report();
    }

    /// <summary>The three numbers with their words.</summary>
    internal static PictureWords Words(RigModel model, ModalResponse modal) => new Run(model, modal).Words();

    /// <summary>Single changes tried for the picture, best first: the three numbers with each.</summary>
    public static IReadOnlyList<ShakeChange> Advice(RigDocument rig, Catalogue stock)
    {
        var now = Worst(rig, stock);
        return [.. Candidates(rig, stock).Select(c => (c, Numbers: Try(c.Rig, stock))).Where(x => x.Numbers is not null)
            .Select(x => new ShakeChange(x.c.Id, x.c.Title, x.Numbers!.Numbers[0].Pixels, x.Numbers.Numbers[1].Pixels, x.Numbers.Numbers[2].Pixels, x.Numbers.Word, x.c.Rig))
            .OrderBy(c => Math.Max(c.Shake, Math.Max(c.Smear, c.Wobble))).ThenBy(c => c.Id, StringComparer.Ordinal).Where(c => Math.Max(c.Shake, Math.Max(c.Smear, c.Wobble)) < 0.95 * now || c.Smear < 0.7 * now).Take(8)];
    }

    private static double Worst(RigDocument rig, Catalogue stock) => Try(rig, stock)?.Numbers.Max(n => n.Pixels) ?? double.MaxValue;

    private static PictureWords? Try(RigDocument rig, Catalogue stock)
    {
        try
        {
            var model = new RigModel(rig, stock);
            return model.Mechanism is not null || model.Builder.Findings.Any(f => f.Blocks) ? null : Words(model, new ModalResponse(model));
        }
        catch (DocumentException)
        {
            return null; // The change does not fit this rig.
        }
    }

    private static IEnumerable<(string Id, string Title, RigDocument Rig)> Candidates(RigDocument rig, Catalogue stock)
    {
        foreach (var (id, title, changed) in Instead.Braces(rig))
            yield return (id, title, changed);
        if (rig.Reach is Rigs.Reaches.ArticulatedArm arm)
            yield return ("shorter-arm", "An arm a quarter shorter", rig with { Reach = arm with { Length = Math.Max(0.1, arm.Length * 0.75) } });
        if (rig.Reach is Rigs.Reaches.Riser riser)
            yield return ("lower-riser", "A riser a third lower", rig with { Reach = riser with { Height = Math.Max(0.02, riser.Height * 2 / 3) } });
        if (rig.Reach is not Rigs.Reaches.NoReach)
            yield return ("no-reach", "The head straight on the base", rig with { Reach = new Rigs.Reaches.NoReach() });
        foreach (var c in Instead.Of(rig, "isolator", stock))
            yield return ("isolator-" + c.Id, c.Title, c.Changed);
        if (rig.Camera.Exposure > 1.0 / 400)
            yield return ("exposure", "A quarter of the exposure", rig with { Camera = rig.Camera with { Exposure = rig.Camera.Exposure / 4 } });
        var lens = stock.Find<LensRow>("lenses", rig.Camera.Lens);
        if (lens.Mass > 0 && stock.Lenses.Where(l => l.Mass > 0 && l.FocalLength < lens.FocalLength).MaxBy(l => l.FocalLength) is { } wider)
            yield return ("wider-lens", $"A wider lens: {wider.Name}", rig with { Camera = rig.Camera with { Lens = wider.Id } });
        if (rig.Run.Speed > 8)
            yield return ("slower", "A third slower", rig with { Run = rig.Run with { Speed = rig.Run.Speed * 2 / 3 } });
    }

    /// <summary>One computation.</summary>
    private sealed class Run
    {
        private readonly RigModel model;
        private readonly ModalResponse modal;
        private readonly RigBuilder b;
        private readonly IReadOnlyList<RandomShake> random;
        private readonly IReadOnlyList<SineShake> steady;
        private readonly ShakeProfile profile;
        private readonly double[] frequencies;
        private readonly double[] pan;
        private readonly double[] tilt;
        private readonly double[] sum;
        private readonly List<(double Frequency, double Power, string Label)> lines = [];

        public Run(RigModel model, ModalResponse modal)
        {
            (this.model, this.modal, b) = (model, modal, model.Builder);
            profile = b.Host.Shake;
            var speed = b.Rig.Run.Speed;
            random = profile.Random(b.Rig.Run.Road, speed);
            steady = profile.Steady(speed, b.Rig.Run.Rpm);
            frequencies = Points();
            (pan, tilt, sum) = (new double[frequencies.Length], new double[frequencies.Length], new double[frequencies.Length]);
            var roll = RollShare();
            var left = b.Camera.Up.Cross(b.Camera.View);
            var gimbal = b.Rig.Head is GimbalHead;
            for (var i = 0; i < frequencies.Length; i++)
            {
                var f = frequencies[i];
                double rolls = 0;
                foreach (var shake in random)
                {
                    var s = shake.Spectrum(f);
                    for (var axis = 0; axis < 3; axis++)
                    {
                        var share = axis switch { 0 => shake.Along, 1 => shake.Across, _ => 1 };
                        var (x, y, z) = modal.Rotation(f, axis);
                        pan[i] += share * share * s * Square(x, y, z, b.Camera.Up);
                        tilt[i] += share * share * s * Square(x, y, z, left);
                        rolls += share * share * s * Square(x, y, z, b.Camera.View);
                    }
                    tilt[i] += profile.Pitch(shake, f);
                }
                if (gimbal)
                {
                    var kept = PictureSpread.Stabilised(f, GimbalCorner);
                    (pan[i], tilt[i], rolls) = (pan[i] * kept, tilt[i] * kept, rolls * kept);
                }
                sum[i] = pan[i] + tilt[i] + roll * roll * rolls;
            }
            foreach (var s in steady)
            {
                var power = 0.0;
                for (var axis = 0; axis < 3; axis++)
                {
                    var (x, y, z) = modal.Rotation(s.Frequency, axis);
                    power += (axis == 2 ? 1 : 0.25) * s.Amplitude * s.Amplitude / 2 * (Square(x, y, z, b.Camera.Up) + Square(x, y, z, left));
                }
                lines.Add((s.Frequency, power, s.Label));
            }
        }

        public PictureWords Words()
        {
            var c = b.Rig.Camera;
            var delivered = c.Delivery == Delivery.Hd ? 1920 : 3840;
            var focal = PictureSpread.FocalPixels(b.Camera.Lens.FocalLength, b.Camera.Body.SensorWidth, delivered);
            var corner = c.Stabiliser == Stabiliser.Off ? 0 : b.Camera.Body.Stabilisation switch { "strong" => 5, "none" => 0, _ => 2.5 };
            PictureNumber Number(string id, string label, double time, double stabilised)
            {
                double Weight(double f) => PictureSpread.Weight(f, time) * PictureSpread.Stabilised(f, stabilised);
                var weighted = frequencies.Select((f, i) => sum[i] * Weight(f)).ToArray();
                var fromRoad = PictureSpread.Rms(frequencies, i => weighted[i], focal);
                var fromLines = lines.Select(l => focal * Math.Sqrt(l.Power * Weight(l.Frequency))).ToList();
                var all = Math.Sqrt(fromRoad * fromRoad + fromLines.Sum(x => x * x));
                var strongest = fromLines.Count > 0 && fromLines.Max() > fromRoad ? lines[fromLines.IndexOf(fromLines.Max())].Label : random.Count > 0 ? random[0].Label : "nothing";
                return new(id, label, all, all / Doubt, all * Doubt, WordOf(all), Blame(weighted), strongest);
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

        public ShakeReport Report()
        {
            var acceleration = 0.0;
            for (var i = 1; i < frequencies.Length; i++)
                acceleration += 0.5 * (Acceleration(frequencies[i]) + Acceleration(frequencies[i - 1])) * (frequencies[i] - frequencies[i - 1]);
            var rms = Math.Sqrt(acceleration);
            var energy = modal.Modes.Select(m => m.Rotation.Length * m.Participation.Max(Math.Abs) / Math.Pow(m.Frequency, 2)).ToList();
            return new ShakeReport(
                Words(), [.. modal.Modes.Select((m, i) => new ModeReport(m.Frequency, m.Damping, Name(m), energy.Sum() > 0 ? energy[i] / energy.Sum() : 0, Movement(m)))], frequencies,
                [.. frequencies.Select(f => random.Sum(r => r.Spectrum(f)))], sum, tilt, pan, [.. steady.Select(s => new SteadyReport(s.Label, s.Frequency, s.Amplitude, s.Source))],
                random.Count > 0 ? random[0].Label : "standing still", random.Count > 0 ? random[0].Source : "", rms, 3 * rms, Members(), b.Soft?.Invoke());
        }

        /// <summary>Stress of each member from vibration: modes by SRSS, each with the movement that the road gives it.</summary>
        private List<MemberLife> Members()
        {
            var amplitude = modal.Modes.Select(m =>
            {
                var sum2 = 0.0;
                for (var i = 1; i < frequencies.Length; i++)
                {
                    double At(int k)
                    {
                        var h = ModalResponse.Transfer(m, 2 * Math.PI * frequencies[k]);
                        var gain = h.Real * h.Real + h.Imaginary * h.Imaginary;
                        return random.Sum(r => r.Spectrum(frequencies[k]) * gain * (Math.Pow(r.Along * m.Participation[0], 2) + Math.Pow(r.Across * m.Participation[1], 2) + Math.Pow(m.Participation[2], 2)));
                    }
                    sum2 += 0.5 * (At(i) + At(i - 1)) * (frequencies[i] - frequencies[i - 1]);
                }
                return Math.Sqrt(sum2);
            }).ToArray();
            var list = new List<MemberLife>();
            Span<double> e = stackalloc double[12];
            foreach (var p in b.Pieces)
            {
                double square = 0, strongest = 0, at = 1;
                for (var n = 0; n < modal.Modes.Count; n++)
                {
                    var most = 0.0;
                    for (var i = p.First; i < p.First + p.Count; i++)
                    {
                        model.System.BeamForces(modal.Modes[n].Shape, i, e);
                        for (var end = 0; end < 12; end += 6)
                            most = Math.Max(most, Math.Abs(e[end + 4]) / p.Section.ModulusY + Math.Abs(e[end + 5]) / p.Section.ModulusZ);
                    }
                    var s = most * amplitude[n];
                    square += s * s;
                    if (s > strongest)
                        (strongest, at) = (s, modal.Modes[n].Frequency);
                }
                if (square > 0)
                    list.Add(new MemberLife(p.Station, p.Label, Math.Sqrt(square), Fatigue.Hours(p.Material, Math.Sqrt(square), at)));
            }
            return [.. list.OrderBy(m => m.Hours).ThenByDescending(m => m.Stress).Take(5)];
        }

        /// <summary>Absolute vertical acceleration of the camera, (m/s²)²/Hz: what the host does and what the rig adds.</summary>
        private double Acceleration(double f)
        {
            var w2 = Math.Pow(2 * Math.PI * f, 2);
            var total = 0.0;
            foreach (var shake in random)
            {
                var (_, _, z) = modal.Move(f, 2);
                var gain = 1 - w2 * z;
                total += shake.Spectrum(f) * (gain.Real * gain.Real + gain.Imaginary * gain.Imaginary);
            }
            return total;
        }

        /// <summary>The mode nearest to where most of a weighted spectrum lies; −1 below half of the first.</summary>
        private int Blame(double[] weighted)
        {
            var (best, at) = (0.0, 0);
            for (var i = 1; i < weighted.Length; i++)
                if (weighted[i] * frequencies[i] is var v && v > best)
                    (best, at) = (v, i);
            if (modal.Modes.Count == 0 || frequencies[at] < 0.5 * modal.Modes[0].Frequency)
                return -1;
            return Enumerable.Range(0, modal.Modes.Count).MinBy(m => Math.Abs(Math.Log(modal.Modes[m].Frequency / frequencies[at])));
        }

        private double RollShare() => 0.25 * b.Camera.Body.SensorWidth / b.Camera.Lens.FocalLength;

        private static Sharp WordOf(double pixels) => pixels < 1 ? Sharp.Sharp : pixels <= 3 ? Sharp.Soft : Sharp.Unusable;

        private static double Square(Complex x, Complex y, Complex z, Vec3 axis)
        {
            var v = x * axis.X + y * axis.Y + z * axis.Z;
            return v.Real * v.Real + v.Imaginary * v.Imaginary;
        }

        /// <summary>A logarithmic grid with points crowded round the modes.</summary>
        private double[] Points()
        {
            var list = Enumerable.Range(0, Grid).Select(i => Lowest * Math.Pow(Highest / Lowest, i / (Grid - 1.0))).ToList();
            foreach (var m in modal.Modes.Where(m => m.Frequency is > Lowest and < Highest))
                foreach (var s in new[] { -6, -3, -1.5, -0.7, -0.3, 0, 0.3, 0.7, 1.5, 3, 6.0 })
                    list.Add(m.Frequency * Math.Max(0.5, 1 + s * m.Damping));
            return [.. list.Where(f => f is >= Lowest and <= Highest).Order().Distinct()];
        }

        /// <summary>What moves, in words: which way the camera goes, and what gives.</summary>
        private string Name(RigMode m)
        {
            var lever = 0.15;
            var way = m.Rotation.Length * lever > 2 * m.Move.Length
                ? Math.Abs(m.Rotation.Z) > 0.8 * m.Rotation.Length ? "turns" : Math.Abs(m.Rotation.X) > Math.Abs(m.Rotation.Y) ? "rolls" : "nods"
                : Math.Abs(m.Move.Y) >= Math.Abs(m.Move.X) && Math.Abs(m.Move.Y) >= Math.Abs(m.Move.Z) ? "rocks sideways"
                : Math.Abs(m.Move.X) >= Math.Abs(m.Move.Z) ? "rocks fore and aft" : "goes up and down";
            var springs = model.System.Model.Springs;
            var (best, id) = springs.Select((s, i) => (Energy: model.System.SpringEnergy(m.Shape, i), s.Id)).MaxBy(x => x.Energy);
            var share = best / (0.5 * Math.Pow(2 * Math.PI * m.Frequency, 2));
            var hold = b.Holds.FirstOrDefault(h => h.Id == id);
            var place = b.Rig.Site;
            var where = share < 0.25 ? "as its members bend"
                : hold is { Station: "base" } ? place.Form == Hosts.SiteForm.Panel ? $"on the {place.Name.ToLowerInvariant()} skin" : $"on its {hold.Label}"
                : hold is not null ? $"on its {hold.Label}"
                : id.StartsWith("isolator", StringComparison.Ordinal) || id.StartsWith("arm", StringComparison.Ordinal) || id.StartsWith("pendulum", StringComparison.Ordinal) ? "on its soft mount"
                : $"at the {id.Replace("-spring", "").Replace('-', ' ')}";
            return $"camera {way} {where}";
        }

        private Dictionary<string, double[]> Movement(RigMode m)
        {
            var nodes = b.Figure.SelectMany(s => s.Points).Select(p => p.Node).Where(n => n.Length > 0).Distinct().ToDictionary(n => n, n => model.System.Displacement(m.Shape, model.System.NodeIndex(n)).U);
            var most = Math.Max(1e-12, nodes.Values.Max(v => v.Length));
            return nodes.ToDictionary(p => p.Key, p => (1 / most * p.Value).ToArray());
        }
    }
}
