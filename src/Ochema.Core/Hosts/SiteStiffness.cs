using Ochema.Core.Stock;

namespace Ochema.Core.Hosts;

/// <summary>
/// What the host itself gives way under a hold, by the form of the site: sheet as a plate and shallow shell, tubes and rings as
/// beams held at the ends of their free span (16EI/L and 192EI/L³, Roark table 8.1), solid places hardly at all.
/// </summary>
public static class SiteStiffness
{
    /// <summary>A solid place: N/m and N·m/rad; stiff beside all else (judgement).</summary>
    private const double Solid = 5e7;
    private const double SolidRocking = 2e5;

    /// <param name="radius">Effective radius of the hold, m.</param>
    /// <returns>Along the normal, N/m; along the surface, N/m; rocking, N·m/rad.</returns>
    public static (double Normal, double InPlane, double Rocking) Of(Site site, Material m, double radius)
    {
        var (normal, inPlane, rocking) = Estimate(site, m, radius);
        // A tap test beats the estimate.
        var factor = site.StiffnessFactor ?? 1;
        return (factor * normal, factor * inPlane, factor * rocking);
    }

    private static (double Normal, double InPlane, double Rocking) Estimate(Site site, Material m, double radius)
    {
        switch (site.Form)
        {
            case SiteForm.Panel or SiteForm.Shell:
                return (PanelStiffness.Normal(m, site.Thickness, site.ClearRadius, site.CrownRadius),
                    PanelStiffness.InPlane(m, site.Thickness, site.ClearRadius, radius),
                    PanelStiffness.Rocking(m, site.Thickness, site.ClearRadius, radius));
            case SiteForm.Tube or SiteForm.Ring:
                var d = site.Diameter ?? 0.025;
                var inside = Math.Max(0, d - 2 * site.Thickness);
                var ei = m.YoungsModulus * Math.PI / 64 * (Math.Pow(d, 4) - Math.Pow(inside, 4));
                var span = 2 * site.ClearRadius;
                return (192 * ei / Math.Pow(span, 3), 192 * ei / Math.Pow(span, 3), 16 * ei / span);
            default:
                return (Solid, Solid, SolidRocking);
        }
    }
}
