using System.Security.Cryptography;
using System.Text;
using Microsoft.EntityFrameworkCore;

namespace Ochema.Data;

/// <summary>Phones that are let in to prove and run rigs. A phone has a token; the file has no more of it than its hash.</summary>
public static class PhoneStore
{
    /// <summary>Phones that are let in at the most.</summary>
    public const int Most = 20;

    /// <summary>How long a phone is let in after it was paired.</summary>
    public static readonly TimeSpan Term = TimeSpan.FromDays(30);

    private const int TokenBytes = 32;

    /// <summary>Seen again within this is not written down again.</summary>
    private static readonly TimeSpan Look = TimeSpan.FromMinutes(1);

    /// <summary>Lets a phone in. Returns its token, which is nowhere else; null where there are <see cref="Most"/> already.</summary>
    public static async Task<string?> PairAsync(OchemaContext db, string name, IReadOnlyCollection<string> rigs, DateTime now)
    {
        await db.Phones.Where(p => p.PairedAt < now - Term).ExecuteDeleteAsync();
        if (await db.Phones.CountAsync() >= Most)
            return null;
        var token = Convert.ToHexStringLower(RandomNumberGenerator.GetBytes(TokenBytes));
        var id = Convert.ToHexStringLower(RandomNumberGenerator.GetBytes(8));
        var there = await db.Rigs.Where(r => rigs.Contains(r.Id)).Select(r => r.Id).ToListAsync();
        db.Phones.Add(new PhoneRecord
        {
            Id = id,
            Name = name,
            Token = Hash(token),
            PairedAt = now,
            Rigs = [.. there.Select(r => new PhoneRigRecord { PhoneId = id, RigId = r })],
        });
        await db.SaveChangesAsync();
        return token;
    }

    /// <summary>The phone that has a token, with its rigs; null where none has, or has no more.</summary>
    public static async Task<PhoneRecord?> FindAsync(OchemaContext db, string token, DateTime now)
    {
        var (hash, since) = (Hash(token), now - Term);
        var phone = await db.Phones.AsNoTracking().Include(p => p.Rigs).SingleOrDefaultAsync(p => p.Token == hash && p.PairedAt >= since);
        if (phone is not null && !(now - phone.SeenAt < Look))
            await db.Phones.Where(p => p.Id == phone.Id).ExecuteUpdateAsync(s => s.SetProperty(p => p.SeenAt, now));
        return phone;
    }

    /// <summary>All that are let in, those paired last first.</summary>
    public static async Task<IReadOnlyList<PhoneRecord>> AllAsync(OchemaContext db, DateTime now)
    {
        var since = now - Term;
        return await db.Phones.AsNoTracking().Include(p => p.Rigs).Where(p => p.PairedAt >= since).OrderByDescending(p => p.PairedAt).ToListAsync();
    }

    /// <summary>Lets a phone in no more, from the next request on. False where there is none.</summary>
    public static async Task<bool> RevokeAsync(OchemaContext db, string id) =>
        await db.Phones.Where(p => p.Id == id).ExecuteDeleteAsync() > 0;

    private static string Hash(string token) => Convert.ToHexStringLower(SHA256.HashData(Encoding.UTF8.GetBytes(token)));
}
