using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;
using Ochema.Core.Json;
using Ochema.Core.Proving;
using Ochema.Core.Quantities;
using Ochema.Core.Rigs;
using Ochema.Core.Running;
using Ochema.Core.Stock;
using Ochema.Data;
using Ochema.Paper;
using Ochema.Web.Phone;

namespace Ochema.Web.Api;

/// <summary>Proving and running: what is to be proved of any rig and what a day allows it; the log of a stored one and what follows from
/// it.</summary>
internal static class ProveApi
{
    public static void Map(RouteGroupBuilder api)
    {
        api.MapPost("/prove", (Posted<RigDocument> posted, Designs designs) =>
        {
            var rig = posted.Read();
            return Answer.Of(designs.Prove(rig, Catalogue.Shipped.With(rig.Stock), []));
        }).Refuses(400).Named("prove", "Pull tests and ladder of a rig that nothing was done with yet.");
        api.MapPost("/today", (Posted<TodayRequest> posted) =>
        {
            var ask = posted.Read();
            return Answer.Of(Today.Of(ask.Document, Catalogue.Shipped.With(ask.Document.Stock), ask.Conditions.Checked()));
        }).Refuses(400).Named("today", "What a rig may do on a day: wind, temperature, altitude, road, surface, age of the last pump-up.");
        api.MapGet("/beaufort", () => Answer.Of(Beaufort.All)).OpenToPhones().Named("listBeaufort", "Forces of the wind by what one sees.");
        api.MapPost("/track", (Posted<TrackRequest> posted) =>
        {
            var ask = posted.Read();
            return Answer.Of(GpxTrack.Of(ask.Text, ask.Allowed, ask.Proved));
        }).WithMetadata(new RequestSizeLimitAttribute(Server.LargestLog)).Refuses(400, 413)
            .OpenToPhones().Named("readTrack", "A GPX track against what was allowed and proved.");
        api.MapPost("/track/simulate", (Posted<TrackSimulation> posted, TimeProvider clock) =>
        {
            var ask = posted.Read();
            if (!(ask.Speed is >= 0 and <= 120))
                throw new DocumentException("speed", "is not between 0 and 120 m/s");
            // Up to it, a bend, a stop, and up to it again.
            var speeds = Enumerable.Range(0, 420).Select(i => ask.Speed * Math.Clamp(Math.Min(i % 210, 209 - i % 210) / 25.0, 0, 1)
                * (i % 210 is > 90 and < 120 ? 0.7 : 1));
            return Answer.Of(new LogText(GpxTrack.Simulate([.. speeds], clock.GetUtcNow().UtcDateTime.AddSeconds(-420), ask.Seed)));
        }).Refuses(400).OpenToPhones().Named("simulateTrack", "A track as a phone would write it, made up.");
        var rigs = api.MapGroup("/rigs/{id}");
        api.MapGet("/proved", async (OchemaContext db, Proofs proofs) => Answer.Of(await proofs.AllAsync(db)))
            .Named("listProved", "How far the proofs of stored rigs have come; rigs with which nothing was done are left out.");
        rigs.MapGet("/proved", Proved).Refuses(404).OpenToItsPhones().Named("getProved", "How far the proof of a stored rig has come, in a few words.");
        rigs.MapGet("/proof", Proof).Refuses(404, 409).OpenToItsPhones().Named("getProof", "How a stored rig is proved and how far it is.");
        rigs.MapGet("/sheet", Sheet).Produces<string>(contentType: "application/pdf").Refuses(400, 404, 409)
            .OpenToItsPhones().Named("printSheet", "The sheet to hand over: what it is, what was computed, what keeps it, what was proved.");
        rigs.MapPost("/today", Card).Refuses(400, 404, 409).OpenToItsPhones()
            .Named("getRunCard", "The card of a day: how fast, why, what to do in which order.");
        rigs.MapGet("/log", Log).Refuses(404).OpenToItsPhones().Named("getLog", "What was done with a rig, in the order in which it came here.");
        rigs.MapPost("/log", Add).Refuses(400, 404, 409).OpenToItsPhones().Named("addToLog",
            "Adds a line to the log. The same line sent again is kept once; another one with its key is refused.");
        rigs.MapPost("/simulate", Simulate).Refuses(400, 404, 409).OpenToItsPhones().Named("simulateReading",
            "What a luggage scale, a gauge or a phone would read of it, made up from the model and marked so.");
    }

