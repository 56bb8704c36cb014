using System.Text.Json;
using System.Text.Json.Serialization;
using Ochema.Core.Assessment;
using Ochema.Core.Making;
using Ochema.Core.Quantities;
using Ochema.Core.Rigs;

namespace Ochema.Web.Api;

/// <summary>How long answers may take.</summary>
/// <param name="Search">s that is searched for changes at the most.</param>
public sealed record Limits(double Search);

/// <summary>What lists need to know of a host.</summary>
public sealed record HostName(string Id, string Name, string Kind, bool StandsStill, double? PerRpm)
{
    internal static HostName Of(Core.Hosts.Host host) => new(host.Id, host.Name, host.Kind, host.Drive.StandsStill, host.Drive.PerTurn
        / 60);
}

/// <summary>A rig and the place it is to be taken to.</summary>
/// <param name="Host">Id of the host.</param>
/// <param name="Site">Id of the place there; empty for the one that is most like the present place.</param>
public sealed record RelocateRequest(RigDocument Document, string Host, string Site = "") : IAboutRig;

/// <summary>A rig and how long the rod of one of its struts is to be.</summary>
/// <param name="Brace">Id of the strut.</param>
/// <param name="Length">m.</param>
public sealed record RodRequest(RigDocument Document, string Brace, double Length) : IAboutRig;

/// <summary>The rig with the foot where that makes it.</summary>
public sealed record RodRig(RigDocument Document);

/// <summary>A rig and what came out of it at the bench.</summary>
/// <param name="Path">As the step of the plan calls it.</param>
/// <param name="Value">As read off, SI; null takes it back.</param>
/// <param name="On">Day as YYYY-MM-DD.</param>
public sealed record BuiltRequest(RigDocument Document, string Path, string On, double? Value = null) : IAboutRig;

/// <summary>A rig as it was built.</summary>
public sealed record RigAsBuilt(RigDocument Document);

/// <summary>Another speed of a rig that was answered before.</summary>
/// <param name="Design">Its id, as answered.</param>
/// <param name="Speed">m/s.</param>
/// <param name="LetGo">The let-go case whose shape is wanted.</param>
public sealed record DriveRequest(string Design, double Speed, string LetGo = Core.Assessment.Design.Intact);

/// <summary>A rig, and which of what came out otherwise is asked about.</summary>
/// <param name="Paths">Null for all.</param>
public sealed record DidRequest(RigDocument Document, IReadOnlyList<string>? Paths = null) : IAboutRig;

/// <summary>What building it otherwise did.</summary>
/// <param name="Effect">Null where it is as drawn.</param>
public sealed record BuiltAnswer(BuiltEffect? Effect);

/// <summary>A film with its rigs.</summary>
public sealed record FilmSummary(string Id, string Name, bool Demo, IReadOnlyList<RigSummary> Rigs,
    IReadOnlyList<UnreadableRig> Unreadable);

/// <summary>A stored rig whose document cannot be read: where and why. Nothing of it is lost; it can be saved as a file.</summary>
public sealed record UnreadableRig(string Id, string Name, int Version, DateTime UpdatedAt, string Path, string Reason);

/// <summary>A rig in the bin.</summary>
public sealed record BinnedRig(string Id, string Name, string FilmName, int Version, DateTime DeletedAt);

/// <summary>A rig in lists.</summary>
/// <param name="Card">Null while it is being worked out: ask again.</param>
public sealed record RigSummary(string Id, string FilmId, string Name, int Version, DateTime UpdatedAt, RigCard? Card);

/// <summary>A <see cref="FilmSummary"/> as it is sent: its rigs' cards go out as they are kept.</summary>
internal sealed record KeptFilm(string Id, string Name, bool Demo, IReadOnlyList<KeptRig> Rigs, IReadOnlyList<UnreadableRig> Unreadable);

/// <summary>A <see cref="RigSummary"/> as it is sent: the card's JSON goes out as it is kept.</summary>
internal sealed record KeptRig(
    string Id, string FilmId, string Name, int Version, DateTime UpdatedAt, [property: JsonConverter(typeof(KeptJson))] string? Card);

/// <summary>Writes text that is JSON already.</summary>
internal sealed class KeptJson : JsonConverter<string>
{
    public override string Read(ref Utf8JsonReader reader, Type typeToConvert, JsonSerializerOptions options) =>
        throw new NotSupportedException();

    public override void Write(Utf8JsonWriter writer, string value, JsonSerializerOptions options) =>
        writer.WriteRawValue(value, skipInputValidation: true);
}

