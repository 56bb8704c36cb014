using Ochema.Core.Assessment;
using Ochema.Core.Checks;
using Ochema.Core.Kinds;
using Ochema.Core.Kinds.Cameras;
using Ochema.Core.Kinds.Heads;
using Ochema.Core.Kinds.Reaches;
using Ochema.Core.Making;
using Ochema.Core.Rigs;
using Ochema.Core.Search;
using Ochema.Core.Sharpness;
using Ochema.Core.Stock;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Practice;

/// <summary>What stands on a head beside a camera with a short lens: long lenses on their own feet, lamps, microphones, cameras that see
/// all round.</summary>
public sealed class PayloadTests
{
    private static readonly Catalogue Stock = Catalogue.Shipped;

    private static RigDocument With(string name, Func<CameraChoice, CameraChoice> change) =>
        RigFiles.Named(name) is var rig ? rig with
        {
            Camera = change(rig.Camera with
            {
                Mass = null,
                FocalLength = null
            })
        } : throw new InvalidOperationException();

    private static BuiltRig Built(RigDocument rig) => RigAssembly.Build(rig, Stock);

    private static double Use(RigDocument rig, string id) => Assessor.Assess(rig, Stock).Checks.Single(c => c.Id == id).Use;

    private static RigDocument Long(CameraFoot foot) => With("ground-pan", c => c with
    {
        Body = "mirrorless-full",
        Lens = "prime-600",
        Foot = foot,
        Tilt = 0
    });

    [Fact] // levers: centre of 0.72 kg behind and 3.1 kg ahead of the camera's face, from the foot at 0.17 m
    public void ALongLensStandsOnItsOwnFoot()
    {
        var (own, body) = (Built(Long(CameraFoot.AsUsual)), Built(Long(CameraFoot.Body)));
        var seat = own.Position(own.Camera.Seat);
        var ahead = (own.Position(own.Camera.Node) - seat).Dot(own.Camera.View);
        Assert.Equal((3.1 * 0.22 - 0.72 * 0.039) / 3.82 - 0.17, ahead, 1e-9);
        Assert.Equal((3.1 * (0.22 + 0.039)) / 3.82, (body.Position(body.Camera.Node) - seat).Dot(body.Camera.View), 1e-9);
        // On the camera's own screw it tips it out long before.
        Assert.True(Use(Long(CameraFoot.Body), "camera.screw") > 3 * Use(Long(CameraFoot.AsUsual), "camera.screw"));
        Assert.Contains(body.Findings, f => f.Text.Contains("stands on its own foot", StringComparison.Ordinal));
        Assert.DoesNotContain(own.Findings, f => f.Text.Contains("stands on its own foot", StringComparison.Ordinal));
        Assert.Contains(own.Joints, j => j.Layers.Any(l => l.Name == "Socket in the lens's foot"));
        // The lens looks where it looked.
        Assert.Equal(seat.Z + 0.115, own.Camera.Eye.Z, 1e-9);
        Assert.Equal(0.44 - 0.17, (own.Camera.Eye - seat).Dot(own.Camera.View), 1e-9);
    }

    [Fact]
    public void AFootAheadOfItsLensIsNoRow() =>
        Assert.Equal("foot", (Stock.Find<LensRow>("lenses", "prime-600") with { Foot = 0.5 }).Wrong?.Field);

    private static RigDocument Lit(ShoeLoop loop) => With("magnet-plate-straps", c => c with { Shoe = "lamp-small", ShoeLoop = loop });

    [Fact]
    public void WhatIsInTheShoeIsCarriedWeighedBlownAtAndKept()
    {
        var (bare, lit) = (With("magnet-plate-straps", c => c), Lit(ShoeLoop.Looped));
        var row = Stock.Find<CameraRow>("cameras", "lamp-small");
        Assert.Equal(Assessor.Assess(bare, Stock).Mass + row.Mass, Assessor.Assess(lit, Stock).Mass, 1e-9);
        Assert.Equal(Built(bare).MassOf(_ => true).Mass + row.Mass, Built(lit).MassOf(_ => true).Mass, 1e-9);
        Assert.True(Use(lit, "camera.screw") > Use(bare, "camera.screw"));
        Assert.True(Use(lit, "head.load") > Use(bare, "head.load"));
        // Twice the speed, about four times the wind on it.
        Assert.True(Use(lit with { Run = lit.Run with { Speed = 2 * lit.Run.Speed } }, "camera.shoe") > 1.3 * Use(lit, "camera.shoe"));
        var alone = Assessor.Assess(Lit(ShoeLoop.ShoeAlone), Stock);
        Assert.Equal(Verdict.LetsGo, alone.Verdict.Word);
        Assert.Contains(alone.Retentions, r => r.Piece.EndsWith("in the shoe", StringComparison.Ordinal) && r.Has < r.Needs);
        Assert.DoesNotContain(Assessor.Assess(lit, Stock).Retentions, r => r.Has < r.Needs);
        Assert.Contains(Maker.Of(lit, Stock).Steps, s => s.Title == "Into the shoe: pocket lamp");
    }

