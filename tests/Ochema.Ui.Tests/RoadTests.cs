using OpenQA.Selenium;
using OpenQA.Selenium.Interactions;

namespace Ochema.Ui.Tests;

/// <summary>One recipe of each host, from the yard to a saved verdict, and what the drawer adds for joints, survey and schools.</summary>
[Collection(SharedBrowser.Name)]
public sealed class RoadTests(SharedBrowser shared)
{
    private readonly Browser browser = shared.Fresh<RoadTests>();

    private string Verdict => browser.Find("[data-verdict]").Text;

    private void Start(string tab, string recipe)
    {
        browser.Driver.Navigate().GoToUrl("about:blank");
        browser.Open();
        browser.Button("Start a rig from a recipe").Click();
        Browser.Until("recipes", () => browser.Driver.FindElements(By.CssSelector("[role=tab]")).Count >= 6);
        browser.Driver.FindElement(By.XPath($"//button[@role='tab'][contains(., '{tab}')]")).Click();
        browser.Find($"[data-recipe='{recipe}']").Click();
        Browser.Until("the scene", () => browser.Driver.FindElements(By.CssSelector("[data-scene=ready]")).Count > 0);
    }

    private void Saved() => Browser.Until("saving", () => browser.Driver.FindElements(By.CssSelector("[data-save=saved]")).Count > 0);

    [Theory]
    [InlineData("On a motorcycle", "handlebar-clamp", "Holds")]
    [InlineData("On a sidecar", "sidecar-nose", "Holds")]
    [InlineData("On a bicycle", "bicycle-bar", "Holds")]
    [InlineData("On a helmet", "helmet-stuck", "Holds")]
    [InlineData("From a parked car", "window-slot", "Holds")]
    [InlineData("On a car", "split-block", "Holds")]
    [InlineData("On an aeroplane", "tie-down-block", "Tight until you have answered")]
    [InlineData("On a boat", "gear-rail-boom", "Holds")]
    [InlineData("In the hand", "hand-pole", "Tight until you have answered")]
    public void ARecipeOfEachHostIsOpenedChangedAndFoundAgain(string tab, string recipe, string verdict)
    {
        Start(tab, recipe);
        Browser.Until("verdict", () => Verdict.StartsWith(verdict, StringComparison.Ordinal));
        // Three times the speed or more by the keyboard: the answer moves.
        var before = browser.Rows;
        var slider = browser.Find("[role=slider]");
        for (var i = 0; i < 6; i++)
            slider.SendKeys(Keys.PageUp);
        Browser.Until("other uses", () => browser.Rows != before);
        Saved();
        var (address, speed) = (browser.Driver.Url, browser.Find("[role=slider]").GetAttribute("aria-valuetext"));
        browser.Driver.Navigate().GoToUrl("about:blank");
        browser.Driver.Navigate().GoToUrl(address);
        Browser.Until("the rig again", () => browser.Find("[role=slider]").GetAttribute("aria-valuetext") == speed);
    }

    [Fact]
    public void AJointIsDrawnAndAWrongHoleIsMarkedOnIt()
    {
        Start("On a car", "split-block");
        browser.Find("[data-row=base]").Click();
        var joint = browser.Find("[data-joint=block-bolt]");
        Assert.Contains("The stack is right", joint.Text);
        Assert.NotEmpty(joint.FindElements(By.CssSelector("svg rect")));
        joint.FindElement(By.XPath(".//button[contains(., 'As you built it')]")).Click();
        var hole = Browser.Until("hole field", () =>
            browser.Driver.FindElements(By.XPath("//section[@data-joint]//label[contains(., 'Hole drilled')]/following-sibling::input"))
                .FirstOrDefault());
        hole.SendKeys("1/4 in" + Keys.Enter);
        Browser.Until("the fault", () => browser.Find("[data-joint=block-bolt]").Text.Contains("the screw's own size",
            StringComparison.Ordinal));
        Browser.Until("it is refused", () => Verdict.StartsWith("Refused", StringComparison.Ordinal));
        browser.Button("Undo").Click();
        Browser.Until("right again", () => browser.Find("[data-joint=block-bolt]").Text.Contains("The stack is right",
            StringComparison.Ordinal));
    }

