using System.Globalization;
using System.Text.RegularExpressions;
using Abri.Core;
using Abri.Core.Weather;
using CsvHelper;

namespace Abri.Exchange;

/// <summary>A forecast that was read from a table.</summary>
/// <param name="Forecast">The forecast.</param>
/// <param name="Notes">What was filled in or left out, in words.</param>
public sealed record ReadWeather(Forecast Forecast, IReadOnlyList<string> Notes);

/// <summary>Reads a table of hours as weather services give it out: columns in any order, known by their headings.</summary>
/// <remarks>
/// Time, temperature, humidity or dew point, wind, and chance or amount of rain are needed; gusts and cloud may be missing. Units stand in the
/// headings: C or F; m/s, km/h, mph or knots; mm or in. Columns are parted by commas, semicolons or tabs; with the latter two a decimal comma is
/// read.
/// A gap of up to <see cref="MostGapHours"/> hours is filled, with the worse rain of its two ends; a longer one is told. Times without an offset are
/// those of a clock at the vehicle: of an hour that comes twice in autumn the first row is the earlier one.
/// </remarks>
public static partial class WeatherCsv
{
    /// <summary>Longest step from row to row that is filled, hours.</summary>
    public const int MostGapHours = 3;

    private const int MostLines = 5000;

    /// <summary>What stands in a column.</summary>
    private enum Column
    {
        Time,
        Date,
        Dew,
        Air,
        Humidity,
        Gust,
        Wind,
        Chance,
        Rain,
        Cloud,
    }

    /// <summary>The forecast, or the line that is wrong.</summary>
    /// <param name="text">The table.</param>
    /// <param name="zone">Time zone at the vehicle.</param>
    /// <param name="issuedAt">When it was read.</param>
    public static Result<ReadWeather> Read(string text, TimeZoneInfo zone, DateTimeOffset issuedAt)
    {
        using CsvParser csv = CsvTable.Open(text, out bool decimalComma);
        if (!csv.Read())
            return new Problem("csv-empty", "", "The file is empty.");
        if (!Heads(csv.Record!).IsOk(out Dictionary<Column, Head>? heads, out Problem? problem))
            return problem;
        var rows = new List<Row>();
        while (csv.Read())
        {
            if (rows.Count >= MostLines)
                return Wrong(csv.RawRow, $"is past the {MostLines} lines that are read.");
            if (!RowOf(csv.Record!, csv.RawRow, heads, decimalComma, zone, rows.LastOrDefault()?.At).IsOk(out Row? row, out problem))
                return problem;
            rows.Add(row);
        }
        return rows.Count == 0 ? new Problem("csv-empty", "", "The file has a heading and no hours.") : Joined(rows, heads, zone, issuedAt);
    }

    private sealed record Head(int Index, string Name, double Factor, double Offset);

    private sealed record Row(int Line, DateTimeOffset At, WeatherHour Hour);

    private static Result<Dictionary<Column, Head>> Heads(string[] names)
    {
        var heads = new Dictionary<Column, Head>();
        for (int i = 0; i < names.Length; i++)
        {
            string name = names[i].TrimStart('\uFEFF').ToLowerInvariant();
            if (Of(name) is not { } column)
                continue;
            (double factor, double offset) = Unit(column, name);
            if (!heads.TryAdd(column, new Head(i, names[i], factor, offset)))
                return new Problem("csv-heads", "", $"\"{heads[column].Name}\" and \"{names[i]}\" seem to tell the same. Leave one out.");
        }
        string[] missing =
        [
            .. Missing(heads, "time", Column.Time, Column.Date),
            .. Missing(heads, "temperature", Column.Air),
            .. Missing(heads, "humidity or dew point", Column.Humidity, Column.Dew),
            .. Missing(heads, "wind", Column.Wind),
            .. Missing(heads, "chance of rain or rain", Column.Chance, Column.Rain),
        ];
        return missing.Length > 0
            ? new Problem("csv-heads", "", $"The first line has to name the columns; not found: {string.Join(", ", missing)}.")
            : heads;
    }

    private static string[] Missing(Dictionary<Column, Head> heads, string name, params Column[] any) => any.Any(heads.ContainsKey) ? [] : [name];

    private static Column? Of(string name) =>
        name switch
        {
            _ when name.Contains("apparent")
                    || name.Contains("feels")
                    || name.Contains("direction")
                    || name.EndsWith("dir", StringComparison.Ordinal) => null,
            _ when name.Contains("dew") => Column.Dew,
            _ when name.Contains("time") || name.Contains("hour") => Column.Time,
            _ when name.Contains("date") => Column.Date,
            _ when name.Contains("temp") || name.StartsWith("air", StringComparison.Ordinal) => Column.Air,
            _ when name.Contains("humid") || Rh().IsMatch(name) => Column.Humidity,
            _ when name.Contains("gust") => Column.Gust,
            _ when name.Contains("wind") => Column.Wind,
            _ when name.Contains("prob") || name.Contains("chance") || name.Contains("risk") => Column.Chance,
            _ when name.Contains("rain") || name.Contains("precip") => Column.Rain,
            _ when name.Contains("cloud") => Column.Cloud,
            _ => null,
        };

