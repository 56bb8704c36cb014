using System.Text;
using Ochema.Core.Assessment;
using Ochema.Core.Json;
using Ochema.Core.Stock;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Assessment;

/// <summary>A design that is kept answers another speed as the whole computation would.</summary>
public sealed class DesignTests
{
    private static readonly Catalogue Stock = Catalogue.Shipped;

    public static TheoryData<string> Names => RigFiles.Names;

    [Theory, MemberData(nameof(Names))]
    public void AnotherSpeedIsAnsweredAsTheWholeComputationWould(string name)
    {
        var rig = RigFiles.Named(name);
        var design = new Design(rig, Stock);
        design.Whole();
        // There, beyond and back: nothing of one question is left in the next.
        foreach (var share in new[] { 1.2, 0.35, 1.0 })
        {
            var speed = Math.Min(share * rig.Run.Speed, 0.99 * Core.Hosts.HostLibrary.Find(rig.Host)!.Drive.Top);
            var whole = Assessor.Assess(rig with { Run = rig.Run with { Speed = speed } }, Stock);
            if (design.At(speed) is not { } drive)
                continue;
            Assert.Equal((whole.Verdict.Word, whole.Verdict.Why), (drive.Verdict.Word, drive.Verdict.Why));
            Near.Share(whole.Verdict.Use, drive.Verdict.Use, 1e-9);
            Assert.Equal(whole.Verdict.LimitSpeed ?? -1, drive.Verdict.LimitSpeed ?? -1, 1e-3 * (1 + (whole.Verdict.LimitSpeed ?? 0)));
            Assert.Equal(whole.Stations.Select(s => s.Id), drive.Stations.Select(s => s.Id));
            foreach (var (a, b) in whole.Stations.Zip(drive.Stations))
                Near.Share(a.Use, b.Use, 1e-9);
            Assert.Equal(whole.Checks.Select(c => c.Id).Order(), drive.Checks.Select(c => c.Id).Order());
            var uses = drive.Checks.ToDictionary(c => c.Id);
            Assert.All(whole.Checks, c => Near.Share(c.Use, uses[c.Id].Use, 1e-9));
            Assert.Equal(whole.LetGo.Select(l => (l.Id, l.Verdict)), drive.LetGo.Select(l => (l.Id, l.Verdict)));
            foreach (var (a, b) in whole.LetGo.Zip(drive.LetGo))
                Near.Share(a.Use, b.Use, 1e-9);
            foreach (var (a, b) in whole.Sharpness.Numbers.Zip(drive.Sharpness.Numbers))
                Near.Share(a.Pixels, b.Pixels, 1e-9);
            Assert.Equal(whole.Retentions.Select(r => r.Has), drive.Retentions.Select(r => r.Has));
            Assert.Equal(whole.Findings.Select(f => f.Text).Order(), drive.Findings.Select(f => f.Text).Order());
            Assert.True(Encoding.UTF8.GetByteCount(StrictJson.Write(drive)) <= 20_000,
                $"{name}: {Encoding.UTF8.GetByteCount(StrictJson.Write(drive))} bytes");
        }
    }

    [Fact]
    public void TheSameQuestionHasTheSameAnswer()
    {
        var rig = RigFiles.Named("3-roof-road-ahead");
        var design = new Design(rig, Stock);
        var first = StrictJson.Write(design.At(21));
        design.At(40);
        Assert.Equal(first, StrictJson.Write(design.At(21)));
    }

    [Fact]
    public void ADesignIsTheSameAtAnySpeedAndUnderAnyName()
    {
        var rig = RigFiles.Named("3-roof-road-ahead");
        Assert.Equal(Design.KeyOf(rig), Design.KeyOf(rig with { Name = "Another", Notes = "of it", Run = rig.Run with { Speed = 12 } }));
        Assert.NotEqual(Design.KeyOf(rig), Design.KeyOf(rig with { Run = rig.Run with { HeadWind = 3 } }));
        Assert.NotEqual(Design.KeyOf(rig), Design.KeyOf(rig with { At = [0.1, 0] }));
    }

    [Fact]
    public async Task AskedFromSeveralSidesItAnswersOneAfterTheOther()
    {
        var design = new Design(RigFiles.Named("4-sidecar-face"), Stock);
        double[] speeds = [6, 11, 17, 23, 29];
        var alone = speeds.Select(v => StrictJson.Write(design.At(v))).ToArray();
        var together = await Task.WhenAll(speeds.Select(v => Task.Run(() => StrictJson.Write(design.At(v)))));
        Assert.Equal(alone, together);
    }
}
