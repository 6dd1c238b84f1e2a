using Abri.Core.Openings;
using Abri.Core.Shell;

namespace Abri.Core.Sealing;

/// <summary>How thick a bond has to be.</summary>
/// <param name="MovementMm">How far the edge moves against its ground, mm.</param>
/// <param name="LeastMm">Least thickness, mm.</param>
public sealed record BondLine(double MovementMm, double LeastMm);

/// <summary>What a bonded part is made of.</summary>
public enum Part
{
    /// <summary>Acrylic sheet.</summary>
    Acrylic,

    /// <summary>Polycarbonate sheet.</summary>
    Polycarbonate,

    /// <summary>Glass.</summary>
    Glass,

    /// <summary>Aluminium.</summary>
    Aluminium,

    /// <summary>Steel.</summary>
    Steel,

    /// <summary>Glass-reinforced plastic.</summary>
    GlassReinforcedPlastic,
}

/// <summary>What shearing a bond does to it, against the movement class of a product.</summary>
/// <remarks>A bond of thickness t whose sides slide by d has the shear strain g = d / t; its slant is sqrt(1 + g^2) times as long as it was, so that
/// it is stretched by sqrt(1 + g^2) - 1 (geometry). Movement classes: ISO 11600, from memory.</remarks>
/// <example>A class of 25 % is reached at g = 0.75, one of 12.5 % at 0.52, one of 7.5 % at 0.39.</example>
public static class Shear
{
    internal static readonly Source Source = new("A bond sheared by g is stretched by sqrt(1 + g^2) - 1", SourceKind.Geometry);

    /// <summary>By how much a bond is stretched.</summary>
    /// <param name="strain">Shear strain.</param>
    public static double Stretch(double strain) => Math.Sqrt(1 + (strain * strain)) - 1;

    /// <summary>The shear strain that a movement class allows.</summary>
    /// <param name="movementPercent">The class, %.</param>
    public static double Allowed(double movementPercent)
    {
        double by = 1 + (movementPercent / 100);
        return Math.Sqrt((by * by) - 1);
    }
}

/// <summary>Works out how thick an elastic bond must be to follow thermal movement.</summary>
/// <remarks>
/// Movement |a1 - a2| dT L / 2 from the middle; thickness = movement / allowed shear strain. Coefficients: handbook figures, from memory. The bond is
/// sheared, not pulled: <see cref="Shear"/> holds its strain against the movement class of a product, so
/// that the thickness that is asked for and the product that is chosen cannot contradict each other.
/// </remarks>
/// <example>Acrylic on steel, 1092 mm, 50 K: 1.58 mm, so 3.2 mm thick; glass on steel: 0.08 mm.</example>
public static class BondThickness
{
    /// <summary>Usual allowed shear strain: assumption; the data sheet comes first.</summary>
    public const double UsualStrain = 0.5;

    /// <summary>Span of temperature between a winter night and a dark roof in the sun, K: assumption.</summary>
    public const double SpanK = 50;

    /// <summary>The bond line.</summary>
    /// <param name="first">The one part.</param>
    /// <param name="second">The other.</param>
    /// <param name="lengthMm">Longest dimension, mm.</param>
    /// <param name="kelvin">Span of temperature, K.</param>
    /// <param name="strain">Allowed shear strain.</param>
    public static Worked<BondLine> Of(Part first, Part second, double lengthMm, double kelvin, double strain = UsualStrain)
    {
        var sheet = new Worksheet();
        double a1 = sheet.Step("a1", $"expansion of {Word(first)}", "handbook figure", PerK(first) * 1e6, "1e-6/K") / 1e6,
            a2 = sheet.Step("a2", $"expansion of {Word(second)}", "handbook figure", PerK(second) * 1e6, "1e-6/K") / 1e6;
        double movement = sheet.Step("u", "movement of the edge", "|a1 - a2| dT L / 2", Math.Abs(a1 - a2) * kelvin * lengthMm / 2, "mm");
        double least = sheet.Step("t", "least thickness", "u / allowed strain", movement / strain, "mm");
        sheet.Cite(new Source("Free thermal expansion from the middle", SourceKind.Geometry));
        sheet.Cite(new Source("Coefficients of thermal expansion: handbook figures", SourceKind.FromMemory));
        sheet.Step("c", "movement class that follows that", "sqrt(1 + strain^2) - 1", 100 * Shear.Stretch(strain), "%");
        sheet.Cite(Shear.Source);
        sheet.Cite(new Source($"Allowed shear strain {strain:0.##}", SourceKind.Assumption));
        return sheet.Finish(new BondLine(movement, least));
    }

    /// <summary>The bond line of a pane on a skin, over <see cref="SpanK"/>.</summary>
    /// <param name="pane">What the pane is made of.</param>
    /// <param name="skin">What the skin is made of.</param>
    /// <param name="longestMm">Longest dimension of the pane, mm.</param>
    public static Worked<BondLine> Of(Pane pane, SkinMaterial skin, double longestMm) => Of(PartOf(pane), PartOf(skin), longestMm, SpanK);

    private static Part PartOf(Pane pane) =>
        pane switch
        {
            Pane.Acrylic => Part.Acrylic,
            Pane.Polycarbonate => Part.Polycarbonate,
            _ => Part.Glass,
        };

    /// <summary>Plywood is skinned with glass-reinforced plastic, which is what a bond holds to.</summary>
    private static Part PartOf(SkinMaterial material) =>
        material switch
        {
            SkinMaterial.Aluminium => Part.Aluminium,
            SkinMaterial.GlassReinforcedPlastic or SkinMaterial.PlywoodSkin => Part.GlassReinforcedPlastic,
            _ => Part.Steel,
        };

    /// <summary>Thermal expansion, 1/K: handbook figures, from memory.</summary>
    public static double PerK(Part part) =>
        part switch
        {
            Part.Acrylic => 70e-6,
            Part.Polycarbonate => 65e-6,
            Part.Glass => 9e-6,
            Part.Aluminium => 23e-6,
            Part.GlassReinforcedPlastic => 25e-6,
            _ => 12e-6,
        };

    private static string Word(Part part) => part == Part.GlassReinforcedPlastic ? "glass-reinforced plastic" : part.ToString().ToLowerInvariant();
}
