using System.Text.Json.Nodes;
using Ochema.Core.Assessment;
using Ochema.Core.Json;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Rigs;

public class UpgradeTests
{
    private static readonly Catalogue Stock = Catalogue.Shipped;

    public static TheoryData<string> All => RigFiles.Names;

    /// <summary>A rig as the schema before this one wrote it: one path on its own, a second and further tethers beside it.</summary>
    private static JsonObject Before(RigDocument of)
    {
        var rig = JsonNode.Parse(StrictJson.Write(of))!.AsObject();
        rig["schema"] = 2;
        static JsonObject Without(JsonNode? node, params string[] fields)
        {
            var copy = node!.DeepClone().AsObject();
            foreach (var field in fields)
                copy.Remove(field);
            return copy;
        }
        var (paths, tethers) = (rig["paths"]!.AsArray(), rig["tethers"]!.AsArray());
        rig.Remove("paths");
        rig.Remove("tethers");
        foreach (var (field, part) in Without(paths[0], "id", "where"))
            rig[field] = part?.DeepClone();
        if (paths.Count > 1)
            rig["second"] = Without(paths[1], "id", "isolator");
        if (tethers.Count > 0)
            rig["tether"] = Without(tethers[0], "id");
        rig["tethers"] = new JsonArray([.. tethers.Skip(1).Select(t => Without(t, "id"))]);
        string Then(string key) => key.Replace("paths.[first].", "", StringComparison.Ordinal).Replace("paths.[second]", "second",
            StringComparison.Ordinal).Replace("tethers.[tether].", "tether.", StringComparison.Ordinal);
        void Keys(JsonNode? table)
        {
            foreach (var (key, value) in (table as JsonObject)?.ToList() ?? [])
                if (table!.AsObject().Remove(key))
                    table[Then(key)] = value;
        }
        Keys(rig["measured"]);
        foreach (var (_, made) in rig["made"] as JsonObject ?? [])
            Keys(made?["as"]);
        return rig;
    }

    private static JsonObject Old(string name)
    {
        var rig = Before(RigFiles.Named(name));
        rig["schema"] = 1;
        return rig;
    }

    [Theory, MemberData(nameof(All))]
    public void AnOldDocumentSaysTheSame(string name)
    {
        var (now, before) = (RigFiles.Named(name), Before(RigFiles.Named(name)));
        foreach (var schema in new[] { 1, 2 })
        {
            before["schema"] = schema;
            var rig = RigReader.Read(before.ToJsonString(), Stock);
            // All of it, days of measuring and ticks too; and once upgraded it stays as it is.
            Assert.True(JsonNode.DeepEquals(JsonNode.Parse(StrictJson.Write(now)), JsonNode.Parse(StrictJson.Write(rig))), name);
            Assert.Equal(StrictJson.Write(rig), StrictJson.Write(RigReader.Read(StrictJson.Write(rig), Stock)));
        }
    }

    [Theory] // as they lay in folders before there were lists
    [InlineData("ferry-schema-2", "11-ferry-from-below")]
    [InlineData("wing-schema-2", "13-wing-looking-home")]
    public void AFileOfThenKeepsItsVerdict(string file, string name)
    {
        var rig = RigReader.Read(File.ReadAllText(Path.Combine(AppContext.BaseDirectory, "Rigs/Earlier", file + ".json")), Stock);
        Assert.Equal(StrictJson.Write(Assessor.Assess(RigFiles.Named(name), Stock)), StrictJson.Write(Assessor.Assess(rig, Stock)));
    }

    [Fact] // as many as the schema before allowed: the first, and twelve in a list
    public void AllTethersOfAnOldDocumentAreRead()
    {
        var rig = Before(RigFiles.Named("1-bonnet-close-up"));
        rig["tethers"] = new JsonArray([.. Enumerable.Range(0, 12).Select(_ => rig["tether"]!.DeepClone())]);
        Assert.Equal(13, RigReader.Read(rig.ToJsonString(), Stock).Tethers.Select(t => t.Id).Distinct().Count());
        rig["tethers"]!.AsArray().Add(rig["tether"]!.DeepClone());
        Assert.Equal("tethers", Assert.Throws<DocumentException>(() => RigReader.Read(rig.ToJsonString(), Stock)).Path);
    }

