using Ochema.Core.Hosts;
using Ochema.Core.Joints;
using Ochema.Core.Json;
using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;

namespace Ochema.Core.Making;

/// <summary>A step with the spine row it belongs to and what it is about.</summary>
internal sealed record StationStep(string Station, WorkStep Step)
{
    /// <summary>Index of the part it makes; −1 for none.</summary>
    public int Part { get; init; } = -1;

    /// <summary>Joints it drills, taps or screws.</summary>
    public IReadOnlyList<string> Joints { get; init; } = [];

    public IReadOnlyList<Reading> Readings { get; init; } = [];

    /// <summary>The tether that is tied; null for all other work.</summary>
    public TetherBuilt? Tether { get; init; }
}

/// <summary>The steps that follow from pieces and joints, whatever kinds they are of (common practice, no source).</summary>
internal static class HouseSteps
{
    /// <summary>Drills above this are piloted, m.</summary>
    private const double Pilot = 0.006;

    /// <summary>Torque up to which fingers do, and a knob, N·m.</summary>
    private const double Fingers = 0.9;
    private const double Knob = 3;

    /// <summary>What both hands turn a tube or head on with, N·m (judgement, 3–8).</summary>
    private const double BothHands = 5;

    /// <summary>The host cut off from what drives it; null where nothing does.</summary>
    public static StationStep? Isolated(RigBuilder b) => b.Host.Isolates is not { } how ? null : new("site", new(Work.LookOver, "Take it off the mains", how)
    {
        Tools = ["tape"],
        Minutes = 3,
        Beware = "Nobody works on it or turns it while the switch alone is off.",
        Piece = "mains",
    });

    /// <summary>Plates that lie behind the host's sheet; null without any.</summary>
    public static StationStep? Behind(RigBuilder b) => b.Rig.Site.PlateBehind is not > 0
        || !b.Parts.Any(p => p.Station == StationId.Site && p.Sheet is not null) ? null
        : new("site", new(Work.Pad, "Plates behind the sheet",
            "Get at the back first: lining, wires, an airbag? Plates clean and flat, a strip of tape over each so that it cannot drop once the magnet is off; no "
                + "edge may cut a wire. Then pull a magnet off the front with a scale, on each: the list's pull is a guess.")
        {
            Tools = ["tapemark", "scale", "cloth"],
            Minutes = 10,
            Piece = "plates",
            Wrong = "It cannot be reached, or the sheet is double: cups, straps or a clamp.",
        });

    /// <summary>What balances the rig on a host that turns; null where nothing does.</summary>
    public static StationStep? Balanced(RigBuilder b) => Counterweight.Of(b) is not { } against ? null
        : new("site", new(Work.Set, "Balance it: a counterweight opposite",
            $"{QuantityText.Of(against.Planned, Dimension.Mass)} on the other side of the axis, {QuantityText.Of(against.At, Dimension.Length)} from it: sand in "
                + "a sewn bag, tied twice round what turns; it is flung off as the camera is. Half a turn by hand, let go: it stays where it is left, "
                + "whichever way it lies.")
        {
            Tools = ["scale", "tape"],
            Minutes = 10,
            Piece = "counterweight",
            Wrong = "It swings back: more opposite, or farther out.",
        })
        {
            Readings =
            [
                Of(nameof(RunConditions.Counterweight), b.Rig.Run.Counterweight), Of(nameof(RunConditions.CounterweightAt), b.Rig.Run.CounterweightAt),
            ],
        };

    /// <summary>What is read off of the conditions.</summary>
    private static Reading Of(string property, double? value)
    {
        var d = MeasureReader.Declared(typeof(RunConditions)).First(m => m.Property.Name == property);
        return Asked($"run.{d.Name}", d.Measure!, value);
    }

    private static Reading Asked(string path, MeasureAttribute m, double? value) => new(path, m.Label, m.HowTo, m.Dimension, m.Minimum, m.Maximum, value)
    {
        UsualFrom = double.IsFinite(m.UsualFrom) ? m.UsualFrom : null,
        UsualTo = double.IsFinite(m.UsualTo) ? m.UsualTo : null,
    };

