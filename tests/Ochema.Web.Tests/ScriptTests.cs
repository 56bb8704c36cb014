using Ochema.Core.Kinds;
using Ochema.Core.Making;
using Ochema.Core.Quantities;
using Ochema.Core.Stock;
using Ochema.Data;
using Ochema.Paper;
using Ochema.Paper.Scripts;
using UglyToad.PdfPig;

namespace Ochema.Web.Tests;

/// <summary>Names in any script on paper: no boxes, letters joined, lines in the order that they are read in.</summary>
public sealed class ScriptTests
{
    private static string All(string line) => string.Concat(PrintedText.Of(line).Select(r => r.Text));

    [Theory]
    [InlineData("Roof, road ahead: 12 mm", "Archivo")]
    [InlineData("Über die Straße, très près", "Archivo")]
    [InlineData("Κάμερα στη σκεπή", "Archivo,DejaVu Sans")]
    [InlineData("Камера на крыше", "Archivo,DejaVu Sans")]
    [InlineData("屋根の上のカメラ", "Droid Sans Fallback")]
    [InlineData("지붕 위 카메라", "Nanum Gothic Coding,Droid Sans Fallback,Archivo")]
    [InlineData("车顶摄像机 12 mm", "Droid Sans Fallback,Archivo")]
    public void EachLetterIsInAFaceThatHasIt(string line, string families)
    {
        Assert.Equal(line, All(line));
        Assert.Subset(families.Split(',').ToHashSet(), PrintedText.Of(line).Select(r => r.Family).ToHashSet());
        Assert.False(PrintedText.IsTransliterated(line));
    }

    [Theory] // Unicode's own charts: initial, medial and final forms; lam and alef are one; what joins back only ends a word's piece
    [InlineData("\u0633\u064A\u0627\u0631\u0629", "\uFEB3\uFEF4\uFE8E\uFEAD\uFE93")] // sayyara, car
    [InlineData("\u0633\u0644\u0627\u0645", "\uFEB3\uFEFC\uFEE1")] // salam, peace
    [InlineData("\u062F\u0627\u0631", "\uFEA9\uFE8D\uFEAD")] // dar, house: none joins on
    [InlineData("\u0628\u0651\u0628", "\uFE91\u0651\uFE90")] // a mark between does not part them
    [InlineData("roof", "roof")]
    public void ArabicLettersAreJoined(string read, string joined) => Assert.Equal(joined, ArabicForms.Joined(read));

    [Theory] // UAX #9: read from the right, numbers from the left, brackets mirrored
    [InlineData("abc", "abc")]
    [InlineData("\u05D0\u05D1\u05D2", "\u05D2\u05D1\u05D0")]
    [InlineData("\u05D0\u05D1 12 \u05D2", "\u05D2 12 \u05D1\u05D0")]
    [InlineData("\u05D0\u05D1 (12)", "(12) \u05D1\u05D0")]
    [InlineData("mount \u05D0\u05D1\u05D2 here", "mount \u05D2\u05D1\u05D0 here")]
    [InlineData("\u05D0\u05D1: build plan", "build plan :\u05D1\u05D0")]
    [InlineData("car \u05D0 1,5 kg", "car 1,5 \u05D0 kg")]
    public void LinesStandInTheOrderThatTheyAreReadIn(string read, string stands) => Assert.Equal(stands, VisualOrder.Of(read));

    [Fact]
    public void WhatNoFaceHasIsWrittenInLatinLettersAndSaid()
    {
        Assert.True(PrintedText.IsTransliterated("कैमरा"));
        Assert.Matches("^[ -~]+$", All("कैमरा"));
        var pages = Plan("कैमरा on the roof");
        Assert.Contains("notypeherefor", pages);
        Assert.DoesNotContain("notypeherefor", Plan("Κάμερα on the roof"));
    }

    [Theory]
    [InlineData("屋根の上のカメラ屋根の上のカメラ屋根の上のカメラ屋根の上のカメラ屋根の上のカメラ屋根の上のカメラ")]
    [InlineData("Donaudampfschifffahrtsgesellschaftskapitaensmuetzenhalterungsdachkonstruktionsbauplanaufsatz")]
    public void ALongNameWithoutSpacesStaysOnThePaper(string name)
    {
        using var file = PdfDocument.Open(File(name));
        foreach (var page in file.GetPages())
        {
            foreach (var letter in page.Letters)
                Assert.InRange(letter.EndBaseLine.X, 0, page.Width - 20);
            // The foot is clear of the page's number.
            var number = page.Letters.Where(l => l.StartBaseLine.Y < 40 && char.IsAsciiDigit(l.Value[0]))
                .OrderByDescending(l => l.StartBaseLine.X).First();
            Assert.All(page.Letters.Where(l => l.StartBaseLine.Y < 40 && l.EndBaseLine.X < number.StartBaseLine.X - 1),
                l => Assert.True(l.EndBaseLine.X < number.StartBaseLine.X - 4));
        }
    }

    [Fact] // every letter that our own type has is printed as it was, in one piece
    public void OwnLettersAreLeftAsTheyAre()
    {
        foreach (var (_, document) in DemoFilm.Rigs)
            Assert.Single(PrintedText.Of(document.Name));
    }

    private static byte[] File(string name)
    {
        var rig = DemoFilm.Rigs[0].Document with { Name = name };
        return PlanPaper.Of(name, Maker.Of(rig, Catalogue.Shipped), PaperSize.Of("a4")!, UnitSystem.Metric,
            RigAssembly.Build(rig, Catalogue.Shipped).Figure);
    }

    private static string Plan(string name)
    {
        using var file = PdfDocument.Open(File(name));
        return string.Concat(file.GetPages().SelectMany(p => p.Letters.Select(l => l.Value)).Where(v => !string.IsNullOrWhiteSpace(v)));
    }
}
