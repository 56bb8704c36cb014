namespace Ochema.Core.Hosts;

/// <summary>A step of trying a rig under way, one after the other, each a little nearer to what it is meant for.</summary>
/// <param name="Id">Stable name.</param>
/// <param name="Title">"Walking pace".</param>
/// <param name="How">What is done, in a sentence or two.</param>
/// <param name="Share">Of the design speed; 0 where nothing moves.</param>
public sealed record Trial(string Id, string Title, string How, double Share)
{
    /// <summary>How far, m; null where it is done by time.</summary>
    public double? Distance { get; init; }

    /// <summary>How long, s; null where it is done by distance.</summary>
    public double? Duration { get; init; }

    /// <summary>Never faster than this, m/s, whatever the share: walking pace; null for none.</summary>
    public double? Most { get; init; }

    /// <summary>Walking pace, m/s (brisk; common practice, no source).</summary>
    public const double Walking = 1.4;

    /// <summary>What travels: beside it on foot, then a third, two thirds and the whole of the speed (common practice, no source).</summary>
    public static IReadOnlyList<Trial> Travelling { get; } =
    [
        new("walk", "Walking pace", "Once round a yard with somebody walking beside it, hand near it, not on it.", 1)
        {
            Most = Walking,
            Distance = 50,
        },
        new("third", "A third", "A yard or an empty road; brake hard once, then stop and look.", 1.0 / 3) { Distance = 300 },
        new("two-thirds", "Two thirds", "An empty road as rough as the run's; stop and look at all of it.", 2.0 / 3) { Distance = 1000 },
        new("full", "Design speed", "The road of the run. Stop, look at all of it, and note the aim.", 1) { Distance = 3000 },
    ];

    /// <summary>What stands: let go of gently, then left alone in what wind there is (common practice, no source).</summary>
    public static IReadOnlyList<Trial> Standing { get; } =
    [
        new("let-go", "Let go gently", "Both hands off by and by; wait until it stands still.", 0) { Duration = 60 },
        new("empty", "Stand without the camera", "With its weight in a bag where the camera goes, watched.", 0) { Duration = 300 },
        new("stand", "Stand as for the run", "With all on, in what wind there is, somebody beside it.", 0) { Duration = 900 },
    ];

    /// <summary>What flies: a little more each time, each a flight by who may fly it, over open land (common practice, no source).</summary>
    public static IReadOnlyList<Trial> Flying { get; } =
    [
        new("brackets", "Brackets alone", "Signed off first. One circuit with nothing but what is screwed to the aircraft.", 2.0 / 3)
        {
            Duration = 600,
        },
        new("rail", "With what joins them", "Rail or plate on; full travel of all controls on the ground, then one circuit.", 2.0 / 3)
        {
            Duration = 600,
        },
        new("reach", "With its reach", "Boom or arm on, nothing at its end; feel for a tremble as the speed rises.", 1) { Duration = 600 },
        new("dummy", "With a dummy mass", "A bag of the camera's mass at its place, tethered as the camera will be.", 1) { Duration = 600 },
        new("camera", "With the camera", "Tether on first. One circuit, then the run.", 1) { Duration = 600 },
    ];
}
