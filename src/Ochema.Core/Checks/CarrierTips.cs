using Ochema.Core.Hosts;
using Ochema.Core.Joints;
using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Structure;

namespace Ochema.Core.Checks;

/// <summary>
/// What the rig is clamped to stands free and tips over with it: all that the base's holds, and straps that end on it, put on it, with its
/// own weight, about each side of what its feet span.
/// </summary>
public sealed class CarrierTips(BuiltRig b, FreeStanding carrier)
    : Check("site.tip", StationId.Site, new("site"), $"The {carrier.Noun} tips over")
{
    private readonly double factor = b.Factors[FactorTable.Friction];
    private readonly double weight = (b.Rig.Site.Weighs ?? carrier.Mass) * Loads.MotionProfile.Gravity;
    private readonly double apart = b.Rig.Site.FeetApart ?? carrier.Apart;

    /// <summary>A square: which side of what its feet span is the nearer one is not known.</summary>
    private readonly IReadOnlyList<Vec3> corners = Footprint.Rectangle(b.Rig.Site.FeetApart ?? carrier.Apart, b.Rig.Site.FeetApart
        ?? carrier.Apart)
        .On(Vec3.UnitX, Vec3.UnitY);
    private readonly List<(LineIndex Line, Vec3 From, Vec3 Way)> straps = [.. b.StrapsBuilt.Where(s =>
        carrier.Anchors.Contains(s.Strap.To.Anchor))
        .Select(s => (s.Line, s.Anchor, (s.From - s.Anchor).Normalized()))];

    /// <summary>What is put on it, N, and the moment of that about the middle of its feet, N·m; its own weight not with it.</summary>
    internal (Vec3 Force, Vec3 Moment) Load(CaseForces f)
    {
        var (force, moment) = (Vec3.Zero, Vec3.Zero);
        foreach (var h in b.Holds)
            if (h.Station == StationId.Base && !f.IsGone(h.Id))
            {
                // The spring's force on the rig turned round.
                var (one, turn) = f.Spring(h.Spring);
                (force, moment) = (force - one, moment - turn - (b.Position(h.Node) - carrier.Middle).Cross(one));
            }
        foreach (var (line, at, way) in straps)
        {
            var pull = f.Tension(line) * way;
            (force, moment) = (force + pull, moment + (at - carrier.Middle).Cross(pull));
        }
        return (force, moment);
    }

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        var (force, moment) = Load(f);
        var (over, back) = TipOver.Worst(corners, Vec3.UnitZ, force - weight * Vec3.UnitZ, moment);
        sheet?.Formula("{k} × {O} ÷ {R}",
            "moments about each side of what its feet span, the worst one; its weight is taken above their middle",
                "Somebody who leans on it, wind on it, a soft floor. A bag on its feet counts with what it weighs.")
            .Factor(b, FactorTable.Friction).Term("O", "overturning moment", over, Dimension.Torque)
                .Term("R", "restoring moment", back, Dimension.Torque)
            .Term("G", "its own weight", weight, Dimension.Force, b.Rig.Site.Weighs is { } kg
                ? Taken.Origin(b.Rig, "you weighed it", "weighs", kg) : "judgement, until you weigh it")
            .Term("a", "its feet apart", apart, Dimension.Length, b.Rig.Site.FeetApart is { } m
                ? Taken.Origin(b.Rig, "you measured it", "feetApart", m) : "judgement, until you measure it");
        return Ratio(factor * over, back);
    }
}
