using Abri.Core.Declared;
using Abri.Core.Shell;

namespace Abri.Core.Water;

/// <summary>A reading of a wood-moisture meter.</summary>
/// <param name="Hours">Hours since the first reading.</param>
/// <param name="MoisturePercent">Moisture, % of dry mass.</param>
public sealed record MoistureReading(
    [Within(0, 100_000, "The time of a reading", "h")] double Hours,
    [Within(0, 200, "A moisture", "%")] double MoisturePercent
);

/// <summary>How the drying of wood stands.</summary>
public enum DryingState
{
    /// <summary>The last readings are at or below the limit and do not rise.</summary>
    DryEnough,

    /// <summary>It dries, and it can be foretold when it is dry.</summary>
    Drying,

    /// <summary>It changed by less than the meter's error while it was looked at.</summary>
    TooEarly,

    /// <summary>It rose: water still comes in.</summary>
    WaterComesIn,
}

/// <summary>How wood dries.</summary>
/// <param name="State">How it stands.</param>
/// <param name="HoursToLimit">Hours from the last reading until it falls below the limit; 0 where it is below it, null where that cannot be
/// told.</param>
/// <param name="HalfTimeHours">Hours in which the water above the moisture of the air halves; null where that cannot be told.</param>
/// <param name="RestingPercent">Moisture that it tends to in this air, %.</param>
/// <param name="LimitPercent">The limit, %.</param>
/// <param name="Verdict">What that means.</param>
public sealed record DryingOutlook(
    DryingState State,
    double? HoursToLimit,
    double? HalfTimeHours,
    double RestingPercent,
    double LimitPercent,
    string Verdict
);

/// <summary>
/// Tells from moisture readings when wood will be dry enough to be coated or covered, or that it is not drying.
/// </summary>
/// <remarks>
/// The last readings decide how it stands; a fit only foretells. Wood is dry enough where the last reading is at or below the limit; a rise by more
/// than the meter's error (<see cref="ErrorPercent"/>) means that water still comes in; a change
/// by less than that over the last readings tells nothing yet.
/// Moisture falls towards that of the air as m(t) = m_e + (m_0 - m_e) exp(-k t). With m_e given, ln(m - m_e) falls along a straight line, fitted by
/// least squares over all readings since the wettest, and over the last <see cref="Last"/> of them: the
/// slower pace counts, since wood thicker than a board dries quickly at first and slowly then. It is followed from the last reading.
/// </remarks>
/// <example>30, 24 and 20 % at 0, 48 and 96 h in air that holds wood at 12 %: k = 0.0084 per h, 16 % is reached 82 h after the last
/// reading.</example>
public static class Drying
{
    /// <summary>Moisture that indoor air of a vehicle holds wood at, %: assumption.</summary>
    public const double UsualRestingPercent = 12;

    /// <summary>By how much two readings of a meter differ though nothing changed, % of dry mass: assumption.</summary>
    public const double ErrorPercent = 1;

    /// <summary>Over so many of the last readings it is seen whether it still dries.</summary>
    public const int Last = 3;

    /// <summary>Slower than this no date is worth saying, per h; and what a logarithm is taken of at least, %.</summary>
    private const double SlowestPerHour = 1e-5,
        LeastAbove = 0.05;

