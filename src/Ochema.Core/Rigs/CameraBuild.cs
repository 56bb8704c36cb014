using Ochema.Core.Stock;
using Ochema.Core.Structure;

namespace Ochema.Core.Rigs;

/// <summary>The camera on its seat.</summary>
/// <param name="Node">Node at the centre of mass.</param>
/// <param name="Mass">kg, with lens.</param>
/// <param name="View">Viewing direction.</param>
/// <param name="Eye">Front of the lens, m.</param>
public sealed record CameraBuild(int Node, int Seat, double Mass, Vec3 View, Vec3 Up, Vec3 Eye, CameraRow Body, LensRow Lens, bool Weighed);
