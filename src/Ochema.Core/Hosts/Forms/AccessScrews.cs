using Ochema.Core.Stock;

namespace Ochema.Core.Hosts;

/// <summary>A row of the host's own screws in its skin: they hold a cover, and what lies under their heads with it.</summary>
public sealed record AccessScrewsForm : SiteForm
{
    public override string Id => "access-screws";

    public override string Words => "a row of access screws";

    public override string? Where(Site site) => "on the wing";

    public override string Lifts(bool braced) => "a shorter boom, or more brackets, lift it.";

    /// <summary>A nut plate on a rib or doubler: stiff along and across, it rocks with the skin round it (judgement, 0.3–3 ×).</summary>
    public override SiteGive Give(Site site, Material material, double radius) => new(1.5e6, 5e6, 60);
}

public abstract partial record SiteForm
{
    /// <summary>A row of the host's own screws in its skin.</summary>
    public static SiteForm AccessScrews { get; } = new AccessScrewsForm();
}
