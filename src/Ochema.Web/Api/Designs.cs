using Ochema.Core.Assessment;
using Ochema.Core.Json;
using Ochema.Core.Proving;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;

namespace Ochema.Web.Api;

/// <summary>The designs that were asked about last, kept factored: what is dragged along the speed tape is the same design again and
/// again.</summary>
internal sealed class Designs
{
    /// <summary>A few megabytes each.</summary>
    private const int Most = 4;

    private readonly Lock gate = new();

    /// <summary>The last asked first, each by its id.</summary>
    private readonly LinkedList<Design> kept = [];

    /// <summary>All answers but advice.</summary>
    /// <param name="workings">False leaves the workings out.</param>
    /// <param name="letGo">The let-go case whose shape is wanted.</param>
    public RigAnswer Answer(RigDocument rig, Catalogue stock, bool workings, string letGo) =>
        Of(rig, stock, keep: true).Answer(rig.Run.Speed, workings, letGo)!;

    /// <summary>The whole report of a rig that nobody works on: a list of rigs does not push out the one that is open.</summary>
    public AssessmentReport Report(RigDocument rig, Catalogue stock) => Of(rig, stock, keep: false).Report(rig.Run.Speed, workings: false)!;

    /// <summary>What a kept design does at a speed, m/s; null where it is not kept any more.</summary>
    /// <param name="letGo">The let-go case whose shape is wanted.</param>
    /// <exception cref="DocumentException">Its host does not go so fast.</exception>
    public DriveReport? Drive(string id, double speed, string letGo)
    {
        if (Known(id) is not { } design)
            return null;
        if (!(speed >= 0 && speed <= design.TopSpeed))
            throw new DocumentException("speed", $"is not between 0 and {design.TopSpeed:0.#} m/s, the most that its host does");
        return (design.Answers(speed) ? design : Keep(design.Otherwise(speed))).At(speed, letGo);
    }

    /// <summary>The working of one check; null when the rig has none of that name.</summary>
    public CheckWorking? Working(RigDocument rig, Catalogue stock, string check) => Of(rig, stock, keep: true)
        .WorkingOf(check, rig.Run.Speed);

    /// <summary>The word on a rig and its drawing, for its papers.</summary>
    public (VerdictReport Verdict, IReadOnlyList<FigureShape> Figure) Printed(RigDocument rig, Catalogue stock)
    {
        var design = Of(rig, stock, keep: true);
        return (design.At(rig.Run.Speed)!.Verdict, design.Figure);
    }

    /// <summary>How a rig is proved, and how far what was done with it has come.</summary>
    /// <param name="advise">False for a list, which says not what to change and pushes no open rig out.</param>
    public ProveReport Prove(RigDocument rig, Catalogue stock, IReadOnlyList<Entry> log, bool advise = true) =>
        Prover.Of(Of(rig, stock, keep: advise), rig.Run.Speed, log, advise)!;

    /// <summary>The kept design that answers a rig's speed, or one made now.</summary>
    private Design Of(RigDocument rig, Catalogue stock, bool keep)
    {
        if (Known(Design.IdOf(Design.KeyOf(rig))) is { } known && known.Answers(rig.Run.Speed))
            return known;
        var fresh = new Design(rig, stock);
        return keep ? Keep(fresh) : fresh;
    }

    private Design? Known(string id)
    {
        lock (gate)
            return Take(id) is { } design ? kept.AddFirst(design).Value : null;
    }

    private Design Keep(Design design)
    {
        lock (gate)
        {
            Take(design.Id);
            kept.AddFirst(design);
            while (kept.Count > Most)
                kept.RemoveLast();
        }
        return design;
    }

    private Design? Take(string id)
    {
        for (var node = kept.First; node is not null; node = node.Next)
            if (node.Value.Id == id)
            {
                kept.Remove(node);
                return node.Value;
            }
        return null;
    }
}
