using System.Reflection;
using Ochema.Core.Joints;
using Ochema.Core.Making;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;

namespace Ochema.Data;

/// <summary>The made-up film that ships: an orchard's delivery day. All names and figures are invented.</summary>
public static class DemoFilm
{
    public const string Id = "demo-long-way-to-market";
    public const string Name = "Long Way to Market";

    /// <summary>The demo rigs in order, by the stem of their file.</summary>
    public static IReadOnlyList<(string Id, RigDocument Document)> Rigs { get; } = Load();

    /// <summary>Adds the film, or what has come to it since. Rigs that the user changed or binned are left alone.</summary>
    public static void Seed(OchemaContext db, DateTime now)
    {
        if (!db.Films.Any(f => f.Id == Id))
            db.Films.Add(new FilmRecord { Id = Id, Name = Name, CreatedAt = now });
        var there = db.Rigs.Where(r => r.FilmId == Id).Select(r => r.Id).ToHashSet();
        foreach (var (id, document) in Rigs.Where(r => !there.Contains("demo-" + r.Id)))
        {
            var rig = RigStore.New("demo-" + id, Id, Begun.TryGetValue(id, out var built) ? built(document, now) : document, now);
            db.Rigs.Add(rig);
            db.Log.AddRange(DemoHistory.Of(id, document, now).Select(e => LogStore.Line(rig, e, now)));
        }
        db.SaveChanges();
    }

    /// <summary>What somebody has begun to build, by the stem of its file.</summary>
    private static readonly Dictionary<string, Func<RigDocument, DateTime, RigDocument>> Begun = new()
    {
        ["4-sidecar-face"] = Glueing,
        ["5-courier-helmet"] = Stuck,
    };

    private static Made At(DateTime now, double hours, string note = "") => new(Made.TextOf(now.AddHours(-hours)), note);

    /// <summary>Its riser came out longer than drawn, its plugs are glued in and cure.</summary>
    private static RigDocument Glueing(RigDocument rig, DateTime now)
    {
        var keyed = new Dictionary<string, JointChoice>(rig.Joints);
        foreach (var joint in new[] { "reach-screw", "head-screw" })
            keyed[joint] = (keyed.GetValueOrDefault(joint) ?? new()) with { Plug = PlugKept.Keyed };
        var day = Taken.DayOf(DateOnly.FromDateTime(now.AddHours(-27)));
        rig = AsBuilt.Put(rig with { Joints = keyed }, Catalogue.Shipped, "paths.[first].reach.height", 0.106, day);
        rig = AsBuilt.Put(rig, Catalogue.Shipped, "joints.spacer-bolt.layers.[plate].off", 0.0004, day);
        return Done(rig, now, (Work.Cut, 2, "clamp the tube by the mark: it slipped in the vice"), new()
        {
            [Work.LookOver] = 29,
            [Work.Measure] = 28.6,
            [Work.Cut] = 28,
            [Work.Deburr] = 27.4,
            [Work.Drill] = 26.8,
            [Work.Tap] = 25.8,
            [Work.DryFit] = 6,
            [Work.TryOn] = 5.6,
            [Work.Glue] = 5,
        });
    }

    /// <summary>Every step of these sorts of work as done so many hours ago, one after the other, to the measures that are drawn.</summary>
    /// <param name="note">Said of the n-th step of that work.</param>
    private static RigDocument Done(RigDocument rig, DateTime now, (Work Work, int Nth, string Says) note, Dictionary<Work, double> ago)
    {
        var (made, apart) = (new Dictionary<string, Made>(), new Dictionary<Work, int>());
        foreach (var step in Maker.Of(rig, Catalogue.Shipped).Steps)
            if (ago.TryGetValue(step.Work, out var hours))
            {
                var nth = apart[step.Work] = apart.GetValueOrDefault(step.Work) + 1;
                var said = step.Work == note.Work && nth == note.Nth ? note.Says : "";
                made[step.Id] = At(now, hours - 0.2 * (nth - 1), said) with { As = step.MadeAs.ToDictionary(m => m.Id, m => m.Drawn) };
            }
        return rig with { Made = made };
    }

    /// <summary>Stuck on the day before, so that its pad is still curing.</summary>
    private static RigDocument Stuck(RigDocument rig, DateTime now) =>
        Done(rig, now, (Work.TryOn, 1, "hold the chin strap shut while aiming"), new()
        {
            [Work.LookOver] = 22,
            [Work.Measure] = 21.7,
            [Work.TryOn] = 21.2,
            [Work.Place] = 20.8,
        });

    private static List<(string, RigDocument)> Load()
    {
        const string prefix = "Ochema.Data.Demo.";
        var assembly = Assembly.GetExecutingAssembly();
        return [.. assembly.GetManifestResourceNames().Where(n => n.StartsWith(prefix, StringComparison.Ordinal))
            .OrderBy(n => int.Parse(n[prefix.Length..].Split('-')[0], System.Globalization.CultureInfo.InvariantCulture)).Select(n =>
        {
            using var reader = new StreamReader(assembly.GetManifestResourceStream(n)!);
            return (n[prefix.Length..^".json".Length], RigReader.Read(reader.ReadToEnd(), Catalogue.Shipped));
        })];
    }
}
