using Ochema.Core.Assessment;
using Ochema.Core.Proving;
using Ochema.Core.Rigs;
using Ochema.Core.Running;
using Ochema.Core.Stock;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Running;

/// <summary>The card of a day.</summary>
public class RunCardTests
{
    private static readonly DateTime Day = new(2026, 5, 1, 9, 0, 0, DateTimeKind.Utc);

    private static RunCard Of(RigDocument rig, IReadOnlyList<Entry> log, DateTime? now = null) =>
        RunCards.Of(rig, Catalogue.Shipped.With(rig.Stock), Conditions.Of(rig), log, now ?? Day);

    private static Entry Line(RigDocument rig, int n, double minutes, EntrySort sort, string of = "", double? value = null, Outcome? outcome = null) =>
        new Entry($"line-{n:0000}", Made.TextOf(Day.AddMinutes(minutes)), sort)
        {
            Of = of,
            Value = value,
            Outcome = outcome,
            Design = new Design(rig, Catalogue.Shipped.With(rig.Stock)).Id,
        }.Checked("");

    [Theory]
    [MemberData(nameof(RigFiles.Names), MemberType = typeof(RigFiles))]
    public void NothingRunsUnprovedAndEveryListIsTold(string name)
    {
        var card = Of(RigFiles.Named(name), []);
        Assert.Equal(0, card.Allowed);
        Assert.NotEmpty(card.Says);
        Assert.Null(card.Since);
        foreach (var list in new[] { card.On, card.Off })
        {
            Assert.NotEmpty(list);
            Assert.Equal(list.Count, list.Select(t => t.Id).Distinct().Count());
            Assert.All(list, t => Assert.True(t.At is null && t.Count >= 1 && t.Title.Length > 0));
        }
        // Tether before camera on, and after it off.
        int At(IReadOnlyList<Tick> ticks, string word) => ticks.ToList().FindIndex(t => t.Title.StartsWith(word, StringComparison.Ordinal));
        if (At(card.On, "Tether") is >= 0 and var tether && At(card.On, "Camera on") is >= 0 and var camera)
            Assert.True(tether < camera, name);
        if (At(card.Off, "Tether") is >= 0 and var off)
            Assert.True(off > At(card.Off, "Camera off"), name);
    }

    /// <summary>A ladder whose last rung is barred ends below it: what the day would allow beyond what was driven is not run.</summary>
    [Fact]
    public void NothingRunsFasterThanItWasDriven()
    {
        var rig = RigFiles.Named("cup-and-arm");
        rig = rig with { Run = rig.Run with { Speed = 69 } };
        var proved = Prover.Of(new Design(rig, Catalogue.Shipped), rig.Run.Speed, [])!;
        Assert.NotNull(proved.Ladder[^1].Barred);
        var log = new List<Entry>();
        Entry Next(EntrySort sort, string of, double? value = null) => Line(rig, log.Count, log.Count, sort, of, value,
            sort == EntrySort.Tap ? null : Outcome.Passed);
        foreach (var rung in proved.Ladder.Where(r => r.Barred is null))
            if (rung.Sort == RungSort.Pulls)
                foreach (var pull in proved.Pulls.Concat(proved.Levers).Where(p => proved.Order.Contains(p.Id)))
                    log.Add(Next(EntrySort.Pull, pull.Id, pull.Enough));
            else
                log.Add(rung.Sort == RungSort.Tap ? Next(EntrySort.Tap, "tap", proved.Frequency) : Next(EntrySort.Rung, rung.Id, rung.Speed));
        var card = Of(rig, log);
        Assert.Null(card.Proof.Next);
        Assert.True(card.Proof.Driven > 0 && card.Proof.Driven < card.Today.AllowedSpeed);
        Assert.Equal(card.Proof.Driven, card.Allowed, 1e-9);
    }

    [Fact]
    public void WhatIsTickedStaysTickedUntilTheRunEnds()
    {
        var rig = RigFiles.Named("cup-plate-low-head");
        var tick = Of(rig, []).On[0].Id;
        List<Entry> log = [Line(rig, 1, 0, EntrySort.Tick, tick)];
        Assert.NotNull(Of(rig, log).On[0].At);
        log.Add(Line(rig, 2, 1, EntrySort.Untick, tick));
        Assert.Null(Of(rig, log).On[0].At);
        log.Add(Line(rig, 3, 2, EntrySort.Tick, tick));
        log.Add(Line(rig, 4, 3, EntrySort.RunStart));
        Assert.NotNull(Of(rig, log).Since);
        Assert.NotNull(Of(rig, log).LookAgainAt ?? (Of(rig, log).Today.AllowedSpeed > 0 ? null : ""));
        log.Add(Line(rig, 5, 33, EntrySort.RunEnd));
        var after = Of(rig, log);
        Assert.Null(after.Since);
        Assert.Null(after.On[0].At);
        Assert.Equal((1, 1800.0), (after.Runs, after.Ran));
    }

    /// <summary>60 kPa after pumping and 45 an hour later: half of it is gone in ln 2 ÷ ln(60/45) hours, and that is what the day is judged
    /// with.</summary>
    [Fact]
    public void TwoReadingsOfAGaugeAreWhatTheDayIsJudgedWith()
    {
        var rig = RigFiles.Named("cup-plate-low-head");
        var gauge = Of(rig, []).On.First(t => t.Asks == Asks.Gauge).Id;
        List<Entry> log = [Line(rig, 1, 0, EntrySort.Gauge, gauge, 60000), Line(rig, 2, 60, EntrySort.Gauge, gauge, 45000)];
        var leak = Assert.Single(Of(rig, log, Day.AddMinutes(60)).Leaks);
        Assert.Equal(3600 * Math.Log(2) / Math.Log(60.0 / 45), leak.HalfLife!.Value, 1.0);
        var (soon, late) = (Of(rig, log, Day.AddMinutes(60)), Of(rig, log, Day.AddMinutes(400)));
        Assert.True(late.Today.HoldsTo < soon.Today.HoldsTo);
        // Pumped up again: it begins anew.
        log.Add(Line(rig, 3, 390, EntrySort.Gauge, gauge, 61000));
        Assert.True(Of(rig, log, Day.AddMinutes(400)).Today.HoldsTo > late.Today.HoldsTo);
    }

    [Fact]
    public void SoftLayersAreTightenedAgainAfterTheFirstRun()
    {
        var rig = RigFiles.Named("split-block");
        Assert.True(rig.Base.GivesSlowly);
        List<Entry> log = [Line(rig, 1, 0, EntrySort.RunStart), Line(rig, 2, 20, EntrySort.RunEnd)];
        Assert.Contains(Of(rig, log).Due, d => d.Of == "tighten" && d.Now);
        log.Add(Line(rig, 3, 25, EntrySort.Service, "tighten"));
        Assert.DoesNotContain(Of(rig, log).Due, d => d.Of == "tighten");
        // Straps and tethers by their date.
        Assert.DoesNotContain(Of(rig, log).Due, d => d.Of == "webbing");
        Assert.Contains(Of(rig, log, Day.AddDays(3 * 365 + 1)).Due, d => d.Of == "webbing" && d.Now);
    }
}
