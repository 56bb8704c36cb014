using Ochema.Core.Structure;

namespace Ochema.Core.Hosts;

/// <summary>The places on a car that are not panels: rings, tubes, slots, threads, the inside.</summary>
internal static class CarPlaces
{
    /// <summary>The place on the dashboard.</summary>
    public const string Dashboard = "dashboard";

    private const double RackHeight = 0.09;
    private const double RackDiameter = 0.032;
    private const double HoopDiameter = 0.038;

    /// <summary>Preset sites. Sizes are usual ones, judgement; measure yours.</summary>
    public static IEnumerable<Site> Sites(CarShape c)
    {
        Site Place(string id, string name, SiteForm form, string material, double thickness, double clear, double wind,
            double? diameter = null) => new()
            {
                Id = id,
                Name = name,
                Form = form,
                Material = material,
                Thickness = thickness,
                Diameter = diameter,
                ClearRadius = clear,
                CrownRadius = 30,
                Coat = 0,
                Slope = 0,
                WindFactor = wind,
            };
        return
        [
            Place("tow-eye", "Front tow eye", SiteForm.Ring, "steel-1018", 0.009, 0.04, 0.9, 0.018),
            Place("roof-rack", "Roof rack cross-tube", SiteForm.Tube, "al-6061-t6", 0.002, 0.5, 1.3, RackDiameter),
            Place("roof-points", "Screwed roof points", SiteForm.Threaded, "steel-body", 0.002, 0.2, 1.3),
            Place("window-slot", "Window slot of the door", SiteForm.Slot, "steel-body", 0.0012, 0.2, 1.1),
            Place("window-glass", "Raised door glass", SiteForm.PaneEdge, "glass", 0.004, 0.2, 1.1),
            Place("roll-hoop", "Roll hoop, inside", SiteForm.Tube, "steel-1018", 0.0025, 0.45, 0.5, HoopDiameter),
            Place(Dashboard, "Dashboard or floor, inside", SiteForm.Floor, "abs", 0.003, 0.2, 0.3),
        ];
    }

    /// <summary>The surface of such a place, or null when the site is a panel.</summary>
    public static PanelSurface? Surface(CarShape c, Site site)
    {
        var (sin, cos) = Math.SinCos(site.Slope);
        return site.Id switch
        {
            "tow-eye" => HostDrawing.Along(TowEye(c), Vec3.UnitY, new Vec3(sin, 0, cos), 0.02),
            "roof-rack" => HostDrawing.Along(Rack(c, c.RoofFront.X - 0.35), Vec3.UnitY, new Vec3(sin, 0, cos), c.RoofHalfWidth - 0.05),
            "roof-points" => HostDrawing.Along(Rack(c, c.RoofFront.X - 0.35) - (RackHeight - 0.01) * Vec3.UnitZ, Vec3.UnitY, Vec3.UnitZ,
                c.RoofHalfWidth - 0.05, 0.02),
            "window-slot" or "window-glass" => HostDrawing.Along(Slot(c, site.Id == "window-glass" ? 0.12 : 0), Vec3.UnitX,
                new Vec3(0, sin, cos), 0.25, 0.03),
            "roll-hoop" => HostDrawing.Along(Hoop(c), Vec3.UnitY, new Vec3(cos, 0, sin), 0.35),
            Dashboard => HostDrawing.Along(new Vec3(c.BonnetRear.X - 0.25, 0.05, c.BonnetRear.Z + 0.02), Vec3.UnitX, Vec3.UnitZ, 0.12,
                0.35),
            _ => null,
        };
    }

    public static IEnumerable<HostSurface> Drawing(CarShape c)
    {
        foreach (var x in new[] { c.RoofFront.X - 0.35, c.RoofFront.X - 1.05 })
            yield return HostDrawing.Tube(x > c.RoofFront.X - 0.5 ? "roof-rack" : "roof-rack-rear", "trim", RackDiameter, Rack(c, x)
                - (c.RoofHalfWidth - 0.04) * Vec3.UnitY, Rack(c, x) + (c.RoofHalfWidth - 0.04) * Vec3.UnitY);
        var eye = TowEye(c) - 0.03 * Vec3.UnitX;
        yield return HostDrawing.Tube("tow-eye", "trim", 0.018, [.. Enumerable.Range(0, 13)
            .Select(i => eye + 0.03 * new Vec3(Math.Cos(i * Math.PI / 6), 0, Math.Sin(i * Math.PI / 6)))]);
    }

    /// <summary>Places that must stay free.</summary>
    /// <param name="driver">1 when the driver sits on the left, −1 on the right.</param>
    public static IReadOnlyList<KeepClear> Zones(CarShape c, int driver)
    {
        double[] Low(double x, double inner, double outer, double z) => [x, driver > 0 ? inner : -outer, z];
        double[] High(double x, double inner, double outer, double z) => [x, driver > 0 ? outer : -inner, z];
        var screen = c.BonnetRear.X;
        return
        [
            new("view", "driver's view", Low(screen - 0.1, 0.18, c.BonnetHalfWidth - 0.08, c.BonnetRear.Z + 0.12),
                High(screen + 0.9, 0.18, c.BonnetHalfWidth - 0.08, c.BonnetRear.Z + 0.5), "The driver has to see the road past it.",
                    Sight: true),
            new("lamp-left", "left head lamp", [c.Nose - 0.2, c.HalfWidth - 0.4, 0.55], [c.Nose + 0.25, c.HalfWidth, 0.72],
                "A lamp that is covered is off."),
            new("lamp-right", "right head lamp", [c.Nose - 0.2, -c.HalfWidth, 0.55], [c.Nose + 0.25, -c.HalfWidth + 0.4, 0.72],
                "A lamp that is covered is off."),
            new("plate", "number plate", [c.Nose - 0.02, -0.27, 0.42], [c.Nose + 0.3, 0.27, 0.54], "It has to be read from ahead.",
                Sight: true),
            new("wheel", "steering wheel and controls", Low(screen - 0.75, 0.15, 0.6, c.BonnetRear.Z - 0.35),
                High(screen - 0.35, 0.15, 0.6, c.BonnetRear.Z + 0.05), "Lock to lock, hands and levers.", Inside: true),
        ];
    }

    private static Vec3 TowEye(CarShape c) => new(c.Nose + 0.06, -0.35, 0.42);

    private static Vec3 Rack(CarShape c, double x) => new(x, 0, c.RoofFront.Z + RackHeight);

    private static Vec3 Slot(CarShape c, double up) => new((c.DoorFront + c.DoorRear) / 2, c.HalfWidth - 0.08, c.BonnetRear.Z + 0.02 + up);

    private static Vec3 Hoop(CarShape c) => new(c.DoorRear - 0.1, 0, c.RoofFront.Z - 0.18);
}
