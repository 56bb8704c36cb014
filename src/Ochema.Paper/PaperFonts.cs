using PdfSharp.Fonts;

namespace Ochema.Paper;

/// <summary>The interface's own family, as files that go into a PDF. The library knows one resolver for the whole process.</summary>
internal sealed class PaperFonts : IFontResolver
{
    public const string Family = "Archivo";

    private const string Regular = "Archivo-Regular.ttf";
    private const string SemiBold = "Archivo-SemiBold.ttf";

    private static readonly Lock gate = new();

    /// <summary>Makes them known, once.</summary>
    public static void Ready()
    {
        lock (gate)
            GlobalFontSettings.FontResolver ??= new PaperFonts();
    }

    public FontResolverInfo ResolveTypeface(string familyName, bool isBold, bool isItalic) => new(isBold ? SemiBold : Regular);

    public byte[] GetFont(string faceName)
    {
        using var file = typeof(PaperFonts).Assembly.GetManifestResourceStream(faceName)
            ?? throw new InvalidOperationException($"the font {faceName} is not in the assembly");
        using var bytes = new MemoryStream();
        file.CopyTo(bytes);
        return bytes.ToArray();
    }
}
