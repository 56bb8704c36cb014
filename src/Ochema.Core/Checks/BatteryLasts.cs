using Ochema.Core.Quantities;
using Ochema.Core.Responses;

namespace Ochema.Core.Checks;

/// <summary>A battery that nobody gets at until it comes down: what is drawn over that time, against what it gives.</summary>
/// <param name="of">Of what, for its id.</param>
/// <param name="draws">W.</param>
/// <param name="holds">J.</param>
/// <param name="up">s.</param>
/// <param name="drawn">Where what is drawn is from.</param>
/// <param name="held">Where what it holds is from.</param>
internal sealed class BatteryLasts(StationId station, string of, string title, double draws, double holds, double up, string drawn,
    string held)
    : Check($"{station}.{of}-battery", station, new($"{station}-{of}-battery"), title)
{
    /// <summary>Share of what stands on the label that is given before it cuts off, on a cool day (judgement, 0.7–0.9).</summary>
    private const double Gives = 0.85;

    public override CheckSort Sort => CheckSort.Service;

    public override bool Fixed => true;

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        sheet?.Formula("{P} × {t} ÷ ({s} × {E})", "what is drawn over what is given", "Frost halves it; an old cell holds two thirds.")
            .Term("P", "drawn", draws, Dimension.Power, drawn).Term("t", "until it comes down", up, Dimension.Duration, Origin.Measures)
            .Term("s", "share that is given", Gives, Dimension.Ratio, "judgement, 0.7–0.9")
                .Term("E", "battery", holds, Dimension.Energy, held);
        return Ratio(draws * up, Gives * holds);
    }
}
