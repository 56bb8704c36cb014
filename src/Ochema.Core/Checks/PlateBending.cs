using Ochema.Core.Responses;
using Ochema.Core.Rigs;

namespace Ochema.Core.Checks;

/// <summary>Plate bending between the middle and a hold, taken as a strip of half the plate's width.</summary>
public sealed class PlateBending(RigSetting b, PartId id, string title, BeamPiece piece)
    : SectionStrength(b, StationId.Base, id, title, piece);
