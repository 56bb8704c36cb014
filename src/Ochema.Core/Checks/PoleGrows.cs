using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Structure;

namespace Ochema.Core.Checks;

/// <summary>
/// A slender pole whose own weight bends it further: first-order moment × 1/(1 − P/P_cr) against yield, where a tube is bent most. P_cr is
/// that of the stepped column, exactly; its own weight counts 0.315 of itself at the tip (Timoshenko and Gere, "Theory of Elastic
/// Stability", 2.2 and 2.12).
/// </summary>
/// <param name="pieces">From the foot up.</param>
/// <param name="upright">Cosine of its lean.</param>
/// <param name="head">Mass on its tip, kg.</param>
/// <param name="held">Where hands hold it, m over a foot that turns; null where its foot is held.</param>
public sealed class PoleGrows(RigSetting b, StationId station, PartId id, IReadOnlyList<BeamPiece> pieces, double upright, double head,
    double? held = null)
    : Check(id + ".grows", station, id, "Pole bows under its own weight")
{
    /// <summary>Of a column's own weight what counts as if at its tip: 2.47 over 7.84.</summary>
    public const double OwnWeight = 0.315;

    private readonly double critical = SteppedColumn.Critical([.. pieces.Select(p => (p.Length, p.Material.YoungsModulus * p.Section.Iy))],
        held);

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        Span<double> room = stackalloc double[12];
        var (worst, bend, share) = (pieces[0], 0.0, 0.0);
        foreach (var p in pieces)
            for (var i = p.First.Value; i < p.First.Value + p.Count; i++)
            {
                var e = f.Beam(new(i), room);
                for (var end = 4; end < 12; end += 6)
                {
                    var m = Math.Sqrt(e[end] * e[end] + e[end + 1] * e[end + 1]);
                    // Each material has a factor of its own: a carbon tube may govern on an aluminium one.
                    if (b.Factors[FactorTable.For(p.Material.Family)] * m / (p.Section.ModulusY * p.Material.YieldStrength) is var s && s
                        > share)
                        (worst, bend, share) = (p, m, s);
                }
            }
        var own = pieces.Sum(p => p.Mass);
        // What presses down is the weight as the case makes it.
        var press = Math.Max(0, -f.Field.Z) * upright * (head + OwnWeight * own);
        var grows = press < critical ? 1 / (1 - press / critical) : double.PositiveInfinity;
        sheet?.Formula("{k} × {σ} ÷ (1 − {P} ÷ {Pc}) ÷ {Y}", "second-order growth of a column (Timoshenko and Gere)",
                "Hands or a clamp that give; play in its joints.")
            .Factor(b, FactorTable.For(worst.Material.Family))
            .Term("σ", $"{worst.Label} bends most, without growth", bend / worst.Section.ModulusY, Dimension.Stress)
            .Term("P", "weight, as if at the tip", press, Dimension.Force, "head, and 0.315 of its own (Timoshenko and Gere 2.12)")
            .Term("Pc", "falls over at", critical, Dimension.Force, held is null
                ? "a stepped column clamped at its foot, solved piece by piece"
                : "a stepped column that turns at its foot and is held at the hands, solved piece by piece")
            .Term("Y", "yield strength", worst.Material.YieldStrength, Dimension.Stress, worst.Material.Source);
        return double.IsInfinity(grows) ? MostUse : Ratio(share * grows, 1);
    }
}
