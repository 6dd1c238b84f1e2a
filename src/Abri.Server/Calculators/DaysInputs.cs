using Abri.Core.Days;
using Abri.Core.Days.Planning;
using Abri.Core.Declared;
using Abri.Core.Shell;
using Abri.Core.Weather;

namespace Abri.Server.Calculators;

/// <summary>Input of the calculator <c>daylight</c>.</summary>
/// <param name="Place">Where.</param>
/// <param name="Date">The day there.</param>
/// <param name="TimeZone">Name of its time zone.</param>
public sealed record DaylightInput(Place Place, [Dated] DateOnly Date, [TimeZone] string TimeZone = "Etc/UTC");

/// <summary>Input of the calculator <c>weather-expand</c>.</summary>
/// <param name="Days">The days, one after another.</param>
/// <param name="TimeZone">Name of the time zone at the vehicle.</param>
/// <param name="Place">Where it stands; null where nobody said.</param>
/// <param name="IssuedAt">When it was said.</param>
public sealed record WeatherExpandInput(
    [Count(1, Forecast.MostDays, "From 1 to {1} days are typed.")] IReadOnlyList<DayWeather> Days,
    [TimeZone] string TimeZone,
    Place? Place,
    [Dated] DateTimeOffset IssuedAt
);

/// <summary>Input of the calculator <c>cut-window</c>.</summary>
/// <param name="Span">The steps from the cut until rain does no more harm.</param>
/// <param name="On">Weather, light and people.</param>
/// <param name="Care">How careful to be.</param>
/// <param name="Now">The moment.</param>
public sealed record CutWindowInput(OpenSpan Span, Conditions On, CutCare Care, [Dated] DateTimeOffset Now);

/// <summary>Input of the calculator <c>plan</c>.</summary>
/// <param name="Question">What is to be planned.</param>
public sealed record PlanInput(PlanQuestion Question);

/// <summary>Input of the calculator <c>rain-risk</c>.</summary>
/// <param name="Span">The steps from the cut until rain does no more harm.</param>
/// <param name="Forecast">The forecast.</param>
/// <param name="From">First beginning.</param>
/// <param name="Starts">How many, half an hour apart.</param>
/// <param name="Seed">Of what is drawn.</param>
public sealed record RainRiskInput(
    OpenSpan Span,
    Forecast Forecast,
    [Dated] DateTimeOffset From,
    [Within(1, RainRisk.MostStarts, "The number of beginnings")] int Starts = RainRisk.MostStarts,
    [Within(1, 1_000_000, "The seed")] int Seed = 1
);

/// <summary>Input of the calculator <c>learning</c>.</summary>
/// <param name="FirstMinutes">The first one, min.</param>
/// <param name="Count">Which one, from 1.</param>
/// <param name="Rate">Share that each doubling takes.</param>
public sealed record LearningInput(
    [Within(0, 10_000, "The first time", "min")] double FirstMinutes,
    [Within(1, 1000, "The count")] int Count,
    [Within(0.5, 1, "The share")] double Rate = Learning.UsualRate
);

/// <summary>Input of the calculator <c>maintenance-due</c>.</summary>
/// <param name="Last">When it was done last.</param>
/// <param name="Months">Months from one time to the next.</param>
public sealed record MaintenanceDueInput([Dated] DateOnly Last, [Within(1, 120, "From one time to the next", "months")] int Months);

/// <summary>Input of the calculator <c>sol-air</c>.</summary>
/// <param name="Roof">The roof in the sun.</param>
public sealed record SolAirInput(RoofInSun Roof);

/// <summary>Input of the calculator <c>hole-cover</c>.</summary>
/// <param name="LengthMm">Length of the hole, mm.</param>
/// <param name="WidthMm">Its width, mm.</param>
/// <param name="Fits">Whether a fitting is there that can be set in dry and held.</param>
public sealed record HoleCoverInput(
    [Within(20, 5000, "The hole", "mm")] double LengthMm,
    [Within(20, 5000, "The hole", "mm")] double WidthMm,
    bool Fits
);
