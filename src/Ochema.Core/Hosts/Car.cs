using Ochema.Core.Structure;

namespace Ochema.Core.Hosts;

/// <summary>The measures a car's drawing and sites follow from. Lengths m; origin on the ground, mid-wheelbase. Generic, judged.</summary>
public sealed record CarShape
{
    public required string Id { get; init; }
    public required string Name { get; init; }
    public double Wheelbase { get; init; } = 2.65;
    public double WheelRadius { get; init; } = 0.31;
    public double HalfWidth { get; init; } = 0.88;
    public double Nose { get; init; }
    public double Tail { get; init; }
    public required (double X, double Z) BonnetFront { get; init; }
    public required (double X, double Z) BonnetRear { get; init; }
    public required (double X, double Z) RoofFront { get; init; }
    public required (double X, double Z) RoofRear { get; init; }
    public required (double X, double Z) BootFront { get; init; }
    public required (double X, double Z) BootRear { get; init; }
    public double RoofHalfWidth { get; init; } = 0.58;
    public double BonnetHalfWidth { get; init; } = 0.72;
    public double DoorFront { get; init; } = 0.75;
    public double DoorRear { get; init; } = -0.35;
    public string BonnetMaterial { get; init; } = "steel-body";
    public string BootMaterial { get; init; } = "steel-body";
    public double RoofCrown { get; init; } = 3.5;
    public double BonnetCrown { get; init; } = 2.5;
    public string BootName { get; init; } = "Boot lid";
}

/// <summary>Cars: presets, sites, closed points, drawing.</summary>
public static class Car
{
    private const double BeltDrop = 0.10;
    private const double SillHeight = 0.24;

    /// <summary>Ready-made cars. Generic figures, judgement.</summary>
    public static IReadOnlyList<CarShape> Shapes { get; } =
    [
        new()
        {
            Id = "small-car", Name = "Small car", Wheelbase = 2.45, WheelRadius = 0.29, HalfWidth = 0.83, Nose = 2.00, Tail = -1.80,
            BonnetFront = (1.80, 0.74), BonnetRear = (0.98, 0.93), RoofFront = (0.30, 1.45), RoofRear = (-1.25, 1.43),
            BootFront = (-1.55, 1.02), BootRear = (-1.74, 0.66), RoofHalfWidth = 0.54, BonnetHalfWidth = 0.66, DoorFront = 0.70,
                DoorRear = -0.35,
            BonnetCrown = 1.8, RoofCrown = 3.0, BootName = "Tailgate",
        },
        new()
        {
            Id = "estate", Name = "Estate car", Wheelbase = 2.68, Nose = 2.28, Tail = -2.36,
            BonnetFront = (2.06, 0.76), BonnetRear = (0.98, 0.95), RoofFront = (0.28, 1.43), RoofRear = (-1.92, 1.42),
            BootFront = (-2.18, 0.98), BootRear = (-2.30, 0.62), BootName = "Tailgate",
        },
        new()
        {
            Id = "pickup", Name = "Pickup", Wheelbase = 3.10, WheelRadius = 0.37, HalfWidth = 0.93, Nose = 2.55, Tail = -2.70,
            BonnetFront = (2.36, 1.02), BonnetRear = (1.28, 1.14), RoofFront = (0.68, 1.77), RoofRear = (-0.72, 1.76),
            BootFront = (-1.12, 1.16), BootRear = (-2.62, 1.12), RoofHalfWidth = 0.60, BonnetHalfWidth = 0.76, DoorFront = 1.00,
                DoorRear = -0.05,
            BootMaterial = "composite-body", BonnetCrown = 3.2, BootName = "Bed cover",
        },
        new()
        {
            Id = "van", Name = "Van", Wheelbase = 3.00, WheelRadius = 0.33, HalfWidth = 0.96, Nose = 2.45, Tail = -2.50,
            BonnetFront = (2.26, 0.98), BonnetRear = (1.66, 1.16), RoofFront = (0.92, 1.93), RoofRear = (-2.36, 1.95),
            BootFront = (-2.42, 1.30), BootRear = (-2.46, 0.70), RoofHalfWidth = 0.72, BonnetHalfWidth = 0.74, DoorFront = 1.25,
                DoorRear = 0.25,
            BonnetCrown = 2.2, RoofCrown = 5.0, BootName = "Rear door",
        },
    ];

