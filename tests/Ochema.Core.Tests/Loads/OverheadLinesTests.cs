using Ochema.Core.Hosts;
using Ochema.Core.Kinds.Reaches;
using Ochema.Core.Loads;
using Ochema.Core.Quantities;
using Ochema.Core.Rigs;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Loads;

/// <summary>How far poles stay from overhead lines.</summary>
public sealed class OverheadLinesTests
{
    [Theory] // 29 CFR 1926.1408, table A, in feet
    [InlineData(400, 10)]
    [InlineData(50e3, 10)]
    [InlineData(110e3, 15)]
    [InlineData(220e3, 20)]
    [InlineData(380e3, 25)]
    [InlineData(500e3, 25)]
    [InlineData(750e3, 35)]
    [InlineData(1e6, 45)]
    public void TheTableOfTheRule(double voltage, double feet) => Near.Share(feet * 0.3048, OverheadLines.Away(voltage), 1e-12);

    [Fact] // 29 CFR 1910.333(c)(3): 10 ft up to 50 kV and 4 in more for each 10 kV over it
    public void TheGeneralRuleIsNoStricter()
    {
        for (var kv = 1.0; kv <= 1000; kv++)
            Assert.True(OverheadLines.Away(kv * 1000) >= (10 + 4.0 / 12 * Math.Max(0, kv - 50) / 10) * 0.3048 - 1e-9, $"{kv} kV");
        Assert.Throws<ArgumentOutOfRangeException>(() => OverheadLines.Away(1.2e6));
    }

    [Fact] // the pole's length, what stands on it, and 10 ft
    public void TheQuestionNamesTheDistance()
    {
        var rig = RigFiles.Named("tall-pole");
        string Asked(double length) => Questions.Of(rig with { Reach = (SteppedPole)rig.Reach with { Length = length } },
            HostLibrary.Find(rig.Host)!)
            .Single(q => q.Field == "powerLines").Ask;
        Assert.Contains(QuantityText.Of(9, Dimension.Altitude), Asked(5));
        Assert.DoesNotContain(Questions.Of(rig with { Reach = (SteppedPole)rig.Reach with { Length = 1 } }, HostLibrary.Find(rig.Host)!),
            q => q.Field == "powerLines");
    }
}
