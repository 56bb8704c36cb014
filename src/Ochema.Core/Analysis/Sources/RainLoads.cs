using Ochema.Core.Loads;
using Ochema.Core.Rigs;
using Ochema.Core.Structure;

namespace Ochema.Core.Analysis.Sources;

/// <summary>
/// Drops that come with the relative wind and are stopped: 1 Pa from each direction of the host's cases on all silhouettes. They fall as
/// well; what that adds is a thousandth of the weight of what they leave.
/// </summary>
internal sealed class RainLoads : LoadSource
{
    private readonly AirOfDay air;
    private readonly Rain rain;
    private readonly List<int> yaws = [];
    private readonly List<IReadOnlyList<PlacedLoad>> columns = [];

    public RainLoads(BuiltRig b, FrameSystem system, AirOfDay air)
    {
        (this.air, rain) = (air, b.Weather.Rain);
        if (rain == Rain.None)
            return;
        foreach (var yaw in b.Host.Motion.Cases(b.Rig.Run.Road).Select(c => c.Wind).Where(w => w >= 0).Distinct().Order())
        {
            var way = MotionProfile.WindDirection(MotionProfile.Yaw[yaw]);
            yaws.Add(yaw);
            columns.Add([.. b.Faces.Select(f => f.IsOnMember
                ? PlacedLoad.Along(f.Member, Drag.OnMember(way, system.Beams[f.Member.Value].AxisX, f.Width, 1))
                : PlacedLoad.At(f.Node, 1 / Drag.Cube * f.BoxForce(way)))]);
        }
    }

    public override string Label => "rain";

    public override IReadOnlyList<IReadOnlyList<PlacedLoad>> Columns => columns;

    public override void Coefficients(RigCase c, double speed, Span<double> into)
    {
        for (var w = 0; w < yaws.Count; w++)
            if (yaws[w] == c.Wind)
                into[w] = Rainfall.Push(rain, air.Meets(speed));
    }

    /// <inheritdoc/>
    /// <remarks>As a pressure of air that pushes a camera as hard.</remarks>
    public override double AirOnCamera(RigCase c, double speed) => c.Wind < 0 ? 0 : Rainfall.Push(rain, air.Meets(speed)) / Drag.Cube;
}
