using Ochema.Core.Quantities;
using Ochema.Core.Responses;

namespace Ochema.Core.Checks;

/// <summary>What sits in a slot or a bore with room beside it turns by the room over its depth.</summary>
/// <param name="play">Slot or bore wider than it, m.</param>
/// <param name="depth">How deep it sits, m.</param>
/// <param name="part">What it is: a tongue in a slot, a stub in a bore.</param>
internal sealed class PlayInSocket(double play, double depth, string part = "tongue", string title = "Tongue rattles in its slot")
    : Check(part + ".play", StationId.Base, new(part), title)
{
    /// <summary>Half a degree of knocking to and fro is seen (judgement, a quarter to one).</summary>
    private const double Seen = 0.5 * Math.PI / 180;

    public override CheckSort Sort => CheckSort.Service;

    public override bool Fixed => true;

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        var room = Math.Max(0, play);
        sheet?.Formula("atan({c} ÷ {d}) ÷ {a}", "room over depth", "Wear; a strip of tape takes it up.")
            .Term("c", "room beside it", room, Dimension.Length, Origin.Measures)
            .Term("d", "how deep it sits", depth, Dimension.Length, Origin.Measures)
            .Term("a", "what is seen of a knock", Seen, Dimension.Angle, "judgement, 0.25–1°");
        return Ratio(Math.Atan(room / depth), Seen);
    }
}
