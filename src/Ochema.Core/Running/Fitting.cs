using Ochema.Core.Making;
using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;

namespace Ochema.Core.Running;

/// <summary>
/// The order in which a rig that is built goes on its host for a run, and comes off again: what its build plan does on the host, and what
/// is looked at and noted each time. Tether first on, last off.
/// </summary>
internal static class Fitting
{
    /// <summary>What of the build plan is done again for every run.</summary>
    private static readonly Work[] Again = [Work.Place, Work.Brace, Work.Strap, Work.Tether, Work.Camera, Work.Set];

    /// <summary>On the host, first things first.</summary>
    public static IReadOnlyList<Tick> On(BuiltRig b)
    {
        var ticks = new List<Tick>();
        if (b.Site.Form.IsSkin)
            ticks.Add(new("wash", $"Wash and dry {Words.The(b.Site.Name)}", "wiping dust scratches"));
        var steps = BuildPlan.Of(b, HoleTable.Of(b)).Where(s => Again.Contains(s.Of.Step.Work)).ToList();
        // Tether before the camera's screw: the plan ties it where the camera can be tied to, the run before it can fall.
        foreach (var step in steps.OrderBy(s => s.Of.Step.Work switch { Work.Tether => 1, Work.Camera => 2, Work.Set => 3, _ => 0 }))
            ticks.Add(new("step-" + step.Id, step.Of.Step.Title, step.Of.Step.Work switch
            {
                Work.Strap => "keepers shut, hooks in closed eyes",
                _ => "",
            })
            {
                Hands = step.Of.Step.Crew > 1 ? Hands.TwoPeople : step.Of.Step.Work is Work.Place or Work.Camera ? Hands.Two : Hands.One,
            });
        if (b.StrapsBuilt.Count > 0)
            ticks.Add(new("tails", "Tie the strap tails", "they whip and mark the paint") { Count = b.StrapsBuilt.Count });
        foreach (var hold in b.Holds.Where(h => Leaks(b, h)))
            ticks.Add(new("gauge-" + hold.Id.Name, $"{Words.Capital(hold.Label)}: vacuum and time", "ten minutes after pumping")
            {
                Asks = Asks.Gauge,
            });
        ticks.Add(new("marks", "Marks in line", "every clamp and joint"));
        ticks.Add(new("joints", "Every joint by two fingers", "hand-tight ones first"));
        ticks.Add(new("aim", "Note the aim", "what stands at the edge of the picture") { Asks = Asks.Aim });
        if (b.Camera.Body.Makes == Stock.Makes.Picture)
            ticks.Add(new("rolling", "Camera started, card and battery looked at", "nobody reaches for it later"));
        return ticks;
    }

    /// <summary>Off the host again, last things first, and what has to be counted.</summary>
    public static IReadOnlyList<Tick> Off(BuiltRig b)
    {
        List<Tick> ticks =
        [
            new("strike-stop", "Vehicle stands, engine off", "nobody works on it while it moves"),
            new("strike-look", "Look before touching: marks, rings, aim", "note what crept") { Asks = Asks.Aim },
            new("strike-camera", "Camera off", "the tether stays on until it is in a hand") { Hands = Hands.Two },
        ];
        if (b.Tethers.Count > 0)
            ticks.Add(new("strike-tether", b.Tethers.Count > 1 ? "Tethers off" : "Tether off", "last of what holds the camera")
            {
                Count = b.Tethers.Count,
            });
        if (b.StrapsBuilt.Count > 0)
            ticks.Add(new("strike-straps", "Straps off, wound", "one hand on the rig") { Count = b.StrapsBuilt.Count });
        if (b.Rig.Braces.Count > 0)
            ticks.Add(new("strike-braces", "Struts off", "") { Count = b.Rig.Braces.Count });
        ticks.Add(new("strike-base", b.Holds.Count > 1 ? "Holds off, one edge first" : "Hold off, one edge first", "lifted, not dragged")
        {
            Hands = Hands.Two,
            Count = Math.Max(1, b.Holds.Count),
        });
        if (b.Host.Motion.Wet)
            ticks.Add(new("strike-rinse", "Rinsed with fresh water and dried", "salt and silt eat threads"));
        ticks.Add(new("strike-count", $"{Pieces(b)} pieces left the host", "counted, and where they lie") { Count = Pieces(b) });
        return ticks;
    }

    /// <summary>What comes off in one piece each: holds, struts, straps, tethers, reach with its head, camera.</summary>
    public static int Pieces(BuiltRig b) => b.Holds.Count(h => h.Station == StationId.Base && !h.ByHand) + b.Rig.Braces.Count
        + b.StrapsBuilt.Count + b.Tethers.Count + b.Rig.Paths.Count * 2;

    /// <summary>True for a hold that leaks.</summary>
    public static bool Leaks(BuiltRig b, Hold hold) => hold.Station == StationId.Base ? b.Rig.Base.Grip.Suction
        : b.Rig.Braces.FirstOrDefault(x => StationId.Brace(x.Id) == hold.Station)?.Footing?.Grip.Suction == true;
}
