using System.Diagnostics;
using System.Net;
using System.Net.Http.Json;
using System.Net.Sockets;
using System.Text.Json.Nodes;
using Microsoft.Data.Sqlite;
using Ochema.Data;

namespace Ochema.Web.Tests;

/// <summary>What the server says, and leaves alone, when its folder is not as it should be; and that a kill while it starts does no
/// harm.</summary>
public sealed class StartTests : IDisposable
{
    private readonly string top = Directory.CreateTempSubdirectory("ochema-start-").FullName;
    private string Folder => Path.Combine(top, "data");
    private string File => Path.Combine(Folder, Storage.FileName);

    public void Dispose() => Directory.Delete(top, recursive: true);

    [Fact]
    public async Task ADamagedFileIsNamedAndLeftAsItIs()
    {
        Directory.CreateDirectory(Folder);
        await System.IO.File.WriteAllTextAsync(File, "these are no films " + new string('x', 5000));
        var before = await System.IO.File.ReadAllBytesAsync(File);
        await Refused(StartException.File, "is damaged or no database at all");
        Assert.Equal(before, await System.IO.File.ReadAllBytesAsync(File));
    }

    [Fact]
    public async Task AFileCutOffIsDamaged()
    {
        await Good();
        Sql("PRAGMA wal_checkpoint(TRUNCATE);");
        await using (var cut = System.IO.File.OpenWrite(File))
            cut.SetLength(cut.Length / 2);
        await Refused(StartException.File, "is damaged or no database at all");
    }

    [Fact]
    public async Task AnotherProgramsFileIsLeftAlone()
    {
        Directory.CreateDirectory(Folder);
        Sql("CREATE TABLE recipes (name TEXT);");
        await Refused(StartException.File, "belongs to another program");
        Sql("SELECT name FROM recipes;");
    }

    [Fact]
    public async Task ANewerVersionsFileIsLeftAlone()
    {
        await Good();
        Sql("INSERT INTO \"__EFMigrationsHistory\" VALUES ('29990101000000_Later', '20.0.0');");
        await Refused(StartException.File, "was written by a newer Ochema (29990101000000_Later)");
    }

    [Fact]
    public async Task ALockedFileIsSaidToBeLocked()
    {
        await Good();
        using var other = new SqliteConnection($"Data Source={File};Pooling=False");
        other.Open();
        using var hold = other.CreateCommand();
        hold.CommandText = "PRAGMA locking_mode=EXCLUSIVE; BEGIN EXCLUSIVE;";
        hold.ExecuteNonQuery();
        await Refused(StartException.Taken, "another program has it locked");
    }

    [Fact]
    public async Task ASecondServerOnTheSameFolderIsRefused()
    {
        using var first = await Running();
        await Refused(StartException.Taken, "Another Ochema is running on the data folder");
        first.Kill();
        await first.WaitForExitAsync();
        // Killed, not stopped: its hold on the folder ends with it.
        using var second = await Running();
        second.Kill();
        await second.WaitForExitAsync();
    }

    [Fact]
    public async Task ATakenPortIsNamedAsSuch()
    {
        using var other = new TcpListener(IPAddress.Loopback, 0);
        other.Start();
        await Refused(StartException.Taken, "The port is taken", ((IPEndPoint)other.LocalEndpoint).Port);
    }

    [Fact]
    public async Task AFileInPlaceOfTheFolderIsSaid()
    {
        await System.IO.File.WriteAllTextAsync(Folder, "");
        await Refused(StartException.Folder, "cannot be made");
    }

    [Fact]
    public async Task AFullDiskIsSaid()
    {
        if (!ServerProcess.CanMount)
            return;
        Directory.CreateDirectory(Folder);
        await Refused(StartException.Folder, "the disk is full", mount: $"mount -t tmpfs -o size=64k none '{Folder}'");
    }

    [Theory] // so little room that its lock goes in, then a page of it, then not the demo film
    [InlineData(8)]
    [InlineData(40)]
    [InlineData(200)]
    public async Task AFirstStartOnADiskWithoutRoomIsOneSentence(int kilobytes)
    {
        if (!ServerProcess.CanMount)
            return;
        Directory.CreateDirectory(Folder);
        await Refused(StartException.Folder, "the disk is full", mount: $"mount -t tmpfs -o size={kilobytes}k none '{Folder}'",
            more: "--demo");
    }

    [Theory]
    [InlineData("99999", null, "--port takes a number from 1 to 65535, not '99999'")]
    [InlineData("-1", null, "--port takes a number")]
    [InlineData("http", null, "--port takes a number")]
    [InlineData(null, "", "--data names no folder")]
    public void WhatCannotBeIsSaidAtTheStart(string? port, string? data, string says)
    {
        var (code, _, error) = CommandTests.Run(null, "--port", port ?? $"{Host.FreePort()}", "--data", data ?? Folder);
        Assert.Equal(StartException.Said, code);
        Assert.Single(error.TrimEnd().Split('\n'));
        Assert.Contains(says, error);
    }

    [Fact]
    public async Task AReadOnlyFolderIsSaidAndLeftAsItIs()
    {
        if (!ServerProcess.CanMount)
            return;
        await Good();
        Sql("PRAGMA wal_checkpoint(TRUNCATE);");
        var before = await System.IO.File.ReadAllBytesAsync(File);
        await Refused(StartException.Folder, "read-only",
            mount: $"mount --bind '{Folder}' '{Folder}' && mount -o remount,ro,bind '{Folder}'");
        Assert.Equal(before, await System.IO.File.ReadAllBytesAsync(File));
    }

