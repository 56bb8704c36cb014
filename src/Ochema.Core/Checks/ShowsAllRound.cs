using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Structure;

namespace Ochema.Core.Checks;

/// <summary>
/// What carries a camera that sees all round stands in its picture, unless it lies between its two lenses: each sees only what is on its
/// own side of its glass, so a slab as thick as the camera from glass to glass is seen by neither (derived; the cut between both pictures
/// taken in its middle plane). A pole of diameter d hides while |x| + d ÷ 2 ≤ s ÷ 2, x being how far it leaves that plane; over a length L
/// that is an angle of atan((s ÷ 2 − d ÷ 2) ÷ L).
/// </summary>
/// <param name="station">The camera's row.</param>
/// <param name="glass">Glass to glass, m.</param>
/// <param name="camera">As built.</param>
/// <param name="pieces">Ends and diameter of all that carries it, m.</param>
public sealed class ShowsAllRound(StationId station, double glass, CameraBuild camera,
    IReadOnlyList<(Vec3 From, Vec3 To, double Diameter)> pieces)
    : Check(station + ".shows", station, new(station + "-all-round"), "What carries it shows in the all-round picture")
{
    public override CheckSort Sort => CheckSort.Service;

    public override bool Fixed => true;

    /// <summary>How far an end leaves the plane between both lenses, m.</summary>
    private double Out(Vec3 p) => Math.Abs((p - camera.Pivot).Dot(camera.View));

    private (double Out, double Diameter) Worst()
    {
        var worst = (Out: 0.0, Diameter: 0.0);
        foreach (var (from, to, d) in pieces)
            if (Math.Max(Out(from), Out(to)) is var x && x + d / 2 > worst.Out + worst.Diameter / 2)
                worst = (x, d);
        return worst;
    }

    /// <summary>
    /// Its farthest end as seen from between the lenses: its angle out of their plane and the largest at which it still hides, rad; null
    /// where it is thicker than the camera.
    /// </summary>
    internal (double Is, double? May) Angle()
    {
        var (far, d) = pieces.SelectMany(p => new[] { (At: p.From, p.Diameter), (At: p.To, p.Diameter) })
            .MaxBy(e => (e.At - camera.Pivot).Length);
        var away = Math.Max(1e-6, (far - camera.Pivot).Length);
        return (Math.Asin(Math.Min(1, Out(far) / away)), glass > d ? Math.Asin(Math.Min(1, (glass - d) / 2 / away)) : null);
    }

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        var (x, d) = Worst();
        sheet?.Formula("2 × ({x} + {d} ÷ 2) ÷ {s}", "what lies between both lenses is seen by neither",
                "Bending under way; how the pictures are laid over each other; its shadow.")
            .Term("x", "how far it leaves the plane between both lenses", x, Dimension.Length, Origin.Measures)
            .Term("d", "its thickness", d, Dimension.Length, "as listed")
                .Term("s", "glass to glass", glass, Dimension.Length, camera.Body.Source);
        return Ratio(2 * x + d, glass);
    }
}
