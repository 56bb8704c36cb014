using Ochema.Core.Assessment;
using Ochema.Core.Kinds;
using Ochema.Core.Kinds.Heads;
using Ochema.Core.Making;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Practice;

/// <summary>The frame bent round a camera: its sizes are the camera's, and it balances.</summary>
public sealed class TiltFrameTests
{
    private static RigDocument On(string body, string lens, TiltFrame frame) => RigFiles.Named("hand-pole") with
    {
        Head = frame,
        Camera = RigFiles.Named("hand-pole").Camera with { Body = body, Lens = lens },
    };

    private static CameraRow Camera(string id) => Catalogue.Shipped.Find<CameraRow>("cameras", id);

    private static RigPart Strip(RigDocument rig, string name) =>
        RigAssembly.Build(rig, Catalogue.Shipped).Parts.Single(p => p.Name.StartsWith(name, StringComparison.Ordinal));

    /// <summary>Inside width of a strip bent to a U, worked back from its bends: π/2·(R + K·t) each, K = 0.5 from R = 3t
    /// (handbooks).</summary>
    private static double Inside(CutPiece cut, double radius, double thickness)
    {
        var allowance = Math.PI / 2 * (radius + 0.5 * thickness);
        return cut.Bends[1].At - cut.Bends[0].At - allowance + 2 * radius;
    }

    [Theory]
    [InlineData("compact", "built-in-24")]
    [InlineData("mirrorless-small", "prime-24")]
    public void ItIsAsWideAsTheCameraAndAFingersRoom(string body, string lens)
    {
        var frame = new TiltFrame();
        var (inner, outer) = (Strip(On(body, lens, frame), "Inner").Cut!, Strip(On(body, lens, frame), "Outer").Cut!);
        Assert.Equal(Camera(body).Width + 2 * frame.Room, Inside(inner, frame.BendRadius, 0.003), 1e-9);
        // The outer one takes in the inner, its walls and a spacer on each side.
        Assert.Equal(Camera(body).Width + 2 * frame.Room + 2 * 0.003 + 2 * 0.006, Inside(outer, frame.BendRadius, 0.003), 1e-9);
        // With a servo between them it is wider by that.
        var driven = Strip(On(body, lens, frame with { By = TiltedBy.Servo }), "Outer").Cut!;
        Assert.Equal(outer.Length + frame.Beside, driven.Length, 1e-9);
    }

    [Fact]
    public void AScreenThatOpensHasItsRoom()
    {
        var shut = Strip(On("mirrorless-small", "prime-24", new()), "Inner").Cut!;
        var open = Strip(On("mirrorless-small", "prime-24", new() { Screen = ScreenState.Open }), "Inner").Cut!;
        Assert.Equal(shut.Length + Camera("mirrorless-small").ScreenOpen, open.Length, 1e-9);
        Assert.Contains(Assessor.Assess(On("compact", "built-in-24", new() { Screen = ScreenState.Open }), Catalogue.Shipped).Findings,
            f => f.Text.Contains("no screen that opens", StringComparison.Ordinal));
    }

    [Theory] // by turning the camera's corners through the swing: nothing between the legs reaches the outer floor
    [InlineData("compact", "built-in-24", 0.4)]
    [InlineData("mirrorless-full", "prime-24", 0.8)]
    [InlineData("action", "built-in-wide", 1.5)]
    public void TheCameraSwingsClearOfTheOuterFloor(string body, string lens, double swing)
    {
        var rig = On(body, lens, new() { Swing = swing });
        var b = RigAssembly.Build(rig, Catalogue.Shipped);
        double Z(string node) => b.Model.Nodes.Single(n => n.Id == node).Z;
        var (drop, up) = (Z("outer-frame-left") - Z("head-lower"), Z("inner-frame-left") - Z("head"));
        var camera = Camera(body);
        Assert.Equal(camera.CentreHeight, up, 1e-9);
        for (var tilt = -swing; tilt <= swing; tilt += swing / 50)
            for (var x = -camera.Length / 2; x <= camera.Length / 2; x += camera.Length / 40)
            {
                // Underside of the strip that the camera stands on, about the pivots.
                var (across, down) = (x * Math.Cos(tilt) - up * Math.Sin(tilt), (up + 0.003) * Math.Cos(tilt) + x * Math.Sin(tilt));
                if (Math.Abs(across) < 0.0125)
                    Assert.True(down < drop, $"{body} at {tilt:0.00}: {down:0.000} of {drop:0.000}");
            }
    }

