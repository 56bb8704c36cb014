using Ochema.Core.Responses;

namespace Ochema.Core.Checks;

/// <summary>What a cup or a magnet can do on its spot: how hard it holds on, and what that gives along the panel.</summary>
/// <param name="Holding">N, straight: vacuum force, or pull left on this panel.</param>
/// <param name="Name">What that force is called.</param>
/// <param name="Source">Where it comes from.</param>
/// <param name="Friction">Friction on the panel.</param>
/// <param name="FrictionSource">Where that comes from.</param>
/// <param name="Radius">Middle to the edge it tips about, m.</param>
/// <param name="RadiusSource">Where that comes from.</param>
/// <param name="TwistRadius">Radius at which friction acts against a twist, m: a rim's own, two thirds of a disc's (even pressure).</param>
/// <param name="PullFactor">Name of the required factor for pull and tip.</param>
/// <param name="SlideFactor">Name of the required factor for sliding.</param>
/// <param name="Practice">Where the factors come from.</param>
/// <param name="LeavesOut">What the checks do not cover.</param>
public sealed record HoldGrasp(
    double Holding, string Name, string Source, double Friction, string FrictionSource, double Radius, string RadiusSource,
        double TwistRadius,
    string PullFactor, string SlideFactor, string Practice, string LeavesOut)
{
    /// <summary>Slide, N, that it takes with its factor on the pull: μ·(P + pressing − k·pull), none when the pull takes all.</summary>
    public double Slide(HoldLoad load, double pullFactor) => Friction * Math.Max(0, Holding + load.On - pullFactor * load.Off);
}
