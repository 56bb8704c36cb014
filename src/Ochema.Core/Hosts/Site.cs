using Ochema.Core.Quantities;

namespace Ochema.Core.Hosts;

/// <summary>What the surface is like today.</summary>
public enum SurfaceState
{
    CleanDry,
    Wet,
    Dusty,
    Textured,
}

/// <summary>
/// A place on a host as the preset has it, all editable. The radii and slopes of presets are judgement; measure your own
/// (a straightedge and a ruler give the crown: R = chord²/(8·gap)).
/// </summary>
public sealed record Site
{
    public required string Id { get; init; }
    public required string Name { get; init; }

    public SiteForm Form { get; init; } = SiteForm.Panel;

    [Measure("Diameter", Dimension.Length, 0.004, 1.2,
        UsualTo = 0.4, HowTo = "across the tube, ring bar or bolt head, with calipers: the nominal size is not the real one",
            Measured = true)]
    public double? Diameter { get; init; }

    [Measure("Soft layer behind", Dimension.Length, 0, 0.08, HowTo = "helmet liner behind the shell: nothing may enter it")]
    public double Liner { get; init; }

    /// <summary>Catalogue id of the material.</summary>
    [StockChoice("Made of", "materials", HowTo = "a magnet sticks to steel only",
        Only = "steel-body,al-body,composite-body,glass,steel-s235,steel-1018,stainless-304,al-6061-t6,abs,pine,living-wood,earth,carbon-tube")]
    public required string Material { get; init; }

    [Measure("Sheet or wall thickness", Dimension.Length, 0.0005, 0.05,
        HowTo = "{length:0.0007} to {length:0.0008} on most cars; solid bar: half its diameter", UsualTo = 0.012)]
    public required double Thickness { get; init; }

    [Measure("Clear radius", Dimension.Length, 0.04, 0.8, HowTo = "from the middle of the hold to the nearest stiffened edge, fold or support")]
    public required double ClearRadius { get; init; }

    [Measure("Crown radius", Dimension.Length, 0.05, 30, HowTo = "straightedge across: chord² ÷ (8 × gap)", UsualFrom = 0.1)]
    public required double CrownRadius { get; init; }

    [Measure("Coat on the panel", Dimension.Length, 0, 0.005,
        HowTo = "paint {length:0.0001}; add film, pad or cloth", UsualTo = 0.003)]
    public required double Coat { get; init; }

    [Measure("Steel plate behind it", Dimension.Length, 0, 0.01,
        HowTo = "held against the back of the sheet where magnets sit in front; leave empty for none", UsualTo = 0.006, Measured = true,
            Chosen = true)]
    public double? PlateBehind { get; init; }

    [Measure("Slope", Dimension.Angle, -1.6, 1.6, HowTo = "falling towards the front is positive; phone level")]
    public required double Slope { get; init; }

    [Measure("Leans to the left", Dimension.Angle, -0.8, 0.8, HowTo = "phone level against its side; to the right is negative")]
    public double SideLean { get; init; }

    [Measure("Thinner by, over its height", Dimension.Ratio, -0.3, 0.6,
        HowTo = "cord round it twice, {length:0.5} apart: the difference over 3.14, over that distance; thicker upwards is negative",
            UsualTo = 0.1)]
    public double Taper { get; init; }

    [Measure("Local wind factor", Dimension.Factor, 0.2, 2.0, HowTo = "air speed here over travel speed: bonnet 1.1, roof front 1.3")]
    public required double WindFactor { get; init; }

    [Measure("Stiffness by tap test", Dimension.Factor, 0.02, 50,
        HowTo = "share of the estimate; comes from a tap test on the Shake screen", Measured = true, UsualFrom = 0.2, UsualTo = 5)]
    public double? StiffnessFactor { get; init; }

    [Measure("Damping by tap test", Dimension.Ratio, 0.005, 0.5, HowTo = "comes from a tap test on the Shake screen", Measured = true)]
    public double? Damping { get; init; }

    [Measure("Ground bears", Dimension.Pressure, 500, 1e7,
        HowTo = "stand on one heel, some 30 cm²: {pressure:200000} leaves no mark, {pressure:20000} lets it sink in", UsualTo = 5e5,
            Measured = true)]
    public double? Bears { get; init; }

    [Measure("Friction there", Dimension.Factor, 0.03, 1.2,
        HowTo = "pull what stands or presses there along with a luggage scale: reading over its weight or press",
        UsualFrom = 0.2, UsualTo = 0.8, Measured = true)]
    public double? Friction { get; init; }

    [Measure("Span", Dimension.Length, 1.5, 60, HowTo = "anchor to anchor, tape or paces", UsualTo = 20, Measured = true)]
    public double? Span { get; init; }

    [Measure("Rope above the ground", Dimension.Length, 0.3, 30, HowTo = "at the anchors; or above what must stay clear below", UsualTo = 5, Measured = true)]
    public double? Above { get; init; }

    [Measure("Far end higher", Dimension.Length, -10, 10, HowTo = "than the near one; lower is negative", UsualFrom = -1, UsualTo = 1)]
    public double? Rise { get; init; }

