using Microsoft.Data.Sqlite;
using Ochema.Data;
using OpenQA.Selenium;

namespace Ochema.Ui.Tests;

/// <summary>The bin in the yard, and a rig that cannot be read among those that can.</summary>
[Collection(SharedBrowser.Name)]
public sealed class BinPageTests
{
    private const string Helmet = "demo-5-courier-helmet";
    private readonly Browser browser;

    public BinPageTests(SharedBrowser shared)
    {
        browser = shared.Browser;
        browser.Reset();
    }

    private int Cards(string id) => browser.Driver.FindElements(By.CssSelector($"[data-rig='{id}']")).Count;

    private void Bin(string id) =>
        Browser.Until("bin it", () => browser.Driver
            .FindElements(By.XPath($"//li[.//a[@data-rig='{id}']]//button[contains(., 'Bin it')]")).FirstOrDefault()).Click();

    /// <summary>Not by the pointer: the page moves while the banner comes and the cards are drawn anew.</summary>
    private void OpenBin() => browser.Script<object>("arguments[0].click()",
        Browser.Until("the bin", () => browser.Driver.FindElements(By.XPath("//button[normalize-space(.)='Bin']")).FirstOrDefault()));

    [Fact]
    public void WhatIsBinnedIsListedBroughtBackAndInTheEndGone()
    {
        browser.Open();
        Bin(Helmet);
        Browser.Until("gone from the yard", () => Cards(Helmet) == 0);
        OpenBin();
        browser.Find($"[data-binned='{Helmet}']");
        Assert.Equal("", browser.Axe());
        browser.Button("Bring back").Click();
        Browser.Until("empty", () => browser.Find("dialog").Text.Contains("It is empty", StringComparison.Ordinal));
        browser.Find("dialog button").Click();
        Browser.Until("closed", () => browser.Driver.FindElements(By.CssSelector("dialog")).Count == 0);
        Browser.Until("back in the yard", () => Cards(Helmet) == 1);
        Bin(Helmet);
        Browser.Until("gone again", () => Cards(Helmet) == 0);
        OpenBin();
        browser.Button("Empty the bin").Click();
        browser.Button("Yes, empty it").Click();
        Browser.Until("empty", () => browser.Find("dialog").Text.Contains("It is empty", StringComparison.Ordinal));
    }

    [Fact]
    public void ARigThatCannotBeReadIsNamedAmongTheOthers()
    {
        using (var c = new SqliteConnection(Storage.ConnectionString(browser.DataFolder)))
        {
            c.Open();
            using var command = c.CreateCommand();
            command.CommandText = """UPDATE "Rigs" SET "Document" = replace("Document", '"schema":3', '"schema":3,"wheels":5') WHERE "Id" = $id;""";
            command.Parameters.AddWithValue("$id", Helmet);
            Assert.Equal(1, command.ExecuteNonQuery());
        }
        browser.Open();
        Assert.Contains("wheels", browser.Find($"[data-unreadable='{Helmet}']").Text);
        Assert.Equal(1, Cards("demo-1-bonnet-close-up"));
        Assert.Equal("", browser.Axe());
    }
}
