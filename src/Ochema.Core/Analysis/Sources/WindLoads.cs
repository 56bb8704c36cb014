using Ochema.Core.Loads;
using Ochema.Core.Rigs;
using Ochema.Core.Structure;

namespace Ochema.Core.Analysis.Sources;

/// <summary>
/// Wind at 1 Pa from each direction of the host's cases. Round members thick enough to meet the drag crisis below 90 m/s have columns of
/// their own, one per diameter.
/// </summary>
internal sealed class WindLoads : LoadSource
{
    private const double Fastest = 90;
    private readonly AirOfDay air;
    private readonly List<(int Yaw, double? Diameter)> winds = [];
    private readonly List<IReadOnlyList<PlacedLoad>> columns = [];

    public WindLoads(BuiltRig b, FrameSystem system, AirOfDay air)
    {
        this.air = air;
        double? Critical(WindFace f) => f.Round && !f.Rough && f.Width * Fastest / air.Viscosity > Drag.CriticalReynolds ? f.Width : null;
        var groups = b.Faces.Select(Critical).Where(d => d is not null).Distinct().Prepend(null).ToList();
        foreach (var yaw in b.Host.Motion.Cases(b.Rig.Run.Road).Select(c => c.Wind).Where(w => w >= 0).Distinct().Order())
            foreach (var group in groups)
            {
                winds.Add((yaw, group));
                var wind = MotionProfile.WindDirection(MotionProfile.Yaw[yaw]);
                columns.Add([.. b.Faces.Where(f => Critical(f) == group).Select(f => f.IsOnMember
                    ? PlacedLoad.Along(f.Member, Drag.OnMember(wind, system.Beams[f.Member.Value].AxisX, f.Width, f.Coefficient))
                    : PlacedLoad.At(f.Node, f.BoxForce(wind)))]);
            }
    }

    public override string Label => "wind";

    public override IReadOnlyList<IReadOnlyList<PlacedLoad>> Columns => columns;

    /// <summary>Direction that a column blows from: index into <see cref="MotionProfile.Yaw"/>.</summary>
    public int YawOf(int column) => winds[column].Yaw;

    public override void Coefficients(RigCase c, double speed, Span<double> into)
    {
        if (c.Wind < 0)
            return;
        var q = air.Pressure(speed);
        for (var w = 0; w < winds.Count; w++)
            if (winds[w].Yaw == c.Wind)
                into[w] = q * (winds[w].Diameter is { } d ? Drag.Cylinder(Math.Sqrt(2 * q / air.Density) * d / air.Viscosity) / 1.2 : 1);
    }

    public override double AirOnCamera(RigCase c, double speed) => c.Wind < 0 ? 0 : air.Pressure(speed);
}
