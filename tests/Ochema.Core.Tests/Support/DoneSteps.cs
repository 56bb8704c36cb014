using Ochema.Core.Making;
using Ochema.Core.Rigs;

namespace Ochema.Core.Tests.Support;

/// <summary>Steps of a plan as done.</summary>
internal static class DoneSteps
{
    /// <summary>What a document says of a step that was done as drawn.</summary>
    public static Made DoneAt(this PlanStep step, string at) => new(at) { As = step.MadeAs.ToDictionary(m => m.Id, m => m.Drawn) };
}
