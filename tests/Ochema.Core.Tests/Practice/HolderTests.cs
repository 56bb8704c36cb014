using Ochema.Core.Assessment;
using Ochema.Core.Kinds.Bases;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Practice;

/// <summary>A stub in a holder let into a deck: what keeps it, what tears, what rattles.</summary>
public sealed class HolderTests
{
    private static readonly Catalogue Stock = Catalogue.Shipped;

    private static RigDocument Stub(Func<HolderStub, HolderStub>? change = null) => RigFiles.Named("flush-holder") is var rig
        ? rig with { Base = (change ?? (b => b))((HolderStub)rig.Base) } : throw new InvalidOperationException();

    private static CheckReport Check(RigDocument rig, string id) => Assessor.Assess(rig, Stock).Checks.Single(c => c.Id == id);

    [Fact]
    public void TapeAloneTurnsAndLiftsWhereACrossPinKeeps()
    {
        var taped = Stub(b => b with { Kept = StubKept.Tape });
        Near.Share(16, (Check(taped, "base-hold.lifts").Use + 1e-12) / (Check(Stub(), "base-hold.lifts").Use + 1e-12 / 16), 0.01);
        Assert.True(Check(taped, "base-hold.turns").Use > 0);
        Assert.DoesNotContain(Assessor.Assess(Stub(), Stock).Checks, c => c.Id == "base-hold.turns");
        // What was pulled with a scale beats both.
        var measured = Stub(b => b with { ComesOut = 100 });
        Near.Share(4, (Check(measured, "base-hold.lifts").Use + 4e-12) / (Check(Stub(), "base-hold.lifts").Use + 1e-12), 0.01);
        // Twisted in by its own torque: force at half its width.
        Near.Share(25 * 0.02, Check(taped, "base-hold.turns").Working!.Terms.Single(t => t.Symbol == "T").Value, 1e-9);
    }

    [Fact] // lever: the camera's height over the rim
    public void TheHigherItStandsTheSoonerTheHolderTears()
    {
        double Tears(double rise) => Check(Stub(b => b with { Rise = rise }), "holder.flange").Use;
        Assert.True(Tears(0.3) > 1.6 * Tears(0.12));
        Assert.Equal(Verdict.LetsGo, Assessor.Assess(Stub(b => b with { Rise = 0.6 }) is var r ? r with { Run = r.Run with { Speed = 5 } }
            : r, Stock).Verdict.Word);
    }

    [Fact]
    public void ItsTapeTakesUpThePlayOrDoesNotLetItIn()
    {
        Near.Share(Math.Atan(0.0002 / 0.2) / (0.5 * Math.PI / 180), Check(Stub(), "stub.play").Use, 1e-6);
        Assert.True(Check(Stub(b => b with { Tape = 0, Deep = 0.1 }), "stub.play").Use > 1);
        Assert.Contains(Assessor.Assess(Stub(b => b with { Tape = 0.002 }), Stock).Findings, f => f.Blocks
            && f.Text.Contains("does not go in", StringComparison.Ordinal));
    }
}
