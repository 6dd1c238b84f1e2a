namespace Abri.Core.Sealing;

/// <summary>What air holds.</summary>
/// <param name="GramsPerM3">Absolute humidity, g/m3.</param>
/// <param name="DewPointC">Dew point, C.</param>
/// <param name="WettestSurfaceC">Surfaces colder than this are not painted or bonded: 3 K above the dew point, C.</param>
public sealed record AirState(double GramsPerM3, double DewPointC, double WettestSurfaceC);

/// <summary>Water in air, by temperature and relative humidity.</summary>
/// <remarks>Saturation pressure over water e_s = 6.112 exp(17.62 T / (243.12 + T)) hPa (Magnus formula with the coefficients of WMO Guide No. 8); absolute humidity 216.7 e / (T + 273.15) g/m3.</remarks>
/// <example>23 C and 50 %: 10.3 g/m3, dew point 12.0 C.</example>
public static class MoistAir
{
    /// <summary>How far above the dew point a surface has to be to be coated, K: common practice.</summary>
    public const double AboveDewK = 3;

    private const double A = 17.62, B = 243.12;

    /// <summary>The state of air.</summary>
    /// <param name="airC">Temperature, C.</param>
    /// <param name="relativePercent">Relative humidity, %.</param>
    public static Result<Worked<AirState>> Of(double airC, double relativePercent)
    {
        if (relativePercent is not (> 0 and <= 100)) return new Problem("humidity", "/relativePercent", "Relative humidity lies above 0 and up to 100 %.");
        var sheet = new Worksheet();
        double saturated = sheet.Step("e_s", "saturation pressure", "6.112 exp(17.62 T / (243.12 + T))", 6.112 * Math.Exp(A * airC / (B + airC)), "hPa");
        double pressure = sheet.Step("e", "vapour pressure", "e_s * RH", saturated * relativePercent / 100, "hPa");
        double grams = sheet.Step("x", "absolute humidity", "216.7 e / (T + 273.15)", 216.7 * pressure / (airC + 273.15), "g/m3");
        double log = Math.Log(pressure / 6.112), dew = sheet.Step("T_d", "dew point", "243.12 ln(e/6.112) / (17.62 - ln(e/6.112))", B * log / (A - log), "C");
        sheet.Cite(new Source("Magnus formula, WMO Guide to Instruments and Methods of Observation (WMO No. 8)", SourceKind.Published));
        sheet.Cite(new Source($"Coat no surface colder than {AboveDewK} K above the dew point", SourceKind.CommonPractice));
        return sheet.Finish(new AirState(grams, dew, dew + AboveDewK));
    }
}
