using System.Text.Json.Serialization;

namespace Ochema.Core.Structure;

/// <summary>
/// The structural model of a rig with its results, all SI, host axes. It is complete: whoever solves it again
/// from the numbers in it gets the same results. Ids are unique across members, springs and lines.
/// </summary>
public sealed record ModelDocument
{
    public required IReadOnlyList<ModelNode> Nodes { get; init; }
    public IReadOnlyList<ModelMember> Members { get; init; } = [];
    public IReadOnlyList<ModelRigidLink> RigidLinks { get; init; } = [];
    public IReadOnlyList<ModelSpring> Springs { get; init; } = [];
    public IReadOnlyList<ModelLine> Lines { get; init; } = [];
    public IReadOnlyList<ModelMass> Masses { get; init; } = [];
    public IReadOnlyList<ModelCase> Cases { get; init; } = [];

    /// <summary>Natural frequencies, lowest first; absent when they cannot be computed (see <see cref="Findings"/>).</summary>
    public IReadOnlyList<ModelMode>? Modes { get; init; }

    /// <summary>What could not be computed, and why. Absent when there is nothing to say.</summary>
    public IReadOnlyList<ModelFinding>? Findings { get; init; }
}

/// <summary>A point with six degrees of freedom. Coordinates in m.</summary>
public sealed record ModelNode(string Id, double X, double Y, double Z)
{
    internal Vec3 Position => new(X, Y, Z);
}

/// <summary>
/// A straight beam. Local x runs from→to, local z is the part of <see cref="Up"/> normal to x, local y = z × x.
/// </summary>
/// <param name="A">Area, m².</param>
/// <param name="Iy">Second moment of area about local y, m⁴ (bending in the x–z plane).</param>
/// <param name="Iz">Second moment of area about local z, m⁴ (bending in the x–y plane).</param>
/// <param name="J">Torsion constant, m⁴.</param>
/// <param name="E">Young's modulus, Pa.</param>
/// <param name="G">Shear modulus, Pa.</param>
/// <param name="Rho">Density, kg/m³.</param>
/// <param name="Up">Host vector that fixes the section's turn; must not be parallel to the member.</param>
public sealed record ModelMember(
    string Id, string From, string To, [property: JsonPropertyName("A")] double A, [property: JsonPropertyName("Iy")] double Iy,
        [property: JsonPropertyName("Iz")] double Iz,
    [property: JsonPropertyName("J")] double J, [property: JsonPropertyName("E")] double E, [property: JsonPropertyName("G")] double G,
    double Rho, double[] Up)
{
    /// <summary>Local rotations free at the first end: "rx", "ry", "rz".</summary>
    public IReadOnlyList<string>? ReleaseFrom { get; init; }

    /// <summary>Local rotations free at the second end: "rx", "ry", "rz".</summary>
    public IReadOnlyList<string>? ReleaseTo { get; init; }

    /// <summary>Shear area for forces along local y, m²; absent: no shear flexibility (Euler–Bernoulli).</summary>
    public double? ShearAreaY { get; init; }

    /// <summary>Shear area for forces along local z, m²; absent: no shear flexibility (Euler–Bernoulli).</summary>
    public double? ShearAreaZ { get; init; }
}

/// <summary>Two nodes that move as one rigid body.</summary>
public sealed record ModelRigidLink(string From, string To);

/// <summary>Six stiffnesses along and about the host axes (N/m, N·m/rad) between coincident nodes, or to ground when <see cref="To"/> is
/// null.</summary>
public sealed record ModelSpring(string Id, string From, double[] K)
{
    /// <summary>Second node; null for the ground.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.Never)]
    public string? To { get; init; }

    /// <summary>
    /// Unit vector about which it is turned: <see cref="K"/> is then along it, across it twice, about it, about its normals twice. Inside
    /// only: documents that go out have such a spring as one along the host axes and a member, see <see cref="TurnedSprings"/>.
    /// </summary>
    [JsonIgnore]
    internal Vec3? Axis { get; init; }
}

/// <summary>
/// A strap, cord or tether: pulls only. With <see cref="Push"/> a pad: pushes only.
/// T = pretension + EA/L × lengthening, kept at zero when its sign would be the wrong one.
/// </summary>
/// <param name="EA">Axial stiffness, N (force per unit strain).</param>
/// <param name="Pretension">Tension at zero displacement, N (negative for a pad that is pressed on).</param>
public sealed record ModelLine(string Id, string From, [property: JsonPropertyName("EA")] double EA, double Pretension)
{
    /// <summary>Second node; null for a fixed point, see <see cref="Anchor"/>.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.Never)]
    public string? To { get; init; }

    /// <summary>The fixed end, m; needed when <see cref="To"/> is null.</summary>
    public double[]? Anchor { get; init; }

    /// <summary>True for a pad that only pushes.</summary>
    public bool? Push { get; init; }
}

/// <summary>A rigid mass at a node.</summary>
/// <param name="M">Mass, kg.</param>
public sealed record ModelMass(string Node, double M)
{
    /// <summary>From the node to the centre of mass, m.</summary>
    public double[]? Offset { get; init; }

    /// <summary>Inertia about the centre of mass, kg·m²: xx, yy, zz, and optionally xy, xz, yz products (entries of the tensor).</summary>
    [JsonPropertyName("I")]
    public double[]? I { get; init; }
}

/// <summary>One load case.</summary>
public sealed record ModelCase
{
    public required string Id { get; init; }

    /// <summary>Acceleration field on all masses and members, m/s² (weight is [0,0,−9.80665]).</summary>
    public double[]? Gravity { get; init; }

    public IReadOnlyList<ModelNodeLoad> Loads { get; init; } = [];
    public IReadOnlyList<ModelMemberLoad> MemberLoads { get; init; } = [];

    /// <summary>Ids of members, springs and lines that are gone in this case.</summary>
    public IReadOnlyList<string>? Without { get; init; }

    /// <summary>Filled in by the solver; absent when there is none (see <see cref="Finding"/>).</summary>
    public ModelResult? Result { get; init; }

    /// <summary>Why there is no result.</summary>
    public string? Finding { get; init; }
}

/// <summary>Force (N) and moment (N·m) on a node, host axes.</summary>
public sealed record ModelNodeLoad(string Node)
{
    public double[]? F { get; init; }
    public double[]? M { get; init; }
}

/// <summary>Force per length along a whole member, N/m, host axes.</summary>
public sealed record ModelMemberLoad(string Member, double[] W);

/// <summary>What a case does: displacements (m, rad) by node, force on the spring's from node (N, N·m), line tensions (N).</summary>
public sealed record ModelResult(
    IReadOnlyDictionary<string, double[]> Displacements,
    IReadOnlyDictionary<string, double[]> SpringForces,
    IReadOnlyDictionary<string, double> LineTensions);

/// <summary>A natural frequency, Hz.</summary>
public sealed record ModelMode(double Frequency);

/// <summary>Something the solver has to say about a part of the model.</summary>
public sealed record ModelFinding(string Where, string Text);
