using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Structure;

namespace Ochema.Core.Checks;

/// <summary>Two pipes cemented into a coupler: drawn out and turned in it, in shear over one glued round, and bent, bearing on its
/// socket.</summary>
/// <param name="load">Force, N, and moment, N·m, on it.</param>
/// <param name="axis">Of the pipes.</param>
public sealed class CouplerHolds(RigSetting b, StationId station, PartId id, Func<CaseForces, (Vec3 Force, Vec3 Moment)> load, Vec3 axis,
    PipeCap coupler, Glue glue)
    : Check(id + ".cement", station, id, "Coupler's cement gives")
{
    /// <summary>Age that the joint has when it is run, s: a week, as other glues here.</summary>
    private const double Age = 7 * 86400;

    private readonly double factor = b.Factors[FactorTable.Adhesive];
    private readonly double share = glue.Share(Age, b.Rig.Run.Skin);
    private readonly double area = Math.PI * coupler.Bore * coupler.Socket;

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        var (force, moment) = load(f);
        var (n, t) = (Math.Abs(force.Dot(axis)), Math.Abs(moment.Dot(axis)));
        sheet?.Formula("{k} × √({N}² + ({T} ÷ {r})²) ÷ {A} ÷ ({τ} × {s})", "mean shear over the glued round",
            "A dry or unprimed socket; bending, which the pipe beside it limits.")
            .Factor(b, FactorTable.Adhesive).Term("N", "pull along the pipe", n, Dimension.Force)
                .Term("T", "moment about the pipe", t, Dimension.Torque)
            .Term("r", "half its diameter", coupler.Bore / 2, Dimension.Length, coupler.Source)
                .Term("A", "glued round", area, Dimension.Area, coupler.Source)
            .Term("τ", "shear strength", glue.Shear, Dimension.Stress, glue.Source)
                .Term("s", "cured and warm share", share, Dimension.Ratio, "judgement");
        return Ratio(factor * Math.Sqrt(n * n + Math.Pow(t / (coupler.Bore / 2), 2)) / area, glue.Shear * share);
    }
}
