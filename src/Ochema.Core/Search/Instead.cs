using System.Reflection;
using Ochema.Core.Assessment;
using Ochema.Core.Hosts;
using Ochema.Core.Json;
using Ochema.Core.Kinds;
using Ochema.Core.Quantities;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Structure;

namespace Ochema.Core.Search;

/// <summary>Other kinds and sizes that could stand at a station, as whole rig documents.</summary>
internal static class Instead
{
    /// <summary>Rows of the catalogue and other kinds for a station: base, reach, head, camera.</summary>
    public static IEnumerable<(string Id, string Station, string Title, RigDocument Changed)> Of(RigDocument rig, string station,
        Catalogue stock)
    {
        Kind? current = station switch
        {
            "base" => rig.Base,
            "reach" => rig.Reach,
            "isolator" => rig.Isolator,
            "head" => rig.Head,
            _ =>
            null
        };
        if (station == "camera")
        {
            // A lamp is no way to take a picture.
            var makes = stock.Find<CameraRow>("cameras", rig.Camera.Body).Makes;
            foreach (var c in stock.Cameras.Where(c => c.Id != rig.Camera.Body && c.Makes == makes))
                yield return (c.Id, station, c.Name, rig with
                {
                    Camera = Fitted(rig.Camera with { Body = c.Id, Mass = null, Worth = null },
                    c, stock)
                });
            yield break;
        }
        if (station == "second" && rig.Second is null)
            foreach (var (id, title, path) in SecondCamera.Proposed(rig.Camera))
                yield return (id, station, title, Tethered(rig with
                {
                    Second = path with { Id = Words.Free(path.Id, taken => taken == rig.Paths[0].Id) },
                }, stock));
        if (station is "braces" or "straps")
            foreach (var (id, title, changed) in station == "braces" ? Braces(rig, stock) : Straps(rig, stock))
                yield return (id, station, title, changed);
        if (current is null)
            yield break;
        var family = KindRegistry.Families.First(f => f.Station == station).Type;
        foreach (var type in KindRegistry.Of(family))
        {
            var info = Kind.InfoOf(type);
            if (station == "base" && Survey.Refusal(((BaseKind)Activator.CreateInstance(type)!).Grip, rig.Site, rig.Survey,
                HostLibrary.Find(rig.Host)!, stock) is not null)
                continue;
            var fresh = type == current.GetType() ? current : (Kind)Activator.CreateInstance(type)!;
            var sizes = Sizes(fresh, stock).ToList();
            if (sizes.Count == 0 && type != current.GetType())
                yield return (info.Id, station, info.Label, With(rig, fresh));
            foreach (var (id, name, kind) in sizes.Where(s => s.Kind != current))
                yield return ($"{info.Id}.{id}", station, Named(info.Label, type, name), With(rig, kind));
        }
        if (station == "base" && rig.Base.OnLargerHold(stock) is { } larger && rig.Base.Sizes(stock).All(s => s.Kind != larger))
            yield return ("larger-hold", station, "The next larger hold under it", rig with { Base = larger });
    }

    /// <summary>The rig with the tether that serves its second camera best: what hangs on a clip alone is not proposed.</summary>
    private static RigDocument Tethered(RigDocument rig, Catalogue stock)
    {
        var b = RigAssembly.Build(rig, stock);
        return TetherPlan.For(b, RigPath.Second.Camera, rig.Run.Speed) is { } plan ? TetherPlan.With(b, plan.Tether) : rig;
    }

    /// <summary>The camera with its lens, or with the first that goes on this body.</summary>
    private static CameraChoice Fitted(CameraChoice camera, CameraRow body, Catalogue stock) =>
        MeasureReader.Fit(stock.Find<LensRow>("lenses", camera.Lens), body) ? camera
            : camera with { Lens = stock.Lenses.First(l => MeasureReader.Fit(l, body)).Id, FocalLength = null };

    /// <summary>A row by its own name where that says what it is, else behind the kind's: a cradle of a metal, a riser of a tube.</summary>
    private static string Named(string label, Type kind, string row)
    {
        var list = kind.GetProperties().Select(p => p.GetCustomAttribute<StockChoiceAttribute>()?.List).FirstOrDefault(l => l is not null);
        return list is "heads" or "arms" or "goosenecks" or null ? row : $"{label}: {Words.Inside(row)}";
    }

    /// <summary>A rig that stands further than this from any panel has nothing to brace to, m.</summary>
    private const double BraceReach = 0.9;

