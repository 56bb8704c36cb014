namespace Ochema.Core.Quantities;

/// <summary>What a number measures. Values inside are always SI.</summary>
public enum Dimension
{
    Length,
    Altitude,
    Mass,
    Force,
    Speed,
    Temperature,
    TemperatureDifference,
    Angle,
    Pressure,
    Stress,
    Torque,
    Time,

    /// <summary>Curing and waiting: hours and days, where <see cref="Time"/> is for exposures.</summary>
    Duration,
    Frequency,

    /// <summary>Pictures a second.</summary>
    FrameRate,
    Rotation,
    Ratio,
    Factor,
    Count,
    Acceleration,
    Stiffness,
    DampingRate,
    RotationalStiffness,
    Area,
    Money,
    LineLoad,

    /// <summary>Mass a metre of what is sold by length, kg/m.</summary>
    LineMass,

    Density,

    /// <summary>Moment over curvature, N·m².</summary>
    BendingStiffness,

    /// <summary>A drilled hole: a length that is said by the name of its drill, never in sixteenths.</summary>
    Drill,

    /// <summary>A place that is marked out on a piece: a length to the tenth of a millimetre or the hundredth of an inch, whatever its
    /// size.</summary>
    Mark,

    Power,

    /// <summary>A force as a luggage scale shows it.</summary>
    Scale,

    /// <summary>What a battery holds.</summary>
    Energy,
}

/// <summary>The two families of display units.</summary>
public enum UnitSystem
{
    Metric,
    Inch,
}

/// <summary>A unit: SI value = (number + <paramref name="Offset"/>) × <paramref name="Factor"/>.</summary>
/// <param name="Symbol">As printed.</param>
/// <param name="Names">All that people type for it, lower case.</param>
public sealed record Unit(string Symbol, Dimension Dimension, double Factor, double Offset, params string[] Names);

/// <summary>
/// How a dimension is shown in a system: unit, decimals, and whether sixteenths may be used instead. Numbers smaller than
/// <paramref name="SmallBelow"/> (in the unit) get up to <paramref name="SmallDigits"/> decimals, in inches always all of them.
/// </summary>
/// <param name="Step">What an arrow key adds, in the unit; a tenth of it to small numbers.</param>
public sealed record DisplayUnit(
    Dimension Dimension, UnitSystem System, string Symbol, double Factor, double Offset, int Digits, bool Fraction, double SmallBelow,
        int SmallDigits, double Step);

/// <summary>All units. Factors are exact definitions (NIST SP 811, appendix B) unless noted.</summary>
public static class Units
{
    private const double Inch = 0.0254;
    private const double Pound = 0.45359237;
    private const double StandardGravity = 9.80665;