    public static StationStep LookOver(RigBuilder b)
    {
        var asks = Questions.Of(b.Rig, b.Host).Select(q => q.Ask);
        var magnet = b.Rig.Base.Grip.Magnet ? " Try a magnet on every spot: much that looks like steel is not." : "";
        return new("site", new(Work.LookOver, $"Look over {Words.The(b.Rig.Site.Name)}",
            b.Rig.Site.Form.LookOver + magnet + string.Concat(asks.Select(a => " " + a)))
        { Tools = ["cloth", "tape"], Minutes = 10 });
    }

    /// <summary>A part is taken off the thing that it is part of.</summary>
    public static StationStep Stripped(PartLine line) => new(line.Station, new(Work.Strip, $"Take off its donor: {Words.Inside(line.Name)}",
        "Measure it before anything else is cut for it: thread, holes, play. Keep its screws. What has a cord is unplugged first, the cord cut off and "
            + "thrown away: the rest is never to be plugged in again.")
    {
        Tools = ["calipers", "spanners", "pliers"],
        Minutes = 10,
        Beware = "Springs under load jump; capacitors in lamps and motors keep a charge.",
        Wrong = "It breaks, or is of another size: buy it; the list has its price.",
    });

    /// <summary>What may be measured, with what was.</summary>
    public static StationStep? Measured(RigDocument rig)
    {
        var readings = new List<Reading>();
        void Of(string path, object record)
        {
            foreach (var d in MeasureReader.Declared(record.GetType()))
                if (d.Measure is { Measured: true, Chosen: false } m && (record is not Site site || KindDescriptors.IsAsked(d.Property, site.Form)))
                    readings.Add(Asked($"{path}.{d.Name}", m, (double?)d.Property.GetValue(record)));
                else if (d.Part is not null && d.Property.GetValue(record) is Kind part)
                    Of($"{path}.{d.Name}", part);
        }
        Of("site", rig.Site);
        Of("base", rig.Base);
        Of("reach", rig.Reach);
        Of("isolator", rig.Isolator);
        Of("head", rig.Head);
        Of("camera", rig.Camera);
        foreach (var brace in rig.Braces)
            Of($"braces.[{brace.Id}]", brace);
        return readings.Count == 0 ? null : new("site", new(Work.Measure, "Measure what you can instead of trusting lists",
            "Each value that you read off beats the list's and is kept with its day. None is a must; pulls and weights gain most.")
        { Tools = ["tape", "calipers", "scale", "kitchen-scale"], Minutes = 3 * Math.Min(5, readings.Count) })
        { Readings = readings };
    }

    /// <summary>How a piece is cut; null for what is not.</summary>
    public static StationStep? Cut(RigPart part, int index, Catalogue stock)
    {
        WorkStep? Step() => part switch
        {
            { Sort: PieceSort.Cut, Cut: { Length: > 0 } cut, Row: { } row } when stock.Has("sections", row) => OfBar(part, cut, stock.MaterialOf(row)),
            { Sort: PieceSort.Cut, Row: { } row, Aisle: Aisle.Screws } when stock.Has("fasteners", row) => new(Work.Cut, "Cut "
                + $"{Named(part)}",
                "Run two nuts on first. Saw, file the end to a chamfer, run the nuts off over it: they clean the thread.")
            { Tools = ["vice", "hacksaw", "file"], Minutes = 6 },
            { Sort: PieceSort.Sheet, Sheet: { } sheet } => OfSheet(part, sheet, stock.Material(sheet.Material)),
            _ => null,
        };
        return Step() is { } step ? new(part.Station, step) { Part = index } : null;
    }

    private static WorkStep OfBar(RigPart part, CutPiece cut, Material m)
    {
        var mitred = cut.Mitres.Any(a => Math.Abs(a) > 0.01);
        var ends = mitred ? $" Ends at {QuantityText.Of(cut.Mitres[0], Dimension.Angle)} and "
            + $"{QuantityText.Of(cut.Mitres[1], Dimension.Angle)} from square, the length over the long side; print the strip for a round end."
            : " Both ends square.";
        var long_ = cut.Long > 0 ? $" Leave {QuantityText.Of(cut.Long, Dimension.Length)} on, so {QuantityText.Of(cut.Length + cut.Long, Dimension.Length)}: "
            + "it is trimmed when it has been tried." : "";
        return new(Work.Cut, $"Cut {Named(part)}{(cut.Long > 0 ? ", long" : "")}",
            $"Mark all round, saw on the waste side of the line, turn it as you go.{ends}{long_}")
        {
            Tools =
            [
                .. m.Family is MaterialFamily.Metal or MaterialFamily.Composite ? (string[])["rule", "marker", "vice", "hacksaw"]
                    : ["rule", "marker", "clamps", "fine-saw"],
                .. mitred ? (string[])["mitre-box"] : [],
            ],
            Minutes = 6 * Math.Ceiling(part.Quantity),
            Beware = m.Family is MaterialFamily.Composite ? "Carbon and glass dust: mask, wet, outdoors." : "",
            Wrong = "Cut short: keep it for a shorter piece and cut anew; nothing is stretched.",
        };
    }

