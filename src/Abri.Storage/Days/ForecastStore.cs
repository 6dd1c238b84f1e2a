using System.Globalization;
using Abri.Core.Weather;
using Microsoft.Data.Sqlite;

namespace Abri.Storage.Days;

/// <summary>Keeps the last forecast of each vehicle.</summary>
public sealed class ForecastStore(Database database) : LastOneStore<Forecast>(database, "forecast")
{
    /// <inheritdoc/>
    protected override IReadOnlyDictionary<string, object?> Columns(Forecast value) =>
        new Dictionary<string, object?>
        {
            ["source"] = Storage.Columns.Name(value.Source),
            ["issued_at"] = Storage.Columns.MaybeTime(value.IssuedAt),
            ["from_at"] = Storage.Columns.MaybeTime(value.From),
            ["hours"] = Storage.Columns.Json(value.Hours),
            ["days"] = Storage.Columns.MaybeJson(value.Days),
            ["members"] = Storage.Columns.MaybeJson(value.Members),
            ["service"] = Storage.Columns.MaybeJson(value.Service),
        };

    /// <inheritdoc/>
    protected override Forecast Read(SqliteDataReader row) =>
        new(
            row.Enum<ForecastSource>("source"),
            row.MaybeTime("issued_at")!.Value,
            row.MaybeTime("from_at")!.Value,
            row.Json<WeatherHour[]>("hours"),
            row.MaybeJson<DayWeather[]>("days"),
            row.MaybeJson<string[]>("members"),
            row.MaybeJson<SimulatedService>("service")
        );

    /// <inheritdoc/>
    protected override string Title(Forecast value) => string.Create(CultureInfo.InvariantCulture, $"forecast of {value.IssuedAt:d MMMM HH:mm}");
}
