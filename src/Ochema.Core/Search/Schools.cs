using Ochema.Core.Assessment;
using Ochema.Core.Hosts;
using Ochema.Core.Kinds.Bases;
using Ochema.Core.Kinds.Holds;
using Ochema.Core.Kinds.Isolators;
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
                ? new SchoolSide(s.Title, s.Says, s.Now, change) : null, stop);
            if (computed.Count > 1)
                list.Add(new School(id, question, computed));
        }
        Add("hold", "Cups, magnets, or clamps and threads?", Holds(rig));
        Add("straps", "The hold is the strength, or the straps are?",
        [
            ("Holds alone", "Quick, nothing over the paint.", rig.Straps.Count == 0, rig with { Straps = [] }),
            .. Instead.Straps(rig with { Straps = [] }).Take(1).Select(s => ("With two straps", "Holds only position it; straps carry.", rig.Straps.Count > 0, rig.Straps.Count > 0 ? rig : s.Changed)),
        ]);
        Add("soft", "Stiff or soft?",
        [
            ("Stiff", "Small cameras with good stabilisation: braced into a triangle.", rig.Isolator is NoIsolator, rig with { Isolator = new NoIsolator() }),
            ("Wire-rope loops", "A heavier camera, rough roads.", rig.Isolator is WireRopeLoops, rig with { Isolator = rig.Isolator as WireRopeLoops ?? new WireRopeLoops() }),
            ("Sprung arm", "Heavy camera with a gimbal.", rig.Isolator is SpringArm, rig with { Isolator = rig.Isolator as SpringArm ?? new SpringArm() }),
        ]);
        if (rig.Base is WindowSlotPlate plate)
            Add("weight", "Light and stiff, or heavy and steady?",
            [
                ("Aluminium", "Travels well.", plate.Bar.Contains("-al-", StringComparison.Ordinal), rig with { Base = plate with { Bar = "flat-al-40x5" } }),
                ("Steel", "Stays put.", plate.Bar.Contains("steel", StringComparison.Ordinal), rig with { Base = plate with { Bar = "flat-steel-50x6" } }),
            ]);
        return list;
    }

    private static IEnumerable<(string, string, bool, RigDocument)> Holds(RigDocument rig)
    {
        if (rig.Site.Form == SiteForm.Panel)
        {
            yield return ("Cups", "Go on glass, aluminium and composite; leak, and mind dirt, curves and altitude.", rig.Base is HoldPlate { Hold: Cup } or SingleCup, rig.Base is HoldPlate { Hold: Cup } or SingleCup ? rig : rig with { Base = new HoldPlate { Hold = new Cup() } });
            yield return ("Magnets", "Need steel; slide long before they pull off.", rig.Base is HoldPlate { Hold: Magnet } or SingleMagnet, rig.Base is HoldPlate { Hold: Magnet } or SingleMagnet ? rig : rig with { Base = new HoldPlate { Hold = new Magnet { Stock = "magnet-88-rubber" } } });
            yield return ("Rails on posts", "Bigger feet further apart.", rig.Base is RailTable, rig.Base is RailTable ? rig : rig with { Base = new RailTable() });
        }
        else if (rig.Site.Form == SiteForm.Tube)
        {
            yield return ("Tube clamp", "Off in a second, marks nothing.", rig.Base is TubeClamp, rig with { Base = rig.Base as TubeClamp ?? new TubeClamp() });
            yield return ("Hose clamp and bracket", "Costs next to nothing, stays on.", rig.Base is HoseClampBracket, rig with { Base = rig.Base as HoseClampBracket ?? new HoseClampBracket() });
            yield return ("Strap that releases", "Lets go before it breaks something.", rig.Base is StrapBase, rig with { Base = rig.Base as StrapBase ?? new StrapBase() });
        }
        else if (rig.Site.Form == SiteForm.Shell)
        {
            yield return ("Stuck on", "No hole; three days to cure.", rig.Base is AdhesiveBase, rig with { Base = rig.Base as AdhesiveBase ?? new AdhesiveBase { Radius = 0.13 } });
            yield return ("Strap that releases", "Comes off in a snag.", rig.Base is StrapBase, rig with { Base = rig.Base as StrapBase ?? new StrapBase() });
            yield return ("Drilled: prop only", "Stiff; the helmet protects nobody any more.", rig.Base is ShellScrews, rig with { Base = rig.Base as ShellScrews ?? new ShellScrews(), Survey = rig.Survey with { FilmingProp = Answer.Yes } });
        }
    }
}
