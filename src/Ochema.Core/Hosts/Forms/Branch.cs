using Ochema.Core.Stock;

namespace Ochema.Core.Hosts;

/// <summary>A branch that a clamp or band goes round: held at the trunk only.</summary>
public sealed record BranchForm : SiteForm
{
    public override string Id => "branch";

    public override string Words => "a branch";

    public override string LookOver =>
        "Alive and sound: no fungus, no loose bark, no crack where it forks? Ants, ivy, a nest? Whose is it, "
        + "who walks below, and where would a branch that breaks come down?";

    public override IReadOnlyList<string> Has => [nameof(Site.Diameter), nameof(Site.Surface)];

    /// <summary>A round bar built in at the trunk, the clear radius away: 3EI/L³ across, EI/L turning (Roark table 8.1); green wood as dry
    /// (judgement).</summary>
    public override SiteGive Give(Site site, Material material, double radius)
    {
        var ei = material.YoungsModulus * Math.PI / 64 * Math.Pow(site.Diameter ?? 0.05, 4);
        return new(3 * ei / Math.Pow(site.ClearRadius, 3), 3 * ei / Math.Pow(site.ClearRadius, 3), ei / site.ClearRadius);
    }

    /// <summary>At the trunk, where it is built in: F·a and M.</summary>
    public override HostBar? Bar(Site site, double above) => new("branch", site.ClearRadius, 1, "its free length");

    public override string Lifts(bool braced) => "nearer to the trunk lifts it.";
}

public abstract partial record SiteForm
{
    /// <summary>A branch that a clamp or band goes round.</summary>
    public static SiteForm Branch { get; } = new BranchForm();
}
