namespace Ochema.Core.Rigs;

/// <summary>What is to be said of a rig, in the order it was thought of while it is built.</summary>
public sealed class FindingList
{
    private readonly List<Func<BuiltRig, Said>> all = [];

    /// <summary>What is said at a speed, m/s.</summary>
    internal delegate IEnumerable<ReportFinding> Said(double speed);

    /// <summary>Adds what is known now.</summary>
    public void Add(ReportFinding finding)
    {
        ReportFinding[] one = [finding];
        all.Add(_ => _ => one);
    }

    /// <summary>Adds several.</summary>
    public void AddRange(IEnumerable<ReportFinding> findings)
    {
        foreach (var finding in findings)
            Add(finding);
    }

    /// <summary>Adds what follows from the rig as built, whatever its speed.</summary>
    internal void Add(Func<BuiltRig, IEnumerable<ReportFinding>> say) => all.Add(rig =>
    {
        ReportFinding[] said = [.. say(rig)];
        return _ => said;
    });

    /// <summary>Adds what names the speed that is asked about, m/s.</summary>
    internal void Add(Func<BuiltRig, double, IEnumerable<ReportFinding>> say) => all.Add(rig => speed => say(rig, speed));

    /// <summary>All that is said of a rig as built.</summary>
    internal IReadOnlyList<Said> Of(BuiltRig rig) => [.. all.Select(say => say(rig))];
}
