using Ochema.Core.Hosts;
using Ochema.Core.Quantities;
using Ochema.Core.Rigs;
using Ochema.Core.Sharpness;

namespace Ochema.Core.Assessment;

/// <summary>
/// How the mount rocks against what shakes its host, as a sentence of advice. It judges nothing: whether the picture is sharp is said by
/// the pixel numbers (<see cref="Shaker"/>).
/// </summary>
internal static class Rocking
{
    /// <summary>A mount near the band of what shakes its host goes along; well above, it follows (common practice, no source).</summary>
    private const double Near = 1.125;
    private const double Clear = 2;

    /// <summary>Below this share of the band's lowest a soft mount stands still while the host moves (common practice, no
    /// source).</summary>
    private const double FloatsBelow = 0.5;

    public static PictureReport Of(IReadOnlyList<double> frequencies, RigDocument rig)
    {
        if (frequencies.Count == 0)
            return new(null, "It can move freely; there is no steady picture.");
        var f = frequencies[0];
        var band = HostLibrary.Find(rig.Host)!.Shake.Band;
        var most = $"{band.Label} at {band.Low:0} to {band.High:0} Hz";
        var rocks = $"The mount rocks first at {QuantityText.Of(f, Dimension.Frequency)}";
        var text = rig.Isolator.Floats && f < FloatsBelow * band.Low
                ? $"It floats on its soft mount at {QuantityText.Of(f, Dimension.Frequency)}, below {most}."
            : f < band.Low / Near ? $"{rocks}, below {most}: it sways more than it trembles."
            : f < Near * band.High
            ? $"{rocks}, within reach of {most}: {rig.Site.Form.Lifts(rig.Braces.Count > 1)}"
            : f < Clear * band.High ? $"{rocks}, above {most} but not clear of it."
            : $"{rocks}, clear of {most}.";
        return new(f, text);
    }
}
