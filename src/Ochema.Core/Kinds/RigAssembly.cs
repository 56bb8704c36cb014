using Ochema.Core.Checks;
using Ochema.Core.Joints;
using Ochema.Core.Kinds.Cameras;
using Ochema.Core.Kinds.Lines;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
namespace Ochema.Core.Kinds;

/// <summary>Puts a rig together: the stations of its paths one after the other, then what helps them, then what is to be said of it.</summary>
public static class RigAssembly
{
    /// <summary>The rig as frame, checks, parts and drawing.</summary>
    /// <param name="rig">As read.</param>
    /// <param name="stock">The shelf.</param>
    /// <param name="holdsGone">True for the rig of which all holds have let go and whose feet stand in friction only.</param>
    /// <exception cref="Json.DocumentException">The rig names something that does not exist on its host.</exception>
    public static RigBuilder Build(RigDocument rig, Catalogue stock, bool holdsGone = false)
    {
        var b = new RigBuilder(rig, stock, holdsGone);
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
        if (!holdsGone && b.Host.StandingAt(rig.Site) is { } carrier)
            b.Checks.Add(new CarrierTips(b, carrier));
        TetherLine.Build(b);
        b.SayLater();
        if (holdsGone)
            b.Checks.Add(new FrictionFeet(b, b.FrictionFeet));
        b.Findings.AddRange(rig.Joints.Keys.Where(id => b.Joints.TrueForAll(j => j.Id != id)).Order(StringComparer.Ordinal)
            .Select(id => new ReportFinding("rig", $"What you chose for the joint “{id}” is not used: this rig has no such joint.")));
        b.Findings.AddRange(Survey.Findings(rig, b.Host, b.Stock));
        b.Findings.AddRange(StrapPull.Findings(b));
        Supplies.AddTo(b);
        b.Findings.AddRange(Flung.Findings(b));
        if (Counterweight.Of(b) is { } against)
            b.Beside(Piece.Own(new(StationId.Site, "counterweight"), "Counterweight", against.Mass));
        b.Findings.AddRange(InWash.Findings(b));
        b.Findings.AddRange(Weather.Findings(b));
        b.Findings.AddRange(Clearance.Findings(b, b.Host));
        if (Clearance.Asks(b, b.Host) is { } asks)
            b.Unmeasured.Add(asks);
        return b;
    }

    /// <summary>
    /// Where a second camera goes: another hole in a plate, another bolt through a block; a base that offers one thread only gets a plate across it.
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
