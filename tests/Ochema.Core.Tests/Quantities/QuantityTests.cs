using Ochema.Core.Quantities;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Quantities;

public class QuantityTests
{
    [Theory]
    [InlineData("11 in", Dimension.Length, UnitSystem.Metric, 0.2794)]
    [InlineData("1 1/2\"", Dimension.Length, UnitSystem.Metric, 0.0381)]
    [InlineData("1-1/2 in", Dimension.Length, UnitSystem.Metric, 0.0381)]
    [InlineData("3/8", Dimension.Length, UnitSystem.Inch, 0.009525)]
    [InlineData("24 ft", Dimension.Length, UnitSystem.Metric, 7.3152)]
    [InlineData("5'6\"", Dimension.Length, UnitSystem.Metric, 1.6764)]
    [InlineData("1'2\"", Dimension.Length, UnitSystem.Metric, 0.3556)]
    [InlineData("1 200 mm", Dimension.Length, UnitSystem.Metric, 1.2)]
    [InlineData("12\u202f000 mm", Dimension.Length, UnitSystem.Metric, 12)]
    [InlineData("1/50", Dimension.Time, UnitSystem.Metric, 0.02)]
    [InlineData("1/50 s", Dimension.Time, UnitSystem.Metric, 0.02)]
    [InlineData("20", Dimension.Time, UnitSystem.Metric, 0.02)]
    [InlineData("20 daN", Dimension.Force, UnitSystem.Metric, 200)]
    [InlineData("5'6", Dimension.Length, UnitSystem.Metric, 1.6764)]
    [InlineData("5 ft 6 1/2 in", Dimension.Length, UnitSystem.Metric, 1.6891)]
    [InlineData("9 cm", Dimension.Length, UnitSystem.Inch, 0.09)]
    [InlineData("2,5 cm", Dimension.Length, UnitSystem.Metric, 0.025)]
    [InlineData("1.234,5 mm", Dimension.Length, UnitSystem.Metric, 1.2345)]
    [InlineData("1,234.5 mm", Dimension.Length, UnitSystem.Metric, 1.2345)]
    [InlineData("300", Dimension.Length, UnitSystem.Metric, 0.3)]
    [InlineData("-12", Dimension.Length, UnitSystem.Metric, -0.012)]
    [InlineData("½ in", Dimension.Length, UnitSystem.Metric, 0.0127)]
    [InlineData("60 mph", Dimension.Speed, UnitSystem.Metric, 26.8224)]
    [InlineData("90 km/h", Dimension.Speed, UnitSystem.Inch, 25)]
    [InlineData("12 kn", Dimension.Speed, UnitSystem.Metric, 6.173333)]
    [InlineData("55", Dimension.Speed, UnitSystem.Inch, 24.58720)]
    [InlineData("8 lb", Dimension.Mass, UnitSystem.Metric, 3.62873896)]
    [InlineData("2 lb 4 oz", Dimension.Mass, UnitSystem.Metric, 1.02058283)]
    [InlineData("3.5 kg", Dimension.Mass, UnitSystem.Inch, 3.5)]
    [InlineData("95 lbf", Dimension.Force, UnitSystem.Metric, 422.58105)]
    [InlineData("1.2kN", Dimension.Force, UnitSystem.Metric, 1200)]
    [InlineData("20 °C", Dimension.Temperature, UnitSystem.Metric, 293.15)]
    [InlineData("68 F", Dimension.Temperature, UnitSystem.Metric, 293.15)]
    [InlineData("-4 F", Dimension.Temperature, UnitSystem.Metric, 253.15)]
    [InlineData("0.7 bar", Dimension.Pressure, UnitSystem.Metric, 70000)]
    [InlineData("180°", Dimension.Angle, UnitSystem.Metric, Math.PI)]
    [InlineData("12 N·m", Dimension.Torque, UnitSystem.Metric, 12)]
    [InlineData("80 %", Dimension.Ratio, UnitSystem.Metric, 0.8)]
    public void WhatPeopleTypeIsRead(string text, Dimension d, UnitSystem system, double si)
    {
        var p = QuantityParser.Parse(text, d, system);
        Assert.Null(p.Error);
        Near.Share(si, p.Value!.Value, 1e-6, text);
    }

