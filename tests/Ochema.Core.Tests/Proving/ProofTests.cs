using Ochema.Core.Assessment;
using Ochema.Core.Json;
using Ochema.Core.Proving;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Proving;

/// <summary>What was read and driven proves what it proves, and no more.</summary>
public class ProofTests
{
    private static readonly DateTime Day = new(2026, 5, 1, 9, 0, 0, DateTimeKind.Utc);

    private sealed class Log(RigDocument rig)
    {
        private readonly Design design = new(rig, Catalogue.Shipped.With(rig.Stock));
        private readonly List<Entry> entries = [];

        public Log Add(EntrySort sort, string of, double? value = null, Outcome? outcome = null, string? otherDesign = null, OwnTest? test = null)
        {
            entries.Add(new Entry($"entry-{entries.Count:000}", Made.TextOf(Day.AddMinutes(entries.Count)), sort)
            {
                Of = of,
                Value = value,
                Outcome = outcome,
                Test = test,
                Design = otherDesign ?? design.Id,
            }.Checked(""));
            return this;
        }

        /// <summary>The same design and log, asked about another speed, m/s.</summary>
        public ProveReport At(double speed) => Prover.Of(design, speed, entries, advise: false)!;

        public ProveReport Report(bool advise = false) => Prover.Of(design, rig.Run.Speed, entries, advise)!;

        /// <summary>All pulls read as asked for, times a share.</summary>
        public Log Pulled(double share = 1)
        {
            var report = Report();
            foreach (var p in report.Pulls.Concat(report.Levers).Where(p => report.Order.Contains(p.Id)))
                Add(EntrySort.Pull, p.Id, share * p.Enough, Outcome.Passed);
            return this;
        }

        /// <summary>Everything up to the first trial.</summary>
        public Log UpToTrials(double share = 1)
        {
            foreach (var rung in Report().Ladder.Where(r => r.Sort is RungSort.Bench or RungSort.Travel))
                Add(EntrySort.Rung, rung.Id, outcome: Outcome.Passed);
            Pulled(share);
            return Report().Frequency is { } f ? Add(EntrySort.Tap, "tap", f) : this;
        }
    }

    [Theory]
    [MemberData(nameof(RigFiles.Names), MemberType = typeof(RigFiles))]
    public void WhatIsAskedForProvesTheDesignSpeedAndNoMore(string name)
    {
        var rig = RigFiles.Named(name);
        var report = new Log(rig).Pulled().Report();
        Assert.True(report.Order.Count > 0, "nothing is pulled");
        var stoppedShort = report.Pulls.Concat(report.Levers).Any(p => report.Order.Contains(p.Id) && p.Proves < 1.5 - 1e-9);
        Assert.Equal(report.Order.Count, report.Proof.Passed);
        if (!stoppedShort)
            Assert.True(report.Proof.ByPulls >= rig.Run.Speed - 0.01, $"{report.Proof.ByPulls}");
        Assert.Equal(0, report.Proof.Driven);
        // Half of it proves less, and never more than all of it.
        var half = new Log(rig).Pulled(0.5).Report().Proof;
        Assert.True(half.ByPulls is null || half.ByPulls <= report.Proof.ByPulls + 1e-9);
        Assert.Equal(0, half.Pulls.Count(p => p.State == ProofState.Passed && report.Pulls.Concat(report.Levers)
            .First(t => t.Id == p.Id).Enough > 1));
    }

    [Theory]
    [MemberData(nameof(RigFiles.Names), MemberType = typeof(RigFiles))]
    public void NoRungIsHigherThanWhatHolds(string name)
    {
        var rig = RigFiles.Named(name);
        var report = new Log(rig).Report();
        var holds = Prover.HoldsTo(report.Verdict);
        Assert.All(report.Ladder.Where(r => r.Speed is not null && r.Barred is null), r => Assert.True(r.Speed <= holds + 1e-6));
        Assert.All(report.Ladder, r => Assert.NotEmpty(r.Inspect));
        // A faster wish climbs no higher.
        var fast = rig with { Run = rig.Run with { Speed = report.TopSpeed } };
        var higher = new Log(fast).Report();
        Assert.All(higher.Ladder.Where(r => r.Speed is not null && r.Barred is null),
            r => Assert.True(r.Speed <= Prover.HoldsTo(higher.Verdict) + 1e-6));
    }

