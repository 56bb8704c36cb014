using Microsoft.AspNetCore.Mvc;
using Ochema.Core.Analysis;
using Ochema.Core.Assessment;
using Ochema.Core.Json;
using Ochema.Core.Proving;
using Ochema.Core.Rigs;
using Ochema.Core.Search;
using Ochema.Core.Sharpness;
using Ochema.Core.Stock;
using Ochema.Core.Structure;

namespace Ochema.Web.Api;

/// <summary>Stateless computing: a document goes in, answers come out.</summary>
internal static class ComputeApi
{
    public static void Map(IEndpointRouteBuilder app)
    {
        app.MapPost("/api/assess", Assess).Accepts<RigDocument>("application/json").Produces<AssessmentReport>().ProducesProblem(400);
        app.MapPost("/api/assess/drive", Drive).Accepts<RigDocument>("application/json").Produces<DriveReport>().ProducesProblem(400);
        app.MapPost("/api/advice", Advice).Accepts<RigDocument>("application/json").Produces<IReadOnlyList<Change>>().ProducesProblem(400);
        app.MapPost("/api/shake", Shake).Accepts<RigDocument>("application/json").Produces<ShakeReport>().ProducesProblem(400);
        app.MapPost("/api/shake/advice", ShakeAdvice).Accepts<RigDocument>("application/json").Produces<IReadOnlyList<ShakeChange>>().ProducesProblem(400);
        app.MapPost("/api/shake/isolators", Isolators).Accepts<RigDocument>("application/json").Produces<IReadOnlyList<IsolatorChoice>>().ProducesProblem(400);
        app.MapPost("/api/tap/read", ReadLog).WithMetadata(new RequestSizeLimitAttribute(Server.LargestLog))
            .Accepts<LogRequest>("application/json").Produces<LogReport>().ProducesProblem(400);
        app.MapPost("/api/tap/simulate", SimulateTap).Accepts<RigDocument>("application/json").Produces<LogText>().ProducesProblem(400);
        app.MapPost("/api/tap/calibrate", Calibrate).Accepts<CalibrateRequest>("application/json").Produces<Calibration>().ProducesProblem(400);
        app.MapPost("/api/schools", Schools).Accepts<RigDocument>("application/json").Produces<IReadOnlyList<School>>().ProducesProblem(400);
        app.MapPost("/api/alternatives", Alternatives).Accepts<AlternativesRequest>("application/json").Produces<IReadOnlyList<Change>>().ProducesProblem(400);
        app.MapPost("/api/straps", Straps).Accepts<StrapsRequest>("application/json").Produces<IReadOnlyList<StrapEnd>>().ProducesProblem(400);
        app.MapPost("/api/inverse", Inverse).Accepts<InverseRequest>("application/json").Produces<IReadOnlyList<InverseAnswer>>().ProducesProblem(400);
        app.MapPost("/api/relocate", Relocate).Accepts<RelocateRequest>("application/json").Produces<RelocatedRig>().ProducesProblem(400);
        app.MapPost("/api/model", Model).Accepts<RigDocument>("application/json").Produces<ModelDocument>().ProducesProblem(400);
    }

    private static Task<IResult> Assess(HttpRequest request, Designs designs, bool advice = true) => Answer(request, (rig, stock, _) =>
    {
        if (advice)
            return Adviser.Assess(rig, stock);
        var design = new Design(rig, stock);
        var report = design.Whole();
        designs.Keep(rig, design);
        return report;
    });

    private static Task<IResult> Drive(HttpRequest request, Designs designs) => Answer(request, (rig, stock, _) => designs.Drive(rig, stock));

    private static Task<IResult> Advice(HttpRequest request) => Answer(request, (rig, stock, stop) => Adviser.Best(rig, stock, stop));

    private static Task<IResult> Shake(HttpRequest request) => Answer(request, (rig, stock, _) => Shaker.Of(rig, stock));

    private static Task<IResult> ShakeAdvice(HttpRequest request) =>
        Answer(request, (rig, stock, stop) => Core.Search.ShakeAdvice.Of(rig, stock, stop));

    private static Task<IResult> Isolators(HttpRequest request) => Answer(request, (rig, stock, stop) => IsolatorSearch.Of(rig, stock, stop));