    /// <summary>The shape with an id, or null.</summary>
    public static CarShape? Find(string id) => Shapes.FirstOrDefault(s => s.Id == id);

    /// <summary>The surface of a site; <paramref name="site"/> may carry edited slope and crown.</summary>
    public static PanelSurface Surface(CarShape c, Site site)
    {
        var r = site.CrownRadius;
        if (CarPlaces.Surface(c, site) is { } place)
            return place;
        if (site.Id == "door")
        {
            var x = (c.DoorFront + c.DoorRear) / 2;
            var (sin, cos) = Math.SinCos(site.Slope);
            Vec3 up = new(0, -sin, cos), outward = new(0, cos, sin);
            return new(new(x, c.HalfWidth - 0.005, SillHeight + 0.36), Vec3.UnitX, up, outward, 4 * r, r, (c.DoorFront - c.DoorRear) / 2
                - 0.04, 0.28);
        }
        var (front, rear) = site.Id switch
        {
            "bonnet" => (c.BonnetFront, c.BonnetRear),
            "roof" => (c.RoofFront, c.RoofRear),
            _ =>
            (c.BootFront, c.BootRear)
        };
        var half = site.Id switch { "bonnet" => c.BonnetHalfWidth, "roof" => c.RoofHalfWidth, _ => c.RoofHalfWidth + 0.06 };
        var length = Math.Sqrt(Math.Pow(front.X - rear.X, 2) + Math.Pow(front.Z - rear.Z, 2));
        var middle = new Vec3((front.X + rear.X) / 2, 0, (front.Z + rear.Z) / 2);
        var (s, k) = Math.SinCos(site.Slope);
        Vec3 u = new(k, 0, -s), n = new(s, 0, k);
        if (Upright(c, site.Id))
            (u, n) = (new Vec3(s, 0, k), new Vec3(-k, 0, s));
        // Panels are crowned across much more than along.
        return new(middle, u, Vec3.UnitY, n, 3 * r, r, length / 2 - 0.01, half - 0.01);
    }

    /// <summary>The sites of a shape with their preset values.</summary>
    public static IReadOnlyList<Site> Sites(CarShape c)
    {
        double Slope((double X, double Z) front, (double X, double Z) rear) => Math.Atan2(rear.Z - front.Z, front.X - rear.X);
        var boot = Upright(c, "boot")
            ? Math.Atan2(c.BootFront.X - c.BootRear.X, c.BootFront.Z - c.BootRear.Z)
            : Slope(c.BootFront, c.BootRear);
        Site Panel(string id, string name, string material, double clear, double crown, double slope, double wind) => new()
        {
            Id = id,
            Name = name,
            Material = material,
            Thickness = material == "composite-body" ? 0.003 : 0.00075,
            ClearRadius = clear,
            CrownRadius = crown,
            Coat = 0.00012,
            Slope = slope,
            WindFactor = wind,
        };
        return
        [
            Panel("bonnet", "Bonnet", c.BonnetMaterial, 0.20, c.BonnetCrown, Slope(c.BonnetFront, c.BonnetRear), 1.1),
            Panel("roof", "Roof", "steel-body", 0.25, c.RoofCrown, Slope(c.RoofFront, c.RoofRear), 1.3),
            Panel("boot", c.BootName, c.BootMaterial, 0.18, 2.5, boot, 0.8),
            Panel("door", "Door", "steel-body", 0.16, 2.0, 0, 1.15),
            .. CarPlaces.Sites(c),
        ];
    }