    /// <summary>A rig that lets go at the speed asked about and waits for a signature holds to no lower speed either.</summary>
    [Fact]
    public void WhatIsNotAnsweredIsTriedAtNoSpeed()
    {
        var rig = RigFiles.Named("tie-down-block");
        var fast = rig with { Run = rig.Run with { Speed = 100 }, Site = rig.Site with { Surface = Core.Hosts.SurfaceState.Wet } };
        foreach (var any in new[] { rig, fast })
        {
            var report = new Log(any).Report();
            Assert.Equal(0, Prover.HoldsTo(report.Verdict));
            Assert.All(report.Ladder.Where(r => r.Speed is not null), r => Assert.NotNull(r.Barred));
        }
    }

    [Fact]
    public void TheLadderIsClimbedFromBelow()
    {
        var rig = RigFiles.Named("magnet-plate-straps");
        var fresh = new Log(rig).Report();
        Assert.Equal("bench", fresh.Proof.Next);
        // A rung on top of open ones does not count.
        var jumped = new Log(rig).Add(EntrySort.Rung, "full", outcome: Outcome.Passed).Report();
        Assert.Equal((0, "bench"), (jumped.Proof.Driven, jumped.Proof.Next));
        var up = new Log(rig).UpToTrials();
        Assert.Equal("walk", up.Report().Proof.Next);
        var climbed = up.Add(EntrySort.Rung, "walk", 1.4, Outcome.Passed).Add(EntrySort.Rung, "third", rig.Run.Speed / 3, Outcome.Passed).Report();
        Assert.Equal(rig.Run.Speed / 3, climbed.Proof.Driven, 1e-9);
        Assert.Equal("two-thirds", climbed.Proof.Next);
        // Nobody noted how fast: it is to be driven again.
        Assert.Equal("two-thirds", up.Add(EntrySort.Rung, "two-thirds", outcome: Outcome.Passed).Report().Proof.Next);
        // Repeated is not passed; stop stops, and says what to change.
        Assert.Equal("two-thirds", up.Add(EntrySort.Rung, "two-thirds", outcome: Outcome.Repeat).Report().Proof.Next);
        var stopped = up.Add(EntrySort.Rung, "two-thirds", outcome: Outcome.Stop).Report(advise: true).Proof;
        Assert.Null(stopped.Next);
        Assert.Equal("two-thirds", stopped.Stopped!.Of);
    }

    /// <summary>A design is the same at every speed: what was driven at a slow one is not driven at a fast one that the same rung is called
    /// by.</summary>
    [Fact]
    public void AFasterWishClimbsItsRungsAnew()
    {
        var slow = RigFiles.Named("magnet-plate-straps") with { };
        slow = slow with { Run = slow.Run with { Speed = 12 } };
        var log = new Log(slow).UpToTrials(share: 1.2);
        foreach (var rung in log.Report().Ladder.Where(r => r.Sort == RungSort.Trial))
            log.Add(EntrySort.Rung, rung.Id, rung.Speed, Outcome.Passed);
        Assert.Equal(12, log.Report().Proof.Driven, 1e-9);
        Assert.Null(log.Report().Proof.Next);
        var fast = log.At(30);
        Assert.True(fast.Proof.Driven <= 12, $"{fast.Proof.Driven}");
        Assert.NotNull(fast.Proof.Next);
        // And the other way round: what was driven fast is driven slowly, where the pulls do too (a slower joint may carry more).
        Assert.Equal(6, log.At(6).Proof.Driven, 1e-9);
    }

    [Fact]
    public void APullThatMovedStopsTheLadderUntilItHoldsAgain()
    {
        var rig = RigFiles.Named("cup-plate-low-head");
        var log = new Log(rig).UpToTrials();
        var pull = log.Report().Pulls.Last(p => p.Sort == PullSort.Along).Id;
        var stands = log.Report().Pulls.First(p => p.Id == pull).Limit;
        var failed = log.Add(EntrySort.Pull, pull, 0.6 * stands, Outcome.Stop).Report(advise: true).Proof;
        Assert.Equal(pull, failed.Stopped!.Of);
        Assert.Null(failed.Next);
        Assert.Null(failed.ByPulls);
        Assert.NotEmpty(failed.Stopped.Changes);
        var test = log.Report().Pulls.Concat(log.Report().Levers).First(p => p.Id == pull);
        Assert.Null(log.Add(EntrySort.Pull, pull, test.Enough, Outcome.Passed).Report().Proof.Stopped);
    }

