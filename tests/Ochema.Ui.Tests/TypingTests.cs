using System.Globalization;
using System.Net.Http.Json;
using System.Text.Json.Nodes;
using OpenQA.Selenium;
using OpenQA.Selenium.Chromium;

namespace Ochema.Ui.Tests;

/// <summary>A typed value lands where it was typed, whatever is clicked next; one that is not understood is not lost without a
/// word.</summary>
[Collection(SharedBrowser.Name)]
public sealed class TypingTests
{
    private const string Rig = "demo-2-bonnet-close-up-braced";
    private readonly Browser browser;

    public TypingTests(SharedBrowser shared)
    {
        browser = shared.Browser;
        browser.Reset();
    }

    private void Saved() => Browser.Until("saving", () => browser.Driver.FindElements(By.CssSelector("[data-save=saved]")).Count > 0);

    private JsonNode Stored()
    {
        using var client = new HttpClient { BaseAddress = new Uri(browser.Address) };
        return client.GetFromJsonAsync<JsonNode>($"api/rigs/{Rig}").Result!["document"]!;
    }

    /// <summary>The server thinks about each text for a while, as over a poor line.</summary>
    private void Slowly() => browser.Driver.NetworkConditions = new ChromiumNetworkConditions
    {
        Latency = TimeSpan.FromMilliseconds(250),
        DownloadThroughput = 10_000_000,
        UploadThroughput = 10_000_000,
    };

    private List<IWebElement> Fields() => [.. browser.Driver.FindElements(By.CssSelector("aside input.input"))];

    private static void Type(IWebElement field, string text)
    {
        field.Click();
        field.SendKeys(Keys.Control + "a");
        field.SendKeys(text);
    }

    /// <summary>Every number of a document by its path; parts of a list by their id.</summary>
    private static IEnumerable<(string Path, string Value)> Leaves(JsonNode? at, string path) => at switch
    {
        JsonObject o => o.SelectMany(p => Leaves(p.Value, path + "/" + p.Key)),
        JsonArray a => a.SelectMany((x, i) =>
            Leaves(x, path + "/" + (x is JsonObject named && named.ContainsKey("id") ? (string)named["id"]!
                : i.ToString(CultureInfo.InvariantCulture)))),
        null => [],
        _ => [(path, at.ToJsonString())],
    };

    [Theory]
    [InlineData("brace:left", "brace:right", "/braces/left/")]
    [InlineData("brace:right", "brace:left", "/braces/right/")]
    [InlineData("reach", "camera", "/paths/first/reach/")]
    [InlineData("camera", "reach", "/paths/first/camera/")]
    [InlineData("base", "head", "/base/ /at/")]
    [InlineData("tether", "base", "/tethers/tether/")]
    [InlineData("site", "base", "/site/")]
    public void EveryFieldKeepsItsValueToItsOwnPart(string row, string next, string belongs)
    {
        browser.OpenRig(Rig);
        Slowly();
        browser.Find($"[data-row='{row}']").Click();
        Browser.Until("fields", () => Fields().Count > 0);
        var tried = 0;
        for (var i = 0; i < Fields().Count; i++)
        {
            var field = Fields()[i];
            var shown = field.GetAttribute("value")!;
            if (shown.Split(' ') is not [var number, var unit] || !double.TryParse(number, CultureInfo.InvariantCulture, out var value)
                || value == 0)
                continue;
            var before = Leaves(Stored(), "").ToDictionary(l => l.Path, l => l.Value);
            Type(field, (value * 0.97).ToString("0.####", CultureInfo.InvariantCulture) + " " + unit);
            browser.Find($"[data-row='{next}']").Click();
            Browser.Until("a change or a word", () => Leaves(Stored(), "").Any(l => before.GetValueOrDefault(l.Path) != l.Value)
                || browser.Find("[role=status]").Text.Contains("was not taken", StringComparison.Ordinal));
            // One that was asked about is left as it was, and said; any other has landed.
            browser.Find($"[data-row='{row}']").Click();
            Browser.Until("fields", () => Fields().Count > i);
            Saved();
            var changed = Leaves(Stored(), "").Where(l => before.GetValueOrDefault(l.Path) != l.Value).Select(l => l.Path)
                // The day that it was measured is noted beside it, under its own path.
                .Where(path => !path.StartsWith("/measured/", StringComparison.Ordinal))
                // A place is one value: how long a rod is moves its foot both ways.
                .Select(path => path.EndsWith("/at/0", StringComparison.Ordinal) || path.EndsWith("/at/1", StringComparison.Ordinal)
                    ? path[..^1] : path)
                .Distinct().ToList();
            Assert.All(changed, c => Assert.Contains(belongs.Split(' '), b => c.StartsWith(b, StringComparison.Ordinal)));
            Assert.True(changed.Count <= 1, $"{shown}: {string.Join(", ", changed)}");
            Assert.True(changed.Count == 1 || browser.Find("[role=status]").Text.Contains("was not taken", StringComparison.Ordinal),
                $"{shown} typed over in {row}: nothing changed, nothing said");
            Assert.Empty(browser.Driver.FindElements(By.CssSelector("main [role=alert]")));
            tried++;
        }
        Assert.True(tried > 0);
    }

