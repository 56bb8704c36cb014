using Ochema.Core.Hosts;
using Ochema.Core.Json;
using Ochema.Core.Quantities;
using Ochema.Core.Stock;

namespace Ochema.Core.Rigs;

/// <summary>Reads rig documents and names what is wrong with them, by path.</summary>
public static class RigReader
{
    private const int MostHelpers = 12;
    /// <summary>One more than of other helpers: earlier schemas had the first of them beside a list of as many.</summary>
    internal const int MostTethers = MostHelpers + 1;

    private const int MostJoints = 60;
    private const int MostMeasured = 200;
    private const int LongestName = PlainText.LongestName;
    private const int LongestMeasure = 200;
    private const int MostMade = 300;
    private const int LongestStepNote = 400;
    private const int LongestPath = 200;
    private const int LongestNotes = 4000;

    /// <exception cref="DocumentException">The text is no rig document; the message names the path and the reason.</exception>
    public static RigDocument Read(string json, Catalogue stock)
    {
        return Upgrades.AsWritten(json, "", () =>
        {
            var rig = Parse<RigDocument>(json);
            Check(rig, stock);
            return rig;
        });
    }

    /// <summary>Reads a document, or what carries one in its field <c>document</c>, of this schema or an earlier one; nothing of it is
    /// checked yet.</summary>
    /// <exception cref="DocumentException">Names the path and the reason.</exception>
    public static T Parse<T>(string json)
    {
        Structure.Effort.Parses.Add(1);
        return StrictJson.Read<T>(Upgrades.Present(json));
    }

    /// <summary>Checks ranges, catalogue rows, references and counts.</summary>
    /// <exception cref="DocumentException">Names the path and the reason.</exception>
    public static void Check(RigDocument rig, Catalogue stock)
    {
        if (rig.Schema != RigDocument.CurrentSchema)
            throw new DocumentException("schema", Upgrades.Unread(rig.Schema));
        PlainText.Name(rig.Name, "name", 1, LongestName);
        PlainText.Note(rig.Notes, "notes", LongestNotes);
        if (rig.Stock is { } own)
        {
            OwnStockReader.Check(own, "stock", stock);
            stock = stock.With(own);
        }
        var host = HostLibrary.Find(rig.Host) ?? throw new DocumentException("host",
            $"there is no host '{rig.Host}'; known: {string.Join(", ", HostLibrary.All.Select(h => h.Id))}");
        Site(rig.Site.Id, "site.id", host);
        PlainText.Name(rig.Site.Name, "site.name", 1, LongestName);
        Record(rig.Site, "site", stock);
        Pair(rig.At, "at");
        Record(rig.Base, "base", stock);
        Paths(rig.Paths, host, stock);
        Record(rig.Run, "run", stock);
        Record(rig.Survey, "survey", stock);
        if (rig.Run.Speed > host.Drive.Top)
            throw new DocumentException("run.speed", $"{host.Drive.Name} goes up to {Said(host.Drive.Top, Dimension.Speed)} here");
        if (rig.Joints.Count > MostJoints)
            throw new DocumentException("joints", $"has {rig.Joints.Count} entries; at most {MostJoints} are read");
        foreach (var (id, joint) in rig.Joints)
        {
            PlainText.Name(id, "joints", 1, 60);
            Record(joint ?? throw new DocumentException("joints." + id, "is null, and must be something"), "joints." + id, stock);
            List(joint.Layers ?? [], $"joints.{id}.layers", (layer, at) =>
            {
                PlainText.Name(layer.Layer, at + ".layer", 1, 60);
                Record(layer, at, stock);
            });
            List(joint.Added ?? [], $"joints.{id}.added", (added, at) =>
            {
                PlainText.Name(added.Before ?? "x", at + ".before", 1, 60);
                Record(added, at, stock);
            });
        }
        if (host.Sites.First(s => s.Id == rig.Site.Id).Form != rig.Site.Form)
            throw new DocumentException("site.form",
                $"'{rig.Site.Id}' is {host.Sites.First(s => s.Id == rig.Site.Id).Form.Words}, not {rig.Site.Form.Words}");
        var ids = new HashSet<string>();
        List(rig.Braces, "braces", (b, path) =>
        {
            Id(b.Id, path + ".id", ids);
            Record(b, path, stock);
            if (b.Footing is { } s)
            {
                Site(s.Site, path + ".site", host);
                Pair(s.At, path + ".at");
            }
        });
        List(rig.Straps, "straps", (s, path) =>
        {
            Id(s.Id, path + ".id", ids);
            Record(s, path, stock);
            End(s.To, path + ".to", host);
        });
        var tethers = new HashSet<string>();
        List(rig.Tethers, "tethers", (t, path) =>
        {
            Id(t.Id, path + ".id", tethers);
            Record(t, path, stock);
            TetherEnd(t.To, path + ".to", host);
        }, MostTethers);
        if (rig.Made is { Count: > MostMade } steps)
            throw new DocumentException("made", $"has {steps.Count} entries; at most {MostMade} are read");
        foreach (var (step, made) in rig.Made ?? new Dictionary<string, Made>())
        {
            PlainText.Name(step, "made", 1, LongestName);
            if (made is null)
                throw new DocumentException($"made.{step}", "is null, and must be something");
            PlainText.Note(made.Note, $"made.{step}.note", LongestStepNote);
            if (made.At is { } at && Rigs.Made.TimeOf(at) is null)
                throw new DocumentException($"made.{step}.at", "is no time as 2026-05-01T14:30:00Z");
            if (made.As is { Count: > Rigs.Made.MostMeasures })
                throw new DocumentException($"made.{step}.as", $"has {made.As.Count} entries; at most {Rigs.Made.MostMeasures} are read");
            foreach (var (measure, value) in made.As ?? new Dictionary<string, double>())
                if (measure.Length is < 1 or > LongestMeasure || !double.IsFinite(value))
                    throw new DocumentException($"made.{step}.as",
                        $"has a measure that is none: names of 1 to {LongestMeasure} letters, finite numbers");
        }
        if (rig.Bench is { } bench)
            ReadBench(bench, stock);
        if (rig.Measured is { Count: > MostMeasured } many)
            throw new DocumentException("measured", $"has {many.Count} entries; at most {MostMeasured} are read");
        foreach (var (of, taken) in rig.Measured ?? new Dictionary<string, Taken>())
        {
            PlainText.Name(of, "measured", 1, LongestPath);
            if (taken is null)
                throw new DocumentException($"measured.{of}", "is null");
            if (!Taken.IsDay(taken.On))
                throw new DocumentException($"measured.{of}.on", "is no day as YYYY-MM-DD");
            if (!double.IsFinite(taken.Value))
                throw new DocumentException($"measured.{of}.value", "is not a number");
            PlainText.Name(taken.How, $"measured.{of}.how", 0, LongestName);
            if (taken.Built is { Planned: var planned } && !double.IsFinite(planned))
                throw new DocumentException($"measured.{of}.built.planned", "is not a number");
            if (taken.Built?.At is { } at && (at.Length != 2 || !at.All(double.IsFinite)))
                throw new DocumentException($"measured.{of}.built.at", "is not two numbers");
        }
        foreach (var (name, value) in rig.Factors)
        {
            var factor = FactorTable.All.FirstOrDefault(f => f.Name == name)
                ?? throw new DocumentException($"factors.{name}", "is no factor that is known");
            if (!(value >= factor.Floor && value <= factor.Ceiling))
                throw new DocumentException($"factors.{name}",
                    $"must be between {factor.Floor:0.##} and {factor.Ceiling:0.##} ({factor.Reason})");
        }
    }

