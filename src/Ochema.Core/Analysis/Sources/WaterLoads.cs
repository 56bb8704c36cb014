using Ochema.Core.Loads;
using Ochema.Core.Rigs;
using Ochema.Core.Structure;

namespace Ochema.Core.Analysis.Sources;

/// <summary>
/// What water does to a rig, as unit loads and what each counts in a case: its lift, a wave that slams into all up to its crest, and the
/// flow on what always lies in it. The water of a wave moves by itself, deeper parts less, so that a pressure ½·ρ·(V + u(z))² is three
/// columns: V², V·u and u².
/// </summary>
internal sealed class WaterLoads : LoadSource
{
    private const int Lift = 0;
    private const int Slams = 1;
    private const int Flows = 4;

    private readonly BuiltRig b;
    private readonly FrameSystem system;
    private readonly Wave wave;

    public override string Label => "water";

    /// <inheritdoc/>
    /// <remarks>Nothing on land.</remarks>
    public override IReadOnlyList<IReadOnlyList<PlacedLoad>> Columns { get; }

    public WaterLoads(BuiltRig b, FrameSystem system)
    {
        (this.b, this.system) = (b, system);
        var motion = b.Host.Motion;
        wave = motion.Wave(b.Rig.Run.Road, b.Rig.Base.WaterDepth);
        Columns = !motion.Wet ? []
            :
            [
                [.. Lifted()],
                .. Enumerable.Range(0, 3).Select(power => (IReadOnlyList<PlacedLoad>)[.. Wetted(wave.Amplitude, slam: true, power)]),
                .. Enumerable.Range(0, 3).Select(power => (IReadOnlyList<PlacedLoad>)[.. Wetted(0, slam: false, power)]),
            ];
    }

    public override void Coefficients(RigCase c, double speed, Span<double> into)
    {
        into[Lift] = 1;
        if (c.AtRest)
            return;
        var at = c.Dunk ? Slams : Flows;
        (into[at], into[at + 1], into[at + 2]) = (Water.Pressure(speed), Water.Density * speed, 0.5 * Water.Density);
    }

    /// <inheritdoc/>
    /// <remarks>A slam's push with it; 0 where it does not reach the camera.</remarks>
    public override double WaterOnCamera(RigCase c, double speed)
    {
        var z = b.Position(b.Camera.Node).Z;
        if (Columns.Count == 0 || c.AtRest || !(c.Dunk || z < 0))
            return 0;
        var meets = speed + wave.Speed(z);
        var area = b.Faces.Where(x => x.Node == b.Camera.Node).Sum(x => x.BoxForce(MotionProfile.WindDirection(0)).Length);
        return Water.Pressure(meets) + (c.Dunk && z < wave.Amplitude ? Water.Hit(area / Drag.Cube, meets) / area : 0);
    }

    /// <summary>
    /// What a slam on a small face adds to its drag in the column of a power of the wave's speed: ω·ρ·W·(V + u) is W·ω of ρ·V and 2·W·ω·u
    /// of ½·ρ, with W the water pushed aside.
    /// </summary>
    private static double Hit(double area, double u, int power) =>
        power == 0 ? 0 : power * Math.Pow(u, power - 1) * Water.PushedAside(area) * Water.Sways;

    /// <summary>
    /// Lift of what is under water, N/m: its displaced water, and the weight of the water that it carries along, which is mass in the
    /// frame (it has to be moved)
    /// and no weight.
    /// </summary>
    private IEnumerable<PlacedLoad> Lifted()
    {
        foreach (var (beam, section, from, to) in b.Carrying)
            if (Water.Share(b.Position(from).Z, b.Position(to).Z, 0) is > 0 and var share)
                yield return PlacedLoad.Along(beam, share * Water.Density * MotionProfile.Gravity
                    * (section.Area + Water.AddedMass(section.DragWidth) / Water.Density) * Vec3.UnitZ);
    }

    /// <summary>
    /// Load at 1 Pa of water from ahead on all that lies lower than a height, m over still water, and of a wave on the cameras, times
    /// the wave's own speed there
    /// to a power.
    /// </summary>
    private IEnumerable<PlacedLoad> Wetted(double upTo, bool slam, int power)
    {
        var flow = MotionProfile.WindDirection(0);
        foreach (var face in b.Faces)
            if (!face.IsOnMember)
            {
                // Spray and the top of a wave reach the cameras wherever they stand.
                var z = b.Position(face.Node).Z;
                if (z < upTo || (slam && (face.Node == b.Camera.Node || face.Node == b.SecondCamera?.Node)))
                {
                    var (u, force) = (wave.Speed(z), face.BoxForce(flow));
                    var hit = slam && z < upTo && force.Length > 0 ? Hit(force.Length / Drag.Cube, u, power) / force.Length : 0;
                    yield return PlacedLoad.At(face.Node, (Math.Pow(u, power) + hit) * force);
                }
            }
            else
            {
                var (from, to) = (b.Position(b.StartOf(face.Member)).Z, b.Position(b.EndOf(face.Member)).Z);
                if (Water.Share(from, to, upTo) is > 0 and var share)
                    yield return PlacedLoad.Along(face.Member, share * Along(Math.Min(from, upTo), Math.Min(to, upTo), power)
                        * (slam ? (face.Round ? Water.RoundSlam : Water.FlatSlam) / face.Coefficient : 1)
                        * Drag.OnMember(flow, system.Beams[face.Member.Value].AxisX, face.Width, face.Coefficient));
            }
    }

    private const int Slices = 16;

    /// <summary>Mean of the wave's own speed to a power between two heights, by the middles of slices.</summary>
    private double Along(double from, double to, int power)
    {
        var sum = 0.0;
        for (var i = 0; i < Slices; i++)
            sum += Math.Pow(wave.Speed(from + (i + 0.5) / Slices * (to - from)), power);
        return sum / Slices;
    }
}
