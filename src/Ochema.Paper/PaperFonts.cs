using PdfSharp.Fonts;

namespace Ochema.Paper;

/// <summary>
/// The families that go into a PDF, as files: the interface's own, one for Greek, Cyrillic, Hebrew, Arabic and their neighbours, one for
/// Chinese and Japanese, one for Korean. The library knows one resolver for the whole process.
/// </summary>
internal sealed class PaperFonts : IFontResolver
{
    public const string Family = "Archivo";

    /// <summary>The family of Greek, Cyrillic, Hebrew, Arabic and their neighbours.</summary>
    public const string OfManyScripts = "DejaVu Sans";

    private sealed record Files(string Family, string Regular, string Bold);

    private static readonly Files[] All =
    [
        new(Family, "Archivo-Regular.ttf", "Archivo-SemiBold.ttf"), new(OfManyScripts, "DejaVuSans.ttf", "DejaVuSans-Bold.ttf"),
        // One weight only.
        new("Droid Sans Fallback", "DroidSansFallbackFull.ttf", "DroidSansFallbackFull.ttf"),
        new("Nanum Gothic Coding", "NanumGothicCoding.ttf", "NanumGothicCoding.ttf"),
    ];

    private static readonly Lock gate = new();

    /// <summary>In the order in which a letter is looked for.</summary>
    public static IEnumerable<string> Families => All.Select(f => f.Family);

    /// <summary>Makes them known, once.</summary>
    public static void Ready()
    {
        lock (gate)
            GlobalFontSettings.FontResolver ??= new PaperFonts();
    }

    /// <summary>The file of a family's regular face.</summary>
    public static byte[] Face(string family) => Read(All.First(f => f.Family == family).Regular);

    public FontResolverInfo ResolveTypeface(string familyName, bool isBold, bool isItalic)
    {
        var files = All.FirstOrDefault(f => f.Family == familyName) ?? All[0];
        return new(isBold ? files.Bold : files.Regular);
    }

    public byte[] GetFont(string faceName) => Read(faceName);

    private static byte[] Read(string faceName)
    {
        using var file = typeof(PaperFonts).Assembly.GetManifestResourceStream(faceName)
            ?? throw new InvalidOperationException($"the font {faceName} is not in the assembly");
        using var bytes = new MemoryStream();
        file.CopyTo(bytes);
        return bytes.ToArray();
    }
}