    [Theory] // in the words of the file, not of what it was made into
    [InlineData("reach", "{\"kind\":\"riser\",\"height\":99}", "reach.height")]
    [InlineData("camera", "{\"body\":\"none\",\"lens\":\"none\"}", "camera.body")]
    [InlineData("second", "{\"reach\":{\"kind\":\"none\"},\"head\":{\"kind\":\"anvil\"},\"camera\":{}}", "second.")]
    [InlineData("tether", "{\"stock\":\"wire-2\",\"to\":{\"anchor\":\"moon\",\"t\":0}}", "tether.to.anchor")]
    [InlineData("tethers", "[{\"stock\":\"wire-2\",\"to\":{\"anchor\":\"moon\",\"t\":0}}]", "tethers[0].to.anchor")]
    [InlineData("tethers", "[{\"id\":\"a\",\"stock\":\"wire-2\",\"to\":{\"anchor\":\"moon\",\"t\":0}}]", "tethers[0]")]
    [InlineData("tethers", "7", "tethers")]
    [InlineData("second", "5", "second")]
    [InlineData("paths", "[]", "")]
    [InlineData("paths", "null", "")]
    [InlineData("measured", "{\"reach.length\":{\"value\":1,\"on\":\"today\"}}", "measured.reach.length.on")]
    public void WhatIsWrongWithAnOldOneIsNamedAsItHasIt(string field, string value, string path)
    {
        var rig = Before(RigFiles.Named("1-bonnet-close-up"));
        rig[field] = JsonNode.Parse(value);
        Assert.StartsWith(path, Assert.Throws<DocumentException>(() => RigReader.Read(rig.ToJsonString(), Stock)).Path,
            StringComparison.Ordinal);
    }

    [Fact]
    public void TheDayOfATapTestStandsWithTheOthers()
    {
        var old = Old("1-bonnet-close-up");
        (old["site"]!["stiffnessFactor"], old["site"]!["damping"], old["site"]!["calibratedOn"]) = (1.4, 0.06, "2026-03-14");
        var rig = RigReader.Read(old.ToJsonString(), Stock);
        Assert.Equal(new Taken(1.4, "2026-03-14"), rig.Measured!["site.stiffnessFactor"]);
        Assert.Equal(new Taken(0.06, "2026-03-14"), rig.Measured["site.damping"]);
        Assert.Contains(Assessor.Assess(rig, Stock).Checks.SelectMany(c => c.Working!.Terms), t => t.Source
            == "your tap test, 14 Mar 2026");
        // Written in the new words, and read again as it is.
        Assert.DoesNotContain("calibratedOn", StrictJson.Write(rig));
        Assert.Equal(StrictJson.Write(rig), StrictJson.Write(RigReader.Read(StrictJson.Write(rig), Stock)));
    }

    [Fact]
    public void NewWordsAreNotThoseOfTheOldSchemaTheOtherWayRound()
    {
        var rig = Old("1-bonnet-close-up");
        (rig["schema"], rig["site"]!["calibratedOn"]) = (2, "2026-03-14");
        Assert.Equal("site.calibratedOn", Assert.Throws<DocumentException>(() => RigReader.Read(rig.ToJsonString(), Stock)).Path);
    }

    [Theory] // as written by earlier versions of the same schema
    [InlineData("table-gooseneck", "site", "form", "edge", "standing-edge")]
    [InlineData("rope-one", "tethers", "anchor", "safety-rope", "slack-rope")]
    public void PlacesAndPointsOfEarlierNamesAreFound(string recipe, string of, string field, string was, string now)
    {
        var old = JsonNode.Parse(StrictJson.Write(RigFiles.Named(recipe)))!.AsObject();
        var at = of == "site" ? old["site"]!.AsObject()
            : old["tethers"]!.AsArray().Select(t => t!["to"]!.AsObject()).First(t => (string?)t["anchor"] == now);
        Assert.Equal(now, (string)at[field]!);
        at[field] = was;
        Assert.Equal(StrictJson.Write(RigFiles.Named(recipe)), StrictJson.Write(RigReader.Read(old.ToJsonString(), Stock)));
        // Only where it was called so: elsewhere it is still a mistake.
        var other = Old("1-bonnet-close-up");
        (other["schema"], other["site"]!["form"]) = (2, "edge");
        Assert.Equal("site.form", Assert.Throws<DocumentException>(() => RigReader.Read(other.ToJsonString(), Stock)).Path);
    }

    [Theory]
    [InlineData(0)]
    [InlineData(4)]
    [InlineData(-1)]
    public void OtherSchemasAreRefusedByName(int schema)
    {
        var rig = Old("1-bonnet-close-up");
        rig["schema"] = schema;
        var e = Assert.Throws<DocumentException>(() => RigReader.Read(rig.ToJsonString(), Stock));
        Assert.Equal("schema", e.Path);
        Assert.Contains("1, 2, 3", e.Reason);
    }

    [Theory] // what is wrong with an old document is said as of any other
    [InlineData("""{"schema":1,"schema":1}""", "")]
    [InlineData("""{"schema":1,"site":{"calibratedOn":7}}""", "")]
    [InlineData("""{"schema":1""", "")]
    [InlineData("""{"schema":1,"measured":4,"site":{"calibratedOn":"2026-01-01","damping":1}}""", "")]
    public void WrongOldDocumentsAreRefused(string text, string path) =>
        Assert.Contains(path, Assert.Throws<DocumentException>(() => RigReader.Read(text, Stock)).Path);
}