    [Fact]
    public async Task ADiskThatFillsUpRefusesTheSaveKeepsTheRestAndTakesItWhenThereIsRoom()
    {
        if (!ServerProcess.CanMount)
            return;
        Directory.CreateDirectory(Folder);
        var port = Host.FreePort();
        using var server = ServerProcess.Start(Folder, port, $"mount -t tmpfs -o size=3m none '{Folder}'");
        await ServerProcess.Ready(server, port);
        using var client = new HttpClient { BaseAddress = new Uri($"http://127.0.0.1:{port}") };
        async Task<HttpResponseMessage> Save() => await client.PostAsync("/api/rigs", Host.Json($$"""{"document":{{Host.DemoDocument()}}}"""));
        async Task<int> Count() => (await client.GetFromJsonAsync<JsonNode>("/api/rigs"))!.AsArray().Count;
        var kept = 0;
        HttpResponseMessage answer;
        while ((answer = await Save()).StatusCode == HttpStatusCode.Created)
            kept++;
        Assert.Equal(HttpStatusCode.InsufficientStorage, answer.StatusCode);
        Assert.Contains("the disk is full", await answer.Content.ReadAsStringAsync());
        Assert.True(kept > 3, $"{kept} kept");
        Assert.Equal(kept, await Count());
        // Room is made where the server sees its disk.
        using (var grow = Process.Start("nsenter", ["-t", $"{server.Id}", "-U", "-m", "--preserve-credentials", "mount", "-o", "remount,size=64m", Folder]))
            await grow.WaitForExitAsync();
        Assert.Equal(HttpStatusCode.Created, (await Save()).StatusCode);
        Assert.Equal(kept + 1, await Count());
        server.Kill();
        await server.WaitForExitAsync();
    }

    [Fact]
    public async Task TheFolderIsItsOwnersAlone()
    {
        if (OperatingSystem.IsWindows())
            return;
        await Good();
        Assert.Equal(UnixFileMode.UserRead | UnixFileMode.UserWrite | UnixFileMode.UserExecute, System.IO.File.GetUnixFileMode(Folder));
    }

    [Fact]
    public async Task AMarkLeftByAKilledMigrationDoesNotStopTheNextStart()
    {
        await Good();
        Sql("""
            CREATE TABLE IF NOT EXISTS "__EFMigrationsLock" ("Id" INTEGER NOT NULL CONSTRAINT "PK___EFMigrationsLock" PRIMARY KEY, "Timestamp" TEXT NOT NULL);
            INSERT INTO "__EFMigrationsLock" VALUES (1, '2026-01-01');
            DELETE FROM "__EFMigrationsHistory"; PRAGMA foreign_keys = OFF;
            """ + string.Concat(Tables().Select(t => $"""DROP TABLE "{t}"; """)));
        await Good();
    }

    [Fact]
    public async Task KilledAtAnyMomentOfItsFirstStartItStartsAgain()
    {
        // More of them with OCHEMA_KILLS, over the same moments.
        var kills = int.TryParse(Environment.GetEnvironmentVariable("OCHEMA_KILLS"), out var many) ? many : 8;
        for (var kill = 0; kill < kills; kill++)
        {
            if (Directory.Exists(Folder))
                Directory.Delete(Folder, recursive: true);
            using (var server = ServerProcess.Start(Folder, Host.FreePort()))
            {
                await Task.Delay(350 + 720 * kill / kills);
                server.Kill();
                await server.WaitForExitAsync();
            }
            await Good();
        }
    }

    /// <summary>What migrations made.</summary>
    private List<string> Tables()
    {
        using var file = new SqliteConnection($"Data Source={File};Pooling=False");
        file.Open();
        using var ask = file.CreateCommand();
        ask.CommandText = "SELECT name FROM sqlite_master WHERE type = 'table' "
            + "AND name NOT LIKE '\\_\\_EF%' ESCAPE '\\' AND name NOT LIKE 'sqlite\\_%' ESCAPE '\\'";
        using var rows = ask.ExecuteReader();
        var names = new List<string>();
        while (rows.Read())
            names.Add(rows.GetString(0));
        return names;
    }

    /// <summary>Starts, is ready, and is stopped.</summary>
    private async Task Good()
    {
        using var server = await Running();
        server.Kill();
        await server.WaitForExitAsync();
    }

    private async Task<Process> Running()
    {
        var port = Host.FreePort();
        var server = ServerProcess.Start(Folder, port);
        await ServerProcess.Ready(server, port);
        return server;
    }

    /// <summary>It does not start: one sentence, the exit code, no names of its insides.</summary>
    private async Task Refused(int code, string says, int? port = null, string? mount = null, params string[] more)
    {
        using var server = ServerProcess.Start(Folder, port ?? Host.FreePort(), mount, more);
        var error = await server.StandardError.ReadToEndAsync().WaitAsync(TimeSpan.FromSeconds(30));
        await server.WaitForExitAsync();
        Assert.Equal(code, server.ExitCode);
        Assert.StartsWith("ochema: ", error);
        Assert.Contains(says, error);
        Assert.Single(error.TrimEnd().Split('\n'));
        Assert.DoesNotContain("Exception", error);
        Assert.DoesNotContain("   at ", error);
    }

    private void Sql(string text)
    {
        using var c = new SqliteConnection($"Data Source={File};Pooling=False");
        c.Open();
        using var command = c.CreateCommand();
        command.CommandText = text;
        command.ExecuteNonQuery();
    }
}
