namespace Abri.Core.Floor;

/// <summary>What boards are called in sentences and lists.</summary>
public static class BoardWords
{
    /// <summary>The material by its usual name.</summary>
    public static string Name(this BoardMaterial material) =>
        material switch
        {
            BoardMaterial.BirchPly => "Birch plywood",
            BoardMaterial.StrandBoard => "Strand board",
            BoardMaterial.Planks => "Planks",
            _ => "Softwood plywood",
        };
}
