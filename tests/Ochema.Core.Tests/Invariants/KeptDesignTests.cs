using Ochema.Core.Assessment;
using Ochema.Core.Json;
using Ochema.Core.Stock;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Invariants;

/// <summary>A design that is kept answers as one that is made: whatever else it was asked in between.</summary>
public sealed class KeptDesignTests
{
    public static TheoryData<string> Names => RigFiles.Names;

    [Theory, MemberData(nameof(Names))]
    public void TheWholeReportDoesNotHangOnWhatWasAskedBefore(string name)
    {
        var rig = RigFiles.Named(name);
        var kept = new Design(rig, Catalogue.Shipped);
        var first = StrictJson.Write(kept.Whole(false));
        foreach (var other in new[] { 0, 0.5, 1.3 })
            kept.At(other * rig.Run.Speed);
        Assert.Equal(first, StrictJson.Write(kept.Whole(false)));
        // Asked at another speed first, as by somebody who drags before anything was saved.
        var dragged = new Design(rig, Catalogue.Shipped);
        dragged.At(0.7 * rig.Run.Speed);
        Assert.Equal(kept.Speed, dragged.Speed);
        Assert.Equal(kept.Whole(false).Verdict.Word, dragged.Whole(false).Verdict.Word);
        Near.Share(kept.Whole(false).Verdict.Use, dragged.Whole(false).Verdict.Use, 1e-9);
    }
}
