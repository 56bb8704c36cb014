using Ochema.Core.Structure;

namespace Ochema.Core.Rigs;

/// <summary>How far the rig's own pieces reach, as drawn; lines and what stands round it left out.</summary>
internal static class Extent
{
    private static IEnumerable<(Vec3 At, double Half)> Points(IEnumerable<FigureShape> figure) =>
        figure.Where(s => s.Type is not ("strap" or "tether" or "post" or "strip"))
            .SelectMany(s => s.Points.Select(p => (Vec3.From(p.P), (s.Type == "plate" ? s.Size.Min() : s.Size.Max()) / 2)));

    /// <summary>Height of its lowest part, m.</summary>
    public static double Lowest(IEnumerable<FigureShape> figure) => Points(figure).Min(p => p.At.Z - p.Half);

    /// <summary>Farthest part from a point, m.</summary>
    public static double Farthest(IEnumerable<FigureShape> figure, Vec3 from) => Points(figure).Max(p => (p.At - from).Length + p.Half);
}
