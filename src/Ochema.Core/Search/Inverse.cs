using System.Reflection;
using Ochema.Core.Analysis;
using Ochema.Core.Assessment;
using Ochema.Core.Json;
using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;

namespace Ochema.Core.Search;

/// <summary>What builders ask the other way round: how high, how far out, how heavy, on how few holds.</summary>
/// <param name="Id">Station and field, as <c>reach.height</c>.</param>
/// <param name="Title">The question, as "Greatest height".</param>
/// <param name="Dimension">Of <paramref name="Now"/> and <paramref name="Value"/>, SI.</param>
/// <param name="Now">What the rig has.</param>
/// <param name="Value">The answer; null where no value does.</param>
/// <param name="Use">Highest use there; of the rig as it is where there is none.</param>
/// <param name="By">What stops it: the check that is at its most, or that the field goes no further.</param>
/// <param name="Document">The rig with the answer taken; null where there is none.</param>
public sealed record InverseAnswer(string Id, string Station, string Title, Dimension Dimension,
    double Now, double? Value, double Use, string By, RigDocument? Document);

/// <summary>
/// Answers the inverse questions by trying: from the rig as it is in steps towards more, while every use at the design speed stays within
/// the share asked for, then bisection. So all between what the rig has and the answer holds too; a size that holds again beyond one that
/// does not is not offered.
/// </summary>
public static class Inverse
{
    private const int Steps = 10;
    private const int Halvings = 9;

    /// <summary>All questions that this rig can be asked.</summary>
    /// <param name="atMost">Highest use allowed, 0.2…1: 1 ÷ the margin on top of the checks' own factors. <see cref="Judge.TightFrom"/> is
    /// the word "holds".</param>
    /// <exception cref="OperationCanceledException">Whoever asked has gone on.</exception>
    public static IReadOnlyList<InverseAnswer> Of(RigDocument rig, Catalogue stock, double atMost = Judge.TightFrom,
        CancellationToken stop = default)
    {
        var (use, _, mass) = Try(rig, stock, stop);
        var questions = new List<Func<InverseAnswer>>();
        foreach (var p in rig.Reach.GetType().GetProperties())
            if (p.GetCustomAttribute<MeasureAttribute>() is { Greatest.Length: > 0 } m)
                questions.Add(() => Greatest("reach", p, m, Convert.ToDouble(p.GetValue(rig.Reach),
                    System.Globalization.CultureInfo.InvariantCulture), v =>
                    rig with { Reach = (ReachKind)MeasureReader.WithMeasure(rig.Reach, p, v) }, stock, atMost, stop));
        var weighed = typeof(CameraChoice).GetProperty(nameof(CameraChoice.Mass))!;
        questions.Add(() => Greatest("camera", weighed, weighed.GetCustomAttribute<MeasureAttribute>()!, mass, v =>
            rig with { Camera = rig.Camera with { Mass = v } }, stock, atMost, stop));
        if (rig.Base.HoldCounts is { } counts)
            questions.Add(() => Fewest(rig, counts, use, stock, atMost, stop));
        return Trials.Each(questions, q => q(), stop);
    }

    private static InverseAnswer Greatest(string station, PropertyInfo property, MeasureAttribute m,
        double now, Func<double, RigDocument> with, Catalogue stock, double atMost, CancellationToken stop)
    {
        var id = $"{station}.{System.Text.Json.JsonNamingPolicy.CamelCase.ConvertName(property.Name)}";
        (double Use, string By) At(double v) => Try(with(v), stock, stop) is var t ? (t.Use, t.By) : default;
        var here = At(now);
        var up = here.Use <= atMost;
        var (good, bad, by) = (up ? now : double.NaN, up ? double.NaN : now, here.By);
        for (var i = 1; i <= Steps && (double.IsNaN(good) || double.IsNaN(bad)); i++)
        {
            // Even ratios, so that small sizes are looked at as closely as large ones; even steps where the field passes nought.
            var (from, to) = (now, up ? m.Maximum : m.Minimum);
            var v = from > 0 && to > 0 ? from * Math.Pow(to / from, (double)i / Steps) : from + (to - from) * i / Steps;
            var at = At(v);
            if (at.Use <= atMost)
                good = v;
            else
                (bad, by) = (v, at.By);
        }
        if (double.IsNaN(good))
            return new(id, station, m.Greatest, m.Dimension, now, null, here.Use, by, null);
        if (double.IsNaN(bad))
            return new(id, station, m.Greatest, m.Dimension, now, m.Maximum, At(m.Maximum).Use, "", with(m.Maximum));
        for (var i = 0; i < Halvings; i++)
        {
            var mid = 0.5 * (good + bad);
            var at = At(mid);
            if (at.Use <= atMost)
                good = mid;
            else
                (bad, by) = (mid, at.By);
        }
        good = Down(good, m.Dimension);
        return new(id, station, m.Greatest, m.Dimension, now, good, At(good).Use, by, with(good));
    }

    private static InverseAnswer Fewest(
        RigDocument rig, (int Least, int Most, int Now) counts, double use, Catalogue stock, double atMost, CancellationToken stop)
    {
        var by = "";
        for (var n = counts.Least; n <= counts.Most; n++)
        {
            var tried = rig with { Base = rig.Base.WithHolds(n) };
            var at = Try(tried, stock, stop);
            if (at.Use <= atMost && Spare(tried, stock) is { } without)
                at = (Check.MostUse, without, at.Mass);
            if (at.Use <= atMost)
                return new("base.count", "base", "Fewest holds", Dimension.Count, counts.Now, n, at.Use, by, tried);
            by = at.By;
        }
        return new("base.count", "base", "Fewest holds", Dimension.Count, counts.Now, null, use, by, null);
    }

    /// <summary>What speaks against so few holds although they carry the loads: that it is refused, or that one of several may not be lost.
    /// Null when nothing does.</summary>
    private static string? Spare(RigDocument rig, Catalogue stock)
    {
        var judged = Judged.Of(rig, stock);
        return judged.Verdict.Why is Why.Refused or Why.Moves ? judged.Verdict.Text
            : rig.Base.HoldCounts is { Now: > 1 } ? judged.LetGo.FirstOrDefault(l => l.Kind == "hold" && l.Use > 1)?.Title : null;
    }

    /// <summary>Rounded to what can be built and weighed, never upwards.</summary>
    private static double Down(double v, Dimension d) => d == Dimension.Length ? Math.Floor(v * 1000) / 1000 : Math.Floor(v * 100) / 100;

    private static (double Use, string By, double Mass) Try(RigDocument rig, Catalogue stock, CancellationToken stop)
    {
        stop.ThrowIfCancellationRequested();
        try
        {
            var model = new RigModel(rig, stock);
            var mass = model.Built.Camera.Mass;
            var state = model.State([]);
            if (model.Built.Findings.FirstOrDefault(f => f.Blocks) is { } refused)
                return (Check.MostUse, refused.Text, mass);
            if (state.Mechanism is not null)
                return (Check.MostUse, "it can move freely", mass);
            var worst = new LimitSpeed(model, state, Assessor.Driving(model)).At(model.Built.Checks, rig.Run.Speed);
            return (worst.Use, worst.Check?.Title ?? "no stable state with its slack straps", mass);
        }
        catch (DocumentException e)
        {
            return (Check.MostUse, e.Reason, 0);
        }
    }
}
