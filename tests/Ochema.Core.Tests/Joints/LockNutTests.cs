using Ochema.Core.Joints;
using Ochema.Core.Stock;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Joints;

/// <summary>Lock nuts are as high as lock nuts, and carry as plain ones: the ring holds no load.</summary>
public sealed class LockNutTests
{
    private static readonly Catalogue Stock = Catalogue.Shipped;

    [Theory] // ISO 7040, style 1, m max, from memory
    [InlineData("m4", 6.0)]
    [InlineData("m5", 6.8)]
    [InlineData("m6", 8.0)]
    [InlineData("m8", 9.5)]
    [InlineData("m10", 11.9)]
    [InlineData("m12", 14.9)]
    public void HeightsAreThoseOfTheStandard(string thread, double millimetres) =>
        Assert.Equal(millimetres / 1000, Hardware.LockNut(Stock.Find<Fastener>("fasteners", thread)).Thickness, 1e-9);

    [Fact]
    public void EveryThreadHasALockNutHigherThanItsNut() =>
        Assert.All(Stock.Fasteners, f => Assert.InRange(f.LockNutHeight, 1.2 * f.NutHeight, 2.1 * f.NutHeight));

    [Fact] // the bolt passes the ring by its turns, and no more thread counts than the steel has
    public void TheBoltPassesTheRingAndTheSteelCarries()
    {
        var thread = Stock.Find<Fastener>("fasteners", "m8");
        ScrewJoint Made(StackLayer nut) => new()
        {
            Stock = Stock,
            Id = "x",
            Station = Core.Responses.StationId.Base,
            Title = "x",
            Thread = thread,
            Layers = [new("Plate", LayerRole.Clearance, 0.01, "al-6061-t6"), nut],
        };
        var (locked, plain) = (Made(Hardware.LockNut(thread)), Made(Hardware.LockNut(thread) with
        {
            Thickness = thread.NutHeight,
            Carries = null
        }));
        Assert.Equal(0.01 + 0.0095 + 2 * thread.Pitch, locked.Range.Least, 1e-9);
        Near.Share(plain.StripLoad, locked.StripLoad, 1e-9);
    }
}