    /// <summary>What is kept of a rig; null with the reason where it cannot be read: that is no fault of what was posted.</summary>
    private static RigDocument? Kept(RigRecord stored, out ProblemHttpResult? unreadable)
    {
        unreadable = null;
        try
        {
            return RigReader.Read(stored.Document, Catalogue.Shipped);
        }
        catch (DocumentException e)
        {
            unreadable = Problems.Unreadable(e);
            return null;
        }
    }

    private static ProblemHttpResult Missing(string id) => Problems.NotFound($"There is no rig '{id}'.");

    private static async Task<Results<Answer<MaybeProved>, ProblemHttpResult>> Proved(string id, OchemaContext db, Proofs proofs) =>
        await RigsApi.FindAsync(db, id) is { } stored ? Answer.Of(new MaybeProved(await proofs.OneAsync(db, stored))) : Missing(id);

    private static async Task<Results<Answer<StoredProof>, ProblemHttpResult>> Proof(string id, OchemaContext db, Designs designs)
    {
        if (await RigsApi.FindAsync(db, id) is not { } stored)
            return Missing(id);
        var rig = RigReader.Read(stored.Document, Catalogue.Shipped);
        var log = await LogStore.OfAsync(db, id);
        return Answer.Of(new StoredProof(stored.Version, designs.Prove(rig, Catalogue.Shipped.With(rig.Stock), [.. log.Select(l => l.Entry)])));
    }

    /// <param name="paper">a4 or letter.</param>
    /// <param name="units">metric or inch.</param>
    private static async Task<Results<FileContentHttpResult, ProblemHttpResult>> Sheet(string id, OchemaContext db, Designs designs,
        TimeProvider clock, string paper = "a4", string units = "metric")
    {
        if (await RigsApi.FindAsync(db, id) is not { } stored)
            return Missing(id);
        if (PaperSize.Of(paper) is not { } size)
            return Problems.BadDocument(new DocumentException("paper", "is not a4 or letter"));
        if (units is not ("metric" or "inch"))
            return Problems.BadDocument(new DocumentException("units", "is not metric or inch"));
        var system = units == "inch" ? UnitSystem.Inch : UnitSystem.Metric;
        var rig = RigReader.Read(stored.Document, Catalogue.Shipped);
        var stock = Catalogue.Shipped.With(rig.Stock);
        IReadOnlyList<Entry> log = [.. (await LogStore.OfAsync(db, id)).Select(l => l.Entry)];
        var host = Core.Hosts.HostLibrary.Find(rig.Host)!;
        var day = DateOnly.FromDateTime(clock.GetLocalNow().DateTime);
        return TypedResults.File(HandOverPaper.Print(new(rig.Name, $"{host.Name}, {rig.Site.Name}", stored.Version, Taken.DayOf(day)),
            designs.Report(rig, stock), designs.Prove(rig, stock, log), Core.Making.Maker.Of(rig, stock), size, system), "application/pdf",
            "sheet.pdf");
    }

    private static async Task<Results<Answer<StoredCard>, ProblemHttpResult>> Card(string id, Posted<CardRequest> posted, OchemaContext db,
        TimeProvider clock)
    {
        if (await RigsApi.FindAsync(db, id) is not { } stored)
            return Missing(id);
        var ask = posted.Read();
        if (Kept(stored, out var unreadable) is not { } rig)
            return unreadable!;
        var day = (ask.Conditions ?? Conditions.Of(rig)).Checked();
        var log = await LogStore.OfAsync(db, id);
        return Answer.Of(new StoredCard(stored.Id, stored.Name, stored.Version, day,
            RunCards.Of(rig, Catalogue.Shipped.With(rig.Stock), day, [.. log.Select(l => l.Entry)], clock.GetUtcNow().UtcDateTime)));
    }

