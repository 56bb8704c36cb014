using Ochema.Core.Stock;

namespace Ochema.Core.Rigs;

/// <summary>A required factor as published: default by consequence class, floor, reason.</summary>
public sealed record RequiredFactor(string Name, string Label, double InsideHost, double OwnGround, double PublicWay, double OnPeople,
    double Floor, double Ceiling, string Reason)
{
    /// <summary>The default of a class.</summary>
    public double For(Consequence c) => c switch
    {
        Consequence.InsideHost => InsideHost,
        Consequence.OwnGround =>
        OwnGround,
        Consequence.PublicWay => PublicWay,
        Consequence.OnPeople => OnPeople,
        _ => OwnGround
    };
}

/// <summary>The required factors of a rig: defaults by consequence class, some set by the user within floors.</summary>
public sealed class FactorTable
{
    public const string Metal = "metal";
    public const string Bolt = "bolt";
    public const string SuctionPull = "suctionPull";
    public const string SuctionSlide = "suctionSlide";
    public const string Magnet = "magnet";
    public const string Friction = "friction";
    public const string Plastic = "plastic";
    public const string Wood = "wood";
    public const string Composite = "composite";
    public const string Adhesive = "adhesive";
    public const string Rope = "rope";
    public const string TetherCatch = "tetherCatch";
    public const string Ground = "ground";

    private readonly Dictionary<string, double> values;
    private readonly IReadOnlyDictionary<string, double> own;

    /// <summary>All factors.</summary>
    public static IReadOnlyList<RequiredFactor> All { get; } =
    [
        new(Metal, "Metal against yield", 1.5, 1.75, 2, 2.5, 1.3, 5, "usual machine practice; 1.5 where a drop stays inside"),
        new(Bolt, "Bolts against proof", 1.5, 1.5, 1.5, 2, 1.2, 5, "proof loads are guaranteed minima"),
        new(SuctionPull, "Suction, pull and tip", 1.5, 2, 2, 3, 1.5, 8, "vacuum lifting asks for 2 (EN 13155)"),
        new(SuctionSlide, "Suction, slide", 3, 4, 4, 5, 2, 10, "vacuum lifting asks for 4 along the surface"),
        new(Magnet, "Magnets", 2.5, 3, 3, 4, 2, 10, "magnetic lifting asks for 3 (EN 13155)"),
        new(Friction, "Joints held by friction", 1.5, 2, 2, 2.5, 1.3, 6, "friction scatters by half"),
        new(Plastic, "Plastics", 2.5, 3, 3, 4, 2, 8, "creep, sun and cold"),
        new(Wood, "Wood", 3, 4, 4, 5, 2.5, 8, "grain and knots scatter"),
        new(Composite, "Fibre composites", 2.5, 3, 3, 4, 2, 8, "breaks without bending first"),
        new(Adhesive, "Adhesive", 5, 5, 5, 6, 4, 12, "surface preparation decides; never alone"),
        new(Rope, "Straps, cords, ropes", 5, 5, 5, 10, 3, 15, "usual for webbing and rope; 10 above people"),
        new(TetherCatch, "Tether at its peak force", 2, 2, 2, 3, 1.5, 6, "the impact is in the force already"),
        new(Ground, "Ground that things stand on", 1.5, 2, 2, 3, 1.3, 5, "judgement; foundations for years are given 3"),
    ];

    private FactorTable(Consequence consequence, IReadOnlyDictionary<string, double> own)
    {
        this.own = own;
        values = All.ToDictionary(f => f.Name, f => own.TryGetValue(f.Name, out var v) ? v : f.For(consequence));
    }

    public static FactorTable For(Consequence consequence, IReadOnlyDictionary<string, double> own) => new(consequence, own);

    /// <summary>Nothing asked for: with it a check's use of 100 % is what the part stands.</summary>
    internal static FactorTable Bare { get; } = new(Consequence.OwnGround, All.ToDictionary(f => f.Name, _ => 1.0));

    /// <summary>The factor's name for a material family.</summary>
    public static string For(MaterialFamily family) => family switch
    {
        MaterialFamily.Metal => Metal,
        MaterialFamily.Plastic => Plastic,
        MaterialFamily.Wood => Wood,
        _ => Composite,
    };

    /// <summary>Independent retentions each separable piece needs.</summary>
    public static int Retentions(Consequence c) =>
        c switch { Consequence.InsideHost or Consequence.OwnGround => 1, Consequence.PublicWay or Consequence.DeepWater => 2, _ => 3 };

    public double this[string name] => values[name];

    /// <summary>Why it is what it is.</summary>
    public string Reason(string name) => own.ContainsKey(name) ? "set by you" : All.First(f => f.Name == name).Reason;
}
