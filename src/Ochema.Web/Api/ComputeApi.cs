using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;
using Ochema.Core.Analysis;
using Ochema.Core.Assessment;
using Ochema.Core.Json;
using Ochema.Core.Kinds;
using Ochema.Core.Making;
using Ochema.Core.Proving;
using Ochema.Core.Quantities;
using Ochema.Core.Rigs;
using Ochema.Core.Search;
using Ochema.Core.Sharpness;
using Ochema.Core.Stock;
using Ochema.Core.Structure;
using Ochema.Core.Structure.Lines;
using Ochema.Paper;
using Ochema.Web.Phone;

namespace Ochema.Web.Api;

/// <summary>Stateless computing: a document goes in, answers come out. Searches stop when whoever asked has gone on.</summary>
internal static class ComputeApi
{
    public static void Map(RouteGroupBuilder api)
    {
        var assess = api.MapGroup("/assess");
        assess.MapPost("/", Assess).Refuses(400).Named("assess", "All answers for a rig: what it is, and what it does at its speed.");
        assess.MapPost("/drive", Drive).Refuses(400, 404)
            .Named("drive", "What a rig that was assessed does at another speed, by the id of its design.");
        assess.MapPost("/working", Working).Refuses(400, 404).Named("getWorking", "The working of one check, with what loads its joint.");
        api.MapPost("/advice", (Posted<RigDocument> rig, CancellationToken stop) => Of(rig, (r, stock) => Adviser.Best(r, stock, stop)))
            .Refuses(400)
            .Named("advise", "The best single changes, each tried: what it gains and what it trades.");
        api.MapPost("/goal", (Posted<RigDocument> rig, CancellationToken stop, bool sharp = true) =>
            Of(rig, (r, stock) =>
            {
                Asked.By(stop, TimeLimit.Asking);
                return GoalSearch.Of(r, stock, sharp, stop);
            }))
            .Refuses(400)
            .Named("reachGoal", "The smallest set of up to three changes that reaches the speed of the document, sharp where that is asked.");
        api.MapPost("/schools", (Posted<RigDocument> rig, CancellationToken stop) => Of(rig, (r, stock) => Schools.Of(r, stock, stop)))
            .Refuses(400)
            .Named("compareSchools", "Two ways to build it, each judged.");
        api.MapPost("/alternatives", Alternatives).Refuses(400)
            .Named("listAlternatives", "The other kinds and sizes for one station, each computed.");
        api.MapPost("/straps", Straps).Refuses(400).Named("tryStraps", "One more strap to each closed point, tried, or why not.");
        api.MapPost("/inverse", Inverse).Refuses(400).Named("inverse", "What sizes, weights and holds stay within a use.");
        api.MapPost("/relocate", Relocate).Refuses(400)
            .Named("relocate", "A rig taken to another place, and what has to be measured there.");
        api.MapPost("/rod", (Posted<RodRequest> posted) =>
        {
            var ask = posted.Read();
            return Answer.Of(new RodRig(RodLength.With(RigAssembly.Build(ask.Document, Stock(ask.Document)), ask.Brace, ask.Length)));
        }).Refuses(400).Named("setRod", "The rig with a strut’s foot where its rod has a length.");
        api.MapPost("/model", (Posted<RigDocument> rig, bool strapsAlone = false) =>
            Of(rig, (r, stock) => RigModelDocument.Of(r, stock, strapsAlone)))
            .Refuses(400).Named("solveModel", "The frame of a rig with its cases, solved.");
        api.MapPost("/hang", (Posted<HangTask> posted) =>
        {
            var task = posted.Read();
            HangTaskReader.Check(task);
            return Answer.Of(HangingNet.Solve(task));
        }).Refuses(400).Named("hangNet", "A net of ropes, hung.");
        var make = api.MapGroup("/make");
        make.MapPost("/", Make).Refuses(400).Named("makePlan", "Parts, cuts, holes and steps of a rig.");
        make.MapPost("/built", (Posted<BuiltRequest> posted) =>
        {
            var ask = posted.Read();
            return Answer.Of(new RigAsBuilt(AsBuilt.Put(ask.Document, Stock(ask.Document), ask.Path, ask.Value, ask.On)));
        }).Refuses(400).Named("putBuilt", "The rig with what came out otherwise at the bench.");
        make.MapPost("/did", (Posted<DidRequest> posted) =>
        {
            var ask = posted.Read();
            return Answer.Of(new BuiltAnswer(AsBuilt.Did(ask.Document, Stock(ask.Document), ask.Paths)));
        }).Refuses(400).Named("didBuilt", "What building it otherwise did to the verdict.");
        make.MapPost("/template", TemplateFile).Produces<string>(contentType: "image/svg+xml").Refuses(400, 404)
            .Named("getTemplate", "A flat piece at 1:1, or as a body.");
        make.MapPost("/paper", Paper).Produces<string>(contentType: "application/pdf").Refuses(400, 404)
            .Named("printPaper", "Plan, cuts, templates or measuring sheet as PDF.");
        var shake = api.MapGroup("/shake");
        shake.MapPost("/", (Posted<RigDocument> rig) => Of(rig, Shaker.Of)).Refuses(400)
            .Named("shake", "The picture in pixels, spectra and modes.");
        shake.MapPost("/advice", (Posted<RigDocument> rig, CancellationToken stop) => Of(rig, (r, stock) => ShakeAdvice.Of(r, stock, stop)))
            .Refuses(400)
            .Named("adviseShake", "Changes that make the picture sharper, each tried.");
        shake.MapPost("/isolators", (Posted<RigDocument> rig, CancellationToken stop) =>
            Of(rig, (r, stock) => IsolatorSearch.Of(r, stock, stop)))
            .Refuses(400).Named("listIsolators", "Soft mounts, each tried.");
        var tap = api.MapGroup("/tap");
        tap.MapPost("/read", (PostedLog log, Logs logs, CancellationToken stop, string? timeUnit = null, string? accelerationUnit = null) =>
            Answer.Of(logs.Keep(log.Read(timeUnit, accelerationUnit, stop))))
            .WithMetadata(new RequestSizeLimitAttribute(Server.LargestLog)).Refuses(400, 413)
            .OpenToPhones().Named("readLog", "Reads a log of a phone: its spectrum and peaks.");
        tap.MapGet("/logs/{id}", LogAgain).Refuses(400, 404).Named("readLogAgain",
            "A log that was sent before, its numbers taken in other units.");
        tap.MapPost("/simulate", (Posted<RigDocument> rig, int seed = 1) =>
            Of(rig, (r, stock) => new LogText(TapTest.Simulate(r, stock, seed)))).Refuses(400)
            .Named("simulateTap", "A tap test as the model would answer it, as a log.");
        tap.MapPost("/calibrate", Calibrate).Refuses(400).Named("calibrate", "The rig with its place as stiff as the tap test heard.");
    }

