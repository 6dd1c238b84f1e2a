using Abri.Core.Geometry;
using Abri.Core.Openings;
using Abri.Core.Work;

namespace Abri.Core.Bench;

/// <summary>Whether a hold point lets the work go on.</summary>
/// <param name="Name">Name of the hold point.</param>
/// <param name="IsMet">Whether it does.</param>
/// <param name="Text">In words; empty where it does.</param>
/// <param name="WhatNow">What to do; null where it does, or where only the reading is missing.</param>
public sealed record HoldVerdict(string Name, bool IsMet, string Text, string? WhatNow);

/// <summary>Holds what was read against what a step asks for before the next one.</summary>
/// <example>A hole of 400 mm that may be 1 mm less and 4 mm more: 398 mm is 1 mm less than it may be.</example>
public static class HoldCheck
{
    /// <summary>A verdict for each hold point of a step.</summary>
    /// <param name="holds">The hold points.</param>
    /// <param name="readings">What was read.</param>
    /// <param name="lengths">How lengths are written.</param>
    public static IReadOnlyList<HoldVerdict> Of(IReadOnlyList<HoldPoint> holds, IReadOnlyList<HoldReading> readings, LengthFormat lengths) =>
        [.. holds.Select(hold => Of(hold, readings.LastOrDefault(r => r.Name == hold.Name), lengths))];

    /// <summary>What was read, with what six readings of a hole say at its hold points: of each way the one that is further off.</summary>
    /// <param name="readings">What was read.</param>
    /// <param name="cut">The hole; null where it was not measured.</param>
    /// <param name="holds">The hold points of the step.</param>
    public static IReadOnlyList<HoldReading> With(IReadOnlyList<HoldReading> readings, AsCut? cut, IReadOnlyList<HoldPoint> holds) =>
        cut is null ? readings : [.. readings, .. OfHole(holds, cut)];

    private static IReadOnlyList<HoldReading> OfHole(IReadOnlyList<HoldPoint> holds, AsCut cut) =>
        [
            .. holds
                .Where(h => h.Reads is not null)
                .Select(h =>
                {
                    (double a, double b) =
                        h.Reads == HoleReading.Widths ? (cut.TopWidthMm, cut.BottomWidthMm) : (cut.FrontHeightMm, cut.RearHeightMm);
                    return new HoldReading(h.Name, Off(h, a) >= Off(h, b) ? a : b, null);
                }),
        ];

    private static HoldVerdict Of(HoldPoint hold, HoldReading? reading, LengthFormat lengths)
    {
        if (hold.Unit is null)
            return reading?.Seen == true ? Met(hold)
                : reading?.Seen is null ? new HoldVerdict(hold.Name, false, $"{hold.Name}: not answered yet.", null)
                : new HoldVerdict(hold.Name, false, $"{hold.Name}: no.", hold.IfMore ?? "Put that right first.");
        if (reading?.Value is not { } value)
            return new HoldVerdict(hold.Name, false, $"{hold.Name}: not measured yet.", null);
        if (hold.Wanted is not { } wanted || Off(hold, value) <= 0)
            return Met(hold);
        bool less = value < wanted;
        double limit = less ? wanted - hold.Less!.Value : wanted + hold.More!.Value;
        string off = hold.Unit switch
        {
            Unit.Mm => less ? "too small" : "too large",
            Unit.Count => less ? "too few" : "too many",
            _ => less ? "too low" : "too high",
        };
        string text =
            $"{hold.Name}: {Written(hold, value, lengths)} is {Written(hold, Math.Abs(limit - value), lengths)} {off}, "
            + $"{(less ? "at least" : "at most")} {Written(hold, limit, lengths)}.";
        return new HoldVerdict(hold.Name, false, text, OtherUnit(hold, value, lengths) ?? (less ? hold.IfLess : hold.IfMore) ?? "Measure again.");
    }

    private static HoldVerdict Met(HoldPoint hold) => new(hold.Name, true, "", null);

    /// <summary>How far a reading lies outside of what is allowed; not above 0 where it lies within.</summary>
    private static double Off(HoldPoint hold, double value) =>
        hold.Wanted is not { } wanted ? 0 : Math.Max(wanted - hold.Less!.Value - value, value - wanted - hold.More!.Value) - 1e-6;

    /// <summary>A length that fits in the other unit was typed in it.</summary>
    private static string? OtherUnit(HoldPoint hold, double value, LengthFormat lengths)
    {
        if (hold.Unit != Unit.Mm || value == 0)
            return null;
        bool inches = lengths.Units == UnitSystem.Inch;
        double other = inches ? value / LengthFormat.MmPerInch : value * LengthFormat.MmPerInch;
        return Off(hold, other) <= 0 ? $"As {(inches ? "millimetres" : "inches")} it would fit ({lengths.Text(other)}): check the unit." : null;
    }

    private static string Written(HoldPoint hold, double value, LengthFormat lengths) =>
        hold.Unit switch
        {
            Unit.Mm => lengths.Text(value),
            Unit.Percent => $"{value:0.#} %",
            Unit.Degrees => $"{value:0.#} degrees",
            Unit.Celsius => $"{value:0.#} C",
            Unit.Count => $"{value:0.#}",
            _ => $"{value:0.#} {hold.Unit!.Value.ToString().ToLowerInvariant()}",
        };
}