    /// <summary>What turns a figure into our unit: times a factor, plus an offset.</summary>
    private static (double Factor, double Offset) Unit(Column column, string name) =>
        column switch
        {
            Column.Air or Column.Dew when Fahrenheit().IsMatch(name) => (5.0 / 9, -160.0 / 9),
            Column.Wind or Column.Gust when Kilometres().IsMatch(name) => (1 / 3.6, 0),
            Column.Wind or Column.Gust when Miles().IsMatch(name) => (0.44704, 0),
            Column.Wind or Column.Gust when Knots().IsMatch(name) => (1852.0 / 3600, 0),
            Column.Rain when Inches().IsMatch(name) => (25.4, 0),
            _ => (1, 0),
        };

    private static Result<Row> RowOf(
        string[] cells,
        int line,
        Dictionary<Column, Head> heads,
        bool decimalComma,
        TimeZoneInfo zone,
        DateTimeOffset? before
    )
    {
        if (!TimeOf(cells, line, heads, zone, before).IsOk(out object? when, out Problem? problem))
            return problem;
        var at = (DateTimeOffset)when;
        Problem? wrong = null;
        double? Figure(Column column, double least, double most, string unit, string hint = "")
        {
            if (wrong is not null || !heads.TryGetValue(column, out Head? head))
                return null;
            string cell = head.Index < cells.Length ? cells[head.Index] : "";
            if (CsvTable.Figure(cell.TrimEnd('%', ' '), decimalComma) is not { } read)
            {
                wrong = Wrong(line, $"has \"{cell}\" under \"{head.Name}\": a number is needed there.");
                return null;
            }
            double figure = (read * head.Factor) + head.Offset;
            if (figure >= least && figure <= most)
                return figure;
            wrong = Wrong(line, $"has {cell} under \"{head.Name}\": it has to lie between {least:0} and {most:0} {unit}.{hint}");
            return null;
        }
        double? air = Figure(Column.Air, -60, 60, "°C", " Where it is in °F, name the column temperature (F)."),
            dew = Figure(Column.Dew, -80, 40, "°C", " Where it is in °F, name the column dew point (F)."),
            humidity = Figure(Column.Humidity, 0, 100, "%"),
            wind = Figure(Column.Wind, 0, 75, "m/s", " Where it is in km/h, mph or knots, say so in the heading."),
            gust = Figure(Column.Gust, 0, 120, "m/s", " Where it is in km/h, mph or knots, say so in the heading."),
            chance = Figure(Column.Chance, 0, 100, "%"),
            rain = Figure(Column.Rain, 0, 200, "mm"),
            cloud = Figure(Column.Cloud, 0, 100, "%");
        if (wrong is not null)
            return wrong;
        return new Row(
            line,
            at,
            new WeatherHour(
                Math.Round(air!.Value, 1),
                Math.Clamp(Math.Round(humidity ?? MoistAir.RelativePercent(air.Value, dew!.Value)), 1, 100),
                Math.Round(wind!.Value, 1),
                Math.Round(Math.Max(gust ?? wind.Value * 1.6, wind.Value), 1),
                Math.Round(rain ?? 1, 1),
                chance ?? WeatherFromDays.RainPercentOf(rain > 0 ? Sky.Rain : Sky.Dry),
                cloud ?? 50
            )
        );
    }

    private static Result<object> TimeOf(string[] cells, int line, Dictionary<Column, Head> heads, TimeZoneInfo zone, DateTimeOffset? before)
    {
        string Cell(Column column) => heads.TryGetValue(column, out Head? head) && head.Index < cells.Length ? cells[head.Index] : "";
        string said = $"{Cell(Column.Date)} {Cell(Column.Time)}".Trim();
        if (Offset().IsMatch(said) && DateTimeOffset.TryParse(said, CultureInfo.InvariantCulture, out DateTimeOffset exact))
            return OnTheHour(exact, line, said);
        string[] forms =
        [
            "yyyy-MM-dd'T'HH:mm",
            "yyyy-MM-dd'T'HH:mm:ss",
            "yyyy-MM-dd HH:mm",
            "yyyy-MM-dd HH:mm:ss",
            "d.M.yyyy H:mm",
            "d.M.yyyy HH:mm:ss",
        ];
        if (!DateTime.TryParseExact(said, forms, CultureInfo.InvariantCulture, DateTimeStyles.None, out DateTime shown))
            return Wrong(line, $"has the time \"{said}\": write it as 2031-05-12T07:00.");
        if (zone.IsInvalidTime(shown))
            return Wrong(line, $"has {shown:HH:mm} on {shown:d MMMM}: clocks go forward then, and that hour is not there.");
        if (!zone.IsAmbiguousTime(shown))
            return OnTheHour(new DateTimeOffset(shown, zone.GetUtcOffset(shown)), line, said);
        // Comes twice: the earlier one, unless that was there already.
        DateTimeOffset[] both = [.. zone.GetAmbiguousTimeOffsets(shown).OrderDescending().Select(o => new DateTimeOffset(shown, o))];
        return OnTheHour(before is { } b && both[0] <= b ? both[1] : both[0], line, said);
    }

