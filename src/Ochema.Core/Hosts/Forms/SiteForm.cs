using System.Text.Json.Serialization;
using Ochema.Core.Json;
using Ochema.Core.Quantities;
using Ochema.Core.Stock;

namespace Ochema.Core.Hosts;

/// <summary>What a place gives way under a hold.</summary>
/// <param name="Normal">Along its normal, N/m.</param>
/// <param name="InPlane">Along its surface, N/m.</param>
/// <param name="Rocking">N·m/rad.</param>
public readonly record struct SiteGive(double Normal, double InPlane, double Rocking)
{
    /// <summary>A solid place: stiff beside all else (judgement).</summary>
    public static SiteGive Solid { get; } = new(5e7, 5e7, 2e5);
}

/// <summary>A tube or branch of a host, bent at its worst place by what is held on it.</summary>
/// <param name="Noun">What it is called: "tube".</param>
/// <param name="Force">Bending for one newton, m.</param>
/// <param name="Moment">Bending for one newton metre.</param>
/// <param name="Lever">What <paramref name="Force"/> is.</param>
public readonly record struct HostBar(string Noun, double Force, double Moment, string Lever);

/// <summary>
/// What sort of place a site is; holds ask for some and cannot use others. To add one is to add a file here: its words, which measures and
/// questions it has, how it gives way, what may be done there.
/// </summary>
[JsonConverter(typeof(NamedChoiceConverter<SiteForm>))]
public abstract partial record SiteForm : NamedChoice
{
    /// <summary>What it is in a sentence: "a panel".</summary>
    public abstract string Words { get; }

    /// <summary>Measures of <see cref="Site"/> and questions of <see cref="SiteSurvey"/> that not every place has and this one does, by
    /// property.</summary>
    public virtual IReadOnlyList<string> Has => [];

    /// <summary>True for a skin: it bends under what stands on it, has an edge to stay within, and lines lie on it.</summary>
    public virtual bool IsSkin => false;

    /// <summary>True where a strut may be proposed a place for its foot.</summary>
    public virtual bool TakesFeet => false;

    /// <summary>True where the body of the host lies between it and anything to strap to.</summary>
    public virtual bool IsInside => false;

    /// <summary>True where what hangs from it swings outside of the host's skin only.</summary>
    public virtual bool IsOnTop => false;

    /// <summary>What is looked at there before anything is bought (common practice, no source).</summary>
    public virtual string LookOver =>
        "Knock along it: strong edge or soft middle? Creases, dents, gaps, filler, loose paint? What other job has this place: "
        + "lights, plate, cooling, view, instruments, keys, controls lock to lock, a hatch?";

    /// <summary>True where somebody holds what stands there, and a long one falls round them.</summary>
    public virtual bool IsHeld => false;

    /// <summary>True where what it carries hangs over ground that others walk on: whether nobody is below has to be answered.</summary>
    public virtual bool HangsOver => false;

    /// <summary>What it gives way under a hold of an effective radius, m, as measured; a solid place by default.</summary>
    public virtual SiteGive Give(Site site, Material material, double radius) => SiteGive.Solid;

    /// <summary>How a bar of the host is bent by what it carries; null for what is no bar.</summary>
    /// <param name="above">Height of the place over the ground, m.</param>
    public virtual HostBar? Bar(Site site, double above) => null;

    /// <summary>Where something moves that moves on it, as "on the bonnet skin"; null where the hold itself is named.</summary>
    public virtual string? Where(Site site) => null;

    /// <summary>What of it is said beside its name: what it is made of, and how thick.</summary>
    public virtual string Describe(Site site, Material material) =>
        $"{Quantities.Words.Inside(material.Name)}, {QuantityText.Of(site.Thickness, Dimension.Length)}";

    /// <summary>What lifts the frequency at which a mount on it rocks.</summary>
    /// <param name="braced">More than one strut is there already.</param>
    public virtual string Lifts(bool braced) => braced ? "shorter or stiffer lifts it." : "struts both ways lift it.";

    /// <summary>
    /// A tube or bar held at the ends of its free span, twice the clear radius: 192EI/L³ across, 16EI/L turning (Roark table 8.1).
    /// </summary>
    protected static SiteGive HeldBar(Site site, Material material)
    {
        var d = site.Diameter ?? 0.025;
        var inside = Math.Max(0, d - 2 * site.Thickness);
        var ei = material.YoungsModulus * Math.PI / 64 * (Math.Pow(d, 4) - Math.Pow(inside, 4));
        var span = 2 * site.ClearRadius;
        return new(192 * ei / Math.Pow(span, 3), 192 * ei / Math.Pow(span, 3), 16 * ei / span);
    }

    /// <summary>Sheet: a clamped plate and a shallow shell (<see cref="PanelStiffness"/>).</summary>
    protected static SiteGive Sheet(Site site, Material material, double radius) => new(
        PanelStiffness.Normal(material, site.Thickness, site.ClearRadius, site.CrownRadius),
        PanelStiffness.InPlane(material, site.Thickness, site.ClearRadius, radius),
        PanelStiffness.Rocking(material, site.Thickness, site.ClearRadius, radius));
}
