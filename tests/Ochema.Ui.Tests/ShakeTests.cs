using OpenQA.Selenium;

namespace Ochema.Ui.Tests;

/// <summary>The Shake screen: words, modes, advice, tap test, soft mounts.</summary>
[Collection(SharedBrowser.Name)]
public sealed class ShakeTests(SharedBrowser shared)
{
    private readonly Browser browser = shared.Fresh<ShakeTests>();

    private void OpenShake(string rig)
    {
        browser.Open($"#/rig/{rig}/shake");
        browser.Find("[data-shake]");
        Browser.Until("the scene", () => browser.Driver.FindElements(By.CssSelector("[data-scene=ready]")).Count > 0);
    }

    private double Pixels(string id) => double.Parse(System.Text.RegularExpressions.Regex.Match(browser.Find($"[data-number={id}]").Text,
        @"([\d.]+) px").Groups[1].Value, System.Globalization.CultureInfo.InvariantCulture);

    private IWebElement Field(string label, string kind) => Browser.Until(label, () =>
        browser.Driver.FindElements(By.XPath($"//aside//label[contains(normalize-space(.), '{label}')]/following-sibling::{kind}"))
            .FirstOrDefault());

    [Fact]
    public void TwoStrutsSharpenThePictureAndAShorterExposureSmearsLess()
    {
        browser.OpenRig("demo-1-bonnet-close-up");
        browser.Driver.FindElement(By.XPath("//header//a[normalize-space(.)='Shake']")).Click();
        Browser.Until("the word", () => browser.Find("[data-sharp]").Text.StartsWith("Unusable", StringComparison.Ordinal));
        var (smear, wobble) = (Pixels("smear"), Pixels("wobble"));
        Field("Exposure", "input").SendKeys(Keys.Control + "a" + Keys.Null + "2.5 ms" + Keys.Enter);
        Browser.Until("less smear", () => Pixels("smear") < 0.6 * smear);
        Assert.Equal(wobble, Pixels("wobble"));
        browser.Button("Undo").Click();
        Browser.Until("as before", () => Pixels("smear") == smear);
        browser.Find("[data-shake-change='two struts']:enabled").Click();
        Browser.Until("sharper", () => Pixels("smear") < 0.6 * smear);
        // The card in the yard says the new word.
        Browser.Until("saved", () => browser.Driver.FindElements(By.CssSelector("[data-save=saved]")).Count > 0);
        browser.Open();
        Assert.Contains("picture sharp", browser.Driver.FindElement(By.XPath("//li[.//a[@data-rig='demo-1-bonnet-close-up']]")).Text);
    }

    [Fact]
    public void TheLeastThatReachesWhatIsAskedIsFoundAndTaken()
    {
        OpenShake("demo-4-sidecar-face");
        browser.Button("Find what gets it there").SendKeys(Keys.Enter);
        var found = browser.Find("[data-goal-found]");
        Assert.Contains("lens, sharp", found.Text);
        Assert.Contains("Holds, sharp", found.Text);
        browser.Button("Take").Click();
        Browser.Until("sharp", () => browser.Find("[data-sharp]").Text.StartsWith("Sharp", StringComparison.Ordinal));
        browser.Button("Undo").Click();
        Browser.Until("as before", () => !browser.Find("[data-sharp]").Text.StartsWith("Sharp", StringComparison.Ordinal));
        // What was found was of the rig as it was: undone, it is that again.
        Assert.Contains("Asked:", browser.Find("[data-goal-found]").Text);
    }

    [Fact]
    public void ModesArePickedByKeyboardAndNamed()
    {
        OpenShake("demo-2-bonnet-close-up-braced");
        var second = browser.Driver.FindElement(By.CssSelector("[aria-label^='Mode 2,']"));
        second.SendKeys(Keys.Enter);
        Browser.Until("its name", () => browser.Find("[data-shake]").Text.Contains("Mode 2,", StringComparison.Ordinal));
    }

