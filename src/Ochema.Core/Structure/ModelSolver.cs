namespace Ochema.Core.Structure;

/// <summary>Fills a model document with its results.</summary>
public static class ModelSolver
{
    /// <summary>How many natural frequencies a document gets at most.</summary>
    public const int ModeCount = 10;

    /// <summary>
    /// Every case of the document with its displacements, spring forces and line tensions, and the lowest natural frequencies.
    /// What cannot be computed is absent, with a finding that says why. The document must have passed <see cref="ModelDocumentReader"/>.
    /// </summary>
    public static ModelDocument Solve(ModelDocument document)
    {
        var system = new FrameSystem(document);
        var frames = new Dictionary<string, FactoredFrame>();
        FactoredFrame Frame(IReadOnlyList<string>? without)
        {
            var key = string.Join('\n', (without ?? []).Order(StringComparer.Ordinal));
            if (!frames.TryGetValue(key, out var f))
                frames[key] = f = new FactoredFrame(system, without ?? []);
            return f;
        }
        var findings = new List<ModelFinding>();
        var cases = document.Cases.Select(c => SolveCase(system, Frame(c.Without), c)).ToList();
        findings.AddRange(SpringNotes(document));
        var modes = Modes(system, Frame(null), ModeCount, out var modeFinding, out _);
        if (modeFinding is not null)
            findings.Add(new ModelFinding("modes", modeFinding));
        return document with { Cases = cases, Modes = modes, Findings = findings.Count > 0 ? findings : null };
    }

    private static ModelCase SolveCase(FrameSystem system, FactoredFrame frame, ModelCase c)
    {
        if (frame.Mechanism is { } mechanism)
            return c with { Result = null, Finding = mechanism.Text };
        var load = new double[system.Size];
        if (c.Gravity is { } g)
            system.AddGravity(load, Vec3.From(g), frame.Present);
        foreach (var l in c.Loads)
            system.AddLoad(load, system.NodeIndex(l.Node), l.F is null ? Vec3.Zero : Vec3.From(l.F), l.M is null ? Vec3.Zero
                : Vec3.From(l.M));
        var beam = system.Beams.Select((b, i) => (b.Member.Id, i)).ToDictionary(e => e.Id, e => e.i);
        foreach (var w in c.MemberLoads)
            if (frame.Present(w.Member))
                system.AddMemberLoad(load, beam[w.Member], Vec3.From(w.W));
        if (frame.Solve(load) is not { } solved)
            return c with { Result = null, Finding = "No stable state: with its slack lines the rest is free to move under these loads." };
        var result = Result(system, frame, solved.U, solved.Tension);
        return result.Displacements.Values.Concat(result.SpringForces.Values).All(v => v.All(double.IsFinite))
            ? c with { Result = result, Finding = null }
            : c with { Result = null, Finding = "The numbers of this case are outside what can be computed." };
    }

    private static ModelResult Result(FrameSystem system, FactoredFrame frame, double[] u, double[] tension)
    {
        var doc = system.Model;
        var displacements = new Dictionary<string, double[]>();
        for (var n = 0; n < doc.Nodes.Count; n++)
        {
            var (d, r) = system.Displacement(u, n);
            displacements[doc.Nodes[n].Id] = [d.X, d.Y, d.Z, r.X, r.Y, r.Z];
        }
        var springs = new Dictionary<string, double[]>();
        for (var s = 0; s < doc.Springs.Count; s++)
            if (frame.Present(doc.Springs[s].Id))
            {
                var f = new double[6];
                system.SpringForce(u, s, f);
                springs[doc.Springs[s].Id] = f;
            }
        var lines = new Dictionary<string, double>();
        for (var l = 0; l < doc.Lines.Count; l++)
            if (frame.Present(doc.Lines[l].Id))
                lines[doc.Lines[l].Id] = tension[l];
        return new ModelResult(displacements, springs, lines);
    }

    /// <summary>Natural frequencies of the frame with the lines that carry tension when pretension alone acts.</summary>
    internal static List<ModelMode>? Modes(FrameSystem system, FactoredFrame intact, int count, out string? finding, out double[][] shapes)
    {
        shapes = [];
        finding = null;
        if (intact.Mechanism is { } m)
        {
            finding = m.Text;
            return null;
        }
        if (intact.Solve(new double[system.Size]) is not { } rest)
        {
            finding = "No stable state under pretension alone.";
            return null;
        }
        var taut = Enumerable.Range(0, system.Lines.Length).Where(l => system.Lines[l].Sign * rest.Tension[l] > 0);
        var k = system.Stiffness(intact.Present, taut);
        var factor = k.Clone();
        if (system.Factorise(factor) is { } free)
        {
            finding = free.Text;
            return null;
        }
        var (omega2, vectors) = NaturalModes.Lowest(k, factor, system.Mass(intact.Present), count);
        if (omega2.Length == 0 || !omega2.All(w => w > 0 && double.IsFinite(w)))
        {
            finding = "There is no mass that can move.";
            return null;
        }
        shapes = vectors;
        return [.. omega2.Select(w => new ModelMode(Math.Sqrt(w) / (2 * Math.PI)))];
    }

    private static IEnumerable<ModelFinding> SpringNotes(ModelDocument document)
    {
        var at = document.Nodes.ToDictionary(n => n.Id, n => n.Position);
        return document.Springs.Where(s => s.To is not null && (at[s.From] - at[s.To]).Length > 1e-6)
            .Select(s => new ModelFinding(s.Id, "Joins nodes that do not coincide; it acts without a lever arm."));
    }
}
