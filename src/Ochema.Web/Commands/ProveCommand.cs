using Ochema.Core.Assessment;
using Ochema.Core.Json;
using Ochema.Core.Proving;
using Ochema.Core.Quantities;

namespace Ochema.Web.Commands;

/// <summary><c>ochema prove FILE [--json]</c>: the pulls and the ladder that prove a rig.</summary>
internal static class ProveCommand
{
    public static int Run(string[] args, TextReader input, TextWriter output, TextWriter error)
    {
        var json = args.Contains("--json");
        return Files.Each([.. args.Where(a => a != "--json")], error, "usage: ochema prove FILE [--json]", file =>
        {
            var report = Files.Rig(file, input, (rig, stock) => Prover.Of(new Design(rig, stock), rig.Run.Speed, [])!);
            if (json)
                output.WriteLine(StrictJson.Write(report));
            else
                Print(report, output);
        });
    }

    private static void Print(ProveReport r, TextWriter o)
    {
        static string Text(string t) => QuantityText.Print(t, UnitSystem.Metric);
        static string Scale(double n) => QuantityFormatter.Format(n, Dimension.Scale, UnitSystem.Metric);
        o.WriteLine(Text(VerdictHeadline.Of(r.Verdict)));
        foreach (var id in r.Order)
        {
            var p = r.Pulls.Concat(r.Levers).First(x => x.Id == id);
            o.WriteLine($"  {p.Title,-52}{Scale(p.Enough),9} for {p.Hold:0} s; it stands {Scale(p.Limit)}");
        }
        foreach (var l in r.LeftOut)
            o.WriteLine($"  {Text(l)}");
        o.WriteLine("Ladder, bottom rung first:");
        foreach (var rung in r.Ladder)
            o.WriteLine($"  {rung.Title}{(rung.Speed is { } v ? $", {QuantityFormatter.Format(v, Dimension.Speed, UnitSystem.Metric)}" : "")}"
                + (rung.Barred is { } why ? $": {Text(why)}" : ""));
    }
}
