using Ochema.Core.Hosts;
using Ochema.Core.Joints;
using Ochema.Core.Json;
using Ochema.Core.Loads;
using Ochema.Core.Responses;
using Ochema.Core.Stock;
using Ochema.Core.Structure;

namespace Ochema.Core.Rigs;

/// <summary>
/// Collects what the stations of a rig document are made of, one after the other: frame, checks, pieces and drawing. <see cref="Build"/>
/// makes of it what is looked at afterwards.
/// </summary>
public sealed partial class RigBuilder : RigSetting
{
    /// <summary>Members more slender than this (length over radius of gyration) are cut, so that they have modes of their own.</summary>
    private const double SlenderFrom = 20;

    /// <summary>Shorter ones move by themselves far above what is looked at, however thin they are (a 2.4 mm strip of this length at 1.2
    /// kHz), m.</summary>
    private const double ShortTo = 0.04;
    private const int Cuts = 4;

    /// <summary>A cut nearer than this to a node that it has anyhow is left out, as a share of its length.</summary>
    private const double TooClose = 0.08;

    private readonly List<ModelNode> nodes = [];
    private readonly List<ModelMember> members = [];

    /// <summary>Density of each member without the water that it carries along, kg/m³.</summary>
    private readonly List<double> dry = [];

    /// <summary>What clings to each member, as density of its own, kg/m³.</summary>
    private readonly List<double> clings = [];
    private readonly List<ModelRigidLink> links = [];
    private readonly List<ModelSpring> springs = [];
    private readonly List<double> dampings = [];
    private readonly List<ModelLine> lines = [];
    private readonly List<ModelMass> masses = [];
    private readonly Dictionary<RigPoint, NodeIndex> points = [];

    /// <summary>What can fail.</summary>
    public CheckList Checks { get; } = new();

    /// <summary>What it is made of: the stations' own pieces, then the screws, nuts and washers of its joints.</summary>
    public PartList Parts { get; } = new();

    public List<FigureShape> Figure { get; } = [];
    public List<Hold> Holds { get; } = [];
    public List<BeamPiece> Pieces { get; } = [];
    private readonly Dictionary<StationId, SlideGroup> slideGroups = [];

    public List<WindFace> Faces { get; } = [];

    /// <summary>Members that water flows round where they are under it.</summary>
    internal List<(BeamIndex Beam, Section Section, NodeIndex From, NodeIndex To)> Carrying { get; } = [];

    /// <summary>What is to be said of it.</summary>
    public FindingList Findings { get; } = new();

    /// <summary>What nobody has measured and no usual value stands for, each as a question: the rig is not said to hold before it is
    /// answered.</summary>
    internal List<string> Unmeasured { get; } = [];

    /// <summary>Camera node, its mass (kg) and viewing direction.</summary>
    public CameraBuild Camera { get; internal set; } = null!;

    /// <summary>The camera of the second path, where there is one.</summary>
    public CameraBuild? SecondCamera { get; internal set; }

    /// <summary>The camera of the path that the named station belongs to.</summary>
    public CameraBuild CameraOf(StationId station) => RigPath.Of(station).IsSecond ? SecondCamera! : Camera;

    /// <summary>How the soft mount stands, where there is one; taken once the camera is on it.</summary>
    public Func<BuiltRig, SoftState>? Soft { get; set; }

    /// <summary>The screwed joints.</summary>
    public List<ScrewJoint> Joints { get; } = [];

    /// <summary>How the neighbours of the load path are joined, one after the other.</summary>
    public List<JoinReport> Joins { get; } = [];

    /// <summary>Straps as they run.</summary>
    public List<StrapBuilt> StrapsBuilt { get; } = [];

    /// <summary>Rods of its struts.</summary>
    internal List<RodLength.Rod> Rods { get; } = [];

    /// <summary>Lines that are slack until something lets go.</summary>
    public List<TetherBuilt> Tethers { get; } = [];

    /// <summary>Joints of the path that everything beyond hangs on, with their spring, spine row and name.</summary>
    public List<(string Spring, StationId Station, string Label)> Links { get; } = [];

    private readonly List<Action> later = [];

