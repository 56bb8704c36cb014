using Ochema.Core.Kinds;
using Ochema.Core.Making;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Rigs;

/// <summary>What turns is balanced by a part that the plan asks for, fixes and reads off; a swing hangs.</summary>
public sealed class CounterweightTests
{
    private static readonly Catalogue Stock = Catalogue.Shipped;

    [Theory]
    [InlineData("roundabout")]
    [InlineData("fan")]
    [InlineData("wheel")]
    public void WhatTheFindingDemandsIsAPartAndAStep(string name)
    {
        var rig = RigFiles.Named(name);
        var b = RigAssembly.Build(rig, Stock);
        var spin = b.Host.Motion.Turning!;
        var (mass, centre) = b.MassOf(_ => true);
        var part = Assert.Single(b.Parts, p => p.Id == new PieceId(StationId.Site, "counterweight"));
        Near.Share(mass * spin.Outward(centre).Length, part.Mass * spin.Radius, 1e-9);
        var step = Assert.Single(Maker.Of(rig, Stock).Steps, s => s.Readings.Any(r => r.Path == "run.counterweight"));
        Assert.Contains(step.Readings, r => r.Path == "run.counterweightAt");
        Assert.Contains(Said(rig), t => t.Contains("Balanced by", StringComparison.Ordinal));
    }

    [Fact] // m·r = M·R, twice as far out half as heavy
    public void ItIsJudgedByMassTimesDistance()
    {
        var rig = RigFiles.Named("roundabout");
        var needed = RigAssembly.Build(rig, Stock).Parts.First(p => p.Station == StationId.Site).Mass;
        var radius = RigAssembly.Build(rig, Stock).Host.Motion.Turning!.Radius;
        RigDocument With(double mass, double? at = null) => rig with { Run = rig.Run with { Counterweight = mass, CounterweightAt = at } };
        Assert.Contains(Said(With(needed)), t => t.Contains("Balanced by", StringComparison.Ordinal));
        Assert.Contains(Said(With(needed / 2, 2 * radius)), t => t.Contains("Balanced by", StringComparison.Ordinal));
        Assert.Contains(Said(With(0.8 * needed)), t => t.Contains("too little", StringComparison.Ordinal));
        Assert.Contains(Said(With(1.2 * needed)), t => t.Contains("too much", StringComparison.Ordinal));
    }

    [Fact]
    public void ASwingNeedsNone() => Assert.DoesNotContain(RigAssembly.Build(RigFiles.Named("swing"), Stock).Parts, p => p.Station
        == StationId.Site);

    private static IEnumerable<string> Said(RigDocument rig) => RigAssembly.Build(rig, Stock).Findings.Select(f => f.Text);
}
