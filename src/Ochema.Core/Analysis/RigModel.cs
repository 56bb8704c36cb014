using System.Collections.Concurrent;
using Ochema.Core.Analysis.Sources;
using Ochema.Core.Checks;
using Ochema.Core.Kinds;
using Ochema.Core.Loads;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Structure;

namespace Ochema.Core.Analysis;

/// <summary>
/// A rig factored once, with the responses of every state it is asked for. Parts that let go are taken out of the factored system
/// by low-rank updates (Sherman–Morrison–Woodbury); only a doubtful one is factored afresh.
/// </summary>
internal sealed class RigModel
{
    private const double DoubtfulPivot = 1e-7;
    private readonly EnvelopeMatrix factor;
    private readonly LoadTable table;
    private readonly double[][] unit;
    private readonly double[][] rows;
    private readonly ConcurrentDictionary<string, StateResponse> states = [];
    private readonly ConcurrentDictionary<string, Removal[]> removals = [];
    private readonly AirOfDay air;
    private readonly int modalLoads;
    private readonly ResponseLayout layout;
    private readonly double[] noTension;

    public BuiltRig Built { get; }
    public FrameSystem System { get; }
    public Mechanism? Mechanism { get; }

    /// <summary>Its own movement; null for one that can move freely, and with its holds gone: loose feet have no modes worth the
    /// name.</summary>
    public RigDynamics? Dynamics { get; }

    /// <summary>Its modes, lowest first; none when it can move freely.</summary>
    public IReadOnlyList<RigMode> Modes => Dynamics?.Modal.Modes ?? [];

    /// <summary>What happens to it: as its host moves, and behind a propeller.</summary>
    public IReadOnlyList<RigCase> Cases { get; }

    /// <summary>Air density of the day, kg/m³.</summary>
    public double Density => air.Density;

    /// <summary>A rig as its document describes it.</summary>
    /// <exception cref="Json.DocumentException">It names something that does not exist on its host.</exception>
    public RigModel(RigDocument rig, Catalogue stock)
        : this(RigAssembly.Build(rig, stock))
    {
    }

    /// <summary>A rig as built.</summary>
    public RigModel(BuiltRig built)
        : this(built, moves: true)
    {
    }

    /// <summary>A rig of which all holds have let go: its feet stand in friction under its straps.</summary>
    public static RigModel WithoutHolds(BuiltRig built) => new(built.WithoutHolds(feet => new FrictionFeet(built, feet)), moves: false);

    /// <param name="moves">False where nobody asks for its own movement: loose feet have no modes worth the name.</param>
    private RigModel(BuiltRig built, bool moves)
    {
        Built = built;
        System = new FrameSystem(Built.Model);
        noTension = new double[System.Lines.Length];
        air = new AirOfDay(Built);
        table = LoadTable.Of(Built, System, air);
        var moving = Built.Host.Motion.Cases(built.Rig.Run.Road);
        Cases = table.Find<WashLoads>().Source.Columns.Count > 0 ? [.. moving, .. PropellerWash.Cases] : moving;
        factor = System.Stiffness(_ => true, Enumerable.Range(0, System.Lines.Length));
        Mechanism = System.Factorise(factor);
        unit = Mechanism is not null ? [] : [.. table.Loads.Select(Solve), .. System.Lines.Select(l => Solve(l.Vector))];
        modalLoads = unit.Length;
        layout = new(Built.Model.Springs.Count, System.Beams.Length, System.Lines.Length, System.Size);
        rows = [.. unit.Select(Row)];
        if (Mechanism is not null || !moves)
            return;
        Dynamics = new RigDynamics(this, new ModalResponse(this, TautAtRest()));
        double[][] modal = [.. Dynamics.Loads.Select(Solve)];
        (unit, rows) = ([.. unit, .. modal], [.. rows, .. modal.Select((u, i) => Row(u, modalLoads + i))]);
    }

