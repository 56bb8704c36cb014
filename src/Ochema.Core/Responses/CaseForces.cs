using System.Buffers;
using Ochema.Core.Loads;
using Ochema.Core.Structure;

namespace Ochema.Core.Responses;

/// <summary>
/// The forces of one case in one state of the rig: a sum of the state's unit responses, taken when a check first asks.
/// </summary>
public sealed class CaseForces
{
    private readonly StateResponse state;
    private (object By, object Value)[] remembered = [];
    private const int Few = 4;
    private static readonly Vec3[] winds = [.. MotionProfile.Yaw.Select(MotionProfile.WindDirection)];
    private ResponseSum? sum;
    private double[]? outputs;

    /// <summary>Which stretches of <see cref="outputs"/> are worked out; null where all of them are.</summary>
    private bool[]? there;
    private int first;
    private bool lent;
    private int asked;

    internal double[] Coefficients { get; }
    internal double[] Tensions { get; }

    /// <summary>Dynamic pressure, Pa (0 in cases without wind).</summary>
    public double Pressure { get; }

    /// <summary>Pressure of water that meets the camera from ahead, Pa.</summary>
    public double Splash { get; }

    public RigCase Case { get; }

    /// <summary>Speed that is asked about, m/s.</summary>
    public double Speed { get; internal init; }

    /// <summary>Acceleration field at the camera, m/s²: of the case, with the rig's own movement in it.</summary>
    public Vec3 Field
    {
        get
        {
            var s = Sum(state.Layout.Field, stackalloc double[3]);
            return new(s[0], s[1], s[2]);
        }
    }

    internal CaseForces(StateResponse state, RigCase c, double pressure, double splash, double[] coefficients, double[] tensions) =>
        (this.state, Case, Pressure, Splash, Coefficients, Tensions) = (state, c, pressure, splash, coefficients, tensions);

    /// <summary>Direction the air moves along.</summary>
    public Vec3 Wind => Case.Wind < 0 ? Vec3.Zero : winds[Case.Wind];

    /// <summary>Force and moment that a spring puts on its from node.</summary>
    public (Vec3 Force, Vec3 Moment) Spring(SpringIndex spring)
    {
        var s = Sum(6 * spring.Value, stackalloc double[6]);
        return (new(s[0], s[1], s[2]), new(s[3], s[4], s[5]));
    }

    /// <summary>End forces of a beam element in its local axes (12): N, Vy, Vz, T, My, Mz at both ends.</summary>
    /// <param name="element">Which.</param>
    /// <param name="room">Twelve numbers, where they are put if they have to be worked out.</param>
    public ReadOnlySpan<double> Beam(BeamIndex element, Span<double> room) => Sum(state.Layout.Beam + 12 * element.Value, room);

    /// <summary>True when a hold or strap is gone in this state.</summary>
    public bool IsGone(string id) => state.Gone.Contains(id);

    /// <summary>Tension of a line, N (negative for a pad that is pressed).</summary>
    public double Tension(LineIndex line) => Tensions[line.Value];

    /// <summary>What loads a spring, source by source; they add up to <see cref="Spring"/>.</summary>
    public IReadOnlyList<LoadShare> Split(SpringIndex spring)
    {
        var shares = new List<LoadShare>();
        Span<double> s = stackalloc double[6];
        foreach (var (label, from, to) in state.Sources)
        {
            var own = new double[Coefficients.Length];
            var last = Math.Min(to, own.Length);
            if (from < last)
                Coefficients.AsSpan(from, last - from).CopyTo(own.AsSpan(from));
            state.Rows.Times(own).At(6 * spring.Value, s);
            var (force, moment) = (new Vec3(s[0], s[1], s[2]).Length, new Vec3(s[3], s[4], s[5]).Length);
            if (force > 0.05 || moment > 0.005)
                shares.Add(new(label, force, moment));
        }
        return shares;
    }

    /// <summary>What a hold carries: pull along the normal (negative: pressed on), slide along the panel, rocking moment, twist about the
    /// normal.</summary>
    public HoldLoad Hold(SpringIndex spring, Vec3 normal)
    {
        var (f, m) = Spring(spring);
        return HoldLoad.Of(f, m, normal);
    }

