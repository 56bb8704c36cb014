using Ochema.Core.Loads;
using Ochema.Core.Rigs;
using Ochema.Core.Structure;

namespace Ochema.Core.Analysis.Sources;

/// <summary>The columns of all that loads a rig, source by source, made once: unit loads in body unknowns, and what acts of them in a
/// case.</summary>
internal sealed class LoadTable
{
    private readonly BuiltRig b;
    private readonly FrameSystem system;
    private readonly (LoadSource Source, int First, int Count)[] sources;
    private readonly (LoadSource Source, int Column)[] columns;
    private readonly Dictionary<int, Vec3>[] along;

    /// <summary>Unit loads in body unknowns, column by column.</summary>
    public double[][] Loads { get; }

    /// <summary>Which columns are the acceleration field along x, y, z, m/s².</summary>
    public Range Fields { get; }

    private LoadTable(BuiltRig b, FrameSystem system, IReadOnlyList<LoadSource> all)
    {
        (this.b, this.system) = (b, system);
        var first = 0;
        sources = [.. all.Select(s =>
        {
            var at = (s, first, s.Columns.Count);
            first += s.Columns.Count;
            return at;
        })];
        columns = [.. all.SelectMany(s => Enumerable.Range(0, s.Columns.Count).Select(k => (s, k)))];
        along = [.. columns.Select(c => c.Source.Columns[c.Column].Where(p => p.Member >= 0).GroupBy(p => p.Member)
            .ToDictionary(g => g.Key, g => g.Aggregate(Vec3.Zero, (sum, p) => sum + p.Force)))];
        Loads = [.. columns.Select(c => Load(c.Source.Columns[c.Column]))];
        var field = sources.Single(s => s.Source.IsField);
        Fields = field.First..(field.First + field.Count);
    }

    /// <summary>All that loads a rig.</summary>
    /// <param name="air">The air of its day.</param>
    public static LoadTable Of(BuiltRig b, FrameSystem system, AirOfDay air) => new(b, system,
    [
        new WeightLoads(b, system),
        new WindLoads(b, system, air),
        new WashLoads(b, system, air),
        new WaterLoads(b, system),
        new KnockLoads(b),
        new TurningLoads(b, system),
        new RainLoads(b, system, air),
    ]);

    /// <summary>Number of columns.</summary>
    public int Count => columns.Length;

    /// <summary>The source of a sort, and its first column.</summary>
    public (T Source, int First) Find<T>()
        where T : LoadSource
    {
        var (source, first, _) = sources.Single(s => s.Source is T);
        return ((T)source, first);
    }

    /// <summary>What loads a joint is told by these names; neighbours of one name are told together.</summary>
    public IEnumerable<(string Label, int From, int To)> Told()
    {
        for (var i = 0; i < sources.Length;)
        {
            var last = i;
            while (last + 1 < sources.Length && sources[last + 1].Source.Label == sources[i].Source.Label)
                last++;
            yield return (sources[i].Source.Label, sources[i].First, sources[last].First + sources[last].Count);
            i = last + 1;
        }
    }

    /// <summary>How much of each column acts in a case at a speed, m/s.</summary>
    public void Coefficients(RigCase c, double speed, Span<double> into)
    {
        foreach (var (source, first, count) in sources)
            if (count > 0)
                source.Coefficients(c, speed, into.Slice(first, count));
    }

    /// <summary>Pressure on the cameras in a case, Pa: of the air, and of water from ahead.</summary>
    public (double Air, double Water) OnCamera(RigCase c, double speed)
    {
        var (air, water) = (0.0, 0.0);
        foreach (var (source, _, count) in sources)
            if (count > 0)
                (air, water) = (air + source.AirOnCamera(c, speed), water + source.WaterOnCamera(c, speed));
        return (air, water);
    }

    /// <summary>Load per length of a column on a member, N/m; null where it does not lie on it.</summary>
    public Vec3? Along(int column, int member) => along[column].TryGetValue(member, out var w) ? w : null;

    /// <summary>Acceleration that a unit of a column means at the first camera, m/s².</summary>
    public Vec3 FieldOf(int column) => columns[column].Source.FieldOf(columns[column].Column);

    /// <summary>What acts in a case at a speed, m/s, but the field: as loads of a model document.</summary>
    public (List<ModelMemberLoad> Members, List<ModelNodeLoad> Nodes) Applied(RigCase c, double speed)
    {
        var all = new double[Count];
        Coefficients(c, speed, all);
        var (members, nodes) = (new List<ModelMemberLoad>(), new List<ModelNodeLoad>());
        for (var k = 0; k < all.Length; k++)
            if (all[k] != 0 && !columns[k].Source.IsField)
                foreach (var p in columns[k].Source.Columns[columns[k].Column])
                    if (p.Member >= 0)
                        members.Add(new(system.Beams[p.Member].Member.Id, (all[k] * p.Force).ToArray()));
                    else
                        nodes.Add(new(b.NodeId(p.Node))
                        {
                            F = (all[k] * p.Force).ToArray(),
                            M = p.Moment == Vec3.Zero ? null
                            : (all[k] * p.Moment).ToArray()
                        });
        return (members, nodes);
    }

    private double[] Load(IReadOnlyList<PlacedLoad> placed)
    {
        var f = new double[system.Size];
        foreach (var p in placed)
            if (p.Member >= 0)
                system.AddMemberLoad(f, p.Member, p.Force);
            else
                system.AddLoad(f, p.Node.Value, p.Force, p.Moment);
        return f;
    }
}