    /// <summary>Lines that carry load when pretension alone acts.</summary>
    private IEnumerable<int> TautAtRest()
    {
        if (System.Lines.Length == 0)
            return [];
        var all = Respond(ResponseRows.Of(rows), [], [.. Enumerable.Range(0, System.Lines.Length)]);
        var rest = Forces(all, new RigCase("rest", "", Vec3.Zero, -1, Vec3.Zero), 0);
        return rest is null ? [] : Enumerable.Range(0, System.Lines.Length).Where(l => System.Lines[l].Sign * rest.Tensions[l] > 0);
    }

    /// <summary>Wind at 1 Pa from a direction (index into <see cref="MotionProfile.Yaw"/>), as a load.</summary>
    public double[] WindLoad(int yaw)
    {
        var (wind, first) = table.Find<WindLoads>();
        var sum = new double[System.Size];
        for (var w = 0; w < wind.Columns.Count; w++)
            if (wind.YawOf(w) == yaw)
                VectorMath.AddScaled(sum, 1, table.Loads[first + w]);
        return sum;
    }

    /// <summary>
    /// The propeller's wash that blows on the rig at a travel speed, m/s: its speed far behind, m/s, and as loads at 1 Pa there: straight,
    /// and twisting to the one side less to the other; null where nothing stands in it.
    /// </summary>
    public (PropellerWash Air, double Speed, double[] Straight, double[] Across)? InWash(double speed)
    {
        var (wash, first) = table.Find<WashLoads>();
        if (wash.Columns.Count == 0)
            return null;
        var across = (double[])table.Loads[first + 1].Clone();
        VectorMath.AddScaled(across, -1, table.Loads[first + 2]);
        return (wash.Wash!, wash.Speed(speed), table.Loads[first], across);
    }

    /// <summary>Stiffness factor count for the benchmark: unknowns and stored entries.</summary>
    public (int Unknowns, int Entries) Size => (System.Size, factor.Count);

    /// <summary>The state with these springs and lines (ids) gone.</summary>
    public StateResponse State(IReadOnlyList<string> without)
    {
        Asked.Still();
        return states.GetOrAdd(string.Join('\n', without), _ => Mechanism is { } m ? StateResponse.Free(m) : Without(without));
    }

    /// <summary>Dynamic pressure at a travel speed, Pa: ½ρ(V·z + head wind + gust)².</summary>
    public double Pressure(double speed) => air.Pressure(speed);

    /// <summary>The whole rig with its modes' answers one by one, not drawn together; for checks of the combinations.</summary>
    internal StateResponse WithModesApart() => Respond(ResponseRows.Of(rows), [],
        [.. Enumerable.Range(0, System.Lines.Length)], apart: true);

    /// <summary>Forces of a case at a travel speed, or null when the state has no equilibrium with its slack lines.</summary>
    /// <param name="modal">Acceleration that each mode answers with, where the state keeps them apart; then the case's own jolt is left
    /// out.</param>
    public CaseForces? Forces(StateResponse state, RigCase c, double speed, ReadOnlySpan<double> modal = default)
    {
        var n = table.Count;
        var dynamic = n + System.Lines.Length;
        var coefficients = new double[dynamic + (state.Dynamic ? RigDynamics.Columns : modal.Length)];
        modal.CopyTo(coefficients.AsSpan(dynamic));
        table.Coefficients(c, speed, coefficients.AsSpan(0, n));
        var (blows, splash) = table.OnCamera(c, speed);
        if (c.Dynamic && state.Dynamic)
            Dynamics!.Coefficients(c, speed, coefficients.AsSpan(dynamic));
        var lines = state.Lines;
        for (var i = 0; i < lines.Length; i++)
            coefficients[n + lines[i]] = -System.Lines[lines[i]].Line.Pretension;
        if (lines.Length == 0)
            return new CaseForces(state, c, blows, splash, coefficients, noTension) { Speed = speed };
        var tension = new double[System.Lines.Length];
        var gap = new double[lines.Length];
        for (var i = 0; i < lines.Length; i++)
        {
            var l = System.Lines[lines[i]];
            gap[i] = l.Sign * (l.Line.Pretension / l.Stiffness + VectorMath.Dot(coefficients, state.Lengthening[i]));
        }
        if (LineComplementarity.Solve(state.Complementarity, gap, state.Flexibility) is not { } slack)
            return null;
        for (var i = 0; i < lines.Length; i++)
            coefficients[n + lines[i]] -= System.Lines[lines[i]].Sign * slack[i];
        for (var i = 0; i < lines.Length; i++)
        {
            var l = System.Lines[lines[i]];
            var t = l.Line.Pretension + l.Stiffness * VectorMath.Dot(coefficients, state.Lengthening[i]);
            tension[lines[i]] = slack[i] > 0 ? 0 : l.Sign * Math.Max(0, l.Sign * t);
        }
        return new CaseForces(state, c, blows, splash, coefficients, tension) { Speed = speed };
    }

