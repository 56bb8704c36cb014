using Ochema.Core.Stock;

namespace Ochema.Core.Hosts;

/// <summary>A round tube or bar that a clamp goes round.</summary>
public sealed record TubeForm : SiteForm
{
    public override string Id => "tube";

    public override string Words => "a round tube";

    public override IReadOnlyList<string> Has =>
        [nameof(Site.Diameter), nameof(Site.Surface)];

    public override SiteGive Give(Site site, Material material, double radius) => HeldBar(site, material);

    /// <summary>In the middle of a span built in at both ends: F·L/8 and M/2 (Roark table 8.1).</summary>
    public override HostBar? Bar(Site site, double above) => new("tube", 2 * site.ClearRadius / 8, 0.5, "an eighth of its free span");
}

public abstract partial record SiteForm
{
    /// <summary>A round tube or bar that a clamp goes round.</summary>
    public static SiteForm Tube { get; } = new TubeForm();
}
