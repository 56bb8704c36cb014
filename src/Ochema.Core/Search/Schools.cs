using Ochema.Core.Assessment;
using Ochema.Core.Json;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;

namespace Ochema.Core.Search;

/// <summary>A question on which practitioners disagree, with each answer computed on the rig at hand.</summary>
/// <param name="Id">Stable name.</param>
/// <param name="Question">In the trade's words.</param>
/// <param name="Sides">Each answer: the rig with it, and what follows.</param>
public sealed record School(string Id, string Question, IReadOnlyList<SchoolSide> Sides);

/// <summary>One answer.</summary>
/// <param name="Says">What those who do it say.</param>
/// <param name="Now">True when the rig does it already.</param>
/// <param name="Change">What follows, computed.</param>
public sealed record SchoolSide(string Title, string Says, bool Now, Change Change);

/// <summary>The schools that apply to a rig. Nothing is preached: the numbers stand beside each other.</summary>
public static class Schools
{
    /// <summary>All schools, each side computed.</summary>
    /// <exception cref="OperationCanceledException">Whoever asked has gone on.</exception>
    public static IReadOnlyList<School> Of(RigDocument rig, Catalogue stock, CancellationToken stop = default)
    {
        var list = new List<School>();
        void Add(string id, string question, IEnumerable<(string Title, string Says, bool Now, RigDocument Rig)> sides)
        {
            var computed = Trials.Each(sides, s => Adviser.Compare(rig, s.Rig, $"{id}.{s.Title}", id, s.Title, stock, stop) is { } change
                ? new SchoolSide(s.Title, s.Says, s.Now, change) : null, stop, after: 2);
            if (computed.Count > 1)
                list.Add(new School(id, question, computed));
        }
        var form = rig.Site.Form;
        var bases = rig.Base.Stances(form, own: true, stock).Concat(
            KindRegistry.Fresh<BaseKind>().Where(b => b.GetType() != rig.Base.GetType()).SelectMany(b => b.Stances(form, own: false, stock)))
                .ToList();
        var isolators = KindRegistry.Fresh<IsolatorKind>().Select(i => rig.Isolator.GetType() == i.GetType() ? rig.Isolator : i)
            .Where(i => i.Stance is not null).Select(i => i.Stance! with { Now = i == rig.Isolator });
        Add("hold", "Cups, magnets, or clamps and threads?", Sides(SchoolQuestion.Hold, bases, s => rig with { Base = (BaseKind)s.Kind }));
        Add("straps", "The hold is the strength, or the straps are?",
        [
            ("Holds alone", "Quick, nothing over the paint.", rig.Straps.Count == 0, rig with { Straps = [] }),
            .. Instead.Straps(rig with { Straps = [] }, stock).Take(1).Select(s =>
                ("With two straps", "Holds only position it; straps carry.",
                rig.Straps.Count > 0, rig.Straps.Count > 0 ? rig : s.Changed)),
        ]);
        Add("soft", "Stiff or soft?", Sides(SchoolQuestion.Soft, isolators, s => rig with { Isolator = (IsolatorKind)s.Kind }));
        Add("weight", "Light and stiff, or heavy and steady?", Sides(SchoolQuestion.Weight, bases, s =>
            rig with { Base = (BaseKind)s.Kind }));
        Add("reach", "Pushed in, or drawn right out?", Sides(SchoolQuestion.Reach, rig.Reach.Stances, s =>
            rig with { Reach = (ReachKind)s.Kind }));
        Add("ropes", "One rope or two?", Sides(SchoolQuestion.Ropes, bases, s => rig with { Base = (BaseKind)s.Kind }));
        return list;
    }

    /// <summary>The answers to a question, one of each title: what the rig does already before what it could do.</summary>
    private static IEnumerable<(string, string, bool, RigDocument)> Sides(string question, IEnumerable<Stance> stances, Func<Stance,
        RigDocument> rig) =>
        from s in stances.Where(s => s.Question == question).OrderByDescending(s => s.Now).DistinctBy(s => s.Title).OrderBy(s => s.Order)
        let with = rig(s)
        select (s.Title, s.Says, s.Now, s.Survey is null ? with : with with { Survey = s.Survey(with.Survey) });
}