    /// <summary>Force and moment at a spring of the whole rig under any load, for checks of the combinations.</summary>
    internal (Vec3 Force, Vec3 Moment) ResponseTo(double[] load, SpringIndex spring)
    {
        Span<double> s = stackalloc double[6];
        System.SpringForce(Solve(load), spring.Value, s);
        return (new(s[0], s[1], s[2]), new(s[3], s[4], s[5]));
    }

    /// <summary>
    /// The whole rig with a unit of a pull by hand as its last unit load, after lines' tensions: <see cref="Forces"/> takes how much of it as
    /// what follows the case's own.
    /// </summary>
    /// <param name="node">Where it is pulled.</param>
    /// <param name="force">Of a unit of it, N.</param>
    internal StateResponse Pulled(NodeIndex node, Vec3 force)
    {
        var load = new double[System.Size];
        System.AddLoad(load, node.Value, force, Vec3.Zero);
        return Respond(ResponseRows.Of([.. rows[..modalLoads], Row(Solve(load))]), [], [.. Enumerable.Range(0, System.Lines.Length)],
            apart: true);
    }

    /// <summary>A hold by itself, nothing else of the rig there: unit forces and moments at its spring, N and N·m, are its unit
    /// loads.</summary>
    /// <param name="spring">Of the hold.</param>
    internal StateResponse Alone(SpringIndex spring)
    {
        double[][] units = [.. Enumerable.Range(0, 6).Select(i =>
        {
            var row = new double[layout.Length];
            row[6 * spring.Value + i] = 1;
            return row;
        })];
        return new()
        {
            Dynamic = false,
            Sources = [],
            Rows = ResponseRows.Of(units),
            Layout = layout,
            Gone = Built.Holds.Where(h => h.Spring != spring).Select(h => h.Id.Name).ToHashSet(),
            Lines = [],
            Lengthening = [],
            Complementarity = new double[0, 0],
            Flexibility = [],
        };
    }

    /// <summary>Forces of such a state, or those of a line alone: nothing of the rig but what is said.</summary>
    /// <param name="force">What the hold's spring puts on the rig, N.</param>
    /// <param name="moment">The same, N·m.</param>
    /// <param name="line">A line that is drawn by itself, and its tension, N.</param>
    internal CaseForces ByHand(StateResponse alone, Vec3 force, Vec3 moment, (LineIndex Line, double Tension)? line = null)
    {
        var tensions = new double[System.Lines.Length];
        if (line is { } drawn)
            tensions[drawn.Line.Value] = drawn.Tension;
        return new CaseForces(alone, ByHandCase, 0, 0, [force.X, force.Y, force.Z, moment.X, moment.Y, moment.Z], tensions);
    }

    /// <summary>Standing still, under its weight.</summary>
    internal static RigCase ByHandCase { get; } = new("by-hand", "pulled by hand", new(0, 0, -MotionProfile.Gravity), -1, Vec3.Zero)
    {
        Lasts = true,
    };

