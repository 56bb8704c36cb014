using System.Collections.Concurrent;
using System.Formats.Asn1;
using System.Net;
using System.Security.Cryptography;
using System.Security.Cryptography.X509Certificates;
using Ochema.Data;

namespace Ochema.Web.Phone;

/// <summary>
/// A certificate authority of one's own, for phones: it is made once, kept in the data folder, and put on the phone by its owner. Its key is
/// readable by the user alone, and it can vouch for addresses of local networks only (RFC 5280, 4.2.1.10), so that whoever steals it cannot
/// pass for another site.
/// </summary>
public sealed class OwnAuthority : IDisposable
{
    private const string KeyFile = "phone-authority.key", CertificateFile = "phone-authority.crt";

    private static readonly TimeSpan Lives = TimeSpan.FromDays(5 * 365), IssuedFor = TimeSpan.FromDays(90), Slack = TimeSpan.FromDays(1);

    private readonly X509Certificate2 own;
    private readonly TimeProvider clock;
    private readonly ConcurrentDictionary<IPAddress, X509Certificate2> issued = new();

    private OwnAuthority(X509Certificate2 own, TimeProvider clock) => (this.own, this.clock) = (own, clock);

    /// <summary>The one of a data folder, made where there is none or its time is over.</summary>
    /// <exception cref="StartException">The folder does not take it, or what is there cannot be read.</exception>
    public static OwnAuthority In(string folder, TimeProvider clock)
    {
        var (key, certificate) = (Path.Combine(folder, KeyFile), Path.Combine(folder, CertificateFile));
        try
        {
            Directory.CreateDirectory(folder);
            if (!File.Exists(key) || !File.Exists(certificate) || Over(certificate, clock))
                Make(key, certificate, clock);
            return new(X509Certificate2.CreateFromPemFile(certificate, key), clock);
        }
        catch (Exception e) when (e is IOException or UnauthorizedAccessException or CryptographicException)
        {
            throw new StartException($"The certificate authority for phones in {folder} cannot be used: {e.Message} Take {KeyFile} and {CertificateFile} "
                + "away for a new one; phones then have to be given it again.", StartException.Folder, e);
        }
    }

    /// <summary>As it is put on a phone, DER.</summary>
    public byte[] Certificate => own.RawData;

    /// <summary>By which its owner knows it again on the phone: SHA-256, pairs of digits.</summary>
    public string Fingerprint => string.Join(' ', Convert.ToHexString(SHA256.HashData(own.RawData)).Chunk(4).Select(c => new string(c)));

    /// <summary>What the machine shows under one of its addresses.</summary>
    public X509Certificate2 For(IPAddress address)
    {
        var at = address.IsIPv4MappedToIPv6 ? address.MapToIPv4() : address;
        return issued.AddOrUpdate(at, Issue, (a, had) => had.NotAfter.ToUniversalTime() - Slack > clock.GetUtcNow() ? had : Issue(a));
    }

    public void Dispose()
    {
        own.Dispose();
        foreach (var c in issued.Values)
            c.Dispose();
    }

    private X509Certificate2 Issue(IPAddress address)
    {
        using var key = ECDsa.Create(ECCurve.NamedCurves.nistP256);
        // The address is a name of its own kind, not the subject's: there some readers would take it for a site's.
        var request = new CertificateRequest("O=Ochema", key, HashAlgorithmName.SHA256);
        var names = new SubjectAlternativeNameBuilder();
        names.AddIpAddress(address);
        request.CertificateExtensions.Add(names.Build());
        request.CertificateExtensions.Add(new X509BasicConstraintsExtension(false, false, 0, true));
        request.CertificateExtensions.Add(new X509KeyUsageExtension(X509KeyUsageFlags.DigitalSignature, true));
        request.CertificateExtensions.Add(new X509EnhancedKeyUsageExtension([new Oid("1.3.6.1.5.5.7.3.1")], false));
        request.CertificateExtensions.Add(X509AuthorityKeyIdentifierExtension.CreateFromCertificate(own, true, false));
        var now = clock.GetUtcNow();
        var until = now + IssuedFor;
        using var bare = request.Create(own, now - Slack, until < own.NotAfter ? until : own.NotAfter, RandomNumberGenerator.GetBytes(16));
        using var whole = bare.CopyWithPrivateKey(key);
        // A key that lives in memory only is not shown by every platform: through its file form it is.
        return X509CertificateLoader.LoadPkcs12(whole.Export(X509ContentType.Pkcs12), null);
    }

    private static bool Over(string file, TimeProvider clock)
    {
        using var there = X509CertificateLoader.LoadCertificateFromFile(file);
        return there.NotAfter.ToUniversalTime() - IssuedFor < clock.GetUtcNow();
    }

    private static void Make(string keyFile, string certificateFile, TimeProvider clock)
    {
        using var key = ECDsa.Create(ECCurve.NamedCurves.nistP256);
        var request = new CertificateRequest($"CN=Ochema on {Environment.MachineName.Replace(',', ' ')}", key, HashAlgorithmName.SHA256);
        request.CertificateExtensions.Add(new X509BasicConstraintsExtension(true, true, 0, true));
        request.CertificateExtensions.Add(new X509KeyUsageExtension(X509KeyUsageFlags.KeyCertSign, true));
        request.CertificateExtensions.Add(new X509SubjectKeyIdentifierExtension(request.PublicKey, false));
        request.CertificateExtensions.Add(new X509Extension("2.5.29.30", Constraints(), critical: true));
        var now = clock.GetUtcNow();
        using var certificate = request.CreateSelfSigned(now - Slack, now + Lives);
        // The key first, and readable by nobody else from its first byte on.
        File.Delete(keyFile);
        var mine = new FileStreamOptions { Mode = FileMode.CreateNew, Access = FileAccess.Write };
        if (!OperatingSystem.IsWindows())
            mine.UnixCreateMode = UnixFileMode.UserRead | UnixFileMode.UserWrite;
        using (var text = new StreamWriter(keyFile, mine))
            text.Write(key.ExportPkcs8PrivateKeyPem());
        File.WriteAllText(certificateFile, certificate.ExportCertificatePem());
    }

    /// <summary>Addresses of local networks are permitted, names of any kind are not (RFC 5280, 4.2.1.10).</summary>
    private static byte[] Constraints()
    {
        var to = new AsnWriter(AsnEncodingRules.DER);
        using (to.PushSequence())
        {
            using (to.PushSequence(new Asn1Tag(TagClass.ContextSpecific, 0)))
                foreach (var n in PhoneDoor.Local.Append(IPNetwork.Parse("127.0.0.0/8")))
                    using (to.PushSequence())
                        to.WriteOctetString([.. n.BaseAddress.GetAddressBytes(), .. Mask(n.PrefixLength)], new Asn1Tag(TagClass.ContextSpecific, 7));
            using (to.PushSequence(new Asn1Tag(TagClass.ContextSpecific, 1)))
            using (to.PushSequence())
                to.WriteCharacterString(UniversalTagNumber.IA5String, "", new Asn1Tag(TagClass.ContextSpecific, 2));
        }
        return to.Encode();
    }

    private static byte[] Mask(int bits)
    {
        var mask = new byte[4];
        for (var i = 0; i < bits; i++)
            mask[i / 8] |= (byte)(0x80 >> (i % 8));
        return mask;
    }
}
