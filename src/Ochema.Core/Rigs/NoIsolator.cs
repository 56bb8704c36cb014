using Ochema.Core.Json;

namespace Ochema.Core.Rigs;

/// <summary>Nothing soft between reach and head.</summary>
[Kind("no-isolator", "Nothing soft", "Stiff: right for small cameras with good stabilisation, braced into a triangle.")]
public sealed record NoIsolator : IsolatorKind
{
    public override Mount Build(RigBuilder b, Mount from) => from;
}
