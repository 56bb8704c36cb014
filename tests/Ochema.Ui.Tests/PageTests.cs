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
}
