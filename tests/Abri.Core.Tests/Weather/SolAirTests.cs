using Abri.Core.Weather;

namespace Abri.Core.Tests.Weather;

public class SolAirTests
{
    private static double Skin(double sun, double cloud, double wind, SkinShade shade) =>
        SolAir.Of(new RoofInSun(25, sun, cloud, wind, shade)).Result.SkinC;

    [Fact] // By hand, Haurwitz: 1098 x 0.8660 x e^(-0.057/0.8660) = 890.3 W/m2; film 10; (0.95 x 890.3 - 63) / 10 = 78.3 K
    public void A_black_roof_at_noon_is_far_too_hot_for_sealant()
    {
        Worked<SkinInSun> roof = SolAir.Of(new RoofInSun(25, 60, 0, 1, SkinShade.Dark));
        Assert.Equal(890.3, roof.Result.SunWPerM2, 0.1);
        Assert.Equal(103.3, roof.Result.SkinC, 0.1);
        Assert.True(roof.Result.IsTooHot);
        Assert.Contains("skins before it is tooled", roof.Result.Verdict, StringComparison.Ordinal);
    }

    [Fact] // Kasten and Czeplak: under full cloud a quarter of the sun is left
    public void Clouds_wind_and_light_paint_cool_it()
    {
        Assert.Equal(0.25 * 890.3, SolAir.Of(new RoofInSun(25, 60, 100, 1, SkinShade.Dark)).Result.SunWPerM2, 0.1);
        Assert.True(Skin(60, 0, 8, SkinShade.Dark) < Skin(60, 0, 4, SkinShade.Dark) - 5);
        Assert.True(Skin(60, 0, 1, SkinShade.Light) < Skin(60, 0, 1, SkinShade.Middle) - 20);
        // Wind counts from where it carries off more than still air does: 10 W/m2K at 1.13 m/s.
        Assert.Equal(Skin(60, 0, 0, SkinShade.Dark), Skin(60, 0, 1.13, SkinShade.Dark), 0.1);
    }

    [Fact] // 63 W/m2 over a film of 10 W/m2K
    public void On_a_clear_night_it_is_colder_than_the_air_and_under_cloud_it_is_not()
    {
        Assert.Equal(25 - 6.3, Skin(-20, 0, 0, SkinShade.Light), 6);
        Assert.Equal(25, Skin(-20, 100, 0, SkinShade.Light), 6);
        Assert.False(SolAir.Of(new RoofInSun(40, -20, 100, 0, SkinShade.Light)).Result.IsTooHot);
        Assert.Contains("colder than the air", SolAir.Of(new RoofInSun(25, -20, 0, 0, SkinShade.Dark)).Result.Verdict, StringComparison.Ordinal);
    }
}
