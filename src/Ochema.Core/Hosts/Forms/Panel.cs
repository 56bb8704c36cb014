using Ochema.Core.Stock;

namespace Ochema.Core.Hosts;

/// <summary>Sheet metal or moulding, flat or crowned.</summary>
public sealed record PanelForm : SiteForm
{
    public override string Id => "panel";

    public override string Words => "a panel";

    public override IReadOnlyList<string> Has =>
        [nameof(Site.CrownRadius), nameof(Site.Coat), nameof(Site.PlateBehind), nameof(Site.Surface), nameof(SiteSurvey.MagnetSticks), nameof(SiteSurvey.Even),
            nameof(SiteSurvey.GlueAllowed)];

    public override bool IsSkin => true;

    public override bool TakesFeet => true;

    public override bool IsOnTop => true;

    public override SiteGive Give(Site site, Material material, double radius) => Sheet(site, material, radius);

    public override string? Where(Site site) => $"on the {site.Name.ToLowerInvariant()} skin";
}

public abstract partial record SiteForm
{
    /// <summary>Sheet metal or moulding, flat or crowned.</summary>
    public static SiteForm Panel { get; } = new PanelForm();
}
