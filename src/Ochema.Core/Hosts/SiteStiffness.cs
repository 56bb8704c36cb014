using Ochema.Core.Stock;

namespace Ochema.Core.Hosts;

/// <summary>What the host itself gives way under a hold: what the form of the place says, times what a tap test found.</summary>
public static class SiteStiffness
{
    /// <param name="radius">Effective radius of the hold, m.</param>
    public static SiteGive Of(Site site, Material m, double radius)
    {
        var give = site.Form.Give(site, m, radius);
        // A tap test beats the estimate.
        var factor = site.StiffnessFactor ?? 1;
        return new(factor * give.Normal, factor * give.InPlane, factor * give.Rocking);
    }
}
