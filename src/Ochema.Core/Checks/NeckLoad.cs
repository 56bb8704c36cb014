using Ochema.Core.Hosts;
using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Structure;

namespace Ochema.Core.Checks;

/// <summary>Weight and lever of everything on a helmet about the neck, standing still.</summary>
public sealed class NeckLoad(BuiltRig b) : Check("neck.moment", StationId.Site, new("neck"), "Pulls on the neck")
{
    /// <summary>Moment that tires a neck in minutes, N·m (judgement, 1–2.5).</summary>
    private const double Tiring = 1.5;

    public override CheckSort Sort => CheckSort.Service;

    public override bool Fixed => true;

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        var m = b.Mass * Loads.MotionProfile.Gravity;
        var arm = (b.Camera.Eye - Helmet.Neck).PerpendicularTo(Vec3.UnitZ).Length * 0.8;
        sheet?.Formula("{m} × {a} ÷ {t}", "weight times its lever about the neck", "Nods and jolts multiply it; a knock does far more.")
            .Term("m", "weight of all of it", m, Dimension.Force).Term("a", "lever about the neck", arm, Dimension.Length, Origin.Measures)
            .Term("t", "moment that tires", Tiring, Dimension.Torque, "judgement, 1–2.5 N·m");
        return Ratio(m * arm, Tiring);
    }
}
