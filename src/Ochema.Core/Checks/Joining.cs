using Ochema.Core.Joints;
using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Structure;

namespace Ochema.Core.Checks;

/// <summary>Joins a part to what it stands on, and lists what that takes.</summary>
internal static class Joining
{
    /// <summary>Makes the joint of what the mount offers and what the foot has, with its checks and pieces.</summary>
    /// <param name="from">What is stood on.</param>
    /// <param name="foot">What stands on it.</param>
    public static void StandsOn(this RigBuilder b, Mount from, Foot foot)
    {
        if (from.Offers is not { } below)
            return;
        if (below is StudPort { Joint: { } own } stud && foot.Port is SocketPort or BucklePort)
        {
            // The lower part's own bolt goes on into this one: one screw, one joint.
            var bolt = b.Joints.First(j => j.Id == own);
            b.Joins.Add(new(foot.Station, JoinSort.Screwed, own, bolt.Title));
            if (foot.Port is BucklePort)
                Between(b, from, foot.Station, own, "buckle-adapter", [own]);
            if (foot.Port is SocketPort { Thread: { } socket } && socket != stud.Thread
                && !(bolt.Bushed && ThreadFit.Bush(stud.Thread, socket) is not null))
                b.Findings.Add(new ReportFinding(foot.Station, Words.Capital(ThreadFit.Mismatch(
                    b.Stock.Find<Fastener>("fasteners", stud.Thread), b.Stock.Find<Fastener>("fasteners", socket), foot.Port.Name)) + ".",
                        true));
            return;
        }
        var made = JointMaker.Make(below, foot.Port, b.Stock);
        (string Id, string Title)[] names = [.. made.Select((_, i) =>
            foot.Port is FlangePort flange && i == made.Count - 1 ? (b.Own(flange.Joint), flange.Title) : (foot.Id, foot.Title))];
        for (var i = 0; i < made.Count; i++)
        {
            foreach (var fitting in made[i].Fittings ?? [])
                Between(b, from, foot.Station, names[i].Id, fitting, [.. names.Select(n => n.Id)],
                    fitting == TubePlug.Row ? made[i].Plug?.Mass(b.Stock.Material(TubePlug.Metal)) : null,
                    fitting == TubePlug.Row && made[i].Plug is { } plug ? $"{Holes.Size(plug.Inside)}{(plug.Square ? " square" : "")}"
                        : null);
            Put(b, from, foot, made[i], names[i].Id, names[i].Title);
        }
    }

    private static void Put(RigBuilder b, Mount from, Foot foot, MadeJoint made, string id, string title)
    {
        if (made.Clasp is { } clasp)
        {
            if (clasp.Misfit is { } misfit)
                b.Findings.Add(new ReportFinding(foot.Station, Words.Capital(misfit) + ".", true));
            if (foot.Load is { } load)
            {
                b.Checks.Add(new BallTurns(b, foot.Station, new(id), $"{Words.Capital(title)} turns", clasp.Grip, load, clasp.Measured));
                b.Checks.Add(new BallOut(b, foot.Station, new(id), $"{Words.Capital(title)} is drawn out", clasp.Grip, load));
            }
            b.Joins.Add(new(foot.Station, made.Sort, null, $"{Words.Capital(title)}: held by friction, {QuantityText.Of(
                clasp.Measured ?? clasp.Grip.Torque, Dimension.Torque)}"));
            return;
        }
        if (made.Sort == JoinSort.Cemented && foot.Port is TubePort pipe)
        {
            if (foot.Load is { } load)
                b.Checks.Add(new CouplerHolds(b, foot.Station, new(id), load, foot.Axis ?? from.Axis,
                    PipeCap.All.First(c => c.Pipe == pipe.Tube.Pipe), Glues.Find("pvc-cement")));
            b.Joins.Add(new(foot.Station, made.Sort, null, $"{pipe.Name} cemented into a coupler"));
            return;
        }
        if (made.Sort != JoinSort.Screwed)
        {
            b.Joins.Add(new(foot.Station, made.Sort, null, made.Sort == JoinSort.Held ? $"{foot.Port.Name}: held in the hands"
                : $"{foot.Port.Name} snaps into the {Words.Inside(from.Offers!.Name)}"));
            return;
        }
        b.Joint(new ScrewJoint
        {
            Stock = b.Stock,
            Id = id,
            Station = foot.Station,
            Title = title,
            Thread = made.Thread!,
            Layers = made.Layers,
            Length = made.Length,
            Screw = made.Screw,
            Headless = made.Headless,
            Means = made.Means,
            Usual = made.Count == 1 ? foot.Torque : null,
            Load = foot.Load,
            Axis = foot.Axis ?? from.Axis,
            Count = made.Count,
            Lever = made.Lever ?? foot.Lever,
            Places = made.Places,
            First = made.First,
            Countersunk = made.Flush,
            Plug = made.Plug,
        }, from.Node);
        b.Joins.Add(new(foot.Station, made.Sort, id, title));
    }

