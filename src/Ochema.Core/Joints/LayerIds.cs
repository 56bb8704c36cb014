namespace Ochema.Core.Joints;

/// <summary>Names layers by what they are, so that what was said of one stays with it: "plate", "washer", "washer-2".</summary>
internal static class LayerIds
{
    public static IReadOnlyList<StackLayer> Of(IReadOnlyList<StackLayer> layers)
    {
        var seen = new Dictionary<string, int>();
        return [.. layers.Select(l =>
        {
            var plain = string.Join('-', string.Concat(l.Name.ToLowerInvariant().Select(c => char.IsAsciiLetterOrDigit(c) ? c : ' '))
                .Split(' ', StringSplitOptions.RemoveEmptyEntries));
            var n = seen[plain] = seen.GetValueOrDefault(plain) + 1;
            return l with { Id = n == 1 ? plain : $"{plain}-{n}" };
        })];
    }
}