    [Measure("Each anchor holds", Dimension.Force, 50, 100000,
        HowTo = "pulled on, or known; leave empty for what nobody asked", UsualTo = 10000, Measured = true)]
    public double? EndsHold { get; init; }

    [Measure("All of it weighs", Dimension.Mass, 0.2, 500,
        HowTo = "the table or stand with what stays on it, a bag on its feet too; bathroom scale", UsualTo = 100, Measured = true)]
    public double? Weighs { get; init; }

    [Measure("Its feet stand apart", Dimension.Length, 0.04, 4,
        HowTo = "between the nearest two sides of what they span; of three legs: twice from the middle to the nearest side", UsualTo = 2,
            Measured = true)]
    public double? FeetApart { get; init; }

    [Option("Surface today")]
    public SurfaceState Surface { get; init; } = SurfaceState.CleanDry;

    /// <summary>True where it rains or ices on it today, whatever its surface is otherwise.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    internal bool Rained { get; init; }

    /// <summary>What of a friction on what is clean and dry is left as the surface is today (judgement: wet 0.5–0.8 of it, dust
    /// 0.4–0.8).</summary>
    internal double Rubs(double dry) => Rained || Surface is SurfaceState.Wet or SurfaceState.Dusty ? 0.6 * dry : dry;

    /// <summary>Said behind a friction where it is less than on what is clean and dry.</summary>
    internal string RubsWhy => Surface switch
    {
        SurfaceState.Wet => "; six tenths of it, wet",
        SurfaceState.Dusty => "; six tenths of it, dusty",
        _ => Rained ? "; six tenths of it, wet" : "",
    };

    /// <summary>A preset of something that is gripped: a tube, an edge, a post.</summary>
    /// <param name="diameter">Across it, m.</param>
    /// <param name="wall">m; of what is solid, half its diameter.</param>
    /// <param name="clear">Clear radius, m.</param>
    /// <param name="wind">Air speed there over that of the host.</param>
    internal static Site Gripped(string id, string name, SiteForm form, string material, double diameter, double wall, double clear,
        double wind) => new()
        {
            Id = id,
            Name = name,
            Form = form,
            Material = material,
            Diameter = diameter,
            Thickness = wall,
            ClearRadius = clear,
            CrownRadius = 30,
            Coat = 0,
            Slope = 0,
            WindFactor = wind,
        };
}

/// <summary>Where a strap or tether may end: something closed and fixed, as a point or an edge a hook slides along.</summary>
/// <param name="A">One end, m, host axes.</param>
/// <param name="B">Other end; equal to A for a single point.</param>
/// <param name="Holds">N that such a point usually holds (judgement, 0.5–2 ×); null when that has to be asked.</param>
public sealed record Anchor(string Id, string Name, double[] A, double[] B, double? Holds = null)
{
    /// <summary>True for a line that is no part of the host: the rig brings it, and it is hung first.</summary>
    public bool Hung { get; init; }

    /// <summary>The place at a share 0…1 along it.</summary>
    internal Structure.Vec3 At(double t) => (1 - t) * Structure.Vec3.From(A) + t * Structure.Vec3.From(B);
}

/// <summary>One surface of a host's drawing: a grid of points (rows × columns × xyz, m).</summary>
/// <param name="Kind">paint, glass, trim, cloth, skin or the id of a site.</param>
public sealed record HostSurface(string Id, string Kind, double[][][] Grid);

/// <summary>A wheel of a host's drawing.</summary>
public sealed record HostWheel(double[] Centre, double Radius, double Width);

/// <summary>A panel's own axes, to turn a point on it into (s, t).</summary>
public sealed record PanelFrame(string Site, double[] Origin, double[] U, double[] V, double[] Normal, double HalfU, double HalfV)
{
    public static PanelFrame Of(string site, PanelSurface s) =>
        new(site, s.Origin.ToArray(), s.U.ToArray(), s.V.ToArray(), s.Normal.ToArray(), s.HalfU, s.HalfV);
}

/// <summary>A host as published: its sites, closed points and drawing.</summary>
/// <param name="Traits">What it has that is not asked of others.</param>
/// <param name="Drive">What its speed is, and how fast it goes: no run is faster and no limit is looked for beyond.</param>
/// <param name="Goings">How many of the goings it knows, smoothest first; rougher ones count as the roughest.</param>
public sealed record HostPreset(
    string Id, string Name, string Kind, IReadOnlyList<Site> Sites, IReadOnlyList<Anchor> Anchors,
    IReadOnlyList<PanelFrame> Frames, IReadOnlyList<HostSurface> Surfaces, IReadOnlyList<HostWheel> Wheels, IReadOnlyList<string> Cautions,
    IReadOnlyList<KeepClear> Zones, Drive Drive, Loads.GoingWords Going,
        IReadOnlyList<Loads.MotionFactor> Motion, IReadOnlyList<HostTrait> Traits, int Goings,
    IReadOnlyList<HostPerson> People, Backdrop Backdrop, double GroundHeight);
