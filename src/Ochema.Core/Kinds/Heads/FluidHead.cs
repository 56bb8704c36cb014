using Ochema.Core.Json;
using Ochema.Core.Quantities;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;

namespace Ochema.Core.Kinds.Heads;

/// <summary>Fluid head or bowl.</summary>
[Kind("fluid-head", "Fluid head or bowl", "Pans and tilts smoothly when parked; heavy and tall.")]
public sealed record FluidHead : HeadKind
{
    [StockChoice("Fluid head or bowl", "heads", Only = "fluid")]
    public string Stock { get; init; } = "fluid-75";

    [Measure("Holding torque measured", Dimension.Torque, 0.2, 200,
        HowTo = "scale reading × lever when it slips; leave empty for the usual", Measured = true, Of = "stock")]
    public double? HoldingTorque { get; init; }

    internal override string Row => Stock;

    internal override IEnumerable<WorkStep> Steps(BuiltRig b, RigPath path) =>
    [
        new(Work.Set, "Level the head",
            "Bowl or base by its bubble on level ground, then lock. "
                + (b.Host.Motion.Still ? "Drag on, locks on before it is let go of." : "Drag on, locks on for driving."))
        {
            Tools = ["level"],
            Minutes = 4,
        },
    ];

    public override Mount Build(RigBuilder b, Mount from) => HeadParts.Build(b, from, b.Stock.Find<HeadRow>("heads", Stock), HoldingTorque,
        "Tilt slips");
}
