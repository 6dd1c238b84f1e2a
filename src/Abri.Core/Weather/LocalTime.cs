namespace Abri.Core.Weather;

/// <summary>Times as a clock at the vehicle shows them.</summary>
/// <remarks>An hour that summer time leaves out counts as the one after it; of an hour that comes twice the first is meant.</remarks>
internal static class LocalTime
{
    /// <summary>The moment at which a clock there shows a time.</summary>
    public static DateTimeOffset At(DateOnly date, TimeOnly time, TimeZoneInfo zone)
    {
        DateTime shown = date.ToDateTime(time);
        while (zone.IsInvalidTime(shown))
            shown = shown.AddMinutes(30);
        TimeSpan offset = zone.IsAmbiguousTime(shown) ? zone.GetAmbiguousTimeOffsets(shown).Max() : zone.GetUtcOffset(shown);
        return new DateTimeOffset(shown, offset);
    }

    /// <summary>The same moment as a clock there shows it.</summary>
    public static DateTimeOffset In(DateTimeOffset moment, TimeZoneInfo zone) => TimeZoneInfo.ConvertTime(moment, zone);
}
