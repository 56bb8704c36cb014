using Ochema.Core.Assessment;
using Ochema.Core.Json;
using Ochema.Core.Kinds.Bases;
using Ochema.Core.Kinds.Holds;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Rigs;

public class TakenTests
{
    private const string Path = "base.hold.measuredPull";

    private static RigDocument Pulled(Taken? taken, string path = Path)
    {
        var rig = RigFiles.Named("3-roof-road-ahead");
        return rig with
        {
            Base = (HoldPlate)rig.Base with { Hold = new Magnet { Stock = "magnet-90", MeasuredPull = 310 } },
            Measured = taken is null ? new Dictionary<string, Taken>() : new Dictionary<string, Taken> { [path] = taken },
        };
    }

    private static IEnumerable<string> Sources(RigDocument rig)
    {
        RigReader.Check(rig, Catalogue.Shipped);
        return Assessor.Assess(rig, Catalogue.Shipped).Checks.SelectMany(c => c.Working!.Terms).Select(t => t.Source).Distinct();
    }

    [Fact]
    public void TheDayOfAMeasurementReachesTheWorking() =>
        Assert.Contains("your pull on this panel, 12 May 2026, luggage scale", Sources(Pulled(new(310, "2026-05-12", "luggage scale"))));

    [Fact]
    public void WithoutADayItIsYoursAllTheSame() => Assert.Contains("your pull on this panel", Sources(Pulled(null)));

    [Fact]
    public void TheDayOfAnotherValueDoesNotCount()
    {
        // The value was changed since: its day is not known.
        Assert.Contains("your pull on this panel", Sources(Pulled(new(290, "2026-05-12"))));
        // Another measurement that reads the same.
        Assert.Contains("your pull on this panel", Sources(Pulled(new(310, "2026-05-12"), "base.hold.unmeasuredPull")));
    }

    [Theory]
    [InlineData("12.5.2026", "measured.base.hold.measuredPull.on")]
    [InlineData("2026-02-30", "measured.base.hold.measuredPull.on")]
    public void ADayThatThereIsNotIsRefused(string day, string path) =>
        Assert.Equal(path, Assert.Throws<DocumentException>(() => RigReader.Check(Pulled(new(310, day)), Catalogue.Shipped)).Path);
}
