namespace Ochema.Core.Structure;

/// <summary>
/// Writes springs that are turned to an axis (the skin under a hold, a soft mount) with what a model document has: springs along the host
/// axes, members and rigid links. Turned to the host axes such a spring has terms off the diagonal, and to leave them out makes it far too
/// stiff: sheet that is soft across and stiff along itself, on a slope of 10°, by half as much again.
/// </summary>
/// <remarks>
/// An equal spring in all directions, twice as stiff as the stiffest, has no axes. The rest is a massless member along the axis whose
/// middle lies at the node: about its middle a member of length L gives way by L/EA along, L³/12EI across, L/EI turning and L/GJ twisting,
/// each by itself. L follows from the quotient of across and turning, the rest from its parts.
/// </remarks>
public static class TurnedSprings
{
    /// <summary>How much stiffer than the stiffest way the equal spring is.</summary>
    private const double Stiffer = 2;

    /// <summary>A way that is free, N/m and N·m/rad: a member cannot slide or bend freely.</summary>
    private const double Nothing = 1e-3;

    /// <summary>The same document with no spring turned; nodes, members and links more, results anew.</summary>
    public static ModelDocument Plain(ModelDocument document)
    {
        if (document.Springs.All(s => s.Axis is null))
            return document;
        var (nodes, members) = (document.Nodes.ToList(), document.Members.ToList());
        var (links, springs) = (document.RigidLinks.ToList(), new List<ModelSpring>());
        var taken = nodes.Select(n => n.Id).Concat(members.Select(m => m.Id)).Concat(document.Springs.Select(s => s.Id))
            .Concat(document.Lines.Select(l => l.Id)).ToHashSet(StringComparer.Ordinal);
        string Free(string id)
        {
            while (!taken.Add(id))
                id += "'";
            return id;
        }
        foreach (var s in document.Springs)
        {
            if (s.Axis is not { } axis)
            {
                springs.Add(s);
                continue;
            }
            var k = s.K.Select(x => Math.Max(x, Nothing)).ToArray();
            var (even, turning) = (Stiffer * Math.Max(k[0], k[1]), Stiffer * Math.Max(k[3], k[4]));
            static double Rest(double part, double all) => 1 / part - 1 / all;
            var length = Math.Sqrt(12 * Rest(k[1], even) / Rest(k[4], turning));
            var at = document.Nodes.First(n => n.Id == s.From).Position;
            ModelNode Node(string id, Vec3 p)
            {
                nodes.Add(new(Free(id), p.X, p.Y, p.Z));
                return nodes[^1];
            }
            var foot = Node($"{s.Id}-give", at);
            var (far, near) = (Node($"{s.Id}-give-far", at + length / 2 * axis), Node($"{s.Id}-give-near", at - length / 2 * axis));
            links.Add(new(foot.Id, far.Id));
            links.Add(new(s.From, near.Id));
            var bending = length / Rest(k[4], turning);
            var up = Math.Abs(axis.X) < 0.9 ? Vec3.UnitX : Vec3.UnitY;
            members.Add(new(Free($"{s.Id}-give-member"), near.Id, far.Id, A: length / Rest(k[0], even), Iy: bending, Iz: bending,
                J: length / Rest(k[3], turning), E: 1, G: 1, Rho: 0, up.ToArray()));
            springs.Add(s with { From = foot.Id, Axis = null, K = [even, even, even, turning, turning, turning] });
        }
        return document with { Nodes = nodes, Members = members, RigidLinks = links, Springs = springs };
    }
}
