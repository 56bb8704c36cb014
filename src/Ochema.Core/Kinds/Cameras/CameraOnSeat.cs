using Ochema.Core.Checks;
using Ochema.Core.Joints;
using Ochema.Core.Loads;
using Ochema.Core.Quantities;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Structure;

namespace Ochema.Core.Kinds.Cameras;

/// <summary>A camera put on its seat: its body, its mass and face, its screw.</summary>
internal static class CameraOnSeat
{
    /// <summary>No lens looks at anything nearer, m.</summary>
    private const double Nearest = 0.2;

    public static CameraBuild Build(RigBuilder b, Mount seat, CameraChoice c)
    {
        var body = b.Stock.Find<CameraRow>("cameras", c.Body);
        var lens = b.Stock.Find<LensRow>("lenses", c.Lens).At(c.FocalLength);
        if (!MeasureReader.Fit(lens, body))
            b.Findings.Add(new ReportFinding(b.Path.Camera, body.Makes != Makes.Picture
                ? $"The {Words.Inside(body.Name)} takes no lens."
                : lens.None ? $"The {Words.Inside(body.Name)} sees nothing without a lens."
                : body.BuiltIn ? $"The {Words.Inside(lens.Name)} does not go on the {Words.Inside(body.Name)}: its lens is built in."
                : $"The {Words.Inside(body.Name)} has no lens of its own: choose one that goes on it.", true));
        var catalogueMass = body.Mass + lens.Mass;
        var mass = c.Mass ?? catalogueMass;
        var (sp, cp) = Math.SinCos(c.Pan);
        var (st, ct) = Math.SinCos(c.Tilt);
        Vec3 view = new(cp * ct, sp * ct, st), left = new(-sp, cp, 0);
        var up = view.Cross(left);
        var lensShare = lens.Mass / catalogueMass;
        var lensAhead = body.Length / 2 + lens.Length / 2;
        // On a wall the head points outwards: the camera stands off the seat along the mount's axis.
        var stand = seat.Axis.Z > 0.5 ? Vec3.UnitZ : seat.Axis.Z < -0.5 ? -Vec3.UnitZ : seat.Axis;
        // A long lens stands on its own foot, the body behind it.
        var footed = c.Foot == CameraFoot.AsUsual && b.HeadOfPath.TakesLensFoot ? lens.Foot : null;
        var pivot = seat.Position + (footed is null ? body.CentreHeight : lens.FootBelow) * stand;
        var middle = footed is { } foot ? pivot - (foot + body.Length / 2) * view : pivot;
        var centre = middle + lensShare * lensAhead * view;
        var node = b.Node(b.Own("camera"), centre);
        b.Rigid(seat.Node, node);
        var front = Math.Max(body.Width * body.Height, Math.PI / 4 * lens.Diameter * lens.Diameter);
        var side = body.Length * body.Height + lens.Length * lens.Diameter;
        var spread = new Hung(node) { PerMass = Inertia(1, body, lens, view, left, up, lensShare, lensAhead) };
        var (face, clings) = b.Body(b.Path.Camera, spread, (view, Drag.Cube * front), (left, Drag.Cube * side),
            (up, Drag.Cube * body.Length * body.Width));
        b.Put(Piece.Own(new(b.Path.Camera, "camera"), lens.Mass > 0 ? $"{body.Name}, {lens.Name}" : body.Name, mass),
            spread);
        var above = Shoe(b, c, body, node, middle, view, left, up);
        b.Shape(b.Own("camera"), b.Path.Camera, "camera", [b.Point(node, middle)], [body.Length, body.Width, body.Height], view, left);
        var eye = middle + (body.Length / 2 + lens.Length) * view;
        if (lens.Length > 0)
            b.Shape(b.Own("lens"), b.Path.Camera, "lens", [b.Point(node, middle + body.Length / 2 * view), b.Point(node, eye)],
                [lens.Diameter]);
        // Who is on the host is as near as they are; a distance that was measured beats it.
        var near = c.Subject ?? (b.Host.People.FirstOrDefault(p => p.Id == c.Who) is { } who ? Math.Max(Nearest, (who.Head - eye).Length)
            : null);
        mass += clings;
        var all = mass + (above?.Mass ?? 0);
        var camera = new CameraBuild(node, seat.Node, all, view, up, eye, pivot, near, body, lens, c.Mass is not null, above);
        var head = b.HeadOfPath;
        var socket = footed is null ? body.Socket : lens.FootSocket;
        if (head.ScrewsIn)
            b.Joint(Socket(b, footed is null ? "Camera's socket" : "Socket in the lens's foot", socket), seat.Node);
        b.Joins.Add(head.ScrewsIn ? new(b.Path.Camera, JoinSort.Screwed, b.Own("camera-screw"), "screw in the camera")
            : new(b.Path.Camera, JoinSort.Snapped, null, $"Camera held by {string.Join(" and ", head.Keeps)}"));
        var together = above is null ? centre : centre + above.Mass / all * (above.Centre - centre);
        var path = b.Path;
        b.Checks.Add(path.Camera, new(path.Camera + "-screw"),
            rig => new CameraScrew(rig, path.Camera, seat.Position, together, all, face, rig.Stock.Find<Fastener>("fasteners", socket),
                above));
        if (above is not null)
            b.Checks.Add(path.Camera, new(path.Camera.ToString()), rig => new ShoeGives(rig, path.Camera, above));
        Say(b, seat, camera, footed is not null);
        UnderWater.Judge(b, camera, c.Housing);
        return camera;
    }

