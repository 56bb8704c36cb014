using Ochema.Core.Kinds;
using Ochema.Core.Kinds.Bases;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Joints;

/// <summary>A bent bracket has a corner with a radius, in the frame as on the template.</summary>
public sealed class BracketCornerTests
{
    [Fact] // by hand: foot 30, leg 50, inside radius 3, thickness 3: the middle lines meet 3 + 1.5 beyond where the bend begins
    public void TheMiddleLinesMeetBeyondTheBend()
    {
        var rig = RigFiles.Named("frame-band");
        var row = Catalogue.Shipped.Find<SectionRow>("sections", ((HoseClampBracket)rig.Base).Bar);
        var (bracket, b) = ((HoseClampBracket)rig.Base, RigAssembly.Build(rig, Catalogue.Shipped));
        var room = bracket.BendRadius + row.Height / 2;
        var (foot, corner, end) = (b.Holds[0].Top.Position, Node(b, "bracket-corner"), Node(b, "bracket"));
        Near.Share(bracket.Foot + room, (corner - foot).Length, 1e-9);
        Near.Share(bracket.Leg + room, (end - corner).Length, 1e-9);
        // The flat stock is what the middle of the sheet measures along both legs and the bend, within the shop rule's K (0.33–0.5).
        var flat = Assert.Single(b.Parts, p => p.Sheet is { Bends.Count: 1 }).Sheet!;
        var middle = bracket.Foot + bracket.Leg + Math.PI / 2 * room + 2 * Bracket.Beyond;
        Assert.InRange(flat.Length, middle - Math.PI / 2 * 0.17 * row.Height - 1e-9, middle + 1e-9);
    }

    private static Core.Structure.Vec3 Node(BuiltRig b, string id) => b.Model.Nodes.Single(n => n.Id == id) is var n ? new(n.X, n.Y, n.Z)
        : default;
}
