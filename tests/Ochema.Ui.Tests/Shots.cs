using OpenQA.Selenium;
using OpenQA.Selenium.Interactions;

namespace Ochema.Ui.Tests;

/// <summary>One current picture of each main view, 1280 × 800, from the demo data. Writes only when OCHEMA_SHOTS names a folder.</summary>
public sealed class Shots
{
    [Fact]
    public void MainViews()
    {
        using var browser = new Browser(1280, 800 + 139, phone: "http");
        var folder = Environment.GetEnvironmentVariable("OCHEMA_SHOTS");
        browser.Driver.Manage().Window.Size = new System.Drawing.Size(1280, 800
            + (int)(browser.Script<long>("return outerHeight - innerHeight")));
        void Shot(string name)
        {
            Thread.Sleep(900);
            // A scene that is drawn in software may be behind what was pressed.
            Browser.Until("the scene as it is", () => !browser.Script<bool>("return window.ochemaPending?.() ?? false"));
            Thread.Sleep(300);
            var picture = browser.Driver.GetScreenshot();
            Assert.True(picture.AsByteArray.Length > 20_000, name);
            if (folder is { Length: > 0 })
                picture.SaveAsFile(Path.Combine(folder, name + ".png"));
        }
        browser.Open();
        Shot("yard");
        browser.Button("Start a rig from a recipe").Click();
        Browser.Until("recipes", () => browser.Driver.FindElements(By.CssSelector("[data-recipe] svg")).Count > 6);
        Shot("recipes");
        browser.Open("#/shelf/magnets/magnet-90");
        browser.Button("Make one of your own").Click();
        browser.Find("aside textarea");
        Shot("shelf");
        browser.OpenRig("demo-4-sidecar-face");
        browser.Find("[data-row=site]").Click();
        Shot("survey");
        browser.OpenRig("demo-5-courier-helmet");
        browser.Find("[data-row=base]").Click();
        Shot("helmet");
        browser.OpenRig("demo-6-lane-boom");
        browser.Find("[data-row=base]").Click();
        browser.Find("[data-joint]");
        browser.Driver.ExecuteScript("document.querySelector('[data-joint]').scrollIntoView()");
        Shot("joint");
        browser.Open("#/rig/demo-1-bonnet-close-up/shake");
        browser.Find("[data-shake]");
        browser.Button("Simulated phone").Click();
        browser.Find("[data-log]");
        Shot("shake");
        browser.Open("#/rig/demo-6-lane-boom/shake");
        browser.Find("svg[aria-label^='The soft mount']");
        browser.Driver.ExecuteScript("document.querySelector(\"svg[aria-label^='The soft mount']\").scrollIntoView()");
        Shot("isolator");
        browser.Open("#/rig/demo-4-sidecar-face/make");
        browser.Find("[data-make]");
        browser.Find("[data-step='cut.reach.riser.riser']").Click();
        browser.Find("[data-did]");
        Shot("make");
        browser.Open("#/rig/demo-3-roof-road-ahead/make");
        browser.Find("[data-make]");
        browser.Button("Parts").Click();
        browser.Find("[data-parts]");
        foreach (var (part, where) in new[] { ("Plate", "bought"), ("Threaded spacer", "in the drawer"), ("Rubber-coated pot magnet", "in the drawer") })
            browser.Driver.FindElement(OpenQA.Selenium.By.XPath($"//tr[td[starts-with(., '{part}')]]//option[.='{where}']")).Click();
        Browser.Until("counted", () => browser.Driver.FindElements(OpenQA.Selenium.By.CssSelector("[data-to-buy]")).Count == 1);
        Shot("parts");
        browser.Open("#/rig/demo-3-roof-road-ahead/prove");
        browser.Find("[data-rung=pulls]").Click();
        browser.Find("[data-pull-row='hold-1.along']").Click();
        browser.Find("[data-pull='hold-1.along']");
        Shot("prove");
        browser.Open("#/rig/demo-2-bonnet-close-up-braced/run");
        browser.Find("[data-tick]");
        Shot("run");
        browser.OpenRig("demo-9-skiff-ferryman");
        Shot("water");
        browser.OpenRig("demo-7-press-house-window");
        browser.Button("Two schools").Click();
        Browser.Until("schools", () => browser.Driver.FindElements(By.CssSelector("[data-school]")).Count > 1);
        Shot("schools");
        browser.OpenRig("demo-2-bonnet-close-up-braced");
        Shot("rig");
        var loads = browser.Find("[data-scene]").Text;
        new Actions(browser.Driver).SendKeys("l").SendKeys("l").Perform();
        // Without a graphics card the scene is drawn a while after the answer.
        Browser.Until("the case's own loads in the scene", () => browser.Find("[data-letgo=left]").GetAttribute("aria-checked") == "true"
            && browser.Find("[data-scene]").Text is var now && now != loads && now.Contains("14 N", StringComparison.Ordinal));
        Shot("let-go");
        new Actions(browser.Driver).SendKeys("L").SendKeys("L").Perform();
        browser.Find("[data-row=reach]").Click();
        browser.Find("[data-check='lower-joint.torque']").Click();
        browser.Find("[data-working]");
        browser.Driver.ExecuteScript("document.querySelector(\"[data-check='lower-joint.torque']\").scrollIntoView()");
        Shot("working");
        browser.Driver.FindElement(By.XPath("//header//button[contains(., 'change the theme')]")).Click();
        browser.Button("Whole rig").Click();
        Shot("rig-night");
        // A phone's, in sunlight, through its own door.
        browser.AsPhone();
        browser.Pair("demo-3-roof-road-ahead");
        browser.Tap("[href$='/prove']");
        Browser.Until("the ladder", () => browser.Driver.FindElements(By.CssSelector("[data-rung]")).Count > 3);
        browser.Tap("[data-rung=pulls]");
        Browser.Until("the arrow", () => browser.Driver.FindElements(By.CssSelector("[data-pull] [data-arrow]")).Count == 1);
        browser.Script<object>("scrollTo(0, 0)");
        Shot("phone");
    }
}
