using Ochema.Core.Analysis;
using Ochema.Core.Kinds;
using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Structure;

namespace Ochema.Core.Proving;

/// <summary>
/// The pulls that prove a rig: each hold straight off, along its place, peeled and twisted, apart; each joint of the load path; each strut
/// along its rod; each strap at what it ends at. Loads are those of the model, and what host and part stand is what the rig's own checks
/// say with no factor on them.
/// </summary>
internal sealed class PullTests
{
    /// <summary>Of a proof over the largest load (lifting practice proves with 1.25 to 2; 1.5 is the middle, judgement).</summary>
    public const double Factor = 1.5;

    /// <summary>A bar or spanner on a hold to peel and twist it with, m (common practice, no source).</summary>
    private const double Bar = 0.3;

    /// <summary>What a firm hand proves without a scale, N (half a kilo; judgement).</summary>
    public const double Firm = 5;

    /// <summary>What a luggage scale can show at all, N (its division of ten grams, ten of them).</summary>
    private const double Least = 1;

    /// <summary>A joint is turned by a pull at the camera where that is further off, m, and more than so much of the way lies across what it is
    /// turned about (judgement: eleven degrees and a half); else nobody could tell the pull from a push.</summary>
    private const double Nearest = 0.01, Sideways = 0.2;

    /// <summary>Held for so long, s: what creeps, and all else (common practice, no source).</summary>
    private const double Creeping = 60, Usual = 10;

    private readonly RigModel model;
    private readonly BuiltRig b;
    private readonly IReadOnlyList<Check> strength = [];
    private readonly IReadOnlyList<Check> service = [];
    private readonly CaseLoads loads;
    private readonly List<Pull> pulls = [];
    private readonly List<string> leftOut = [];

    /// <summary>A pull, and what of a case it stands against.</summary>
    /// <param name="Of">The load of a case along it, N or N·m.</param>
    internal sealed record Pull(PullTest Test, Func<CaseForces, double> Of);

    public PullTests(RigModel model, StateResponse state, double speed)
    {
        (this.model, b) = (model, model.Built);
        loads = new CaseLoads(model, state);
        if (state.Mechanism is not null)
            return;
        var bare = RigAssembly.Bare(b.Rig, b.Stock);
        strength = [.. bare.Checks.Where(c => c is { Fixed: false, Reserve: false, Sort: CheckSort.Strength })];
        service = [.. bare.Checks.Where(c => c is { Fixed: false, Reserve: false, Sort: CheckSort.Service })];
        foreach (var hold in b.Holds)
            if (hold.ByHand)
                leftOut.Add($"{Words.Capital(hold.Label)}: hold it for as long as the run lasts, standing still.");
            else
                Hold(hold, speed);
        foreach (var rod in b.Rods)
            Rod(rod, speed);
        foreach (var (spring, station, label) in b.Links)
            Joint(IndexOf(spring), station, label, speed);
        foreach (var strap in b.StrapsBuilt)
            Strap(strap, speed);
        // What is weakest comes last: a part that gives spoils no proof after it.
        pulls = [.. pulls.OrderBy(p => p.Test.Limit > 0 ? Ties.Level(p.Test.Enough / p.Test.Limit) : 1)];
        // A firm hand proves what asks for less than half a kilo; of each part at least one pull is done with the scale.
        var most = pulls.GroupBy(p => p.Test.Part).Select(g => g.MaxBy(p => p.Test.Enough)!.Test.Id).ToHashSet();
        Asked = [.. pulls.Where(p => p.Test.Enough >= Firm || p.Test.Proves < Factor * (1 - 1e-9) || most.Contains(p.Test.Id))];
    }

    /// <summary>Those that are done with a scale, in their order.</summary>
    public IReadOnlyList<Pull> Asked { get; } = [];

    /// <summary>All that a scale can show, in the order in which they are pulled.</summary>
    public IReadOnlyList<Pull> All => pulls;

    /// <summary>What is so light that a firm hand proves it, in words.</summary>
    public IReadOnlyList<string> LeftOut => leftOut;

    /// <summary>Forces of the cases.</summary>
    public CaseLoads Loads => loads;

    private SpringIndex IndexOf(string spring)
    {
        for (var s = 0; s < b.Model.Springs.Count; s++)
            if (b.Model.Springs[s].Id == spring)
                return new(s);
        throw new ArgumentException($"there is no spring '{spring}'", nameof(spring));
    }

