using System.Diagnostics;
using System.Globalization;
using Ochema.Core.Analysis;
using Ochema.Core.Assessment;
using Ochema.Core.Json;
using Ochema.Core.Stock;
using Ochema.Core.Structure;
using Ochema.Data;
using Ochema.Web;

// Wall-clock medians and 95th percentiles of what a user waits for. BenchmarkDotNet (--detail) gives allocations as well.
if (args.Contains("--detail"))
{
    BenchmarkDotNet.Running.BenchmarkRunner.Run<Ochema.Bench.AssessmentBenchmarks>();
    return;
}

CultureInfo.CurrentCulture = CultureInfo.InvariantCulture;
const int Warm = 60, Runs = 200;
Console.WriteLine($"{"rig",-34}{"nodes",6}{"assess p50",12}{"p95",8}{"bare p50",10}{"ratio",7}{"speed",9}   (ms)");
foreach (var (id, rig) in DemoFilm.Rigs)
{
    var (p50, p95) = Time(() => Assessor.Assess(rig, Catalogue.Shipped));
    var model = new RigModel(rig, Catalogue.Shipped);
    var system = new FrameSystem(model.Built.Model);
    var (k, m) = (system.Stiffness(_ => true, Enumerable.Range(0, system.Lines.Length)), system.Mass(_ => true));
    // The bare job on the same matrices: one factorisation, six modes.
    var (bare, _) = Time(() =>
    {
        var f = k.Clone();
        system.Factorise(f);
        NaturalModes.Lowest(k, f, m, 6);
    });
    var design = new Design(rig, Catalogue.Shipped);
    var asked = 0.0;
    var (drive, _) = Time(() => design.At(asked = asked > 1.2 * rig.Run.Speed ? 0.3 * rig.Run.Speed : asked * 1.013 + 0.01));
    Console.WriteLine($"{id,-34}{model.Built.Model.Nodes.Count,6}{p50,12:0.00}{p95,8:0.00}{bare,10:0.00}{p50 / bare,7:0.00}{drive,9:0.00}");
}

var folder = Directory.CreateTempSubdirectory("ochema-bench-");
await using (var app = Server.Build(["--data", folder.FullName, "--port", "0"]))
{
    await app.StartAsync();
    using var client = new HttpClient { BaseAddress = new Uri(app.Urls.First()) };
    StringContent Body(string text) => new(text, System.Text.Encoding.UTF8, "application/json");
    byte[] Sent(string path, string text) => client.PostAsync(path, Body(text)).Result.EnsureSuccessStatusCode().Content.ReadAsByteArrayAsync().Result;
    Console.WriteLine($"{"through the API",-34}{"unknowns",9}{"dense",8}{"speed",8}{"ratio",7}{"answer",8}{"make",8}{"shake",8}{"bytes",8}   (ms)");
    foreach (var (id, rig) in DemoFilm.Rigs)
    {
        var text = StrictJson.Write(rig);
        const string whole = "/api/assess?advice=false&workings=false";
        var design = System.Text.Json.Nodes.JsonNode.Parse(Sent(whole, text))!["design"]!["id"]!.ToString();
        var size = new RigModel(rig, Catalogue.Shipped).Size.Unknowns;
        // What any program would do on a dense matrix of the same size: Cholesky and forty right-hand sides, by the numerics library.
        var dense = MathNet.Numerics.LinearAlgebra.Matrix<double>.Build.Dense(size, size, (a, b) => a == b ? size : 1.0 / (1 + Math.Abs(a - b)));
        var right = MathNet.Numerics.LinearAlgebra.Matrix<double>.Build.Dense(size, 40, (a, b) => a + b);
        var (bare, _) = Time(() => dense.Cholesky().Solve(right), 5, 15);
        var (speed, bytes) = (0.3 * rig.Run.Speed, 0);
        var (drive, _) = Time(() =>
        {
            speed = speed > 1.2 * rig.Run.Speed ? 0.3 * rig.Run.Speed : speed * 1.013 + 0.01;
            bytes = Sent("/api/assess/drive", FormattableString.Invariant($$"""{"design":"{{design}}","speed":{{speed}}}""")).Length;
        });
        var (answer, _) = Time(() => Sent(whole, text));
        var (make, _) = Time(() => Sent("/api/make", text), 10, 40);
        var (shake, _) = Time(() => Sent("/api/shake", text), 10, 40);
        Console.WriteLine($"{id,-34}{size,9}{bare,8:0.00}{drive,8:0.00}{drive / bare,7:0.00}{answer,8:0.00}{make,8:0.00}{shake,8:0.00}{bytes,8}");
    }
    await app.StopAsync();
}
Microsoft.Data.Sqlite.SqliteConnection.ClearAllPools();
folder.Delete(recursive: true);

static (double P50, double P95) Time(Action work, int warm = Warm, int runs = Runs)
{
    for (var i = 0; i < warm; i++)
        work();
    var t = new double[runs];
    for (var i = 0; i < runs; i++)
    {
        var s = Stopwatch.GetTimestamp();
        work();
        t[i] = Stopwatch.GetElapsedTime(s).TotalMilliseconds;
    }
    Array.Sort(t);
    return (t[runs / 2], t[runs * 95 / 100]);
}

namespace Ochema.Bench
{
    /// <summary>The same with allocations.</summary>
    [BenchmarkDotNet.Attributes.MemoryDiagnoser]
    public class AssessmentBenchmarks
    {
        [BenchmarkDotNet.Attributes.Benchmark]
        public AssessmentReport Roof() => Assessor.Assess(DemoFilm.Rigs[2].Document, Catalogue.Shipped);

        [BenchmarkDotNet.Attributes.Benchmark]
        public AssessmentReport Bonnet() => Assessor.Assess(DemoFilm.Rigs[0].Document, Catalogue.Shipped);
    }
}