    private static WorkStep OfSheet(RigPart part, SheetPiece sheet, Material m) => new(Work.Cut, $"Cut {Named(part)}",
        "Square one edge, mark from it, saw outside the line, file to it."
            + (FlatOutline.Corner(sheet) is > 0 and var round ? $" Corners round: {QuantityText.Of(round, Dimension.Length)} at the least." : "")
            + (FlatOutline.Of(sheet).Reliefs.Count is > 0 and var corners
                ? $" Where the folds of both ways end, centre-punch and drill {corners} × "
                    + $"{QuantityText.Of(FlatOutline.Relief(sheet.Thickness), Dimension.Drill)} "
                    + "first; then saw the corners out to the holes, along the template's edge." : ""))
    {
        Tools = m.Family switch
        {
            MaterialFamily.Metal => ["rule", "marker", "vice", "clamps", "hacksaw", "file",
                .. sheet.Walls.Count > 0 ? (string[])["punch", "drill", "bits"] : []],
            MaterialFamily.Wood or MaterialFamily.Plastic => ["rule", "marker", "clamps", "fine-saw", "sandpaper"],
            _ => ["rule", "marker", "knife"],
        },
        Minutes = 12 * Math.Ceiling(part.Quantity),
        Wrong = "Out of square: holes are marked from one edge and its end only; the others may be off.",
    };

    /// <summary>What was cut long is cut to what the trial showed; null for all else.</summary>
    public static StationStep? Trimmed(RigPart part, int index) => part.Cut is not { Long: > 0 } cut ? null
        : new(part.Station, new(Work.Trim, $"Trim {Named(part)}", "To the witness marks of the trial, not to the drawing: "
            + (part.Sheet is null
                ? $"{QuantityText.Of(cut.Length, Dimension.Length)} is what was reckoned between its ends. Leave a finger's width past each clamp."
                : $"the leg's end past its hole; laid flat it was reckoned at {QuantityText.Of(cut.Length, Dimension.Length)}. Round the corners.")
            + " Deburr.")
        {
            Tools = ["rule", "vice", "hacksaw", "file"],
            Minutes = 5,
            Wrong = part.Sheet is null ? "Trimmed too far: its foot goes nearer; enter the length that it came out at."
                : "Trimmed into the hole's edge: a new strip.",
        })
        { Part = index };

    /// <summary>Edges of all that was cut of metal.</summary>
    public static StationStep Deburr(int pieces) => new("rig", new(Work.Deburr, "Deburr every cut edge",
        "File outside and inside, then a finger along it: nothing catches. Burrs crack bends, cut straps and hands.")
    { Tools = ["file", "sandpaper"], Minutes = 2 * pieces });

    /// <summary>Bends of a flat piece.</summary>
    public static StationStep? Bent(RigPart part, int index) => part.Sheet is not { Bends: { Count: > 0 } } sheet ? null
        : new(part.Station, new(Work.Bend, $"Bend {Named(part)}", Bends(sheet))
        {
            Tools = ["marker", "vice", "bending-block", "mallet"],
            Minutes = 8 * (sheet.Bends.Count + sheet.Walls.Count),
            Wrong = "A crack: a new piece and a larger radius; it is not straightened and bent again.",
        })
        { Part = index };

