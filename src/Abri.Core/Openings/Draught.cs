using Abri.Core.Geometry;

namespace Abri.Core.Openings;

/// <summary>Something that moves or lets through air.</summary>
/// <param name="Name">What people call it.</param>
/// <param name="Place">Where it is in plan, in the vehicle: along and across, mm.</param>
/// <param name="FlowM3h">What its fan moves, m3/h; 0 without one.</param>
/// <param name="FreeAreaMm2">Free area that cannot be shut, mm2.</param>
/// <param name="High">Whether it is high up, in the roof or just below it.</param>
public sealed record AirWay(string Name, PanelPoint Place, double FlowM3h, double FreeAreaMm2, bool High);

/// <summary>Where damp, smoke or dust arises.</summary>
/// <param name="Name">What people call it: galley, glaze bench, shower.</param>
/// <param name="Place">Where it is in plan, mm.</param>
public sealed record AirSource(string Name, PanelPoint Place);

/// <summary>What moves the air of a vehicle.</summary>
/// <param name="Draws">The way that should draw out; null where no fan is there.</param>
/// <param name="BlowsIn">The way through which air should come in; null where there is no other.</param>
/// <param name="AirChangesPerHour">Air changes an hour with both running.</param>
/// <param name="HighMm2">Fixed free area high up, mm2.</param>
/// <param name="HighNeededMm2">What is asked for high up, mm2.</param>
/// <param name="LowMm2">Fixed free area low down, mm2.</param>
/// <param name="LowNeededMm2">What is asked for low down, mm2.</param>
/// <param name="State">Whether that is enough.</param>
/// <param name="Verdict">What to do.</param>
/// <param name="Cautions">What must be known where gas burns.</param>
public sealed record AirPlan(
    string? Draws, string? BlowsIn, double AirChangesPerHour, double HighMm2, double HighNeededMm2, double LowMm2, double LowNeededMm2, VerdictState State, string Verdict, IReadOnlyList<string> Cautions);

/// <summary>Says which vent should draw and which blow, how often the air is changed, and whether enough ventilation cannot be shut.</summary>
/// <remarks>
/// The fan nearest to where damp or dust arises draws out; air comes in at the way furthest from it, so that the draught sweeps the whole length. Through both runs what the weaker of two fans moves; a fan with a passive inlet moves half of its free flow (assumption).
/// Fixed free area by floor area: the steps of EN 721, values from memory; look them up before gas is fitted.
/// </remarks>
/// <example>12 m3, a fan of 150 m3/h drawing and one of 120 blowing: 10 air changes an hour.</example>
public static class Draught
{
    /// <summary>Share of a fan's free flow that passes where air comes in by itself: assumption.</summary>
    public const double PassiveShare = 0.5;

    /// <summary>Free area by floor area, EN 721, from memory: up to so many m2, high up and low down in mm2.</summary>
    private static readonly (double FloorM2, double HighMm2, double LowMm2)[] Fixed = [(5, 7500, 1000), (10, 10_000, 1500), (15, 12_500, 2000), (20, 15_000, 3000), (double.PositiveInfinity, 20_000, 5000)];

    private static readonly string[] Cautions =
    [
        "Gas, stoves and heaters: an alarm for carbon monoxide, and fixed ventilation that nobody can shut, low down as well as high up. Gas that escapes sinks: it needs a way out at the floor.",
        "A fan that draws can pull flue gas back into the vehicle: open a way in before it runs while anything burns.",
        "Local rules and licensed practice come first where gas is concerned.",
    ];

    /// <summary>The plan.</summary>
    /// <param name="ways">What moves or lets through air.</param>
    /// <param name="sources">Where damp or dust arises; may be empty.</param>
    /// <param name="volumeM3">Volume of the inside, m3.</param>
    /// <param name="floorAreaM2">Floor area, m2.</param>
    public static Result<Worked<AirPlan>> Of(IReadOnlyList<AirWay> ways, IReadOnlyList<AirSource> sources, double volumeM3, double floorAreaM2)
    {
        if (volumeM3 <= 0) return new Problem("air-volume", "/volumeM3", "The volume of the inside must be more than 0 m3.");
        if (floorAreaM2 <= 0) return new Problem("air-floor", "/floorAreaM2", "The floor area must be more than 0 m2.");
        var sheet = new Worksheet();
        AirWay? draws = ways.Where(w => w.FlowM3h > 0).OrderBy(w => sources.Count == 0 ? 0 : sources.Min(s => s.Place.DistanceMm(w.Place))).ThenByDescending(w => w.FlowM3h).FirstOrDefault();
        AirWay? blows = draws is null ? null : ways.Where(w => w != draws).OrderByDescending(w => w.Place.DistanceMm(draws.Place)).FirstOrDefault();
        double flow = draws is null ? 0 : blows is { FlowM3h: > 0 } ? Math.Min(draws.FlowM3h, blows.FlowM3h) : PassiveShare * draws.FlowM3h;
        sheet.Step("Q", "air that passes", blows is { FlowM3h: > 0 } ? "the weaker of two fans" : "half of the fan's free flow", flow, "m3/h");
        double changes = sheet.Step("n", "air changes", "Q / V", flow / volumeM3, "1/h");
        double high = sheet.Step("A_h", "fixed free area high up", "sum", ways.Where(w => w.High).Sum(w => w.FreeAreaMm2), "mm2"), low = sheet.Step("A_l", "fixed free area low down", "sum", ways.Where(w => !w.High).Sum(w => w.FreeAreaMm2), "mm2");
        (_, double highNeeded, double lowNeeded) = Fixed.First(f => floorAreaM2 <= f.FloorM2);
        sheet.Step("A_h,min", "asked for high up", "by floor area", highNeeded, "mm2");
        sheet.Step("A_l,min", "asked for low down", "by floor area", lowNeeded, "mm2");
        sheet.Cite(new Source("EN 721, fixed ventilation by floor area", SourceKind.FromMemory));
        sheet.Cite(new Source($"A fan with a passive inlet moves {PassiveShare:0%} of its free flow", SourceKind.Assumption));
        bool enough = high >= highNeeded && low >= lowNeeded;
        var words = new List<string>();
        if (draws is null) words.Add("No fan: air moves only by wind and warmth.");
        else words.Add($"{draws.Name} draws out{(sources.Count > 0 ? $", nearest to {sources.MinBy(s => s.Place.DistanceMm(draws.Place))!.Name}" : "")}{(blows is null ? ". Nothing lets air in: open a window at the far end" : blows.FlowM3h > 0 ? $"; {blows.Name} blows in at the far end" : $"; air comes in at {blows.Name}")}: {changes:0.#} air changes an hour.");
        if (high < highNeeded) words.Add($"High up {highNeeded - high:0} mm2 of fixed free area are missing.");
        if (low < lowNeeded) words.Add($"Low down {lowNeeded - low:0} mm2 of fixed free area are missing.");
        return sheet.Finish(new AirPlan(draws?.Name, blows?.Name, changes, high, highNeeded, low, lowNeeded, enough ? VerdictState.Good : VerdictState.NeedsWork, string.Join(" ", words), Cautions));
    }
}
