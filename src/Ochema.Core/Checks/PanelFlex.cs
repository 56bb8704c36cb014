using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Structure;

namespace Ochema.Core.Checks;

/// <summary>How far the sheet gives way under a hold: more than this and cups leak, paint crazes, the panel may pop.</summary>
public sealed class PanelFlex(RigSetting b, HoldSpot spot, SpringIndex spring, double normal, double rocking, double radius)
    : Check(spot.Id + ".flex", spot.Station.IsBrace ? spot.Station : StationId.Site, spot.Id, $"Panel flexes under the {spot.Label}")
{
    /// <summary>Allowed movement at the hold's edge, m (judgement, 2–4 mm).</summary>
    private const double Allowed = 0.003;

    public override SpringIndex? Joint => spring;

    public override CheckSort Sort => CheckSort.Service;

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        var load = f.Hold(spring, spot.Normal);
        var movement = Math.Abs(load.Pull) / normal + load.Moment / rocking * radius;
        sheet?.Formula("(|{N}| ÷ {kn} + {M} ÷ {kr} × {b}) ÷ {w}",
            "plate and shallow shell (Timoshenko; Reissner 1946), hold and panel one behind the other",
                "Popping of a flat panel, dents from a dropped cup.")
            .Term("N", "pull or press", load.Pull, Dimension.Force)
            .Term("kn", "stiffness, push-pull", normal, Dimension.Stiffness,
                spot.Site.StiffnessFactor is { } heard ? Taken.Origin(b.Rig, "your tap test", "stiffnessFactor", heard)
                    : $"place: {b.Stock.Material(spot.Site.Material).Name}, as entered")
            .Term("M", "rocking moment", load.Moment, Dimension.Torque)
            .Term("kr", "stiffness, rocking", rocking, Dimension.RotationalStiffness,
                "panel as entered: plate and shell formulas, Timoshenko, Reissner")
            .Term("b", "radius of the hold", radius, Dimension.Length, "the hold's row")
            .Term("w", "movement allowed", Allowed, Dimension.Length, "judgement, 2–4 mm");
        return Ratio(movement, Allowed);
    }
}