    private static Result<object> OnTheHour(DateTimeOffset at, int line, string said) =>
        at.UtcTicks % TimeSpan.TicksPerHour == 0 ? at.ToUniversalTime() : Wrong(line, $"has the time {said}: hours are read, on the full hour.");

    private static Result<ReadWeather> Joined(List<Row> rows, Dictionary<Column, Head> heads, TimeZoneInfo zone, DateTimeOffset issuedAt)
    {
        var notes = new List<string>();
        rows.Sort((a, b) => a.At == b.At ? a.Line.CompareTo(b.Line) : a.At.CompareTo(b.At));
        var hours = new List<WeatherHour> { rows[0].Hour };
        (int twice, int filled) = (0, 0);
        string Shown(DateTimeOffset at) => TimeZoneInfo.ConvertTime(at, zone).ToString("d MMMM HH:mm", CultureInfo.InvariantCulture);
        for (int i = 1; i < rows.Count; i++)
        {
            (Row before, Row row) = (rows[i - 1], rows[i]);
            int step = (int)(row.At - before.At).TotalHours;
            if (step == 0)
            {
                if (row.Hour != before.Hour)
                    return Wrong(row.Line, $"gives {Shown(row.At)}, as line {before.Line} does, with other figures. Delete one of them.");
                twice++;
                continue;
            }
            if (step > MostGapHours)
                return Wrong(
                    row.Line,
                    $"begins at {Shown(row.At)}, {step} hours after the line before it. Gaps of more than {MostGapHours} hours are not "
                        + "guessed: fill it in, or leave out what comes after it."
                );
            for (int h = 1; h < step; h++, filled++)
                hours.Add(Between(before.Hour, row.Hour, (double)h / step));
            hours.Add(row.Hour);
        }
        if (twice > 0)
            notes.Add($"{twice} {(twice == 1 ? "hour stood" : "hours stood")} in the table twice and {(twice == 1 ? "was" : "were")} read once.");
        if (filled > 0)
            notes.Add($"{filled} {(filled == 1 ? "hour was" : "hours were")} not in the table and filled in from the hours beside.");
        if (!heads.ContainsKey(Column.Gust))
            notes.Add("No gusts in the table: taken as 1.6 times the wind.");
        if (!heads.ContainsKey(Column.Cloud))
            notes.Add("No cloud in the table: taken as half covered.");
        if (!heads.ContainsKey(Column.Chance))
            notes.Add("No chance of rain in the table: its hours count as if you had typed rain or dry.");
        if (hours.Count > Forecast.MostHours)
        {
            notes.Add($"Only the first {Forecast.MostDays} days were read.");
            hours.RemoveRange(Forecast.MostHours, hours.Count - Forecast.MostHours);
        }
        return new ReadWeather(new Forecast(ForecastSource.Table, issuedAt, rows[0].At, hours), notes);
    }

    /// <summary>An hour between two: what is measured in between, of rain the worse.</summary>
    private static WeatherHour Between(WeatherHour a, WeatherHour b, double share)
    {
        double Mix(double x, double y) => Math.Round(x + ((y - x) * share), 1);
        return new WeatherHour(
            Mix(a.AirC, b.AirC),
            Math.Round(Mix(a.RelativePercent, b.RelativePercent)),
            Mix(a.WindMs, b.WindMs),
            Math.Max(a.GustMs, b.GustMs),
            Math.Max(a.RainMm, b.RainMm),
            Math.Max(a.RainPercent, b.RainPercent),
            Math.Round(Mix(a.CloudPercent, b.CloudPercent))
        );
    }

    private static Problem Wrong(int line, string what) => new("csv-line", "", $"Line {line} {what}");

    [GeneratedRegex(@"(^|[^a-z])rh([^a-z]|$)", RegexOptions.NonBacktracking)]
    private static partial Regex Rh();

    [GeneratedRegex(@"(^|[^a-z])f([^a-z]|$)|fahrenheit|°f", RegexOptions.NonBacktracking)]
    private static partial Regex Fahrenheit();

    [GeneratedRegex(@"km/?h|kph|kmh", RegexOptions.NonBacktracking)]
    private static partial Regex Kilometres();

    [GeneratedRegex(@"mph|mi/h|miles", RegexOptions.NonBacktracking)]
    private static partial Regex Miles();

    [GeneratedRegex(@"(^|[^a-z])(kn|kt|kts)([^a-z]|$)|knot", RegexOptions.NonBacktracking)]
    private static partial Regex Knots();

    [GeneratedRegex(@"(^|[^a-z])in([^a-z]|$)|inch", RegexOptions.NonBacktracking)]
    private static partial Regex Inches();

    [GeneratedRegex(@"(Z|[+-]\d\d:?\d\d)$", RegexOptions.NonBacktracking)]
    private static partial Regex Offset();
}
