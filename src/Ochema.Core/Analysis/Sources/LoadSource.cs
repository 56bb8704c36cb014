using Ochema.Core.Loads;
using Ochema.Core.Structure;

namespace Ochema.Core.Analysis.Sources;

/// <summary>A load on one place of a rig.</summary>
/// <param name="Member">Member that it lies on, or −1.</param>
/// <param name="Node">Node that it acts at, where it lies on no member.</param>
/// <param name="Force">N/m along a member, N at a node; host axes.</param>
/// <param name="Moment">N·m, at a node only.</param>
internal readonly record struct PlacedLoad(int Member, NodeIndex Node, Vec3 Force, Vec3 Moment = default)
{
    /// <summary>All along a member, N/m.</summary>
    public static PlacedLoad Along(BeamIndex member, Vec3 force) => new(member.Value, new(-1), force);

    /// <summary>At a node, N and N·m.</summary>
    public static PlacedLoad At(NodeIndex node, Vec3 force, Vec3 moment = default) => new(-1, node, force, moment);
}

/// <summary>
/// Something that loads a rig: its unit loads on the rig as it is built, and how much of each acts in a case at a speed. Whatever acts
/// together is a sum of such columns, so that another speed asks for no other solution. To add one is to add a file, and its line in
/// <see cref="LoadTable.Of"/>.
/// </summary>
internal abstract class LoadSource
{
    /// <summary>What it is called among the shares of what loads a joint.</summary>
    public abstract string Label { get; }

    /// <summary>Its unit loads: each column all the places that it acts on together. None where it does not act on this rig.</summary>
    public abstract IReadOnlyList<IReadOnlyList<PlacedLoad>> Columns { get; }

    /// <summary>How much of each column acts.</summary>
    /// <param name="c">What happens to the rig.</param>
    /// <param name="speed">m/s.</param>
    /// <param name="into">A number for each of <see cref="Columns"/>, zero so far.</param>
    public abstract void Coefficients(RigCase c, double speed, Span<double> into);

    /// <summary>Acceleration that a unit of a column means at the first camera, m/s²; nothing for what is no field.</summary>
    public virtual Vec3 FieldOf(int column) => Vec3.Zero;

    /// <summary>True for the acceleration field of a case, which a model document states as such and not as loads.</summary>
    public virtual bool IsField => false;

    /// <summary>Dynamic pressure of the air that it brings on the cameras in a case, Pa.</summary>
    public virtual double AirOnCamera(RigCase c, double speed) => 0;

    /// <summary>Pressure of the water that it brings on the cameras from ahead in a case, Pa.</summary>
    public virtual double WaterOnCamera(RigCase c, double speed) => 0;
}
