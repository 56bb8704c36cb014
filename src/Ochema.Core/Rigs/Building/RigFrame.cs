using Ochema.Core.Responses;
using Ochema.Core.Structure;

namespace Ochema.Core.Rigs;

/// <summary>The frame of a rig as built.</summary>
/// <param name="Model">Without cases.</param>
/// <param name="Loose">The same with all holds gone: their feet only push and rub.</param>
/// <param name="Feet">Those feet.</param>
/// <param name="Points">Places that straps and braces can take hold of.</param>
/// <param name="Dampings">Damping ratio of each spring.</param>
/// <param name="Soft">Springs of the soft mount.</param>
/// <param name="UserNames">What the house calls a strut or strap of the user's, by its spine row.</param>
/// <param name="Dry">Density of each member without the water that it carries along, kg/m³.</param>
/// <param name="Clings">What clings to each member, as density of its own, kg/m³.</param>
internal sealed record RigFrame(ModelDocument Model, ModelDocument Loose, IReadOnlyList<FrictionFoot> Feet, IReadOnlyDictionary<RigPoint,
    NodeIndex> Points,
    IReadOnlyList<double> Dampings, Range Soft, IReadOnlyDictionary<StationId, string> UserNames, IReadOnlyList<double> Dry,
        IReadOnlyList<double> Clings)
{
    /// <summary>Mass, kg, and its middle, m, of what is at nodes that count.</summary>
    /// <param name="counts">By the node's name; a member counts with both its ends.</param>
    public (double Mass, Vec3 Centre) MassOf(Func<string, bool> counts) =>
        MassOf(Model.Nodes, Model.Members, Model.Masses, Dry, Clings, counts);

    /// <summary>The same of what is built so far.</summary>
    public static (double Mass, Vec3 Centre) MassOf(IReadOnlyList<ModelNode> nodes, IReadOnlyList<ModelMember> members,
        IReadOnlyList<ModelMass> masses,
        IReadOnlyList<double> dry, IReadOnlyList<double> clings, Func<string, bool> counts)
    {
        var at = nodes.ToDictionary(n => n.Id, n => n.Position);
        var (mass, sum) = (0.0, Vec3.Zero);
        foreach (var m in masses.Where(m => counts(m.Node)))
            (mass, sum) = (mass + m.M, sum + m.M * (at[m.Node] + (m.Offset is { } o ? Vec3.From(o) : Vec3.Zero)));
        foreach (var (m, rho) in members.Zip(dry.Zip(clings, (own, on) => own + on)).Where(m => counts(m.First.From) && counts(m.First.To)))
        {
            var own = rho * m.A * (at[m.To] - at[m.From]).Length;
            (mass, sum) = (mass + own, sum + own * 0.5 * (at[m.From] + at[m.To]));
        }
        return (mass, mass > 0 ? (1 / mass) * sum : Vec3.Zero);
    }
}