    [Fact] // statics of what stands still: m·g·h by hand, the lamp tipped by what the host does
    public void TheShoeBendsByMassTimesHeight()
    {
        var rig = Lit(ShoeLoop.Looped);
        var b = Built(rig);
        var shoe = b.Camera.InShoe!;
        Assert.Equal(0.012 + 0.035, (shoe.Centre - shoe.Foot).Length, 1e-9);
        var check = Assessor.Assess(rig, Stock).Checks.Single(c => c.Id == "camera.shoe");
        var moment = check.Working!.Terms.Single(t => t.Symbol == "M").Value;
        // Not less than braking alone makes of it, not more than 8 g and the design wind.
        Assert.InRange(moment, 0.13 * 0.8 * 9.80665 * 0.047, 0.13 * 8 * 9.80665 * 0.047 + 0.6 * 900 * 1.05 * 0.11 * 0.07 * 0.047 * 2);
    }

    [Fact]
    public void ALampTakesNoPictureAndIsNoWayToTakeOne()
    {
        var lamp = With("magnet-plate-straps", c => c with { Body = "lamp-panel", Lens = "no-lens" });
        var report = Assessor.Assess(lamp, Stock);
        Assert.Equal(Sharp.None, report.Sharpness.Word);
        Assert.Empty(ShakeAdvice.Of(lamp, Stock));
        Assert.NotEmpty(Adviser.Alternatives(lamp, "camera", Stock));
        Assert.All(Adviser.Alternatives(lamp, "camera", Stock), c => Assert.Equal(Makes.Light, Stock.Find<CameraRow>("cameras",
            c.Document.Camera.Body).Makes));
        Assert.All(Adviser.Alternatives(RigFiles.Named("magnet-plate-straps"), "camera", Stock),
            c => Assert.Equal(Makes.Picture, Stock.Find<CameraRow>("cameras", c.Document.Camera.Body).Makes));
        var blind = With("magnet-plate-straps", c => c with { Lens = "no-lens" });
        Assert.Contains(Assessor.Assess(blind, Stock).Findings, f => f.Blocks
            && f.Text.Contains("without a lens", StringComparison.Ordinal));
    }

    private static RigDocument Diver(double pan, double tilt = 0) => RigFiles.Named("low-arm") is var rig ? rig with
    {
        Camera = rig.Camera with { Subject = 1 },
        Second = new CameraPath
        {
            Id = CameraPath.SecondId,
            Reach = new CrossBar { Offset = -0.2, Height = 0.02, Section = "square-al-20x2" },
            Head = new BallHead(),
            Camera = new CameraChoice { Body = "lamp-dive", Lens = "no-lens", Pan = pan, Tilt = tilt },
        },
    } : throw new InvalidOperationException();

    [Fact]
    public void ALampBesideTheCameraIsTurnedToTheSubject()
    {
        var b = Built(Diver(Math.PI / 2));
        var subject = b.Camera.Eye + 1 * b.Camera.View;
        var (pan, tilt, _) = b.SecondCamera!.Aim(subject);
        var aimed = Built(Diver(pan, tilt));
        Assert.True(new LampMisses(RigPath.Second.Camera, aimed.SecondCamera!, subject).Off < 0.02);
        Assert.Contains(aimed.Findings, f => f.Text.Contains("looks at the subject", StringComparison.Ordinal));
        // Looking along with the camera it passes by about as far as it stands aside.
        var off = new LampMisses(RigPath.Second.Camera, b.SecondCamera, subject).Off;
        var way = subject - b.SecondCamera.Eye;
        Assert.Equal(Math.Atan2(way.PerpendicularTo(b.Camera.View).Length, way.Dot(b.Camera.View)), off, 1e-9);
        Assert.True(Use(Diver(-Math.PI / 2), "camera-2.lamp") > 1);
        Assert.True(Use(Diver(Math.PI / 2), "camera-2.lamp") < 1);
    }

