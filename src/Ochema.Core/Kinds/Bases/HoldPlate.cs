using System.Text.Json.Serialization;
using Ochema.Core.Checks;
using Ochema.Core.Hosts;
using Ochema.Core.Joints;
using Ochema.Core.Json;
using Ochema.Core.Kinds.Holds;
using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Structure;

namespace Ochema.Core.Kinds.Bases;

/// <summary>A plate on two to six cups or magnets, with eye bolts at its corners.</summary>
[Kind("hold-plate", "Plate with several holds", "Spreads the load, survives one lost hold, takes straps; heavier and wider.",
    Sketch = "host 62; rect 18 18 84 7; rect 26 25 4 22; rect 90 25 4 22; rect 16 47 24 15; rect 80 47 24 15; dim length 18 10 102 10; "
        + "dim thickness 110 18 110 25; dim spacer 60 25 60 47")]
public sealed record HoldPlate : BaseKind
{
    [Part("Holds", Except = "pad")]
    public HoldKind Hold { get; init; } = new Cup();

    [Measure("How many", Dimension.Count, 2, 6, HowTo = "two to six, spread to the corners")]
    public double Count { get; init; } = 4;

    [StockChoice("Plate material", "materials", Only = "al-5052-h32,al-6061-t6,steel-s235,stainless-304,birch-ply,hdpe")]
    public string Material { get; init; } = "al-6061-t6";

    [Measure("Plate thickness", Dimension.Length, 0.002, 0.03, HowTo = "{length:0.006} aluminium or {length:0.018} plywood are usual", UsualTo = 0.02)]
    public double Thickness { get; init; } = 0.006;

    [Measure("Plate length", Dimension.Length, 0.12, 1.2, HowTo = "fore and aft", UsualTo = 0.7)]
    public double Length { get; init; } = 0.30;

    [Measure("Plate width", Dimension.Length, 0.12, 1.2, HowTo = "from side to side", UsualTo = 0.7)]
    public double Width { get; init; } = 0.30;

    [Measure("Spacers", Dimension.Length, 0.005, 0.1, HowTo = "top of the hold to the underside of the plate", UsualTo = 0.06)]
    public double Spacer { get; init; } = 0.028;

    private const double SpacerDiameter = 0.012;

    internal override BaseKind Pumped(double since, double? halfLife) => this with { Hold = Hold.Pumped(since, halfLife) };

    [JsonIgnore]
    public override Grip Grip => Hold.Grip;

    internal override string Called(int holds, string first) => $"Plate on {holds} × {Words.Inside(first)}";

    internal override IEnumerable<(string Id, string Name, BaseKind Kind)> Sizes(Catalogue stock) =>
    [
        ("cups", "Plate on four pumped cups 115 mm", this with { Hold = new Cup(), Count = 4 }),
        ("magnets", "Plate on four pot magnets 90 mm", this with { Hold = new Magnet(), Count = 4 }),
        ("six-cups", "Plate on six pumped cups 115 mm", this with { Hold = new Cup(), Count = 6, Length = Math.Max(Length, 0.4) }),
    ];

    internal override IEnumerable<Move> Moves(Catalogue stock)
    {
        if (OnLargerHold(stock) is { } larger)
            yield return new("larger-hold", "The next larger hold under the plate", larger);
        if (Count < 6)
            yield return new("more-holds", "Six holds under the plate", this with { Count = 6, Length = Math.Max(Length, 0.4) });
        yield return new("spread", "Feet a third further apart, larger plate",
            this with { Length = Math.Min(1.2, Length * Further), Width = Math.Min(1.2, Width * Further) });
    }

    internal override BaseKind? OnLargerHold(Catalogue stock) => Hold.Larger(stock) is { } larger ? this with { Hold = larger } : null;

    internal override (int Least, int Most, int Now)? HoldCounts => (2, 6, (int)Math.Round(Count));

    internal override BaseKind WithHolds(int count) => this with { Count = count };

    internal override IEnumerable<Stance> Stances(SiteForm form, bool own, Catalogue stock) =>
        from fresh in KindRegistry.Fresh<HoldKind>()
        let mine = own && Hold.GetType() == fresh.GetType()
        let stance = (mine ? Hold : fresh).Stance(form)
        where stance is not null
        select stance with { Kind = mine ? this : new HoldPlate { Hold = (HoldKind)stance.Kind }, Now = mine };

    internal override IEnumerable<WorkStep> Steps(BuiltRig b, RigPath path) =>
    [
        new(Work.Drill, "Drill the plate for its holds",
            "Mark from two edges, centre-punch, pilot at 3 mm. Clamp it on scrap wood. Drill through the spacers' washers as a pair, "
                + "so that the holes are where the holds are. Deburr both sides.")
        {
            Tools = ["rule", "marker", "punch", "drill", "bits", "countersink", "clamps"],
            Minutes = 25,
            Joint = "spacer-bolt",
            Wrong = "Up to 1 mm off: next clearance size up and a wide washer. More: turn the plate a quarter and drill anew.",
        },
        new(Work.Fit, "Spacers and bolts in the plate",
            $"Bolts from above with their washers, into a spacer on every {Hold.Noun}. Tight, then a mark line over head and plate.")
        {
            Takes = ["spacer-m8"],
            Joint = "spacer-bolt",
            Tools = ["spanners", "torque-wrench", "marker"],
            Minutes = 10,
        },
        .. Hold.Steps(b, path),
    ];

