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

    /// <summary>What lists show of the rig, as JSON; null before it was judged, and for a document that cannot be read.</summary>
    public string? Card { get; set; }

    /// <summary>Which document <see cref="Card"/> was computed from, and by which computation; another than the present one does not
    /// count.</summary>
    public string? Judged { get; set; }

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

    /// <summary>Holds, tight or lets go, as the API writes it; null before it was judged, and for a document that cannot be read.</summary>
    public string? Word { get; set; }

    /// <summary>Limit speed, m/s.</summary>
    public double? LimitSpeed { get; set; }

    /// <summary>Mass of the rig, kg.</summary>
    public double? Mass { get; set; }

    /// <summary>As <see cref="RigRecord.Judged"/>.</summary>
    public string? Judged { get; set; }
}

/// <summary>A line of a rig's log: written once, never changed.</summary>
public sealed class LogRecord
{
    /// <summary>In the order in which they came.</summary>
    public int Id { get; set; }

    public required string RigId { get; set; }

    /// <summary>Made by whoever wrote it, unique within the rig: what is sent twice is kept once.</summary>
    public required string Key { get; set; }

    /// <summary>The entry as JSON.</summary>
    public required string Entry { get; set; }

    /// <summary>Version of the rig that was the newest when it came.</summary>
    public int Version { get; set; }

    /// <summary>When it came here, which may be long after it was written.</summary>
    public DateTime ReceivedAt { get; set; }
}

/// <summary>A row of the user's own shelf.</summary>
public sealed class ShelfRecord
{
    /// <summary>Name of its list.</summary>
    public required string List { get; set; }

    /// <summary>Unique within its list.</summary>
    public required string Id { get; set; }

    /// <summary>The row as JSON.</summary>
    public required string Row { get; set; }

    /// <summary>Counts saves; the ETag, and the concurrency token.</summary>
    public int Version { get; set; }

    public DateTime UpdatedAt { get; set; }
}

/// <summary>What was computed for a document, to be kept beside it. The store does not look into it.</summary>
/// <param name="Stamp">Which document by which computation.</param>
/// <param name="Card">What lists show, as JSON; null when the document cannot be read.</param>
/// <param name="Word">The verdict as the API writes it.</param>
/// <param name="LimitSpeed">m/s.</param>
/// <param name="Mass">kg.</param>
public sealed record Judgement(string Stamp, string? Card, string? Word, double? LimitSpeed, double? Mass);

/// <summary>A phone that is let in to prove and run some rigs.</summary>
public sealed class PhoneRecord
{
    public required string Id { get; set; }

    /// <summary>As its owner calls it.</summary>
    public required string Name { get; set; }

    /// <summary>SHA-256 of its token, in hexadecimal digits: the token itself is on the phone only.</summary>
    public required string Token { get; set; }

    public DateTime PairedAt { get; set; }

    /// <summary>When it last asked for something; null before that.</summary>
    public DateTime? SeenAt { get; set; }

    /// <summary>The rigs it is let in to.</summary>
    public List<PhoneRigRecord> Rigs { get; set; } = [];
}

/// <summary>A rig that a phone is let in to.</summary>
public sealed class PhoneRigRecord
{
    public required string PhoneId { get; set; }
    public required string RigId { get; set; }
}
