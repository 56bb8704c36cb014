using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Structure;

namespace Ochema.Core.Checks;

/// <summary>A friction pivot that is bent open on one side and droops: M ≤ F·w/2, the force that draws it together over half its width. It
/// stays on: service.</summary>
/// <param name="drawn">Force that closes the pivot, N.</param>
/// <param name="width">Of the faces, m.</param>
public sealed class PivotGapes(StationId station, PartId id, string title, SpringIndex spring, Vec3 axis, double drawn, double width)
    : Check(id + ".gapes", station, id, title)
{
    public override SpringIndex? Joint => spring;

    public override CheckSort Sort => CheckSort.Service;

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        var bend = f.Spring(spring).Moment.PerpendicularTo(axis).Length;
        sheet?.Formula("{M} ÷ ({F} × {w} ÷ 2)", "no part of the faces is pressed any more",
            "Washers that squash: it droops a little before.")
            .Term("M", "bends the pivot", bend, Dimension.Torque).Term("F", "drawn together by", drawn, Dimension.Force,
                "friction torque over the washers' friction and radius").Term("w", "width of the faces", width, Dimension.Length,
                    Origin.Measures);
        return Ratio(bend, drawn * width / 2);
    }
}
