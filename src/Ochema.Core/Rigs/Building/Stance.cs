using Ochema.Core.Json;

namespace Ochema.Core.Rigs;

/// <summary>Questions on which practitioners disagree; kinds stand for the answers.</summary>
internal static class SchoolQuestion
{
    public const string Hold = "hold";
    public const string Soft = "soft";
    public const string Weight = "weight";
    public const string Ropes = "ropes";
    public const string Reach = "reach";
}

/// <summary>An answer that a kind stands for.</summary>
/// <param name="Question">One of <see cref="SchoolQuestion"/>.</param>
/// <param name="Order">Place among the answers.</param>
/// <param name="Title">In the trade's words.</param>
/// <param name="Says">What those who do it say.</param>
/// <param name="Kind">What stands at the station then; the rig's own where it does it already.</param>
/// <param name="Now">True where the kind asked does it already.</param>
/// <param name="Survey">What must be declared for it; null for nothing.</param>
internal sealed record Stance(
    string Question, int Order, string Title, string Says, Kind Kind, bool Now = true, Func<Hosts.SiteSurvey,
        Hosts.SiteSurvey>? Survey = null);
