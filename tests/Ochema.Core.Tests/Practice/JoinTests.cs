using Ochema.Core.Joints;
using Ochema.Core.Kinds;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Practice;

/// <summary>Every neighbour of a load path is joined to the next, with threads that fit and a screw of the right length.</summary>
public sealed class JoinTests
{
    private static readonly Catalogue Stock = Catalogue.Shipped;

    public static TheoryData<string> Names => RigFiles.Names;

    private static IEnumerable<string> Stations(RigDocument rig) =>
        [.. rig.Reach.Stands ? ["reach"] : (string[])[], .. rig.Isolator is NoIsolator ? (string[])[] : ["isolator"], "head", "camera"];

    [Theory, MemberData(nameof(Names))]
    public void EveryInterfaceOfEveryShippedRigHasItsJoint(string name)
    {
        var rig = RigFiles.Named(name);
        var b = RigAssembly.Build(rig, Stock);
        foreach (var station in Stations(rig))
        {
            Assert.Contains(b.Joins, j => j.Station.Is(station));
            foreach (var join in b.Joins.Where(j => j.Station.Is(station) && j.Sort == JoinSort.Screwed))
                Assert.Contains(b.Joints, j => j.Id == join.Joint);
        }
        foreach (var joint in b.Joints)
        {
            Assert.Empty(joint.Report().Findings);
            Assert.True(joint.Layers[joint.ThreadLayer].Thread is null || joint.Layers[joint.ThreadLayer].Thread == joint.Thread.Id
                || joint.Bushed, joint.Id);
        }
    }

    [Theory, MemberData(nameof(Names))]
    public void SoDoesASecondPath(string name)
    {
        var rig = RigFiles.Named(name);
        var b = RigAssembly.Build(rig with
        {
            Second = new CameraPath
            {
                Id = CameraPath.SecondId,
                Camera = rig.Camera,
                Head = rig.Head,
                Reach = rig.Reach,
                Where = SecondPlace.Underneath
            }
        }, Stock);
        foreach (var station in Stations(rig).Except(["isolator"]))
            Assert.Contains(b.Joins, j => j.Station.Is(station + "-2"));
    }

    /// <summary>Every kind of the family in a rig that it goes with.</summary>
    private static T[] Fresh<T>() => [.. Core.Json.KindRegistry.Of(typeof(T)).Select(t => (T)Activator.CreateInstance(t)!)];

    [Fact] // whatever is put on whatever: a joint or a refusal, never an exception, and what it takes stands on the list
    public void EveryKindGoesOnEveryOther()
    {
        var tried = 0;
        foreach (var on in Fresh<BaseKind>())
        {
            var place = RigFiles.All.Select(r => r.Rig).First(r => on.Grip.Forms.Contains(r.Site.Form));
            foreach (var reach in Fresh<ReachKind>())
                foreach (var soft in Fresh<IsolatorKind>())
                    foreach (var head in Fresh<HeadKind>())
                    {
                        var rig = place with
                        {
                            Base = on,
                            Reach = reach,
                            Isolator = soft,
                            Head = head,
                            Joints = new Dictionary<string,
                            JointChoice>()
                        };
                        var b = RigAssembly.Build(rig, Stock);
                        foreach (var station in Stations(rig))
                            Assert.True(b.Joins.Any(j => j.Station.Is(station)),
                                $"{on.GetType().Name} {reach.GetType().Name} {soft.GetType().Name} {head.GetType().Name}: {station}");
                        Assert.Equal(b.Joints.Count, b.Joints.Select(j => j.Id).Distinct().Count());
                        foreach (var joint in b.Joints.Where(j => !j.Included && j.Screw is not null))
                            Assert.Contains(b.Parts, p => p.Joint == joint.Id && p.Row == joint.Thread.Id);
                        tried++;
                    }
        }
        Assert.True(tried > 1000);
    }

