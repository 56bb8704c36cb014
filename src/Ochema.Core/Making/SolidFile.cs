using System.Buffers.Binary;
using Ochema.Core.Structure;

namespace Ochema.Core.Making;

/// <summary>A body as a file for printers.</summary>
public static class SolidFile
{
    private const int Header = 80;
    private const int PerFacet = 50;
    private const string Says = "millimetres";

    /// <summary>As binary STL in millimetres: the format has no unit, its header says it.</summary>
    public static byte[] Stl(Solid solid)
    {
        var file = new byte[Header + 4 + PerFacet * solid.Facets.Count];
        System.Text.Encoding.ASCII.GetBytes(Says, file);
        BinaryPrimitives.WriteInt32LittleEndian(file.AsSpan(Header), solid.Facets.Count);
        var at = Header + 4;
        foreach (var f in solid.Facets)
        {
            var normal = (f.B - f.A).Cross(f.C - f.A) is { Length: > 0 } n ? n.Normalized() : Vec3.Zero;
            foreach (var v in new[] { normal, 1000 * f.A, 1000 * f.B, 1000 * f.C })
                foreach (var x in new[] { v.X, v.Y, v.Z })
                {
                    BinaryPrimitives.WriteSingleLittleEndian(file.AsSpan(at), (float)x);
                    at += 4;
                }
            at += 2;
        }
        return file;
    }
}
