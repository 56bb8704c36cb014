using System.Text.Json.Serialization;
using Ochema.Core.Hosts;
using Ochema.Core.Json;

namespace Ochema.Core.Rigs;

/// <summary>How the rig holds on to the panel.</summary>
[Family("base", 0)]
public abstract record BaseKind : Kind
{
    /// <summary>Builds holds and plate; returns where the reach attaches.</summary>
    public abstract Mount Build(RigBuilder b);

    /// <summary>What it asks of a place.</summary>
    [JsonIgnore]
    public abstract Grip Grip { get; }

    /// <summary>The same with its feet a third further apart, and what that is called; null for what stands on one.</summary>
    internal virtual (string Title, BaseKind Base)? Spread() => null;

    /// <summary>How much further <see cref="Spread"/> goes.</summary>
    internal const double Further = 4.0 / 3;
}

/// <summary>What carries the camera away from the base.</summary>
[Family("reach", 1)]
public abstract record ReachKind : Kind
{
    /// <summary>Builds from the base's mount; returns where the head attaches.</summary>
    public abstract Mount Build(RigBuilder b, Mount from);

    /// <summary>True for what reaches so far that power lines have to be asked about.</summary>
    [JsonIgnore]
    public virtual bool MayTouchLines => false;
}

/// <summary>What keeps shakes from the camera.</summary>
[Family("isolator", 2)]
public abstract record IsolatorKind : Kind
{
    /// <summary>Builds from the reach's mount; returns where the head attaches.</summary>
    public abstract Mount Build(RigBuilder b, Mount from);
}

/// <summary>What turns a camera on its head, as shares of power.</summary>
/// <param name="Turning">Of its seat's turning.</param>
/// <param name="Shaking">Turning for its seat's acceleration across the axis, (rad ÷ (m/s²))².</param>
internal readonly record struct HeadPasses(double Turning, double Shaking);

/// <summary>What the camera stands on.</summary>
[Family("head", 3)]
public abstract record HeadKind : Kind
{
    /// <summary>Builds from the reach's mount; returns the camera's seat.</summary>
    public abstract Mount Build(RigBuilder b, Mount from);

    /// <summary>What keeps the camera on it.</summary>
    [JsonIgnore]
    public virtual IReadOnlyList<string> Keeps => ["its screw"];

    /// <summary>True for one whose own screw goes into the camera.</summary>
    [JsonIgnore]
    public virtual bool ScrewsIn => true;

    /// <summary>Catalogue id of what it is.</summary>
    internal abstract string Row { get; }

    /// <summary>What of its seat's movement turns the camera at a frequency, Hz; rigid heads pass all turning on and add none.</summary>
    internal virtual HeadPasses Passes(double frequency) => new(1, 0);
}

/// <summary>A strut from the load path back to the host.</summary>
[Family("brace", 4)]
public abstract record BraceKind : Kind
{
    /// <summary>Unique within the rig.</summary>
    public required string Id { get; init; }

    public abstract void Build(RigBuilder b);

    /// <summary>Where on the host its foot stands; null for what stands on no site.</summary>
    [JsonIgnore]
    public virtual Footing? Footing => null;
}

/// <summary>The place of a foot.</summary>
/// <param name="Site">Id of the host's site.</param>
/// <param name="At">Place on it, m.</param>
/// <param name="Grip">What the foot asks of it.</param>
public sealed record Footing(string Site, double[] At, Grip Grip);

/// <summary>One hold on a panel: of a base, or the foot of a brace.</summary>
[Family("hold", 5)]
public abstract record HoldKind : Kind
{
    /// <summary>Adds the hold's spring, body and checks at a place.</summary>
    public abstract Hold Build(RigBuilder b, HoldSpot spot);

    /// <summary>What it asks of a place.</summary>
    [JsonIgnore]
    public abstract Grip Grip { get; }

    /// <summary>Outside diameter on the panel, m.</summary>
    public abstract double Diameter(Stock.Catalogue stock);

    /// <summary>The same hold in the next larger size on the shelf, or null.</summary>
    public abstract HoldKind? Larger(Stock.Catalogue stock);
}
