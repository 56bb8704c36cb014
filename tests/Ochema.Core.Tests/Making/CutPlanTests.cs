using CsCheck;
using Ochema.Core.Json;
using Ochema.Core.Making;
using Ochema.Tests.Support;

namespace Ochema.Core.Tests.Making;

public class CutPlanTests
{
    private const double Inch = 0.0254;

    private static CutTask Task(double kerf, double squaring, CutStock[] stock, params (double Length, int Count)[] pieces) =>
        new(kerf, squaring, stock, [.. pieces.Select((p, i) => new CutPieceWanted($"p{i + 1}", p.Length, p.Count))]);

    /// <summary>A plan that is one: every piece once, no bar longer than it is nor used more often than there are, cost and offcuts as they
    /// add up.</summary>
    private static CutPlan Valid(CutTask task)
    {
        var plan = CutSolver.Solve(task);
        Assert.Null(plan.Finding);
        var pieces = task.Pieces.ToDictionary(p => p.Id);
        var stock = task.Stock.ToDictionary(s => s.Id);
        Assert.Equal(task.Pieces.Where(p => p.Count > 0).ToDictionary(p => p.Id, p => p.Count),
            plan.Bars!.SelectMany(b => b.Pieces).GroupBy(p => p).ToDictionary(g => g.Key, g => g.Count()));
        foreach (var bar in plan.Bars!)
        {
            var left = stock[bar.Stock].Length - task.Squaring - bar.Pieces.Sum(p => pieces[p].Length) - (bar.Pieces.Count - 1) * task.Kerf;
            Assert.True(left >= -1e-9, $"{bar.Stock}: {left}");
            Assert.Equal(Math.Max(0, left - task.Kerf), bar.Offcut, 1e-9);
        }
        Assert.All(plan.Bars.GroupBy(b => b.Stock), g => Assert.True(g.Count() <= (stock[g.Key].Count ?? int.MaxValue)));
        Assert.Equal(plan.Bars.Sum(b => stock[b.Stock].Price), plan.Cost!.Value, 5e-7);
        Assert.True(plan.Bound <= plan.Cost + 1e-9);
        Assert.Equal(plan.Bound == plan.Cost, plan.Optimal);
        return plan;
    }

    [Fact] // three links that nest on paper: 13 + 12 + 11 = 36 in, and two kerfs too many (common practice, no source)
    public void ThreeLinksDoNotComeOutOfOneYardOnceTheSawHasCut()
    {
        var one = CutSolver.Solve(Task(0.002, 0, [new("yard", 36 * Inch, 4, 1)], (13 * Inch, 1), (12 * Inch, 1), (11 * Inch, 1)));
        Assert.Contains("1 bar of 'yard' short", one.Finding);
        Assert.Equal(8, Valid(Task(0.002, 0, [new("yard", 36 * Inch, 4)], (13 * Inch, 1), (12 * Inch, 1), (11 * Inch, 1))).Cost);
        // Without a kerf they do.
        Assert.Equal(4, Valid(Task(0, 0, [new("yard", 36 * Inch, 4, 1)], (13 * Inch, 1), (12 * Inch, 1), (11 * Inch, 1))).Cost);
        // 3 + 7 + 7 from 17 in the same.
        Assert.NotNull(CutSolver.Solve(Task(0.001, 0, [new("b", 17 * Inch, 1, 1)], (3 * Inch, 1), (7 * Inch, 2))).Finding);
    }

    [Fact]
    public void WhatIsExactlyTheBarFitsAndAHairMoreDoesNot()
    {
        Assert.Equal(0, Valid(Task(0.003, 0.005, [new("b", 1, 1, 1)], (0.496, 1), (0.496, 1))).Bars![0].Offcut);
        Assert.NotNull(CutSolver.Solve(Task(0.003, 0.005, [new("b", 1, 1, 1)], (0.496, 1), (0.49600001, 1))).Finding);
        // The last piece needs no kerf behind it; where there is room for one, it is cut.
        Assert.Equal(0.007, Valid(Task(0.003, 0, [new("b", 1, 1)], (0.99, 1))).Bars![0].Offcut, 1e-9);
        Assert.Equal(0, Valid(Task(0.003, 0, [new("b", 1, 1)], (0.998, 1))).Bars![0].Offcut, 1e-9);
    }

