namespace Abri.Core.Work;

/// <summary>What can hurt somebody, or spoil the work.</summary>
/// <param name="Id">What it is known by.</param>
/// <param name="Text">What is said, as a sentence.</param>
public sealed record Caution(string Id, string Text);

/// <summary>All cautions that more than one product or place has: one list, so that each is said in the same words everywhere.</summary>
public static class Cautions
{
    /// <summary>Before anything is drilled: what runs behind a panel.</summary>
    public static Caution WiringBehind { get; } = new("wiring-behind", "Wiring, pipes, fuel lines and airbags may be where no drawing shows them.");

    /// <summary>Before a cut: current, and what lies behind.</summary>
    public static Caution CurrentAndFuel { get; } =
        new("current-and-fuel", "Battery disconnected; look behind the panel for wiring, pipes and fuel.");

    /// <summary>While metal is cut.</summary>
    public static Caution CuttingMetal { get; } =
        new("cutting-metal", "Eyes, ears, cut-proof gloves; a disc burns paint and what lies behind it: only for short runs, with a fire watch.");

    /// <summary>While glass-reinforced plastic is cut.</summary>
    public static Caution GlassFibreDust { get; } =
        new(
            "glass-fibre-dust",
            "Respirator P3, eyes, long sleeves, extraction: glass fibre dust harms the lungs and itches for days. Wash cold before warm."
        );

    /// <summary>While paint is put on.</summary>
    public static Caution Paint { get; } =
        new("paint", "Gloves and air, no flame; a respirator against vapour where it is sprayed, and nobody sprays inside a closed vehicle.");

    /// <summary>While resin is used.</summary>
    public static Caution Resin { get; } = new("resin", "Gloves: epoxy resin sensitises skin. Small batches, for a large one heats itself.");

    /// <summary>Before a flue is cut in.</summary>
    public static Caution Licensed { get; } =
        new("licensed", "Flues and burners by the appliance's sheet, local rules and somebody licensed; an extinguisher within reach.");

    /// <summary>While something heavy is lifted.</summary>
    public static Caution HeavyLift { get; } =
        new("heavy-lift", "Nobody lifts it alone or above the head from a ladder; the ground below stays clear.");

    /// <summary>Where cut sheet is handled.</summary>
    public static Caution SheetEdges { get; } = new("sheet-edges", "Cut-proof gloves: fresh sheet edges and rivet pins cut.");

    /// <summary>While steel is welded.</summary>
    public static Caution Welding { get; } =
        new(
            "welding",
            "Battery disconnected, mask, fire watch for an hour after; nothing that burns within a metre, inside too; zinc only in moving air."
        );

    /// <summary>While rust and paint are taken off.</summary>
    public static Caution RustDust { get; } = new("rust-dust", "Eyes, gloves, dust mask; old paint can hold lead: wet, not dry, and no heat gun.");

    /// <summary>Where fuel is near.</summary>
    public static Caution FuelNear { get; } =
        new("fuel-near", "Fuel within 300 mm: no sparks, no flame, no hot work; a licensed workshop empties and takes it off first.");

    /// <summary>Where a brake line is near.</summary>
    public static Caution BrakeLineNear { get; } =
        new("brake-line-near", "Brake line within 300 mm: cover it; one that was touched or rusts is replaced by a licensed workshop.");

    /// <summary>Where glass is near grinding.</summary>
    public static Caution SparksOnGlass { get; } = new("sparks-on-glass", "Sparks burn into glass: cover it with a wet cloth or board.");

    /// <summary>While boards are cut and lifted.</summary>
    public static Caution CuttingWood { get; } =
        new("cutting-wood", "Eyes, ears, dust mask with extraction; screws and cables in the line kick a saw back: find them first.");

    /// <summary>Below a vehicle.</summary>
    public static Caution UnderTheVehicle { get; } =
        new("under-the-vehicle", "On stands or ramps on firm ground, wheels chocked; nobody lies under a jack alone.");

    /// <summary>While what carries is cut.</summary>
    public static Caution Propped { get; } =
        new("propped", "What a bearer carries comes down when it is cut: props on firm ground first, one bearer at a time, nobody below.");

    /// <summary>On a roof.</summary>
    public static Caution OnTheRoof { get; } = new("on-the-roof", "Firm ladder, boards across the bows, soft shoes without grit, no wind.");

    /// <summary>While polyurethane is laid.</summary>
    public static Caution Isocyanates { get; } = new("isocyanates", "Gloves and air: isocyanates.");

    /// <summary>While solvents are used.</summary>
    public static Caution Solvents { get; } = new("solvents", "Gloves and air: solvents. Rags go into a lidded metal container.");

    /// <summary>Before acrylic or polycarbonate is cleaned.</summary>
    public static Caution PlasticCrazes { get; } =
        new("plastic-crazes", "No solvent, activator or glass cleaner on acrylic or polycarbonate: it crazes, at once or weeks later.");

    /// <summary>Before a flange with a pane of plastic is degreased.</summary>
    public static Caution PlasticPane { get; } = new("plastic-pane", "No solvent on the plastic pane: it crazes.");

    /// <summary>While a large pane is carried.</summary>
    public static Caution LargePane { get; } = new("large-pane", "Large pane: two people.");

    /// <summary>While glass is carried.</summary>
    public static Caution Glass { get; } = new("glass", "Glass: two people, cut-proof gloves.");

    /// <summary>While a door is unscrewed.</summary>
    public static Caution DoorFalls { get; } = new("door-falls", "A door that comes off its hinges falls: somebody holds it.");

    /// <summary>While a door is bent.</summary>
    public static Caution Fingers { get; } = new("fingers", "Fingers out of the gap; nobody stands in the doorway while it is pushed.");

    /// <summary>When a flue is fired for the first time.</summary>
    public static Caution FirstFiring { get; } =
        new("first-firing", "The first firing is watched, windows open: carbon monoxide and smoke. An alarm is fitted before.");

    /// <summary>What the sheet of a product warns of.</summary>
    public static Caution OfProduct(string hazards) => new("product", hazards);

    /// <summary>That a product which was chosen does not go there.</summary>
    public static Caution ProductRefused(string why) => new("product-refused", why);
}
