using Ochema.Core.Responses;
using Ochema.Core.Assessment;
using Ochema.Core.Quantities;
using Ochema.Core.Sharpness;

namespace Ochema.Core.Search;

/// <summary>What a change gains and what it costs, in short sentences: nothing that gets worse is left unsaid.</summary>
/// <param name="Gains">What gets better, the most wanted first.</param>
/// <param name="Trades">What gets worse; empty where nothing does.</param>
internal sealed record Worth(IReadOnlyList<string> Gains, IReadOnlyList<string> Trades)
{
    /// <summary>Differences that nobody minds: of a use, of a speed, m/s, of a frequency, of a mass, kg, and of a price.</summary>
    private const double Use = 0.02;
    private const double Speed = 0.3;
    private const double Frequency = 0.1;
    private const double Mass = 0.05;
    private const double Price = 0.5;

    /// <summary>Of more states than these that it survives, or no longer does, a number is said.</summary>
    private const int Named = 3;

    /// <summary>
    /// True where something that the user asked for gets better: that it holds, survives a loss, shows a better picture, weighs or costs
    /// less.
    /// </summary>
    public bool Helps => Gains.Count > 0;

    /// <summary>True where it lets go, or is kept by too little, where it was not before, or is used more for a gain that nobody drives
    /// to.</summary>
    public bool Harms { get; private init; }

    /// <summary>A rig before and after a change.</summary>
    public static Worth Of(AssessmentReport now, AssessmentReport with)
    {
        var (gains, trades) = (new List<string>(), new List<string>());
        // Better and worse are told by the same words, from the other end.
        void Compare<T>(T before, T after, Func<T, T, string> says, int better)
        {
            if (better != 0)
                (better > 0 ? gains : trades).Add(says(before, after));
        }
        var (a, b) = (now.Verdict, with.Verdict);
        Compare(a, b, (x, y) => $"{Words.Inside(VerdictHeadline.Word(y))}, was {Was(x)}",
            (Rank(b) - Rank(a)) switch { > 0 => Rank(b) > 0 ? 1 : 0, < 0 => -1, _ => 0 });
        // Of what is refused no speed and no share of a load is known that anything could be better than.
        var known = Rank(a) >= 0 && Rank(b) >= 0;
        Compare(a.LimitSpeed, b.LimitSpeed, (x, y) => $"lets go {At(y)}, was {Said(x, "none")}", known ? Higher(a.LimitSpeed, b.LimitSpeed)
            : 0);
        Compare(a.TightSpeed, b.TightSpeed, (x, y) => $"holds {To(y)}, was {Said(x, "no end")}", known ? Higher(a.TightSpeed, b.TightSpeed)
            : 0);
        Compare(a.Use, b.Use, (x, y) => $"{y:P0} used, was {x:P0}", !known ? 0 : b.Use < a.Use - Use ? 1 : b.Use > a.Use + Use ? -1 : 0);
        var (lost, kept) = (LetsGo(now), LetsGo(with));
        var survived = States(lost.Where(s => !kept.ContainsKey(s.Key)), "survives").ToList();
        gains.AddRange(survived);
        const string alone = "straps-alone";
        var worse = States(kept.Where(s => s.Key != alone && !lost.ContainsKey(s.Key)), "lets go").ToList();
        if (kept.ContainsKey(alone) && !lost.ContainsKey(alone))
            worse.Add("nothing keeps it once all holds are gone");
        trades.AddRange(worse);
        var fewer = with.Retentions.Where(r => r.Has < r.Needs && now.Retentions.All(o => o.Piece != r.Piece || o.Has >= o.Needs)).ToList();
        trades.AddRange(fewer.Select(r => $"{Words.Inside(r.Piece)}: {r.Has} of {r.Needs} things that have to keep it"));
        gains.AddRange(now.Retentions.Where(r => r.Has < r.Needs && with.Retentions.Any(o => o.Piece == r.Piece && o.Has >= o.Needs))
            .Select(r => $"{Words.Inside(r.Piece)} is kept by enough"));
        var words = gains.Count + trades.Count;
        for (var i = 0; i < Math.Min(now.Sharpness.Numbers.Count, with.Sharpness.Numbers.Count); i++)
            Compare(now.Sharpness.Numbers[i], with.Sharpness.Numbers[i],
                (x, y) => $"{y.Id} {Words.Inside(y.Word.ToString())}, was {Words.Inside(x.Word.ToString())}",
                Poor(now.Sharpness.Numbers[i].Word) - Poor(with.Sharpness.Numbers[i].Word));
        // Where the picture's words say it, nobody needs the frequency.
        if (gains.Count + trades.Count == words && now.Frequencies.Count > 0 && with.Frequencies.Count > 0)
            Compare(now.Frequencies[0], with.Frequencies[0],
                (x, y) => $"rocks at {QuantityText.Of(y, Dimension.Frequency)}, was {QuantityText.Of(x, Dimension.Frequency)}",
                with.Frequencies[0] > (1 + Frequency) * now.Frequencies[0] ? 1 : with.Frequencies[0] < (1 - Frequency) * now.Frequencies[0]
                    ? -1 : 0);
        Compare(now.Mass, with.Mass, (x, y) => $"{QuantityText.Of(Math.Abs(y - x), Dimension.Mass)} {(y < x ? "lighter" : "heavier")}",
            with.Mass < now.Mass - Mass ? 1 : with.Mass > now.Mass + Mass ? -1 : 0);
        Compare(now.Cost, with.Cost, (x, y) => $"{QuantityText.Of(Math.Abs(y - x), Dimension.Money)} {(y < x ? "cheaper" : "dearer")}",
            with.Cost < now.Cost - Price ? 1 : with.Cost > now.Cost + Price ? -1 : 0);
        var before = now.Findings.Select(f => Bare(f.Text)).ToHashSet();
        var told = with.Findings.Where(f => f.Station != StationId.Rig && !before.Contains(Bare(f.Text))).Select(f => First(f.Text)).Distinct()
            .ToList();
        trades.AddRange(told);
        return new(gains, trades)
        {
            Harms = Rank(b) < Rank(a) || fewer.Count > 0 || (worse.Count > 0 && Rank(b) <= Rank(a))
                // Used more and tight earlier: what lets go later is no help to who has to stay in the green.
                || (Rank(b) <= Rank(a) && survived.Count == 0 && b.Use > a.Use + Use && Higher(a.TightSpeed, b.TightSpeed) < 0),
        };
    }