    [Fact]
    public void APieceThatNoBarGivesIsNamedWithHowMuch()
    {
        var plan = CutSolver.Solve(Task(0.002, 0.01, [new("short", 0.5, 1), new("long", 1, 3)], (0.4, 1), (1.012, 1)));
        Assert.Equal("'p2' is 22 mm too long for the longest bar, 'long', once its end is squared.", plan.Finding);
        Assert.Null(plan.Bars);
        Assert.Contains("no bar", CutSolver.Solve(Task(0, 0, [], (0.4, 1))).Finding);
    }

    [Fact]
    public void LeftoversGoFirst()
    {
        var plan = Valid(Task(0.002, 0, [new("new", 2, 9), new("left", 0.5, 0, 1)], (0.45, 1), (1.2, 1)));
        Assert.Equal(["left", "new"], plan.Bars!.Select(b => b.Stock));
        Assert.Equal(["p1"], plan.Bars![0].Pieces);
        // Also where the bar that is bought would take it as well.
        Assert.Equal(9, plan.Cost);
    }

    [Fact]
    public void TheCheaperMixOfLengthsIsFound()
    {
        // 3 × 0.9 m: a 3 m bar at 10 or three 1 m bars at 4 each.
        Assert.Equal(10, Valid(Task(0.002, 0, [new("3 m", 3, 10), new("1 m", 1, 4)], (0.9, 3))).Cost);
        Assert.Equal(8, Valid(Task(0.002, 0, [new("3 m", 3, 10), new("1 m", 1, 4)], (0.9, 2))).Cost);
    }

    // Gilmore and Gomory's kind of instance, from the textbook of Chvátal, "Linear Programming" (1983), ch. 13, from memory: rolls of 100
    // in,
    // 97 × 45, 610 × 36, 395 × 31, 211 × 14 in; the relaxation is 452.25, 453 rolls are the least.
    [Fact]
    public void ThePublishedRollsNeedAsManyAsTheirBook()
    {
        var plan = Valid(Task(0, 0, [new("roll", 100, 1)], (45, 97), (36, 610), (31, 395), (14, 211)));
        Assert.Equal(453, plan.Cost);
        Assert.True(plan.Optimal);
    }

    [Fact] // 30 pieces of a dozen lengths from three lengths of bar: what a rig needs, and more
    public void WhatARigNeedsIsProved()
    {
        var random = new Random(5);
        for (var i = 0; i < 8; i++)
        {
            var plan = Valid(Task(0.0015, 0.003, [new("6 m", 6, 21), new("2 m", 2, 9), new("1 m", 1, 5.5), new("left", 0.83, 0, 2)],
                [.. Enumerable.Range(0, 12).Select(_ => (Math.Round(0.08 + 0.9 * random.NextDouble(), 3), 1 + random.Next(4)))]));
            Assert.True(plan.Optimal, $"{i}: {plan.Bound} {plan.Cost}");
        }
    }

    /// <summary>The least cost by trying everything: each piece on each bar that is open, or on a new one.</summary>
    private static double? ByTryingAll(CutTask task)
    {
        var pieces = task.Pieces.SelectMany(p => Enumerable.Repeat(p.Length, p.Count)).OrderDescending().ToList();
        double? best = null;
        var open = new List<(int Stock, double Left)>();
        void Put(int i, double cost)
        {
            if (best is not null && cost >= best)
                return;
            if (i == pieces.Count)
            {
                best = cost;
                return;
            }
            for (var b = 0; b < open.Count; b++)
                if (open[b] is var bar && bar.Left - task.Kerf - pieces[i] >= -1e-9)
                {
                    open[b] = bar with { Left = bar.Left - task.Kerf - pieces[i] };
                    Put(i + 1, cost);
                    open[b] = bar;
                }
            for (var s = 0; s < task.Stock.Count; s++)
                if (task.Stock[s] is var stock && open.Count(o => o.Stock == s) < (stock.Count ?? int.MaxValue) && stock.Length
                    - task.Squaring - pieces[i] >= -1e-9)
                {
                    open.Add((s, stock.Length - task.Squaring - pieces[i]));
                    Put(i + 1, cost + stock.Price);
                    open.RemoveAt(open.Count - 1);
                }
        }
        Put(0, 0);
        return best;
    }

