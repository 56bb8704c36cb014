using System.Net.Http.Json;
using System.Text.Json.Nodes;
using OpenQA.Selenium;

namespace Ochema.Ui.Tests;

/// <summary>A phone beside the vehicle, through its own door: paired by a code, by touch, through breaks of the network.</summary>
public sealed class PhoneTests
{
    private const string Rig = "demo-2-bonnet-close-up-braced", Other = "demo-1-bonnet-close-up";

    private static HttpClient Desk(Browser browser) => new() { BaseAddress = new Uri(browser.Address) };

    private static int Lines(Browser browser)
    {
        using var desk = Desk(browser);
        return desk.GetFromJsonAsync<JsonArray>($"api/rigs/{Rig}/log").Result!.Count;
    }

    [Fact]
    public async Task ProvesAndRunsByTouchThroughABreakAndIsTakenAway()
    {
        using var browser = new Browser(phone: "http");
        browser.AsPhone();
        browser.Driver.Navigate().GoToUrl(browser.PhoneAddress!);
        Browser.Until("the page that asks", () => new Uri(browser.Driver.Url).AbsolutePath == "/pair");
        Assert.Equal("", browser.Axe());
        browser.Pair(Rig);
        Browser.Until("its verdict", () => browser.Body.Contains("Holds to", StringComparison.OrdinalIgnoreCase));
        Assert.Equal("", browser.Axe());
        Assert.Equal(390, browser.Script<long>("return document.documentElement.scrollWidth"));
        // A rig of somebody else is not there, whatever the address says.
        browser.Driver.Navigate().GoToUrl(browser.PhoneAddress + $"#/rig/{Other}/run");
        Browser.Until("its own rigs", () => browser.Driver.FindElements(By.CssSelector("[data-phone-rig]")).Count == 1);
        browser.Tap("[href$='/prove']");
        Browser.Until("the ladder", () => browser.Driver.FindElements(By.CssSelector("[data-rung]")).Count > 3);
        browser.Tap("[data-rung=pulls]");
        // The figure with the arrow where to pull, drawn flat.
        Browser.Until("the arrow", () => browser.Driver.FindElements(By.CssSelector("[data-pull] [data-arrow]")).Count == 1);
        var before = Lines(browser);
        browser.Find("[data-pull] input").SendKeys("9");
        browser.Tap("[data-passed]");
        Browser.Until("sent", () => Lines(browser) == before + 1);
        browser.Tap("header [href$='/run']");
        Browser.Until("the card", () => browser.Driver.FindElements(By.CssSelector("[data-allowed]")).Count == 1);
        Browser.Until("its ticks", () => browser.Driver.FindElements(By.CssSelector("[data-tick] > button")).Count > 3);
        Assert.DoesNotContain("Phone beside the vehicle", browser.Body, StringComparison.Ordinal);
        browser.KillServer();
        browser.Tap("[data-tick] > button");
        Browser.Until("kept", () => browser.Find("[data-waiting]").GetDomAttribute("data-waiting") == "1");
        browser.StartServer();
        Browser.Until("sent, once", () => Lines(browser) == before + 2, seconds: 40);
        // Taken away at the computer: it writes nothing more, and loses nothing.
        using var desk = Desk(browser);
        var phones = (await desk.GetFromJsonAsync<JsonNode>("api/phone"))!["phones"]!.AsArray();
        Assert.True((await desk.DeleteAsync($"api/phone/phones/{(string)phones.Single()!["id"]!}")).IsSuccessStatusCode);
        browser.Tap("[data-tick]:nth-of-type(2) > button");
        Browser.Until("said so", () => browser.Body.Contains("not let in", StringComparison.Ordinal));
        browser.Driver.Navigate().Refresh();
        Browser.Until("asked for a code", () => new Uri(browser.Driver.Url).AbsolutePath == "/pair");
        Assert.Equal(before + 2, Lines(browser));
        browser.Pair(Rig);
        browser.Tap("[href$='/run']");
        Browser.Until("what it kept is sent", () => Lines(browser) == before + 3, seconds: 40);
    }

