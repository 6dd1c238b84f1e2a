using Abri.Core.Declared;
using Abri.Core.Work;

namespace Abri.Core.Sealing;

/// <summary>Families of products that seal or bond.</summary>
public enum ProductFamily
{
    /// <summary>One-part polyurethane adhesive.</summary>
    PolyurethaneAdhesive,

    /// <summary>Marine polyurethane sealant.</summary>
    MarinePolyurethane,

    /// <summary>Silane-modified polymer.</summary>
    SilaneModifiedPolymer,

    /// <summary>Neutral-cure silicone.</summary>
    NeutralSilicone,

    /// <summary>Acetoxy silicone; its acid corrodes bare and galvanised metal.</summary>
    AcetoxySilicone,

    /// <summary>Butyl tape.</summary>
    ButylTape,

    /// <summary>Self-levelling lap sealant.</summary>
    LapSealant,

    /// <summary>Roofing tape.</summary>
    RoofingTape,

    /// <summary>Epoxy putty.</summary>
    EpoxyPutty,

    /// <summary>Double-sided acrylic foam tape.</summary>
    FoamTape,

    /// <summary>Pure silicone roof coating.</summary>
    SiliconeRoofCoating,

    /// <summary>Removable temporary sealant.</summary>
    TemporarySealant,

    /// <summary>Neutral-cure silicone made for the heat of flues.</summary>
    HeatSilicone,
}

/// <summary>What a product has to stick to.</summary>
public enum Substrate
{
    /// <summary>Bare mild steel.</summary>
    BareSteel,

    /// <summary>Galvanised steel.</summary>
    GalvanisedSteel,

    /// <summary>Painted or primed metal.</summary>
    PaintedMetal,

    /// <summary>Aluminium.</summary>
    Aluminium,

    /// <summary>Glass.</summary>
    Glass,

    /// <summary>Acrylic sheet.</summary>
    Acrylic,

    /// <summary>Polycarbonate sheet.</summary>
    Polycarbonate,

    /// <summary>Moulded plastic frame.</summary>
    PlasticFrame,

    /// <summary>Glass-reinforced plastic.</summary>
    GlassReinforcedPlastic,

    /// <summary>Timber and plywood.</summary>
    Timber,
}

/// <summary>How a product sticks.</summary>
public enum Adhesion
{
    /// <summary>Not at all.</summary>
    None,

    /// <summary>With its primer.</summary>
    WithPrimer,

    /// <summary>As it is, on clean ground.</summary>
    Good,
}

/// <summary>How a product sets.</summary>
public enum Setting
{
    /// <summary>By moisture of the air, from its skin inwards.</summary>
    Moisture,

    /// <summary>Holds at once, as tapes do.</summary>
    AtOnce,

    /// <summary>Two parts that set once mixed.</summary>
    TwoPart,
}

/// <summary>How a product sticks to one substrate.</summary>
/// <param name="Substrate">To what.</param>
/// <param name="Adhesion">How.</param>
public sealed record Grip(Substrate Substrate, Adhesion Adhesion);

