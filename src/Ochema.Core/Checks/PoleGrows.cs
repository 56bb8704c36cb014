using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;

namespace Ochema.Core.Checks;

/// <summary>
/// A slender pole whose own weight bends it further: first-order moment × 1/(1 − P/P_cr) against yield, in its lowest tube. P_cr is that of the stepped
/// cantilever, exactly; its own weight counts 0.315 of itself at the tip (Timoshenko and Gere, "Theory of Elastic Stability", 2.2 and 2.12).
/// </summary>
/// <param name="pieces">From the foot up.</param>
/// <param name="upright">Cosine of its lean.</param>
/// <param name="head">Mass on its tip, kg.</param>
public sealed class PoleGrows(RigBuilder b, StationId station, PartId id, IReadOnlyList<BeamPiece> pieces, double upright, double head)
    : Check(id + ".grows", station, id, "Pole bows under its own weight")
{
    /// <summary>Of a column's own weight what counts as if at its tip: 2.47 over 7.84.</summary>
    public const double OwnWeight = 0.315;

    private readonly double factor = b.Factors[FactorTable.For(pieces[0].Material.Family)];

    private readonly double critical = Critical([.. pieces.Select(p => (p.Length, p.Material.YoungsModulus * p.Section.Iy))]);

    /// <summary>Load at its tip, N, under which a stepped cantilever falls over sideways.</summary>
    /// <param name="pieces">Length, m, and bending stiffness E·I, N·m², from the foot up.</param>
    public static double Critical(IReadOnlyList<(double Length, double Stiffness)> pieces)
    {
        // The tip's own side of the bow: EI·w″ = −P·w from w′ = 0 at the foot; it falls over at the least P that brings w to 0 at the tip.
        double Tip(double load)
        {
            var (w, turn) = (1.0, 0.0);
            foreach (var (length, stiffness) in pieces)
            {
                var k = Math.Sqrt(load / stiffness);
                var (s, c) = Math.SinCos(k * length);
                (w, turn) = (w * c + turn * s / k, turn * c - w * k * s);
                if (w <= 0)
                    return w;
            }
            return w;
        }
        var (all, least) = (pieces.Sum(p => p.Length), pieces.Min(p => p.Stiffness));
        // No stepped column is weaker than a plain one of its weakest piece.
        var low = 0.999 * Math.PI * Math.PI * least / (4 * all * all);
        var high = low;
        while (Tip(high) > 0)
            (low, high) = (high, 1.02 * high);
        for (var i = 0; i < 60; i++)
            (low, high) = Tip(0.5 * (low + high)) > 0 ? (0.5 * (low + high), high) : (low, 0.5 * (low + high));
        return low;
    }

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        Span<double> room = stackalloc double[12];
        var lowest = pieces[0];
        var e = f.Beam(lowest.First, room);
        var bend = Math.Sqrt(e[4] * e[4] + e[5] * e[5]);
        var own = pieces.Sum(p => p.Mass);
        // What presses down is the weight as the case makes it.
        var press = Math.Max(0, -f.Field.Z) * upright * (head + OwnWeight * own);
        var grows = press < critical ? 1 / (1 - press / critical) : double.PositiveInfinity;
        sheet?.Formula("{k} × {σ} ÷ (1 − {P} ÷ {Pc}) ÷ {Y}", "second-order growth of a cantilever column (Timoshenko and Gere)",
                "Hands or a clamp that give at its foot; play in its joints.")
            .Factor(b, FactorTable.For(lowest.Material.Family)).Term("σ", "bends at its foot, without growth", bend / lowest.Section.ModulusY, Dimension.Stress)
            .Term("P", "weight, as if at the tip", press, Dimension.Force, "head, and 0.315 of its own (Timoshenko and Gere 2.12)")
            .Term("Pc", "falls over at", critical, Dimension.Force, "a stepped cantilever column, solved piece by piece")
            .Term("Y", "yield strength", lowest.Material.YieldStrength, Dimension.Stress, lowest.Material.Source);
        return double.IsInfinity(grows) ? MostUse : Ratio(factor * bend * grows, lowest.Section.ModulusY * lowest.Material.YieldStrength);
    }
}