    /// <summary>Bends in their order, and how.</summary>
    internal static string Bends(SheetPiece sheet)
    {
        var (across, along) = BendOrder.Of(sheet);
        string Room(IReadOnlyList<BendLine> bends, string between) => BendOrder.Between(bends, sheet.Thickness) is { } room
            ? $" The next over a block no wider than {QuantityText.Of(room, Dimension.Length)}: it has to go between {between}." : "";
        string Each(IReadOnlyList<BendLine> bends, string from, bool counted) => string.Join("; ", bends.OrderBy(x => x.Turn).Select(x =>
            $"{(counted ? $"{x.Turn}: " : "")}{QuantityText.Of(x.Angle, Dimension.Angle)} at {QuantityText.Of(x.At, Dimension.Mark)} from the {from}, "
                + $"inside radius {QuantityText.Of(x.Radius, Dimension.Length)}"));
        var walls = along.Count == 0 ? "" : $" Then the other way: {Each(along, "first edge", true)}.{Room(along, "the walls that are up")}";
        return $"{(across.Count == 1 ? "One bend" : $"{across.Count} bends, from the ends inwards")}: "
            + $"{Each(across, "first end", across.Count + along.Count > 1)}. Round a rod or block of that radius, slowly.{Room(across, "the flanges")}{walls}"
            + " Fingernail over the outside: no crack.";
    }

    /// <summary>Holes of a joint, then its threads.</summary>
    public static IEnumerable<StationStep> Drilled(ScrewJoint joint, IReadOnlyList<HoleRow> holes)
    {
        if (holes.Count == 0)
            yield break;
        var count = holes.Sum(h => h.Count);
        var pair = holes.Count > 1 && joint.Plug is null ? " What lies on each other is drilled as a pair, clamped, or marked through the part that is "
            + "drilled already." : "";
        var pilot = holes.Any(h => h.Diameter > Pilot) ? " Pilot at 3 mm first." : "";
        // A plug has no edge to measure from.
        var middle = joint.Plug is not { } plug ? "" : plug.Square ? " The plug's middle: both diagonals cross in it."
            : " The plug's middle: two chords by the rule, a square on the middle of each; the lines cross in it. Or print its end.";
        yield return new(joint.Station, new(Work.Drill, $"Drill {(count == 1 ? "the hole" : $"{count} holes")}, {joint.Title}",
            Sizes(holes) + $"{middle} Mark, centre-punch.{pilot}{pair} Deburr both sides.")
        {
            Joint = joint.Id,
            Tools = ["marker", "punch", "clamps", "drill", "bits", .. holes.Any(h => h.Countersink > 0) ? ["countersink"] : Array.Empty<string>()],
            Minutes = 4 + 3 * count,
            Wrong = "Up to 1 mm off: next clearance size up and a wide washer. More: fill it or turn the part, and drill anew.",
        })
        { Joints = [joint.Id] };
        if (holes.Where(h => h.Sort == HoleSort.Tapped).ToList() is { Count: > 0 } tapped)
            yield return new(joint.Station, new(Work.Tap, $"Tap {tapped[0].Thread}, {joint.Title}",
                $"{string.Join(" and ", tapped.Select(h => h.Layer))}: oil, straight, half a turn back for each turn; blow the chips "
                    + "out. Try the screw by fingers.")
            {
                Joint = joint.Id,
                Tools = ["vice", "tap"],
                Minutes = 5 * tapped.Sum(h => h.Count),
                Wrong = "It went in crooked: an insert, or the next thread up. A broken tap stays in: another place.",
            })
            { Joints = [joint.Id] };
    }

    /// <summary>What is drilled of each layer, in words; nothing where nothing is.</summary>
    internal static string Sizes(IReadOnlyList<HoleRow> holes) => string.Concat(holes.Select((h, i) => (i > 0 ? " " : "") + $"{h.Layer}: "
        + $"{(h.Count > 1 ? $"{h.Count} × " : "")}{QuantityText.Of(h.Diameter, Dimension.Drill)}, {h.For}"
        + (h.Countersink > 0 ? $", countersunk {QuantityText.Of(h.Countersink, Dimension.Length)} deep" : "") + Recessed(h) + "."));

    /// <summary>The recess of a hole, in words; nothing without one.</summary>
    internal static string Recessed(HoleRow h) => h.Recess <= 0 ? ""
        : $", recess {QuantityText.Of(h.RecessAcross, Dimension.Drill)} across, {QuantityText.Of(h.Recess, Dimension.Length)} deep";

