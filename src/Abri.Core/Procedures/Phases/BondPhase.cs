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

    public static IEnumerable<WorkStep> Of(OpeningPlan x)
    {
        PaneBondPlan bond = PaneBond.Of(x.Fitting, x.Panel.Material, x.Product, x.Lengths).Result;
        bool acrylic = x.Fitting.Bonded?.Pane == Pane.Acrylic;
        if (x.Panel.SkinGapMm is not null)
        {
            yield return WorkStep.Of(
                "skins",
                "Check the two skins",
                "Skins still bonded to one another round the hole? Where they are not, re-bond, clamp and wait.",
                WorkPlace.Inside,
                1,
                "Clamps"
            ) with
            {
                Holds = [HoldPoint.Seen("Skins bonded all round")],
            };
        }
        yield return acrylic ? CleanAcrylic(x, bond.PathMm) : CleanGlass(x, bond.PathMm);
        yield return Bead(x, bond);
        yield return WorkStep.Of(
            "set-pane",
            "Set the pane",
            $"Two people, suction lifters, bottom edge first on its spacers of {x.Text(bond.ThickMm)}; press evenly, equal gap at the bottom edge; "
                + "tape it to the skin above with the strips that hang ready.",
            x.Out,
            1,
            "Suction lifters",
            "Spacers"
        ) with
        {
            People = 2,
            Weather = x.Laying,
            Shell = ShellChange.Closes,
            Cautions = [acrylic ? Cautions.LargePane : Cautions.Glass],
            Consumables = [new Consumable(Materials.HoldingTape, 2000)],
            Holds =
            [
                HoldPoint
                    .Within("Gap along the bottom edge differs by", 0, 1, Unit.Mm)
                    .Else("Shift the pane on its blocks while the adhesive is open."),
            ],
        };
        yield return WorkStep.Of(
            "hold",
            "Let it hold",
            "No door is slammed and the vehicle stays where it is until the bond carries itself. Sealing allows for the weather.",
            x.Out,
            1
        ) with
        {
            WaitHours = Math.Round(bond.HoldsAfterHours ?? HoldsHours),
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
            Cautions =
            [
                .. x.RefusedCaution,
                .. x.Product?.Hazards is { Length: > 0 } hazards ? [Cautions.OfProduct(hazards)] : Array.Empty<Caution>(),
            ],
            Consumables = [new Consumable(x.Product?.AsMaterial() ?? Materials.PaneAdhesive, bead.BoughtMl)],
        };
    }

    private static WorkStep CleanGlass(OpeningPlan x, double pathMm) =>
        WorkStep.Of(
            "clean",
            "Clean, activate, prime",
            "Degrease; wipe the land with activator in one direction, flash off; prime the black border and the painted edge, flash "
                + "off. An opened wipe counts as used.",
            x.Out,
            1,
            "Lint-free cloths",
            "Felt applicators"
        ) with
        {
            Weather = x.Laying,
            Cautions = [Cautions.Solvents],
            Consumables = [new Consumable(Materials.ActivatorWipe, 4), new Consumable(Materials.GlassPrimer, pathMm * PrimerMlPerMm)],
        };

    /// <summary>Solvent crazes acrylic: soap, water and abrasive, and a primer only where the adhesive's sheet names one for acrylic.</summary>
    private static WorkStep CleanAcrylic(OpeningPlan x, double pathMm)
    {
        bool primed = x.Product?.To(Substrate.Acrylic) == Adhesion.WithPrimer;
        string prime = primed
            ? $" Prime the land with the primer that the sheet of {x.Product!.Name} names for acrylic, nothing else; flash off."
            : "";
        return WorkStep.Of(
            "clean",
            "Clean and abrade",
            $"Skin: degrease, let it dry. Pane: soap and water only, then dull the land with fine abrasive pads and wipe it with clean water.{prime}",
            x.Out,
            1,
            "Abrasive pads",
            "Lint-free cloths"
        ) with
        {
            Weather = x.Laying,
            Cautions = [Cautions.AcrylicCrazes],
            Consumables =
            [
                new Consumable(Materials.AbrasivePad, 2),
                .. primed ? [new Consumable(Materials.AcrylicPrimer, pathMm * PrimerMlPerMm)] : Array.Empty<Consumable>(),
            ],
        };
    }
}
