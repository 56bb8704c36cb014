using System.Collections;
using System.ComponentModel;
using System.Reflection;
using System.Text.Json;
using System.Text.Json.Nodes;
using System.Text.Json.Serialization;
using Ochema.Core.Hosts;
using Ochema.Core.Json;
using Ochema.Core.Quantities;
using Ochema.Core.Stock;

namespace Ochema.Core.Rigs;

/// <summary>What changed from one saved state of a rig to the next, in words read from the attributes of what changed.</summary>
public static class DocumentChanges
{
    /// <summary>The changes in the order of the document, quantities as {speed:12.5}; empty when the two are the same.</summary>
    public static IReadOnlyList<string> Of(RigDocument before, RigDocument after, Catalogue stock)
    {
        var said = new List<string>();
        stock = stock.With(before.Stock).With(after.Stock);
        if (before.Name != after.Name)
            said.Add($"named “{after.Name}”");
        if (before.Notes != after.Notes)
            said.Add("notes");
        if (before.Host != after.Host)
            said.Add($"on {HostLibrary.Find(after.Host)?.Called ?? after.Host}");
        if (before.Site.Id != after.Site.Id || before.Host != after.Host)
            said.Add($"at the {Words.Inside(after.Site.Name)}");
        else
        {
            Values("place", before.Site, after.Site, stock, said);
            if (!before.At.SequenceEqual(after.At))
                said.Add("moved on its place");
        }
        foreach (var (name, a, b) in new (string, object?, object?)[]
        {
            ("base", before.Base, after.Base), ("reach", before.Reach, after.Reach), ("soft mount", before.Isolator, after.Isolator),
            ("head", before.Head, after.Head), ("camera", before.Camera, after.Camera), ("second camera", before.Second, after.Second),
        })
            Part(name, a, b, stock, said);
        Several("strut", before.Braces, after.Braces, b => b.Id, b => b.Id, stock, said);
        Several("strap", before.Straps, after.Straps, s => s.Id, s => s.Id, stock, said);
        // Nobody names a tether: it is told by what it is tied to.
        Several("tether", before.Tethers, after.Tethers, t => t.Id, t => t.From.ToString(), stock, said);
        Values("", before.Run, after.Run, stock, said);
        Values("survey", before.Survey, after.Survey, stock, said);
        Table("factor", before.Factors, after.Factors, said);
        Table("joint", before.Joints, after.Joints, said);
        foreach (var (list, rows) in (after.Stock ?? new()).Lists)
            foreach (var row in rows)
                if ((before.Stock ?? new()).Of(list).FirstOrDefault(r => r.Id == row.Id) is { } then && !then.Equals(row))
                    Values($"your {Words.Inside(row.Name)}", then, row, stock, said);
        return said.Count > 0 || StrictJson.Write(before) == StrictJson.Write(after) ? said : Elsewhere(before, after);
    }

    /// <summary>What differs where nothing above looks: by the name of the field that it is in.</summary>
    private static List<string> Elsewhere(RigDocument before, RigDocument after)
    {
        var a = JsonSerializer.SerializeToNode(before, StrictJson.Options)!.AsObject();
        var b = JsonSerializer.SerializeToNode(after, StrictJson.Options)!.AsObject();
        return [.. a.Select(p => p.Key).Union(b.Select(p => p.Key)).Where(k => !JsonNode.DeepEquals(a[k], b[k])).Select(k => k switch
        {
            "measured" => "when or how something was measured",
            "made" => "what is done of it",
            "bench" => "prices, drawer or tools",
            "stock" => "a row of your own",
            "notes" => "the notes",
            _ => $"something of the {JsonNamingPolicy.KebabCaseLower.ConvertName(k).Replace('-', ' ')}",
        })];
    }

