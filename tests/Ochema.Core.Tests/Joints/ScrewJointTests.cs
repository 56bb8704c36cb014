using CsCheck;
using Ochema.Core.Joints;
using Ochema.Core.Responses;
using Ochema.Core.Stock;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Joints;

/// <summary>The stack: grip, engagement, what to buy, and the mistakes people make with it (common practice, no source).</summary>
public class ScrewJointTests
{
    private static Fastener Thread(string id) => Catalogue.Shipped.Find<Fastener>("fasteners", id);

    private static StackLayer Sheet(double mm, double? hole = null, double? edge = null) =>
        new("Sheet", LayerRole.Clearance, mm / 1000, "al-6061-t6", 0.03, hole, edge);

    private static ScrewJoint Joint(Fastener thread, params StackLayer[] layers) =>
        new() { Stock = Catalogue.Shipped, Id = "j", Station = StationId.Base, Title = "test", Thread = thread, Layers = layers };

    private static ScrewJoint Nut(string thread, params StackLayer[] layers) =>
        Joint(Thread(thread), [.. layers, new("Nut", LayerRole.Nut, Thread(thread).NutHeight, "steel-s235", 0.01)]);

    private static string[] Texts(ScrewJoint j) => [.. j.Report().Findings.Select(f => f.Text)];

    [Fact]
    public void GripIsWhatLiesBeforeTheThread() => Assert.Equal(0.011, Nut("m6", Sheet(4), Sheet(7)).Grip, 1e-9);

    [Fact]
    public void TheLengthToBuyShowsTwoTurnsPastTheNut()
    {
        var r = Nut("m6", Sheet(6), Sheet(3)).Report();
        Assert.Empty(r.Findings);
        Assert.True(r.Buy >= 0.009 + 0.0052 + 2 * 0.001, $"{r.Buy}");
        Assert.Equal(0.020, r.Buy!.Value, 5e-7);
    }

    [Fact]
    public void AQuarterInchHoleIsNoClearanceForAQuarterTwenty()
    {
        var text = Assert.Single(Texts(Nut("1-4-20", Sheet(3, hole: 0.00635))));
        Assert.Contains("the screw's own size", text);
        Assert.Contains("0.006747", text);
    }

    [Fact]
    public void AHoleDrilledElevenThirtySecondsCannotBeTappedForAQuarterTwenty()
    {
        var joint = Joint(Thread("1-4-20"), Sheet(3), new("Block", LayerRole.Tapped, 0.012, "al-6061-t6", 0.03, Hole: 11.0 / 32 * 0.0254));
        Assert.Contains(joint.Report().Findings, f => f.Blocks && f.Text.Contains("too wide to tap"));
    }

    [Theory]
    [InlineData(0.0040, "too tight")]
    [InlineData(0.0058, "% of the thread")]
    public void OtherWrongTapDrillsAreNamed(double hole, string says) =>
        Assert.Contains(Texts(Joint(Thread("1-4-20"), Sheet(3), new("Block", LayerRole.Tapped, 0.012, "al-6061-t6", 0.03, Hole: hole))),
            t => t.Contains(says));

    [Fact]
    public void AScrewBottomsInACameraSocket()
    {
        var joint = Joint(Thread("1-4-20"), Sheet(3), new("Camera", LayerRole.Blind, 0.0045, "al-6061-t6")) with { Length = 0.0127 };
        Assert.Contains(joint.Report().Findings, f => f.Blocks && f.Layer == 1 && f.Text.Contains("bottoms"));
        Assert.DoesNotContain(Texts(joint with { Length = 0.007 }), t => t.Contains("bottoms"));
    }

    [Fact]
    public void AStudThatStandsProudIsNamedWithHowMuch()
    {
        var joint = Nut("m6", Sheet(4)) with { Length = 0.004 + 0.0052 + 0.0043, AllowedProtrusion = 0 };
        var finding = Assert.Single(joint.Report().Findings, f => f.Text.Contains("proud"));
        Assert.Contains("0.0043", finding.Text);
        Assert.True(finding.Blocks);
    }

    [Fact]
    public void NothingEntersALiner()
    {
        StackLayer[] shell = [new("Bracket", LayerRole.Clearance, 0.003, "al-6061-t6"), new("Shell", LayerRole.Tapped, 0.003, "abs"),
            new("Liner", LayerRole.KeepOut, 0.025, "")];
        var joint = Joint(Thread("m4"), shell) with { AllowedProtrusion = 0 };
        Assert.DoesNotContain(joint.Report().Findings, f => f.Blocks);
        Assert.Equal(0.006, joint.ScrewLength, 5e-7);
        Assert.Contains((joint with { Length = 0.008 }).Report().Findings, f => f.Blocks && f.Layer == 2 && f.Text.Contains("liner"));
    }

    [Fact]
    public void APadEatsTheHostsThread()
    {
        StackLayer[] stack = [Sheet(5), new("The host's thread", LayerRole.Blind, 0.008, "steel-1018")];
        var host = Joint(Thread("m6"), stack) with { Length = 0.010 };
        Assert.Empty(host.Report().Findings);
        var padded = host.With(new JointChoice { Pad = 0.003 });
        Assert.Equal(host.Engagement - 0.003, padded.Engagement, 1e-9);
        Assert.Contains(padded.Report().Findings, f => f.Text.Contains("only"));
        Assert.Contains(padded.Report().Notes, n => n.Contains("creep"));
        Assert.True(padded.Preload < host.Preload);
    }