    public static IReadOnlyList<Unit> All { get; } =
    [
        new("mm", Dimension.Length, 1e-3, 0, "mm", "millimetre", "millimetres", "millimeter", "millimeters"),
        new("cm", Dimension.Length, 1e-2, 0, "cm", "centimetre", "centimetres", "centimeter", "centimeters"),
        new("m", Dimension.Length, 1, 0, "m", "metre", "metres", "meter", "meters"),
        new("in", Dimension.Length, Inch, 0, "in", "inch", "inches", "\"", "''", "″", "”"),
        new("ft", Dimension.Length, 12 * Inch, 0, "ft", "foot", "feet", "'", "′", "’"),
        new("yd", Dimension.Length, 36 * Inch, 0, "yd", "yard", "yards"),
        new("m", Dimension.Altitude, 1, 0, "m", "metre", "metres", "meter", "meters"),
        new("km", Dimension.Altitude, 1000, 0, "km"),
        new("ft", Dimension.Altitude, 12 * Inch, 0, "ft", "foot", "feet", "'"),
        new("kg", Dimension.Mass, 1, 0, "kg", "kilo", "kilos", "kilogram", "kilograms"),
        new("g", Dimension.Mass, 1e-3, 0, "g", "gram", "grams"),
        new("lb", Dimension.Mass, Pound, 0, "lb", "lbs", "pound", "pounds"),
        new("oz", Dimension.Mass, Pound / 16, 0, "oz", "ounce", "ounces"),
        new("N", Dimension.Force, 1, 0, "n", "newton", "newtons"),
        new("daN", Dimension.Force, 10, 0, "dan"),
        new("kN", Dimension.Force, 1000, 0, "kn"),
        new("lbf", Dimension.Force, Pound * StandardGravity, 0, "lbf", "lb", "lbs", "pound", "pounds"),
        new("kgf", Dimension.Force, StandardGravity, 0, "kgf", "kp", "kg"),
        new("kg", Dimension.Scale, StandardGravity, 0, "kg", "kilo", "kilos", "kgf", "kp"),
        new("lb", Dimension.Scale, Pound * StandardGravity, 0, "lb", "lbs", "lbf", "pound", "pounds"),
        new("N", Dimension.Scale, 1, 0, "n", "newton", "newtons"),
        new("km/h", Dimension.Speed, 1 / 3.6, 0, "km/h", "kmh", "kph", "kmph"),
        new("mph", Dimension.Speed, 1609.344 / 3600, 0, "mph", "mi/h"),
        new("m/s", Dimension.Speed, 1, 0, "m/s", "mps"),
        new("kn", Dimension.Speed, 1852.0 / 3600, 0, "kn", "kt", "kts", "knot", "knots"),
        new("ft/s", Dimension.Speed, 12 * Inch, 0, "ft/s", "fps"),
        new("°C", Dimension.Temperature, 1, 273.15, "°c", "c", "degc", "celsius"),
        new("°F", Dimension.Temperature, 5.0 / 9, 459.67, "°f", "f", "degf", "fahrenheit"),
        new("K", Dimension.Temperature, 1, 0, "k", "kelvin"),
        new("K", Dimension.TemperatureDifference, 1, 0, "k", "°c", "c"),
        new("°F", Dimension.TemperatureDifference, 5.0 / 9, 0, "°f", "f"),
        new("°", Dimension.Angle, Math.PI / 180, 0, "°", "deg", "degree", "degrees"),
        new("rad", Dimension.Angle, 1, 0, "rad"),
        new("bar", Dimension.Pressure, 1e5, 0, "bar"),
        new("kPa", Dimension.Pressure, 1e3, 0, "kpa"),
        new("hPa", Dimension.Pressure, 100, 0, "hpa", "mbar"),
        new("psi", Dimension.Pressure, Pound * StandardGravity / (Inch * Inch), 0, "psi"),
        new("inHg", Dimension.Pressure, 3386.389, 0, "inhg"),
        new("Pa", Dimension.Pressure, 1, 0, "pa"),
        new("MPa", Dimension.Stress, 1e6, 0, "mpa", "n/mm²", "n/mm2"),
        new("ksi", Dimension.Stress, 1000 * Pound * StandardGravity / (Inch * Inch), 0, "ksi"),
        new("N·m", Dimension.Torque, 1, 0, "n·m", "nm", "n*m", "n m"),
        new("lbf·ft", Dimension.Torque, Pound * StandardGravity * 12 * Inch, 0, "lbf·ft", "lbft", "ft·lb", "ftlb", "lb·ft", "lbf ft",
            "ft lb"),
        new("s", Dimension.Time, 1, 0, "s", "sec", "second", "seconds"),
        new("ms", Dimension.Time, 1e-3, 0, "ms"),
        new("min", Dimension.Time, 60, 0, "min", "minute", "minutes"),
        new("h", Dimension.Time, 3600, 0, "h", "hour", "hours"),
        new("h", Dimension.Duration, 3600, 0, "h", "hour", "hours"),
        new("min", Dimension.Duration, 60, 0, "min", "minute", "minutes"),
        new("d", Dimension.Duration, 86400, 0, "d", "day", "days"),
        new("rpm", Dimension.Rotation, 1, 0, "rpm", "1/min", "turns a minute"),
        new("Hz", Dimension.Frequency, 1, 0, "hz"),
        new("a second", Dimension.FrameRate, 1, 0, "a second", "per second", "fps", "hz"),
        new("%", Dimension.Ratio, 0.01, 0, "%", "percent"),
        new("×", Dimension.Factor, 1, 0, "×", "x"),
        new("", Dimension.Count, 1, 0, "pcs"),
        new("g", Dimension.Acceleration, StandardGravity, 0, "g", "g's"),
        new("m/s²", Dimension.Acceleration, 1, 0, "m/s²", "m/s2"),
        new("N/mm", Dimension.Stiffness, 1000, 0, "n/mm"),
        new("lbf/in", Dimension.Stiffness, Pound * StandardGravity / Inch, 0, "lbf/in", "lb/in"),
        new("N·s/m", Dimension.DampingRate, 1, 0, "n·s/m", "ns/m"),
        new("lbf·s/in", Dimension.DampingRate, Pound * StandardGravity / Inch, 0, "lbf·s/in", "lb·s/in"),
        new("N·m/rad", Dimension.RotationalStiffness, 1, 0, "n·m/rad", "nm/rad"),
        new("cm²", Dimension.Area, 1e-4, 0, "cm²", "cm2"),
        new("in²", Dimension.Area, Inch * Inch, 0, "in²", "in2"),
        new("€", Dimension.Money, 1, 0, "€", "eur"),
        new("N/m", Dimension.LineLoad, 1, 0, "n/m"),
        new("g/m", Dimension.LineMass, 1e-3, 0, "g/m"),
        new("kg/m", Dimension.LineMass, 1, 0, "kg/m"),
        new("oz/ft", Dimension.LineMass, Pound / 16 / (12 * Inch), 0, "oz/ft"),
        new("lb/ft", Dimension.LineMass, Pound / (12 * Inch), 0, "lb/ft"),
        new("kg/m³", Dimension.Density, 1, 0, "kg/m³", "kg/m3"),
        new("lb/ft³", Dimension.Density, Pound / (12 * Inch * 12 * Inch * 12 * Inch), 0, "lb/ft³", "lb/ft3"),
        new("N·m²", Dimension.BendingStiffness, 1, 0, "n·m²", "nm²", "nm2", "n·m2"),
        new("lbf·in²", Dimension.BendingStiffness, Pound * StandardGravity * Inch * Inch, 0, "lbf·in²", "lbf·in2", "lb·in2"),
        new("mm", Dimension.Drill, 1e-3, 0, "mm"),
        new("in", Dimension.Drill, Inch, 0, "in", "inch", "\""),
        new("mm", Dimension.Mark, 1e-3, 0, "mm"),
        new("in", Dimension.Mark, Inch, 0, "in", "inch", "\""),
        new("W", Dimension.Power, 1, 0, "w", "watt", "watts"),
        new("Wh", Dimension.Energy, 3600, 0, "wh", "watt-hours"),
        new("kJ", Dimension.Energy, 1000, 0, "kj"),
    ];

