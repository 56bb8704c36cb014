namespace Ochema.Core.Hosts;

/// <summary>Two steel bolt heads, top of a handlebar.</summary>
public sealed record BoltsForm : SiteForm
{
    public override string Id => "bolts";

    public override string Words => "a pair of bolt heads";

    public override IReadOnlyList<string> Has =>
        [nameof(Site.Diameter), nameof(Site.Coat), nameof(Site.Surface), nameof(SiteSurvey.MagnetSticks)];

    public override bool IsOnTop => true;
}

public abstract partial record SiteForm
{
    /// <summary>Two steel bolt heads, top of a handlebar.</summary>
    public static SiteForm Bolts { get; } = new BoltsForm();
}
