using Ochema.Core.Checks;
using Ochema.Core.Joints;
using Ochema.Core.Json;
using Ochema.Core.Quantities;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Structure;

namespace Ochema.Core.Kinds.Reaches;

/// <summary>Plastic pipe and two elbows: up, out and up again, cemented.</summary>
[Kind("pipe-arm", "Arm of pipe and elbows", "Any shape for a few coins from the plumber's shelf; bends more than metal and softens in the sun.",
    Caution = "Cement joins its own plastic only, and is a joint after a day, not after a minute.",
    Sketch = "host 64; line 30 64 30 40; line 30 40 90 40; line 90 40 90 14; circle 30 40 4; circle 90 40 4; dim rise 18 40 18 64; dim "
        + "out 30 48 90 48; dim up 104 14 104 40")]
public sealed record PipeArm : ReachKind
{
    [StockChoice("Pipe", "sections", Only = "pipe")]
    public string Pipe { get; init; } = "pvc-1";

    [Measure("Rise", Dimension.Length, 0.03, 1, HowTo = "foot of the pipe to the middle of the first elbow", UsualTo = 0.5)]
    public double Rise { get; init; } = 0.10;

    [Measure("Out", Dimension.Length, 0.03, 1.2, HowTo = "middle of one elbow to the middle of the other", Greatest = "Greatest reach", UsualTo = 0.6)]
    public double Out { get; init; } = 0.15;

    [Measure("Up", Dimension.Length, 0.03, 1, HowTo = "middle of the second elbow to the pipe's end", UsualTo = 0.5)]
    public double Up { get; init; } = 0.08;

    [Measure("Turned to the left", Dimension.Angle, -Math.PI, Math.PI, HowTo = "0 points ahead, 90 to the left")]
    public double Heading { get; init; }

    private const string Cement = "pvc-cement";

    private PipeFitting Elbow(Catalogue stock) => PipeFitting.Elbows.First(e => e.Pipe == stock.Find<SectionRow>("sections", Pipe).Pipe);

    internal override IEnumerable<Move> Moves(Catalogue stock)
    {
        if (Out > 2 * PipeFitting.Least(Elbow(stock), Elbow(stock)))
            yield return new("shorter-out", "Half as far out", this with { Out = Out / 2 });
        if (stock.Find<SectionRow>("sections", Pipe).Pipe != PipeSize.One)
            yield return new("thicker-pipe", "Pipe of 1 in", this with { Pipe = "pvc-1" });
        yield return NoReach.Instead;
    }

    internal override IEnumerable<WorkStep> Steps(BuiltRig b, RigPath path)
    {
        var (glue, elbow) = (Glues.Find(Cement), Elbow(b.Stock));
        yield return new(Work.Pad, "Push the arm together dry",
            $"Each pipe home on the bottom of its socket, {QuantityText.Of(elbow.Socket, Dimension.Length)} deep: dry it stops short of "
                + $"that by a finger's "
                + "width, so sizes are taken by the marks. Turn the elbows as they shall stand. A pencil line across every joint, and "
                    + "one round the pipe at the "
                + "socket's depth.")
        {
            Tools = ["marker", "rule"],
            Minutes = 10,
            Wrong = "The camera stands off: another length of pipe is cut before anything is cemented.",
        };
        yield return new(Work.Glue, "Cement the arm to its pencil lines",
            $"{glue.Name}: {glue.Preparation}. One joint after the other, from the foot upwards: primer on both, cement on both, pushed "
                + $"home with a quarter "
                + "turn until the lines meet, held for half a minute; that is how long it can be moved.")
        {
            Takes = [elbow.Row, "glue-pack"],
            Reads = [nameof(Rise), nameof(Out), nameof(Up)],
            Tools = ["spirit"],
            Minutes = 15,
            Wait = glue.Cure,
            Beware = "Its fumes: outdoors, no flame, gloves.",
            Wrong = $"Set crooked: saw the pipe beside the elbow, a coupling and {QuantityText.Of(2 * elbow.Socket, Dimension.Length)} "
                + $"of pipe between mend it.",
        };
    }

