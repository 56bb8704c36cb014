using Ochema.Core.Json;
using Ochema.Core.Making;
using Ochema.Core.Stock;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Rigs;

/// <summary>Names are one line of characters that are some; what a drawing or a list cannot carry never gets there.</summary>
public sealed class PlainTextTests
{
    [Theory]
    [InlineData("Roof, road ahead")]
    [InlineData("Κάμερα · камера · 屋根 · سيارة · שלום")]
    [InlineData("é, ñ, 🎥")]
    public void NamesOfAnyScriptAreTaken(string name) => PlainText.Name(name, "name");

    [Theory]
    [InlineData("a\nb", "control")]
    [InlineData("a\tb", "control")]
    [InlineData("a\u0000b", "control")]
    [InlineData("a\u0085b", "control")]
    [InlineData("a\u2028b", "more than one line")]
    [InlineData("a\ufffeb", "none")]
    [InlineData("a\ufdd0b", "none")]
    [InlineData("a\u202eb", "direction")]
    [InlineData("", "empty")]
    public void WhatANameMayNotHaveIsSaid(string name, string says) =>
        Assert.Contains(says, Assert.Throws<DocumentException>(() => PlainText.Name(name, "name")).Reason);

    [Fact]
    public void HalfOfACharacterIsNone() =>
        Assert.Contains("half", Assert.Throws<DocumentException>(() => PlainText.Name("a" + (char)0xD800 + "b", "name")).Reason);

    [Fact]
    public void NotesHaveLines()
    {
        PlainText.Note("a\nb\tc", "notes", 10);
        Assert.Throws<DocumentException>(() => PlainText.Note("a\rb", "notes", 10));
    }

    [Fact] // a name that was stored before it was refused puts no entity into a drawing, nor breaks its XML
    public void DrawingsAreCleanWhateverTheirPieceIsCalled()
    {
        var rig = RigFiles.Named("cup-plate-riser");
        var print = Maker.Of(rig, Catalogue.Shipped).Prints.First(p => p.Flat) with { Name = "Plate\r\n0\r\nCIRCLE\ufffe <b>&" };
        var clean = Maker.Of(rig, Catalogue.Shipped).Prints.First(p => p.Flat);
        Assert.Equal(TemplateFiles.Dxf(clean).Split("\r\n").Length, TemplateFiles.Dxf(print).Split("\r\n").Length);
        Assert.All(TemplateFiles.Dxf(print), c => Assert.True(c < 128));
        Assert.Contains("&lt;b&gt;&amp;", TemplateFiles.Svg(print));
        Assert.NotNull(System.Xml.Linq.XDocument.Parse(TemplateFiles.Svg(print)));
    }

    [Fact]
    public void LettersThatADrawingDoesNotKnowAreWrittenInThoseItKnows()
    {
        var print = Maker.Of(RigFiles.Named("cup-plate-riser"), Catalogue.Shipped).Prints.First(p =>
            p.Flat) with
        { Name = "Крыша 12 mm × 3" };
        Assert.Matches("Kr[a-z']+ 12 mm x 3", TemplateFiles.Dxf(print));
    }

    [Fact] // what is quoted of a document is said in short
    public void NobodysWordsAreEchoedAtLength()
    {
        var e = new DocumentException("factors." + new string('x', 5000), $"there is no host '{new string('y', 5000)}'; known: a, b");
        Assert.True(e.Message.Length < 400, e.Message);
        Assert.EndsWith("known: a, b", e.Reason);
        Assert.Equal("the bar's end is not the builder's to bend as it stands there by itself, isn't it", new DocumentException("x",
            "the bar's end is not the builder's to bend as it stands there by itself, isn't it").Reason);
    }
}
