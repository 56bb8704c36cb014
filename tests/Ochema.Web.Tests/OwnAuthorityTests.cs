using System.Net;
using System.Security.Cryptography;
using System.Security.Cryptography.X509Certificates;
using Microsoft.Extensions.Time.Testing;
using Ochema.Data;
using Ochema.Web.Phone;

namespace Ochema.Web.Tests;

/// <summary>The certificate authority for phones: its key is its owner's, and it vouches for the local network and nothing else.</summary>
public sealed class OwnAuthorityTests : IDisposable
{
    private readonly string folder = Directory.CreateTempSubdirectory("ochema-ca-").FullName;
    private readonly FakeTimeProvider clock = new(DateTimeOffset.UtcNow);

    public void Dispose() => Directory.Delete(folder, recursive: true);

    /// <summary>As the system's own library judges a certificate that an authority issued, at a time.</summary>
    private static bool Trusted(OwnAuthority authority, X509Certificate2 shown, DateTimeOffset at)
    {
        using var chain = new X509Chain();
        using var root = X509CertificateLoader.LoadCertificate(authority.Certificate);
        chain.ChainPolicy.TrustMode = X509ChainTrustMode.CustomRootTrust;
        chain.ChainPolicy.CustomTrustStore.Add(root);
        chain.ChainPolicy.RevocationMode = X509RevocationMode.NoCheck;
        chain.ChainPolicy.VerificationTime = at.LocalDateTime;
        return chain.Build(shown);
    }

    [Theory]
    [InlineData("192.168.178.20", true)]
    [InlineData("10.0.0.7", true)]
    [InlineData("172.16.5.4", true)]
    [InlineData("127.0.0.1", true)]
    [InlineData("203.0.113.9", false)]
    public void VouchesForTheLocalNetworkOnly(string address, bool trusted)
    {
        using var authority = OwnAuthority.In(folder, clock);
        var shown = authority.For(IPAddress.Parse(address));
        Assert.Equal(trusted, Trusted(authority, shown, clock.GetUtcNow()));
        Assert.True(shown.HasPrivateKey);
        Assert.True(shown.MatchesHostname(address, allowCommonName: false));
        Assert.False(shown.MatchesHostname("ochema.example"));
    }

    [Fact]
    public void ASiteOfAnotherNameIsNotVouchedForEvenWithItsKey()
    {
        using var authority = OwnAuthority.In(folder, clock);
        using var stolen = X509Certificate2.CreateFromPemFile(Path.Combine(folder, "phone-authority.crt"), Path.Combine(folder, "phone-authority.key"));
        using var key = ECDsa.Create(ECCurve.NamedCurves.nistP256);
        var request = new CertificateRequest("O=Somebody", key, HashAlgorithmName.SHA256);
        var names = new SubjectAlternativeNameBuilder();
        names.AddDnsName("bank.example");
        request.CertificateExtensions.Add(names.Build());
        using var forged = request.Create(stolen, clock.GetUtcNow().AddDays(-1), clock.GetUtcNow().AddDays(10), [1, 2, 3]);
        Assert.False(Trusted(authority, forged, clock.GetUtcNow()));
    }

    [Fact]
    public void TheKeyIsItsOwnersAndKept()
    {
        string before;
        using (var authority = OwnAuthority.In(folder, clock))
            before = authority.Fingerprint;
        if (!OperatingSystem.IsWindows())
            Assert.Equal(UnixFileMode.UserRead | UnixFileMode.UserWrite, File.GetUnixFileMode(Path.Combine(folder, "phone-authority.key")));
        clock.Advance(TimeSpan.FromDays(400));
        using (var authority = OwnAuthority.In(folder, clock))
        {
            Assert.Equal(before, authority.Fingerprint);
            // What it shows is renewed long before it is over.
            var shown = authority.For(IPAddress.Loopback);
            Assert.Same(shown, authority.For(IPAddress.Loopback));
            clock.Advance(TimeSpan.FromDays(90));
            var later = authority.For(IPAddress.Loopback);
            Assert.NotEqual(shown.SerialNumber, later.SerialNumber);
            Assert.True(Trusted(authority, later, clock.GetUtcNow()));
        }
        clock.Advance(TimeSpan.FromDays(5 * 365));
        using var anew = OwnAuthority.In(folder, clock);
        Assert.NotEqual(before, anew.Fingerprint);
    }

    [Fact]
    public void WhatCannotBeReadIsNamed()
    {
        using (OwnAuthority.In(folder, clock))
            File.WriteAllText(Path.Combine(folder, "phone-authority.key"), "no key");
        var said = Assert.Throws<StartException>(() => OwnAuthority.In(folder, clock)).Message;
        Assert.Contains("phone-authority.key", said, StringComparison.Ordinal);
    }
}
