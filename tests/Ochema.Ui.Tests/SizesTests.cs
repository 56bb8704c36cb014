using OpenQA.Selenium;

namespace Ochema.Ui.Tests;

/// <summary>Screens on a small window and a phone, and how much of the scene the rig is.</summary>
[Collection(SharedBrowser.Name)]
public sealed class SizesTests(SharedBrowser shared)
{
    private readonly Browser browser = shared.Fresh<SizesTests>();

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
    [InlineData("#/rig/demo-3-roof-road-ahead/prove", 768, 1024)]
    [InlineData("#/rig/demo-3-roof-road-ahead/prove", 390, 844)]
    [InlineData("#/rig/demo-2-bonnet-close-up-braced/run", 768, 1024)]
    [InlineData("#/rig/demo-2-bonnet-close-up-braced/run", 390, 844)]
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
                    : hash.EndsWith("prove", StringComparison.Ordinal) ? "[data-rung]"
                    : hash.EndsWith("run", StringComparison.Ordinal) ? "[data-tick]"
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

    public static TheoryData<string, int, int> Screens
    {
        get
        {
            var data = new TheoryData<string, int, int>();
            foreach (var (width, height) in new[] { (640, 400), (844, 390), (390, 844), (768, 1024), (1280, 800) })
                foreach (var hash in new[]
                {
                    "", "#/bin", "#/shelf/cups/cup-115", "#/rig/demo-3-roof-road-ahead", "#/rig/demo-4-sidecar-face/make",
                        "#/rig/demo-3-roof-road-ahead/shake",
                })
                    data.Add(hash, width, height);
            return data;
        }
    }

    /// <summary>Texts that are painted over each other: bounding boxes of what is seen, apart from what an opaque surface hides.</summary>
    private const string Overlaps = """
        const opaque = (e) => { const c = getComputedStyle(e).backgroundColor.match(/[\d.]+/g); return c && (c.length < 4 || +c[3] > 0.85); };
        const clipped = (e, r) => {
          for (let a = e; a; a = a.parentElement) {
            const s = getComputedStyle(a);
            if (s.visibility === 'hidden' || +s.opacity < 0.1 || s.display === 'none') return true;
            if (s.display !== 'inline' && (s.overflowX !== 'visible' || s.overflowY !== 'visible')) {
              const b = a.getBoundingClientRect();
              if (r.right < b.left + 1 || r.left > b.right - 1 || r.bottom < b.top + 1 || r.top > b.bottom - 1) return true;
            }
          }
          return r.bottom < 0 || r.top > innerHeight || r.right < 0 || r.left > innerWidth;
        };
        const boxes = [];
        const walk = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
        while (walk.nextNode()) {
          const n = walk.currentNode, e = n.parentElement;
          if (!n.textContent.trim() || ['SCRIPT', 'STYLE', 'OPTION', 'TITLE', 'DESC'].includes(e.tagName) || e.closest('.sr-only')
              || !e.checkVisibility({ opacityProperty: true, visibilityProperty: true })) continue;
          const range = document.createRange();
          range.selectNodeContents(n);
          for (const r of range.getClientRects()) {
            // Letters fill the middle of their line.
            const inset = Math.min(4, r.height * 0.2);
            const t = { left: r.left, right: r.right, top: r.top + inset, bottom: r.bottom - inset };
            if (r.width > 3 && r.height > 5 && !clipped(e, t)) boxes.push({ e, text: n.textContent.trim().slice(0, 40), ...t });
          }
        }
        const hidden = (under, x, y) => {
          let top = document.elementFromPoint(x, y);
          for (; top && !top.contains(under); top = top.parentElement) if (opaque(top)) return true;
          return false;
        };
        const found = [];
        for (let i = 0; i < boxes.length; i++)
          for (let j = 0; j < i; j++) {
            const [a, b] = [boxes[i], boxes[j]];
            const [l, r, t, m] = [Math.max(a.left, b.left), Math.min(a.right, b.right), Math.max(a.top, b.top), Math.min(a.bottom, b.bottom)];
            if (a.e === b.e || r - l < 2 || m - t < 2) continue;
            const [x, y] = [(l + r) / 2, (t + m) / 2];
            if (!hidden(a.e, x, y) && !hidden(b.e, x, y)) found.push(`“${a.text}” over “${b.text}” at ${Math.round(x)}, ${Math.round(y)}`);
          }
        return found.slice(0, 6).join('; ');
        """;

