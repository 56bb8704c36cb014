using Ochema.Core.Stock;

namespace Ochema.Core.Hosts;

/// <summary>The ground at somebody's feet, for the butt of a pole that they hold.</summary>
public sealed record ButtForm : SiteForm
{
    public override string Id => "butt";

    public override string Words => "the ground at your feet";

    public override string LookOver =>
        "Stand there and look up: wires, branches, eaves, within the pole's length, its reach and 3 m? Press a heel in: does "
        + "it give? Wet leaves, loose stones, a slope that the butt runs off?";

    public override IReadOnlyList<string> Has => [nameof(Site.Bears), nameof(Site.Friction), nameof(Site.Surface)];

    public override bool IsHeld => true;

    /// <summary>As under any small foot on the ground.</summary>
    public override SiteGive Give(Site site, Material material, double radius) => Ground.Give(site, material, radius);

    public override string? Where(Site site) => "on the ground";

    public override string Lifts(bool braced) => "a shorter or thicker pole lifts it.";

    public override string Describe(Site site, Material material) => Ground.Describe(site, material);
}

public abstract partial record SiteForm
{
    /// <summary>The ground at somebody's feet.</summary>
    public static SiteForm Butt { get; } = new ButtForm();
}
