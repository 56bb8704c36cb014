using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;

namespace Ochema.Core.Checks;

/// <summary>The camera's weight against the head's rated load, which is given for standing still.</summary>
public sealed class HeadLoad(BuiltRig b, StationId station, HeadRow row)
    : Check(station + ".load", station, new(station.ToString()), "Head carries more than its rating")
{
    public override bool Fixed => true;

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        var camera = b.CameraOf(Station);
        sheet?.Formula("{m} ÷ {R}", "rating as given for a head at rest", "Bumps: the joint's torque is checked apart.")
            .Term("m", "camera", camera.Mass, Dimension.Mass, camera.Weighed ? Taken.Origin(b.Rig, "you weighed it", "mass", camera.Mass)
                : camera.Body.Source)
            .Term("R", "rated load", row.RatedLoad, Dimension.Mass, row.Source);
        return Ratio(camera.Mass, row.RatedLoad);
    }
}
