using System.Globalization;
using Abri.Core;
using Microsoft.Data.Sqlite;

namespace Abri.Storage;

/// <summary>Reads columns by name, and writes enums the way JSON does.</summary>
internal static class Columns
{
    public static string Text(this SqliteDataReader row, string column) => row.GetString(row.GetOrdinal(column));

    public static string? MaybeText(this SqliteDataReader row, string column) => row.IsDBNull(row.GetOrdinal(column)) ? null : row.Text(column);

    public static int Int(this SqliteDataReader row, string column) => row.GetInt32(row.GetOrdinal(column));

    public static double Real(this SqliteDataReader row, string column) => row.GetDouble(row.GetOrdinal(column));

    public static double? MaybeReal(this SqliteDataReader row, string column) => row.IsDBNull(row.GetOrdinal(column)) ? null : row.Real(column);

    public static T Json<T>(this SqliteDataReader row, string column) => AbriJson.Read<T>(row.Text(column));

    public static T? MaybeJson<T>(this SqliteDataReader row, string column)
        where T : class => row.MaybeText(column) is { } json ? AbriJson.Read<T>(json) : null;

    public static T Enum<T>(this SqliteDataReader row, string column)
        where T : struct, Enum => System.Enum.Parse<T>(row.Text(column), ignoreCase: true);

    public static DateTimeOffset? MaybeTime(this SqliteDataReader row, string column) =>
        row.MaybeText(column) is { } time ? DateTimeOffset.Parse(time, CultureInfo.InvariantCulture) : null;

    public static DateOnly? MaybeDate(this SqliteDataReader row, string column) =>
        row.MaybeText(column) is { } text ? DateOnly.ParseExact(text, "O", CultureInfo.InvariantCulture) : null;

    public static string? MaybeDate(DateOnly? value) => value?.ToString("O", CultureInfo.InvariantCulture);

    public static string? MaybeTime(DateTimeOffset? value) => value?.ToUniversalTime().ToString("O", CultureInfo.InvariantCulture);

    public static string Name<T>(T value)
        where T : struct, Enum => char.ToLowerInvariant(value.ToString()[0]) + value.ToString()[1..];

    public static string Json<T>(T value) => AbriJson.Write(value);

    public static string? MaybeJson<T>(T? value)
        where T : class => value is null ? null : AbriJson.Write(value);
}
