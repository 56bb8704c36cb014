using System.Net.Http.Json;
using System.Text.Json.Nodes;
using OpenQA.Selenium;
using OpenQA.Selenium.Interactions;

namespace Ochema.Ui.Tests;

/// <summary>
/// Tasks done by one hand: by keys alone, by the mouse, by a finger on a phone. What was made has the focus. Other tasks of a new user:
/// <see cref="TaskTests"/>;
/// a host measured and a plan followed: <see cref="MakeTests"/>; a phone's log: <see cref="ShakeTests"/>; a magnet of one's own:
/// <see cref="ShelfTests"/>.
/// </summary>
[Collection(SharedBrowser.Name)]
public sealed class HandTests
{
    private const string Braced = "demo-2-bonnet-close-up-braced";
    private readonly Browser browser;

    public HandTests(SharedBrowser shared)
    {
        browser = shared.Browser;
        browser.Reset();
    }

    private IWebElement Focus => browser.Driver.SwitchTo().ActiveElement();

    private void Press(params string[] all) => new Actions(browser.Driver).SendKeys(string.Concat(all)).Perform();

    /// <summary>Presses Tab until what is meant has the focus; how often that was.</summary>
    private int TabTo(string what, Func<IWebElement, bool> there, int most = 80)
    {
        for (var i = 0; i <= most; i++)
        {
            // What has it may be drawn anew between two looks.
            if (Browser.Until(what, () => (bool?)there(Focus) is { } found ? new { found } : null).found)
                return i;
            Press(Keys.Tab);
        }
        throw new TimeoutException($"Tab never came to {what}.");
    }

    private static bool IsIn(IWebElement e, string attribute, string value) => e.GetAttribute(attribute) == value;

    private void Scene() => Browser.Until("the scene", () => browser.Driver.FindElements(By.CssSelector("[data-scene=ready]")).Count > 0);

    private void Focused(string what, string css) => Browser.Until("the focus on " + what,
        () => browser.Script<bool>("return document.activeElement.matches(arguments[0])", css));

    private JsonNode Rig(string? id = null)
    {
        using var client = new HttpClient { BaseAddress = new Uri(browser.Address) };
        id ??= browser.Driver.Url.Split('/').SkipWhile(p => p != "rig").ElementAt(1);
        return client.GetFromJsonAsync<JsonNode>($"api/rigs/{id}").Result!["document"]!;
    }

    private IWebElement Field(string label) => Browser.Until("field " + label,
        () => browser.Driver.FindElements(By.XPath($"//label[contains(normalize-space(.), \"{label}\")]/following-sibling::input"))
            .FirstOrDefault());

    private void Type(string label, string text) => Field(label).SendKeys(Keys.Control + "a" + Keys.Null + text + Keys.Enter);

