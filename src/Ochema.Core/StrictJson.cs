using System.Text.Encodings.Web;
using System.Text.Json;
using System.Text.Json.Serialization;
using System.Text.Json.Serialization.Metadata;
using System.Text.RegularExpressions;
using Ochema.Core.Rigs;

namespace Ochema.Core;

/// <summary>The one way JSON is read and written: camel case, nothing unknown, nothing twice, nothing missing, no silent default.</summary>
public static partial class StrictJson
{
    /// <summary>Options shared by the files, the API and the command line.</summary>
    public static JsonSerializerOptions Options { get; } = Create();

    /// <exception cref="DocumentException">Names the path and the reason.</exception>
    public static T Read<T>(string json)
    {
        try
        {
            return JsonSerializer.Deserialize<T>(json, Options) ?? throw new DocumentException("", "is empty");
        }
        catch (JsonException e)
        {
            throw new DocumentException(PathOf(e), ReasonOf(e));
        }
        catch (Exception e) when (e is NotSupportedException or InvalidOperationException or ArgumentException or FormatException)
        {
            throw new DocumentException("", Shorten(e.Message));
        }
    }

    public static string Write<T>(T value) => JsonSerializer.Serialize(value, Options);

    /// <summary>The path of a reading error in our notation.</summary>
    public static string PathOf(JsonException e) => (e.Path ?? "").TrimStart('$').TrimStart('.');

    /// <summary>The reason of a reading error, without .NET type names.</summary>
    public static string ReasonOf(JsonException e)
    {
        var m = e.Message;
        var missing = MissingPattern().Match(m);
        if (missing.Success)
            return $"misses {missing.Groups[1].Value}";
        var unknown = UnknownPattern().Match(m);
        if (unknown.Success)
            return $"has a field '{unknown.Groups[1].Value}' that is not known here";
        if (m.Contains("type discriminator", StringComparison.Ordinal) || m.Contains("polymorphic", StringComparison.Ordinal))
            return "is of a kind that is not known, or names no kind";
        if (m.Contains("could not be converted", StringComparison.Ordinal))
            return "is of the wrong type";
        if (m.Contains("Duplicate", StringComparison.Ordinal))
            return "has a field twice";
        return Shorten(m);
    }

    private static string Shorten(string m)
    {
        var cut = m.IndexOf(" Path:", StringComparison.Ordinal);
        return (cut > 0 ? m[..cut] : m).Trim();
    }

    private static JsonSerializerOptions Create()
    {
        var options = new JsonSerializerOptions(JsonSerializerDefaults.Web)
        {
            UnmappedMemberHandling = JsonUnmappedMemberHandling.Disallow,
            DefaultIgnoreCondition = JsonIgnoreCondition.WhenWritingNull,
            NumberHandling = JsonNumberHandling.Strict,
            AllowOutOfOrderMetadataProperties = true,
            AllowDuplicateProperties = false,
            RespectNullableAnnotations = true,
            RespectRequiredConstructorParameters = true,
            PropertyNameCaseInsensitive = false,
            MaxDepth = 32,
            WriteIndented = false,
            Encoder = JavaScriptEncoder.UnsafeRelaxedJsonEscaping,
            TypeInfoResolver = new DefaultJsonTypeInfoResolver { Modifiers = { Kinds.AddToJson, ShortNames } },
        };
        options.Converters.Add(new JsonStringEnumConverter(JsonNamingPolicy.KebabCaseLower, allowIntegerValues: false));
        options.MakeReadOnly();
        return options;
    }

    /// <summary>The names of mechanics (A, Iy, E, EA …) stay as the trade writes them.</summary>
    private static void ShortNames(JsonTypeInfo type)
    {
        if (type.Type.Namespace != typeof(Structure.ModelDocument).Namespace)
            return;
        foreach (var p in type.Properties)
            if (ModelNames.TryGetValue(p.Name, out var name))
                p.Name = name;
    }

    private static readonly Dictionary<string, string> ModelNames = new()
    {
        ["a"] = "A",
        ["iy"] = "Iy",
        ["iz"] = "Iz",
        ["j"] = "J",
        ["e"] = "E",
        ["g"] = "G",
        ["ea"] = "EA",
        ["i"] = "I",
    };

    [GeneratedRegex("missing required properties including: (.*?)\\.?$")]
    private static partial Regex MissingPattern();

    [GeneratedRegex("JSON property '(.*?)' could not be mapped")]
    private static partial Regex UnknownPattern();
}