    [Fact]
    public void WhatAnotherDesignWasPulledWithProvesNothingOfThisOne()
    {
        var rig = RigFiles.Named("cup-plate-low-head");
        var first = new Log(rig).Report();
        var log = new Log(rig);
        foreach (var p in first.Pulls.Concat(first.Levers))
            log.Add(EntrySort.Pull, p.Id, 10 * p.Enough, Outcome.Passed, otherDesign: "another");
        Assert.Equal(0, log.Report().Proof.Passed);
    }

    [Fact]
    public void ATapThatFellByATenthSaysThatAJointHasLetGo()
    {
        var rig = RigFiles.Named("cup-and-arm");
        var log = new Log(rig).UpToTrials();
        var f = log.Report().Frequency!.Value;
        Assert.Equal(ProofState.Passed, log.Report().Proof.Rungs.First(r => r.Id == "tap").State);
        var fell = log.Add(EntrySort.Tap, "tap", 0.85 * f).Report().Proof;
        Assert.Equal(ProofState.Failed, fell.Rungs.First(r => r.Id == "tap").State);
        Assert.Contains("let go", fell.Rungs.First(r => r.Id == "tap").Says, StringComparison.Ordinal);
    }

    /// <summary>Rolling resistance of a car's tyres on asphalt is 1.0–1.5 % of the weight: 4,536 kg take 445–667 N (Gillespie 1992; from
    /// memory).</summary>
    [Fact]
    public void RollingAVehicleIsAShareOfItsWeight()
    {
        var (least, most) = OwnTests.Rolling(4536);
        Assert.Equal(445, least, 0.5);
        Assert.Equal(667, most, 0.5);
    }

    [Fact]
    public void AShoveSaysUpToWhichSpeedItProves()
    {
        var rig = RigFiles.Named("cup-plate-low-head");
        var log = new Log(rig).Add(EntrySort.Own, "shove", 150, test: OwnTest.OneHand).Add(EntrySort.Own, "shove", 2000, test: OwnTest.TwoHands)
            .Add(EntrySort.Own, "road", 12, test: OwnTest.Driven);
        var own = log.Report().Proof.Own;
        Assert.Contains("nothing about leaking", own[0].Says, StringComparison.Ordinal);
        Assert.True((own[0].ProvesTo ?? 0) < own[1].ProvesTo);
        Assert.Equal(12, own[2].ProvesTo);
        // A vehicle that only rocked says what the shove was not.
        Assert.Null(new Log(rig).Add(EntrySort.Own, "s", 4536, test: OwnTest.Rocked).Report().Proof.Own[0].ProvesTo);
        Assert.NotNull(new Log(rig).Add(EntrySort.Own, "s", 4536, test: OwnTest.Rolled).Report().Proof.Own[0].ProvesTo);
        // More proves no less.
        double? before = null;
        foreach (var newtons in new[] { 20.0, 60, 100, 140, 180, 240, 400 })
        {
            var to = new Log(rig).Add(EntrySort.Own, "s", newtons, test: OwnTest.Pulled).Report().Proof.Own[0].ProvesTo;
            Assert.True((to ?? -1) >= (before ?? -1));
            before = to;
        }
    }

    [Theory]
    [InlineData("short", "2026-05-01T09:00:00Z", 10.0, "key")]
    [InlineData("long-enough-key", "yesterday", 10.0, "at")]
    [InlineData("long-enough-key", "2026-05-01T09:00:00Z", double.NaN, "value")]
    [InlineData("long-enough-key", "2026-05-01T09:00:00Z", -1.0, "value")]
    public void AWrongLineIsRefusedByName(string key, string at, double value, string path) =>
        Assert.Equal(path, Assert.Throws<DocumentException>(() => new Entry(key, at, EntrySort.Pull)
        {
            Of = "x.off",
            Value = value,
            Outcome = Outcome.Passed,
        }.Checked("")).Path);

    [Fact]
    public void AStandInReadsWhatTheModelSaysWithItsErrors()
    {
        var report = new Log(RigFiles.Named("cup-plate-low-head")).Report();
        foreach (var p in report.Pulls.Where(p => p.Enough > 20))
        {
            var reads = Enumerable.Range(1, 40).Select(seed => StandIns.Read(report, p.Id, seed)!.Value).ToList();
            Assert.Equal(reads[0], StandIns.Read(report, p.Id, 1));
            Assert.InRange(reads.Average(), 1.02 * p.Enough, 1.07 * p.Enough);
            Assert.True(reads.Distinct().Count() > 2);
        }
        Assert.Null(StandIns.Read(report, "nothing", 1));
    }
}
