using Ochema.Core.Assessment;
using Ochema.Core.Hosts;
using Ochema.Core.Kinds.Bases;
using Ochema.Core.Loads;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Practice;

/// <summary>An arm under water: bottom below it, and the jerk as its pole comes up and stops.</summary>
public sealed class DepthTests
{
    private static readonly Catalogue Stock = Catalogue.Shipped;

    private static RigDocument Arm => RigFiles.Named("low-arm");

    private static RigDocument With(Func<SlitSleeve, SlitSleeve> change) => Arm with { Base = change((SlitSleeve)Arm.Base) };

    private static CheckReport Check(RigDocument rig, string id) => Assessor.Assess(rig, Stock).Checks.Single(c => c.Id == id);

    private static double Term(CheckReport c, string symbol) => c.Working!.Terms.Single(t => t.Symbol == symbol).Value;

    [Fact] // by hand: lowest part in the trough, as deep as the crest is high, over the water there is
    public void ShallowWaterIsStruck()
    {
        var check = Check(Arm, "base.bottom");
        Near.Share((Term(check, "l") + Term(check, "c")) / 2.4, check.Use, 1e-9);
        Assert.Equal(Verdict.LetsGo, Assessor.Assess(With(s => s with { Deep = 0.6 }), Stock).Verdict.Word);
        // A swell goes deeper than a calm.
        double Use(Going going) => Check(Arm with { Run = Arm.Run with { Road = going } }, "base.bottom").Use;
        Assert.True(Use(Going.Rough) > Use(Going.Smooth));
    }

    [Fact] // m·(g + V²/2s), by hand
    public void AHardStopTearsItLoose()
    {
        var check = Check(Arm, "base.retract");
        Near.Share(9.80665 + 0.5 * 0.5 / 0.02, Term(check, "a"), 1e-6);
        var hard = Check(With(s => s with { ComesUp = 3, StopGives = 0.003 }), "base.retract");
        Near.Share((9.80665 + 9 / 0.006) / (9.80665 + 12.5), hard.Use / check.Use, 1e-6);
        Assert.True(hard.Use > 1);
    }

    [Theory] // nothing outside an aircraft is offered as permitted
    [InlineData("wing-tip")]
    [InlineData("tail-ring")]
    [InlineData("wheel-fairing")]
    public void AFurtherPlaceOnAnAeroplaneWaitsForItsSignature(string site)
    {
        var host = HostLibrary.Find("high-wing")!;
        Assert.True(host.NeedsSignOff(host.Sites.First(s => s.Id == site)));
    }
}
