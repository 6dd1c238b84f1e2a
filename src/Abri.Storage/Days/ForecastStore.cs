using System.Globalization;
using Abri.Core.Weather;
using Microsoft.Data.Sqlite;

namespace Abri.Storage.Days;

/// <summary>Keeps the last forecast of each vehicle.</summary>
public sealed class ForecastStore(Database database) : Store<Forecast>(database, "forecast", "vehicle_id")
{
    /// <summary>The forecast takes the place of the one before it.</summary>
    public Written<Forecast> Keep(string vehicleId, Forecast value)
    {
        string id;
        using (PendingChange pending = Database.Begin())
        {
            if (pending.Ids("forecast", "vehicle_id", vehicleId).ToArray() is [var before, ..])
                pending.Update("forecast", id = before, Columns(value));
            else
                id = Insert(pending, vehicleId, value);
            pending.Commit(vehicleId, $"Kept the {Title(value)}");
        }
        return new Written<Forecast>(WriteState.Done, Find(id));
    }

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

    /// <inheritdoc/>
    protected override string Scope(string? ownerId, string id) => ownerId!;
}
