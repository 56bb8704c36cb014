namespace Ochema.Core.Making;

/// <summary>The hours of the day in which somebody works: drills and saws are silent at night; what cures goes on.</summary>
/// <param name="From">Begins, s from midnight.</param>
/// <param name="To">Ends, s from midnight, later than it begins.</param>
/// <param name="Clock">The time of day at the beginning of the plan, s from midnight.</param>
public readonly record struct WorkingHours(double From, double To, double Clock)
{
    /// <summary>Nine to nine, where nobody says, s from midnight (common practice, no source).</summary>
    public const double DefaultFrom = 9 * 3600;
    public const double DefaultTo = 21 * 3600;

    private const double Day = 24 * 3600;

    private double Open => To - From;

    /// <summary>
    /// When a piece of work begins and ends that could begin at a time, s from the plan's beginning. What does not fit into the rest of the
    /// day waits for the next, unless it is longer than any day: then it is laid down for the night.
    /// </summary>
    /// <param name="at">s.</param>
    /// <param name="work">Hands on, s.</param>
    public (double Start, double End) Of(double at, double work)
    {
        if (Open <= 0 || Open >= Day)
            return (at, at + work);
        var midnight = Day * Math.Floor((Clock + at) / Day) - Clock;
        var start = Math.Max(at, midnight + From);
        if (start >= midnight + To || (work <= Open && start + work > midnight + To + Slack))
            (midnight, start) = (midnight + Day, midnight + Day + From);
        var left = midnight + To - start;
        if (work <= left + Slack)
            return (start, start + work);
        // Whole days between the first evening and the last morning.
        var rest = work - left;
        var days = Math.Ceiling(rest / Open) - 1;
        return (start, midnight + Day * (days + 1) + From + rest - days * Open);
    }

    /// <summary>Nobody stops a few seconds before the end, s.</summary>
    private const double Slack = 1;
}