    /// <summary>Springs of the soft mount.</summary>
    private Range soft;

    /// <summary>Builds the soft mount; its springs are known as its own.</summary>
    internal Mount OnSoftMount(Func<Mount> build)
    {
        var first = springs.Count;
        var mount = build();
        soft = first..springs.Count;
        return mount;
    }

    /// <summary>Something to be done once all stations are built.</summary>
    public void Later(Action say) => later.Add(say);

    /// <summary>All stations are built: does what waited for that.</summary>
    internal void AfterAll()
    {
        foreach (var say in later)
            say();
        later.Clear();
    }

    /// <summary>Mass from a station up to its camera, kg, of what is built so far; the base's is that of all.</summary>
    public double MassFrom(StationId station) => MassesFrom.Of(Parts, station) ?? Parts.Mass;

    /// <summary>The path that is being built.</summary>
    public RigPath Path { get; private set; } = RigPath.First;

    /// <summary>The head of the path that is being built.</summary>
    public HeadKind HeadOfPath => Path.IsSecond ? Rig.Second!.Head : Rig.Head;

    /// <summary>The camera of the path that is being built, as chosen.</summary>
    public CameraChoice CameraOfPath => Path.IsSecond ? Rig.Second!.Camera : Rig.Camera;

    /// <summary>A name made unique for the path that is being built.</summary>
    public string Own(string name) => Path.Own(name);

    /// <summary>A rig of which nothing is built yet.</summary>
    /// <exception cref="DocumentException">There is no such Host.</exception>
    internal RigBuilder(RigDocument rig, Catalogue stock, FactorTable? factors = null)
        : base(rig, stock, factors)
    {
    }

    /// <summary>What is built meanwhile belongs to the second path.</summary>
    internal void OnSecondPath(Action build)
    {
        Path = RigPath.Second;
        build();
        Path = RigPath.First;
    }

    /// <summary>What is built meanwhile can fail only while the holds hold: with all of them gone it is not asked any more.</summary>
    public void WhileHeld(Action build)
    {
        var before = Checks.OfHolds;
        Checks.OfHolds = true;
        build();
        Checks.OfHolds = before;
    }

    /// <summary>The rig as built; nothing is added any more.</summary>
    internal BuiltRig Build()
    {
        var model = new ModelDocument
        {
            Nodes = [.. nodes],
            Members = [.. members],
            RigidLinks = [.. links],
            Springs = [.. springs],
            Lines = [.. lines],
            Masses = [.. masses]
        };
        var (loose, feet) = Loose(model);
        return new(this, new(model, loose, feet, points.ToDictionary(), [.. dampings], soft, userNames.ToDictionary(), [.. dry],
            [.. clings]));
    }

    /// <summary>True once it is asked whether what the base is held on bends: that takes all holds together.</summary>
    internal bool HasHostBar { get; set; }

    /// <summary>The holds of a station, which slide together.</summary>
    public SlideGroup SlideGroup(StationId station) => slideGroups.TryGetValue(station, out var g) ? g
        : slideGroups[station] = new SlideGroup();

    private readonly HashSet<string> nodeNames = [];
    private readonly HashSet<string> elementNames = [];

    /// <summary>The name itself, or with a number where two parts call theirs the same.</summary>
    private static string Free(HashSet<string> taken, string name)
    {
        var free = name;
        for (var n = 2; !taken.Add(free); n++)
            free = $"{name}.{n}";
        return free;
    }

    private readonly Dictionary<StationId, string> userNames = [];

    /// <summary>Names of let-go cases that are no part's.</summary>
    private static readonly string[] CaseNames = ["intact", "holds-alone", "straps-alone"];

    /// <summary>
    /// What the model, the checks and the let-go cases call a strut or strap of the user's: its own id, or its whole row ("strap:reach")
    /// where the house calls something of this rig so. Parts are taken away by this name, so no other part may have it.
    /// </summary>
    /// <param name="row">Its row on the spine.</param>
    /// <param name="id">The user's id.</param>
    public string NameOf(StationId row, string id)
    {
        if (userNames.TryGetValue(row, out var known))
            return known;
        return userNames[row] = IsTaken(id) || StationId.Tether.Is(id) || Rig.Tethers.Any(t => t.Id == id) ? row.ToString() : id;
    }

