namespace Ochema.Core.Hosts;

/// <summary>A round holder let into a deck, that a stub stands in.</summary>
public sealed record BoreForm : SiteForm
{
    public override string Id => "bore";

    public override string Words => "a round holder in the deck";

    public override string LookOver =>
        "Bore by calipers, at its rim and a finger deep; how deep until it ends, with a stick. Cracked flange, loose screws, a bottom "
            + "that leaks? "
        + "Is there a cross-pin at its foot?";

    public override IReadOnlyList<string> Has => [nameof(Site.Diameter)];
}

public abstract partial record SiteForm
{
    /// <summary>A round holder let into a deck.</summary>
    public static SiteForm Bore { get; } = new BoreForm();
}