    private static int Rank(VerdictReport v) => v.Why is Why.Moves ? -2 : v.Why is Why.Refused ? -1
        : v.Word switch { Verdict.LetsGo => 0, Verdict.Tight => 1, _ => 2 };

    /// <summary>What it was, after "was".</summary>
    private static string Was(VerdictReport v) => v.Why == Why.Refused ? "refused" : v.Word switch
    {
        Verdict.LetsGo => "letting go",
        Verdict.Tight => "tight",
        _ => "holding",
    };

    private static string At(double? speed) => speed is { } v ? $"at {QuantityText.Of(v, Dimension.Speed)}" : "at no speed looked at";

    private static string To(double? speed) => speed is { } v ? $"to {QuantityText.Of(v, Dimension.Speed)}" : "as far as was looked";

    private static string Said(double? speed, string none) => speed is { } v ? QuantityText.Of(v, Dimension.Speed) : none;

    private static int Higher(double? before, double? after) =>
        (after ?? double.MaxValue) > (before ?? double.MaxValue) + Speed ? 1 : (after ?? double.MaxValue) < (before ?? double.MaxValue)
            - Speed ? -1 : 0;

    /// <summary>How poor a picture's word is.</summary>
    private static int Poor(Sharp word) => word switch { Sharp.Soft or Sharp.Lively => 1, Sharp.Unusable or Sharp.Rough => 2, _ => 0 };

    /// <summary>States in which it lets go, by their ids, with their titles; the whole rig is the verdict's.</summary>
    private static Dictionary<string, string> LetsGo(AssessmentReport report) =>
        report.LetGo.Where(l => l.Kind != "intact" && l.Verdict == Verdict.LetsGo).DistinctBy(l => l.Id)
            .ToDictionary(l => l.Id, l => l.Title);

    private static IEnumerable<string> States(IEnumerable<KeyValuePair<string, string>> states, string does)
    {
        var titles = states.Select(s => Words.Inside(s.Value)).ToList();
        foreach (var title in titles.Take(titles.Count > Named + 1 ? Named : titles.Count))
            yield return $"{does} {title}";
        if (titles.Count > Named + 1)
            yield return $"{does} in {titles.Count - Named} more such cases";
    }

    /// <summary>A finding without its numbers: the same thing said of another size is no news.</summary>
    private static string Bare(string text) => string.Concat(text.Where(c => !char.IsDigit(c) && c is not ('.' or '-' or '%')));

    private static string First(string text) => text.IndexOf(". ", StringComparison.Ordinal) is > 0 and var end
        ? Words.Inside(text[..end]) : Words.Inside(text.TrimEnd('.'));
}
