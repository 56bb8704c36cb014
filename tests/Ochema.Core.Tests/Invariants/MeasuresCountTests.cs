using System.Globalization;
using System.Reflection;
using Ochema.Core.Assessment;
using Ochema.Core.Json;
using Ochema.Core.Making;
using Ochema.Core.Quantities;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Invariants;

/// <summary>What a builder measures and enters has to count: a field that moves no answer is a lie.</summary>
public sealed class MeasuresCountTests
{
    /// <summary>Measures that only tell whether something fits, or which count in what no recipe is: a third more or less may move
    /// nothing.</summary>
    private static readonly string[] OnlyFits =
    [
        "ball-arm.smallest", "spring-clamp.opens", "window-slot-plate.slot", "hose-clamp-bracket.smallest", "hose-clamp-bracket.largest",
        // Upright a pole leans to no side; three links have no fourth; no carriage that ships has a counterweight.
        "stepped-pole.heading", "folding-arm.fourth", "rope-carriage.back",
    ];

    /// <summary>All that is told of a rig but the measures themselves as they are asked for at the bench.</summary>
    private static string Answers(RigDocument rig)
    {
        var made = Maker.Of(rig, Catalogue.Shipped);
        return string.Join('\n', [StrictJson.Write(Assessor.Assess(rig, Catalogue.Shipped)), StrictJson.Write(made.Cuts),
            StrictJson.Write(made.Holes),
            StrictJson.Write(made.Templates), .. made.Parts.Select(p => $"{p.Name} {p.Mass} {p.Price}"), .. made.Steps.Select(s => s.How)]);
    }

    private static IEnumerable<(Kind Kind, Func<Kind, RigDocument> With)> Stations(RigDocument rig)
    {
        yield return (rig.Base, k => rig with { Base = (BaseKind)k });
        yield return (rig.Reach, k => rig with { Reach = (ReachKind)k });
        yield return (rig.Isolator, k => rig with { Isolator = (IsolatorKind)k });
        yield return (rig.Head, k => rig with { Head = (HeadKind)k });
    }

    private static IEnumerable<double> Others(MeasureAttribute m, double? now)
    {
        var tried = now is not { } v || v == 0 ? [m.Minimum + 0.3 * (m.Maximum - m.Minimum)]
            : m.Dimension == Dimension.Count ? new[] { v + 1, v - 1 } : [1.3 * v, 0.75 * v];
        return tried.Select(x => Math.Clamp(x, m.Minimum, m.Maximum)).Where(x => x != now);
    }

    [Fact]
    public void EveryMeasureOfAKindMovesSomeAnswerInSomeRecipe()
    {
        var seen = new HashSet<string>();
        var counts = new HashSet<string>();
        foreach (var (_, rig) in RigFiles.All)
        {
            var answers = new Lazy<string>(() => Answers(rig));
            foreach (var (kind, with) in Stations(rig))
                foreach (var property in kind.GetType().GetProperties(BindingFlags.Public | BindingFlags.Instance))
                    if (property.GetCustomAttribute<MeasureAttribute>() is { } measure && property.SetMethod is not null)
                    {
                        var name = $"{kind.GetType().GetCustomAttribute<KindAttribute>()!.Id}.{char.ToLowerInvariant(property.Name[0])}{property.Name[1..]}";
                        seen.Add(name);
                        var now = property.GetValue(kind) is { } value ? Convert.ToDouble(value, CultureInfo.InvariantCulture)
                            : (double?)null;
                        if (!counts.Contains(name)
                            && Others(measure, now).Any(x => Answers(with(MeasureReader.WithMeasure(kind, property, x))) != answers.Value))
                            counts.Add(name);
                    }
        }
        Assert.True(seen.Count > 150);
        Assert.Equal(OnlyFits.Order(StringComparer.Ordinal), seen.Except(counts).Order(StringComparer.Ordinal));
    }
}
