using System.Net.Http.Json;
using System.Text;
using System.Text.Json.Nodes;
using OpenQA.Selenium;

namespace Ochema.Ui.Tests;

/// <summary>The server goes away, another window saves, the browser keeps nothing: no verdict of another rig, no lost change, no
/// silence.</summary>
public sealed class OutageTests : IDisposable
{
    private const string Rig = "demo-1-bonnet-close-up";
    private readonly Browser browser = new();

    public void Dispose() => browser.Dispose();

    private string Verdict => browser.Find("[data-verdict]").Text;

    private string Speed => browser.Find("[role=slider]").GetAttribute("aria-valuetext")!;

    private void Save(string state) => Browser.Until(state, () => browser.Driver.FindElements(By.CssSelector($"[data-save={state}]")).Count
        > 0);

    private void Faster()
    {
        var slider = browser.Find("[role=slider]");
        for (var i = 0; i < 6; i++)
            slider.SendKeys(Keys.PageUp);
    }

    private async Task<JsonNode> Stored()
    {
        using var client = new HttpClient { BaseAddress = new Uri(browser.Address) };
        return (await client.GetFromJsonAsync<JsonNode>($"api/rigs/{Rig}"))!;
    }

    [Fact]
    public async Task AfterAnOutageTheVerdictIsOfTheRigOnTheScreen()
    {
        browser.OpenRig(Rig);
        Browser.Until("a verdict", () => Verdict.StartsWith("Tight", StringComparison.Ordinal));
        browser.KillServer();
        Faster();
        Browser.Until("no verdict of the rig before", () => Verdict.StartsWith("No verdict for this yet", StringComparison.Ordinal));
        Save("failing");
        Assert.Contains("kept here and tried again", browser.Body);
        Assert.Equal("none", browser.Find("[data-verdict]").GetAttribute("data-verdict"));
        browser.StartServer();
        Browser.Until("a verdict of the new speed", () => Verdict.StartsWith("Lets go", StringComparison.Ordinal));
        Save("saved");
        Assert.Empty(browser.Driver.FindElements(By.CssSelector("main [role=alert]")));
        // What is stored is what is seen, and is judged the same.
        var stored = (await Stored())["document"]!;
        using var client = new HttpClient { BaseAddress = new Uri(browser.Address) };
        var answer = await client.PostAsync("api/assess?advice=false",
            new StringContent(stored.ToJsonString(), Encoding.UTF8, "application/json"));
        Assert.Equal("lets-go", (string)(await answer.Content.ReadFromJsonAsync<JsonNode>())!["drive"]!["verdict"]!["word"]!);
    }

    [Fact]
    public void AChangeThatDidNotReachTheServerIsThereAfterAReload()
    {
        browser.OpenRig(Rig);
        browser.KillServer();
        Faster();
        Save("failing");
        var speed = Speed;
        browser.Driver.Navigate().GoToUrl("about:blank");
        browser.StartServer();
        browser.OpenRig(Rig);
        Browser.Until("the speed again", () => Speed == speed);
        Save("saved");
    }

    [Fact]
    public async Task AChangeInAnotherWindowIsNeitherOverwrittenNorAreMineLostByAReload()
    {
        browser.OpenRig(Rig);
        var theirs = await Stored();
        using (var client = new HttpClient { BaseAddress = new Uri(browser.Address) })
        {
            var document = theirs["document"]!;
            document["name"] = "Changed elsewhere";
            var put = new HttpRequestMessage(HttpMethod.Put, $"api/rigs/{Rig}")
            {
                Content = new StringContent(document.ToJsonString(), Encoding.UTF8, "application/json"),
            };
            put.Headers.TryAddWithoutValidation("If-Match", $"\"{theirs["version"]}\"");
            (await client.SendAsync(put)).EnsureSuccessStatusCode();
        }
        Faster();
        Save("conflict");
        var speed = Speed;
        // A reload asks again; it takes neither side by itself.
        browser.OpenRig(Rig);
        Save("conflict");
        Assert.Equal(speed, Speed);
        Assert.Equal("Changed elsewhere", (string)(await Stored())["name"]!);
        browser.Button("Save mine as the newest").Click();
        Save("saved");
        Assert.NotEqual("Changed elsewhere", (string)(await Stored())["name"]!);
        // The other one is a version, not gone.
        using var again = new HttpClient { BaseAddress = new Uri(browser.Address) };
        var versions = (await again.GetFromJsonAsync<JsonNode>($"api/rigs/{Rig}/versions"))!.AsArray();
        Assert.Equal(3, versions.Count);
    }

    [Fact]
    public async Task TwoWindowsThatAreLookedAtInTurnShowTheSameRig()
    {
        browser.OpenRig(Rig);
        var first = browser.Driver.CurrentWindowHandle;
        browser.Driver.SwitchTo().NewWindow(WindowType.Window);
        browser.OpenRig(Rig);
        Faster();
        Save("saved");
        var (speed, verdict, version) = (Speed, Verdict, (int)(await Stored())["version"]!);
        browser.Driver.SwitchTo().Window(first);
        browser.Script<object>("window.dispatchEvent(new Event('focus'))");
        Browser.Until("the other window's change", () => Speed == speed && Verdict == verdict);
        Assert.Contains("Changed in another window", browser.Body);
        Save("saved");
        // It goes on from there without a conflict, and what stood here comes back by undo.
        browser.Button("Undo").Click();
        Browser.Until("as it was", () => Speed != speed);
        Save("saved");
        Assert.Equal(version + 1, (int)(await Stored())["version"]!);
    }

    [Fact]
    public void ABrowserThatKeepsNothingStillWorksAndSaysSo()
    {
        browser.Driver.ExecuteCdpCommand("Page.addScriptToEvaluateOnNewDocument", new Dictionary<string, object?>
        {
            ["source"] = "for (const s of ['localStorage', 'sessionStorage']) "
                + "Object.defineProperty(window, s, { get() { throw new DOMException('blocked', 'SecurityError'); } });",
        });
        browser.OpenRig(Rig);
        browser.KillServer();
        Faster();
        Save("failing");
        Assert.Contains("this browser keeps nothing", browser.Body);
        browser.StartServer();
        Save("saved");
        Assert.DoesNotContain("this browser keeps nothing", browser.Body);
    }
}
