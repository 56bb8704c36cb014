using Ochema.Core.Analysis;
using Ochema.Core.Loads;
using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Structure;

namespace Ochema.Core.Proving;

/// <summary>Tests as people do them, in newtons beside what the design asks for: what they prove and what they do not.</summary>
public static class OwnTests
{
    /// <summary>
    /// Force that a hand gives without a scale, N: one hand 150–250, two hands low with the weight behind them 300–500. Common practice, no
    /// source; the lower end counts.
    /// </summary>
    public static double? Usual(OwnTest test) => test switch { OwnTest.OneHand => 150, OwnTest.TwoHands => 300, _ => null };

    /// <summary>All of them. Of a vehicle that was rolled or rocked its mass is entered, of which the least rolling resistance is the
    /// shove.</summary>
    public static IReadOnlyList<OwnChoice> Choices { get; } =
    [
        .. Enum.GetValues<OwnTest>().Select(t => new OwnChoice(t, KindDescriptors.LabelOf(typeof(OwnTest), t.ToString()), t switch
        {
            OwnTest.Driven => Dimension.Speed,
            OwnTest.Rolled or OwnTest.Rocked => Dimension.Mass,
            OwnTest.Pulled or OwnTest.HungBag => Dimension.Scale,
            _ => Dimension.Force,
        }, Usual(t))),
    ];

    /// <summary>What an entry's number is as a force, N: a vehicle's mass is rolled by the least of its rolling resistance.</summary>
    private static double Newtons(Entry entry) => entry.Test is OwnTest.Rolled or OwnTest.Rocked ? Rolling(entry.Value ?? 0).Least
        : entry.Value ?? 0;

    /// <summary>Rolling resistance of a car's tyres on asphalt, as a share of the weight (Gillespie, Fundamentals of Vehicle Dynamics, 1992:
    /// 0.010–0.015; from memory).</summary>
    public const double RollingLeast = 0.010, RollingMost = 0.015;

    /// <summary>What it takes to roll a vehicle on level ground, N: least and most.</summary>
    /// <param name="mass">kg.</param>
    public static (double Least, double Most) Rolling(double mass) =>
        (RollingLeast * mass * MotionProfile.Gravity, RollingMost * mass * MotionProfile.Gravity);

    /// <summary>Force that all holds and straps together pass into the host, N: sideways, or straight down.</summary>
    private static double Passed(RigModel model, CaseForces f, bool down)
    {
        var sum = Vec3.Zero;
        for (var s = 0; s < model.Built.Model.Springs.Count; s++)
            if (model.Built.Model.Springs[s].To is null)
                sum += f.Spring(new(s)).Force;
        for (var l = 0; l < model.Built.Model.Lines.Count; l++)
            if (model.Built.Model.Lines[l] is { To: null, Anchor: { } anchor } line)
                sum += f.Tension(new(l)) * (Vec3.From(anchor) - model.Built.Position(new(model.Built.NodeOf(line.From)))).Normalized();
        return down ? sum.Z : (sum with { Z = 0 }).Length;
    }

    /// <summary>An entry beside what the design asks for.</summary>
    internal static OwnResult Of(Entry entry, RigModel model, CaseLoads loads, double speed, double top)
    {
        var value = entry.Test == OwnTest.Driven ? entry.Value ?? 0 : Newtons(entry);
        if (entry.Test == OwnTest.Driven)
            return new(entry.Key, value, $"Driven at {QuantityText.Of(value, Dimension.Speed)}: it proves that speed on that road, with no factor "
                + $"on it{(value < speed ? ", and nothing beyond" : "")}.");
        if (entry.Test is OwnTest.Swung or OwnTest.UpAndDown)
            return new(entry.Key, null, "It shows that nothing touches and nothing falls by itself; it proves no load.");
        var down = entry.Test == OwnTest.HungBag;
        (double Load, string Case) At(double v) => loads.UnderWay(f => Passed(model, f, down), v);
        // A bag hangs on top of the weight that is there anyhow.
        double Need(double v) => At(v).Load - (down ? model.Built.Mass * MotionProfile.Gravity : 0);
        var (design, by) = (Need(speed), At(speed).Case);
        // A vehicle that only rocks says how much a shove was not: how much it was, nobody knows.
        double? to = entry.Test == OwnTest.Rocked ? null : Prover.Upto(v => PullTests.Factor * Need(v) <= value, top);
        var most = entry.Test == OwnTest.Rocked ? "No more than " : "";
        var way = down ? "down" : "sideways";
        var beside = $"{most}{QuantityText.Of(value, Dimension.Force)} {way}; the design asks for {QuantityText.Of(design, Dimension.Force)}"
            + (by.Length > 0 ? $" ({by})" : "") + ". ";
        var proves = entry.Test == OwnTest.Rocked ? "How much it was nobody knows: it proves no speed."
            : to is not { } reached ? "Below what standing still asks for with its factor: it proves no speed."
            : reached >= speed ? $"With its factor of {PullTests.Factor:0.0} it proves the design speed, {way}."
            : $"{(value < design ? "Below" : "Above")} the design load: with its factor of {PullTests.Factor:0.0} it proves up to "
                + $"{QuantityText.Of(reached, Dimension.Speed)}.";
        return new(entry.Key, to, beside + proves + (model.Built.Rig.Base.Grip.Suction ? " It proves nothing about leaking." : ""));
    }
}
