using Ochema.Core.Rigs;
using Ochema.Core.Search;
using Ochema.Core.Stock;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Rigs;

public sealed class DocumentChangesTests
{
    private static readonly Catalogue Stock = Catalogue.Shipped;

    [Fact] // nobody names a tether
    public void ATetherIsToldByWhatItIsTiedTo()
    {
        var one = RigFiles.Named("1-bonnet-close-up");
        var first = Assert.Single(one.Tethers);
        var two = one with { Tethers = [first, first with { Id = Tether.FreeId(one.Tethers), From = TetherPoint.Head }] };
        Assert.Equal(["a tether head"], DocumentChanges.Of(one, two, Stock));
        Assert.Equal(["no tether head"], DocumentChanges.Of(two, one, Stock));
        // Taking the first away changes nothing of the second.
        Assert.Equal(["no tether camera"], DocumentChanges.Of(two, two with { Tethers = [two.Tethers[1]] }, Stock));
        Assert.StartsWith("tether camera: ", Assert.Single(DocumentChanges.Of(one, one with { Tethers = [first with { Slack = first.Slack + 0.1 }] }, Stock)),
            StringComparison.Ordinal);
    }

    [Theory] // whatever the first is called
    [InlineData("first")]
    [InlineData("second")]
    public void ASecondCameraGetsAnIdOfItsOwn(string id)
    {
        var rig = RigFiles.Named("cup-plate-low-head");
        var changes = Adviser.Alternatives(rig with { Paths = [rig.Paths[0] with { Id = id }] }, "second", Stock);
        Assert.NotEmpty(changes);
        Assert.All(changes, c => RigReader.Check(c.Document, Stock));
    }
}
