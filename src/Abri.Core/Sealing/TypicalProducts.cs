namespace Abri.Core.Sealing;

/// <summary>Products as they typically are, one a family, to begin with. Every figure is an assumption until somebody holds it against the data sheet of what stands on the shelf.</summary>
public static class TypicalProducts
{
    private static readonly Substrate[] Metals = [Substrate.PaintedMetal, Substrate.GalvanisedSteel, Substrate.Aluminium];
    private static readonly Substrate[] Everything = Enum.GetValues<Substrate>();

    /// <summary>One product of each family.</summary>
    public static IReadOnlyList<Product> All { get; } =
    [
        Of("One-part polyurethane", ProductFamily.PolyurethaneAdhesive, Setting.Moisture, Grips(good: [Substrate.PaintedMetal, Substrate.GlassReinforcedPlastic, Substrate.Timber], primed: [Substrate.BareSteel, Substrate.GalvanisedSteel, Substrate.Aluminium, Substrate.Glass, Substrate.PlasticFrame]), 12.5, 35, 3, -40, 90, 5, 35,
            paintable: true, removable: false, structural: true, cracks: false, water: true, sun: false, 310, 12, 24, "Isocyanates: gloves and air."),
        Of("Marine polyurethane", ProductFamily.MarinePolyurethane, Setting.Moisture, Grips(good: [Substrate.PaintedMetal, Substrate.GlassReinforcedPlastic, Substrate.Timber], primed: [Substrate.BareSteel, Substrate.GalvanisedSteel, Substrate.Aluminium]), 25, 90, 2.5, -40, 80, 5, 35,
            true, false, false, false, water: true, sun: true, 310, 12, 24, "Isocyanates: gloves and air."),
        Of("Silane-modified polymer", ProductFamily.SilaneModifiedPolymer, Setting.Moisture, Grips(good: [.. Metals, Substrate.GlassReinforcedPlastic, Substrate.Timber, Substrate.PlasticFrame], primed: [Substrate.BareSteel, Substrate.Glass, Substrate.Acrylic]), 25, 20, 3, -40, 90, 5, 35,
            true, false, structural: true, false, water: true, sun: true, 290, 12, 24, ""),
        Of("Neutral silicone", ProductFamily.NeutralSilicone, Setting.Moisture, Grips(good: [.. Metals, Substrate.Glass, Substrate.Acrylic, Substrate.PlasticFrame], primed: [Substrate.BareSteel, Substrate.GlassReinforcedPlastic]), 25, 15, 2.5, -50, 150, 5, 40,
            paintable: false, false, structural: true, false, water: true, sun: true, 310, 18, 48, ""),
        Of("Acetoxy silicone", ProductFamily.AcetoxySilicone, Setting.Moisture, Grips(good: [Substrate.Glass, Substrate.PaintedMetal], primed: [Substrate.Aluminium]), 20, 12, 3, -50, 150, 5, 40,
            false, false, false, false, true, true, 310, 18, 48, "Acid fumes while it cures."),
        Of("Butyl tape 40 x 10", ProductFamily.ButylTape, Setting.AtOnce, Grips(good: Everything, primed: []), 10, null, null, -30, 80, 5, 40,
            false, removable: true, false, false, water: true, sun: false, 0, 36, 2000, ""),
        Of("Lap sealant", ProductFamily.LapSealant, Setting.Moisture, Grips(good: [.. Metals, Substrate.PlasticFrame, Substrate.GlassReinforcedPlastic], primed: []), 20, 60, 2, -30, 80, 10, 35,
            false, true, false, cracks: true, water: true, sun: true, 300, 24, 24, "Solvent: air."),
        Of("Roofing tape", ProductFamily.RoofingTape, Setting.AtOnce, Grips(good: [.. Metals, Substrate.GlassReinforcedPlastic, Substrate.PlasticFrame], primed: []), 20, null, null, -30, 80, 10, 40,
            false, false, false, false, true, true, 0, 24, 2000, ""),
        Of("Epoxy putty", ProductFamily.EpoxyPutty, Setting.TwoPart, Grips(good: [Substrate.BareSteel, Substrate.Aluminium, Substrate.GlassReinforcedPlastic, Substrate.Timber], primed: []), 0, 30, null, -20, 80, 10, 35,
            true, false, structural: true, false, true, false, 250, 36, 4000, "Sensitises skin: gloves."),
        Of("Acrylic foam tape", ProductFamily.FoamTape, Setting.AtOnce, Grips(good: [.. Metals, Substrate.Glass], primed: [Substrate.Acrylic, Substrate.PlasticFrame]), 50, null, null, -35, 90, 10, 40,
            false, false, true, false, true, true, 0, 24, 2000, ""),
        Of("Silicone roof coating", ProductFamily.SiliconeRoofCoating, Setting.Moisture, Grips(good: [.. Metals, Substrate.GlassReinforcedPlastic], primed: []), 25, 40, 1, -40, 120, 10, 35,
            false, false, false, false, true, true, 4000, 18, 24, "Slippery when wet; nothing else sticks to it."),
        Of("Temporary sealant", ProductFamily.TemporarySealant, Setting.AtOnce, Grips(good: [.. Everything.Where(s => s != Substrate.Timber)], primed: []), 7.5, null, null, -10, 60, 0, 40,
            false, true, false, false, false, false, 300, 24, 2000, "For weeks, not for years."),
        Of("High-temperature silicone", ProductFamily.HeatSilicone, Setting.Moisture, Grips(good: [.. Metals, Substrate.Glass], primed: [Substrate.BareSteel]), 12.5, 15, 2.5, -50, 260, 5, 40,
            false, false, false, false, water: true, sun: true, 310, 18, 48, "Not in the flue itself, nor where the flue gas touches it."),
    ];

    private static Grip[] Grips(Substrate[] good, Substrate[] primed) =>
        [.. good.Select(s => new Grip(s, Adhesion.Good)), .. primed.Select(s => new Grip(s, Adhesion.WithPrimer))];

    private static Product Of(
        string name, ProductFamily family, Setting setting, Grip[] grips, double movement, double? skin, double? cure, double serviceFrom, double serviceTo, double layFrom, double layTo,
        bool paintable, bool removable, bool structural, bool cracks, bool water, bool sun, double packMl, int shelfMonths, double openedHours, string hazards) =>
        new(name, family, setting, grips, movement, skin, cure, serviceFrom, serviceTo, layFrom, layTo, paintable, removable, structural, cracks, water, sun, packMl, shelfMonths, openedHours, hazards, SourceKind.Assumption);
}
