using System.Globalization;

namespace Abri.Core.Declared;

/// <summary>A quarter turn: 0, 90, 180 or 270 degrees.</summary>
public sealed class QuarterTurnAttribute : DeclaredAttribute
{
    /// <inheritdoc/>
    public override (string Pointer, string Message)? Wrong(object value) =>
        value is 0 or 90 or 180 or 270
            ? null
            : Here(string.Create(CultureInfo.InvariantCulture, $"A fitting is turned by 0, 90, 180 or 270 degrees; {value} was given."));
}

/// <summary>The finest fraction of an inch that is shown: sixteenths or thirty-seconds.</summary>
public sealed class InchFractionAttribute : DeclaredAttribute
{
    /// <inheritdoc/>
    public override (string Pointer, string Message)? Wrong(object value) =>
        value is 16 or 32 ? null : Here("Inches are shown in sixteenths or thirty-seconds: 16 or 32.");
}

/// <summary>A date that can be meant.</summary>
public sealed class DatedAttribute : DeclaredAttribute
{
    /// <inheritdoc/>
    public override (string Pointer, string Message)? Wrong(object value) =>
        (value is DateOnly day ? day.Year : ((DateTimeOffset)value).Year) is >= 1950 and <= 2150
            ? null
            : Here("The date must lie between 1950 and 2150.");
}
