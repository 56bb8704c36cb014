namespace Ochema.Core.Hosts;

/// <summary>A raised pane, gripped at its edge.</summary>
public sealed record PaneEdgeForm : SiteForm
{
    public override string Id => "pane-edge";

    public override string Words => "the edge of raised glass";

    public override IReadOnlyList<string> Has => [nameof(Site.Surface)];

    public override bool IsInside => true;
}

public abstract partial record SiteForm
{
    /// <summary>A raised pane, gripped at its edge.</summary>
    public static SiteForm PaneEdge { get; } = new PaneEdgeForm();
}
