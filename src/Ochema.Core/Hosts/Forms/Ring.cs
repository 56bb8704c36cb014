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
}

public abstract partial record SiteForm
{
    /// <summary>A closed ring of round bar: tow eye, U-bolt.</summary>
    public static SiteForm Ring { get; } = new RingForm();
}
