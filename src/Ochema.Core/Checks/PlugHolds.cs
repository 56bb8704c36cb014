using Ochema.Core.Joints;
using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;

namespace Ochema.Core.Checks;

/// <summary>
/// The plug in a tube's end is drawn out or turns: a pin through each wall, glue all round, or glue and a key in a slot; pressed in only it
/// carries nothing, for nobody knows when it comes out.
/// </summary>
internal sealed class PlugHolds(RigSetting b, ScrewJoint joint, TubePlug plug)
    : Check(joint.Id + ".plug", joint.Station, new(joint.Id), "End plug comes out of its tube")
{
    /// <summary>Glue that a plug is set in.</summary>
    private readonly Glue glue = Glues.Find(TubePlug.Glue);

    /// <summary>The plug itself is of aluminium.</summary>
    private const string PlugFamily = "metal";

    /// <summary>Use of the key, what its weaker side holds, N, and the factor that goes with that.</summary>
    private (double Use, double Holds, string Factor) Turning(double twist)
    {
        var (factor, holds) = new[] { (FactorTable.Metal, TubePlug.KeyShears), (FactorTable.For(plug.Tube.Family), plug.SlotBears) }
            .MaxBy(c => b.Factors[c.Item1] / c.Item2);
        return (Ratio(b.Factors[factor] * plug.KeyForce(twist), holds), holds, factor);
    }

    /// <summary>Use of the glue by a pull along the tube alone.</summary>
    private double Pull(double pull) => Ratio(b.Factors[FactorTable.Adhesive] * plug.GlueStress(pull, 0), Glued);

    /// <summary>Strength of the glue as cured, as warm as it gets and in the gap that it has to fill, Pa.</summary>
    private double Glued => glue.Shear * glue.Share(glue.Cure, b.Rig.Run.Skin) * plug.GapShare;

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        var (force, moment) = joint.Load!(f);
        var (pull, twist) = (Math.Abs(force.Dot(joint.Axis)), Math.Abs(moment.Dot(joint.Axis)));
        switch (plug.Kept)
        {
            case PlugKept.Pinned:
                // A wall of plastic or carbon wants more in hand than a pin of steel: what governs brings its own factor.
                var wall = plug.WallForce(pull, twist);
                var (factor, one) = new[] { (FactorTable.Metal, TubePlug.PinShears), (FactorTable.For(plug.Tube.Family), plug.WallBears) }
                    .MaxBy(c => b.Factors[c.Item1] / c.Item2);
                sheet?.Formula("{k} × √(({N} ÷ 2)² + ({M} ÷ {D})²) ÷ {P}", "pin in shear and the wall's hole in bearing (Shigley ch. 8)",
                    "A hole near the tube's end; bending of the plug, which fills its tube.")
                    .Factor(b, factor).Term("N", "along the tube", pull, Dimension.Force)
                        .Term("M", "about the tube", twist, Dimension.Torque)
                    .Term("D", "wall to wall", plug.Inside + plug.Wall, Dimension.Length, Origin.Measures)
                    .Term("P", "one wall holds", one, Dimension.Force, $"5 mm pin, mild steel; {plug.Tube.Source}");
                return Ratio(b.Factors[factor] * wall, one);
            case PlugKept.Glued or PlugKept.Keyed when glue.Fault(PlugFamily, Glues.Family(plug.Tube), b.Rig.Run.Skin) is { } fault:
                sheet?.Formula("{N} on glue that does not hold", $"{fault} ({glue.Source})", "")
                    .Term("N", "along the tube", pull, Dimension.Force);
                return MostUse;
            case PlugKept.Keyed when Turning(twist) is var (key, slot, with) && Pull(pull) <= key:
                sheet?.Formula("{k} × {M} ÷ ({D} ÷ 2) ÷ {P}",
                    "key in shear and the slot's side in bearing (Shigley ch. 8); the glue, which helps, left out",
                    "A slot sawn wider than its key: it turns by that much first.")
                    .Factor(b, with).Term("M", "about the tube", twist, Dimension.Torque)
                    .Term("D", "wall to wall", plug.Inside + plug.Wall, Dimension.Length, Origin.Measures)
                    .Term("P", "key or slot holds", slot, Dimension.Force, $"5 mm key, 10 mm long, mild steel; {plug.Tube.Source}");
                return Ratio(b.Factors[with] * plug.KeyForce(twist), slot);
            case PlugKept.Keyed:
                twist = 0;
                goto case PlugKept.Glued;
            case PlugKept.Glued:
                var (stress, holds) = (plug.GlueStress(pull, twist), Glued);
                sheet?.Formula("{k} × √({N}² + ({M} ÷ {r})²) ÷ ({A} × {τ})", "glue in shear all round",
                    "Faces that were not sanded bright and wiped.")
                    .Factor(b, FactorTable.Adhesive).Term("N", "along the tube", pull, Dimension.Force)
                        .Term("M", "about the tube", twist, Dimension.Torque)
                    .Term("r", "inside radius", plug.Inside / 2, Dimension.Length, Origin.Measures)
                    .Term("A", "glued", plug.Glued, Dimension.Area, Origin.Measures)
                    .Term("τ", "cured, as warm as it gets, in the gap that its play leaves", holds, Dimension.Stress, glue.Source);
                return Ratio(b.Factors[FactorTable.Adhesive] * stress, holds);
            default:
                sheet?.Formula("{N} on nothing that is known", "common practice, no source: a press fit alone drops it", "")
                    .Term("N", "along the tube", pull, Dimension.Force);
                return MostUse;
        }
    }
}
