using Ochema.Core.Hosts;
using Ochema.Core.Joints;
using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;

namespace Ochema.Core.Assessment;

/// <summary>
/// Every piece that can come off by itself: what independently keeps it, what catches it, and how many its consequence class asks for. A
/// tether keeps what lies between its knot and the host, if it holds the fall; one tied to the camera keeps what a clip or a head would
/// lose.
/// </summary>
internal static class Retention
{
    /// <summary>Worth, in the user's money, from which one hold alone is refused, and from which two are (judgement).</summary>
    private const double Costly = 1000;
    private const double VeryCostly = 10000;

    /// <summary>All pieces, the camera first.</summary>
    /// <param name="letGo">What happens without each hold and on straps alone; null to count what may be there at the best.</param>
    /// <param name="advise">False where nobody reads what to add.</param>
    public static IReadOnlyList<RetentionReport> Of(BuiltRig b, IReadOnlyList<LetGoReport>? letGo, double speed, bool advise = true)
    {
        var rig = b.Rig;
        var needs = FactorTable.Retentions(rig.Run.Consequence);
        var list = new List<RetentionReport>();
        // What a tether cannot keep is said with what else could.
        void Kept(string piece, StationId station, IReadOnlyList<string> by, int asks, string rest, string missing, bool alone,
            IEnumerable<string>? weak = null) =>
            list.Add(new(piece, station, by.Count, asks, by, rest, alone, by.Count >= asks ? "" : missing)
            {
                NotCounted = [.. weak ?? [], .. Reaching(b, station).Select(t => t.KeepsNothing(b, speed)).OfType<string>()],
            });
        void Piece(string piece, StationId station, IEnumerable<string> means, int asks, string add)
        {
            var caught = Catching(b, station, speed);
            var weak = Weak(b, station);
            var own = weak is null ? means : [];
            List<string> by = [.. own, .. caught.Where(c => c.Use <= 1).Select(c => Words.Inside(c.Tether.Name))];
            if (rig.Run.Consequence == Consequence.DeepWater && rig.Survey.Floats == Answer.Yes)
                by.Add("it floats");
            var broken = caught.Where(c => c.Use > 1).ToList();
            var missing = by.Count >= asks || !advise ? "" : broken.Count > 0
                ? $"{Words.Inside(broken[0].Tether.Name)} does not count: it would catch "
                    + $"{QuantityText.Of(broken[0].Tether.Hardest(b, b.MassFrom(station), speed).Peak, Dimension.Force)}, more than it "
                        + $"may. Better: {Plan(b, station, speed) ?? "a shorter or softer one"}"
                : Plan(b, station, speed) is { } plan && add.Length > 0 ? $"{add}: {plan}" : add;
            Kept(piece, station, by, asks, caught.Any(c => c.Use <= 1) ? "the tether"
                : station == StationId.Base && rig.Straps.Count > 0 ? "the straps" : "nothing", missing, by.Count == 1,
                weak is null ? [] : means.Select(m => $"{m}: {weak}"));
        }
        foreach (var (head, reach, camera, path) in new[] { (rig.Head, rig.Reach, b.Camera.Body.Called(second: false),
            RigPath.First) }.Concat(rig.Second is { } s
            ? [(s.Head, s.Reach, b.SecondCamera!.Body.Called(second: true), RigPath.Second)] : []))
        {
            var tether = needs > 2 ? "One more tether from it, to a point of its own" : $"A tether from the {camera.ToLowerInvariant()}";
            Piece(camera, path.Camera, head.Keeps, needs, tether);
            if ((path.IsSecond ? b.SecondCamera : b.Camera)?.InShoe is { } shoe)
            {
                // A tether from the camera does not keep what slides out of its shoe.
                var looped = (path.IsSecond ? rig.Second!.Camera : rig.Camera).ShoeLoop == ShoeLoop.Looped;
                List<string> by = looped ? ["its shoe", "its loop"] : ["its shoe"];
                Kept($"{shoe.Row.Name}, in the shoe", path.Camera, by, needs, looped ? "its loop" : "nothing", looped
                    ? "Take it out of the shoe: above people it wants a screw of its own" : "A loop of cord from it to the camera's eye",
                        by.Count == 1);
            }
            if (head.Joins is var (piece, how))
                Piece(piece ?? (path.IsSecond ? "Its head" : "Head"), path.Head, [how], needs, tether);
            if (!path.IsSecond && rig.Isolator.Floats)
                Piece("What hangs on the soft mount", StationId.Isolator, ["its mounts"], needs, tether);
            if (reach.Stands)
                Piece(path.IsSecond ? "Its reach" : "Reach", path.Reach, rig.Braces.Count > 1
                    && !path.IsSecond ? [.. reach.Keeps, "its struts"] : reach.Keeps, needs, tether);
        }
        foreach (var brace in rig.Braces)
            Kept(Words.Named("Strut", brace.Id), StationId.Brace(brace.Id), brace.Keeps, needs, "its other end", "A lanyard along it",
                false);
        Base(b, letGo, needs, Piece);
        return list;
    }

