using System.Text.Json.Nodes;
using System.Text.RegularExpressions;
using Ochema.Core.Assessment;
using Ochema.Core.Hosts;
using Ochema.Core.Json;
using Ochema.Core.Quantities;
using Ochema.Core.Rigs;
using Ochema.Core.Search;
using Ochema.Core.Sharpness;
using Ochema.Core.Stock;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Practice;

/// <summary>
/// All that the program says over every shipped rig, collected into one file (strings.txt beside the tests), to be read; and what no reader
/// should have to find by reading.
/// </summary>
public partial class StringsTests
{
    /// <summary>Fields that carry words for people.</summary>
    private static readonly HashSet<string> Spoken =
    [
        "text", "title", "label", "name", "says", "case", "part", "piece", "add", "caughtBy", "method", "notCovered", "source", "about",
            "caution", "howTo", "reason",
        "question", "because", "why", "refused", "by", "cautions", "missing", "range", "called", "mostName", "guess", "shake",
    ];

    private static readonly Lazy<IReadOnlyCollection<string>> All = new(Collect);

    private static SortedSet<string> Collect()
    {
        var said = new SortedSet<string>(StringComparer.Ordinal);
        void Walk(JsonNode? node, string field)
        {
            if (node is JsonObject o)
                foreach (var (k, v) in o)
                    Walk(v, k);
            else if (node is JsonArray a)
                foreach (var v in a)
                    Walk(v, field);
            else if (node is JsonValue value && Spoken.Contains(field) && value.TryGetValue<string>(out var text) && text.Any(char.IsLetter)
                && !Name().IsMatch(text))
                said.Add(QuantityText.Print(text, UnitSystem.Metric));
        }
        void Add<T>(T value) => Walk(JsonNode.Parse(StrictJson.Write(value)), "");
        foreach (var (_, rig) in RigFiles.All)
        {
            Add(Adviser.Assess(rig, Catalogue.Shipped));
            Add(Shaker.Of(rig, Catalogue.Shipped));
            Add(Schools.Of(rig, Catalogue.Shipped));
            Add(StrapEnds.Of(rig, 200, Catalogue.Shipped));
            // Struck places and refused rigs speak too.
            Add(Assessor.Assess(rig with
            {
                Survey = rig.Survey with
                {
                    SuctionAllowed = Answer.No,
                    DrillingAllowed = Answer.No,
                    Even = Answer.No,
                    MagnetSticks = Answer.No
                }
            }, Catalogue.Shipped));
        }
        Add(KindDescriptors.All(Catalogue.Shipped));
        Add(HostLibrary.All.Select(h => h.Published).ToList());
        Add(RecipeLibrary.All);
        foreach (var file in Directory.EnumerateFiles(Path.Combine(Root, "ui", "src"), "*.svelte", SearchOption.AllDirectories))
            foreach (Match m in Printed().Matches(Script().Replace(File.ReadAllText(file), "")))
                said.Add(Blank().Replace(m.Groups[1].Value, " ").Trim());
        File.WriteAllLines(Path.Combine(AppContext.BaseDirectory, "strings.txt"), said);
        return said;
    }

    /// <summary>Patterns that are wrong wherever they stand, with what is wrong.</summary>
    public static TheoryData<string, string> Wrong => new()
    {
        { @"\b([Aa]n?|[Tt]he|of|in|on|at|with|is) \1\b", "a word twice" },
        { @"\b[Aa] [aeio](?!ne\b|nce\b|uropean)[a-z]", "a before a vowel" },
        { @"\b[Aa]n (?![aeiouhAEIOUMSLNFRX8]|1[18]\b)", "an before a consonant" },
        { @"  |\( | \)| [,;:]|\.\.(?!\.)|,,|;;|\s$|^\s", "spaces and stops" },
        { @"\bretentions?\b", "an office word: what keeps it" },
        { @"root mean square", "an office word" },
        { @"\b[Bb]races?\b(?! (?:yourself|against))", "a brace is called a strut" },
        { @"\b[Ii]solators?\b", "an isolator is called a soft mount" },
        { @"\bconsequence\b|\butili[sz]|\bimplement|\bparameter", "an office word" },
        { @"\bsafe(?:ty|ly)?\b(?! (?:wire|pin|distance))", "nothing is called safe" },
        { @"\{[a-z]+:", "a quantity that was not printed" },
        { @"!\s|!$", "an exclamation mark" },
        { @"\bNaN\b|∞|Infinity", "no number" },
        { @"\b(?:Ochema|System)\.[A-Z]", "a name from inside" },
    };

    [Theory]
    [MemberData(nameof(Wrong))]
    public void NobodyHasToReadThis(string pattern, string what)
    {
        var found = All.Value.Where(s => Regex.IsMatch(s, pattern)).ToList();
        Assert.True(found.Count == 0, $"{what}, in {found.Count}:\n{string.Join('\n', found.Take(60))}");
    }

    [Fact]
    public void ThereIsMuchToRead() => Assert.InRange(All.Value.Count, 1500, 20000);

    [Fact]
    public void SentencesBeginLargeAndNamesInsideThemSmall()
    {
        foreach (var s in All.Value.Where(s => s.EndsWith('.') && s.Length > 40))
            Assert.True(!char.IsLower(s[0]) || Fragment().IsMatch(s), s);
    }

    private static string Root
    {
        get
        {
            var at = AppContext.BaseDirectory;
            while (!File.Exists(Path.Combine(at, "Ochema.slnx")))
                at = Path.GetDirectoryName(at)!;
            return at;
        }
    }

    /// <summary>Words of the interface's own: what stands between tags without anything inserted.</summary>
    [GeneratedRegex(@">([^<>{}=;|&]*[a-z]{3}[^<>{}=;|&]*)<")]
    private static partial Regex Printed();

    [GeneratedRegex(@"<script.*?</script>", RegexOptions.Singleline)]
    private static partial Regex Script();

    [GeneratedRegex(@"\s+")]
    private static partial Regex Blank();

    /// <summary>Names of fields and parts for programs, not for people.</summary>
    [GeneratedRegex("^[a-z]+([A-Z][a-z]+)*$")]
    private static partial Regex Name();

    /// <summary>Fragments that stand behind a label of their own.</summary>
    [GeneratedRegex("^(what|how|from|with|the|a|an|of|for|to|in|on|at) ")]
    private static partial Regex Fragment();
}
