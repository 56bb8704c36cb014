using Ochema.Core.Json;

namespace Ochema.Core.Rigs;

/// <summary>Nothing soft between reach and head.</summary>
[Kind("no-isolator", "Nothing soft", "Stiff: right for small cameras with good stabilisation, braced into a triangle.")]
public sealed record NoIsolator : IsolatorKind
{
    internal override IEnumerable<(string Id, string Title, IsolatorKind Kind)> Tried(RigDocument rig, Stock.Catalogue stock) =>
        [("stiff", "Nothing soft", this)];

    internal override Stance? Stance =>
        new(SchoolQuestion.Soft, 0, "Stiff", "Small cameras with good stabilisation: braced into a triangle.", this);

    internal override bool Floats => false;

    public override Mount Build(RigBuilder b, Mount from) => from;
}
