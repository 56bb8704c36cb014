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
    var rig = DemoFilm.Rigs[1].Document;
    var speed = 20.0;
    var bytes = 0;
    var (p50, p95) = Time(() =>
    {
        speed = speed > 40 ? 20 : speed + 0.37;
        var body = new StringContent(StrictJson.Write(rig with { Run = rig.Run with { Speed = speed } }), System.Text.Encoding.UTF8,
            "application/json");
        bytes = client.PostAsync("/api/assess/drive", body).Result.Content.ReadAsByteArrayAsync().Result.Length;
    });
    Console.WriteLine($"a speed change through the API: p50 {p50:0.00} ms, p95 {p95:0.00} ms, {bytes / 1000.0:0.0} kB");
    var (shake50, shake95) = Time(() => client.PostAsync("/api/shake",
        new StringContent(StrictJson.Write(rig), System.Text.Encoding.UTF8, "application/json")).Result.Content.ReadAsStringAsync().Wait());
    var roof = StrictJson.Write(DemoFilm.Rigs[2].Document);
    StringContent Roof() => new(roof, System.Text.Encoding.UTF8, "application/json");
    var (make50, make95) = Time(() => client.PostAsync("/api/make", Roof()).Result.Content.ReadAsStringAsync().Wait());
    Console.WriteLine($"the build plan through the API: p50 {make50:0.00} ms, p95 {make95:0.00} ms");
    Console.WriteLine($"the Shake screen through the API: p50 {shake50:0.00} ms, p95 {shake95:0.00} ms");
    await app.StopAsync();
}
Microsoft.Data.Sqlite.SqliteConnection.ClearAllPools();
folder.Delete(recursive: true);

static (double P50, double P95) Time(Action work)
{
    for (var i = 0; i < Warm; i++)
        work();
    var t = new double[Runs];
    for (var i = 0; i < Runs; i++)
    {
        var s = Stopwatch.GetTimestamp();
        work();
        t[i] = Stopwatch.GetElapsedTime(s).TotalMilliseconds;
    }
    Array.Sort(t);
    return (t[Runs / 2], t[Runs * 95 / 100]);
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
