using Ochema.Core.Analysis;
using Ochema.Core.Responses;
using Ochema.Core.Structure;

namespace Ochema.Core.Sharpness;

/// <summary>What moves in a mode, in words: which way the camera goes, and what gives.</summary>
internal static class ModeNames
{
    /// <summary>Lever at which turning and moving are compared, m: about a camera's size.</summary>
    private const double Lever = 0.15;

    /// <summary>Below this share of the strain energy no one spring is named.</summary>
    private const double Named = 0.25;

    public static string Of(RigModel model, RigMode m)
    {
        var springs = model.System.Model.Springs;
        var (best, at) = springs.Select((_, i) => (Energy: model.System.SpringEnergy(m.Shape, i), At: i)).MaxBy(x => x.Energy);
        return $"camera {Way(m)} {(best / (0.5 * m.Omega2) < Named ? "as its members bend" : Where(model, new(at), springs[at].Id))}";
    }

    private static string Way(RigMode m)
    {
        var (turn, move) = (m.Rotation, m.Move);
        if (turn.Length * Lever > 2 * move.Length)
            return Math.Abs(turn.Z) > 0.8 * turn.Length ? "turns" : Math.Abs(turn.X) > Math.Abs(turn.Y) ? "rolls" : "nods";
        return Math.Abs(move.Y) >= Math.Abs(move.X) && Math.Abs(move.Y) >= Math.Abs(move.Z) ? "rocks sideways"
            : Math.Abs(move.X) >= Math.Abs(move.Z) ? "rocks fore and aft" : "goes up and down";
    }

    private static string Where(RigModel model, SpringIndex at, string spring)
    {
        var place = model.Built.Rig.Site;
        return model.Built.Holds.FirstOrDefault(h => h.Id == spring) switch
        {
            { } foot when foot.Station == StationId.Base && place.Form.Where(place) is { } where => where,
            { } hold => $"on its {hold.Label}",
            null when model.Built.IsSoft(at) => "on its soft mount",
            _ => $"at the {spring.Replace("-spring", "").Replace('-', ' ')}",
        };
    }
}
