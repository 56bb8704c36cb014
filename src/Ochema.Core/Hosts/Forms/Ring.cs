using Ochema.Core.Stock;

namespace Ochema.Core.Hosts;

/// <summary>A closed ring of round bar: tow eye, U-bolt.</summary>
public sealed record RingForm : SiteForm
{
    public override string Id => "ring";

    public override string Words => "a closed ring";

    public override IReadOnlyList<string> Has =>
        [nameof(Site.Diameter), nameof(Site.Surface)];

    public override SiteGive Give(Site site, Material material, double radius) => HeldBar(site, material);

    /// <summary>Both legs of it carry, as a straight bar of the same free length would: F·L/8 and M/2 (Roark table 8.1).</summary>
    public override HostBar? Bar(Site site, double above) => new("ring's bar", 2 * site.ClearRadius / 8, 0.5,
        "an eighth of its free length");
}

public abstract partial record SiteForm
{
    /// <summary>A closed ring of round bar: tow eye, U-bolt.</summary>
    public static SiteForm Ring { get; } = new RingForm();
}
