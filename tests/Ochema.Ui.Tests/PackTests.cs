using System.Diagnostics;
using System.Formats.Tar;
using System.IO.Compression;
using System.Net.Http.Json;
using System.Text;
using System.Text.Json.Nodes;
using System.Text.RegularExpressions;

namespace Ochema.Ui.Tests;

/// <summary>The archives that <c>./ochema pack</c> makes: the one for this system is unpacked and run with nothing on the path, the others are looked
/// into.</summary>
public sealed partial class PackTests : IClassFixture<PackTests.Packs>, IDisposable
{
    private readonly Packs packs;
    private readonly string home = Directory.CreateTempSubdirectory("ochema-home-").FullName;

    public PackTests(Packs packs)
    {
        this.packs = packs;
        Directory.CreateDirectory(Path.Combine(home, "bin"));
    }

    public void Dispose() => Directory.Delete(home, recursive: true);

    /// <summary>The archives: made beside the tests by <c>./ochema test</c>, or here.</summary>
    public sealed class Packs : IDisposable
    {
        private readonly string unpacked = Directory.CreateTempSubdirectory("ochema-pack-").FullName;

        public Packs()
        {
            Folder = Environment.GetEnvironmentVariable("OCHEMA_PACKS") ?? Path.Combine(unpacked, "packs");
            var done = Path.Combine(Folder, "done");
            if (Environment.GetEnvironmentVariable("OCHEMA_PACKS") is null)
            {
                using var pack = Process.Start(new ProcessStartInfo(Path.Combine(Browser.Root, "ochema"), ["pack", "--out", Folder])
                {
                    RedirectStandardOutput = true,
                    RedirectStandardError = true,
                })!;
                var (said, wrong) = (pack.StandardOutput.ReadToEndAsync(), pack.StandardError.ReadToEndAsync());
                pack.WaitForExit();
                Assert.True(pack.ExitCode == 0, said.Result + wrong.Result);
                File.WriteAllText(done, "0");
            }
            Browser.Until("the archives", () => File.Exists(done), seconds: 900);
            Assert.True(File.ReadAllText(done).Trim() == "0", "it could not be packed: see .ochema/pack-*.log");
            var linux = Archive("linux-x64.tar.gz");
            using var file = File.OpenRead(linux);
            using var text = new GZipStream(file, CompressionMode.Decompress);
            TarFile.ExtractToDirectory(text, unpacked, overwriteFiles: false);
            Program = Directory.GetFiles(unpacked, "ochema", SearchOption.AllDirectories).Single();
        }

        private string Folder { get; }

        /// <summary>The one for this system.</summary>
        public string Program { get; }

        public string Archive(string end) => Directory.GetFiles(Folder, "ochema-*-" + end).Single();

        public void Dispose() => Directory.Delete(unpacked, recursive: true);
    }

    private Process Start(params string[] options)
    {
        var start = new ProcessStartInfo(packs.Program, options) { RedirectStandardOutput = true, RedirectStandardError = true, WorkingDirectory = home };
        start.Environment.Clear();
        start.Environment["HOME"] = home;
        start.Environment["PATH"] = Path.Combine(home, "bin");
        return Process.Start(start)!;
    }

    /// <summary>Where it says that it is.</summary>
    private static string Address(Process program)
    {
        var said = "";
        while (program.StandardOutput.ReadLine() is { } line)
            if (AddressPattern().Match(said += line) is { Success: true } found)
                return found.Value;
        throw new InvalidOperationException($"It ended: {said}{program.StandardError.ReadToEnd()}");
    }

    [Fact]
    public void SaysWhatItIs()
    {
        using var program = Start("--version");
        Assert.Matches(@"^Ochema \d+\.\d+\.\d+\S* for linux-x64, \.NET \d+\.", program.StandardOutput.ReadToEnd());
        program.WaitForExit();
        Assert.Equal(0, program.ExitCode);
    }

