using Ochema.Core.Joints;
using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Stock;

namespace Ochema.Core.Checks;

/// <summary>A bend that is too tight for its metal: outer-fibre strain against that of the smallest radius it takes.</summary>
public sealed class BendCracks(StationId station, PartId id, Material m, double thickness, double radius)
    : Check(id + ".bend", station, id, "Bend cracks")
{
    public override bool Fixed => true;

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        var strain = Bend.OuterFibreStrain(thickness, radius);
        var least = Bend.LeastRadius(m, thickness);
        sheet?.Formula("{ε} ÷ {ε0}", "outer-fibre strain t ÷ (2R + t), against that of the smallest radius (usual handbook multiples of "
            + "the thickness)", "Bends along the rolling direction crack earlier; anneal or take a wider radius.")
            .Term("t", "thickness", thickness, Dimension.Length, Origin.Measures)
            .Term("R", "inside radius", radius, Dimension.Length, Origin.Measures)
            .Term("ε", "strain at the outside", strain, Dimension.Ratio, "t ÷ (2·R + t)")
            .Term("R0", "smallest radius", least, Dimension.Length, m.BendRatio is null ? "from the elongation" : "usual handbook multiple")
            .Term("ε0", "strain at that radius", Bend.OuterFibreStrain(thickness, least), Dimension.Ratio, "t ÷ (2·R0 + t)")
            .Term("e", "elongation in a tensile test", m.Elongation, Dimension.Ratio, m.Source);
        return Ratio(strain, Bend.OuterFibreStrain(thickness, least));
    }
}
