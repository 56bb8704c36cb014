using Ochema.Core.Checks;
using Ochema.Core.Json;
using Ochema.Core.Loads;
using Ochema.Core.Quantities;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Structure;

namespace Ochema.Core.Kinds.Heads;

/// <summary>A stabilised gimbal, standing or hanging.</summary>
[Kind("gimbal", "Stabilised gimbal", "Takes out what is slow; heavy, leans in the wind when it hangs, and needs room to turn.",
    Caution = "Balanced with the lens that is on it, and retuned after every swap. Motors off before you reach in.",
    Sketch = "line 60 6 60 20; circle 60 40 20; rect 50 32 20 16; dim room 60 40 96 40; dim area 46 28 46 52")]
public sealed record GimbalHead : HeadKind
{
    [StockChoice("Gimbal", "heads", Only = "gimbal")]
    public string Stock { get; init; } = "gimbal-small";

    [Measure("Room to turn", Dimension.Length, 0.05, 0.6, HowTo = "pivot to the nearest thing it could hit")]
    public double Room { get; init; } = 0.3;

    [Measure("Frontal area with camera", Dimension.Area, 0.005, 0.4, HowTo = "height × width of camera and frame, gaps left out")]
    public double Area { get; init; } = 0.03;

    [Measure("Out of balance", Dimension.Length, 0, 0.02,
        HowTo = "motors off: how far you must shift the camera until it stays at any angle; "
            + "{length:0.001} to {length:0.003} after a careful balance", UsualTo = 0.01)]
    public double Imbalance { get; init; } = 0.0015;

    internal override bool TurnsOver => false;

    internal override string Row => Stock;

    /// <summary>Below this its motors take rotation out, Hz (judgement, 2–5).</summary>
    private const double Corner = 3;

    /// <summary>Share of its seat's turning that gets past its bearings: friction, cables (judgement, 0.03–0.3).</summary>
    private const double Bearings = 0.1;

    /// <summary>Radius of gyration of a camera with its frame, m (judgement, 0.05–0.1).</summary>
    private const double Gyration = 0.07;

    /// <summary>
    /// Its bearings pass little of its seat's turning, but what hangs out of balance is turned by being shaken: θ = a·e ÷ (ρ²·ω²); its
    /// motors take out what is slow.
    /// </summary>
    internal override HeadPasses Passes(double frequency)
    {
        var fast = StabiliserShare.Left(frequency, Corner);
        return new(fast * Bearings * Bearings, fast * Math.Pow(Imbalance / (Gyration * Gyration * Math.Pow(2 * Math.PI * frequency, 2)),
            2));
    }

    internal override IEnumerable<WorkStep> Steps(BuiltRig b, RigPath path) =>
    [
        new(Work.Set, "Balance and tune the gimbal on the rig",
            "Power off: each axis stays where it is put. Then tune on the rig, not on the bench, and again at each payload. It must "
                + "clear the arm through its whole travel.")
        {
            Minutes = 15,
        },
    ];

    public override Mount Build(RigBuilder b, Mount from)
    {
        var row = b.Stock.Find<HeadRow>("heads", Stock);
        var seat = HeadParts.Build(b, from, row, null, "Gimbal's mount turns");
        var head = b.Path.Head;
        b.Checks.Add(head, new(head.ToString()), rig => new GimbalRoom(rig, head, Room));
        // The wind sees all that was measured: what camera and gimbal do not account for is its frame, round the camera.
        b.Later(() =>
        {
            if (Area - HangingLean.Seen(0, row, b.CameraOf(head).Body) is > 0 and var frame)
                b.Body(head, seat.Node, (Vec3.UnitX, HangingLean.Coefficient * frame), (Vec3.UnitY, HangingLean.Coefficient * frame));
        });
        if (from.Axis.Z < -0.5)
            b.Checks.Add(head, new(head.ToString()), rig => new HangingLean(rig, head, row, Area));
        return seat;
    }
}
