using Ochema.Core.Joints;
using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Structure;

namespace Ochema.Core.Checks;

/// <summary>A ball that is drawn out of its socket: k·N ≤ 2·F.</summary>
/// <param name="load">Force (N) and moment (N·m) on it.</param>
internal sealed class BallOut(RigSetting b, StationId station, PartId id, string title, BallGrip grip, Func<CaseForces,
    (Vec3 Force, Vec3 Moment)> load)
    : Check(id + ".out", station, id, title)
{
    private readonly double factor = b.Factors[FactorTable.Friction];

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        var pull = load(f).Force.Length;
        sheet?.Formula("{k} × {N} ÷ (2 × {F})", "the ball spreads the shells over a slope of 45°, friction left out; derived",
                "A shell that cracks at its screw.")
            .Factor(b, FactorTable.Friction).Term("N", "pull on the ball", pull, Dimension.Force)
            .Term("F", "closed by", grip.Closing, Dimension.Force, "half of what the knob's screw draws with");
        return Ratio(factor * pull, grip.Pull);
    }
}
