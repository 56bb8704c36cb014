namespace Ochema.Core.Structure;

/// <summary>
/// A frame with some parts gone, factored once for many load cases. Lines enter the factor as springs;
/// <see cref="Solve"/> then settles which of them are slack without factoring again.
/// </summary>
internal sealed class FactoredFrame
{
    private readonly FrameSystem system;
    private readonly EnvelopeMatrix factor;
    private readonly int[] lines;
    private readonly double[][] lineResponse;
    private readonly double[,] complementarity;
    private readonly double[] flexibility;

    /// <summary>The free motion, when the stiffness is singular; nothing can be solved then.</summary>
    public Mechanism? Mechanism { get; }

    public Func<string, bool> Present { get; }

    public FactoredFrame(FrameSystem system, IReadOnlyCollection<string> without)
    {
        this.system = system;
        var gone = without.ToHashSet();
        Present = id => !gone.Contains(id);
        lines = [.. Enumerable.Range(0, system.Lines.Length).Where(l => Present(system.Lines[l].Line.Id))];
        factor = system.Stiffness(Present, lines);
        Mechanism = system.Factorise(factor);
        (lineResponse, complementarity, flexibility) = ([], new double[0, 0], []);
        if (Mechanism is not null)
            return;
        lineResponse = [.. lines.Select(l => SolveFactor(system.Lines[l].Vector))];
        complementarity = LineCoupling(system, lines, lineResponse);
        flexibility = [.. lines.Select(l => 1 / system.Lines[l].Stiffness)];
    }

    /// <summary>The symmetric matrix M of <see cref="LineComplementarity"/> from the responses to unit line forces.</summary>
    public static double[,] LineCoupling(FrameSystem system, int[] lines, double[][] response)
    {
        var m = new double[lines.Length, lines.Length];
        for (var i = 0; i < lines.Length; i++)
            for (var j = 0; j < lines.Length; j++)
            {
                var (a, b) = (system.Lines[lines[i]], system.Lines[lines[j]]);
                var c = 0.0;
                foreach (var (dof, v) in a.Entries)
                    c += v * response[j][dof];
                m[i, j] = a.Sign * b.Sign * ((i == j ? 1 / a.Stiffness : 0) - c);
            }
        return m;
    }

    /// <summary>Displacements and line tensions (by line of the model, absent lines 0) under a load vector, or null when no stable state
    /// exists.</summary>
    public (double[] U, double[] Tension)? Solve(ReadOnlySpan<double> load)
    {
        var u = SolveFactor(load);
        for (var i = 0; i < lines.Length; i++)
            VectorMath.AddScaled(u, -system.Lines[lines[i]].Line.Pretension, lineResponse[i]);
        var q = new double[lines.Length];
        for (var i = 0; i < lines.Length; i++)
        {
            var l = system.Lines[lines[i]];
            q[i] = l.Sign * (l.Line.Pretension / l.Stiffness + Lengthening(l, u));
        }
        if (LineComplementarity.Solve(complementarity, q, flexibility) is not { } s)
            return null;
        for (var i = 0; i < lines.Length; i++)
            VectorMath.AddScaled(u, -system.Lines[lines[i]].Sign * s[i], lineResponse[i]);
        var tension = new double[system.Lines.Length];
        for (var i = 0; i < lines.Length; i++)
        {
            var l = system.Lines[lines[i]];
            tension[lines[i]] = s[i] > 0 ? 0 : l.Sign * Math.Max(0, l.Sign * (l.Line.Pretension + l.Stiffness * Lengthening(l, u)));
        }
        return (u, tension);
    }

    private double[] SolveFactor(ReadOnlySpan<double> load)
    {
        var u = load.ToArray();
        factor.Solve(u);
        return u;
    }

    private static double Lengthening(LineElement line, double[] u)
    {
        var d = 0.0;
        foreach (var (dof, v) in line.Entries)
            d += v * u[dof];
        return d;
    }
}
