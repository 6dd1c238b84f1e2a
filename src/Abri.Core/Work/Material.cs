namespace Abri.Core.Work;

/// <summary>Where a material is bought and how it is counted.</summary>
public enum MaterialKind
{
    /// <summary>Sealants, adhesives and bedding.</summary>
    Sealant,

    /// <summary>Tapes.</summary>
    Tape,

    /// <summary>Primers and coats.</summary>
    Paint,

    /// <summary>Degreasers, wipes, cloths.</summary>
    Cleaner,

    /// <summary>Screws, rivets.</summary>
    Fastener,

    /// <summary>Blades, discs and pads that wear out.</summary>
    Abrasive,

    /// <summary>Edge trims and profiles.</summary>
    Trim,

    /// <summary>Boards and timbers.</summary>
    Wood,
}

/// <summary>Something that work uses up.</summary>
/// <param name="Id">
/// What it is known by: stable for what the program knows, <c>product/</c> and its name for a product that somebody entered, whose name no other has.
/// </param>
/// <param name="Name">What people call it.</param>
/// <param name="Kind">Its kind.</param>
/// <param name="Unit">What amounts of it are counted in.</param>
/// <param name="Pack">What one pack holds, in <paramref name="Unit"/>; null where it is not sold by the pack.</param>
public sealed record Material(string Id, string Name, MaterialKind Kind, Unit Unit, double? Pack);

/// <summary>
/// The catalogue of what is used up besides the products of Sealing: each thing once, so that demand of many jobs adds up.
/// </summary>
/// <remarks>Packs are assumptions: what shops usually sell.</remarks>
public static class Materials
{
    /// <summary>Holds a pane while its bond sets.</summary>
    public static Material HoldingTape { get; } = Tape("holding-tape", "Holding tape", 25_000);

    /// <summary>Marked on, and keeps the saw's foot off the paint.</summary>
    public static Material MaskingTape { get; } = Tape("masking-tape", "Masking tape", 50_000);

    /// <summary>Tape over the edge of a flange.</summary>
    public static Material RoofingTape { get; } = Tape("roofing-tape", "Roofing tape", 10_000);

    /// <summary>Double-sided, for spacer rings.</summary>
    public static Material FoamTape { get; } = Tape("foam-tape", "Acrylic foam tape", 5000);

    /// <summary>Bedding tape of a section.</summary>
    /// <param name="widthMm">Width, mm.</param>
    /// <param name="thickMm">Thickness, mm.</param>
    public static Material ButylTape(double widthMm, double thickMm) =>
        Tape(FormattableString.Invariant($"butyl-tape-{widthMm:0.#}x{thickMm:0.#}"), $"Butyl tape {widthMm:0.#} x {thickMm:0.#}", 5000);

    /// <summary>Glues spacer rings.</summary>
    public static Material PolyurethaneAdhesive { get; } = Cartridge("polyurethane-adhesive", "Polyurethane adhesive");

    /// <summary>Over screw heads and edges on a roof.</summary>
    public static Material LapSealant { get; } = Cartridge("lap-sealant", "Lap sealant");

    /// <summary>A fillet on a side.</summary>
    public static Material ToolingSealant { get; } = Cartridge("tooling-sealant", "Tooling sealant");

    /// <summary>Round a flue.</summary>
    public static Material HeatSealant { get; } = Cartridge("heat-sealant", "High-temperature sealant");

    /// <summary>Under a flange on a side, while nobody has chosen a product.</summary>
    public static Material Bedding { get; } = Cartridge("bedding", "Bedding");

    /// <summary>Under a flange that is glued, while nobody has chosen a product.</summary>
    public static Material FlangeAdhesive { get; } = Cartridge("flange-adhesive", "Polyurethane adhesive or structural neutral silicone");

    /// <summary>Under a pane, while nobody has chosen a product.</summary>
    public static Material PaneAdhesive { get; } = Cartridge("pane-adhesive", "Adhesive that Sealing allows for this pane");

