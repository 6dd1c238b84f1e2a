namespace Abri.Core.Weather;

/// <summary>What water the air holds.</summary>
/// <param name="GramsPerM3">Absolute humidity, g/m3.</param>
/// <param name="MostGramsPerM3">What it could hold at this temperature, g/m3.</param>
public sealed record WaterInAir(double GramsPerM3, double MostGramsPerM3);

/// <summary>Below what the air's water settles on a surface.</summary>
/// <param name="DewPointC">Dew point, C.</param>
/// <param name="LeastSurfaceC">Surfaces colder than this are not painted or bonded: <see cref="MoistAir.AboveDewK"/> above the dew point, C.</param>
/// <param name="SpareK">How much warmer than that the surface is, K; negative where it is too cold, null where its temperature was not given.</param>
/// <param name="Verdict">What that means for a coat or a bead.</param>
public sealed record Dew(double DewPointC, double LeastSurfaceC, double? SpareK, string Verdict);

/// <summary>Water in air, by temperature and relative humidity.</summary>
/// <remarks>Saturation pressure over water e_s = 6.112 exp(17.62 T / (243.12 + T)) hPa (Magnus formula with the coefficients of WMO Guide No. 8);
/// absolute humidity 216.7 e / (T + 273.15) g/m3.</remarks>
/// <example>23 C and 50 %: 10.3 g/m3, dew point 12.0 C.</example>
public static class MoistAir
{
    /// <summary>How far above the dew point a surface has to be to be coated, K: common practice.</summary>
    public const double AboveDewK = 3;

    private const double A = 17.62,
        B = 243.12;

    /// <summary>Absolute humidity.</summary>
    /// <param name="airC">Temperature, C.</param>
    /// <param name="relativePercent">Relative humidity, %.</param>
    public static Result<Worked<WaterInAir>> Holds(double airC, double relativePercent)
    {
        if (Check(relativePercent) is { } problem)
            return problem;
        var sheet = new Worksheet();
        (double saturated, double pressure) = Pressures(airC, relativePercent, sheet);
        double grams = sheet.Step("x", "absolute humidity", "216.7 e / (T + 273.15)", 216.7 * pressure / (airC + 273.15), "g/m3");
        double most = sheet.Step("x_s", "what it could hold", "216.7 e_s / (T + 273.15)", 216.7 * saturated / (airC + 273.15), "g/m3");
        return sheet.Finish(new WaterInAir(grams, most));
    }

    /// <summary>The dew point, and whether a surface may be coated.</summary>
    /// <param name="airC">Temperature of the air, C.</param>
    /// <param name="relativePercent">Relative humidity, %.</param>
    /// <param name="surfaceC">Temperature of the surface, C; null where nobody measured it.</param>
    public static Result<Worked<Dew>> Point(double airC, double relativePercent, double? surfaceC = null)
    {
        if (Check(relativePercent) is { } problem)
            return problem;
        var sheet = new Worksheet();
        (_, double pressure) = Pressures(airC, relativePercent, sheet);
        double log = Math.Log(pressure / 6.112),
            dew = sheet.Step("T_d", "dew point", "243.12 ln(e/6.112) / (17.62 - ln(e/6.112))", B * log / (A - log), "C");
        double least = sheet.Step("T_s", "coldest surface to coat", $"T_d + {AboveDewK:0} K", dew + AboveDewK, "C");
        double? spare = surfaceC is { } surface ? sheet.Step("d", "to spare", "surface - T_s", surface - least, "K") : null;
        sheet.Cite(new Source($"Coat no surface colder than {AboveDewK} K above the dew point", SourceKind.CommonPractice));
        string verdict = spare switch
        {
            null => $"Coat and bond nothing colder than {least:0.#} °C.",
            < -AboveDewK => $"The surface is {-spare.Value:0.#} K too cold: water settles on it. Warm it or wait.",
            < 0 => $"The surface is {-spare.Value:0.#} K too cold to be sure: warm it or wait.",
            _ => $"Dry enough to coat, {spare.Value:0.#} K to spare.",
        };
        return sheet.Finish(new Dew(dew, least, spare, verdict));
    }

    /// <summary>The dew point, C.</summary>
    /// <param name="airC">Temperature, C.</param>
    /// <param name="relativePercent">Relative humidity, %; above 0.</param>
    internal static double DewPointC(double airC, double relativePercent)
    {
        double log = Math.Log(SaturatedHpa(airC) * relativePercent / 100 / 6.112);
        return B * log / (A - log);
    }

    /// <summary>Relative humidity of air with a dew point, %; never above 100.</summary>
    /// <param name="airC">Temperature, C.</param>
    /// <param name="dewPointC">Dew point, C.</param>
    public static double RelativePercent(double airC, double dewPointC) => Math.Min(100, 100 * SaturatedHpa(dewPointC) / SaturatedHpa(airC));

    /// <summary>Pressure of vapour that air holds at most, hPa.</summary>
    /// <param name="airC">Temperature, C.</param>
    public static double SaturatedHpa(double airC) => 6.112 * Math.Exp(A * airC / (B + airC));

    private static Problem? Check(double relativePercent) =>
        relativePercent is > 0 and <= 100 ? null : new Problem("humidity", "/relativePercent", "Relative humidity lies above 0 and up to 100 %.");

    private static (double Saturated, double Pressure) Pressures(double airC, double relativePercent, Worksheet sheet)
    {
        double saturated = sheet.Step("e_s", "saturation pressure", "6.112 exp(17.62 T / (243.12 + T))", SaturatedHpa(airC), "hPa");
        sheet.Cite(new Source("Magnus formula, WMO Guide to Instruments and Methods of Observation (WMO No. 8)", SourceKind.Published));
        return (saturated, sheet.Step("e", "vapour pressure", "e_s * RH", saturated * relativePercent / 100, "hPa"));
    }
}
