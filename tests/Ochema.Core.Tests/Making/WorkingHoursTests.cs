using Ochema.Core.Making;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Making;

/// <summary>Nobody drills at night; what cures goes on.</summary>
public sealed class WorkingHoursTests
{
    private const double H = 3600;

    [Theory]
    [InlineData(9, 0, 2, 0, 2)] // from the morning on
    [InlineData(7, 0, 2, 2, 4)] // before it begins
    [InlineData(20, 0, 2, 13, 15)] // does not fit: the next morning
    [InlineData(20, 0, 1, 0, 1)] // just fits
    [InlineData(23, 0, 1, 10, 11)] // at night
    [InlineData(15, 0, 14, 0, 26)] // longer than a day: six hours, the night, eight more
    [InlineData(15, 0, 20, 0, 44)] // six, a night, twelve, a night, two
    [InlineData(9, 30, 1, 30, 31)] // 15 o'clock of the second day
    [InlineData(9, 40, 1, 48, 49)] // one in the morning of the third: nine
    public void WorkStaysInItsHours(double clock, double at, double work, double start, double end) =>
        Assert.Equal((start * H, end * H), new WorkingHours(9 * H, 21 * H, clock * H).Of(at * H, work * H));

    [Fact]
    public void WhoWorksRoundTheClockIsNotStopped() => Assert.Equal((0, 40 * H), new WorkingHours(9 * H, 9 * H, 9 * H).Of(0, 40 * H));

    [Theory]
    [MemberData(nameof(RigFiles.Names), MemberType = typeof(RigFiles))]
    public void NoStepOfAnyPlanIsWorkedAtNight(string name)
    {
        foreach (var clock in new[] { 6.5, 14, 22 })
        {
            var plan = Maker.Of(RigFiles.Named(name), Catalogue.Shipped, clock: clock * H);
            foreach (var s in plan.Steps)
            {
                double Hour(double t) => (clock * H + t) / H % 24;
                Assert.InRange(Hour(s.Start), 9 - 1e-6, 21);
                Assert.True(Hour(s.End) is >= 9 and <= 21.001, $"{s.Title} ends at {Hour(s.End)}");
                Assert.Equal(s.Wait, s.Done - s.End, 5e-7);
            }
        }
        // Said otherwise, otherwise done.
        var night = RigFiles.Named(name) with { Bench = new Bench { WorkFrom = 0, WorkTo = 0 } };
        Assert.True(Maker.Of(night, Catalogue.Shipped).Ready <= Maker.Of(RigFiles.Named(name), Catalogue.Shipped).Ready);
    }
}
