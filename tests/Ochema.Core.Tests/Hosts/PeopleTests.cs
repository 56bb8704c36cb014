using Ochema.Core.Analysis;
using Ochema.Core.Assessment;
using Ochema.Core.Hosts;
using Ochema.Core.Json;
using Ochema.Core.Rigs;
using Ochema.Core.Search;
using Ochema.Core.Stock;
using Ochema.Core.Structure;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Hosts;

/// <summary>Who is on a host: of right proportions, inside what they sit in, seen by a lens that looks at them.</summary>
public sealed class PeopleTests
{
    public static TheoryData<string> Everyone => [.. HostLibrary.All.Where(h => h.People.Count > 0).Select(h => h.Id)];

    private static Vec3[] Points(IEnumerable<HostSurface> surfaces) =>
        [.. surfaces.SelectMany(s => s.Grid).SelectMany(r => r).Select(Vec3.From)];

    [Theory, MemberData(nameof(Everyone))] // ISO 7250-1, from memory: sitting height 0.91 m, head 0.23 m high, shoulders 0.40 m apart and less over the arms
    public void TheyAreOfRightProportions(string id)
    {
        foreach (var person in HostLibrary.Find(id)!.People)
        {
            var parts = person.Surfaces().ToList();
            var head = Points(parts.Where(p => p.Id == person.Id + "-head"));
            Assert.Equal(0.23, head.Max(p => p.Z) - head.Min(p => p.Z), 0.01);
            // Along the back, leaning as it does.
            var back = (person.Head - person.Hip).Length + 0.115;
            Assert.InRange(back, 0.82, 0.95);
            var shoulders = Points(parts.Where(p => p.Id == person.Id + "-shoulders"));
            Assert.InRange(shoulders.Max(p => p.Y) - shoulders.Min(p => p.Y), 0.34, 0.44);
            foreach (var limb in new[] { "leg-left", "leg-right" })
                Assert.InRange(Points(parts.Where(p => p.Id == $"{person.Id}-{limb}")).Length, 30, 60);
            Assert.All(Points(parts), p => Assert.True(double.IsFinite(p.X + p.Y + p.Z)));
        }
    }

    [Fact]
    public void HeadsStayUnderTheRoof()
    {
        foreach (var car in HostLibrary.All.OfType<CarHost>())
            foreach (var person in car.People)
            {
                var roof = car.Surface(car.Sites.First(s => s.Id == "roof"));
                var top = Points(person.Surfaces()).Where(p => Math.Abs(p.X - person.Head.X) < 0.1).Max(p => p.Z);
                Assert.True(top < roof.Origin.Z - 0.005,
                    $"{car.Id}: the head of {person.Name} is at {top:0.000}, the roof at {roof.Origin.Z:0.000}");
                Assert.True(Math.Abs(person.Head.Y) < car.Shape.HalfWidth - 0.2);
            }
    }

    [Theory] // what the shot is of, is in it
    [InlineData("4-sidecar-face", "rider")]
    [InlineData("9-skiff-ferryman", "helmsman")]
    [InlineData("1-bonnet-close-up", "driver")]
    [InlineData("2-bonnet-close-up-braced", "driver")]
    public void TheDemoFilmSeesItsPeople(string rig, string who)
    {
        var seen = Assessor.Assess(RigFiles.Named(rig), Catalogue.Shipped).Figure.People.Single(p => p.Id == who);
        Assert.True(seen.Seen);
        Assert.InRange(seen.Distance, 0.6, 4);
    }

    [Fact]
    public void WhoIsBehindTheCameraIsNotInThePicture()
    {
        var rig = RigFiles.Named("2-bonnet-close-up-braced");
        var turned = rig with { Camera = rig.Camera with { Pan = rig.Camera.Pan + (rig.Camera.Pan > 0 ? -Math.PI : Math.PI) } };
        Assert.All(Assessor.Assess(turned, Catalogue.Shipped).Figure.People, p => Assert.False(p.Seen));
    }

    [Fact] // drawn to the millimetre: what is published of hosts is the most of the first answer
    public void DrawingsArePublishedToTheMillimetre() => Assert.All(HostLibrary.All.SelectMany(h => h.Published.Surfaces).SelectMany(s =>
        s.Grid).SelectMany(r => r)
        .SelectMany(p => p), v => Assert.Equal(Math.Round(v, 3), v, 12));