/// <summary>A product that seals or bonds, as its data sheet describes it.</summary>
/// <param name="Name">What people call it.</param>
/// <param name="Family">Its family.</param>
/// <param name="Setting">How it sets.</param>
/// <param name="Grips">How it sticks to what; what is not listed it does not stick to.</param>
/// <param name="MovementPercent">Movement of the joint that it follows, % of the joint's width: ISO 11600 has classes of 25, 20, 12.5 and
/// 7.5.</param>
/// <param name="SkinMinutes">Minutes to a skin, or that a mixed product can be worked, at 23 C and 50 %; null where there is none.</param>
/// <param name="CureMmPerDay">Depth cured in the first 24 hours at 23 C and 50 %, mm; null where it does not cure by moisture.</param>
/// <param name="ServiceFromC">Coldest service, C.</param>
/// <param name="ServiceToC">Hottest service, C.</param>
/// <param name="LayFromC">Coldest at which it may be laid, C.</param>
/// <param name="LayToC">Hottest at which it may be laid, C.</param>
/// <param name="Paintable">Whether paint holds on it.</param>
/// <param name="Removable">Whether what it seals can be taken off again without harm.</param>
/// <param name="Structural">Whether it may carry a pane or a frame.</param>
/// <param name="CracksAcrylic">Whether its solvents craze acrylic and polycarbonate.</param>
/// <param name="StandsWater">Whether it stands water that stays on it.</param>
/// <param name="StandsSun">Whether it stands the sun.</param>
/// <param name="PackMl">What a cartridge or a pack holds, ml; 0 for tape.</param>
/// <param name="ShelfMonths">Shelf life closed, months.</param>
/// <param name="OpenedHours">How long it can be used once opened, hours.</param>
/// <param name="Hazards">Cautions; empty where there are none.</param>
/// <param name="Known">How far these figures can be trusted.</param>
public sealed record Product(
    [Name] string Name,
    ProductFamily Family,
    Setting Setting,
    [Count(0, 20, "At most 20 substrates are listed.")] IReadOnlyList<Grip> Grips,
    [Within(0, 100, "The movement", "%")] double MovementPercent,
    [Within(0.5, 10_000, "The skin time or pot life", "minutes")] double? SkinMinutes,
    [Within(0.05, 50, "The depth cured in 24 hours", "mm")] double? CureMmPerDay,
    [Within(-100, 100, "The coldest service", "C")] double ServiceFromC,
    [Within(-50, 400, "The hottest service", "C")] double ServiceToC,
    [Within(-40, 60, "The coldest at which it is laid", "C")] double LayFromC,
    [Within(-40, 100, "The hottest at which it is laid", "C")] double LayToC,
    bool Paintable,
    bool Removable,
    bool Structural,
    bool CracksAcrylic,
    bool StandsWater,
    bool StandsSun,
    [Within(0, 50_000, "A pack", "ml")] double PackMl,
    [Within(0, 600, "The shelf life")] int ShelfMonths,
    [Within(0, 100_000, "How long it keeps once opened", "hours")] double OpenedHours,
    [Letters(400, "The cautions may have at most 400 characters.")] string Hazards,
    SourceKind Known
)
{
    /// <summary>It as something that is used up.</summary>
    public Material AsMaterial() =>
        PackMl > 0
            ? new Material($"product/{Name}", Name, MaterialKind.Sealant, Unit.Ml, PackMl)
            : new Material($"product/{Name}", Name, MaterialKind.Tape, Unit.Ml, null);

    /// <summary>Whether nothing else holds on it afterwards.</summary>
    internal static bool IsSilicone(ProductFamily family) =>
        family is ProductFamily.NeutralSilicone or ProductFamily.AcetoxySilicone or ProductFamily.SiliconeRoofCoating or ProductFamily.HeatSilicone;

    /// <summary>How it sticks to a substrate.</summary>
    internal Adhesion To(Substrate substrate) => Grips.FirstOrDefault(g => g.Substrate == substrate)?.Adhesion ?? Adhesion.None;
}

/// <summary>Says what is contradictory about a product, or that nothing is.</summary>
public static class ProductCheck
{
    /// <summary>The first contradiction, or null.</summary>
    public static Problem? Of(Product product) =>
        product switch
        {
            { LayFromC: var a, LayToC: var b } when a >= b => new Problem(
                "product-temperature",
                "/layToC",
                "The hottest at which it may be laid must lie above the coldest."
            ),
            { ServiceFromC: var a, ServiceToC: var b } when a >= b => new Problem(
                "product-temperature",
                "/serviceToC",
                "The hottest service must lie above the coldest."
            ),
            { Setting: Setting.Moisture, SkinMinutes: null } => new Problem(
                "product-cure",
                "/skinMinutes",
                "A product that cures by moisture has a skin time: give the minutes at 23 °C and 50 %."
            ),
            { Setting: Setting.Moisture, CureMmPerDay: null } => new Problem(
                "product-cure",
                "/cureMmPerDay",
                "A product that cures by moisture has a depth of cure: give the millimetres in 24 h at 23 °C and 50 %."
            ),
            { Setting: Setting.TwoPart, SkinMinutes: null } => new Problem(
                "product-cure",
                "/skinMinutes",
                "A product of two parts has a pot life: give the minutes at 23 °C."
            ),
            { Grips: var grips } when grips.Select(g => g.Substrate).Distinct().Count() < grips.Count => new Problem(
                "product-grips",
                "/grips",
                "Each substrate is listed once."
            ),
            _ => null,
        };
}
