using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Stock;
using Ochema.Core.Structure;

namespace Ochema.Core.Joints;

/// <summary>What a layer of a screwed joint does.</summary>
public enum LayerRole
{
    /// <summary>A sheet, plate, washer or block that the screw passes through.</summary>
    Clearance,

    /// <summary>Rubber, felt, silicone: passes, and creeps.</summary>
    Soft,

    /// <summary>Nothing: the inside of a ring, a gap that stays open.</summary>
    Gap,

    /// <summary>A tapped hole right through.</summary>
    Tapped,

    /// <summary>A tapped hole with a bottom; its thickness is the depth of thread.</summary>
    Blind,

    /// <summary>A nut.</summary>
    Nut,

    /// <summary>What the tip must not enter: liner, tank, cable.</summary>
    KeepOut,
}

/// <summary>One layer, from the head towards the tip.</summary>
/// <param name="Thickness">m; for a blind socket the depth of its thread.</param>
/// <param name="Material">Catalogue id; empty for gaps.</param>
/// <param name="Width">Drawn width, m.</param>
/// <param name="Hole">Hole drilled, m; null when it is drilled right.</param>
/// <param name="Edge">Hole's middle to the nearest edge, m; null when far.</param>
/// <param name="Countersink">Depth of a countersink in it, m.</param>
/// <param name="Thread">Catalogue id of the thread it was bought with; null when it is tapped for the screw.</param>
/// <param name="Bought">True for what is not drilled by the builder: washers, spacers, nuts.</param>
/// <param name="Item">A piece of hardware that it is by itself.</param>
public sealed record StackLayer(
    string Name, LayerRole Role, double Thickness, string Material, double Width = 0.03, double? Hole = null,
        double? Edge = null, double Countersink = 0, string? Thread = null, bool Bought = false, HardwareItem Item = HardwareItem.None)
{
    /// <summary>Names a layer within its joint; empty until the house has made the stack.</summary>
    public string Id { get; init; } = "";

    /// <summary>True for what is measured elsewhere or is nobody's to change: what the tip must not enter.</summary>
    public bool IsFixed => Role == LayerRole.KeepOut;

    /// <summary>True for what comes with its hole or thread: it is nobody's to drill.</summary>
    public bool Ready { get; init; }

    /// <summary>True for the other end of a set screw's thread: it is tapped too.</summary>
    public bool Tapped { get; init; }

    /// <summary>Depth of a recess in it for a head or nut, m; beside its <see cref="Thickness"/>, which is what is clamped.</summary>
    public double Recess { get; init; }

    /// <summary>True where it stands on its face: what is let in from there may not stand out.</summary>
    public bool Flush { get; init; }

    /// <summary>How far the worst of its holes is out of place, m.</summary>
    public double Off { get; init; }

    /// <summary>Of a lock nut its thread in steel, m: the ring above it only keeps it from turning; null where all of the layer
    /// carries.</summary>
    public double? Carries { get; init; }

    /// <summary>Of a tube that the screw goes right through: its wall; null for what is solid.</summary>
    public HollowWall? Hollow { get; init; }

    /// <summary>Material that a thread insert sits in, catalogue id; null without one.</summary>
    public string? InsertIn { get; init; }
}

/// <summary>What a screw is tightened with.</summary>
public enum TightenedBy
{
    Fingers,
    Knob,
    Spanner,
    Drill,
}

/// <summary>Usual torques by hand and tool (judgement, 0.5–2 ×; people rarely know better than this).</summary>
public static class Tightening
{
    /// <summary>N·m.</summary>
    public static double Torque(TightenedBy by) => by switch
    {
        TightenedBy.Fingers => 0.8,
        TightenedBy.Knob => 2.5,
        TightenedBy.Spanner =>
        12,
        _ => 30
    };
}

/// <summary>Something about a joint. <paramref name="Layer"/> is the layer it is marked on, −1 for the screw.</summary>
public sealed record JointFinding(string Text, int Layer, bool Blocks);

/// <summary>A layer as drawn: where it begins under the head, m.</summary>
/// <param name="Edge">Hole's middle to the nearest edge, m; null when far or not known.</param>
/// <param name="Drilled">True where the builder drills it.</param>
/// <param name="Fixed">True for what is measured elsewhere: it is not changed here.</param>
public sealed record LayerReport(
    string Id, string Name, LayerRole Role, double From, double Thickness, double Width, double Hole, string Material, double? Edge,
        bool Drilled, bool Fixed);

