using System.Diagnostics;
using Ochema.Core.Assessment;
using Ochema.Core.Json;
using Ochema.Core.Kinds;
using Ochema.Core.Quantities;
using Ochema.Core.Rigs;
using Ochema.Core.Sharpness;
using Ochema.Core.Stock;
using Ochema.Core.Structure;

namespace Ochema.Core.Search;

/// <summary>What is asked of a rig as it is drawn, and the least that reaches it.</summary>
/// <param name="Asked">The demand in words: speed, lens, sharp.</param>
/// <param name="Reached">True where the rig does it as it stands.</param>
/// <param name="Steps">The changes that reach it together, none that could be left out; empty where it is reached, or no few do.</param>
/// <param name="With">All of them made: verdict, what it gains and costs; null without steps.</param>
/// <param name="Word">Of the picture with them; null without steps.</param>
/// <param name="Allows">What the rig allows as it stands; null where it is reached.</param>
/// <param name="Tried">Combinations that were judged.</param>
/// <param name="Ended">True where the time was up before all of them were.</param>
public sealed record GoalReport(
    string Asked, bool Reached, IReadOnlyList<GoalStep> Steps, Change? With, Sharp? Word, GoalAllows? Allows, int Tried = 0,
        bool Ended = false);

/// <summary>One of the changes.</summary>
public sealed record GoalStep(string Id, string Station, string Title);

/// <summary>What a rig allows as it stands.</summary>
/// <param name="Speed">m/s up to which it holds, and its picture is sharp where that is asked; null where it does at no speed.</param>
/// <param name="FocalLength">Longest, m, that is sharp at the speed that is asked; null where the loads are in the way or no lens is
/// changed.</param>
/// <param name="HostAlone">True where its host's own turning alone is more than a sharp picture allows: no mount takes that away.</param>
public sealed record GoalAllows(double? Speed, double? FocalLength, bool HostAlone);

/// <summary>
/// Where no single change reaches what is asked, the smallest set of two or three that does, else what the rig allows. It widens from the
/// changes that come nearest, a number of tries at the most; the demand itself, speed and lens, is never among the changes.
/// </summary>
public static class GoalSearch
{
    /// <summary>More changes than these are another rig.</summary>
    private const int MostSteps = 3;

    /// <summary>So many of those that come nearest are gone on from.</summary>
    private const int Width = 5;

    /// <summary>Rigs that are judged in one search at the most.</summary>
    private const int MostTried = 420;

    /// <summary>Longest that combinations are tried; on any usual machine all have been by then. Between so many the clock is looked
    /// at.</summary>
    private static readonly TimeSpan Longest = TimeSpan.FromSeconds(6);
    private const int AtATime = 16;

    /// <summary>Speeds that are looked at for what a rig allows, and halvings between two of them.</summary>
    private const int Speeds = 8;
    private const int Halvings = 5;

    /// <summary>How far a rig is from what is asked, 0 for there: by its loads and by its picture.</summary>
    private sealed record Standing(RigDocument Rig, IReadOnlyList<GoalStep> Steps, double Loads, double Picture, double Cost, double Mass)
    {
        public double Far => Loads + Picture;

        public bool IsThere => Loads <= 0 && Picture <= 0;
    }

    /// <summary>The rig against what it asks of itself: its design speed, its lens, and a sharp picture where it takes one.</summary>
    /// <param name="sharp">False where only the loads count.</param>
    /// <exception cref="OperationCanceledException">Whoever asked has gone on.</exception>
    public static GoalReport Of(RigDocument rig, Catalogue stock, bool sharp = true, CancellationToken stop = default)
    {
        var pictures = sharp && stock.Find<CameraRow>("cameras", rig.Camera.Body).Makes == Makes.Picture;
        var lens = stock.Find<LensRow>("lenses", rig.Camera.Lens).At(rig.Camera.FocalLength);
        var asked = $"{QuantityText.Of(rig.Run.Speed, Dimension.Speed)}"
            + (pictures ? $", {QuantityText.Of(lens.FocalLength, Dimension.Length)} lens, sharp" : "");
        var now = Judge(rig, [], stock, pictures);
        if (now.IsThere)
            return new(asked, true, [], null, null, null);
        var (found, tried, ended) = Nearest(now, stock, pictures, stop);
        if (found is not null)
        {
            var (before, after) = (Assessor.Assess(rig, stock), Assessor.Assess(found.Rig, stock));
            var worth = Worth.Of(before, after);
            var change = new Change("goal", "rig", string.Join(", then ", found.Steps.Select(s => s.Title)), after.Verdict.LimitSpeed,
                after.Verdict.Use,
                after.Verdict.Word, after.Mass - before.Mass, after.Cost - before.Cost, after.Frequencies.Count > 0 ? after.Frequencies[0]
                    : null, found.Rig,
                after.Verdict.Why)
            { Gains = worth.Gains, Trades = worth.Trades };
            return new(asked, false, found.Steps, change, after.Sharpness.Word, null, tried, ended);
        }
        var alone = pictures && Inside(Shaker.Words(new Design(rig, stock).Model)).Any(n => n.Floor > n.FirstLimit);
        return new(asked, false, [], null, null, new(Fastest(rig, stock, pictures, stop), pictures ? LongestLens(now, rig, lens, stock)
            : null, alone),
            tried, ended);
    }

