using Ochema.Core.Analysis;
using Ochema.Core.Assessment;
using Ochema.Core.Checks;
using Ochema.Core.Responses;
using Ochema.Core.Stock;
using Ochema.Core.Structure;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Checks;

/// <summary>Each kind of check against its formula as the book has it, written here a second time and fed with the printed terms.</summary>
public class BookFormulaTests
{
    private delegate double Book(Func<string, double> t);

    /// <summary>By the last part of a check's id; where one name covers several, by a term that only one of them has.</summary>
    private static readonly (string Name, string Term, string Source, Book Use)[] Books =
    [
        ("seal", "n", "leak paths over the seal's share", t => t("n") / t("s")),
        ("flex", "kn", "give of the skin under pull and rocking", t => (Math.Abs(t("N")) / t("kn") + t("M") / t("kr") * t("b")) / t("w")),
        ("curvature", "d", "sagitta d²/8R", t => t("d") * t("d") / (8 * t("R")) / t("s")),
        ("tip", "P", "rocking over the rim, the factor on moment and pull", t => t("k") * (t("M") + t("N") * t("r"))
            / ((t("P") + t("Q")) * t("r"))),
        ("pull", "P", "force balance", t => t("k") * t("N") / t("P")),
        ("torque", "T", "moment over the joint's own", t => t("k") * t("M") / t("T")),
        ("strength", "σ", "von Mises", t => t("k") * Math.Sqrt(t("σ") * t("σ") + 3 * t("τ") * t("τ")) / t("Y")),
        ("through", "τ", "shear round the washer", t => t("k") * t("N") / (Math.PI * t("D") * t("t") * t("τ"))),
        ("tight", "K", "T = K·F·d against the weaker of thread and proof", t => t("T") / (t("K") * t("d"))
            / Math.Min(t("W?"), Math.Min(t("S"), t("P")))),
        ("wall", "Y", "shear round the washer or the face's yield lines", t => t("k") * t("N")
            / Math.Min(t("Y"), Math.PI * t("D") * t("t") * t("τ"))),
        ("buckling", "C", "Euler with the factor on the load", t => t("k") * t("C") / t("P")),
        ("slips", "H", "friction", t => t("k") * t("N") / t("H")),
        ("anchor", "H", "tension over the anchor's own", t => t("k") * t("T") / t("H")),
        ("tension", "B", "webbing less end and edge", t => t("k") * t("T") / (t("B") * t("e") * t("s"))),
        ("prise", "w", "two jaws as a lever", t => t("k") * (t("N") + t("M") / t("w")) / t("F")),
        ("opens", "r", "jaws about their pad", t => t("k") * (t("N") + 2 * t("M") / t("r")) / t("F")),
        ("bend", "ε", "outer fibre t/(2R + t) over the elongation", t => t("t") / (2 * t("R") + t("t")) / t("ε0")),
        ("glue", "A", "shear, peel and twist on one area", t =>
            t("k") * ((t("N") + t("S")) / t("A") + t("M") / t("W") + t("Mn") / t("Wp")) / (t("τ") * t("c") * t("s") * t("w"))),
        ("spring", "d", "helical spring, Wahl", t => Wahl(t("D") / t("d")) * 8 * t("F") * t("D") / (Math.PI * Math.Pow(t("d"), 3))
            / t("τ")),
        ("curve", "w", "difference of two sagittas", t => t("w") * t("w") / 8 * Math.Abs(1 / t("R") - 1 / t("r")) / t("s")),
        ("turn", "Rc", "ellipse of slide, turning and rocking", t =>
            t("k") * Math.Sqrt(Math.Pow(t("S") / t("Sc"), 2) + Math.Pow(t("M") / t("Mc"), 2) + Math.Pow(t("R") / t("Rc"), 2))),
        ("hand", "F0", "what a hand holds", t => t("F") / t("F0") + t("M") / t("M0")),
        ("weight", "W", "weight over what the pane takes", t => t("W") / t("a")),
        ("load", "R", "rating", t => t("m") / t("R")),
    ];

    /// <summary>4C−1 over 4C−4 plus 0.615 over C (Wahl 1929; Shigley).</summary>
    private static double Wahl(double c) => (4 * c - 1) / (4 * c - 4) + 0.615 / c;

