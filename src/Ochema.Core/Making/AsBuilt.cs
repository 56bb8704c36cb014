using Ochema.Core.Assessment;
using Ochema.Core.Joints;
using Ochema.Core.Json;
using Ochema.Core.Making.Steps;
using Ochema.Core.Quantities;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;

namespace Ochema.Core.Making;

/// <summary>
/// What came out at the bench: lengths, holes, bends, torques, the aim. Each is a value of the document, so the verdict, later cuts and
/// templates follow; what the drawing said stays beside it.
/// </summary>
public static class AsBuilt
{
    /// <summary>
    /// A value that comes out at a step: <paramref name="Planned"/> as the rig has it now; what is read off is that and
    /// <paramref name="More"/>, and has a path of its own where it is more.
    /// </summary>
    /// <param name="Place">Where it stands in the document.</param>
    private sealed record Asked(string Place, MeasureAttribute Measure, string Label, double Planned, double More = 0)
    {
        /// <summary>The piece whose saw cut it is; null for what is read as the document keeps it.</summary>
        public PieceId? Piece { get; init; }

        /// <summary>One meaning a path: "paths.[first].reach.stickOut" is that, "pieces.[reach/boom].length" what the saw leaves of the
        /// boom.</summary>
        public string Path => Piece is { } piece && More != 0 ? $"pieces.[{piece}].length" : Place;
    }

    /// <summary>Readings nearer to the plan than this are the plan: what adding and taking away rounds off (SI).</summary>
    private const double Same = 1e-9;

    /// <summary>What may be entered at a step.</summary>
    internal static IReadOnlyList<Reading> At(BuiltRig b, StationStep step, IReadOnlyList<HoleRow> holes) =>
    [
        .. AskedAt(b, step, holes).DistinctBy(a => a.Path).Select(a =>
        {
            var (m, taken) = (a.Measure, b.Rig.Measured?.GetValueOrDefault(a.Place));
            // Changed on the drawing since, it is a drawing again.
            var built = taken?.Built is not null && Equals(b.Rig, a.Place, taken.Value, a.Planned);
            return new Reading(a.Path, a.Label, m.HowTo, m.Dimension, m.Minimum + a.More, m.Maximum + a.More, built ? taken!.Value + a.More
                : null)
            {
                Planned = (built ? taken!.Built!.Planned : a.Planned) + a.More,
                Place = a.Place,
            };
        }),
    ];

    /// <summary>The document with what came out at a place; as it was drawn again where nothing is said.</summary>
    /// <param name="path">One of those that <see cref="At"/> publishes.</param>
    /// <param name="value">As read off, SI; null takes it back.</param>
    /// <param name="on">Day as YYYY-MM-DD.</param>
    /// <exception cref="DocumentException">Nothing of the kind comes out at any step, or the value does not go there.</exception>
    public static RigDocument Put(RigDocument rig, Catalogue stock, string path, double? value, string on)
    {
        var b = Kinds.RigAssembly.Build(rig, stock);
        var holes = HoleTable.Of(b);
        var asked = BuildPlan.Of(b, holes).SelectMany(p => AskedAt(b, p.Of, holes)).FirstOrDefault(a => a.Path == path)
            ?? throw new DocumentException("path", $"'{path}' comes out at no step of this rig");
        if (!Taken.IsDay(on))
            throw new DocumentException("on", "is no day as YYYY-MM-DD");
        var m = asked.Measure;
        if (value is { } v && !(v >= m.Minimum + asked.More && v <= m.Maximum + asked.More))
            throw new DocumentException("value", $"{Words.Inside(asked.Label)} must be between "
                + $"{QuantityFormatter.Format(m.Minimum + asked.More, m.Dimension, UnitSystem.Metric)} and "
                + QuantityFormatter.Format(m.Maximum + asked.More, m.Dimension, UnitSystem.Metric));
        var place = asked.Place;
        var before = rig.Measured?.GetValueOrDefault(place);
        var stands = ValueAt(b, place);
        // The first reading keeps what was drawn; a second one is of the same drawing.
        var known = before is { Built: not null } && Equals(rig, place, before.Value, stands ?? asked.Planned) ? before.Built : null;
        if (value is null && known is null)
            return rig;
        var drawn = known ?? new(stands ?? asked.Planned, stands is null) { At = RodLength.FootOf(rig, place) };
        // As planned it is the drawing itself, to the last digit: nothing of the rig changes by its having been made.
        var came = value - asked.More;
        double? now = came is not { } read || Math.Abs(read - drawn.Planned) <= Same ? drawn.Usual ? null : drawn.Planned : read;
        var next = now == stands ? rig : With(rig, stock, place, now, drawn);
        var measured = new Dictionary<string, Taken>(next.Measured ?? new Dictionary<string, Taken>());
        measured.Remove(place);
        if (value is not null)
            measured[place] = new Taken(now ?? drawn.Planned, on, before?.How ?? "") { Built = drawn };
        return Remade(rig, next with { Measured = measured.Count > 0 ? measured : null }, stock, path);
    }

