using OpenQA.Selenium;

namespace Ochema.Ui.Tests;

/// <summary>The ladder climbed at the bench, with the readings of the stand-ins.</summary>
[Collection(SharedBrowser.Name)]
public sealed class ProveTests
{
    private const string Rig = "demo-12-gate-from-the-grass";
    private readonly Browser browser;

    public ProveTests(SharedBrowser shared)
    {
        browser = shared.Browser;
        browser.Reset();
    }

    private void Open()
    {
        browser.Driver.Navigate().GoToUrl("about:blank");
        browser.Open($"#/rig/{Rig}/prove");
        browser.Find("[data-prove]");
    }

    private string State(string rung) => browser.Find($"[data-rung='{rung}']").GetDomAttribute("data-state")!;

    private void PassRung(string rung)
    {
        browser.Find($"[data-rung='{rung}']").Click();
        browser.Find($"[data-rung-now='{rung}']");
        Assert.False(browser.Find("[data-passed]").Enabled, "passed before anything was looked at");
        foreach (var box in browser.Driver.FindElements(By.CssSelector($"[data-rung-now='{rung}'] input[type=checkbox]")))
            box.Click();
        browser.Find("[data-passed]").Click();
        Browser.Until($"{rung} passed", () => State(rung) == "passed");
    }

    [Fact]
    public void TheLadderIsClimbedFromTheBench()
    {
        Open();
        PassRung("bench");
        browser.Find("[data-rung=pulls]").Click();
        var pulls = browser.Driver.FindElements(By.CssSelector("[data-pull-row]")).Count;
        Assert.True(pulls > 0);
        for (var n = 0; n < pulls; n++)
        {
            var pull = browser.Find("[data-pull]").GetDomAttribute("data-pull");
            // The big number is the one beside its row.
            var aim = browser.Find("h2 .text-accent").Text;
            Assert.EndsWith(" kg", aim, StringComparison.Ordinal);
            Assert.Contains(aim, browser.Find($"[data-pull-row='{pull}']").Text, StringComparison.Ordinal);
            browser.Button("stand-in").Click();
            Browser.Until("a reading", () => browser.Find("[data-passed]").Enabled);
            Assert.Contains("made up, not read", browser.Body, StringComparison.Ordinal);
            browser.Find("[data-passed]").Click();
            Browser.Until("passed", () => browser.Find($"[data-pull-row='{pull}']").GetDomAttribute("data-state") == "passed");
        }
        Browser.Until("all pulls", () => State("pulls") == "passed");
        Browser.Until("the tape", () => browser.Find("[data-tape]").Text.Contains("pulls prove", StringComparison.Ordinal));
        // Found again on a page of its own.
        Open();
        Assert.Equal("passed", State("pulls"));
    }

    [Fact]
    public void WhatMovesStopsTheLadderAndIsSaidInBothUnits()
    {
        Open();
        browser.Find("[data-rung=pulls]").Click();
        browser.Find("input[inputmode=decimal]").SendKeys("1,5");
        browser.Button("It moved").Click();
        Browser.Until("stopped", () => browser.Driver.FindElements(By.CssSelector("[data-stopped]")).Count == 1);
        Assert.Contains("1.5 kg", browser.Find("[data-stopped]").Text, StringComparison.Ordinal);
        browser.Driver.FindElement(By.XPath("//header//button[starts-with(@aria-label, 'Units')]")).Click();
        Browser.Until("pounds", () => browser.Find("[data-stopped]").Text.Contains("3.3 lb", StringComparison.Ordinal));
        Assert.EndsWith(" lb", browser.Find("h2 .text-accent").Text, StringComparison.Ordinal);
    }

    [Fact]
    public void AShoveIsEnteredAndSaysWhatItProves()
    {
        Open();
        browser.Button("Enter it").Click();
        Browser.Until("its sentence", () => browser.Body.Contains("300 N sideways; the design asks for", StringComparison.Ordinal));
    }
}
