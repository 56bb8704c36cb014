using OpenQA.Selenium;

namespace Ochema.Ui.Tests;

/// <summary>The Make screen: steps are done one after the other, hold points hold, what cures goes on while nobody looks.</summary>
public sealed class MakeTests : IDisposable
{
    private readonly Browser browser = new();

    public void Dispose() => browser.Dispose();

    private void OpenMake(string rig)
    {
        browser.Driver.Navigate().GoToUrl("about:blank");
        browser.Open($"#/rig/{rig}/make");
        browser.Find("[data-make]");
    }

    private string Title => browser.Find("[data-title]").Text;

    private IWebElement Step(string id) => browser.Find($"[data-step='{id}']");

    private bool IsDone(string id) => Step(id).GetDomAttribute("data-done") == "true";

    private void Finish(string id)
    {
        Step(id).Click();
        Browser.Until("the step", () => Step(id).GetDomAttribute("aria-current") == "step");
        browser.Find("[data-done-next]").Click();
        Browser.Until($"{id} done", () => IsDone(id));
    }

    private void Saved() => Browser.Until("saving", () => browser.Driver.FindElements(By.CssSelector("[data-save=saved]")).Count > 0);

    [Fact]
    public void StepsAreDoneNotedUndoneAndHoldPointsHold()
    {
        browser.OpenRig("demo-3-roof-road-ahead");
        browser.Driver.FindElement(By.XPath("//header//a[normalize-space(.)='Make']")).Click();
        browser.Find("[data-make]");
        Browser.Until("the first step", () => Title == "Look over the roof");
        browser.Find("form input").SendKeys("wash it the day before");
        browser.Find("[data-done-next]").Click();
        Browser.Until("the next", () => Title.StartsWith("Measure", StringComparison.Ordinal));
        Assert.Contains("23 steps, 1 done", browser.Body);
        // What stands behind a hold point waits for it.
        Step("fit.head").Click();
        browser.Find("[data-held]").Click();
        Browser.Until("the hold point", () => Title == "Put it together loosely at the bench");
        Saved();
        OpenMake("demo-3-roof-road-ahead");
        Assert.True(IsDone("look-over.site"));
        Step("look-over.site").Click();
        Browser.Until("the note", () => browser.Find("form input").GetDomProperty("value") == "wash it the day before");
        browser.Button("Not done").Click();
        Browser.Until("undone", () => !IsDone("look-over.site"));
        browser.Button("Undo").Click();
        Browser.Until("done again", () => IsDone("look-over.site"));
    }

    [Fact]
    public void APlateIsDrawnAtItsStepAndSavedAtOneToOne()
    {
        OpenMake("demo-3-roof-road-ahead");
        Step("drill.base.2").Click();
        Browser.Until("the plate", () => browser.Driver.FindElements(By.CssSelector("[data-template] circle.stroke-accent")).Count == 4);
        var saved = browser.Script<string>("""
            window.savedAs = ''; HTMLAnchorElement.prototype.click = function () { window.savedAs = this.download; };
            document.querySelector('[data-save-template=dxf]').click(); return '';
            """);
        Assert.Equal("", saved);
        Browser.Until("a file", () => browser.Script<string>("return window.savedAs").EndsWith(".dxf", StringComparison.Ordinal));
    }

    [Fact]
    public void WhatIsMeasuredOnTheHostGoesIntoTheRigWithItsDay()
    {
        OpenMake("demo-1-bonnet-close-up");
        Step("measure.site").Click();
        var field = Browser.Until("a reading", () => browser.Driver.FindElements(By.XPath(
            "//*[@data-readings]//label[contains(., 'Weighed, all on')]/following-sibling::input")).FirstOrDefault());
        int Taken() => browser.Driver.FindElements(By.CssSelector("[data-readings] [data-taken]")).Count;
        var before = Taken();
        field.SendKeys("0.61 kg" + Keys.Enter);
        Browser.Until("its day", () => Taken() > before);
        Saved();
        browser.OpenRig("demo-1-bonnet-close-up");
        browser.Find("[data-row=camera]").Click();
        Browser.Until("it in the rig", () => browser.Driver.FindElements(By.XPath(
            "//aside//label[contains(., 'Weighed, all on')]/following-sibling::input")).FirstOrDefault()?.GetDomProperty("value")?.Contains("0.61",
                StringComparison.Ordinal) == true);
    }

    [Fact]
    public void ACureGoesOnAcrossAReloadAndARestartOfTheServer()
    {
        OpenMake("demo-5-courier-helmet");
        foreach (var id in new[] { "look-over.site", "measure.site", "try-on.base", "place.base" })
            Finish(id);
        Step("place.base").Click();
        string Cure() => Browser.Until("the cure", () => browser.Driver.FindElements(By.CssSelector("[data-cure]")).FirstOrDefault()?.Text is { } t
            && t.StartsWith("Leave it alone until", StringComparison.Ordinal) ? t : null);
        var until = Cure().Split(':')[0..2];
        Assert.Contains("to go", Cure());
        Saved();
        browser.KillServer();
        browser.StartServer();
        OpenMake("demo-5-courier-helmet");
        Step("place.base").Click();
        Assert.Equal(until, Cure().Split(':')[0..2]);
        Assert.Contains("can be proved", browser.Find("[data-timeline]").Text);
    }

    [Fact]
    public void ListsFollowTheUnitsAndTheRig()
    {
        OpenMake("demo-6-lane-boom");
        browser.Button("Holes").Click();
        Browser.Until("drills", () => browser.Find("[data-holes]").Text.Contains("8.4 mm", StringComparison.Ordinal));
        browser.Driver.FindElement(By.XPath("//header//button[contains(., 'mm')]")).Click();
        Browser.Until("drills by their names", () => browser.Find("[data-holes]").Text.Contains("letter Q", StringComparison.Ordinal));
        browser.Driver.FindElement(By.XPath("//header//button[contains(., 'in ')]")).Click();
        browser.Button("Parts").Click();
        Browser.Until("the list", () => browser.Find("[data-parts]").Text.Contains("Tube clamp", StringComparison.Ordinal));
        // Two clamps are one line.
        Assert.Single(browser.Driver.FindElements(By.XPath("//table[@data-parts]//td[normalize-space(.)='Tube clamp']")));
        browser.Button("Templates").Click();
        Browser.Until("none", () => browser.Body.Contains("Nothing of this rig is cut from sheet", StringComparison.Ordinal));
        browser.Button("Cuts").Click();
        Browser.Until("bars", () => browser.Driver.FindElements(By.CssSelector("figure svg[role=img]")).Count == 3);
        Assert.Contains("no plan costs less", browser.Body);
    }
}