    private IWebElement Select(string label) => Browser.Until(label, () =>
        browser.Driver.FindElements(By.XPath($"//aside//label[starts-with(normalize-space(.), '{label}')]/following-sibling::select"))
            .FirstOrDefault());

    private void Choose(string label, string option) => Select(label).FindElement(By.XPath($"./option[normalize-space(.)='{option}']"))
        .Click();

    [Fact]
    public void WhatStandsByItsWeightIsSeenFromAbove()
    {
        Start("In the field", "ground-pan");
        browser.Find("[data-row=base]").Click();
        var plan = browser.Find("[data-tip-plan]");
        Assert.Contains("it tips first", plan.Text);
        Assert.Equal(8, plan.FindElements(By.CssSelector("svg text")).Count);
        // More wind pushes the weight further out.
        string Loads() => string.Concat(browser.Find("[data-tip-plan]").FindElements(By.CssSelector("circle"))
            .Select(c => c.GetAttribute("cx")));
        var before = Loads();
        var slider = browser.Find("[role=slider]");
        for (var i = 0; i < 4; i++)
            slider.SendKeys(Keys.PageUp);
        Browser.Until("the loads move", () => Loads() != before);
        Assert.Contains("it tips first", browser.Find("[data-tip-plan]").Text);
    }

    [Fact]
    public void WhatIsInTheShoeWantsALoopAndALampHasNoPicture()
    {
        Start("On a car", "magnet-plate-straps");
        browser.Find("[data-row=camera]").Click();
        Choose("In its shoe", "Pocket lamp");
        Browser.Until("too little", () => Verdict.StartsWith("Lets go: too little keeps it", StringComparison.Ordinal));
        Choose("What is in the shoe is", "Looped to the camera as well");
        Browser.Until("holds", () => Verdict.StartsWith("Holds", StringComparison.Ordinal));
        Choose("In its shoe", "Nothing");
        Browser.Until("holds without", () => Verdict.StartsWith("Holds", StringComparison.Ordinal));
        Choose("Body", "Lamp panel");
        Browser.Until("a lamp", () => browser.Find("[data-row=camera]").Text.Contains("Lamp panel", StringComparison.Ordinal));
        Assert.Empty(browser.Driver.FindElements(By.XPath("//aside//label[starts-with(normalize-space(.), 'Frames a second')]")));
        Browser.Until("no picture", () => browser.Find("nav[aria-label='Load path']").Text.Contains("Picture none",
            StringComparison.Ordinal));
    }

    [Fact]
    public void WithoutItsTetherTheRigIsRefusedAndTheAdviceMendsIt()
    {
        Start("On a car", "cup-and-arm-braced");
        browser.Find("[data-row=tether]").Click();
        browser.Button("Take this tether away").Click();
        Browser.Until("too little", () => Verdict.StartsWith("Lets go: too little keeps it", StringComparison.Ordinal));
        browser.Button("Whole rig").Click();
        // Not by the pointer: the list moves down while the other changes come in.
        browser.Script<object>("arguments[0].click()", browser.Find("[data-change=tether]:enabled"));
        Browser.Until("holds again", () => Verdict.StartsWith("Holds", StringComparison.Ordinal));
        browser.Find("[data-row=tether]").Click();
        browser.Find("[data-tether='0']");
    }

    [Fact]
    public void WhatWouldStillHoldIsAskedAndTaken()
    {
        Start("On a car", "cup-and-arm-braced");
        browser.Find("[data-inverse] summary").Click();
        var payload = browser.Find("[data-answer='camera.mass']:enabled");
        var before = browser.Rows;
        payload.Click();
        Browser.Until("other uses", () => browser.Rows != before && Verdict.StartsWith("Holds", StringComparison.Ordinal));
        browser.Button("Undo").Click();
        Browser.Until("as before", () => browser.Rows == before);
    }

