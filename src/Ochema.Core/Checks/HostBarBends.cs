using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;

namespace Ochema.Core.Checks;

/// <summary>
/// The tube, ring, branch or trunk that the rig is held on bends or breaks: all that its holds put on it, as if in one place, F·a + M over
/// its section modulus. What it carries besides is not known.
/// </summary>
public sealed class HostBarBends(BuiltRig b, HoldSpot spot, Hosts.HostBar bar)
    : Check("site.bar", StationId.Site, new("site"),
        $"The {bar.Noun} under it {(spot.Material.Family == MaterialFamily.Metal ? "bends" : "breaks")}")
{
    private readonly string name = FactorTable.For(spot.Material.Family);
    private readonly double factor = b.Factors[FactorTable.For(spot.Material.Family)];
    private readonly double modulus = Modulus(spot.Site);

    /// <summary>Section modulus of a round tube or bar, m³: π(D⁴ − d⁴) ÷ 32D.</summary>
    internal static double Modulus(Hosts.Site site)
    {
        var outside = site.Diameter ?? 0.025;
        var inside = Math.Max(0, outside - 2 * site.Thickness);
        return Math.PI * (Math.Pow(outside, 4) - Math.Pow(inside, 4)) / (32 * outside);
    }

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        var (force, moment) = (0.0, 0.0);
        foreach (var h in b.Holds)
            if (h.Station == StationId.Base && !f.IsGone(h.Id))
            {
                var (one, turn) = f.Spring(h.Spring);
                force += one.Length;
                moment += turn.Length;
            }
        var strength = spot.Material.YieldStrength;
        sheet?.Formula("{k} × {σ} ÷ {Y}", "a bar built in at both ends, a branch or trunk at one (Roark table 8.1)",
                "What it carries besides; rust, rot, dents, holes drilled in it.")
            .Factor(b, name).Term("σ", "bending", (force * bar.Force + bar.Moment * moment) / modulus, Dimension.Stress,
                $"(F × a + {bar.Moment:0.#} × M) over its section modulus")
            .Term("F", "on it, all holds", force, Dimension.Force).Term("M", "turning it, all holds", moment, Dimension.Torque)
            .Term("a", "lever", bar.Force, Dimension.Length, bar.Lever)
            .Term("Y", "strength", strength, Dimension.Stress, spot.Material.Source);
        return Ratio(factor * (force * bar.Force + bar.Moment * moment), modulus * strength);
    }
}
