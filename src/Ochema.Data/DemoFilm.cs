using System.Reflection;
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
            db.Rigs.Add(RigStore.New("demo-" + id, Id, id == HalfBuilt ? Begun(document, now) : document, now));
        db.SaveChanges();
    }

    /// <summary>The rig that somebody has begun to build.</summary>
    private const string HalfBuilt = "5-courier-helmet";

    /// <summary>Stuck on the day before, so that its pad is still curing.</summary>
    private static RigDocument Begun(RigDocument rig, DateTime now)
    {
        Made At(double hours, string note = "") => new(Made.TextOf(now.AddHours(-hours)), note);
        return rig with
        {
            Made = new Dictionary<string, Made>
            {
                ["look-over.site"] = At(22),
                ["measure.site"] = At(21.7),
                ["try-on.base"] = At(21.2, "hold the chin strap shut while aiming"),
                ["place.base"] = At(20.8),
            },
        };
    }

    private static List<(string, RigDocument)> Load()
    {
        const string prefix = "Ochema.Data.Demo.";
        var assembly = Assembly.GetExecutingAssembly();
        return [.. assembly.GetManifestResourceNames().Where(n => n.StartsWith(prefix, StringComparison.Ordinal)).Order(StringComparer.Ordinal).Select(n =>
        {
            using var reader = new StreamReader(assembly.GetManifestResourceStream(n)!);
            return (n[prefix.Length..^".json".Length], RigReader.Read(reader.ReadToEnd(), Catalogue.Shipped));
        })];
    }
}
