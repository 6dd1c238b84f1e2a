using Abri.Core.Geometry;
using Abri.Core.Shell;
using Abri.Core.Work;

namespace Abri.Core.Procedures.Phases;

/// <summary>The hole: cut, filed and measured. The shell is open from here.</summary>
internal static class CutPhase
{
    public static IEnumerable<WorkStep> Of(OpeningPlan x)
    {
        bool waste = x.Schools.CutSize == CutSize.WasteSide;
        double path = x.Marked.PerimeterMm;
        string way = waste ? "Cut on the waste side of the line, then open up to it" : "Cut with the clearance all round at once";
        yield return WorkStep.Of(
            "cut",
            "Cut",
            $"Start holes of {x.Marked.StartHoles[0].Drill} inside the corners. "
                + $"{way}: {x.Text(path)} of cut. "
                + "Tape the cut behind the blade, so that the piece cannot drop.",
            x.Out,
            path,
            $"Drill {x.Marked.StartHoles[0].Drill}",
            "Jigsaw, fresh metal blade",
            "Dust sheet"
        ) with
        {
            People = path > 2500 ? 2 : 1,
            Cautions = [Cautions.CurrentAndFuel, Cautions.CuttingMetal, .. x.OutCautions],
            Shell = ShellChange.Opens,
            Weather = x.Dry,
            Consumables = [new Consumable(Materials.MetalBlade, 2)],
            Holds = [HoldPoint.Seen("A cover that keeps rain out lies ready")],
        };
        if (x.Schools.RibOrder != RibOrder.RibsFirst)
        {
            foreach (WorkStep step in PreparePhase.CutBack(x))
                yield return step;
        }
        yield return WorkStep.Of(
            "measure",
            waste ? "File and measure the hole" : "Measure the hole",
            $"Take off the burr, {(waste ? "file to the line, " : "")}measure it six ways and enter it as cut; then try the fitting dry.",
            x.Out,
            path,
            "Half-round file",
            "Tape measure"
        ) with
        {
            Cautions = x.OutCautions,
            Weather = x.Dry,
            Holds =
            [
                Hole(x, $"The hole, {x.Panel.Facing.Ways().Width}", r => r.WidthMm, HoleReading.Widths),
                Hole(x, $"The hole, {x.Panel.Facing.Ways().Height}", r => r.HeightMm, HoleReading.Heights),
                HoldPoint.Seen("The fitting goes in without force") with
                {
                    IfMore = "File where it touches, little by little, and treat the edge anew. Never lever it in.",
                },
            ],
        };
    }

    /// <summary>A size of the hole, with the tolerances of the sheet.</summary>
    private static HoldPoint Hole(OpeningPlan x, string name, Func<RoundedRectangle, double> size, HoleReading reads)
    {
        double wanted = size(x.Fitting.CutOut);
        return new(name, wanted, wanted - size(x.Marked.CutPath.LeastHole), size(x.Marked.CutPath.MostHole) - wanted, Unit.Mm)
        {
            IfLess = "Open it up: file to the line, and measure again.",
            IfMore = "Do not bed it yet. See As cut: does the flange still cover the hole, and do the screws still hit metal?",
            Reads = reads,
        };
    }
}