/// <summary>A screwed joint as published: a section to scale, what to buy, what is wrong.</summary>
/// <param name="Length">The screw looked at, m: the user's, or the one to buy after cutting.</param>
/// <param name="Grip">Thickness clamped before the first thread, m.</param>
/// <param name="Engagement">Thread engaged, m; <paramref name="Wanted"/> is the least that is wanted.</param>
/// <param name="Protrusion">Past the thread, m.</param>
/// <param name="Screw">What is bought for it; null where the thread comes with one of the parts.</param>
/// <param name="Buy">Nearest length on sale, m, null when none is long enough.</param>
/// <param name="TapDrill">m; 0 when nothing is tapped.</param>
/// <param name="Plugged">True where its thread is in a plug in the end of a tube.</param>
/// <param name="Reassemblies">Times a tapped plastic thread may be made up; null for metal.</param>
public sealed record JointReport(
    string Id, string Station, string Title, string Thread, double MajorDiameter, double HeadWidth, double HeadHeight, bool Countersunk,
        IReadOnlyList<LayerReport> Layers,
    double Length, double Grip, double Engagement, double Wanted, double Protrusion, double? Buy, double CutOff, double Clearance,
        double TapDrill,
    double Preload, Loosening Means, int LooseningGrade, string LooseningSays, int? Reassemblies, IReadOnlyList<JointFinding> Findings,
        IReadOnlyList<string> Notes,
    string? Screw = null, bool Plugged = false);

/// <summary>
/// A screwed joint: a stack of layers with a thread through it. It knows its grip, what is left to engage, whether it bottoms,
/// sticks out or runs out of thread, what to buy and what holds it from turning loose.
/// </summary>
public sealed record ScrewJoint
{
    /// <summary>Tensile strength of the screws taken, Pa: class 8.8 is stronger, hardware-shop ones not (SAE J429 grade 2, from
    /// memory).</summary>
    private const double ScrewStrength = 510e6;

    /// <summary>Thread that ought to show past a nut: two turns (common practice, no source).</summary>
    private const double TurnsPastNut = 2;

    public required string Id { get; init; }

    /// <summary>The shelf that its materials and threads are rows of.</summary>
    public required Catalogue Stock { get; init; }

    public required StationId Station { get; init; }

    /// <summary>In the user's words: "spacer to plate".</summary>
    public required string Title { get; init; }

    public required Fastener Thread { get; init; }

    /// <summary>From the head to the tip.</summary>
    public required IReadOnlyList<StackLayer> Layers { get; init; }

    public bool Countersunk { get; init; }

    /// <summary>Screw length, m; null: the length to buy.</summary>
    public double? Length { get; init; }

    public Loosening Means { get; init; } = Loosening.ToolTightMarked;

    /// <summary>Tightening torque as somebody set it, N·m; null: the usual one.</summary>
    public double? Torque { get; init; }

    /// <summary>Torque that the part it belongs to is tightened with, N·m; null: what goes with the means.</summary>
    public double? Usual { get; init; }

    /// <summary>How far the tip may stand out past the last layer, m.</summary>
    public double AllowedProtrusion { get; init; } = 0.05;

    /// <summary>Friction between the clamped faces.</summary>
    public double Friction { get; init; } = 0.2;

    /// <summary>Force and moment that the joint carries, and the part of it that one of its screws takes.</summary>
    public Func<CaseForces, (Vec3 Force, Vec3 Moment)>? Load { get; init; }

    /// <summary>Direction of the screw.</summary>
    public Vec3 Axis { get; init; } = Vec3.UnitZ;

    /// <summary>Screws that share its load.</summary>
    public int Count { get; init; } = 1;

    /// <summary>Screws of this kind there are, each with a load of its own.</summary>
    public int Screws { get; init; } = 1;

    /// <summary>What the screw is on a list: "Screw", "Eye bolt"; null where it is part of what it joins.</summary>
    public string? Screw { get; init; } = "Screw";

    /// <summary>True where screw, nuts and washers come with what it joins.</summary>
    public bool Included { get; init; }

    /// <summary>True for studs and set screws.</summary>
    public bool Headless { get; init; }