    [Fact]
    public void ARigWithACameraOfOnesOwnFromNothingByKeysAlone()
    {
        browser.Open();
        TabTo("the film's name", e => IsIn(e, "placeholder", "New film"));
        Press("Sluice gates", Keys.Enter);
        Focused("its film", "[data-add]");
        Assert.Contains("Sluice gates", Focus.Text, StringComparison.Ordinal);
        Press(Keys.Enter);
        Browser.Until("the recipes", () => browser.Driver.FindElements(By.CssSelector("[data-recipe=cup-and-arm]")).Count > 0);
        TabTo("the recipe", e => IsIn(e, "data-recipe", "cup-and-arm"));
        Press(Keys.Enter);
        Scene();
        Focused("the answer", "#answer");
        // To the camera's row, into its fields, one camera of one's own.
        TabTo("the load path", e => e.GetAttribute("data-row") is not null);
        Press(Keys.Home);
        Focused("the camera", "[data-row=camera]");
        Press(Keys.Enter);
        Focused("its fields", "#drawer");
        TabTo("what differs", e => IsIn(e, "aria-label", "Yours differs? Body"), 8);
        Press(Keys.Enter);
        Browser.Until("the form", () => browser.Driver.FindElements(By.CssSelector("dialog textarea")).Count > 0);
        TabTo("its name", e => e.GetAttribute("id")!.EndsWith("-name", StringComparison.Ordinal), 8);
        Focus.SendKeys(Keys.Control + "a" + Keys.Null + "Old reflex");
        TabTo("its mass", e => e.TagName == "input" && e.GetAttribute("id") is { } id
            && browser.Driver.FindElements(By.CssSelector($"label[for='{id}']"))
                .FirstOrDefault()?.Text.StartsWith("Mass", StringComparison.Ordinal) == true,
                60);
        // What is not understood keeps the form open.
        var mass = Focus;
        mass.SendKeys(Keys.Control + "a" + Keys.Null + "nine hundred" + Keys.Enter);
        Browser.Until("it is said", () => browser.Driver.FindElements(By.CssSelector("dialog [role=alert]")).Count > 0);
        browser.Button("Put it on the shelf and use it").Click();
        Browser.Until("still open", () => browser.Find("dialog").Text.Contains("was not understood: see its field",
            StringComparison.Ordinal));
        mass.SendKeys(Keys.Control + "a" + Keys.Null + "910 g" + Keys.Tab);
        TabTo("keeping it", e => e.TagName == "button" && e.Text.Contains("Put it on the shelf and use it", StringComparison.Ordinal), 60);
        Press(Keys.Enter);
        Browser.Until("the camera", () => browser.Find("[data-row=camera]").Text.Contains("Old reflex", StringComparison.Ordinal));
        Browser.Until("saved", () => (double?)Rig()["stock"]?["cameras"]?[0]?["mass"] == 0.91);
    }

    [Fact]
    public void FromARowToItsFirstFieldByKeysAndBack()
    {
        browser.OpenRig(Braced);
        foreach (var row in new[] { "reach", "brace:left", "base", "tether", "site" })
        {
            TabTo("the load path", e => e.GetAttribute("data-row") is not null);
            for (var i = 0; i < 12 && !IsIn(Focus, "data-row", row); i++)
                Press(Keys.ArrowDown);
            Assert.Equal(row, Focus.GetAttribute("data-row"));
            Press(Keys.Enter);
            Focused("its fields", "#drawer");
            Assert.InRange(TabTo("the first field", e => e.TagName is "input" or "select", 8), 1, 8);
            Press(Keys.Shift + Keys.Tab + Keys.Null);
            browser.Script<object>("document.getElementById('drawer').focus()");
            Press(Keys.Escape);
            Focused("the row again", $"[data-row='{row}']");
        }
        // One stop of Tab for all rows: arrows go among them.
        Assert.Equal(1L, browser.Script<long>("return document.querySelectorAll('[data-row]:not([tabindex=\"-1\"])').length"));
    }

    [Fact]
    public void AStrutIsCutToALengthAndTheFootFollows()
    {
        browser.OpenRig(Braced);
        browser.Find("[data-row='brace:left']").Click();
        var before = Rig(Braced)["braces"]![0]!["at"]!.ToJsonString();
        Type("Rod cut to", "412 mm");
        Browser.Until("412 mm", () => Field("Rod cut to").GetDomProperty("value") == "412 mm");
        Browser.Until("saved", () => Rig(Braced)["braces"]![0]!["at"]!.ToJsonString() != before);
        // Too long for its panel: said with what goes, nothing lost.
        Type("Rod cut to", "4 m");
        Browser.Until("it is said", () => browser.Find("aside").Text.Contains("957 mm", StringComparison.Ordinal));
        Press(Keys.Escape);
        // At its step it came out 3 mm short.
        browser.Driver.Navigate().GoToUrl("about:blank");
        browser.Open($"#/rig/{Braced}/make");
        var step = Browser.Until("its step", () => browser.Driver.FindElements(By.CssSelector("[data-step='trim.brace.left.strut.strut']"))
            .FirstOrDefault());
        browser.Script<object>("arguments[0].scrollIntoView({block:'center'}); arguments[0].click()", step);
        var made = Browser.Until("what it came out at", () => browser.Driver
            .FindElements(By.XPath("//*[@data-built]//label[contains(., 'Trimmed to')]/following-sibling::input"))
            .FirstOrDefault());
        made.SendKeys("409 mm" + Keys.Enter);
        Browser.Until("as built", () => browser.Driver.FindElements(By.CssSelector("[data-drawn]"))
            .FirstOrDefault()?.Text.Contains("412 mm on the drawing",
            StringComparison.Ordinal) == true);
        browser.OpenRig(Braced);
        browser.Find("[data-row='brace:left']").Click();
        Assert.Equal("409 mm", Field("Rod cut to").GetDomProperty("value"));
    }

