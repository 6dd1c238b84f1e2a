namespace Abri.Core.Shell;

/// <summary>Density of skins, from memory of EN ISO 10456 and of what sheets of such materials say.</summary>
public static class SkinDensity
{
    /// <summary>Density, kg/m3.</summary>
    public static double KgM3(this SkinMaterial material) =>
        material switch
        {
            SkinMaterial.Aluminium => 2700,
            SkinMaterial.GlassReinforcedPlastic => 1600,
            SkinMaterial.PlywoodSkin => 560,
            _ => 7850,
        };
}