    /// <summary>Along laps and seams, between primer and colour.</summary>
    public static Material SeamSealer { get; } = Cartridge("seam-sealer", "Seam sealer");

    /// <summary>In gutters.</summary>
    public static Material GutterSealant { get; } = Cartridge("gutter-sealant", "Marine polyurethane sealant");

    /// <summary>Between a patch and the sheet.</summary>
    public static Material PanelAdhesive { get; } = Cartridge("panel-adhesive", "Panel adhesive");

    /// <summary>Between boards and bearers.</summary>
    public static Material WoodAdhesive { get; } = Cartridge("wood-adhesive", "Polyurethane wood adhesive");

    /// <summary>On wood before it goes in.</summary>
    public static Material MarineVarnish { get; } = new("marine-varnish", "Marine varnish", MaterialKind.Paint, Unit.Ml, 750);

    /// <summary>Timber of a section.</summary>
    /// <param name="wideMm">Width, mm.</param>
    /// <param name="highMm">Height, mm.</param>
    public static Material Timber(double wideMm, double highMm) =>
        new(
            FormattableString.Invariant($"timber-{wideMm:0.#}x{highMm:0.#}"),
            FormattableString.Invariant($"Timber {wideMm:0.#} x {highMm:0.#}"),
            MaterialKind.Wood,
            Unit.Mm,
            null
        );

    /// <summary>A whole sheet.</summary>
    /// <param name="what">What it is made of.</param>
    /// <param name="thickMm">Thickness, mm.</param>
    /// <param name="lengthMm">Length, mm.</param>
    /// <param name="widthMm">Width, mm.</param>
    public static Material WoodSheet(string what, double thickMm, double lengthMm, double widthMm) =>
        new(
            FormattableString.Invariant($"{what.ToLowerInvariant().Replace(' ', '-')}-{thickMm:0.#}-{lengthMm:0}x{widthMm:0}"),
            FormattableString.Invariant($"{what} {thickMm:0.#}, sheet {lengthMm:0} x {widthMm:0}"),
            MaterialKind.Wood,
            Unit.Count,
            1
        );

    /// <summary>Screw into wood.</summary>
    /// <param name="lengthMm">Length, mm.</param>
    public static Material WoodScrew(double lengthMm) =>
        new(
            FormattableString.Invariant($"wood-screw-5x{lengthMm:0}"),
            FormattableString.Invariant($"Wood screw 5 x {lengthMm:0}"),
            MaterialKind.Fastener,
            Unit.Count,
            100
        );

    /// <summary>Bolt through a lap of timbers.</summary>
    public static Material Bolt { get; } = new("bolt-m10", "Bolt M10 with washers and nut", MaterialKind.Fastener, Unit.Count, 1);

    /// <summary>Closes small holes that carry nothing.</summary>
    public static Material Putty { get; } = new("putty", "Reinforced epoxy putty", MaterialKind.Sealant, Unit.Ml, 100);

    /// <summary>Takes grease off.</summary>
    public static Material Degreaser { get; } = new("degreaser", "Degreaser", MaterialKind.Cleaner, Unit.Ml, 500);

    /// <summary>Makes glass ready for a bond.</summary>
    public static Material ActivatorWipe { get; } = new("activator-wipe", "Activator wipe", MaterialKind.Cleaner, Unit.Count, 10);

    /// <summary>Primer on glass and paint.</summary>
    public static Material GlassPrimer { get; } = new("glass-primer", "Primer", MaterialKind.Paint, Unit.Ml, 30);

    /// <summary>Primer that an adhesive's sheet names for acrylic.</summary>
    public static Material AcrylicPrimer { get; } = new("acrylic-primer", "Primer for acrylic", MaterialKind.Paint, Unit.Ml, 30);

    /// <summary>On cut edges of steel.</summary>
    public static Material ZincPrimer { get; } = new("zinc-primer", "Zinc primer", MaterialKind.Paint, Unit.Ml, 400);

    /// <summary>On other cut edges.</summary>
    public static Material EdgePrimer { get; } = new("edge-primer", "Edge primer", MaterialKind.Paint, Unit.Ml, 400);

