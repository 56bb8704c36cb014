using Ochema.Core.Joints;
using Ochema.Core.Kinds;
using Ochema.Core.Kinds.Bases;
using Ochema.Core.Stock;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Joints;

/// <summary>A head that is let in is judged with the screw that goes there and all that lies under it.</summary>
public sealed class RecessTests
{
    private static readonly Catalogue Stock = Catalogue.Shipped;

    private static ScrewJoint Joint(double recess) =>
        RigAssembly.Build(RigFiles.Named("ground-pan") is var rig ? rig with { Base = (WeightedFoot)rig.Base with { Recess = recess } }
            : rig, Stock)
            .Joints.Single(j => j.Layers.Any(l => l.Name == "Block"));

    [Fact] // 3/8 in hexagon head 1/4 in high by proportion (ASME B18.2.1: 0.243 in), a wide washer of 3 mm under it
    public void HeadAndWasherTogetherHaveToGoIn()
    {
        var needed = Joint(0.01).Thread.HeadHeight + 0.003;
        Assert.Empty(Joint(needed + 0.0002).Report().Findings);
        Assert.Contains(Joint(needed - 0.0005).Report().Findings, f => f.Text.Contains("stands on the head", StringComparison.Ordinal));
        // Nothing is let in: nothing is asked.
        Assert.Empty(Joint(0).Report().Findings);
    }

    [Fact] // what is let in is not clamped: block less recess, pan, rubber, and the washer
    public void TheStackIsShorterByWhatIsLetIn()
    {
        var (shallow, deep) = (Joint(0.010), Joint(0.012));
        Assert.Equal(0.002, shallow.Grip - deep.Grip, 1e-9);
        Assert.True(shallow.LetInAcross >= shallow.Layers[0].Width);
    }
}
