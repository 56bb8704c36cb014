using System.Globalization;
using CsvHelper;
using CsvHelper.Configuration;
using Ochema.Core.Assessment;
using Ochema.Core.Json;
using Ochema.Core.Kinds;
using Ochema.Core.Making;
using Ochema.Core.Quantities;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Paper;

namespace Ochema.Web.Commands;

/// <summary>
/// <c>ochema make FILE [--json] [--out DIR] [--paper a4|letter] [--units metric|inch]</c>: what to buy, cut, drill and do, in which order.
/// <c>--out</c> writes
/// <c>parts.csv</c>, <c>cuts.csv</c>, <c>holes.csv</c>, <c>steps.csv</c>, <c>plan.pdf</c>, <c>templates.pdf</c> and <c>measuring.pdf</c>
/// there, and each flat piece at 1:1 as SVG and DXF, it and each plug as a body (STL).
/// </summary>
internal static class MakeCommand
{
    private const string Usage = "usage: ochema make FILE [--json] [--out DIR] [--paper a4|letter] [--units metric|inch]";

    public static int Run(string[] args, TextReader input, TextWriter output, TextWriter error)
    {
        var json = args.Contains("--json");
        var said = new Dictionary<string, string> { ["--out"] = "", ["--paper"] = "a4", ["--units"] = "metric" };
        var files = new List<string>();
        for (var i = 0; i < args.Length; i++)
            if (said.ContainsKey(args[i]))
            {
                if (i + 1 >= args.Length)
                {
                    error.WriteLine(Usage);
                    return 2;
                }
                said[args[i]] = args[++i];
            }
            else if (args[i] != "--json")
                files.Add(args[i]);
        if (PaperSize.Of(said["--paper"]) is not { } paper || !Enum.TryParse<UnitSystem>(said["--units"], ignoreCase: true, out var units)
            || !Enum.IsDefined(units))
        {
            error.WriteLine(Usage);
            return 2;
        }
        var folder = said["--out"] is { Length: > 0 } named ? named : null;
        if (folder is not null && files.Count > 1)
        {
            error.WriteLine("ochema: --out takes one file at a time: their lists would lie on each other");
            return 2;
        }
        return Files.Each([.. files], error, Usage, file =>
        {
            var (named, report) = Files.Rig(file, input, (rig, stock) =>
                (rig, Maker.Judged(Maker.Of(rig, stock), new Design(rig, stock).Whole(workings: false).Verdict)));
            if (folder is not null)
                try
                {
                    Write(report, Directory.CreateDirectory(folder).FullName);
                    Print(named, report, folder, paper, units);
                }
                catch (Exception e) when (e is IOException or UnauthorizedAccessException)
                {
                    throw new DocumentException($"--out {folder}", File.Exists(folder) ? "is a file, not a folder"
                        : "cannot be written there");
                }
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
        o.WriteLine(Text(r.Verdict));
        o.WriteLine($"{r.Steps.Count} steps, {r.HandsOn / 3600:0.0} h hands on"
            + (r.LetsGo ? "" : $"; it can be proved after {r.Ready / 3600:0.0} h"));
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
            o.WriteLine($"Hole: {h.Layer}, {h.Count} × {Millimetres(h.Diameter)} mm, {h.For} ({h.Title})");
    }

    /// <summary>What is printed; a rig that has nothing to print there gets no file.</summary>
    private static void Print(RigDocument rig, MakeReport r, string folder, PaperSize paper, UnitSystem units)
    {
        foreach (var (name, file) in new (string, byte[]?)[]
        {
            ("plan.pdf", PlanPaper.Of(rig.Name, r, paper, units, RigAssembly.Build(rig, Catalogue.Shipped.With(rig.Stock)).Figure)),
            ("cuts.pdf", PlanPaper.OfCuts(rig.Name, r, paper, units)), ("templates.pdf", TemplatePaper.Of(rig.Name, r, paper, units)),
            ("measuring.pdf", MeasuringPaper.Of(rig.Name, rig.Site.Name, r, paper, units)),
        })
            if (file is not null)
                File.WriteAllBytes(Path.Combine(folder, name), file);
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
            countersink_mm = Millimetres(h.Countersink),
            recess_mm = Millimetres(h.RecessAcross),
            recess_deep_mm = Millimetres(h.Recess),
            edge_mm = h.Edge is { } e ? Millimetres(e) : "",
        }));
        foreach (var t in r.Prints)
        {
            string Named(TemplateFormat format) => Path.Combine(folder, TemplateFiles.FileNameOf(t.Part, format));
            File.WriteAllText(Named(TemplateFormat.Svg), TemplateFiles.Svg(t));
            File.WriteAllText(Named(TemplateFormat.Dxf), TemplateFiles.Dxf(t));
            if (t.Flat)
                File.WriteAllBytes(Named(TemplateFormat.Stl), SolidFile.Stl(Solid.Of(t)));
        }
        foreach (var p in r.Plugs)
            File.WriteAllBytes(Path.Combine(folder, TemplateFiles.FileNameOf(p.Part, TemplateFormat.Stl)), SolidFile.Stl(Solid.Of(p)));
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
        // A cell that a table would take for a formula is made a text by the mark before it.
        using var csv = new CsvWriter(writer, new CsvConfiguration(CultureInfo.InvariantCulture) { InjectionOptions = InjectionOptions.Escape });
        csv.WriteRecords(rows);
    }
}
