using Ochema.Core.Joints;

namespace Ochema.Core.Rigs;

/// <summary>
/// The outline of a flat piece. Where walls are folded up both ways, a corner is sawn out of it as far as both bends reach, so that neither
/// pulls at the other, and the corner's end is drilled first: the hole stops the saw and the tear (common practice, no source).
/// </summary>
/// <param name="Points">Corners, [x, y], m, anticlockwise from its lower left; [0, 0] is that of the rectangle round it.</param>
/// <param name="Reliefs">Middles of the holes at the inner ends of the corners, [x, y], m.</param>
public sealed record FlatOutline(IReadOnlyList<double[]> Points, IReadOnlyList<double[]> Reliefs)
{
    /// <summary>m²; by the shoelace rule.</summary>
    public double Area => Points.Zip([.. Points.Skip(1), Points[0]], (a, b) => a[0] * b[1] - b[0] * a[1]).Sum() / 2;

    /// <summary>Of a relief's drill, m: twice the sheet, at the least what a small bit and a file's corner want (judgement, 2–5
    /// mm).</summary>
    public static double Relief(double thickness) => Math.Max(0.003, 2 * thickness);

    /// <summary>
    /// What its corners are filed round to, m: as thick as it is, 3 mm at the least (common practice, no source); 0 for a piece whose
    /// corners are sawn out.
    /// </summary>
    public static double Corner(SheetPiece piece) => Of(piece).Points.Count > 4 ? 0
        : Math.Min(Math.Max(0.003, piece.Thickness), Math.Min(piece.Length, piece.Width) / 4);

    /// <summary>As far as the first and the last bend of one way reach inwards, m; 0 and the whole where there is none on that
    /// side.</summary>
    /// <param name="whole">Size of the piece that way, m.</param>
    public static (double Low, double High) Floor(IReadOnlyList<BendLine> bends, double whole, double thickness)
    {
        double Half(BendLine x) => Bend.Allowance(Math.Abs(x.Angle), x.Radius, thickness) / 2;
        return (bends.Where(x => x.At < whole / 2).Select(x => x.At + Half(x)).DefaultIfEmpty(0).Max(),
            bends.Where(x => x.At >= whole / 2).Select(x => x.At - Half(x)).DefaultIfEmpty(whole).Min());
    }

    /// <summary>Of a piece; the rectangle where it is folded one way only.</summary>
    public static FlatOutline Of(SheetPiece piece)
    {
        var (l, w) = (piece.Length, piece.Width);
        if (piece.Walls.Count == 0 || piece.Bends.Count == 0)
            return new([[0, 0], [l, 0], [l, w], [0, w]], []);
        var ((x1, x2), (y1, y2)) = (Floor(piece.Bends, l, piece.Thickness), Floor(piece.Walls, w, piece.Thickness));
        List<double[]> points = [], reliefs = [];
        // Each corner: where it would be, and the inner end of what is sawn out of it.
        foreach (var (x, y, inX, inY) in new[] { (0.0, 0.0, x1, y1), (l, 0.0, x2, y1), (l, w, x2, y2), (0.0, w, x1, y2) })
        {
            if (inX == x || inY == y)
            {
                points.Add([x, y]);
                continue;
            }
            // Anticlockwise: along the lower and upper edge the wall's corner comes first on the right, last on the left.
            double[] below = [inX, y], beside = [x, inY], inner = [inX, inY];
            points.AddRange((x == 0) == (y == 0) ? [beside, inner, below] : [below, inner, beside]);
            reliefs.Add(inner);
        }
        return new(points, reliefs);
    }
}
