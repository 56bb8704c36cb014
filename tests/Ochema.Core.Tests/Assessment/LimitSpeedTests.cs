using Ochema.Core.Analysis;
using Ochema.Core.Assessment;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;

namespace Ochema.Core.Tests.Assessment;

/// <summary>A limit speed that is sought cleverly is the one that is found by trying speed after speed.</summary>
public sealed class LimitSpeedTests
{
    public static TheoryData<string> Recipes => [.. RecipeLibrary.All.Select(r => r.Id)];

    [Theory, MemberData(nameof(Recipes))]
    public void ItIsTheFirstOfAllSpeedsTriedOneAfterTheOther(string recipe)
    {
        const int Steps = 48;
        var model = new RigModel(RecipeLibrary.All.Single(r => r.Id == recipe).Document, Catalogue.Shipped);
        var driving = Assessor.Driving(model);
        var gone = LetGoCases.Of(model.Built).Where(c => c.Kind is "hold" or "strap").Take(3).Select(c => c.Gone).Prepend([]);
        foreach (var without in gone)
        {
            var state = model.State(without);
            if (state.Mechanism is not null)
                continue;
            List<Check> checks = [.. model.Built.Checks.Where(c => c is { Fixed: false, Reserve: false, Sort: CheckSort.Strength }
                && !without.Contains(c.Part))];
            var limits = new LimitSpeed(model, state, driving);
            var found = limits.Find(checks, model.Built.Rig.Run.Speed)?.Speed;
            var step = limits.Highest / Steps;
            var first = Enumerable.Range(0, Steps + 1).Select(i => i * step).Cast<double?>()
                .FirstOrDefault(v => new LimitSpeed(model, state, driving).At(checks, v!.Value).Use >= 1);
            if (first is null)
                Assert.True(found is null || found > limits.Highest - step, $"{found}");
            else
                Assert.InRange(found ?? double.PositiveInfinity, first.Value - step, first.Value * 1.0002);
        }
    }

    [Fact]
    public void WhatWasLookedAtTogetherIsWhatIsFoundAlone()
    {
        var model = new RigModel(RecipeLibrary.All.Single(r => r.Id == "rail-table").Document, Catalogue.Shipped);
        var driving = Assessor.Driving(model);
        var (together, alone) = (new LimitSpeed(model, model.State([]), driving), new LimitSpeed(model, model.State([]), driving));
        foreach (var speed in new[] { 0, 17.0, 31.0 })
        {
            Assert.True(together.Look(model.Built.Checks, speed));
            Assert.Equal(alone.At(model.Built.Checks, speed), together.At(model.Built.Checks, speed));
            foreach (var check in model.Built.Checks)
                Assert.Equal(alone.At([check], speed), together.At([check], speed));
        }
    }
}
