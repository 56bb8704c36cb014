namespace Ochema.Core.Stock;

/// <summary>An elbow that a pipe is cemented into. Pipes end on the bottom of its sockets: what is between its middle and there is no
/// pipe.</summary>
/// <param name="Pipe">Pipe that goes in.</param>
/// <param name="Row">Fitting of the shelf.</param>
/// <param name="TakeOff">Its middle to the bottom of a socket, m.</param>
/// <param name="Socket">How deep a socket is, m.</param>
/// <param name="Source">Where the sizes are from.</param>
public sealed record PipeFitting(PipeSize Pipe, string Row, double TakeOff, double Socket, string Source)
{
    private const double Inch = 0.0254;
    private const string D2466 = "ASTM D2466, least socket depth and laying length of schedule 40 fittings; from memory, measure yours";

    /// <summary>Elbows of 90° by the pipe that goes in.</summary>
    public static IReadOnlyList<PipeFitting> Elbows { get; } =
    [
        new(PipeSize.Half, "pvc-elbow-1-2", 0.500 * Inch, 0.688 * Inch, D2466),
        new(PipeSize.ThreeQuarters, "pvc-elbow-3-4", 0.5625 * Inch, 0.719 * Inch, D2466),
        new(PipeSize.One, "pvc-elbow-1", 0.6875 * Inch, 0.875 * Inch, D2466),
    ];

    /// <summary>Length of a pipe between the middles of what it goes into, m; where it goes into nothing, to its end.</summary>
    /// <param name="middles">m.</param>
    /// <param name="from">Null for an open end.</param>
    /// <param name="to">As <paramref name="from"/>.</param>
    public static double Cut(double middles, PipeFitting? from, PipeFitting? to) => middles - (from?.TakeOff ?? 0) - (to?.TakeOff ?? 0);

    /// <summary>
    /// The least there can be between the middles of two fittings, m: they meet, and the piece between them fills both sockets, a close
    /// nipple.
    /// </summary>
    public static double Least(PipeFitting? from, PipeFitting? to) =>
        (from is null ? 0 : from.TakeOff + from.Socket) + (to is null ? 0 : to.TakeOff + to.Socket);
}

/// <summary>A coupler with a plug in it, as a cap over the end of a tube.</summary>
/// <param name="Pipe">Pipe that the coupler is for.</param>
/// <param name="Row">Its plug on the shelf.</param>
/// <param name="Bore">Inside of its socket, m.</param>
/// <param name="Socket">How deep, m.</param>
/// <param name="Wall">Of the coupler, m.</param>
/// <param name="Across">Flats of the plug's octagon, m.</param>
/// <param name="Floor">Thickness of the plug's face, m.</param>
/// <param name="Counterbore">From below into it, m.</param>
public sealed record PipeCap(PipeSize Pipe, string Row, double Bore, double Socket, double Wall, double Across, double Floor,
    double Counterbore, string Source)
{
    private const string D2466 = "ASTM D2466 sockets, from memory; plug's head and face judgement, measure yours";

    /// <summary>What the plug's face is called among the layers of a joint.</summary>
    public const string Face = "Plug of the cap";

    /// <summary>By the pipe of the coupler.</summary>
    public static IReadOnlyList<PipeCap> All { get; } =
    [
        new(PipeSize.Half, "pvc-plug-1-2", 0.0214, 0.0175, 0.0036, 0.028, 0.012, 0.005, D2466),
        new(PipeSize.ThreeQuarters, "pvc-plug-3-4", 0.0268, 0.0183, 0.0038, 0.034, 0.013, 0.005, D2466),
        new(PipeSize.One, "pvc-plug-1", 0.0335, 0.0222, 0.0043, 0.042, 0.014, 0.005, D2466),
    ];
}