    /// <summary>What goes between two parts: listed, and its mass where they meet.</summary>
    /// <param name="joints">All that pass it.</param>
    /// <param name="sized">Which size of it, in words; null where there is one.</param>
    /// <param name="weighs">kg, of what is made to the size of its place; null: as its row says.</param>
    private static void Between(RigBuilder b, Mount from, StationId station, string joint, string fitting, IReadOnlyList<string> joints,
        double? weighs = null, string? sized = null)
    {
        var row = b.Fitting(fitting);
        var mass = weighs ?? row.Mass;
        var sheet = row.Sheet is not { } s ? null : new SheetPiece(s.Length, s.Width, s.Thickness, s.Material, [])
        {
            Holes = [.. joints.Select(j => new SheetHole(s.Length / 2, s.Width / 2, s.Layer, j))],
        };
        b.Put(new RigPart(new(station, $"{joint}.{row.Id}"), sized is null ? row.Name : $"{row.Name}, {sized}", 1, mass, row.Price,
            sheet is null ? PieceSort.Bought : PieceSort.Sheet, row.Aisle, row.Id, Sheet: sheet, Joint: joint), from.Node);
    }

    /// <summary>Puts the screws, nuts, washers and bush of a joint on the list, and their mass at its nodes.</summary>
    public static void List(RigBuilder b, ScrewJoint joint, ReadOnlySpan<NodeIndex> at)
    {
        if (joint.Included)
            return;
        var (f, count) = (joint.Thread, Math.Max(joint.Count, joint.Screws));
        Hung[] places = [.. at.ToArray().Select(n => new Hung(n))];
        void Add(string piece, string name, double mass, double price, string? row) =>
            b.Put(new RigPart(new(joint.Station, $"{joint.Id}.{piece}"), name, count, mass, price, PieceSort.Bought, Aisle.Screws, row,
                Joint: joint.Id),
                places);
        if (joint.Screw is { } screw)
            Add("screw", $"{screw} {f.Name} × {QuantityText.Of(joint.ScrewLength, Dimension.Length)}",
                Hardware.ScrewMass(f, joint.ScrewLength, !joint.Headless),
                Hardware.ScrewPrice(f, joint.ScrewLength), f.Id);
        foreach (var layer in joint.Layers.Where(l => l.Item != HardwareItem.None))
            Add(layer.Item.ToString().ToLowerInvariant(), $"{layer.Name} {f.Name}", Hardware.Mass(f, layer), Hardware.Price(f, layer),
                f.Id);
        if (joint.Layers.Any(l => l.InsertIn is not null))
        {
            var insert = b.Fitting("thread-insert");
            Add("insert", $"{insert.Name} {f.Name}", insert.Mass, insert.Price, insert.Id);
        }
        if (joint.Sleeved)
            foreach (var (tube, n) in joint.Layers.Where(l => l.Hollow is not null).Select((l, n) => (l, n)))
            {
                var sleeve = b.Fitting("tube-sleeve");
                Add($"sleeve-{n + 1}", $"{sleeve.Name} {f.Name} × {QuantityText.Of(tube.Hollow!.Inside, Dimension.Length)}", sleeve.Mass,
                    sleeve.Price,
                    sleeve.Id);
            }
        if (joint.Bushed)
        {
            var bush = b.Fitting("bush");
            Add("bush", bush.Name, bush.Mass, bush.Price, bush.Id);
        }
    }
}
