using System.Text.Json.Serialization;
using Ochema.Core.Joints;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;

namespace Ochema.Core.Making;

/// <summary>A flat piece as it is marked out: outline, bend lines, holes. All in m, from its lower left corner: x along, y
/// across.</summary>
/// <param name="Part">Id of its line on the list.</param>
/// <param name="Name">As on the list.</param>
/// <param name="Bends">Bend lines across it.</param>
/// <param name="Faults">What cannot be drilled as it stands, in words.</param>
public sealed record Template(
    string Part, string Station, string Name, double Length, double Width, double Thickness, double Quantity, IReadOnlyList<BendLine> Bends,
    IReadOnlyList<TemplateHole> Holes, IReadOnlyList<string> Faults)
{
    /// <summary>Lines to saw along, beside the outline.</summary>
    [JsonRequired]
    public IReadOnlyList<TemplateLine> Lines { get; init; } = [];

    /// <summary>Bends along it, by where they are across.</summary>
    [JsonIgnore]
    public IReadOnlyList<BendLine> Walls { get; init; } = [];

    /// <summary>Its corners, [x, y], m, anticlockwise: four, or more where corners are sawn out between folds.</summary>
    [JsonRequired]
    public IReadOnlyList<double[]> Outline { get => field ?? Blank.Points; init; }

    /// <summary>All bends as they are drawn.</summary>
    [JsonRequired]
    public IReadOnlyList<Fold> Folds { get => field ?? [.. Drawn()]; init; }

    /// <summary>What is inside of the first and last bends of both ways, m.</summary>
    internal (double Left, double Right, double Low, double High) Floor
    {
        get
        {
            var ((x1, x2), (y1, y2)) = (FlatOutline.Floor(Bends, Length, Thickness), FlatOutline.Floor(Walls, Width, Thickness));
            return (x1, x2, y1, y2);
        }
    }

    private FlatOutline Blank => FlatOutline.Of(new(Length, Width, Thickness, "", Bends) { Walls = Walls });

    private IEnumerable<Fold> Drawn()
    {
        var floor = Floor;
        foreach (var b in Bends)
            yield return new([b.At, floor.Low], [b.At, floor.High], b.Angle, b.Radius, b.Turn, false);
        foreach (var b in Walls)
            yield return new([floor.Left, b.At], [floor.Right, b.At], b.Angle, b.Radius, b.Turn, true);
    }

    /// <summary>True where the far end of its length goes to the front of the host.</summary>
    [JsonRequired]
    public bool FrontAhead { get; init; }

    /// <summary>Its corners are filed or cut round to this, m; 0 where they stay sharp.</summary>
    [JsonRequired]
    public double Corner { get; init; }

    /// <summary>True for a flat piece, which is a body when it is bent and drilled; false for a tube's face and for strips of
    /// paper.</summary>
    [JsonRequired]
    public bool Flat { get; init; } = true;
}

/// <summary>A bend as it is drawn.</summary>
/// <param name="From">One end, [x, y], m.</param>
/// <param name="To">The other.</param>
/// <param name="Angle">rad.</param>
/// <param name="Radius">Inside, m.</param>
/// <param name="Turn">Which one it is in the order that they are bent in, from 1.</param>
/// <param name="Along">True for one that runs along the piece.</param>
public sealed record Fold(IReadOnlyList<double> From, IReadOnlyList<double> To, double Angle, double Radius, int Turn, bool Along);

/// <summary>A line on a template.</summary>
/// <param name="Label">What it is.</param>
/// <param name="Points">[x, y] of each, m.</param>
public sealed record TemplateLine(string Label, IReadOnlyList<double[]> Points);

/// <summary>A hole of a flat piece.</summary>
/// <param name="X">Its middle, along, m.</param>
/// <param name="Y">Its middle, across, m.</param>
/// <param name="Diameter">Of the drill, m.</param>
/// <param name="Joint">Joint that it is of; empty where it is of none.</param>
/// <param name="Title">What it is for.</param>
public sealed record TemplateHole(double X, double Y, double Diameter, HoleSort Sort, string Thread, string Joint, string Title)
{
    /// <summary>Which one it is on its piece, from 1; 0 on a strip of paper.</summary>
    [JsonRequired]
    public int Number { get; init; }

    /// <summary>What it is for, in words: "clear for M8 × 1.25".</summary>
    public string For => HoleTable.Words(Sort, Thread);
}

/// <summary>Lays out the flat pieces of a rig.</summary>
public static class Templates
{
    /// <summary>Angle of the first of several screws on a circle, rad.</summary>
    private const double FirstAt = Math.PI / 4;