    [Fact]
    public void SmallTasksCostWhatTryingAllOfThemGives()
    {
        var length = Gen.Int[1, 12].Select(i => i * 0.1);
        var stock = Gen.Select(Gen.Int[6, 24], Gen.Int[0, 9], Gen.Int[0, 4], (l, p, n) =>
            (Length: l * 0.1, Price: (double)p, Count: n == 0 ? (int?)null : n));
        Gen.Select(stock.Array[1, 3], Gen.Select(length, Gen.Int[1, 2]).Array[1, 4], Gen.Int[0, 3], Gen.Int[0, 2])
            .Sample((bars, pieces, kerf, squaring) =>
        {
            var task = Task(kerf * 0.001, squaring * 0.01, [.. bars.Select((b, i) => new CutStock($"s{i}", b.Length, b.Price, b.Count))],
                pieces);
            if (ByTryingAll(task) is not { } least)
            {
                Assert.NotNull(CutSolver.Solve(task).Finding);
                return;
            }
            var plan = Valid(task);
            Assert.Equal(least, plan.Cost!.Value, 1e-9);
            Assert.True(plan.Optimal);
        }, iter: 400);
    }

    [Fact]
    public void ALargeTaskIsCutInShortTimeAndItsBoundIsHonest()
    {
        var random = new Random(3);
        var task = Task(0.002, 0.004, [new("6 m", 6, 19.9), new("4 m", 4, 14.5, 12), new("left", 1.7, 0, 3)],
            [.. Enumerable.Range(0, 40).Select(_ => (Math.Round(0.1 + 1.9 * random.NextDouble(), 4), 1 + random.Next(9)))]);
        var plan = Soon.Within(TimeSpan.FromSeconds(20), () => Valid(task), "forty lengths");
        Assert.True(plan.Cost <= 1.1 * plan.Bound, $"{plan.Bound} {plan.Cost}");
        Assert.Equal(StrictJson.Write(plan), StrictJson.Write(CutSolver.Solve(task)));
    }

    [Theory]
    [InlineData("""{"kerf":0.002,"squaring":0,"stock":[],"pieces":[{"id":"a","length":0,"count":1}]}""", "pieces[0].length")]
    [InlineData("""{"kerf":-1,"squaring":0,"stock":[],"pieces":[]}""", "kerf")]
    [InlineData("""{"kerf":0,"squaring":0,"stock":[{"id":"a","length":1,"price":-1}],"pieces":[]}""", "stock[0].price")]
    [InlineData("""{"kerf":0,"squaring":0,"stock":[{"id":"a","length":1,"price":1},{"id":"a","length":2,"price":1}],"pieces":[]}""", "stock[1].id")]
    [InlineData("""{"kerf":0,"squaring":0,"stock":[{"id":"a","length":1e999,"price":1}],"pieces":[]}""", "stock[0].length")]
    [InlineData("""{"kerf":0,"squaring":0,"stock":[null],"pieces":[]}""", "stock[0]")]
    [InlineData("""{"kerf":0,"squaring":0,"stock":[],"pieces":[{"id":"a","length":1,"count":1.5}]}""", "pieces[0].count")]
    [InlineData("""{"kerf":0,"stock":[],"pieces":[]}""", "")]
    [InlineData("[]", "")]
    public void WhatIsNoTaskIsRefusedByPath(string json, string path) =>
        Assert.Equal(path, Assert.Throws<DocumentException>(() => CutTaskReader.Read(json)).Path);

    [Fact]
    public void NothingToCutCostsNothing()
    {
        var plan = CutSolver.Solve(CutTaskReader.Read("""{"kerf":0,"squaring":0,"stock":[],"pieces":[{"id":"a","length":1,"count":0}]}"""));
        Assert.Equal("""{"bars":[],"cost":0,"bound":0,"optimal":true}""", StrictJson.Write(plan));
    }
}
