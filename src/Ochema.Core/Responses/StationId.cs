namespace Ochema.Core.Responses;

/// <summary>
/// A row of the spine: a station of the load path, a strut or strap of the user's, the tethers. Reads as text where text is asked for, as
/// reports do; no text passes for it, so that a part's name never stands where a row is meant.
/// </summary>
public readonly record struct StationId
{
    private readonly string? text;
    private readonly string? user;

    private StationId(string text, string? user = null, bool brace = false) => (this.text, this.user, IsBrace) = (text, user, brace);

    /// <summary>What the rig is held on.</summary>
    /// <summary>All of it.</summary>
    public static StationId Rig { get; } = new("rig");

    public static StationId Site { get; } = new("site");

    /// <summary>How it holds on.</summary>
    public static StationId Base { get; } = new("base");

    /// <summary>The soft mount; there is one, on the first path.</summary>
    public static StationId Isolator { get; } = new("isolator");

    /// <summary>All tethers share a row.</summary>
    public static StationId Tether { get; } = new("tether");

    /// <summary>A strut, by the user's id.</summary>
    public static StationId Brace(string id) => new("brace:" + id, id, true);

    /// <summary>A strap, by the user's id.</summary>
    public static StationId Strap(string id) => new("strap:" + id, id);

    /// <summary>A station that there is one of on each path; the path knows its name there.</summary>
    internal static StationId OnPath(string name) => new(name);

    /// <summary>True for a strut.</summary>
    public bool IsBrace { get; }

    /// <summary>The user's id of a strut or strap; the row's own name for all others.</summary>
    public string UserId => user ?? ToString();

    /// <summary>As reports call it.</summary>
    public override string ToString() => text ?? "";

    public static implicit operator string(StationId id) => id.ToString();
}