    /// <summary>True where nobody gets at it once what it is in has its place: it is made up before.</summary>
    public bool First { get; init; }

    /// <summary>True with a bush between a screw and a socket of another thread.</summary>
    public bool Bushed { get; init; }

    /// <summary>True with a sleeve round the screw in each tube that it passes.</summary>
    public bool Sleeved { get; init; }

    /// <summary>Where its screws go, m from their middle: along and across; null for a circle.</summary>
    public IReadOnlyList<(double Along, double Across)>? Places { get; init; }

    /// <summary>Middle of the screws to the far edge, m.</summary>
    public double Lever { get; init; } = 0.015;

    private double Major => Thread.MajorDiameter;

    internal int ThreadLayer => Layers.ToList().FindIndex(l => l.Role is LayerRole.Tapped or LayerRole.Blind or LayerRole.Nut);

    /// <summary>Clamped before the thread, m.</summary>
    public double Grip => Layers.Take(ThreadLayer).Sum(l => l.Thickness);

    /// <summary>Least engagement wanted, m: the whole nut, or a rule by material, never more than a blind socket has.</summary>
    public double Wanted
    {
        get
        {
            var l = Layers[ThreadLayer];
            var rule = Threads.WantedEngagement(Thread, Stock.Material(l.Material));
            return l.Role switch
            {
                LayerRole.Nut => l.Thickness,
                LayerRole.Blind => Math.Min(rule, 0.7 * l.Thickness),
                _ =>
                Math.Min(rule, l.Thickness)
            };
        }
    }

    /// <summary>Shortest and longest screw that is right, m.</summary>
    public (double Least, double Most) Range
    {
        get
        {
            var l = Layers[ThreadLayer];
            var grip = Grip;
            var least = grip + Wanted + (l.Role == LayerRole.Nut ? TurnsPastNut * Thread.Pitch : 0);
            var behind = Layers.Skip(ThreadLayer + 1).TakeWhile(x => x.Role != LayerRole.KeepOut).Sum(x => x.Thickness);
            var most = l.Role == LayerRole.Blind ? grip + l.Thickness - 0.5 * Thread.Pitch : grip + l.Thickness + behind
                + (Layers.Any(x => x.Role == LayerRole.KeepOut) ? 0 : AllowedProtrusion);
            return (least, Math.Max(least, most));
        }
    }

    /// <summary>The plug in a tube's end that its thread is in; null where it is in something else.</summary>
    public TubePlug? Plug { get; init; }

    /// <summary>What of the user's choices is not used here, in words.</summary>
    public IReadOnlyList<string> Unused { get; init; } = [];

