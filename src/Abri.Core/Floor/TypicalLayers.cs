using Abri.Core.Shell;

namespace Abri.Core.Floor;

/// <summary>Layers of floors and ceilings as a start: figures from memory of EN ISO 10456 and of what sheets of such materials say.</summary>
public static class TypicalLayers
{
    /// <summary>The layers, each in a usual thickness.</summary>
    public static IReadOnlyList<BuildUpLayer> All { get; } =
    [
        new("Vinyl", 3, 1400, 0.17, 20_000),
        new("Plywood", 18, BoardMaterial.SoftwoodPly.KgM3(), 0.13, 90),
        new("Strand board", 18, BoardMaterial.StrandBoard.KgM3(), 0.13, 50),
        new("Softwood boards", 20, BoardMaterial.Planks.KgM3(), 0.13, 50),
        new("Extruded foam", 50, 33, 0.035, 150),
        new("Expanded foam", 50, 20, 0.037, 60),
        new("Polyurethane foam", 50, 32, 0.025, 60),
        new("Cork", 30, 120, 0.042, 10),
        new("Wool", 50, 30, 0.038, 1),
        new("Vapour foil", 0.2, 900, 0.4, 500_000),
        new("Steel skin", 1, SkinMaterial.MildSteel.KgM3(), 50, 1_000_000),
        new("Aluminium skin", 1.5, SkinMaterial.Aluminium.KgM3(), 160, 1_000_000),
        new("Glass-fibre skin", 3, SkinMaterial.GlassReinforcedPlastic.KgM3(), 0.25, 10_000),
    ];
}
