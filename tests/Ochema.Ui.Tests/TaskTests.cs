using System.Net.Http.Json;
using System.Text;
using System.Text.Json.Nodes;
using OpenQA.Selenium;
using OpenQA.Selenium.Interactions;

namespace Ochema.Ui.Tests;

/// <summary>What a new user sets out to do, each without a wrong turn.</summary>
[Collection(SharedBrowser.Name)]
public sealed class TaskTests(SharedBrowser shared)
{
    private const string Bonnet = "demo-1-bonnet-close-up";
    private const string Roof = "demo-3-roof-road-ahead";
    private readonly Browser browser = shared.Fresh<TaskTests>();

    private string Verdict => browser.Find("[data-verdict]").Text;

    private HttpClient Client() => new() { BaseAddress = new Uri(browser.Address) };

    /// <summary>A rig of this test's own, opened.</summary>
    private string Copy(string of)
    {
        using var client = Client();
        var id = (string)client.PostAsync($"api/rigs/{of}/duplicate", null).Result.Content.ReadFromJsonAsync<JsonNode>().Result!["id"]!;
        browser.OpenRig(id);
        return id;
    }

    private JsonNode Stored(string id)
    {
        using var client = Client();
        return client.GetFromJsonAsync<JsonNode>($"api/rigs/{id}").Result!["document"]!;
    }

    private string Text(string path)
    {
        using var client = Client();
        return client.GetStringAsync(path).Result;
    }

    private void Put(string path, string body, string? etag = null)
    {
        using var client = Client();
        var put = new HttpRequestMessage(HttpMethod.Put, path) { Content = new StringContent(body, Encoding.UTF8, "application/json") };
        if (etag is not null)
            put.Headers.TryAddWithoutValidation("If-Match", etag);
        client.Send(put).EnsureSuccessStatusCode();
    }

    private void Saved()
    {
        try
        {
            Browser.Until("saving", () => browser.Driver.FindElements(By.CssSelector("[data-save=saved]")).Count > 0);
        }
        catch (TimeoutException)
        {
            var said = browser.Driver.FindElements(By.CssSelector("[role=alert]")).Select(a => a.Text);
            Assert.Fail($"not saved: {browser.Find("[data-save]").Text}; {string.Join("; ", said)}");
        }
    }

    private void Row(string id)
    {
        browser.Find($"[data-row='{id}']").Click();
        Browser.Until("its details", () => browser.Driver.FindElements(By.CssSelector($"[data-row='{id}'][aria-pressed=true]")).Count > 0);
    }

    private IWebElement Field(string label) => Browser.Until("field " + label,
        () => browser.Driver.FindElements(By.XPath($"//aside//label[contains(normalize-space(.), \"{label}\")]/following-sibling::input"))
            .FirstOrDefault());

    private void Type(string label, string text) => Field(label).SendKeys(Keys.Control + "a" + Keys.Null + text + Keys.Enter);

    private void Choose(string label, string choice)
    {
        var select = Browser.Until("choice " + label,
            () => browser.Driver.FindElements(By.XPath($"//aside//label[contains(normalize-space(.), "
                + $"\"{label}\")]/following-sibling::select"))
                .FirstOrDefault());
        // "No" is not "Not asked".
        var options = select.FindElements(By.TagName("option"));
        (options.FirstOrDefault(o => o.Text.Trim() == choice) ?? options.First(o => o.Text.Contains(choice, StringComparison.Ordinal)))
            .Click();
    }

    private string Said => browser.Driver.FindElements(By.CssSelector("p[role=status]")) is [.., var last] ? last.Text : "";

    [Fact]
    public void ARecipeOnAVanWithAnotherCup()
    {
        browser.Open();
        browser.Button("Start a rig from a recipe").Click();
        browser.Find("[data-recipe=cup-and-arm]").Click();
        Browser.Until("the scene", () => browser.Driver.FindElements(By.CssSelector("[data-scene=ready]")).Count > 0);
        Row("site");
        Choose("Host", "Van");
        Browser.Until("moved", () => browser.Find("[data-row=site]").Text.Length > 0
            && browser.Body.Contains("Van", StringComparison.OrdinalIgnoreCase));
        Row("base");
        Choose("Cup", "150 mm");
        Browser.Until("the other cup", () => browser.Find("[data-row=base]").Text.Contains("150", StringComparison.Ordinal));
        Saved();
    }

