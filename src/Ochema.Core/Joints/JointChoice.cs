using System.ComponentModel;
using Ochema.Core.Quantities;

namespace Ochema.Core.Joints;

/// <summary>The user's own choices for a joint, as built.</summary>
public sealed record JointChoice
{
    [StockChoice("Thread", "fasteners")]
    public string? Thread { get; init; }

    [Measure("Screw as bought or cut", Dimension.Length, 0.003, 0.4,
        HowTo = "under the head to the tip; a countersunk one with its head; leave empty for the length to buy", Measured = true,
            Chosen = true)]
    public double? Length { get; init; }

    [Measure("Hole drilled", Dimension.Drill, 0.001, 0.05, HowTo = "the drill you used; leave empty for the right one", Measured = true, Chosen = true)]
    public double? Hole { get; init; }

    [Measure("Pad added in the stack", Dimension.Length, 0, 0.02, HowTo = "rubber, felt, tape under the part: it eats thread", Measured = true, Chosen = true)]
    public double? Pad { get; init; }

    [Measure("Tightened with", Dimension.Torque, 0.1, 150, HowTo = "torque wrench, or scale × spanner length; leave empty for the usual",
        Measured = true, Chosen = true)]
    public double? Torque { get; init; }

    [Option("… by", HowTo = "when you do not know the torque: fingers {torque:0.8}, a knob {torque:2.5}, a short spanner {torque:12}, a drill {torque:30}")]
    public TightenedBy? By { get; init; }

    [Option("Against turning loose")]
    public Loosening? Means { get; init; }

    [Option("Bush between the threads", HowTo = "3/8-16 outside, 1/4-20 inside: in the socket or on the stud")]
    public Hosts.Answer Bush { get; init; }

    [Option("Head", HowTo = "countersunk: flush, in sheet that is thick enough")]
    public ScrewHead? Head { get; init; }

    [Option("Thread insert", HowTo = "brass, in wood or plastic: the thread does not wear out")]
    public Hosts.Answer Insert { get; init; }

    [Option("Sleeve inside the tube", HowTo = "round the screw, from wall to wall: the tube is not dented and the screw may be drawn tight")]
    public Hosts.Answer Sleeve { get; init; }

    [Option("End plug is", HowTo = "of a tube's end; pressed in alone it comes out")]
    public PlugKept? Plug { get; init; }

    [Measure("Plug's play, dry", Dimension.Length, 0, 0.01,
        HowTo = "rocked in the tube's end before pin or glue, a feeler gauge beside it; leave empty where it goes in snug", Measured = true,
            Chosen = true)]
    public double? Play { get; init; }

    [Measure("Plug's play, cured", Dimension.Length, 0, 0.01, HowTo = "the same once the glue is hard: nothing may move", Measured = true, Chosen = true)]
    public double? PlayCured { get; init; }

    /// <summary>Layers as they were built, by their ids.</summary>
    public IReadOnlyList<LayerChoice>? Layers { get; init; }

    /// <summary>What was put between.</summary>
    public IReadOnlyList<AddedLayer>? Added { get; init; }
}

/// <summary>What the head of a screw is.</summary>
public enum ScrewHead
{
    Hexagon,
    Countersunk,
}

/// <summary>What keeps the plug in the end of a tube.</summary>
public enum PlugKept
{
    [Description("pinned from both sides")]
    Pinned,

    [Description("glued in with epoxy")]
    Glued,

    /// <summary>Glued, with a key in a slot of the tube's end: the glue has the pull, the key the turning.</summary>
    [Description("glued, keyed in a slot")]
    Keyed,

    [Description("pressed in only")]
    Pressed,
}

/// <summary>A layer of a joint as it was built.</summary>
public sealed record LayerChoice
{
    /// <summary>Which one: the layer's id.</summary>
    public required string Layer { get; init; }

    [Measure("Thickness", Dimension.Length, 0.0001, 0.3, HowTo = "calipers", Measured = true, Chosen = true)]
    public double? Thickness { get; init; }

    [Measure("Hole", Dimension.Drill, 0.001, 0.05, HowTo = "the drill you used", Measured = true, Chosen = true)]
    public double? Hole { get; init; }

    [Measure("Hole to edge", Dimension.Length, 0.001, 1, HowTo = "its middle to the nearest edge", Measured = true, Chosen = true)]
    public double? Edge { get; init; }

    [Measure("Farthest out of place", Dimension.Length, 0, 0.02, HowTo = "the worst hole's middle from where it was marked",
        Measured = true, Chosen = true)]
    public double? Off { get; init; }
}

/// <summary>What builders put between.</summary>
public enum Between
{
    Washer,
    WideWasher,
    RubberWasher,
    Felt,
    Shim,
}

/// <summary>A washer, pad or shim that was put between.</summary>
public sealed record AddedLayer
{
    [Option("What")]
    public Between What { get; init; }

    [Measure("Thickness", Dimension.Length, 0.0001, 0.03, HowTo = "leave empty for the usual", Measured = true, Chosen = true)]
    public double? Thickness { get; init; }

    /// <summary>Id of the layer that it lies on, towards the head; null for next to the thread.</summary>
    public string? Before { get; init; }
}
