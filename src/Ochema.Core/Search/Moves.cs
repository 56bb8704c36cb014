using Ochema.Core.Rigs;
using Ochema.Core.Stock;

namespace Ochema.Core.Search;

/// <summary>The moves of a rig's own kinds, each made on the rig.</summary>
internal static class Moves
{
    /// <summary>All of them, station by station.</summary>
    public static IEnumerable<(Move Move, string Station, RigDocument Changed)> Of(RigDocument rig, Catalogue stock) =>
        rig.Reach.Moves(stock).Select(m => (m, "reach", rig with { Reach = (ReachKind)m.To }))
            .Concat(rig.Base.Moves(stock).Select(m => (m, "base", rig with { Base = (BaseKind)m.To })))
            .Concat(rig.Isolator.Moves(stock).Select(m => (m, "isolator", rig with { Isolator = (IsolatorKind)m.To })));
}
