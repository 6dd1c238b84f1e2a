namespace Abri.Storage.Days;

/// <summary>The stores of what decides about days.</summary>
/// <param name="Forecasts">Forecasts.</param>
/// <param name="People">People.</param>
public sealed record DayStores(ForecastStore Forecasts, PersonStore People);
