using Ochema.Core.Checks;
using Ochema.Core.Joints;
using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
namespace Ochema.Core.Kinds.Isolators;

/// <summary>What soft mounts share: a plate on several of them.</summary>
internal static class SoftMount
{
    /// <summary>Its plates, m.</summary>
    private const double Plate = 0.003;

    /// <summary>How far out they are tried, m.</summary>
    private static readonly double[] Spreads = [0.04, 0.07, 0.11];

    /// <summary>Every row of a type in several numbers and spreads.</summary>
    public static IEnumerable<(string Id, string Title, IsolatorKind Kind)> Tried(
        Catalogue stock, string type, Func<string, double, double, IsolatorKind> kind) =>
        from row in stock.Isolators
        where row.Type == type
        from count in new[] { 3.0, 4, 6, 8 }
        from spread in Spreads
        select ($"{row.Id}-{count:0}-{spread * 1000:0}", $"{count:0} × {Words.Inside(row.Name)}, {spread * 1000:0} mm out",
            kind(row.Id, count, spread));

    /// <param name="count">How many carry together.</param>
    /// <param name="spread">Middle of the plate to each, m: what keeps a tall load from tipping.</param>
    public static Mount Build(RigBuilder b, Mount from, IsolatorRow row, double count, double spread, bool acrossIsAxial = false)
    {
        var n = Math.Round(count);
        var plate = b.Fitting("isolator-plate");
        var foot = b.Node("isolator-foot", from.Position + row.Height / 2 * from.Axis);
        var top = b.Node("isolator-plate", b.Position(foot));
        b.Rigid(from.Node, foot);
        var (along, across) = acrossIsAxial ? (row.Lateral, row.Axial) : (row.Axial, row.Lateral);
        var (about, rocking) = (n * spread * spread * across, n * spread * spread * 0.5 * along);
        var spring = b.SpringAlong(from.Axis, "isolator-spring", foot, top, n * along, n * across, about, rocking, row.Damping);
        b.Links.Add(("isolator-spring", StationId.Isolator, "the soft mount"));
        var seat = b.Node("isolator", from.Position + row.Height * from.Axis);
        b.Rigid(top, seat);
        b.Checks.Add(new IsolatorTravel(spring, from.Axis, n * along, n * across, rocking, spread, row));
        b.Soft = rig =>
        {
            var load = rig.Isolated + 2 * plate.Mass;
            // Along gravity: its axis when it stands, across it when it hangs on a wall, both one behind the other between.
            var upright = from.Axis.Z * from.Axis.Z;
            var k = n / (upright / along + (1 - upright) / across);
            return new SoftState(load, load * Loads.MotionProfile.Gravity / k, row.Travel, Math.Sqrt(k / load) / (2 * Math.PI));
        };
        b.Put(Piece.Bought(new(StationId.Isolator, "mounts"), row, n), top);
        b.Put(Piece.Bought(new(StationId.Isolator, "plates"), plate, 2), top);
        b.Shape("isolator", StationId.Isolator, "cup", [b.Point(foot, from.Position)], [2 * spread, row.Height], from.Axis);
        var through = new ThroughPort("Soft mount's plate", [new("Soft mount's plate", LayerRole.Clearance, Plate, "al-6061-t6", 0.05)], 2
            * spread);
        b.StandsOn(from, new("soft-mount-screw", StationId.Isolator, "screw under the soft mount", through, f => f.Spring(spring),
            Math.Max(0.015, spread)));
        return new Mount(seat, b.Position(seat), from.Axis, through);
    }
}