    /// <summary>What they call a tether: its own id, or with its row before it where something of this rig is called so.</summary>
    public string NameOf(Tether tether) => IsTaken(tether.Id) ? $"{StationId.Tether}:{tether.Id}" : tether.Id;

    private bool IsTaken(string id) => nodeNames.Contains(id) || elementNames.Contains(id) || CaseNames.Contains(id)
        || Holds.Exists(h => h.Id == id || h.Station.Is(id)) || Checks.Names(id) || Parts.Any(p => p.Station.Is(id))
        || Links.Exists(l => l.Spring == id || l.Station.Is(id)) || Figure.Exists(f => f.Id == id);

    /// <summary>Adds a node; its name is made unique.</summary>
    public NodeIndex Node(string id, Vec3 p)
    {
        nodes.Add(new ModelNode(Free(nodeNames, id), p.X, p.Y, p.Z));
        return new(nodes.Count - 1);
    }

    public Vec3 Position(NodeIndex node) => nodes[node.Value].Position;

    /// <summary>Node at the first end of a beam element.</summary>
    public NodeIndex StartOf(BeamIndex element) => new(nodes.FindIndex(n => n.Id == members[element.Value].From));

    /// <summary>Force and moment at the first end of a beam element, host axes.</summary>
    public Func<CaseForces, (Vec3 Force, Vec3 Moment)> EndLoad(BeamIndex element)
    {
        var x = (Position(EndOf(element)) - Position(StartOf(element))).Normalized();
        var up = members[element.Value].Up;
        var z = new Vec3(up[0], up[1], up[2]).PerpendicularTo(x).Normalized();
        var y = z.Cross(x);
        return f =>
        {
            var e = f.Beam(element, stackalloc double[12]);
            return (e[0] * x + e[1] * y + e[2] * z, e[3] * x + e[4] * y + e[5] * z);
        };
    }

    /// <summary>Node at its second end.</summary>
    public NodeIndex EndOf(BeamIndex element) => new(nodes.FindIndex(n => n.Id == members[element.Value].To));

    public string NodeId(NodeIndex node) => nodes[node.Value].Id;

    public FigurePoint Point(NodeIndex node, Vec3 p) => new(nodes[node.Value].Id, p.ToArray());

    public FigurePoint Point(NodeIndex node) => Point(node, Position(node));

    public void Rigid(NodeIndex a, NodeIndex b) => links.Add(new ModelRigidLink(nodes[a.Value].Id, nodes[b.Value].Id));

    /// <summary>A spring to ground or between coincident nodes; returns its index.</summary>
    /// <param name="damping">Damping ratio that its movement goes with: 0.03 for bolted joints (judgement, 0.5–2 ×).</param>
    public SpringIndex Spring(string id, NodeIndex from, NodeIndex? to, double[] k, double damping = 0.03)
    {
        dampings.Add(damping);
        springs.Add(new ModelSpring(Free(elementNames, id), nodes[from.Value].Id, k) { To = to is { } t ? nodes[t.Value].Id : null });
        return new(springs.Count - 1);
    }

    /// <summary>
    /// A spring that is one thing along an axis and another across it, N/m, and about them, N·m/rad: sheet under a hold, a soft mount. It
    /// keeps its axis; along the host axes it would be coupled.
    /// </summary>
    /// <param name="axis">Unit vector.</param>
    public SpringIndex SpringAlong(
        Vec3 axis, string id, NodeIndex from, NodeIndex? to, double along, double across, double about, double rocking,
            double damping = 0.03)
    {
        var (k, own) = Along(axis, along, across, about, rocking);
        var spring = Spring(id, from, to, k, damping);
        if (own is not null)
            springs[spring.Value] = springs[spring.Value] with { Axis = own };
        return spring;
    }