    [Fact]
    public void AScrewThatEndsBeforeTheThreadHoldsNothing() => Assert.Contains((Nut("m6", Sheet(20)) with { Length = 0.016 })
        .Report().Findings, f => f.Blocks && f.Text.Contains("ends before"));

    [Fact]
    public void ALongBoltRunsOutOfThreadOnAThinStack() => Assert.Contains(Texts(Nut("m8", Sheet(6)) with
    {
        Length = 0.070,
        AllowedProtrusion = 0.1
    }), t => t.Contains("runs out of thread"));

    [Fact]
    public void EdgesAndCountersinksAreMinded()
    {
        Assert.Contains(Texts(Nut("m6", Sheet(3, edge: 0.005))), t => t.Contains("from the edge"));
        Assert.Empty(Nut("m6", Sheet(3, edge: 0.0091)).Report().Findings);
        Assert.Contains(Texts(Nut("no8-32", new StackLayer("Angle", LayerRole.Clearance, 0.0024, "al-6061-t6", Countersink: 0.002))), t =>
            t.Contains("knife edge"));
    }

    [Fact]
    public void TappedPlasticTakesFewReassembliesAndStainlessEatsAluminium()
    {
        var plastic = Joint(Thread("m4"), Sheet(3), new("Shell", LayerRole.Tapped, 0.006, "abs"));
        Assert.Equal(10, plastic.Report().Reassemblies);
        Assert.Null(Nut("m6", Sheet(3)).Report().Reassemblies);
        Assert.Contains(Nut("m6", Sheet(3), new StackLayer("Washer", LayerRole.Clearance, 0.0016, "stainless-304")).Report().Notes, n =>
            n.Contains("salt"));
    }

    [Fact]
    public void MeansAgainstLooseningAreGraded()
    {
        var grades = Enum.GetValues<Loosening>().Select(LooseningGrade.Of).ToArray();
        Assert.Equal(0, grades[0]);
        Assert.Equal(3, grades[^1]);
        Assert.Equal(grades.Order(), grades);
        Assert.All(Enum.GetValues<Loosening>(), m => Assert.True(LooseningGrade.Torque(m, Thread("m6")) > 0));
    }

    [Fact]
    public void AnyStackIsReadWithoutNonsense() => Gen.Select(Gen.OneOfConst(Catalogue.Shipped.Fasteners.Select(f => f.Id).ToArray()),
        Gen.Double[0.5, 60], Gen.Double[0, 5], Gen.Double[3, 120], Gen.Int[0, 2]).Sample(x =>
    {
        var (id, sheet, pad, length, last) = x;
        var thread = Thread(id);
        var end = last switch
        {
            0 => new StackLayer("Nut", LayerRole.Nut, thread.NutHeight, "steel-s235"),
            1 => new StackLayer("Block", LayerRole.Tapped, 0.015, "al-6061-t6"),
            _ => new StackLayer("Socket", LayerRole.Blind, 0.006, "brass"),
        };
        var joint = Joint(thread, Sheet(sheet), end).With(new JointChoice { Pad = pad / 1000, Length = length / 1000 });
        var r = joint.Report();
        Assert.InRange(r.Engagement, 0, end.Thickness + 1e-12);
        Assert.True(r.Protrusion >= 0 && r.Preload > 0 && joint.StripLoad >= 0);
        Near.Share(sheet / 1000 + pad / 1000, r.Grip, 1e-9);
        // The right length is right: what is bought or cut raises nothing about length.
        var bought = Joint(thread, Sheet(sheet), end).Report();
        if (bought.Buy is not null)
            Assert.DoesNotContain(bought.Findings, f => f.Blocks);
    }, iter: 300);

    [Theory] // ASME B18.2.8 (from memory), close, normal and loose: 17/64, 9/32, 19/64 in for 1/4; 25/64, 13/32, 27/64 for 3/8; 0.180, 0.196, 0.213 for No. 8
    [InlineData("1-4-20", 17 / 64.0, 9 / 32.0, 19 / 64.0)]
    [InlineData("3-8-16", 25 / 64.0, 13 / 32.0, 27 / 64.0)]
    [InlineData("5-16-18", 21 / 64.0, 11 / 32.0, 23 / 64.0)]
    [InlineData("no8-32", 0.180, 0.196, 0.213)]
    [InlineData("no10-24", 0.206, 0.221, 0.238)]
    public void InchClearancesAreThoseOfTheStandard(string thread, double close, double normal, double loose)
    {
        var f = Catalogue.Shipped.Find<Fastener>("fasteners", thread);
        Assert.Equal(25.4 * close, 1000 * f.ClearanceClose, 0.01);
        Assert.Equal(25.4 * normal, 1000 * f.ClearanceMedium, 0.01);
        Assert.Equal(25.4 * loose, 1000 * f.ClearanceFree, 0.01);
        // A metric drill that passes it is no fault: 6.5 mm for a quarter inch.
        Assert.Null(Holes.ClearanceFault(f, f.MajorDiameter + 0.00015));
        Assert.NotNull(Holes.ClearanceFault(f, f.MajorDiameter));
    }
}
