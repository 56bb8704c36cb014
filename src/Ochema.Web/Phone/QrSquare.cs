using System.Text;
using QRCoder;

namespace Ochema.Web.Phone;

/// <summary>A text as a square that a phone's camera reads (ISO/IEC 18004).</summary>
/// <param name="Side">Modules along a side, the quiet zone included.</param>
/// <param name="Path">The dark modules as the path of a drawing, a unit a module.</param>
public sealed record QrSquare(int Side, string Path)
{
    public static QrSquare Of(string text)
    {
        using var data = QRCodeGenerator.GenerateQrCode(text, QRCodeGenerator.ECCLevel.M);
        var (side, path) = (data.ModuleMatrix.Count, new StringBuilder());
        for (var y = 0; y < side; y++)
            for (var x = 0; x < side; x++)
                if (data.ModuleMatrix[y][x])
                    path.Append($"M{x} {y}h1v1h-1z");
        return new(side, path.ToString());
    }

    /// <summary>The same in characters, for a terminal: two rows a line, light on dark as terminals are.</summary>
    public static string InCharacters(string text)
    {
        using var data = QRCodeGenerator.GenerateQrCode(text, QRCodeGenerator.ECCLevel.L);
        using var ascii = new AsciiQRCode(data);
        return ascii.GetGraphicSmall(invert: true);
    }
}