    /// <summary>Where straps may be hooked.</summary>
    public static IReadOnlyList<Anchor> Anchors(CarShape c)
    {
        var list = new List<Anchor>();
        var sites = Sites(c);
        foreach (var (side, name) in new[] { (1, "left"), (-1, "right") })
        {
            Vec3 Edge(string site, double u) => Surface(c, sites.First(s => s.Id == site)) is var p ? p.Point(u * p.HalfU, side * p.HalfV)
                : default;
            Anchor Line(string id, string label, Vec3 a, Vec3 b, double holds) =>
                new($"{id}-{name}", $"{label}, {name}", a.ToArray(), b.ToArray(), holds);
            list.Add(Line("bonnet-edge", "Bonnet edge hook", Edge("bonnet", -0.95) - 0.015 * Vec3.UnitZ, Edge("bonnet", 0.95) - 0.015
                * Vec3.UnitZ, 1500));
            list.Add(Line("door-frame", "Top of the door frame", Edge("roof", 0.9) + new Vec3(0, side * 0.02, -0.015),
                Edge("roof", -0.75) + new Vec3(0, side * 0.02, -0.015), 2500));
            list.Add(Line("boot-edge", "Edge of the boot opening", Edge("boot", -0.9), Edge("boot", 0.9), 900));
            var arch = c.Wheelbase / 2;
            Vec3 rim = new(arch, side * (c.HalfWidth - 0.02), 2 * c.WheelRadius + 0.09);
            list.Add(Line("wheel-arch", "Front wheel arch lip", rim - 0.15 * Vec3.UnitX, rim + 0.15 * Vec3.UnitX, 900));
            list.Add(Line("sill", "Sill seam", new Vec3(c.DoorFront, side * (c.HalfWidth - 0.03), SillHeight),
                new Vec3(c.DoorRear, side * (c.HalfWidth - 0.03), SillHeight), 1500));
        }
        // A loop of webbing under a bolt of the inner wing, let out at the bonnet's rear edge as it is shut (common practice, no source;
        // judgement,
        // 800–2500 N).
        var gap = Surface(c, sites.First(s => s.Id == "bonnet")) is var bonnet ? bonnet.Point(-0.97 * bonnet.HalfU, 0) : default;
        list.Add(new("bonnet-gap", "Loop out of the bonnet's rear gap", (gap + 0.3 * Vec3.UnitY).ToArray(), (gap - 0.3 * Vec3.UnitY)
            .ToArray(), 1200));
        Vec3 front = new(c.Nose, -0.35, 0.42), rear = new(c.Tail, -0.35, 0.42);
        list.Add(new("tow-eye-front", "Front tow eye", front.ToArray(), front.ToArray(), 10000));
        list.Add(new("tow-eye-rear", "Rear tow eye", rear.ToArray(), rear.ToArray(), 10000));
        return list;
    }

    private static bool Upright(CarShape c, string site) => site == "boot" && c.BootFront.Z - c.BootRear.Z > c.BootFront.X - c.BootRear.X;

    internal static List<HostWheel> Wheels(CarShape c) =>
        [.. from x in new[] { c.Wheelbase / 2, -c.Wheelbase / 2 } from side in new[] { 1, -1 } select new HostWheel([x, side * (c.HalfWidth - 0.10), c.WheelRadius], c.WheelRadius, 0.20)];

    /// <summary>Places that are drawn as surfaces of their own.</summary>
    private static readonly string[] Panels = ["bonnet", "roof", "boot", "door"];