    [Fact]
    public void UnderItsOwnCertificateItOpensWithoutTheNetworkAndFeels()
    {
        using var browser = new Browser(phone: "https");
        browser.AsPhone();
        browser.Pair(Rig);
        Browser.Until("kept", () => browser.Find("[data-kept]").GetDomAttribute("data-kept") == "true");
        browser.Tap("[href$='/run']");
        Browser.Until("the card", () => browser.Driver.FindElements(By.CssSelector("[data-allowed]")).Count == 1);
        browser.Tap("header [href$='/prove']");
        Browser.Until("the ladder", () => browser.Driver.FindElements(By.CssSelector("[data-rung]")).Count > 3);
        // The tap test by the phone's own sensors: a ringing at 6 Hz, felt a hundred times a second.
        browser.Tap("[data-rung=tap]");
        browser.Tap("[data-record]");
        browser.Script<object>("""
            const began = performance.now();
            let n = 0;
            const noise = () => 0.03 * (Math.random() - 0.5);
            const clock = setInterval(() => {
              // As many as a hundred a second are by now, each with its own time, however late this is called.
              for (; n * 10 < performance.now() - began; n++) {
                const t = n / 100 - 1;
                const a = t < 0 ? 0 : 3 * Math.exp(-1.2 * t) * Math.sin(2 * Math.PI * 6 * t);
                const felt = new DeviceMotionEvent('devicemotion', {
                  accelerationIncludingGravity: { x: a + noise(), y: 0.1 * a + noise(), z: 9.81 + noise() },
                });
                Object.defineProperty(felt, 'timeStamp', { value: began + n * 10 });
                window.dispatchEvent(felt);
              }
              if (n > 1300) clearInterval(clock);
            }, 10);
            """);
        Browser.Until("heard", () => browser.Body.Contains("samples a second", StringComparison.Ordinal), seconds: 40);
        var hertz = double.Parse(browser.Find("[data-rung-now=tap] input[inputmode=decimal]").GetDomProperty("value")!);
        Assert.Equal(6, hertz, 0.3);
        var before = Lines(browser);
        // The network goes; the page is opened anew all the same, with the card of before, and takes what is entered.
        browser.KillServer();
        browser.Driver.Navigate().GoToUrl("about:blank");
        browser.Driver.Navigate().GoToUrl(browser.PhoneAddress + $"#/rig/{Rig}/run");
        Browser.Until("the card of before", () => browser.Driver.FindElements(By.CssSelector("[data-allowed]")).Count == 1);
        Browser.Until("said to be of before", () => browser.Body.Contains("Offline: this card is of", StringComparison.Ordinal));
        Assert.NotEqual("0", browser.Find("[data-allowed]").GetDomAttribute("data-allowed"));
        // A card whose day is over allows nothing, whatever it said then.
        browser.Script<object>("""
            const kept = JSON.parse(localStorage.getItem(arguments[0]));
            kept.card.until = '2026-01-01T00:00:00Z';
            localStorage.setItem(arguments[0], JSON.stringify(kept));
            """, $"ochema.card.{Rig}");
        browser.Driver.Navigate().Refresh();
        Browser.Until("of another day", () => browser.Body.Contains("its day is over", StringComparison.Ordinal));
        Assert.Equal("0", browser.Find("[data-allowed]").GetDomAttribute("data-allowed"));
        Assert.False(browser.Find("[data-start]").Enabled);
        browser.Tap("[data-tick] > button");
        Browser.Until("kept", () => browser.Find("[data-waiting]").GetDomAttribute("data-waiting") == "1");
        browser.StartServer();
        Browser.Until("sent", () => Lines(browser) == before + 1, seconds: 40);
        Browser.Until("a card of today, unasked", () => browser.Find("[data-allowed]").GetDomAttribute("data-allowed") != "0", seconds: 40);
        Browser.Until("nothing waits", () => browser.Driver.FindElements(By.CssSelector("[data-waiting]")).Count == 0);
    }
}
