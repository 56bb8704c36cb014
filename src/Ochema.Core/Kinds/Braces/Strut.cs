using System.Text.Json.Serialization;
using Ochema.Core.Checks;
using Ochema.Core.Hosts;
using Ochema.Core.Json;
using Ochema.Core.Kinds.Holds;
using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Structure;

namespace Ochema.Core.Kinds.Braces;

/// <summary>A straight rod from the load path to a foot of its own, free to turn at both ends.</summary>
[Kind("strut", "Strut with a foot", "Stiffens the plane it stands in; two well apart cure rocking both ways.",
    Sketch = "host 62; circle 96 58 8; line 96 54 34 12; rect 28 6 12 10")]
public sealed record Strut : BraceKind
{
    [StockChoice("Rod", "sections", Only = "round,round-tube,square-tube")]
    public string Section { get; init; } = "rod-al-10";

    [Option("Clamped at")]
    public RigPoint From { get; init; } = RigPoint.ReachTop;

    [Part("Foot")]
    public HoldKind Foot { get; init; } = new Magnet { Stock = "magnet-88-rubber" };

    [Measure("Rod's clamp holds", Dimension.Force, 20, 5000,
        HowTo = "pull along the rod with a luggage scale until it slips; {force:200} to {force:600}", UsualTo = 2000)]
    public double Holds { get; init; } = 300;

    [Option("Lanyard along it", HowTo = "a cord from foot to rig, for drops onto people: a third thing that keeps it")]
    public Answer Lanyard { get; init; }

    /// <summary>Site the foot stands on.</summary>
    public required string Site { get; init; }

    /// <summary>Where the foot stands, m from the panel's middle.</summary>
    public required double[] At { get; init; }

    /// <summary>Rod past its clamp until the strut has been tried, m (judgement: a hand's width).</summary>
    private const double Spare = 0.08;

    private const double JointHeight = 0.012;
    private const double ShortestRod = 0.05;

    /// <summary>Clamp of the rod: N/m along, N·m/rad about (judgement).</summary>
    private const double ClampSlip = 1e7;
    private const double ClampTurn = 20;

    /// <summary>Ball of the foot, N·m/rad (judgement).</summary>
    private const double FootTurn = 2;

    internal override IReadOnlyList<string> Keeps => Lanyard == Answer.Yes ? [.. base.Keeps, "its lanyard"] : base.Keeps;

    internal override string Noun => "strut";

    [JsonIgnore]
    public override Footing? Footing => new(Site, At, Foot.Grip);

    internal override BraceKind? Proposed(string id, Site site, double[] at, Catalogue stock) => new Strut
    {
        Id = id,
        Site = site.Id,
        At = at,
        Foot = stock.Material(site.Material).Magnetic ? new Magnet { Stock = "magnet-88-rubber" } : new Cup { Stock = "cup-57" },
    };

    internal override bool GivesSlowly => Foot.GivesSlowly;

    internal override BraceKind Pumped(double since, double? halfLife) => this with { Foot = Foot.Pumped(since, halfLife) };

    internal override BraceKind StandingOn(string site) => this with { Site = site };

    internal override BraceKind Standing(double[] at) => this with { At = at };

    internal override IEnumerable<WorkStep> Steps(BuiltRig b, RigPath path) =>
    [
        new(Work.Brace, $"Set the {(Foot.Noun)} foot of {Called(b)}, then clamp the rod",
            "Try sideways first: it still goes the other way. Foot down on a clean place, rod through the clamp with a "
                + "hand's width left; foot first, clamp last, so that nothing is bent. Wiggle before and after: note how fast it rocks.")
        {
            Tools = ["cloth", "spanners"],
            Minutes = 6,
            Wrong = "It still rocks one way: a second strut well apart from it, a third of a circle at the least.",
            Beware = "No ties and tape at a joint whose drop would hurt: a clamp or a rod end.",
        },
    ];

    /// <summary>In a sentence: several are told apart by what the user calls them.</summary>
    private string Called(RigSetting b) => b.Rig.Braces.Count > 1 ? Words.Named("strut", Id) : "the strut";

    public override void Build(RigBuilder b)
    {
        var station = StationId.Brace(Id);
        var path = $"braces[{b.Rig.Braces.ToList().IndexOf(this)}]";
        var name = b.NameOf(station, Id);
        var spot = b.SpotOn(Site, path + ".site", name, station, $"{Id.Replace('-', ' ')} foot {Foot.Noun}", At[0], At[1]);
        var hold = Foot.Build(b, spot);
        var row = b.Stock.Find<SectionRow>("sections", Section);
        var (section, material) = (b.Stock.Section(Section), b.Stock.MaterialOf(Section));
        var pivot = b.Node(name + "-pivot", hold.Top.Position + JointHeight * hold.Top.Axis);
        b.Rigid(hold.Top.Node, pivot);
        var foot = b.Node(name + "-end", b.Position(pivot));
        b.Spring(name + "-foot-joint", pivot, foot, [ClampSlip, ClampSlip, ClampSlip, FootTurn, FootTurn, FootTurn]);
        var clamped = b.At(From);
        var upper = b.Node(name + "-clamp", b.Position(clamped));
        var length = (b.Position(upper) - b.Position(pivot)).Length;
        if (length < ShortestRod)
        {
            // Nothing to build: said by name, not refused as a document.
            b.Findings.Add(new ReportFinding(station, $"{Words.Named("Strut", Id)}'s foot stands where the strut begins: move it away.",
                true));
            b.Spring(name + "-clamp-spring", clamped, upper, [ClampSlip, ClampSlip, ClampSlip, ClampTurn, ClampTurn, ClampTurn]);
            b.Put(Piece.Bought(new(station, "foot-clamp"), b.Fitting("strut-clamp")), upper);
            return;
        }
        // Both ends turn easily but not freely: a rod whose foot has let go hangs on, and its foot on it.
        var clamp = b.Spring(name + "-clamp-spring", clamped, upper, [ClampSlip, ClampSlip, ClampSlip, ClampTurn, ClampTurn, ClampTurn]);
        b.Rods.Add(new(this, At, b.SurfaceOf(Site), (b.Position(pivot) - spot.Point).Length, b.Position(clamped), clamp));
        var piece = b.Beam(station, name + "-rod", b.Rig.Braces.Count > 1 ? Words.Named("strut", Id) : "strut", foot, upper, section,
            material, Vec3.UnitX);
        b.Checks.Add(new RodSlip(b, station, new(name), piece, Holds));
        b.Checks.Add(new StrutBuckling(b, station, new(name), piece));
        b.Checks.Add(new SectionStrength(b, station, new(name), "Rod bends", piece));
        b.Put(Piece.Bought(new(station, "clamp"), b.Fitting("strut-clamp")), upper);
        b.Put(Piece.Cut(new(station, "strut"), row, material, length, what: b.Rig.Braces.Count > 1 ? Words.Named("Strut", Id) : "Strut")
            .Also(c => c with { Long = Spare }), [piece]);
        b.Shape(name + "-rod", station, "tube", [b.Point(pivot), b.Point(upper)], [row.Width]);
    }
}
