using System.Text.Json.Serialization;
using Ochema.Core.Hosts;
using Ochema.Core.Json;
using Ochema.Core.Loads;
using Ochema.Core.Rigs;

namespace Ochema.Core.Running;

/// <summary>The day as it is, SI. What is left out is as the document has it.</summary>
public sealed record Conditions
{
    /// <summary>Mean wind against the way, or that it must stand, m/s.</summary>
    public required double Wind { get; init; }

    /// <summary>Gusts on top of it, m/s.</summary>
    public required double Gust { get; init; }

    /// <summary>K.</summary>
    public required double Temperature { get; init; }

    /// <summary>On the panel.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public Sun? Sun { get; init; }

    /// <summary>Pressure altitude, m: what an altimeter set to 1013 hPa shows.</summary>
    public required double Altitude { get; init; }

    public required Going Road { get; init; }

    /// <summary>State of what holds stand on.</summary>
    public required SurfaceState Surface { get; init; }

    /// <summary>Hours since cups were pumped up; null: just now.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public double? HoursSincePump { get; init; }

    /// <summary>Rain; null: as the document has it.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public Rain? Rain { get; init; }

    /// <summary>Half-life of the vacuum as two readings of the gauge gave it, s; null: as the document has it, or the usual.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public double? HalfLife { get; init; }

    /// <summary>Refuses what no day is like.</summary>
    /// <exception cref="DocumentException">Names the path and the reason.</exception>
    public Conditions Checked()
    {
        void In(string field, double value, double least, double most, string unit)
        {
            if (!(value >= least && value <= most))
                throw new DocumentException("conditions." + field, $"must be between {least:0.##} and {most:0.##} {unit}");
        }
        In("wind", Wind, 0, 60, "m/s");
        In("gust", Gust, 0, 60, "m/s");
        In("temperature", Temperature, 223.15, 333.15, "K");
        In("altitude", Altitude, -400, 6000, "m");
        if (HoursSincePump is { } hours)
            In("hoursSincePump", hours, 0, 48, "h");
        if (HalfLife is { } half)
            In("halfLife", half, 60, 1e6, "s");
        return this;
    }

    /// <summary>What a document says of its day, to begin with.</summary>
    public static Conditions Of(RigDocument rig) => new()
    {
        Wind = rig.Run.HeadWind,
        Gust = rig.Run.Gust,
        Temperature = rig.Run.Temperature,
        Sun = rig.Run.Sun,
        Altitude = rig.Run.Altitude,
        Road = rig.Run.Road,
        Surface = rig.Site.Surface,
        Rain = rig.Run.Rain,
    };

    /// <summary>The rig on that day.</summary>
    public RigDocument On(RigDocument rig) => rig with
    {
        Site = rig.Site with { Surface = Surface },
        Run = rig.Run with
        {
            HeadWind = Wind,
            Gust = Gust,
            Temperature = Temperature,
            Sun = Sun ?? rig.Run.Sun,
            Altitude = Altitude,
            Road = Road,
            Rain = Reaches(rig) && (Rain ?? rig.Run.Rain) == Loads.Rain.None ? Loads.Rain.Steady : Rain ?? rig.Run.Rain,
        },
        Base = rig.Base.Pumped(Since, HalfLife),
        Braces = [.. rig.Braces.Select(x => x.Pumped(Since, HalfLife))],
    };

    /// <summary>
    /// True where what the surface is today reaches feet on other places than the base's, of which a document says nothing: what is wet or
    /// dusty there is counted as rained on, which takes the same of friction.
    /// </summary>
    private bool Reaches(RigDocument rig) => Surface != rig.Site.Surface && Surface is SurfaceState.Wet or SurfaceState.Dusty
        && rig.Braces.Any(x => x.Footing is { } foot && foot.Site != rig.Site.Id);

    /// <summary>Since cups were pumped up, s.</summary>
    [JsonIgnore]
    private double Since => (HoursSincePump ?? 0) * 3600;
}