    /// <summary>What several checks of a case share (the slide of a plate, say), computed once.</summary>
    internal T Once<TBy, T>(TBy by, Func<TBy, CaseForces, T> compute)
        where TBy : class
        where T : notnull
    {
        // A rig has one or two of them: looking through is quicker than a table.
        foreach (var (known, remembers) in remembered)
            if (ReferenceEquals(known, by))
                return (T)remembers;
        var value = compute(by, this);
        remembered = [.. remembered, (by, value)];
        return value;
    }

    private ResponseSum Summed => sum ??= state.Rows.Times(Coefficients);

    /// <summary>A check alone asks for little, and gets just that; many of them together are better served by a stretch of columns at a
    /// time.</summary>
    /// <returns>Where it stands already, or <paramref name="into"/>.</returns>
    private ReadOnlySpan<double> Sum(int start, Span<double> into)
    {
        if (outputs is null && ++asked > Few)
        {
            outputs = ArrayPool<double>.Shared.Rent(Math.Max(1, state.Layout.Longer));
            there = new bool[(state.Layout.Longer + Stretch - 1) / Stretch];
        }
        if (outputs is null)
        {
            Summed.At(start, into);
            return into;
        }
        for (var s = start / Stretch; there is not null && s <= (start + into.Length - 1) / Stretch; s++)
            if (!there[s])
            {
                Summed.At(s * Stretch, outputs.AsSpan(s * Stretch, Math.Min(Stretch, state.Layout.Longer - s * Stretch)));
                there[s] = true;
            }
        return outputs.AsSpan(first + start, into.Length);
    }

    /// <summary>
    /// Works out all of several cases of one state together, a stretch of columns at a time for all of them: the state's rows are read from
    /// the nearest store then, and not from memory once per case.
    /// </summary>
    /// <returns>What <see cref="GiveBack"/> gives back.</returns>
    internal static double[] WorkOut(StateResponse state, IReadOnlyList<CaseForces> cases)
    {
        var length = state.Layout.Longer;
        var all = ArrayPool<double>.Shared.Rent(Math.Max(1, length * cases.Count));
        for (var c = 0; c < cases.Count; c++)
            (cases[c].outputs, cases[c].there, cases[c].first, cases[c].lent) = (all, null, c * length, true);
        for (var from = 0; from < length; from += Stretch)
        {
            var wide = Math.Min(Stretch, length - from);
            for (var c = 0; c < cases.Count; c++)
                cases[c].Summed.At(from, all.AsSpan(c * length + from, wide));
        }
        return all;
    }

    /// <summary>Takes back what <see cref="WorkOut"/> lent.</summary>
    internal static void GiveBack(double[] all, IReadOnlyList<CaseForces> cases)
    {
        foreach (var c in cases)
            if (c.lent)
                (c.sum, c.outputs, c.there, c.first, c.lent, c.remembered, c.asked) = (null, null, null, 0, false, [], 0);
        ArrayPool<double>.Shared.Return(all);
    }

    /// <summary>
    /// Gives back what was worked out for the checks: they have all looked, and it is worked out again should one look once more. A search
    /// looks at hundreds of cases at a few speeds each, and would keep megabytes.
    /// </summary>
    internal void Release()
    {
        if (outputs is not null && !lent)
            ArrayPool<double>.Shared.Return(outputs);
        (sum, outputs, there, first, lent, remembered, asked) = (null, null, null, 0, false, [], 0);
    }

    /// <summary>Columns summed at a time: the rows' stretches stay in the first-level store (32 rows of a kilobyte).</summary>
    private const int Stretch = 128;
}

/// <summary>What a hold carries.</summary>
/// <param name="Pull">N, away from the panel; negative when it is pressed on.</param>
/// <param name="Slide">N, along the panel.</param>
/// <param name="Moment">Rocking moment, N·m.</param>
/// <param name="Twist">Moment about the hold's own normal, N·m.</param>
public readonly record struct HoldLoad(double Pull, double Slide, double Moment, double Twist)
{
    /// <summary>From the force, N, and moment, N·m, that its spring puts on the rig, and the outward normal.</summary>
    public static HoldLoad Of(Vec3 force, Vec3 moment, Vec3 normal) =>
        new(-force.Dot(normal), force.PerpendicularTo(normal).Length, moment.PerpendicularTo(normal).Length, Math.Abs(moment.Dot(normal)));

    /// <summary>N that pulls it off; 0 when it is pressed on.</summary>
    public double Off => Math.Max(0, Pull);

    /// <summary>N that presses it on; 0 when it is pulled.</summary>
    public double On => Math.Max(0, -Pull);
}
