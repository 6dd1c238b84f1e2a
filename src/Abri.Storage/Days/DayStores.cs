namespace Abri.Storage.Days;

/// <summary>The stores of what decides about days.</summary>
/// <param name="Forecasts">Forecasts.</param>
/// <param name="People">People.</param>
/// <param name="Own">What somebody wrote down to do.</param>
/// <param name="Plans">Plans.</param>
public sealed record DayStores(ForecastStore Forecasts, PersonStore People, OwnTaskStore Own, PlanStore Plans);
