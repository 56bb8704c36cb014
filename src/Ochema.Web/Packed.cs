using System.Diagnostics;
using System.Net.NetworkInformation;
using System.Reflection;
using System.Runtime.InteropServices;
using Microsoft.Extensions.FileProviders;

namespace Ochema.Web;

/// <summary>The program as a stranger has it: one file with the runtime and the interface inside, which opens the browser by itself.</summary>
internal static class Packed
{
    private const string Manifest = "Microsoft.Extensions.FileProviders.Embedded.Manifest.xml";

    /// <summary>The program that was started.</summary>
    private static readonly Assembly? Program = Assembly.GetEntryAssembly();

    /// <summary>The interface is inside.</summary>
    public static bool Is { get; } = Program?.GetManifestResourceNames().Contains(Manifest) == true;

    /// <summary>The interface that is inside.</summary>
    public static IFileProvider Interface => new ManifestEmbeddedFileProvider(Program!, "ui");

    /// <summary>What it is: its version with the commit it was made from, and the system it was made for.</summary>
    public static string Version
    {
        get
        {
            var version = typeof(Packed).Assembly.GetCustomAttribute<AssemblyInformationalVersionAttribute>()?.InformationalVersion ?? "";
            return $"Ochema {version} for {RuntimeInformation.RuntimeIdentifier}, .NET {Environment.Version}";
        }
    }

    /// <summary>Says what it is.</summary>
    public static int Say(TextWriter to)
    {
        to.WriteLine(Version);
        return 0;
    }

    /// <summary>The usual port, or any where another program has it: nobody who double-clicks knows of ports.</summary>
    public static int FreePort(int usual) =>
        IPGlobalProperties.GetIPGlobalProperties().GetActiveTcpListeners().Any(l => l.Port == usual) ? 0 : usual;

    /// <summary>Opens the browser at an address; false where there is none to open.</summary>
    public static bool Browse(string address)
    {
        try
        {
            // The system's own way: "open", "xdg-open", or by the address itself.
            using var opened = OperatingSystem.IsMacOS() ? Process.Start("open", address)
                : OperatingSystem.IsWindows() ? Process.Start(new ProcessStartInfo(address) { UseShellExecute = true })
                : Process.Start(new ProcessStartInfo("xdg-open", address) { RedirectStandardError = true, RedirectStandardOutput = true });
            return true;
        }
        catch (System.ComponentModel.Win32Exception)
        {
            return false;
        }
    }
}