    [Fact] // m·g·a at level, and more the further the pivots are off in height
    public void OutOfBalanceItTiltsByItself()
    {
        double Use(RigDocument rig) => Assessor.Assess(rig, Catalogue.Shipped).Checks.Single(c => c.Id == "head.balance").Use;
        var (body, lens) = (Camera("mirrorless-small"), Catalogue.Shipped.Find<LensRow>("lenses", "prime-24"));
        var ahead = lens.Mass * (body.Length / 2 + lens.Length / 2) / (body.Mass + lens.Mass);
        var frame = new TiltFrame { Torque = 1 };
        Near.Share(2 * (body.Mass + lens.Mass) * 9.80665 * ahead, Use(On("mirrorless-small", "prime-24", frame)), 1e-9);
        Assert.Equal(0, Use(On("mirrorless-small", "prime-24", frame with { SetBack = ahead })), 1e-9);
        var high = On("mirrorless-small", "prime-24", frame with { SetBack = ahead, Pivots = body.CentreHeight + 0.02 });
        Near.Share(2 * (body.Mass + lens.Mass) * 9.80665 * 0.02 * Math.Sin(frame.Swing), Use(high), 1e-9);
        // The pivots of the frame itself feel it too.
        double Pivot(RigDocument rig) => Assessor.Assess(rig, Catalogue.Shipped).Checks.Where(c =>
            c.Id.StartsWith("tilt-", StringComparison.Ordinal)
            && c.Id.EndsWith(".turn", StringComparison.Ordinal)).Max(c => c.Use);
        Assert.True(Pivot(On("mirrorless-small", "prime-24", frame with { SetBack = ahead }))
            < Pivot(On("mirrorless-small", "prime-24", frame)));
    }

    [Fact]
    public void ItIsBentDrilledAndDrivenByThePlan()
    {
        var plan = Maker.Of(On("compact", "built-in-24", new() { By = TiltedBy.ServoAndButton }), Catalogue.Shipped);
        var inner = plan.Templates.Single(t => t.Name.StartsWith("Inner", StringComparison.Ordinal));
        Assert.Empty(inner.Faults);
        Assert.Equal(2, inner.Bends.Count);
        // The camera's screw is where its socket is, and the servo over its button, as its record says.
        var compact = Camera("compact");
        Assert.Equal(inner.Length / 2 + compact.SocketAcross, inner.Holes.Single(h => h.Joint == "camera-screw").X, 1e-9);
        Assert.Contains(plan.Steps, s => s.How.Contains("{length:0.034} right of the middle and {length:0.02} behind the front",
            StringComparison.Ordinal));
        // Two pivots and the camera's screw.
        Assert.Equal(["camera-screw", "tilt-pivot", "tilt-pivot"], inner.Holes.Select(h => h.Joint).Order(StringComparer.Ordinal));
        Assert.Contains(plan.Parts, p => p.Row == "tilt-servo");
        Assert.Contains(plan.Parts, p => p.Row == "button-servo");
        Assert.DoesNotContain(Maker.Of(On("compact", "built-in-24", new()), Catalogue.Shipped).Parts, p => p.Row
            is "tilt-servo" or "button-servo");
        // The camera's screw is bought to length: through the floor and the rubber, no further than its socket (ISO 1222: 4.5 mm).
        var screw = RigAssembly.Build(On("compact", "built-in-24", new()), Catalogue.Shipped).Joints.Single(j => j.Id == "camera-screw");
        Assert.InRange(screw.ScrewLength - screw.Grip, 0.003, 0.0045);
    }
}
