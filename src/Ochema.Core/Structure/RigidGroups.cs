namespace Ochema.Core.Structure;

/// <summary>
/// Nodes joined by rigid links move as one body: each body keeps the six degrees of freedom of one of its nodes,
/// the others follow exactly, u = u_ref + θ × r.
/// </summary>
internal sealed class RigidGroups
{
    /// <summary>Body of each node.</summary>
    public int[] GroupOf { get; }

    /// <summary>From the body's reference node to the node, m.</summary>
    public Vec3[] Offset { get; }

    public int Count { get; }

    public RigidGroups(IReadOnlyList<ModelNode> nodes, IEnumerable<(int From, int To)> links)
    {
        var parent = Enumerable.Range(0, nodes.Count).ToArray();
        int Root(int i)
        {
            while (parent[i] != i)
                i = parent[i] = parent[parent[i]];
            return i;
        }
        foreach (var (a, b) in links)
        {
            var (ra, rb) = (Root(a), Root(b));
            parent[Math.Max(ra, rb)] = Math.Min(ra, rb);
        }
        GroupOf = new int[nodes.Count];
        Offset = new Vec3[nodes.Count];
        var index = new Dictionary<int, int>();
        for (var i = 0; i < nodes.Count; i++)
        {
            var r = Root(i);
            if (!index.TryGetValue(r, out var g))
                index[r] = g = index.Count;
            GroupOf[i] = g;
            Offset[i] = nodes[i].Position - nodes[r].Position;
        }
        Count = index.Count;
    }

    /// <summary>
    /// An order of the bodies with a small envelope: reverse Cuthill–McKee from a far-out start
    /// (Cuthill and McKee 1969; start after George and Liu 1979). Deterministic.
    /// </summary>
    public int[] Order(IEnumerable<(int A, int B)> edges)
    {
        var neighbours = new SortedSet<int>[Count];
        for (var i = 0; i < Count; i++)
            neighbours[i] = [];
        foreach (var (a, b) in edges)
            if (a != b)
            {
                neighbours[a].Add(b);
                neighbours[b].Add(a);
            }
        var order = new List<int>(Count);
        var seen = new bool[Count];
        for (var i = 0; i < Count; i++)
        {
            if (seen[i])
                continue;
            var start = FarEnd(FarEnd(i, neighbours), neighbours);
            var queue = new Queue<int>([start]);
            seen[start] = true;
            while (queue.TryDequeue(out var g))
            {
                order.Add(g);
                foreach (var n in neighbours[g].Where(n => !seen[n]).OrderBy(n => neighbours[n].Count).ThenBy(n => n))
                {
                    seen[n] = true;
                    queue.Enqueue(n);
                }
            }
        }
        order.Reverse();
        return [.. order];
    }

    private static int FarEnd(int start, SortedSet<int>[] neighbours)
    {
        var seen = new HashSet<int> { start };
        var queue = new Queue<int>([start]);
        var last = start;
        while (queue.TryDequeue(out var g))
        {
            last = g;
            foreach (var n in neighbours[g])
                if (seen.Add(n))
                    queue.Enqueue(n);
        }
        return last;
    }
}