    /// <summary>A brace to where there is none: ahead to the left and right, or behind, a forearm away from the base, on its own panel or
    /// the nearest.</summary>
    public static IEnumerable<(string Id, string Title, RigDocument Changed)> Braces(RigDocument rig, Catalogue stock)
    {
        // From inside there is the body of the host between it and every panel.
        if (rig.Braces.Count >= 4 || HostLibrary.Find(rig.Host) is not { } host || host.IsInside(rig.Site))
            yield break;
        var stands = host.Surface(rig.Site).Point(rig.At[0], rig.At[1]);
        var site = rig.Site.Form.TakesFeet ? rig.Site
            : host.Sites.Where(s => s.Form.TakesFeet && (host.Surface(s).Origin - stands).Length < BraceReach).MinBy(s =>
                (host.Surface(s).Origin - stands).Length);
        if (site is null)
            yield break;
        var panel = host.Surface(site);
        var below = stands - panel.Origin;
        var (ownS, ownT) = site == rig.Site ? (rig.At[0], rig.At[1]) : (below.Dot(panel.U), below.Dot(panel.V));
        var angles = new[] { (45.0, "left, ahead"), (-45.0, "right, ahead"), (135.0, "left, behind"), (-135.0, "right, behind") };
        var taken = rig.Braces.Select(b => b.Footing).OfType<Footing>().Where(s => s.Site == site.Id).Select(s =>
            Math.Atan2(s.At[1] - ownT, s.At[0] - ownS)).ToList();
        var free = angles.Where(a => taken.All(t => Math.Abs(Math.IEEERemainder(t - a.Item1 * Math.PI / 180, 2 * Math.PI)) > 0.7)).ToList();
        BraceKind? At(BraceKind kind, double degrees, string id)
        {
            var (sin, cos) = Math.SinCos(degrees * Math.PI / 180);
            var (s, t) = panel.Clamp(ownS + 0.45 * cos, ownT + 0.45 * sin);
            return kind.Proposed(id, site, [s, t], stock);
        }
        string Id(string way) => FreeId(rig, way.Replace(", ", "-", StringComparison.Ordinal));
        foreach (var kind in KindRegistry.Fresh<BraceKind>().Where(k => At(k, 0, "") is not null))
        {
            foreach (var (degrees, name) in free.Take(rig.Braces.Count == 0 ? 3 : 2))
                yield return ($"{kind.Noun} {name}", $"A {kind.Noun} to the {name}",
                    rig with { Braces = [.. rig.Braces, At(kind, degrees, Id(name))!] });
            if (rig.Braces.Count == 0 && free.Count >= 2)
                yield return ($"two {kind.Noun}s", $"Two {kind.Noun}s, well apart",
                    rig with { Braces = [At(kind, free[0].Item1, Id(free[0].Item2))!, At(kind, free[1].Item1, Id(free[1].Item2))!] });
        }
    }

    /// <summary>Straps longer than this are not proposed, m (judgement).</summary>
    private const double Nearest = 1.3;

    /// <summary>Pretension proposed, N: what a cam buckle gives by hand (common practice, no source).</summary>
    private const double Pretension = 200;