    /// <summary>Holes that are of no screwed joint: for the legs of U-bolts.</summary>
    public static StationStep DrilledApart(HoleRow row) => new(row.Station, new(Work.Drill, $"Drill {row.Count} holes, {Words.Inside(row.Title)}",
        $"{row.Layer}: {row.Count} × {QuantityText.Of(row.Diameter, Dimension.Drill)}, clear for {row.Thread}. Lay the U-bolts on and mark through them. "
        + "Centre-punch, pilot at 3 mm. Deburr both sides.")
    {
        Tools = ["marker", "punch", "clamps", "drill", "bits"],
        Minutes = 4 + 3 * row.Count,
        Wrong = "A leg does not meet: open that hole by a file, not the leg.",
    });

    /// <summary>How the plug of a tube's end is kept in it.</summary>
    public static StationStep? Plugged(ScrewJoint joint)
    {
        if (joint.Plug is not { } plug)
            return null;
        var glue = Glues.Find(TubePlug.Glue);
        return new(joint.Station, plug.Kept switch
        {
            PlugKept.Pinned => new(Work.Pad, $"Pin the end plug, {joint.Title}",
                $"Rock it in the tube first: more than a hair of play is for glue, not for a pin. Plug in "
                    + $"{QuantityText.Of(plug.Depth, Dimension.Length)} deep, its thread straight. Drill "
                    + $"{QuantityText.Of(TubePlug.Pin, Dimension.Drill)} from both sides through the wall into the plug, no deeper than "
                    + $"{QuantityText.Of(plug.PinDepth(joint.Thread.MajorDiameter), Dimension.Length)}: not into its thread, where the screw goes. A short pin in each, "
                    + "filed flush.")
            {
                Tools = ["vice", "drill", "bits", "mallet", "file"],
                Minutes = 12,
                Wrong = "The pin is loose: the next pin up, not glue on it.",
            },
            PlugKept.Keyed => new(Work.Glue, $"Key and glue the end plug, {joint.Title}",
                $"Saw a slot of {QuantityText.Of(TubePlug.Pin, Dimension.Drill)} into the tube's end, {QuantityText.Of(TubePlug.KeyLength, Dimension.Length)} "
                    + "long; a short pin in the plug's side, not into its thread, that just goes into the slot. "
                    + $"Dry fit: it may not turn. Then {glue.Name}: {glue.Preparation}; no glue in the thread: a greased screw keeps it clear. It cures "
                    + "standing on its end.")
            {
                Tools = ["vice", "hacksaw", "file", "drill", "bits", "mallet", "sandpaper", "spirit", "mixing"],
                Minutes = 22,
                Wait = glue.Cure,
                Wrong = "The slot is too wide: a thicker pin, filed flat on two sides. Set too early: warm the tube's end to 80 °C, draw the "
                    + "plug, clean, again.",
            },
            PlugKept.Glued => new(Work.Glue, $"Glue the end plug, {joint.Title}",
                $"Rock it in the tube dry and note its play: epoxy fills {QuantityText.Of(TubePlug.Bridged, Dimension.Length)} a side, no more. "
                    + $"{glue.Name}: {glue.Preparation}. Roughen bore and plug; no glue in the thread: a greased screw keeps it clear. It "
                    + "cures standing on its end.")
            {
                Tools = ["sandpaper", "spirit", "mixing"],
                Minutes = 12,
                Wait = glue.Cure,
                Wrong = "Set too early: warm the tube's end to 80 °C, draw the plug, clean, again.",
            },
            _ => new(Work.Pad, $"Press the end plug in, {joint.Title}", "Square in the vice, a block over its thread. Pressed in alone "
                + "it holds nothing for long: pin it.")
            { Tools = ["vice", "mallet"], Minutes = 5 },
        })
        { Joints = [joint.Id] };
    }