    [Fact]
    public void AMeasuredArmAndAWeighedCameraAndWhatBecomesOfTheWeighing()
    {
        var id = Copy(Bonnet);
        Row("reach");
        Type("Length", "1'2\"");
        Browser.Until("356 mm", () => Field("Length").GetAttribute("value") == "356 mm");
        Row("camera");
        Type("Weighed, all on", "1 lb 8 oz");
        Browser.Until("0.68 kg", () => Field("Weighed").GetAttribute("value") == "0.68 kg");
        Type("Exposure", "1/100");
        Browser.Until("10 ms", () => Field("Exposure").GetAttribute("value")!.StartsWith("10", StringComparison.Ordinal));
        Saved();
        Assert.Equal(0.68039, (double)Stored(id)["paths"]![0]!["camera"]!["mass"]!, 5e-5);
        // Another body: the weighing was of the one before, and the lens has to fit.
        Choose("Body", "Action camera");
        Browser.Until("it is said", () => Said.Contains("measured of the one before", StringComparison.Ordinal));
        Browser.Until("not measured", () => Field("Weighed").GetAttribute("value") == "");
        Saved();
        Assert.Null(Stored(id)["paths"]![0]!["camera"]!["mass"]);
        Assert.StartsWith("built-in", (string)Stored(id)["paths"]![0]!["camera"]!["lens"]!);
        Assert.DoesNotContain("Refused", Verdict);
    }

    [Fact]
    public void WhyThisSpeedIsOneClick()
    {
        Copy(Bonnet);
        foreach (var ask in new[] { "[data-why]", "[data-flag]", "[data-why-row=reach]" })
        {
            Row("camera");
            browser.Script<object>("document.querySelector(arguments[0]).dispatchEvent(new MouseEvent('click', { bubbles: true }))", ask);
            Browser.Until("the working", () => browser.Driver.FindElements(By.CssSelector("[data-working]")).FirstOrDefault() is { } w
                && w.Text.Contains("holding torque", StringComparison.Ordinal));
            Browser.Until("in view", () => browser.Script<bool>(
                "const r = document.querySelector('[data-working]').getBoundingClientRect();"
                + "const d = document.querySelector('#drawer').getBoundingClientRect(); return r.top >= d.top - 1 && r.top < d.bottom"));
        }
        // Any other row opens at its top.
        Row("base");
        Browser.Until("its top", () => browser.Script<bool>("return document.querySelector('#drawer').scrollTop === 0"));
    }

    [Fact] // a flag without room is a short mark at its own speed, and answers as a flag does
    public void NoFlagOfTheTapeIsLost()
    {
        Copy("demo-9-skiff-ferryman");
        var marks = browser.Driver.FindElements(By.CssSelector("[data-flag-mark]"));
        Assert.NotEmpty(marks);
        Assert.Contains($"{marks.Count} more at the short marks", browser.Body, StringComparison.Ordinal);
        Assert.Contains(marks, m => m.GetAttribute("aria-label")!.Contains("tube under it bends", StringComparison.Ordinal));
        browser.Script<object>("document.querySelector('[data-flag-mark]').dispatchEvent(new MouseEvent('click', { bubbles: true }))");
        Browser.Until("the working", () => browser.Driver.FindElements(By.CssSelector("[data-working]")).Count > 0);
    }

    [Fact]
    public void WhenTheCupLetsGoAllOfTheScreenSaysSo()
    {
        Copy(Bonnet);
        Row("reach");
        browser.Find("[data-letgo='base-hold']").Click();
        Browser.Until("the headline", () => Verdict.Contains("Without the cup", StringComparison.Ordinal));
        Assert.StartsWith("Lets go", Verdict);
        Assert.Contains("Without the cup", browser.Find("[data-other-case]").Text);
        Assert.Contains("Without the cup", browser.Find("[aria-label='Speed tape']").Text);
        // What to change is tried on the whole rig, and says so.
        browser.Button("Whole rig").Click();
        Browser.Until("that it is of the whole rig", () => browser.Find("[data-other-case]").Text.Contains("changes and workings too",
            StringComparison.Ordinal));
        browser.Button("Back to it").Click();
        Browser.Until("the whole rig", () => Verdict.StartsWith("Tight", StringComparison.Ordinal));
        Assert.Empty(browser.Driver.FindElements(By.CssSelector("[data-other-case]")));
    }

