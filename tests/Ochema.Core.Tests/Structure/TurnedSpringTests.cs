using Ochema.Core.Analysis;
using Ochema.Core.Kinds;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Structure;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Structure;

/// <summary>Springs that are turned to an axis: their own terms off the diagonal, and the same in what a model document has.</summary>
public class TurnedSpringTests
{
    private static readonly double[] K = [4e4, 9e5, 9e5, 600, 250, 250];

    /// <summary>A mass on a stem on one spring that stands at an angle from upright, turned about two axes.</summary>
    private static ModelDocument Stem(double angle, double[] k)
    {
        var axis = Vec3.UnitZ.RotatedAbout(Vec3.UnitY, angle).RotatedAbout(Vec3.UnitX, angle / 3);
        var top = 0.28 * axis;
        return new ModelDocument
        {
            Nodes = [new("foot", 0, 0, 0), new("top", top.X, top.Y, top.Z)],
            RigidLinks = [new("foot", "top")],
            Springs = [new("skin", "foot", k) { Axis = axis }],
            Masses = [new("top", 0.5) { I = [1e-3, 1e-3, 1e-3] }],
            Cases = [new ModelCase { Id = "push", Gravity = [1, -2, -9.8], Loads = [new("top") { F = [3, 5, -7], M = [0.1, 0.2, -0.3] }] }],
        };
    }

    [Theory]
    [InlineData(0.0)]
    [InlineData(0.1745)] // a bonnet of 10°
    [InlineData(0.6)]
    [InlineData(1.2)]
    public void FrequenciesDoNotDependOnWhichWayUpItStands(double angle)
    {
        // In its own axes: bouncing along, rocking with the mass on the stem. Turning all of it changes nothing.
        var upright = ModelSolver.Solve(Stem(0, K)).Modes!;
        var turned = ModelSolver.Solve(Stem(angle, K)).Modes!;
        for (var i = 0; i < 6; i++)
            Near.Share(upright[i].Frequency, turned[i].Frequency, 1e-6, $"mode {i + 1}");
        Near.Share(Math.Sqrt(K[0] / 0.5) / (2 * Math.PI), turned.MinBy(m => Math.Abs(m.Frequency - 45))!.Frequency, 1e-6, "bounce");
    }

    [Theory]
    [InlineData(0.1745)]
    [InlineData(0.6)]
    [InlineData(1.2)]
    public void WhatGoesOutHasTheSameMovementsForcesAndFrequencies(double angle)
    {
        // Stiffer along than across as a cup is, stiffer across than along as sheet is, and nearly equal.
        foreach (var k in new[] { K, [2e5, 6e4, 6e4, 220, 200, 200], [1e5, 1.01e5, 1.01e5, 300, 299, 299] })
        {
            var inside = Stem(angle, k);
            var document = TurnedSprings.Plain(inside);
            Assert.All(document.Springs, s => Assert.Null(s.Axis));
            var (a, b) = (ModelSolver.Solve(inside),
                ModelSolver.Solve(ModelDocumentReader.Read(Ochema.Core.Json.StrictJson.Write(document))));
            for (var i = 0; i < 6; i++)
            {
                Near.Share(a.Modes![i].Frequency, b.Modes![i].Frequency, 1e-6, $"mode {i + 1}");
                Assert.Equal(a.Displacement("top")[i], b.Displacement("top")[i], 1e-9);
                Assert.Equal(a.Cases[0].Result!.SpringForces["skin"][i], b.Cases[0].Result!.SpringForces["skin"][i], 1e-6);
            }
        }
    }

    [Fact]
    public void TheDiagonalAloneWouldBeTooStiff()
    {
        // The turned matrix with its terms off the diagonal left out, as this was once computed.
        var axis = Vec3.UnitZ.RotatedAbout(Vec3.UnitY, 0.1745);
        double Mix(double c, double along, double across) => c * c * along + (1 - c * c) * across;
        double[] diagonal = [Mix(axis.X, K[0], K[1]), K[1], Mix(axis.Z, K[0], K[1]), Mix(axis.X, K[3], K[4]), K[4],
            Mix(axis.Z, K[3], K[4])];
        var exact = Stem(0.1745, K);
        var cut = exact with { Springs = [new("skin", "foot", diagonal)] };
        Assert.Contains(ModelSolver.Solve(exact).Modes!.Zip(ModelSolver.Solve(cut).Modes!), m => m.Second.Frequency > 1.1
            * m.First.Frequency);
        var bounce = (ModelDocument d) => ModelSolver.Solve(d with
        {
            Cases = [new ModelCase { Id = "up",
            Loads = [new("foot") { F = axis.ToArray() }] }],
            RigidLinks = d.RigidLinks
        })
            .Displacement("foot").Zip(axis.ToArray(), (x, y) => x * y).Sum();
        Near.Share(1 / K[0], bounce(exact), 0.02, "along its axis");
        Assert.True(bounce(cut) < 0.75 * bounce(exact), $"{bounce(cut):G4} against {bounce(exact):G4}");
    }

    [Fact]
    public void AFootThatOnlyRubsDoesNotHoldDown()
    {
        foreach (var recipe in RecipeLibrary.All.Where(r => r.Document.Straps.Count > 0))
        {
            var model = RigModel.WithoutHolds(RigAssembly.Build(recipe.Document, Catalogue.Shipped));
            Assert.All(model.Built.Model.Springs.Where(s => s.Axis is not null
                && model.Built.Feet.Any(f => model.Built.Model.Springs[f.Spring.Value] == s)),
                s => Assert.Equal((0, 0), (s.K[0], s.K[4])));
        }
    }
}