    [Theory] // marched along the edge of the picture until it is lit
    [InlineData(0)]
    [InlineData(0.2)]
    [InlineData(-0.3)]
    public void WaterGlowsFromWhereTheBeamEntersThePicture(double turned)
    {
        var b = Built(Diver(Math.PI / 2 + turned));
        var (camera, lamp) = (b.Camera, b.SecondCamera!);
        var side = (lamp.Eye - camera.Eye).PerpendicularTo(camera.View).Normalized();
        var half = Math.Asin(Math.Sin(Math.Atan(camera.Body.SensorWidth / 2 / camera.Lens.FocalLength)) / 1.33);
        double? found = null;
        for (var z = 0.001; z < 20 && found is null; z += 0.001)
        {
            var to = camera.Eye + z * camera.View + z * Math.Tan(half) * side - lamp.Eye;
            var angle = Math.Acos(Math.Clamp(to.Normalized().Dot(lamp.View), -1, 1));
            if (angle <= lamp.Body.Beam!.Value / 2)
                found = z;
        }
        var said = LampAim.Glows(camera, lamp);
        if (found is null)
            Assert.True(said is null or > 19);
        else
            Assert.Equal(found.Value, said!.Value, 0.02 + 0.05 * found.Value);
    }

    private static RigDocument Round(double pan, double tilt = 0) =>
        With("wing-row", c => c with { Body = "all-round", Lens = "built-in-wide", Pan = pan, Tilt = tilt });

    [Fact] // a pole in the slab from glass to glass is seen by neither lens
    public void APoleHidesOnlyInLineBetweenTheLenses()
    {
        Assert.True(Use(Round(Math.PI / 2), "camera.shows") < 1);
        Assert.True(Use(Round(0), "camera.shows") > 1);
        var b = Built(Round(Math.PI / 2));
        var boom = b.Pieces.Where(p => p.Station == RigPath.First.Reach).ToList();
        var (glass, width) = (0.034, boom.Max(p => p.Section.DragWidth));
        var far = boom.SelectMany(p => new[] { b.Position(b.StartOf(p.First)), b.Position(b.EndOf(p.Last)) })
            .Max(p => (p - b.Camera.Pivot).Length);
        var most = Math.Asin((glass - width) / 2 / far);
        Assert.InRange(Use(Round(Math.PI / 2 + 0.9 * most), "camera.shows"), width / glass, 1.02);
        Assert.True(Use(Round(Math.PI / 2 + 1.3 * most), "camera.shows") > 1);
        Assert.Equal(Verdict.Tight, Assessor.Assess(Round(0), Stock).Checks.Single(c => c.Id == "camera.shows").Verdict);
    }

    [Fact]
    public void EveryBodyGoesOnAHeadWithWhatFitsIt()
    {
        foreach (var body in Stock.Cameras)
        {
            var lens = Stock.Lenses.First(l => MeasureReader.Fit(l, body));
            var b = Built(With("magnet-plate-straps", c => c with { Body = body.Id, Lens = lens.Id }));
            Assert.DoesNotContain(b.Findings, f => f.Blocks && f.Station.Is("camera"));
            Assert.True(b.Camera.Mass > 0);
            Assert.True(body.Makes == Makes.Picture == !lens.None);
        }
    }

    [Fact] // W·h over Wh; nobody gets at it while it is up
    public void WhatIsUpAPoleRunsOnItsBatteriesUntilItComesDown()
    {
        var rig = RigFiles.Named("tall-pole");
        var frame = (TiltFrame)rig.Head with { By = TiltedBy.ServoAndButton, Pack = 9 * 3600, Up = 2 * 3600 };
        RigDocument With(TiltFrame head) => rig with { Head = head };
        Near.Share((1.2 + 0.5 + 0.3) * 2 / (0.85 * 9), Use(With(frame), "head.servos-battery"), 1e-9);
        var camera = Stock.Find<CameraRow>("cameras", rig.Camera.Body);
        Near.Share(camera.Draws * 7200 / (0.85 * camera.Battery), Use(With(frame), "head.camera-battery"), 1e-9);
        Assert.True(Use(With(frame with { Up = 12 * 3600 }), "head.servos-battery") > 1);
        Assert.DoesNotContain(Assessor.Assess(With(frame with { By = TiltedBy.Hand }), Stock).Checks, c => c.Id.EndsWith("-battery",
            StringComparison.Ordinal));
    }

    [Fact] // what is in the shoe is lifted by a sprung arm as well
    public void WhatIsInTheShoeCountsForASprungArm()
    {
        var rig = RigFiles.Named("pan-rig");
        var arm = Assert.IsType<Core.Kinds.Isolators.SpringArm>(rig.Isolator);
        Assert.Equal(arm.Payload(rig, Stock) + Stock.Find<CameraRow>("cameras", "recorder").Mass,
            arm.Payload(rig with { Camera = rig.Camera with { Shoe = "recorder" } }, Stock), 1e-9);
    }
}
