using Ochema.Core.Analysis;
using Ochema.Core.Analysis.Sources;
using Ochema.Core.Loads;
using Ochema.Core.Stock;
using Ochema.Core.Structure;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Loads;

/// <summary>A wave that slams: round and flat members by their own coefficients, small faces by the push of the water that they put
/// aside.</summary>
public sealed class SlamTests
{
    [Fact] // DNV-RP-C205, from memory: 3.0 for smooth cylinders, 2π for flat faces
    public void RoundAndFlatHaveTheirOwnCoefficients()
    {
        Assert.Equal(3.0, Water.RoundSlam);
        Near.Share(2 * Math.PI, Water.FlatSlam, 1e-12);
        var rig = RigFiles.Named("gear-rail-boom");
        var model = new RigModel(rig, Catalogue.Shipped);
        var wave = model.Built.Host.Motion.Wave(rig.Run.Road, rig.Base.WaterDepth);
        var dunk = model.Cases.First(c => c.Dunk);
        var (slow, fast) = (model.Document(dunk with { Dunk = false }, 3, "c", []), model.Document(dunk, 3, "c", []));
        var seen = 0;
        foreach (var face in model.Built.Faces.Where(f => f.IsOnMember))
        {
            var beam = model.System.Beams[face.Member.Value];
            var (from, to) = (model.Built.Position(model.Built.StartOf(face.Member)).Z,
                model.Built.Position(model.Built.EndOf(face.Member)).Z);
            if (Math.Max(from, to) > wave.Amplitude || Math.Min(from, to) < 0)
                continue;
            double Ahead(ModelCase d) => d.MemberLoads.Where(l => l.Member == beam.Member.Id).Sum(l => l.W[0]);
            var across = Drag.OnMember(MotionProfile.WindDirection(0), beam.AxisX, face.Width, 1);
            var expected = Water.Pressure(3 + wave.Speed(0)) * (face.Round ? 3.0 : 2 * Math.PI) * across.X;
            // What is no water (wind) is in both.
            Near.Share(expected, Ahead(fast) - Ahead(slow), 0.03);
            seen++;
        }
        Assert.True(seen > 0);
    }

    [Fact] // half a disc's added mass in a boundless fluid, 8/3·ρ·R³ (Lamb, Hydrodynamics, art. 102)
    public void ASmallFacePushesHalfADiscsWaterAside()
    {
        const double radius = 0.03;
        Near.Share(0.5 * 8.0 / 3 * radius * radius * radius, Water.PushedAside(Math.PI * radius * radius), 1e-12);
        // An undamped mass on a spring, pushed: its greatest force is push × ω, whatever its mass.
        var (mass, push) = (0.2, Water.Density * Water.PushedAside(0.0028) * 3);
        var stiffness = mass * Water.Sways * Water.Sways;
        var (x, v, dt) = (0.0, push / mass, 1e-7);
        var most = 0.0;
        for (var i = 0; i < 100_000; i++)
        {
            v -= dt * stiffness * x / mass;
            x += dt * v;
            most = Math.Max(most, stiffness * x);
        }
        Near.Share(most, Water.Hit(0.0028, 3), 1e-3);
    }

    [Theory] // a camera over the crest gets spray, one below it the slam: one computation in the frame and at its screw
    [InlineData("foredeck-cup")]
    [InlineData("flush-holder")]
    [InlineData("gear-rail-boom")]
    public void TheCameraIsSlammedBelowTheCrestOnly(string name)
    {
        var rig = RigFiles.Named(name);
        var model = new RigModel(rig, Catalogue.Shipped);
        var b = model.Built;
        var wave = b.Host.Motion.Wave(rig.Run.Road, rig.Base.WaterDepth);
        var camera = b.Position(b.Camera.Node);
        var face = b.Faces.First(f => f.Node == b.Camera.Node).BoxForce(MotionProfile.WindDirection(0)).Length;
        var dunk = model.Cases.First(c => c.Dunk);
        foreach (var speed in new[] { 0, 1.7, 5 })
        {
            var meets = speed + wave.Speed(camera.Z);
            var expected = Water.Pressure(meets) * face + (camera.Z < wave.Amplitude ? Water.Hit(face / Drag.Cube, meets) : 0);
            double Ahead(RigCase c) => model.Document(c, speed, "c", []).Loads.Where(l => l.Node == b.NodeId(b.Camera.Node))
                .Sum(l => l.F![0]);
            Near.Share(expected, -(Ahead(dunk) - Ahead(dunk with { Dunk = false })), 0.04);
            Near.Share(expected / face, new WaterLoads(b, model.System).WaterOnCamera(dunk, speed), 1e-9);
        }
    }
}
