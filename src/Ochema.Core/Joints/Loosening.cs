namespace Ochema.Core.Joints;

/// <summary>The one means that keeps a screw joint from turning loose.</summary>
public enum Loosening
{
    HandTight,
    RubberWasher,
    ToolTightMarked,
    ThreadLock,
    JamNuts,
    LockNut,
}

/// <summary>Grades of the means (common practice, no source).</summary>
public static class LooseningGrade
{
    /// <summary>0: check before every run; 1: after the first run; 2: at every build; 3: it stays.</summary>
    public static int Of(Loosening means) => means switch
    {
        Loosening.HandTight => 0,
        Loosening.RubberWasher => 1,
        Loosening.ToolTightMarked => 1,
        Loosening.ThreadLock => 2,
        Loosening.JamNuts => 2,
        _ => 3,
    };

    /// <summary>In words, with what follows from it.</summary>
    public static string Says(Loosening means) => means switch
    {
        Loosening.HandTight => "hand-tight only: on the list before every run",
        Loosening.RubberWasher => "rubber washer: look after the first run",
        Loosening.ToolTightMarked => "tool-tight with a mark line: look at the line after the first run",
        Loosening.ThreadLock => "thread lock: renew at every build",
        Loosening.JamNuts => "two nuts against each other: look at every build",
        _ => "lock nut: stays; new one after five times",
    };

    /// <summary>Tightening torque, N·m, that the means goes with: by hand on a knob, or by tool to about two thirds of proof.</summary>
    public static double Torque(Loosening means, Stock.Fastener f) => means switch
    {
        Loosening.HandTight => Math.Min(1.5, Tool(f)),
        Loosening.RubberWasher => Math.Min(2.5, Tool(f)),
        _ => Tool(f),
    };

    private static double Tool(Stock.Fastener f) => Threads.NutFactor * 0.5 * f.ProofLoad * f.MajorDiameter;
}
