namespace Ochema.Core.Hosts;

/// <summary>A level place that things stand on: floor, dashboard, ground.</summary>
public sealed record FloorForm : SiteForm
{
    public override string Id => "floor";

    public override string Words => "a level place to stand on";

    public override IReadOnlyList<string> Has => [nameof(Site.Surface)];

    public override bool IsInside => true;
}

public abstract partial record SiteForm
{
    /// <summary>A level place that things stand on: floor, dashboard, ground.</summary>
    public static SiteForm Floor { get; } = new FloorForm();
}
