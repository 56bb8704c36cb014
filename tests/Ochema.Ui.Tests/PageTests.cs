using OpenQA.Selenium;

namespace Ochema.Ui.Tests;

/// <summary>Each page as it opens, by day and by night.</summary>
[Collection(SharedBrowser.Name)]
public sealed class PageTests(SharedBrowser shared)
{
    private readonly Browser browser = shared.Fresh<PageTests>();

    [Theory]
    [InlineData("")]
    [InlineData("#/shelf/magnets/magnet-90")]
    [InlineData("#/shelf/fasteners")]
    [InlineData("#/rig/demo-1-bonnet-close-up")]
    [InlineData("#/rig/demo-3-roof-road-ahead")]
    [InlineData("#/rig/demo-6-lane-boom/make")]
    [InlineData("#/rig/demo-3-roof-road-ahead/prove")]
    [InlineData("#/rig/demo-2-bonnet-close-up-braced/run")]
    public void NothingIsCutOffAndAxeFindsNothingSerious(string hash)
    {
        browser.Open(hash);
        foreach (var _ in new[] { "day", "night" })
        {
            Thread.Sleep(400);
            Assert.True(browser.Script<bool>("return document.documentElement.scrollWidth <= innerWidth"), "scrolls sideways");
            Assert.Equal("", browser.Axe());
            browser.Driver.FindElement(By.XPath("//header//button[contains(., 'change the theme')]")).Click();
        }
    }

    /// <summary>A page asks once for what it shows: an answer is no reason to ask again.</summary>
    [Theory]
    [InlineData("", "[data-rig]")]
    [InlineData("#/shelf/magnets/magnet-90", "main")]
    [InlineData("#/rig/demo-1-bonnet-close-up", "[data-row=base]")]
    [InlineData("#/rig/demo-1-bonnet-close-up", "[data-row=base]", "[data-row=base]", "[data-check]", "[data-check]")]
    [InlineData("#/rig/demo-1-bonnet-close-up/shake", "[data-shake]")]
    [InlineData("#/rig/demo-3-roof-road-ahead/prove", "[data-rung=pulls]", "[data-rung=pulls]", "[data-pull]")]
    [InlineData("#/rig/demo-2-bonnet-close-up-braced/run", "[data-tick]")]
    [InlineData("#/rig/demo-4-sidecar-face/make", "[data-make]", "[data-step='cut.reach.riser.riser']", "[data-did]")]
    public void APageThatIsLeftAloneAsksNothing(string hash, string there, string? press = null, string? then = null, string? last = null)
    {
        browser.Driver.Navigate().GoToUrl("about:blank");
        browser.Open(hash);
        browser.Find(there);
        if (press is not null)
            browser.Find(press).Click();
        if (then is not null)
            browser.Find(then);
        if (last is not null)
            browser.Find(last).Click();
        // What is asked a while after the hands are still comes within a second.
        Browser.Until("rest: it goes on asking", () =>
        {
            browser.Driver.ExecuteScript("performance.clearResourceTimings()");
            Thread.Sleep(1500);
            return browser.Script<long>("return performance.getEntriesByType('resource').filter(e => e.name.includes('/api/')).length") == 0;
        }, 1);
    }
}
