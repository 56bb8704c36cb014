using System.Globalization;

namespace Ochema.Core.Structure.Lines;

/// <summary>
/// Finds the shape in which a net of ropes hangs still: the least of its energy, which is convex in the places of the nodes (ropes carry no
/// push), by Newton's method with a search along each step for where it stops falling. It begins from a soft net, as springs of no length
/// would hang, and stiffens the ropes step by step: no guess of the user's has a say in the answer.
/// </summary>
public sealed class HangingNet
{
    /// <summary>Unbalanced force that counts as none, as a share of the largest force of the net.</summary>
    private const double Balanced = 1e-9;

    /// <summary>Largest share left unbalanced that is still an answer.</summary>
    private const double Passable = 1e-3;

    private const int Rounds = 300;

    /// <summary>Damping, as a share of the typical stiffness, beyond which a step is none.</summary>
    private const double MostDamping = 1e15;

    /// <summary>Nodes nearer than this share of the rope are drawn onto each other.</summary>
    private const double Together = 1e-5;
    private readonly HangTask task;
    private readonly List<NetRope> ropes = [];
    private readonly Vec3[] at;
    private readonly Vec3[] loads;
    private readonly int[] place;
    private readonly int[] first;
    private readonly int unknowns;
    private readonly double[] lengths;
    private readonly double force;
    private readonly double reach;
    /// <summary>Weight and wind of each rope, N.</summary>
    private readonly Vec3[] pulls;

    private HangingNet(HangTask task)
    {
        this.task = task;
        var index = task.Nodes.Select((n, i) => (n.Id, i)).ToDictionary(p => p.Id, p => p.i);
        var (gravity, wind) = (task.Gravity is { } g ? Vec3.From(g) : new Vec3(0, 0, -9.80665), task.Wind is { } w ? Vec3.From(w)
            : Vec3.Zero);
        at = [.. task.Nodes.Select(n => n.Position)];
        loads = new Vec3[at.Length];
        foreach (var l in task.Loads)
            loads[index[l.Node]] += (l.M ?? 0) * gravity + (l.F is { } f ? Vec3.From(f) : Vec3.Zero);
        foreach (var r in task.Ropes)
        {
            int[] nodes = [index[r.From], .. r.Via.Select(v => index[v]), index[r.To]];
            var q = r.Mass * gravity + wind;
            ropes.Add(q.Length > 0 ? new HeavyRope(q, nodes.Length - 1) { Nodes = nodes, Length = r.Length }
                : new StraightRope { Nodes = nodes, Length = r.Length });
        }
        pulls = [.. task.Ropes.Select(r => r.Length * (r.Mass * gravity + wind))];
        force = loads.Sum(l => l.Length) + pulls.Sum(p => p.Length);
        // A node alone without ropes reaches nowhere: it stays where it is.
        reach = ropes.Sum(r => r.Length) + Spread() is > 0 and var far ? far : 1;
        lengths = [.. ropes.SelectMany(r => Enumerable.Repeat(r.Length / r.Stretches, r.Lengths))];
        (place, first, unknowns) = Numbered();
    }

    /// <summary>The shape, tensions and reactions, or why nothing hangs still.</summary>
    public static HangResult Solve(HangTask task) => new HangingNet(task).Solved();

    private double Spread()
    {
        var apart = task.Nodes.Any(n => n.Fixed) ? at.Where((_, n) => IsFixed(n)).ToList() : [.. at];
        double Wide(Func<Vec3, double> of) => apart.Max(of) - apart.Min(of);
        return Wide(p => p.X) + Wide(p => p.Y) + Wide(p => p.Z);
    }

    private bool IsFixed(int node) => task.Nodes[node].Fixed;

