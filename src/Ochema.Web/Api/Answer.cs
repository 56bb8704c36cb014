using System.Reflection;
using Microsoft.AspNetCore.Http.Metadata;
using Ochema.Core.Json;

namespace Ochema.Web.Api;

/// <summary>
/// An answer in JSON, as documents are written. It is written out before anything is sent, so that a number that cannot be written is an
/// answer too and not a broken response.
/// </summary>
/// <typeparam name="T">As the API describes it.</typeparam>
/// <param name="json">The text.</param>
internal sealed class Answer<T>(string json) : IResult, IEndpointMetadataProvider
{
    public Task ExecuteAsync(HttpContext httpContext) => Results.Text(json, "application/json").ExecuteAsync(httpContext);

    public static void PopulateMetadata(MethodInfo method, EndpointBuilder builder) => Answer.Says<T>(builder, StatusCodes.Status200OK);
}

/// <summary>Something was made: its answer, with 201.</summary>
internal sealed class Made<T>(string json) : IResult, IEndpointMetadataProvider
{
    public Task ExecuteAsync(HttpContext httpContext) =>
        Results.Text(json, "application/json", statusCode: StatusCodes.Status201Created).ExecuteAsync(httpContext);

    public static void PopulateMetadata(MethodInfo method, EndpointBuilder builder) =>
        Answer.Says<T>(builder, StatusCodes.Status201Created);
}

/// <summary>Makes answers.</summary>
internal static class Answer
{
    public static Answer<T> Of<T>(T value) => new(StrictJson.Write(value));

    /// <summary>What is sent in another shape than it is described in.</summary>
    public static Answer<T> As<T>(object value) => new(StrictJson.Write(value));

    public static Made<T> MadeAs<T>(object value) => new(StrictJson.Write(value));

    internal static void Says<T>(EndpointBuilder builder, int status) =>
        builder.Metadata.Add(new ProducesResponseTypeMetadata(status, typeof(T), ["application/json"]));
}
