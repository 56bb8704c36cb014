using Ochema.Core.Loads;
using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Structure;

namespace Ochema.Core.Checks;

/// <summary>
/// The shoe on top of a camera under what is pushed into it: its weight, jolts and the wind bend the foot between its two rails. ISO 518
/// gives a shoe's sizes, no load: what it takes is judgement.
/// </summary>
public sealed class ShoeGives(BuiltRig b, StationId station, InShoe on)
    : Check(station + ".shoe", station, new(station.ToString()), "Shoe gives under what is in it")
{
    private readonly double factor = b.Factors[FactorTable.Plastic];
    private readonly Vec3 ahead = on.Face.BoxForce(MotionProfile.WindDirection(0));
    private readonly Vec3 lever = on.Centre - on.Foot;

    /// <summary>Bending that a sheet-metal shoe with a plastic foot takes, N·m (judgement, 1–3).</summary>
    public const double Takes = 1.5;

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        var force = on.Mass * (f.Field + Flung.Beyond(b, f, on.Centre)) + f.Pressure * on.Face.BoxForce(f.Wind) + f.Splash * ahead;
        var moment = lever.Cross(force).Length;
        sheet?.Formula("{k} × {M} ÷ {C}", "moment about the shoe", "A foot that is not screwed down rocks first; branches and hands.")
            .Factor(b, FactorTable.Plastic).Term("M", "weight, jolt and wind about the shoe", moment, Dimension.Torque)
            .Term("C", "what the shoe takes", Takes, Dimension.Torque, "judgement, 1–3 N·m; ISO 518 gives sizes only");
        return Ratio(factor * moment, Takes);
    }
}
