using System.Text.Json.Serialization;
using Ochema.Core.Hosts;
using Ochema.Core.Making.Steps;
using Ochema.Core.Rigs;

namespace Ochema.Core.Proving;

/// <summary>A rung of the ladder. SI.</summary>
/// <param name="Id">Stable within the rig.</param>
/// <param name="Inspect">What to look at before the next one.</param>
public sealed record Rung(string Id, IReadOnlyList<string> Inspect)
{
    /// <summary>m/s; null where nothing moves.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public double? Speed { get; init; }

    /// <summary>m; null where none is asked for.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public double? Distance { get; init; }

    /// <summary>s; null where none is asked for.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public double? Duration { get; init; }

    /// <summary>In a word, where no speed names it: "Bench".</summary>
    [JsonRequired]
    public string Short { get; init; } = "";

    public required string Title { get; init; }

    public required string How { get; init; }

    public required RungSort Sort { get; init; }

    /// <summary>Why nobody climbs it; null for one that may be climbed.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public string? Barred { get; init; }
}

/// <summary>What is done on a rung.</summary>
public enum RungSort
{
    /// <summary>Gone over by hand.</summary>
    Bench,

    /// <summary>What moves of the host, through its whole travel.</summary>
    Travel,

    /// <summary>All pulls.</summary>
    Pulls,

    /// <summary>A tap at the camera and its first frequency.</summary>
    Tap,

    /// <summary>Under way, or standing in the wind.</summary>
    Trial,
}

/// <summary>The rungs of a rig, bottom first: bench, travel, pulls, tap, then under way. None is higher than what holds.</summary>
internal static class Ladder
{
    /// <summary>Trials slower than this add nothing to walking pace, as a multiple of it.</summary>
    private const double Above = 1.3;

    /// <param name="holdsTo">End of the green, m/s; 0 where it does not hold.</param>
    /// <param name="why">What is said where it holds to no speed at all.</param>
    public static IReadOnlyList<Rung> Of(BuiltRig b, double speed, double holdsTo, string why, bool taps)
    {
        var all = LastSteps.LooksAt(b);
        List<Rung> rungs =
        [
            new("bench", all)
            {
                Sort = RungSort.Bench,
                Short = "Bench",
                Title = "At the bench and on the host, by hand",
                How = "All fitted, camera out. A mark across every clamp and joint: what moves shows.",
            },
        ];
        if (b.Host.Travel.Length > 0)
            rungs.Add(new("travel", ["nothing touches, on the whole way", .. all.Take(1)])
            {
                Sort = RungSort.Travel,
                Short = "Travel",
                Title = "Through the host's full travel, empty",
                How = b.Host.Travel,
            });
        rungs.Add(new("pulls", ["each part as its pull says"])
        {
            Sort = RungSort.Pulls,
            Short = "Pulls",
            Title = "Pull tests",
            How = "Scale in line, steadily, held; stand aside of the line.",
        });
        if (taps)
            rungs.Add(new("tap", ["first frequency within a tenth of what is predicted"])
            {
                Sort = RungSort.Tap,
                Short = "Tap",
                Title = "Tap test",
                How = "Camera on, phone on it: one tap, let it ring out.",
            });
        foreach (var trial in b.Host.Trials)
        {
            double? goes = trial.Share > 0 ? Math.Min(speed * trial.Share, trial.Most ?? double.PositiveInfinity) : null;
            // A third of a slow run is no more than walking beside it.
            if (trial is { Most: null, Share: < 1 and > 0 } && goes < Above * Trial.Walking)
                continue;
            if (goes is 0)
                continue;
            rungs.Add(new(trial.Id, all)
            {
                Sort = RungSort.Trial,
                Title = trial.Title,
                How = trial.How,
                Speed = goes,
                Distance = trial.Distance,
                Duration = trial.Duration,
                Barred = holdsTo <= 0 || goes > holdsTo * (1 + 1e-9) ? why : null,
            });
        }
        return rungs;
    }
}