    /// <summary>The field is gone, and with it what it was drawn from: a panel of the whole rig has taken its place.</summary>
    [Theory]
    [InlineData("reach", "/paths/first/reach/length")]
    [InlineData("camera", "/paths/first/camera/")]
    public void AValueLandsAlsoWhenAPanelTakesTheFieldsPlace(string row, string belongs)
    {
        browser.OpenRig(Rig);
        Slowly();
        foreach (var panel in new[] { "Versions", "Conditions" })
        {
            browser.Find($"[data-row='{row}']").Click();
            var field = Browser.Until("a field", () => Fields().FirstOrDefault(f =>
                f.GetAttribute("value")!.EndsWith(" mm", StringComparison.Ordinal)));
            var value = double.Parse(field.GetAttribute("value")!.Split(' ')[0], CultureInfo.InvariantCulture);
            var before = Leaves(Stored(), "").ToDictionary(l => l.Path, l => l.Value);
            Type(field, (value * 0.97).ToString("0.####", CultureInfo.InvariantCulture) + " mm" + Keys.Enter);
            browser.Driver.FindElement(By.XPath($"//ol/following-sibling::div//button[contains(normalize-space(.), \"{panel}\")]")).Click();
            var path = Browser.Until($"the value, with {panel} open", () => Leaves(Stored(), "")
                .Select(l => before.GetValueOrDefault(l.Path) == l.Value
                ? null : l.Path).FirstOrDefault(p => p?.StartsWith("/measured/", StringComparison.Ordinal) == false));
            Assert.StartsWith(belongs, path, StringComparison.Ordinal);
            Saved();
        }
    }

    [Fact]
    public void AValueOfAJointLandsAlsoWhenAPanelTakesItsPlace()
    {
        browser.OpenRig(Rig);
        Slowly();
        browser.Find("[data-row='camera']").Click();
        browser.Button("As you built it").Click();
        var field = Browser.Until("a field of the joint", () => browser.Driver.FindElements(By.CssSelector("[data-joint] input.input"))
            .FirstOrDefault(f => f.Displayed));
        var asked = browser.Script<string>("return arguments[0].closest('div').querySelector('label').innerText", field);
        Type(field, (asked.Contains("orque", StringComparison.Ordinal) || asked.Contains("ighten", StringComparison.Ordinal) ? "2 N m"
            : "12 mm") + Keys.Enter);
        browser.Button("Versions").Click();
        Browser.Until($"“{asked}” in the document", () => Stored()["joints"] is JsonObject { Count: > 0 });
    }

    [Fact]
    public void AValueForAPartThatIsTakenAwayGoesWithIt()
    {
        browser.OpenRig(Rig);
        Slowly();
        browser.Find("[data-row='brace:left']").Click();
        Browser.Until("fields", () => Fields().Count > 0);
        Type(Fields()[0], "123 mm");
        browser.Button("Take this strut away").Click();
        Thread.Sleep(900);
        Saved();
        var braces = Stored()["braces"]!.AsArray();
        Assert.Equal("right", (string)Assert.Single(braces)!["id"]!);
        Assert.DoesNotContain("0.123", braces.ToJsonString());
    }

    [Fact]
    public void WhatIsNotUnderstoodIsSaidAlsoWhenItsFieldIsGone()
    {
        browser.OpenRig(Rig);
        browser.Find("[data-row=reach]").Click();
        Browser.Until("fields", () => Fields().Count > 0);
        Type(Fields()[0], "as long as it gets");
        browser.Find("[data-row=camera]").Click();
        Browser.Until("a word", () => browser.Find("[role=status]").Text.Contains("“as long as it gets” was not taken",
            StringComparison.Ordinal));
    }

    [Fact]
    public void AChangeThatCannotBeUsedDoesNotComeBackForEver()
    {
        browser.OpenRig(Rig);
        Saved();
        var bad = Stored();
        bad["paths"]![0]!["camera"]!["length"] = 0.2;
        browser.Script<object>("localStorage.setItem(arguments[0], arguments[1])", $"ochema.unsaved.{Rig}.closed-window",
            $$"""{"version":1,"document":{{bad.ToJsonString()}}}""");
        browser.OpenRig(Rig);
        Browser.Until("a word", () => browser.Find("[role=status]").Text.Contains("was left out", StringComparison.Ordinal));
        Browser.Until("a verdict", () => browser.Find("[data-verdict]").Text.StartsWith("Holds", StringComparison.Ordinal));
        browser.OpenRig(Rig);
        Saved();
        Assert.Equal(0L, browser.Script<long>($"return Object.keys(localStorage).filter(k => k.startsWith('ochema.unsaved.{Rig}')).length"));
    }
}
