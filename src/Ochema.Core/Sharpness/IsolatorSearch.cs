using Ochema.Core.Assessment;
using Ochema.Core.Rigs;
using Ochema.Core.Rigs.Isolators;
using Ochema.Core.Stock;

namespace Ochema.Core.Sharpness;

/// <summary>A soft mount that was tried: the picture with it, and how much of its travel it uses.</summary>
public sealed record IsolatorChoice(string Id, string Title, double Shake, double Smear, double Wobble, Sharp Word, double Travel, double Use, RigDocument Document);

/// <summary>Tries the catalogue's soft mounts, numbers and spreads on a rig, and keeps those that neither bottom nor let go.</summary>
public static class IsolatorSearch
{
    /// <summary>The best for the picture, best first, with stiff as the yardstick.</summary>
    public static IReadOnlyList<IsolatorChoice> Of(RigDocument rig, Catalogue stock)
    {
        var found = new List<IsolatorChoice>();
        foreach (var (id, title, kind) in Candidates(stock))
        {
            var changed = rig with { Isolator = kind };
            var model = new RigModel(changed, stock);
            var state = model.State([]);
            if (state.Mechanism is not null)
                continue;
            var driving = model.Builder.Host.Motion.Cases(rig.Run.Road).Where(c => !c.AtRest).ToList();
            var limits = new LimitSpeed(model, state, driving);
            var worst = limits.At(model.Builder.Checks, rig.Run.Speed);
            var travel = limits.At([.. model.Builder.Checks.Where(c => c.Station == "isolator")], rig.Run.Speed).Use;
            if (worst.Use > 1 || travel > 1)
                continue;
            var n = Shaker.Words(model);
            found.Add(new(id, title, n.Numbers[0].Pixels, n.Numbers[1].Pixels, n.Numbers[2].Pixels, n.Word, Math.Max(0, travel), worst.Use, changed));
        }
        return [.. found.OrderBy(c => Math.Max(c.Shake, Math.Max(c.Smear, c.Wobble))).ThenBy(c => c.Id, StringComparer.Ordinal).Take(6)];
    }

    private static IEnumerable<(string Id, string Title, IsolatorKind Kind)> Candidates(Catalogue stock)
    {
        yield return ("stiff", "Nothing soft", new NoIsolator());
        foreach (var row in stock.Isolators)
            foreach (var count in new[] { 3.0, 4, 6, 8 })
                foreach (var spread in new[] { 0.04, 0.07, 0.11 })
                {
                    IsolatorKind kind = row.Type switch
                    {
                        "rubber" => new RubberMounts { Stock = row.Id, Count = count, Spread = spread },
                        "wire-rope" => new WireRopeLoops { Stock = row.Id, Count = count, Spread = spread },
                        _ => new ElasticCords { Stock = row.Id, Count = count, Spread = spread },
                    };
                    yield return ($"{row.Id}-{count:0}-{spread * 1000:0}", $"{count:0} × {char.ToLowerInvariant(row.Name[0])}{row.Name[1..]}, {spread * 1000:0} mm out", kind);
                }
    }
}
