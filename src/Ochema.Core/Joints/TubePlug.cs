using Ochema.Core.Stock;

namespace Ochema.Core.Joints;

/// <summary>A plug in the end of a tube, that what follows is screwed into.</summary>
/// <param name="Inside">Inside of the tube across, m.</param>
/// <param name="Wall">Of the tube, m.</param>
/// <param name="Depth">How deep it goes in, m.</param>
/// <param name="Tube">What the tube is made of.</param>
/// <param name="Kept">What keeps it in.</param>
public sealed record TubePlug(double Inside, double Wall, double Depth, Material Tube, PlugKept Kept = PlugKept.Pinned)
{
    /// <summary>Play of the plug in the tube, side to side, before it is pinned or glued, and after the glue is hard, m; 0 where nobody
    /// found any.</summary>
    public double Play { get; init; }

    /// <inheritdoc cref="Play"/>
    public double PlayCured { get; init; }

    /// <summary>Play that a pinned plug knocks by in the picture, m; gap on each side that epoxy still bridges, m (judgement, 0.1–0.3 and
    /// 0.3–0.8).</summary>
    private const double Knocks = 0.0002;
    public const double Bridged = 0.0005;

    /// <summary>A film of glue at full strength, m (judgement, 0.1–0.3); thicker ones lose a half by <see cref="Bridged"/>.</summary>
    private const double Film = 0.0002;

    /// <summary>Share of its strength that glue has in the gap that the play leaves: full in a film, half at <see cref="Bridged"/>, none
    /// beyond.</summary>
    public double GapShare => Play / 2 is var gap && gap <= Film ? 1 : gap <= Bridged ? 1 - 0.5 * (gap - Film) / (Bridged - Film) : 0;

    /// <summary>What is wrong with how it sits, in words, and whether it may not be used so; null where nothing is.</summary>
    public (string Text, bool Blocks)? Loose => Kept switch
    {
        PlugKept.Pinned when Play > Knocks => ($"its plug has {Holes.Size(Play)} of play: pinned alone it knocks. Epoxy fills up to "
            + $"{Holes.Size(2 * Bridged)}.", false),
        PlugKept.Pressed => null,
        PlugKept.Pinned => null,
        _ when PlayCured > 0 => ($"its plug still moves by {Holes.Size(PlayCured)} after the glue: it did not take. Drive it out, clean, "
            + $"again.", true),
        _ when GapShare <= 0 => ($"its plug has {Holes.Size(Play)} of play: glue does not bridge {Holes.Size(Play / 2)} a side. A turn "
            + $"of tape, or a "
            + $"wider plug.", true),
        _ => null,
    };

    /// <summary>True in a square tube: the plug is square too.</summary>
    public bool Square { get; init; }

    /// <summary>Pin through each wall, m, and its yield strength, Pa: a mild steel pin or screw (judgement, 4–6 mm).</summary>
    public const double Pin = 0.005;
    public const double PinYield = 240e6;

    /// <summary>Row that it is on the list.</summary>
    public const string Row = "end-plug";

    /// <summary>What it is turned or filed from, catalogue id.</summary>
    public const string Metal = "al-6061-t6";

    /// <summary>kg: it fills the tube's end; the screw in it weighs more than what is drilled out for it.</summary>
    public double Mass(Material metal) => (Square ? 1 : Math.PI / 4) * Inside * Inside * Depth * metal.Density;

    /// <summary>Row of the glue that it is glued in with.</summary>
    public const string Glue = "epoxy-24h";

    /// <summary>Left between a pin and the plug's thread, m (judgement, 0.5–1.5 mm).</summary>
    private const double BesideThread = 0.001;

    /// <summary>How deep a pin's hole may go from outside, m: through the wall, short of the thread that the screw goes into.</summary>
    /// <param name="major">Of the thread in the plug, m.</param>
    public double PinDepth(double major) => Wall + Math.Max(0, (Inside - major) / 2 - BesideThread);

    /// <summary>Load of one of the two walls, N, at which the pin is sheared there, against yield (Shigley's Mechanical Engineering Design,
    /// ch. 8).</summary>
    public static readonly double PinShears = Math.PI / 4 * Pin * Pin * Threads.ShearShare * PinYield;

    /// <summary>Load of one wall, N, at which the pin draws its hole out, against yield (bearing: Shigley, ch. 8).</summary>
    public double WallBears => Pin * Wall * Tube.YieldStrength;

    /// <summary>
    /// Force in one wall, N, of a pull along the tube, N, and a moment about it, N·m: each wall takes half, the moment is a couple across
    /// the tube.
    /// </summary>
    public double WallForce(double pull, double twist) => Math.Sqrt(Math.Pow(pull / 2, 2) + Math.Pow(twist / (Inside + Wall), 2));

    /// <summary>
    /// A key of the plug's own in a slot sawn into the tube's end: a short pin in its side, as thick as the pin, this far along the slot, m
    /// (judgement, 8–12 mm).
    /// </summary>
    public const double KeyLength = 0.010;

    /// <summary>Force on the slot's side, N, of a moment about the tube, N·m: one key on one side, at the middle of the wall.</summary>
    public double KeyForce(double twist) => twist / ((Inside + Wall) / 2);

    /// <summary>Force at which the slot's side gives way, N, against yield (bearing: Shigley, ch. 8).</summary>
    public double SlotBears => KeyLength * Wall * Tube.YieldStrength;

    /// <summary>Force that shears the key off, N, against yield: a steel key as thick as the pin (Shigley, ch. 8).</summary>
    public static readonly double KeyShears = Pin * KeyLength * Threads.ShearShare * PinYield;

    /// <summary>Area that is glued, m².</summary>
    public double Glued => Math.PI * Inside * Depth;

    /// <summary>Shear stress in the glue, Pa, of a pull along the tube and a moment about it.</summary>
    public double GlueStress(double pull, double twist) => Math.Sqrt(pull * pull + Math.Pow(twist / (Inside / 2), 2)) / Glued;
}