    /// <summary>Cameras that are computed on one base.</summary>
    private const int MostPaths = 2;

    private static void Paths(IReadOnlyList<CameraPath> paths, Host host, Catalogue stock)
    {
        if (paths.Count is < 1 or > MostPaths)
            throw new DocumentException("paths", $"has {paths.Count} entries; a rig carries one or two cameras");
        var ids = new HashSet<string>();
        List(paths, "paths", (p, at) =>
        {
            Id(p.Id, at + ".id", ids);
            Record(p, at, stock);
            Record(p.Reach, at + ".reach", stock);
            Record(p.Isolator, at + ".isolator", stock);
            Record(p.Head, at + ".head", stock);
            Record(p.Camera, at + ".camera", stock);
            Zoom(p.Camera, at + ".camera", stock);
            Who(p.Camera, at + ".camera", host);
        });
        if (paths[0].Where != SecondPlace.OnTop)
            throw new DocumentException("paths[0].where", "is asked of a second camera only: where it stands beside the first");
        if (paths.Count > 1 && paths[1].Isolator is not NoIsolator)
            throw new DocumentException("paths[1].isolator", "a soft mount is computed under the first camera only");
    }

    private static string Said(double si, Dimension dimension) => QuantityFormatter.Format(si, dimension, UnitSystem.Metric);

    private static void Who(CameraChoice camera, string path, Host host)
    {
        if (camera.Who is { } who && host.People.All(p => p.Id != who))
            throw new DocumentException(path + ".who", host.People.Count == 0 ? "nobody is on this host"
                : $"nobody '{who}' is on this host; known: {string.Join(", ", host.People.Select(p => p.Id))}");
    }

