using Ochema.Core.Analysis;

namespace Ochema.Core.Sharpness;

/// <summary>Stress of members from steady shaking, modes by the root of the sum of squares, and how long they last under it.</summary>
internal static class MemberLives
{
    private const int Most = 5;

    public static IReadOnlyList<MemberLife> Of(RigModel model)
    {
        var d = model.Dynamics!;
        double Random(RigMode m, int n) => d.Excitations.Random.Sum(e => e.Forces[n] == 0 ? 0 : e.Forces[n] * e.Forces[n]
            * m.MeanSquare(d.Frequencies, e.Spectrum));
        // Of what an engine runs through, the worst: where it meets the mode.
        double Steady(RigMode m, int n) => d.Excitations.Steady.Sum(e => e.Forces.Sum(f => f[n] * f[n])
            * 0.5 * Math.Pow(m.Transfer(2 * Math.PI * Math.Clamp(m.Frequency, e.Shake.Frequency, e.To)).Magnitude, 2));
        var amplitude = model.Modes.Select((m, n) => Math.Sqrt(Random(m, n) + Steady(m, n))).ToArray();
        var list = new List<MemberLife>();
        Span<double> e = stackalloc double[12];
        foreach (var p in model.Built.Pieces)
        {
            double square = 0, strongest = 0, at = 1;
            for (var n = 0; n < model.Modes.Count; n++)
            {
                var most = 0.0;
                for (var i = p.First.Value; i < p.First.Value + p.Count; i++)
                {
                    model.System.BeamForces(model.Modes[n].Shape, i, e);
                    for (var end = 0; end < 12; end += 6)
                        most = Math.Max(most, Math.Abs(e[end + 4]) / p.Section.ModulusY + Math.Abs(e[end + 5]) / p.Section.ModulusZ);
                }
                var s = most * amplitude[n];
                square += s * s;
                if (s > strongest)
                    (strongest, at) = (s, model.Modes[n].Frequency);
            }
            if (square > 0)
                list.Add(new MemberLife(p.Station.ToString(), p.Label, Math.Sqrt(square), Fatigue.Hours(p.Material, Math.Sqrt(square), at)));
        }
        return [.. list.OrderBy(m => m.Hours).ThenByDescending(m => m.Stress).Take(Most)];
    }
}