    /// <summary>Sleeves cut for the tubes that a screw passes; null without any.</summary>
    public static StationStep? Sleeved(ScrewJoint joint)
    {
        if (!joint.Sleeved || joint.Layers.Where(l => l.Hollow is not null).ToList() is not { Count: > 0 } tubes)
            return null;
        return new(joint.Station, new(Work.Pad, $"Cut the {(tubes.Count == 1 ? "sleeve" : "sleeves")}, {joint.Title}",
            string.Join(" ", tubes.Select(t => $"{t.Name}: {QuantityText.Of(t.Hollow!.Inside, Dimension.Length)} long, from wall to wall."))
            + " Ends square, a hair over rather than under. Slid in from the tube's end on a rod, the screw put through both walls and the sleeve; "
            + "a drop of glue or a ball of paper holds it meanwhile.")
        {
            Tools = ["calipers", "hacksaw", "vice", "file"],
            Minutes = 6 * tubes.Count,
            Wrong = "Too short: a thin washer at one end. It must not rattle once the nut is tight.",
        })
        { Joints = [joint.Id] };
    }

    /// <summary>Screws that are on sale too long only, sawn off; null where none is.</summary>
    public static StationStep? Shortened(ScrewJoint joint)
    {
        if (joint.Included || joint.Screw is null)
            return null;
        var r = joint.Report();
        if (r.CutOff <= 0.0005 || r.Buy is not { } buy)
            return null;
        var count = Math.Max(joint.Count, joint.Screws);
        return new(joint.Station, new(Work.Cut, $"Saw {(count > 1 ? $"{count} screws" : "the screw")} shorter, {joint.Title}",
            $"{r.Thread}, bought {QuantityText.Of(buy, Dimension.Length)} long: {QuantityText.Of(r.Length, Dimension.Length)} stay. Run two nuts on first. Saw, "
                + "file the end to a chamfer, run the nuts off over it: they clean the thread.")
        {
            Joint = joint.Id,
            Tools = ["vice", "hacksaw", "file"],
            Minutes = 2 + 4 * count,
            Wrong = "Cut short: another one; the thread that is left has to grip as far as the section says.",
        })
        { Joints = [joint.Id] };
    }

    /// <summary>A joint made up.</summary>
    public static StationStep Fitted(ScrewJoint joint)
    {
        var r = joint.Report();
        var thread = r.Layers.First(l => l.Role is LayerRole.Tapped or LayerRole.Blind or LayerRole.Nut);
        var through = r.Layers.TakeWhile(l => l.Id != thread.Id).Select(l => Words.Inside(l.Name)).ToList();
        var screw = joint.Included || joint.Screw is null ? $"{r.Thread} of its own" : $"{Math.Max(joint.Count, joint.Screws)} × "
            + $"{joint.Screw} {r.Thread}, {QuantityText.Of(r.Length, Dimension.Length)}"
            + (r.CutOff > 0.0005 && r.Buy is not null ? ", sawn to that" : "");
        var way = through.Count > 0 ? $" through {string.Join(", ", through)}" : "";
        var torque = joint.TightenedWith;
        var feel = torque <= Fingers ? "hard by fingers" : torque <= Knob ? "as hard as a knob goes"
            : $"with a spanner, {QuantityText.Of(joint.Thread.AcrossFlats, Dimension.Drill)} across";
        // A set screw has nothing for a spanner: the part above is turned on it.
        var set = joint.Headless && joint.Screw is not null;
        var turn = set ? $"Half of it into the lower part by a hex key, then the part above turned on "
                + (torque <= BothHands ? $"by both hands, {QuantityText.Of(torque, Dimension.Torque)}. "
                    : $"with a strap wrench, the lower part in the vice's soft jaws, {QuantityText.Of(torque, Dimension.Torque)}: "
                        + $"hands give {QuantityText.Of(BothHands, Dimension.Torque)}. ")
            : $"By fingers for the first turns, then {QuantityText.Of(torque, Dimension.Torque)}, {feel}. ";
        return new(joint.Station, new(Work.Fit, Words.Capital(joint.Title),
            $"{screw}{way} into the {Words.Inside(thread.Name)}. {turn}"
            + $"{Words.Capital(r.LooseningSays)}." + string.Concat(r.Notes.Select(n => " " + n)))
        {
            Joint = joint.Id,
            Tools = set ? ["hex-keys", "marker"] : torque <= Knob ? ["marker"] : joint.Headless ? ["spanners", "marker"]
                : ["spanners", "torque-wrench", "marker"],
            Minutes = 3 + 2 * Math.Max(joint.Count, joint.Screws),
            Wrong = "It will not start by fingers: crooked or the wrong thread; never force it.",
        })
        { Joints = [joint.Id] };
    }

