using Ochema.Core.Json;
using Ochema.Core.Quantities;
using Ochema.Core.Structure;

namespace Ochema.Core.Rigs;

/// <summary>
/// How long the rod of a strut is cut, from its foot's joint to its clamp. The document keeps where the foot stands; a length that was cut,
/// or is wanted, is had by moving the foot along its line: on its panel, straight towards below the clamp or away from there.
/// </summary>
/// <param name="Id">Of the strut.</param>
/// <param name="Length">As the foot stands, m.</param>
/// <param name="Least">Shortest along that line on that panel, m.</param>
/// <param name="Most">Longest, m.</param>
public sealed record RodLength(string Id, double Length, double Least, double Most)
{
    /// <summary>Ends of a document's path that is a rod's length and no number of the document.</summary>
    private const string Property = "length";

    /// <summary>Places looked at along the line before the nearest is closed in on.</summary>
    private const int Looks = 96;

    /// <summary>Nearer to below its clamp than this a foot says nothing of the line that it is on, m.</summary>
    private const double Below = 0.003;

    /// <summary>Lengths nearer to each other than this are one, m.</summary>
    internal const double Same = 1e-6;

    /// <summary>Every strut of a rig that has a rod.</summary>
    internal static IReadOnlyList<RodLength> All(BuiltRig b) => [.. b.Rods.Select(r => Line.Of(r).Said())];

    /// <summary>Path under which a strut's length is asked and kept: "braces.[left].length".</summary>
    internal static string Path(string id) => $"braces.[{id}].{Property}";

    /// <summary>The strut whose length a path is; null for every other path.</summary>
    internal static string? Of(RigDocument rig, string path) => rig.Braces.FirstOrDefault(x => Path(x.Id) == path)?.Id;

    /// <summary>The rig with a rod as long as that; the foot goes to the nearest place of its line where it is.</summary>
    /// <param name="b">The rig as it is built now.</param>
    /// <param name="id">Of the strut.</param>
    /// <param name="length">m.</param>
    /// <exception cref="DocumentException">There is no such strut, or no place of its line makes it so long.</exception>
    public static RigDocument With(BuiltRig b, string id, double length)
    {
        if (b.Rods.FirstOrDefault(r => r.Brace.Id == id) is not { } rod)
            throw new DocumentException("brace", $"this rig has no strut '{id}' with a rod");
        var line = Line.Of(rod);
        if (Math.Abs(line.Length(line.Now) - length) <= Same)
            return b.Rig;
        var at = line.At(length) ?? throw new DocumentException("length", $"along its line the rod is between "
            + $"{QuantityFormatter.Format(line.Said().Least, Dimension.Length, UnitSystem.Metric)} and "
            + $"{QuantityFormatter.Format(line.Said().Most, Dimension.Length, UnitSystem.Metric)} long");
        return Standing(b.Rig, id, at);
    }

    /// <summary>The rig with a strut's foot at a place of its site, m.</summary>
    internal static RigDocument Standing(RigDocument rig, string id, double[] at) =>
        rig with { Braces = [.. rig.Braces.Select(x => x.Id == id ? x.Standing(at) : x)] };

    /// <summary>Where the foot stands of the strut whose length a path is, m; null for every other path.</summary>
    internal static double[]? FootOf(RigDocument rig, string path) => rig.Braces.FirstOrDefault(x => Path(x.Id) == path)?.Footing?.At;

    /// <summary>A strut as built.</summary>
    /// <param name="At">Where its foot stands on the panel, m.</param>
    /// <param name="Rise">Panel to the rod's first end, along the panel's normal, m.</param>
    /// <param name="Clamp">Its other end, m.</param>
    /// <param name="Spring">Of the clamp that holds it there.</param>
    internal sealed record Rod(BraceKind Brace, double[] At, Hosts.PanelSurface Surface, double Rise, Vec3 Clamp,
        SpringIndex Spring);

    /// <summary>The line that a foot moves along on its panel.</summary>
    /// <param name="Now">Where the foot is, m from below the clamp.</param>
    /// <param name="From">Where the line enters the panel, m.</param>
    /// <param name="To">Where it leaves it, m.</param>
    private sealed record Line(Rod Rod, double S, double T, double AlongS, double AlongT, double Now, double From, double To)
    {
        public static Line Of(Rod rod)
        {
            var surface = rod.Surface;
            var (s, t) = surface.Clamp(rod.At[0], rod.At[1]);
            var across = rod.Clamp - surface.Origin;
            var (s0, t0) = (across.Dot(surface.U), across.Dot(surface.V));
            var away = Math.Sqrt((s - s0) * (s - s0) + (t - t0) * (t - t0));
            // Right below the clamp every way is as good: the one with most room.
            var (ds, dt) = away > Below ? ((s - s0) / away, (t - t0) / away)
                : surface.HalfU >= surface.HalfV ? (s0 > 0 ? -1.0 : 1.0, 0.0) : (0.0, t0 > 0 ? -1.0 : 1.0);
            if (away <= Below)
                (s0, t0, away) = (s, t, 0);
            var (from, to) = (0.0, double.PositiveInfinity);
            foreach (var (at, way, half) in new[] { (s0, ds, surface.HalfU), (t0, dt, surface.HalfV) })
                if (Math.Abs(way) > 1e-12)
                {
                    var (one, other) = ((-half - at) / way, (half - at) / way);
                    (from, to) = (Math.Max(from, Math.Min(one, other)), Math.Min(to, Math.Max(one, other)));
                }
            return new(rod, s0, t0, ds, dt, away, Math.Min(from, away), Math.Max(to, away));
        }

        public double[] Place(double x) => [S + x * AlongS, T + x * AlongT];

        /// <summary>Of the rod with its foot there, m.</summary>
        public double Length(double x)
        {
            var (s, t) = (S + x * AlongS, T + x * AlongT);
            return (Rod.Clamp - Rod.Surface.Point(s, t) - Rod.Rise * Rod.Surface.NormalAt(s, t)).Length;
        }

        private IEnumerable<double> Places => Enumerable.Range(0, Looks + 1).Select(i => From + (To - From) * i / Looks).Append(Now)
            .Order();

        public RodLength Said() => new(Rod.Brace.Id, Length(Now), Places.Min(Length), Places.Max(Length));

        /// <summary>The nearest place that makes it so long; null where none does.</summary>
        public double[]? At(double wanted)
        {
            var places = Places.ToList();
            double? found = null;
            for (var i = 0; i + 1 < places.Count; i++)
            {
                var (low, high) = (places[i], places[i + 1]);
                if ((Length(low) - wanted) * (Length(high) - wanted) > 0)
                    continue;
                var rises = Length(high) >= Length(low);
                (low, high) = Bisection.Between(low, high, 60, place => Length(place) < wanted != rises);
                var at = 0.5 * (low + high);
                if (found is not { } known || Math.Abs(at - Now) < Math.Abs(known - Now))
                    found = at;
            }
            return found is { } place ? Place(place) : null;
        }
    }
}
