using Ochema.Core.Stock;

namespace Ochema.Core.Joints;

/// <summary>Screws, nuts and washers as layers of a stack, with what they weigh and cost.</summary>
public static class Hardware
{
    /// <summary>Of a plain washer and of one that is wide, m (ISO 7089 by size, from memory).</summary>
    private const double WasherThickness = 0.0016;
    private const double WideThickness = 0.003;

    /// <summary>Outside of a plain washer over its screw, and of a wide one (ISO 7089, ISO 7093, from memory).</summary>
    private const double WasherWidth = 2.1;
    private const double WideWidth = 4;

    private const double Steel = 7850;

    /// <summary>Length that a screw's listed price buys, m; longer ones cost by their length.</summary>
    private const double PricedLength = 0.05;

    /// <summary>A steel washer.</summary>
    public static StackLayer Washer(Fastener f) =>
        new("Washer", LayerRole.Clearance, WasherThickness, "steel-s235", WasherWidth * f.MajorDiameter, Bought: true,
            Item: HardwareItem.Washer);

    /// <summary>A wide one, for wood and thin sheet.</summary>
    public static StackLayer WideWasher(Fastener f) =>
        new("Wide washer", LayerRole.Clearance, WideThickness, "steel-s235", Math.Max(0.02, WideWidth * f.MajorDiameter), Bought: true,
            Item: HardwareItem.WideWasher);

    /// <summary>The nut at the end.</summary>
    public static StackLayer LockNut(Fastener f) =>
        new("Lock nut", LayerRole.Nut, f.LockNutHeight, "steel-s235", f.AcrossFlats, Bought: true,
            Item: HardwareItem.Nut)
        { Carries = f.NutHeight };

    /// <summary>A nut that the thread passes and that locks it.</summary>
    public static StackLayer JamNut(Fastener f) =>
        new("Jam nut", LayerRole.Clearance, f.NutHeight, "steel-s235", f.AcrossFlats, Bought: true, Item: HardwareItem.JamNut);

    /// <summary>A nut between two studs, as deep as each goes in.</summary>
    public static StackLayer CouplingNut(Fastener f) =>
        new("Coupling nut", LayerRole.Blind, 1.5 * f.MajorDiameter, "steel-s235", f.AcrossFlats, Thread: f.Id, Bought: true);

    /// <summary>Rubber washers and felt pads as they come, m (judgement, 1–4 mm).</summary>
    private const double RubberThickness = 0.002;
    private const double FeltThickness = 0.002;
    private const double ShimThickness = 0.0005;

    /// <summary>What was put between, for a thread.</summary>
    public static StackLayer Added(AddedLayer added, Fastener f)
    {
        var layer = added.What switch
        {
            Between.Washer => Washer(f),
            Between.WideWasher => WideWasher(f),
            Between.Shim => Washer(f) with { Name = "Shim", Thickness = ShimThickness },
            Between.Felt => new("Felt", LayerRole.Soft, FeltThickness, "rubber-soft", 3 * f.MajorDiameter, Bought: true),
            _ => new("Rubber washer", LayerRole.Soft, RubberThickness, "rubber-soft", WasherWidth * f.MajorDiameter, Bought: true),
        };
        return added.Thickness is { } t ? layer with { Thickness = t } : layer;
    }

    /// <summary>Depth of a countersunk head of 90°, twice the screw across, m (ISO 10642 by proportion, from memory).</summary>
    public static double CountersunkDepth(Fastener f) => f.MajorDiameter / 2;

    /// <summary>The same layer for another thread.</summary>
    internal static StackLayer For(StackLayer layer, Fastener f) => layer.Item switch
    {
        HardwareItem.Washer => layer with { Width = WasherWidth * f.MajorDiameter },
        HardwareItem.WideWasher => layer with { Width = Math.Max(0.02, WideWidth * f.MajorDiameter) },
        HardwareItem.Nut => layer with { Thickness = f.LockNutHeight, Width = f.AcrossFlats, Carries = f.NutHeight },
        HardwareItem.JamNut => layer with { Thickness = f.NutHeight, Width = f.AcrossFlats },
        _ => layer,
    };

    /// <summary>A screw with a hexagon head, kg: its stress area over its length, and its head.</summary>
    /// <param name="length">Under the head, m.</param>
    /// <param name="head">False for a stud or set screw.</param>
    public static double ScrewMass(Fastener f, double length, bool head = true) =>
        Steel * (f.StressArea * length + (head ? Hexagon(f.AcrossFlats) * f.HeadHeight : 0));

    /// <summary>A nut or washer, kg.</summary>
    public static double Mass(Fastener f, StackLayer layer) => layer.Thickness * Steel
        * (layer.Item is HardwareItem.Nut or HardwareItem.JamNut ? Hexagon(layer.Width) - Math.PI / 4 * f.MajorDiameter * f.MajorDiameter
            : Math.PI / 4 * (layer.Width * layer.Width - f.ClearanceClose * f.ClearanceClose));

    /// <summary>Of a screw, in the user's currency.</summary>
    /// <param name="length">As bought, m.</param>
    public static double ScrewPrice(Fastener f, double length) => f.ScrewPrice * Math.Max(1, length / PricedLength);

    /// <summary>Of a nut or washer, in the user's currency.</summary>
    public static double Price(Fastener f, StackLayer layer) => layer.Item switch
    {
        HardwareItem.Nut or HardwareItem.JamNut => f.NutPrice,
        HardwareItem.WideWasher => 3 * f.WasherPrice,
        _ => f.WasherPrice,
    };

    private static double Hexagon(double acrossFlats) => Math.Sqrt(3) / 2 * acrossFlats * acrossFlats;
}

/// <summary>A layer that is a piece of hardware of its own.</summary>
public enum HardwareItem
{
    None,
    Washer,
    WideWasher,
    Nut,
    JamNut,
}