    /// <summary>What is joined without a screw.</summary>
    public static StationStep Snapped(JoinReport join) => new(join.Station, new(Work.Fit, join.Says,
        join.Sort == JoinSort.Held ? "Grip and hands dry. Pull on it and turn it: it must not slip through them."
            : "Pull on it by hand: it must not come, and the means against opening must be in.")
    { Minutes = 2 });

    public static readonly WorkStep DryFit = new(Work.DryFit, "Put it together loosely at the bench",
        "All parts, screws by fingers, nothing glued and nothing forced. Every hole meets, every thread has its turns, what swings "
            + "clears its own bolt heads.")
    {
        Minutes = 15,
        Wrong = "A hole that does not meet is filed, not forced: a joint under strain lets go first.",
    };

    public static StationStep TryOn(RigBuilder b) => new("site", new(Work.TryOn, $"Hold it in its place on {Words.The(b.Rig.Site.Name)}",
        "With the camera on, by hand. All that moves near it through its whole travel, and the view of whoever drives or steers: clear. Look through the "
        + "lens. Mark feet and joints with tape and a line across, so that it comes back to the same place.")
    {
        Tools = ["tapemark", "marker"],
        Minutes = 10,
        Crew = 2,
        Wrong = "Something touches or shows: change the rig now, before glue and "
        + "paint."
    });

    public static StationStep Strapped(RigBuilder b, Strap strap, string station)
    {
        var end = b.Host.Anchors.FirstOrDefault(a => a.Id == strap.To.Anchor)?.Name ?? strap.To.Anchor;
        var by = strap.Fitting == StrapFitting.SoftLoop ? "by a soft loop" : "hook into a closed eye, keeper shut, never hook on hook";
        var edge = strap.Edge switch
        {
            StrapEdge.None => "",
            StrapEdge.Padded => " Pad where it bends over an edge.",
            _ => " It runs "
            + "over a sharp edge: pad it."
        };
        return new(station, new(Work.Strap, $"{Words.Named("Strap", strap.Id)}, {Words.To(end)}",
            $"To a part that cannot move, {by}. "
            + $"Draw to {QuantityText.Of(strap.Pretension, Dimension.Force)}, all in turn, then once more.{edge} Wind the tail up and "
                + "tie it.")
        {
            Tools = ["scale"],
            Minutes = 4,
            Beware = "A ratchet draws more than a rope holds: stop at the figure.",
            Wrong = "It "
            + "slackens: something slides or stretches; find it before you draw again."
        });
    }

    public static StationStep Tethered(TetherBuilt tether) => new("tether", new(Work.Tether, $"{Words.Capital(tether.Name)}: on first, "
        + "off last",
        $"Made fast {Words.To(tether.Anchor.Name)} now, before anything that it keeps goes on; its other end goes to the {Of(tether)} itself, not to its "
            + "clip, as soon as that is there. "
            + $"{QuantityText.Of(tether.Length, Dimension.Length)} between its ends, "
            + (tether.Knot.Takes > 0 ? $"cut {QuantityText.Of(tether.Cut, Dimension.Length)}: each {Words.Inside(tether.Knot.Name)} takes "
                + $"{QuantityText.Of(tether.Knot.Allowance(tether.Row.Thickness), Dimension.Length)}, " : "")
        + (tether.Knot.Takes <= 0 && !tether.Row.HasEnds
            ? $"its ends sewn by a rigger or sailmaker, as strong as the line: no stitch by hand is that; or tie a knot and say which, "
                + "with a tail of a hand and a half, 180 mm, left at each, " : "")
        + "so short that nothing reaches wheel, road or blade. Pull on both ends.")
    { Tools = ["scissors", "lighter"], Minutes = 4 })
    { Tether = tether };

    private static string Of(TetherBuilt tether) => tether.Choice.From switch
    {
        TetherPoint.Head => "head",
        TetherPoint.Reach or TetherPoint.ReachFoot => "reach",
        TetherPoint.SecondCamera => "second camera",
        _ => "camera",
    };

    /// <summary>How long a full battery lasts, said where it is put in; empty where that is not known.</summary>
    private static string Full(CameraRow of) => of.Lasts is { } seconds
        ? $" Battery full: at {QuantityText.Of(of.Draws, Dimension.Power)} it lasts about {Math.Max(5, 5 * Math.Round(seconds / 300)):0} minutes, less in "
            + $"the cold." : "";