    /// <summary>Numbers of the unknowns, neighbours near each other: three of each free node (−1: fixed), then one of each length at its
    /// rope's nodes.</summary>
    /// <returns>First unknown of each node; first of each rope's lengths; how many.</returns>
    private (int[] Place, int[] First, int Count) Numbered()
    {
        var (places, firsts, count) = (Enumerable.Repeat(-1, at.Length).ToArray(), new int[ropes.Count], 0);
        var near = Enumerable.Range(0, at.Length).Select(_ => new List<int>()).ToArray();
        for (var r = 0; r < ropes.Count; r++)
            foreach (var n in ropes[r].Nodes.Distinct())
                near[n].Add(r);
        var seen = new bool[ropes.Count];
        var waiting = new Queue<int>();
        foreach (var start in Enumerable.Range(0, at.Length).OrderBy(n => near[n].Count))
        {
            waiting.Enqueue(start);
            while (waiting.TryDequeue(out var n))
            {
                if (IsFixed(n) || places[n] >= 0)
                    continue;
                (places[n], count) = (count, count + 3);
                foreach (var r in near[n].Where(r => !seen[r]))
                {
                    (seen[r], firsts[r], count) = (true, count, count + ropes[r].Lengths);
                    foreach (var other in ropes[r].Nodes)
                        waiting.Enqueue(other);
                }
            }
        }
        for (var r = 0; r < ropes.Count; r++)
            if (!seen[r])
                (firsts[r], count) = (count, count + ropes[r].Lengths);
        return (places, firsts, count);
    }

    private int Unknown(int rope, int local)
    {
        var nodes = ropes[rope].Nodes;
        return local >= 3 * nodes.Length ? first[rope] + local - 3 * nodes.Length
            : place[nodes[local / 3]] is >= 0 and var p ? p + local % 3 : -1;
    }

    private HangResult Solved()
    {
        if (Adrift() is { } adrift)
            return new() { Stable = false, Finding = adrift };
        Begin();
        var scale = force > 0 ? force : 0;
        var stiffest = ropes.Count > 0 ? task.Ropes.Max(r => r.EA) : 1;
        for (var limit = scale; scale > 0 && limit < stiffest; limit *= 10)
        {
            Stiffen(limit);
            Settle(1e-4);
            Spare();
        }
        Stiffen(double.PositiveInfinity);
        Settle(Balanced);
        var (left, largest) = (Unbalanced(), Largest());
        if (Drawn() is { } drawn)
            return new() { Stable = false, Finding = drawn };
        if (!(left <= Passable * Math.Max(largest, double.Epsilon)) || Uneven() > Passable * largest)
            return new() { Stable = false, Finding = $"no shape was found in which it hangs still; what is left is {Text(left)} N" };
        return Report(left);
    }

    private static string Text(double v) => v.ToString("0.###", CultureInfo.InvariantCulture);

    private void Stiffen(double limit)
    {
        for (var r = 0; r < ropes.Count; r++)
            ropes[r].Stiffness = Math.Min(task.Ropes[r].EA, limit);
    }

    /// <summary>A part of the net that nothing holds and something pulls at, by the names of its nodes; null where there is none.</summary>
    private string? Adrift()
    {
        var group = Enumerable.Range(0, at.Length).ToArray();
        int Root(int n) => group[n] == n ? n : group[n] = Root(group[n]);
        foreach (var r in ropes)
            foreach (var n in r.Nodes)
                group[Root(n)] = Root(r.Nodes[0]);
        foreach (var part in Enumerable.Range(0, at.Length).GroupBy(Root))
        {
            if (part.Any(IsFixed))
                continue;
            var members = part.ToHashSet();
            var net = part.Aggregate(Vec3.Zero, (sum, n) => sum + loads[n]);
            var sum = part.Sum(n => loads[n].Length);
            for (var r = 0; r < ropes.Count; r++)
                if (members.Contains(ropes[r].Nodes[0]))
                    (net, sum) = (net + pulls[r], sum + pulls[r].Length);
            if (net.Length > 1e-9 * sum)
                return $"nothing holds {Names(part)}: {Text(net.Length)} N carry {(part.Count() == 1 ? "it" : "them")} away";
        }
        return null;
    }

    private string Names(IEnumerable<int> nodes) => string.Join(", ", nodes.Select(n => $"'{task.Nodes[n].Id}'"));

