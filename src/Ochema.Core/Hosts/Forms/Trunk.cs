namespace Ochema.Core.Hosts;

/// <summary>The trunk of a tree, or a thick post: straps go round it, nothing goes into it.</summary>
public sealed record TrunkForm : SiteForm
{
    public override string Id => "trunk";

    public override string Words => "a trunk or thick post";

    public override string LookOver =>
        "Alive and sound: no fungus, no loose bark, no crack where it forks? Ants, ivy, a nest? Whose is it, "
        + "who walks below, and where would a branch that breaks come down?";

    public override IReadOnlyList<string> Has =>
        [nameof(Site.Diameter), nameof(Site.SideLean), nameof(Site.Taper), nameof(Site.Friction), nameof(Site.Surface)];

    /// <summary>How far the bark leans back from the trunk's own line, rad: half of what it is thinner by.</summary>
    internal static double Flare(Site site) => Math.Atan(site.Taper / 2);

    /// <summary>Built in at the ground; as thin there as where it is held, which it is not.</summary>
    public override HostBar? Bar(Site site, double above) => new("trunk or post", above, 1, "its height over the ground");

    public override string? Where(Site site) => "on the trunk";

    public override string Lifts(bool braced) => "shorter links, or a tighter strap, lift it.";
}

public abstract partial record SiteForm
{
    /// <summary>The trunk of a tree, or a thick post.</summary>
    public static SiteForm Trunk { get; } = new TrunkForm();
}
