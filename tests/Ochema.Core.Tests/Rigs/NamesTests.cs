using Ochema.Core.Assessment;
using Ochema.Core.Kinds;
using Ochema.Core.Kinds.Braces;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Rigs;

/// <summary>
/// Names that a user gives. Parts are taken away by their names, so what a strap or strut is called must not take anything else along, nor
/// hide its checks: a strap called "reach" would have left out the reach's own checks in its let-go case.
/// </summary>
public sealed class NamesTests
{
    private static readonly Catalogue Stock = Catalogue.Shipped;

    public static TheoryData<string> Names => ["2-bonnet-close-up-braced", "3-roof-road-ahead", "bar-magnets", "pan-rig", "rail-table",
        "handlebar-clamp"];

    /// <summary>All that the house calls something by, as far as a document may say it.</summary>
    private static List<string> Taken(RigDocument rig)
    {
        var b = RigAssembly.Build(rig, Stock);
        return [.. b.Model.Springs.Select(s => s.Id).Concat(b.Model.Members.Select(m => m.Id)).Concat(b.Model.Nodes.Select(n => n.Id))
            .Concat(b.Checks.Select(c => c.Part.Name)).Concat(b.Checks.Select(c => c.Station.ToString())).Concat(b.Holds.Select(h =>
                h.Id.Name)).Concat(b.Figure.Select(f => f.Id))
            .Concat(["intact", "holds-alone", "straps-alone", "tether", "tether-2", "camera", "head", "reach", "isolator", "base", "site",
                "plate"])
            .Where(i => i.Length is > 0 and <= 40 && i.All(c => char.IsAsciiLetterOrDigit(c) || c == '-')).Distinct()
            .Except(rig.Straps.Select(s => s.Id)).Except(rig.Braces.Select(x => x.Id))];
    }

    private static (double Use, string Uses) Judged(RigDocument rig)
    {
        RigReader.Check(rig, Stock);
        var report = Assessor.Assess(rig, Stock);
        Assert.Equal(report.LetGo.Count, report.LetGo.Select(l => l.Id).Distinct().Count());
        Assert.Equal(report.Checks.Count, report.Checks.Select(c => c.Id).Distinct().Count());
        return (report.Verdict.Use, string.Join(';', report.LetGo.Select(l =>
            $"{l.Kind} {l.Verdict} {string.Join(',', l.Uses.Values.Select(u => u.ToString("0.0000")))}"))
            + string.Join(';', report.Checks.Select(c => c.Use.ToString("0.0000"))));
    }

    [Theory, MemberData(nameof(Names))]
    public void AStrapOfAnyNameIsJudgedAsOneOfAnother(string name)
    {
        var rig = RigFiles.Named(name);
        var anchor = RigAssembly.Build(rig, Stock).Host.Anchors[0].Id;
        RigDocument Called(string id) => rig with
        {
            Straps = [.. rig.Straps,
            new Strap { Id = id, Stock = "cam-25", From = RigPoint.BaseTop, To = new AnchorEnd(anchor, 0.5) }]
        };
        var plain = Judged(Called("some-strap"));
        Assert.All(Taken(rig), id => Assert.Equal(plain, Judged(Called(id))));
    }

    [Theory]
    [InlineData("2-bonnet-close-up-braced")]
    [InlineData("3-roof-road-ahead")]
    public void AStrutOfAnyNameIsJudgedAsOneOfAnother(string name)
    {
        var rig = RigFiles.Named(name);
        RigDocument Called(string id) => rig with
        {
            Braces = [.. rig.Braces,
            new Strut { Id = id, Site = rig.Site.Id, At = [0.1, 0.2], From = RigPoint.HeadTop }]
        };
        var plain = Judged(Called("some-strut"));
        Assert.All(Taken(rig), id => Assert.Equal(plain, Judged(Called(id))));
    }

    [Theory, MemberData(nameof(Names))]
    public void ATetherOfAnyNameIsJudgedAsOneOfAnother(string name)
    {
        var rig = RigFiles.Tied(RigFiles.Named(name));
        var anchor = RigAssembly.Build(RigFiles.Named(name), Stock).Host.Anchors[0].Id;
        RigDocument Called(string id) => rig with { Tethers = [rig.Tethers[0] with { Id = id, To = new AnchorEnd(anchor, 0.5) }] };
        var plain = Judged(Called("some-tether"));
        Assert.All(Taken(rig with { Tethers = [] }), id => Assert.Equal(plain, Judged(Called(id))));
    }

    [Fact] // one helper may not be called as a piece of another either
    public void HelpersMayBeCalledAsPiecesOfEachOther()
    {
        var rig = RigFiles.Named("2-bonnet-close-up-braced");
        var (left, right) = ((Strut)rig.Braces[0], (Strut)rig.Braces[1]);
        var plain = Judged(rig with { Braces = [left with { Id = "a" }, right with { Id = "b" }] });
        foreach (var (one, two) in new[] { ("a", "a-rod"), ("a-rod", "a"), ("a", "a-foot-joint"), ("a-clamp-spring", "a"), ("a-foot", "a") })
            Assert.Equal(plain, Judged(rig with { Braces = [left with { Id = one }, right with { Id = two }] }));
    }

    [Fact]
    public void TheRowSaysWhatLetGoCasesCallIt()
    {
        var rig = RigFiles.Named("3-roof-road-ahead");
        var report = Assessor.Assess(rig with { Straps = [rig.Straps[0] with { Id = "plate" }, .. rig.Straps.Skip(1)] }, Stock);
        var row = report.Stations.Single(s => s.Id == "strap:plate");
        Assert.Equal("straps.[plate]", row.At);
        Assert.Contains(report.LetGo, l => l.Kind == "strap" && l.Gone.SequenceEqual([row.Name!]));
        Assert.Equal("Without strap plate", report.LetGo.First(l => l.Gone.SequenceEqual([row.Name!])).Title);
    }
}