    [Fact]
    public async Task OpensTheBrowserAndKeepsTheFilmsInTheUsersOwnFolder()
    {
        // What the system opens addresses with, as far as this test goes.
        var opener = Path.Combine(home, "bin/xdg-open");
        await File.WriteAllTextAsync(opener, $"#!/bin/sh\necho \"$1\" > {home}/opened\n");
        if (!OperatingSystem.IsWindows())
            File.SetUnixFileMode(opener, UnixFileMode.UserRead | UnixFileMode.UserWrite | UnixFileMode.UserExecute);
        for (var round = 0; round < 2; round++)
        {
            File.Delete(Path.Combine(home, "opened"));
            using var program = Start();
            try
            {
                var address = Address(program);
                Browser.Until("the browser", () => File.Exists(Path.Combine(home, "opened"))
                    && File.ReadAllText(Path.Combine(home, "opened")).Trim() == address);
                using var client = new HttpClient { BaseAddress = new Uri(address) };
                var page = await client.GetStringAsync("");
                var script = ScriptPattern().Match(page).Value;
                Assert.True((await client.GetByteArrayAsync(script)).Length > 100_000);
                Assert.Equal(page, await client.GetStringAsync("rig"));
                Assert.Contains("QRCoder", await client.GetStringAsync("notices.txt"), StringComparison.Ordinal);
                if (round == 0)
                    Assert.True((await client.PostAsync("api/films/demo", null)).IsSuccessStatusCode);
                var films = (await client.GetFromJsonAsync<JsonArray>("api/films"))!;
                Assert.Single(films);
                // Rope, frame, fonts and paper are all inside.
                var sheet = await client.GetByteArrayAsync("api/rigs/demo-15-between-the-rows/sheet");
                Assert.Equal("%PDF", Encoding.ASCII.GetString(sheet[..4]));
            }
            finally
            {
                program.Kill();
                await program.WaitForExitAsync();
            }
        }
        Assert.True(File.Exists(Path.Combine(home, ".local/share/ochema/ochema.db")));
    }

    [Fact]
    public void TheOneForWindowsIsAProgramWithAllInside()
    {
        using var zip = ZipFile.OpenRead(packs.Archive("win-x64.zip"));
        Assert.Equal(["notices.txt", "ochema.exe", "start-here.txt"], zip.Entries.Select(e => e.Name).Order(StringComparer.Ordinal));
        var program = Bytes(zip.GetEntry("ochema.exe")!.Open());
        Assert.Equal("MZ", Encoding.ASCII.GetString(program[..2]));
        var header = BitConverter.ToInt32(program, 0x3c);
        Assert.Equal(0x8664, BitConverter.ToUInt16(program, header + 4)); // x64, by the PE format
        Holds(program, "e_sqlite3.dll");
    }

    [Fact]
    public void TheOneForMacIsAProgramWithAllInside()
    {
        using var file = File.OpenRead(packs.Archive("osx-arm64.tar.gz"));
        using var text = new GZipStream(file, CompressionMode.Decompress);
        using var tar = new TarReader(text);
        var entries = new List<TarEntry>();
        while (tar.GetNextEntry(copyData: true) is { } entry)
            entries.Add(entry);
        Assert.Equal(["notices.txt", "ochema", "start-here.txt"], entries.Where(e => e.EntryType == TarEntryType.RegularFile)
            .Select(e => Path.GetFileName(e.Name)).Order(StringComparer.Ordinal));
        var own = entries.Single(e => Path.GetFileName(e.Name) == "ochema" && e.EntryType == TarEntryType.RegularFile);
        Assert.True(own.Mode.HasFlag(UnixFileMode.UserExecute));
        var program = Bytes(own.DataStream!);
        Assert.Equal(0xfeedfacf, BitConverter.ToUInt32(program)); // Mach-O of 64 bits
        Assert.Equal(0x0100000c, BitConverter.ToInt32(program, 4)); // arm64
        Holds(program, "libe_sqlite3.dylib");
        // Unsigned, that system would not start it at all: the load command of a signature (LC_CODE_SIGNATURE) is there.
        var at = 32;
        var commands = Enumerable.Range(0, BitConverter.ToInt32(program, 16)).Select(_ =>
        {
            var (command, size) = (BitConverter.ToInt32(program, at), BitConverter.ToInt32(program, at + 4));
            at += size;
            return command;
        }).ToList();
        Assert.Contains(0x1d, commands);
    }

    /// <summary>The native part that comes as a file, our own code, the interface and the film to look round in.</summary>
    private static void Holds(byte[] program, params string[] parts)
    {
        foreach (var part in parts.Concat(["Ochema.Core.dll", "Ochema.Web.dll",
            "Microsoft.Extensions.FileProviders.Embedded.Manifest.xml", "Ochema.Data.Demo."]))
            Assert.True(program.AsSpan().IndexOf(Encoding.UTF8.GetBytes(part)) > 0, part);
    }

    private static byte[] Bytes(Stream from)
    {
        using var to = new MemoryStream();
        using (from)
            from.CopyTo(to);
        return to.ToArray();
    }

    [GeneratedRegex(@"http://127\.0\.0\.1:\d+")]
    private static partial Regex AddressPattern();

    [GeneratedRegex("assets/index-[A-Za-z0-9_-]+\\.js")]
    private static partial Regex ScriptPattern();
}
