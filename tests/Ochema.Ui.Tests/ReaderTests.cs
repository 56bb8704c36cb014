using OpenQA.Selenium;

namespace Ochema.Ui.Tests;

/// <summary>A reader of another region, who chose nothing yet.</summary>
public sealed class ReaderTests
{
    [Fact]
    public void InchesAndDaysAreThoseOfTheReader()
    {
        using var browser = new Browser(languages: "en-US,en");
        browser.Open("#/rig/demo-1-bonnet-close-up");
        Browser.Until("the verdict in the reader's speeds", () => browser.Find("main").Text.Contains("mph", StringComparison.Ordinal));
        Assert.DoesNotContain("km/h", browser.Find("main").Text);
        browser.Driver.FindElement(By.XPath("//ol/following-sibling::div//button[contains(normalize-space(.), \"Versions\")]")).Click();
        // Month before day, and a clock of twelve hours.
        var versions = Browser.Until("versions", () => browser.Find("#drawer").Text is var text && text.Contains(" AM", StringComparison.Ordinal)
            || browser.Find("#drawer").Text.Contains(" PM", StringComparison.Ordinal) ? browser.Find("#drawer").Text : null);
        Assert.Matches("[A-Z][a-z]{2} [0-9]{1,2}, 20[0-9]{2}", versions);
    }
}