    /// <summary>The value at a place, SI: a number of the document, or how long a strut's rod is; null where there is none.</summary>
    private static double? ValueAt(BuiltRig b, string place) =>
        RodLength.Of(b.Rig, place) is { } strut ? RodLength.All(b).FirstOrDefault(r => r.Id == strut)?.Length
            : DocumentPath.ValueAt(b.Rig, place);

    /// <summary>The document with another value there.</summary>
    private static RigDocument With(RigDocument rig, Catalogue stock, string place, double? value, BuiltFrom drawn) =>
        RodLength.Of(rig, place) is not { } strut ? DocumentPath.With(rig, stock, place, value)
            : value == drawn.Planned && drawn.At is { } at ? RodLength.Standing(rig, strut, at)
            : value is { } length ? RodLength.With(Kinds.RigAssembly.Build(rig, stock), strut, length) : rig;

    /// <summary>True for the same value of a place. A rod is as long as its foot is away: that is worked out, and not kept to the last
    /// digit.</summary>
    private static bool Equals(RigDocument rig, string place, double one, double other) =>
        one == other || (RodLength.Of(rig, place) is not null && Math.Abs(one - other) <= RodLength.Same);

    /// <summary>What was made at the steps that this value comes out at was made as it came out.</summary>
    private static RigDocument Remade(RigDocument before, RigDocument rig, Catalogue stock, string path)
    {
        if (before.Made is not { Count: > 0 } made)
            return rig;
        var next = new Dictionary<string, Made>(made);
        foreach (var step in Maker.Of(rig, stock).Steps)
            if (step.Built.Any(r => r.Path == path) && next.GetValueOrDefault(step.Id) is { At: not null, As: not null } done)
                next[step.Id] = done with { As = step.MadeAs.ToDictionary(m => m.Id, m => m.Drawn) };
        return rig with { Made = next };
    }

    /// <summary>What of the rig as it was built differs from the drawing, and what that did; null where nothing does.</summary>
    /// <param name="paths">Only of these; null: of all.</param>
    public static BuiltEffect? Did(RigDocument rig, Catalogue stock, IReadOnlyCollection<string>? paths = null)
    {
        var entered = (rig.Measured ?? new Dictionary<string, Taken>())
            .Where(m => m.Value.Built is not null && (paths is null || paths.Contains(m.Key))).ToList();
        if (entered.Count == 0)
            return null;
        var b = Kinds.RigAssembly.Build(rig, stock);
        var built = entered.FindAll(m => ValueAt(b, m.Key) is { } stands && Equals(rig, m.Key, stands, m.Value.Value));
        if (built.Count == 0)
            return null;
        var drawn = rig;
        foreach (var (path, taken) in built)
            drawn = With(drawn, stock, path, taken.Built!.Usual ? null : taken.Built.Planned, taken.Built);
        var (before, after) = (new Design(drawn, stock).Whole(false), new Design(rig, stock).Whole(false));
        var most = after.Checks.Join(before.Checks, a => a.Id, x => x.Id, (a, x) => (Now: a, Then: x))
            .Where(c => c.Now.Sort != Responses.CheckSort.Tightening || c.Now.Counts + c.Then.Counts > 0)
            .MaxBy(c => Math.Abs(c.Now.Counts - c.Then.Counts));
        return new([.. built.Select(p => p.Key)], before.Verdict, after.Verdict,
            most.Now is { } now && Math.Abs(now.Counts - most.Then.Counts) > Moved
                ? new(now.Title, now.Station, most.Then.Counts, now.Counts) : null);
    }

    /// <summary>Less than this of a use is not worth a word.</summary>
    private const double Moved = 0.0005;

