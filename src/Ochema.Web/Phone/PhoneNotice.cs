using System.Globalization;
using Ochema.Data;

namespace Ochema.Web.Phone;

/// <summary>What is said on the terminal when phones are let in: where, with which code, and a square to point one at.</summary>
internal static class PhoneNotice
{
    /// <summary>Opens a code for the rigs that are there, and says so.</summary>
    public static void Print(IServiceProvider services, TextWriter to)
    {
        var door = services.GetRequiredService<PhoneDoor>();
        if (door.Addresses() is not [var first, ..] all)
        {
            to.WriteLine("Phones are let in, but this computer is on no local network yet.");
            return;
        }
        using var scope = services.CreateScope();
        List<string> rigs = [.. scope.ServiceProvider.GetRequiredService<OchemaContext>().Rigs.Where(r => r.DeletedAt == null).Select(r => r.Id)];
        to.WriteLine($"Phones beside the vehicle: {string.Join(" or ", all)}");
        if (door.Authority is { } authority)
            to.WriteLine($"First on each phone: {first.TrimEnd('/')}{PairPage.CertificatePath}, put into its settings as an authority; "
                + $"fingerprint (SHA-256) {authority.Fingerprint}");
        if (rigs.Count == 0)
        {
            to.WriteLine("There is no rig yet; pair a phone later, from a rig's Run.");
            return;
        }
        var pairing = services.GetRequiredService<Pairings>().New(rigs);
        to.WriteLine(QrSquare.InCharacters(PairPage.Link(first, pairing.Code)));
        var until = pairing.Until.ToLocalTime().ToString("HH:mm", CultureInfo.InvariantCulture);
        to.WriteLine($"Pairing code {pairing.Code[..4]} {pairing.Code[4..]}, for one phone, until {until}. "
            + $"It opens Prove and Run of the {rigs.Count} rigs that are here now; a phone is taken away again under Run.");
    }
}