    [Fact]
    public void SuctionIsForbiddenAndWhatMayBeUsedInsteadComesFirst()
    {
        Copy(Bonnet);
        Row("site");
        Choose("Suction cups allowed?", "No");
        Browser.Until("refused", () => Verdict.StartsWith("Refused", StringComparison.Ordinal));
        Assert.Contains("rules of the day", Verdict);
        Assert.Contains("refused", browser.Find("[data-row=base] [data-use]").Text);
        Row("base");
        Assert.Contains("rules of the day", browser.Find("[data-refused]").Text);
        browser.Find("[data-change^='single-magnet.']:enabled").Click();
        Browser.Until("not refused any more", () => !Verdict.StartsWith("Refused", StringComparison.Ordinal));
    }

    [Fact]
    public void ATwoHundredMillimetreLensAndAZoom()
    {
        var id = Copy(Roof);
        Row("camera");
        Choose("Lens", "200 mm prime");
        Browser.Until("the lens", () => browser.Find("[data-row=camera]").Text.Length > 0
            && browser.Body.Contains("200 mm lens", StringComparison.Ordinal));
        Choose("Lens", "70–200 mm zoom");
        Type("Zoomed to", "85 mm");
        Browser.Until("85 mm", () => browser.Body.Contains("85 mm lens", StringComparison.Ordinal));
        Saved();
        Assert.Equal(0.085, (double)Stored(id)["paths"]![0]!["camera"]!["focalLength"]!, 5e-7);
    }

    [Fact]
    public void WhoIsOnItIsFilmedAndTheirDistanceFollows()
    {
        var id = Copy("demo-4-sidecar-face");
        Row("camera");
        browser.Find("[data-person=passenger] button").Click();
        Browser.Until("the passenger is in the picture", () => browser.Find("[data-person=passenger]").Text.Contains("the subject",
            StringComparison.Ordinal)
            && browser.Find("[data-person=passenger]").Text.Contains(", in the", StringComparison.Ordinal));
        Saved();
        Assert.Equal("passenger", (string)Stored(id)["paths"]![0]!["camera"]!["who"]!);
        Assert.Null(Stored(id)["paths"]![0]!["camera"]!["subject"]);
        browser.Find("[data-person=passenger] button").Click();
        Browser.Until("nobody", () => !browser.Find("[data-people]").Text.Contains("the subject", StringComparison.Ordinal));
        Saved();
        Assert.Null(Stored(id)["paths"]![0]!["camera"]!["who"]);
    }

    [Fact]
    public void AStrapToAPointOfMyChoice()
    {
        var id = Copy(Roof);
        browser.Button("Add to it").Click();
        var end = browser.Find("[data-one-strap] [data-anchor='rack-rear'], [data-one-strap] [data-anchor]:has(button)");
        var anchor = end.GetAttribute("data-anchor");
        // What is of no use is struck, with its reason.
        Browser.Until("struck ones", () => browser.Driver.FindElements(By.CssSelector("[data-one-strap] s")).Count > 0);
        Browser.Until("it can be taken", () =>
            browser.Driver.FindElements(By.CssSelector($"[data-one-strap] [data-anchor='{anchor}'] button:enabled")).FirstOrDefault())
                .Click();
        Browser.Until("five straps", () => browser.Driver.FindElements(By.CssSelector("[data-row^='strap:']")).Count == 5);
        Saved();
        Assert.Equal(anchor, (string)Stored(id)["straps"]!.AsArray()[^1]!["to"]!["anchor"]!);
        // Taken away by mistake: what brings it back stands where it stood.
        browser.Button("Take this strap away").Click();
        browser.Find("[data-bring-back]").Click();
        Browser.Until("back", () => browser.Driver.FindElements(By.CssSelector("[data-row^='strap:']")).Count == 5);
    }

    [Fact]
    public void AnUnusualSizeIsKeptAfterAQuestionAndALimitIsSaid()
    {
        Copy(Roof);
        Row("base");
        Type("Plate length", "1 100 mm");
        Browser.Until("a question", () => browser.Find("aside [role=alert]").Text.Contains("really?", StringComparison.Ordinal));
        browser.Button("Yes, 1100 mm").Click();
        Browser.Until("kept", () => Field("Plate length").GetAttribute("value") == "1100 mm");
        Type("Plate length", "5 m");
        Browser.Until("the limit", () => browser.Find("aside [role=alert]").Text.Contains("it goes from 120 mm to 1200 mm",
            StringComparison.Ordinal));
        browser.Button("Leave it at 1100 mm").Click();
        // An arrow is a step that fits: a tenth of a millimetre for sheet, a millimetre for a plate.
        Field("Plate length").SendKeys(Keys.ArrowUp);
        Browser.Until("a step", () => Field("Plate length").GetAttribute("value") == "1101 mm");
        Row("site");
        Field("Sheet or wall thickness").SendKeys(Keys.ArrowUp);
        Browser.Until("a small step", () => Field("Sheet or wall thickness").GetAttribute("value") is "0.85 mm" or "0.8 mm" or "0.9 mm");
    }

