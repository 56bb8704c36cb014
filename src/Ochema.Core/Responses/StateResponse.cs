using Ochema.Core.Structure;

namespace Ochema.Core.Responses;

/// <summary>
/// The responses of one state of the rig (whole, or with parts gone) to unit loads: weight along each axis, wind at 1 Pa from each
/// direction, a splash and a knock at the camera, a unit of tension in each line, a jolt and the peaks of the host's shaking. All cases at
/// all speeds are sums of these.
/// </summary>
internal sealed class StateResponse
{
    /// <summary>True when the last unit responses are those of <c>RigDynamics</c>.</summary>
    public required bool Dynamic { get; init; }

    /// <summary>What answers each unit load, as <see cref="Layout"/> says.</summary>
    public required ResponseRows Rows { get; init; }

    public required ResponseLayout Layout { get; init; }

    /// <summary>Lines still there.</summary>
    public required int[] Lines { get; init; }

    /// <summary>Lengthening of each of <see cref="Lines"/> by unit load.</summary>
    public required double[][] Lengthening { get; init; }

    /// <summary>Matrix of <see cref="LineComplementarity"/>.</summary>
    public required double[,] Complementarity { get; init; }

    public required double[] Flexibility { get; init; }

    /// <summary>Ids of what is gone.</summary>
    public required IReadOnlySet<string> Gone { get; init; }

    /// <summary>Which unit responses belong to which source of load.</summary>
    public required IReadOnlyList<(string Label, int From, int To)> Sources { get; init; }

    /// <summary>The free motion when nothing can be solved; all else is empty then.</summary>
    public Mechanism? Mechanism { get; init; }

    public static StateResponse Free(Mechanism m) => new()
    {
        Dynamic = false,
        Sources = [],
        Rows = ResponseRows.Of([]),
        Layout = new(0, 0, 0, 0),
        Lines = [],
        Lengthening = [],
        Complementarity = new double[0, 0],
        Flexibility = [],
        Gone = new HashSet<string>(),
        Mechanism = m,
    };
}

/// <summary>
/// Where things stand in a row of a state: spring forces (6 each, N and N·m), beam end forces (12 each), the acceleration field at the
/// camera (3, m/s²), how much longer each line gets (m), displacements in body unknowns (m and rad).
/// </summary>
internal readonly record struct ResponseLayout(int Springs, int Beams, int Lines, int Unknowns)
{
    public int Beam => 6 * Springs;
    public int Field => Beam + 12 * Beams;
    public int Longer => Field + 3;
    public int Moved => Longer + Lines;
    public int Length => Moved + Unknowns;
}
