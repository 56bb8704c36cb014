using Ochema.Core.Assessment;
using Ochema.Core.Hosts;
using Ochema.Core.Json;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Assessment;

/// <summary>Whatever can hurt is said where the rig is judged: of its kinds, of what they are made of, of its lines, of its host.</summary>
public class CautionTests
{
    private static IReadOnlyList<string> Of(RigDocument rig) => Assessor.Assess(rig, Catalogue.Shipped).Cautions;

    /// <summary>Every kind in a rig, found by looking through all its properties.</summary>
    private static IEnumerable<Kind> Kinds(object at) => at.GetType().GetProperties().Where(p => p.GetIndexParameters().Length == 0)
        .SelectMany(p => p.GetValue(at) switch
        {
            Kind k => [k, .. Kinds(k)],
            IEnumerable<CameraPath> paths => paths.SelectMany(Kinds),
            IEnumerable<Kind> several => several.SelectMany(k => (Kind[])[k, .. Kinds(k)]),
            _ => [],
        });

    [Theory]
    [MemberData(nameof(RigFiles.Names), MemberType = typeof(RigFiles))]
    public void EveryPartsCautionIsShownOnce(string name)
    {
        var rig = RigFiles.Named(name);
        var said = Of(rig);
        Assert.Equal(said.Distinct(), said);
        Assert.All(said, c => Assert.EndsWith(".", c));
        foreach (var caution in Kinds(rig).Select(k => Kind.InfoOf(k.GetType()).Caution).Where(c => c.Length > 0).Concat(HostLibrary.Find(rig.Host)!.Cautions))
            Assert.Contains(caution, said);
        Assert.Equal(rig.Straps.Count > 0, said.Any(c => c.StartsWith("Straps:", StringComparison.Ordinal)));
        Assert.Equal(rig.Tethers.Count > 0, said.Any(c => c.StartsWith("The tether", StringComparison.Ordinal)));
    }

    [Fact]
    public void WhatHurtsOnEachWayToHoldOnIsSaid()
    {
        Assert.Contains(Of(RigFiles.Named("magnet-plate-straps")), c => c.Contains("finger", StringComparison.OrdinalIgnoreCase));
        Assert.Contains(Of(RigFiles.Named("helmet-drilled")), c => c.Contains("protect", StringComparison.OrdinalIgnoreCase));
        Assert.Contains(Of(RigFiles.Named("hand-pole")), c => c.Contains("power line", StringComparison.OrdinalIgnoreCase));
    }
}
