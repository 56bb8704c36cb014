namespace Ochema.Core.Hosts;

/// <summary>Somebody's hands.</summary>
public sealed record HandForm : SiteForm
{
    public override string Id => "hand";

    public override string Words => "somebody's hands";

    public override string LookOver => "Walk the way once without a camera: steps, kerbs, wires overhead, people who "
        + "come round a corner. Who looks where you walk?";

    public override bool IsInside => true;

    public override bool IsHeld => true;

    public override string Lifts(bool braced) => "a shorter one, or hands wider apart, lifts it.";
}

public abstract partial record SiteForm
{
    /// <summary>Somebody's hands.</summary>
    public static SiteForm Hand { get; } = new HandForm();
}