    /// <summary>All answers; without workings they are asked for one by one.</summary>
    /// <param name="letGo">The let-go case whose shape is wanted.</param>
    private static Answer<RigAnswer> Assess(Posted<RigDocument> posted, Designs designs, bool advice = true, bool workings = true,
        string letGo = Design.Intact) =>
        Of(posted, (rig, stock) =>
        {
            RigAnswer answer;
            using (EditsFirst.Judged())
                answer = designs.Answer(rig, stock, workings, letGo);
            return advice ? answer with { Advice = Adviser.Best(rig, stock) } : answer;
        });

    /// <summary>What a design that was answered before does at another speed: the rig is not sent again.</summary>
    private static Results<Answer<DriveReport>, ProblemHttpResult> Drive(Posted<DriveRequest> posted, Designs designs)
    {
        var ask = posted.Read();
        using var edit = EditsFirst.Judged();
        return designs.Drive(ask.Design, ask.Speed, ask.LetGo) is { } drive ? Answer.Of(drive)
            : Problems.NotFound("This design is not kept any more: send the rig.");
    }

    private static Results<Answer<CheckWorking>, ProblemHttpResult> Working(Posted<RigDocument> posted, string check, Designs designs)
    {
        var rig = posted.Read();
        return designs.Working(rig, Stock(rig), check) is { } working
            ? Answer.Of(working) : Problems.NotFound($"This rig has no check '{check}'.");
    }

