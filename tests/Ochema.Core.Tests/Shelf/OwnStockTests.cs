using System.Text.Json;
using System.Text.Json.Nodes;
using Ochema.Core.Assessment;
using Ochema.Core.Json;
using Ochema.Core.Kinds.Bases;
using Ochema.Core.Kinds.Holds;
using Ochema.Core.Quantities;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Shelf;

public class OwnStockTests
{
    private static readonly Catalogue Shipped = Catalogue.Shipped;

    /// <summary>A shipped row as its owner's, with changes.</summary>
    private static JsonObject Own(string list, string like, params (string Field, JsonNode? Value)[] changes)
    {
        var row = JsonSerializer.SerializeToNode<object>(Shipped.Lists[list].First(r => r.Id == like), StrictJson.Options)!.AsObject();
        (row["id"], row["name"], row["source"]) = ("own-mine", "Mine", "luggage scale, 12 May");
        foreach (var (field, value) in changes)
            row[field] = value;
        return row;
    }

    private static OwnStock Stock(string list, JsonObject row) =>
        StrictJson.Read<OwnStock>(new JsonObject { [list] = new JsonArray(row) }.ToJsonString());

    private static RigDocument Roof => RigFiles.Named("3-roof-road-ahead");

    private static RigDocument WithMagnet(double pull) => Roof with
    {
        Base = (HoldPlate)Roof.Base with { Hold = new Magnet { Stock = "own-mine" } },
        Stock = Stock("magnets", Own("magnets", "magnet-88-rubber", ("ratedPull", pull))),
    };

    [Fact]
    public void WhatShipsIsWithinTheRangesThatOwnRowsAreHeldTo()
    {
        foreach (var list in StockList.All.Where(l => l.Own))
            foreach (var row in Shipped.Lists[list.Id])
                OwnStockReader.Read(list.Id, Own(list.Id, row.Id).ToJsonString(), Shipped);
    }

    [Fact]
    public void EveryListOfTheShelfIsOnTheListOfLists() =>
        Assert.Equal(Shipped.Lists.Keys.Order(), StockList.All.Select(l => l.Id).Order());

    [Fact]
    public void EveryNumberOfARowIsAMeasureWithARange()
    {
        // What is not would be read unchecked: a NaN or a mass of a ton on a helmet.
        foreach (var list in StockList.All.Where(l => l.Own))
            foreach (var p in list.Row.GetProperties().Where(p => p.CanWrite
                && (Nullable.GetUnderlyingType(p.PropertyType) ?? p.PropertyType) is var t && (t == typeof(double) || t == typeof(int))))
                Assert.True(p.GetCustomAttributes(typeof(MeasureAttribute), false).Length == 1, $"{list.Row.Name}.{p.Name}");
    }

    [Fact]
    public void ARowOfOnesOwnDecidesTheVerdictAndIsNamedInTheWorking()
    {
        var (weak, strong) = (Assess(WithMagnet(100)), Assess(WithMagnet(430)));
        Assert.True(strong.Verdict.LimitSpeed is null || weak.Verdict.LimitSpeed < strong.Verdict.LimitSpeed);
        Assert.Contains(weak.Checks, c => c.Working!.Terms.Any(t => t.Source == "luggage scale, 12 May"));
        Assert.Contains("mine", weak.Stations.First(s => s.Id == "base").Part);
        // The same numbers under another name are the same rig.
        var shipped = Roof with { Base = (HoldPlate)Roof.Base with { Hold = new Magnet { Stock = "magnet-88-rubber" } } };
        Assert.Equal(Assess(shipped).Verdict.Use, strong.Verdict.Use, 1e-12);
    }

    private static AssessmentReport Assess(RigDocument rig)
    {
        RigReader.Check(rig, Shipped);
        return Assessor.Assess(rig, Shipped.With(rig.Stock));
    }

    [Theory]
    [InlineData("id", "\"magnet-90\"", "id")]
    [InlineData("id", "\"own-Ä\"", "id")]
    [InlineData("name", "\"\"", "name")]
    [InlineData("source", "\"\"", "source")]
    [InlineData("ratedPull", "-3", "ratedPull")]
    [InlineData("ratedPull", "1e9", "ratedPull")]
    [InlineData("ratedPull", "\"much\"", "ratedPull")]
    [InlineData("friction", "7", "friction")]
    [InlineData("colour", "1", "")]
    public void WhatIsWrongWithARowIsNamed(string field, string value, string path)
    {
        var row = Own("magnets", "magnet-90", (field, JsonNode.Parse(value)));
        var e = Assert.Throws<DocumentException>(() => OwnStockReader.Read("magnets", row.ToJsonString(), Shipped));
        Assert.EndsWith(path, e.Path, StringComparison.Ordinal);
        var inRig = JsonNode.Parse(StrictJson.Write(Roof))!;
        inRig["stock"] = new JsonObject { ["magnets"] = new JsonArray(row.DeepClone()) };
        Assert.StartsWith("stock.magnets[0]", Assert.Throws<DocumentException>(() => RigReader.Read(inRig.ToJsonString(), Shipped)).Path);
    }

