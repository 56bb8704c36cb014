using Ochema.Core.Json;
using Ochema.Core.Kinds.Bases;
using Ochema.Core.Kinds.Reaches;
using Ochema.Core.Making;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Making;

/// <summary>What was made carries what it was made as: nothing counts as done that is not.</summary>
public sealed class MadeMeasuresTests
{
    private const string Day = "2026-05-02";
    private const string Time = "2026-05-02T10:00:00Z";
    private static readonly Catalogue Stock = Catalogue.Shipped;

    public static TheoryData<string> Names => RigFiles.Names;

    private static RigDocument AllDone(RigDocument rig) => rig with
    {
        Made = Maker.Of(rig, Stock).Steps.ToDictionary(s => s.Id, s =>
        s.DoneAt(Time))
    };

    [Theory, MemberData(nameof(Names))]
    public void WhatWasDoneAsDrawnIsDoneAndSaysSoAfterBeingWrittenAndRead(string name)
    {
        var rig = AllDone(RigFiles.Named(name));
        Assert.All(Maker.Of(RigReader.Read(StrictJson.Write(rig), Stock), Stock).Steps, s =>
            Assert.True(s is { IsDone: true, IsOutdated: false }, s.Id));
    }

    [Theory, MemberData(nameof(Names))] // whatever the kind: a piece drawn otherwise is not the one that was cut, and all else stays done
    public void APieceDrawnLongerThanItWasCutIsNotDone(string name)
    {
        var rig = AllDone(RigFiles.Named(name));
        foreach (var cut in Maker.Of(rig, Stock).Steps.Where(s => s.Work == Work.Cut).SelectMany(s => s.Built.Where(r => r.Label == "Cut to").Select(r => (s, r))))
        {
            var (step, reading) = cut;
            if (DocumentPath.ValueAt(rig, reading.Place!) is not { } drawn || reading.Planned + 0.02 > reading.Maximum)
                continue;
            var changed = DocumentPath.With(rig, Stock, reading.Place!, drawn + 0.02);
            var now = Maker.Of(changed, Stock).Steps.First(s => s.Id == step.Id);
            Assert.True(now is { IsDone: false, IsOutdated: true }, step.Id);
            var length = now.MadeAs.First(m => m.Id == reading.Path);
            Assert.True(length.Differs);
            Assert.Equal((reading.Planned!.Value, reading.Planned!.Value + 0.02),
                (Math.Round(length.Made!.Value, 9), Math.Round(length.Drawn, 9)),
                (a, b) => Math.Abs(a.Item1 - b.Item1) + Math.Abs(a.Item2 - b.Item2) < 1e-6);
            // "Keep mine": what was made is what the rig has.
            var kept = AsBuilt.Put(changed, Stock, reading.Path, length.Made, Day);
            Assert.True(Maker.Of(kept, Stock).Steps.First(s => s.Id == step.Id).IsDone);
            Assert.Equal(drawn, DocumentPath.ValueAt(kept, reading.Place!)!.Value, 5e-7);
        }
    }

    [Fact] // holes of a plate that is cut anew were drilled in the old one
    public void WhatWasDrilledInAPieceThatIsNoneAnyMoreIsNotDone()
    {
        var rig = AllDone(RigFiles.Named("cup-plate-riser"));
        var longer = rig with { Base = (HoldPlate)rig.Base with { Length = ((HoldPlate)rig.Base).Length + 0.05 } };
        var steps = Maker.Of(longer, Stock).Steps;
        Assert.All(steps.Where(s => s.Work == Work.Drill && s.Station == "base"), s =>
            Assert.True(s is { IsDone: false, IsOutdated: true }, s.Id));
        Assert.True(steps.Single(s => s.Id == "cut.reach.riser.riser").IsDone);
        Assert.True(steps.Single(s => s.Work == Work.Deburr).IsDone);
    }

    [Fact] // read off otherwise than drawn: that is how it was made
    public void WhatCameOutOtherwiseIsDone()
    {
        var rig = AllDone(RigFiles.Named("cup-plate-riser"));
        var built = AsBuilt.Put(rig, Stock, "paths.[first].reach.height", Assert.IsType<Riser>(rig.Reach).Height + 0.004, Day);
        Assert.True(Maker.Of(built, Stock).Steps.Single(s => s.Id == "cut.reach.riser.riser").IsDone);
    }

    [Fact]
    public void ThePlateOfAnotherBaseWasNeverCut()
    {
        var rig = AllDone(RigFiles.Named("cup-plate-riser"));
        var other = rig with { Base = RigFiles.Named("rail-table").Base };
        var cuts = Maker.Of(other, Stock).Steps.Where(s => s.Work == Work.Cut && s.Station == "base").ToList();
        Assert.NotEmpty(cuts);
        Assert.All(cuts, s => Assert.True(s is { IsDone: false, IsOutdated: false }, s.Id));
    }

    [Fact] // documents of before: kept, and asked about
    public void WhatWasDoneBeforeItsMeasuresWereKeptIsAskedAbout()
    {
        var rig = RigFiles.Named("cup-plate-riser") with
        {
            Made = new Dictionary<string,
            Made>
            { ["cut.base"] = new(Time), ["deburr.rig"] = new(Time) }
        };
        var steps = Maker.Of(rig, Stock).Steps;
        Assert.True(steps.Single(s => s.Id == "cut.base.hold-plate.plate") is { IsDone: false, IsOutdated: true, Earlier: "cut.base" });
        Assert.True(steps.Single(s => s.Id == "deburr.rig") is { IsDone: true, IsOutdated: false });
    }

    [Theory, MemberData(nameof(Names))]
    public void EveryPieceAndEveryLineHasANameOfItsOwn(string name)
    {
        var rig = RigFiles.Named(name);
        var make = Maker.Of(rig, Stock);
        Assert.Equal(make.Parts.Count, make.Parts.Select(p => p.Key).Distinct().Count());
        Assert.Equal(make.Parts.Sum(p => p.Pieces.Count), make.Parts.SelectMany(p => p.Pieces).Distinct().Count());
        Assert.Equal(make.Steps.Count, make.Steps.Select(s => s.Id).Distinct().Count());
    }
}