    private static Answer<MakeReport> Make(Posted<RigDocument> posted, double? kerf = null, double? squaring = null, string? now = null,
        int offset = 0)
    {
        DateTime? clock = now is null ? null : Made.TimeOf(now) ?? throw new DocumentException("now", "is no time as 2026-05-01T14:30:00Z");
        if (Math.Abs(offset) > MostOffset)
            throw new DocumentException("offset", $"is not between -{MostOffset} and {MostOffset} minutes");
        if (kerf is { } cut && !(cut >= 0 && cut <= BarCuts.WidestKerf))
            throw new DocumentException("kerf", $"is not between 0 and {BarCuts.WidestKerf * 1000:0} mm");
        if (squaring is { } off && !(off >= 0 && off <= BarCuts.LongestSquaring))
            throw new DocumentException("squaring", $"is not between 0 and {BarCuts.LongestSquaring * 1000:0} mm");
        return Of(posted, (rig, stock) => Maker.Of(rig, stock, kerf, squaring, clock,
            clock?.ToUniversalTime().AddMinutes(offset).TimeOfDay.TotalSeconds));
    }

    /// <summary>Minutes that a clock is ahead of or behind universal time at the most.</summary>
    private const int MostOffset = 14 * 60;

    /// <summary>A flat piece at 1:1 as a file, or it or a plug as a body to print.</summary>
    private static Results<FileContentHttpResult, ProblemHttpResult> TemplateFile(
        Posted<RigDocument> posted, string part, string format = "svg")
    {
        var rig = posted.Read();
        if (!Enum.TryParse<TemplateFormat>(format, ignoreCase: true, out var written) || !Enum.IsDefined(written))
            throw new DocumentException("format", "is not svg, dxf or stl");
        var report = Maker.Of(rig, Stock(rig));
        if (written == TemplateFormat.Stl && report.Plugs.FirstOrDefault(p => p.Part == part) is { } plug)
            return TypedResults.File(SolidFile.Stl(Solid.Of(plug)), "model/stl", TemplateFiles.FileName(plug.Station, plug.Name, written));
        if (report.Prints.FirstOrDefault(t => t.Part == part) is not { } template)
            return Problems.NotFound($"This rig has no flat piece '{part}'.");
        if (written == TemplateFormat.Stl && !template.Flat)
            return Problems.NotFound($"'{part}' is no body: it is printed on paper.");
        if (written == TemplateFormat.Stl)
            return TypedResults.File(SolidFile.Stl(Solid.Of(template)), "model/stl", TemplateFiles.FileName(template, written));
        var (text, type) = written == TemplateFormat.Dxf ? (TemplateFiles.Dxf(template), "image/vnd.dxf")
            : (TemplateFiles.Svg(template), "image/svg+xml");
        return TypedResults.File(System.Text.Encoding.UTF8.GetBytes(text), type, TemplateFiles.FileName(template, written));
    }

