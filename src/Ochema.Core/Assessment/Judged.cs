using Ochema.Core.Analysis;
using Ochema.Core.Loads;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;

namespace Ochema.Core.Assessment;

/// <summary>A rig judged: its checks, what happens when something lets go, what keeps each piece, and the verdict.</summary>
internal sealed record Judged(
    RigModel Model, StateResponse State, LimitSpeed Limits, IReadOnlyList<RigCase> Cases,
        IReadOnlyList<RigCase> Driving, bool Moves, IReadOnlyList<CheckReport> Reports,
    IReadOnlyList<LetGoReport> LetGo, IReadOnlyList<RetentionReport> Retentions, IReadOnlyList<ReportFinding> Findings,
        VerdictReport Verdict,
    StateShape Shape)
{
    public static Judged Of(RigDocument rig, Catalogue stock) => new Design(rig, stock).Judge(rig.Run.Speed);
}
