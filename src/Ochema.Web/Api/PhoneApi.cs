using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;
using Ochema.Core.Json;
using Ochema.Data;
using Ochema.Web.Phone;

namespace Ochema.Web.Api;

/// <summary>Phones beside the vehicle: who is let in to what. All of it is done at the computer; a phone may ask who it is.</summary>
internal static class PhoneApi
{
    /// <summary>Rigs of a pairing at the most.</summary>
    private const int MostRigs = 200;

    public static void Map(RouteGroupBuilder api)
    {
        api.MapGet("/door", Door).OpenToPhones().Named("getDoor", "Which door this is: the computer's own, or the one of phones, and whose phone it is.");
        var phone = api.MapGroup("/phone");
        phone.MapGet("/", State).Named("getPhones", "Whether phones are let in, where, and which.");
        phone.MapPost("/pairings", Pair).Refuses(400, 409).Named("pairPhone", "A code that lets one phone in to some rigs, for ten minutes.");
        phone.MapDelete("/phones/{phone}", Revoke).Refuses(404).Named("revokePhone", "Lets a phone in no more.");
    }

    private static async Task<Answer<Door>> Door(HttpContext context, OchemaContext db)
    {
        if (PhoneGuard.PhoneOf(context) is not { } phone)
            return Answer.Of(new Door(null));
        var ids = phone.Rigs.ConvertAll(r => r.RigId);
        var rigs = await db.Rigs.AsNoTracking().Where(r => ids.Contains(r.Id) && r.DeletedAt == null)
            .OrderBy(r => r.Film!.Name).ThenBy(r => r.Name).Select(r => new PhoneRig(r.Id, r.Name, r.Film!.Name)).ToListAsync();
        return Answer.Of(new Door(new(phone.Name, rigs)));
    }

    private static async Task<Answer<PhoneState>> State(OchemaContext db, TimeProvider clock, IServiceProvider services)
    {
        var phones = await PhoneStore.AllAsync(db, clock.GetUtcNow().UtcDateTime);
        return Answer.Of(new PhoneState(services.GetService<PhoneDoor>()?.Addresses(), services.GetService<PhoneDoor>()?.Authority?.Fingerprint,
            [.. phones.Select(p => new PairedPhone(p.Id, p.Name, p.PairedAt, p.SeenAt, [.. p.Rigs.Select(r => r.RigId)]))]));
    }

    private static async Task<Results<Answer<PairingCode>, ProblemHttpResult>> Pair(Posted<PairingRequest> posted, OchemaContext db,
        Pairings pairings, IServiceProvider services)
    {
        var ask = posted.Read();
        if (ask.Rigs is not { Count: > 0 and <= MostRigs })
            throw new DocumentException("rigs", $"is not a list of 1 to {MostRigs} rigs");
        var there = await db.Rigs.Where(r => ask.Rigs.Contains(r.Id) && r.DeletedAt == null).Select(r => r.Id).ToListAsync();
        for (var i = 0; i < ask.Rigs.Count; i++)
            if (!there.Contains(ask.Rigs[i]))
                throw new DocumentException($"rigs[{i}]", $"there is no rig '{ask.Rigs[i]}'");
        if (services.GetService<PhoneDoor>() is not { } door)
            return Problems.Of(409, "The door is shut", "Start Ochema with ./ochema run --phone: it listens on the local network then.");
        return Answer.Of(Code(pairings.New(there), door));
    }

    /// <summary>A code as it is shown: with a square for each address that the computer has.</summary>
    private static PairingCode Code(Pairing pairing, PhoneDoor door) => new(pairing.Code, pairing.Until,
        [.. door.Addresses().Select(a => new PairingLink(a, QrSquare.Of(PairPage.Link(a, pairing.Code))))]);

    private static async Task<Results<NoContent, ProblemHttpResult>> Revoke(string phone, OchemaContext db) =>
        await PhoneStore.RevokeAsync(db, phone) ? TypedResults.NoContent() : Problems.NotFound($"There is no phone '{phone}'.");
}

/// <summary>The door that a request came through.</summary>
/// <param name="Phone">Null for the computer's own.</param>
public sealed record Door(OwnPhone? Phone);

/// <summary>A phone as it sees itself.</summary>
public sealed record OwnPhone(string Name, IReadOnlyList<PhoneRig> Rigs);

/// <summary>A rig that a phone is let in to.</summary>
public sealed record PhoneRig(string Id, string Name, string Film);

/// <summary>Phones beside the vehicle.</summary>
/// <param name="Addresses">Where they find the computer; null while they are not let in at all.</param>
/// <param name="Fingerprint">Of the certificate that a phone is given, SHA-256; null where it needs none.</param>
public sealed record PhoneState(IReadOnlyList<string>? Addresses, string? Fingerprint, IReadOnlyList<PairedPhone> Phones);

/// <summary>A phone that was paired.</summary>
/// <param name="Rigs">Ids of the rigs it is let in to.</param>
public sealed record PairedPhone(string Id, string Name, DateTime PairedAt, DateTime? SeenAt, IReadOnlyList<string> Rigs);

/// <summary>The rigs that a phone is to be let in to.</summary>
public sealed record PairingRequest(IReadOnlyList<string> Rigs);

/// <summary>A code for one phone.</summary>
/// <param name="Links">An address of the computer each.</param>
public sealed record PairingCode(string Code, DateTime Until, IReadOnlyList<PairingLink> Links);

/// <summary>Where a phone finds the computer, and the square that takes it there with its code.</summary>
public sealed record PairingLink(string Address, QrSquare Square);