    /// <summary>What the interface prints, per dimension and system.</summary>
    public static IReadOnlyList<DisplayUnit> Display { get; } =
    [
        .. Both(Dimension.Length, "mm", 0, "in", 3, fraction: true, step: 1, inchStep: 1 / 16.0),
        .. Both(Dimension.Altitude, "m", 0, "ft", 0, step: 50, inchStep: 100),
        // A screw weighs something too.
        .. Fine(Dimension.Mass, "kg", "lb", below: 0.02, digits: 3, usual: 2, step: 0.05, inchStep: 0.1),
        .. Both(Dimension.Force, "N", 0, "lbf", 0, step: 10, inchStep: 2),
        .. Both(Dimension.Scale, "kg", 1, "lb", 1, step: 0.1, inchStep: 0.2),
        .. Both(Dimension.Speed, "km/h", 0, "mph", 0),
        .. Both(Dimension.Temperature, "°C", 0, "°F", 0),
        .. Both(Dimension.TemperatureDifference, "K", 0, "°F", 0),
        .. Both(Dimension.Angle, "°", 0, "°", 0),
        .. Both(Dimension.Pressure, "bar", 2, "psi", 1, step: 0.01, inchStep: 0.1),
        .. Both(Dimension.Stress, "MPa", 0, "ksi", 1),
        .. Both(Dimension.Torque, "N·m", 1, "lbf·ft", 1, step: 0.1),
        .. Both(Dimension.Time, "ms", 1, "ms", 1),
        new(Dimension.Duration, UnitSystem.Metric, "h", 3600, 0, 0, false, 10, 1, 1),
        new(Dimension.Duration, UnitSystem.Inch, "h", 3600, 0, 0, false, 10, 1, 1),
        .. Both(Dimension.Rotation, "rpm", 0, "rpm", 0, step: 100),
        .. Both(Dimension.Frequency, "Hz", 1, "Hz", 1),
        .. Fine(Dimension.FrameRate, "a second", "a second", below: 1e6, digits: 3, step: 10),
        .. Both(Dimension.Ratio, "%", 0, "%", 0),
        .. Both(Dimension.Factor, "×", 2, "×", 2, step: 0.05),
        .. Both(Dimension.Count, "", 0, "", 0),
        .. Both(Dimension.Acceleration, "g", 2, "g", 2),
        .. Both(Dimension.Stiffness, "N/mm", 1, "lbf/in", 0),
        .. Both(Dimension.DampingRate, "N·s/m", 0, "lbf·s/in", 2),
        .. Both(Dimension.RotationalStiffness, "N·m/rad", 0, "N·m/rad", 0, step: 5),
        .. Both(Dimension.Area, "cm²", 1, "in²", 2, step: 5, inchStep: 1),
        .. Both(Dimension.Money, "€", 0, "€", 0, step: 50),
        .. Both(Dimension.LineLoad, "N/m", 0, "N/m", 0),
        .. Both(Dimension.LineMass, "g/m", 0, "oz/ft", 2, step: 5, inchStep: 0.1),
        .. Both(Dimension.Density, "kg/m³", 0, "lb/ft³", 0, step: 10),
        .. Both(Dimension.BendingStiffness, "N·m²", 1, "lbf·in²", 0),
        .. Both(Dimension.Drill, "mm", 1, "in", 3, step: 0.1, inchStep: 1 / 64.0),
        .. Both(Dimension.Power, "W", 1, "W", 1, step: 0.5),
        .. Both(Dimension.Energy, "Wh", 1, "Wh", 1),
        new(Dimension.Mark, UnitSystem.Metric, "mm", 1e-3, 0, 1, false, 1e6, 1, 0.1),
        new(Dimension.Mark, UnitSystem.Inch, "in", Inch, 0, 2, false, 0, 2, 0.01),
    ];

