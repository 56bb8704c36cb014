namespace Ochema.Core.Making;

/// <summary>
/// How the middle of a plug's end is found with a rule and a square (Euclid, Elements, III.1 and IV.6-7): of a round one the middles of two
/// chords, each with a line at right angles, which cross in it; of a square one both diagonals. Printed at 1:1 it is glued on and punched
/// through.
/// </summary>
public static class Centres
{
    /// <summary>Angle between the two chords, rad: square to each other the crossing is sharpest.</summary>
    private const double Apart = Math.PI / 2;

    /// <summary>Half the angle that a chord spans, rad: long ones are marked best.</summary>
    private const double Chord = 1.1;

    private const int Corners = 72;

    /// <summary>Thickness of paper, m.</summary>
    private const double Paper = 0.0001;

    /// <summary>The end of a plug with what finds its middle, and its hole.</summary>
    public static Template Of(PlugPiece plug)
    {
        var (d, r) = (plug.Diameter, plug.Diameter / 2);
        double[] At(double radius, double angle) => [r + radius * Math.Cos(angle), r + radius * Math.Sin(angle)];
        List<TemplateLine> lines = [];
        if (plug.Square)
            lines.AddRange([new("both diagonals", [[0, 0], [d, d]]), new("both diagonals", [[0, d], [d, 0]])]);
        else
        {
            lines.Add(new("its edge", [.. Enumerable.Range(0, Corners + 1).Select(i => At(r, 2 * Math.PI * i / Corners))]));
            foreach (var way in new[] { Apart / 2, -Apart / 2 })
                lines.AddRange(
                [
                    new("two chords, a square on the middle of each", [At(r, way - Chord), At(r, way + Chord)]),
                    new("two chords, a square on the middle of each", [At(r, way), At(r, way + Math.PI)]),
                ]);
        }
        var hole = plug.Bore > 0 ? new TemplateHole(r, r, plug.Bore, HoleSort.Tapped, plug.Thread, "", "the plug's thread") : null;
        return new($"{plug.Part}-end", plug.Station, $"End of the plug, to punch its middle: {Quantities.Words.Inside(plug.Name)}", d, d,
            Paper, 1, [],
            hole is null ? [] : [hole], [])
        {
            Flat = false,
            Lines = lines,
        };
    }

    /// <summary>The face of a plug with eight sides: lines from corner to opposite corner cross in its middle.</summary>
    /// <param name="part">Id of its line on the list.</param>
    /// <param name="across">Flats, m.</param>
    /// <param name="hole">Through its middle.</param>
    public static Template Octagon(string part, string station, string name, double across, HoleRow? hole)
    {
        var (r, corner) = (across / 2, across / 2 / Math.Cos(Math.PI / 8));
        double[] At(int i) => [r + corner * Math.Cos(Math.PI / 8 + i * Math.PI / 4), r + corner * Math.Sin(Math.PI / 8 + i * Math.PI / 4)];
        return new(part + "-face", station, $"Face of the plug, to punch its middle: {Quantities.Words.Inside(name)}", across, across,
            Paper, 1, [],
            hole is null ? [] : [new(r, r, hole.Diameter, hole.Sort, hole.Thread, "", hole.Title)], [])
        {
            Flat = false,
            Lines = [new("its edge", [.. Enumerable.Range(0, 9).Select(At)]),
                .. Enumerable.Range(0, 4).Select(i => new TemplateLine("corner to corner", [At(i), At(i + 4)]))],
        };
    }
}
