using Ochema.Core.Stock;

namespace Ochema.Core.Hosts;

/// <summary>A helmet's shell with a liner behind it.</summary>
public sealed record ShellForm : SiteForm
{
    public override string Id => "shell";

    public override string Words => "a helmet's shell";

    public override IReadOnlyList<string> Has =>
        [nameof(Site.Liner), nameof(Site.CrownRadius), nameof(Site.Coat), nameof(Site.Surface), nameof(SiteSurvey.Even),
            nameof(SiteSurvey.GlueAllowed), nameof(SiteSurvey.FilmingProp)];

    public override bool IsSkin => true;

    public override SiteGive Give(Site site, Material material, double radius) => Sheet(site, material, radius);
}

public abstract partial record SiteForm
{
    /// <summary>A helmet's shell with a liner behind it.</summary>
    public static SiteForm Shell { get; } = new ShellForm();
}
