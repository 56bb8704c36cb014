using Ochema.Core.Hosts;
using Ochema.Core.Json;
using Ochema.Core.Rigs;

namespace Ochema.Core.Assessment;

/// <summary>The cautions of everything that is part of a rig: kinds, what they are made of, and the host.</summary>
internal static class Cautions
{
    public static List<string> Of(RigDocument rig)
    {
        IEnumerable<Kind> kinds = [rig.Base, rig.Reach, rig.Isolator, rig.Head, .. rig.Second is { } s ? [s.Reach, s.Head] : (Kind[])[],
            .. rig.Braces];
        var said = kinds.SelectMany(k => (Kind[])[k, .. Parts(k)]).Select(k => Kind.InfoOf(k.GetType()).Caution).ToList();
        if (rig.Straps.Count > 0)
            said.Add("Straps: hooks into closed eyes, keepers shut, tails wound and tied; looked at again after the first minutes.");
        if (rig.Tethers.Count > 0)
            said.Add("The tether goes on first and comes off last, from the camera itself, to something that cannot come along.");
        var host = HostLibrary.Find(rig.Host)!;
        said.AddRange(host.CautionsAt(rig.Site));
        said.AddRange(host.Cautions);
        return [.. said.Where(c => c.Length > 0).Distinct()];
    }

    /// <summary>Kinds inside a kind: the holds of a plate, the foot of a brace.</summary>
    private static IEnumerable<Kind> Parts(Kind kind) =>
        MeasureReader.Declared(kind.GetType()).Where(d => d.Part is not null).Select(d => d.Property.GetValue(kind)).OfType<Kind>();
}