    /// <summary>One for each flat piece, and for each bar that is bent or drilled, in the order of the list.</summary>
    /// <param name="lines">The list.</param>
    /// <param name="drilled">All that is drilled.</param>
    public static IReadOnlyList<Template> Of(BuiltRig b, IReadOnlyList<PartLine> lines, IReadOnlyList<HoleRow> drilled) =>
    [
        .. from l in lines
           where l.Sort is PieceSort.Sheet or PieceSort.Cut
           let part = b.Parts.First(p => p.Sort == l.Sort && p.Station == l.Station && p.Name == l.Name)
           let sheet = Sheet(part, b.Stock)
           where sheet is not null
           let holes = sheet.Holes.SelectMany(h => Drilled(b, drilled, sheet, h)).ToList()
           let bends = BendOrder.Of(sheet)
           select new Template(l.Id, l.Station.ToString(), l.Name, sheet.Length, sheet.Width, sheet.Thickness, l.Quantity, bends.Across,
               Numbered([.. holes, .. Reliefs(sheet)]), [.. Faults(sheet, holes)])
           {
               Walls = bends.Along,
               Flat = part.Sheet is not null || sheet.Thickness < sheet.Width,
               FrontAhead = sheet.FrontAhead,
               Corner = part.Sheet is null ? 0 : FlatOutline.Corner(sheet),
           },
    ];

    /// <summary>Numbers along it, those of one place along it across: drawing and table pair by them.</summary>
    private static IReadOnlyList<TemplateHole> Numbered(IReadOnlyList<TemplateHole> holes)
    {
        var order = holes.OrderBy(h => Math.Round(h.X, 5)).ThenBy(h => Math.Round(h.Y, 5)).ToList();
        return [.. holes.Select(h => h with { Number = order.FindIndex(o => ReferenceEquals(o, h)) + 1 })];
    }

    /// <summary>The flat piece that a part is, or the face of the bar that it is; null for what is only cut or bought.</summary>
    internal static SheetPiece? Sheet(RigPart part, Catalogue stock) => part.Sheet ?? OfBar(part, stock);

    /// <summary>The face of a bar or tube that is marked out; null for one that is only cut.</summary>
    private static SheetPiece? OfBar(RigPart part, Catalogue stock)
    {
        if (part is not { Cut: { Bends: var bends, Holes: var holes } cut, Row: { } id } || bends.Count + holes.Count == 0
            || !stock.Has("sections", id))
            return null;
        var row = stock.Find<SectionRow>("sections", id);
        return new(cut.Length, row.Width, row.Shape is SectionShape.Flat or SectionShape.Batten ? row.Height : row.Width, row.Material,
            bends)
        {
            Holes = [.. holes.Select(h => new SheetHole(h.At, row.Width / 2, h.Layer, h.Joint) { Own = h.Own })],
        };
    }

    /// <summary>The hole, or the holes on a circle about its place, with the sizes of the joint that passes there.</summary>
    private static IEnumerable<TemplateHole> Drilled(BuiltRig b, IReadOnlyList<HoleRow> rows, SheetPiece sheet, SheetHole hole)
    {
        if (hole.Own is { } passes)
        {
            yield return new(hole.X, hole.Y, passes.Drill, HoleTable.SortOf(passes), HoleTable.Goes(passes), "", passes.Name);
            yield break;
        }
        var named = sheet.Holes.Select(h => h.Joint).ToHashSet();
        foreach (var row in rows.Where(r => r.Joint.Length > 0 && r.Layer == hole.Layer
            && (hole.Joint is { } own ? r.Joint == own : !named.Contains(r.Joint))))
        {
            var joint = b.Joints.First(j => j.Id == row.Joint);
            foreach (var (along, across) in joint.Places ?? [])
                yield return new(hole.X + along, hole.Y + across, row.Diameter, row.Sort, row.Thread, row.Joint, row.Title);
            for (var i = 0; i < joint.Count && joint.Places is null; i++)
            {
                var (s, c) = Math.SinCos(FirstAt + 2 * Math.PI * i / joint.Count);
                var r = joint.Count > 1 ? joint.Lever : 0;
                yield return new(hole.X + r * c, hole.Y + r * s, row.Diameter, row.Sort, row.Thread, row.Joint, row.Title);
            }
        }
    }

    private static IEnumerable<TemplateHole> Reliefs(SheetPiece sheet) => FlatOutline.Of(sheet).Reliefs.Select(r =>
        new TemplateHole(r[0], r[1], FlatOutline.Relief(sheet.Thickness), HoleSort.Relief, "", "", "ends of the corners"));

    private static IEnumerable<string> Faults(SheetPiece sheet, List<TemplateHole> holes)
    {
        foreach (var h in holes)
        {
            var left = new[] { h.X, sheet.Length - h.X, h.Y, sheet.Width - h.Y }.Min() - h.Diameter / 2;
            if (left < 0)
                yield return $"The hole for the {h.Title} of {Holes.Size(h.Diameter)} runs out over the edge.";
            bool Bent(BendLine x, double at) => Math.Abs(x.At - at) < Bend.Allowance(x.Angle, x.Radius, sheet.Thickness) / 2 + h.Diameter
                / 2 - 1e-9;
            if (sheet.Bends.Any(x => Bent(x, h.X)) || sheet.Walls.Any(x => Bent(x, h.Y)))
                yield return $"The hole for the {h.Title} lies in the bend: it is drilled after bending, or it tears.";
        }
        for (var i = 0; i < holes.Count; i++)
            for (var k = 0; k < i; k++)
                if (Math.Sqrt(Math.Pow(holes[i].X - holes[k].X, 2) + Math.Pow(holes[i].Y - holes[k].Y, 2)) is var apart
                    && apart > 1e-9 && apart < (holes[i].Diameter + holes[k].Diameter) / 2)
                    yield return $"The holes for the {holes[k].Title} and the {holes[i].Title} meet.";
    }
}