    [Fact]
    public void ThreeCupsOnAPlateWithTwoStrapsByTheMouse()
    {
        browser.Open();
        browser.Button("Start a rig from a recipe").Click();
        browser.Find("[data-recipe=cup-plate-riser]").Click();
        Scene();
        browser.Find("[data-row=base]").Click();
        Type("How many", "3");
        Browser.Until("three cups", () => browser.Find("[data-row=base]").Text.Contains("3 ×", StringComparison.Ordinal));
        browser.Button("Add to it").Click();
        browser.Find("[data-change='two straps']:enabled").Click();
        Browser.Until("two straps", () => browser.Driver.FindElements(By.CssSelector("[data-row^='strap:']")).Count == 2);
        Focused("what was made", "[data-row^='strap:']");
        Browser.Until("in words", () => browser.Find("[data-row^='strap:']").Text.Contains("Strap left", StringComparison.Ordinal));
        Browser.Until("saved", () => Rig()["straps"]!.AsArray().Count == 2 && (double)Rig()["base"]!["count"]! == 3);
    }

    [Fact]
    public void ARopeOfThirtyMetresWithItsSagAndPull()
    {
        browser.Open();
        browser.Button("Start a rig from a recipe").Click();
        Browser.Until("the recipes", () => browser.Driver.FindElements(By.CssSelector("[role=tab]")).Count > 1);
        foreach (var tab in browser.Driver.FindElements(By.CssSelector("[role=tab]")))
        {
            tab.Click();
            if (browser.Driver.FindElements(By.CssSelector("[data-recipe=rope-two]")).Count > 0)
                break;
        }
        browser.Find("[data-recipe=rope-two]").Click();
        Scene();
        browser.Find("[data-row=site]").Click();
        Type("Span", "30 m");
        browser.Button("Yes, 30").Click();
        Browser.Until("30 m", () => new string([.. Field("Span").GetDomProperty("value")!.Where(char.IsDigit)]) == "30000");
        browser.Find("[data-row=base]").Click();
        var pull = browser.Find("aside").Text;
        Type("Sag", "900 mm");
        Browser.Until("saved", () => (double)Rig()["base"]!["sag"]! == 0.9 && (double)Rig()["site"]!["span"]! == 30);
        // What it pulls at its anchors is said, and moves with the sag.
        Browser.Until("its pull", () => browser.Find("aside").Text is var now && now != pull
            && now.Contains(" N", StringComparison.Ordinal));
    }

    [Fact]
    public void AStepIsTickedOnAPhoneWithAFinger()
    {
        browser.Driver.ExecuteCdpCommand("Emulation.setDeviceMetricsOverride",
            new() { ["width"] = 390, ["height"] = 844, ["deviceScaleFactor"] = 2, ["mobile"] = true });
        browser.Driver.ExecuteCdpCommand("Emulation.setTouchEmulationEnabled", new() { ["enabled"] = true });
        try
        {
            browser.Open("#/rig/demo-3-roof-road-ahead/make");
            var title = browser.Find("[data-title]").Text;
            Tap("[data-done-next]");
            Browser.Until("the next step", () => browser.Find("[data-title]").Text != title);
            Browser.Until("it is kept", () => Rig("demo-3-roof-road-ahead")["made"] is JsonObject { Count: > 0 });
            Assert.Equal(390L, browser.Script<long>("return document.documentElement.scrollWidth"));
        }
        finally
        {
            browser.Driver.ExecuteCdpCommand("Emulation.setTouchEmulationEnabled", new() { ["enabled"] = false });
            browser.Driver.ExecuteCdpCommand("Emulation.clearDeviceMetricsOverride", []);
        }
    }

