using Ochema.Core.Structure.Lines;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Published;

/// <summary>Hanging ropes against what books give of them.</summary>
public sealed class HangingLineTests
{
    private const double Stiff = 1e12;
    private const double G = 9.80665;

    private static HangNode Fixed(string id, double x, double z) => new(id, x, 0, z, true);

    private static HangResult Span(double x, double z, double length, double stiffness, double mass) => HangingNet.Solve(new()
    {
        Nodes = [Fixed("a", 0, 0), Fixed("b", x, z)],
        Ropes = [new("r", "a", "b", length, stiffness, mass)],
    });

    [Theory] // the catenary z = c·cosh(x/c): length 2c·sinh(l/2c), end tension w·c·cosh(l/2c), level pull w·c (Irvine, Cable Structures, 1981, 1.2)
    [InlineData(10, 10)]
    [InlineData(10, 2)]
    [InlineData(12.2, 61)]
    public void ACatenary(double span, double c)
    {
        var half = span / 2 / c;
        var hung = Span(span, 0, 2 * c * Math.Sinh(half), Stiff, 0.1);
        Near.Share(0.1 * G * c * Math.Cosh(half), hung.Tensions!["r"].From, 1e-6);
        Near.Share(0.1 * G * c, -hung.Reactions!["a"][0], 1e-6);
        Near.Share(0.1 * G * c * Math.Sinh(half), hung.Reactions["a"][2], 1e-6);
    }

    [Theory] // between supports at two heights: √(length² − rise²) = 2c·sinh(span/2c) (Irvine 1981, 1.2)
    [InlineData(8, 3, 4)]
    [InlineData(5, -6, 1.5)]
    public void ACatenaryBetweenTwoHeights(double span, double rise, double c)
    {
        var chord = 2 * c * Math.Sinh(span / 2 / c);
        var hung = Span(span, rise, Math.Sqrt(chord * chord + rise * rise), Stiff, 0.2);
        Near.Share(0.2 * G * c, hung.Reactions!["b"][0], 1e-6);
        // Tensions at the ends differ by weight × rise.
        Near.Share(0.2 * G * rise, hung.Tensions!["r"].To - hung.Tensions["r"].From, 1e-5);
    }

    [Theory] // elastic catenary (Irvine 1981, eq. 1.31): span = H·L/EA + 2H/w·asinh(w·L/2H)
    [InlineData(20, 5e3)]
    [InlineData(200, 2e4)]
    [InlineData(3, 300)]
    public void AnElasticCatenary(double level, double stiffness)
    {
        const double mass = 0.4, length = 9;
        const double w = mass * G;
        var span = level * length / stiffness + 2 * level / w * Math.Asinh(w * length / 2 / level);
        var hung = Span(span, 0, length, stiffness, mass);
        Near.Share(level, hung.Reactions!["b"][0], 1e-7);
        Near.Share(Math.Sqrt(level * level + w * length * w * length / 4), hung.Tensions!["r"].Max, 1e-7);
    }

    [Fact] // the shallow parabola: H = w·l²/8f, length l·(1 + 8/3·(f/l)²) (any handbook of statics)
    public void AShallowParabola()
    {
        const double span = 12.2, sag = 0.1, w = 0.15 * G;
        var hung = Span(span, 0, span * (1 + 8.0 / 3 * (sag / span) * (sag / span)), Stiff, 0.15);
        Near.Share(w * span * span / (8 * sag), hung.Reactions!["b"][0], 1e-3);
    }

    [Theory] // one load on a light rope: H = P·a·b/(s·L), sag s under the load
    [InlineData(6.1, 6.1, 0.30)]
    [InlineData(2, 8, 0.5)]
    public void ALoadOnARope(double a, double b, double sag)
    {
        var hung = HangingNet.Solve(new()
        {
            Nodes = [Fixed("a", 0, 0), Fixed("b", a + b, 0), new("m", 3, 3, 3)],
            Ropes = [new("l", "a", "m", Math.Sqrt(a * a + sag * sag), Stiff), new("r", "m", "b", Math.Sqrt(b * b + sag * sag), Stiff)],
            Loads = [new("m") { M = 4.5 }],
        });
        Near.Share(4.5 * G * a * b / (sag * (a + b)), hung.Reactions!["b"][0], 1e-4);
        Assert.Equal(-sag, hung.Positions!["m"][2], 5e-6);
    }

    [Fact] // common practice, no source: 4.5 kg on two ropes over 12.2 m with 0.30 m of sag draws each with about 224 N; half the sag, twice the tension
    public void TwoRopesOverTwelveMetres()
    {
        double Each(double sag) => HangingNet.Solve(new()
        {
            Nodes = [new("a", 0, 0.225, 0, true), new("b", 12.2, 0.225, 0, true), new("c", 0, -0.225, 0, true),
                new("d", 12.2, -0.225, 0, true),
                new("left", 0, 0.225, 0), new("right", 1, -0.225, 0)],
            Ropes =
            [
                new("l", "a", "b", 2 * Math.Sqrt(6.1 * 6.1 + sag * sag), Stiff) { Via = ["left"] },
                new("r", "c", "d", 2 * Math.Sqrt(6.1 * 6.1 + sag * sag), Stiff) { Via = ["right"] },
            ],
            Loads = [new("left") { M = 2.25 }, new("right") { M = 2.25 }],
        }).Tensions!["l"].Max;
        Near.Share(224, Each(0.30), 0.005);
        Near.Share(2 * Each(0.30), Each(0.15), 0.005);
    }

    [Theory] // a pulley on a light rope stands on an ellipse about its ends, where both sides make one angle with the level: sin = span/length
    [InlineData(8, 3, 10)]
    [InlineData(8, -2, 9)]
    [InlineData(3, 0, 9)]
    public void APulleyRunsToTheBottomOfItsEllipse(double span, double rise, double length)
    {
        var hung = HangingNet.Solve(new()
        {
            Nodes = [Fixed("a", 0, 0), Fixed("b", span, rise), new("p", -4, 5, 6)],
            Ropes = [new("r", "a", "b", length, 1e9) { Via = ["p"] }],
            Loads = [new("p") { M = 10 }],
        });
        var cos = Math.Sqrt(1 - span / length * (span / length));
        Near.Share(10 * G / 2 / cos, hung.Tensions!["r"].Max, 1e-5);
        var p = hung.Positions!["p"];
        double far(double x, double z) => Math.Sqrt((p[0] - x) * (p[0] - x) + p[1] * p[1] + (p[2] - z) * (p[2] - z));
        Near.Share(length, far(0, 0) + far(span, rise), 1e-6);
        Assert.Equal(-p[2] / far(0, 0), (rise - p[2]) / far(span, rise), 5e-6);
    }

    [Fact] // a rope hung from one end: weight of what is below, and its own stretch w·L²/2EA + P·L/EA
    public void ARopeHungFromOneEnd()
    {
        var hung = HangingNet.Solve(new()
        {
            Nodes = [Fixed("a", 0, 0), new("m", 4, 0, 9)],
            Ropes = [new("r", "a", "m", 6, 2000, 0.5)],
            Loads = [new("m") { M = 3 }, new("m") { F = [0, 0, -10] }],
        });
        var (end, w) = (3 * G + 10, 0.5 * G);
        Near.Share(end, hung.Tensions!["r"].To, 1e-9);
        Near.Share(end + 6 * w, hung.Tensions["r"].From, 1e-9);
        Near.Share(-(6 + (end * 6 + w * 18) / 2000), hung.Positions!["m"][2], 1e-9);
    }
}
