namespace Ochema.Core.Responses;

/// <summary>
/// A part of a rig as its checks and what may let go know it: the name of the hold, joint, tube or line that is taken away. Reads as text
/// where text is asked for; neither text nor a row of the spine passes for it.
/// </summary>
public readonly record struct PartId(string Name)
{
    /// <summary>As reports call it.</summary>
    public override string ToString() => Name;

    public static implicit operator string(PartId id) => id.Name;
}
