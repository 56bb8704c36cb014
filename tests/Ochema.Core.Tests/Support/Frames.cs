using Ochema.Core.Structure;

namespace Ochema.Core.Tests.Support;

/// <summary>Small models by hand.</summary>
internal static class Frames
{
    public const double E = 210e9;
    public const double Rho = 7850;
    public static readonly double G = E / 2.6;

    public static ModelMember Bar(string id, string from, string to, double d, double rho = Rho, double[]? up = null)
    {
        var i = Math.PI * Math.Pow(d, 4) / 64;
        return new ModelMember(id, from, to, Math.PI * d * d / 4, i, i, 2 * i, E, G, rho, up ?? [0, 0, 1]);
    }

    public static ModelSpring Fixed(string node, double k = 1e13) => new("fix-" + node, node, [k, k, k, k, k, k]);

    /// <summary>A straight bar along x of n elements; the first node clamped.</summary>
    public static ModelDocument Cantilever(double length, double d, int n = 4, double tipMass = 0, double rho = Rho,
        params ModelCase[] cases) => new()
        {
            Nodes = [.. Enumerable.Range(0, n + 1).Select(i => new ModelNode($"n{i}", length * i / n, 0, 0))],
            Members = [.. Enumerable.Range(0, n).Select(i => Bar($"b{i}", $"n{i}", $"n{i + 1}", d, rho))],
            Springs = [Fixed("n0")],
            Masses = tipMass > 0 ? [new ModelMass($"n{n}", tipMass)] : [],
            Cases = cases,
        };

    public static ModelCase Load(string node, double[]? f = null, double[]? m = null) =>
        new() { Id = "load", Loads = [new ModelNodeLoad(node) { F = f, M = m }] };

    public static double[] Displacement(this ModelDocument solved, string node, int c = 0) => solved.Cases[c].Result!.Displacements[node];
}
