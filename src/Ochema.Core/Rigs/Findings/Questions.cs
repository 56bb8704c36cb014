using Ochema.Core.Hosts;
using Ochema.Core.Loads;
using Ochema.Core.Quantities;

namespace Ochema.Core.Rigs;

/// <summary>A question that must be answered before a rig can be said to hold.</summary>
/// <param name="Field">Field of the survey it is answered in.</param>
/// <param name="Ask">What is asked, as a sentence.</param>
/// <param name="Refused">What a no means.</param>
public sealed record Question(string Field, Answer Answer, string Ask, string Refused);

/// <summary>Which questions a rig raises: power lines, people below, who signs for an aircraft.</summary>
public static class Questions
{
    /// <summary>What stands on a pole's end, and arms that are stretched out, m (judgement).</summary>
    private const double OnTop = 0.6;

    /// <summary>A distance to keep with what stands on the end, to the next whole metre.</summary>
    private static string Away(double metres) => QuantityText.Of(Math.Ceiling(metres + OnTop), Dimension.Altitude);

    /// <summary>All that apply, answered or not.</summary>
    public static IEnumerable<Question> Of(RigDocument rig, Host host)
    {
        var s = rig.Survey;
        var pole = Math.Max(rig.Reach.TowardsLines ?? 0, rig.Second?.Reach.TowardsLines ?? 0);
        if (host.NeedsSignOff(rig.Site))
            yield return new("signedOff", s.SignedOff,
                "Has a licensed mechanic or the authority signed for it? Anything outside an aircraft waits for that.",
                    "It is not signed off: it does not fly.");
        if (pole > 0)
            yield return new("powerLines", s.PowerLines,
                $"Is it clear of power lines by {Away(pole + OverheadLines.Usual)}, wherever it goes: its reach and 3 m "
                    + $"(10 ft); by {Away(pole + OverheadLines.Highest)} of those on lattice towers?",
                "A pole within reach of power lines kills: not here.");
        if (rig.Run.Consequence != Consequence.OnPeople && (pole > 0 || rig.Site.Form.HangsOver
            || host.Motion.Turning is not null || host.NeedsSignOff(rig.Site)))
            yield return new("nobodyBelow", s.NobodyBelow, host.Motion.Turning is null
                ? "Is it certain that nobody is below it, ever? Else a drop lands on people."
                : host.Motion.Turning.Swings ? "Is it certain that nobody but who swings is under it or in its way, ever? Else what "
                    + "comes off flies at people."
                : "Is it certain that nobody is below it or in the plane it turns in, ever? Else what comes off flies at people.",
                "People are below: choose that a drop lands on people, and keep it by what that asks for.");
    }
}