    /// <summary>Displacements in body unknowns of a case.</summary>
    public double[] Displacements(StateResponse state, CaseForces f)
    {
        var u = new double[System.Size];
        state.Rows.Times(f.Coefficients).At(layout.Moved, u);
        return u;
    }

    /// <summary>Largest turn of any node that is drawn, rad: what is worked out for small turns says nothing of one that is not.</summary>
    public double Turned(StateResponse state, CaseForces f)
    {
        var u = Displacements(state, f);
        return Built.Figure.SelectMany(s => s.Points).Select(p => p.Node).Where(n => n.Length > 0).Distinct()
            .Select(n => System.Displacement(u, System.NodeIndex(n)).R.Length).DefaultIfEmpty(0).Max();
    }

    /// <summary>The case as loads of a model document.</summary>
    public ModelCase Document(RigCase c, double speed, string id, IReadOnlyList<string> without)
    {
        var (members, nodes) = table.Applied(c, speed);
        return new ModelCase
        {
            Id = id,
            Gravity = table.Find<WeightLoads>().Source.Field(c, speed).ToArray(),
            Loads = nodes,
            MemberLoads = members,
            Without = without.Count > 0 ? without : null,
        };
    }

    private double[] Solve(double[] load)
    {
        var u = (double[])load.Clone();
        factor.Solve(u);
        return u;
    }

    private StateResponse Without(IReadOnlyList<string> without)
    {
        var gone = without.ToHashSet();
        var columns = without.SelectMany(id => removals.GetOrAdd(id, RemovalsOf)).ToList();
        int[] lines = [.. Enumerable.Range(0, System.Lines.Length).Where(l => !gone.Contains(System.Lines[l].Line.Id))];
        if (columns.Count == 0)
            return Respond(Together(rows), gone, lines);
        if (Updated(columns) is { } updated)
            return Respond(updated, gone, lines);
        var fresh = System.Stiffness(id => !gone.Contains(id), lines);
        if (System.Factorise(fresh) is { } mechanism)
            return StateResponse.Free(mechanism);
        return Respond(Together([.. table.Loads.Concat(System.Lines.Select(l => l.Vector)).Concat(Dynamics?.Loads ?? []).Select((f, k) =>
        {
            var x = (double[])f.Clone();
            fresh.Solve(x);
            return Row(x, k);
        })]), gone, lines);
    }

    /// <summary>One way in which something that may go resists, and what a unit of it does to the whole rig: asked for again with each pair
    /// it is in.</summary>
    /// <param name="Vector">In body unknowns: U.</param>
    /// <param name="Stiffness">N/m or N·m/rad.</param>
    /// <param name="Moved">K⁻¹U.</param>
    /// <param name="Row">All that follows from that.</param>
    /// <param name="OfUnits">Uᵀu of each unit load.</param>
    private sealed record Removal(double[] Vector, double Stiffness, double[] Moved, double[] Row, double[] OfUnits);

    private Removal[] RemovalsOf(string id)
    {
        Removal Of(double[] vector, double stiffness)
        {
            var moved = Solve(vector);
            return new(vector, stiffness, moved, Row(moved), [.. unit.Select(u => VectorMath.Dot(vector, u))]);
        }
        return
        [
            .. Enumerable.Range(0, Built.Model.Springs.Count).Where(s => Built.Model.Springs[s].Id == id)
                .SelectMany(s => System.SpringColumns(s).Zip(Built.Model.Springs[s].K)).Where(c => c.Second > 0)
                    .Select(c => Of(c.First, c.Second)),
            .. System.Lines.Where(l => l.Line.Id == id).Select(l => Of(l.Vector, l.Stiffness)),
        ];
    }

