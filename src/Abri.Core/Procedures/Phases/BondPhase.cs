using Abri.Core.Openings;
using Abri.Core.Sealing;
using Abri.Core.Work;

namespace Abri.Core.Procedures.Phases;

/// <summary>A bonded pane: cleaned, the bead laid, set and held. It closes the shell; its figures are those of <see cref="PaneBond"/>, as
/// everywhere.</summary>
internal static class BondPhase
{
    /// <summary>Primer for a millimetre of land, ml: assumption.</summary>
    private const double PrimerMlPerMm = 0.01;

    /// <summary>Until a bond carries itself where its product is not chosen, hours: assumption.</summary>
    private const double HoldsHours = 24;

    /// <summary>However thick, a warm kit holds a pane after some hours and a careful fitter leaves it for a day: common practice.</summary>
    private const double LeastHours = 2,
        MostHours = 24;

    public static IEnumerable<WorkStep> Of(OpeningPlan x)
    {
        PaneBondPlan bond = PaneBond.Of(x.Fitting, x.Panel.Material, x.Product, x.Lengths).Result;
        bool glass = x.Fitting.Bonded?.Pane is null or Pane.Glass;
        yield return glass ? CleanGlass(x, bond.PathMm) : CleanPlastic(x, bond.PathMm);
        yield return Bead(x, bond);
        yield return WorkStep.Of(
            "set-pane",
            "Set the pane",
            $"Suction lifters, bottom edge first on its spacers of {x.Text(bond.ThickMm)}; press evenly down to the spacers, not further; "
                + "equal gap at the bottom "
                + "edge; tape it to the skin with the strips that hang ready.",
            x.Out,
            1,
            "Suction lifters",
            "Spacers"
        ) with
        {
            People = Math.Max(2, x.LiftPeople),
            Weather = x.Laying,
            Shell = ShellChange.Closes,
            Cautions = [glass ? Cautions.Glass : Cautions.LargePane, .. x.OutCautions],
            Consumables = [new Consumable(Materials.HoldingTape, 500)],
            Holds =
            [
                HoldPoint
                    .Within("Gap along the bottom edge differs by", 0, 1, Unit.Mm)
                    .Else("Shift the pane on its blocks while the adhesive is open."),
            ],
        };
        double hours = Math.Round(Math.Clamp(bond.HoldsAfterHours ?? HoldsHours, LeastHours, MostHours));
        string rain = x.Product is { Setting: Setting.Moisture, SkinMinutes: { } skin } ? $"Rain does no harm after {2 * skin:0} min. " : "";
        string known = bond.HoldsAfterHours is null
            ? "Not known after how many hours it holds: look at the sheet of the kit and enter the product. Until then, a day. "
            : "The sheet of the kit comes first; a day is the careful habit. ";
        yield return WorkStep.Of(
            "hold",
            "Let it hold",
            $"{rain}No door is slammed, a window stays a finger open, and the vehicle stays where it is for {hours:0} h at 20 °C. "
                + $"{known}Sealing allows for the weather.",
            x.Out,
            1
        ) with
        {
            WaitHours = hours,
            Weather = x.Laying,
        };
    }

    private static WorkStep Bead(OpeningPlan x, PaneBondPlan bond)
    {
        BeadPlan bead = bond.Bead;
        return WorkStep.Of(
            "bead",
            "Lay the bead",
            $"Triangular notch {x.Text(bond.NotchBaseMm)} by {x.Text(bond.NotchHeightMm)}, from the middle of the bottom edge in "
                + "one go, joint at the bottom: "
                + $"{bead.BoughtMl:0} ml, {bead.Cartridges} {(bead.Cartridges == 1 ? "cartridge" : "cartridges")}, "
                + $"{bead.LayMinutes:0.#} min. {bead.Verdict}",
            x.Out,
            bead.LayMinutes,
            "Battery gun",
            "Second gun, loaded"
        ) with
        {
            Weather = x.Laying,
            Cautions = [.. x.RefusedCaution, .. x.ProductCautions, .. x.OutCautions],
            Consumables = [new Consumable(x.Product?.AsMaterial() ?? Materials.PaneAdhesive, bead.BoughtMl)],
        };
    }

    private static WorkStep CleanGlass(OpeningPlan x, double pathMm) =>
        WorkStep.Of(
            "clean",
            "Clean, activate, prime",
            "Degrease; wipe the land with activator in one direction, flash off; prime the black border and the painted edge, flash "
                + "off, each for the minutes on the kit. An opened wipe counts as used.",
            x.Out,
            1,
            "Lint-free cloths",
            "Felt applicators"
        ) with
        {
            Weather = x.Laying,
            Cautions = [Cautions.Solvents, .. x.OutCautions],
            Consumables = [new Consumable(Materials.ActivatorWipe, 4), new Consumable(Materials.GlassPrimer, pathMm * PrimerMlPerMm)],
        };

    /// <summary>Solvent crazes acrylic and polycarbonate: soap, water and abrasive, and a primer only where the adhesive's sheet names one for
    /// it.</summary>
    private static WorkStep CleanPlastic(OpeningPlan x, double pathMm)
    {
        Substrate pane = OfferedJoints.Of(x.Fitting.Bonded!.Pane);
        string plastic = Sealing.Words.Of(pane);
        bool primed = x.Product?.To(pane) == Adhesion.WithPrimer;
        string prime = primed
            ? $" Prime the land with the primer that the sheet of {x.Product!.Name} names for {plastic}, nothing else; flash off."
            : "";
        return WorkStep.Of(
            "clean",
            "Clean and abrade",
            "Skin: degrease, let it dry. Pane: soap and water or the maker's cleaner only, then mask the land's inner edge, dull the "
                + "land with fine abrasive pads "
                + $"and wipe it with clean water.{prime}",
            x.Out,
            1,
            "Abrasive pads",
            "Lint-free cloths"
        ) with
        {
            Weather = x.Laying,
            Cautions = [Cautions.PlasticCrazes, .. x.OutCautions],
            Consumables =
            [
                new Consumable(Materials.AbrasivePad, 2),
                .. primed ? [new Consumable(Materials.PlasticPrimer, pathMm * PrimerMlPerMm)] : Array.Empty<Consumable>(),
            ],
        };
    }
}