/// <summary>What a list shows of a rig: enough to draw it.</summary>
/// <param name="Speed">Design speed, m/s.</param>
/// <param name="Mass">kg.</param>
/// <param name="NextThing">What to do next, in words.</param>
/// <param name="Making">How far it is built; null where nothing of it is done.</param>
public sealed record RigCard(string Host, string Site, double Speed, VerdictReport Verdict, Core.Sharpness.PictureWords Sharpness,
    double Mass, double Cost,
    FigureReport Figure, string NextThing, CardMaking? Making);

/// <summary>How far a rig is built.</summary>
/// <param name="Done">Steps that are.</param>
/// <param name="Steps">All of them.</param>
/// <param name="Next">Title of the next that is open; null where all are done.</param>
/// <param name="Cures">What cures by itself, and when it is ready, over or not.</param>
public sealed record CardMaking(int Done, int Steps, string? Next, IReadOnlyList<CardCure> Cures);

/// <summary>What cures by itself.</summary>
/// <param name="Ready">As 2026-05-01T14:30:00Z.</param>
public sealed record CardCure(string Title, string Ready);

/// <summary>A stored rig.</summary>
public sealed record StoredRig(string Id, string FilmId, string FilmName, string Name, int Version, DateTime UpdatedAt,
    RigDocument Document);

/// <summary>A saved state; without a verdict when its document cannot be read any more.</summary>
/// <param name="Judged">False while the verdict is being worked out: ask again.</param>
/// <param name="LimitSpeed">m/s.</param>
/// <param name="Mass">kg.</param>
/// <param name="Changed">What changed since the version listed before it, in words.</param>
public sealed record VersionSummary(
    int Number, string? Name, DateTime SavedAt, bool Judged, Verdict? Verdict, double? LimitSpeed, double? Mass,
        IReadOnlyList<string> Changed);

/// <summary>A new film.</summary>
public sealed record NewFilm(string Name);

/// <summary>A new rig in a film.</summary>
public sealed record NewRig(RigDocument Document, string? FilmId = null) : IAboutRig;

/// <summary>A name for a version; empty takes it away.</summary>
public sealed record VersionName(string Name);

/// <summary>A typed quantity and the field's limits, SI.</summary>
/// <param name="UsualFrom">Smaller values are asked about.</param>
/// <param name="UsualTo">Larger values are asked about.</param>
public sealed record QuantityRequest(string Text, Dimension Dimension, UnitSystem System,
    double? Minimum = null, double? Maximum = null, double? UsualFrom = null, double? UsualTo = null);

/// <summary>The rig and the station to try other things at.</summary>
public sealed record AlternativesRequest(RigDocument Document, string Station) : IAboutRig;

/// <summary>A rig and the pretension of one more strap, N.</summary>
public sealed record StrapsRequest(RigDocument Document, double Pretension = 200) : IAboutRig;

/// <summary>A rig and the highest use allowed, 0.2…1: what sizes, weights and holds stay within it.</summary>
public sealed record InverseRequest(RigDocument Document, double AtMost = Judge.TightFrom) : IAboutRig;

/// <summary>All that the interface needs to print and name things.</summary>
/// <param name="Drills">Inch drills, smallest first: names and diameters, m.</param>
public sealed record UnitsReport(IReadOnlyList<DisplayUnit> Display, IReadOnlyList<Drill> Drills);

/// <summary>A phone's log as text; units that are given beat what is recognised.</summary>
public sealed record LogRequest(string Text, Core.Proving.LogTime? TimeUnit = null, Core.Proving.LogAcceleration? AccelerationUnit = null);

/// <summary>A log that was read.</summary>
/// <param name="Id">By which it is read again in other units, as long as the server keeps it.</param>
public sealed record KeptLog(string Id, Core.Proving.LogReport Log);

/// <summary>A log as text.</summary>
public sealed record LogText(string Text);

/// <summary>A rig and what its tap test measured: Hz, damping ratio, and the axis that rang.</summary>
public sealed record CalibrateRequest(RigDocument Document, double Frequency, double? Damping = null, int? Axis = null) : IAboutRig;

/// <summary>A list of the shelf with what ships.</summary>
/// <param name="One">One of it, as "suction cup".</param>
/// <param name="Own">True where the user may have rows of their own.</param>
/// <param name="Fields">Measurements of its rows.</param>
/// <param name="Columns">Those of them that tell its rows apart, the first first.</param>
/// <param name="Rows">What ships.</param>
public sealed record ShelfList(string Id, string Label, string One, bool Own, IReadOnlyList<FieldDescriptor> Fields,
    IReadOnlyList<string> Columns,
    IReadOnlyList<JsonElement> Rows);

/// <summary>A row of the user's own.</summary>
/// <param name="Row">As documents carry it.</param>
/// <param name="Fault">Why it cannot be used any more; null when it can.</param>
public sealed record ShelfRow(string List, string Id, int Version, DateTime UpdatedAt, JsonElement Row, string? Fault);