    /// <summary>
    /// u' = u + Z·(1/k − UᵀZ)⁻¹·Uᵀu with Z = K⁻¹U, and so with all that follows from u in proportion;
    /// null when the small matrix is near singular.
    /// </summary>
    private UpdatedRows? Updated(List<Removal> columns)
    {
        var n = columns.Count;
        var l = new double[n * n];
        for (var i = 0; i < n; i++)
            for (var j = 0; j <= i; j++)
                l[i * n + j] = (i == j ? 1 / columns[i].Stiffness : 0) - VectorMath.Dot(columns[i].Vector, columns[j].Moved);
        if (!DenseCholesky.Factor(l, n, [.. columns.Select(c => DoubtfulPivot / c.Stiffness)]))
            return null;
        var factors = new double[unit.Length][];
        for (var b = 0; b < unit.Length; b++)
        {
            factors[b] = [.. columns.Select(c => c.OfUnits[b])];
            DenseCholesky.Solve(l, n, factors[b]);
        }
        return new([.. rows, .. columns.Select(c => c.Row)], modalLoads, unit.Length - modalLoads, factors, layout.Length, Dynamics,
            table.Fields.Start.Value);
    }

    /// <summary>All that is wanted of a response, one after the other (<see cref="ResponseLayout"/>), from its displacements.</summary>
    /// <param name="load">Index of its unit load; −1 for one that is no load of its own.</param>
    private double[] Row(double[] u, int load = -1)
    {
        var row = new double[layout.Length];
        for (var s = 0; s < layout.Springs; s++)
            System.SpringForce(u, s, row.AsSpan(6 * s, 6));
        for (var b = 0; b < layout.Beams; b++)
        {
            var e = row.AsSpan(layout.Beam + 12 * b, 12);
            System.BeamForces(u, b, e);
            if (load >= 0 && load < table.Count && table.Along(load, b) is { } w)
                VectorMath.AddScaled(e, -1, System.Beams[b].LocalEquivalentLoad(w));
        }
        if (load >= 0 && load < table.Count)
            table.FieldOf(load).ToArray().CopyTo(row, layout.Field);
        if (load >= modalLoads && Dynamics is not null)
            Dynamics.CameraMoves[load - modalLoads].ToArray().CopyTo(row, layout.Field);
        for (var l = 0; l < layout.Lines; l++)
            foreach (var (dof, v) in System.Lines[l].Entries)
                row[layout.Longer + l] += v * u[dof];
        u.CopyTo(row, layout.Moved);
        return row;
    }

    private StateResponse Respond(ResponseRows responses, HashSet<string> gone, int[] lines, bool apart = false) => new()
    {
        Dynamic = Dynamics is not null && !apart,
        Sources =
        [
            .. table.Told(), ("straps", table.Count, table.Count + System.Lines.Length),
            ("jolt and shaking", table.Count + System.Lines.Length, int.MaxValue),
        ],
        Rows = responses,
        Layout = layout,
        Gone = gone,
        Lines = lines,
        Lengthening = Lengthening(responses, lines),
        Complementarity = FactoredFrame.LineCoupling(System, lines,
            [.. lines.Select(l => responses.Row(table.Count + l, layout.Moved, layout.Unknowns))]),
        Flexibility = [.. lines.Select(l => 1 / System.Lines[l].Stiffness)],
    };

    /// <summary>Lengthening of each line by unit load.</summary>
    private double[][] Lengthening(ResponseRows responses, int[] lines)
    {
        if (lines.Length == 0)
            return [];
        double[][] longer = [.. Enumerable.Range(0, responses.Count).Select(k => responses.Row(k, layout.Longer, System.Lines.Length))];
        return [.. lines.Select(l => longer.Select(x => x[l]).ToArray())];
    }

    /// <summary>Unit responses with the modes' own drawn together to a jolt and the shaking along each axis.</summary>
    private ResponseRows Together(double[][] responses) => ResponseRows.Of(Dynamics is null ? responses
        : [.. responses[..modalLoads], .. Dynamics.Combine(responses[table.Fields], responses[modalLoads..])]);
}
