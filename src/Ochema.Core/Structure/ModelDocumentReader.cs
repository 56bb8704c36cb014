using Ochema.Core.Json;
using static Ochema.Core.Structure.DocumentNumbers;

namespace Ochema.Core.Structure;

/// <summary>Reads a model document and names what is wrong with it, by path.</summary>
public static class ModelDocumentReader
{
    /// <exception cref="DocumentException">The text is no model document; the message names the path and the reason.</exception>
    public static ModelDocument Read(string json)
    {
        var document = StrictJson.Read<ModelDocument>(json);
        Check(document);
        return document;
    }

    /// <summary>Checks references and numbers of a document.</summary>
    /// <exception cref="DocumentException">Names the path and the reason.</exception>
    public static void Check(ModelDocument d)
    {
        Bounded(d.Nodes, "nodes");
        if (d.Nodes.Count == 0)
            throw new DocumentException("nodes", "needs at least one node");
        var nodes = new Dictionary<string, Vec3>();
        Each(d.Nodes, "nodes", (n, path) =>
        {
            Number(n.X, path + ".x");
            Number(n.Y, path + ".y");
            Number(n.Z, path + ".z");
            if (!nodes.TryAdd(Name(n.Id, path + ".id"), n.Position))
                throw new DocumentException(path + ".id", $"'{n.Id}' is used twice");
        });
        void Node(string? id, string path)
        {
            if (id is null || !nodes.ContainsKey(id))
                throw new DocumentException(path, $"there is no node '{id}'");
        }
        var parts = new HashSet<string>();
        void Part(string id, string path)
        {
            if (!parts.Add(Name(id, path)))
                throw new DocumentException(path, $"'{id}' is used twice; ids are unique across members, springs and lines");
        }
        Each(d.Members, "members", (m, path) =>
        {
            Part(m.Id, path + ".id");
            Node(m.From, path + ".from");
            Node(m.To, path + ".to");
            foreach (var (v, name) in new[] { (m.A, "A"), (m.Iy, "Iy"), (m.Iz, "Iz"), (m.J, "J"), (m.E, "E"), (m.G, "G") })
                Positive(v, path + "." + name);
            NotNegative(m.Rho, path + ".rho");
            Vector(m.Up, 3, path + ".up");
            if (m.ShearAreaY is { } ay)
                Positive(ay, path + ".shearAreaY");
            if (m.ShearAreaZ is { } az)
                Positive(az, path + ".shearAreaZ");
            var axis = nodes[m.To] - nodes[m.From];
            if (axis.Length < 1e-9)
                throw new DocumentException(path, "has no length");
            var up = Vec3.From(m.Up);
            if (up.Length == 0 || up.Normalized().PerpendicularTo(axis.Normalized()).Length < 1e-6)
                throw new DocumentException(path + ".up", "is parallel to the member");
            Releases(m.ReleaseFrom, path + ".releaseFrom");
            Releases(m.ReleaseTo, path + ".releaseTo");
        });
        Each(d.RigidLinks, "rigidLinks", (r, path) =>
        {
            Node(r.From, path + ".from");
            Node(r.To, path + ".to");
        });
        Each(d.Springs, "springs", (s, path) =>
        {
            Part(s.Id, path + ".id");
            Node(s.From, path + ".from");
            if (s.To is not null)
                Node(s.To, path + ".to");
            Vector(s.K, 6, path + ".k");
            for (var i = 0; i < 6; i++)
                NotNegative(s.K[i], $"{path}.k[{i}]");
        });
        Each(d.Lines, "lines", (l, path) =>
        {
            Part(l.Id, path + ".id");
            Node(l.From, path + ".from");
            if (l.To is not null)
                Node(l.To, path + ".to");
            else if (l.Anchor is null)
                throw new DocumentException(path + ".anchor", "is needed when the line has no second node");
            if (l.Anchor is not null)
                Vector(l.Anchor, 3, path + ".anchor");
            Positive(l.EA, path + ".EA");
            Number(l.Pretension, path + ".pretension");
            var end = l.To is null ? Vec3.From(l.Anchor!) : nodes[l.To];
            if ((end - nodes[l.From]).Length < 1e-9)
                throw new DocumentException(path, "has no length");
        });
        Each(d.Masses, "masses", (m, path) =>
        {
            Node(m.Node, path + ".node");
            NotNegative(m.M, path + ".m");
            if (m.Offset is not null)
                Vector(m.Offset, 3, path + ".offset");
            if (m.I is not null)
            {
                if (m.I.Length is not (3 or 6))
                    throw new DocumentException(path + ".I", "needs 3 or 6 numbers");
                Vector(m.I, m.I.Length, path + ".I");
                for (var i = 0; i < 3; i++)
                    NotNegative(m.I[i], $"{path}.I[{i}]");
            }
        });
        var members = d.Members.Select(m => m.Id).ToHashSet();
        Each(d.Cases, "cases", (c, path) =>
        {
            Name(c.Id, path + ".id");
            if (c.Gravity is not null)
                Vector(c.Gravity, 3, path + ".gravity");
            Each(c.Loads, path + ".loads", (l, p) =>
            {
                Node(l.Node, p + ".node");
                if (l.F is not null)
                    Vector(l.F, 3, p + ".f");
                if (l.M is not null)
                    Vector(l.M, 3, p + ".m");
            });
            Each(c.MemberLoads, path + ".memberLoads", (l, p) =>
            {
                if (l.Member is null || !members.Contains(l.Member))
                    throw new DocumentException(p + ".member", $"there is no member '{l.Member}'");
                Vector(l.W, 3, p + ".w");
            });
            Each(c.Without ?? [], path + ".without", (id, p) =>
            {
                if (!parts.Contains(id))
                    throw new DocumentException(p, $"there is no member, spring or line '{id}'");
            });
        });
    }

    private static void Releases(IReadOnlyList<string>? r, string path)
    {
        for (var i = 0; i < (r?.Count ?? 0); i++)
            if (r![i] is not ("rx" or "ry" or "rz"))
                throw new DocumentException($"{path}[{i}]", $"'{r[i]}' is not one of rx, ry, rz");
    }
}
