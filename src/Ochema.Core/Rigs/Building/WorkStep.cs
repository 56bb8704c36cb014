using System.ComponentModel;

namespace Ochema.Core.Rigs;

/// <summary>The sorts of work on a mount, in the order that they recur (common practice, no source).</summary>
public enum Work
{
    /// <summary>The host is looked over before anything is bought or cut.</summary>
    [Description("look at the host")]
    LookOver,

    /// <summary>A donor part is taken apart.</summary>
    [Description("strip a donor")]
    Strip,

    /// <summary>Sizes are taken on the host.</summary>
    [Description("measure")]
    Measure,

    [Description("cut")]
    Cut,

    [Description("deburr")]
    Deburr,

    [Description("bend")]
    Bend,

    /// <summary>Pieces become one for good: welded, riveted.</summary>
    [Description("join")]
    Join,

    [Description("drill")]
    Drill,

    [Description("tap")]
    Tap,

    [Description("plug and pad")]
    Pad,

    /// <summary>Put together loosely at the bench, before anything is glued.</summary>
    [Description("dry fit")]
    DryFit,

    /// <summary>Held in its place on the host with the camera on; witness marks.</summary>
    [Description("try on the host")]
    TryOn,

    /// <summary>What was cut long is cut to what the trial showed.</summary>
    [Description("trim")]
    Trim,

    [Description("glue")]
    Glue,

    /// <summary>Holds and base go on the host.</summary>
    [Description("put on the host")]
    Place,

    /// <summary>Parts are screwed or snapped to each other.</summary>
    [Description("fit")]
    Fit,

    [Description("brace")]
    Brace,

    [Description("strap")]
    Strap,

    [Description("tether")]
    Tether,

    /// <summary>The camera goes on.</summary>
    [Description("camera")]
    Camera,

    /// <summary>Level, balance, aim.</summary>
    [Description("set")]
    Set,

    /// <summary>Gone over by hand.</summary>
    [Description("check")]
    Check,

    /// <summary>Paint and edges, after the trial.</summary>
    [Description("finish")]
    Finish,
}

/// <summary>
/// A step of making or fitting as it is done by hand. Kinds state those that are theirs; the house states what follows from pieces and
/// joints, unless the kind has a step of its own for it (<see cref="Piece"/>). All of it is common practice, no source; minutes are
/// typical.
/// </summary>
/// <param name="Work">What sort of work.</param>
/// <param name="Title">What to do, as a headline: "Halve the block".</param>
/// <param name="How">How, in a few sentences.</param>
public sealed record WorkStep(Work Work, string Title, string How)
{
    /// <summary>The piece that it works on, as its kind calls it, in place of what the house would say; empty for none.</summary>
    public string Piece { get; init; } = "";

    /// <summary>The joint (id) that it works on, in place of what the house would say; empty for none.</summary>
    public string Joint { get; init; } = "";

    /// <summary>Rows of what goes in at this step, where it is not where the house would look for it.</summary>
    public IReadOnlyList<string> Takes { get; init; } = [];

    /// <summary>Measurements of its kind that come out at this step, as they are called in code: what was made is read off and
    /// entered.</summary>
    public IReadOnlyList<string> Reads { get; init; } = [];

    /// <summary>Rows of the shelf's tools.</summary>
    public IReadOnlyList<string> Tools { get; init; } = [];

    /// <summary>Hands on, min.</summary>
    public double Minutes { get; init; } = 5;

    /// <summary>What it then needs by itself before anything goes on with it, s: glue, pads, paint.</summary>
    public double Wait { get; init; }

    /// <summary>Hands that are needed: one person or two.</summary>
    public int Crew { get; init; } = 1;

    /// <summary>What can hurt, and what is worn against it; empty where nothing does.</summary>
    public string Beware { get; init; } = "";

    /// <summary>What to do when it goes wrong; empty where there is nothing to say.</summary>
    public string Wrong { get; init; } = "";
}
