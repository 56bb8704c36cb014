using System.Text.Json.Nodes;
using Ochema.Core.Assessment;
using Ochema.Core.Json;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Rigs;

public class RigReaderTests
{
    public static TheoryData<string> All => RigFiles.Names;

    [Theory]
    [MemberData(nameof(All))]
    public void WhatShipsIsReadAndWrittenWithoutLoss(string name)
    {
        var rig = RigFiles.Named(name);
        var json = StrictJson.Write(rig);
        Assert.Equal(json, StrictJson.Write(RigReader.Read(json, Catalogue.Shipped)));
        Assert.Contains("Planning estimate", Assessor.Assess(rig, Catalogue.Shipped).Verdict.Text);
    }

    [Theory]
    [InlineData("schema", "7", "schema")]
    [InlineData("host", "\"tractor\"", "host")]
    [InlineData("name", "\"\"", "name")]
    [InlineData("at", "[0]", "at")]
    [InlineData("at", "[0, 1e300]", "at[1]")]
    [InlineData("site.thickness", "-1", "site.thickness")]
    [InlineData("site.material", "\"cheese\"", "site.material")]
    [InlineData("base.kind", "\"anvil\"", "base")]
    [InlineData("paths.0.reach.length", "99", "paths[0].reach.length")]
    [InlineData("paths.0.reach.length", "\"long\"", "paths[0].reach.length")]
    [InlineData("paths.0.reach.colour", "1", "paths[0].reach")]
    [InlineData("paths", "[]", "paths")]
    [InlineData("paths.0.id", "\"a b\"", "paths[0].id")]
    [InlineData("paths.0.where", "\"underneath\"", "paths[0].where")]
    [InlineData("run.speed", "1e400", "run.speed")]
    [InlineData("run.road", "\"icy\"", "run.road")]
    [InlineData("paths.0.camera.body", "null", "paths[0].camera.body")]
    [InlineData("tethers.0.to.anchor", "\"moon\"", "tethers[0].to.anchor")]
    [InlineData("factors.metal", "0.1", "factors.metal")]
    [InlineData("factors.luck", "2", "factors.luck")]
    [InlineData("braces.0.at", "[1, 2, 3]", "braces[0].at")]
    [InlineData("braces.1.id", "\"left\"", "braces[1].id")]
    [InlineData("braces.0.foot.stock", "\"magnet-9000\"", "braces[0].foot.stock")]
    public void WhatIsWrongIsNamedByPath(string where, string value, string path)
    {
        var doc = JsonNode.Parse(StrictJson.Write(RigFiles.Named("2-bonnet-close-up-braced")))!;
        JsonNode at = doc;
        var steps = where.Split('.');
        foreach (var s in steps[..^1])
            at = int.TryParse(s, out var i) ? at[i]! : at[s]!;
        var text = doc.ToJsonString();
        at[steps[^1]] = "@@";
        text = doc.ToJsonString().Replace("\"@@\"", value);
        var e = Assert.Throws<DocumentException>(() => RigReader.Read(text, Catalogue.Shipped));
        Assert.StartsWith(path, e.Path);
        Assert.DoesNotContain("System.", e.Reason);
    }

    [Fact]
    public void AMissingFieldIsNamed()
    {
        var doc = JsonNode.Parse(StrictJson.Write(RigFiles.CupAndArm()))!.AsObject();
        doc.Remove("run");
        Assert.Contains("run", Assert.Throws<DocumentException>(() => RigReader.Read(doc.ToJsonString(), Catalogue.Shipped)).Message);
    }

    [Fact]
    public void EveryKindPublishesItsMeasurementsWithRangesThatHoldItsDefaults()
    {
        var kinds = KindDescriptors.All(Catalogue.Shipped);
        foreach (var id in new[] { "single-cup", "single-magnet", "hold-plate", "none", "riser", "stud", "articulated-arm", "stud-head", "ball-head", "fluid-head", "strut", "cup", "magnet", "pad" })
            Assert.Contains(kinds, k => k.Id == id);
        foreach (var f in kinds.SelectMany(k => k.Fields).Where(f => f.Type == "quantity"))
        {
            Assert.True(f.Minimum < f.Maximum, f.Label);
            if (f.Default is { } d)
                Assert.InRange(d.GetDouble(), f.Minimum!.Value, f.Maximum!.Value);
        }
    }

    [Fact]
    public void TheSchemaNamesEveryKindAndRange()
    {
        var schema = DocumentSchema.Create().ToJsonString();
        foreach (var word in new[] { "hold-plate", "articulated-arm", "clearRadius", "minimum", "draft/2020-12" })
            Assert.Contains(word, schema);
    }
}
