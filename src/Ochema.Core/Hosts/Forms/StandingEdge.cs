namespace Ochema.Core.Hosts;

/// <summary>An edge of something that stands on feet of its own: a jaw can grip it, and it can tip.</summary>
public sealed record StandingEdgeForm : SiteForm
{
    public override string Id => "standing-edge";

    public override string Words => Edge.Words;

    public override IReadOnlyList<string> Has =>
        [nameof(Site.Diameter), nameof(Site.Surface), nameof(Site.Weighs), nameof(Site.FeetApart)];
}

public abstract partial record SiteForm
{
    /// <summary>An edge of something that stands on feet of its own.</summary>
    public static SiteForm StandingEdge { get; } = new StandingEdgeForm();
}
