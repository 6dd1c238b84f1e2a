using Abri.Core.Geometry;

namespace Abri.Core.Metal;

/// <summary>What is bent.</summary>
public enum BendMetal
{
    /// <summary>Soft copper and brass.</summary>
    SoftCopper,

    /// <summary>Mild steel, galvanised steel, aluminium.</summary>
    MildSteel,

    /// <summary>Cold-rolled and spring-hard sheet.</summary>
    HardSteel,
}

/// <summary>One bend.</summary>
/// <param name="AllowanceMm">Length of flat sheet that the bend takes up, mm.</param>
/// <param name="SetbackMm">From the end of the bend to the corner where the outer faces would meet, mm.</param>
/// <param name="DeductionMm">By how much the flat blank is shorter than its two outer lengths together, mm.</param>
/// <param name="KFactor">How deep the line lies that keeps its length, as a share of the thickness from the inside.</param>
/// <param name="LeastFlangeMm">Shortest flange that bending plates hold, mm; hand pliers want 10 mm.</param>
/// <param name="Verdict">What to do, in a sentence.</param>
public sealed record BendPlan(double AllowanceMm, double SetbackMm, double DeductionMm, double KFactor, double LeastFlangeMm, string Verdict);

/// <summary>Works out how much sheet a bend takes.</summary>
/// <remarks>
/// At 90 degrees (k T + 1.57 R), with k = 0.55 for soft copper, 0.64 for mild steel and aluminium, 0.71 for hard sheet: the form of Machinery's
/// Handbook, from memory; at other angles in proportion. As a K-factor that is 2 k / pi: allowance = A (R + K T) with A in radians. Setback
/// (R + T) tan(A / 2) and deduction 2 setback - allowance are geometry. Sharper than 165 degrees is a hem, which this does not describe.
/// </remarks>
/// <example>T 1.0, R 1.0, 90 degrees in mild steel: 2.21 mm; T 1.5, R 2.0: 4.10 mm.</example>
public static class Bend
{
    /// <summary>Most that sheet is bent out of the flat here, degrees.</summary>
    public const double MostDegrees = 165;

    /// <summary>Widest inside radius, in thicknesses, for which the share of the thickness is said: assumption.</summary>
    public const double MostRadii = 5;

    /// <summary>Least flange by plates: four thicknesses and the radius. Common practice.</summary>
    public const double LeastFlangeThicknesses = 4;

    /// <summary>Least flange that hand pliers hold, mm: common practice.</summary>
    public const double LeastByPliersMm = 10;

    /// <summary>The bend.</summary>
    /// <param name="metal">What is bent.</param>
    /// <param name="thickMm">Thickness T, mm.</param>
    /// <param name="radiusMm">Inside radius R, mm.</param>
    /// <param name="degrees">By how much it is bent out of the flat, degrees above 0 and up to <see cref="MostDegrees"/>.</param>
    /// <param name="lengths">How lengths are written in sentences.</param>
    public static Worked<BendPlan> Of(BendMetal metal, double thickMm, double radiusMm, double degrees, LengthFormat lengths)
    {
        var sheet = new Worksheet();
        double k = sheet.Step("k", "share of the thickness at 90 degrees", "by the metal", Share(metal), "");
        double allowance = sheet.Step("BA", "bend allowance", "(k T + 1.57 R) A / 90", ((k * thickMm) + (1.57 * radiusMm)) * degrees / 90, "mm");
        double setback = sheet.Step("SB", "setback", "(R + T) tan(A / 2)", (radiusMm + thickMm) * Math.Tan(degrees * Math.PI / 360), "mm");
        double deduction = sheet.Step("BD", "bend deduction", "2 SB - BA", (2 * setback) - allowance, "mm");
        double factor = sheet.Step("K", "the same as a K-factor", "2 k / pi", 2 * k / Math.PI, "");
        double flange = sheet.Step("f", "least flange by plates", "4 T + R", (LeastFlangeThicknesses * thickMm) + radiusMm, "mm");
        sheet.Cite(new Source("Bend allowance: form of Machinery's Handbook", SourceKind.FromMemory));
        sheet.Cite(new Source("Least flange 4 T + R by plates, 10 mm by hand pliers", SourceKind.CommonPractice));
        if (radiusMm > MostRadii * thickMm)
            sheet.Warn(
                $"A radius of more than {MostRadii:0} thicknesses is rolled rather than folded, and takes a little more "
                    + "sheet: bend a strip first and measure it."
            );
        bool sharp = radiusMm < thickMm;
        if (sharp)
            sheet.Warn(
                $"An inside radius of {lengths.Text(radiusMm)} is less than the sheet: mild steel usually stands it, aluminium "
                    + "and hard sheet crack. Try a strip first."
            );
        return sheet.Finish(
            new BendPlan(
                allowance,
                setback,
                deduction,
                factor,
                flange,
                $"Cut the blank {lengths.Text(Math.Abs(deduction))} {(deduction < 0 ? "longer" : "shorter")} than the two outer lengths together. "
                    + $"The flange is at least {lengths.Text(flange)} by plates, {lengths.Text(LeastByPliersMm)} by hand pliers."
            )
        );
    }

    private static double Share(BendMetal metal) =>
        metal switch
        {
            BendMetal.SoftCopper => 0.55,
            BendMetal.MildSteel => 0.64,
            _ => 0.71,
        };
}
