using Ochema.Core.Quantities;

namespace Ochema.Core.Hosts;

/// <summary>An answer of the survey.</summary>
public enum Answer
{
    NotAsked,
    Yes,
    No,
}

/// <summary>A side of the host.</summary>
public enum Side
{
    Left,
    Right,
}

/// <summary>One side or both.</summary>
public enum Sides
{
    Both,
    Left,
    Right,
}

/// <summary>The short set of questions that is answered at the place, before anything is bought, and the rules of the day.</summary>
public sealed record SiteSurvey
{
    [Option("Does a magnet stick here, at each foot?", HowTo = "try it: filler, aluminium and stainless look like steel")]
    public Answer MagnetSticks { get; init; }

    [Option("Flat or evenly curved under every hold?", HowTo = "no crease, swage line, seam or vent within the lip")]
    public Answer Even { get; init; }

    [Option("Free of any other job?", HowTo = "towing, lamps, plate, cooling, view, instruments, keys, steering lock to lock, hatch")]
    public Answer FreeOfOtherJobs { get; init; }

    [Option("Suction cups allowed?", HowTo = "some event inspectors refuse them")]
    public Answer SuctionAllowed { get; init; }

    [Option("Drilling allowed?", HowTo = "ask the owner; never into a lining, a tank or a cable")]
    public Answer DrillingAllowed { get; init; }

    [Option("Glue allowed?", HowTo = "pads leave traces on old paint")]
    public Answer GlueAllowed { get; init; }

    [Option("May it stand beyond the outline?", HowTo = "road and event rules")]
    public Answer BeyondOutline { get; init; }

    [Option("Clear of power lines?", HowTo = "3 m (10 ft) and the pole's own length away, all the time", Hosts = "person,field")]
    public Answer PowerLines { get; init; }

    [Option("Nobody below it, ever?", HowTo = "somebody keeps people away; else choose that a drop lands on people", Hosts = "person,aeroplane,field")]
    public Answer NobodyBelow { get; init; }

    [Option("Signed off?", HowTo = "by the mechanic or authority that the law names; anything outside an aircraft", Hosts = "aeroplane")]
    public Answer SignedOff { get; init; }

    [Option("Does it float?", HowTo = "camera with its float, and all that hangs on it: tried in a bucket", Hosts = "boat")]
    public Answer Floats { get; init; }

    [Option("Driver sits", Hosts = "car")]
    public Side DriverSits { get; init; }

    [Option("Paddled on", HowTo = "the side of a single blade; both for a double one", Hosts = "boat")]
    public Sides Paddled { get; init; }

    [Option("Declared a filming prop?", HowTo = "a drilled helmet protects nobody: never worn at risk again")]
    public Answer FilmingProp { get; init; }
}
