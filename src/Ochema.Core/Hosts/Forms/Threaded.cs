namespace Ochema.Core.Hosts;

/// <summary>A threaded point or bracket of the host's own.</summary>
public sealed record ThreadedForm : SiteForm
{
    public override string Id => "threaded";

    public override string Words => "a threaded point of the host";
}

public abstract partial record SiteForm
{
    /// <summary>A threaded point or bracket of the host's own.</summary>
    public static SiteForm Threaded { get; } = new ThreadedForm();
}
