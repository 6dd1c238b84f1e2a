using System.Globalization;

namespace Abri.Core.Declared;

/// <summary>A number lies within a range, both ends included.</summary>
/// <param name="least">Least value, in the field's unit.</param>
/// <param name="most">Greatest value.</param>
/// <param name="label">What people call the figure, as it begins a sentence: <c>The gap</c>.</param>
/// <param name="unit">Its unit; empty where it has none.</param>
public sealed class WithinAttribute(double least, double most, string label, string unit = "") : DeclaredAttribute
{
    /// <summary>Least value, in the field's unit.</summary>
    public double Least => least;

    /// <summary>Greatest value.</summary>
    public double Most => most;

    /// <summary>What people call the figure.</summary>
    public string Label => label;

    /// <summary>Its unit; empty where it has none.</summary>
    public string Unit => unit;

    /// <inheritdoc/>
    public override (string Pointer, string Message)? Wrong(object value) =>
        Said(Convert.ToDouble(value, CultureInfo.InvariantCulture)) is { } said ? Here(said) : null;

    internal string? Said(double x) =>
        x >= least && x <= most
            ? null
            : string.Create(
                CultureInfo.InvariantCulture,
                $"{label} must lie between {least:0.###} and {most:0.###}{(unit.Length > 0 ? " " : "")}{unit}; {x:0.###} was given."
            );
}

/// <summary>Every number of a list lies within a range, both ends included.</summary>
/// <param name="least">Least value.</param>
/// <param name="most">Greatest value.</param>
/// <param name="label">What people call one of them, as it begins a sentence.</param>
/// <param name="unit">Their unit.</param>
public sealed class EachWithinAttribute(double least, double most, string label, string unit) : DeclaredAttribute
{
    private readonly WithinAttribute one = new(least, most, label, unit);

    /// <inheritdoc/>
    public override (string Pointer, string Message)? Wrong(object value)
    {
        var numbers = (IReadOnlyList<double>)value;
        for (int i = 0; i < numbers.Count; i++)
        {
            if (one.Said(numbers[i]) is { } said)
                return ($"/{i}", said);
        }
        return null;
    }
}