    /// <summary>Looks ahead from readings.</summary>
    /// <param name="readings">Readings, at least two at different times.</param>
    /// <param name="restingPercent">Moisture that the air holds wood at, %.</param>
    /// <param name="limitPercent">The limit, %.</param>
    public static Result<Worked<DryingOutlook>> Of(
        IReadOnlyList<MoistureReading> readings,
        double restingPercent = UsualRestingPercent,
        double limitPercent = WoodMoisture.CoatPercent
    )
    {
        MoistureReading[] r = [.. readings.OrderBy(x => x.Hours)];
        if (r.Length < 2 || r[^1].Hours - r[0].Hours < 1)
            return new Problem("readings-too-few", "/readings", "Give at least two readings, an hour or more apart.");
        if (limitPercent <= restingPercent)
            return new Problem(
                "limit-below-air",
                "/limitPercent",
                $"In air that holds wood at {restingPercent:0.#} % it never falls below {limitPercent:0.#} %. Dry the air, or take a higher limit."
            );
        var sheet = new Worksheet();
        sheet.Cite(new Source("Exponential approach to the moisture of the air, least squares on its logarithm", SourceKind.Geometry));
        sheet.Cite(
            new Source(
                $"{WoodMoisture.CoatPercent} % for wood to be coated or covered, decay from {WoodMoisture.DecayPercent} %: handbook figures",
                SourceKind.FromMemory
            )
        );
        sheet.Cite(new Source($"Readings of a meter differ by {ErrorPercent} % though nothing changed", SourceKind.Assumption));
        double last = sheet.Step("m", "last reading", "as read", r[^1].MoisturePercent, "%");
        double low = sheet.Step("m_low", "lowest reading before it", "min", r[..^1].Min(x => x.MoisturePercent), "%");
        string decay = last >= WoodMoisture.DecayPercent ? $" At {last:0.#} % it decays." : "";
        if (last > low + ErrorPercent)
            return sheet.Finish(
                new DryingOutlook(
                    DryingState.WaterComesIn,
                    null,
                    null,
                    restingPercent,
                    limitPercent,
                    $"Water still comes in: it was down to {low:0.#} % and is at {last:0.#} %. Find where before anything is closed.{decay}"
                )
            );
        if (last <= limitPercent)
            return sheet.Finish(
                new DryingOutlook(
                    DryingState.DryEnough,
                    0,
                    null,
                    restingPercent,
                    limitPercent,
                    $"Dry enough: {last:0.#} %, not above {limitPercent:0.#} %."
                )
            );

        MoistureReading[] falling = [.. r.Skip(Array.FindLastIndex(r, x => x.MoisturePercent >= r.Max(y => y.MoisturePercent)))],
            lately = [.. falling.TakeLast(Last)];
        double since = lately[^1].Hours - lately[0].Hours,
            fell = sheet.Step("d", "fell over the last readings", "first of them - last", lately[0].MoisturePercent - last, "%");
        double k = falling.Length < 2 || since < 1 ? 0 : Math.Min(Pace(falling, restingPercent), Pace(lately, restingPercent));
        if (fell < ErrorPercent || !(k > SlowestPerHour))
        {
            string told =
                falling.Length < 2 ? "It has not fallen yet" : $"It fell by {fell:0.#} % in {Span(since)}, less than a meter can tell apart";
            return sheet.Finish(
                new DryingOutlook(
                    DryingState.TooEarly,
                    null,
                    null,
                    restingPercent,
                    limitPercent,
                    $"Not dry: {last:0.#} %, above {limitPercent:0.#} %. {told}: too early to say when it will be. Read it again in "
                        + $"a day or two; if it stays, air it, or look for water.{decay}"
                )
            );
        }
        sheet.Step("k", "pace of drying, the slower of all and of the last readings", "-slope of ln(m - m_e) over t", k, "per h");
        double half = sheet.Step("t_half", "time in which the water above the air's halves", "ln 2 / k", Math.Log(2) / k, "h");
        double hours = sheet.Step(
            "t_limit",
            "from the last reading to the limit",
            "ln((m - m_e) / (limit - m_e)) / k",
            Math.Log((last - restingPercent) / (limitPercent - restingPercent)) / k,
            "h"
        );
        return sheet.Finish(
            new DryingOutlook(
                DryingState.Drying,
                hours,
                half,
                restingPercent,
                limitPercent,
                $"Not dry yet: {last:0.#} %. At {limitPercent:0.#} % in about {Span(hours)}, if nothing wets it again. Read it "
                    + $"then; the meter decides.{decay}"
            )
        );
    }

    /// <summary>Pace at which the water above the air's moisture falls, per h, by least squares on its logarithm.</summary>
    private static double Pace(MoistureReading[] readings, double restingPercent)
    {
        double[] t = [.. readings.Select(x => x.Hours)],
            y = [.. readings.Select(x => Math.Log(Math.Max(LeastAbove, x.MoisturePercent - restingPercent)))];
        double tMean = t.Average(),
            yMean = y.Average();
        return -t.Zip(y, (a, b) => (a - tMean) * (b - yMean)).Sum() / t.Sum(x => (x - tMean) * (x - tMean));
    }

    private static string Span(double hours) => hours < 48 ? $"{hours:0} hours" : $"{hours / 24:0} days";
}
