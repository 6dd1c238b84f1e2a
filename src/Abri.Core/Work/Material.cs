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

    /// <summary>Under a flange or a frame where no product is known that suits.</summary>
    public static Material Bedding { get; } = Cartridge("bedding", "Bedding");

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

    /// <summary>Primer that an adhesive's sheet names for acrylic or polycarbonate.</summary>
    public static Material PlasticPrimer { get; } = new("acrylic-primer", "Primer for plastic panes", MaterialKind.Paint, Unit.Ml, 30);

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

    /// <summary>On cut edges of aluminium.</summary>
    public static Material AluminiumPrimer { get; } = new("aluminium-primer", "Primer for aluminium", MaterialKind.Paint, Unit.Ml, 400);

    /// <summary>Seals cut edges of plywood and of glass-reinforced plastic.</summary>
    public static Material EdgeResin { get; } = new("edge-resin", "Epoxy resin for edges", MaterialKind.Paint, Unit.Ml, 250);

    /// <summary>Over a primer.</summary>
    public static Material TopCoat { get; } = new("top-coat", "Top coat", MaterialKind.Paint, Unit.Ml, 400);

    /// <summary>Over a primer, beside what gets hot.</summary>
    public static Material HeatPaint { get; } = new("heat-paint", "Heat-resistant paint", MaterialKind.Paint, Unit.Ml, 400);

    /// <summary>Dulls a land.</summary>
    public static Material AbrasivePad { get; } = new("abrasive-pad", "Abrasive pad", MaterialKind.Abrasive, Unit.Count, 10);

    /// <summary>For the angle grinder.</summary>
    public static Material FlapDisc { get; } = new("flap-disc", "Flap disc", MaterialKind.Abrasive, Unit.Count, 1);

    /// <summary>For the jigsaw.</summary>
    public static Material MetalBlade { get; } = new("metal-blade", "Jigsaw blade for metal", MaterialKind.Abrasive, Unit.Count, 5);

    /// <summary>For the jigsaw, in glass-reinforced plastic.</summary>
    public static Material GritBlade { get; } = new("grit-blade", "Jigsaw blade with a grit edge", MaterialKind.Abrasive, Unit.Count, 2);

    /// <summary>For the jigsaw, in plywood.</summary>
    public static Material WoodBlade { get; } = new("wood-blade", "Jigsaw blade, fine, for plywood", MaterialKind.Abrasive, Unit.Count, 5);

    /// <summary>Holds a header and ties what was cut to it.</summary>
    public static Material HeaderBolt { get; } = new("bolt-m6", "Bolt M6 with washers and nut", MaterialKind.Fastener, Unit.Count, 10);

    /// <summary>Ties the cut end of a rib to its header.</summary>
    public static Material Angle { get; } = new("angle", "Steel angle with four holes", MaterialKind.Fastener, Unit.Count, 1);

    /// <summary>Holds a flange on aluminium.</summary>
    public static Material IsolatedScrew { get; } = new("isolated-screw", "Stainless screw with nylon washer", MaterialKind.Fastener, Unit.Count, 50);

    /// <summary>Holds a flange.</summary>
    public static Material Screw { get; } = new("screw", "Screw", MaterialKind.Fastener, Unit.Count, 100);

    /// <summary>Holds a trim.</summary>
    public static Material TrimClip { get; } = new("trim-clip", "Trim clip", MaterialKind.Fastener, Unit.Count, 20);

    /// <summary>Over the cut edge of one skin, or of two that lie close.</summary>
    public static Material EdgeTrim { get; } = new("edge-trim", "Edge trim", MaterialKind.Trim, Unit.Mm, 5000);

    /// <summary>Square steel tube of a header.</summary>
    /// <param name="sideMm">Its side, mm.</param>
    /// <param name="wallMm">Its wall, mm.</param>
    public static Material Tube(double sideMm, double wallMm) =>
        new(
            FormattableString.Invariant($"tube-{sideMm:0.#}x{wallMm:0.#}"),
            FormattableString.Invariant($"Steel tube {sideMm:0.#} x {sideMm:0.#} x {wallMm:0.#}"),
            MaterialKind.Trim,
            Unit.Mm,
            null
        );

    /// <summary>Rubber that holds a pane in a hole.</summary>
    public static Material WindowRubber { get; } = new("window-rubber", "Window rubber for skin and pane", MaterialKind.Trim, Unit.Mm, 1000);

    /// <summary>Spreads a window rubber.</summary>
    public static Material FillerStrip { get; } = new("filler-strip", "Filler strip", MaterialKind.Trim, Unit.Mm, 1000);

    /// <summary>Under the lip of a window rubber: never hardens.</summary>
    public static Material NonSettingSealant { get; } = Cartridge("non-setting-sealant", "Non-setting sealant");

    /// <summary>Round a hatch.</summary>
    public static Material HatchSeal { get; } = new("hatch-seal", "Hollow seal for hatches", MaterialKind.Trim, Unit.Mm, 5000);

    /// <summary>Over a hatch.</summary>
    public static Material DripRail { get; } = new("drip-rail", "Drip rail", MaterialKind.Trim, Unit.Mm, 2000);

    /// <summary>Between two skins round a hole.</summary>
    public static Material GapStrip { get; } = new("gap-strip", "Timber strip as thick as the gap", MaterialKind.Wood, Unit.Mm, 2000);

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
        PlasticPrimer,
        ZincPrimer,
        EdgePrimer,
        EpoxyPrimer,
        RustConverter,
        CavityWax,
        AluminiumPrimer,
        EdgeResin,
        TopCoat,
        HeatPaint,
        AbrasivePad,
        FlapDisc,
        MetalBlade,
        GritBlade,
        WoodBlade,
        HeaderBolt,
        Angle,
        IsolatedScrew,
        Screw,
        TrimClip,
        EdgeTrim,
        WideEdgeTrim,
        WindowRubber,
        FillerStrip,
        NonSettingSealant,
        HatchSeal,
        DripRail,
        GapStrip,
    ];
}
