using Ochema.Core.Analysis;
using Ochema.Core.Assessment;
using Ochema.Core.Hosts;
using Ochema.Core.Json;
using Ochema.Core.Rigs;
using Ochema.Core.Sharpness;
using Ochema.Core.Stock;

namespace Ochema.Core.Search;

/// <summary>What to change for the picture: single changes, each computed.</summary>
public static class ShakeAdvice
{
    /// <summary>Single changes tried for the picture, best first: the three numbers with each.</summary>
    /// <exception cref="OperationCanceledException">Whoever asked has gone on.</exception>
    public static IReadOnlyList<ShakeChange> Of(RigDocument rig, Catalogue stock, CancellationToken stop = default)
    {
        if (stock.Find<CameraRow>("cameras", rig.Camera.Body).Makes != Makes.Picture)
            return [];
        var now = Worst(rig, stock);
        var lets = Assessor.VerdictOf(rig, stock).Word == Verdict.LetsGo;
        List<ShakeChange> best = [.. Trials.Each(Candidates(rig, stock), c => Try(c.Rig, stock) is { Numbers: var n } words
                ? new ShakeChange(c.Id, c.Title, n[0].Pixels, n[1].Pixels, n[2].Pixels, words.Word, c.Rig) : null, stop, after: 1)
            .OrderBy(c => Math.Max(c.Shake, Math.Max(c.Smear, c.Wobble))).ThenBy(c => c.Id, StringComparer.Ordinal)
                .Where(c => Math.Max(c.Shake, Math.Max(c.Smear, c.Wobble)) < 0.9 * now || c.Smear < 0.7 * now).Take(8)];
        // What lets go for a picture is no help; a list of what stays unusable is none either.
        best = [.. Trials.Each(best, c => lets || Assessor.VerdictOf(c.Document, stock).Word != Verdict.LetsGo ? c : null, stop)];
        return best.TrueForAll(c => c.Word == Sharp.Unusable) ? [] : best;
    }

    private static double Worst(RigDocument rig, Catalogue stock) => Try(rig, stock)?.Numbers.Max(n => n.Pixels) ?? double.MaxValue;

    private static PictureWords? Try(RigDocument rig, Catalogue stock)
    {
        try
        {
            var model = new RigModel(rig, stock);
            return model.Mechanism is not null || model.Built.Findings.Any(f => f.Blocks) ? null : Shaker.Words(model);
        }
        catch (DocumentException)
        {
            return null; // The change does not fit this rig.
        }
    }

    internal static IEnumerable<(string Id, string Title, RigDocument Rig)> Candidates(RigDocument rig, Catalogue stock) =>
        // Where the host's own nodding is most of what is seen, nothing stiffer takes it away.
        (Try(rig, stock)?.Numbers.Any(n => n.Floor * n.Floor < 0.5 * n.Pixels * n.Pixels && n.Word is not (Sharp.Sharp or Sharp.Steady))
            == false
            ? [] : Stiffer(rig, stock)).Concat(Others(rig, stock));

    private static IEnumerable<(string Id, string Title, RigDocument Rig)> Stiffer(RigDocument rig, Catalogue stock)
    {
        foreach (var (id, title, changed) in Instead.Braces(rig, stock))
            yield return (id, title, changed);
        foreach (var (move, _, changed) in Moves.Of(rig, stock).Where(m => m.Move.Stiffens))
            yield return (move.Id, move.Title, changed);
    }

    private static IEnumerable<(string Id, string Title, RigDocument Rig)> Others(RigDocument rig, Catalogue stock)
    {
        foreach (var (move, _, changed) in Moves.Of(rig, stock).Where(m => !m.Move.Stiffens))
            yield return (move.Id, move.Title, changed);
        foreach (var c in Instead.Of(rig, "isolator", stock))
            yield return ("isolator-" + c.Id, c.Title, c.Changed);
        if (rig.Camera.Exposure > 1.0 / 400)
            yield return ("exposure", "A quarter of the exposure", rig with
            {
                Camera = rig.Camera with
                {
                    Exposure = rig.Camera.Exposure
                / 4
                }
            });
        var lens = stock.Find<LensRow>("lenses", rig.Camera.Lens);
        if (!lens.BuiltIn && stock.Lenses.Where(l => !l.BuiltIn && l.FocalLength < lens.FocalLength).MaxBy(l => l.FocalLength) is { } wider)
            yield return ("wider-lens", $"A wider lens: {wider.Name}",
                rig with { Camera = rig.Camera with { Lens = wider.Id, FocalLength = null, Mass = null, Worth = null } });
        if (rig.Run.Speed > 8)
            yield return ("slower", "A third slower", rig with { Run = rig.Run with { Speed = rig.Run.Speed * 2 / 3 } });
        if ((rig.Run.Rpm ?? HostLibrary.Find(rig.Host)!.Shake.Revolutions(rig.Run.Speed)) is > 0 and var rpm)
            foreach (var (id, title, times) in new[] { ("faster-engine", "A gear down, engine a third faster", 4.0 / 3), ("slower-engine", "A gear up, engine a quarter slower", 0.75) })
                yield return (id, title, rig with
                {
                    Run = rig.Run with
                    {
                        Rpm = Math.Round(rpm * times),
                        RpmTo = rig.Run.RpmTo is { } to
                    ? Math.Round(to * times) : null
                    }
                });
    }
}
