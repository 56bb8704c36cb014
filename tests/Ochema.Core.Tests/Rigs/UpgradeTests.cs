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

    private static JsonObject Old(string name)
    {
        var rig = JsonNode.Parse(StrictJson.Write(RigFiles.Named(name)))!.AsObject();
        rig["schema"] = 1;
        return rig;
    }

    [Theory, MemberData(nameof(All))]
    public void AnOldDocumentKeepsItsVerdict(string name)
    {
        var rig = RigReader.Read(Old(name).ToJsonString(), Stock);
        Assert.Equal(RigDocument.CurrentSchema, rig.Schema);
        Assert.Equal(StrictJson.Write(Assessor.Assess(RigFiles.Named(name), Stock)), StrictJson.Write(Assessor.Assess(rig, Stock)));
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
            : new[] { old["tether"], old["tethers"]?.AsArray().FirstOrDefault(t => (string?)t?["to"]?["anchor"] == now) }
                .Select(t => t?["to"]?.AsObject()).First(t => (string?)t?["anchor"] == now)!;
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
    [InlineData(3)]
    [InlineData(-1)]
    public void OtherSchemasAreRefusedByName(int schema)
    {
        var rig = Old("1-bonnet-close-up");
        rig["schema"] = schema;
        var e = Assert.Throws<DocumentException>(() => RigReader.Read(rig.ToJsonString(), Stock));
        Assert.Equal("schema", e.Path);
        Assert.Contains("1 and 2", e.Reason);
    }

    [Theory] // what is wrong with an old document is said as of any other
    [InlineData("""{"schema":1,"schema":1}""", "")]
    [InlineData("""{"schema":1,"site":{"calibratedOn":7}}""", "")]
    [InlineData("""{"schema":1""", "")]
    [InlineData("""{"schema":1,"measured":4,"site":{"calibratedOn":"2026-01-01","damping":1}}""", "")]
    public void WrongOldDocumentsAreRefused(string text, string path) =>
        Assert.Contains(path, Assert.Throws<DocumentException>(() => RigReader.Read(text, Stock)).Path);
}
