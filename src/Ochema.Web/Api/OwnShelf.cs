using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Data;

namespace Ochema.Web.Api;

/// <summary>What ships and the user's own rows together, read again after a row was written.</summary>
internal sealed class OwnShelf
{
    private readonly Lock gate = new();
    private IReadOnlyList<KindDescriptor>? kinds;
    private int written;

    /// <summary>A row was written: what is known of the shelf is old.</summary>
    public void Forget()
    {
        lock (gate)
            (kinds, written) = (null, written + 1);
    }

    /// <summary>All kinds with the choices that this shelf has.</summary>
    public async Task<IReadOnlyList<KindDescriptor>> KindsAsync(OchemaContext db)
    {
        int asked;
        lock (gate)
        {
            if (kinds is { } known)
                return known;
            asked = written;
        }
        var rows = ShelfStore.Of(await ShelfStore.AllAsync(db), r => ShelfApi.Fault(r) is null);
        var fresh = KindDescriptors.All(Catalogue.Shipped.With(rows));
        lock (gate)
            // A row that was written meanwhile is not in it.
            kinds = asked == written ? fresh : kinds;
        return fresh;
    }
}
