using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Structure;

namespace Ochema.Core.Checks;

/// <summary>
/// A socket that a tube bends in: it bears on both ends of its depth, 6M/(d·L²) + S/(d·L), and its wall splits by the ring that this opens,
/// p·d/(2t).
/// </summary>
public sealed class CapSplits(RigSetting b, StationId station, PartId id, SpringIndex spring, Vec3 axis, PipeCap cap, Material plastic)
    : Check(id + ".splits", station, id, "Cap splits")
{
    private readonly double factor = b.Factors[FactorTable.For(plastic.Family)];

    public override SpringIndex? Joint => spring;

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        var (force, moment) = f.Spring(spring);
        var (side, bend) = (force.PerpendicularTo(axis).Length, moment.PerpendicularTo(axis).Length);
        sheet?.Formula("{k} × (6 × {M} ÷ ({d} × {L}²) + {S} ÷ ({d} × {L})) × {d} ÷ (2 × {t}) ÷ {Y}",
                "pressure at the socket's ends (a straight line, mechanics of materials), ring tension of a thin wall",
                    "Notches at the set screws; frost.")
            .Factor(b, FactorTable.For(plastic.Family)).Term("M", "bends it", bend, Dimension.Torque)
                .Term("S", "across it", side, Dimension.Force)
            .Term("d", "socket", cap.Bore, Dimension.Length, cap.Source).Term("L", "its depth", cap.Socket, Dimension.Length, cap.Source)
            .Term("t", "wall", cap.Wall, Dimension.Length, cap.Source).Term("Y", "yield strength", plastic.YieldStrength, Dimension.Stress,
                plastic.Source);
        var pressure = 6 * bend / (cap.Bore * cap.Socket * cap.Socket) + side / (cap.Bore * cap.Socket);
        return Ratio(factor * pressure * cap.Bore / (2 * cap.Wall), plastic.YieldStrength);
    }
}
