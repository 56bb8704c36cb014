using System.Net.Http.Json;
using System.Text.Json.Nodes;
using OpenQA.Selenium;

namespace Ochema.Ui.Tests;

/// <summary>The card of the day on a phone: everything by touch, and nothing lost while the server is away.</summary>
public sealed class RunTests : IDisposable
{
    private const string Rig = "demo-2-bonnet-close-up-braced";
    private readonly Browser browser = new();

    public RunTests() => browser.AsPhone();

    public void Dispose() => browser.Dispose();

    private bool Ticked(string id) => browser.Find($"[data-tick='{id}']").GetDomAttribute("data-done") == "true";

    private int Lines()
    {
        using var client = new HttpClient { BaseAddress = new Uri(browser.Address) };
        return client.GetFromJsonAsync<JsonArray>($"api/rigs/{Rig}/log").Result!.Count;
    }

    [Fact]
    public void ADayBesideTheVehicle()
    {
        browser.Open($"#/rig/{Rig}/run");
        Browser.Until("the card", () => browser.Find("[data-allowed]").Text.Contains("up to 90 km/h", StringComparison.Ordinal));
        // Every target is one for gloves.
        Assert.Equal("", browser.Script<string>("""
            return [...document.querySelectorAll('main button, [aria-label="The run"] button')].filter((b) => b.offsetHeight && b.offsetHeight < 44)
                .map((b) => b.outerHTML.slice(0, 80)).join(' | ');
            """));
        Assert.False(browser.Find("[data-start]").Enabled);
        var before = Lines();
        var ids = browser.Driver.FindElements(By.CssSelector("[data-tick]")).Select(t => t.GetDomAttribute("data-tick")!).ToList();
        foreach (var id in ids)
        {
            if (browser.Driver.FindElements(By.CssSelector($"[data-tick='{id}'] input[inputmode=decimal]")).FirstOrDefault() is { } gauge)
                gauge.SendKeys("0.6");
            browser.Tap($"[data-tick='{id}'] > button");
            Browser.Until(id, () => Ticked(id));
        }
        Browser.Until("all sent", () => Lines() == before + ids.Count);
        Browser.Until("ready", () => browser.Find("[data-start]").Enabled);
        browser.Tap("[data-start]");
        Browser.Until("running", () => browser.Driver.FindElements(By.CssSelector("[data-end]")).Count == 1);
        Browser.Until("a look ahead", () => browser.Find("[data-look]").Text.Contains("Look again in", StringComparison.Ordinal));
        // The server goes away; what is noted meanwhile stays here, and is sent once.
        browser.KillServer();
        browser.Script<object>("[...document.querySelectorAll('button')].find((b) => b.textContent.trim() === 'It hums').setAttribute('data-hums', '')");
        browser.Tap("[data-hums]");
        Browser.Until("kept", () => browser.Find("[data-waiting]").GetDomAttribute("data-waiting") == "1");
        browser.Tap("[data-end]");
        Browser.Until("stopped", () => browser.Driver.FindElements(By.CssSelector("[data-start]")).Count == 1);
        Browser.Until("both kept", () => browser.Find("[data-waiting]").GetDomAttribute("data-waiting") == "2");
        browser.StartServer();
        Browser.Until("sent in their order, once", () => Lines() == before + ids.Count + 3, seconds: 40);
        Browser.Until("nothing waits", () => browser.Driver.FindElements(By.CssSelector("[data-waiting]")).Count == 0);
        browser.Open($"#/rig/{Rig}/run");
        Browser.Until("three runs", () => browser.Body.Contains("It hums", StringComparison.Ordinal));
        Assert.Equal("", browser.Axe());
    }

    [Fact]
    public void AStormTakesOffWhatItTakes()
    {
        browser.Open($"#/rig/{Rig}/run");
        Browser.Until("the card", () => browser.Find("[data-allowed]").Text.Contains("up to", StringComparison.Ordinal));
        browser.Tap("summary");
        browser.Find("details select option[value='10']").Click();
        Browser.Until("less", () => !browser.Find("[data-allowed]").Text.Contains("up to 90", StringComparison.Ordinal));
        Browser.Until("what took it", () => browser.Body.Contains(" takes ", StringComparison.Ordinal)
            || browser.Body.Contains(" take ", StringComparison.Ordinal));
    }
}
