using Ochema.Core.Loads;
using Ochema.Core.Rigs;
using Ochema.Core.Structure;

namespace Ochema.Core.Analysis.Sources;

/// <summary>The wash of the host's propeller at 1 Pa far behind it on all that stands in it: straight, and twisting to either
/// side.</summary>
internal sealed class WashLoads : LoadSource
{
    /// <summary>Places along a member that are looked at.</summary>
    private const int Looks = 8;

    private readonly BuiltRig b;
    private readonly FrameSystem system;
    private readonly AirOfDay air;
    private readonly List<int> yaws = [];
    private readonly List<IReadOnlyList<PlacedLoad>> columns = [];
    private readonly double camera;

    public WashLoads(BuiltRig b, FrameSystem system, AirOfDay air)
    {
        (this.b, this.system, this.air) = (b, system, air);
        Wash = b.Host.WashAt(b.Rig.Site);
        if (Wash is null)
            return;
        foreach (var c in PropellerWash.Cases)
        {
            PlacedLoad[] blown = [.. Washed(Wash, c.Wind)];
            if (blown.Length == 0)
                return;
            yaws.Add(c.Wind);
            columns.Add(blown);
        }
        camera = new[] { b.Camera, b.SecondCamera ?? b.Camera }.Max(x => Wash.Share(b.Position(x.Node)));
    }

    /// <summary>What blows back; null where the place is behind no propeller.</summary>
    public PropellerWash? Wash { get; }

    public override string Label => "wind";

    public override IReadOnlyList<IReadOnlyList<PlacedLoad>> Columns => columns;

    public override void Coefficients(RigCase c, double speed, Span<double> into)
    {
        if (!c.Wash)
            return;
        for (var w = 0; w < yaws.Count; w++)
            if (yaws[w] == c.Wind)
                into[w] = Pressure(speed);
    }

    public override double AirOnCamera(RigCase c, double speed) => c.Wash ? Pressure(speed) * camera : 0;

    /// <summary>Its speed far behind the propeller at a travel speed, m/s.</summary>
    public double Speed(double speed) => Wash!.Speed(b.ThroughAir(speed) + b.Rig.Run.HeadWind, air.Density);

    /// <summary>What it adds far behind the propeller at a travel speed, Pa.</summary>
    private double Pressure(double speed) => Wash!.Pressure(b.ThroughAir(speed) + b.Rig.Run.HeadWind);

    private IEnumerable<PlacedLoad> Washed(PropellerWash wash, int yaw)
    {
        var wind = MotionProfile.WindDirection(MotionProfile.Yaw[yaw]);
        foreach (var face in b.Faces)
            if (face.IsOnMember)
            {
                var (from, to) = (b.Position(b.StartOf(face.Member)), b.Position(b.EndOf(face.Member)));
                var share = Enumerable.Range(0, Looks).Average(i => wash.Share(from + (i + 0.5) / Looks * (to - from)));
                if (share > 0)
                    yield return PlacedLoad.Along(face.Member, share
                        * Drag.OnMember(wind, system.Beams[face.Member.Value].AxisX, face.Width, face.Coefficient));
            }
            else if (wash.Share(b.Position(face.Node)) is var share and > 0)
                yield return PlacedLoad.At(face.Node, share * face.BoxForce(wind));
    }
}