    /// <summary>On bright steel.</summary>
    public static Material EpoxyPrimer { get; } = new("epoxy-primer", "Epoxy primer", MaterialKind.Paint, Unit.Ml, 500);

    /// <summary>Turns rust that cannot be brushed off.</summary>
    public static Material RustConverter { get; } = new("rust-converter", "Rust converter", MaterialKind.Paint, Unit.Ml, 250);

    /// <summary>In cavities, last of all.</summary>
    public static Material CavityWax { get; } = new("cavity-wax", "Cavity wax", MaterialKind.Paint, Unit.Ml, 500);

    /// <summary>Over a primer.</summary>
    public static Material TopCoat { get; } = new("top-coat", "Top coat", MaterialKind.Paint, Unit.Ml, 400);

    /// <summary>Dulls a land.</summary>
    public static Material AbrasivePad { get; } = new("abrasive-pad", "Abrasive pad", MaterialKind.Abrasive, Unit.Count, 10);

    /// <summary>For the angle grinder.</summary>
    public static Material FlapDisc { get; } = new("flap-disc", "Flap disc", MaterialKind.Abrasive, Unit.Count, 1);

    /// <summary>For the jigsaw.</summary>
    public static Material MetalBlade { get; } = new("metal-blade", "Jigsaw blade for metal", MaterialKind.Abrasive, Unit.Count, 5);

    /// <summary>Holds a flange.</summary>
    public static Material Screw { get; } = new("screw", "Screw", MaterialKind.Fastener, Unit.Count, 100);

    /// <summary>Holds a trim.</summary>
    public static Material TrimClip { get; } = new("trim-clip", "Trim clip", MaterialKind.Fastener, Unit.Count, 20);

    /// <summary>Over the cut edge of one skin, or of two that lie close.</summary>
    public static Material EdgeTrim { get; } = new("edge-trim", "Edge trim", MaterialKind.Trim, Unit.Mm, 5000);

    /// <summary>Over the cut edge of two skins apart.</summary>
    public static Material WideEdgeTrim { get; } = new("wide-edge-trim", "Wide edge trim", MaterialKind.Trim, Unit.Mm, 5000);

    /// <summary>Blind rivet of a size.</summary>
    /// <param name="diameterMm">Diameter, mm.</param>
    /// <param name="bodyMm">Length of its body, mm; null where none is long enough.</param>
    public static Material BlindRivet(double diameterMm, double? bodyMm) =>
        new(
            FormattableString.Invariant($"blind-rivet-{diameterMm:0.#}x{bodyMm:0}"),
            FormattableString.Invariant($"Blind rivet {diameterMm:0.#} x {bodyMm:0}"),
            MaterialKind.Fastener,
            Unit.Count,
            100
        );

    private static Material Tape(string id, string name, double rollMm) => new(id, name, MaterialKind.Tape, Unit.Mm, rollMm);

    private static Material Cartridge(string id, string name) => new(id, name, MaterialKind.Sealant, Unit.Ml, 290);

    /// <summary>All that come in one kind only: what one may have at hand without any work that needs it yet.</summary>
    public static IReadOnlyList<Material> All { get; } =
    [
        HoldingTape,
        MaskingTape,
        RoofingTape,
        FoamTape,
        PolyurethaneAdhesive,
        LapSealant,
        ToolingSealant,
        HeatSealant,
        Bedding,
        FlangeAdhesive,
        PaneAdhesive,
        SeamSealer,
        GutterSealant,
        PanelAdhesive,
        WoodAdhesive,
        MarineVarnish,
        Bolt,
        Putty,
        Degreaser,
        ActivatorWipe,
        GlassPrimer,
        AcrylicPrimer,
        ZincPrimer,
        EdgePrimer,
        EpoxyPrimer,
        RustConverter,
        CavityWax,
        TopCoat,
        AbrasivePad,
        FlapDisc,
        MetalBlade,
        Screw,
        TrimClip,
        EdgeTrim,
        WideEdgeTrim,
    ];
}