    /// <summary>A lens on the camera's mount alone that is heavier than this strains it, kg (judgement; from about there makers give lenses
    /// a foot).</summary>
    private const double HeavyLens = 1.2;

    private static void Say(RigBuilder b, Mount seat, CameraBuild camera, bool footed)
    {
        void Finding(string text, bool blocks = false) => b.Findings.Add(new ReportFinding(b.Path.Camera, text, blocks));
        if (!footed && camera.Lens is { Foot: not null, Mass: > HeavyLens } heavy)
            Finding($"The {Words.Inside(heavy.Name)} hangs {QuantityText.Of(heavy.Mass, Dimension.Mass)} on the camera's mount: it "
                + $"stands on its own foot.");
        if (seat.Axis.Z < -0.5 && b.HeadOfPath.TurnsOver && camera.Body is { Makes: Makes.Picture, TurnsItself: false })
            Finding($"The {Words.Inside(camera.Body.Name)} hangs upside down and does not turn its picture: set it to, or turn it in the "
                + $"cut.");
        if (camera.InShoe is not null && !b.HeadOfPath.LeavesTopFree)
            Finding("The head closes over the top of the camera: nothing goes into its shoe.", true);
        b.Later(() =>
        {
            if (camera.Body.AllRound is not null)
                AllRound.Judge(b, camera);
            if (camera.Body.Makes == Makes.Light)
                LampAim.Judge(b, camera);
        });
    }

    /// <summary>Its shoe over the top of a body, m (ISO 518: the foot of what goes in is 2 mm thick; over it its clamp,
    /// judgement).</summary>
    private const double ShoeHeight = 0.012;

