using System.Text.Json;
using System.Text.Json.Serialization;
using Ochema.Core.Responses;

namespace Ochema.Core.Rigs;

/// <summary>
/// A piece of a rig as its kind calls it: the row of the spine that it belongs to and a name that no other piece there has. Holes, steps,
/// prices and what came out at the bench refer to it; what it is called on a list, and which of a list it is, decide nothing.
/// </summary>
/// <param name="Station">Row of the spine.</param>
/// <param name="Name">As its kind calls it, small letters and dashes: "plate", "link-2".</param>
[JsonConverter(typeof(AsText))]
public readonly record struct PieceId(StationId Station, string Name)
{
    /// <summary>As documents and reports write it: "base/plate".</summary>
    public override string ToString() => $"{Station}/{Name}";

    /// <summary>Published, never read: documents name pieces by their text.</summary>
    private sealed class AsText : JsonConverter<PieceId>
    {
        public override PieceId Read(ref Utf8JsonReader reader, Type type, JsonSerializerOptions options) =>
            throw new JsonException("is published only");

        public override void Write(Utf8JsonWriter writer, PieceId value, JsonSerializerOptions options) =>
            writer.WriteStringValue(value.ToString());
    }
}
