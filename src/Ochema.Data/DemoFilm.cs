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
            db.Rigs.Add(RigStore.New("demo-" + id, Id, Begun.TryGetValue(id, out var built) ? built(document, now) : document, now));
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
        rig = AsBuilt.Put(rig with { Joints = keyed }, Catalogue.Shipped, "reach.height", 0.106, day);
        rig = AsBuilt.Put(rig, Catalogue.Shipped, "joints.spacer-bolt.layers.[plate].off", 0.0004, day);
        return rig with
        {
            Made = new Dictionary<string, Made>
            {
                ["look-over.site"] = At(now, 29),
                ["measure.site"] = At(now, 28.6),
                ["cut.base"] = At(now, 28),
                ["cut.reach"] = At(now, 27.6, "clamp the tube by the mark: it slipped in the vice"),
                ["deburr.rig"] = At(now, 27.4),
                ["drill.base"] = At(now, 26.8),
                ["drill.base.2"] = At(now, 26.5),
                ["drill.reach"] = At(now, 26.2),
                ["tap.reach"] = At(now, 26),
                ["drill.head"] = At(now, 25.8),
                ["tap.head"] = At(now, 25.6),
                ["dry-fit.rig"] = At(now, 6),
                ["try-on.site"] = At(now, 5.6),
                ["glue.reach"] = At(now, 5),
                ["glue.head"] = At(now, 4.5),
            },
        };
    }

    /// <summary>Stuck on the day before, so that its pad is still curing.</summary>
    private static RigDocument Stuck(RigDocument rig, DateTime now) => rig with
    {
        Made = new Dictionary<string, Made>
        {
            ["look-over.site"] = At(now, 22),
            ["measure.site"] = At(now, 21.7),
            ["try-on.base"] = At(now, 21.2, "hold the chin strap shut while aiming"),
            ["place.base"] = At(now, 20.8),
        },
    };

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
