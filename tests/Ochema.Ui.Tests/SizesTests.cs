using OpenQA.Selenium;

namespace Ochema.Ui.Tests;

/// <summary>Screens on a small window and a phone, and how much of the scene the rig is.</summary>
public sealed class SizesTests(SharedBrowser shared) : IClassFixture<SharedBrowser>
{
    private readonly Browser browser = shared.Browser;

    /// <summary>A page as wide and high as said; the window itself cannot be made that narrow.</summary>
    private void Size(int width, int height) => browser.Driver.ExecuteCdpCommand("Emulation.setDeviceMetricsOverride",
        new Dictionary<string, object?> { ["width"] = width, ["height"] = height, ["deviceScaleFactor"] = 1, ["mobile"] = false });

    [Theory]
    [InlineData("#/rig/demo-3-roof-road-ahead", 768, 1024)]
    [InlineData("#/rig/demo-3-roof-road-ahead", 390, 844)]
    [InlineData("#/rig/demo-3-roof-road-ahead/shake", 768, 1024)]
    [InlineData("#/rig/demo-3-roof-road-ahead/shake", 390, 844)]
    [InlineData("#/rig/demo-3-roof-road-ahead/make", 768, 1024)]
    [InlineData("#/rig/demo-3-roof-road-ahead/make", 390, 844)]
    [InlineData("#/shelf/cups/cup-115", 390, 844)]
    [InlineData("#/shelf/cups/cup-115", 768, 1024)]
    [InlineData("", 390, 844)]
    public void NothingScrollsSideways(string hash, int width, int height)
    {
        Size(width, height);
        try
        {
            browser.Open(hash);
            if (hash.Length > 0)
                browser.Find(hash.EndsWith("shake", StringComparison.Ordinal) ? "[data-sharp]"
                    : hash.EndsWith("make", StringComparison.Ordinal) ? "[data-title]"
                    : hash.Contains("shelf", StringComparison.Ordinal) ? "dl" : "[data-row]");
            Thread.Sleep(500);
            Assert.Equal("", browser.Script<string>("""
                const wide = [...document.querySelectorAll('main *, header *')].filter((e) => {
                  const r = e.getBoundingClientRect();
                  return r.width && r.right > innerWidth + 1 && !e.closest('svg') && getComputedStyle(e).position !== 'absolute';
                });
                return document.documentElement.scrollWidth > innerWidth ? 'the page'
                    : wide.slice(0, 3).map((e) => e.outerHTML.slice(0, 120)).join(' | ');
                """));
        }
        finally
        {
            Size(1280, 800);
        }
    }

    [Theory]
    [InlineData("demo-1-bonnet-close-up")]
    [InlineData("demo-3-roof-road-ahead")]
    [InlineData("demo-4-sidecar-face")]
    [InlineData("demo-5-courier-helmet")]
    [InlineData("demo-7-press-house-window")]
    [InlineData("demo-8-orchard-from-above")]
    [InlineData("demo-9-skiff-ferryman")]
    public void TheRigFillsTheSceneWhenItIsOpened(string id)
    {
        browser.OpenRig(id);
        var share = Browser.Until("the scene", () => browser.Script<object?>("return window.ochemaFills?.() ?? null") is { } v
            && Convert.ToDouble(v) > 0 ? v : null);
        Assert.InRange(Convert.ToDouble(share), 0.4, 0.95);
    }

    [Theory] // engine and propeller orders lie close together: their names must not run into each other
    [InlineData("demo-8-orchard-from-above")]
    [InlineData("demo-3-roof-road-ahead")]
    public void NamesOnThePlotKeepClearOfEachOther(string id)
    {
        browser.Open($"#/rig/{id}/shake");
        browser.Find("[data-order]");
        Assert.Equal("", browser.Script<string>("""
            const boxes = [...document.querySelectorAll('[data-order]')].map((e) => ({ t: e.textContent, r: e.getBoundingClientRect() }));
            const meet = (a, b) => a.left < b.right - 1 && b.left < a.right - 1 && a.top < b.bottom - 3 && b.top < a.bottom - 3;
            for (let i = 0; i < boxes.length; i++)
              for (let j = 0; j < i; j++) if (meet(boxes[i].r, boxes[j].r)) return boxes[i].t + ' and ' + boxes[j].t;
            return '';
            """));
    }

    [Fact]
    public void ThroughTheLensThePictureHasItsEdgeAndItsPeople()
    {
        browser.OpenRig("demo-4-sidecar-face");
        browser.Find("[data-scene=ready]");
        browser.Driver.FindElement(By.TagName("body")).SendKeys("v");
        browser.Find("[data-frame]");
        Assert.Contains("the rider", browser.Find("[data-through]").Text);
        Assert.DoesNotContain("the rider, not", browser.Find("[data-through]").Text);
    }

    [Theory] // what the speed is called stands whole on the tape, wherever its marker is
    [InlineData("demo-9-skiff-ferryman", 1280)]
    [InlineData("demo-9-skiff-ferryman", 768)]
    [InlineData("demo-2-bonnet-close-up-braced", 1280)]
    public void TheSpeedsNameStaysOnTheTape(string rig, int width)
    {
        Size(width, 800);
        try
        {
            browser.OpenRig(rig);
            bool Whole() => browser.Script<bool>("""
                const [n, t] = ['[data-speed-name]', '[aria-label="Speed tape"]'].map((s) => document.querySelector(s).getBoundingClientRect());
                return n.width > 20 && n.left >= t.left && n.right <= t.right;
                """);
            Browser.Until("the name", Whole);
            browser.Script<object?>("for (let i = 0; i < 60; i++) window.dispatchEvent(new KeyboardEvent('keydown', { key: ']', bubbles: true }));");
            Browser.Until("the top", () => browser.Script<bool>("""
                const s = document.querySelector('[role=slider]');
                return +s.getAttribute('aria-valuenow') > 0.9 * s.getAttribute('aria-valuemax');
                """));
            Assert.True(Whole());
        }
        finally
        {
            browser.Script<object?>("window.dispatchEvent(new KeyboardEvent('keydown', { key: 'z', bubbles: true }));");
            Size(1280, 800);
        }
    }
}
