using System.Net.Http.Json;
using System.Text.Json.Nodes;
using OpenQA.Selenium;

namespace Ochema.Ui.Tests;

/// <summary>A magnet of one's own: from the drawer of a rig to the shelf, into the rig, changed there, taken over.</summary>
[Collection(SharedBrowser.Name)]
public sealed class ShelfTests
{
    private const string Rig = "demo-3-roof-road-ahead";
    private readonly Browser browser;

    public ShelfTests(SharedBrowser shared)
    {
        browser = shared.Browser;
        browser.Reset();
    }

    private JsonNode Get(string path)
    {
        using var client = new HttpClient { BaseAddress = new Uri(browser.Address) };
        return client.GetFromJsonAsync<JsonNode>(path).Result!;
    }

    private JsonNode Stored() => Get($"api/rigs/{Rig}")["document"]!;

    private void Fill(string label, string text)
    {
        var of = Browser.Until(label, () => browser.Driver.FindElements(By.XPath($"//label[contains(normalize-space(.), '{label}')]"))
            .LastOrDefault())
            .GetAttribute("for");
        var field = browser.Driver.FindElement(By.Id(of!));
        field.Click();
        field.SendKeys(Keys.Control + "a");
        field.SendKeys(text + Keys.Tab);
    }

    [Fact]
    public void AMagnetOfOnesOwnGoesFromTheDrawerToTheShelfAndIntoTheRig()
    {
        browser.OpenRig(Rig);
        browser.Find("[data-row=base]").Click();
        var before = browser.Find("[data-row=base]").Text;
        browser.Find("button[aria-label='Yours differs? Magnet']").Click();
        Browser.Until("the form", () => browser.Driver.FindElements(By.CssSelector("dialog textarea")).Count > 0);
        Assert.Equal("", browser.Axe());
        Fill("Pull on thick bare steel", "95 N");
        // At once: what was typed last is waited for.
        browser.Button("Put it on the shelf and use it").Click();
        Browser.Until("in the rig", () => browser.Find("[data-row=base]").Text is var now && now != before
            && now.Contains("my rubber-coated", StringComparison.Ordinal));
        Browser.Until("saved with its row", () => (double?)Stored()["stock"]?["magnets"]?[0]?["ratedPull"] == 95);

        // Measured again on the shelf: the rig stays as it was until it is told.
        var id = (string)Get("api/shelf")[0]!["id"]!;
        browser.Open($"#/shelf/magnets/{id}");
        browser.Button("Change it").Click();
        Fill("Pull on thick bare steel", "380 N");
        browser.Button("Keep it on the shelf").Click();
        Browser.Until("kept", () => (double)Get("api/shelf")[0]!["row"]!["ratedPull"]! == 380);
        browser.OpenRig(Rig);
        Assert.Equal(95, (double)Stored()["stock"]!["magnets"]![0]!["ratedPull"]!);
        browser.Button("Take the shelf").Click();
        Browser.Until("taken over", () => (double)Stored()["stock"]!["magnets"]![0]!["ratedPull"]! == 380);
        browser.Button("Undo").Click();
        Browser.Until("undone", () => (double)Stored()["stock"]!["magnets"]![0]!["ratedPull"]! == 95);

        // Another magnet: the rig does not carry what it is not made of.
        browser.Find("[data-row=base]").Click();
        browser.Driver.FindElement(By.XPath("//aside//select/option[normalize-space(.) = 'Pot magnet 90 mm']")).Click();
        Browser.Until("left behind", () => Stored()["stock"] is null);

        // Off the shelf, after one question.
        browser.Open($"#/shelf/magnets/{id}");
        browser.Button("Take it off the shelf").Click();
        browser.Button("Yes, off the shelf").Click();
        Browser.Until("gone", () => Get("api/shelf").AsArray().Count == 0);
    }

    [Fact]
    public void TheDayOfAMeasurementIsNotedAndShownInTheWorking()
    {
        browser.OpenRig(Rig);
        browser.Find("[data-row=base]").Click();
        Fill("Pull measured on this panel", "300 N");
        browser.Find("[data-taken]");
        var with = browser.Find("[data-taken] input[placeholder='with what']");
        with.SendKeys("luggage scale" + Keys.Tab);
        Browser.Until("saved", () => (string?)Stored()["measured"]?["base.hold.measuredPull"]?["how"] == "luggage scale");
        Assert.Equal(300, (double)Stored()["measured"]!["base.hold.measuredPull"]!["value"]!, 0.0005);
        Browser.Until("in the working", () =>
        {
            browser.Driver.FindElements(By.CssSelector("aside [data-check]")).First().Click();
            return browser.Driver.PageSource.Contains("luggage scale", StringComparison.Ordinal);
        });
        // Emptied, its day goes with it.
        Fill("Pull measured on this panel", "" + Keys.Backspace);
        Browser.Until("gone", () => Stored()["measured"] is null);
    }
}
