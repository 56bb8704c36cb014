using Ochema.Core.Assessment;
using Ochema.Core.Json;
using Ochema.Core.Quantities;
using Ochema.Core.Search;

namespace Ochema.Web.Commands;

/// <summary><c>ochema assess FILE [--json]</c>: the answers for a rig document, without a server.</summary>
internal static class AssessCommand
{
    public static int Run(string[] args, TextReader input, TextWriter output, TextWriter error)
    {
        var json = args.Contains("--json");
        return Files.Each([.. args.Where(a => a != "--json")], error, "usage: ochema assess FILE [--json]", file =>
        {
            var report = Files.Rig(file, input, (rig, stock) => Adviser.Assess(rig, stock));
            if (json)
                output.WriteLine(StrictJson.Write(report));
            else
                Print(report, output);
        });
    }

    private static void Print(AssessmentReport r, TextWriter o)
    {
        static string Word(Verdict v) => v switch { Verdict.Holds => "holds", Verdict.Tight => "tight", _ => "lets go" };
        static string Text(string t) => QuantityText.Print(t, UnitSystem.Metric);
        string Kmh(double v) => QuantityFormatter.Format(v, Dimension.Speed, UnitSystem.Metric);
        string Speed(double? v) => v is { } s ? Kmh(s) : $"none up to {Kmh(r.TopSpeed)}";
        o.WriteLine($"{Word(r.Verdict.Word).ToUpperInvariant()}, limit speed {Speed(r.Verdict.LimitSpeed)}");
        o.WriteLine(Text(r.Verdict.Text));
        foreach (var s in r.Stations)
            o.WriteLine($"  {s.Label,-8}{Text(s.Part),-58}{s.Use,6:P0}  {Word(s.Verdict),-8}{s.Says}");
        o.WriteLine("Limit speeds: " + string.Join("; ", r.Flags.Take(6).Select(f => $"{Speed(f.Speed)} {f.Title.ToLowerInvariant()}")));
        foreach (var l in r.LetGo)
            o.WriteLine($"  {l.Title,-30}{l.Use,6:P0}  {Word(l.Verdict),-8}{Speed(l.LimitSpeed),-22}{Text(l.Says)}");
        o.WriteLine("Frequencies: " + string.Join(", ", r.Frequencies.Select(f => $"{f:0.0}")) + " Hz");
        o.WriteLine(Text(r.Picture.Text));
        foreach (var k in r.Retentions)
            o.WriteLine($"{k.Piece}: kept by {k.Has} of {k.Needs}{(k.Has < k.Needs ? $"; {Text(k.Add)}" : "")}");
        o.WriteLine($"{Word(r.Knock.Word)}: {Text(r.Knock.Text)} ({r.Knock.Use:P0})");
        foreach (var f in r.Findings)
            o.WriteLine("! " + Text(f.Text));
        foreach (var a in r.Advice ?? [])
            o.WriteLine($"Try: {a.Title}: {Speed(a.LimitSpeed)}, {a.Use:P0}, {a.Mass:+0.00;-0.00} kg, {a.FirstFrequency:0.0} Hz");
        o.WriteLine($"Mass {r.Mass:0.00} kg, cost {r.Cost:0}");
    }
}
