using Ochema.Core.Assessment;
using Ochema.Core.Responses;
using Ochema.Core.Search;
using Ochema.Core.Stock;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Invariants;

/// <summary>"Holds alone" is one thing: the case with all straps gone, the school without them, and the rig drawn without them say the
/// same.</summary>
public sealed class HoldsAloneTests
{
    /// <summary>Every rig that has straps, or can be given some.</summary>
    public static TheoryData<string> Names =>
        [.. RigFiles.All.Where(r => r.Rig.Straps.Count > 0 || Instead.Straps(r.Rig, Catalogue.Shipped).Any()).Select(r => r.Name)];

    [Theory]
    [MemberData(nameof(Names))]
    public void CaseAndSchoolAndDrawingAgree(string name)
    {
        var rig = RigFiles.Named(name) is { Straps.Count: > 0 } strapped ? strapped
            : Instead.Straps(RigFiles.Named(name), Catalogue.Shipped).First().Changed;
        var report = Assessor.Assess(rig, Catalogue.Shipped);
        var gone = report.LetGo.Single(l => l.Kind == "holds-alone");
        var without = Assessor.Assess(rig with { Straps = [] }, Catalogue.Shipped);
        // By its loads; what keeps its pieces is the verdict's to count. A rig with something gone is never said to be better than the
        // whole.
        double Limit(AssessmentReport of) => of.Checks.Where(c => c.Sort == CheckSort.Strength)
            .Min(c => c.LimitSpeed ?? double.PositiveInfinity);
        var expected = Math.Min(Limit(without), Limit(report));
        if (double.IsFinite(expected))
            Near.Share(expected, gone.LimitSpeed!.Value, 0.02);
        else
            Assert.Null(gone.LimitSpeed);
        if (Schools.Of(rig, Catalogue.Shipped).FirstOrDefault(s => s.Id == "straps")?.Sides.Single(s => s.Title == "Holds alone").Change
            is not { } school)
            return;
        Assert.Equal(without.Verdict.LimitSpeed ?? 0, school.LimitSpeed ?? 0, 0.02);
        Assert.Equal(without.Verdict.Word, school.Verdict);
    }
}
