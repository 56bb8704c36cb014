using Ochema.Core.Analysis;
using Ochema.Core.Assessment;
using Ochema.Core.Hosts;
using Ochema.Core.Kinds.Holds;
using Ochema.Core.Kinds.Bases;
using Ochema.Core.Proving;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Structure;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Proving;

/// <summary>Pulls are what the model document says, and never ask for more than a part stands.</summary>
public class PullTestsTests
{
    private static ProveReport Prove(RigDocument rig, params Entry[] log) =>
        Prover.Of(new Design(rig, Catalogue.Shipped.With(rig.Stock)), rig.Run.Speed, log)!;

    [Theory]
    [MemberData(nameof(RigFiles.Names), MemberType = typeof(RigFiles))]
    public void LoadsAreThoseOfTheModelDocument(string name)
    {
        var rig = RigFiles.Named(name);
        var model = RigModelDocument.Of(rig, Catalogue.Shipped.With(rig.Stock));
        var results = model.Cases.Where(c => c.Without is null).Select(c => c.Result!).ToList();
        foreach (var p in Prove(rig).Pulls)
        {
            var d = Vec3.From(p.Direction);
            Assert.Equal(1, d.Length, 1e-9);
            // Springs that are turned are members in the document, which cannot be quite free any way: a thousandth. A pull puts on a spring what the spring puts on the rig turned round; of a joint either side may be its first.
            var most = results.Max(r => r.LineTensions.TryGetValue(p.Of, out var t) ? t : -Vec3.From(r.SpringForces[p.Of]).Dot(d));
            var other = results.Max(r => r.LineTensions.TryGetValue(p.Of, out var t) ? t : Vec3.From(r.SpringForces[p.Of]).Dot(d));
            Near.Either(p.Load, most, other, 1e-3 * (1 + p.Load), p.Id);
        }
    }

    [Theory]
    [MemberData(nameof(RigFiles.Names), MemberType = typeof(RigFiles))]
    public void NoPullAsksForMoreThanItsPartStands(string name)
    {
        var report = Prove(RigFiles.Named(name));
        foreach (var p in report.Pulls.Concat(report.Levers))
        {
            var arm = p.Lever ?? 1;
            Assert.Equal(Math.Min(1.5 * p.Load / arm, p.Limit), p.Reading, 1e-9 * (1 + p.Reading));
            Assert.Equal(Math.Min(1.5 * p.UnderWay / arm, p.Limit), p.Enough, 1e-9 * (1 + p.Enough));
            Assert.InRange(p.Proves, 0, 1.5 + 1e-9);
            Assert.True(p.Hold >= 10);
        }
        // What is weakest comes last, each once, and each is there.
        var by = report.Pulls.Concat(report.Levers).ToDictionary(p => p.Id);
        Assert.Equal(report.Order.Count, report.Order.Distinct().Count());
        var shares = report.Order.Select(id => by[id].Limit > 0 ? by[id].Enough / by[id].Limit : 1).ToList();
        for (var i = 1; i < shares.Count; i++)
            Assert.True(shares[i] >= shares[i - 1] - 1e-6, report.Order[i]);
    }

    /// <summary>A rig that holds with its factors stands one and a half times what comes under way: no pull of it is stopped short, but of what
    /// may turn and is aimed again, or asks for less than its proof does.</summary>
    [Theory]
    [MemberData(nameof(RigFiles.Names), MemberType = typeof(RigFiles))]
    public void WhatHoldsWithItsFactorIsProvedWithOneAndAHalf(string name)
    {
        var rig = RigFiles.Named(name);
        var report = Prove(rig);
        if (report.Verdict.Word == Verdict.LetsGo)
            return;
        // Straight pulls of holds and straps: their checks ask for a factor of one and a half at the least, and look at nothing else.
        foreach (var p in report.Pulls.Where(p => p.Alone && p.Sort is PullSort.Off or PullSort.Line))
            Assert.True(p.Proves > 1.2, $"{p.Id} proves {p.Proves:0.00}");
    }

    [Fact]
    public void ACupStandsItsVacuumAndAMagnetItsPull()
    {
        // F = Δp·A on a stiff panel: nothing else gives. ISO 2533 for the pressure; lip area of the row.
        var rig = RigFiles.CupAndArm();
        rig = rig with { Site = rig.Site with { Thickness = 0.02 }, Base = new SingleCup { Cup = new Cup { Vacuum = 60000, Since = 0 } } };
        var row = Catalogue.Shipped.Find<SuctionCupRow>("cups", new Cup().Stock);
        var off = Prove(rig).Pulls.First(p => p.Sort == PullSort.Off);
        var along = Prove(rig).Pulls.First(p => p.Sort == PullSort.Along && p.Part == off.Part);
        var force = 60000 * Math.PI / 4 * row.LipDiameter * row.LipDiameter;
        Assert.Equal(force, off.Limit, 0.002 * force);
        // Coulomb: half of it along the panel, clean and dry.
        Assert.Equal(0.5 * force, along.Limit, 0.002 * force);
    }

    [Fact]
    public void APullOfOneHoldAloneIsNotSharedWithTheOthers()
    {
        var rig = RigFiles.Named("magnet-plate-straps");
        var along = Prove(rig).Pulls.Where(p => p.Sort == PullSort.Along).ToList();
        Assert.Equal(4, along.Count);
        // Each gives by itself, and is named.
        foreach (var p in along)
            Assert.Contains(p.Label, p.Gives, StringComparison.OrdinalIgnoreCase);
        Assert.True(along.Max(p => p.Limit) < 1.05 * along.Min(p => p.Limit));
    }

    [Fact]
    public void NobodysHandsArePulledWithAScale()
    {
        var report = Prove(RigFiles.Named("hand-pole"));
        Assert.DoesNotContain(report.Pulls.Concat(report.Levers), p => p.Label == "hands" && p.Alone);
        Assert.Contains(report.LeftOut, l => l.StartsWith("Hands", StringComparison.Ordinal));
    }

    [Fact]
    public void WhatIsRefusedIsNotTriedUnderWay()
    {
        var rig = RigFiles.Named("cup-plate-low-head");
        var refused = rig with { Survey = rig.Survey with { SuctionAllowed = Answer.No } };
        var report = Prove(refused);
        Assert.Equal(Why.Refused, report.Verdict.Why);
        Assert.All(report.Ladder.Where(r => r.Speed is not null), r => Assert.NotNull(r.Barred));
    }
}
