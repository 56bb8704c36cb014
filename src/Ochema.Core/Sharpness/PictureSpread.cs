namespace Ochema.Core.Sharpness;

/// <summary>
/// From rotation of the camera to pixels. With S_θ(f) its one-sided rotation spectrum: smear² = f_px²·∫S_θ·4·sin²(π·f·t_e) df over
/// one exposure, wobble² the same over one read-out, shake² over one frame period. Beyond f·t = ½ the sine is held at its largest.
/// </summary>
public static class PictureSpread
{
    /// <summary>Weight of a frequency for a time, t seconds: 4·sin²(π·f·t), 4 beyond half a period.</summary>
    public static double Weight(double frequency, double time)
    {
        var x = frequency * time;
        if (x >= 0.5)
            return 4;
        var s = Math.Sin(Math.PI * x);
        return 4 * s * s;
    }

    /// <summary>Focal length in pixels of the picture as delivered.</summary>
    /// <param name="focalLength">m.</param>
    /// <param name="sensorWidth">m.</param>
    /// <param name="pixelsAcross">Of the delivered picture.</param>
    public static double FocalPixels(double focalLength, double sensorWidth, double pixelsAcross) => focalLength
        / (sensorWidth / pixelsAcross);

    /// <summary>Root mean square, pixels, of a weighted spectrum: trapezoids over the given frequencies.</summary>
    public static double Rms(IReadOnlyList<double> frequencies, Func<int, double> spectrum, double focalPixels)
    {
        var (sum, before) = (0.0, 0.0);
        for (var i = 0; i < frequencies.Count; i++)
        {
            var value = spectrum(i);
            if (i > 0)
                sum += 0.5 * (value + before) * (frequencies[i] - frequencies[i - 1]);
            before = value;
        }
        return focalPixels * Math.Sqrt(sum);
    }
}
