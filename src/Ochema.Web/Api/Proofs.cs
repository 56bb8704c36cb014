using System.Collections.Concurrent;
using Microsoft.EntityFrameworkCore;
using Ochema.Core.Assessment;
using Ochema.Core.Json;
using Ochema.Core.Making;
using Ochema.Core.Proving;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Data;

namespace Ochema.Web.Api;

/// <summary>How far the proofs of stored rigs have come, in a few words each: worked out once a version and line of its log.</summary>
internal sealed class Proofs(Designs designs)
{
    private readonly ConcurrentDictionary<string, (int Version, int Line, ProvedRig Proved)> known = [];

    private static readonly Dictionary<Seen, string> Words = Enum.GetValues<Seen>().Zip(Choice.Of<Seen>(), (s, c) => (s, c.Label))
        .ToDictionary(x => x.s, x => x.Label);

    /// <summary>Most that one asking works out; the rest comes with the next.</summary>
    private static readonly TimeSpan Budget = TimeSpan.FromMilliseconds(400);

    /// <summary>All rigs that something was done with.</summary>
    public async Task<IReadOnlyList<ProvedRig>> AllAsync(OchemaContext db)
    {
        var last = await db.Log.GroupBy(l => l.RigId).Select(g => new { Rig = g.Key, Line = g.Max(l => l.Id) }).ToListAsync();
        var ids = last.Select(l => l.Rig).ToList();
        var rigs = await db.Rigs.AsNoTracking().Where(r => r.DeletedAt == null && ids.Contains(r.Id)).ToListAsync();
        var clock = System.Diagnostics.Stopwatch.StartNew();
        var list = new List<ProvedRig>();
        foreach (var rig in rigs)
        {
            var line = last.First(l => l.Rig == rig.Id).Line;
            if (known.TryGetValue(rig.Id, out var was) && was.Version == rig.Version && was.Line == line)
                list.Add(was.Proved);
            else if (clock.Elapsed < Budget && await OfAsync(db, rig, line) is { } proved)
                list.Add(proved);
        }
        return list;
    }

    /// <summary>One rig; null where nothing was done with it, or its document cannot be read.</summary>
    public async Task<ProvedRig?> OneAsync(OchemaContext db, RigRecord rig)
    {
        var line = await db.Log.Where(l => l.RigId == rig.Id).MaxAsync(l => (int?)l.Id);
        return line is not { } newest ? null
            : known.TryGetValue(rig.Id, out var was) && was.Version == rig.Version && was.Line == newest ? was.Proved
            : await OfAsync(db, rig, newest);
    }

    private async Task<ProvedRig?> OfAsync(OchemaContext db, RigRecord stored, int line)
    {
        RigDocument rig;
        try
        {
            rig = RigReader.Read(stored.Document, Catalogue.Shipped);
        }
        catch (DocumentException)
        {
            return null;
        }
        var log = (await LogStore.OfAsync(db, stored.Id)).Select(l => l.Entry).ToList();
        var finding = log.Where(e => e.Sort == EntrySort.Finding).MaxBy(e => e.Time);
        var seen = finding?.Seen is { } s ? Words[s] : null;
        // With another design than the one that was proved there is nothing to work out.
        var proved = !log.Exists(e => e.Design == Design.IdOf(Design.KeyOf(rig)))
            ? new ProvedRig(stored.Id, stored.Version, false, 0, null, false, "to be proved anew: it was changed since", seen, finding?.At)
            : Of(stored, designs.Prove(rig, Catalogue.Shipped.With(rig.Stock), log, advise: false), seen, finding?.At);
        known[stored.Id] = (stored.Version, line, proved);
        return proved;
    }

    private static ProvedRig Of(RigRecord stored, ProveReport report, string? seen, string? at)
    {
        var proof = report.Proof;
        var next = report.Ladder.FirstOrDefault(r => r.Id == proof.Next);
        return new(stored.Id, stored.Version, true, proof.Driven, proof.ByPulls, proof.Stopped is not null,
            proof.Stopped is not null ? "stopped: mend it, then begin at the bench"
            : next is null ? "the whole ladder is climbed" : $"next: {(next.Short.Length > 0 ? next.Short : next.Title).ToLowerInvariant()}", seen, at);
    }
}

/// <summary>How far the proof of a stored rig has come.</summary>
/// <param name="Tried">False where what was proved was another design.</param>
/// <param name="Driven">Fastest rung that was climbed, m/s.</param>
/// <param name="ByPulls">Speed to which the pulls prove every load, m/s; null while one is missing.</param>
/// <param name="Says">What is next, in words.</param>
/// <param name="Seen">The last finding, in words; null for none.</param>
public sealed record ProvedRig(string Rig, int Version, bool Tried, double Driven, double? ByPulls, bool Stopped, string Says, string? Seen,
    string? SeenAt);
