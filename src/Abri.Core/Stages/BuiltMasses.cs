using Abri.Core.Floor;
using Abri.Core.Geometry;
using Abri.Core.Linings;
using Abri.Core.Load;
using Abri.Core.Metal;
using Abri.Core.Openings;
using Abri.Core.Procedures;
using Abri.Core.Record;
using Abri.Core.Shell;

namespace Abri.Core.Stages;

/// <summary>What the work on the shell adds to a vehicle's mass and takes off it: fittings, linings, new floor, patches.</summary>
internal static class BuiltMasses
{
    /// <summary>Of softwood, dry, kg/m3: timbers that are let in.</summary>
    private static readonly double Timber = BoardMaterial.Planks.KgM3();

    public static IEnumerable<LoadLine> Of(VehicleSnapshot of)
    {
        var places = new PlaceInVehicle(of);
        return
        [
            .. of.Openings.Select(o => OfOpening(of, places, o)),
            .. of.Floor.Linings.Select(l => OfLining(of, places, l)).OfType<LoadLine>(),
            .. of.Floor.Replacements.Select(r => OfReplacement(of, places, r)).OfType<LoadLine>(),
            .. of
                .Repairs.Where(r => r.Value.Kind is RepairKind.Patch or RepairKind.Plate or RepairKind.WindowOut)
                .Select(r => OfRepair(of, places, r))
                .OfType<LoadLine>(),
        ];
    }

    private static LoadLine OfOpening(VehicleSnapshot of, PlaceInVehicle places, Stored<Opening> opening)
    {
        Panel panel = of.PanelOf(opening).Value;
        Fitting fitting = of.FittingOf(opening.Value);
        double gone = SkinKg(panel, AreaMm2(fitting.CutOut));
        return Line(
            opening.Id,
            LoadSource.Opening,
            opening.Value.Name,
            fitting.MassKg - gone,
            places.Of(panel, opening.Value.Centre),
            opening.Value.State == OpeningState.Fitted,
            $"The fitting {fitting.MassKg:0.#} kg, less {gone:0.#} kg of skin that is cut out."
        );
    }

    private static LoadLine? OfLining(VehicleSnapshot of, PlaceInVehicle places, Stored<Lining> lining)
    {
        Stored<Panel> panel = of.PanelOf(lining);
        if (!LiningHoles.Of(LiningsOfVehicle.Site(of, panel), lining.Value).IsOk(out Worked<LiningPlan>? plan, out _))
            return null;
        NewSheet sheet = lining.Value.Sheet;
        return Line(
            lining.Id,
            LoadSource.Lining,
            lining.Value.Name,
            plan.Result.AreaMm2 / 1e6 * KgM2(sheet.Material, sheet.ThickMm),
            places.Of(panel.Value, PanelBox.Of(lining.Value.Outline).Centre),
            lining.Value.State == LiningState.Fixed,
            $"{plan.Result.AreaMm2 / 1e6:0.0} m2 of {sheet.Material.Name().ToLowerInvariant()}, {KgM2(sheet.Material, sheet.ThickMm):0.0} kg/m2."
        );
    }

    private static LoadLine? OfReplacement(VehicleSnapshot of, PlaceInVehicle places, Stored<Replacement> wood)
    {
        Stored<Panel> panel = of.PanelOf(wood);
        if (!FloorReplacement.Of(FloorOfVehicle.Site(of, panel), wood.Value).IsOk(out Worked<ReplacementPlan>? worked, out _))
            return null;
        ReplacementPlan plan = worked.Result;
        NewSheet sheet = wood.Value.Sheet;
        double pieces = plan.Pieces.Sum(p => Math.Abs(Outlines.SignedAreaMm2(p.Outline))) / 1e6,
            boards = pieces * KgM2(sheet.Material, sheet.ThickMm),
            timbers = plan.Supports.Sum(s => s.LengthMm * s.WideMm * s.HighMm) / 1e9 * Timber;
        Board[] old = [.. of.Floor.Boards.On(panel.Id).Values()];
        // What nobody has drawn is taken to be as heavy as what goes in.
        double gone = old.Length == 0 ? boards : plan.Cut.Sum(cut => OldKg(old, cut));
        return Line(
            wood.Id,
            LoadSource.Replacement,
            wood.Value.Name,
            boards + timbers - gone,
            places.Of(panel.Value, plan.Cover.Centre),
            wood.Value.State == ReplacementState.Done,
            $"New boards {boards:0.#} kg, timbers {timbers:0.#} kg, less {gone:0.#} kg of old boards, taken as dry."
        );
    }

    /// <summary>Mass of the old boards within a part of the cut, kg.</summary>
    private static double OldKg(Board[] old, IReadOnlyList<PanelPoint> cut)
    {
        var box = PanelBox.Of(cut);
        double filled = Math.Abs(Outlines.SignedAreaMm2(cut)) / box.AreaMm2;
        return old.Sum(b => filled * Math.Abs(Outlines.SignedAreaMm2(Outlines.ClippedTo(b.Outline, box))) / 1e6 * KgM2(b.Material, b.ThickMm));
    }

    private static LoadLine? OfRepair(VehicleSnapshot of, PlaceInVehicle places, Stored<Repair> repair)
    {
        Stored<Panel> panel = of.PanelOf(repair);
        if (!RepairProcedure.Of(MetalOfVehicle.Work(of, panel, repair.Value)).IsOk(out Worked<RepairPlan>? plan, out _))
            return null;
        LoadPlace at = places.Of(panel.Value, PanelBox.Of(MetalOfVehicle.Outline(repair.Value, panel.Value)).Centre);
        if (plan.Result.Window is { } window)
            return Line(repair.Id, LoadSource.Repair, repair.Value.Name, -window.PaneKg, at, repair.Value.IsOver, "The old pane comes out.");
        if (plan.Result.Patch is not { } patch)
            return null;
        double gone = SkinKg(panel.Value, patch.HoleMm2);
        return Line(
            repair.Id,
            LoadSource.Repair,
            repair.Value.Name,
            patch.MassKg - gone,
            at,
            repair.Value.IsOver,
            $"The patch {patch.MassKg:0.##} kg, less {gone:0.##} kg that is cut out."
        );
    }

    private static LoadLine Line(string id, LoadSource source, string name, double kg, LoadPlace at, bool isIn, string makes) =>
        new(id, 0, source, new LoadItem(name, LoadKind.Fixed, Math.Abs(kg), at, 100, kg < 0, isIn, ""), makes);

    internal static double KgM2(BoardMaterial material, double thickMm) => material.KgM3() * thickMm / 1000;

    private static double SkinKg(Panel panel, double areaMm2) => areaMm2 / 1e6 * panel.SkinMm / 1000 * panel.Material.KgM3();

    private static double AreaMm2(RoundedRectangle r) => (r.WidthMm * r.HeightMm) - ((4 - Math.PI) * r.CornerRadiusMm * r.CornerRadiusMm);
}