    [Theory]
    [MemberData(nameof(Screens))]
    public void NoTextIsPaintedOverAnother(string hash, int width, int height)
    {
        Size(width, height);
        try
        {
            browser.Driver.Navigate().GoToUrl("about:blank");
            browser.Open(hash);
            browser.Find(hash.EndsWith("shake", StringComparison.Ordinal) ? "[data-sharp]" : hash.EndsWith("make", StringComparison.Ordinal)
                ? "[data-title]"
                : hash.Contains("shelf", StringComparison.Ordinal) ? "dl" : hash.Contains("rig/", StringComparison.Ordinal) ? "[data-row]"
                    : "main");
            Browser.Until("rest", () => browser.Driver.FindElements(OpenQA.Selenium.By.CssSelector("[data-pending]")).Count == 0);
            Thread.Sleep(300);
            for (var page = 0; page < 3; page++)
            {
                var over = browser.Script<string>(Overlaps);
                Assert.True(over.Length == 0, $"page {page}: {over}");
                browser.Script<object?>("(document.querySelector('[data-scrolls]') ?? document.scrollingElement).scrollBy(0, innerHeight "
                    + "* 0.8)");
                Thread.Sleep(60);
            }
        }
        finally
        {
            Size(1280, 800);
        }
    }

    [Theory] // WCAG 2.2, 2.5.8: 24 pixels both ways; links within a sentence, and titles that open their whole card, are as they are
    [InlineData("", "main")]
    [InlineData("#/rig/demo-3-roof-road-ahead", "[data-row=base]")]
    [InlineData("#/rig/demo-3-roof-road-ahead/shake", "[data-sharp]")]
    [InlineData("#/rig/demo-4-sidecar-face/make", "[data-title]")]
    [InlineData("#/shelf/cups/cup-115", "dl")]
    public void WhatIsPressedIsLargeEnough(string hash, string there)
    {
        browser.Driver.Navigate().GoToUrl("about:blank");
        browser.Open(hash);
        var at = browser.Find(there);
        if (there.StartsWith("[data-row", StringComparison.Ordinal))
            at.Click();
        Browser.Until("rest", () => browser.Driver.FindElements(OpenQA.Selenium.By.CssSelector("aside [aria-busy=true]")).Count == 0);
        var small = browser.Script<string>("""
            const small = [];
            for (const e of document.querySelectorAll('button, a[href], input:not([type=checkbox]), select, summary, [role=radio], [role=slider], [role=tab]')) {
              if (!e.checkVisibility({ opacityProperty: true, visibilityProperty: true }) || e.closest('.sr-only')) continue;
              const r = e.getBoundingClientRect();
              const within = getComputedStyle(e).display === 'inline' && e.parentElement.textContent.trim().length > e.textContent.trim().length + 3;
              if (r.width && Math.min(r.width, r.height) < 23.5 && !within && getComputedStyle(e, '::after').position !== 'absolute')
                small.push(`${Math.round(r.width)} × ${Math.round(r.height)} ${e.tagName} ${(e.textContent.trim() || e.ariaLabel || '').slice(0, 30)}`);
            }
            return [...new Set(small)].slice(0, 8).join('; ');
            """);
        Assert.True(small.Length == 0, small);
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
            browser.Script<object?>("for (let i = 0; i < 60; i++) window.dispatchEvent(new KeyboardEvent('keydown', { key: ']', bubbles: "
                + "true }));");
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
