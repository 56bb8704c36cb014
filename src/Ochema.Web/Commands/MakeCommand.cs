using System.Globalization;
using CsvHelper;
using Ochema.Core.Json;
using Ochema.Core.Making;
using Ochema.Core.Quantities;

namespace Ochema.Web.Commands;

/// <summary>
/// <c>ochema make FILE [--json] [--out DIR]</c>: what to buy, cut, drill and do, in which order. <c>--out</c> writes <c>parts.csv</c>, <c>cuts.csv</c>,
/// <c>holes.csv</c> and <c>steps.csv</c> there, and each flat piece at 1:1 as SVG and DXF.
/// </summary>
internal static class MakeCommand
{
    private const string Usage = "usage: ochema make FILE [--json] [--out DIR]";

    public static int Run(string[] args, TextReader input, TextWriter output, TextWriter error)
    {
        var json = args.Contains("--json");
        var at = Array.IndexOf(args, "--out");
        if (at >= 0 && at + 1 >= args.Length)
        {
            error.WriteLine(Usage);
            return 2;
        }
        var folder = at >= 0 ? args[at + 1] : null;
        string[] files = [.. args.Where((a, i) => a != "--json" && (at < 0 || (i != at && i != at + 1)))];
        if (folder is not null && files.Length > 1)
        {
            error.WriteLine("ochema: --out takes one file at a time: their lists would lie on each other");
            return 2;
        }
        return Files.Each(files, error, Usage, file =>
        {
            var report = Files.Rig(file, input, (rig, stock) => Maker.Of(rig, stock));
            if (folder is not null)
                Write(report, Directory.CreateDirectory(folder).FullName);
            if (json)
                output.WriteLine(StrictJson.Write(report));
            else
                Print(report, output);
        });
    }

    private static string Text(string t) => QuantityText.Print(t, UnitSystem.Metric);

    private static string Millimetres(double m) => (1000 * m).ToString("0.0", CultureInfo.InvariantCulture);

    private static void Print(MakeReport r, TextWriter o)
    {
        o.WriteLine($"{r.Steps.Count} steps, {r.HandsOn / 3600:0.0} h hands on; it can be proved after {r.Ready / 3600:0.0} h");
        foreach (var s in r.Steps)
            o.WriteLine($"  {s.Start / 3600,6:0.0} h  {s.Minutes,3:0} min  "
                + $"{(s.HoldPoint ? "HOLD  " : "")}{Text(s.Title)}{(s.Wait > 0 ? $", then {s.Wait / 3600:0.#} h by itself" : "")}\n"
                + $"            {Text(s.How)}");
        o.WriteLine($"Parts, {r.Mass:0.00} kg, {r.Cost:0.00} used, {r.Pay:0.00} to pay:");
        foreach (var p in r.Parts)
            o.WriteLine($"  {p.Quantity,3:0} × {Text(p.Name),-60}{p.Mass,7:0.000} kg{p.Cost,9:0.00}");
        foreach (var c in r.Cuts)
            o.WriteLine($"Cut {Text(c.Name)}: " + (c.Plan.Finding ?? string.Join("; ", c.Plan.Bars!.Select(b => $"from {b.Stock}: "
                + $"{string.Join(", ", b.Pieces)}, {Millimetres(b.Offcut)} mm left"))));
        foreach (var h in r.Holes)
            o.WriteLine($"Hole: {h.Layer}, {h.Count} × {Millimetres(h.Diameter)} mm, "
                + $"{(h.Sort == HoleSort.Tapped ? "tap" : h.Sort == HoleSort.Insert ? "insert for" : "clear for")} {h.Thread} ({h.Title})");
    }

    private static void Write(MakeReport r, string folder)
    {
        Csv(folder, "parts.csv", r.Parts.Select(p => new
        {
            id = p.Id,
            station = p.Station,
            name = Text(p.Name),
            sort = p.Sort.ToString().ToLowerInvariant(),
            aisle = p.Aisle.ToString().ToLowerInvariant(),
            quantity = p.Quantity,
            mass_kg = Math.Round(p.Mass, 4),
            cost = Math.Round(p.Cost, 2),
            step = p.Step,
        }));
        Csv(folder, "cuts.csv", r.Cuts.SelectMany(c => (c.Plan.Bars ?? []).SelectMany((bar, n) => bar.Pieces.Select(piece => new
        {
            section = Text(c.Name),
            bar = n + 1,
            from_m = bar.Stock,
            piece,
            name = Text(r.Parts.First(p => p.Id == piece).Name),
            length_mm = Millimetres(c.Pieces.First(p => p.Id == piece).Length),
            offcut_mm = Millimetres(bar.Offcut),
        }))));
        Csv(folder, "holes.csv", r.Holes.Select(h => new
        {
            joint = h.Joint,
            what = Text(h.Title),
            layer = h.Layer,
            count = h.Count,
            drill_mm = Millimetres(h.Diameter),
            inch_drill = Drills.Name(h.Diameter, UnitSystem.Inch, h.Sort == HoleSort.Clearance),
            sort = h.Sort.ToString().ToLowerInvariant(),
            thread = h.Thread,
            depth_mm = Millimetres(h.Depth),
            edge_mm = h.Edge is { } e ? Millimetres(e) : "",
        }));
        foreach (var t in r.Templates)
            foreach (var format in Enum.GetValues<TemplateFormat>())
                File.WriteAllText(Path.Combine(folder, $"{t.Part}-{TemplateFiles.FileName(t, format)}"),
                    format == TemplateFormat.Dxf ? TemplateFiles.Dxf(t) : TemplateFiles.Svg(t));
        Csv(folder, "steps.csv", r.Steps.Select((s, i) => new
        {
            number = i + 1,
            id = s.Id,
            title = Text(s.Title),
            how = Text(s.How),
            place = s.Place.ToString().ToLowerInvariant(),
            people = s.Crew,
            minutes = s.Minutes,
            wait_h = s.Wait / 3600,
            tools = string.Join("; ", s.Tools.Select(t => t.Name)),
            beware = string.Join(" ", s.Beware),
            if_wrong = Text(s.Wrong),
            after = string.Join(" ", s.After),
        }));
    }

    private static void Csv<T>(string folder, string name, IEnumerable<T> rows)
    {
        using var writer = new StreamWriter(Path.Combine(folder, name));
        using var csv = new CsvWriter(writer, CultureInfo.InvariantCulture);
        csv.WriteRecords(rows);
    }
}
