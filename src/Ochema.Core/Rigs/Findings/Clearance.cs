using Ochema.Core.Hosts;
using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Structure;

namespace Ochema.Core.Rigs;

/// <summary>Whether the rig, its swing and its loose ends keep out of the places that must stay free, and inside the outline.</summary>
public static class Clearance
{
    /// <summary>Loose strap ends hang and flap this far, m (judgement).</summary>
    private const double LooseEnd = 0.15;

    /// <summary>How far a joint that creeps may let the camera swing before somebody notices, m (judgement).</summary>
    private const double Swing = 0.05;

    internal static IEnumerable<ReportFinding> Findings(BuiltRig b)
    {
        var host = b.Host;
        foreach (var zone in host.KeptClear(b.Rig.Survey, b.Rig.Site))
        {
            var (hit, margin) = Nearest(b, zone);
            if (hit is null)
                continue;
            yield return margin <= 0 && !(zone.Sight && Thin(hit))
                ? new ReportFinding(hit.Station, $"The {What(b.Rig, hit)} stands in the {zone.Name}. {zone.Why}", Blocks: true)
                : new ReportFinding(hit.Station, margin <= 0 ? $"The {What(b.Rig, hit)} crosses the {zone.Name}, thinly. {zone.Why}"
                    : $"The {What(b.Rig, hit)} comes within {QuantityText.Of(margin, Quantities.Dimension.Length)} of the {zone.Name}"
                        + $"{(margin < LooseEnd && hit.Type is "strap" ? ": tie its loose end" : ": mind its swing")}. {zone.Why}");
        }
        if (host.Motion.Wet && b.Rig.Run.Consequence is Consequence.OwnGround or Consequence.PublicWay or Consequence.InsideHost)
            yield return new ReportFinding(StationId.Site,
                "What falls from it falls into the water: deep water, unless you can stand in it "
                + "everywhere it goes.");
        if (b.Rig.Survey.BeyondOutline == Answer.No && Beyond(b.Figure, host) is { } part)
            yield return new ReportFinding(part.Station,
                $"The {What(b.Rig, part)} stands beyond the outline of the {host.Name.ToLowerInvariant()}, "
                + $"which the rules of the day refuse.", Blocks: true);
    }

    /// <summary>Whether what stands out beyond a vehicle may, where others are about and nobody has said; null where there is nothing to
    /// ask.</summary>
    internal static string? Asks(RigSetting b, IEnumerable<FigureShape> figure) =>
        b.Host is var host && b.Rig.Survey.BeyondOutline == Answer.NotAsked && host.Motion is { Still: false, Wet: false }
            && host.Published.Wheels.Count > 0
            && b.Rig.Run.Consequence is Consequence.PublicWay or Consequence.OnPeople && Beyond(figure, host, Ends, Sides) is { } part
            ? $"May the {What(b.Rig, part)} stand out beyond the {host.Name.ToLowerInvariant()} there? The rules of the road or the "
                + $"event say." : null;

    /// <summary>The shape that comes nearest to a zone, and by how much, m (0 inside); null when none is within its swing.</summary>
    private static (FigureShape? Shape, double Margin) Nearest(BuiltRig b, KeepClear zone)
    {
        FigureShape? nearest = null;
        var least = double.MaxValue;
        foreach (var shape in b.Figure.Where(s => s.Type is not ("tether" or "post" or "strip")))
            foreach (var p in Along(shape))
            {
                var d = Distance(p, zone) - Radius(shape);
                var reach = shape.Type is "strap" ? LooseEnd : Swing;
                if (d < reach && d < least)
                    (nearest, least) = (shape, d);
            }
        return (nearest, Math.Max(0, least));
    }

    /// <summary>
    /// What may stand out before and behind, and at the sides, without being asked about, m (judgement: as far as a tow ball, a mirror's
    /// rim).
    /// </summary>
    private const double Ends = 0.3;
    private const double Sides = 0.05;

    private static FigureShape? Beyond(IEnumerable<FigureShape> figure, Host host, double ends = 0, double sides = 0)
    {
        var (front, rear, side) = (host.Outline.Front + ends, host.Outline.Rear + ends, host.Outline.Side + sides);
        return figure.FirstOrDefault(s => s.Type is not ("strap" or "tether" or "post" or "strip") && Along(s).Any(p =>
            p.X + Radius(s) > front || p.X - Radius(s) < -rear || Math.Abs(p.Y) + Radius(s) > side));
    }

    /// <summary>Points along a shape: its ends and a few between.</summary>
    private static IEnumerable<Vec3> Along(FigureShape s)
    {
        var points = s.Points.Select(p => Vec3.From(p.P)).ToList();
        foreach (var p in points)
            yield return p;
        for (var i = 0; i + 1 < points.Count; i++)
            for (var k = 1; k < 6; k++)
                yield return points[i] + k / 6.0 * (points[i + 1] - points[i]);
    }

    private static bool Thin(FigureShape s) => s.Type is "strap" || (s.Type is "tube" && s.Size[0] < 0.02);

    private static double Radius(FigureShape s) => s.Type switch
    {
        "camera" => 0.5 * Math.Min(s.Size[0], Math.Min(s.Size[1], s.Size[2])),
        "plate" => 0.02,
        _ => 0.5 * s.Size[0]
    };

    internal static double Distance(Vec3 p, KeepClear z)
    {
        double Out(double v, double low, double high) => Math.Max(0, Math.Max(low - v, v - high));
        return new Vec3(Out(p.X, z.Low[0], z.High[0]), Out(p.Y, z.Low[1], z.High[1]), Out(p.Z, z.Low[2], z.High[2])).Length;
    }

    private static string What(RigDocument rig, FigureShape s) => s.Type is "camera" or "lens" or "strap" or "plate" or "head" ? s.Type
        : rig.Braces.Any(x => StationId.Brace(x.Id) == s.Station) ? "strut" : s.Station == StationId.Isolator ? "soft mount"
            : s.Station.Family;
}