    [Fact]
    public void TheSurveyStrikesOutWithAReasonAndAPlaceIsPickedInTheScene()
    {
        browser.OpenRig("demo-3-roof-road-ahead");
        browser.Find("[data-row=site]").Click();
        Assert.Contains("Plate with several holds", browser.Find("[data-options]").Text);
        var answer = Browser.Until("question", () =>
            browser.Driver.FindElements(By.XPath("//aside//label[contains(., 'Does a magnet stick')]/following-sibling::select"))
                .FirstOrDefault());
        answer.FindElement(By.CssSelector("option[value=no]")).Click();
        Browser.Until("refused", () => Verdict.StartsWith("Refused", StringComparison.Ordinal)
            && browser.Body.Contains("you found that a magnet does not stick", StringComparison.OrdinalIgnoreCase));
        browser.Button("Undo").Click();
        Browser.Until("holds again", () => Verdict.StartsWith("Holds", StringComparison.Ordinal));
        // Another place, by its label in the scene; a place that cannot take the base says why in the list.
        Browser.Until("pins", () => browser.Driver.FindElements(By.CssSelector("[data-pin]")).Count > 2);
        Assert.Contains("round tube", browser.Find("[data-place=roof-rack]").Text);
        browser.Driver.ExecuteScript("document.querySelector('[data-pin=bonnet]') ? document.querySelector('[data-pin=bonnet]').click() "
            + ": document.querySelector('[data-place=bonnet]').click()");
        Browser.Until("moved", () => browser.Find("aside").Text.StartsWith("Place: bonnet", StringComparison.Ordinal));
    }

    [Fact]
    public void SchoolsStandSideBySideAndOneIsTaken()
    {
        browser.OpenRig("demo-4-sidecar-face");
        browser.Button("Two schools").Click();
        var magnets = Browser.Until("magnets", () => browser.Driver.FindElements(By.CssSelector("[data-school='hold.Magnets']:enabled"))
            .FirstOrDefault());
        Assert.Contains("limit", magnets.Text);
        magnets.Click();
        Browser.Until("a plate on magnets", () => browser.Find("[data-row=base]").Text.Contains("magnet",
            StringComparison.OrdinalIgnoreCase));
        Saved();
    }

    [Fact]
    public void ASecondCameraAndASoftMountAreAddedByHand()
    {
        browser.OpenRig("demo-2-bonnet-close-up-braced");
        new Actions(browser.Driver).SendKeys("a").Perform();
        browser.Find("[data-change='second beside']:enabled").Click();
        Browser.Until("its rows", () =>
            browser.Driver.FindElements(By.CssSelector("[data-row='camera-2'], [data-row='head-2'], [data-row='reach-2']")).Count == 3);
        browser.Button("Add to it").Click();
        Browser.Until("soft mounts", () => browser.Driver.FindElements(By.CssSelector("[data-change^='wire-rope-loops']:enabled"))
            .FirstOrDefault()).Click();
        Browser.Until("isolator row", () => browser.Driver.FindElements(By.CssSelector("[data-row=isolator]")).Count == 1);
        browser.Find("[data-row=isolator]").Click();
        Browser.Until("its check", () => browser.Driver.FindElements(By.CssSelector("[data-check='isolator.travel']")).Count == 1);
    }

    [Theory]
    [InlineData("#/rig/demo-4-sidecar-face", "site")]
    [InlineData("#/rig/demo-5-courier-helmet", "base")]
    [InlineData("#/rig/demo-6-lane-boom", "base")]
    [InlineData("#/rig/demo-7-press-house-window", "base")]
    public void NothingSeriousWithTheDrawerOpen(string hash, string row)
    {
        browser.Open(hash);
        browser.Find($"[data-row={row}]").Click();
        Thread.Sleep(500);
        Assert.True(browser.Script<bool>("return document.documentElement.scrollWidth <= innerWidth"), "scrolls sideways");
        Assert.Equal("", browser.Axe());
    }
}