    /// <summary>The joint with the user's choices put in.</summary>
    public ScrewJoint With(JointChoice choice)
    {
        var unused = new List<string>();
        var layers = Layers.ToList();
        foreach (var own in choice.Layers ?? [])
            if (layers.FindIndex(l => l.Id == own.Layer) is >= 0 and var i && !layers[i].IsFixed)
                layers[i] = layers[i] with
                {
                    Thickness = own.Thickness ?? layers[i].Thickness,
                    Hole = own.Hole ?? layers[i].Hole,
                    // Measured to the edge it is where it is; else it may have gone towards it.
                    Edge = own.Edge ?? layers[i].Edge - (own.Off ?? 0),
                    Off = own.Off ?? 0,
                };
            else
                unused.Add($"what you said of its layer “{own.Layer}” is not used: it has no such layer now");
        if (choice.Hole is { } hole)
        {
            // The hole the user drilled is the one that is theirs to drill: the tapped one, else the first plate, else the first soft
            // block.
            var at = new[] { LayerRole.Tapped, LayerRole.Clearance, LayerRole.Soft }.Select(role =>
                layers.FindIndex(l => l.Role == role && !l.Bought))
                .FirstOrDefault(i => i >= 0, -1);
            // What was said of the layer itself says more.
            if (at >= 0 && choice.Layers?.Any(l => l.Layer == layers[at].Id && l.Hole is not null) != true)
                layers[at] = layers[at] with { Hole = hole };
        }
        if (choice.Pad is > 0 and var pad)
            layers.Insert(Math.Max(0, ThreadLayer), new StackLayer("Pad added", LayerRole.Soft, pad, "rubber-soft") { Id = "pad-added" });
        var thread = choice.Thread is { } id ? Stock.Find<Fastener>("fasteners", id) : Thread;
        // Nuts and washers are those of the thread; sockets and spacers keep their own.
        if (thread != Thread)
            layers = [.. layers.Select(l => Hardware.For(l, thread))];
        foreach (var (added, n) in (choice.Added ?? []).Select((a, n) => (a, n)))
        {
            var nearThread = layers.FindIndex(l => l.Role is LayerRole.Tapped or LayerRole.Blind or LayerRole.Nut);
            var before = added.Before is { } on ? layers.FindIndex(l => l.Id == on) : nearThread;
            if (before < 0 || before > nearThread)
                unused.Add($"the {Words.Inside(added.What.ToString())} you added has no place in it now");
            else
                layers.Insert(before, Hardware.Added(added, thread) with { Id = $"added-{n + 1}" });
        }
        var sunk = choice.Head == ScrewHead.Countersunk && !Headless;
        if (sunk)
        {
            // Flush: no washer under a head that sits in the sheet.
            while (layers[0].Item is HardwareItem.Washer or HardwareItem.WideWasher)
                layers.RemoveAt(0);
            if (layers[0].Role == LayerRole.Clearance)
                layers[0] = layers[0] with { Countersink = Hardware.CountersunkDepth(thread) };
            else
                unused.Add("a countersunk head wants a sheet to sit in, and there is none under it");
        }
        else if (choice.Head == ScrewHead.Countersunk)
            unused.Add("it has no head to sink: its thread is a stud");
        if (choice.Insert == Hosts.Answer.Yes)
        {
            var at = layers.FindIndex(l => l.Role is LayerRole.Tapped or LayerRole.Blind);
            if (at >= 0 && !layers[at].Bought && Stock.Material(layers[at].Material).Family != MaterialFamily.Metal)
                layers[at] = layers[at] with { InsertIn = layers[at].Material, Material = "brass", Hole = null };
            else
                unused.Add("an insert goes into wood or plastic that is tapped: there is none here");
        }
        if (choice.Sleeve == Hosts.Answer.Yes && !layers.Any(l => l.Hollow is not null))
            unused.Add("a sleeve goes into a tube that the screw passes: there is none here");
        if ((choice.Plug is not null || choice.Play is not null || choice.PlayCured is not null) && Plug is null)
            unused.Add("no end plug is in it");
        return this with
        {
            Layers = layers,
            Thread = thread,
            Countersunk = Countersunk || sunk,
            Plug = Plug is { } plug ? plug with
            {
                Kept = choice.Plug ?? plug.Kept,
                Play = choice.Play ?? 0,
                PlayCured = choice.PlayCured
                ?? 0
            } : null,
            Bushed = choice.Bush == Hosts.Answer.Yes,
            Sleeved = choice.Sleeve == Hosts.Answer.Yes,
            Length = choice.Length ?? Length,
            Torque = choice.Torque ?? (choice.By is { } by ? Tightening.Torque(by) : Torque),
            Means = choice.Means ?? Means,
            Unused = unused,
        };
    }

    /// <summary>Torque it is tightened with, N·m: as set, or the usual one and no more than the walls of tubes bear.</summary>
    public double TightenedWith => Torque
        ?? Math.Min(Usual ?? LooseningGrade.Torque(Means, Thread), Feel * Threads.NutFactor * WallBears * Major);

    /// <summary>Nobody tightens to the newton: that much of what a tube's wall bears is asked for (judgement, 0.7–0.9).</summary>
    private const double Feel = 0.8;

    /// <summary>
    /// Tension, N, that the walls of the tubes it passes bear before they dent: each by what presses on it from either side, or its sleeve.
    /// No end where it passes none. What is as wide as the tube, its neighbour or a plate, presses on the side walls.
    /// </summary>
    public double WallBears
    {
        get
        {
            var least = double.PositiveInfinity;
            for (var i = 0; i < Layers.Count; i++)
                if (Layers[i].Hollow is { } wall)
                {
                    least = Math.Min(least, Sleeved ? HollowWall.SleeveBears(Thread)
                        : wall.Dents(Math.Min(Bearing(i, -1), Bearing(i, 1)), Stock.Material(Layers[i].Material).YieldStrength));
                }
            return least;
        }
    }

