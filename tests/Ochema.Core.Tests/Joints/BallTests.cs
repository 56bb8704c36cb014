using Ochema.Core.Assessment;
using Ochema.Core.Joints;
using Ochema.Core.Kinds.Bases;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Structure;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Joints;

/// <summary>Balls in sockets: what friction holds, what draws them out, what goes together.</summary>
public sealed class BallTests
{
    private static readonly Catalogue Stock = Catalogue.Shipped;

    private static RigDocument Boat(BallArm arm) => RigFiles.Named("ball-arm") with { Base = arm };

    private static readonly BallArm Shipped = (BallArm)RigFiles.Named("ball-arm").Base;

    /// <summary>Friction of two rings of contact summed point by point, for a turn about any axis.</summary>
    private static double RingTorque(BallGrip grip, Vec3 axis)
    {
        const int Points = 20000;
        var (r, slope) = (grip.Diameter / 2, Math.PI / 4);
        // Each shell is pressed on with F along the closing axis z; its ring's normals lean 45° from it.
        var each = grip.Closing / Math.Cos(slope) / Points;
        var sum = 0.0;
        for (var i = 0; i < Points; i++)
        {
            var turn = 2 * Math.PI * (i + 0.5) / Points;
            foreach (var side in new[] { 1, -1 })
            {
                var at = r * new Vec3(Math.Sin(slope) * Math.Cos(turn), Math.Sin(slope) * Math.Sin(turn), side * Math.Cos(slope));
                sum += grip.Friction * each * at.PerpendicularTo(axis).Length;
            }
        }
        return sum;
    }

    [Fact] // summed over the ring: what is taken is the torque about the axis where it turns most easily
    public void FrictionIsThatOfItsRingAboutTheWeakestAxis()
    {
        var grip = new BallGrip(1200, 0.038, 0.45);
        Near.Share(RingTorque(grip, Vec3.UnitZ), grip.Torque, 1e-9);
        foreach (var axis in new[] { Vec3.UnitX, Vec3.UnitY, new Vec3(1, 1, 0).Normalized(), new Vec3(1, 2, 3).Normalized() })
            Assert.True(RingTorque(grip, axis) >= grip.Torque * (1 - 1e-9));
    }

    [Fact] // one screw between two balls: the shells are levers with it in the middle
    public void OneScrewClosesBothBallsWithHalfItsForceEach()
    {
        var grip = BallGrip.OfDoubleSocket(2400, 0.0254, 0.5);
        Near.Share(1200, grip.Closing, 1e-12);
        Near.Share(0.5 * 1200 * 0.0254, grip.Torque, 1e-12);
        Near.Share(2400, grip.Pull, 1e-12);
    }

    [Theory] // every part there is meets a ball and a socket, from below and from above
    [MemberData(nameof(Others))]
    public void BallsAndSocketsAreJoinedToAnything(Port other)
    {
        var (ball, socket) = (new BallPort("Ball", 0.0254), new BallSocketPort("Socket", new(1000, 0.0254, 0.4)));
        // A flange is always the upper one.
        IReadOnlyList<IReadOnlyList<MadeJoint>> below = other is FlangePort ? []
            : [JointMaker.Make(other, ball, Stock), JointMaker.Make(other, socket, Stock)];
        foreach (var made in below.Concat([JointMaker.Make(ball, other, Stock), JointMaker.Make(socket, other, Stock)]))
        {
            Assert.Contains(made, m => m.Clasp is { Misfit: null });
            Assert.Contains(made, m => m.Fittings is { Count: > 0 });
        }
    }

    public static TheoryData<Port> Others => [.. new Port[]
    {
        new SocketPort("Head", "1-4-20", 0.008, "brass"), new StudPort("Stud", "3-8-16", null),
            new StudPort("Short stud", "1-4-20", 0.006, true),
        new ThroughPort("Plate", [new("Plate", LayerRole.Clearance, 0.006, "al-6061-t6", 0.1)], 0.1),
        new TubePort("Tube", Catalogue.Shipped.Find<SectionRow>("sections", "tube-al-25x2")),
        new FlangePort("Bowl", 0.005, 0.06, 4, "m6", "bowl", "bowl's screws"), new BucklePort("Buckle"),
    }.Select(p => p)];

    [Fact]
    public void ABallOfAnotherSizeIsRefused()
    {
        var made = Assert.Single(JointMaker.Make(new BallPort("Ball", 0.0254), new BallSocketPort("Socket", new(1000, 0.038, 0.4)), Stock));
        Assert.Equal("the socket is made for a ball of {length:0.038}, this one is {length:0.0254} across", made.Clasp!.Misfit);
        Assert.Null(JointMaker.Make(new BallPort("Ball", 0.025), new BallSocketPort("Socket", new(1000, 0.0254, 0.4)),
            Stock)[0].Clasp!.Misfit);
    }

    [Fact] // the use of both balls follows from the moments of the solved frame, worked out again here
    public void BothBallsAreJudgedByTheMomentAtEach()
    {
        var report = Assessor.Assess(Boat(Shipped), Stock);
        var preload = Shipped.Knob / (0.2 * 0.008);
        foreach (var id in new[] { "lower-ball", "upper-ball" })
        {
            var check = report.Checks.Single(c => c.Id == id + ".turns");
            double Term(string symbol) => check.Working!.Terms.Single(t => t.Symbol == symbol).Value;
            Near.Share(preload / 2, Term("F"), 1e-9);
            Near.Share(2 * Term("M") / (0.45 * preload / 2 * 0.038), check.Use, 1e-9);
        }
        Assert.True(report.Checks.Single(c => c.Id == "lower-ball.turns").Use > report.Checks.Single(c => c.Id == "upper-ball.turns").Use);
        Assert.Contains(report.Joins, j => j.Sort == JoinSort.Clasped);
    }

    [Fact] // common practice, no source: the balls turn long before anything breaks, and larger ones hold where small ones do not
    public void SmallBallsTurnWhereLargeOnesHold()
    {
        var (large, small) = (Assessor.Assess(Boat(Shipped), Stock),
            Assessor.Assess(Boat(Shipped with { Ball = 0.0254, Knob = 3 }), Stock));
        Assert.Equal(Verdict.Holds, large.Verdict.Word);
        Assert.Equal(Verdict.LetsGo, small.Verdict.Word);
        Assert.Equal("lower-ball.turns", small.Checks[0].Id);
        Assert.All(small.Checks.Skip(1), c => Assert.True(c.Use < 0.7 * small.Checks[0].Use, c.Id));
    }

    [Fact]
    public void AMeasuredBallCountsBeforeTheKnob()
    {
        var report = Assessor.Assess(Boat(Shipped with { BallHolds = 12 }), Stock);
        var check = report.Checks.Single(c => c.Id == "lower-ball.turns");
        Assert.Contains(check.Working!.Terms, t => t is { Symbol: "T", Value: 12 }
            && t.Source.Contains("your measurement", StringComparison.Ordinal));
        Near.Share(2 * check.Working.Terms.Single(t => t.Symbol == "M").Value / 12, check.Use, 1e-9);
    }

    [Fact] // without a ball all that hangs on it is gone: the tether catches it
    public void ABallThatLetsGoIsTriedAndTheTetherCatchesIt()
    {
        var report = Assessor.Assess(Boat(Shipped), Stock);
        foreach (var ball in new[] { "lower-ball-spring", "upper-ball-spring" })
            Assert.Contains(report.LetGo, l => l.Id == ball && l.Use <= 1 && l.Says.Contains("tether", StringComparison.OrdinalIgnoreCase));
    }
}
