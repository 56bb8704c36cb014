namespace Ochema.Core.Stock;

/// <summary>A list of the shelf, as people call it.</summary>
/// <param name="Id">As kinds refer to it.</param>
/// <param name="Label">What is in it, as "Suction cups".</param>
/// <param name="One">One of it, as "suction cup".</param>
/// <param name="Row">Type of its rows.</param>
/// <param name="Own">True where the user may have rows of their own.</param>
public sealed record StockList(string Id, string Label, string One, Type Row, bool Own)
{
    /// <summary>Measurements that tell its rows apart, the first first; where none is named they are the first that it has.</summary>
    public IReadOnlyList<string> Columns { get; init; } = [];

    /// <summary>All lists, those first that builders measure themselves.</summary>
    public static IReadOnlyList<StockList> All { get; } =
    [
        new("cameras", "Cameras", "camera", typeof(CameraRow), true)
        {
            Columns = [nameof(CameraRow.Mass), nameof(CameraRow.SensorWidth), nameof(CameraRow.PixelsAcross),
                nameof(CameraRow.ReadOutTime)],
        },
        new("lenses", "Lenses", "lens", typeof(LensRow), true),
        new("cups", "Suction cups", "suction cup", typeof(SuctionCupRow), true)
        {
            Columns = [nameof(SuctionCupRow.Diameter), nameof(SuctionCupRow.VacuumShare), nameof(SuctionCupRow.Mass),
                nameof(SuctionCupRow.CurvatureSag)],
        },
        new("magnets", "Pot magnets", "pot magnet", typeof(MagnetRow), true)
        {
            Columns = [nameof(MagnetRow.Diameter), nameof(MagnetRow.RatedPull), nameof(MagnetRow.Friction), nameof(MagnetRow.Mass)],
        },
        new("heads", "Heads", "head", typeof(HeadRow), true)
        {
            Columns = [nameof(HeadRow.Mass), nameof(HeadRow.RatedLoad), nameof(HeadRow.HoldingTorque), nameof(HeadRow.Height)],
        },
        new("arms", "Articulated arms", "articulated arm", typeof(ArmRow), true),
        new("sections", "Bars and tubes", "bar or tube", typeof(SectionRow), true),
        new("straps", "Straps, cords, wires", "strap, cord or wire", typeof(StrapRow), true),
        new("isolators", "Soft mounts", "soft mount", typeof(IsolatorRow), true),
        new("springs", "Springs", "spring", typeof(SpringRow), true),
        new("goosenecks", "Goosenecks", "gooseneck", typeof(GooseneckRow), true),
        new("adhesives", "Adhesive pads", "adhesive pad", typeof(AdhesivePadRow), true),
        new("materials", "Materials", "material", typeof(Material), false),
        new("fasteners", "Threads", "thread", typeof(Fastener), false),
        new("fittings", "Small parts", "small part", typeof(FittingRow), false),
        new("glues", "Glues", "glue", typeof(Glue), false),
        new("tools", "Tools", "tool", typeof(ToolRow), false),
        new("knots", "Knots and ends", "knot or end", typeof(Knot), false),
    ];
}
