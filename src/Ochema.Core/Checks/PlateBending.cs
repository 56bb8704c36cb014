using Ochema.Core.Rigs;

namespace Ochema.Core.Checks;

/// <summary>Plate bending between the middle and a hold, taken as a strip of half the plate's width.</summary>
public sealed class PlateBending(RigBuilder b, string id, string title, BeamPiece piece) : SectionStrength(b, "base", id, title, piece);
