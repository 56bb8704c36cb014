using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Structure;

namespace Ochema.Core.Kinds.Bases;

/// <summary>Screws in a row under a bracket, each a hold of its own: one may tear out while the others stay.</summary>
internal static class ScrewRow
{
    /// <param name="apart">Middle to middle, m.</param>
    /// <param name="stiffness">Of one screw, N/m; <paramref name="rocking"/> N·m/rad.</param>
    /// <returns>The screws, and the middle of the bracket's foot.</returns>
    public static (IReadOnlyList<Hold> Holds, Mount Foot) Place(RigBuilder b, int count,
        double apart, double height, double stiffness, double rocking)
    {
        string[] names = count switch
        {
            1 => ["screw"],
            2 => ["first screw", "second screw"],
            3 =>
            ["first screw", "middle screw", "last screw"],
            _ => ["first screw", "second screw", "third screw", "last screw"]
        };
        var holds = names.Select((name, i) => ClampParts.Place(b, count == 1 ? "base-hold"
            : $"hold-{i + 1}", name, height, 0.02, stiffness, rocking, s: (i - (count - 1) / 2.0) * apart)).ToList();
        if (count == 1)
            return (holds, holds[0].Top);
        var middle = b.Node("bracket-middle", 0.5 * (holds[0].Top.Position + holds[^1].Top.Position));
        foreach (var h in holds)
            b.Rigid(h.Top.Node, middle);
        return (holds, new Mount(middle, b.Position(middle), holds[0].Top.Axis));
    }

    /// <summary>Force and moment of the screw that carries most, of those still there.</summary>
    /// <param name="springs">Other springs than the holds' own, each with the hold that it goes with.</param>
    public static (Vec3 Force, Vec3 Moment) Worst(CaseForces f, IReadOnlyList<Hold> holds, IReadOnlyList<SpringIndex>? springs = null)
    {
        var worst = (Force: Vec3.Zero, Moment: Vec3.Zero);
        for (var i = 0; i < holds.Count; i++)
            if (!f.IsGone(holds[i].Id) && f.Spring(springs is null ? holds[i].Spring : springs[i]) is var load
                && load.Force.Length + load.Moment.Length / Lever > worst.Force.Length + worst.Moment.Length / Lever)
                worst = load;
        return worst;
    }

    /// <summary>Lever at which forces and moments are compared, m.</summary>
    private const double Lever = 0.01;
}
