using System.Reflection;
using System.Text;
using Microsoft.AspNetCore.Http.Metadata;
using Microsoft.Net.Http.Headers;
using Ochema.Core.Json;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;

namespace Ochema.Web.Api;

/// <summary>A request that is about a rig.</summary>
public interface IAboutRig
{
    RigDocument Document { get; }
}

/// <summary>
/// What was sent: JSON in UTF-8, read when it is asked for, strictly. What cannot be read is answered by <see cref="Problems.Answering"/>.
/// </summary>
/// <typeparam name="T">A rig document, a request, or a list's row as text.</typeparam>
internal sealed class Posted<T>(string text) : IBindableFromHttpContext<Posted<T>>, IEndpointParameterMetadataProvider, IPosted
{
    /// <summary>As it was sent.</summary>
    public string Text => text;

    /// <summary>Why it is not even text; null when it is.</summary>
    public IResult? Refusal { get; private init; }

    /// <summary>The document or request; a rig, or the rig that a request is about, is checked too.</summary>
    /// <exception cref="DocumentException">It cannot be read: where, and why.</exception>
    public T Read()
    {
        var rigged = typeof(T) == typeof(RigDocument) || typeof(IAboutRig).IsAssignableFrom(typeof(T));
        return rigged ? Upgrades.AsWritten(text, typeof(T) == typeof(RigDocument) ? "" : Within, Rigged) : StrictJson.Read<T>(text);
    }

    /// <summary>Where a request has its rig.</summary>
    private const string Within = "document.";

    private T Rigged()
    {
        var value = RigReader.Parse<T>(text);
        if (value is RigDocument rig)
            RigReader.Check(rig, Catalogue.Shipped);
        if (value is IAboutRig about)
            CheckWithin(Within, about.Document);
        return value;
    }

    /// <summary>What is wrong inside is said with the path to it.</summary>
    private static void CheckWithin(string prefix, RigDocument document)
    {
        try
        {
            RigReader.Check(document, Catalogue.Shipped);
        }
        catch (DocumentException e)
        {
            throw new DocumentException(prefix + e.Path, e.Reason);
        }
    }

    public static async ValueTask<Posted<T>?> BindAsync(HttpContext context, ParameterInfo parameter)
    {
        if (context.Request.ContentType is { Length: > 0 } type && !Json(type))
            return new("") { Refusal = Problems.NotJson() };
        try
        {
            using var memory = new MemoryStream();
            await context.Request.Body.CopyToAsync(memory, context.RequestAborted);
            return new(new UTF8Encoding(false, throwOnInvalidBytes: true).GetString(memory.GetBuffer(), 0, (int)memory.Length)
                .TrimStart('\ufeff'));
        }
        catch (DecoderFallbackException)
        {
            return new("") { Refusal = Problems.BadDocument(new DocumentException("", "is not UTF-8 text")) };
        }
        catch (BadHttpRequestException e)
        {
            return new("") { Refusal = Problems.Of(e.StatusCode, "The request cannot be read", e.Message) };
        }
    }

    /// <summary>It says what it takes, so that no list of routes has to.</summary>
    public static void PopulateMetadata(ParameterInfo parameter, EndpointBuilder builder) =>
        builder.Metadata.Add(new AcceptsMetadata(["application/json"], typeof(T) == typeof(string) ? typeof(object) : typeof(T)));

    private static bool Json(string type) => MediaTypeHeaderValue.TryParse(type, out var media)
        && (media.MediaType.Equals("application/json", StringComparison.OrdinalIgnoreCase)
            || media.Suffix.Equals("json", StringComparison.OrdinalIgnoreCase))
        && (!media.Charset.HasValue || media.Charset.Value.Trim('"').Equals("utf-8", StringComparison.OrdinalIgnoreCase));
}

/// <summary>Something sent, whatever it is of.</summary>
internal interface IPosted
{
    IResult? Refusal { get; }
}
