namespace Ochema.Paper;

/// <summary>A sheet of paper, mm.</summary>
/// <param name="Name">As it is called in shops.</param>
public sealed record PaperSize(string Name, double Width, double Height)
{
    /// <summary>ISO 216.</summary>
    public static PaperSize A4 { get; } = new("A4", 210, 297);

    /// <summary>ANSI/ASME Y14.1, size A: 8½ × 11 in.</summary>
    public static PaperSize Letter { get; } = new("Letter", 215.9, 279.4);

    /// <summary>All that there are.</summary>
    public static IReadOnlyList<PaperSize> All { get; } = [A4, Letter];

    /// <summary>By name, whatever its case; null where there is none such.</summary>
    public static PaperSize? Of(string name) => All.FirstOrDefault(p => p.Name.Equals(name, StringComparison.OrdinalIgnoreCase));

    /// <summary>Laid on its side.</summary>
    public PaperSize Turned => this with { Width = Height, Height = Width };
}
