using Ochema.Core.Json;
using Ochema.Core.Kinds;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Structure;
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
            Weigh(rig with
            {
                Second = new CameraPath
                {
                    Id = CameraPath.SecondId,
                    Camera = rig.Camera,
                    Head = rig.Head,
                    Reach = rig.Reach,
                    Where = SecondPlace.Underneath
                }
            });
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

    [Fact]
    public void WhatBeamsDoNotWeighHangs()
    {
        var b = RigAssembly.Collect(RigFiles.CupAndArm(), Catalogue.Shipped);
        var wood = b.Stock.Material("pine");
        var row = b.Stock.Find<SectionRow>("sections", "square-al-20x2");
        NodeIndex At(string id, double x) => b.Node(id, new(x, 0, 9));
        double Heavy() => b.Build().Model.Masses.Sum(m => m.M);
        double Along(BeamPiece beam) => b.Pieces.First(p => p.First == beam.First).Mass;
        BeamPiece Beam(string id, NodeIndex from, NodeIndex to) =>
            b.Beam(StationId.Base, id, id, from, to, b.Stock.Section(row.Id), wood, Vec3.UnitZ);
        var (one, two, three) = (At("one", 0), At("two", 1), At("three", 3));
        var (first, second) = (Beam("first", one, two), Beam("second", two, three));
        var (before, each) = (Heavy(), first.Mass);

        // Both together three metres, cut three and a half: the half hangs, twice as much here as there.
        var known = b.Build().Model.Masses.Count;
        b.Put(Piece.Cut(new(StationId.Base, "long"), row, wood, 3.5), [first, second], new Hung(one) { Share = 2 }, new Hung(three));
        Assert.Equal(0.5 * each, Heavy() - before, 1e-9);
        Assert.Equal([each / 3, each / 6], b.Build().Model.Masses.Skip(known).Select(m => m.M), new Within(1e-9));

        // Lighter than its beam is long: the beam weighs what it weighs, nothing hangs.
        var short_ = Beam("short", one, three);
        b.Put(Piece.Cut(new(StationId.Base, "short"), row, wood, 2.5), [short_], one);
        Assert.Equal(0.5 * each, Heavy() - before, 1e-9);
        Assert.Equal(2.5 * each, Along(short_), 1e-9);

        // One beam is not made of two pieces, and what weighs something hangs somewhere.
        Assert.Throws<InvalidOperationException>(() => b.Put(Piece.Cut(new(StationId.Base, "again"), row, wood, 1), [first]));
        Assert.Throws<InvalidOperationException>(() => b.Put(Piece.Own(new(StationId.Base, "nowhere"), "Stone", 1)));
    }

    /// <summary>Numbers that differ by less are the same.</summary>
    private sealed class Within(double by) : IEqualityComparer<double>
    {
        public bool Equals(double x, double y) => Math.Abs(x - y) <= by;

        public int GetHashCode(double obj) => 0;
    }

    private static void Weigh(RigDocument rig)
    {
        var b = RigAssembly.Build(rig, Catalogue.Shipped);
        var model = b.Model;
        var at = model.Nodes.ToDictionary(n => n.Id, n => n.Position);
        // Lines weigh nothing in the frame; what lies in water carries some of it along.
        var frame = model.Masses.Sum(m => m.M) + (b.Host.Motion.Wet ? b.Pieces.Sum(p => p.Mass) : model.Members.Sum(m =>
            m.Rho * m.A * (at[m.To] - at[m.From]).Length));
        var named = $"{rig.Name}: {rig.Base.GetType().Name}, {rig.Reach.GetType().Name}, {rig.Isolator.GetType().Name}, "
            + $"{rig.Head.GetType().Name}";
        // Every beam is made of something that is on the list; what is there beside the frame weighs nothing, is a line, or none of the
        // rig.
        Assert.True(!b.Unmade.Any(), $"{named}: {string.Join(", ", b.Unmade.Select(p => p.Id))} is made of nothing");
        StationId[] lines = [StationId.Site, StationId.Tether, .. rig.Straps.Select(s => StationId.Strap(s.Id))];
        Assert.All(b.Parts.Where(p => b.NotCarried.Contains(p.Id) && p.Mass > 0), p =>
            Assert.True(lines.Contains(p.Station), $"{named}: {p.Name}"));
        Near.Share(b.Parts.Where(p => !b.NotCarried.Contains(p.Id)).Sum(p => p.Mass * p.Quantity), frame, 1e-9, named);
    }
}