    private static InShoe? Shoe(RigBuilder b, CameraChoice c, CameraRow body, NodeIndex camera, Vec3 middle, Vec3 view, Vec3 left, Vec3 up)
    {
        if (c.Shoe is null)
            return null;
        var row = b.Stock.Find<CameraRow>("cameras", c.Shoe);
        var foot = middle + (body.Height - body.CentreHeight) * up;
        var centre = foot + (ShoeHeight + row.CentreHeight) * up;
        var node = b.Node(b.Own("in-shoe"), centre);
        b.Rigid(camera, node);
        static double Box(double a, double d) => (a * a + d * d) / 12;
        var least = Box(row.Width, Math.Min(row.Height, row.Length));
        var spread = new Hung(node) { PerMass = [least, least, least, 0, 0, 0] };
        var (face, clings) = b.Body(b.Path.Camera, spread, (view, Drag.Cube * row.Width * row.Height),
            (left, Drag.Cube * row.Length * row.Height),
            (up, Drag.Cube * row.Length * row.Width));
        b.Put(Piece.Own(new(b.Path.Camera, "in-shoe"), row.Name, row.Mass), spread);
        b.Shape(b.Own("in-shoe"), b.Path.Camera, "camera", [b.Point(node)], [row.Length, row.Width, row.Height], view, left);
        return new InShoe(row, row.Mass + clings, foot, centre, face);
    }

    /// <summary>
    /// The captive screw of the head's plate in the socket of the camera, or of its lens's foot: a 1/4-20 socket takes about 4.5 mm of
    /// screw (ISO 1222), and is
    /// driven out by a longer one.
    /// </summary>
    private static ScrewJoint Socket(RigBuilder b, string where, string screw)
    {
        var thread = b.Stock.Find<Fastener>("fasteners", screw);
        const double plate = 0.005, pad = 0.001, depth = 0.0045;
        StackLayer rubber = new("Rubber", LayerRole.Soft, pad, "rubber-soft", 0.035) { Ready = true };
        StackLayer socket = new(where, LayerRole.Blind, depth, "brass", 0.02, Thread: screw);
        if (b.HeadOfPath.Plate(b) is { } own)
            return new ScrewJoint
            {
                Stock = b.Stock,
                Id = b.Own("camera-screw"),
                Station = b.Path.Camera,
                Title = "screw in the camera",
                Thread = thread,
                Means = Loosening.RubberWasher,
                Usual = 1.2,
                Layers = [Hardware.Washer(thread), own, rubber with { Bought = true }, socket],
            };
        return new ScrewJoint
        {
            Stock = b.Stock,
            Id = b.Own("camera-screw"),
            Station = b.Path.Camera,
            Title = "screw in the camera",
            Thread = thread,
            Means = Loosening.RubberWasher,
            Usual = 1.2,
            Length = plate + pad + 0.0042,
            Included = true,
            Layers = [new("Head's plate", LayerRole.Clearance, plate, "al-6061-t6", 0.04) { Ready = true },
                rubber, socket],
        };
    }

    /// <summary>Inertia of two boxes (body, lens) about their common centre, kg·m², host axes: xx, yy, zz, xy, xz, yz.</summary>
    private static double[] Inertia(double mass, CameraRow body, LensRow lens, Vec3 view, Vec3 left, Vec3 up, double share, double ahead)
    {
        double Box(double m, double a, double b) => m * (a * a + b * b) / 12;
        var (mb, ml) = (mass * (1 - share), mass * share);
        var steiner = mb * Math.Pow(share * ahead, 2) + ml * Math.Pow((1 - share) * ahead, 2);
        var iv = Box(mb, body.Width, body.Height) + Box(ml, lens.Diameter, lens.Diameter);
        var il = Box(mb, body.Length, body.Height) + Box(ml, lens.Length, lens.Diameter) + steiner;
        var iu = Box(mb, body.Length, body.Width) + Box(ml, lens.Length, lens.Diameter) + steiner;
        double Entry(Func<Vec3, double> i, Func<Vec3, double> j) => iv * i(view) * j(view) + il * i(left) * j(left) + iu * i(up) * j(up);
        double X(Vec3 v) => v.X;
        double Y(Vec3 v) => v.Y;
        double Z(Vec3 v) => v.Z;
        return [Entry(X, X), Entry(Y, Y), Entry(Z, Z), Entry(X, Y), Entry(X, Z), Entry(Y, Z)];
    }
}
