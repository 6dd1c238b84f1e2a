using Abri.Core.Geometry;
using Abri.Core.Openings;
using Abri.Core.Openings.Rules;
using Abri.Core.Shell;
using Abri.Core.Work;

namespace Abri.Core.Procedures.Phases;

/// <summary>The hole: cut, opened up where the school files to a line, and measured; the edge of two skins closed. The shell is open from
/// here.</summary>
internal static class CutPhase
{
    /// <summary>Corner radius below which a hatch's corners get a stop hole against cracks, mm, and the hole's diameter: common practice.</summary>
    private const double StopRadiusMm = 10,
        StopHoleMm = 10;

    /// <summary>Until strips that are glued between two skins hold, hours: assumption.</summary>
    private const double StripHours = 4;

    public static IEnumerable<WorkStep> Of(OpeningPlan x)
    {
        bool waste = x.Schools.CutSize == CutSize.WasteSide;
        double path = x.Marked.PerimeterMm;
        string way = waste ? "Cut on the waste side of the line" : "Cut with the clearance all round at once";
        yield return WorkStep.Of(
            "cut",
            "Cut",
            $"Start holes of {x.Marked.StartHoles[0].Drill} inside the corners. {Corners(x)}"
                + $"{way}: {x.Text(path)} of cut. "
                + (
                    x.Panel.SkinGapMm is null
                        ? "Blade no longer than it needs. "
                        : "Each skin by itself, the outer one first, with a blade no longer than one skin needs; then the inner one along the hole. "
                )
                + "Tape the cut behind the blade every hand's breadth, so that the piece cannot drop or tear.",
            x.Out,
            x.CutMm,
            $"Drill {x.Marked.StartHoles[0].Drill}",
            x.Skin.Saw
        ) with
        {
            People = path > 2500 ? 2 : 1,
            Cautions =
            [
                Cautions.CurrentAndFuel,
                .. x.Skin.Cutting,
                .. x.Fitting.HeatMm > 0 ? [Cautions.Licensed] : Array.Empty<Caution>(),
                .. x.OutCautions,
            ],
            Shell = ShellChange.Opens,
            Weather = x.Dry,
            Consumables = [new Consumable(x.Skin.Blade, x.Blades)],
            Holds = [HoldPoint.Seen("A cover that keeps rain out lies ready")],
        };
        if (x.Schools.RibOrder != RibOrder.RibsFirst)
        {
            foreach (WorkStep step in PreparePhase.CutBack(x))
                yield return step;
        }
        yield return WorkStep.Of(
            "measure",
            waste ? "Open up to the line and measure the hole" : "Measure the hole",
            $"Take off the burr, {(waste ? "file to the line, " : "")}measure it six ways and enter it as cut.",
            x.Out,
            waste ? path : 0,
            waste ? ["Half-round file", "Tape measure"] : ["Deburring tool", "Tape measure"]
        ) with
        {
            Cautions = x.OutCautions,
            Weather = x.Dry,
            Holds =
            [
                Hole(x, $"The hole, {x.Panel.Facing.Ways().Width}", r => r.WidthMm, HoleReading.Widths, waste),
                Hole(x, $"The hole, {x.Panel.Facing.Ways().Height}", r => r.HeightMm, HoleReading.Heights, waste),
            ],
        };
        if (x.Panel.SkinGapMm is { } gap)
            yield return KindRules.TakesTrim(x.Fitting, x.Panel) ? Skins(x) : Edge(x, gap);
    }

    /// <summary>Where a trim covers both skins they only have to hold together.</summary>
    private static WorkStep Skins(OpeningPlan x) =>
        WorkStep.Of(
            "skins",
            "Check the two skins",
            "Skins still bonded to one another round the hole? Where they are not, bond them again, clamp and wait for it.",
            WorkPlace.Inside,
            1,
            "Clamps"
        ) with
        {
            Holds = [HoldPoint.Seen("Skins bonded all round")],
        };

    private static string Corners(OpeningPlan x) =>
        x.Fitting.Kind != FittingKind.Hatch ? ""
        : x.Fitting.CutOut.CornerRadiusMm < StopRadiusMm
            ? $"A stop hole of {x.Lengths.Drill(StopHoleMm)} in each corner first: from a sharp corner the skin cracks. "
        : $"Keep the radius of {x.Text(x.Fitting.CutOut.CornerRadiusMm)} in the corners: from a sharp one the skin cracks. ";

    /// <summary>Between two skins round the hole: the core filled, or the gap.</summary>
    private static WorkStep Edge(OpeningPlan x, double gapMm)
    {
        double strip = x.Marked.PerimeterMm * 1.1;
        bool core = KindRules.IsSandwich(x.Panel);
        return WorkStep.Of(
            "core",
            core ? "Fill the core at the edge" : "Close the gap between the skins",
            core
                ? $"Dig the core out {x.Text(KindRules.CoreMm)} all round and glue strips of timber in, {x.Text(gapMm)} thick and mitred, "
                    + "with thickened "
                    + "resin; or fill it with that alone. Flush with the hole, clamped between battens until it is hard."
                : "Are the skins still bonded to one another round the hole? Where they are not, bond and clamp them. Then glue strips "
                    + $"{x.Text(gapMm)} thick "
                    + "between them, flush with the hole, so that nothing pinches them "
                    + $"together{(x.Roof || x.Below ? "." : "; in the lower one leave two gaps for water to drain.")}",
            x.Out,
            x.Marked.PerimeterMm,
            "Chisel or hooked scraper",
            "Clamps",
            "Saw"
        ) with
        {
            Weather = x.Dry,
            WaitHours = StripHours,
            Cautions = [core ? Cautions.Resin : Cautions.Isocyanates, .. x.OutCautions],
            Consumables =
            [
                new Consumable(Materials.GapStrip, strip),
                core
                    ? new Consumable(Materials.EdgeResin, strip * 2 * KindRules.CoreMm * 0.5 / 1000)
                    : new Consumable(Materials.PolyurethaneAdhesive, strip * 2 * 6 / 1000),
            ],
            Holds = [HoldPoint.Seen("Both skins are held all round, and nothing stands proud of the hole")],
        };
    }

    /// <summary>A size of the hole, with the tolerances of the sheet.</summary>
    private static HoldPoint Hole(OpeningPlan x, string name, Func<RoundedRectangle, double> size, HoleReading reads, bool files)
    {
        double wanted = size(x.Fitting.CutOut);
        return new(name, wanted, wanted - size(x.Marked.CutPath.LeastHole), size(x.Marked.CutPath.MostHole) - wanted, Unit.Mm)
        {
            IfLess = files ? "Open it up: file to the line, and measure again." : "Trim it where it is short, and measure again.",
            IfMore = "Do not bed it yet. See As cut: does the flange still cover the hole, and do the screws still hit metal?",
            Reads = reads,
        };
    }
}