    /// <summary>Where springs of no length, as stiff as the loads are heavy, would carry the free nodes; what nothing holds stays round its
    /// guess.</summary>
    private void Begin()
    {
        if (unknowns == 0)
            return;
        var held = Held();
        var matrix = new EnvelopeMatrix(Envelope());
        var b = new double[unknowns];
        var k = force > 0 ? force : 1;
        for (var n = 0; n < at.Length; n++)
            for (var i = 0; i < 3 && place[n] >= 0; i++)
            {
                b[place[n] + i] += Catenary.At(loads[n], i);
                if (held[n])
                    continue;
                matrix.Add(place[n] + i, place[n] + i, 1e-6 * k / reach);
                b[place[n] + i] += 1e-6 * k / reach * Catenary.At(at[n], i);
            }
        for (var r = 0; r < ropes.Count; r++)
        {
            var rope = ropes[r];
            var stiff = k * rope.Stretches / rope.Length;
            for (var s = 0; s < rope.Stretches; s++)
            {
                var (from, to) = (rope.Nodes[s], rope.Nodes[s + 1]);
                for (var i = 0; i < 3; i++)
                    foreach (var (a, c) in new[] { (from, to), (to, from) })
                    {
                        if (place[a] < 0)
                            continue;
                        b[place[a] + i] += 0.5 / rope.Stretches * Catenary.At(pulls[r], i);
                        matrix.Add(place[a] + i, place[a] + i, stiff);
                        if (place[c] >= 0)
                            matrix.Add(place[a] + i, place[c] + i, -stiff);
                        else
                            b[place[a] + i] += stiff * Catenary.At(at[c], i);
                    }
            }
            for (var l = 0; l < rope.Lengths; l++)
                matrix.Add(first[r] + l, first[r] + l, 1);
        }
        matrix.Factorise(1e-14, false, out _);
        matrix.Solve(b);
        for (var n = 0; n < at.Length; n++)
            if (place[n] >= 0)
                at[n] = new(b[place[n]], b[place[n] + 1], b[place[n] + 2]);
    }

    /// <summary>Which nodes a fixed one holds, through whatever ropes.</summary>
    private bool[] Held()
    {
        var held = Enumerable.Range(0, at.Length).Select(IsFixed).ToArray();
        for (var grown = true; grown;)
        {
            grown = false;
            foreach (var r in ropes.Where(r => r.Nodes.Any(n => held[n]) && !r.Nodes.All(n => held[n])))
            {
                grown = true;
                foreach (var n in r.Nodes)
                    held[n] = true;
            }
        }
        return held;
    }

    private int[] Envelope()
    {
        var rows = Enumerable.Range(0, unknowns).ToArray();
        for (var r = 0; r < ropes.Count; r++)
        {
            var mine = Enumerable.Range(0, 3 * ropes[r].Nodes.Length + ropes[r].Lengths).Select(l => Unknown(r, l)).Where(u => u >= 0)
                .ToList();
            foreach (var u in mine)
                rows[u] = Math.Min(rows[u], mine.Min());
        }
        return rows;
    }

    /// <summary>Gives every stretch some rope again: what a soft net draws together a stiff one may not.</summary>
    private void Spare()
    {
        var l = 0;
        foreach (var rope in ropes)
        {
            var own = lengths.AsSpan(l, rope.Lengths);
            l += own.Length;
            double least = 1e-3 * rope.Length, left = rope.Length;
            foreach (var v in own)
                left -= v;
            var sum = Math.Max(left, least);
            foreach (ref var v in own)
                sum += v = Math.Max(v, least);
            foreach (ref var v in own)
                v *= rope.Length / sum;
        }
    }

