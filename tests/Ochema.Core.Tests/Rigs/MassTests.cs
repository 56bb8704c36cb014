using Ochema.Core.Json;
using Ochema.Core.Kinds;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Rigs;

/// <summary>What is carried home is what hangs on the frame: of every shipped rig, of every kind, and of a second path.</summary>
public sealed class MassTests
{
    public static TheoryData<string> Names => RigFiles.Names;

    [Theory, MemberData(nameof(Names))]
    public void PartsWeighWhatTheFrameCarries(string name) => Weigh(RigFiles.Named(name));

    public static TheoryData<string> Stations => ["base", "reach", "isolator", "head"];

    [Theory, MemberData(nameof(Stations))]
    public void SoDoesEveryKind(string station)
    {
        var rig = RigFiles.CupAndArm();
        T[] Fresh<T>() => [.. KindRegistry.Of(typeof(T)).Select(t => (T)Activator.CreateInstance(t)!)];
        IEnumerable<RigDocument> Rigs() => station switch
        {
            // Wherever it may stand: what it weighs does not depend on it.
            "base" => Fresh<BaseKind>().SelectMany(b => RigFiles.All.Select(r => r.Rig).Where(r =>
                b.Grip.Forms.Contains(r.Site.Form)).Take(2).Select(r => r with { Base = b })),
            "reach" => Fresh<ReachKind>().Select(x => rig with { Reach = x }),
            "isolator" => Fresh<IsolatorKind>().Select(x => rig with { Isolator = x }),
            _ => Fresh<HeadKind>().Select(x => rig with { Head = x }),
        };
        foreach (var one in Rigs())
            Weigh(one);
    }

    [Fact]
    public void SoDoesASecondPath()
    {
        foreach (var (_, rig) in RigFiles.All)
            Weigh(rig with { Second = new SecondPath { Camera = rig.Camera, Head = rig.Head, Reach = rig.Reach, Where = SecondPlace.Underneath } });
    }

    [Fact] // a cylinder of aluminium in the tube, what is drilled out for the screw made good by the screw
    public void EndPlugsWeighWhatFillsTheTube()
    {
        var b = RigAssembly.Build(RigFiles.Named("cup-plate-riser"), Catalogue.Shipped);
        var plug = b.Joints.First(j => j.Plug is not null).Plug!;
        var part = b.Parts.First(p => p.Row == Core.Joints.TubePlug.Row);
        Near.Share(Math.PI / 4 * plug.Inside * plug.Inside * plug.Depth * 2700, part.Mass, 0.01);
        Assert.InRange(part.Mass, 0.018, 0.090);
    }

    private static void Weigh(RigDocument rig)
    {
        var b = RigAssembly.Build(rig, Catalogue.Shipped);
        var model = b.Model;
        var at = model.Nodes.ToDictionary(n => n.Id, n => n.Position);
        // Lines weigh nothing in the frame; what lies in water carries some of it along.
        var frame = model.Masses.Sum(m => m.M) + (b.Host.Motion.Wet ? b.Pieces.Sum(p => p.Mass) : model.Members.Sum(m =>
            m.Rho * m.A * (at[m.To] - at[m.From]).Length));
        // What balances it opposite is no part of the rig's frame.
        var parts = b.Parts.Where(p => p.Station != StationId.Site && p.Station != "tether" && !p.Station.StartsWith("strap", StringComparison.Ordinal))
            .Sum(p => p.Mass * p.Quantity);
        Near.Share(parts, frame, 1e-5,
            $"{rig.Name}: {rig.Base.GetType().Name}, {rig.Reach.GetType().Name}, {rig.Isolator.GetType().Name}, {rig.Head.GetType().Name}");
    }
}