    public override Mount Build(RigBuilder b)
    {
        var n = (int)Math.Round(Count);
        var surface = b.Surface;
        var inset = Hold.Diameter(b.Stock) / 2 + 0.005;
        var (hx, hy) = (Math.Max(0.02, Length / 2 - inset), Math.Max(0.02, Width / 2 - inset));
        var material = b.Stock.Material(Material);
        var holds = Layout(n).Select((p, i) => Hold.Build(b,
            b.Spot($"hold-{i + 1}", StationId.Base, $"{Name(p.Name, surface)} {Hold.Noun}", b.Rig.At[0] + p.X * hx, b.Rig.At[1] + p.Y * hy)))
                .ToList();

        // The plate is flat and parallel to the panel at its middle; spacers and pads take up the crown.
        var normal = surface.NormalAt(b.Rig.At[0], b.Rig.At[1]);
        var forward = surface.U.PerpendicularTo(normal).Normalized();
        var left = normal.Cross(forward);
        if (left.Dot(surface.V) < 0)
            left = -left;
        var level = holds.Max(h => (h.Top.Position - surface.Point(b.Rig.At[0], b.Rig.At[1])).Dot(normal)) + Spacer + Thickness / 2;
        var middle = surface.Point(b.Rig.At[0], b.Rig.At[1]) + level * normal;
        var centre = b.Node("plate", middle);
        var spacerSection = Section.Of(SectionShape.Round, SpacerDiameter, SpacerDiameter, 0);
        var steel = b.Stock.Material("steel-1018");
        // Bending from the middle to each hold: strips of half the plate's smaller side (judgement: a plate on point holds bends over about
        // that width).
        var strip = Section.Rectangle(Math.Min(Length, Width) / 2, Thickness);
        var corners = new List<NodeIndex>();
        var spacers = new List<BeamPiece>();
        foreach (var (hold, place) in holds.Zip(Layout(n)))
        {
            var corner = b.Node(hold.Id + "-plate", middle + place.X * hx * forward + place.Y * hy * left);
            corners.Add(corner);
            var spacer = b.Beam(StationId.Base, hold.Id + "-spacer", $"{hold.Label} spacer", hold.Top.Node, corner, spacerSection, steel,
                forward);
            spacers.Add(spacer);
            b.Checks.Add(new SectionStrength(b, StationId.Base, new(hold.Id + "-spacer"), $"Spacer bends, {hold.Label}", spacer));
            if ((b.Position(corner) - middle).Length > 0.01)
            {
                var piece = b.Beam(StationId.Base, hold.Id + "-strip", $"plate to {hold.Label}", centre, corner, strip, material, normal,
                    density: 0, windy: false);
                b.Checks.Add(new PlateBending(b, new(hold.Id + "-strip"), $"Plate bends towards the {hold.Label}", piece));
            }
            else
                b.Rigid(centre, corner);
            b.Shape(hold.Id + "-spacer", StationId.Base, "tube", [b.Point(hold.Top.Node), b.Point(corner)], [SpacerDiameter]);
        }
        var bolt = b.Stock.Find<Fastener>("fasteners", "m8");
        b.Joint(new ScrewJoint
        {
            Stock = b.Stock,
            Id = "spacer-bolt",
            Station = StationId.Base,
            Title = "bolts through the plate",
            Thread = bolt,
            Means = Loosening.ToolTightMarked,
            Usual = 8,
            // Plywood wants a wide washer: the head pulls into it.
            Layers =
            [
                material.Family == MaterialFamily.Wood ? Hardware.WideWasher(bolt)
                    : Hardware.Washer(bolt), new("Plate", LayerRole.Clearance, Thickness, Material, 0.05, Edge: inset),
                new("Threaded spacer", LayerRole.Tapped, Math.Max(0.010, Spacer - 0.010), "steel-s235", 0.016, Thread: "m8", Bought: true),
            ],
            Load = f => f.Spring(holds[0].Spring),
            Axis = normal,
            Lever = 0.012,
            Screws = n,
        }, [.. corners]);
        // What is hooked elsewhere on the rig needs no eye in the plate.
        List<(int X, int Y)> eyes = [.. b.Rig.Straps.Select(s => Corner(s.From)).OfType<(int X, int Y)>().Distinct()];
        if (eyes.Count > 0)
        {
            var eyeBolt = b.Stock.Find<Fastener>("fasteners", "m8");
            b.Joint(new ScrewJoint
            {
                Stock = b.Stock,
                Id = "eye-bolt",
                Station = StationId.Base,
                Title = "eye bolts for the straps",
                Thread = eyeBolt,
                Means = Loosening.LockNut,
                Layers = [new("Plate", LayerRole.Clearance, Thickness, Material, 0.05, Edge: 0.02), Hardware.Washer(eyeBolt),
                    Hardware.LockNut(eyeBolt)],
                Screw = "Eye bolt",
                Screws = eyes.Count,
            }, [.. corners]);
        }
        foreach (var (point, x, y) in new[] { (RigPoint.BaseFrontLeft, 1, 1), (RigPoint.BaseFrontRight, 1, -1), (RigPoint.BaseRearLeft, -1, 1), (RigPoint.BaseRearRight, -1, -1) })
        {
            var eye = b.Node($"eye-{(x > 0 ? "front" : "rear")}-{(y > 0 ? "left" : "right")}", middle + x * (Length / 2 - 0.02) * forward
                + y * (Width / 2 - 0.02) * left);
            b.Rigid(corners.OrderBy(c => (b.Position(c) - b.Position(eye)).Length).ThenBy(c => c.Value).First(), eye);
            b.Offer(point, eye);
        }
        b.Body(StationId.Base, centre, (forward, Loads.Drag.SquarePlate * Width * (Thickness + Spacer)),
            (left, Loads.Drag.SquarePlate * Length * (Thickness + Spacer)));
        b.Put(Piece.Sheet(new(StationId.Base, "plate"), "Plate", new(Length, Width, Thickness, Material, [])
        {
            FrontAhead = true,
            LengthBy = nameof(Length),
            WidthBy = nameof(Width),
            ThicknessBy = nameof(Thickness),
            Holes =
            [
                .. Layout(n).Select(p => new SheetHole(Length / 2 + p.X * hx, Width / 2 + p.Y * hy, "Plate", "spacer-bolt")),
                .. eyes.Select(c => new SheetHole(Length / 2 + c.X * (Length / 2 - 0.02), Width / 2 + c.Y * (Width / 2 - 0.02), "Plate",
                    "eye-bolt")),
                new(Length / 2, Width / 2, "Plate"),
            ],
        }, material), new Hung(centre) { PerMass = Inertia(1, forward, left, normal) });
        b.Put(Piece.Bought(new(StationId.Base, "spacers"), b.Fitting("spacer-m8"), n, spacers.Sum(s => s.Mass) / n,
            $"Threaded spacer M8, {QuantityText.Of(Spacer, Dimension.Length)}"), [.. spacers]);
        b.Shape("plate", StationId.Base, "plate", [b.Point(centre)], [Length, Width, Thickness], normal, left);
        return new Mount(centre, b.Position(centre), normal,
            new ThroughPort("Plate", [new("Plate", LayerRole.Clearance, Thickness, Material, 0.05)], Math.Min(Length, Width))
            {
                // Between plate and panel there is room for a head, none for a hand.
                Underside = Underside.OutOfReach,
            });
    }

