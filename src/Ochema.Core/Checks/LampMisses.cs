using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Structure;

namespace Ochema.Core.Checks;

/// <summary>A lamp beside a camera: how far its middle passes the subject, as an angle, against half its beam (plane geometry).</summary>
/// <param name="station">The lamp's row.</param>
/// <param name="lamp">As built.</param>
/// <param name="subject">What it shall light, m.</param>
public sealed class LampMisses(StationId station, CameraBuild lamp, Vec3 subject)
    : Check(station + ".lamp", station, new(station + "-beam"), "Lamp misses the subject")
{
    public override CheckSort Sort => CheckSort.Service;

    public override bool Fixed => true;

    /// <summary>Between the middle of the beam and the subject, rad.</summary>
    internal double Off => Math.Acos(Math.Clamp((subject - lamp.Eye).Normalized().Dot(lamp.View), -1, 1));

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        var beam = lamp.Body.Beam ?? Math.PI;
        sheet?.Formula("2 × {a} ÷ {b}", "the subject inside the cone of light", "Nearer than the subject less is lit, further away more.")
            .Term("a", "subject beside the middle of the beam", Off, Dimension.Angle, Origin.Measures)
            .Term("b", "beam, edge to edge", beam, Dimension.Angle, lamp.Body.Source);
        return Ratio(2 * Off, beam);
    }
}
