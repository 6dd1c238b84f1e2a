using Abri.Core.Shell;
using Abri.Core.Work;

namespace Abri.Core.Procedures.Phases;

/// <summary>A coat on a cut edge.</summary>
/// <param name="Material">What.</param>
/// <param name="Hours">Until the next coat, at 20 C.</param>
internal sealed record EdgeCoat(Material Material, double Hours);

/// <summary>What is done differently on a skin of some material: the blade, the dust, what the chips do, what closes the edge.</summary>
/// <remarks>Hours are assumptions; the can comes first.</remarks>
internal sealed record SkinWork(
    string Saw,
    Material Blade,
    IReadOnlyList<Caution> Cutting,
    string TakeUp,
    IReadOnlyList<string> TakeUpTools,
    string Edge,
    IReadOnlyList<EdgeCoat> Coats,
    Material Screw
)
{
    /// <summary>Hours of a coat of quick primer before the next.</summary>
    public const double PrimerHours = 0.5;

    /// <summary>Hours of the colour before tape or a gasket lies on it.</summary>
    public const double PaintHours = 1;

    /// <summary>Hours of a coat of resin before the next, and before tape or a gasket lies on it.</summary>
    public const double ResinHours = 4;

    /// <summary>Hours of the last coat before an adhesive is laid on it: over night, unless its sheet says less.</summary>
    public const double OverNightHours = 12;

    /// <summary>How a panel is worked.</summary>
    public static SkinWork Of(Panel panel) =>
        panel.Material switch
        {
            SkinMaterial.Aluminium => new(
                "Jigsaw, coarse metal blade, a little wax on it",
                Materials.MetalBlade,
                [Cautions.CuttingMetal],
                "Vacuum and wipe up every chip, inside and out: they scratch, and steel chips among them stain the aluminium.",
                ["Vacuum cleaner"],
                "Abrade the bare edge and every hole, wipe it, and prime within the hour: aluminium skins over. Brush, both faces.",
                [new(Materials.AluminiumPrimer, PrimerHours), new(Materials.TopCoat, PaintHours)],
                Materials.IsolatedScrew
            ),
            SkinMaterial.GlassReinforcedPlastic => new(
                "Jigsaw, blade with a grit edge, slowly",
                Materials.GritBlade,
                [Cautions.GlassFibreDust],
                "Vacuum with a fine filter, then wipe wet, inside and out: dust that stays floats again.",
                ["Vacuum cleaner with a fine filter"],
                "Round the edge with fine paper and seal the cut fibres and every hole with resin, or they draw water in.",
                [new(Materials.EdgeResin, ResinHours)],
                Materials.Screw
            ),
            SkinMaterial.PlywoodSkin => new(
                "Jigsaw, fine blade for plywood, tape on the line",
                Materials.WoodBlade,
                [Cautions.CuttingWood],
                "Vacuum the dust, inside and out.",
                ["Vacuum cleaner"],
                "Resin into the end grain and into every hole, both faces: end grain drinks water, so a second coat follows.",
                [new(Materials.EdgeResin, ResinHours), new(Materials.EdgeResin, ResinHours)],
                Materials.Screw
            ),
            _ => new(
                "Jigsaw, fresh metal blade",
                Materials.MetalBlade,
                [Cautions.CuttingMetal],
                "Vacuum, wipe, then a magnet over roof, sills and floor, inside and out: chips rust by tomorrow.",
                ["Vacuum cleaner", "Magnet"],
                "Abrade the edge and every hole to bright metal, wipe, and prime with a brush, both faces.",
                [new(Materials.ZincPrimer, PrimerHours), new(Materials.TopCoat, PaintHours)],
                Materials.Screw
            ),
        };
}
