using Ochema.Core.Joints;
using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Structure;

namespace Ochema.Core.Checks;

/// <summary>Two padded jaws on an edge, a rail or a pane: what friction on the pads carries, and what opens them.</summary>
internal static class JawGrip
{
    /// <summary>Adds both checks of a jaw at a hold.</summary>
    /// <param name="along">Along the edge.</param>
    /// <param name="closing">Axis the jaws close along.</param>
    /// <param name="force">Jaw force, N.</param>
    /// <param name="padRadius">m.</param>
    /// <param name="bar">Diameter of a round bar between the jaws, m; null for a flat edge.</param>
    public static void Add(RigBuilder b, Hold hold, Vec3 along, Vec3 closing, double force,
        double padRadius, double friction, double? bar, string label, string source)
    {
        b.Checks.Add(new JawTurn(b, hold.Id, $"{label} slips or turns", hold.Spring, along, closing, force, padRadius, friction, bar,
            source));
        b.Checks.Add(new JawOpens(b, hold.Id, $"{label} is prised open", hold.Spring, along, closing, force, padRadius, bar is not null,
            source));
    }
}

/// <summary>
/// Jaws that slide across, pull out or turn about the closing axis: friction of two pads, k·√((S/2μF)² + (M/T)²) ≤ 1 with T = 4/3·μ·F·r
/// (even pressure); on a round bar they roll about it at μ·F·d too.
/// </summary>
internal sealed class JawTurn(RigBuilder b, PartId id, string title, SpringIndex spring, Vec3 along, Vec3 closing,
    double force, double padRadius, double friction, double? bar, string source)
    : Check(id + ".turn", StationId.Base, id, title)
{
    private readonly double factor = b.Factors[FactorTable.Friction];

    public override SpringIndex? Joint => spring;

    public override bool GivesWay => true;

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        var (push, moment) = f.Spring(spring);
        var (slide, torque) = FrictionGrip.Jaw(force, padRadius, friction);
        var (s, m, roll) = (push.PerpendicularTo(closing).Length, Math.Abs(moment.Dot(closing)), bar is null ? 0
            : Math.Abs(moment.Dot(along)));
        var rolls = FrictionGrip.Halves(force, bar ?? padRadius, friction).Torque;
        sheet?.Formula("{k} × √(({S} ÷ {Sc})² + ({M} ÷ {Mc})² + ({R} ÷ {Rc})²)",
            "two pads, even pressure, Coulomb friction about the axis the jaws close along", "Wet, dust and wax.")
            .Factor(b, FactorTable.Friction).Term("S", "slide and pull on the pads", s, Dimension.Force)
                .Term("Sc", "friction of both pads", slide, Dimension.Force, source)
            .Term("M", "moment about the closing axis", m, Dimension.Torque)
                .Term("Mc", "friction about it", torque, Dimension.Torque, source)
            .Term("R", "moment about the bar", roll, Dimension.Torque).Term("Rc", "friction about it", rolls, Dimension.Torque, source);
        return Ratio(factor * Math.Sqrt(Math.Pow(s / slide, 2) + Math.Pow(m / torque, 2) + Math.Pow(roll / rolls, 2)), 1);
    }
}

/// <summary>
/// Jaws that are prised open: a push along the closing axis, and the moments that tilt the pads, k·(N + 2M/r) ≤ F (a round pad stays down
/// all round while the moment is below F·r/4, two pads F·r/2).
/// </summary>
internal sealed class JawOpens(RigBuilder b, PartId id, string title, SpringIndex spring, Vec3 along,
    Vec3 closing, double force, double padRadius, bool round, string source)
    : Check(id + ".opens", StationId.Base, id, title)
{
    private readonly double factor = b.Factors[FactorTable.Friction];

    public override SpringIndex? Joint => spring;

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        var (push, moment) = f.Spring(spring);
        var tilt = moment.PerpendicularTo(closing);
        // On a round bar the jaws roll before they tilt: that is friction's part.
        var m = (round ? tilt.PerpendicularTo(along) : tilt).Length;
        var n = Math.Abs(push.Dot(closing));
        sheet?.Formula("{k} × ({N} + 2 × {M} ÷ {r}) ÷ {F}", "core of a round pad, F·r/4 each",
            "A spring that has been left open is weaker.")
            .Factor(b, FactorTable.Friction).Term("N", "push on a jaw", n, Dimension.Force)
                .Term("M", "moment that tilts the pads", m, Dimension.Torque)
            .Term("r", "pad radius", padRadius, Dimension.Length, Origin.Measures).Term("F", "jaw force", force, Dimension.Force, source);
        return Ratio(factor * (n + 2 * m / padRadius), force);
    }
}