    /// <summary>
    /// By hand, from the sizes of the parts: what is clamped, the thread wanted behind it, the screw on sale, what stands out past the
    /// thread. Nuts and washers as ASME B18.2.2 and ISO 7089, mm.
    /// </summary>
    [Theory]
    // stud of the arm in the tapped stem: 0.8 × 6.35 wanted in steel; 1/4 in does it
    [InlineData("cup-and-arm", "reach-screw", "1-4-20", 0, 5.08, 6.35, 0)]
    // head plate 8 with the head let in flush; 5/8 in leaves 7.9 of the 10 in the socket
    [InlineData("rail-table", "head-screw", "1-4-20", 8, 4.06, 12.7, 0)]
    // jam nut 8.33 + rail 30 + washer 1.6, nut 8.33: two turns past the nut is 51.4, 2 1/4 in is sold
    [InlineData("pan-rig", "hold-1-rail-nut", "3-8-16", 39.93, 11.9, 57.15, 5.32)]
    // flange 5 + plate 6 + washer 1.6, nut 6.8 and two turns: 21.9, 25 is sold
    [InlineData("pan-rig", "flange-screw", "m8", 12.6, 9.5, 25, 2.9)]
    // post 6 + boom 33.7 + washer 1.6, nut 6.8 and two turns: 50.6, 55 is sold
    [InlineData("pan-rig", "soft-mount-screw", "m8", 41.3, 9.5, 55, 4.2)]
    // washer 1.6 + bracket 5 + pad 1; 0.8 × 6 in the host's steel
    [InlineData("bolted-roof", "host-screw", "m6", 7.6, 4.8, 16, 0)]
    // washer 1.6 + leg 3; adapter's brass 6 deep, seven tenths of it
    [InlineData("frame-band", "head-screw", "1-4-20", 4.6, 4.2, 9.525, 0)]
    // jam nut 5.56; coupling nut 1.5 × 6.35 deep
    [InlineData("handlebar-clamp", "reach-screw", "1-4-20", 5.56, 5.08, 12.7, 0)]
    // floor 1.5 + bar 20 + washer 1.6, nut 5.2 and two turns: 30.3, 35 is sold
    [InlineData("bar-magnets", "head-screw", "m6", 23.1, 8, 35, 3.9)]
    // washer 1.6 + plate 8; the plug is aluminium: 1.5 × 10
    [InlineData("cup-plate-riser", "reach-screw", "m10", 9.6, 15, 25, 0)]
    // set in the plug 1.5 × 9.525, socket 10: 21.3 at the least, 7/8 in
    [InlineData("cup-plate-riser", "head-screw", "3-8-16", 14.29, 7, 22.225, 0)]
    // wide washer 3 + block 20 less the recess of 10 + pan 1.2 + rubber 1.5; 1 in
    [InlineData("dashboard-pan", "head-screw", "3-8-16", 15.7, 7, 25.4, 0)]
    // wide washer 3 + plywood 9; 3/4 in, 1.9 off
    [InlineData("window-bag", "head-screw", "1-4-20", 12, 4.06, 19.05, 0)]
    // bracket 3 + shell 4, flush with the liner: 7, from 8
    [InlineData("helmet-drilled", "shell-screw", "m4", 3, 4, 8, 0)]
    // jam nut 8.33 + wide washer 3 + plug 20 right through; 1.5 × 9.525 wanted in aluminium
    [InlineData("gear-rail-boom", "reach-screw", "3-8-16", 11.33, 14.29, 31.75, 0.42)]
    public void ScrewsAreOfTheLengthThatAHandWorksOut(string recipe, string joint, string thread, double grip, double wanted, double sold,
        double past)
    {
        var j = RigAssembly.Build(RigFiles.Named(recipe), Stock).Joints.Single(x => x.Id == joint);
        var report = j.Report();
        Assert.Equal(thread, j.Thread.Id);
        Assert.Equal(grip, report.Grip * 1000, 0.01);
        Assert.Equal(wanted, report.Wanted * 1000, 0.01);
        Assert.Equal(sold, report.Buy!.Value * 1000, 0.01);
        Assert.Equal(past, report.Protrusion * 1000, 0.01);
    }

    [Fact]
    public void ScrewsNutsAndWashersAreOnTheListOnce()
    {
        var b = RigAssembly.Build(RigFiles.Named("magnet-plate-straps"), Stock);
        RigPart Part(string joint, string begins) => b.Parts.Single(p => p.Joint == joint
            && p.Name.StartsWith(begins, StringComparison.Ordinal));
        Assert.Equal(4, Part("spacer-bolt", "Screw M8").Quantity);
        Assert.Equal(4, Part("eye-bolt", "Eye bolt M8").Quantity);
        Assert.Equal(4, Part("eye-bolt", "Lock nut").Quantity);
        // What comes with the camera's head is not bought again; the rubber under the camera does not come with it.
        Assert.All(b.Parts.Where(p => p.Joint == "camera-screw"), p => Assert.Equal("rubber-washer", p.Row));
        Assert.Equal(b.Cost, b.Parts.Sum(p => p.Price * p.Quantity), 1e-9);
    }

    [Fact] // ISO 4014 and ISO 4032 catalogues: an M8 × 50 hexagon bolt weighs about 24 g, an M8 nut 5.2 g, an M8 washer about 2 g; from memory
    public void HardwareWeighsWhatItDoes()
    {
        var m8 = Stock.Find<Fastener>("fasteners", "m8");
        Assert.InRange(Hardware.ScrewMass(m8, 0.050), 0.019, 0.025);
        Assert.InRange(Hardware.Mass(m8, Hardware.LockNut(m8)), 0.0055, 0.0075);
        Assert.InRange(Hardware.Mass(m8, Hardware.Washer(m8)), 0.0015, 0.0025);
    }

    [Theory] // what does not go together is refused with what fits
    [InlineData("m6", "1-4-20")]
    [InlineData("3-8-16", "1-4-20")]
    public void AStudThatDoesNotFitTheNextIsRefused(string below, string above)
    {
        var made = JointMaker.Make(new StudPort("Stud", below, null), new SocketPort("Socket", above, 0.006, "brass"), Stock).Single();
        Assert.Equal(below, made.Thread!.Id);
        var joint = new ScrewJoint
        {
            Stock = Catalogue.Shipped,
            Id = "j",
            Station = RigPath.First.Head,
            Title = "stud",
            Thread = made.Thread,
            Layers = made.Layers
        };
        Assert.Contains(joint.Report().Findings, f => f.Blocks && f.Text.Contains("does not go into"));
    }

    [Fact] // the block's own bolt is the joint of what stands on it: its thread has to go in there, or a bush between
    public void ABlocksBoltGoesIntoTheHeadOrIsRefused()
    {
        var rig = RigFiles.Named("split-block") with { Head = new Core.Kinds.Heads.BallHead() };
        bool Refused(RigDocument r) => RigAssembly.Build(r, Stock).Findings.Any(f => f.Blocks && f.Text.Contains("does not go into"));
        Assert.True(Refused(rig));
        Assert.False(Refused(rig with
        {
            Joints = new Dictionary<string,
            JointChoice>
            { ["block-bolt"] = new() { Bush = Core.Hosts.Answer.Yes } }
        }));
        Assert.False(Refused(RigFiles.Named("split-block")));
    }
}
