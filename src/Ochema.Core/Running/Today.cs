using Ochema.Core.Assessment;
using Ochema.Core.Proving;
using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Structure;

namespace Ochema.Core.Running;

/// <summary>What a rig may do on a day. SI.</summary>
/// <param name="AllowedSpeed">m/s: as far as it holds on that day, never above the design speed; 0 where it does not run.</param>
/// <param name="LimitedBy">What keeps it from going faster, in words.</param>
/// <param name="LookAgainIn">When to look at it again at the latest, s from now; 0 where it does not run.</param>
/// <param name="Text">The card's sentence.</param>
public sealed record TodayReport(double AllowedSpeed, string LimitedBy, double LookAgainIn, string Text)
{
    /// <summary>Why no faster, in a sentence or two: what the day takes off, and what limits it.</summary>
    public required string Why { get; init; }

    /// <summary>The earliest and the latest of when it has to be looked at, s, as far as the leak is known.</summary>
    public required double[] LookAgainRange { get; init; }

    /// <summary>What of the day takes something off, most first.</summary>
    public required IReadOnlyList<DayCost> Costs { get; init; }

    /// <summary>The verdict on that day at the design speed.</summary>
    public required VerdictReport Verdict { get; init; }

    /// <summary>Design speed, m/s.</summary>
    public required double DesignSpeed { get; init; }

    /// <summary>As far as it holds on that day, m/s, whatever it was designed for.</summary>
    public required double HoldsTo { get; init; }
}

/// <summary>What one condition of the day takes off.</summary>
/// <param name="What">"Gusts take".</param>
/// <param name="Speed">m/s.</param>
public sealed record DayCost(string What, double Speed);

/// <summary>The same rig against today's wind, temperature, altitude, road and the age of the last pump-up.</summary>
public static class Today
{
    /// <summary>Between two looks at the longest, s (common practice, no source: half an hour).</summary>
    private const double Longest = 1800;

    /// <summary>A look sooner than this is none: it is pumped now, s.</summary>
    private const double Soonest = 60;

    /// <summary>Leaks that nobody measured are as much faster or slower (judgement); measured ones within a fifth.</summary>
    private const double Fast = 0.2, Slow = 5, MeasuredFast = 0.8, MeasuredSlow = 1.25;

    /// <summary>Speeds nearer than this are the same, m/s.</summary>
    private const double Same = 0.1;

    /// <summary>Looked ahead so far for a cup that leaks, s.</summary>
    private const double Ahead = 12 * 3600;

    private const int Halvings = 6;

    /// <summary>What the rig may do on a day.</summary>
    /// <exception cref="Json.DocumentException">The rig names something that does not exist on its host.</exception>
    public static TodayReport Of(RigDocument rig, Catalogue stock, Conditions day)
    {
        var today = day.On(rig);
        var speed = rig.Run.Speed;
        var design = new Design(today, stock);
        var verdict = design.At(speed)!.Verdict;
        var holds = Prover.HoldsTo(verdict);
        var allowed = Math.Min(holds, speed);
        var ((by, whole), costs) = allowed >= speed ? (("the design speed", false), [])
            : (Limits(design, verdict, allowed), Costs(rig, stock, day, holds));
        var (look, range) = allowed > 0 ? Look(rig, stock, day, allowed) : (0, [0.0, 0.0]);
        var why = allowed <= 0 ? speed <= 0 && holds > 0
                ? "The design speed is nothing: nobody has asked for any." : NotToday(by, whole, verdict) : (costs.Count > 0
            ? $"{costs[0].What} {QuantityText.Of(costs[0].Speed, Dimension.Speed)} off. " : "") + (whole ? by : $"Limited by {by}.");
        return new(allowed, by, look, Said(allowed, look, why))
        {
            Why = why,
            LookAgainRange = range,
            Costs = costs,
            Verdict = verdict,
            DesignSpeed = speed,
            HoldsTo = holds,
        };
    }