    private static void Part(string name, object? a, object? b, Catalogue stock, List<string> said)
    {
        if (Equals(a, b))
            return;
        if (b is null)
            said.Add($"no {name}");
        else if (a is null)
            said.Add($"a {name}");
        else if (a.GetType() != b.GetType())
            said.Add($"{name}: {(Label(b) is { } label ? Words.Inside(label) : "another")}");
        else
            Values(name, a, b, stock, said);
    }

    private static string? Label(object o) => o.GetType().GetCustomAttribute<KindAttribute>()?.Label;

    private static void Several<T>(string name, IReadOnlyList<T> before, IReadOnlyList<T> after, Func<T, string> id, Func<T, string> called,
        Catalogue stock, List<string> said)
        where T : class
    {
        foreach (var gone in before.Where(x => after.All(y => id(y) != id(x))))
            said.Add($"no {name} {Shown(called(gone))}");
        foreach (var now in after)
            if (before.FirstOrDefault(x => id(x) == id(now)) is { } then)
                Part($"{name} {Shown(called(now))}", then, now, stock, said);
            else
                said.Add($"a {name} {Shown(called(now))}");
    }

    /// <summary>Ids as people read them.</summary>
    private static string Shown(string id) => JsonNamingPolicy.KebabCaseLower.ConvertName(id).Replace('-', ' ');

    private static void Table<T>(string name, IReadOnlyDictionary<string, T> before, IReadOnlyDictionary<string, T> after,
        List<string> said)
    {
        foreach (var key in before.Keys.Union(after.Keys).Order(StringComparer.Ordinal))
            if (StrictJson.Write(before.GetValueOrDefault(key)) != StrictJson.Write(after.GetValueOrDefault(key)))
                said.Add($"{name} {Shown(key)}");
    }

    private static void Values(string of, object a, object b, Catalogue stock, List<string> said)
    {
        foreach (var p in a.GetType().GetProperties().Where(p => p.GetIndexParameters().Length == 0 && p.GetCustomAttribute<JsonIgnoreAttribute>() is null))
        {
            var (then, now) = (p.GetValue(a), p.GetValue(b));
            if (Same(then, now))
                continue;
            if (p.GetCustomAttribute<PartAttribute>() is { } part)
                Part($"{(of.Length > 0 ? of + ", " : "")}{Words.Inside(part.Label)}", then, now, stock, said);
            else if (now is Kind or CameraChoice)
                Part($"{of}, {Shown(p.Name)}", then, now, stock, said);
            else if (Said(p, then, now, stock) is { } what)
                said.Add(of.Length > 0 ? $"{of}: {what}" : what);
        }
    }

    private static string? Said(PropertyInfo p, object? then, object? now, Catalogue stock)
    {
        if (p.GetCustomAttribute<MeasureAttribute>() is { } m)
            return $"{Words.Inside(m.Label)} {(then is double was ? $"{QuantityText.Of(was, m.Dimension)} → " : "")}"
                + (now is double v ? QuantityText.Of(v, m.Dimension) : "from the catalogue");
        if (p.GetCustomAttribute<StockChoiceAttribute>() is { } c)
            return Words.Inside(stock.Lists[c.List].FirstOrDefault(r => r.Id == (string?)now)?.Name ?? c.Label);
        if (p.GetCustomAttribute<OptionAttribute>() is { } o)
            return $"{Words.Inside(o.Label)}: {(now is null ? "not said" : Option(now))}";
        return now is AnchorEnd end ? $"to {Shown(end.Anchor)}" : p.Name == "At" ? "foot moved" : p.Name == "Site"
            ? $"foot on the {Shown((string)now!)}" : null;
    }

    private static string Option(object value) =>
        value.GetType().GetField(value.ToString()!)?.GetCustomAttribute<DescriptionAttribute>()?.Description ?? Shown(value.ToString()!);

    private static bool Same(object? a, object? b) =>
        a is IStructuralEquatable x && b is not null ? x.Equals(b, StructuralComparisons.StructuralEqualityComparer) : Equals(a, b);
}
