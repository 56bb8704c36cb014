using System.Text.Json.Nodes;
using Ochema.Core.Analysis;
using Ochema.Core.Json;
using Ochema.Core.Stock;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Structure;

/// <summary>Every shipped rig's model document, solved again from its JSON by other means, within 1 %.</summary>
public class IndependentSolutionTests
{
    public static TheoryData<string> Rigs => RigFiles.Names;

    [Theory]
    [MemberData(nameof(Rigs))]
    public void ModelDocumentsSolveToTheSame(string name)
    {
        var json = StrictJson.Write(RigModelDocument.Of(RigFiles.Named(name), Catalogue.Shipped));
        var document = JsonNode.Parse(json)!;
        var reference = new IndependentSolver(json);
        // Cruising, a bend, a rebound, a knock, and every let-go.
        var cases = document["cases"]!.AsArray().Select(c => c!).ToList();
        foreach (var c in cases.Where(c => (string)c["id"]! is "cruise-1" or "corner-left" or "bump-up-0" or "knock-left" || c["without"] is not null))
        {
            if (c["result"] is not { } result)
            {
                Assert.NotNull((string?)c["finding"]);
                continue;
            }
            var (u, springs, lines) = reference.Case(c);
            Same(result["displacements"]!, u, 3, $"{name}, {c["id"]}, displacement");
            Same(result["springForces"]!, springs, 3, $"{name}, {c["id"]}, spring");
            foreach (var (id, t) in lines)
                Assert.True(Math.Abs(t - (double)result["lineTensions"]![id]!) < 0.01 * Math.Max(20, Math.Abs(t)),
                    $"{name}, {c["id"]}, line {id}: {t} against {result["lineTensions"]![id]}");
        }
        var modes = document["modes"]!.AsArray().Select(m => (double)m!["frequency"]!).ToArray();
        var expected = reference.Modes(modes.Length);
        for (var i = 0; i < Math.Min(8, expected.Length); i++)
            Near.Share(expected[i], modes[i], 0.01, $"{name}, mode {i}");
    }

    /// <summary>Linear and angular parts, each against the largest of its sort in the case.</summary>
    private static void Same(JsonNode actual, Dictionary<string, double[]> expected, int split, string what)
    {
        for (var part = 0; part < 2; part++)
        {
            var range = part == 0 ? ..split : split..;
            var most = expected.Values.Max(v => v[range].Max(Math.Abs));
            foreach (var (id, v) in expected)
            {
                var a = actual[id]!.AsArray().Select(x => (double)x!).ToArray();
                for (var i = part * split; i < (part + 1) * split; i++)
                    Assert.True(Math.Abs(a[i] - v[i]) <= 0.01 * most, $"{what} {id}[{i}]: {a[i]:G6} against {v[i]:G6} (largest {most:G4})");
            }
        }
    }
}