    /// <summary>What is used most where the green ends, and whether that is a whole sentence.</summary>
    private static (string By, bool Whole) Limits(Design design, VerdictReport verdict, double allowed)
    {
        if (verdict.Missing is [var missing, ..])
            return (missing, true);
        if (verdict.Why != Why.Loads || design.Answer(allowed, workings: false) is not { } answer)
            return (verdict.Text, true);
        var worst = answer.Drive.Checks.Where(c => c.Counts > 0).OrderByDescending(c => Ties.Level(c.Counts)).FirstOrDefault();
        var title = worst is null ? null : answer.Design.Checks.FirstOrDefault(c => c.Id == worst.Id)?.Title;
        return title is null ? (verdict.Text, true) : (Words.Inside(title) + (worst!.Case.Length > 0 ? $", {worst.Case}" : ""), false);
    }

    /// <summary>Each condition put back to what the rig was designed for: what it takes off by itself.</summary>
    private static IReadOnlyList<DayCost> Costs(RigDocument rig, Catalogue stock, Conditions day, double holds)
    {
        var as_ = Conditions.Of(rig);
        (string What, Conditions Without)[] each =
        [
            ("Wind takes", day with { Wind = as_.Wind }),
            ("Gusts take", day with { Gust = as_.Gust }),
            ("Heat or cold takes", day with { Temperature = as_.Temperature, Sun = as_.Sun }),
            ("The thin air takes", day with { Altitude = as_.Altitude }),
            ("The road takes", day with { Road = as_.Road }),
            ("The state of the surface takes", day with { Surface = as_.Surface, Rain = as_.Rain }),
            ("The time since pumping takes", day with { HoursSincePump = null, HalfLife = null }),
        ];
        return
        [
            .. each.Where(e => e.Without != day)
                .Select(e => new DayCost(e.What, Prover.HoldsTo(new Design(e.Without.On(rig), stock).At(rig.Run.Speed)!.Verdict) - holds))
                .Where(c => c.Speed > Same).OrderByDescending(c => c.Speed),
        ];
    }

    /// <summary>How long it holds to that speed as its cups leak, nominally and at the ends of what the leak may be, s.</summary>
    private static (double At, double[] Range) Look(RigDocument rig, Catalogue stock, Conditions day, double allowed)
    {
        if (!rig.Base.Grip.Suction && !rig.Braces.Any(x => x.Footing?.Grip.Suction == true))
            return (Longest, [Longest, Longest]);
        bool Less(double later) => Prover.HoldsTo(new Design(
            (day with { HoursSincePump = (day.HoursSincePump ?? 0) + later / 3600 }).On(rig), stock).At(rig.Run.Speed)!.Verdict) < allowed - Same;
        // What is counted until the next look is in the document's own time, from which on it is looked ahead.
        var nominal = !Less(Ahead) ? Ahead
            : Math.Exp(Bisection.Between(Math.Log(Soonest), Math.Log(Ahead), Halvings, log => Less(Math.Exp(log))).Low);
        var (fast, slow) = day.HalfLife is not null ? (MeasuredFast, MeasuredSlow) : (Fast, Slow);
        return (Math.Min(Longest, fast * nominal), [fast * nominal, slow * nominal]);
    }

    private static string NotToday(string by, bool whole, VerdictReport verdict) =>
        $"{VerdictHeadline.Of(verdict)}. {Words.Capital(by)}{(whole ? "" : ".")}";

    private static string Said(double allowed, double look, string why)
    {
        if (allowed <= 0)
            return $"Not on such a day. {why}";
        var minutes = Math.Floor(look / 60);
        return $"Up to {QuantityText.Of(allowed, Dimension.Speed)}. {why} Look again {(minutes >= 1 ? $"in {minutes:0} min" : "before every start")}. "
            + "Planning estimate: it runs no faster than it was proved.";
    }
}
