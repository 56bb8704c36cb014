using Ochema.Core.Stock;

namespace Ochema.Core.Joints;

/// <summary>What a part offers to the part it is joined to, above it or below it.</summary>
/// <param name="Name">In the user's words: "Plate", "Head's socket".</param>
public abstract record Port(string Name);

/// <summary>A thread inside the part.</summary>
/// <param name="Thread">Catalogue id; null where it is tapped by the builder, for whatever is screwed in.</param>
/// <param name="Depth">Of thread, m.</param>
/// <param name="Material">Catalogue id of what it is cut in.</param>
/// <param name="Blind">True with a bottom, on which a long screw would stand.</param>
/// <param name="Width">Drawn width, m.</param>
/// <param name="Suits">Thread that it is tapped with where the other part has none of its own, catalogue id.</param>
public sealed record SocketPort(
    string Name, string? Thread, double Depth, string Material, bool Blind = true, double Width = 0.03, string Suits = "1-4-20")
        : Port(Name)
{
    /// <summary>True where it is on sale with whichever thread is asked for: nobody drills or taps it.</summary>
    public bool Sold { get; init; }
}

/// <summary>A thread that stands out of the part.</summary>
/// <param name="Thread">Catalogue id.</param>
/// <param name="Length">How far it stands out, m; null for a rod that is cut to what is needed.</param>
/// <param name="Shouldered">True where a shoulder of its own locks it: it needs no jam nut.</param>
/// <param name="Joint">Id of a joint of the part itself that reaches through to what is joined, which is the joint then; null where there
/// is none.</param>
public sealed record StudPort(string Name, string Thread, double? Length, bool Shouldered = false, string? Joint = null) : Port(Name);

/// <summary>A hole through the part.</summary>
/// <param name="Layers">What a screw passes, from below upwards.</param>
/// <param name="Room">Width of the flat place, m.</param>
public sealed record ThroughPort(string Name, IReadOnlyList<StackLayer> Layers, double Room) : Port(Name)
{
    /// <summary>What is under it once it is in its place.</summary>
    public Underside Underside { get; init; }

    /// <summary>Thread of the bolt that it is made for, catalogue id; null where the house takes what suits its width.</summary>
    public string? Bolt { get; init; }
}

/// <summary>What is under a plate once it is in its place.</summary>
public enum Underside
{
    /// <summary>Room for a hand and a spanner.</summary>
    Open,

    /// <summary>Room for a screw's head, but nobody gets at it any more: what is screwed from below goes on first.</summary>
    OutOfReach,

    /// <summary>What it lies on: a screw from below has its head let in, and goes in before it lies there.</summary>
    Covered,
}

/// <summary>The open end of a tube or bar.</summary>
public sealed record TubePort(string Name, SectionRow Tube) : Port(Name);

/// <summary>A flange on screws of its own.</summary>
/// <param name="Thickness">m.</param>
/// <param name="Circle">Diameter of the circle that its screws stand on, m.</param>
/// <param name="Screws">How many.</param>
/// <param name="Thread">Of its screws, catalogue id.</param>
/// <param name="Joint">Id of the joint that its screws make.</param>
/// <param name="Title">Of that joint.</param>
public sealed record FlangePort(string Name, double Thickness, double Circle, int Screws, string Thread, string Joint, string Title)
    : Port(Name);

/// <summary>A buckle that slides in and snaps.</summary>
public sealed record BucklePort(string Name) : Port(Name);

/// <summary>A ball that a socket closes on.</summary>
/// <param name="Diameter">m.</param>
public sealed record BallPort(string Name, double Diameter) : Port(Name);

/// <summary>Two half shells that a knob closes on a ball.</summary>
/// <param name="Grip">What they hold it with, and the ball they are made for.</param>
/// <param name="Measured">Torque at which the ball was seen to slip, N·m; null where nobody tried.</param>
public sealed record BallSocketPort(string Name, BallGrip Grip, double? Measured = null) : Port(Name);

/// <summary>Hands: a tube goes straight into them.</summary>
public sealed record GraspPort(string Name) : Port(Name);
