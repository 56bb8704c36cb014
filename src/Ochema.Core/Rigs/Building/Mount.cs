using Ochema.Core.Hosts;
using Ochema.Core.Joints;
using Ochema.Core.Responses;
using Ochema.Core.Stock;
using Ochema.Core.Structure;

namespace Ochema.Core.Rigs;

/// <summary>A place where the next station attaches.</summary>
/// <param name="Node">Index of the node.</param>
/// <param name="Position">m, host axes.</param>
/// <param name="Axis">Away from the panel.</param>
/// <param name="Offers">What it is joined by; null within a part.</param>
public sealed record Mount(NodeIndex Node, Vec3 Position, Vec3 Axis, Port? Offers = null)
{
    /// <summary>Where else a pole that stands on it is held; null where its foot alone holds it.</summary>
    public PoleHeld? Held { get; init; }
}

/// <summary>Hands that hold a pole above a foot that turns.</summary>
/// <param name="Above">The foot, m along the pole.</param>
/// <param name="Grasp">Builds them at a place of the pole; the vector is along it.</param>
public sealed record PoleHeld(double Above, Action<NodeIndex, Vec3> Grasp);

/// <summary>A place on a panel for a hold.</summary>
/// <param name="Id">Unique name of the hold.</param>
/// <param name="Station">Spine row it belongs to.</param>
/// <param name="Label">In the user's words: "front left cup".</param>
public sealed record HoldSpot(PartId Id, StationId Station, string Label, Site Site, Material Material, Vec3 Point, Vec3 Normal);

/// <summary>A hold as built.</summary>
/// <param name="Spring">Index of its spring in the model.</param>
/// <param name="Node">Node on the panel.</param>
/// <param name="Top">Where it is screwed on.</param>
public sealed record Hold(PartId Id, StationId Station, string Label, SpringIndex Spring, NodeIndex Node, Mount Top)
{
    /// <summary>Times its weight with which the rig is caught by what is left when this one goes; 1 where it does not drop.</summary>
    public Func<double> Catches { get; init; } = static () => 1;

    /// <summary>True for a line or a rope: it is not peeled or twisted off.</summary>
    public bool IsLine { get; init; }

    /// <summary>True for somebody's hands: no scale proves them.</summary>
    public bool ByHand { get; init; }

    /// <summary>Where its own mass hangs.</summary>
    public Hung Body { get; init; } = Node;
}

/// <summary>A strap as it runs.</summary>
/// <param name="From">On the rig, m.</param>
/// <param name="Anchor">On the host, m.</param>
public sealed record StrapBuilt(Strap Strap, LineIndex Line, Vec3 From, Vec3 Anchor);

/// <summary>A run of beam elements that is one piece.</summary>
/// <param name="First">First element's index.</param>
/// <param name="Count">How many elements it was cut into.</param>
/// <param name="Mass">Its own, kg; without the water it carries along.</param>
/// <param name="Id">What its kind calls it.</param>
public sealed record BeamPiece(
    StationId Station, string Id, string Label, BeamIndex First, int Count, Section Section, Material Material, double Length, bool Pinned,
        double Mass)
{


    /// <summary>The element at its second end.</summary>
    public BeamIndex Last => new(First.Value + Count - 1);
}

/// <summary>A point of the drawing that moves with a node.</summary>
public sealed record FigurePoint(string Node, double[] P);

/// <summary>One shape of the drawing.</summary>
/// <param name="Id">The hold, strap or piece it stands for.</param>
/// <param name="Station">Spine row.</param>
/// <param name="Type">
/// tube, plate, cup, magnet, pad, joint, head, camera, lens, strap, tether; post and strip for what stands round it: a trunk, ground that
/// stays clear.
/// </param>
/// <param name="Size">m; by type: tube [diameter], plate [length, width, thickness], cup [diameter, height], camera [length, width,
/// height], lens [diameter], strap [width].</param>
/// <param name="Axis">Normal or viewing direction where the type needs one.</param>
public sealed record FigureShape(string Id, StationId Station, string Type, IReadOnlyList<FigurePoint> Points, double[] Size,
    double[]? Axis = null, double[]? Side = null);
