using Ochema.Core.Json;
using Ochema.Core.Kinds;
using Ochema.Core.Making;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Structure;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Rigs;

/// <summary>A rod that was cut to a length is that long: its foot moves along its line, and nothing else does.</summary>
public sealed class RodLengthTests
{
    private static readonly Catalogue Stock = Catalogue.Shipped;

    public static TheoryData<string, string> Struts
    {
        get
        {
            var all = new TheoryData<string, string>();
            foreach (var (name, rig) in RigFiles.All)
                foreach (var rod in RodLength.All(RigAssembly.Build(rig, Stock)))
                    all.Add(name, rod.Id);
            return all;
        }
    }

    [Theory, MemberData(nameof(Struts))]
    public void ItIsAsLongAsWasAsked(string name, string id)
    {
        var rig = RigFiles.Named(name);
        var before = RigAssembly.Build(rig, Stock);
        var rod = RodLength.All(before).First(r => r.Id == id);
        Assert.InRange(rod.Length, rod.Least - 1e-9, rod.Most + 1e-9);
        foreach (var share in new[] { 0.02, 0.3, 0.6, 0.98 })
        {
            var wanted = rod.Least + share * (rod.Most - rod.Least);
            var next = RodLength.With(before, id, wanted);
            var b = RigAssembly.Build(next, Stock);
            // Of the frame itself, of the list and of what is said.
            Assert.Equal(wanted, b.Pieces.Where(p => p.Station == Responses(id)).Sum(p => p.Length), 5e-7);
            Assert.Equal(wanted, b.Parts.First(p => p.Station == Responses(id) && p.Cut is not null).Cut!.Length, 5e-7);
            var now = RodLength.All(b).First(r => r.Id == id);
            Assert.Equal(wanted, now.Length, 5e-7);
            // On one line with where it stood and what it is clamped to: the same line, with the same ends.
            Assert.Equal(rod.Least, now.Least, 0.0005);
            Assert.Equal(rod.Most, now.Most, 0.0005);
            Assert.Equal(StrictJson.Write(rig with { Braces = [] }), StrictJson.Write(next with { Braces = [] }));
            // And back again.
            var back = RodLength.With(b, id, rod.Length);
            var (at, was) = (back.Braces.First(x => x.Id == id).Footing!.At, rig.Braces.First(x => x.Id == id).Footing!.At);
            Assert.Equal(was[0], at[0], 5e-5);
            Assert.Equal(was[1], at[1], 5e-5);
        }
        Assert.Same(rig, RodLength.With(before, id, rod.Length));
    }

    private static Core.Responses.StationId Responses(string id) => Core.Responses.StationId.Brace(id);

    [Fact] // no bend in the panel: Pythagoras, with the foot's own height
    public void OnAFlatPlaceItIsPythagoras()
    {
        var surface = new Core.Hosts.PanelSurface(Vec3.Zero, Vec3.UnitX, Vec3.UnitY, Vec3.UnitZ, 1e12, 1e12, 2, 2);
        var (name, rig) = RigFiles.All.First(r => RodLength.All(RigAssembly.Build(r.Rig, Stock)).Count > 0);
        var collected = RigAssembly.Collect(rig, Stock);
        var rod = collected.Rods[0] with { At = [0.3, 0.4], Surface = surface, Rise = 0.05, Clamp = new(0, 0, 0.55) };
        collected.Rods.Clear();
        collected.Rods.Add(rod);
        var b = collected.Build();
        var said = RodLength.All(b)[0];
        Assert.Equal(Math.Sqrt(0.3 * 0.3 + 0.4 * 0.4 + 0.5 * 0.5), said.Length, 1e-9);
        Assert.Equal(0.5, said.Least, 5e-7);
        // To the panel's edge: 1.5 m forward at 2 m to the left.
        Assert.Equal(Math.Sqrt(2.5 * 2.5 + 0.5 * 0.5), said.Most, 5e-7);
    }

    [Theory, MemberData(nameof(Struts))]
    public void WhatItWasTrimmedToIsItsLength(string name, string id)
    {
        var rig = RigFiles.Named(name);
        var plan = Maker.Of(rig, Stock);
        var step = plan.Steps.First(s => s.Built.Any(r => r.Path == RodLength.Path(id)));
        var asked = step.Built.First(r => r.Path == RodLength.Path(id));
        Assert.Same(rig, AsBuilt.Put(rig, Stock, asked.Path, null, "2026-05-01"));
        var wanted = Math.Clamp(asked.Planned!.Value - 0.003, asked.Minimum, asked.Maximum);
        var made = RigReader.Read(StrictJson.Write(AsBuilt.Put(rig, Stock, asked.Path, wanted, "2026-05-01")), Stock);
        var now = Maker.Of(made, Stock).Steps.SelectMany(s => s.Built).First(r => r.Path == asked.Path);
        Assert.Equal(wanted, now.Value!.Value, 5e-7);
        Assert.Equal(asked.Planned.Value, now.Planned!.Value, 5e-7);
        Assert.Equal(wanted, RodLength.All(RigAssembly.Build(made, Stock)).First(r => r.Id == id).Length, 5e-7);
        Assert.Equal([asked.Path], AsBuilt.Did(made, Stock)!.Paths);
        // Taken back it stands where it was drawn, to the last digit.
        var back = AsBuilt.Put(made, Stock, asked.Path, null, "2026-05-02");
        Assert.Equal(StrictJson.Write(rig), StrictJson.Write(back));
        Assert.Equal("measured." + asked.Path + ".built.at", Assert.Throws<DocumentException>(() => RigReader.Read(
            StrictJson.Write(made with
            {
                Measured = made.Measured!.ToDictionary(m => m.Key, m => m.Value with { Built = m.Value.Built! with { At = [1] } }),
            }), Stock)).Path);
        Assert.Null(AsBuilt.Did(back, Stock));
        Assert.Equal(asked.Planned.Value, RodLength.All(RigAssembly.Build(back, Stock)).First(r => r.Id == id).Length, 5e-7);
    }

    [Fact]
    public void WhatNoPlaceMakesIsRefusedWithItsRange()
    {
        var (_, rig) = RigFiles.All.First(r => RodLength.All(RigAssembly.Build(r.Rig, Stock)).Count > 0);
        var b = RigAssembly.Build(rig, Stock);
        var rod = RodLength.All(b)[0];
        var refused = Assert.Throws<DocumentException>(() => RodLength.With(b, rod.Id, rod.Most + 1));
        Assert.Equal("length", refused.Path);
        Assert.Contains("between", refused.Message, StringComparison.Ordinal);
        Assert.Equal("brace", Assert.Throws<DocumentException>(() => RodLength.With(b, "none", 1)).Path);
    }
}
