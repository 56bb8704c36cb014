using System.Text.Json.Serialization;
using Ochema.Core.Hosts;
using Ochema.Core.Quantities;
using Ochema.Core.Rigs;
using Ochema.Core.Structure;

namespace Ochema.Core.Kinds.Bases;

/// <summary>What hangs at the upper of a bridle's three shackles: their triangle is measured once.</summary>
public abstract record OnBridle : BaseKind
{
    internal override bool GivesSlowly => true;

    [Measure("Side shackles apart", Dimension.Length, 0.3, 4, HowTo = "one to the other, across the boat")]
    public double Apart { get; init; } = 2.2;

    [Measure("Side shackles below the upper", Dimension.Length, 0.1, 3, HowTo = "upright, by tape and level")]
    public double Below { get; init; } = 0.86;

    [Measure("Side shackles ahead of the upper", Dimension.Length, -1.5, 1.5, HowTo = "behind is negative")]
    public double Ahead { get; init; } = 0.55;

    [JsonIgnore]
    public override Grip Grip => Needs;

    private static readonly Grip Needs = new([SiteForm.Bridle]);

    /// <summary>From the upper shackle to the left one, m; the right one lies mirrored.</summary>
    private protected Vec3 Side => new(Ahead, Apart / 2, -Below);
}
