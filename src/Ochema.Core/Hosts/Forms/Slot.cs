namespace Ochema.Core.Hosts;

/// <summary>The slot between a door and its glass.</summary>
public sealed record SlotForm : SiteForm
{
    public override string Id => "slot";

    public override string Words => "a door's window slot";

    public override IReadOnlyList<string> Has => [nameof(Site.Surface)];

    public override bool IsInside => true;
}

public abstract partial record SiteForm
{
    /// <summary>The slot between a door and its glass.</summary>
    public static SiteForm Slot { get; } = new SlotForm();
}