    private static Task<IResult> ReadLog(HttpRequest request) => Problems.Reading(request, body =>
    {
        var ask = StrictJson.Read<LogRequest>(body);
        return Written(TapTest.Read(ask.Text, ask.TimeUnit, ask.AccelerationUnit));
    });

    private static Task<IResult> SimulateTap(HttpRequest request, int seed = 1) =>
        Answer(request, (rig, stock, _) => new LogText(TapTest.Simulate(rig, stock, seed)));

    private static Task<IResult> Calibrate(HttpRequest request, TimeProvider clock) => Problems.Reading(request, body =>
    {
        var ask = RigReader.Parse<CalibrateRequest>(body);
        var stock = Stocked(ask.Document);
        var day = clock.GetLocalNow().ToString("yyyy-MM-dd", System.Globalization.CultureInfo.InvariantCulture);
        return Written(TapTest.Calibrate(ask.Document, stock, ask.Frequency, ask.Damping, day, ask.Axis));
    });

    private static Task<IResult> Schools(HttpRequest request) => Answer(request, (rig, stock, stop) => Core.Search.Schools.Of(rig, stock, stop));

    private static Task<IResult> Model(HttpRequest request, bool strapsAlone = false) =>
        Answer(request, (rig, stock, _) => RigModelDocument.Of(rig, stock, strapsAlone));

    private static Task<IResult> Alternatives(HttpRequest request) => Problems.Reading(request, body =>
    {
        var ask = RigReader.Parse<AlternativesRequest>(body);
        var stock = Stocked(ask.Document);
        return Written(Adviser.Alternatives(ask.Document, ask.Station, stock, Stop(request)));
    });

    private static Task<IResult> Straps(HttpRequest request) => Problems.Reading(request, body =>
    {
        var ask = RigReader.Parse<StrapsRequest>(body);
        var stock = Stocked(ask.Document);
        if (!(ask.Pretension >= StrapEnds.Pretension.Minimum && ask.Pretension <= StrapEnds.Pretension.Maximum))
            throw new DocumentException("pretension", $"is not between {StrapEnds.Pretension.Minimum:0} and {StrapEnds.Pretension.Maximum:0} N");
        return Written(StrapEnds.Of(ask.Document, ask.Pretension, stock, Stop(request)));
    });

    private static Task<IResult> Relocate(HttpRequest request) => Problems.Reading(request, body =>
    {
        var ask = RigReader.Parse<RelocateRequest>(body);
        RigReader.Check(ask.Document, Catalogue.Shipped);
        return Written(Relocation.To(ask.Document, ask.Host, ask.Site));
    });

    private static Task<IResult> Inverse(HttpRequest request) => Problems.Reading(request, body =>
    {
        var ask = RigReader.Parse<InverseRequest>(body);
        var stock = Stocked(ask.Document);
        if (ask.AtMost is not (>= 0.2 and <= 1))
            throw new DocumentException("atMost", "is not between 0.2 and 1");
        return Written(Core.Search.Inverse.Of(ask.Document, stock, ask.AtMost, Stop(request)));
    });

    /// <summary>Reads a rig and computes with what ships and its own rows.</summary>
    private static Task<IResult> Answer<T>(HttpRequest request, Func<RigDocument, Catalogue, CancellationToken, T> compute) =>
        Problems.Reading(request, body =>
        {
            var rig = RigReader.Read(body, Catalogue.Shipped);
            return Written(compute(rig, Catalogue.Shipped.With(rig.Stock), Stop(request)));
        });

    /// <summary>Checks a document; what ships and its own rows.</summary>
    private static Catalogue Stocked(RigDocument rig)
    {
        RigReader.Check(rig, Catalogue.Shipped);
        return Catalogue.Shipped.With(rig.Stock);
    }

    /// <summary>Set when whoever asked has gone on.</summary>
    private static CancellationToken Stop(HttpRequest request) => request.HttpContext.RequestAborted;

    /// <summary>Written out here, so that a number that cannot be written is an answer too and not a broken response.</summary>
    private static Task<IResult> Written<T>(T value) => Task.FromResult(Results.Text(StrictJson.Write(value), "application/json"));
}
