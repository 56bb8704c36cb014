using System.Text.Json;
using System.Text.Json.Nodes;
using Ochema.Core.Hosts;
using Ochema.Core.Json;

namespace Ochema.Core.Rigs;

/// <summary>A rig at another place.</summary>
/// <param name="Document">The rig there, in the middle of its new place.</param>
/// <param name="MeasureAgain">What was measured of the old place or its closed points and fell away, as labelled.</param>
/// <param name="Left">Ids of the struts whose foot stood on something that is not there.</param>
public sealed record RelocatedRig(RigDocument Document, IReadOnlyList<string> MeasureAgain, IReadOnlyList<string> Left)
{
    /// <summary>What became of its straps and tethers there, as sentences; empty where they went along.</summary>
    public IReadOnlyList<string> Lines { get; init; } = [];
}

/// <summary>Takes a whole rig to another place, of the same host or of another.</summary>
public static class Relocation
{
    /// <summary>
    /// The same rig at a place of a host. Feet that stood on the old place go along, others stay where the new host has that place; straps
    /// and tethers end at the point of the same name, else at the first; what was measured of the place and what the survey found fall
    /// away; the speed is no more than the host does.
    /// </summary>
    /// <param name="site">Empty for the place that is most like the present one: by its id, else by its form, else the first.</param>
    /// <exception cref="DocumentException">There is no such host or place.</exception>
    public static RelocatedRig To(RigDocument rig, string host, string site)
    {
        var to = HostLibrary.Find(host) ?? throw new DocumentException("host", $"there is no host '{host}'");
        var place = site.Length == 0 ? MostLike(rig.Site, to.Sites) : to.Sites.FirstOrDefault(s => s.Id == site)
            ?? throw new DocumentException("site", $"{to.Name} has no place '{site}'");
        var again = new List<string>();
        T Measured<T>(T value) where T : Kind => Without(value, "site", again);
        bool OnTheOld(BraceKind b) => b.Footing?.Site == rig.Site.Id;
        var stays = rig.Braces.ToLookup(b => b.Footing is not { } f || OnTheOld(b) || to.Sites.Any(s => s.Id == f.Site));
        AnchorEnd Near(AnchorEnd end) => end.IsOwn || (host == rig.Host && to.Anchors.Any(a => a.Id == end.Anchor)) ? end
            : end with { Anchor = (to.Anchors.FirstOrDefault(a => a.Id == end.Anchor) ?? to.Anchors[0]).Id };
        // The strength of a point is that host's: one of the same name elsewhere has not been pulled on.
        double? Pulled(double? holds, AnchorEnd end)
        {
            if (holds is null || end.IsOwn || host == rig.Host && Near(end) == end)
                return holds;
            again.Add(MeasureReader.Declared(typeof(Strap)).First(d => d.Property.Name == nameof(Strap.AnchorHolds)).Measure!.Label);
            return null;
        }
        CameraChoice Seeing(CameraChoice c) => c.Who is null || to.People.Any(p => p.Id == c.Who) ? c : c with { Who = null };
        Tether Tied(Tether t) => t with { To = Near(t.To), AnchorHolds = Pulled(t.AnchorHolds, t.To) };
        var there = rig with
        {
            Host = host,
            Site = place,
            At = [0, 0],
            Survey = new(),
            Base = Measured(rig.Base),
            Paths =
            [
                .. rig.Paths.Select(p => p with
                {
                    Reach = Measured(p.Reach),
                    Isolator = Measured(p.Isolator),
                    Head = Measured(p.Head),
                    Camera = Seeing(p.Camera),
                }),
            ],
            Braces = [.. stays[true].Select(b => OnTheOld(b) ? Measured(b).StandingOn(place.Id) : host != rig.Host ? Measured(b) : b)],
            Straps = [.. rig.Straps.Select(s => s with { To = Near(s.To), AnchorHolds = Pulled(s.AnchorHolds, s.To) })],
            Tethers = [.. rig.Tethers.Select(Tied)],
            Run = rig.Run with
            {
                Speed = Math.Min(rig.Run.Speed, to.Drive.Top),
                // What falls from a boat falls into deep water, unless somebody says otherwise.
                Consequence = to.Motion.Wet == (HostLibrary.Find(rig.Host)?.Motion.Wet ?? to.Motion.Wet) ? rig.Run.Consequence
                    : to.Motion.Wet ? Consequence.DeepWater : Consequence.PublicWay,
            },
        };
        return new(there, [.. again.Distinct()], [.. stays[false].Select(b => b.Id)]);
    }

    private static Site MostLike(Site site, IReadOnlyList<Site> places) =>
        places.FirstOrDefault(s => s.Id == site.Id) ?? places.FirstOrDefault(s => s.Form == site.Form) ?? places[0];

    /// <summary>A copy without what was measured of something, down into its parts.</summary>
    private static T Without<T>(T kind, string of, List<string> fallen) where T : Kind
    {
        var copy = JsonSerializer.SerializeToNode(kind, kind.GetType(), StrictJson.Options)!.AsObject();
        var before = fallen.Count;
        Strip(copy, kind, of, fallen);
        return fallen.Count == before ? kind : (T)copy.Deserialize(kind.GetType(), StrictJson.Options)!;
    }

    private static void Strip(JsonObject copy, object record, string of, List<string> fallen)
    {
        foreach (var d in MeasureReader.Declared(record.GetType()))
            if (d.Measure is { } m && m.Of.Split(',').Contains(of) && d.Property.GetValue(record) is not null)
            {
                copy.Remove(d.Name);
                fallen.Add(m.Label);
            }
            else if (d.Part is not null && d.Property.GetValue(record) is { } part)
                Strip(copy[d.Name]!.AsObject(), part, of, fallen);
    }
}
