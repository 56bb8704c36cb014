using Ochema.Core.Quantities;
using Ochema.Core.Stock;

namespace Ochema.Core.Hosts;

/// <summary>The ground: floor, grass, sand, snow. It carries what stands on it as long as it does not break in.</summary>
public sealed record GroundForm : SiteForm
{
    /// <summary>What ground bears that nobody asked, Pa (common practice, no source: firm soil).</summary>
    public const double UsualBearing = 1e5;

    /// <summary>Ground is taken to break in when it has sunk by this, m: modulus of subgrade reaction = bearing ÷ 25 mm (Bowles,
    /// "Foundation Analysis and Design", from memory). A small foot finds it stiffer, so this is the soft side.</summary>
    private const double SinksBy = 0.0254;

    /// <summary>What grounds bear, Pa, and grip (common practice, no source; try your own).</summary>
    private static readonly (string Id, string Name, double Bears, double Grips)[] Usual =
        [("grass", "Short grass", 1e5, 0.45), ("floor", "Hard floor", 2e6, 0.4), ("sand", "Dry sand", 3e4, 0.5), ("snow", "Trodden snow", 2e4, 0.2)];

    /// <summary>Places on each usual ground.</summary>
    /// <param name="form">What stands there: the ground, or a pole's butt.</param>
    /// <param name="where">Behind the ground's name; empty where there is one only.</param>
    /// <param name="clear">Clear radius, m.</param>
    /// <param name="wind">Air speed there over that of the host.</param>
    internal static IEnumerable<Site> Places(SiteForm form, string where, double clear, double wind) => Usual.Select(g => new Site
    {
        Id = g.Id,
        Name = g.Name + where,
        Form = form,
        Material = "earth",
        Thickness = 0.05,
        ClearRadius = clear,
        CrownRadius = 30,
        Coat = 0,
        Slope = 0,
        WindFactor = wind,
        Bears = g.Bears,
        Friction = g.Grips,
    });

    public override string Id => "ground";

    public override string Words => "the ground";

    public override string LookOver => "Press a heel in: does it give? Slope by level; stones, roots, molehills, a floor that must not be "
        + "scratched. Where does water stand after rain, and who walks or drives here?";

    public override IReadOnlyList<string> Has => [nameof(Site.Bears), nameof(Site.Friction), nameof(Site.Surface)];

    /// <summary>Springs under every bit of a round foot (Winkler): k·πr², and k·πr⁴/4 against rocking; half as much along
    /// (judgement).</summary>
    public override SiteGive Give(Site site, Material material, double radius)
    {
        var k = (site.Bears ?? UsualBearing) / SinksBy;
        var upright = k * Math.PI * radius * radius;
        return new(upright, upright / 2, upright * radius * radius / 4);
    }

    public override string? Where(Site site) => "on the ground";

    public override string Lifts(bool braced) => "a wider foot lifts it.";

    public override string Describe(Site site, Material material) =>
        $"bears {QuantityText.Of(site.Bears ?? UsualBearing, Dimension.Pressure)}";
}

public abstract partial record SiteForm
{
    /// <summary>Floor, grass, sand, snow.</summary>
    public static SiteForm Ground { get; } = new GroundForm();
}
