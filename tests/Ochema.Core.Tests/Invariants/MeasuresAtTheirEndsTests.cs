using System.Text.Json.Nodes;
using Ochema.Core.Assessment;
using Ochema.Core.Json;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Invariants;

/// <summary>Anything finite gets a verdict: each measure as small and as large as may be entered.</summary>
public sealed class MeasuresAtTheirEndsTests
{
    public static TheoryData<string> Recipes => [.. RecipeLibrary.All.Select(r => r.Id)];

    /// <summary>Every measure of a recipe's parts, place, camera and run at both its ends, one at a time; what the reader refuses is
    /// refused by name.</summary>
    [Theory]
    [MemberData(nameof(Recipes))]
    public void EveryMeasureAtItsEnds(string id)
    {
        var rig = RigFiles.Named(id);
        var tried = 0;
        foreach (var (at, part) in new (string, object?)[]
        {
            ("base", rig.Base), ("paths[0].reach", rig.Reach), ("paths[0].isolator", rig.Isolator), ("paths[0].head", rig.Head),
            ("paths[0].camera", rig.Camera), ("site", rig.Site), ("run", rig.Run), ("tethers[0]", rig.Tethers is [var tether, ..] ? tether : null),
        })
            foreach (var declared in part is null ? [] : MeasureReader.Declared(part.GetType()))
                if (declared.Measure is { } measure)
                    foreach (var end in new[] { measure.Minimum, measure.Maximum })
                    {
                        var document = JsonNode.Parse(StrictJson.Write(rig))!;
                        RigFiles.Place(document, at)[declared.Name] = end;
                        try
                        {
                            var report = Assessor.Assess(RigReader.Read(document.ToJsonString(), Catalogue.Shipped), Catalogue.Shipped);
                            Assert.True(double.IsFinite(report.Verdict.Use), $"{at}.{declared.Name} {end}");
                            // What is written must be readable JSON: no infinities, no NaN.
                            Assert.NotEmpty(StrictJson.Write(report));
                            tried++;
                        }
                        catch (DocumentException e)
                        {
                            Assert.NotEmpty(e.Path);
                        }
                    }
        Assert.True(tried > 40, $"{tried} tried");
    }
}
