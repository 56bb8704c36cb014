using System.Buffers;
using System.Collections.Concurrent;
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
    private readonly double[][] loads;
    private readonly double[][] unit;
    private readonly double[][] rows;
    private readonly ConcurrentDictionary<string, StateResponse> states = [];
    private readonly ConcurrentDictionary<string, Removal[]> removals = [];
    private readonly List<(int Yaw, double? Diameter)> windLoads = [];
    private readonly List<int> washLoads = [];
    private readonly List<Dictionary<int, Vec3>> memberLoads = [];
    private readonly double density;
    private readonly double viscosity;
    private readonly int knockLoad;
    private readonly WaterLoads water;
    private readonly int waterLoad;
    private readonly int spinLoad;
    private readonly int modalLoads;
    private readonly ResponseLayout layout;
    private readonly double[] noTension;
    /// <summary>Share of the wash that reaches the cameras.</summary>
    private readonly double washed;

    public RigBuilder Builder { get; }
    public FrameSystem System { get; }
    public Mechanism? Mechanism { get; }

    /// <summary>Its own movement; null for one that can move freely, and with its holds gone: loose feet have no modes worth the name.</summary>
    public RigDynamics? Dynamics { get; }

    /// <summary>Its modes, lowest first; none when it can move freely.</summary>
    public IReadOnlyList<RigMode> Modes => Dynamics?.Modal.Modes ?? [];

    /// <summary>What happens to it: as its host moves, and behind a propeller.</summary>
    public IReadOnlyList<RigCase> Cases { get; }

    /// <summary>Air density of the day, kg/m³.</summary>
    public double Density => density;

    public RigModel(RigDocument rig, Catalogue stock, bool holdsGone = false)
    {
        Builder = RigAssembly.Build(rig, stock, holdsGone);
        System = new FrameSystem(Builder.Model);
        noTension = new double[System.Lines.Length];
        density = Atmosphere.Density(rig.Run.Altitude, rig.Run.Temperature);
        viscosity = Atmosphere.KinematicViscosity(rig.Run.Altitude, rig.Run.Temperature);
        water = new WaterLoads(Builder, System);
        loads = UnitLoads(out knockLoad, out waterLoad);
        washed = Air is { } air && washLoads.Count > 0
            ? new[] { Builder.Camera, Builder.SecondCamera ?? Builder.Camera }.Max(x => air.Share(Builder.Position(x.Node))) : 0;
        spinLoad = knockLoad + 2;
        var moving = Builder.Host.Motion.Cases(rig.Run.Road);
        Cases = washLoads.Count > 0 ? [.. moving, .. PropellerWash.Cases] : moving;
        factor = System.Stiffness(_ => true, Enumerable.Range(0, System.Lines.Length));
        Mechanism = System.Factorise(factor);
        unit = Mechanism is not null ? [] : [.. loads.Select(Solve), .. System.Lines.Select(l => Solve(l.Vector))];
        modalLoads = unit.Length;
        layout = new(Builder.Model.Springs.Count, System.Beams.Length, System.Lines.Length, System.Size);
        rows = [.. unit.Select(Row)];
        if (Mechanism is not null || holdsGone)
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
        var all = Respond(rows, [], [.. Enumerable.Range(0, System.Lines.Length)]);
        var rest = Forces(all, new RigCase("rest", "", Vec3.Zero, -1, Vec3.Zero), 0);
        return rest is null ? [] : Enumerable.Range(0, System.Lines.Length).Where(l => System.Lines[l].Sign * rest.Tensions[l] > 0);
    }

    /// <summary>Wind at 1 Pa from a direction (index into <see cref="MotionProfile.Yaw"/>), as a load.</summary>
    public double[] WindLoad(int yaw)
    {
        var sum = new double[System.Size];
        for (var w = 0; w < windLoads.Count; w++)
            if (windLoads[w].Yaw == yaw)
                VectorMath.AddScaled(sum, 1, loads[3 + w]);
        return sum;
    }

    /// <summary>
    /// The propeller's wash that blows on the rig at a travel speed, m/s: its speed far behind, m/s, and as loads at 1 Pa there: straight, and twisting to the
    /// one side less to the other; null where nothing stands in it.
    /// </summary>
    public (PropellerWash Air, double Speed, double[] Straight, double[] Across)? InWash(double speed)
    {
        if (washLoads.Count == 0)
            return null;
        var first = 3 + windLoads.Count;
        var across = (double[])loads[first + 1].Clone();
        VectorMath.AddScaled(across, -1, loads[first + 2]);
        return (Air!, Air!.Speed(Builder.ThroughAir(speed) + Builder.Rig.Run.HeadWind, density), loads[first], across);
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
    public double Pressure(double speed)
    {
        var run = Builder.Rig.Run;
        var v = Builder.ThroughAir(speed) * Builder.WindFactor + run.HeadWind + run.Gust;
        return 0.5 * density * v * v;
    }

    /// <summary>What its host's propeller blows back here.</summary>
    private PropellerWash? Air => Builder.Host.WashAt(Builder.Rig.Site);

    /// <summary>What the propeller adds far behind it at a travel speed, Pa.</summary>
    private double Wash(double speed) => Air!.Pressure(Builder.ThroughAir(speed) + Builder.Rig.Run.HeadWind);

    /// <summary>The whole rig with its modes' answers one by one, not drawn together; for checks of the combinations.</summary>
    internal StateResponse WithModesApart() => Respond(rows, [], [.. Enumerable.Range(0, System.Lines.Length)], apart: true);

    /// <summary>Acceleration field of a case at a speed, m/s²: what comes off the road grows with it.</summary>
    private Vec3 Field(RigCase c, double speed) =>
        c.Bumped == Vec3.Zero ? c.Field : c.Field + (Builder.Host.Motion.BumpsAt(speed) - 1) * c.Bumped;

    /// <summary>Forces of a case at a travel speed, or null when the state has no equilibrium with its slack lines.</summary>
    /// <param name="modal">Acceleration that each mode answers with, where the state keeps them apart; then the case's own jolt is left out.</param>
    public CaseForces? Forces(StateResponse state, RigCase c, double speed, ReadOnlySpan<double> modal = default)
    {
        var n = loads.Length;
        var dynamic = n + System.Lines.Length;
        var coefficients = new double[dynamic + (state.Dynamic ? RigDynamics.Columns : modal.Length)];
        modal.CopyTo(coefficients.AsSpan(dynamic));
        var field = Field(c, speed);
        (coefficients[0], coefficients[1], coefficients[2]) = (field.X, field.Y, field.Z);
        var q = c.Wind < 0 ? 0 : Pressure(speed);
        for (var w = 0; w < windLoads.Count; w++)
            if (windLoads[w].Yaw == c.Wind)
                coefficients[3 + w] = q * (windLoads[w].Diameter is { } d ? Drag.Cylinder(Airspeed(q) * d / viscosity) / 1.2 : 1);
        var wash = c.Wash ? Wash(speed) : 0;
        for (var w = 0; w < washLoads.Count; w++)
            if (c.Wash && washLoads[w] == c.Wind)
                coefficients[3 + windLoads.Count + w] = wash;
        (coefficients[knockLoad], coefficients[knockLoad + 1]) = (c.Knock.X, c.Knock.Y);
        if (c.Spins && Builder.Host.Motion.Turning is { } spin)
            coefficients[spinLoad] = spin.Rate(speed) * spin.Rate(speed);
        water.Coefficients(c, speed, coefficients.AsSpan(waterLoad, water.Columns.Count));
        if (c.Dynamic && state.Dynamic)
            Dynamics!.Coefficients(c, speed, coefficients.AsSpan(dynamic));
        var lines = state.Lines;
        for (var i = 0; i < lines.Length; i++)
            coefficients[n + lines[i]] = -System.Lines[lines[i]].Line.Pretension;
        if (lines.Length == 0)
            return new CaseForces(state, c, q + wash * washed, water.OnCamera(c, speed), coefficients, noTension) { Speed = speed };
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
        return new CaseForces(state, c, q + wash * washed, water.OnCamera(c, speed), coefficients, tension) { Speed = speed };
    }

    /// <summary>Force and moment at a spring of the whole rig under any load, for checks of the combinations.</summary>
    internal (Vec3 Force, Vec3 Moment) ResponseTo(double[] load, SpringIndex spring)
    {
        Span<double> s = stackalloc double[6];
        System.SpringForce(Solve(load), spring, s);
        return (new(s[0], s[1], s[2]), new(s[3], s[4], s[5]));
    }

    /// <summary>Displacements in body unknowns of a case.</summary>
    public double[] Displacements(StateResponse state, CaseForces f)
    {
        var u = new double[System.Size];
        for (var k = 0; k < f.Coefficients.Length; k++)
            if (f.Coefficients[k] != 0)
                VectorMath.AddScaled(u, f.Coefficients[k], state.Rows[k].AsSpan(layout.Moved));
        return u;
    }

    /// <summary>Largest turn of any node that is drawn, rad: what is worked out for small turns says nothing of one that is not.</summary>
    public double Turned(StateResponse state, CaseForces f)
    {
        var u = Displacements(state, f);
        return Builder.Figure.SelectMany(s => s.Points).Select(p => p.Node).Where(n => n.Length > 0).Distinct()
            .Select(n => System.Displacement(u, System.NodeIndex(n)).R.Length).DefaultIfEmpty(0).Max();
    }

    /// <summary>The case as loads of a model document.</summary>
    public ModelCase Document(RigCase c, double speed, string id, IReadOnlyList<string> without)
    {
        var q = c.Wind < 0 ? 0 : Pressure(speed);
        var members = new List<ModelMemberLoad>();
        var nodes = new List<ModelNodeLoad>();
        for (var w = 0; w < windLoads.Count; w++)
            if (windLoads[w].Yaw == c.Wind && q > 0)
            {
                var scale = q * (windLoads[w].Diameter is { } d ? Drag.Cylinder(Airspeed(q) * d / viscosity) / 1.2 : 1);
                foreach (var (member, load) in memberLoads[3 + w])
                    members.Add(new ModelMemberLoad(System.Beams[member].Member.Id, (scale * load).ToArray()));
                if (windLoads[w].Diameter is null)
                    foreach (var face in Builder.Faces.Where(f => f.Node >= 0))
                        nodes.Add(new ModelNodeLoad(Builder.NodeId(face.Node)) { F = (q * face.BoxForce(MotionProfile.WindDirection(MotionProfile.Yaw[c.Wind]))).ToArray() });
            }
        if (c.Wash)
            foreach (var (member, node, load) in Washed(Air!, c.Wind))
                if (member >= 0)
                    members.Add(new ModelMemberLoad(System.Beams[member].Member.Id, (Wash(speed) * load).ToArray()));
                else
                    nodes.Add(new ModelNodeLoad(Builder.NodeId(node)) { F = (Wash(speed) * load).ToArray() });
        Span<double> wets = stackalloc double[water.Columns.Count];
        water.Coefficients(c, speed, wets);
        for (var k = 0; k < wets.Length; k++)
            if (wets[k] != 0)
                foreach (var (member, node, load) in water.Columns[k])
                    if (member >= 0)
                        members.Add(new ModelMemberLoad(System.Beams[member].Member.Id, (wets[k] * load).ToArray()));
                    else
                        nodes.Add(new ModelNodeLoad(Builder.NodeId(node)) { F = (wets[k] * load).ToArray() });
        if (c.Spins && Builder.Host.Motion.Turning is { } spin)
        {
            var square = spin.Rate(speed) * spin.Rate(speed);
            foreach (var (member, w) in memberLoads[spinLoad])
                members.Add(new ModelMemberLoad(System.Beams[member].Member.Id, (square * w).ToArray()));
            foreach (var m in System.Model.Masses)
            {
                var (offset, force) = Flung(spin, m);
                nodes.Add(new ModelNodeLoad(m.Node) { F = (square * force).ToArray(), M = (square * offset.Cross(force)).ToArray() });
            }
        }
        if (c.Knock != Vec3.Zero)
            nodes.Add(new ModelNodeLoad(Builder.NodeId(Builder.Camera.Node)) { F = c.Knock.ToArray() });
        return new ModelCase
        {
            Id = id,
            Gravity = Field(c, speed).ToArray(),
            Loads = nodes,
            MemberLoads = members,
            Without = without.Count > 0 ? without : null,
        };
    }

    private double Airspeed(double q) => Math.Sqrt(2 * q / density);

    private double[][] UnitLoads(out int knock, out int wet)
    {
        var list = new List<double[]>();
        double[] New()
        {
            list.Add(new double[System.Size]);
            memberLoads.Add([]);
            return list[^1];
        }
        foreach (var axis in new[] { Vec3.UnitX, Vec3.UnitY, Vec3.UnitZ })
        {
            System.AddGravity(New(), axis, _ => true);
            for (var i = 0; i < System.Beams.Length; i++)
                if (System.Beams[i].Member is { Rho: > 0 } m)
                    memberLoads[^1][i] = m.Rho * m.A * axis;
        }
        // Round members thick enough to meet the drag crisis below 90 m/s get wind loads of their own, one per diameter.
        double? Critical(WindFace f) => f.Round && f.Width * 90 / viscosity > Drag.CriticalReynolds ? f.Width : null;
        var groups = Builder.Faces.Select(Critical).Where(d => d is not null).Distinct().Prepend(null).ToList();
        foreach (var yaw in Builder.Host.Motion.Cases(Builder.Rig.Run.Road).Select(c => c.Wind).Where(w => w >= 0).Distinct().Order())
            foreach (var group in groups)
            {
                var f = New();
                windLoads.Add((yaw, group));
                var wind = MotionProfile.WindDirection(MotionProfile.Yaw[yaw]);
                foreach (var face in Builder.Faces.Where(x => Critical(x) == group))
                    if (face.Member >= 0)
                    {
                        var w = Drag.OnMember(wind, System.Beams[face.Member].AxisX, face.Width, face.Coefficient);
                        System.AddMemberLoad(f, face.Member, w);
                        memberLoads[^1][face.Member] = w;
                    }
                    else
                        System.AddLoad(f, face.Node, face.BoxForce(wind), Vec3.Zero);
            }
        if (Air is { } air)
            foreach (var c in PropellerWash.Cases)
            {
                var blown = Washed(air, c.Wind).ToList();
                if (blown.Count == 0)
                    break;
                var f = New();
                washLoads.Add(c.Wind);
                foreach (var (member, node, load) in blown)
                    if (member >= 0)
                    {
                        System.AddMemberLoad(f, member, load);
                        memberLoads[^1][member] = load;
                    }
                    else
                        System.AddLoad(f, node, load, Vec3.Zero);
            }
        wet = list.Count;
        foreach (var column in water.Columns)
        {
            var f = New();
            foreach (var (member, node, load) in column)
                if (member >= 0)
                {
                    System.AddMemberLoad(f, member, load);
                    memberLoads[^1][member] = load;
                }
                else
                    System.AddLoad(f, node, load, Vec3.Zero);
        }
        knock = list.Count;
        System.AddLoad(New(), Builder.Camera.Node, Vec3.UnitX, Vec3.Zero);
        System.AddLoad(New(), Builder.Camera.Node, Vec3.UnitY, Vec3.Zero);
        if (Builder.Host.Motion.Turning is { } spin)
        {
            // At one radian a second: each piece by the distance of its middle, each mass by its own.
            var f = New();
            for (var i = 0; i < System.Beams.Length; i++)
                if (System.Beams[i].Member is { Rho: > 0 } m)
                {
                    var middle = 0.5 * (Builder.Position(Builder.StartOf(new(i))) + Builder.Position(Builder.EndOf(new(i))));
                    memberLoads[^1][i] = m.Rho * m.A * spin.Outward(middle);
                    System.AddMemberLoad(f, i, memberLoads[^1][i]);
                }
            foreach (var m in System.Model.Masses)
            {
                var (offset, force) = Flung(spin, m);
                System.AddLoad(f, Builder.NodeOf(m.Node), force, offset.Cross(force));
            }
        }
        return [.. list];
    }

    /// <summary>Load of the propeller's wash at 1 Pa far behind it on all that stands in it: N/m on members, N on bodies.</summary>
    private IEnumerable<(int Member, NodeIndex Node, Vec3 Load)> Washed(PropellerWash air, int yaw)
    {
        const int looks = 8;
        var wind = MotionProfile.WindDirection(MotionProfile.Yaw[yaw]);
        foreach (var face in Builder.Faces)
            if (face.Member >= 0)
            {
                var (from, to) = (Builder.Position(Builder.StartOf(face.Member)), Builder.Position(Builder.EndOf(face.Member)));
                var share = Enumerable.Range(0, looks).Average(i => air.Share(from + (i + 0.5) / looks * (to - from)));
                if (share > 0)
                    yield return (face.Member, default, share * Drag.OnMember(wind, System.Beams[face.Member].AxisX, face.Width, face.Coefficient));
            }
            else if (air.Share(Builder.Position(face.Node)) is var share and > 0)
                yield return (-1, face.Node, share * face.BoxForce(wind));
    }

    /// <summary>Where a mass is from its node, m, and what pulls it outwards at one radian a second, N.</summary>
    private (Vec3 Offset, Vec3 Force) Flung(Spin spin, ModelMass m)
    {
        var offset = m.Offset is { } o ? Vec3.From(o) : Vec3.Zero;
        return (offset, m.M * spin.Outward(Builder.Position(new(Builder.NodeOf(m.Node))) + offset));
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
        var left = columns.Count == 0 ? rows : Updated(columns);
        var lent = columns.Count > 0 && left is not null;
        if (left is null)
        {
            var fresh = System.Stiffness(id => !gone.Contains(id), Enumerable.Range(0, System.Lines.Length).Where(l => !gone.Contains(System.Lines[l].Line.Id)));
            if (System.Factorise(fresh) is { } mechanism)
                return StateResponse.Free(mechanism);
            left = [.. loads.Concat(System.Lines.Select(l => l.Vector)).Concat(Dynamics?.Loads ?? []).Select((f, k) =>
            {
                var x = (double[])f.Clone();
                fresh.Solve(x);
                return Row(x, k);
            })];
        }
        var state = Respond(left, gone, [.. Enumerable.Range(0, System.Lines.Length).Where(l => !gone.Contains(System.Lines[l].Line.Id))]);
        if (lent)
            foreach (var row in left[modalLoads..])
                ArrayPool<double>.Shared.Return(row);
        return state;
    }

    /// <summary>One way in which something that may go resists, and what a unit of it does to the whole rig: asked for again with each pair it is in.</summary>
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
            .. Enumerable.Range(0, Builder.Model.Springs.Count).Where(s => Builder.Model.Springs[s].Id == id)
                .SelectMany(s => System.SpringColumns(s).Zip(Builder.Model.Springs[s].K)).Where(c => c.Second > 0).Select(c => Of(c.First, c.Second)),
            .. System.Lines.Where(l => l.Line.Id == id).Select(l => Of(l.Vector, l.Stiffness)),
        ];
    }

    /// <summary>
    /// u' = u + Z·(1/k − UᵀZ)⁻¹·Uᵀu with Z = K⁻¹U, and so with all that follows from u in proportion;
    /// null when the small matrix is near singular.
    /// </summary>
    private double[][]? Updated(List<Removal> columns)
    {
        var n = columns.Count;
        var l = new double[n, n];
        for (var i = 0; i < n; i++)
            for (var j = 0; j <= i; j++)
            {
                var v = (i == j ? 1 / columns[i].Stiffness : 0) - VectorMath.Dot(columns[i].Vector, columns[j].Moved);
                for (var k = 0; k < j; k++)
                    v -= l[i, k] * l[j, k];
                if (i != j)
                    l[i, j] = v / l[j, j];
                else if (v < DoubtfulPivot / columns[i].Stiffness)
                    return null;
                else
                    l[i, i] = Math.Sqrt(v);
            }
        var result = new double[unit.Length][];
        var (y, factors, at) = (new double[n], new double[n + 1], Enumerable.Range(0, n + 1).ToArray());
        double[][] parts = [[], .. columns.Select(c => c.Row)];
        for (var b = 0; b < unit.Length; b++)
        {
            for (var i = 0; i < n; i++)
            {
                y[i] = columns[i].OfUnits[b];
                for (var k = 0; k < i; k++)
                    y[i] -= l[i, k] * y[k];
                y[i] /= l[i, i];
            }
            for (var i = n - 1; i >= 0; i--)
            {
                for (var k = i + 1; k < n; k++)
                    y[i] -= l[k, i] * y[k];
                y[i] /= l[i, i];
            }
            (parts[0], factors[0]) = (rows[b], 1);
            y.CopyTo(factors, 1);
            // What the modes answer is drawn together at once and not kept.
            result[b] = b < modalLoads ? GC.AllocateUninitializedArray<double>(layout.Length) : ArrayPool<double>.Shared.Rent(layout.Length);
            VectorMath.Combine(result[b].AsSpan(0, layout.Length), factors, parts, at, 0);
        }
        return result;
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
            if (load >= 0 && load < memberLoads.Count && memberLoads[load].TryGetValue(b, out var w))
                VectorMath.AddScaled(e, -1, System.Beams[b].LocalEquivalentLoad(w));
        }
        if (load is >= 0 and < 3)
            row[layout.Field + load] = 1;
        if (load == spinLoad && Builder.Host.Motion.Turning is { } spin)
            spin.Outward(Builder.Position(Builder.Camera.Node)).ToArray().CopyTo(row, layout.Field);
        if (load >= modalLoads && Dynamics is not null)
            Dynamics.CameraMoves[load - modalLoads].ToArray().CopyTo(row, layout.Field);
        for (var l = 0; l < layout.Lines; l++)
            foreach (var (dof, v) in System.Lines[l].Entries)
                row[layout.Longer + l] += v * u[dof];
        u.CopyTo(row, layout.Moved);
        return row;
    }

    private StateResponse Respond(double[][] responses, HashSet<string> gone, int[] lines, bool apart = false)
    {
        double[][] line = [.. lines.Select(l => responses[loads.Length + l][layout.Moved..])];
        var drawn = Dynamics is not null && !apart;
        var all = drawn ? WithDynamics(responses) : responses;
        return new StateResponse
        {
            Dynamic = drawn,
            Sources =
            [
                ("weight and motion", 0, 3), ("wind", 3, waterLoad), ("water", waterLoad, knockLoad), ("push by hand", knockLoad, spinLoad), ("turning",
                    spinLoad, loads.Length),
                ("straps", loads.Length, loads.Length + System.Lines.Length), ("jolt and shaking", loads.Length + System.Lines.Length, int.MaxValue),
            ],
            Rows = all,
            Layout = layout,
            Gone = gone,
            Lines = lines,
            Lengthening = [.. lines.Select(l => all.Select(x => x[layout.Longer + l]).ToArray())],
            Complementarity = FactoredFrame.LineCoupling(System, lines, line),
            Flexibility = [.. lines.Select(l => 1 / System.Lines[l].Stiffness)],
        };
    }

    /// <summary>Unit responses with the modes' own drawn together to a jolt and the shaking along each axis.</summary>
    private double[][] WithDynamics(double[][] responses) => [.. responses[..modalLoads], .. Dynamics!.Combine(responses[..3], responses[modalLoads..])];
}
