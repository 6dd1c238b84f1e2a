using System.Globalization;
using Abri.Core.Declared;

namespace Abri.Core.Geometry;

/// <summary>The unit in which a person reads a tape.</summary>
public enum UnitSystem
{
    /// <summary>Millimetres.</summary>
    Mm,

    /// <summary>Inches with binary fractions.</summary>
    Inch,
}

/// <summary>Writes a length the way a person reads it off a tape: <c>41.3 mm</c> or <c>1 5/8"</c>.</summary>
/// <param name="Units">Millimetres or inches.</param>
/// <param name="InchDenominator">Finest fraction of an inch that is written: 16 or 32.</param>
/// <example>41.275 mm is written <c>41.3 mm</c>, or <c>1 5/8"</c>.</example>
public sealed record LengthFormat(UnitSystem Units = UnitSystem.Mm, [InchFraction] int InchDenominator = 16)
{
    /// <summary>Length of an inch, mm: exact by the international definition of 1959.</summary>
    public const double MmPerInch = 25.4;

    /// <summary>Millimetres, one decimal.</summary>
    public static LengthFormat Millimetres { get; } = new();

    /// <summary>Writes a length with its unit.</summary>
    /// <param name="mm">Length, mm; may be negative.</param>
    public string Text(double mm) => Units == UnitSystem.Mm ? $"{Number(mm)} mm" : Number(mm) + "\"";

    /// <summary>Writes an amount to be taken off or added: rounded up, so that it is enough, and what is too small to be shown is not
    /// nothing.</summary>
    /// <param name="mm">Amount, mm; more than 0.</param>
    /// <example>0.3 mm in sixteenths: <c>less than 1/16"</c>; 5.3 mm: <c>1/4"</c>.</example>
    public string Amount(double mm)
    {
        double step = Units == UnitSystem.Mm ? 0.1 : MmPerInch / InchDenominator;
        return mm < step - HairMm ? $"less than {Text(step)}" : Text(Math.Ceiling((mm - HairMm) / step) * step);
    }

    /// <summary>Writes the size of a drill: in inches to its own steps of 1/64, with the millimetres beside.</summary>
    /// <param name="mm">Diameter, mm.</param>
    /// <example>12 mm in inches: <c>15/32" (12 mm)</c>.</example>
    public string Drill(double mm) =>
        Units == UnitSystem.Mm ? Text(mm) : $"{(this with { InchDenominator = DrillDenominator }).Text(mm)} ({Millimetres.Text(mm)})";

    /// <summary>Drills in inches come in 64ths.</summary>
    private const int DrillDenominator = 64;

    /// <summary>Writes a length without its unit.</summary>
    /// <param name="mm">Length, mm; may be negative.</param>
    public string Number(double mm) => Units == UnitSystem.Mm ? Decimal(mm) : Fraction(mm);

    /// <summary>The length that <see cref="Text"/> shows, mm: the nearest tenth of a millimetre or fraction of an inch.</summary>
    /// <param name="mm">Length, mm.</param>
    public double Shown(double mm) =>
        Units == UnitSystem.Mm ? Math.Round(mm, 1, MidpointRounding.AwayFromZero) : Ticks(mm) * MmPerInch / InchDenominator;

    /// <summary>What is taken for noise of the arithmetic, mm.</summary>
    private const double HairMm = 1e-6;

    private static string Decimal(double mm)
    {
        double rounded = Math.Round(mm, 1, MidpointRounding.AwayFromZero);
        return (rounded == 0 ? 0 : rounded).ToString("0.#", CultureInfo.InvariantCulture);
    }

    private long Ticks(double mm) => (long)Math.Round(mm / MmPerInch * InchDenominator, MidpointRounding.AwayFromZero);

    private string Fraction(double mm)
    {
        long ticks = Ticks(mm);
        (long whole, long numerator) = Math.DivRem(Math.Abs(ticks), InchDenominator);
        long denominator = InchDenominator;
        while (numerator > 0 && numerator % 2 == 0)
            (numerator, denominator) = (numerator / 2, denominator / 2);
        string sign = ticks < 0 ? "-" : "";
        if (numerator == 0)
            return $"{sign}{whole}";
        return whole == 0 ? $"{sign}{numerator}/{denominator}" : $"{sign}{whole} {numerator}/{denominator}";
    }
}