    private static (Standing? Found, int Tried, bool Ended) Nearest(Standing now, Catalogue stock, bool pictures, CancellationToken stop)
    {
        var (from, seen, left) = ((IReadOnlyList<Standing>)[now], new HashSet<string> { StrictJson.Write(now.Rig) }, MostTried);
        var (clock, ended) = (Stopwatch.StartNew(), false);
        for (var step = 0; step < MostSteps && left > 0; step++)
        {
            var next = from.SelectMany(s => Changes(s, stock)).Where(c => seen.Add(StrictJson.Write(c.Rig))).Take(left).ToList();
            var judged = new List<Standing>();
            foreach (var some in next.Chunk(AtATime).TakeWhile(_ => !(ended = clock.Elapsed > Longest)))
            {
                left -= some.Length;
                judged.AddRange(Trials.Each(some, c => Judge(c.Rig, c.Steps, stock, pictures), stop, after: 1));
            }
            // The cheapest of those that are there, then the lightest; else those that come nearest are gone on from.
            if (judged.Where(s => s.IsThere).OrderBy(s => s.Cost).ThenBy(s => s.Mass).FirstOrDefault() is { } there)
                return (there, MostTried - left, ended);
            if (ended)
                break;
            from = [.. judged.Where(s => s.Far < now.Far).OrderBy(s => s.Far).ThenBy(s => s.Cost).Take(Width)];
        }
        return (null, MostTried - left, ended);
    }

    /// <summary>What may be changed of a rig, the demand left as it is.</summary>
    private static IEnumerable<(RigDocument Rig, IReadOnlyList<GoalStep> Steps)> Changes(Standing of, Catalogue stock)
    {
        var rig = of.Rig;
        var all = Adviser.Candidates(rig, stock)
            .Concat(ShakeAdvice.Candidates(rig, stock).Select(c => (c.Id, Station: "rig", c.Title, Changed: c.Rig)));
        var b = RigAssembly.Build(rig, stock);
        foreach (var (id, station, title, changed) in all)
            if (changed.Run.Speed == rig.Run.Speed && changed.Camera.Lens == rig.Camera.Lens && changed.Camera.FocalLength
                == rig.Camera.FocalLength)
                yield return (changed, [.. of.Steps, new(id, station, title)]);
        foreach (var few in Retention.Of(b, [], rig.Run.Speed, advise: false).Where(r => r.Has < r.Needs).OrderByDescending(r => b.MassFrom(r.Station)).Take(1))
            if (TetherPlan.For(b, few.Station, rig.Run.Speed) is { } plan)
                yield return (TetherPlan.With(b, plan.Tether), [.. of.Steps, new("tether", "tether", $"A tether: {plan.Says}")]);
    }

    private static Standing Judge(RigDocument rig, IReadOnlyList<GoalStep> steps, Catalogue stock, bool pictures)
    {
        var judged = new Design(rig, stock).Judge(rig.Run.Speed, forWord: true);
        var b = judged.Model.Built;
        return new(rig, steps, Loads(judged), pictures ? Picture(judged) : 0, b.Cost, b.Mass);
    }

    /// <summary>Farther than any load, as the logarithm of a use: it moves freely, or is refused by name.</summary>
    private const double NoRig = 20;

    /// <summary>
    /// One of the things that have to keep a piece counts as a use that is too high by two thirds, e^0.5 (judgement: it ranks, it decides
    /// nothing).
    /// </summary>
    private const double Unkept = 0.5;

    private static double Loads(Judged judged) => judged.Verdict switch
    {
        _ when judged.Moves => NoRig,
        { Why: Why.Refused } => NoRig,
        // What is not answered is nobody's to change but the user's.
        { Word: Verdict.Holds } or { Why: Why.Unanswered, Use: <= Assessment.Judge.TightFrom } => 0,
        var v => Math.Max(1e-3, Math.Log(Math.Min(v.Use, Responses.Check.MostUse) / Assessment.Judge.TightFrom))
            + Unkept * judged.Retentions.Count(r => r.Has < r.Needs),
    };

    private static double Picture(Judged judged) => judged.Moves ? NoRig
        : Inside(Shaker.Words(judged.Model)).Select(n => Math.Log(n.Pixels / n.FirstLimit)).Where(x => x > 0).DefaultIfEmpty(0).Max();

    /// <summary>Smear and wobble: shake from frame to frame is no fault of the frame.</summary>
    private static IEnumerable<PictureNumber> Inside(PictureWords words) =>
        words.Numbers.Where(n => n.Word is Sharp.Sharp or Sharp.Soft or Sharp.Unusable);

    /// <summary>Up to which speed it holds and is sharp, m/s; null where it is at none that was looked at.</summary>
    private static double? Fastest(RigDocument rig, Catalogue stock, bool pictures, CancellationToken stop)
    {
        bool At(double v)
        {
            stop.ThrowIfCancellationRequested();
            return Judge(rig with { Run = rig.Run with { Speed = v } }, [], stock, pictures).IsThere;
        }
        for (var i = Speeds - 1; i > 0; i--)
        {
            var (low, high) = (rig.Run.Speed * i / Speeds, rig.Run.Speed * (i + 1) / Speeds);
            if (!At(low))
                continue;
            return Bisection.Between(low, high, Halvings, v => !At(v)).Low;
        }
        return null;
    }

    /// <summary>Turning shifts the picture by the focal length: as much shorter as the numbers are too high, m.</summary>
    private static double? LongestLens(Standing now, RigDocument rig, LensRow lens, Catalogue stock)
    {
        if (now.Loads > 0 || lens.BuiltIn)
            return null;
        var share = Inside(Shaker.Words(new Design(rig, stock).Model)).Min(n => n.FirstLimit / n.Pixels);
        return lens.FocalLength * Math.Min(1, share);
    }
}
