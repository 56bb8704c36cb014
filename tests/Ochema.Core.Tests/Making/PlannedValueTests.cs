using Ochema.Core.Assessment;
using Ochema.Core.Json;
using Ochema.Core.Making;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Making;

/// <summary>What came out as it was planned changes nothing: each value that a step asks for, put in as the plan has it.</summary>
public sealed class PlannedValueTests
{
    private static readonly Catalogue Stock = Catalogue.Shipped;

    public static TheoryData<string> Names => RigFiles.Names;

    [Theory, MemberData(nameof(Names))]
    public void EnteredAsPlannedTheReportStaysToTheByte(string name)
    {
        var rig = RigFiles.Named(name);
        var before = Report(rig);
        var asked = Maker.Of(rig, Stock).Steps.SelectMany(s => s.Built.Select(r => (Step: s, Asked: r))).DistinctBy(a => a.Asked.Path)
            .ToList();
        var wrong = new List<string>();
        foreach (var (step, reading) in asked)
        {
            if (reading.Planned is not { } planned)
                continue;
            string after;
            try
            {
                after = Report(AsBuilt.Put(rig, Stock, reading.Path, planned, "2026-05-02"));
            }
            catch (DocumentException e)
            {
                wrong.Add($"{step.Id} {reading.Path} = {planned}: {e.Message}");
                continue;
            }
            if (after != before)
                wrong.Add($"{step.Id} {reading.Path} = {planned}: {First(before, after)}");
        }
        Assert.True(wrong.Count == 0, string.Join('\n', wrong));
    }

    /// <summary>Three millimetres more at the saw are three millimetres more of the piece, whatever the document keeps; what is read is
    /// what was entered.</summary>
    [Theory, MemberData(nameof(Names))]
    public void WhatIsCutLongerIsThatMuchLonger(string name)
    {
        var rig = RigFiles.Named(name);
        foreach (var step in Maker.Of(rig, Stock).Steps.Where(s => s.Work == Work.Cut))
            foreach (var cut in step.Built.Where(r => r.Label == "Cut to" && r.Planned + 0.003 <= r.Maximum))
            {
                var line = Line(rig, step.Id);
                var built = AsBuilt.Put(rig, Stock, cut.Path, cut.Planned + 0.003, "2026-05-02");
                Assert.Equal(cut.Planned!.Value + 0.003, Maker.Of(built, Stock).Steps.First(s => s.Id == step.Id).Built.First(r => r.Path
                    == cut.Path).Value!.Value, 9);
                Assert.Equal(line.Length!.Value + 0.003, Line(built, step.Id).Length!.Value, 5e-7);
            }

        static PartLine Line(RigDocument rig, string step) =>
            Maker.Of(rig, Stock) is var make && make.Steps.First(s => s.Id == step) is var at
                ? make.Parts.First(p => p.Step == at.Id && p.Length is not null) : null!;
    }

    /// <summary>One path has one meaning: wherever it is asked for, it is planned the same.</summary>
    [Theory, MemberData(nameof(Names))]
    public void APathIsPlannedTheSameWhereverItIsAskedFor(string name)
    {
        foreach (var path in Maker.Of(RigFiles.Named(name), Stock).Steps.SelectMany(s => s.Built).GroupBy(r => r.Path))
            Assert.Single(path.Select(r => (r.Planned, r.Minimum, r.Maximum)).Distinct());
    }

    private static string Report(RigDocument rig) => StrictJson.Write(Assessor.Assess(rig, Stock));

    /// <summary>Where two texts part.</summary>
    private static string First(string a, string b)
    {
        var at = a.Zip(b).TakeWhile(p => p.First == p.Second).Count();
        string Around(string s) => s[Math.Max(0, at - 120)..Math.Min(s.Length, at + 60)];
        return $"\n    {Around(a)}\n    {Around(b)}";
    }
}