    [Fact]
    public void ASimulatedPhoneIsReadLaidOverAndTheSiteMadeToAgree()
    {
        OpenShake("demo-4-sidecar-face");
        browser.Button("Simulated phone").Click();
        var log = browser.Find("[data-log]");
        Assert.Contains("the header says so", log.Text);
        Assert.Contains("the phone's log", browser.Find("[data-shake]").Text);
        browser.Button("Make the place agree").Click();
        Browser.Until("done", () => browser.Body.Contains("of the estimate", StringComparison.Ordinal));
        Browser.Until("saved", () => browser.Driver.FindElements(By.CssSelector("[data-save=saved]")).Count > 0);
        // The site shows the measured value.
        browser.Driver.FindElement(By.XPath("//header//a[normalize-space(.)='Rig']")).Click();
        browser.Find("[data-row=site]").Click();
        Assert.EndsWith("×", Field("Stiffness by tap test", "input").GetAttribute("value"));
    }

    [Fact]
    public void ASoftMountIsFoundAndStandsOnTheBench()
    {
        OpenShake("demo-3-roof-road-ahead");
        browser.Button("Find a soft mount").Click();
        Browser.Until("found", () => browser.Driver.FindElements(By.CssSelector("[data-isolators] li")).Count > 0, 40);
        OpenShake("demo-6-lane-boom");
        Browser.Until("bench", () => browser.Driver.FindElements(By.CssSelector("svg[aria-label^='The soft mount']")).Count == 1);
        Assert.Contains("It carries level", browser.Find("aside").Text);
    }

    [Fact]
    public void WhatDrivesARigIsDrawnLineByLineWithItsSource()
    {
        OpenShake("demo-8-orchard-from-above");
        var key = browser.Driver.FindElements(By.CssSelector("ul[aria-label^='Lines of the camera'] li")).Select(l => l.Text).ToList();
        Assert.Contains("skin and wing in the air", key);
        Assert.Contains("gusts from ahead", key);
        var text = browser.Find("[data-shake]").Text;
        Assert.Contains("blades passing, rpm × blades ÷ 60", text);
        Assert.Contains("turbulence on wing and skin", text);
        Assert.DoesNotContain("wheel hop", text);
        // What it goes over has the host's own name, and what is set there comes back in the picture.
        var smear = Pixels("smear");
        Field("Air", "select").FindElement(By.XPath("./option[normalize-space(.)='Rough air']")).Click();
        Browser.Until("more smear", () => Pixels("smear") > 1.2 * smear);
        browser.Button("Undo").Click();
        Browser.Until("as before", () => Pixels("smear") == smear);
    }

    [Fact]
    public void AnEngineThatIsOffIsGoneFromThePicture()
    {
        OpenShake("demo-9-skiff-ferryman");
        Browser.Until("orders", () => browser.Find("[data-shake]").Text.Contains("blades passing", StringComparison.Ordinal));
        Field("Engine speed", "input").SendKeys(Keys.Control + "a" + Keys.Null + "0" + Keys.Enter);
        Browser.Until("no orders", () => !browser.Find("[data-shake]").Text.Contains("blades passing", StringComparison.Ordinal));
        browser.Button("Undo").Click();
        Browser.Until("orders again", () => browser.Find("[data-shake]").Text.Contains("blades passing", StringComparison.Ordinal));
    }

    [Theory]
    [InlineData("demo-9-skiff-ferryman")]
    [InlineData("demo-5-courier-helmet")]
    [InlineData("demo-6-lane-boom")]
    public void NothingSeriousOnShake(string rig)
    {
        OpenShake(rig);
        foreach (var _ in new[] { "day", "night" })
        {
            Thread.Sleep(400);
            Assert.True(browser.Script<bool>("return document.documentElement.scrollWidth <= innerWidth"), "scrolls sideways");
            Assert.Equal("", browser.Axe());
            browser.Driver.FindElement(By.XPath("//header//button[contains(., 'change the theme')]")).Click();
        }
    }
}
