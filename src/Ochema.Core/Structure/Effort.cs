using System.Diagnostics.Metrics;

namespace Ochema.Core.Structure;

/// <summary>Work that is done once for a question, counted as it is done: whoever listens can tell that it was not done twice.</summary>
public static class Effort
{
    /// <summary>Name of the meter that counts.</summary>
    public const string Meter = "Ochema.Core";

    private static readonly Meter meter = new(Meter);

    /// <summary>Documents read from text.</summary>
    internal static readonly Counter<int> Parses = meter.CreateCounter<int>("parses");

    /// <summary>Rigs built.</summary>
    internal static readonly Counter<int> Builds = meter.CreateCounter<int>("builds");

    /// <summary>Frames factored.</summary>
    internal static readonly Counter<int> Factorisations = meter.CreateCounter<int>("factorisations");
}
