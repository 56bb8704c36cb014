using System.Net;
using System.Net.NetworkInformation;
using System.Net.Sockets;
using Microsoft.AspNetCore.Server.Kestrel.Core;

namespace Ochema.Web.Phone;

/// <summary>
/// The second door of the server, open to the local network: what comes in through it may prove and run the rigs it was paired for, and
/// nothing else. The first door, on the machine's own address, is not reached from elsewhere. A request is known by the door that it came
/// through, not by what it says of itself.
/// </summary>
/// <param name="port">Where it listens.</param>
/// <param name="authority">Who vouches for it; null where it speaks in the clear.</param>
public sealed class PhoneDoor(int port, OwnAuthority? authority)
{
    /// <summary>Who vouches for it; null where it speaks in the clear.</summary>
    public OwnAuthority? Authority => authority;

    /// <summary>Marks the connections that came in through it.</summary>
    private sealed record Entered;

    public static bool Through(HttpContext context) => context.Features.Get<Entered>() is not null;

    /// <summary>Opens it on all addresses of the machine.</summary>
    public void Open(KestrelServerOptions kestrel) => kestrel.Listen(IPAddress.Any, port, door =>
    {
        if (authority is not null)
            door.UseHttps(https => https.ServerCertificateSelector = (connection, _) =>
                authority.For(((IPEndPoint)connection!.LocalEndPoint!).Address));
        door.Use(next => connection =>
        {
            connection.Features.Set(new Entered());
            return next(connection);
        });
    });

    /// <summary>Where a phone finds it: an address a line, those of the local network only.</summary>
    public IReadOnlyList<string> Addresses() => [.. LocalAddresses().Select(a => $"{(authority is null ? "http" : "https")}://{a}:{port}/")];

    /// <summary>The machine's addresses on local networks, IPv4.</summary>
    private static IEnumerable<IPAddress> LocalAddresses() => NetworkInterface.GetAllNetworkInterfaces()
        .Where(n => n.OperationalStatus == OperationalStatus.Up && n.NetworkInterfaceType != NetworkInterfaceType.Loopback)
        .SelectMany(n => n.GetIPProperties().UnicastAddresses).Select(a => a.Address)
        .Where(a => a.AddressFamily == AddressFamily.InterNetwork && IsLocal(a));

    /// <summary>An address of a local network (RFC 1918, RFC 3927) or of the machine itself: a phone beside the vehicle has one.</summary>
    public static bool IsLocal(IPAddress address)
    {
        if (address.IsIPv4MappedToIPv6)
            address = address.MapToIPv4();
        return IPAddress.IsLoopback(address) || Local.Any(n => n.Contains(address));
    }

    /// <summary>Local networks (RFC 1918, RFC 3927).</summary>
    public static readonly IReadOnlyList<IPNetwork> Local =
        [IPNetwork.Parse("10.0.0.0/8"), IPNetwork.Parse("172.16.0.0/12"), IPNetwork.Parse("192.168.0.0/16"), IPNetwork.Parse("169.254.0.0/16")];
}
