namespace Abri.Core.Water;

/// <summary>A reading of a wood-moisture meter.</summary>
/// <param name="Hours">Hours since the first reading.</param>
/// <param name="MoisturePercent">Moisture, % of dry mass.</param>
public sealed record MoistureReading(double Hours, double MoisturePercent);

/// <summary>How wood dries.</summary>
/// <param name="DriesOut">Whether it is drying at all.</param>
/// <param name="HoursToLimit">Hours from the last reading until it falls below the limit; null where it does not.</param>
/// <param name="HalfTimeHours">Hours in which the water above the moisture of the air halves; null where it is not drying.</param>
/// <param name="RestingPercent">Moisture that it tends to in this air, %.</param>
/// <param name="LimitPercent">The limit, %.</param>
/// <param name="Verdict">What that means.</param>
public sealed record DryingOutlook(bool DriesOut, double? HoursToLimit, double? HalfTimeHours, double RestingPercent, double LimitPercent, string Verdict);

/// <summary>
/// Tells from moisture readings when wood will be dry enough to be coated or covered, or that it is not drying.
/// </summary>
/// <remarks>
/// Moisture falls towards that of the air as m(t) = m_e + (m_0 - m_e) exp(-k t). With m_e given, ln(m - m_e) falls along a straight line, which is fitted by least squares. Wood thicker than a board dries in more than one pace, so the
/// answer is a first guess that better readings sharpen.
/// </remarks>
/// <example>30, 24 and 20 % at 0, 48 and 96 h in air that holds wood at 12 %: k = 0.0084 per h, 16 % is reached 82 h after the last reading.</example>
public static class Drying
{
    /// <summary>Limit for wood that is to be coated or covered, %: from memory of handbook figures.</summary>
    public const double CoatPercent = 16;

    /// <summary>Moisture from which wood decays, %: from memory of handbook figures.</summary>
    public const double DecayPercent = 20;

    /// <summary>Moisture that indoor air of a vehicle holds wood at, %: assumption.</summary>
    public const double UsualRestingPercent = 12;

    /// <summary>Looks ahead from readings.</summary>
    /// <param name="readings">Readings, at least two at different times.</param>
    /// <param name="restingPercent">Moisture that the air holds wood at, %.</param>
    /// <param name="limitPercent">The limit, %.</param>
    public static Result<Worked<DryingOutlook>> Of(IReadOnlyList<MoistureReading> readings, double restingPercent = UsualRestingPercent, double limitPercent = CoatPercent)
    {
        MoistureReading[] r = [.. readings.OrderBy(x => x.Hours)];
        if (r.Length < 2 || r[^1].Hours - r[0].Hours < 1) return new Problem("readings-too-few", "/readings", "Give at least two readings, an hour or more apart.");
        if (limitPercent <= restingPercent)
            return new Problem("limit-below-air", "/limitPercent", $"In air that holds wood at {restingPercent:0.#} % it never falls below {limitPercent:0.#} %. Dry the air, or take a higher limit.");
        var sheet = new Worksheet();
        sheet.Cite(new Source("Exponential approach to the moisture of the air, least squares on its logarithm", SourceKind.Geometry));
        sheet.Cite(new Source($"{CoatPercent} % for wood to be coated or covered, decay from {DecayPercent} %: handbook figures", SourceKind.FromMemory));
        MoistureReading[] above = [.. r.Where(x => x.MoisturePercent > restingPercent + 0.1)];
        double last = r[^1].MoisturePercent;
        if (above.Length < 2) return sheet.Finish(new DryingOutlook(true, 0, null, restingPercent, limitPercent, "It is as dry as this air makes it."));

        double[] t = [.. above.Select(x => x.Hours)], y = [.. above.Select(x => Math.Log(x.MoisturePercent - restingPercent))];
        double tMean = t.Average(), yMean = y.Average(), spread = t.Sum(x => (x - tMean) * (x - tMean));
        double slope = spread > 0 ? t.Zip(y, (a, b) => (a - tMean) * (b - yMean)).Sum() / spread : 0;
        double k = sheet.Step("k", "pace of drying", "-slope of ln(m - m_e) over t", -slope, "per h");
        if (k <= 1e-5)
        {
            string wet = last >= DecayPercent ? $" At {last:0.#} % it decays." : "";
            return sheet.Finish(new DryingOutlook(false, null, null, restingPercent, limitPercent, $"It is not drying: water still comes in, or it cannot get out.{wet}"));
        }
        double fitted = sheet.Step("m", "moisture now, by the fit", "m_e + exp(intercept - k t)", restingPercent + Math.Exp(yMean + (slope * (r[^1].Hours - tMean))), "%");
        double half = sheet.Step("t_half", "time in which the water above the air's halves", "ln 2 / k", Math.Log(2) / k, "h");
        double hours = sheet.Step("t_limit", "from the last reading to the limit", "ln((m - m_e) / (limit - m_e)) / k", Math.Max(0, Math.Log((fitted - restingPercent) / (limitPercent - restingPercent)) / k), "h");
        string verdict = hours <= 0 ? $"Dry enough: below {limitPercent:0.#} %." : $"Below {limitPercent:0.#} % in about {(hours < 48 ? $"{hours:0} hours" : $"{hours / 24:0} days")}, if nothing wets it again.";
        return sheet.Finish(new DryingOutlook(true, hours, half, restingPercent, limitPercent, verdict));
    }
}
