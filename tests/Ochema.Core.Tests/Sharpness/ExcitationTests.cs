using Ochema.Core.Analysis;
using Ochema.Core.Assessment;
using Ochema.Core.Loads;
using Ochema.Core.Rigs;
using Ochema.Core.Sharpness;
using Ochema.Core.Stock;
using Ochema.Core.Structure;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Sharpness;

/// <summary>What drives a rig: wind against its own statics, hosts by their shares, answers against a direct solution.</summary>
public class ExcitationTests
{
    private static (RigModel Model, RigDynamics Dynamics) Of(RigDocument rig)
    {
        var model = new RigModel(rig, Catalogue.Shipped);
        return (model, model.Dynamics!);
    }

    [Fact] // gusts are a third of the gust speed, and 3 % of the wind of travel: power by the sum of their squares
    public void GustsGrowWithTheirSquare()
    {
        var rig = RigFiles.CupAndArm();
        double Power(double gust)
        {
            var (model, dynamics) = Of(rig with { Run = rig.Run with { Gust = gust } });
            var ahead = dynamics.Excitations.Random.Single(e => e.Label == "gusts from ahead");
            return ahead.Spectrum[40] * Math.Pow(ahead.Forces[0], 2);
        }
        var own = 0.03 * rig.Run.Speed * rig.Site.WindFactor;
        Near.Share((25 + 9 * own * own) / (9 * own * own), Power(5) / Power(0), 1e-9);
        Near.Share((100 + 9 * own * own) / (25 + 9 * own * own), Power(10) / Power(5), 1e-9);
    }

    [Fact] // quasi-steady: a slow gust of u moves the camera by 2·u/V of what the mean wind does
    public void ASlowGustPushesTwiceItsShareOfTheWind()
    {
        var rig = RigFiles.CupAndArm();
        var (model, dynamics) = Of(rig with { Run = rig.Run with { Gust = 3, HeadWind = 0 } });
        var ahead = dynamics.Excitations.Random.Single(e => e.Label == "gusts from ahead");
        var mean = rig.Run.Speed * model.Built.WindFactor;
        var q = 0.5 * model.Density * mean * mean;
        // Static answer of the modes to the mean wind, and to a gust as slow as the grid goes.
        var sigma = Math.Sqrt(1 + Math.Pow(0.03 * mean, 2));
        var f = dynamics.Frequencies[0];
        var body = Math.Sqrt(model.Built.Camera.Body.Width * model.Built.Camera.Body.Height);
        var spectrum = Math.Pow(2 * q / mean, 2) * Turbulence.Spectrum(sigma, mean, f) * Turbulence.Admittance(f, body, mean);
        Near.Share(spectrum, ahead.Spectrum[0], 1e-9);
        Near.Share(VectorMath.Dot(model.Modes[0].Shape, model.WindLoad(0)), ahead.Forces[0], 1e-9);
    }

    [Fact] // modal superposition against a direct solution of the damped equations of one mode
    public void AModesTransferIsThatOfAMassOnASpring()
    {
        var mode = new RigMode(12, 0.04, [1, 0, 0], Vec3.Zero, Vec3.Zero, []);
        var n = 2 * Math.PI * 12;
        Near.Share(1 / (n * n), mode.Transfer(0).Magnitude, 1e-12);
        Near.Share(1 / (2 * 0.04 * n * n), mode.Transfer(n).Magnitude, 1e-9);
        Near.Share(Math.PI / 2, -mode.Transfer(n).Phase, 1e-9);
        Near.Share(n * n, mode.Omega2, 1e-12);
    }

    [Fact] // Miles: mean square movement under a flat force spectrum S is S/(8·ζ·ω³) per Hz of a one-sided spectrum
    public void AModesMeanSquareIsMiles()
    {
        var mode = new RigMode(10, 0.05, [1, 0, 0], Vec3.Zero, Vec3.Zero, []);
        var grid = Enumerable.Range(0, 40_000).Select(i => 0.01 + 0.01 * i).ToArray();
        var w = 2 * Math.PI * 10;
        Near.Share(1 / (8 * 0.05 * Math.Pow(w, 3)), mode.MeanSquare(grid, [.. grid.Select(_ => 1.0)]), 0.005);
    }

    [Fact] // Σ participation² never exceeds the mass that shakes (Clough and Penzien, ch. 26)
    public void ModesShareTheMassThatShakes()
    {
        foreach (var (name, rig) in RigFiles.All)
        {
            var modal = Of(rig).Dynamics.Modal;
            for (var axis = 0; axis < 3; axis++)
            {
                var sum = modal.Modes.Sum(m => m.Participation[axis] * m.Participation[axis]);
                Assert.InRange(sum, 0, modal.TotalMass[axis] * 1.000001);
            }
            Assert.True(modal.Modes.Sum(m => m.Participation.Sum(p => p * p)) > 0.3 * modal.TotalMass.Sum(),
                $"{name}: its modes miss what shakes");
        }
    }