    /// <summary>A hold by itself where it holds by itself; what stands by weight or is pressed on by straps, as it is built.</summary>
    private void Hold(Hold hold, double speed)
    {
        var n = hold.Top.Axis;
        var away = loads.Worst(f => f.Spring(hold.Spring).Force.PerpendicularTo(n), speed);
        var along = away.Length > 1e-9 ? (-1 / away.Length) * away : Across(n);
        var alone = model.Alone(hold.Spring);
        CaseForces Only(Vec3 pull, Vec3 turn) => model.ByHand(alone, -pull, -turn);
        var by = Stands(p => Only(p * n, Vec3.Zero), hold.Spring).Limit > 0;
        var creeps = (hold.Station.IsBrace ? b.Rig.Braces.FirstOrDefault(x => StationId.Brace(x.Id) == hold.Station)?.GivesSlowly
            : b.Rig.Base.GivesSlowly) ?? false;
        var point = by ? hold.Top.Position : b.Position(hold.Node);
        void Straight(PullSort sort, Vec3 d, string title, string look)
        {
            var state = model.Pulled(hold.Node, d);
            // What nothing of the hold itself feels goes through what it is built into.
            var itself = by && Stands(p => Only(p * d, Vec3.Zero), hold.Spring).Gives.Length > 0;
            Add(Test(hold.Id.Name, b.Model.Springs[hold.Spring.Value].Id, sort, hold.Station, hold.Label, point, d, title,
                itself ? "By itself, before anything stands on it: an eye or a nut in its thread, a cord, the scale in line with the pull."
                    : "As it stands, all fitted, the camera out: a cord round its foot, the scale in line with the pull.", look, creeps) with
            {
                Alone = itself,
            }, f => -f.Spring(hold.Spring).Force.Dot(d), p => itself ? Only(p * d, Vec3.Zero) : At(state, p), itself ? hold.Spring : null, speed, Least);
        }
        Straight(PullSort.Off, n, $"Pull the {Words.Inside(hold.Label)} straight off", "It may not lift on any side.");
        Straight(PullSort.Along, along, $"Pull the {Words.Inside(hold.Label)} along its place", "It may creep a millimetre and stay there.");
        if (!by || hold.IsLine)
            return;
        var tip = loads.Worst(f => f.Spring(hold.Spring).Moment.PerpendicularTo(n), speed);
        var about = tip.Length > 1e-9 ? (-1 / tip.Length) * tip : Across(n);
        // A pull at the end of a bar that sticks out sideways, away from the panel, turns about the way of the worst case; one along the
        // panel twists.
        var arm = n.Cross(about).Normalized();
        void Levered(PullSort sort, Vec3 axis, Vec3 d, string title, string look) =>
            Add(Test(hold.Id.Name, b.Model.Springs[hold.Spring.Value].Id, sort, hold.Station, hold.Label, point + Bar * arm, d, title,
                $"By itself: a bar screwed on flat, the cord {QuantityText.Of(Bar, Dimension.Length)} from its middle.", look, creeps) with
            {
                Alone = true,
                Lever = Bar,
                Axis = axis.ToArray(),
            }, f => sort == PullSort.Twist ? Math.Abs(f.Spring(hold.Spring).Moment.Dot(axis)) : -f.Spring(hold.Spring).Moment.Dot(axis),
                p => Only(p * d, p * (Bar * arm).Cross(d)), hold.Spring, speed, Firm);
        var up = about.Cross(arm).Normalized();
        Levered(PullSort.Peel, about, up.Dot(n) < 0 ? -up : up, $"Peel the {Words.Inside(hold.Label)}", "The far edge may not lift.");
        Levered(PullSort.Twist, n, n.Cross(arm).Normalized(), $"Twist the {Words.Inside(hold.Label)}", "Its mark may not leave the other.");
    }