    /// <summary>The plan, the flat pieces at 1:1 or the measuring sheet, to print.</summary>
    /// <param name="what">plan, templates or sheet.</param>
    /// <param name="paper">a4 or letter.</param>
    /// <param name="units">metric or inch.</param>
    /// <param name="part">One flat piece alone.</param>
    private static Results<FileContentHttpResult, ProblemHttpResult> Paper(
        Posted<RigDocument> posted, Designs designs, string what = "plan", string paper = "a4", string units = "metric",
            string? part = null)
    {
        var rig = posted.Read();
        var size = PaperSize.Of(paper) ?? throw new DocumentException("paper", "is not a4 or letter");
        var system = units switch
        {
            "metric" => UnitSystem.Metric,
            "inch" => UnitSystem.Inch,
            _ => throw new DocumentException("units", "is not metric or inch"),
        };
        var stock = Stock(rig);
        var (verdict, figure) = designs.Printed(rig, stock);
        var report = Maker.Judged(Maker.Of(rig, stock), verdict);
        var file = what switch
        {
            "plan" => PlanPaper.Of(rig.Name, report, size, system, figure),
            "templates" => TemplatePaper.Of(rig.Name, report, size, system, part),
            "cuts" => PlanPaper.OfCuts(rig.Name, report, size, system),
            "sheet" => MeasuringPaper.Of(rig.Name, rig.Site.Name, report, size, system),
            _ => throw new DocumentException("what", "is not plan, cuts, templates or sheet"),
        };
        return file is null
            ? Problems.NotFound(part is null ? "There is nothing of this rig to print there." : $"This rig has no flat piece '{part}'.")
            : TypedResults.File(file, "application/pdf", $"{what}.pdf");
    }

    private static Results<Answer<KeptLog>, ProblemHttpResult> LogAgain(string id, Logs logs, string? timeUnit = null,
        string? accelerationUnit = null)
    {
        try
        {
            var (time, acceleration) = (PostedLog.Choice<LogTime>(nameof(timeUnit), timeUnit),
                PostedLog.Choice<LogAcceleration>(nameof(accelerationUnit), accelerationUnit));
            return logs.Read(id, time, acceleration) is { } log ? Answer.Of(log)
                : Problems.NotFound("This log is not kept any more: send it again.");
        }
        catch (DocumentException e)
        {
            return Problems.BadDocument(e);
        }
    }

    private static Answer<Calibration> Calibrate(Posted<CalibrateRequest> posted, TimeProvider clock)
    {
        var ask = posted.Read();
        var day = Taken.DayOf(DateOnly.FromDateTime(clock.GetLocalNow().DateTime));
        return Answer.Of(TapTest.Calibrate(ask.Document, Stock(ask.Document), ask.Frequency, ask.Damping, day, ask.Axis));
    }

    private static Answer<IReadOnlyList<Change>> Alternatives(Posted<AlternativesRequest> posted, CancellationToken stop)
    {
        var ask = posted.Read();
        return Answer.Of(Adviser.Alternatives(ask.Document, ask.Station, Stock(ask.Document), stop));
    }

    private static Answer<IReadOnlyList<StrapEnd>> Straps(Posted<StrapsRequest> posted, CancellationToken stop)
    {
        var ask = posted.Read();
        if (!(ask.Pretension >= StrapEnds.Pretension.Minimum && ask.Pretension <= StrapEnds.Pretension.Maximum))
            throw new DocumentException("pretension",
                $"is not between {StrapEnds.Pretension.Minimum:0} and {StrapEnds.Pretension.Maximum:0} N");
        return Answer.Of(StrapEnds.Of(ask.Document, ask.Pretension, Stock(ask.Document), stop));
    }

    private static Answer<RelocatedRig> Relocate(Posted<RelocateRequest> posted)
    {
        var ask = posted.Read();
        return Answer.Of(Moved.To(ask.Document, ask.Host, ask.Site, Stock(ask.Document)));
    }

    private static Answer<IReadOnlyList<InverseAnswer>> Inverse(Posted<InverseRequest> posted, CancellationToken stop)
    {
        var ask = posted.Read();
        if (ask.AtMost is not (>= 0.2 and <= 1))
            throw new DocumentException("atMost", "is not between 0.2 and 1");
        return Answer.Of(Core.Search.Inverse.Of(ask.Document, Stock(ask.Document), ask.AtMost, stop));
    }

    /// <summary>Reads a rig and computes with what ships and its own rows.</summary>
    private static Answer<T> Of<T>(Posted<RigDocument> posted, Func<RigDocument, Catalogue, T> compute)
    {
        var rig = posted.Read();
        return Answer.Of(compute(rig, Stock(rig)));
    }

    /// <summary>What ships and the rig's own rows.</summary>
    private static Catalogue Stock(RigDocument rig) => Catalogue.Shipped.With(rig.Stock);
}
