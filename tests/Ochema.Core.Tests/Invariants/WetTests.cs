using Ochema.Core.Assessment;
using Ochema.Core.Hosts;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Invariants;

/// <summary>What holds by friction holds less on what is wet or dusty.</summary>
public sealed class WetTests
{
    private static Dictionary<string, double> Uses(RigDocument rig, SurfaceState surface) =>
        Assessor.Assess(rig with { Site = rig.Site with { Surface = surface } }, Catalogue.Shipped).Checks.ToDictionary(c => c.Id, c =>
            c.Use);

    public static TheoryData<string> Recipes => [.. RecipeLibrary.All.Select(r => r.Id)];

    [Theory]
    [MemberData(nameof(Recipes))]
    public void NothingHoldsBetterWetOrDusty(string id)
    {
        var rig = RigFiles.Named(id);
        var dry = Uses(rig, SurfaceState.CleanDry);
        foreach (var state in new[] { SurfaceState.Wet, SurfaceState.Dusty })
            Assert.All(Uses(rig, state), u => Assert.True(u.Value >= dry[u.Key] - 1e-9, $"{u.Key} {state}: {u.Value} under {dry[u.Key]}"));
    }

    [Theory] // six tenths of the friction (judgement): what slides and turns is used as much more
    [InlineData("magnet-plate-straps", "slide")]
    [InlineData("handlebar-clamp", "turn")]
    [InlineData("frame-band", "turn")]
    [InlineData("railing-clamp", "turn")]
    [InlineData("tree-arm", "slide")]
    [InlineData("ground-pan", "slide")]
    public void RainTakesFrictionAway(string id, string what)
    {
        var rig = RigFiles.Named(id);
        var (dry, wet) = (Uses(rig, SurfaceState.CleanDry), Uses(rig, SurfaceState.Wet));
        var slides = dry.Where(u => u.Key.EndsWith("." + what, StringComparison.Ordinal)
            && !u.Key.StartsWith("head", StringComparison.Ordinal) && u.Value is > 0.001 and < 5).ToList();
        Assert.NotEmpty(slides);
        Assert.Contains(slides, u => wet[u.Key] / u.Value is > 1.4 and < 1.7);
    }
}