    private void Rod(RodLength.Rod rod, double speed)
    {
        var station = StationId.Brace(rod.Brace.Id);
        var foot = rod.Surface.Point(rod.At[0], rod.At[1]) + rod.Rise * rod.Surface.NormalAt(rod.At[0], rod.At[1]);
        var along = (foot - rod.Clamp).Normalized();
        var push = loads.Worst(f => f.Spring(rod.Spring).Force.Dot(along) * along, speed);
        var d = push.Dot(along) < 0 ? -along : along;
        var label = b.Rig.Braces.Count > 1 ? Words.Named("strut", rod.Brace.Id) : "strut";
        var spring = b.Model.Springs[rod.Spring.Value].Id;
        var (state, sign) = Beyond(rod.Spring, d);
        Add(Test(b.NameOf(station), spring, PullSort.Rod, station, label, rod.Clamp, d, $"Pull the {label} along its rod",
            "Foot on, clamp drawn tight: a cord knotted round the rod beside the clamp, the scale along the rod.",
            "A pencil line on the rod beside the clamp may not move."), f => sign * f.Spring(rod.Spring).Force.Dot(d), p => At(state, p), null, speed, Least);
    }

    /// <summary>A joint that everything beyond hangs on: pulled straight, and turned by a pull at the camera.</summary>
    private void Joint(SpringIndex spring, StationId station, string label, double speed)
    {
        var joint = b.Model.Springs[spring.Value];
        var camera = b.CameraOf(station);
        var from = new NodeIndex(b.NodeOf(joint.From));
        var at = b.Position(from);
        var worst = loads.Worst(f => f.Spring(spring).Force, speed);
        if (worst.Length > 1e-9)
        {
            var (_, sense) = Beyond(spring, (1 / worst.Length) * worst);
            var d = (sense / worst.Length) * worst;
            var (state, sign) = Beyond(spring, d);
            Add(Test(joint.Id, joint.Id, PullSort.Joint, station, label, at, d, $"Pull at {label}",
                "All fitted, the camera out: a cord round what stands on it, close by, the scale in line with the pull.",
                "Its mark may not move, and nothing below it."), f => sign * f.Spring(spring).Force.Dot(d), p => At(state, p), null, speed, Firm);
        }
        var moment = loads.Worst(f => f.Spring(spring).Moment, speed);
        var reach = b.Position(camera.Node) - at;
        if (moment.Length < 1e-9 || reach.Length < Nearest)
            return;
        var about = (1 / moment.Length) * moment;
        var side = about.Cross(reach);
        if (side.Length < Sideways * reach.Length)
            return;
        var pull = side.Normalized();
        var lever = side.Length;
        var pulled = model.Pulled(camera.Node, pull);
        // Which way round the spring says it.
        var way = Math.Sign(At(pulled, 1) is { } one && At(pulled, 0) is { } none
            ? (one.Spring(spring).Moment - none.Spring(spring).Moment).Dot(about) : 0);
        if (way == 0)
            return;
        if (way < 0)
        {
            // The pull that turns it as the worst case does is the other way.
            pull = -pull;
            pulled = model.Pulled(camera.Node, pull);
        }
        Add(Test(joint.Id, joint.Id, PullSort.Turn, station, label, b.Position(camera.Node), pull, $"Turn {label}",
            "All fitted, the camera out: a cord round its plate or cage, the scale across the way from the joint.",
            "Its mark may not move, and nothing below it.") with
        {
            Lever = lever,
            Axis = about.ToArray(),
        }, f => f.Spring(spring).Moment.Dot(about), p => At(pulled, p), null, speed, Firm);
    }

    private void Strap(StrapBuilt strap, double speed)
    {
        var station = StationId.Strap(strap.Strap.Id);
        var name = b.Model.Lines[strap.Line.Value].Id;
        var d = (strap.Anchor - strap.From).Normalized();
        var only = model.Alone(new(0));
        var label = Words.Named("strap", strap.Strap.Id);
        Add(Test(name, name, PullSort.Line, station, label, strap.Anchor, -d, $"Pull {label} at what it ends at",
            $"The scale between strap and {Words.Inside(b.Host.Anchors.First(a => a.Id == strap.Strap.To.Anchor).Name)}, in line; draw the buckle "
                + "until it reads so.", "The keeper stays shut, the edge does not bend, the stitching does not open.", slowly: true) with
        {
            Alone = true,
        }, f => f.Tension(strap.Line), p => model.ByHand(only, Vec3.Zero, Vec3.Zero, (strap.Line, p)), null, speed, Least);
    }

