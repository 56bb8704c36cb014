using System.Globalization;
using Ochema.Core.Assessment;
using Ochema.Core.Making;
using Ochema.Core.Proving;
using Ochema.Core.Quantities;

namespace Ochema.Paper;

/// <summary>What is handed to an inspector, an owner or whoever signs: what the rig is, what was computed, what keeps its pieces, what was
/// proved and when, and what the sheet is not.</summary>
public static class HandOverPaper
{
    /// <summary>What it is of.</summary>
    /// <param name="Name">Of the rig.</param>
    /// <param name="On">Host and place.</param>
    /// <param name="Version">As stored.</param>
    /// <param name="Printed">Day, in words.</param>
    public sealed record Of(string Name, string On, int Version, string Printed);

    /// <summary>Checks that are listed: those that are used most.</summary>
    private const int Listed = 10;

    /// <summary>As a PDF.</summary>
    /// <param name="made">Its parts, for the figure.</param>
    public static byte[] Print(Of of, AssessmentReport report, ProveReport proof, MakeReport made, PaperSize paper,
        UnitSystem units) => Papers.Of($"{of.Name}: to hand over", document =>
    {
        using var flow = new Flow(document, paper,
            $"{of.Name}, version {of.Version} · estimates for planning, proved as far as is said here · no approval and no certificate");
        string Text(string t) => Sheet.Printed(t, units);
        string Speed(double v) => Text(QuantityText.Of(v, Dimension.Speed));
        flow.Text(of.Name, Sheet.Title, bold: true);
        flow.Space(1);
        flow.Text(Text(VerdictHeadline.Of(report.Verdict)), Sheet.Head, bold: true);
        flow.Text($"{of.On} · {Text(QuantityText.Of(report.Mass, Dimension.Mass))} in all · asked for {Speed(proof.Speed)} · version {of.Version} · "
            + of.Printed);
        RigFigure.Draw(flow, report.Figure.Shapes, made, units);
        Uses(flow, report, Text);
        flow.Headline("What keeps each piece, when something lets go");
        foreach (var r in report.Retentions)
            flow.Text($"{r.Piece}: {r.Has} of {r.Needs} asked for ({string.Join(", ", r.By)})", bold: r.Has < r.Needs);
        Proofs(flow, proof, Text, Speed);
        flow.Headline("Cautions");
        foreach (var caution in report.Cautions.Concat(proof.Cautions).Distinct())
            flow.Text(Text(caution));
        flow.Headline("What this sheet is not");
        flow.Text("It is no approval, no certificate and no expert opinion. The figures are estimates for planning by published formulas and, where "
            + "it is said, by judgement. Local rules for road, air, water and events decide; where the law asks for somebody licensed, they look at "
            + "the thing itself and sign what they have looked at.");
        flow.Space(8);
        flow.Room(16);
        foreach (var (label, at) in new[] { ("Looked at by", 0.0), ("Day", 0.55), ("Remarks", 0.75) })
        {
            var x = Flow.Left + at * flow.Width;
            flow.Page.Line(x, flow.Y + 6, x + (at == 0 ? 0.5 : at > 0.7 ? 0.25 : 0.17) * flow.Width, flow.Y + 6);
            flow.Page.Text(x, flow.Y + 10, label, Sheet.Small);
        }
    });

    private static void Uses(Flow flow, AssessmentReport report, Func<string, string> text)
    {
        flow.Headline("Loads and uses, the most used first");
        foreach (var c in report.Checks.Where(c => c.Counts > 0).Take(Listed))
        {
            flow.Room(Sheet.LineOf(Sheet.Body) + 0.6);
            var y = flow.Y + Sheet.LineOf(Sheet.Body) * 0.75;
            flow.Page.Text(Flow.Left, y, flow.Page.Fitted(c.Title, 0.36 * flow.Width));
            flow.Page.Text(Flow.Left + 0.38 * flow.Width, y, flow.Page.Fitted(text(c.Case), 0.34 * flow.Width));
            flow.Page.Text(Flow.Left + 0.82 * flow.Width, y, c.Counts.ToString("P0", CultureInfo.InvariantCulture).Replace(" ", "\u00a0", StringComparison.Ordinal),
                right: true);
            flow.Page.Text(flow.Right, y, c.LimitSpeed is { } v ? text(QuantityText.Of(v, Dimension.Speed)) : "–", right: true);
            flow.Space(Sheet.LineOf(Sheet.Body) + 0.6);
        }
        flow.Text("Check · case · use of the allowed load, required factors included · speed at which it reaches 100 %", Sheet.Small);
    }

    private static void Proofs(Flow flow, ProveReport proof, Func<string, string> text, Func<double, string> speed)
    {
        flow.Headline("Proved by test");
        var p = proof.Proof;
        flow.Text((p.ByPulls is { } by ? $"Pulls prove 1.5 × every load up to {speed(by)}. " : $"{p.Passed} of {proof.Order.Count} pulls passed. ")
            + (p.Driven > 0 ? $"Driven to {speed(p.Driven)}." : "Not tried under way yet.")
            + (p.Stopped is { } s ? " STOPPED: " + text(s.Says) : ""), bold: true);
        var tests = proof.Pulls.Concat(proof.Levers).ToDictionary(t => t.Id);
        foreach (var pull in p.Pulls)
            flow.Text($"{tests[pull.Id].Called}: {(pull.Reading is { } r ? text(QuantityText.Of(r, Dimension.Scale)) : "–")} of "
                + $"{text(QuantityText.Of(tests[pull.Id].Enough, Dimension.Scale))} asked for, {pull.State.ToString().ToLowerInvariant()}, {Day(pull.At)}");
        foreach (var rung in p.Rungs.Where(r => r.State is ProofState.Passed or ProofState.Failed && r.At is not null))
            if (proof.Ladder.First(l => l.Id == rung.Id) is { Sort: RungSort.Trial or RungSort.Bench or RungSort.Travel or RungSort.Tap } l)
                flow.Text($"{l.Title}{(l.Speed is { } v ? $", {speed(v)}" : "")}: {rung.State.ToString().ToLowerInvariant()}, {Day(rung.At!)}"
                    + (rung.Says.Length > 0 ? $" ({text(rung.Says)})" : ""));
        if (p.Simulated)
            flow.Text("Some of these readings are made up by a stand-in and prove nothing: they are of a demonstration.", bold: true);
    }

    private static string Day(string at) => at.Length >= 10 ? at[..10] : at;
}