    internal static List<HostSurface> Drawing(CarShape c)
    {
        var sites = Sites(c).ToDictionary(s => s.Id, s => Surface(c, s));
        var (bonnet, roof, boot) = (sites["bonnet"], sites["roof"], sites["boot"]);
        var list = Panels.Select(s => new HostSurface(s, s, sites[s].Grid(13, 13))).ToList();
        list.AddRange(CarPlaces.Drawing(c));
        var across = Enumerable.Range(0, 13).Select(j => 2.0 * j / 12 - 1).ToArray();
        Vec3[] Edge(PanelSurface p, double u) => [.. across.Select(w => p.Point(u * p.HalfU, w * p.HalfV))];
        Vec3[] Bar(double x, double half, double z, double bow) => [.. across.Select(w => new Vec3(x - bow * w * w * w * w, w * half, z))];
        double[][][] Rows(params Vec3[][] rows) => [.. rows.Select(r => r.Select(p => p.ToArray()).ToArray())];
        void Skin(string id, string kind, params Vec3[][] rows) => list.Add(new(id, kind, Rows(rows)));
        var bowed = Math.Sign(c.Nose) * 0.14;
        Vec3[] noseTop = Bar(c.Nose - 0.03, c.HalfWidth - 0.08, c.BonnetFront.Z - 0.12, bowed),
            noseLow = Bar(c.Nose, c.HalfWidth - 0.04, 0.50, bowed);
        Skin("nose", "paint", Edge(bonnet, 1), noseTop, noseLow, Bar(c.Nose - 0.06, c.HalfWidth - 0.06, SillHeight, bowed));
        Skin("windscreen", "glass", Edge(bonnet, -1), [.. Edge(bonnet, -1)
            .Zip(Edge(roof, 1), (a, b) => 0.5 * (a + b) + new Vec3(0.03, 0, 0.03))], Edge(roof, 1));
        var bootTop = Edge(boot, 1);
        Skin("rear-screen", "glass", Edge(roof, -1), bootTop);
        Skin("tail", "paint", Edge(boot, -1), Bar(c.Tail, c.HalfWidth - 0.06, Math.Min(0.55, c.BootRear.Z - 0.05), -0.10),
            Bar(c.Tail + 0.05, c.HalfWidth - 0.06, SillHeight + 0.04, -0.10));
        foreach (var side in new[] { 1, -1 })
        {
            var name = side > 0 ? "left" : "right";
            Vec3 Corner(PanelSurface p, double u) => p.Point(u * p.HalfU, side * p.HalfV);
            Vec3 Out(Vec3 p, double drop) => new(p.X, side * (c.HalfWidth - 0.015), p.Z - drop);
            // Belt line: along the bonnet edge, the foot of the side glass, the boot edge.
            var topFront = new[] { Corner(bonnet, 1), Corner(bonnet, 0), Corner(bonnet, -1) };
            var topRear = new[] { bootTop[side > 0 ? ^1 : 0], Corner(boot, Upright(c, "boot") ? -1 : 0), Corner(boot, -1) };
            Vec3[] Cabin(int n) => [.. Enumerable.Range(1, n - 1).Select(i => (1 - (double)i / n) * topFront[2] + (double)i / n
                * topRear[0])];
            Vec3[] shoulder = [noseTop[side > 0 ? ^1 : 0], .. topFront, .. Cabin(6), .. topRear];
            Vec3[] belt = [noseTop[side > 0 ? ^1 : 0], .. shoulder.Skip(1).Select(p => Out(p, BeltDrop * 0.8))];
            Vec3[] waist = [noseLow[side > 0 ? ^1 : 0], .. belt.Skip(1).Select(p => new Vec3(p.X, side * c.HalfWidth, 0.58))];
            Vec3[] sill = [.. waist.Select(p => new Vec3(p.X, side * (c.HalfWidth - 0.05), SillHeight))];
            Skin("shoulder-" + name, "paint", shoulder, belt);
            Skin("side-" + name, "paint", belt, waist, sill);
            Vec3[] cabin = [topFront[2], .. Cabin(6), topRear[0]];
            Vec3[] gutter = [.. Enumerable.Range(0, cabin.Length).Select(i => (1 - (double)i / (cabin.Length - 1)) * Corner(roof, 1)
                + (double)i / (cabin.Length - 1) * Corner(roof, -1))];
            Skin("side-glass-" + name, "glass", gutter, [.. gutter.Zip(cabin, (a, b) => 0.5 * (a + b) + new Vec3(0, side * 0.03, 0))],
                cabin);
        }
        return list;
    }
}