    private static readonly IEnumerable<(string Rig, CheckReport Check)> All =
        [.. RigFiles.All.SelectMany(r => Assessor.Assess(r.Rig, Catalogue.Shipped).Checks.Select(c => (r.Name, c)))];

    public static TheoryData<string, string> Names
    {
        get
        {
            var data = new TheoryData<string, string>();
            foreach (var b in Books)
                data.Add(b.Name, b.Term);
            return data;
        }
    }

    [Theory]
    [MemberData(nameof(Names))]
    public void UseIsWhatTheBookGives(string name, string term)
    {
        var book = Books.First(b => b.Name == name && b.Term == term);
        var found = All.Where(c => c.Check.Id.Split('.')[^1] == name && c.Check.Working!.Terms.Any(t => t.Symbol == term)).ToList();
        Assert.NotEmpty(found);
        foreach (var (rig, c) in found)
        {
            var terms = c.Working!.Terms.ToDictionary(t => t.Symbol, t => t.Value);
            var value = book.Use(s => terms.TryGetValue(s.TrimEnd('?'), out var v) ? v
                : s.EndsWith('?') ? double.PositiveInfinity : throw new Xunit.Sdk.XunitException($"{rig} {c.Id} has no term {s}"));
            if (!double.IsNaN(value) && c.Use < Check.MostUse)
                Near.Share(Math.Max(0, value), c.Use, 1e-6, $"{rig} {c.Id}: {book.Source}");
        }
    }

    /// <summary>N/A + M/W about both axes, moduli worked out again from area and second moments: solid rectangles and round
    /// tubes.</summary>
    [Theory]
    [MemberData(nameof(RigFiles.Names), MemberType = typeof(RigFiles))]
    public void BendingStressIsThatOfTheSectionAboutBothAxes(string name)
    {
        var rig = RigFiles.Named(name);
        var model = new RigModel(rig, Catalogue.Shipped);
        var state = model.State([]);
        Span<double> e = stackalloc double[12];
        foreach (var c in Assessor.Driving(model))
        {
            var f = model.Forces(state, c, rig.Run.Speed)!;
            foreach (var check in model.Built.Checks.OfType<SectionStrength>())
            {
                var sheet = new Worksheet();
                check.Use(f, sheet);
                var terms = sheet.Done().Terms.ToDictionary(t => t.Symbol, t => t.Value);
                for (var i = 0; i < model.System.Beams.Length; i++)
                {
                    var m = model.System.Beams[i].Member;
                    if (!m.Id.StartsWith(check.Id.Split('.')[0] + ".", StringComparison.Ordinal) || Moduli(m) is not var (wy, wz, round))
                        continue;
                    f.Beam(new(i), e);
                    for (var end = 0; end < 12; end += 6)
                    {
                        var (n, my, mz) = (Math.Abs(e[end]), Math.Abs(e[end + 4]), Math.Abs(e[end + 5]));
                        var resultant = Math.Sqrt(my * my + mz * mz);
                        if (Math.Abs(resultant - terms["M"]) > 1e-9 * (1 + resultant) || Math.Abs(n - terms["N"]) > 1e-9 * (1 + n))
                            continue;
                        Near.Share(n / m.A + (round ? resultant / wy : my / wy + mz / wz), terms["σ"], 1e-6, $"{name} {check.Id} {c.Id}");
                    }
                }
            }
        }
    }

    /// <summary>Section moduli, m³: of a solid rectangle (Iy·Iz = A⁴/144) or a round tube (D² = 8I/A + 2A/π); null for any other.</summary>
    private static (double Y, double Z, bool Round)? Moduli(ModelMember m)
    {
        if (Math.Abs(144 * m.Iy * m.Iz / Math.Pow(m.A, 4) - 1) < 1e-6)
            return (m.Iy / Math.Sqrt(3 * m.Iy / m.A), m.Iz / Math.Sqrt(3 * m.Iz / m.A), false);
        return Math.Abs(m.Iy / m.Iz - 1) < 1e-9 && Math.Abs(m.J / (m.Iy + m.Iz) - 1) < 1e-6
            ? (m.Iy / (Math.Sqrt(8 * m.Iy / m.A + 2 * m.A / Math.PI) / 2), 0, true) : null;
    }
}
