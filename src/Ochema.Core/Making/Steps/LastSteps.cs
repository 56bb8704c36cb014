using Ochema.Core.Quantities;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;

namespace Ochema.Core.Making.Steps;

/// <summary>The last look, and paint: steps that follow from pieces and joints, whatever kinds they are of (common practice, no
/// source).</summary>
internal static class LastSteps
{
    /// <summary>The last look before it is proved: at what is on this rig.</summary>
    public static WorkStep Check(BuiltRig b) => new(Work.Check, "Go over it by hand",
        $"{Words.Capital(string.Join(", ", LooksAt(b)))}. Shove it from each side"
            + (b.Host.Motion.Still ? "" : $" until {b.Host.Called} rocks") + ". Nothing runs before it is proved.")
    {
        Minutes = 8,
        Wrong = "Anything that moves or clicks: back to its step.",
    };

    /// <summary>What there is to look at on a rig, before it runs and between two runs.</summary>
    public static IReadOnlyList<string> LooksAt(BuiltRig b)
    {
        var grip = b.Rig.Base.Grip;
        List<string> of = [];
        if (b.Joints.Count > 0)
            of.Add("every joint by two fingers, every mark line");
        if (grip.Suction)
            of.Add("cup rings");
        if (grip.Magnet)
            of.Add("a magnet's edge that a sheet of paper goes under");
        if (b.Rig.Braces.Count > 0)
            of.Add("both ends of each strut");
        if (b.Rig.Straps.Count > 0)
            of.Add("strap tails and keepers");
        if (b.Tethers.Count > 0)
            of.Add(b.Tethers.Count == 1 ? "the tether's two ends" : "both ends of each tether");
        of.Add(b.Camera.Body.Makes == Makes.Picture ? "battery door and lens" : "battery and switch");
        return of;
    }

    /// <summary>Coats dry, s.</summary>
    private const double Dries = 2 * 3600;

    public static readonly WorkStep Paint = new(Work.Finish, "Paint and edges, after the trial",
        "Off the host, camera out. What shines where the lens or a windscreen sees it: sand, wipe, two thin flat coats. Threads, feet "
            + "and eyes stay bare.")
    {
        Takes = [Supplies.Paint],
        Tools = ["sandpaper", "spirit", "paint", "tapemark"],
        Minutes = 20,
        Wait = Dries,
    };
}
