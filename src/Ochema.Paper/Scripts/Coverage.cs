using System.Buffers.Binary;
using System.Collections;

namespace Ochema.Paper.Scripts;

/// <summary>
/// Which characters of the basic plane a TrueType face has: its character map in format 4 (OpenType specification, "cmap"), which every
/// face that ships here has.
/// </summary>
internal static class Coverage
{
    private const int Windows = 3;
    private const int Basic = 1;

    /// <exception cref="InvalidOperationException">The face has no such map.</exception>
    public static BitArray Of(ReadOnlySpan<byte> face)
    {
        var map = Map(face);
        if (Word(map, 0) != 4)
            throw new InvalidOperationException("the character map is of another format");
        var covered = new BitArray(0x10000);
        var segments = Word(map, 6) / 2;
        var (ends, starts) = (14, 16 + 2 * segments);
        var (deltas, offsets) = (starts + 2 * segments, starts + 4 * segments);
        for (var i = 0; i < segments; i++)
        {
            var (first, last) = (Word(map, starts + 2 * i), Word(map, ends + 2 * i));
            var (delta, offset) = (Word(map, deltas + 2 * i), Word(map, offsets + 2 * i));
            for (var c = first; c <= last && c < 0xFFFF; c++)
                // Straight from the character, or by the list of glyphs that stands behind the offsets.
                covered[c] = (offset == 0 ? (c + delta) & 0xFFFF : Word(map, offsets + 2 * i + offset + 2 * (c - first))) != 0;
        }
        return covered;
    }

    private static ReadOnlySpan<byte> Map(ReadOnlySpan<byte> face)
    {
        for (var t = 0; t < Word(face, 4); t++)
        {
            var table = face[(12 + 16 * t)..];
            if (!table[..4].SequenceEqual("cmap"u8))
                continue;
            var maps = face[(int)BinaryPrimitives.ReadUInt32BigEndian(table[8..])..];
            for (var i = 0; i < Word(maps, 2); i++)
                if (Word(maps, 4 + 8 * i) == Windows && Word(maps, 6 + 8 * i) == Basic)
                    return maps[(int)BinaryPrimitives.ReadUInt32BigEndian(maps[(8 + 8 * i)..])..];
        }
        throw new InvalidOperationException("the face has no map of characters");
    }

    private static int Word(ReadOnlySpan<byte> at, int offset) => BinaryPrimitives.ReadUInt16BigEndian(at[offset..]);
}
