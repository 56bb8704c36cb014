using System.Text.Json.Serialization;
using Ochema.Core.Checks;
using Ochema.Core.Hosts;
using Ochema.Core.Joints;
using Ochema.Core.Json;
using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;

namespace Ochema.Core.Kinds.Bases;

/// <summary>An L-bracket under screws that the host has already.</summary>
[Kind("bolted-bracket", "Bolted bracket", "The stiffest and the surest, where the host has a thread to spare; the bracket eats thread that belonged to the host.",
    Caution = "Take a screw that is longer by the bracket and the pad, and put the old one back after: the host's joint is somebody's "
        + "brake or seat.",
    Sketch = "host 56; rect 20 50 70 5; rect 85 12 5 40; rect 30 40 5 26; rect 50 40 5 26; dim apart 32 34 52 34; dim foot 42 26 84 26; "
        + "dim leg 100 12 100 55; dim hostThread 14 56 14 68; dim pad 8 50 8 56")]
public sealed record BoltedBracket : BaseKind
{
    [Measure("Screws", Dimension.Count, 1, 4, HowTo = "in a row along the host")]
    public double Count { get; init; } = 2;

    [Measure("Apart", Dimension.Length, 0.01, 0.4, HowTo = "middle to middle")]
    public double Apart { get; init; } = 0.05;

    [StockChoice("Screw", "fasteners")]
    public string Screw { get; init; } = "m6";

    [Measure("The host's own thread", Dimension.Length, 0.003, 0.06, HowTo = "depth of thread in the host, a match down the hole")]
    public double HostThread { get; init; } = 0.010;

    [Measure("Pad under the bracket", Dimension.Length, 0, 0.01, HowTo = "it eats as much thread as it is thick")]
    public double Pad { get; init; } = 0.001;

    [StockChoice("Bracket of", "sections", Only = "flat")]
    public string Bar { get; init; } = "flat-steel-40x5";

    [Measure("Foot", Dimension.Length, 0.01, 0.15, HowTo = "middle of the screws to where the bend begins")]
    public double Foot { get; init; } = 0.035;

    [Measure("Leg", Dimension.Length, 0.01, 0.3, HowTo = "bend to the camera's screw")]
    public double Leg { get; init; } = 0.06;

    [Measure("Inside bend radius", Dimension.Length, 0.0002, 0.05, HowTo = "the rod or vice jaw it was bent round")]
    public double BendRadius { get; init; } = 0.005;

    [JsonIgnore]
    public override Grip Grip => Needs;

    private static readonly Grip Needs = new([SiteForm.Threaded]);

    internal override IEnumerable<WorkStep> Steps(BuiltRig b, RigPath path) =>
    [
        new(Work.Place, "Bolt the bracket on",
            "Take out the host's own screws, never two of a part that needs them at once. Pad under the bracket, screws in by hand for "
                + "the first turns, then tight in turns, then a mark line. These go in before anything above covers them.")
        {
            Joint = "host-screw",
            Reads = [nameof(Pad)],
            Tools = ["spanners", "torque-wrench", "marker"],
            Minutes = 8,
            Wrong = "It will not start by hand: stop, thread and length are wrong.",
        },
    ];

    public override Mount Build(RigBuilder b)
    {
        var thread = b.Stock.Find<Fastener>("fasteners", Screw);
        var row = b.Stock.Find<SectionRow>("sections", Bar);
        var n = (int)Math.Round(Count);
        var (holds, foot) = ScrewRow.Place(b, n, Apart, row.Height / 2, 2e7, 3000);
        List<StackLayer> stack = [Hardware.Washer(thread), new("Bracket", LayerRole.Clearance, row.Height, row.Material, row.Width,
            Edge: row.Width / 2)];
        if (Pad > 0)
            stack.Add(new("Pad", LayerRole.Soft, Pad, "rubber-soft", row.Width, Bought: true));
        stack.Add(new("The host's thread", LayerRole.Blind, HostThread, b.Rig.Site.Material, 0.03) { Ready = true });
        b.Joint(new ScrewJoint
        {
            Stock = b.Stock,
            Id = "host-screw",
            Station = StationId.Base,
            Title = "bracket on the host",
            Thread = thread,
            Means = Loosening.ThreadLock,
            Layers = stack,
            Load = f => ScrewRow.Worst(f, holds),
            Axis = foot.Axis,
            Lever = row.Width / 2,
            Screws = n,
        }, [.. holds.Select(h => h.Node)]);
        var half = (n - 1) * Apart / 2;
        if (Bracket.LeastFoot(half, thread) is var least && Foot < least - 1e-6)
            b.Findings.Add(new ReportFinding(StationId.Base,
                "The head of the last screw lies in the bend: from the middle of the screws to the bend it takes "
                + $"{Holes.Size(least)}, it is {Holes.Size(Foot)}.", true));
        return Bracket.Build(b, foot, "bracket", Bar, Foot, Leg, BendRadius, thread, b.Surface.U, half,
            "host-screw", n, [nameof(Foot), nameof(Leg), nameof(BendRadius)]);
    }
}
