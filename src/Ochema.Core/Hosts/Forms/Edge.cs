namespace Ochema.Core.Hosts;

/// <summary>An edge, rail or branch that a jaw can grip.</summary>
public sealed record EdgeForm : SiteForm
{
    public override string Id => "edge";

    public override string Words => "an edge to grip";

    public override IReadOnlyList<string> Has =>
        [nameof(Site.Diameter), nameof(Site.Surface)];
}

public abstract partial record SiteForm
{
    /// <summary>An edge, rail or branch that a jaw can grip.</summary>
    public static SiteForm Edge { get; } = new EdgeForm();
}
