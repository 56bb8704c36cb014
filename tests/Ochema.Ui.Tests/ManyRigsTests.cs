using System.Diagnostics;
using System.Net.Http.Json;
using System.Text;
using System.Text.Json.Nodes;
using OpenQA.Selenium;

namespace Ochema.Ui.Tests;

/// <summary>A yard of five hundred rigs.</summary>
public sealed class ManyRigsTests : IDisposable
{
    private const int Many = 500;
    private readonly Browser browser = new();

    public void Dispose() => browser.Dispose();

    [Fact]
    public async Task AYardOfFiveHundredRigsOpensAtOnceAndFillsItself()
    {
        using var client = new HttpClient { BaseAddress = new Uri(browser.Address) };
        var document = (await client.GetFromJsonAsync<JsonNode>("api/rigs/demo-1-bonnet-close-up"))!["document"]!;
        for (var i = 0; i < Many; i++)
        {
            document["name"] = $"rig {i}";
            document["run"]!["speed"] = 10 + 0.01 * i;
            var body = new StringContent($$"""{"document":{{document.ToJsonString()}}}""", Encoding.UTF8, "application/json");
            (await client.PostAsync("api/rigs", body)).EnsureSuccessStatusCode();
        }
        int Shown(string css) => (int)browser.Script<long>($"return document.querySelectorAll('{css}').length");
        browser.Driver.Navigate().GoToUrl("about:blank");
        var watch = Stopwatch.StartNew();
        browser.Driver.Navigate().GoToUrl(browser.Address);
        Browser.Until("all cards", () => Shown("[data-rig]") >= Many);
        // Half a second on a free machine; told apart from one that works them all out first, which takes ten.
        Assert.True(watch.Elapsed.TotalSeconds < 5, $"{watch.Elapsed.TotalSeconds:0.0} s to all cards");
        // It answers while the verdicts come in.
        browser.Button("Start a rig from a recipe").Click();
        browser.Find("[data-recipe=cup-and-arm]");
        new OpenQA.Selenium.Interactions.Actions(browser.Driver).SendKeys(Keys.Escape).Perform();
        Browser.Until("all verdicts", () => Shown("li:not(:has([aria-busy=true])) [data-rig]") >= Many, seconds: 60);
    }
}