    [Fact]
    public void ExportDeleteImportUndo()
    {
        var id = Copy(Bonnet);
        var file = Path.Combine(Path.GetTempPath(), $"{id}.ochema.json");
        File.WriteAllText(file, Text($"api/rigs/{id}/file"));
        browser.Open();
        IWebElement Card() => Browser.Until("its card", () => browser.Driver.FindElements(By.XPath($"//li[.//a[@data-rig='{id}']]"))
            .FirstOrDefault());
        browser.Script<object>("arguments[0].click()", Card().FindElement(By.XPath(".//button[contains(., 'Bin it')]")));
        var back = browser.Button("Bring it back");
        Assert.Contains("is in the bin", browser.Find("li[role=status]").Text);
        // The focus is where the card was: Enter brings it back.
        Browser.Until("the focus", () => browser.Driver.SwitchTo().ActiveElement().Text == "Bring it back");
        back.SendKeys(Keys.Enter);
        Browser.Until("the focus on it", () => browser.Driver.SwitchTo().ActiveElement().GetAttribute("data-rig") == id);
        var before = browser.Driver.FindElements(By.CssSelector("[data-rig]")).Count;
        browser.Find("input[type=file]").SendKeys(file);
        Browser.Until("the imported rig", () => browser.Driver.Url.Contains("#/rig/", StringComparison.Ordinal));
        browser.Open();
        Browser.Until("one more", () => browser.Driver.FindElements(By.CssSelector("[data-rig]")).Count == before + 1);
        File.Delete(file);
    }

    [Fact]
    public void TheOldestNamedVersionIsFoundAmongMany()
    {
        var id = Copy(Bonnet);
        for (var v = 1; v <= 14; v++)
        {
            var rig = Stored(id);
            rig["run"]!["speed"] = 10 + v;
            Put($"api/rigs/{id}", rig.ToJsonString(), $"\"{v}\"");
            if (v is 2 or 9)
                Put($"api/rigs/{id}/versions/{v}/name", $$"""{"name":"named {{v}}"}""");
        }
        browser.OpenRig(id);
        browser.Button("Versions").Click();
        Browser.Until("folded", () => browser.Body.Contains("unnamed versions", StringComparison.Ordinal));
        var shown = browser.Driver.FindElements(By.CssSelector("[data-version]")).Where(e => e.Displayed)
            .Select(e => e.GetAttribute("data-version")).ToList();
        Assert.Equal(["15", "14", "13", "12", "9", "2", "1"], shown);
        Assert.Contains("design speed", browser.Find("[data-version='15']").Text);
        browser.Find("[data-version='2']").FindElement(By.XPath(".//button[contains(., 'Go back to it')]")).Click();
        Browser.Until("as it was", () => Stored(id)["run"]!["speed"]!.GetValue<double>() == 11);
    }

    [Fact]
    public void ADragIsOneVersion()
    {
        var id = Copy(Bonnet);
        var tape = browser.Find("[aria-label='Speed tape']");
        var mouse = new PointerInputDevice(PointerKind.Mouse);
        var sequence = new ActionSequence(mouse);
        var (x, y) = (tape.Location.X + 300, tape.Location.Y + 90);
        sequence.AddAction(mouse.CreatePointerMove(CoordinateOrigin.Viewport, x, y, TimeSpan.Zero));
        sequence.AddAction(mouse.CreatePointerDown(MouseButton.Left));
        // Slowly, with rests longer than an automatic save waits.
        for (var i = 1; i <= 3; i++)
        {
            sequence.AddAction(mouse.CreatePointerMove(CoordinateOrigin.Viewport, x + 60 * i, y, TimeSpan.FromMilliseconds(50)));
            sequence.AddAction(mouse.CreatePause(TimeSpan.FromMilliseconds(1100)));
        }
        sequence.AddAction(mouse.CreatePointerUp(MouseButton.Left));
        browser.Driver.PerformActions([sequence]);
        Thread.Sleep(1200);
        Saved();
        Assert.Equal(2, JsonNode.Parse(Text($"api/rigs/{id}/versions"))!.AsArray().Count);
    }