    /// <summary>A finger on the middle of an element, where a finger can reach it.</summary>
    private void Tap(string css)
    {
        browser.Script<object>("arguments[0].scrollIntoView({block: 'center'})", browser.Find(css));
        var at = browser.Script<IReadOnlyCollection<object>>("""
            const r = arguments[0].getBoundingClientRect();
            const [x, y] = [r.x + r.width / 2, r.y + r.height / 2];
            return [x, y, arguments[0].contains(document.elementFromPoint(x, y))];
            """, browser.Find(css)).ToList();
        Assert.True((bool)at[2], css + " lies under something");
        var (x, y) = (Convert.ToDouble(at[0]), Convert.ToDouble(at[1]));
        browser.Driver.ExecuteCdpCommand("Input.dispatchTouchEvent", new()
        {
            ["type"] = "touchStart",
            ["touchPoints"] = new object[] { new Dictionary<string, object> { ["x"] = x, ["y"] = y } },
        });
        browser.Driver.ExecuteCdpCommand("Input.dispatchTouchEvent",
            new() { ["type"] = "touchEnd", ["touchPoints"] = Array.Empty<object>() });
    }

    [Fact]
    public void WhatWasMadeHasTheFocus()
    {
        browser.OpenRig("demo-1-bonnet-close-up");
        // A change that makes a piece: its row. One that changes a piece: that one's.
        browser.Button("Add to it").Click();
        browser.Find("[data-change^='strut ']:enabled").SendKeys(Keys.Enter);
        Focused("the new strut", "[data-row^='brace:']");
        browser.Button("Whole rig").Click();
        // A version that was gone back to.
        browser.Button("Versions").Click();
        Browser.Until("kept", () => browser.Driver.FindElements(By.CssSelector("[data-version]")).Count >= 2);
        var back = browser.Driver.FindElements(By.XPath("//button[contains(., 'Go back to it')]"))[^1];
        back.SendKeys(Keys.Enter);
        Focused("the version", "[data-version] input");
        // A copy in the yard.
        browser.Open();
        browser.Find("[data-rig=demo-1-bonnet-close-up]");
        var copy = Browser.Until("the key", () => browser.Driver
            .FindElements(By.XPath("//button[starts-with(normalize-space(.), 'Duplicate') or starts-with(normalize-space(.), 'Copy')]"))
            .FirstOrDefault());
        copy.SendKeys(Keys.Enter);
        Focused("the copy", "[data-rig]");
        Assert.DoesNotContain("demo-", Focus.GetAttribute("data-rig")!, StringComparison.Ordinal);
        // Left alone where somebody has gone on: nothing takes the focus from a field.
        browser.OpenRig("demo-1-bonnet-close-up");
        browser.Button("Add to it").Click();
        browser.Find("[data-change='two struts']:enabled").Click();
        browser.Find("header input").Click();
        Browser.Until("two struts", () => browser.Driver.FindElements(By.CssSelector("[data-row^='brace:']")).Count == 2);
        Thread.Sleep(600);
        Assert.Equal("Name of the rig", Focus.GetAttribute("aria-label"));
    }

    [Fact]
    public void ThroughTheLensTheVerdictStaysInSight()
    {
        browser.OpenRig(Braced);
        var word = browser.Find("[data-verdict]").Text.Split('\n')[0];
        Press("v");
        Browser.Until("the frame", () => browser.Driver.FindElements(By.CssSelector("[data-frame]")).Count > 0);
        Assert.Equal(word, browser.Find("[data-verdict]").Text.Split('\n')[0]);
        // Neither it nor what stands beside the inset lies over the other.
        Assert.True(browser.Script<bool>("""
            const [a, b] = [document.querySelector('[data-verdict]'), document.querySelector('[data-through]')].map((e) => e.getBoundingClientRect());
            return a.right <= b.left && b.width > 0 && a.width > 0;
            """));
        Press("v");
    }
}
