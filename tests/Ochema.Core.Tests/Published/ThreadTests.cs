using Ochema.Core.Joints;
using Ochema.Core.Stock;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Published;

/// <summary>Threads, holes and lengths against published tables.</summary>
public class ThreadTests
{
    private static Fastener Thread(string id) => Catalogue.Shipped.Find<Fastener>("fasteners", id);

    private static Material Material(string id) => Catalogue.Shipped.Material(id);

    [Theory] // ISO 898-1 table of coarse threads, mm²
    [InlineData(4, 0.7, 8.78)]
    [InlineData(5, 0.8, 14.2)]
    [InlineData(6, 1.0, 20.1)]
    [InlineData(8, 1.25, 36.6)]
    [InlineData(10, 1.5, 58.0)]
    [InlineData(12, 1.75, 84.3)]
    public void MetricStressAreas(double d, double p, double area) => Near.Share(area, Threads.StressArea(d / 1000, p / 1000) * 1e6, 0.003);

    [Theory] // ASME B1.1, in²
    [InlineData(0.1640, 32, 0.0140)]
    [InlineData(0.1900, 24, 0.0175)]
    [InlineData(0.2500, 20, 0.0318)]
    [InlineData(0.3125, 18, 0.0524)]
    [InlineData(0.3750, 16, 0.0775)]
    public void InchStressAreas(double d, double n, double area) =>
        Near.Share(area, Threads.StressArea(d * 0.0254, 0.0254 / n, inch: true) / (0.0254 * 0.0254), 0.004);

    [Theory] // ISO 724 basic pitch and minor diameters, mm
    [InlineData(6, 1.0, 5.350, 4.917)]
    [InlineData(8, 1.25, 7.188, 6.647)]
    [InlineData(10, 1.5, 9.026, 8.376)]
    public void PitchAndMinorDiameters(double d, double p, double pitch, double minor)
    {
        Assert.Equal(pitch, Threads.PitchDiameter(d / 1000, p / 1000) * 1000, 0.0005);
        Assert.Equal(minor, Threads.MinorDiameter(d / 1000, p / 1000) * 1000, 0.0005);
    }

    [Theory] // usual tap drills: 75–80 % of thread (machinists' tables, from memory)
    [InlineData("1-4-20", 5.1)]
    [InlineData("3-8-16", 7.94)]
    [InlineData("m6", 5.0)]
    [InlineData("m8", 6.8)]
    public void TapDrillsLeaveThreeQuartersOfTheThread(string id, double drill)
    {
        var f = Thread(id);
        Assert.Equal(drill, f.TapDrill * 1000, 0.05);
        Assert.InRange(Threads.ThreadShare(f.MajorDiameter, f.Pitch, f.TapDrill), 0.70, 0.85);
    }

    [Theory] // ISO 2306 drills before tapping, mm
    [InlineData("m4", 3.3)]
    [InlineData("m5", 4.2)]
    [InlineData("m6", 5.0)]
    [InlineData("m8", 6.8)]
    [InlineData("m10", 8.5)]
    [InlineData("m12", 10.2)]
    public void MetricTapDrills(string id, double drill) => Assert.Equal(drill, Thread(id).TapDrill * 1000, 5e-7);

    [Theory] // ASME B1.1 tap drills as machinists' tables give them for three quarters of the thread, by their names; from memory
    [InlineData("no8-32", "No. 29")]
    [InlineData("no10-24", "No. 25")]
    [InlineData("no10-32", "No. 21")]
    [InlineData("1-4-20", "No. 7")]
    [InlineData("1-4-28", "No. 3")]
    [InlineData("5-16-18", "letter F")]
    [InlineData("5-16-24", "letter I")]
    [InlineData("3-8-16", "5/16 in")]
    [InlineData("3-8-24", "letter Q")]
    public void InchTapDrills(string id, string drill) => Assert.Equal(drill,
        Ochema.Core.Quantities.Drills.NearestInch(Thread(id).TapDrill).Name);

    [Theory] // ASME B18.2.8 normal and loose fit, in; from memory
    [InlineData("1-4-20", 0.281, 0.297)]
    [InlineData("5-16-18", 0.344, 0.359)]
    [InlineData("3-8-16", 0.406, 0.422)]
    public void InchClearanceHoles(string id, double normal, double loose)
    {
        var f = Thread(id);
        Assert.Equal(normal * 25.4, Holes.Clearance(f, Fit.Medium) * 1000, 0.06);
        Assert.Equal(loose * 25.4, Holes.Clearance(f, Fit.Free) * 1000, 0.06);
        Assert.InRange(Holes.Clearance(f, Fit.Close), f.MajorDiameter + 0.0002, Holes.Clearance(f, Fit.Medium));
    }

    [Theory] // ISO 7089: outside diameter, thickness, mm
    [InlineData("m6", 12, 1.6)]
    [InlineData("m8", 16, 1.6)]
    [InlineData("m10", 20, 2.0)]
    public void Washers(string id, double across, double thickness)
    {
        var washer = Hardware.Washer(Thread(id));
        Assert.Equal(across, washer.Width * 1000, 1.5);
        Assert.Equal(thickness, washer.Thickness * 1000, 0.4);
    }

    [Theory] // ISO 273 close, medium, coarse, mm
    [InlineData("m4", 4.3, 4.5, 4.8)]
    [InlineData("m6", 6.4, 6.6, 7.0)]
    [InlineData("m8", 8.4, 9.0, 10.0)]
    [InlineData("m10", 10.5, 11.0, 12.0)]
    public void MetricClearanceHoles(string id, double close, double medium, double free)
    {
        var f = Thread(id);
        Assert.Equal([close, medium, free], new[] { Fit.Close, Fit.Medium, Fit.Free }.Select(x =>
            Math.Round(Holes.Clearance(f, x) * 1000, 2)));
    }

