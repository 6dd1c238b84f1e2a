namespace Abri.Core.Sealing;

/// <summary>How thick a bond has to be.</summary>
/// <param name="MovementMm">How far the edge moves against its ground, mm.</param>
/// <param name="LeastMm">Least thickness, mm.</param>
public sealed record BondLine(double MovementMm, double LeastMm);

/// <summary>Works out how thick an elastic bond must be to follow thermal movement.</summary>
/// <remarks>Movement |a1 - a2| dT L / 2 from the middle; thickness = movement / allowed shear strain. Coefficients: handbook figures, from memory.</remarks>
/// <example>Acrylic on steel, 1092 mm, 50 K: 1.58 mm, so 3.2 mm thick; glass on steel: 0.08 mm.</example>
public static class BondThickness
{
    /// <summary>Usual allowed shear strain: assumption; the data sheet comes first.</summary>
    public const double UsualStrain = 0.5;

    /// <summary>The bond line.</summary>
    /// <param name="firstPerK">Thermal expansion of the one, 1/K.</param>
    /// <param name="secondPerK">Of the other, 1/K.</param>
    /// <param name="lengthMm">Longest dimension, mm.</param>
    /// <param name="kelvin">Span of temperature, K.</param>
    /// <param name="strain">Allowed shear strain.</param>
    public static Worked<BondLine> Of(double firstPerK, double secondPerK, double lengthMm, double kelvin, double strain = UsualStrain)
    {
        var sheet = new Worksheet();
        double movement = sheet.Step("u", "movement of the edge", "|a1 - a2| dT L / 2", Math.Abs(firstPerK - secondPerK) * kelvin * lengthMm / 2, "mm");
        double least = sheet.Step("t", "least thickness", "u / allowed strain", movement / strain, "mm");
        sheet.Cite(new Source("Free thermal expansion from the middle", SourceKind.Geometry));
        sheet.Cite(new Source($"Allowed shear strain {strain:0.##}", SourceKind.Assumption));
        return sheet.Finish(new BondLine(movement, least));
    }
}