    /// <summary>Stiffness of such a spring, along the host axes where it lies along one: nothing is coupled there.</summary>
    private static (double[] K, Vec3? Axis) Along(Vec3 axis, double along, double across, double about, double rocking)
    {
        double Mix(double share, double one, double other) => share * share * one + (1 - share * share) * other;
        return Math.Max(Math.Abs(axis.X), Math.Max(Math.Abs(axis.Y), Math.Abs(axis.Z))) <= 1 - Straight
            ? ([along, across, across, about, rocking, rocking], axis)
            : ([Mix(axis.X, along, across), Mix(axis.Y, along, across), Mix(axis.Z, along, across),
                Mix(axis.X, about, rocking), Mix(axis.Y, about, rocking), Mix(axis.Z, about, rocking)], null);
    }

    /// <summary>Gives a spring along host axes another stiffness, N/m and N·m/rad: one that hangs on what it carries is known once all is
    /// built.</summary>
    internal void Restate(SpringIndex spring, double[] k) => springs[spring.Value] = springs[spring.Value] with { K = k };

    /// <summary>The same of a spring along an axis: N/m along and across it, N·m/rad about and across it.</summary>
    /// <param name="axis">Unit vector.</param>
    internal void Restate(SpringIndex spring, Vec3 axis, double along, double across, double about, double rocking) =>
        springs[spring.Value] = springs[spring.Value] with { K = [along, across, across, about, rocking, rocking], Axis = axis };

    /// <summary>Mass, kg, and its middle, m, of what is built so far at nodes that count.</summary>
    /// <param name="counts">By the node's name; a member counts with both its ends.</param>
    internal (double Mass, Vec3 Centre) MassOf(Func<string, bool> counts) => RigFrame.MassOf(nodes, members, masses, dry, clings, counts);

    /// <summary>1 − cos of a slope that is none.</summary>
    private const double Straight = 1e-9;

    /// <summary>A line to a fixed point; returns its index.</summary>
    public LineIndex Line(string id, int from, Vec3 anchor, double axialStiffness, double pretension, bool push = false)
    {
        lines.Add(new ModelLine(Free(elementNames, id), nodes[from].Id, axialStiffness, pretension)
        {
            Anchor = anchor.ToArray(),
            Push = push
            ? true : null
        });
        return new(lines.Count - 1);
    }

    /// <summary>A beam, cut when slender, free to turn at its first end when pinned; wind on its length is counted. Density 0 keeps its
    /// mass out (its piece hangs as a whole).</summary>
    /// <param name="through">A node on it between its ends that something else takes hold of.</param>
    public BeamPiece Beam(StationId station, string id, string label, NodeIndex from, NodeIndex to, Section s, Material m, Vec3 up,
        bool pinned = false, double? density = null, bool windy = true, NodeIndex? through = null)
    {
        var (a, b) = (Position(from), Position(to));
        var length = (b - a).Length;
        if (up.PerpendicularTo((b - a).Normalized()).Length < 0.05)
            up = Math.Abs((b - a).Normalized().X) < 0.9 ? Vec3.UnitX : Vec3.UnitY;
        var even = length > ShortTo && length / s.RadiusOfGyration > SlenderFrom ? Cuts : 1;
        List<double> ends = [.. Enumerable.Range(1, even).Select(i => (double)i / even)];
        var held = through is { } t ? (Position(t) - a).Length / length : double.NaN;
        if (through is not null)
            ends = [.. ends.Where(e => e == 1 || Math.Abs(e - held) > TooClose).Append(held).Order()];
        var cut = ends.Count;
        var on = Weather.Coat.Along(s.DragWidth) / s.Area;
        var first = new BeamIndex(members.Count);
        var previous = from;
        for (var i = 1; i <= cut; i++)
        {
            var next = i == cut ? to : ends[i - 1] == held ? through!.Value : Node($"{id}-{i}", a + ends[i - 1] * (b - a));
            members.Add(new ModelMember(Free(elementNames, cut == 1 ? id : $"{id}.{i}"), nodes[previous.Value].Id, nodes[next.Value].Id,
                s.Area, s.Iy, s.Iz, s.J,
                m.YoungsModulus, m.ShearModulus, (density ?? m.Density) + (windy ? Carried(s, previous, next) + on : 0), up.ToArray())
            {
                ReleaseFrom = pinned && i == 1 ? ["ry", "rz"] : null,
            });
            dry.Add(density ?? m.Density);
            clings.Add(windy ? on : 0);
            if (windy)
            {
                Faces.Add(WindFace.OnMember(new(members.Count - 1), s, Weather.Coat));
                Carrying.Add((new(members.Count - 1), s, previous, next));
            }
            previous = next;
        }
        if (windy && !Weather.Coat.IsNone)
            Parts.Cling(Piece.Caught(station, Weather.Clings, on * s.Area * length));
        var piece = new BeamPiece(station, id, label, first, cut, s, m, length, pinned, s.Area * length * (density ?? m.Density));
        Pieces.Add(piece);
        return piece;
    }

