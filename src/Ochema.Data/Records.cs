namespace Ochema.Data;

/// <summary>A named group of rigs.</summary>
public sealed class FilmRecord
{
    public required string Id { get; set; }
    public required string Name { get; set; }
    public DateTime CreatedAt { get; set; }
    public List<RigRecord> Rigs { get; set; } = [];
}

/// <summary>A stored rig in its newest version.</summary>
public sealed class RigRecord
{
    public required string Id { get; set; }
    public required string FilmId { get; set; }
    public FilmRecord? Film { get; set; }
    public required string Name { get; set; }

    /// <summary>The document as JSON.</summary>
    public required string Document { get; set; }

    /// <summary>Counts saves; the ETag, and the concurrency token.</summary>
    public int Version { get; set; }

    public DateTime UpdatedAt { get; set; }

    /// <summary>Set while the rig is in the bin.</summary>
    public DateTime? DeletedAt { get; set; }

    public List<VersionRecord> Versions { get; set; } = [];
}

/// <summary>One save of a rig.</summary>
public sealed class VersionRecord
{
    public int Id { get; set; }
    public required string RigId { get; set; }
    public int Number { get; set; }

    /// <summary>Given by the user; null for an automatic save.</summary>
    public string? Name { get; set; }

    public required string Document { get; set; }
    public DateTime SavedAt { get; set; }
}