    /// <summary>Newton's method at the stiffness that the ropes have now, until nothing is left unbalanced but this share.</summary>
    private void Settle(double share)
    {
        Hang();
        if (unknowns == 0)
            return;
        var rows = Envelope();
        var (gradient, best, bestLeft, since) = (Gradient(), Kept(), double.PositiveInfinity, 0);
        var (damping, drawn) = (1e-9, 0);
        var typical = Math.Max(force, Largest()) / reach;
        for (var round = 0; round < Rounds; round++)
        {
            Asked.Still();
            var left = Math.Max(Unbalanced(), Uneven());
            if (left < 0.9 * bestLeft)
                since = 0;
            if (left < bestLeft)
                (best, bestLeft) = (Kept(), left);
            if (left <= share * Math.Max(Largest(), 1e-12 * force) || ++since > 60)
                break;
            if (Step(rows, gradient, typical, ref damping) is not { } step || !Search(step, ref gradient, ref damping))
                break;
            // What stays drawn together is the answer, not the least unbalanced place on its way there.
            drawn = Drawn() is null ? 0 : drawn + 1;
            if (drawn > 5)
                return;
        }
        Restore(best);
        Hang();
    }

    private (Vec3[] At, double[] Lengths) Kept() => ((Vec3[])at.Clone(), (double[])lengths.Clone());

    private void Restore((Vec3[] At, double[] Lengths) kept)
    {
        kept.At.CopyTo(at, 0);
        kept.Lengths.CopyTo(lengths, 0);
    }

    /// <summary>−H⁻¹·gradient; as much is added to the diagonal as makes the matrix positive. Null where no damping does.</summary>
    private double[]? Step(int[] rows, double[] gradient, double typical, ref double damping)
    {
        var plain = new EnvelopeMatrix(rows);
        for (var r = 0; r < ropes.Count; r++)
        {
            var rope = r;
            ropes[r].Curvature((i, j, v) =>
            {
                var (a, b) = (Unknown(rope, i), Unknown(rope, j));
                if (a >= b && b >= 0)
                    plain.Add(a, b, v);
            });
        }
        for (; damping <= MostDamping; damping *= 10)
        {
            var matrix = plain.Clone();
            for (var i = 0; i < unknowns; i++)
                matrix.Add(i, i, damping * typical + 1e-15 * Math.Abs(plain[i, i]));
            if (matrix.Factorise(1e-15, false, out _) >= 0)
                continue;
            var step = gradient.Select(v => -v).ToArray();
            matrix.Solve(step);
            var longest = step.Max(Math.Abs);
            if (!double.IsFinite(longest))
                continue;
            if (longest > reach)
                for (var i = 0; i < step.Length; i++)
                    step[i] *= reach / longest;
            return step;
        }
        return null;
    }

    /// <summary>Goes along a step to about where the energy stops falling; false where it does not fall at all.</summary>
    private bool Search(double[] step, ref double[] gradient, ref double damping)
    {
        var slope = Dot(gradient, step);
        if (!(slope < 0))
            return false;
        var from = Kept();
        var most = Most(step);
        var (low, high, by) = (0.0, double.PositiveInfinity, Math.Min(1, most));
        for (var tries = 0; tries < 60; tries++)
        {
            Restore(from);
            Go(step, by);
            Hang();
            gradient = Gradient();
            var now = Dot(gradient, step);
            if (Math.Abs(now) <= 0.8 * -slope || (now < 0 && by >= most))
                break;
            if (now < 0)
            {
                low = by;
                by = Math.Min(most, double.IsPositiveInfinity(high) ? 3 * by : 0.5 * (low + high));
            }
            else
            {
                high = by;
                by = 0.5 * (low + high);
            }
        }
        damping = by >= 0.5 ? Math.Max(0.1 * damping, 1e-14) : by < 0.05 ? Math.Min(10 * damping, 1) : damping;
        return true;
    }

    /// <summary>How much of a step leaves every stretch some rope.</summary>
    private double Most(double[] step)
    {
        var (most, l) = (1e6, 0);
        for (var r = 0; r < ropes.Count; r++)
        {
            var last = 0.0;
            for (var s = 0; s < ropes[r].Lengths; s++, l++)
            {
                var d = step[first[r] + s];
                last -= d;
                if (d < 0)
                    most = Math.Min(most, 0.9 * lengths[l] / -d);
            }
            if (last < 0)
                most = Math.Min(most, 0.9 * ropes[r].LengthOf(ropes[r].Stretches - 1) / -last);
        }
        return most;
    }

