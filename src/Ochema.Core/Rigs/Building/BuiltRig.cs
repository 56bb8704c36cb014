using System.Collections.Concurrent;
using Ochema.Core.Responses;
using Ochema.Core.Structure;

namespace Ochema.Core.Rigs;

/// <summary>
/// A rig as built: frame, pieces, joints, lines, checks and drawing. Nothing is set on it any more; what hangs on a speed is asked for with
/// that speed.
/// </summary>
public sealed class BuiltRig : RigSetting
{
    private readonly RigFrame frame;
    private readonly Dictionary<string, int> at;
    private readonly IReadOnlyList<FindingList.Said> said;
    private readonly IReadOnlySet<Check> ofHolds;

    internal BuiltRig(RigBuilder b, RigFrame frame)
        : base(b)
    {
        this.frame = frame;
        at = new(frame.Model.Nodes.Count);
        for (var i = 0; i < frame.Model.Nodes.Count; i++)
            at[frame.Model.Nodes[i].Id] = i;
        (Parts, Figure, Holds, Pieces, Faces, Carrying) = ([.. b.Parts], [.. b.Figure], [.. b.Holds], [.. b.Pieces], [.. b.Faces],
            [.. b.Carrying]);
        (Unmeasured, Joints, Joins, StrapsBuilt, Rods) = ([.. b.Unmeasured], [.. b.Joints], [.. b.Joins], [.. b.StrapsBuilt], [.. b.Rods]);
        (Tethers, Links, NotCarried, Unmade) = ([.. b.Tethers], [.. b.Links], b.NotCarried, [.. b.Unmade]);
        (Camera, SecondCamera, Soft) = (b.Camera, b.SecondCamera, null);
        Mass = b.Parts.Mass;
        Soft = b.Soft?.Invoke(this);
        (Checks, ofHolds) = b.Checks.Of(this);
        said = b.Findings.Of(this);
    }

    /// <summary>The same with its frame and its checks as they are left.</summary>
    private BuiltRig(BuiltRig whole, ModelDocument left, IReadOnlyList<Check> checks)
        : base(whole)
    {
        (frame, at, said, ofHolds) = (whole.frame with { Model = left }, whole.at, whole.said, whole.ofHolds);
        (Parts, Figure, Holds, Pieces, Faces, Carrying) = (whole.Parts, whole.Figure, whole.Holds, whole.Pieces, whole.Faces,
            whole.Carrying);
        (Unmeasured, Joints, Joins, StrapsBuilt, Rods) = (whole.Unmeasured, whole.Joints, whole.Joins, whole.StrapsBuilt, whole.Rods);
        (Tethers, Links, NotCarried, Unmade) = (whole.Tethers, whole.Links, whole.NotCarried, whole.Unmade);
        (Camera, SecondCamera, Soft, Mass) = (whole.Camera, whole.SecondCamera, whole.Soft, whole.Mass);
        Checks = checks;
    }

    /// <summary>The same with all its holds gone: their feet only push and rub, what their grip could do wrong is not asked any
    /// more.</summary>
    /// <param name="feet">What can go wrong with the feet.</param>
    public BuiltRig WithoutHolds(Func<IReadOnlyList<FrictionFoot>, Check> feet) =>
        new(this, frame.Loose, [.. Checks.Where(c => !ofHolds.Contains(c)), feet(frame.Feet)]);

    /// <summary>Feet that are left of its holds when all of them are gone.</summary>
    internal IReadOnlyList<FrictionFoot> Feet => frame.Feet;

    /// <summary>The frame without cases.</summary>
    public ModelDocument Model => frame.Model;

    /// <summary>All that can fail.</summary>
    public IReadOnlyList<Check> Checks { get; }

    /// <summary>What it is made of: the stations' own pieces, then the screws, nuts and washers of its joints.</summary>
    public IReadOnlyList<RigPart> Parts { get; }

    /// <summary>As it is drawn.</summary>
    public IReadOnlyList<FigureShape> Figure { get; }

    /// <summary>What holds it on its host.</summary>
    public IReadOnlyList<Hold> Holds { get; }

    /// <summary>Beams by their piece.</summary>
    public IReadOnlyList<BeamPiece> Pieces { get; }

    /// <summary>What the wind takes hold of.</summary>
    public IReadOnlyList<WindFace> Faces { get; }

    /// <summary>Members that water flows round where they are under it.</summary>
    internal IReadOnlyList<(BeamIndex Beam, Stock.Section Section, NodeIndex From, NodeIndex To)> Carrying { get; }

    /// <summary>What nobody has measured and no usual value stands for, each as a question: the rig is not said to hold before it is
    /// answered.</summary>
    internal IReadOnlyList<string> Unmeasured { get; }

