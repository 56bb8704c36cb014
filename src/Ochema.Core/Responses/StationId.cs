using System.Text.Json;
using System.Text.Json.Serialization;

namespace Ochema.Core.Responses;

/// <summary>
/// A row of the spine: a station of the load path, a strut or strap of the user's, the tethers. No text passes for it, nor it for text, so
/// that a part's name never stands where a row is meant.
/// </summary>
[JsonConverter(typeof(AsText))]
public readonly record struct StationId
{
    private readonly string? text;
    private readonly string? user;

    private StationId(string text, string? user = null, bool brace = false) => (this.text, this.user, IsBrace) = (text, user, brace);

    /// <summary>All of it.</summary>
    public static StationId Rig { get; } = new("rig");

    /// <summary>What the rig is held on.</summary>
    public static StationId Site { get; } = new("site");

    /// <summary>How it holds on.</summary>
    public static StationId Base { get; } = new("base");

    /// <summary>The soft mount; there is one, on the first path.</summary>
    public static StationId Isolator { get; } = new("isolator") { Family = "isolator" };

    /// <summary>All tethers share a row.</summary>
    public static StationId Tether { get; } = new("tether");

    /// <summary>A strut, by the user's id.</summary>
    public static StationId Brace(string id) => new("brace:" + id, id, true);

    /// <summary>A strap, by the user's id.</summary>
    public static StationId Strap(string id) => new("strap:" + id, id);

    /// <summary>A station that there is one of on each path.</summary>
    /// <param name="family">"camera", "head" or "reach".</param>
    /// <param name="text">As reports call it there.</param>
    /// <param name="second">True on the way to a second camera.</param>
    internal static StationId OnPath(string family, string text, bool second) => new(text) { Family = family, IsOfSecond = second };

    /// <summary>True for a strut.</summary>
    public bool IsBrace { get; }

    /// <summary>True on the way to a second camera.</summary>
    public bool IsOfSecond { get; private init; }

    /// <summary>Which station of a path it is: "head" for the second camera's head as well; the row's own name for all others.</summary>
    public string Family { get => field ?? ToString(); private init; }

    /// <summary>The user's id of a strut or strap; the row's own name for all others.</summary>
    public string UserId => user ?? ToString();

    /// <summary>True for the row that reports call so.</summary>
    public bool Is(string called) => ToString() == called;

    /// <summary>As reports call it.</summary>
    public override string ToString() => text ?? "";

    /// <summary>Rows are one where they are called the same.</summary>
    public bool Equals(StationId other) => ToString() == other.ToString();

    /// <inheritdoc/>
    public override int GetHashCode() => ToString().GetHashCode(StringComparison.Ordinal);

    /// <summary>Published, never read.</summary>
    private sealed class AsText : JsonConverter<StationId>
    {
        public override StationId Read(ref Utf8JsonReader reader, Type type, JsonSerializerOptions options) =>
            throw new JsonException("is published only");

        public override void Write(Utf8JsonWriter writer, StationId value, JsonSerializerOptions options) =>
            writer.WriteStringValue(value.ToString());
    }
}