    private static IEnumerable<Asked> AskedAt(BuiltRig b, StationStep step, IReadOnlyList<HoleRow> holes)
    {
        var own = DocumentPath.Of(b.Rig, step.Station);
        if (own is { } place)
            foreach (var name in step.Step.Reads)
                if (Of(place.At, place.Kind, name) is { } read)
                    yield return read;
        if (step.Part >= 0 && own is { } at)
        {
            var part = b.Parts[step.Part];
            if (step.Step.Work == Work.Cut)
            {
                if (part.Cut is { By: { } by } cut && Of(at.At, at.Kind, by) is { Planned: var measure } of)
                    yield return of with { Label = "Cut to", More = Math.Round(cut.Length - measure, 9), Piece = part.Id };
                if (part.Sheet is { } sheet)
                    foreach (var name in new[] { sheet.LengthBy, sheet.WidthBy, sheet.ThicknessBy }.OfType<string>())
                        if (Of(at.At, at.Kind, name) is { } side)
                            yield return side;
            }
            // Trimmed to the marks of its trial: its foot stands where that was.
            if (step.Step.Work == Work.Trim && b.Rods.FirstOrDefault(r => Responses.StationId.Brace(r.Brace.Id) == part.Station) is { } rod)
            {
                var now = RodLength.All(b).First(r => r.Id == rod.Brace.Id);
                yield return new(RodLength.Path(now.Id), new("Trimmed to", Dimension.Length, now.Least,
                    now.Most)
                { HowTo = "end to end, along the rod" },
                    "Trimmed to",
                    now.Length);
            }
            if (step.Step.Work == Work.Bend && part.Sheet is { } bent)
                foreach (var name in bent.BentTo)
                    if (Of(at.At, at.Kind, name) is { } came)
                        yield return came;
        }
        foreach (var id in step.Joints)
            if (b.Joints.FirstOrDefault(j => j.Id == id) is { } joint)
                foreach (var asked in OfJoint(joint, step.Step.Work, [.. holes.Where(h => h.Joint == id)]))
                    yield return asked;
        if (step.Step == CameraSteps.Level)
            foreach (var name in new[] { nameof(CameraChoice.Tilt), nameof(CameraChoice.Pan) })
                yield return Of(b.Rig.Paths[0].At + ".camera", b.Rig.Camera, name)!;
        if (step.Step.Work == Work.Strap && b.Rig.Straps.FirstOrDefault(s => Responses.StationId.Strap(s.Id) == step.Station) is { } strap)
            yield return Of($"straps.[{strap.Id}]", strap, nameof(Strap.Pretension))!;
        if (step.Step.Work == Work.Tether && step.Tether is { } tether)
            yield return Of($"tethers.[{tether.Choice.Id}]", tether.Choice, nameof(Tether.Slack))!;
    }

    /// <summary>A measurement of a kind; null where it has none of that name.</summary>
    private static Asked? Of(string at, object record, string property) =>
        MeasureReader.Declared(record.GetType()).FirstOrDefault(d => d.Property.Name == property) is { Measure: { } m } field
            && field.Property.GetValue(record) is double value ? new($"{at}.{field.Name}", m, m.Label, value) : null;

    private static IEnumerable<Asked> OfJoint(ScrewJoint joint, Work work, IReadOnlyList<HoleRow> holes)
    {
        static MeasureAttribute Of(Type type, string property) => MeasureReader.Declared(type)
            .First(d => d.Property.Name == property).Measure!;
        if (work == Work.Drill)
            foreach (var hole in holes)
            {
                var at = $"joints.{joint.Id}.layers.[{hole.LayerId}]";
                var among = holes.Count > 1 ? $", {Words.Inside(hole.Layer)}" : "";
                if (hole.Sort != HoleSort.Insert)
                    yield return new($"{at}.hole", Of(typeof(LayerChoice), nameof(LayerChoice.Hole)), $"Drilled{among}", hole.Diameter);
                // One hole alone is nowhere else; where it is near an edge, it may be nearer.
                if (hole.Count > 1 || hole.Edge is not null)
                    yield return new($"{at}.off", Of(typeof(LayerChoice), nameof(LayerChoice.Off)), $"Farthest out of place{among}",
                    joint.Layers.First(l => l.Id == hole.LayerId).Off);
                if (hole.Edge is { } edge)
                    yield return new($"{at}.edge", Of(typeof(LayerChoice), nameof(LayerChoice.Edge)), $"Hole to edge{among}", edge);
            }
        // Rocked dry before it is pinned or glued, and once more when the glue is hard.
        if (work is Work.Pad or Work.Glue && joint.Plug is { } dry)
            yield return new($"joints.{joint.Id}.play", Of(typeof(JointChoice), nameof(JointChoice.Play)), "Plug's play, dry", dry.Play);
        if (work == Work.Fit && joint.Plug is { Kept: PlugKept.Glued or PlugKept.Keyed } cured)
            yield return new($"joints.{joint.Id}.playCured", Of(typeof(JointChoice), nameof(JointChoice.PlayCured)), "Plug's play, cured",
                cured.PlayCured);
        if (work is Work.Fit or Work.Place && !joint.Included)
        {
            if (joint.Screw is not null)
                yield return new($"joints.{joint.Id}.length", Of(typeof(JointChoice), nameof(JointChoice.Length)), "Screw as cut",
                    joint.ScrewLength);
            yield return new($"joints.{joint.Id}.torque", Of(typeof(JointChoice), nameof(JointChoice.Torque)), "Tightened with",
                joint.TightenedWith);
        }
    }
}

/// <summary>The check that moved most.</summary>
/// <param name="Before">Use as drawn.</param>
/// <param name="Now">Use as built.</param>
public sealed record BuiltMove(string Title, string Station, double Before, double Now);

/// <summary>What came of building it otherwise than drawn.</summary>
/// <param name="Paths">Values that came out otherwise.</param>
/// <param name="Drawn">Verdict as drawn.</param>
/// <param name="Built">Verdict as built.</param>
/// <param name="Most">What moved most; null where nothing to speak of did.</param>
public sealed record BuiltEffect(IReadOnlyList<string> Paths, VerdictReport Drawn, VerdictReport Built, BuiltMove? Most);