    [Theory]
    [InlineData("", "Nothing")]
    [InlineData("about ten", "number")]
    [InlineData("10 kg", "mass")]
    [InlineData("10 parsecs", "no unit")]
    [InlineData("1/0 in", "zero")]
    [InlineData("1,500 mm", "two ways")]
    [InlineData("6 in 5 ft", "larger unit first")]
    [InlineData("5 ft 6 m", "larger unit first")]
    [InlineData("1e99999", "number")]
    public void WhatIsNotUnderstoodIsSaid(string text, string says)
    {
        var p = QuantityParser.Parse(text, Dimension.Length, UnitSystem.Metric);
        Assert.Null(p.Value);
        Assert.Contains(says, p.Error);
    }

    [Fact]
    public void SizesThatCannotBeMeantAreAskedAbout()
    {
        // A 3 1/4 in drill for a camera screw.
        var p = QuantityParser.ParseField("3 1/4 in", Dimension.Length, UnitSystem.Inch, 0.004, 0.014);
        Assert.Null(p.Value);
        Assert.Contains("it goes from", p.Error, StringComparison.Ordinal);
        Assert.Contains("1/4 in", p.Suggestions!);
        // Millimetres typed where inches stand.
        Assert.Contains("300 mm", QuantityParser.ParseField("300", Dimension.Length, UnitSystem.Inch, 0.1, 1.2).Suggestions!);
        Assert.Null(QuantityParser.ParseField("300 mm", Dimension.Length, UnitSystem.Inch, 0.1, 1.2).Question);
    }

    [Fact]
    public void AnUnusualSizeIsAskedAboutAndMayBeKept()
    {
        var p = QuantityParser.ParseField("1200", Dimension.Length, UnitSystem.Metric, 0.02, 1.5, usualTo: 0.8);
        Assert.Equal(1.2, p.Value);
        Assert.Contains("1200 mm, really?", p.Question, StringComparison.Ordinal);
        Assert.Contains("120 mm", p.Suggestions!);
        Assert.Null(QuantityParser.ParseField("700", Dimension.Length, UnitSystem.Metric, 0.02, 1.5, usualTo: 0.8).Question);
        Assert.Null(QuantityParser.ParseField("-10", Dimension.Altitude, UnitSystem.Metric, -400, 5000, -50, 3500).Question);
        Assert.NotNull(QuantityParser.ParseField("-100", Dimension.Altitude, UnitSystem.Metric, -400, 5000, -50, 3500).Question);
    }

    [Theory]
    [InlineData(0.0381, UnitSystem.Inch, true, "1 1/2 in")]
    [InlineData(0.2794, UnitSystem.Inch, true, "11 in")]
    [InlineData(0.009525, UnitSystem.Inch, true, "3/8 in")]
    [InlineData(0.2794, UnitSystem.Inch, false, "11.000 in")]
    [InlineData(0.00075, UnitSystem.Metric, true, "0.75 mm")]
    [InlineData(0.00075, UnitSystem.Inch, true, "0.030 in")]
    [InlineData(12, UnitSystem.Metric, true, "12\u202f000 mm")]
    [InlineData(-12.3456, UnitSystem.Metric, true, "−12\u202f346 mm")]
    [InlineData(9.999, UnitSystem.Metric, true, "9999 mm")]
    [InlineData(0.115, UnitSystem.Metric, true, "115 mm")]
    [InlineData(-0.186, UnitSystem.Metric, true, "−186 mm")]
    public void LengthsArePrintedAsTheTradeDoes(double si, UnitSystem system, bool fractions, string text) =>
        Assert.Equal(text, QuantityFormatter.Format(si, Dimension.Length, system, fractions));

    [Fact]
    public void PrintedValuesAreReadBack() => CsCheck.Check.Sample(
        CsCheck.Gen.Select(CsCheck.Gen.Double[0.02, 20], CsCheck.Gen.Enum<UnitSystem>(),
            CsCheck.Gen.OneOfConst(Dimension.Length, Dimension.Mass, Dimension.Force, Dimension.Speed, Dimension.Torque)),
        x =>
        {
            var (v, system, d) = x;
            var text = QuantityFormatter.Format(v, d, system, fractions: false);
            var back = QuantityParser.Parse(text, d, system).Value!.Value;
            var unit = Units.For(d, system);
            Assert.InRange(Math.Abs(back - v), 0, 0.51 * Math.Pow(10, -unit.Digits) * unit.Factor + 1e-12);
        });
}
