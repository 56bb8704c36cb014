using Ochema.Core.Joints;
using Ochema.Core.Rigs;

namespace Ochema.Core.Making;

/// <summary>Holes that the builder drills: the layers of the joints, but what comes with its hole.</summary>
public static class HoleTable
{
    /// <summary>By joint, in the order of the load path.</summary>
    public static IReadOnlyList<HoleRow> Of(BuiltRig b) =>
    [
        .. b.Joints.SelectMany(Of),
        .. from p in b.Parts
           let sheet = Templates.Sheet(p, b.Stock)
           where sheet is not null
           from own in sheet.Holes.Where(h => h.Own is not null).GroupBy(h => (h.Layer, Own: h.Own!))
           let hole = own.Key.Own
           select new HoleRow("", p.Station, hole.Title, own.Key.Layer, own.Count() * (int)Math.Round(p.Quantity), hole.Drill, SortOf(hole),
               Goes(hole),
               sheet.Thickness, null, 0),
        .. b.Parts.Where(p => p.Cut?.Tapped is not null).Select(p => (p, Tapped: p.Cut!.Tapped!)).GroupBy(x => (x.p.Station, x.Tapped.Title,
            x.Tapped.Thread, x.Tapped.Depth)).Select(g => new HoleRow("", g.Key.Station, g.Key.Title, "Into the end, on the axis",
                g.Sum(x => x.Tapped.Ends * (int)Math.Round(x.p.Quantity)), g.Key.Thread.TapDrill, HoleSort.Tapped, g.Key.Thread.Name,
                    g.Key.Depth, null, 0)),
        .. b.Parts.Where(p => p.Sheet is not null).Select(p => (p, FlatOutline.Of(p.Sheet!).Reliefs.Count)).Where(x => x.Count > 0)
            .Select(x =>
            new HoleRow("", x.p.Station, "Ends of the corners", RigPart.Short(x.p.Name), x.Count, FlatOutline.Relief(x.p.Sheet!.Thickness),
                HoleSort.Relief,
                "", x.p.Sheet.Thickness, null, 0)),
    ];

    /// <summary>Room round the corners of a nut or head in its recess, m (judgement: a socket does not go in, a hand does).</summary>
    private const double RecessPlay = 0.001;

    internal static HoleSort SortOf(OwnHole hole) => hole.Screw is null ? HoleSort.Own : HoleSort.Clearance;

    /// <summary>What goes into a hole of no joint.</summary>
    internal static string Goes(OwnHole hole) => hole.Screw?.Name ?? hole.Name;

    /// <summary>What a hole is for, in words.</summary>
    internal static string Words(HoleSort sort, string thread) => sort switch
    {
        HoleSort.Tapped => $"tap {thread}",
        HoleSort.Insert => $"for an insert {thread}",
        HoleSort.Relief => "relief",
        HoleSort.Own => $"for the {thread}",
        _ => $"clear for {thread}",
    };

    private static IEnumerable<HoleRow> Of(ScrewJoint joint)
    {
        var drawn = joint.Report().Layers;
        for (var i = 0; i < joint.Layers.Count; i++)
        {
            var (layer, shown) = (joint.Layers[i], drawn[i]);
            if (layer.Ready || !(shown.Drilled || layer.Tapped))
                continue;
            var taps = layer.Tapped || layer.Role is LayerRole.Tapped or LayerRole.Blind;
            var sort = layer.InsertIn is not null ? HoleSort.Insert : taps ? HoleSort.Tapped : HoleSort.Clearance;
            var drill = sort switch
            {
                HoleSort.Insert => ThreadInsert.Hole(joint.Thread),
                HoleSort.Tapped => layer.Hole ?? joint.Thread.TapDrill,
                _ => shown.Hole,
            };
            yield return new(joint.Id, joint.Station, joint.Title, layer.Name, Math.Max(joint.Count, joint.Screws), drill, sort,
                joint.Thread.Name,
                layer.Thickness, layer.Edge, layer.Countersink)
            {
                LayerId = layer.Id,
                Recess = layer.Recess,
                RecessAcross = layer.Recess > 0 ? joint.LetInAcross + RecessPlay : 0,
            };
        }
    }
}