    /// <summary>The unit shown for a dimension.</summary>
    public static DisplayUnit For(Dimension d, UnitSystem s) => Display.First(u => u.Dimension == d && u.System == s);

    /// <summary>The unit that <paramref name="name"/> means for a dimension, or null.</summary>
    public static Unit? Find(string name, Dimension d)
    {
        var n = name.Trim().ToLowerInvariant();
        return All.FirstOrDefault(u => u.Dimension == d && (u.Names.Contains(n)
            || string.Equals(u.Symbol, name.Trim(), StringComparison.Ordinal)));
    }

    /// <summary>What keeps its digits where it is small.</summary>
    private static IEnumerable<DisplayUnit> Fine(
        Dimension d, string metric, string inch, double below, int digits, int usual = 0, double step = 1, double? inchStep = null) =>
        Both(d, metric, usual, inch, usual, step: step, inchStep: inchStep)
            .Select(u => u with { SmallBelow = below, SmallDigits = digits });

    private static IEnumerable<DisplayUnit> Both(
        Dimension d, string metric, int metricDigits, string inch, int inchDigits, bool fraction = false, double step = 1,
            double? inchStep = null)
    {
        var (m, i) = (All.First(u => u.Dimension == d && u.Symbol == metric), All.First(u => u.Dimension == d && u.Symbol == inch));
        yield return new(d, UnitSystem.Metric, m.Symbol, m.Factor, m.Offset, metricDigits, false, fraction ? 10 : 0, 2, step);
        yield return new(d, UnitSystem.Inch, i.Symbol, i.Factor, i.Offset, inchDigits, fraction, fraction ? 0.25 : 0, 3, inchStep ?? step);
    }
}
