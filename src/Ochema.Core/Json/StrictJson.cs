using System.Text.Encodings.Web;
using System.Text.Json;
using System.Text.Json.Serialization;
using System.Text.Json.Serialization.Metadata;
using System.Text.RegularExpressions;

namespace Ochema.Core.Json;

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
            // Texts of the library name types of ours, which say nothing to whoever wrote the file.
            var path = PathPattern().Match(e.Message).Groups[1].Value.TrimStart('$').TrimStart('.');
            throw new DocumentException(path, e is NotSupportedException ? "names no kind" + Known(path) : "cannot be read");
        }
    }

    public static string Write<T>(T value) => JsonSerializer.Serialize(value, Options);

    /// <summary>The path of a reading error in our notation.</summary>
    public static string PathOf(JsonException e) => (e.Path ?? "").TrimStart('$').TrimStart('.');

    /// <summary>The reason of a reading error in words of whoever wrote the file: what is wrong, what is expected, where.</summary>
    public static string ReasonOf(JsonException e)
    {
        var m = e.Message;
        if (MissingPattern().Match(m) is { Success: true } missing)
            return $"misses {missing.Groups[1].Value}";
        if (UnknownPattern().Match(m) is { Success: true } unknown)
            return $"has a field '{unknown.Groups[1].Value}' that is not known here";
        if (m.Contains("type discriminator", StringComparison.Ordinal) || m.Contains("polymorphic", StringComparison.Ordinal))
            return "is of a kind that is not known, or names no kind" + Known(PathOf(e));
        if (ConvertedPattern().Match(m) is { Success: true } converted)
            return Expected(converted.Groups[1].Value);
        if (m.Contains("Duplicate", StringComparison.Ordinal))
            return "has a field twice";
        if (m.Contains("maximum configured depth", StringComparison.Ordinal))
            return "is nested too deeply";
        if (NullPattern().IsMatch(m))
            return "is null, and must be something";
        return e.LineNumber is { } line ? $"is not JSON at line {line + 1}, column {(e.BytePositionInLine ?? 0) + 1}: {Fault(m)}"
            : "cannot be read";
    }

    /// <summary>What is wrong with text that is not JSON at all.</summary>
    private static string Fault(string m) =>
        m.Contains("reached the end", StringComparison.Ordinal) || m.Contains("does not contain any JSON", StringComparison.Ordinal)
            || m.Contains("Expected depth", StringComparison.Ordinal)
            ? "it ends too early"
        : m.Contains("trailing comma", StringComparison.Ordinal) ? "a comma with nothing after it"
        : m.Contains("after a single JSON value", StringComparison.Ordinal) ? "something follows after its end"
        : m.Contains("expected either ','", StringComparison.Ordinal) || m.Contains("after a value", StringComparison.Ordinal)
        ? "a comma or the closing bracket is missing"
        : m.Contains("property name", StringComparison.Ordinal) ? "the name of a field in double quotes is expected"
        : m.Contains("start of a value", StringComparison.Ordinal) || m.Contains("invalid", StringComparison.Ordinal)
            ? "a value is expected"
        : "something is wrong there";

    /// <summary>The kinds that may stand at a path, where it ends in the name of a station.</summary>
    private static string Known(string path)
    {
        var last = path.Split('.')[^1].Split('[')[0];
        var family = KindRegistry.Families.FirstOrDefault(f => f.Station == last || f.Station + "s" == last
            || (last == "foot" && f.Station == "hold"));
        return family.Type is null ? "" : "; known: " + string.Join(", ", KindRegistry.Of(family.Type).Select(t => Kind.InfoOf(t).Id));
    }

    private static string Expected(string type)
    {
        var name = type.Replace("System.Nullable`1[", "", StringComparison.Ordinal).TrimEnd(']');
        if (name.Contains("List`1", StringComparison.Ordinal) || name.EndsWith('[') || type.EndsWith("[]", StringComparison.Ordinal))
            return "is not a list";
        if (NamedChoices.Names(name) is { } names)
            return $"is none of {string.Join(", ", names)}";
        if (typeof(StrictJson).Assembly.GetType(name) is { IsEnum: true } choice)
            return $"is none of {string.Join(", ", Enum.GetNames(choice).Select(JsonNamingPolicy.KebabCaseLower.ConvertName))}";
        return name switch
        {
            "System.Double" => "is not a number",
            "System.Int32" => "is not a whole number",
            "System.Boolean" => "is neither true nor false",
            "System.String" => "is not a text in double quotes",
            _ => "is not an object with fields",
        };
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
            TypeInfoResolver = new DefaultJsonTypeInfoResolver { Modifiers = { KindRegistry.AddToJson } },
        };
        options.Converters.Add(new JsonStringEnumConverter(JsonNamingPolicy.KebabCaseLower, allowIntegerValues: false));
        options.MakeReadOnly();
        return options;
    }

    [GeneratedRegex("could not be converted to (.*?)\\. Path")]
    private static partial Regex ConvertedPattern();

    [GeneratedRegex("(doesn't|does not) allow")]
    private static partial Regex NullPattern();

    [GeneratedRegex("Path: (\\S+)")]
    private static partial Regex PathPattern();

    [GeneratedRegex("missing required properties including: (.*?)\\.?$")]
    private static partial Regex MissingPattern();

    [GeneratedRegex("JSON property '(.*?)' could not be mapped")]
    private static partial Regex UnknownPattern();
}