    [Fact]
    public void FromTheYardToAnAddedStrutByKeysAlone()
    {
        browser.Open();
        IWebElement Focus() => browser.Driver.SwitchTo().ActiveElement();
        void Press(params string[] all) => new Actions(browser.Driver).SendKeys(string.Concat(all)).Perform();
        void TabTo(string what, Func<IWebElement, bool> there, int most = 80)
        {
            for (var i = 0; i < most; i++)
            {
                if (there(Focus()))
                    return;
                Press(Keys.Tab);
            }
            throw new TimeoutException($"Tab never came to {what}.");
        }
        TabTo("the rig", e => e.GetAttribute("data-rig") == Bonnet);
        Press(Keys.Enter);
        Browser.Until("the scene", () => browser.Driver.FindElements(By.CssSelector("[data-scene=ready]")).Count > 0);
        // Straight to the answer.
        TabTo("the way to skip", e => e.TagName == "button" && e.Text.Contains("Skip to the answer", StringComparison.Ordinal));
        Press(Keys.Enter);
        Browser.Until("the answer", () => Focus().GetAttribute("id") == "answer");
        Assert.StartsWith("Tight", Focus().Text);
        Press("a");
        Browser.Until("what can be added", () => browser.Driver.FindElements(By.CssSelector("[data-change='two struts']:enabled")).Count
            > 0);
        TabTo("two struts", e => e.GetAttribute("data-change") == "two struts", 200);
        Press(Keys.Enter);
        Browser.Until("two struts", () => browser.Driver.FindElements(By.CssSelector("[data-row^='brace:']")).Count == 2);
        // What was pressed is gone; the focus is not lost to the page.
        Browser.Until("the focus", () => Focus().TagName != "body");
        Press("z");
        Browser.Until("undone", () => browser.Driver.FindElements(By.CssSelector("[data-row^='brace:']")).Count == 0);
        // Single keys can be switched off; then they do nothing, and the signs for them go.
        Press("?");
        var box = browser.Find("dialog input[type=checkbox]");
        Press("l");
        Assert.StartsWith("Tight", Verdict);
        box.Click();
        Press(Keys.Escape);
        Browser.Until("closed", () => browser.Driver.FindElements(By.CssSelector("dialog")).Count == 0);
        Press("a", "l", "]");
        Thread.Sleep(400);
        Assert.StartsWith("Tight", Verdict);
        Assert.DoesNotContain(browser.Driver.FindElements(By.CssSelector("header .key")), k => k.Displayed);
        browser.Script<object>("localStorage.setItem('ochema.keys', 'on')");
    }

    [Theory]
    [InlineData(Bonnet)]
    [InlineData(Roof)]
    public void WhatIsPressedIsLargeEnoughAndWhatIsReadToo(string rig)
    {
        browser.OpenRig(rig);
        foreach (var row in new[] { "rig", "base", "site", "camera", "add" })
        {
            if (row is "rig" or "add")
                browser.Button(row == "rig" ? "Whole rig" : "Add to it").Click();
            else
                Row(row);
            Browser.Until("all there", () => browser.Driver.FindElements(By.CssSelector("[aria-busy=true]")).Count == 0);
            // WCAG 2.2, 2.5.8: 24 by 24, words inside sentences apart; text of 12 px and more.
            var small = browser.Script<string>("""
                const out = [];
                for (const e of document.querySelectorAll('button, [role=button], [role=slider], [role=radio], input, select, summary, a.btn')) {
                  const r = e.getBoundingClientRect();
                  if (r.width === 0 || e.closest('.sr-only') || getComputedStyle(e).clipPath === 'inset(50%)'
                    || e.closest('p')
                      && getComputedStyle(e).display === 'inline') continue;
                  if (e.type === 'file' || r.width < 3) continue;
                  if (r.height < 23.5 || r.width < 23.5) 
                    out.push(`${e.tagName} ${r.width.toFixed(0)}x${r.height.toFixed(0)} ${e.textContent.trim().slice(0, 40)}`);
                }
                for (const e of document.querySelectorAll('main *, header *')) {
                  const box = e.ownerSVGElement?.viewBox.baseVal;
                  const scale = box?.width ? e.ownerSVGElement.getBoundingClientRect().width / box.width : 1;
                  if ([...e.childNodes].some(n => n.nodeType === 3 && n.textContent.trim()) && scale * parseFloat(getComputedStyle(e).fontSize) < 12)
                    out.push(`text ${getComputedStyle(e).fontSize} ${e.textContent.trim().slice(0, 40)}`);
                }
                return out.join('\n');
                """);
            Assert.True(small.Length == 0, $"{row}:\n{small}");
        }
    }
}