    /// <summary>The corner of the plate that a point of the rig is, as signs along and across; null for another point.</summary>
    private static (int X, int Y)? Corner(RigPoint point) => point switch
    {
        RigPoint.BaseFrontLeft => (1, 1),
        RigPoint.BaseFrontRight => (1, -1),
        RigPoint.BaseRearLeft => (-1, 1),
        RigPoint.BaseRearRight => (-1, -1),
        _ => null,
    };

    /// <summary>On upright panels the second direction is up, not left.</summary>
    private static string Name(string name, Hosts.PanelSurface surface) =>
        surface.V.Z > 0.5 ? name.Replace("left", "upper", StringComparison.Ordinal).Replace("right", "lower", StringComparison.Ordinal)
            : name;

    /// <summary>Where n holds go, in shares of the half-spacing; x forward, y left.</summary>
    private static (double X, double Y, string Name)[] Layout(int n) => n switch
    {
        2 => [(0, 1, "left"), (0, -1, "right")],
        3 => [(1, 0, "front"), (-1, 1, "rear left"), (-1, -1, "rear right")],
        4 => [(1, 1, "front left"), (1, -1, "front right"), (-1, 1, "rear left"), (-1, -1, "rear right")],
        5 => [(1, 1, "front left"), (1, -1, "front right"), (-1, 1, "rear left"), (-1, -1, "rear right"), (0, 0, "middle")],
        _ => [(1, 1, "front left"), (1, -1, "front right"), (0, 1, "middle left"), (0, -1, "middle right"), (-1, 1, "rear left"),
            (-1, -1, "rear right")],
    };

    private double[] Inertia(double m, Vec3 forward, Vec3 left, Vec3 normal)
    {
        var (ix, iy) = (m * Width * Width / 12, m * Length * Length / 12);
        double Axis(Func<Vec3, double> c) => ix * c(forward) * c(forward) + iy * c(left) * c(left) + (ix + iy) * c(normal) * c(normal);
        return [Axis(v => v.X), Axis(v => v.Y), Axis(v => v.Z)];
    }
}