    /// <summary>
    /// Width, m, of what presses on a layer from the head's side (−1) or the tip's (1): the next thing that is hard; a soft pad spreads
    /// nothing.
    /// </summary>
    internal double Bearing(int layer, int side)
    {
        for (var i = layer + side; i >= 0 && i < Layers.Count; i += side)
            if (Layers[i].Role is not (LayerRole.Gap or LayerRole.Soft))
                return Layers[i].Width;
        return side < 0 && !Headless ? Countersunk ? 2 * Major : Thread.AcrossFlats : Layers[layer].Width;
    }

    /// <summary>Tension, N, as it is tightened: T ÷ (K·d), before anything creeps.</summary>
    public double Tightened => Threads.Preload(TightenedWith, Major);

    /// <summary>Preload, N, that stays: never more than the thread and the walls of tubes hold, and less once soft layers have
    /// crept.</summary>
    public double Preload => Math.Min(Math.Min(Tightened, WallBears), Math.Min(Thread.ProofLoad, StripLoad))
        * (Layers.Any(l => l.Role == LayerRole.Soft) ? FrictionGrip.SoftKeeps : 1);

    /// <summary>The screw looked at, m.</summary>
    public double ScrewLength
    {
        get
        {
            if (Length is { } own)
                return own;
            var (least, most) = Range;
            return StockLengths.Nearest(Thread, least, most) is { } s ? s.Buy - s.CutOff : least;
        }
    }

    /// <summary>Thread engaged by the screw looked at, m.</summary>
    public double Engagement => Math.Clamp(ScrewLength - Grip, 0, Layers[ThreadLayer].Thickness);

