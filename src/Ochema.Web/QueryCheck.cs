using System.Collections.Concurrent;
using System.Globalization;
using System.Reflection;
using Ochema.Core.Json;
using Ochema.Web.Api;

namespace Ochema.Web;

/// <summary>
/// What stands behind the question mark is held to what a resource takes, as documents are: nothing unknown, nothing twice, nothing
/// missing, and each mistake told with its name.
/// </summary>
internal sealed class QueryCheck(RequestDelegate next)
{
    private static readonly ConcurrentDictionary<Endpoint, IReadOnlyDictionary<string, Taken>> Known = new();

    /// <summary>A value that a resource takes.</summary>
    /// <param name="Wrong">Why a text is none; null where it is.</param>
    private sealed record Taken(Func<string, string?> Wrong, bool Needed);

    public Task InvokeAsync(HttpContext context)
    {
        if (context.Request.Path.StartsWithSegments("/api") && context.GetEndpoint() is RouteEndpoint endpoint
            && endpoint.Metadata.GetMetadata<MethodInfo>() is { } method
            && Mistake(Known.GetOrAdd(endpoint, _ => Of(endpoint, method)), context.Request.Query) is { } mistake)
            return Problems.BadDocument(mistake).ExecuteAsync(context);
        return next(context);
    }

    private static DocumentException? Mistake(IReadOnlyDictionary<string, Taken> known, IQueryCollection query)
    {
        foreach (var (name, values) in query)
            if (!known.TryGetValue(name, out var taken))
                return new(name, known.Count == 0 ? "is not known here: nothing is asked behind the question mark"
                    : $"is not known here; known: {string.Join(", ", known.Keys)}");
            else if (values.Count > 1)
                return new(name, "is given twice");
            else if (taken.Wrong(values.ToString()) is { } wrong)
                return new(name, wrong);
        return known.FirstOrDefault(k => k.Value.Needed && !query.ContainsKey(k.Key)) is { Key: { } missing } ? new(missing, "is missing")
            : null;
    }

    private static Dictionary<string, Taken> Of(RouteEndpoint endpoint, MethodInfo method)
    {
        var nullable = new NullabilityInfoContext();
        return method.GetParameters().Where(p => endpoint.RoutePattern.Parameters.All(r => r.Name != p.Name) && Reads(p.ParameterType)
            is not null)
            .ToDictionary(p => p.Name!, p => new Taken(Reads(p.ParameterType)!,
                !p.HasDefaultValue && Nullable.GetUnderlyingType(p.ParameterType) is null && nullable.Create(p).WriteState
                    != NullabilityState.Nullable));
    }

    /// <summary>Why a text is no value of a type; null for a type that is not read from the query.</summary>
    private static Func<string, string?>? Reads(Type type)
    {
        var of = Nullable.GetUnderlyingType(type) ?? type;
        return of == typeof(string) ? _ => null
            : of == typeof(bool) ? t => bool.TryParse(t, out _) ? null : "is neither true nor false"
            : of == typeof(int) ? t => int.TryParse(t, NumberStyles.Integer, CultureInfo.InvariantCulture, out _) ? null
                : "is not a whole number"
            : of == typeof(double) ? t => double.TryParse(t, NumberStyles.Float, CultureInfo.InvariantCulture, out var v)
                && double.IsFinite(v)
                ? null : "is not a number"
            : null;
    }
}
