using Ochema.Core.Structure;

namespace Ochema.Core.Hosts;

/// <summary>Grids of points for drawing hosts: tubes, round bodies, boxes.</summary>
internal static class HostDrawing
{
    /// <summary>A tube along a path of points, m.</summary>
    public static HostSurface Tube(string id, string kind, double diameter, params Vec3[] path) =>
        Tapered(id, kind, diameter, diameter, path);

    /// <summary>A round body along a path of points, that changes its diameter evenly from one end to the other, m.</summary>
    public static HostSurface Tapered(string id, string kind, double from, double to, params Vec3[] path)
    {
        const int around = 10;
        var rows = new List<double[][]>();
        for (var i = 0; i < path.Length; i++)
        {
            var along = (path[Math.Min(i + 1, path.Length - 1)] - path[Math.Max(i - 1, 0)]).Normalized();
            var side = (Math.Abs(along.Z) < 0.9 ? Vec3.UnitZ : Vec3.UnitX).PerpendicularTo(along).Normalized();
            var radius = (from + (to - from) * i / (path.Length - 1)) / 2;
            rows.Add([.. Enumerable.Range(0, around + 1).Select(j => (path[i] + radius * side.RotatedAbout(along, 2 * Math.PI * j / around))
                .ToArray())]);
        }
        return new HostSurface(id, kind, [.. rows]);
    }

    /// <summary>A body of elliptic sections: centre, half-width (y), half-height (z) at each station along x.</summary>
    public static HostSurface Body(string id, string kind, params (double X, double Z, double HalfWidth, double HalfHeight)[] sections) =>
        new(id, kind, [.. sections.Select(s => Enumerable.Range(0, 17).Select(j =>
        {
            var a = 2 * Math.PI * j / 16;
            return new[] { s.X, s.HalfWidth * Math.Cos(a), s.Z + s.HalfHeight * Math.Sin(a) };
        }).ToArray())]);

    /// <summary>A flat face through four corners.</summary>
    public static HostSurface Face(string id, string kind, Vec3 a, Vec3 b, Vec3 c, Vec3 d) =>
        new(id, kind, [[a.ToArray(), b.ToArray()], [d.ToArray(), c.ToArray()]]);

    /// <summary>Part of an ellipsoid between two polar angles (from the top), rad.</summary>
    public static HostSurface Dome(string id, string kind, Vec3 centre, Vec3 half, double from, double to, double azimuth = 0,
        double sweep = 2 * Math.PI) =>
        new(id, kind, [.. Enumerable.Range(0, 11).Select(i =>
        {
            var polar = from + (to - from) * i / 10;
            return Enumerable.Range(0, 21).Select(j =>
            {
                var a = azimuth + sweep * j / 20;
                return new[] { centre.X + half.X * Math.Sin(polar) * Math.Cos(a), centre.Y + half.Y * Math.Sin(polar) * Math.Sin(a),
                    centre.Z + half.Z * Math.Cos(polar) };
            }).ToArray();
        })]);

    /// <summary>A closed point: an anchor of no length.</summary>
    public static Anchor At(string id, string name, Vec3 p, double? holds = null) => new(id, name, p.ToArray(), p.ToArray(), holds);

    /// <summary>A crowned panel: <paramref name="along"/> is turned square to the normal.</summary>
    public static PanelSurface Panel(Vec3 middle, Vec3 along, Vec3 normal, double radiusU, double radiusV, double halfU, double halfV)
    {
        var n = normal.Normalized();
        var u = along.PerpendicularTo(n).Normalized();
        return new(middle, u, n.Cross(u), n, radiusU, radiusV, halfU, halfV);
    }

    /// <summary>A flat strip of a site's frame: a place along an axis with a normal, no wider than its tube.</summary>
    public static PanelSurface Along(Vec3 middle, Vec3 axis, Vec3 normal, double halfLength, double halfWidth = 0.002, double radius = 1e3)
    {
        var u = axis.Normalized();
        var n = normal.PerpendicularTo(u).Normalized();
        return new(middle, u, n.Cross(u), n, 1e3, radius, halfLength, halfWidth);
    }
}
