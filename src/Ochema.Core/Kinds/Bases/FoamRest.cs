using System.Text.Json.Serialization;
using Ochema.Core.Checks;
using Ochema.Core.Hosts;
using Ochema.Core.Joints;
using Ochema.Core.Json;
using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Structure;

namespace Ochema.Core.Kinds.Bases;

/// <summary>Slit pipe foam over the edge of a raised pane: the lens lies on it, a hand holds the camera by a handle behind it.</summary>
[Kind("foam-rest", "Pipe foam on the glass", "In place in a second and quiet; a rest for a lens, not a mount: hands stay on it.",
    Caution = "Parked, engine off. The hands carry, the glass only steadies: nothing is let go of.",
    Sketch = "rect 76 30 5 40; circle 78 30 8; rect 30 14 66 10; rect 14 8 22 20; rect 20 28 8 26; dim behind 24 64 78 64; "
        + "dim lies 66 4 92 4; dim wall 96 24 96 30")]
public sealed record FoamRest : HandHeld
{
    [Measure("Lens lies on it for", Dimension.Length, 0.01, 0.3, HowTo = "along the edge: about half the lens across")]
    public double Lies { get; init; } = 0.05;

    [Measure("Foam thick", Dimension.Length, 0.004, 0.04, HowTo = "wall of the pipe insulation")]
    public double Wall { get; init; } = 0.013;

    [Measure("Handle behind the edge", Dimension.Length, 0.05, 0.6, HowTo = "foam to the handle under the camera, into the car")]
    public double Behind { get; init; } = 0.16;

    /// <summary>Closed-cell pipe foam, Pa (judgement, 0.05–0.3 MPa), and its friction on a lens.</summary>
    private const double Foam = 0.12e6;
    private const double Friction = 0.6;

    /// <summary>How wide a lens beds itself across the edge, m (judgement, 15–30 mm).</summary>
    private const double Bed = 0.02;

    /// <summary>What a soft rest may press on a pane's edge, N (judgement, 15–40 N; glass carries no designed load).</summary>
    private const double PaneTakes = 25;

    [JsonIgnore]
    public override Grip Grip => Needs;

    private static readonly Grip Needs = new([SiteForm.PaneEdge]);

    internal override IEnumerable<WorkStep> Steps(BuiltRig b, RigPath path) =>
    [
        new(Work.Cut, "Cut and slit the foam",
            "A hand longer than the lens is across; slit along one side with a knife against a rule. Most are slit already.")
        {
            Reads = [nameof(Wall)],
            Takes = ["pipe-foam"],
            Tools = ["knife", "rule"],
            Minutes = 2,
        },
        new(Work.Place, "Foam on the pane, lens on the foam",
            "Pane up as far as the picture wants, a hand of it in the door at least. Elbow on the door, one hand "
                + "on the handle, the other over the lens; breathe out. Engine off: its tremble comes through the glass.")
        {
            Minutes = 1,
            Beware = "Strap round the neck before the camera is past the glass.",
        },
    ];

    public override Mount Build(RigBuilder b)
    {
        var give = Foam * Lies * Bed / Wall;
        var hold = ClampParts.Place(b, "base-hold", "foam", Wall, Lies / 2, give, give * Bed * Bed / 12, b.Site.Rubs(Friction), "pad");
        var spot = b.Spot("base-hold", StationId.Base, "foam", b.Rig.At[0], b.Rig.At[1]);
        var inward = -Vec3.UnitY.PerpendicularTo(hold.Top.Axis).Normalized();
        var handle = b.Node("handle", hold.Top.Position + Behind * inward);
        b.Rigid(hold.Top.Node, handle);
        // The elbow lies on the door.
        Grasped(b, new("hands"), handle, new Mount(handle, b.Position(handle), hold.Top.Axis), Propped, 0);
        b.Put(Piece.Bought(new(StationId.Base, "handle"), b.Fitting("handle")), handle);
        b.Put(Piece.Bought(new(StationId.Base, "foam"), b.Fitting("pipe-foam")), hold.Body);
        b.WhileHeld(() =>
        {
            b.Checks.Add(new PaneRests(hold.Spring, hold.Top.Axis, PaneTakes));
            b.Checks.Add(new HoldSlide(b, spot, hold.Spring, "Lens slides on the foam", 0, b.Site.Rubs(Friction), Lies / 3,
                "what lies on it only" + b.Site.RubsWhy));
        });
        if (b.Host.Kind != "hide")
            b.Findings.Add(new ReportFinding(StationId.Base, "A rest on glass is for a parked car only: choose the car parked as a hide.",
                true));
        var ends = Lies / 2 * b.Surface.U;
        b.Shape("foam", StationId.Base, "tube", [b.Point(hold.Node, b.Position(hold.Node) - 2 * ends),
            b.Point(hold.Node, b.Position(hold.Node) + 2 * ends)],
            [2 * Wall + 0.006]);
        b.Shape("handle", StationId.Base, "tube", [b.Point(handle), b.Point(handle, b.Position(handle) - 0.1 * Vec3.UnitZ)], [0.034]);
        return new Mount(handle, b.Position(handle), hold.Top.Axis, new GraspPort("Handle"));
    }
}

/// <summary>What a soft rest presses on a pane's edge.</summary>
internal sealed class PaneRests(SpringIndex spring, Vec3 up, double takes)
    : Check("glass.rests", StationId.Site, new("base-hold"), "Pane is leaned on")
{
    public override SpringIndex? Joint => spring;

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        var (force, _) = f.Spring(spring);
        var aside = force.PerpendicularTo(up).Length;
        var down = Math.Max(0, force.Dot(up));
        sheet?.Formula("({N} + 2 × {S}) ÷ {a}",
            "what a pane's lift and edge are not hurt by; across it is weaker (judgement)", "Slammed doors; a pane that is not quite up.")
            .Term("N", "pressed down by", down, Dimension.Force).Term("S", "pushed aside by", aside, Dimension.Force)
            .Term("a", "a soft rest may", takes, Dimension.Force, "judgement, 15–40 N; glass carries no designed load");
        return Ratio(down + 2 * aside, takes);
    }
}
