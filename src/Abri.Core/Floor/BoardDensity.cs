namespace Abri.Core.Floor;

/// <summary>Density of boards, dry, from memory of EN ISO 10456 and of what sheets of such materials say.</summary>
public static class BoardDensity
{
    /// <summary>Density, kg/m3.</summary>
    public static double KgM3(this BoardMaterial material) =>
        material switch
        {
            BoardMaterial.BirchPly => 680,
            BoardMaterial.StrandBoard => 650,
            BoardMaterial.Planks => 480,
            _ => 560,
        };
}
