using Ochema.Core.Joints;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Structure;

namespace Ochema.Core.Checks;

/// <summary>Screwed joints put on a rig, with what can fail in them.</summary>
internal static class JointChecks
{
    /// <summary>Adds a screwed joint with the user's own choices for it, its checks and its pieces.</summary>
    /// <param name="at">Nodes that its screws hang on.</param>
    public static ScrewJoint Joint(this RigBuilder b, ScrewJoint joint, params ReadOnlySpan<NodeIndex> at)
    {
        joint = joint with { Layers = LayerIds.Of(joint.Layers) };
        var own = b.Rig.Joints.TryGetValue(joint.Id, out var choice) ? joint.With(choice) : joint;
        b.Joints.Add(own);
        Joining.List(b, own, at);
        b.Checks.AddRange(Of(b, own));
        b.Findings.AddRange(own.Report().Findings.Select(f => new ReportFinding(own.Station, $"{own.Title}: {f.Text}", f.Blocks)));
        if (own.Plug?.Loose is { } loose)
            b.Findings.Add(new ReportFinding(own.Station, $"{own.Title}: {loose.Text}", loose.Blocks));
        return own;
    }

    private static IEnumerable<Check> Of(RigBuilder b, ScrewJoint joint) =>
        [new JointTightening(joint), .. joint.Load is null ? (Check[])[] : [new JointStrength(b, joint), new JointSlip(b, joint), .. Pulled(b, joint),
            .. joint.Plug is { } plug ? (Check[])[new PlugHolds(b, joint, plug)] : []]];

    /// <summary>Wood, thin sheet and the walls of tubes that the head may be pulled through, and the nut at the other end.</summary>
    private static IEnumerable<Check> Pulled(RigBuilder b, ScrewJoint joint)
    {
        bool Punched(StackLayer l) => l is { Role: LayerRole.Clearance, Bought: false, Material.Length: > 0 };
        static string Ends(StackLayer l, string solid, string hollow) => l.Hollow is null ? solid : hollow;
        var layers = joint.Layers.Take(joint.ThreadLayer).ToList();
        var (first, last) = (layers.FindIndex(Punched), layers.FindLastIndex(Punched));
        if (first >= 0)
            // Where the head is sunk, only the sheet below it is left to be punched.
            yield return new JointPullThrough(b, joint, layers[first] with
            {
                Thickness = Math.Max(0, layers[first].Thickness
                - layers[first].Countersink)
            },
                joint.Bearing(first, -1), Ends(layers[first], "through", "wall"));
        if (last >= 0 && joint.Layers[joint.ThreadLayer].Role == LayerRole.Nut)
            yield return new JointPullThrough(b, joint, layers[last], joint.Bearing(last, 1),
                Ends(layers[last], "nut-through", "nut-wall"));
    }
}
