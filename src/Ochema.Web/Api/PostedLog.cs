using Microsoft.AspNetCore.Http.HttpResults;
using System.Reflection;
using System.Text;
using Microsoft.AspNetCore.Http.Features;
using Microsoft.AspNetCore.Http.Metadata;
using Microsoft.Net.Http.Headers;
using Ochema.Core.Json;
using Ochema.Core.Proving;

namespace Ochema.Web.Api;

/// <summary>
/// A recorder's log as it was sent: as text, read line by line while it comes, with its units in the query; or a small one within JSON, as
/// <see cref="LogRequest"/>.
/// </summary>
internal sealed class PostedLog : IBindableFromHttpContext<PostedLog>, IEndpointParameterMetadataProvider, IPosted
{
    private static readonly string[] Texts = ["text/csv", "text/plain", "text/tab-separated-values", "application/octet-stream"];

    private Posted<LogRequest>? within;
    private HttpRequest? request;

    public IResult? Refusal { get; private init; }

    /// <summary>The log.</summary>
    /// <exception cref="DocumentException">It is no log: where, and why.</exception>
    /// <param name="timeUnit">As the query says it; null to recognise it. Within JSON it stands beside the text.</param>
    /// <param name="accelerationUnit">The same.</param>
    public AccelerometerLog Read(string? timeUnit, string? accelerationUnit, CancellationToken stop)
    {
        if (within?.Read() is { } ask)
            return AccelerometerLog.Read(ask.Text, ask.TimeUnit, ask.AccelerationUnit);
        var (time, acceleration) = (Choice<LogTime>(nameof(timeUnit), timeUnit),
            Choice<LogAcceleration>(nameof(accelerationUnit), accelerationUnit));
        try
        {
            using var text = new StreamReader(request!.Body, new UTF8Encoding(false, throwOnInvalidBytes: true), true, 1 << 16, leaveOpen: true);
            return AccelerometerLog.Read(text, time, acceleration, stop);
        }
        catch (DecoderFallbackException)
        {
            throw new DocumentException("log", "is not UTF-8 text");
        }
    }

    /// <summary>A unit as a query says it; null for none.</summary>
    /// <exception cref="DocumentException">There is no such unit.</exception>
    internal static T? Choice<T>(string name, string? said)
        where T : struct
    {
        if (said is null)
            return null;
        try
        {
            return StrictJson.Read<T>(StrictJson.Write(said));
        }
        catch (DocumentException e)
        {
            throw new DocumentException(name, e.Reason);
        }
    }

    public static async ValueTask<PostedLog?> BindAsync(HttpContext context, ParameterInfo parameter)
    {
        var type = MediaTypeHeaderValue.TryParse(context.Request.ContentType, out var media) ? media.MediaType.Value : null;
        if (type is not null && Texts.Contains(type, StringComparer.OrdinalIgnoreCase))
        {
            // Read as it comes, by a reader that waits.
            context.Features.Get<IHttpBodyControlFeature>()?.AllowSynchronousIO = true;
            return new() { request = context.Request };
        }
        if (context.Request.ContentLength > Server.LargestRequest)
            return new() { Refusal = TooLarge() };
        if (context.Features.Get<IHttpMaxRequestBodySizeFeature>() is { IsReadOnly: false } size)
            size.MaxRequestBodySize = Server.LargestRequest;
        var posted = await Posted<LogRequest>.BindAsync(context, parameter);
        return posted?.Refusal is { } refusal ? new() { Refusal = refusal } : new() { within = posted };
    }

    private static ProblemHttpResult TooLarge() => Problems.Of(413, "Too large",
        $"Within JSON a log has {Server.LargestRequest >> 20} MB at the most: send it as text/csv, up to {Server.LargestLog >> 20} MB, "
            + $"its units in the "
            + "query.");

    /// <inheritdoc/>
    public static void PopulateMetadata(ParameterInfo parameter, EndpointBuilder builder) =>
        builder.Metadata.Add(new AcceptsMetadata(["application/json", .. Texts], typeof(LogRequest)));
}
