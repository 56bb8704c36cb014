using Ochema.Core.Loads;
using Ochema.Core.Stock;
using Ochema.Core.Structure;

namespace Ochema.Core.Rigs;

/// <summary>What the wind takes hold of: a member along its length, or a box face at a node.</summary>
/// <param name="Member">Member index, or −1.</param>
/// <param name="Node">Node index, or −1.</param>
/// <param name="Width">Member width, m.</param>
/// <param name="Round">Round members lose drag above the critical Reynolds number.</param>
/// <param name="Areas">Cd × area by direction, m², for boxes.</param>
public sealed record WindFace(BeamIndex Member, NodeIndex Node, double Width, double Coefficient, bool Round,
    IReadOnlyList<(Vec3 Direction, double CdArea)> Areas)
{
    /// <summary>A member with the ice round it: rough, so that what is round keeps its drag at any speed.</summary>
    public static WindFace OnMember(BeamIndex member, Section s, Coat coat) =>
        new(member, new(-1), s.DragWidth + 2 * coat.Ice, s.Round ? 1.2 : Drag.SquareTube, s.Round, []) { Rough = coat.Ice > 0 };

    /// <summary>True for a member along its length, false for a box at a node.</summary>
    public bool IsOnMember => Member.Value >= 0;

    /// <summary>True for what is too rough to lose drag at speed.</summary>
    public bool Rough { get; init; }

    public static WindFace OnNode(NodeIndex node, params (Vec3 Direction, double CdArea)[] areas) => new(new(-1), node, 0, 0, false, areas);

    /// <summary>Force at 1 Pa on a box, N: each pair of faces by the wind's share along it.</summary>
    public Vec3 BoxForce(Vec3 wind)
    {
        var f = Vec3.Zero;
        for (var i = 0; i < Areas.Count; i++)
            f += Areas[i].CdArea * wind.Dot(Areas[i].Direction) * Areas[i].Direction;
        return f;
    }
}