    /// <summary>
    /// Water that a member under the water line carries along, as density of its own, kg/m³: it has to be moved, its weight is taken off
    /// again by its lift.
    /// </summary>
    private double Carried(Section s, NodeIndex from, NodeIndex to) =>
        Host.Motion.Wet ? Water.Share(nodes[from.Value].Z, nodes[to.Value].Z, 0) * Water.AddedMass(s.DragWidth) / s.Area : 0;

    /// <summary>A body that the wind takes hold of, with what clings to it.</summary>
    /// <param name="at">Node at its middle, and how what clings is spread about it.</param>
    /// <param name="areas">Cd × area by direction, m².</param>
    /// <returns>Its face as the wind sees it, and what clings to it, kg.</returns>
    public (WindFace Face, double Clings) Body(StationId station, Hung at, params (Vec3 Direction, double CdArea)[] areas)
    {
        var face = WindFace.OnNode(at.Node, areas);
        var on = Weather.Coat.IsNone ? 0 : Weather.Coat.On(Coat.Surface([.. areas.Select(a => a.CdArea / Drag.Cube)]));
        if (Weather.Coat.Ice > 0)
            face = face with { Areas = [.. areas.Select(a => (a.Direction, Drag.Cube * Weather.Coat.Grown(a.CdArea / Drag.Cube)))] };
        Faces.Add(face);
        if (on > 0)
        {
            PointMass(at, on);
            Parts.Cling(Piece.Caught(station, Weather.Clings, on));
        }
        return (face, on);
    }

    public void Shape(string id, StationId station, string type, IReadOnlyList<FigurePoint> points, double[] size, Vec3? axis = null,
        Vec3? side = null) =>
        Figure.Add(new FigureShape(id, station, type, points, size, axis?.ToArray(), side?.ToArray()));

    /// <summary>Names a place that straps and braces can take hold of.</summary>
    public void Offer(RigPoint point, NodeIndex node) => points[point] = node;

    /// <summary>The node of a named place.</summary>
    public NodeIndex At(RigPoint point) => points.TryGetValue(point, out var n) ? n : points[RigPoint.BaseTop];

    /// <summary>A place on the base's own panel, m from the panel's middle; outside the panel is a finding.</summary>
    public HoldSpot Spot(string id, StationId station, string label, double s, double t) => Spot(id, station, label, Site, Surface, s, t);

    /// <summary>A place on any panel of the Host.</summary>
    public HoldSpot SpotOn(string siteId, string path, string id, StationId station, string label, double s, double t)
    {
        if (siteId == Rig.Site.Id)
            return Spot(id, station, label, s, t);
        var site = Host.Sites.FirstOrDefault(x => x.Id == siteId) ?? throw new DocumentException(path,
            $"there is no site '{siteId}' on this host");
        return Spot(id, station, label, Weather.Today(site), Host.Surface(site), s, t);
    }

    private HoldSpot Spot(string id, StationId station, string label, Site site, PanelSurface surface, double s, double t)
    {
        if (Math.Abs(s) > surface.HalfU + 1e-6 || Math.Abs(t) > surface.HalfV + 1e-6)
        {
            if (site.Form.IsSkin)
                Findings.Add(new ReportFinding(station,
                    $"The {label} reaches over the edge of the {site.Name.ToLowerInvariant()}; it is computed at the edge."));
            (s, t) = surface.Clamp(s, t);
        }
        return new HoldSpot(new(id), station, label, site, Stock.Material(site.Material), surface.Point(s, t), surface.NormalAt(s, t));
    }
}
