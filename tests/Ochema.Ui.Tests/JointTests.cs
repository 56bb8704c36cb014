using System.Net.Http.Json;
using System.Text.Json.Nodes;
using OpenQA.Selenium;

namespace Ochema.Ui.Tests;

/// <summary>A joint as it was built: something put between, a layer measured, a head sunk.</summary>
[Collection(SharedBrowser.Name)]
public sealed class JointTests
{
    private const string Rig = "demo-3-roof-road-ahead";
    private readonly Browser browser;

    public JointTests(SharedBrowser shared)
    {
        browser = shared.Browser;
        browser.Reset();
    }

    private JsonNode? Choice()
    {
        using var client = new HttpClient { BaseAddress = new Uri(browser.Address) };
        return client.GetFromJsonAsync<JsonNode>($"api/rigs/{Rig}").Result!["document"]!["joints"]?["head-screw"];
    }

    [Fact]
    public void LayersAreMeasuredAddedAndTakenOutAgain()
    {
        browser.OpenRig(Rig);
        browser.Find("[data-row=head]").Click();
        browser.Button("As you built it").Click();
        browser.Button("Put something between").Click();
        browser.Find("[data-added='0'] select option[value=rubber-washer]").Click();
        Browser.Until("in the drawing", () => browser.Find("[data-joint=head-screw] svg").Text.Contains("Rubber washer",
            StringComparison.Ordinal));
        Browser.Until("saved", () => (string?)Choice()?["added"]?[0]?["what"] == "rubber-washer");
        browser.Find("[data-layer=plate] summary").Click();
        var thickness = browser.Find("[data-layer=plate] input");
        thickness.Click();
        thickness.SendKeys("8 mm" + Keys.Tab);
        Browser.Until("measured", () => Choice()?["layers"]?[0]?["thickness"] is { } t && Math.Abs((double)t - 0.008) < 1e-9);
        Browser.Until("said", () => browser.Find("[data-layer=plate] summary").Text.Contains("8 mm, yours", StringComparison.Ordinal));
        Assert.Equal("", browser.Axe());
        browser.Button("Take it out").Click();
        Browser.Until("taken out", () => Choice()?["added"] is null);
        thickness = browser.Find("[data-layer=plate] input");
        thickness.Click();
        thickness.SendKeys(Keys.Control + "a");
        thickness.SendKeys(Keys.Backspace + Keys.Tab);
        Browser.Until("as the house has it", () => Choice() is null);
    }
}
