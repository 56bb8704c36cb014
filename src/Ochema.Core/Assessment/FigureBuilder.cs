using Ochema.Core.Analysis;
using Ochema.Core.Hosts;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Structure;

namespace Ochema.Core.Assessment;

/// <summary>What the scene draws: shapes, governing loads, the deflected shape, handles to drag.</summary>
internal static class FigureBuilder
{
    public static FigureReport Build(BuiltRig b)
    {
        var c = b.Camera;
        var lens = new LensReport(c.Eye.ToArray(), c.View.ToArray(), c.Up.ToArray(),
            2 * Math.Atan(c.Body.SensorWidth / 2 / c.Lens.FocalLength), 2 * Math.Atan(c.Body.SensorHeight / 2 / c.Lens.FocalLength),
            $"{c.Lens.FocalLength * 1000:0.#} mm on {c.Body.SensorWidth * 1000:0.#} mm");
        var s = b.Surface;
        return new FigureReport(
            b.Figure, s.Grid(13, 13), b.Rig.Site.Id, lens,
            PanelFrame.Of(b.Rig.Site.Id, s), Handles(b), b.Host.KeptClear(b.Rig.Survey, b.Rig.Site),
            [.. b.Host.People.Select(p => Seen(p, c))],
            b.SecondCamera is { } second ? [.. b.Host.People.Select(p => Seen(p, second))] : null);
    }

    /// <summary>Where the lens finds somebody's head.</summary>
    private static PersonSeen Seen(PersonFigure person, CameraBuild camera)
    {
        var to = person.Head - camera.Eye;
        var ahead = to.Dot(camera.View);
        var (aside, above) = (Math.Abs(to.Dot(camera.Up.Cross(camera.View))), Math.Abs(to.Dot(camera.Up)));
        double Edge(double sensor) => ahead * sensor / 2 / camera.Lens.FocalLength;
        var seen = ahead > 0 && aside < Edge(camera.Body.SensorWidth) && above < Edge(camera.Body.SensorHeight);
        var (pan, tilt, _) = camera.Aim(person.Head);
        return new(person.Id, person.Name, to.Length, seen, pan, tilt);
    }

    /// <summary>Nothing of the kind: it moves freely, or nothing is left.</summary>
    /// <param name="letGo">Of which let-go case.</param>
    public static StateShape None(string letGo) => new(letGo, "", [], new Dictionary<string, double[]>()) { Uses = nothing };

    private static readonly Dictionary<string, double> nothing = [];

    /// <summary>How a state stands in a case.</summary>
    public static StateShape Shape(string letGo, RigModel model, StateResponse state, CaseForces f) =>
        new(letGo, f.Case.Label, Arrows(model, f), Displacements(model, state, f)) { Uses = nothing };

    /// <summary>Wind or water and inertia as two arrows at the camera.</summary>
    public static IReadOnlyList<LoadArrow> Arrows(RigModel model, CaseForces f)
    {
        var b = model.Built;
        var at = b.Position(b.Camera.Node);
        var wind = Vec3.Zero;
        foreach (var face in b.Faces.Where(x => x.Node == b.Camera.Node))
            wind += f.Pressure * face.BoxForce(f.Wind) + f.Splash * face.BoxForce(Loads.MotionProfile.WindDirection(0));
        var inertia = b.Camera.Mass * f.Field;
        var list = new List<LoadArrow>();
        if (wind.Length > 0.5)
            list.Add(new(f.Case.Dunk ? "water" : "wind", Drawn(at), Drawn(wind)));
        if (inertia.Length > 0.5)
            list.Add(new("weight and motion", Drawn(at), Drawn(inertia)));
        return list;
    }

    /// <summary>To four figures.</summary>
    private static double[] Drawn(Vec3 v)
    {
        var most = Math.Max(Math.Abs(v.X), Math.Max(Math.Abs(v.Y), Math.Abs(v.Z)));
        var digits = most > 0 ? Math.Clamp(3 - (int)Math.Floor(Math.Log10(most)), 0, 15) : 0;
        return [Math.Round(v.X, digits), Math.Round(v.Y, digits), Math.Round(v.Z, digits)];
    }

    /// <summary>Displacements of the nodes that shapes hang on, m.</summary>
    private static Dictionary<string, double[]> Displacements(RigModel model, StateResponse state, CaseForces f)
    {
        var u = model.Displacements(state, f);
        return model.Built.Figure.SelectMany(s => s.Points).Select(p => p.Node).Where(n => n.Length > 0).Distinct()
            .ToDictionary(n => n, n => Drawn(model.System.Displacement(u, model.System.NodeIndex(n)).U));
    }

    private static List<DragHandle> Handles(BuiltRig b)
    {
        var rig = b.Rig;
        var list = new List<DragHandle>();
        var s = b.Surface;
        list.Add(new("base", "base", "base", "at", "panel", s.Point(rig.At[0], rig.At[1]).ToArray(), rig.At, rig.Site.Id, null, 0, 0));
        foreach (var brace in rig.Braces)
            if (brace.Footing is { } foot)
            {
                var row = StationId.Brace(brace.Id);
                list.Add(new(row.ToString(), row.ToString(), "foot", $"braces.[{brace.Id}].at", "panels",
                    b.Position(b.Holds.First(h => h.Station == row).Node).ToArray(), foot.At, foot.Site, null, 0, 0));
            }
        foreach (var (strap, i) in rig.Straps.Select((x, i) => (x, i)))
        {
            var row = StationId.Strap(strap.Id).ToString();
            list.Add(new(row, row, "strap end", $"straps.[{strap.Id}].to", "anchor", b.Anchor(strap.To, $"straps[{i}].to").ToArray(),
                [strap.To.T], strap.To.Anchor, null, 0, 1));
        }
        var camera = b.Position(b.Camera.Node);
        foreach (var (property, measure, value) in MeasureReader.Of(rig.Reach))
            if (property is "height" or "length")
                list.Add(new("camera", "reach", "camera", $"{rig.Paths[0].At}.reach.{property}", "measure", camera.ToArray(), [value], "",
                    (camera - s.Point(rig.At[0], rig.At[1])).Normalized().ToArray(), measure.Minimum, measure.Maximum));
        return list;
    }
}
