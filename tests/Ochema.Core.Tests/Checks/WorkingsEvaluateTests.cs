using Ochema.Core.Analysis;
using Ochema.Core.Assessment;
using Ochema.Core.Kinds.Heads;
using Ochema.Core.Kinds.Holds;
using Ochema.Core.Kinds.Isolators;
using Ochema.Core.Responses;
using Ochema.Core.Kinds;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Checks;

/// <summary>Every printed working, evaluated with its own numbers, gives the use beside it: what a reader with a calculator would
/// find.</summary>
public class WorkingsEvaluateTests
{
    [Theory]
    [MemberData(nameof(RigFiles.Names), MemberType = typeof(RigFiles))]
    public void AWorkingGivesItsUse(string name)
    {
        foreach (var c in Assessor.Assess(RigFiles.Named(name), Catalogue.Shipped).Checks)
            Agrees(name, c.Id, c.Use, c.Working!);
    }

    /// <summary>Rigs in which what is nothing in the shipped ones is something: a long lens twists its pad, a camera off the middle tips
    /// its rubber.</summary>
    private static RigDocument Named(string name) => name switch
    {
        "pad under a long lens" =>
            RigFiles.Named("helmet-stuck") with { Camera = new CameraChoice { Body = "mirrorless-small", Lens = "prime-500", Pan = 0.4 } },
        "camera beside its rubber" =>
            RigFiles.Plate(new Magnet(), 2, 0.1) with
            {
                Isolator = new RubberMounts(),
                Head = new CradleHead(),
                Camera = new CameraChoice { Body = "phone", Lens = "built-in-wide" }
            },
        "high on rubber" => RigFiles.Plate(new Magnet(), 3) with
        {
            Isolator = new RubberMounts { Spread = 0.03 },
            Camera = new CameraChoice { Body = "cine-small", Lens = "prime-200", Pan = 1 }
        },
        _ => RigFiles.Named(name),
    };

    public static TheoryData<string> All => [.. RigFiles.All.Select(r => r.Name), "pad under a long lens", "camera beside its rubber",
        "high on rubber"];

    /// <summary>Not in the governing case only, and with the holds gone too.</summary>
    [Theory]
    [MemberData(nameof(All))]
    public void AWorkingGivesItsUseInEveryCase(string name)
    {
        var rig = Named(name);
        foreach (var gone in rig.Straps.Count > 0 ? [false, true] : new[] { false })
        {
            var model = gone ? RigModel.WithoutHolds(RigAssembly.Build(rig, Catalogue.Shipped)) : new RigModel(rig, Catalogue.Shipped);
            var state = model.State([]);
            if (state.Mechanism is not null)
                continue;
            foreach (var c in model.Built.Host.Motion.Cases(rig.Run.Road).Where(c => !gone || !c.Dynamic))
                if (model.Forces(state, c, rig.Run.Speed) is { } f)
                    foreach (var check in model.Built.Checks)
                    {
                        var sheet = new Worksheet();
                        var use = check.Use(f, sheet);
                        Agrees($"{name}{(gone ? ", holds gone" : "")}, {c.Id}", check.Id, use, sheet.Done());
                    }
        }
    }

    private static void Agrees(string where, string check, double use, Working working)
    {
        Assert.All(working.Terms, t => Assert.True(t.Source.Length > 2, $"{where}, {check}: where “{t.Name}” comes from is not said"));
        var value = new Formula(working.Formula, working.Terms.ToDictionary(t => t.Symbol, t => t.Value)).Value();
        // Past 999 %, and where nothing holds at all, the use is cut.
        var expected = double.IsNaN(value) || value > Check.MostUse ? Check.MostUse : Math.Max(0, value);
        if (double.IsNaN(value) && use == 0)
            return;
        Assert.True(Math.Abs(expected
            - use) <= 1e-6 + 1e-6 * use, $"{where}, {check}: “{working.Formula}” gives {value:0.######}, the use is {use:0.######}");
    }

    [Theory]
    [InlineData("{a} × {c} ÷ {b}", 1.5)]
    [InlineData("({a} + {c}) ÷ ({c} − 1)", 5)]
    [InlineData("√({a}² + {b}²) ÷ {c}", 2.5)]
    [InlineData("max({a}, {b}) ÷ min({a}, {c})", 2)]
    [InlineData("|{a} − {b}|", 1)]
    [InlineData("{c}³ × π ÷ π", 8)]
    public void TheEvaluatorItselfCanCount(string formula, double value) =>
        Assert.Equal(value, new Formula(formula, new Dictionary<string, double> { ["a"] = 3, ["b"] = 4, ["c"] = 2 }).Value(), 1e-9);

    /// <summary>Reads the printed formulas: + − × ÷, squares and cubes, roots, |…|, max, min, atan.</summary>
    private sealed class Formula(string text, Dictionary<string, double> values)
    {
        private int at;

        public double Value()
        {
            var v = Sum();
            Skip();
            Assert.True(at == text.Length, $"“{text}” is not understood at {at}");
            return v;
        }

        private double Sum()
        {
            var v = Product();
            while (true)
                if (Take("+"))
                    v += Product();
                else if (Take("−"))
                    v -= Product();
                else
                    return v;
        }

        private double Product()
        {
            var v = Power();
            while (true)
                if (Take("×"))
                    v *= Power();
                else if (Take("÷"))
                    v /= Power();
                else
                    return v;
        }

        private double Power()
        {
            var v = Atom();
            while (true)
                if (Take("²"))
                    v *= v;
                else if (Take("³"))
                    v = v * v * v;
                else
                    return v;
        }

        private double Atom()
        {
            if (Take("√("))
                return Math.Sqrt(Closed());
            if (Take("max("))
                return Pair(Math.Max);
            if (Take("min("))
                return Pair(Math.Min);
            if (Take("atan("))
                return Math.Atan(Closed());
            if (Take("("))
                return Closed();
            if (Take("|"))
            {
                var v = Math.Abs(Sum());
                Assert.True(Take("|"), text);
                return v;
            }
            if (Take("{"))
            {
                var end = text.IndexOf('}', at);
                var name = text[at..end];
                at = end + 1;
                return values[name];
            }
            if (Take("π"))
                return Math.PI;
            if (Take("g"))
                return 9.80665;
            var digits = at;
            while (at < text.Length && (char.IsDigit(text[at]) || text[at] == '.'))
                at++;
            Assert.True(at > digits, $"“{text}” is not understood at {at}");
            return double.Parse(text[digits..at], System.Globalization.CultureInfo.InvariantCulture);
        }

        private double Closed()
        {
            var v = Sum();
            Assert.True(Take(")"), $"“{text}” misses a bracket");
            return v;
        }

        private double Pair(Func<double, double, double> of)
        {
            var a = Sum();
            Assert.True(Take(","), text);
            return of(a, Closed());
        }

        private bool Take(string what)
        {
            Skip();
            if (!text.AsSpan(at).StartsWith(what))
                return false;
            at += what.Length;
            return true;
        }

        private void Skip()
        {
            while (at < text.Length && text[at] == ' ')
                at++;
        }
    }
}