    /// <summary>A pair of straps abeam of the base, to closed points that lie outwards and below, so that they press and oppose each
    /// other.</summary>
    public static IEnumerable<(string Id, string Title, RigDocument Changed)> Straps(RigDocument rig, Catalogue stock)
    {
        // A strap that pulls the wrong way costs more than it keeps.
        if (rig.Straps.Count > 0)
            yield return ("no-straps", rig.Straps.Count == 1 ? "Without the strap" : "Without the straps", rig with { Straps = [] });
        if (rig.Straps.Count > 1)
            foreach (var strap in rig.Straps)
                yield return ("no-strap-" + strap.Id, $"Without {Words.Named("strap", strap.Id)}",
                    rig with { Straps = [.. rig.Straps.Where(s => s != strap)] });
        if (rig.Straps.Count >= 4 || HostLibrary.Find(rig.Host) is not { } host)
            yield break;
        BuiltRig b;
        try
        {
            b = RigAssembly.Build(rig with { Straps = [], Tethers = [] }, stock);
        }
        catch (DocumentException)
        {
            yield break;
        }
        // Worn hosts have to let go; what stands inside has the body between it and anything to strap to.
        if (host.BreakawayLimit is not null || host.IsInside(rig.Site))
            yield break;
        var (n, left, along) = (b.Surface.NormalAt(rig.At[0], rig.At[1]), b.Surface.V, b.Surface.U);
        var middle = b.Position(b.At(RigPoint.BaseTop));
        var taken = rig.Straps.Select(s => s.From).ToHashSet();
        List<(RigPoint From, AnchorEnd To, Vec3 Way, Vec3 At, double Score)> Side(int side) =>
        [..
            (from p in new[] { RigPoint.BaseFrontLeft, RigPoint.BaseFrontRight, RigPoint.BaseRearLeft, RigPoint.BaseRearRight,
                RigPoint.BaseTop }
             where p == RigPoint.BaseTop || (!taken.Contains(p) && b.At(p) != b.At(RigPoint.BaseTop))
             let at = b.Position(b.At(p)) - middle
             where p == RigPoint.BaseTop || side * at.Dot(left) > 0
             from e in StrapPull.Ends(host, middle + at, along)
             let d = e.End - middle - at
             where d.Length > StrapPull.Shortest && d.Length < Nearest
             let way = 1 / d.Length * d
             let down = -way.Dot(n)
             where side * way.Dot(left) > 0.2 && down > 0.15
             orderby Math.Min(down, 0.6) - Math.Abs(way.Dot(along)) - 0.2 * d.Length descending, e.Anchor.Id, e.T
             select (p, new AnchorEnd(e.Anchor.Id, Math.Round(e.T, 4)), way, at, Math.Min(down, 0.6) - 0.2 * d.Length)).Take(30),
        ];
        // The pair that presses most while neither dragging nor turning the base.
        var best = (
            from l in Side(1)
            from r in Side(-1)
            where (l.From == RigPoint.BaseTop) == (r.From == RigPoint.BaseTop)
            let drags = (l.Way + r.Way).PerpendicularTo(n).Length
            let turns = Math.Abs((l.At.Cross(l.Way) + r.At.Cross(r.Way)).Dot(n))
            orderby l.Score + r.Score - 2 * drags - 6 * turns descending, l.To.Anchor, l.To.T, r.To.T
            select new { Left = l, Right = r, Drags = drags }).FirstOrDefault();
        if (best is null || best.Drags > 0.4)
            yield break;
        var (one, two) = (best.Left, best.Right);
        yield return ("two straps", "Two straps, left and right", rig with
        {
            Straps = [.. rig.Straps,
                new Strap { Id = FreeId(rig, "left"), Stock = "ratchet-25", From = one.From, To = one.To, Pretension = Pretension },
                new Strap { Id = FreeId(rig, "right"), Stock = "ratchet-25", From = two.From, To = two.To, Pretension = Pretension }],
        });
    }

    /// <summary>What a new strut or strap is called: the name itself, or with a number where one of the rig's has it.</summary>
    internal static string FreeId(RigDocument rig, string name) =>
        Words.Free(name, id => rig.Straps.Any(s => s.Id == id) || rig.Braces.Any(x => x.Id == id));

    /// <summary>The kind in every size of its one catalogue list.</summary>
    private static IEnumerable<(string Id, string Name, Kind Kind)> Sizes(Kind kind, Catalogue stock)
    {
        switch (kind)
        {
            case BaseKind b:
                return b.Sizes(stock).Select(s => (s.Id, s.Name, (Kind)s.Kind));
            default:
                var choice = MeasureReader.Choices(kind).FirstOrDefault();
                return choice.Property is null ? [] : Some([.. MeasureReader.Rows(choice.Attribute, stock)],
                    (string?)choice.Property.GetValue(kind))
                    .Select(r => (r.Id, r.Name, MeasureReader.WithChoice(kind, choice.Property, r.Id)));
        }
    }

    /// <summary>Rows of one list that are tried for one kind; the rest can be chosen in its field.</summary>
    private const int MostSizes = 8;

    /// <summary>Rows spread evenly over a list that goes by shape and size, the present one and its neighbours among them.</summary>
    private static IEnumerable<IStockRow> Some(IReadOnlyList<IStockRow> rows, string? present)
    {
        if (rows.Count <= MostSizes)
            return rows;
        var at = Math.Max(0, rows.ToList().FindIndex(r => r.Id == present));
        int[] near = [at - 1, at, at + 1];
        var spread = Enumerable.Range(0, MostSizes - near.Length).Select(i => i * (rows.Count - 1) / (MostSizes - near.Length - 1));
        return near.Where(i => i >= 0 && i < rows.Count).Concat(spread).Distinct().Order().Select(i => rows[i]);
    }

    private static RigDocument With(RigDocument rig, Kind kind) => kind switch
    {
        BaseKind b => rig with { Base = b },
        ReachKind r => rig with { Reach = r },
        HeadKind h => rig with { Head = h },
        IsolatorKind i => rig with { Isolator = i },
        _ => rig,
    };
}
