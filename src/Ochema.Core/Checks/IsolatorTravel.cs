using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Stock;
using Ochema.Core.Structure;

namespace Ochema.Core.Checks;

/// <summary>Whether a soft mount bottoms: how far it moves at its edge in a case, against the travel that is there.</summary>
public sealed class IsolatorTravel(SpringIndex spring, Vec3 axis, double along, double across, double turning, double spread,
    IsolatorRow row)
    : Check("isolator.travel", StationId.Isolator, new("isolator"), "Soft mount bottoms")
{
    public override SpringIndex? Joint => spring;

    public override CheckSort Sort => CheckSort.Service;

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        var (force, moment) = f.Spring(spring);
        var sag = Math.Abs(force.Dot(axis)) / along;
        var sway = force.PerpendicularTo(axis).Length / across;
        var tip = moment.PerpendicularTo(axis).Length / turning * spread;
        sheet?.Formula("({s} + {w} + {t}) ÷ {T}", "linear springs: sag, sway, and tipping at the edge",
            "Rubber stiffens before it bottoms; wire rope softens with amplitude.")
            .Term("s", "along", sag, Dimension.Length, "force ÷ stiffness, this case")
            .Term("w", "across", sway, Dimension.Length, "force ÷ stiffness, this case")
            .Term("t", "tipping at the edge", tip, Dimension.Length, "moment ÷ stiffness × spread, this case")
            .Term("T", "travel there is", row.Travel, Dimension.Length, row.Source)
                .Term("k", "stiffness along, all together", along, Dimension.Stiffness, row.Range ?? row.Source);
        return Ratio(sag + sway + tip, row.Travel);
    }
}
