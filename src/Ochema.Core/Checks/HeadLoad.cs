using Ochema.Core.Quantities;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;

namespace Ochema.Core.Checks;

/// <summary>The camera's weight against the head's rated load, which is given for standing still.</summary>
public sealed class HeadLoad(RigBuilder b, HeadRow row) : Check("head.load", "head", "head", "Head carries more than its rating")
{
    public override bool Fixed => true;

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        sheet?.Formula("{m} ÷ {R}", "rating as given for a head at rest", "Bumps: the joint's torque is checked apart.")
            .Term("m", "camera", b.Camera.Mass, Dimension.Mass, b.Rig.Camera.Mass is null ? b.Camera.Body.Source : "you weighed it")
            .Term("R", "rated load", row.RatedLoad, Dimension.Mass, row.Source);
        return Ratio(b.Camera.Mass, row.RatedLoad);
    }
}
