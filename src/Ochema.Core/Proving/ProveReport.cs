using System.ComponentModel;
using System.Text.Json.Serialization;
using Ochema.Core.Assessment;
using Ochema.Core.Quantities;
using Ochema.Core.Rigs;

namespace Ochema.Core.Proving;

/// <summary>How a rig is proved, and how far it is.</summary>
/// <param name="Design">Id of the design.</param>
/// <param name="Pulls">Straight pulls, in the order that they are done.</param>
/// <param name="Levers">Pulls with a lever: peel, twist, joints turned.</param>
/// <param name="Order">Ids of both in the order that they are done: what is weakest last.</param>
/// <param name="Ladder">Bottom rung first.</param>
/// <param name="LeftOut">What is too light for a scale, in words.</param>
/// <param name="Speed">Design speed, m/s.</param>
/// <param name="TopSpeed">Fastest that its host goes, m/s.</param>
/// <param name="Verdict">As everywhere.</param>
/// <param name="Frequency">First frequency that a tap test should show, Hz; null where nothing rings.</param>
public sealed record ProveReport(string Design, IReadOnlyList<PullTest> Pulls, IReadOnlyList<PullTest> Levers, IReadOnlyList<string> Order,
    IReadOnlyList<Rung> Ladder, IReadOnlyList<string> LeftOut, double Speed, double TopSpeed, VerdictReport Verdict, double? Frequency)
{
    /// <summary>End of the green, m/s: nothing is tried beyond it; 0 where it holds to no speed.</summary>
    public required double HoldsTo { get; init; }

    /// <summary>What was proved by now.</summary>
    public required Proof Proof { get; init; }

    /// <summary>Tests of one's own that may be entered.</summary>
    [JsonRequired]
    public IReadOnlyList<OwnChoice> Tests { get; init; } = OwnTests.Choices;

    /// <summary>Cautions of the place where it is done.</summary>
    public required IReadOnlyList<string> Cautions { get; init; }
}

/// <summary>How far the proofs of a design have come.</summary>
/// <param name="Pulls">Each pull that was tried.</param>
/// <param name="Rungs">Each rung, in the order of the ladder.</param>
/// <param name="Next">Id of the rung that is next; null where all are climbed, or one has failed.</param>
public sealed record Proof(IReadOnlyList<PullState> Pulls, IReadOnlyList<RungState> Rungs, string? Next)
{
    /// <summary>Pulls that are asked for and passed.</summary>
    [JsonRequired]
    public int Passed { get; init; }

    /// <summary>Speed to which the readings prove 1.5 × every load, m/s; null while a pull is missing.</summary>
    public double? ByPulls { get; init; }

    /// <summary>Fastest rung that was climbed, m/s; 0 for none.</summary>
    [JsonRequired]
    public double Driven { get; init; }

    /// <summary>Own tests: what they come to beside the design load.</summary>
    [JsonRequired]
    public IReadOnlyList<OwnResult> Own { get; init; } = [];

    /// <summary>True where something that counts was made up by a stand-in: it is a demonstration, and proves nothing of a real
    /// rig.</summary>
    [JsonRequired]
    public bool Simulated { get; init; }

    /// <summary>What has stopped it, and what to do; null where nothing has.</summary>
    public Stopped? Stopped { get; init; }
}

/// <summary>A pull that was tried.</summary>
/// <param name="Id">Of the pull.</param>
/// <param name="Reading">The highest that held, N at the scale; null where none did.</param>
/// <param name="ProvesTo">Speed to which it proves 1.5 × the load, m/s; null where not even standing still.</param>
/// <param name="Says">What it proves, in a sentence.</param>
/// <param name="At">When it was last tried.</param>
public sealed record PullState(string Id, ProofState State, double? Reading, double? ProvesTo, string Says, string At)
{
    /// <summary>Its state in a word or two.</summary>
    public string Word => ProofWords.Of(State);
}

/// <summary>A rung as it stands.</summary>
public sealed record RungState(string Id, ProofState State, string Says)
{
    /// <summary>Its state in a word or two.</summary>
    public string Word => ProofWords.Of(State);

    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public string? At { get; init; }
}

/// <summary>Where a proof stands.</summary>
public enum ProofState
{
    [Description("open")]
    Open,

    [Description("passed")]
    Passed,

    /// <summary>It held less than was asked for, and may be tried again.</summary>
    [Description("not enough")]
    Short,

    /// <summary>It moved, or something let go: nothing above it is tried.</summary>
    [Description("it moved")]
    Failed,
}

/// <summary>Words of a proof's states.</summary>
internal static class ProofWords
{
    public static string Of(ProofState state) => KindDescriptors.LabelOf(typeof(ProofState), state.ToString());
}

/// <summary>What stops the ladder.</summary>
/// <param name="Of">Id of the pull or rung.</param>
/// <param name="Says">What to compute anew, and what to try.</param>
/// <param name="Changes">Changes that the search has found to gain most.</param>
public sealed record Stopped(string Of, string Says, IReadOnlyList<string> Changes);

/// <summary>A test of one's own that may be entered.</summary>
/// <param name="Label">In words.</param>
/// <param name="Reads">What is entered: a force, a speed, or the vehicle's mass.</param>
/// <param name="Usual">What a hand gives without a scale, N; null where it has to be read.</param>
public sealed record OwnChoice(OwnTest Test, string Label, Dimension Reads, double? Usual);

/// <summary>A test of one's own beside what the design asks for.</summary>
/// <param name="Key">Of its entry.</param>
/// <param name="ProvesTo">m/s; null where not even standing still.</param>
public sealed record OwnResult(string Key, double? ProvesTo, string Says);
