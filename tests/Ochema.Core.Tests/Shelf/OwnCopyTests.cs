using System.Text.Json;
using System.Text.Json.Nodes;
using Ochema.Core.Assessment;
using Ochema.Core.Json;
using Ochema.Core.Making;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Shelf;

/// <summary>
/// A user's copy of a row is judged like the row: every shipped row that a rig is made of, replaced by an own one with the same numbers,
/// list by list, changes nothing in its report or its plan but the row's own id.
/// </summary>
public sealed class OwnCopyTests
{
    private static readonly Catalogue Stock = Catalogue.Shipped;

    public static TheoryData<string> Names => RigFiles.Names;

    [Theory, MemberData(nameof(Names))]
    public void AnOwnCopyOfEveryRowIsJudgedLikeTheRow(string name)
    {
        var rig = RigFiles.Named(name);
        var text = StrictJson.Write(rig);
        var before = (Report: StrictJson.Write(Assessor.Assess(rig, Stock)), Plan: StrictJson.Write(Maker.Of(rig, Stock)));
        foreach (var list in StockList.All.Where(l => l.Own).Select(l => l.Id))
            foreach (var row in Stock.Lists[list].Where(r => text.Contains($"\"{r.Id}\"", StringComparison.Ordinal)))
            {
                var own = "own-" + row.Id;
                var copied = WithCopy(JsonNode.Parse(text)!.AsObject(), list, row, own);
                if (copied is null)
                    continue;
                Same(before.Report, StrictJson.Write(Assessor.Assess(copied, Stock.With(copied.Stock))), $"report with {own}");
                Same(before.Plan, StrictJson.Write(Maker.Of(copied, Stock.With(copied.Stock))), $"plan with {own}");

                void Same(string was, string now, string what)
                {
                    now = now.Replace(own, row.Id, StringComparison.Ordinal);
                    var at = was.Zip(now).TakeWhile(p => p.First == p.Second).Count();
                    Assert.True(was == now, $"{what}: …{was[Math.Max(0, at - 100)..Math.Min(was.Length, at + 80)]}… is "
                        + $"…{now[Math.Max(0, at - 100)..Math.Min(now.Length, at + 80)]}…");
                }
            }
    }

    /// <summary>An elastic cord of one's own is elastic: a bowline in it is refused as in the shipped one; also where an older row does not
    /// say its sort.</summary>
    [Theory]
    [InlineData(LineSort.Elastic, true)]
    [InlineData(LineSort.Unsaid, true)]
    [InlineData(LineSort.Cord, false)]
    public void ABowlineInAnElasticOfOnesOwnIsRefused(LineSort sort, bool refused)
    {
        var rig = RigFiles.Named("magnet-plate-straps");
        var own = Stock.Find<StrapRow>("straps", "elastic-8") with { Id = "own-bungee", Name = "Bungee of mine", Sort = sort };
        rig = rig with
        {
            Stock = new OwnStock { Straps = [own] },
            Straps = [.. rig.Straps.Select(s => s with { Stock = own.Id, End = "bowline" })],
        };
        rig = RigReader.Read(StrictJson.Write(rig), Stock);
        var report = Assessor.Assess(rig, Stock.With(rig.Stock));
        Assert.Equal(refused, report.Findings.Any(f => f.Blocks && f.Text.Contains("slips in elastic", StringComparison.Ordinal)));
        Assert.Equal(sort == LineSort.Unsaid, report.Findings.Any(f => f.Text.Contains("was not said", StringComparison.Ordinal)));
    }

    /// <summary>Rows that may be chosen at a place are those of their sort, shipped or own: no place takes only some ids of a list that
    /// people have rows of.</summary>
    [Fact]
    public void WhereverARowOfAListMayStandAnOwnOneMay()
    {
        foreach (var type in typeof(RigDocument).Assembly.GetTypes().Where(t => t is { IsAbstract: false, IsClass: true }))
            foreach (var choice in MeasureReader.Declared(type).Where(d => d.Choice is not null).Select(d => d.Choice!))
                if (StockList.All.Single(l => l.Id == choice.List).Own)
                    foreach (var only in choice.Only.Split(',', StringSplitOptions.RemoveEmptyEntries))
                        Assert.False(Stock.Lists[choice.List].Any(r => r.Id == only),
                            $"{type.Name}.{choice.Label} takes {only} and no copy of it");
    }

    /// <summary>The rig with an own copy of a row wherever its kinds, lines and cameras choose that row; null where nothing chooses
    /// it.</summary>
    private static RigDocument? WithCopy(JsonObject rig, string list, IStockRow row, string own)
    {
        var replaced = 0;
        foreach (var (holder, field) in Choices(rig, list))
            if ((string?)holder[field] == row.Id)
            {
                holder[field] = own;
                replaced++;
            }
        if (replaced == 0)
            return null;
        var copy = JsonSerializer.SerializeToNode<object>(row, StrictJson.Options)!.AsObject();
        copy["id"] = own;
        rig["stock"] = new JsonObject { [list] = new JsonArray(copy) };
        return RigReader.Read(rig.ToJsonString(), Stock);
    }

    /// <summary>Every field of a document that names a row of a list, found by what its types declare.</summary>
    private static IEnumerable<(JsonObject Holder, string Field)> Choices(JsonObject rig, string list)
    {
        var fields = typeof(RigDocument).Assembly.GetTypes().Where(t => t is { IsAbstract: false, IsClass: true })
            .SelectMany(t => MeasureReader.Declared(t)).Where(d => d.Choice?.List == list).Select(d => d.Name).ToHashSet();
        IEnumerable<(JsonObject, string)> Walk(JsonNode? node) => node switch
        {
            JsonObject o => o.Where(p => p.Value is JsonValue && fields.Contains(p.Key)).Select(p => (o, p.Key)).ToList()
                .Concat(o.Where(p => p.Key is not ("joints" or "measured" or "made" or "bench")).SelectMany(p => Walk(p.Value)).ToList()),
            JsonArray a => a.SelectMany(Walk).ToList(),
            _ => [],
        };
        return [.. Walk(rig)];
    }
}
