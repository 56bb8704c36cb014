using Ochema.Core.Structure;

namespace Ochema.Core.Rigs;

/// <summary>Where the mass of a piece hangs that no beam of the frame carries.</summary>
/// <param name="Node">The node that moves with it.</param>
public readonly record struct Hung(NodeIndex Node)
{
    /// <summary>Its middle from that node, m, host axes.</summary>
    public Vec3 Offset { get; init; }

    /// <summary>How much hangs here for each that hangs at the piece's other places; 1 of each is equal shares.</summary>
    public double Share { get; init; } = 1;

    /// <summary>Inertia of a kilogram of it about its middle, m²: as ModelMass.I, divided by its mass; null for what is small.</summary>
    public double[]? PerMass { get; init; }

    /// <summary>A node itself, in equal shares.</summary>
    public static implicit operator Hung(NodeIndex node) => new(node);
}
