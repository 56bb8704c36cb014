using Ochema.Core.Joints;
using Ochema.Core.Responses;
using Ochema.Core.Stock;

namespace Ochema.Core.Rigs;

/// <summary>
/// What is used up in the making and stands in no frame: rubber in stacks, thread lock, glue for plugs, paint. Each is a part, so that it
/// is bought; none weighs anything that counts.
/// </summary>
internal static class Supplies
{
    public const string RubberWasher = "rubber-washer";
    public const string RubberStrip = "rubber-strip";
    public const string ThreadLock = "thread-lock";
    public const string Glue = "glue-pack";
    public const string Paint = "paint-pack";
    public const string Film = "film";
    public const string StrapPad = "strap-pad";

    /// <summary>A soft layer wider than this over its screw is cut from strip, a smaller one is a washer.</summary>
    private const double Washer = 3;

    /// <summary>All that the rig's joints and its finish ask for.</summary>
    public static void AddTo(RigBuilder b)
    {
        void Add(ScrewJoint of, string row, string what, double quantity) =>
            b.Beside(Piece.Used(new(of.Station, $"{of.Id}-{what}"), b.Fitting(row), quantity) with { Joint = of.Id }, last: true);
        bool locked = false, glued = b.Parts.Any(p => p.Row == Glue);
        foreach (var joint in b.Joints)
        {
            var count = Math.Max(joint.Count, joint.Screws);
            // Layers that are pieces of the rig are listed as such.
            foreach (var soft in joint.Layers.Where(l => l is { Role: LayerRole.Soft, Bought: true }))
                Add(joint, soft.Width <= Washer * joint.Thread.MajorDiameter ? RubberWasher : RubberStrip, "soft",
                    soft.Width <= Washer * joint.Thread.MajorDiameter ? count : 1);
            if (joint.Means == Loosening.RubberWasher && !joint.Layers.Any(l => l is { Role: LayerRole.Soft, Bought: true }))
                Add(joint, RubberWasher, "rubber", count);
            if (joint.Means == Loosening.ThreadLock && !locked)
                Add(joint, ThreadLock, "lock", 1);
            locked |= joint.Means == Loosening.ThreadLock;
            var sticks = joint.Plug is { Kept: PlugKept.Glued or PlugKept.Keyed };
            if (sticks && !glued)
                Add(joint, Glue, "glue", 1);
            glued |= sticks;
        }
        if (IsPainted(b.Parts))
            b.Beside(Piece.Used(new(StationId.Rig, "paint"), b.Fitting(Paint)), last: true);
    }

    /// <summary>True where something of bare metal is made that shines: bars and sheet.</summary>
    public static bool IsPainted(IEnumerable<RigPart> parts) =>
        parts.Any(p => p.Sort is PieceSort.Cut or PieceSort.Sheet && p.Aisle == Aisle.Metal);
}
