using Abri.Core.Geometry;
using Abri.Core.Openings;
using Abri.Core.Shell;

namespace Abri.Core.Sealing;

/// <summary>The bond of a pane in figures: one answer for the tab, the steps and the joint.</summary>
/// <param name="MovementMm">How far the pane's edge moves against the skin, mm.</param>
/// <param name="ThickMm">Thickness of the bond, mm.</param>
/// <param name="PathMm">Length of the bead, mm.</param>
/// <param name="NotchBaseMm">Base of the triangular notch, mm.</param>
/// <param name="NotchHeightMm">Height of the notch, mm.</param>
/// <param name="LayMmPerMinute">Pace at which the bead is laid, mm/min.</param>
/// <param name="Bead">Volume, cartridges and time of the bead.</param>
/// <param name="CureWidthMm">Width of the pressed bead, through which it cures, mm.</param>
/// <param name="OpenFaces">Faces of it that are open to the air.</param>
/// <param name="HoldsAfterHours">Hours until it carries itself at 23 C and 50 %; null where no product says so.</param>
public sealed record PaneBondPlan(
    double MovementMm,
    double ThickMm,
    double PathMm,
    double NotchBaseMm,
    double NotchHeightMm,
    double LayMmPerMinute,
    BeadPlan Bead,
    double CureWidthMm,
    int OpenFaces,
    double? HoldsAfterHours
);

/// <summary>Works out the bond of a pane.</summary>
/// <remarks>
/// As thick as thermal movement asks for (<see cref="BondThickness"/>), at least <see cref="LeastThickMm"/>. The bead is laid with a usual notch
/// round the pane's edge and pressed to that thickness; it is as wide as that makes it, at most the land, and open to the air at its
/// outer edge and at the hole. What is not said by a product is a usual cartridge.
/// </remarks>
/// <example>Glass 1092 x 460 on a land of 18: 3 mm thick, 10 x 12 notch pressed to 20 mm, so 18 mm wide, cured from both edges.</example>
public static class PaneBond
{
    /// <summary>Least thickness of a bond, mm: common practice.</summary>
    public const double LeastThickMm = 3;

    private const double NotchMm = 10,
        NotchHeightMm = 12,
        LayMmPerMinute = 600,
        WastePercent = 10,
        UsualPackMl = 310,
        UsualSkinMinutes = 10;
    private const int OpenFaces = 2;

    /// <summary>The bond of a fitting on a skin.</summary>
    /// <param name="fitting">The fitting.</param>
    /// <param name="skin">What the skin is made of.</param>
    /// <param name="product">The adhesive; null until it is chosen.</param>
    /// <param name="lengths">How lengths are written.</param>
    public static Worked<PaneBondPlan> Of(Fitting fitting, SkinMaterial skin, Product? product, LengthFormat lengths)
    {
        var sheet = new Worksheet();
        Worked<BondLine> line = BondThickness.Of(fitting.Bonded?.Pane ?? Pane.Glass, skin, Math.Max(fitting.Flange.WidthMm, fitting.Flange.HeightMm));
        sheet.Take(line);
        double thick = sheet.Step("t_b", "thickness of the bond", $"max(t, {LeastThickMm:0} mm)", Math.Max(LeastThickMm, line.Result.LeastMm), "mm");
        double land = fitting.Bonded?.LandMm ?? FittingCheck.LapMm(fitting.Flange, fitting.CutOut),
            path = fitting.Flange.PerimeterMm;
        var bead = new BeadInput(
            path,
            NotchMm,
            NotchHeightMm,
            thick,
            land,
            product?.PackMl is > 0 and var pack ? pack : UsualPackMl,
            WastePercent,
            LayMmPerMinute,
            product?.SkinMinutes ?? UsualSkinMinutes,
            true
        );
        Worked<BeadPlan> plan = Bead.Of(bead, lengths).Value!;
        sheet.Take(plan);
        double width = sheet.Step("w_c", "width through which it cures", "min(w, land)", Math.Min(land, plan.Result.SqueezedWidthMm ?? land), "mm");
        sheet.Cite(new Source($"Bond at least {LeastThickMm:0} mm thick", SourceKind.CommonPractice));
        sheet.Cite(
            new Source(
                $"Notch {NotchMm:0} x {NotchHeightMm:0} mm, {WastePercent:0} % waste, {LayMmPerMinute:0} mm/min; both edges of the "
                    + "bond open to the air",
                SourceKind.Assumption
            )
        );
        double? holds =
            product is { Setting: Setting.Moisture } && Cure.Of(product, width, OpenFaces, [Cure.SheetAir]).Value is { } cure
                ? cure.Result.States.First(s => s.State == CureState.ClampsOff).Hours
                : null;
        if (holds is { } hours)
            sheet.Step("t_h", "carries itself, at 23 °C and 50 %", "cure of the bead", hours, "h");
        return sheet.Finish(
            new PaneBondPlan(line.Result.MovementMm, thick, path, NotchMm, NotchHeightMm, LayMmPerMinute, plan.Result, width, OpenFaces, holds)
        );
    }
}
