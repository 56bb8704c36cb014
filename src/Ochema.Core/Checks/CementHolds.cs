using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;

namespace Ochema.Core.Checks;

/// <summary>A pipe in a cemented socket: drawn out along it and turned in it, in shear over the glued round.</summary>
/// <param name="piece">The pipe.</param>
/// <param name="ends">Which of its ends are in sockets: first, last.</param>
internal sealed class CementHolds(
    RigSetting b, StationId station, PartId id, string title, BeamPiece piece, (bool First, bool Last) ends, PipeFitting fitting,
        double diameter, Glue glue)
    : Check(id + ".cement", station, id, title)
{
    /// <summary>Age that the joint has when it is run, s: a week, as other glues here.</summary>
    private const double Age = 7 * 86400;

    private readonly double area = Math.PI * diameter * fitting.Socket;

    /// <inheritdoc/>
    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        var (stress, at) = (0.0, (N: 0.0, T: 0.0));
        Span<double> room = stackalloc double[12];
        foreach (var (element, end) in new[] { (piece.First, ends.First ? 0 : -1), (piece.Last, ends.Last ? 6 : -1) })
            if (end >= 0)
            {
                var e = f.Beam(element, room);
                // Bending is carried by the socket's length bearing on the pipe, which the pipe's own strength beside it limits.
                var (n, t) = (Math.Abs(e[end]), Math.Abs(e[end + 3]));
                var now = Math.Sqrt(n * n + Math.Pow(t / (diameter / 2), 2)) / area;
                if (now >= stress)
                    (stress, at) = (now, (n, t));
            }
        var share = glue.Share(Age, b.Rig.Run.Skin);
        sheet?.Formula("{k} × √({N}² + ({T} ÷ {r})²) ÷ {A} ÷ ({τ} × {s})", "mean shear over the glued round",
            "A dry or unprimed socket; creep in the heat.")
            .Factor(b, FactorTable.Adhesive).Term("N", "pull along the pipe", at.N, Dimension.Force)
                .Term("T", "moment about the pipe", at.T, Dimension.Torque)
            .Term("r", "half its diameter", diameter / 2, Dimension.Length, fitting.Source)
                .Term("A", "glued round", area, Dimension.Area, fitting.Source)
            .Term("τ", "shear strength", glue.Shear, Dimension.Stress, glue.Source)
                .Term("s", "cured and warm share", share, Dimension.Ratio, "judgement");
        return Ratio(b.Factors[FactorTable.Adhesive] * stress, glue.Shear * share);
    }
}
