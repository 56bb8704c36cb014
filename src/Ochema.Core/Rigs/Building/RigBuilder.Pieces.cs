using Ochema.Core.Structure;

namespace Ochema.Core.Rigs;

/// <content>A piece enters the frame and the list in one call: what is carried home is what hangs on the frame.</content>
public sealed partial class RigBuilder
{
    /// <summary>Rounding of sums of masses that is nothing, as a share.</summary>
    private const double Rounding = 1e-9;

    private readonly HashSet<int> made = [];
    private readonly HashSet<PieceId> beside = [];

    /// <summary>Puts in a piece that no beam of the frame is made of.</summary>
    /// <param name="at">Where it hangs.</param>
    /// <returns>The piece under its own id.</returns>
    public RigPart Put(RigPart part, params ReadOnlySpan<Hung> at) => Put(part, [], at);

    /// <summary>
    /// Puts in a piece and says which beams of the frame it is: what they do not weigh of it hangs at <paramref name="at"/>. Where nothing
    /// is left to hang, or nowhere to hang it, the beams weigh what the piece weighs.
    /// </summary>
    /// <returns>The piece under its own id.</returns>
    public RigPart Put(RigPart part, ReadOnlySpan<BeamPiece> beams, params ReadOnlySpan<Hung> at)
    {
        Carry(part.Quantity * part.Mass, part.Id, beams, at);
        return Parts.Add(part, part.Joint is not null);
    }

    /// <summary>The same of several pieces that the beams are together: pipes and the elbows between them.</summary>
    public void Put(IReadOnlyList<RigPart> parts, ReadOnlySpan<BeamPiece> beams, params ReadOnlySpan<Hung> at)
    {
        Carry(parts.Sum(p => p.Quantity * p.Mass), parts[0].Id, beams, at);
        foreach (var part in parts)
            Parts.Add(part, part.Joint is not null);
    }

    /// <summary>
    /// Puts on the list what the frame does not carry: what is used up, lines that pull and weigh nothing there, what stands on the host
    /// and is none of the rig.
    /// </summary>
    /// <param name="last">True for what comes after the stations' own pieces.</param>
    public void Beside(RigPart part, bool last = false) => beside.Add(Parts.Add(part, last).Id);

    /// <summary>Pieces that are on the list and not on the frame.</summary>
    internal IReadOnlySet<PieceId> NotCarried => beside;

    /// <summary>Beams that weigh something and of which no piece was said to be made.</summary>
    internal IEnumerable<BeamPiece> Unmade => Pieces.Where(p => p.Mass > 0 && !made.Contains(p.First.Value));

    private void Carry(double mass, PieceId id, ReadOnlySpan<BeamPiece> beams, ReadOnlySpan<Hung> at)
    {
        var carried = 0.0;
        foreach (var beam in beams)
        {
            if (!made.Add(beam.First.Value))
                throw new InvalidOperationException($"'{beam.Id}' is made of two pieces, the second is '{id.Name}'");
            carried += beam.Mass;
        }
        var left = mass - carried;
        if (Math.Abs(left) <= Rounding * mass)
            return;
        if (at.IsEmpty || left < 0)
        {
            if (carried <= 0)
                throw new InvalidOperationException($"'{id.Name}' of {id.Station} hangs nowhere");
            foreach (var beam in beams)
                Weigh(beam, mass / carried);
            return;
        }
        var shares = 0.0;
        foreach (var place in at)
            shares += place.Share;
        foreach (var place in at)
            PointMass(place, shares > 0 ? left * place.Share / shares : left / at.Length);
    }

    /// <summary>Makes a beam as heavy as what it is made of; the water that it carries along stays as it is.</summary>
    private void Weigh(BeamPiece beam, double times)
    {
        for (var i = beam.First.Value; i < beam.First.Value + beam.Count; i++)
        {
            members[i] = members[i] with { Rho = members[i].Rho + (times - 1) * dry[i] };
            dry[i] *= times;
        }
        var known = Pieces.FindIndex(p => p.First == beam.First);
        Pieces[known] = Pieces[known] with { Mass = times * Pieces[known].Mass };
    }

    private void PointMass(Hung at, double m)
    {
        if (m > 0)
            masses.Add(new ModelMass(nodes[at.Node.Value].Id, m)
            {
                Offset = at.Offset == Vec3.Zero ? null : at.Offset.ToArray(),
                I = at.PerMass is { } i ? [.. i.Select(x => m * x)] : null,
            });
    }
}