    private static async Task<Results<Answer<IReadOnlyList<LogLine>>, ProblemHttpResult>> Log(string id, OchemaContext db)
    {
        if (await RigsApi.FindAsync(db, id) is null)
            return Missing(id);
        var log = await LogStore.OfAsync(db, id);
        return Answer.Of<IReadOnlyList<LogLine>>([.. log.Select(l => new LogLine(l.Entry, l.Version))]);
    }

    private static async Task<Results<Made<LogLine>, Answer<LogLine>, ProblemHttpResult>> Add(string id, Posted<Entry> posted,
        OchemaContext db, TimeProvider clock)
    {
        if (await RigsApi.FindAsync(db, id) is not { } stored)
            return Missing(id);
        var entry = posted.Read().Checked("");
        var line = new LogLine(entry, stored.Version);
        return await LogStore.AddAsync(db, stored, entry, clock.GetUtcNow().UtcDateTime) switch
        {
            LogStore.Added.New => Answer.MadeAs<LogLine>(line),
            LogStore.Added.Again => Answer.Of(line),
            LogStore.Added.Full => Problems.Of(409, "Full", $"A rig's log has {Entry.Most} lines at the most."),
            _ => Problems.Of(409, "Another line", $"Another line has the key '{entry.Key}': give this one a key of its own."),
        };
    }

    private static async Task<Results<Answer<SimulatedReading>, ProblemHttpResult>> Simulate(string id, Posted<SimulateRequest> posted,
        OchemaContext db, Designs designs)
    {
        if (await RigsApi.FindAsync(db, id) is not { } stored)
            return Missing(id);
        var ask = posted.Read();
        if (Kept(stored, out var unreadable) is not { } rig)
            return unreadable!;
        var report = designs.Prove(rig, Catalogue.Shipped.With(rig.Stock), []);
        return StandIns.Read(report, ask.Of, ask.Seed) is { } reading ? Answer.Of(new SimulatedReading(reading, true))
            : Problems.NotFound($"There is nothing to read of '{ask.Of}'.");
    }
}

/// <summary>A rig and the day it is to run on.</summary>
public sealed record TodayRequest(RigDocument Document, Conditions Conditions) : IAboutRig;

/// <summary>The day a card is asked for; null for the one that the document says.</summary>
public sealed record CardRequest(Conditions? Conditions = null);

/// <summary>A GPX track and what it is held against, m/s; null where nobody said.</summary>
public sealed record TrackRequest(string Text, double? Allowed = null, double? Proved = null);

/// <summary>A track to be made up, up to a speed, m/s.</summary>
public sealed record TrackSimulation(double Speed, int Seed = 1);

/// <summary>A reading to be made up.</summary>
/// <param name="Of">Id of the pull, or "tap".</param>
public sealed record SimulateRequest(string Of, int Seed = 1);

/// <summary>A reading that was made up.</summary>
/// <param name="Value">SI.</param>
public sealed record SimulatedReading(double Value, bool Simulated);

/// <summary>How far a proof has come.</summary>
/// <param name="Proved">Null where nothing was done with the rig.</param>
public sealed record MaybeProved(ProvedRig? Proved);

/// <summary>The proof of a stored rig.</summary>
/// <param name="Version">That it is of.</param>
public sealed record StoredProof(int Version, ProveReport Report);

/// <summary>The card of a stored rig.</summary>
public sealed record StoredCard(string Id, string Name, int Version, Conditions Conditions, RunCard Card);

/// <summary>A line of the log, and the version that was the newest when it came.</summary>
public sealed record LogLine(Entry Entry, int Version);
