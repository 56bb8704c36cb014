using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Structure;

namespace Ochema.Core.Checks;

/// <summary>How far what hangs on a bridle turns in a case: the moment on it over what its lines and its weight bring back, against what a
/// picture takes.</summary>
/// <param name="springs">Of its lines, and where they end from the middle of the bracket, m.</param>
/// <param name="back">Rolls, nods and turns by, N·m/rad.</param>
public sealed class BridleTurns(IReadOnlyList<(SpringIndex Spring, Vec3 From)> springs, Vec3 back)
    : Check("base.turns", StationId.Base, new("bracket"), "Aim drifts with wind and waves")
{
    /// <summary>What a strong stabiliser and a level horizon in the edit take up, rad (judgement, 8–15°).</summary>
    private const double Allowed = 12 * Math.PI / 180;

    public override CheckSort Sort => CheckSort.Service;

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        var moment = Vec3.Zero;
        foreach (var (spring, from) in springs)
        {
            var (force, own) = f.Spring(spring);
            moment += own + from.Cross(force);
        }
        var k = back;
        var turns = new Vec3(moment.X / k.X, moment.Y / k.Y, moment.Z / k.Z);
        var axis = Math.Abs(turns.X) >= Math.Max(Math.Abs(turns.Y), Math.Abs(turns.Z)) ? 0 : Math.Abs(turns.Y) >= Math.Abs(turns.Z) ? 1 : 2;
        var (m, s) = axis switch { 0 => (moment.X, k.X), 1 => (moment.Y, k.Y), _ => (moment.Z, k.Z) };
        sheet?.Formula("|{M}| ÷ {k} ÷ {a}", "tangent of the lines at rest, and the weight below them",
            "Swinging on: it overshoots in gusts.")
            .Term("M", axis switch { 0 => "rolls it", 1 => "nods it", _ => "turns it" }, m, Dimension.Torque)
            .Term("k", "brought back by", s, Dimension.RotationalStiffness, "lines and weight at rest")
            .Term("θ", "it goes", Math.Abs(m) / s, Dimension.Angle, Origin.Follows)
            .Term("a", "a picture takes", Allowed, Dimension.Angle, "judgement, 8–15°");
        return Ratio(Math.Abs(m) / s, Allowed);
    }
}
