using Ochema.Core.Structure;
using Ochema.Core.Structure.Lines;

namespace Ochema.Core.Tests.Support;

/// <summary>
/// Another way to hang a net: every rope a chain of short straight springs with its weight at their ends, left to swing with its movement
/// taken away at each turn (dynamic relaxation, Day 1965), with no matrix and no catenary. Ropes over pulleys must be light: one spring
/// round all of them.
/// </summary>
internal static class ChainSolver
{
    private const int Links = 40;

    public static (Dictionary<string, Vec3> At, Dictionary<string, double> Most) Solve(HangTask task)
    {
        var gravity = task.Gravity is { } g ? Vec3.From(g) : new Vec3(0, 0, -9.80665);
        var wind = task.Wind is { } w ? Vec3.From(w) : Vec3.Zero;
        var index = task.Nodes.Select((n, i) => (n.Id, i)).ToDictionary(p => p.Id, p => p.i);
        var at = task.Nodes.Select(n => new Vec3(n.X, n.Y, n.Z)).ToList();
        var still = task.Nodes.Select(n => n.Fixed).ToList();
        var load = Enumerable.Repeat(Vec3.Zero, at.Count).ToList();
        foreach (var l in task.Loads)
            load[index[l.Node]] += (l.M ?? 0) * gravity + (l.F is { } f ? Vec3.From(f) : Vec3.Zero);
        var springs = new List<(int[] Nodes, double Length, double K, string Rope, Vec3 Half)>();
        foreach (var r in task.Ropes)
        {
            var q = r.Mass * gravity + wind;
            var links = r.Via.Count == 0 && q.Length > 0 ? Links : 1;
            int[] ends = [index[r.From], .. r.Via.Select(v => index[v]), index[r.To]];
            var (length, last) = (r.Length / links, ends[0]);
            for (var i = 1; i <= links; i++)
            {
                var next = i == links ? ends[^1] : at.Count;
                if (i < links)
                {
                    at.Add(at[ends[0]] + i / (double)links * (at[ends[^1]] - at[ends[0]]));
                    still.Add(false);
                    load.Add(Vec3.Zero);
                }
                int[] own = links == 1 ? ends : [last, next];
                springs.Add((own, length, r.EA / length, r.Id, 0.5 * length * q));
                load[own[0]] += 0.5 * length * q;
                load[own[^1]] += 0.5 * length * q;
                last = next;
            }
        }
        var mass = new double[at.Count];
        foreach (var s in springs)
            foreach (var n in s.Nodes)
                mass[n] += 2.5 * s.K;
        var speed = new Vec3[at.Count];
        var force = new Vec3[at.Count];
        var (before, tensions) = (0.0, new double[springs.Count]);
        for (var round = 0; round < 400_000; round++)
        {
            for (var n = 0; n < at.Count; n++)
                force[n] = load[n];
            for (var k = 0; k < springs.Count; k++)
            {
                var s = springs[k];
                var whole = 0.0;
                for (var i = 1; i < s.Nodes.Length; i++)
                    whole += (at[s.Nodes[i]] - at[s.Nodes[i - 1]]).Length;
                tensions[k] = Math.Max(0, s.K * (whole - s.Length));
                for (var i = 1; i < s.Nodes.Length; i++)
                {
                    var pull = tensions[k] * (at[s.Nodes[i]] - at[s.Nodes[i - 1]]).Normalized();
                    force[s.Nodes[i - 1]] += pull;
                    force[s.Nodes[i]] -= pull;
                }
            }
            var (moving, worst) = (0.0, 0.0);
            for (var n = 0; n < at.Count; n++)
                if (!still[n] && mass[n] > 0)
                {
                    speed[n] += (1 / mass[n]) * force[n];
                    moving += mass[n] * speed[n].Dot(speed[n]);
                    worst = Math.Max(worst, force[n].Length);
                }
            if (worst < 1e-5 * tensions.Max())
                break;
            if (moving < before)
                (before, moving) = (0, 0);
            before = moving;
            for (var n = 0; n < at.Count; n++)
                if (moving == 0)
                    speed[n] = Vec3.Zero;
                else if (!still[n])
                    at[n] += speed[n];
        }
        var most = new Dictionary<string, double>();
        for (var k = 0; k < springs.Count; k++)
            most[springs[k].Rope] = Math.Max(most.GetValueOrDefault(springs[k].Rope), tensions[k]);
        return (task.Nodes.ToDictionary(n => n.Id, n => at[index[n.Id]]), most);
    }
}
