using Ochema.Core.Quantities;
using Ochema.Core.Stock;

namespace Ochema.Core.Hosts;

/// <summary>One rope or two between two anchors: what hangs on it rolls along. How it gives is a matter of the rope, its tension and what
/// hangs on it.</summary>
public sealed record RopeForm : SiteForm
{
    public override string Id => "rope";

    public override string Words => "a rope between two anchors";

    public override string LookOver =>
        "Both anchors pulled on at the height of their slings: nothing creaks, nothing stirs at the root. What is "
        + "below the run and beside it, and who may walk in while nobody looks?";

    public override IReadOnlyList<string> Has => [nameof(Site.Span), nameof(Site.Above), nameof(Site.Rise), nameof(Site.EndsHold)];

    public override bool HangsOver => true;

    public override string? Where(Site site) => "on the rope";

    public override string Lifts(bool braced) => "a tighter rope, or a second one, lifts it.";

    public override string Describe(Site site, Material material) =>
        $"{QuantityText.Of(site.Span ?? 12, Dimension.Length)} between {Quantities.Words.Inside(material.Name)}";
}

public abstract partial record SiteForm
{
    /// <summary>One rope or two between two anchors.</summary>
    public static SiteForm Rope { get; } = new RopeForm();
}
