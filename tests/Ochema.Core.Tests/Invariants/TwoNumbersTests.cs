using Ochema.Core.Assessment;
using Ochema.Core.Stock;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Invariants;

/// <summary>
/// One verdict with two numbers: the word at a speed is the word of the tape at that speed, whatever decides it (loads, what keeps the
/// pieces, answers), and both numbers are the same whichever speed is asked about.
/// </summary>
public sealed class TwoNumbersTests
{
    private static readonly Catalogue Stock = Catalogue.Shipped;

    public static TheoryData<string> Names => RigFiles.Names;

    [Theory, MemberData(nameof(Names))]
    public void TheWordAtASpeedIsTheWordOfTheTape(string name)
    {
        var rig = RigFiles.Named(name);
        foreach (var mass in new double?[] { rig.Camera.Mass, 2 })
        {
            var heavier = rig with { Camera = rig.Camera with { Mass = mass } };
            var design = new Design(heavier, Stock);
            var asked = design.Judge(heavier.Run.Speed, workings: false).Verdict;
            if (asked.Why is Why.Refused or Why.Moves)
                continue;
            Assert.Equal(Word(asked, heavier.Run.Speed), asked.Word);
            foreach (var share in new[] { 0.3, 0.8, 1.3, 1.9 })
            {
                var speed = Math.Min(share * heavier.Run.Speed, asked.LookedTo!.Value);
                if (!design.Answers(speed) || Close(speed, asked.LimitSpeed) || Close(speed, asked.TightSpeed))
                    continue;
                var there = new Design(heavier with { Run = heavier.Run with { Speed = speed } }, Stock)
                    .Judge(speed, workings: false).Verdict;
                Assert.True(Word(asked, speed) == there.Word,
                    $"{mass} kg at {speed}: the tape says {Word(asked, speed)} ({asked.TightSpeed}, {asked.LimitSpeed}), "
                    + $"the verdict {there.Word} ({there.Why}: {there.Text})");
            }
        }
    }

    private static bool Close(double speed, double? number) => number is { } n && Math.Abs(speed - n) < 0.01 * n + 1e-6;

    /// <summary>What the tape shows at a speed.</summary>
    private static Verdict Word(VerdictReport v, double speed) =>
        v.LimitSpeed <= speed ? Verdict.LetsGo : v.TightSpeed <= speed ? Verdict.Tight : Verdict.Holds;
}
