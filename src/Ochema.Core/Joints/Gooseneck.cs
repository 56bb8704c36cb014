namespace Ochema.Core.Joints;

/// <summary>A gooseneck: friction between its coils holds a moment; below it bends like a spring, above it gives way.</summary>
public static class Gooseneck
{
    /// <summary>Mass, kg, whose weight at the end of a level gooseneck reaches its holding moment: M ÷ (g·L) less half its own
    /// mass.</summary>
    public static double LimitMass(double holdingMoment, double length, double ownMass) =>
        Math.Max(0, holdingMoment / (Loads.MotionProfile.Gravity * length) - ownMass / 2);

    /// <summary>Droop, m, of a level gooseneck: W·L³/3EI of the load and w·L⁴/8EI of its own weight (Roark table 8.1).</summary>
    public static double Droop(double bendingStiffness, double length, double mass, double ownMass) =>
        Loads.MotionProfile.Gravity * (mass / 3 + ownMass / 8) * Math.Pow(length, 3) / bendingStiffness;
}
