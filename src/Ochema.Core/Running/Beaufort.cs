namespace Ochema.Core.Running;

/// <summary>A force of the wind by what one sees.</summary>
/// <param name="Force">0 to 12.</param>
/// <param name="Name">"Fresh breeze".</param>
/// <param name="Sign">On land.</param>
/// <param name="Least">m/s, mean over ten minutes at 10 m.</param>
/// <param name="Most">m/s; of the last one as far as anybody goes out.</param>
public sealed record BeaufortForce(int Force, string Name, string Sign, double Least, double Most)
{
    /// <summary>Gusts on top of the most, m/s.</summary>
    public double Gust => (Beaufort.GustFactor - 1) * Most;
}

/// <summary>The Beaufort scale: limits as the World Meteorological Organization publishes them (Manual on Codes, WMO-No. 306; v = 0.836·B^1.5
/// m/s in the middle of a force; table from memory).</summary>
public static class Beaufort
{
    /// <summary>By force, calm first.</summary>
    public static IReadOnlyList<BeaufortForce> All { get; } =
    [
        new(0, "Calm", "smoke rises straight up", 0, 0.2),
        new(1, "Light air", "smoke drifts, vanes do not turn", 0.3, 1.5),
        new(2, "Light breeze", "felt on the face, leaves rustle", 1.6, 3.3),
        new(3, "Gentle breeze", "leaves and twigs keep moving, a light flag stands out", 3.4, 5.4),
        new(4, "Moderate breeze", "dust and paper lift, small branches move", 5.5, 7.9),
        new(5, "Fresh breeze", "small trees in leaf begin to sway", 8.0, 10.7),
        new(6, "Strong breeze", "large branches move, wires whistle, umbrellas are hard to hold", 10.8, 13.8),
        new(7, "Near gale", "whole trees move, walking against it is hard", 13.9, 17.1),
        new(8, "Gale", "twigs break off", 17.2, 20.7),
        new(9, "Strong gale", "slates and chimney pots come down", 20.8, 24.4),
        new(10, "Storm", "trees are uprooted", 24.5, 28.4),
        new(11, "Violent storm", "damage far and wide", 28.5, 32.6),
        new(12, "Hurricane", "nobody films", 32.7, 40),
    ];

    /// <summary>The force of a wind, m/s.</summary>
    public static BeaufortForce Of(double speed) => All.LastOrDefault(b => speed >= b.Least - 0.05) ?? All[0];

    /// <summary>
    /// Gusts over a mean wind: half as much again over open land, a little more among houses and trees (gust factor 1.4 to 1.7 for three
    /// seconds in ten minutes; judgement).
    /// </summary>
    public const double GustFactor = 1.5;
}
