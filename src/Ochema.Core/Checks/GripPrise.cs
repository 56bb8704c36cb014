using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Structure;

namespace Ochema.Core.Checks;

/// <summary>
/// A clamp that is prised open: the force across the bar, and the moment that pitches it across, against what closes it. Two halves of a
/// width w under a force F stay closed along their whole width while the moment is below F·w/6 each (no tension across a joint), F·w/3
/// both.
/// </summary>
/// <param name="axis">Of the bar.</param>
/// <param name="normal">Away from the bar; what presses the clamp on is not counted.</param>
/// <param name="closing">Force that closes it, N.</param>
/// <param name="lever">F times this is the moment that opens it, m.</param>
public sealed class GripPrise(RigSetting b, PartId id, string title, SpringIndex spring, Vec3 axis, Vec3 normal, double closing,
    double lever, string source)
    : Check(id + ".prise", StationId.Base, id, title)
{
    private readonly double factor = b.Factors[FactorTable.Friction];

    public override SpringIndex? Joint => spring;

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        var (force, moment) = f.Spring(spring);
        var across = force.PerpendicularTo(axis);
        // The spring's force on the rig points against the pull.
        var pressed = Math.Max(0, across.Dot(normal));
        var pull = (across - pressed * normal).Length;
        var pitch = moment.PerpendicularTo(axis).Length;
        sheet?.Formula("{k} × ({N} + {M} ÷ {w}) ÷ {F}", "no tension across a closed joint: F·w/6 for each half",
            "A jaw that bends before it opens.")
            .Factor(b, FactorTable.Friction).Term("N", "pull across the bar", pull, Dimension.Force)
                .Term("M", "moment across the bar", pitch, Dimension.Torque)
            .Term("w", "lever of its width", lever, Dimension.Length, Origin.Measures)
                .Term("F", "closed by", closing, Dimension.Force, source);
        return Ratio(factor * (pull + pitch / lever), closing);
    }
}