    /// <summary>A pull whose loads are looked for yet.</summary>
    /// <param name="slowly">True for what gives way slowly: it is held for longer.</param>
    private static PullTest Test(string part, string of, PullSort sort, StationId station, string label, Vec3 point, Vec3 direction, string title,
        string how, string look, bool slowly = false) =>
        new($"{part}.{sort.ToString().ToLowerInvariant()}", of, part, point.ToArray(), direction.ToArray(), 0, 0, 0, slowly ? Creeping : Usual)
        {
            Sort = sort,
            Station = station.ToString(),
            Label = label,
            Title = title,
            How = how,
            Look = look,
        };

    private static Vec3 Across(Vec3 n) => Math.Abs(n.X) < 0.9 ? Vec3.UnitX.PerpendicularTo(n).Normalized()
        : Vec3.UnitY.PerpendicularTo(n).Normalized();

    /// <summary>A unit pull on that side of a joint which it carries alone, and the sign that its spring says it with.</summary>
    private (StateResponse State, double Sign) Beyond(SpringIndex spring, Vec3 d)
    {
        var s = b.Model.Springs[spring.Value];
        (StateResponse, double) Of(string node)
        {
            var state = model.Pulled(new(b.NodeOf(node)), d);
            var share = At(state, 1) is { } one && At(state, 0) is { } none
                ? (one.Spring(spring).Force - none.Spring(spring).Force).Dot(d) : 0;
            return (state, share);
        }
        var (from, first) = Of(s.From);
        if (s.To is null)
            return (from, -1);
        var (to, second) = Of(s.To);
        return Math.Abs(second) > Math.Abs(first) ? (to, Math.Sign(second)) : (from, first < 0 ? -1 : 1);
    }

    private CaseForces? At(StateResponse pulled, double newtons) => model.Forces(pulled, RigModel.ByHandCase, 0, [newtons]);

    /// <summary>What is stood of a pull, N, and what gives there.</summary>
    /// <param name="pull">Forces at so many N.</param>
    /// <param name="only">Where one hold alone is pulled, its spring: what of the host it stands on is marked stops it too.</param>
    private (double Limit, string Gives) Stands(Func<double, CaseForces?> pull, SpringIndex? only)
    {
        if (pull(0) is not { } at)
            return (0, "no stable state");
        IReadOnlyList<Check> asked = only is { } spring ? [.. strength.Where(c => !at.IsGone(c.Part)), .. service.Where(c => c.Joint == spring)]
            : strength;
        var rest = asked.Select(c => c.Use(at)).ToList();
        if (pull(Nudge) is not { } nudged)
            return (0, "no stable state");
        // What a pull does nothing to is not what stops it; what only relieves something neither.
        var feels = asked.Where((c, i) => c.Use(nudged) > rest[i] + 1e-12).ToList();
        if (feels.Count == 0)
            return (Most, "");
        bool Gives(double newtons) => pull(newtons) is not { } f || feels.Exists(c => c.Use(f) >= 1);
        if (Gives(Nudge))
            return (0, Named(Nudge));
        if (!Gives(Most))
            return (Most, "");
        var (low, high) = Bisection.Between(Math.Log(Nudge), Math.Log(Most), Halvings, log => Gives(Math.Exp(log)));
        return (Math.Exp(low), Named(Math.Exp(high)));

        string Named(double newtons) => pull(newtons) is { } f
            ? feels.Where(c => c.Use(f) >= 1).Select(c => c.Title).FirstOrDefault() ?? "" : "no stable state";
    }

    /// <summary>Between what no scale shows and what nobody pulls, N.</summary>
    private const double Nudge = 0.05, Most = 20000;

    private const int Halvings = 40;

    private void Add(PullTest test, Func<CaseForces, double> of, Func<double, CaseForces?> pull, SpringIndex? only, double speed, double least)
    {
        var load = loads.Model(of, speed);
        var (way, worst) = loads.UnderWay(of, speed);
        if (test.AtScale(Math.Max(load, way)) * Factor < least)
        {
            if (load > 0 || way > 0)
                leftOut.Add($"{test.Title}: a firm hand proves it.");
            return;
        }
        var (limit, gives) = Stands(pull, only);
        var enough = Math.Min(Factor * test.AtScale(way), limit);
        pulls.Add(new(test with
        {
            Load = load,
            Reading = Math.Min(Factor * test.AtScale(load), limit),
            Limit = limit,
            UnderWay = way,
            Case = worst,
            Enough = enough,
            Proves = way > 0 ? enough / test.AtScale(way) : Factor,
            Gives = gives,
        }, of));
    }
}
