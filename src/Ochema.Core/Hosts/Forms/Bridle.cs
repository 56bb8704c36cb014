using Ochema.Core.Stock;

namespace Ochema.Core.Hosts;

/// <summary>Three shackles of a bridle, one above and one to either side, that something hangs between on lines.</summary>
public sealed record BridleForm : SiteForm
{
    public override string Id => "bridle";

    public override string Words => "three shackles of a bridle";

    public override string LookOver => "Shackles closed and secured, wires without a broken strand? What does the sail sweep as it "
        + "goes about, and where are hands and feet in a hurry?";

    public override string? Where(Site site) => "on its lines";

    public override string Lifts(bool braced) => "tighter legs lift it.";

    public override string Describe(Site site, Material material) => Quantities.Words.Inside(material.Name);
}

public abstract partial record SiteForm
{
    /// <summary>Three shackles of a bridle.</summary>
    public static SiteForm Bridle { get; } = new BridleForm();
}