    /// <summary>What goes into a camera's shoe.</summary>
    public static StationStep InShoe(string station, CameraRow of, CameraChoice camera) => new(station, new(Work.Camera, "Into the shoe: "
        + $"{Words.Inside(of.Name)}",
        "Home to the shoe's stop, its ring drawn tight by fingers, pull on it." + (camera.ShoeLoop == ShoeLoop.Looped
            ? " A loop of cord from it through the camera's eye, short: it must not reach the lens." : "") + Full(of))
    {
        Minutes = 2,
        Wrong = "It rocks: the shoe's own screws are loose; they come before anything else.",
    });

    /// <summary>The camera, or what stands in its place, goes on; by its screw, or into what snaps round it.</summary>
    /// <param name="tied">True where a tether waits for it.</param>
    public static StationStep Camera(string station, string name, ScrewJoint? screw, CameraRow body, bool tied) => new(station, new(Work.Camera,
        (body.Makes == Makes.Picture ? "Camera on: " : "On goes the ") + $"{Words.Inside(name)}",
        (screw is null ? $"One hand on it until {(tied ? "the tether and " : "")}its clip hold{(tied ? "" : "s")} it. In until it snaps, the pin or "
                + "band closed, pull on it."
            : $"One hand on it until {(tied ? "the tether and " : "")}its screw hold{(tied ? "" : "s")} it. "
                + (screw.Means == Loosening.RubberWasher ? "Rubber washer in, " : "")
                + $"{QuantityText.Of(screw.TightenedWith, Dimension.Torque)}, tight by hand, a mark line.")
        + Full(body) + (body.Makes == Makes.Light ? " Switched on before anybody moves off." : " Start it before anybody moves off."))
    {
        Tools = ["cloth"],
        Minutes = 4,
        Wrong = screw is null ? "It rattles: tape in the clip, or a new clip; the clip is the weak link."
            : "The screw bottoms before the camera is tight: a washer more; a driven-out socket is the camera's end.",
    });

    public static readonly WorkStep Level = new(Work.Set, "Level and aim",
        "With the host standing level. Bubble first, then through the lens. Lock everything, look once more: locking moves it.")
    {
        Tools = ["level"],
        Minutes = 6,
    };

    /// <summary>The last look before it is proved: at what is on this rig.</summary>
    public static WorkStep Check(RigBuilder b)
    {
        var grip = b.Rig.Base.Grip;
        List<string> of = [];
        if (b.Joints.Count > 0)
            of.Add("every joint by two fingers, every mark line");
        if (grip.Suction)
            of.Add("cup rings");
        if (grip.Magnet)
            of.Add("a magnet's edge that a sheet of paper goes under");
        if (b.Rig.Braces.Count > 0)
            of.Add("both ends of each strut");
        if (b.Rig.Straps.Count > 0)
            of.Add("strap tails and keepers");
        if (b.Tethers.Count > 0)
            of.Add(b.Tethers.Count == 1 ? "the tether's two ends" : "both ends of each tether");
        of.Add(b.Camera.Body.Makes == Makes.Picture ? "battery door and lens" : "battery and switch");
        return new(Work.Check, "Go over it by hand", $"{Words.Capital(string.Join(", ", of))}. Shove it from each side"
            + (b.Host.Motion.Still ? "" : $" until {b.Host.Called} rocks") + ". Nothing runs before it is proved.")
        {
            Minutes = 8,
            Wrong = "Anything that moves or clicks: back to its step.",
        };
    }

    /// <summary>Coats dry, s.</summary>
    private const double Dries = 2 * 3600;

    public static readonly WorkStep Paint = new(Work.Finish, "Paint and edges, after the trial",
        "Off the host, camera out. What shines where the lens or a windscreen sees it: sand, wipe, two thin flat coats. Threads, feet "
            + "and eyes stay bare.")
    {
        Takes = [Supplies.Paint],
        Tools = ["sandpaper", "spirit", "paint", "tapemark"],
        Minutes = 20,
        Wait = Dries,
    };

    /// <summary>A part by its name inside a sentence.</summary>
    private static string Named(RigPart part) => (part.Quantity > 1 ? $"{part.Quantity:0} × " : "") + Words.Inside(part.Name);
}
