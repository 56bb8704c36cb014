using Ochema.Core;
using Ochema.Core.Assessment;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Structure;

namespace Ochema.Web.Api;

/// <summary>Stateless computing: a document goes in, answers come out.</summary>
internal static class ComputeApi
{
    public static void Map(IEndpointRouteBuilder app)
    {
        app.MapPost("/api/assess", Assess).Accepts<RigDocument>("application/json").Produces<AssessmentReport>().ProducesProblem(400);
        app.MapPost("/api/advice", Advice).Accepts<RigDocument>("application/json").Produces<IReadOnlyList<Change>>().ProducesProblem(400);
        app.MapPost("/api/schools", Schools).Accepts<RigDocument>("application/json").Produces<IReadOnlyList<School>>().ProducesProblem(400);
        app.MapPost("/api/alternatives", Alternatives).Accepts<AlternativesRequest>("application/json").Produces<IReadOnlyList<Change>>().ProducesProblem(400);
        app.MapPost("/api/model", Model).Accepts<RigDocument>("application/json").Produces<ModelDocument>().ProducesProblem(400);
    }

    private static Task<IResult> Assess(HttpRequest request, bool advice = true) => Answer(request, rig => Assessor.Assess(rig, Catalogue.Shipped, advice));

    private static Task<IResult> Advice(HttpRequest request) => Answer(request, rig => Adviser.Best(rig, Catalogue.Shipped));

    private static Task<IResult> Schools(HttpRequest request) => Answer(request, rig => Core.Assessment.Schools.Of(rig, Catalogue.Shipped));

    private static Task<IResult> Model(HttpRequest request, bool strapsAlone = false) => Answer(request, rig => RigModelDocument.Of(rig, Catalogue.Shipped, strapsAlone));

    private static Task<IResult> Alternatives(HttpRequest request) => Problems.Reading(request, body =>
    {
        var ask = StrictJson.Read<AlternativesRequest>(body);
        RigReader.Check(ask.Document, Catalogue.Shipped);
        return Task.FromResult(Results.Text(StrictJson.Write(Adviser.Alternatives(ask.Document, ask.Station, Catalogue.Shipped)), "application/json"));
    });

    private static Task<IResult> Answer<T>(HttpRequest request, Func<RigDocument, T> compute) => Problems.Reading(request, body =>
        // Written out here, so that a number that cannot be written is an answer too and not a broken response.
        Task.FromResult(Results.Text(StrictJson.Write(compute(RigReader.Read(body, Catalogue.Shipped))), "application/json")));
}