    /// <summary>The screwed joints.</summary>
    public IReadOnlyList<Joints.ScrewJoint> Joints { get; }

    /// <summary>How the neighbours of the load path are joined, one after the other.</summary>
    public IReadOnlyList<JoinReport> Joins { get; }

    /// <summary>Straps as they run.</summary>
    public IReadOnlyList<StrapBuilt> StrapsBuilt { get; }

    /// <summary>Rods of its struts.</summary>
    internal IReadOnlyList<RodLength.Rod> Rods { get; }

    /// <summary>Lines that are slack until something lets go.</summary>
    public IReadOnlyList<TetherBuilt> Tethers { get; }

    /// <summary>Joints of the path that everything beyond hangs on, with their spring, spine row and name.</summary>
    public IReadOnlyList<(string Spring, StationId Station, string Label)> Links { get; }

    /// <summary>Pieces that are on the list and not on the frame.</summary>
    internal IReadOnlySet<PieceId> NotCarried { get; }

    /// <summary>Beams that weigh something and of which no piece was said to be made.</summary>
    internal IReadOnlyList<BeamPiece> Unmade { get; }

    /// <summary>The camera.</summary>
    public CameraBuild Camera { get; }

    /// <summary>The camera of the second path, where there is one.</summary>
    public CameraBuild? SecondCamera { get; }

    /// <summary>The camera of the path that the named station belongs to.</summary>
    public CameraBuild CameraOf(StationId station) => RigPath.Of(station).IsSecond ? SecondCamera! : Camera;

    /// <summary>How the soft mount stands, where there is one.</summary>
    public SoftState? Soft { get; }

    /// <summary>Price of all, in the user's currency.</summary>
    public double Cost => Parts.Sum(p => p.Price * p.Quantity);

    /// <summary>Total mass, kg.</summary>
    public double Mass { get; }

    /// <summary>Mass beyond the isolator: head and camera, kg.</summary>
    public double Isolated => Camera.Mass + Parts.Where(p => p.Station == RigPath.First.Head).Sum(p => p.Mass * p.Quantity);

    /// <summary>Mass from a station up to its camera, kg; the base's is that of all.</summary>
    public double MassFrom(StationId station) => massesFrom.GetOrAdd(station, s => MassesFrom.Of(Parts, s) ?? Mass);

    /// <summary>Added up once: every tether that might serve is asked what it would keep.</summary>
    private readonly ConcurrentDictionary<StationId, double> massesFrom = new();

    /// <summary>Mass, kg, and its middle, m, of what is at nodes that count.</summary>
    /// <param name="counts">By the node's name; a member counts with both its ends.</param>
    internal (double Mass, Vec3 Centre) MassOf(Func<string, bool> counts) => frame.MassOf(counts);

    /// <summary>What is said of it at the speed of its document.</summary>
    public IReadOnlyList<ReportFinding> Findings => FindingsAt(Rig.Run.Speed);

    /// <summary>What is said of it at a speed, m/s.</summary>
    public IReadOnlyList<ReportFinding> FindingsAt(double speed) => [.. said.SelectMany(say => say(speed))];

    /// <summary>What the model, the checks and the let-go cases call a strut or strap of the user's.</summary>
    /// <param name="row">Its row on the spine.</param>
    public string NameOf(StationId row) => frame.UserNames[row];

    /// <summary>Where a node stands, m.</summary>
    public Vec3 Position(NodeIndex node) => frame.Model.Nodes[node.Value].Position;

    /// <summary>A node's name.</summary>
    public string NodeId(NodeIndex node) => frame.Model.Nodes[node.Value].Id;

    /// <summary>Index of a node by its name; −1 for none.</summary>
    internal int NodeOf(string id) => at.GetValueOrDefault(id, -1);

    /// <summary>Node at the first end of a beam element.</summary>
    public NodeIndex StartOf(BeamIndex element) => new(at[frame.Model.Members[element.Value].From]);

    /// <summary>Node at its second end.</summary>
    public NodeIndex EndOf(BeamIndex element) => new(at[frame.Model.Members[element.Value].To]);

    /// <summary>The node of a named place; the base's top where there is no such place.</summary>
    public NodeIndex At(RigPoint point) => frame.Points.TryGetValue(point, out var n) ? n : frame.Points[RigPoint.BaseTop];

    /// <summary>Damping ratio of a spring.</summary>
    public double DampingOf(SpringIndex spring) => frame.Dampings[spring.Value];

    /// <summary>True for a spring of the soft mount.</summary>
    public bool IsSoft(SpringIndex spring) => spring.Value >= frame.Soft.Start.Value && spring.Value < frame.Soft.End.Value;
}
