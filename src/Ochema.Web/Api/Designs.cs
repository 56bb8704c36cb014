using Ochema.Core.Assessment;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;

namespace Ochema.Web.Api;

/// <summary>The designs that were asked about last, kept factored: what is dragged along the speed tape is the same design again and again.</summary>
internal sealed class Designs
{
    /// <summary>A few megabytes each.</summary>
    private const int Most = 4;

    private readonly Lock gate = new();
    private readonly LinkedList<(string Key, Design Design)> kept = [];

    /// <summary>The whole report; what is told while building names the speed, so that another speed's design is no help.</summary>
    /// <param name="workings">False leaves the workings out.</param>
    /// <param name="keep">False where nobody works on it: a list of rigs does not push out the one that is open.</param>
    public AssessmentReport Whole(RigDocument rig, Catalogue stock, bool workings, bool keep = true) =>
        Of(rig, stock, d => d.Speed == rig.Run.Speed, keep).Whole(workings);

    private void Keep(string key, Design design)
    {
        lock (gate)
        {
            Take(key);
            kept.AddFirst((key, design));
            while (kept.Count > Most)
                kept.RemoveLast();
        }
    }

    /// <summary>What a change of speed alone changes.</summary>
    public DriveReport Drive(RigDocument rig, Catalogue stock) => Of(rig, stock, d => d.Answers(rig.Run.Speed)).At(rig.Run.Speed)!;

    /// <summary>The working of one check; null when the rig has none of that name.</summary>
    public CheckWorking? Working(RigDocument rig, Catalogue stock, string check) => Of(rig, stock, d => d.Answers(rig.Run.Speed)).WorkingOf(check,
        rig.Run.Speed);

    /// <summary>The kept design that will do, or one made now.</summary>
    private Design Of(RigDocument rig, Catalogue stock, Func<Design, bool> does, bool keep = true)
    {
        var key = Design.KeyOf(rig);
        Design? known;
        lock (gate)
            known = Take(key) is { } node ? kept.AddFirst(node).Value.Design : null;
        if (known is not null && does(known))
            return known;
        var fresh = new Design(rig, stock);
        if (keep)
            Keep(key, fresh);
        return fresh;
    }

    private (string Key, Design Design)? Take(string key)
    {
        for (var node = kept.First; node is not null; node = node.Next)
            if (node.Value.Key == key)
            {
                kept.Remove(node);
                return node.Value;
            }
        return null;
    }
}