    /// <summary>The section with everything that is wrong.</summary>
    public JointReport Report()
    {
        var findings = new List<JointFinding>();
        var at = ThreadLayer;
        var l = Layers[at];
        var (grip, screw, wanted) = (Grip, ScrewLength, Wanted);
        var (least, most) = Range;
        var sale = StockLengths.Nearest(Thread, least, most);
        var past = screw - grip;
        var protrusion = Math.Max(0, past - l.Thickness);
        if (past <= 0)
            findings.Add(new($"the screw ends before the thread begins: it needs {Holes.Size(least)} under the head", -1, true));
        else if (past < wanted - 1e-5)
            findings.Add(new($"only {Holes.Size(past)} of thread grips, {Holes.Size(wanted)} is wanted: take {Holes.Size(least)}", at, past
                < 0.6 * wanted));
        if (l.Role == LayerRole.Blind && past > l.Thickness + 1e-5)
            findings.Add(new($"it bottoms in the socket, {Holes.Size(past - l.Thickness)} too long: nothing is clamped, and the socket "
                + $"is driven out", at, true));
        else if (Layers.Skip(at + 1).Any(x => x.Role == LayerRole.KeepOut))
        {
            var free = Layers.Skip(at + 1).TakeWhile(x => x.Role != LayerRole.KeepOut).Sum(x => x.Thickness);
            if (protrusion > free + 1e-5)
                findings.Add(new($"its tip stands {Holes.Size(protrusion - free)} into the "
                    + $"{Words.Inside(Layers.First(x => x.Role == LayerRole.KeepOut).Name)}: nothing may enter there", Layers.ToList()
                        .FindIndex(x => x.Role == LayerRole.KeepOut), true));
        }
        else if (protrusion > AllowedProtrusion + 1e-5)
            findings.Add(new($"it stands {Holes.Size(protrusion)} proud, {Holes.Size(AllowedProtrusion)} is allowed: cut it or take "
                + $"{Holes.Size(most)}", -1, true));
        if (sale is null && Length is null && Screw is not null)
            findings.Add(new($"no screw on sale is {Holes.Size(least)} long: use threaded rod", -1, false));
        // Long bolts are sold with a plain shank: thread 2d + 6 mm (ISO 888), 2d + 1/4 in (ASME B18.2.1).
        var threaded = 2 * Major + (Threads.Inch(Thread) ? 0.00635 : 0.006);
        if (screw > 0.05 && l.Role is LayerRole.Nut or LayerRole.Tapped && grip < screw - threaded - 1e-5)
            findings.Add(new($"a partly threaded bolt of {Holes.Size(screw)} runs out of thread {Holes.Size(screw - threaded - grip)} "
                + $"before the nut grips: take a fully threaded one or a washer", -1, false));
        // What is let in from the head's side has to take the head of the screw that goes there, whichever that is.
        if (LetIn is { } into && Layers[into] is { Flush: true, Recess: var recess } && LetInHeight > recess + 1e-5)
            findings.Add(new($"head and washers are {Holes.Size(LetInHeight)} high, the recess {Holes.Size(recess)} deep: it stands on "
                + $"the head and rocks. "
                + $"{Holes.Size(LetInAcross)} across it needs", into, false));
        for (var i = 0; i < Layers.Count; i++)
        {
            var layer = Layers[i];
            if (layer.Hole is { } hole)
            {
                var fault = layer.Tapped || layer.Role is LayerRole.Tapped or LayerRole.Blind ? Holes.TapFault(Thread, hole)
                    : Holes.ClearanceFault(Thread, hole);
                if (fault is not null)
                    findings.Add(new($"{Words.Inside(layer.Name)}: {fault}", i, true));
                else if (!layer.Tapped && layer.Role is LayerRole.Clearance or LayerRole.Soft && Holes.Oversize(Thread, hole) is { } wide)
                    findings.Add(new($"{Words.Inside(layer.Name)}: {wide}", i, false));
            }
            if (layer.Off > 0 && Math.Max(Count, Screws) > 1 && layer.Role is LayerRole.Clearance or LayerRole.Soft or LayerRole.Tapped
                && Holes.OutOfPlace(Thread, layer.Role == LayerRole.Tapped ? Thread.ClearanceClose : layer.Hole ?? Thread.ClearanceClose,
                    layer.Off) is { } out_)
                findings.Add(new($"{Words.Inside(layer.Name)}: {out_}", i, false));
            if (layer.Edge is { } edge && layer.Material.Length > 0
                && Holes.EdgeDistance(Thread, Stock.Material(layer.Material)) is var want && edge < want - 1e-5)
                findings.Add(new($"{Words.Inside(layer.Name)}: the hole is {Holes.Size(edge)} from the edge, {Holes.Size(want)} is wanted",
                    i, false));
            if (layer.Countersink > Holes.DeepestCountersink(layer.Thickness) + 1e-6)
                findings.Add(new($"{Words.Inside(layer.Name)}: a countersink of {Holes.Size(layer.Countersink)} leaves a knife edge in "
                    + $"{Holes.Size(layer.Thickness)}: two thirds at the most", i, false));
        }
        if (l.Thread is { } own && own != Thread.Id && !(Bushed && ThreadFit.Bush(Thread.Id, own) is not null))
            findings.Add(new(ThreadFit.Mismatch(Thread, Stock.Find<Fastener>("fasteners", own), l.Name), at, true));
        findings.AddRange(Unused.Select(u => new JointFinding(u, -1, false)));
        var notes = new List<string>();
        if (Layers.Any(x => x.InsertIn is not null))
            notes.Add($"Insert: drill {Holes.Size(ThreadInsert.Hole(Thread))}, screw or press it in flush; glue it in wood.");
        if (Layers.Any(x => x.Role == LayerRole.Soft))
            notes.Add("Soft layers creep: tighten again after the first run.");
        if (Layers.Any(x => x.Hollow is not null))
            notes.Add(Sleeved ? $"A sleeve round it in each tube: {string.Join(" and ", Layers.Where(x => x.Hollow is not null)
                .Select(x => Holes.Size(x.Hollow!.Inside)))} long, a hair over rather than under."
                : Threads.Preload(Usual ?? LooseningGrade.Torque(Means, Thread), Major) > WallBears * 1.001
                    ? $"The tube's wall dents at {QuantityText.Of(WallBears, Dimension.Force)}: no tighter than "
                        + $"{QuantityText.Of(TightenedWith, Dimension.Torque)}, or a sleeve round the screw inside it."
                    : "A tube is no solid bar: no tighter than here.");
        var nutMaterial = Stock.Material(l.Material);
        if (Threads.Reassemblies(nutMaterial) is { } times)
            notes.Add($"Tapped plastic: about {times} times on and off, then a new hole or an insert.");
        bool Any(MaterialGrade grade) => Layers.Any(x => x.Material.Length > 0 && Stock.Material(x.Material).Grade == grade);
        if (Any(MaterialGrade.Aluminium) && (Thread.Stainless || Any(MaterialGrade.Stainless)))
            notes.Add("Stainless on aluminium eats it in salt and wet: grease or a plastic washer between.");
        double from = 0;
        var drawn = new List<LayerReport>();
        foreach (var x in Layers)
        {
            var hole = x.Hole ?? (x.Tapped ? Thread.TapDrill : x.Role switch
            {
                LayerRole.Tapped or LayerRole.Blind or LayerRole.Nut =>
                Thread.TapDrill,
                LayerRole.Gap or LayerRole.KeepOut => x.Role == LayerRole.Gap ? x.Width : 0,
                _ => Thread.ClearanceClose
            });
            drawn.Add(new(x.Id, x.InsertIn is null ? x.Name : x.Name + ", insert", x.Role, from, x.Thickness, x.Width, hole,
                x.Material.Length > 0 ? Stock.Material(x.Material).Name : "", x.Edge,
                !x.Bought && x.Role is LayerRole.Clearance or LayerRole.Soft or LayerRole.Tapped or LayerRole.Blind
                    && x.Item == HardwareItem.None && x.Thread is null, x.IsFixed));
            from += x.Thickness;
        }
        return new JointReport(Id, Station.ToString(), Title, Thread.Name, Major, Headless ? Major : Countersunk ? 2 * Major : Thread.AcrossFlats,
            Headless ? 0 : Countersunk ? Hardware.CountersunkDepth(Thread) : Thread.HeadHeight, Countersunk, drawn, screw, grip, Engagement,
                wanted, protrusion,
            sale?.Buy, sale?.CutOff ?? 0, Thread.ClearanceClose, l.Role == LayerRole.Tapped ? Thread.TapDrill : 0, Preload, Means,
                LooseningGrade.Of(Means), LooseningGrade.Says(Means), Threads.Reassemblies(nutMaterial), findings, notes,
                Included ? null : Screw, Plug is not null);
    }

    /// <summary>The layer that the screw's head is let into, with what lies under it; null where none is.</summary>
    private int? LetIn => Layers.ToList().FindIndex(l => l.Recess > 0) is >= 0 and var i && Layers.Take(i)
        .All(l => l.Item != HardwareItem.None) ? i : null;

    /// <summary>Height of what is let in, m: the head, and nuts and washers before the layer.</summary>
    private double LetInHeight => (Headless ? 0 : Thread.HeadHeight) + Layers.Take(LetIn ?? 0).Sum(l => l.Thickness);

    /// <summary>As wide as what is let in is, m: the head or nut over its corners, or the washer under it.</summary>
    public double LetInAcross => Layers.Take(LetIn ?? 0).Select(l => l.Width).Append(Holes.AcrossCorners(Thread)).Max();

    /// <summary>What the thread, or its insert, is cut in.</summary>
    public Material ThreadIn => Stock.Material(Layers[ThreadLayer].InsertIn ?? Layers[ThreadLayer].Material);

    /// <summary>Load, N, at which the thread strips with the engagement there is.</summary>
    public double StripLoad
    {
        get
        {
            var l = Layers[ThreadLayer];
            var strips = Threads.StripLoad(Thread, Math.Max(1e-5, Math.Min(Engagement, l.Carries ?? Engagement)), l.Hole ?? Thread.TapDrill,
                Stock.Material(l.Material), ScrewStrength);
            return l.InsertIn is { } around ? Math.Min(strips, ThreadInsert.PullOut(Thread, l.Thickness, Stock.Material(around))) : strips;
        }
    }

    /// <summary>Pull along one screw and slide on it, N, of a case; a moment across the axis pulls at the lever.</summary>
    internal (double Pull, double Slide) Share(CaseForces f)
    {
        var (force, moment) = Load!(f);
        var pull = Math.Abs(force.Dot(Axis)) / Count + moment.PerpendicularTo(Axis).Length / (Lever * Math.Max(1, Count / 2.0));
        // One screw alone is kept from turning by the friction of its faces, at two thirds of the lever.
        var slide = force.PerpendicularTo(Axis).Length / Count + Math.Abs(moment.Dot(Axis)) / (Count > 1 ? Lever * Count : Lever * 2 / 3);
        return (pull, slide);
    }
}