    public override Mount Build(RigBuilder b, Mount from)
    {
        var row = b.Stock.Find<SectionRow>("sections", Pipe);
        var (section, plastic) = (b.Stock.Section(Pipe), b.Stock.MaterialOf(Pipe));
        var (reach, elbow, glue) = (b.Path.Reach, Elbow(b.Stock), Glues.Find(Cement));
        var ahead = new Vec3(Math.Cos(Heading), Math.Sin(Heading), 0);
        var heading = (Math.Abs(ahead.Dot(from.Axis)) > 0.9 ? Vec3.UnitY : ahead).PerpendicularTo(from.Axis).Normalized();
        var first = b.Node(b.Own("pipe-elbow-1"), from.Position + Rise * from.Axis);
        var second = b.Node(b.Own("pipe-elbow-2"), b.Position(first) + Out * heading);
        var top = b.Node(b.Own("pipe-end"), b.Position(second) + Up * from.Axis);
        var (pieces, beams) = (new List<RigPart>(), new List<BeamPiece>());
        foreach (var (name, called, start, end, length, by, lower, upper) in new[]
        {
            ("rise", "Rise", from.Node, first, Rise, nameof(Rise), (PipeFitting?)null, (PipeFitting?)elbow),
            ("out", "Way out", first, second, Out, nameof(Out), elbow, elbow),
            ("up", "Upper end", second, top, Up, nameof(Up), elbow, null),
        })
        {
            var piece = b.Beam(reach, b.Own($"pipe-{name}"), "pipe", start, end, section, plastic, name == "out" ? from.Axis : heading);
            beams.Add(piece);
            b.Checks.Add(new SectionStrength(b, reach, new(b.Own($"pipe-{name}")), $"Pipe bends, {Words.Inside(called)}", piece));
            b.Checks.Add(new CementHolds(b, reach, new(b.Own($"pipe-{name}")), $"Cement of the pipe gives, {Words.Inside(called)}", piece,
                (lower is not null, upper is not null), elbow, row.Width, glue));
            b.Shape(b.Own($"pipe-{name}"), reach, "tube", [b.Point(start), b.Point(end)], [row.Width]);
            var least = PipeFitting.Least(lower, upper) + (lower is null || upper is null ? EndRoom : 0);
            if (length < least)
                b.Findings.Add(new ReportFinding(reach, $"{called} of {Holes.Size(length)}: the elbows take up {Holes.Size(least)}, "
                    + $"each {Holes.Size(elbow.TakeOff)} to the bottom of its socket and {Holes.Size(elbow.Socket)} of pipe in it.", true));
            else
                pieces.Add(Piece.Cut(new(reach, $"pipe-{name}"), row, plastic, PipeFitting.Cut(length, lower, upper), what: called,
                    by: by));
            if (name == "rise")
                b.StandsOn(from, new(b.Own("reach-screw"), reach, "screw in the pipe's foot", new TubePort("Pipe", row),
                    b.EndLoad(piece.First), row.Width / 2));
        }
        foreach (var corner in new[] { first, second })
        {
            pieces.Add(Piece.Bought(new(reach, corner == first ? "elbow-1" : "elbow-2"), b.Fitting(elbow.Row)));
            b.Shape(b.Own(corner == first ? "pipe-joint-1" : "pipe-joint-2"), reach, "tube",
                [b.Point(corner, b.Position(corner) - elbow.Socket * from.Axis),
                    b.Point(corner, b.Position(corner) + elbow.Socket * from.Axis)], [row.Width * 1.3]);
        }
        // Where an elbow is there is no pipe, and the beams go right through it: together they weigh what all weigh together.
        b.Put(pieces, [.. beams], first, second);
        b.Put(Piece.Bought(new(reach, "cement"), b.Fitting("glue-pack"), name: glue.Name), first);
        if (glue.Fault("pvc", "pvc", b.Rig.Run.Skin) is { } fault)
            b.Findings.Add(new ReportFinding(reach, $"The arm's joints: {fault}.", true));
        return new Mount(top, b.Position(top), from.Axis, new TubePort("Pipe's end", row));
    }

    /// <summary>Pipe past an elbow for the plug in its end, m.</summary>
    private const double EndRoom = 0.022;
}
