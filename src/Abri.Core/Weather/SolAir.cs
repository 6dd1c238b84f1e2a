using Abri.Core.Declared;
using Abri.Core.Shell;

namespace Abri.Core.Weather;

/// <summary>How dark a skin is.</summary>
public enum SkinShade
{
    /// <summary>White or bare bright metal.</summary>
    Light,

    /// <summary>Grey, primer, middle colours.</summary>
    Middle,

    /// <summary>Black and dark colours.</summary>
    Dark,
}

/// <summary>A roof in the sun.</summary>
/// <param name="AirC">Temperature of the air, C.</param>
/// <param name="SunDeg">How high the sun stands, degrees; below the horizon negative.</param>
/// <param name="CloudPercent">Sky covered, %.</param>
/// <param name="WindMs">Wind, m/s.</param>
/// <param name="Shade">How dark it is.</param>
public sealed record RoofInSun(
    [Within(-60, 60, "The temperature", "C")] double AirC,
    [Within(-90, 90, "The height of the sun", "degrees")] double SunDeg,
    [Within(0, 100, "The cloud", "%")] double CloudPercent,
    [Within(0, 75, "The wind", "m/s")] double WindMs,
    SkinShade Shade
);

/// <summary>How warm a roof gets.</summary>
/// <param name="SkinC">Its temperature, C.</param>
/// <param name="SunWPerM2">Sun on it, W/m2.</param>
/// <param name="IsTooHot">Whether sealant skins on it before it is tooled.</param>
/// <param name="Verdict">In words.</param>
public sealed record SkinInSun(double SkinC, double SunWPerM2, bool IsTooHot, string Verdict);

/// <summary>How warm a roof gets in the sun, and how cold under a clear sky: sealant on a hot skin sets before it is tooled.</summary>
/// <remarks>
/// Sol-air temperature of a flat surface: air + (absorbed sun - loss to the sky) / film (ASHRAE Fundamentals, from memory). Sun of a clear sky by
/// Haurwitz 1945, less cloud by Kasten and Czeplak 1980; film 5.7 + 3.8 wind W/m2K (McAdams, from memory), <see cref="LeastFilm"/> at least, with
/// <see cref="SkyLossW"/> lost to a clear sky. Absorbed: assumptions by shade. Nothing runs off inward: a thin skin with air below. Sides are not
/// told: a low sun can heat a dark side more than the roof.
/// </remarks>
/// <example>25 C, sun 60 degrees high, clear, wind 1 m/s, dark: 892 W/m2, roof 104 C at a film of 9.5; with 4 m/s 61 C.</example>
public static class SolAir
{
    /// <summary>Least heat that a surface gives to still air and walls about it, W/m2K: assumption.</summary>
    public const double LeastFilm = 10;

    /// <summary>What a flat surface loses to a clear sky, W/m2: ASHRAE; from memory.</summary>
    public const double SkyLossW = 63;

    /// <summary>Skin on which sealant sets before it can be tooled, C: common practice.</summary>
    public const double TooHotC = 40;

    /// <summary>How warm it gets.</summary>
    public static Worked<SkinInSun> Of(RoofInSun roof)
    {
        var sheet = new Worksheet();
        double sine = Math.Sin(roof.SunDeg * Math.PI / 180);
        double clear = sheet.Step(
            "G_0",
            "sun of a clear sky",
            "1098 sin h e^(-0.057 / sin h)",
            sine <= 0 ? 0 : 1098 * sine * Math.Exp(-0.057 / sine),
            "W/m2"
        );
        double cloud = roof.CloudPercent / 100;
        double sun = sheet.Step("G", "sun through the clouds", "G_0 (1 - 0.75 cloud^3.4)", clear * (1 - (0.75 * Math.Pow(cloud, 3.4))), "W/m2");
        double absorbed = sheet.Step("a", "share that the skin takes up", "by its shade", Absorbed(roof.Shade), "");
        double film = sheet.Step(
            "h_o",
            "heat given to the air",
            $"max(5.7 + 3.8 wind, {LeastFilm:0})",
            Math.Max(5.7 + (3.8 * roof.WindMs), LeastFilm),
            "W/m2K"
        );
        double lost = sheet.Step("R", "lost to the sky", $"{SkyLossW:0} (1 - cloud)", SkyLossW * (1 - cloud), "W/m2");
        double skin = sheet.Step("T_s", "the skin", "air + (a G - R) / h_o", roof.AirC + (((absorbed * sun) - lost) / film), "C");
        sheet.Cite(new Source("Sol-air temperature: ASHRAE Handbook, Fundamentals", SourceKind.FromMemory));
        sheet.Cite(
            new Source(
                "Clear sky: Haurwitz, Journal of Meteorology 2 (1945); clouds: Kasten and Czeplak, Solar Energy 24 (1980)",
                SourceKind.FromMemory
            )
        );
        sheet.Cite(new Source("Film 5.7 + 3.8 wind: McAdams, Heat Transmission", SourceKind.FromMemory));
        sheet.Cite(new Source("Share taken up: light 0.3, middle 0.6, dark 0.95", SourceKind.Assumption));
        string verdict =
            skin > TooHotC ? $"The roof gets to about {skin:0} °C: sealant skins before it is tooled. Work in the morning or under an awning."
            : skin < roof.AirC - 1 ? $"The roof is about {roof.AirC - skin:0} K colder than the air: look for dew before anything sticks to it."
            : $"The roof is at about {skin:0} °C.";
        return sheet.Finish(new SkinInSun(skin, sun, skin > TooHotC, verdict));
    }

    /// <summary>The roof in an hour of a forecast, C.</summary>
    internal static double At(Place place, DateTimeOffset at, WeatherHour hour, SkinShade shade) =>
        Of(new RoofInSun(hour.AirC, Daylight.AltitudeDeg(place, at), hour.CloudPercent, hour.WindMs, shade)).Result.SkinC;

    private static double Absorbed(SkinShade shade) =>
        shade switch
        {
            SkinShade.Light => 0.3,
            SkinShade.Middle => 0.6,
            _ => 0.95,
        };
}