    /// <summary>
    /// Above people: why what screws or clips a piece on does not count, in words; null where it does. What a hand has tightened, rubber
    /// and glue let go without a sign (common practice, no source).
    /// </summary>
    private static string? Weak(BuiltRig b, StationId station)
    {
        if (b.Rig.Run.Consequence != Consequence.OnPeople || station.Family == "base")
            return null;
        var path = RigPath.Of(station);
        var head = path.IsSecond ? b.Rig.Second!.Head : b.Rig.Head;
        // A clip closes on the camera, a lever on the plate under it.
        if (head.IsClosedByHand && station.Family == (head.Joins is null ? "camera" : "head"))
            return "what a hand closes does not count above people";
        foreach (var joint in b.Joints.Where(j => j.Station == station))
            if (joint.Means is Loosening.HandTight or Loosening.RubberWasher)
                return $"{(joint.Means == Loosening.HandTight ? "hand-tight" : "on a rubber washer")} it does not count above people";
            else if (joint.Plug is { Kept: PlugKept.Glued or PlugKept.Keyed or PlugKept.Pressed })
                return "a plug that is glued or pressed in does not count above people";
        return null;
    }

    private static string? Plan(BuiltRig b, StationId station, double speed) =>
        TetherPlan.For(b, station, speed)?.Says;

    private static void Base(BuiltRig b, IReadOnlyList<LetGoReport>? letGo, int needs, Action<string, StationId, IEnumerable<string>, int,
        string> piece)
    {
        var rig = b.Rig;
        var own = new List<string>();
        var count = b.Holds.Count(h => h.Station == StationId.Base);
        var lost = letGo?.Where(l => l.Kind == "hold").ToList();
        bool Keeps(IEnumerable<LetGoReport>? states) => states is null || states.All(l => l.Verdict != Verdict.LetsGo);
        own.Add(count == 1 ? "one hold" : "the holds");
        if (count > 1 && Keeps(lost))
            own.Add("a spare hold");
        if (count > 2 && Keeps(lost) && Keeps(letGo?.Where(l => l.Kind == "two-holds"))
            && (letGo is null || letGo.Any(l => l.Kind == "two-holds")))
            own.Add("a second spare");
        if (rig.Straps.Count > 0 && Keeps(letGo?.Where(l => l.Kind == "straps-alone")))
            own.Add("the straps");
        if (count == 1 && rig.Braces.Count > 1 && Keeps(lost))
            own.Add("the struts");
        // On a head it must come off: a second retention there is a hazard.
        if (b.Host.BreakawayLimit is not null)
        {
            piece("The rig on the helmet (it must come off in a snag)", StationId.Base, own, 1, "");
            return;
        }
        var asks = Math.Max(needs, rig.Camera.Worth switch { >= VeryCostly => 3, >= Costly => 2, _ => 1 });
        piece("The rig on its place", StationId.Base, own, asks, count == 1
            ? "Straps or a second hold, or a tether that holds all of it" : "Straps, or a tether that holds all of it");
    }

    /// <summary>What a camera's worth refuses, or null: holds that are not enough for it, however they are tethered.</summary>
    public static string? Refused(BuiltRig b, IReadOnlyList<LetGoReport> letGo)
    {
        if (b.Rig.Camera.Worth is not >= Costly and not >= VeryCostly)
            return null;
        var count = b.Holds.Count(h => h.Station == StationId.Base);
        var others = (b.Rig.Straps.Count > 0 && letGo.Any(l => l.Kind == "straps-alone" && l.Verdict != Verdict.LetsGo) ? 1 : 0)
            + (b.Rig.Braces.Count > 1 && letGo.All(l => l.Kind != "hold" || l.Verdict != Verdict.LetsGo) ? 1 : 0);
        var asks = b.Rig.Camera.Worth >= VeryCostly ? 3 : 2;
        return count + others >= asks ? null
            : $"One {b.Holds.First(h => h.Station == StationId.Base).Label} under a camera worth "
                + $"{QuantityText.Of(b.Rig.Camera.Worth!.Value, Dimension.Money)} is not enough: {asks} holds that stand for each other, "
                    + $"or straps that keep it alone.";
    }

    /// <summary>Tethers that would catch what comes off at a station, each with the share of what it holds that this takes.</summary>
    internal static IReadOnlyList<(TetherBuilt Tether, double Use)> Catching(BuiltRig b, StationId station, double speed) =>
        [.. Reaching(b, station).Where(t => t.KeepsNothing(b, speed) is null).Select(t => (t, t.Catches(b, b.MassFrom(station), speed)))];

    /// <summary>Tethers that are tied to what comes off at a station, whether they catch it or not.</summary>
    private static IEnumerable<TetherBuilt> Reaching(BuiltRig b, StationId station)
    {
        var path = RigPath.Of(station);
        var rank = station.Family switch
        {
            "camera" => 3,
            "head" => 2,
            "isolator" or "reach" => 1,
            _ => 0
        };
        // One that ends on the rig itself keeps what lies beyond that place.
        int Ends(TetherBuilt t) => t.Choice.To.Anchor switch { AnchorEnd.OnRig => 1, AnchorEnd.OnReach => 2, _ => 0 };
        int Of(TetherPoint p) => p switch { TetherPoint.Camera or TetherPoint.SecondCamera => 3, TetherPoint.Head => 2, _ => 1 };
        return b.Tethers.Where(t => rank >= Ends(t)
            && (rank == 0 || (t.Choice.From == TetherPoint.SecondCamera) == path.IsSecond)
            && Of(t.Choice.From) >= rank);
    }
}
