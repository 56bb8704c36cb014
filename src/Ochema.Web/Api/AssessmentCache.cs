using System.Collections.Concurrent;
using Ochema.Core.Assessment;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;

namespace Ochema.Web.Api;

/// <summary>Assessments of stored documents, kept by their text: lists do not compute the same rig twice.</summary>
internal sealed class AssessmentCache
{
    private const int Most = 400;
    private readonly ConcurrentDictionary<string, AssessmentReport> reports = new();

    /// <exception cref="Core.DocumentException">The document cannot be read.</exception>
    public (RigDocument Rig, AssessmentReport Report) Of(string document)
    {
        var rig = RigReader.Read(document, Catalogue.Shipped);
        if (reports.Count > Most)
            reports.Clear();
        return (rig, reports.GetOrAdd(document, _ => Assessor.Assess(rig, Catalogue.Shipped, advice: false)));
    }
}