    private static void Zoom(CameraChoice camera, string path, Catalogue stock)
    {
        if (camera.FocalLength is not { } f)
            return;
        var lens = stock.Find<LensRow>("lenses", camera.Lens);
        if (lens is not { Shortest: { } shortest, Longest: { } longest })
            throw new DocumentException(path + ".focalLength", $"the {Words.Inside(lens.Name)} is no zoom: leave it out");
        if (!(f >= shortest && f <= longest))
            throw new DocumentException(path
                + ".focalLength", $"the {Words.Inside(lens.Name)} goes from {Said(shortest, Dimension.Length)} to "
                    + $"{Said(longest, Dimension.Length)}");
    }

    /// <summary>What the builder has, pays and saws with.</summary>
    private static void ReadBench(Bench bench, Catalogue stock)
    {
        Record(bench, "bench", stock);
        if (bench.Lines is { Count: > MostMade } many)
            throw new DocumentException("bench.lines", $"has {many.Count} entries; at most {MostMade} are read");
        foreach (var (key, line) in bench.Lines ?? new Dictionary<string, BenchLine>())
        {
            PlainText.Name(key, "bench.lines", 1, LongestStepNote);
            Record(line ?? throw new DocumentException($"bench.lines.{key}", "is null, and must be something"), $"bench.lines.{key}",
                stock);
        }
        List(bench.Offcuts ?? [], "bench.offcuts", (o, path) =>
        {
            Record(o ?? throw new DocumentException(path, "is null, and must be something"), path, stock);
            if (o.Row is null || !stock.Has("sections", o.Row))
                throw new DocumentException(path + ".row", $"there is no section '{o.Row}'");
        });
        foreach (var tool in (bench.Tools ?? new Dictionary<string, ToolFrom>()).Keys)
            if (!stock.Has("tools", tool))
                throw new DocumentException($"bench.tools.{tool}", "there is no such tool");
    }

    internal static void Record(object record, string path, Catalogue stock)
    {
        foreach (var (property, name, measure, choice, part) in MeasureReader.Declared(record.GetType()))
        {
            var at = path.Length == 0 ? name : $"{path}.{name}";
            var value = property.GetValue(record);
            if (measure is { } m && value is double or int)
            {
                var v = Convert.ToDouble(value, System.Globalization.CultureInfo.InvariantCulture);
                if (!(v >= m.Minimum && v <= m.Maximum))
                    throw new DocumentException(at,
                        $"{Words.Inside(m.Label)} must be between {Said(m.Minimum, m.Dimension)} and {Said(m.Maximum, m.Dimension)}");
            }
            else if (choice is not null && value is string id)
            {
                if (!MeasureReader.Rows(choice, stock).Any(r => r.Id == id))
                    throw new DocumentException(at, $"there is no '{id}' among the {choice.List} that fit here");
            }
            else if (part is not null && value is not null)
            {
                var kind = Kind.InfoOf(value.GetType()).Id;
                if (part.Except.Split(',').Contains(kind))
                    throw new DocumentException(at, $"a {kind} cannot be used here");
                Record(value, at, stock);
            }
        }
    }

    private static void List<T>(IReadOnlyList<T> list, string path, Action<T, string> check, int most = MostHelpers)
    {
        if (list.Count > most)
            throw new DocumentException(path, $"has {list.Count} entries; at most {most} are read");
        for (var i = 0; i < list.Count; i++)
        {
            if (list[i] is null)
                throw new DocumentException($"{path}[{i}]", "is null");
            check(list[i], $"{path}[{i}]");
        }
    }

    private static void Id(string id, string path, HashSet<string> seen)
    {
        PlainText.Name(id, path, 1, 40);
        if (!id.All(c => char.IsAsciiLetterOrDigit(c) || c == '-'))
            throw new DocumentException(path, "takes letters, digits and dashes only");
        if (!seen.Add(id))
            throw new DocumentException(path, $"'{id}' is used twice");
    }

    private static void TetherEnd(AnchorEnd end, string path, Host host)
    {
        if (!end.IsOwn)
            End(end, path, host);
    }

    private static void End(AnchorEnd end, string path, Host host)
    {
        if (host.Anchors.All(a => a.Id != end.Anchor))
            throw new DocumentException(path + ".anchor", $"there is no closed point '{end.Anchor}' on this host");
        if (!(end.T >= 0 && end.T <= 1))
            throw new DocumentException(path + ".t", "must be between 0 and 1");
    }

    private static void Site(string id, string path, Host host)
    {
        if (host.Sites.All(s => s.Id != id))
            throw new DocumentException(path,
                $"there is no site '{id}' on this host; known: {string.Join(", ", host.Sites.Select(s => s.Id))}");
    }

    private static void Pair(double[] p, string path)
    {
        if (p.Length != 2)
            throw new DocumentException(path, "needs two numbers");
        for (var i = 0; i < 2; i++)
            if (!double.IsFinite(p[i]) || Math.Abs(p[i]) > 5)
                throw new DocumentException($"{path}[{i}]", "must be within 5 m of the panel's middle");
    }
}
