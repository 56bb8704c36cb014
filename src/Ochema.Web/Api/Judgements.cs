using System.Diagnostics;
using System.Security.Cryptography;
using System.Text;
using System.Text.Json;
using Microsoft.Data.Sqlite;
using Microsoft.Extensions.Caching.Memory;
using Ochema.Core.Assessment;
using Ochema.Core.Json;
using Ochema.Core.Making;
using Ochema.Core.Rigs;
using Ochema.Core.Sharpness;
using Ochema.Core.Stock;
using Ochema.Data;

namespace Ochema.Web.Api;

/// <summary>
/// Verdicts that are kept beside the stored documents, so that a list computes nothing. What was computed from another text, or by another
/// build of the computation, does not count: it is computed again, a little at each asking, and left out until then.
/// </summary>
internal sealed class Judgements(Designs designs) : IDisposable
{
    /// <summary>Longest that one list computes what is missing.</summary>
    private static readonly TimeSpan Budget = TimeSpan.FromMilliseconds(120);

    /// <summary>Another build of the computation or of the cards is another answer.</summary>
    private static readonly string Build = $"{typeof(Assessor).Module.ModuleVersionId:N}{typeof(Judgements).Module.ModuleVersionId:N}";

    /// <summary>Cards of some ten kilobytes that are kept beside the file: the same text is judged once, whoever stores, copies or brings
    /// it back.</summary>
    private const int Most = 512;

    private readonly MemoryCache known = new(new MemoryCacheOptions { SizeLimit = Most });

    /// <summary>Judges a document that was read and checked, for keeping.</summary>
    /// <exception cref="DocumentException">It names something that its host has not.</exception>
    public Judgement Of(RigDocument rig) => Of(rig, StrictJson.Write(rig));

    /// <summary>A rig's <see cref="RigCard"/> as JSON, null while it is not computed.</summary>
    /// <exception cref="DocumentException">Its document cannot be read.</exception>
    public static string? Card(RigRecord rig)
    {
        if (rig.Judged != Stamp(rig.Document))
            return null;
        if (rig.Card is null)
            RigReader.Read(rig.Document, Catalogue.Shipped);
        return rig.Card;
    }

    /// <summary>Computes what is missing of these rigs, as far as the time allows, and keeps it.</summary>
    public Task FillAsync(OchemaContext db, IReadOnlyList<RigRecord> rigs) =>
        FillAsync(db, rigs, r => r.Document, r => r.Judged, (rig, judged) =>
    {
        (rig.Card, rig.Judged) = (judged.Card, judged.Stamp);
        return RigStore.KeepAsync(db, rig, judged);
    });

    /// <summary>Computes what is missing of these versions, as far as the time allows, and keeps it.</summary>
    public Task FillAsync(OchemaContext db, IReadOnlyList<VersionRecord> versions) =>
        FillAsync(db, versions, v => v.Document, v => v.Judged, (version, judged) =>
    {
        (version.Word, version.LimitSpeed, version.Mass, version.Judged) = (judged.Word, judged.LimitSpeed, judged.Mass, judged.Stamp);
        return RigStore.KeepAsync(db, version, judged);
    });

    /// <summary>Whether what is kept of a version was computed from its text by this build.</summary>
    public static bool Counts(VersionRecord version) => version.Judged == Stamp(version.Document);

    private async Task FillAsync<T>(
        OchemaContext db, IReadOnlyList<T> records, Func<T, string> document, Func<T, string?> stamp, Func<T, Judgement, Task<int>> keep)
    {
        var stale = records.Where(r => stamp(r) != Stamp(document(r))).ToList();
        if (stale.Count == 0)
            return;
        var clock = Stopwatch.StartNew();
        var judged = stale.TakeWhile(_ => clock.Elapsed < Budget).Select(r => (r, OfText(document(r)))).ToList();
        try
        {
            await using var whole = await db.Database.BeginTransactionAsync();
            foreach (var (record, judgement) in judged)
                await keep(record, judgement);
            await whole.CommitAsync();
        }
        catch (SqliteException)
        {
            // A full, locked or read-only file keeps nothing now; what was computed is shown all the same.
        }
    }

    private Judgement OfText(string document)
    {
        try
        {
            return Of(RigReader.Read(document, Catalogue.Shipped), document);
        }
        catch (DocumentException)
        {
            return new(Stamp(document), null, null, null, null);
        }
    }

    private Judgement Of(RigDocument rig, string document) => known.GetOrCreate(Stamp(document), kept =>
    {
        kept.Size = 1;
        return Judged(rig, kept.Key.ToString()!);
    })!;

    private Judgement Judged(RigDocument rig, string stamp)
    {
        var report = designs.Report(rig, Catalogue.Shipped.With(rig.Stock));
        var making = Making(rig);
        var card = new RigCard(rig.Host, rig.Site.Name.ToLowerInvariant(), rig.Run.Speed, report.Verdict, report.Sharpness,
            report.Mass, report.Cost, Small(report.Figure), NextThing(report, making), making);
        return new(stamp, StrictJson.Write(card), JsonSerializer.Serialize(report.Verdict.Word, StrictJson.Options).Trim('"'),
            report.Verdict.LimitSpeed, report.Mass);
    }

    /// <summary>What a small drawing needs of the figure, to a tenth of a millimetre.</summary>
    private static FigureReport Small(FigureReport figure)
    {
        static double[] Round(double[] p) => [.. p.Select(v => Math.Round(v, 4))];
        return figure with
        {
            Shapes = [.. figure.Shapes.Select(s => s with
            {
                Points = [.. s.Points.Select(p => new FigurePoint("", Round(p.P)))],
                Size = Round(s.Size),
                Axis = s.Axis is null ? null : Round(s.Axis),
                Side = s.Side is null ? null : Round(s.Side),
            })],
            Panel = [.. figure.Panel.Select(row => row.Select(Round).ToArray())],
            Handles = [],
            Zones = [],
        };
    }

    /// <summary>How far it is built, where somebody has begun.</summary>
    private static CardMaking? Making(RigDocument rig)
    {
        if (rig.Made?.Values.Any(m => m.At is not null) is not true)
            return null;
        var steps = Maker.Of(rig, Catalogue.Shipped.With(rig.Stock)).Steps;
        return new(steps.Count(s => s.IsDone), steps.Count, steps.FirstOrDefault(s => !s.IsDone)?.Title,
        [
            .. steps.Where(s => s.IsDone && s.Wait > 0 && rig.Made.GetValueOrDefault(s.Id)?.Time is not null)
                .Select(s => new CardCure(s.Title, Made.TextOf(rig.Made[s.Id].Time!.Value.AddSeconds(s.Wait)))),
        ]);
    }

    private static string NextThing(AssessmentReport report, CardMaking? making) => report.Verdict switch
    {
        { Why: Why.Refused } => "Change it: it is refused as it stands",
        { Why: Why.Missing } => "Add what has to keep it",
        { Why: Why.Unanswered } => "Answer its questions",
        { Word: Verdict.LetsGo } => "Change it: it lets go at its design speed",
        _ when report.Retentions.Any(r => r.Has < r.Needs) => "Add what has to keep it",
        _ when making?.Next is not null => "Go on making it, then prove it",
        _ when report.Sharpness.Word == Sharp.Unusable => "See Shake: the picture is unusable at this speed",
        _ => "Prove it before the run",
    };

    /// <inheritdoc/>
    public void Dispose() => known.Dispose();

    private static string Stamp(string document) => Convert.ToHexStringLower(SHA256.HashData(Encoding.UTF8.GetBytes(Build
        + document)))[..32];
}
