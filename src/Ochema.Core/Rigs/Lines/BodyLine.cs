using Ochema.Core.Hosts;
using Ochema.Core.Structure;

namespace Ochema.Core.Rigs;

/// <summary>A line from the rig to the host as it is drawn: along the panels that it would else pass through.</summary>
internal static class BodyLine
{
    private const int Pieces = 8;

    /// <summary>A line lies on the skin by this much, m, so that it is seen.</summary>
    private const double Clear = 0.004;

    /// <summary>Points between two ends and the far end itself; only the far end where nothing is in the way.</summary>
    public static IReadOnlyList<FigurePoint> Over(Host host, Vec3 from, Vec3 to)
    {
        var panels = host.Sites.Where(s => s.Form.IsSkin).Select(host.Surface).ToList();
        var lifted = false;
        var points = new List<FigurePoint>();
        for (var i = 1; i < Pieces; i++)
        {
            var p = from + (double)i / Pieces * (to - from);
            foreach (var panel in panels)
            {
                var d = p - panel.Origin;
                var (s, t) = (d.Dot(panel.U), d.Dot(panel.V));
                if (Math.Abs(s) > panel.HalfU || Math.Abs(t) > panel.HalfV)
                    continue;
                var under = (panel.Point(s, t) - p).Dot(panel.Normal) + Clear;
                // Deeper than this it is another side of the host.
                if (under is > 0 and < 0.15)
                {
                    p += under * panel.Normal;
                    lifted = true;
                }
            }
            points.Add(new FigurePoint("", p.ToArray()));
        }
        return lifted ? [.. points, new FigurePoint("", to.ToArray())] : [new FigurePoint("", to.ToArray())];
    }
}
