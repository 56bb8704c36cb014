namespace Ochema.Core.Hosts;

/// <summary>What a way of holding on asks of its place.</summary>
/// <param name="Forms">Forms of site it can use.</param>
/// <param name="Magnet">Needs a panel that a magnet sticks to.</param>
/// <param name="Suction">Holds by vacuum.</param>
/// <param name="Drills">Makes a hole in the host.</param>
/// <param name="Glue">Sticks with adhesive and leaves traces.</param>
public sealed record Grip(IReadOnlyList<SiteForm> Forms, bool Magnet = false, bool Suction = false, bool Drills = false, bool Glue = false);
