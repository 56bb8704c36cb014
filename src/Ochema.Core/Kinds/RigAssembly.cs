using Ochema.Core.Checks;
using Ochema.Core.Joints;
using Ochema.Core.Kinds.Cameras;
using Ochema.Core.Kinds.Lines;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
namespace Ochema.Core.Kinds;

/// <summary>Puts a rig together: the stations of its paths one after the other, then what helps them, then what is to be said of
/// it.</summary>
public static class RigAssembly
{
    /// <summary>The rig as frame, checks, parts and drawing.</summary>
    /// <param name="rig">As read.</param>
    /// <param name="stock">The shelf.</param>
    /// <exception cref="Json.DocumentException">The rig names something that does not exist on its host.</exception>
    public static BuiltRig Build(RigDocument rig, Catalogue stock)
    {
        Structure.Effort.Builds.Add(1);
        return Collect(rig, stock).Build();
    }

    /// <summary>The same rig with no factor on what its parts can do: a use of 100 % is what they stand.</summary>
    /// <inheritdoc cref="Build"/>
    internal static BuiltRig Bare(RigDocument rig, Catalogue stock)
    {
        Structure.Effort.Builds.Add(1);
        return Collect(rig, stock, FactorTable.Bare).Build();
    }

    /// <summary>All that it is made of, not built yet.</summary>
    /// <param name="factors">In place of what its consequence asks for.</param>
    internal static RigBuilder Collect(RigDocument rig, Catalogue stock, FactorTable? factors = null)
    {
        var b = new RigBuilder(rig, stock, factors);
        Mount At(RigPoint point, Mount m)
        {
            b.Offer(point, m.Node);
            return m;
        }
        var top = At(RigPoint.BaseTop, rig.Base.Build(b));
        var reached = At(RigPoint.ReachTop, rig.Reach.Build(b, top));
        var isolated = At(RigPoint.IsolatorTop, b.OnSoftMount(() => rig.Isolator.Build(b, reached)));
        var seat = At(RigPoint.HeadTop, rig.Head.Build(b, isolated));
        b.Camera = CameraOnSeat.Build(b, seat, rig.Camera);
        if (rig.Second is { } second)
            b.OnSecondPath(() =>
            {
                var foot = SecondPlaceOf(b, top, second.Where);
                b.SecondCamera = CameraOnSeat.Build(b, second.Head.Build(b, second.Reach.Build(b, foot)), second.Camera);
            });
        foreach (var brace in rig.Braces)
            brace.Build(b);
        foreach (var strap in rig.Straps)
            StrapLine.Build(b, strap);
        if (b.Host.StandingAt(rig.Site) is { } carrier)
            b.WhileHeld(() => b.Checks.Add(StationId.Site, new("site"), built => new CarrierTips(built, carrier)));
        TetherLine.Build(b);
        b.AfterAll();
        b.Findings.AddRange(rig.Joints.Keys.Where(id => b.Joints.TrueForAll(j => j.Id != id)).Order(StringComparer.Ordinal)
            .Select(id => new ReportFinding(StationId.Rig, $"What you chose for the joint “{id}” is not used: this rig has no such joint.")));
        b.Findings.AddRange(Survey.Findings(rig, b.Host, b.Stock));
        b.Findings.Add(StrapPull.Findings);
        Supplies.AddTo(b);
        b.Findings.Add(Flung.Findings);
        if (Counterweight.Of(b, b.MassOf(_ => true)) is { } against)
            b.Beside(Piece.Own(new(StationId.Site, "counterweight"), "Counterweight", against.Mass));
        b.Findings.Add(InWash.Findings);
        b.Findings.Add(Weather.Findings);
        b.Findings.Add(Clearance.Findings);
        if (Clearance.Asks(b, b.Figure) is { } asks)
            b.Unmeasured.Add(asks);
        return b;
    }

    /// <summary>
    /// Where a second camera goes: another hole in a plate, another bolt through a block; a base that offers one thread only gets a plate
    /// across it.
    /// </summary>
    private static Mount SecondPlaceOf(RigBuilder b, Mount top, SecondPlace where)
    {
        var axis = where == SecondPlace.Underneath ? -top.Axis : top.Axis;
        // Hands hold the first one's pole.
        top = top with { Held = null };
        switch (top.Offers)
        {
            case ThroughPort plate:
                return top with
                {
                    Axis = axis,
                    Offers = where == SecondPlace.Underneath
                    ? plate with { Layers = [.. plate.Layers.Reverse()] } : plate
                };
            case StudPort { Joint: not null } bolt:
                return top with { Axis = axis, Offers = bolt with { Joint = null } };
            default:
                var across = b.Fitting("adapter-plate");
                b.Put(Piece.Bought(new(b.Path.Head, "adapter"), across), top.Node);
                return top with
                {
                    Axis = axis,
                    Offers = new ThroughPort(across.Name, [new("Plate across", LayerRole.Clearance, JointMaker.AdapterPlate, "al-6061-t6",
                        0.05)], 0.08),
                };
        }
    }
}
