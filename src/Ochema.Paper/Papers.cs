using PdfSharp.Pdf;

namespace Ochema.Paper;

/// <summary>PDF files of a rig's plan.</summary>
internal static class Papers
{
    /// <summary>A document with its pages drawn, as a file.</summary>
    /// <param name="title">As a reader shows it.</param>
    /// <param name="draw">Adds pages.</param>
    public static byte[] Of(string title, Action<PdfDocument> draw)
    {
        PaperFonts.Ready();
        using var document = new PdfDocument();
        document.Info.Title = title;
        document.Info.Creator = "Ochema";
        draw(document);
        using var file = new MemoryStream();
        document.Save(file, false);
        return file.ToArray();
    }
}