    [Theory] // ISO 4032 and ASME B18.2.2: nut height, across flats, mm
    [InlineData("m6", 5.2, 10)]
    [InlineData("m8", 6.8, 13)]
    [InlineData("1-4-20", 5.56, 11.11)]
    [InlineData("3-8-16", 8.33, 14.29)]
    public void Nuts(string id, double height, double flats)
    {
        Assert.Equal(height, Thread(id).NutHeight * 1000, 0.005);
        Assert.Equal(flats, Thread(id).AcrossFlats * 1000, 0.005);
        Near.Share(flats / Math.Cos(Math.PI / 6), Holes.AcrossCorners(Thread(id)) * 1000, 1e-3);
    }

    [Fact] // FED-STD-H28/2 with basic dimensions: internal 0.875·π·D·L, external 0.75·π·K·L
    public void ShearAreasOfAFullThread()
    {
        var f = Thread("m6");
        Near.Share(0.875 * Math.PI * f.MajorDiameter * 0.01, Threads.InternalShearArea(f.MajorDiameter, f.Pitch, 0.01), 1e-3);
        var k = Threads.MinorDiameter(f.MajorDiameter, f.Pitch);
        Near.Share(0.75 * Math.PI * k * 0.01, Threads.ExternalShearArea(f.MajorDiameter, f.Pitch, 0.01, k), 1e-3);
    }

    [Fact] // common design rule: with a nut of standard height the bolt breaks before a steel thread strips
    public void AStandardSteelNutDoesNotStripFirst()
    {
        foreach (var id in new[] { "m6", "m8", "1-4-20", "3-8-16" })
        {
            var f = Thread(id);
            Assert.True(Threads.StripLoad(f, f.NutHeight, f.TapDrill, Material("steel-1018"), 510e6) > f.ProofLoad
                * (id[0] == 'm' ? 0.8 : 1), id);
        }
    }

    [Fact] // Shigley's Mechanical Engineering Design, ch. 8: T = K·F·d, K = 0.2
    public void PreloadFromTorque() => Near.Share(8000, Threads.Preload(9.6, 0.006), 1e-9);

    [Theory] // ASME B36.10M and PS 20, mm
    [InlineData("2 in pipe", 60.3)]
    [InlineData("1-1/2 in pipe", 48.3)]
    [InlineData("1/2 in pipe", 21.3)]
    [InlineData("2×4", 38)]
    public void NominalIsNotReal(string name, double mm) => Assert.Equal(mm, NominalSizes.Find(name)!.Across * 1000, 0.05);

    [Fact]
    public void ATwoInchClampDoesNotCloseOnTwoInchPipe() => Assert.False(NominalSizes.ClampFits(0.048, 0.0508,
        NominalSizes.Find("2 in pipe")!.Across));

    [Theory] // ISO 888 and usual inch lengths
    [InlineData("m6", 0.0182, 0.030, 20, 0)]
    [InlineData("m6", 0.0182, 0.0190, 20, 1.0)]
    [InlineData("1-4-20", 0.0240, 0.040, 25.4, 0)]
    public void LengthsToBuy(string id, double least, double most, double buy, double cut)
    {
        var (b, c) = StockLengths.Nearest(Thread(id), least, most)!.Value;
        Assert.Equal((buy, cut), (Math.Round(b * 1000, 2), Math.Round(c * 1000, 2)));
    }

    [Fact]
    public void NothingOnSaleIsThatLong() => Assert.Null(StockLengths.Nearest(Thread("m6"), 0.4, 0.41));

    [Theory] // t/(2R+t): 3 mm round 3 mm is a third
    [InlineData(3, 3, 1.0 / 3)]
    [InlineData(3, 9, 1.0 / 7)]
    [InlineData(2, 0, 1)]
    public void OuterFibreStrain(double t, double r, double strain) => Near.Share(strain, Bend.OuterFibreStrain(t, r), 1e-9);

    [Theory] // usual handbook multiples at 3 mm
    [InlineData("al-6061-t6", 9)]
    [InlineData("al-5052-h32", 3)]
    [InlineData("steel-s235", 2.4)]
    public void SmallestBends(string material, double mm) => Assert.Equal(mm, Bend.LeastRadius(Material(material), 0.003) * 1000, 0.0005);

    [Theory] // Machinery's Handbook, straight bends of 90° in soft steel and aluminium: L = 0.64·T + 1.57·R; from memory
    [InlineData(0.125, 0.25, 0.4725)]
    [InlineData(0.063, 0.125, 0.2366)]
    public void NinetyDegreeBendsAsTheHandbookHasThem(double t, double r, double inches) =>
        Assert.Equal(inches * 0.0254, Bend.Allowance(Math.PI / 2, r * 0.0254, t * 0.0254), 0.0254 * 0.013 * t + 1e-5);

    [Fact] // usual shop formula π/180·angle·(R + K·t)
    public void BendAllowance() => Near.Share(Math.PI / 2 * (0.004 + 0.4 * 0.002), Bend.Allowance(Math.PI / 2, 0.004, 0.002), 1e-9);

    [Fact] // Shigley ch. 10: k = G·d⁴/(8·D³·N); cutting a tenth of the coils stiffens by a ninth
    public void SpringRates()
    {
        Near.Share(79e9 * Math.Pow(0.002, 4) / (8 * Math.Pow(0.014, 3) * 60), HelicalSpring.Rate(79e9, 0.002, 0.014, 60), 1e-12);
        Near.Share(10.0 / 9, HelicalSpring.Trimmed(900, 50, 5) / 900, 1e-12);
    }
}