    [Theory]
    [InlineData("cups", "cup-115", "lipDiameter", 0.2)]
    [InlineData("springs", "ext-2x16", "coilDiameter", 0.003)]
    [InlineData("lenses", "prime-35", "shortest", 0.02)]
    [InlineData("cameras", "mirrorless-full", "centreHeight", 0.4)]
    public void NumbersThatCannotBeTogetherAreRefused(string list, string like, string field, double value)
    {
        var row = Own(list, like, (field, value)).ToJsonString();
        Assert.Contains(Assert.Throws<DocumentException>(() => OwnStockReader.Read(list, row, Shipped)).Path, new[] { field, "longest" });
    }

    [Theory]
    [InlineData("materials")]
    [InlineData("fasteners")]
    [InlineData("isEmpty")]
    [InlineData("nonsense")]
    public void ListsThatNobodyMeasuresTakeNoRows(string list) =>
        Assert.Equal("list", Assert.Throws<DocumentException>(() => OwnStockReader.Read(list, "{}", Shipped)).Path);

    [Fact]
    public void SortsAreThoseThatTheComputationKnows()
    {
        string Wrong(string list, string like, string field, string value) => Assert.Throws<DocumentException>(() =>
            OwnStockReader.Read(list, Own(list, like, (field, value)).ToJsonString(), Shipped)).Path;
        Assert.Equal("type", Wrong("heads", "ball-36", "type", "jelly"));
        Assert.Equal("socket", Wrong("cameras", "action", "socket", "m3"));
        Assert.Equal("material", Wrong("sections", "flat-steel-20x3", "material", "cheese"));
    }

    public static TheoryData<string> OwnLists => [.. StockList.All.Where(l => l.Own).Select(l => l.Id)];

    /// <summary>Rows as odd as their ranges allow, in every recipe that uses such a row, are judged: never an error, never a number that is
    /// none.</summary>
    [Theory]
    [MemberData(nameof(OwnLists))]
    public void TheOddestRowsAreJudged(string list)
    {
        var tried = 0;
        foreach (var (name, shipped) in RigFiles.All.Concat(Unshipped))
        {
            var json = JsonNode.Parse(StrictJson.Write(shipped))!;
            if (Shipped.Lists[list].FirstOrDefault(r => Names(json, r.Id)) is not { } used)
                continue;
            var text = json.ToJsonString().Replace($"\"{used.Id}\"", "\"own-mine\"", StringComparison.Ordinal);
            foreach (var field in KindDescriptors.OfRows(StockList.All.First(l => l.Id == list), Shipped).Where(f => f.Type == "quantity"))
                foreach (var value in new[] { field.Minimum!.Value, field.Maximum!.Value })
                {
                    var rig = JsonNode.Parse(text)!;
                    JsonNode odd = field.Name == "pixelsAcross" ? (int)value : value;
                    rig["stock"] = new JsonObject { [list] = new JsonArray(Own(list, used.Id, (field.Name, odd))) };
                    RigDocument document;
                    try
                    {
                        document = RigReader.Read(rig.ToJsonString(), Shipped);
                    }
                    catch (DocumentException e)
                    {
                        Assert.StartsWith("stock.", e.Path);
                        continue;
                    }
                    var report = Assessor.Assess(document, Shipped.With(document.Stock));
                    Assert.True(double.IsFinite(report.Verdict.Use) && double.IsFinite(report.Mass) && double.IsFinite(report.Cost),
                        $"{name}: {field.Name} = {value}");
                    Assert.NotEmpty(StrictJson.Write(report));
                    tried++;
                }
            if (tried > 40)
                return;
        }
        Assert.True(tried > 0, $"no recipe uses one of the {list}");
    }

    /// <summary>Rigs with what no recipe has.</summary>
    private static IEnumerable<(string Name, RigDocument Rig)> Unshipped =>
        KindRegistry.Of(typeof(IsolatorKind)).Select(t => (t.Name, Roof with { Isolator = (IsolatorKind)Activator.CreateInstance(t)! }))
            .Concat(KindRegistry.Of(typeof(ReachKind)).Select(t => (t.Name,
                Roof with { Reach = (ReachKind)Activator.CreateInstance(t)! })));

    private static bool Names(JsonNode? node, string id) => node switch
    {
        JsonObject o => o.Any(p => Names(p.Value, id)),
        JsonArray a => a.Any(x => Names(x, id)),
        JsonValue v => v.TryGetValue<string>(out var s) && s == id,
        _ => false,
    };

    [Fact]
    public void AnotherShelfLeavesWhatShipsAsItIs()
    {
        var before = Shipped.Magnets.Count;
        var with = Shipped.With(WithMagnet(200).Stock);
        Assert.Equal(before + 1, with.Magnets.Count);
        Assert.Equal(before, Shipped.Magnets.Count);
        Assert.False(Shipped.Has("magnets", "own-mine"));
        Assert.Same(Shipped, Shipped.With(new OwnStock()));
        Assert.Same(Shipped, Shipped.With(null));
    }
}
