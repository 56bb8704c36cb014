using Ochema.Core.Hosts;
using Ochema.Core.Loads;
using Ochema.Core.Structure;

namespace Ochema.Core.Tests.Loads;

/// <summary>What a host does to a rig on its left it does to one on its right: every case has its mirror image among the cases.</summary>
public class MotionMirrorTests
{
    /// <summary>Winds by their mirror images: from the left and from the right change places.</summary>
    private static readonly int[] Winds = [0, 2, 1, 4, 3, 5];

    public static TheoryData<string> Hosts => [.. HostLibrary.All.Select(h => h.Id)];

    [Theory]
    [MemberData(nameof(Hosts))]
    public void EveryCaseHasItsMirrorImage(string host)
    {
        foreach (var going in Enum.GetValues<Going>())
        {
            var cases = HostLibrary.Find(host)!.Motion.Cases(going);
            Assert.Equal(cases.Count, cases.Select(c => c.Id).Distinct().Count());
            Assert.Equal(cases.Count, cases.Select(c => c.Label).Distinct().Count());
            foreach (var c in cases)
                Assert.Contains(cases, m => Near(m.Field, Mirror(c.Field)) && Near(m.Shaken, Mirror(c.Shaken))
                    && Near(m.Knock, Mirror(c.Knock))
                    && m.Wind == (c.Wind < 0 ? -1 : Winds[c.Wind]) && m.Jolt == c.Jolt && m.Dunk == c.Dunk);
        }
    }

    private static Vec3 Mirror(Vec3 v) => new(v.X, -v.Y, v.Z);

    private static bool Near(Vec3 a, Vec3 b) => (a - b).Length < 1e-12;
}