    [Fact] // shapes are mass-normalised and square to each other
    public void ModesAreSquareToEachOther()
    {
        var modal = Of(RigFiles.CupAndArm((0.24, 0.34), (0.24, -0.34))).Dynamics.Modal;
        for (var i = 0; i < modal.Modes.Count; i++)
            for (var j = 0; j < modal.Modes.Count; j++)
                Assert.Equal(i == j ? 1 : 0, VectorMath.Dot(modal.Modes[i].Shape, modal.Inertia[j]), 5e-5);
    }

    [Fact]
    public void TheGridIsFineWhereModesAre()
    {
        var grid = FrequencyGrid.Of([new RigMode(12.3, 0.02, [1, 1, 1], Vec3.Zero, Vec3.Zero, [])]);
        Assert.Equal(grid.Order().Distinct(), grid);
        Assert.Contains(12.3, grid);
        Assert.True(grid.Count(f => Math.Abs(f / 12.3 - 1) < 0.05) >= 7);
        Near.Share(FrequencyGrid.Highest - FrequencyGrid.Lowest, FrequencyGrid.Integrate(grid, [.. grid.Select(_ => 1.0)]), 1e-9);
    }

    [Fact] // Strouhal 0.2: a rod sheds at 0.2·V/d of the wind square to it, and is shaken across it
    public void ALongRodIsShakenByWhatItSheds()
    {
        var rig = RecipeLibrary.All.First(r => r.Id == "gear-rail-boom").Document;
        rig = rig with { Reach = (Core.Kinds.Reaches.TelescopingPole)rig.Reach with { Length = 0.65 } };
        var (model, dynamics) = Of(rig with { Run = rig.Run with { HeadWind = 0 } });
        var shed = dynamics.Excitations.Random.Where(e => e.Label.StartsWith("wind shed", StringComparison.Ordinal)).ToList();
        Assert.Equal(2, shed.Count);
        foreach (var (e, d) in shed.Zip([0.030, 0.025]))
        {
            var peak = dynamics.Frequencies[Array.IndexOf(e.Spectrum, e.Spectrum.Max())];
            Assert.InRange(peak / (0.2 * rig.Run.Speed * model.Built.WindFactor / d), 0.85, 1.15);
            Assert.Equal(Vec3.Zero, e.Host);
        }
    }

    [Fact]
    public void StandingStillNothingShakesButWhatRuns()
    {
        var rig = RigFiles.CupAndArm();
        var (_, dynamics) = Of(rig with { Run = rig.Run with { Speed = 0, HeadWind = 0, Gust = 0 } });
        Assert.Empty(dynamics.Excitations.Random);
        Assert.NotEmpty(dynamics.Excitations.Steady); // the engine at idle
        Assert.Equal(0, Shaker.Of(rig with { Run = rig.Run with { Speed = 0, HeadWind = 0, Gust = 0, Rpm = 0 } },
            Catalogue.Shipped).Picture.Numbers.Max(n => n.Pixels));
    }

    [Fact] // an engine that runs through a range passes the modes in it
    public void ARangeOfRevolutionsIsAsBadAsItsWorst()
    {
        var rig = RecipeLibrary.All.First(r => r.Id == "tie-down-block").Document;
        double Smear(double? rpm, double? to) => Shaker.Of(rig with { Run = rig.Run with { Rpm = rpm, RpmTo = to } },
            Catalogue.Shipped).Picture.Numbers[1].Pixels;
        var each = Enumerable.Range(0, 13).Select(i => Smear(1500 + 100 * i, null)).ToList();
        var range = Smear(1500, 2700);
        Assert.True(range >= each.Max() * 0.98, $"{range} against {each.Max()}");
        Assert.True(range > 1.2 * each.Min());
        // A range of no width is one speed; what shakes loose counts it, too.
        Near.Share(Smear(1900, null), Smear(1900, 1900), 1e-12);
        double Use(double? rpm, double? to) => Assessor.Assess(rig with { Run = rig.Run with { Rpm = rpm, RpmTo = to } },
            Catalogue.Shipped).Checks.Single(c => c.Id == "stem.strength").Use;
        Assert.True(Use(900, 2700) >= Use(900, null));
    }

    [Fact]
    public void VibrationAddsUpToALife()
    {
        var lives = MemberLives.Of(Of(RecipeLibrary.All.First(r => r.Id == "hand-pole").Document).Model);
        Assert.NotEmpty(lives);
        Assert.All(lives, l => Assert.True(l.Stress > 0 && l.Hours > 0));
        Assert.Equal(lives.Select(l => l.Hours).Order(), lives.Select(l => l.Hours));
        // Rougher going, more stress: as the amplitude of the table.
        RigDocument Walk(Going g) => RecipeLibrary.All.First(r => r.Id == "hand-pole").Document is var r
            ? r with { Run = r.Run with { Road = g, Speed = 0.1, Gust = 0 } } : r;
        var (calm, fast) = (MemberLives.Of(Of(Walk(Going.Average)).Model).Max(l => l.Stress), MemberLives.Of(Of(Walk(Going.Rough)).Model)
            .Max(l => l.Stress));
        Near.Share(2.5, fast / calm, 0.02);
    }
}
