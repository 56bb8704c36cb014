using Ochema.Core.Rigs;

namespace Ochema.Core.Sharpness;

/// <summary>
/// Words of the picture by the viewer's eye, as a share of its width: three picture heights away the eye resolves about 1/1920 of it (ITU-R
/// BT.500, BT.1845: one
/// minute of arc). Smear and wobble are sharp to 1/2000, soft to 1/600; shake from frame to frame is steady to 1/2000, lively to 1/400
/// (film weave and hand-held
/// pictures; common practice, no source), and rough above, which is no fault of the frame.
/// </summary>
public enum Sharp
{
    Sharp,
    Soft,
    Unusable,
    Steady,
    Lively,
    Rough,

    /// <summary>What stands there takes no picture.</summary>
    None,
}

/// <summary>One of the three picture numbers: root mean square in pixels of the delivered picture.</summary>
/// <param name="Low">Lower end of the range from inputs that are judged.</param>
/// <param name="Floor">What any mount would show there, however stiff: the host's own turning, pixels.</param>
/// <param name="Mount">What this mount adds to it, pixels: together they make the number, as the root of the sum of their squares.</param>
/// <param name="Without">Shake without the stabiliser, pixels; the number itself for the others.</param>
/// <param name="FirstLimit">Pixels at which the better word ends.</param>
/// <param name="SecondLimit">Pixels at which the middle word ends.</param>
/// <param name="Mode">Index of the mode that gives most of it; −1 when the host itself does.</param>
/// <param name="Shake">What excites that most.</param>
public sealed record PictureNumber(string Id, string Label, double Pixels, double Low, double High, Sharp Word, int Mode,
    string Shake, double Floor, double Mount, double Without, double FirstLimit, double SecondLimit);

/// <summary>A mode as published.</summary>
/// <param name="Name">What moves, in words.</param>
/// <param name="Share">Its share of the rotation of the camera, 0…1.</param>
/// <param name="Movement">By node, m, scaled to a largest movement of one.</param>
public sealed record ModeReport(double Frequency, double Damping, string Name, double Share, IReadOnlyDictionary<string,
    double[]> Movement);

/// <summary>A steady tremble as published.</summary>
/// <param name="To">Hz it goes up to when the engine runs through a range.</param>
public sealed record SteadyReport(string Label, double Frequency, double To, double Amplitude, string Source);

/// <summary>The picture in three numbers, without spectra: for cards and the spine. The word is that of smear and wobble; shake has its
/// own.</summary>
public sealed record PictureWords(Sharp Word, IReadOnlyList<PictureNumber> Numbers, string Text);

/// <summary>Everything about the shake of a rig as it stands.</summary>
/// <param name="Frequencies">Hz.</param>
/// <param name="Excitation">Vertical acceleration of the host, (m/s²)²/Hz, by frequency.</param>
/// <param name="Rotation">Rotation of the camera about the axes that shift the picture, rad²/Hz, by frequency.</param>
/// <param name="Band">Where the host shakes most.</param>
/// <param name="Sources">What drives the rig at random, strongest or not, each with its share of the rotation.</param>
/// <param name="Acceleration">Of the camera along the axes of the host.</param>
public sealed record ShakeReport(
    PictureWords Picture, IReadOnlyList<ModeReport> Modes, IReadOnlyList<double> Frequencies, IReadOnlyList<double> Excitation,
        IReadOnlyList<double> Rotation,
    IReadOnlyList<SteadyReport> Steady, Loads.ShakeBand Band, string ExcitationLabel, IReadOnlyList<SourceReport> Sources,
        IReadOnlyList<AxisReport> Acceleration,
    IReadOnlyList<MemberLife> Members, SoftState? Soft);

/// <summary>Something random that drives the rig.</summary>
/// <param name="Rotation">Of the camera from it alone, rad²/Hz, by frequency.</param>
public sealed record SourceReport(string Label, string Source, IReadOnlyList<double> Rotation);

/// <summary>Acceleration of the camera along one axis, m/s²: root mean square, and peak.</summary>
public sealed record AxisReport(string Axis, double Rms, double Peak);

/// <summary>A member under vibration: root mean square bending stress, Pa, and hours to a crack by the three-band method.</summary>
public sealed record MemberLife(string Station, string Label, double Stress, double Hours);

/// <summary>A change tried for the picture: the three numbers before and after.</summary>
public sealed record ShakeChange(string Id, string Title, double Shake, double Smear, double Wobble, Sharp Word, Rigs.RigDocument Document);