    [Fact] // turned as it says, the lens looks at the head, from as far as it says
    public void AimedAtSomebodyTheyAreInTheMiddle()
    {
        foreach (var (name, rig) in RigFiles.All.Where(r => HostLibrary.Find(r.Rig.Host)!.People.Count > 0))
            foreach (var person in Assessor.Assess(rig, Catalogue.Shipped).Figure.People.Where(p => Math.Abs(p.Tilt) < 1.2))
            {
                var aimed = rig with { Camera = rig.Camera with { Pan = person.Pan, Tilt = person.Tilt, Who = person.Id, Subject = null } };
                var b = new RigModel(aimed, Catalogue.Shipped).Built;
                var to = HostLibrary.Find(rig.Host)!.People.Single(p => p.Id == person.Id).Head - b.Camera.Eye;
                Assert.True(to.Normalized().Dot(b.Camera.View) > 0.9999 || to.Length < 0.05, $"{name}, {person.Id}");
                Assert.Equal(Math.Max(0.2, to.Length), b.Camera.Subject!.Value, 1e-6);
                Assert.True(Assessor.Assess(aimed, Catalogue.Shipped).Figure.People.Single(p => p.Id == person.Id).Seen || to.Length
                    < 0.05);
            }
    }

    [Fact] // near subjects on the host see the camera move: the computed distance counts as the measured one does
    public void WhoIsTheSubjectCountsAsNearAsTheyAre()
    {
        var rig = RigFiles.Named("1-bonnet-close-up") with { };
        rig = rig with { Camera = rig.Camera with { Who = "driver", Subject = null } };
        var near = new RigModel(rig, Catalogue.Shipped).Built.Camera.Subject!.Value;
        double Smear(RigDocument r) => Assessor.Assess(r, Catalogue.Shipped).Sharpness!.Numbers.Single(n => n.Id == "smear").Pixels;
        var measured = rig with { Camera = rig.Camera with { Who = null, Subject = near } };
        var far = rig with { Camera = rig.Camera with { Who = null } };
        Near.Share(Smear(measured), Smear(rig), 1e-9);
        Assert.True(Math.Abs(Smear(far) / Smear(rig) - 1) > 0.01);
        // What was measured beats it.
        Assert.Equal(2, new RigModel(rig with { Camera = rig.Camera with { Subject = 2 } }, Catalogue.Shipped).Built.Camera.Subject);
    }

    [Fact]
    public void NobodyIsFilmedWhoIsNotThere()
    {
        var rig = RigFiles.Named("1-bonnet-close-up");
        var wrong = Assert.Throws<DocumentException>(() => RigReader.Check(rig with { Camera = rig.Camera with { Who = "rider" } },
            Catalogue.Shipped));
        Assert.Equal("paths[0].camera.who", wrong.Path);
        Assert.Contains("driver", wrong.Reason);
        var moved = Relocation.To(rig with { Camera = rig.Camera with { Who = "driver" } },
            HostLibrary.All.First(h => h.Kind == "bicycle").Id, "").Document;
        Assert.Null(moved.Camera.Who);
    }

    [Fact] // behind the skin only what is there too comes near a head; outside nothing is in between
    public void HeadsAreKeptClearOf()
    {
        foreach (var host in HostLibrary.All.Where(h => h.People.Count > 0))
            foreach (var site in host.Sites)
                Assert.Equal(!host.CoversPeople || host.IsInside(site), host.KeptClear(new(), site)
                    .Any(z => z.Id.EndsWith("-head", StringComparison.Ordinal)));
        var rig = RigFiles.Named("bicycle-bar");
        var rider = HostLibrary.Find(rig.Host)!.People[0];
        var seat = new RigModel(rig, Catalogue.Shipped).Built;
        var up = rider.Head - seat.Position(seat.Camera.Node);
        Assert.DoesNotContain(Assessor.Assess(rig, Catalogue.Shipped).Findings, f => f.Text.Contains("head", StringComparison.Ordinal)
            && f.Blocks);
        // A boom that holds the camera into the face.
        var into = rig with
        {
            Reach = new Ochema.Core.Kinds.Reaches.ArticulatedArm
            {
                Length = up.Length,
                LowerLean = Math.Atan2(up.X, up.Z),
                UpperLean = Math.Atan2(up.X, up.Z)
            }
        };
        Assert.Contains(Assessor.Assess(into, Catalogue.Shipped).Findings, f =>
            f.Text.Contains("room of the rider's head", StringComparison.Ordinal));
    }

    [Fact] // a strut through the roof is no advice
    public void NothingIsBracedThroughTheBody() =>
        Assert.Empty(Instead.Braces(RigFiles.Named("roll-hoop"), Catalogue.Shipped));
}