    private void Go(double[] step, double by)
    {
        for (var n = 0; n < at.Length; n++)
            if (place[n] is >= 0 and var p)
                at[n] += by * new Vec3(step[p], step[p + 1], step[p + 2]);
        for (int r = 0, l = 0; r < ropes.Count; r++)
            for (var s = 0; s < ropes[r].Lengths; s++, l++)
                lengths[l] += by * step[first[r] + s];
    }

    private void Hang()
    {
        var l = 0;
        foreach (var rope in ropes)
        {
            rope.Hang(at, lengths.AsSpan(l, rope.Lengths));
            l += rope.Lengths;
        }
    }

    /// <summary>What ropes and loads together put on each node, N.</summary>
    private Vec3[] Forces()
    {
        var f = (Vec3[])loads.Clone();
        foreach (var rope in ropes)
            for (var s = 0; s < rope.Stretches; s++)
            {
                f[rope.Nodes[s]] += rope.Tensions[s].Start;
                f[rope.Nodes[s + 1]] -= rope.Tensions[s].End;
            }
        return f;
    }

    private double[] Gradient()
    {
        var (g, f) = (new double[unknowns], Forces());
        for (var n = 0; n < at.Length; n++)
            for (var i = 0; i < 3 && place[n] >= 0; i++)
                g[place[n] + i] = -Catenary.At(f[n], i);
        for (var r = 0; r < ropes.Count; r++)
            for (var s = 0; s < ropes[r].Lengths; s++)
                g[first[r] + s] = ropes[r].Gain(s);
        return g;
    }

    private double Unbalanced() => Forces().Where((_, n) => !IsFixed(n)).Select(f => f.Length).DefaultIfEmpty(0).Max();

    /// <summary>Largest difference of tension across a pulley, N.</summary>
    private double Uneven() => ropes.SelectMany(r => Enumerable.Range(1, r.Stretches - 1)
        .Select(s => Math.Abs(r.Tensions[s - 1].End.Length - r.Tensions[s].Start.Length))).DefaultIfEmpty(0).Max();

    /// <summary>Largest tension, or load where nothing is taut, N.</summary>
    private double Largest() => ropes.SelectMany(r => r.Tensions).Select(t => Math.Max(t.Start.Length, t.End.Length)).DefaultIfEmpty(0)
        .Max();

    /// <summary>A node that ran along its rope onto the next, where no shape is left in which the rope runs freely.</summary>
    private string? Drawn()
    {
        for (var r = 0; r < ropes.Count; r++)
            for (var s = 0; s < ropes[r].Stretches && ropes[r].Stretches > 1; s++)
            {
                var (a, b) = (ropes[r].Nodes[s], ropes[r].Nodes[s + 1]);
                if (IsFixed(a) && IsFixed(b))
                    continue;
                if ((at[b] - at[a]).Length < Together * ropes[r].Length && ropes[r].LengthOf(s) < Together * ropes[r].Length)
                    return $"rope '{task.Ropes[r].Id}' draws {Names([a])} and {Names([b])} onto each other: nothing stops it running";
            }
        return null;
    }

    private HangResult Report(double left)
    {
        var forces = Forces();
        return new()
        {
            Stable = true,
            Positions = task.Nodes.Select((n, i) => (n.Id, i)).ToDictionary(p => p.Id, p => at[p.i].ToArray()),
            Tensions = ropes.Select((r, i) => (task.Ropes[i].Id, r)).ToDictionary(p => p.Id, p => new RopeTension(
                p.r.Tensions[0].Start.Length, p.r.Tensions[^1].End.Length,
                p.r.Tensions.Max(t => Math.Max(t.Start.Length, t.End.Length)))),
            Reactions = task.Nodes.Select((n, i) => (n, i)).Where(p => p.n.Fixed).ToDictionary(p => p.n.Id, p => (-forces[p.i]).ToArray()),
            Residual = left,
        };
    }

    private static double Dot(double[] a, double[] b) => VectorMath.Dot(a, b);
}
