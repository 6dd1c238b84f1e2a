using Abri.Core.Floor;
using Abri.Core.Geometry;
using Abri.Core.Linings;
using Abri.Core.Openings;
using Abri.Core.Shell;
using Abri.Core.Work;

namespace Abri.Core.Procedures;

/// <summary>A lining, and how it is made.</summary>
/// <param name="Plan">Its boards and holes.</param>
/// <param name="Procedure">How, step by step.</param>
/// <param name="ScrewMm">Length of the screws, mm; 0 where no screw is short enough.</param>
/// <param name="Screws">How many.</param>
public sealed record LiningJob(LiningPlan Plan, Procedure Procedure, double ScrewMm, int Screws);

/// <summary>Writes how a lining is made: from what it will hide to the trim of the last hole.</summary>
/// <remarks>
/// The order is common practice: what is behind is looked at and photographed first; holes are framed with battens as thick as the gap; boards are
/// sawn, their holes smaller at first; each is held up, marked through the hole in the skin, taken down, sawn to the line and sealed; packers as
/// thick as the lining stand for it under an inner frame meanwhile, and come out again. Screws end before the skin. Battens 400 mm apart, screws
/// 200 mm along them: assumption.
/// </remarks>
public static class LiningProcedure
{
    private const double BattenPitchMm = 400,
        ScrewPitchMm = 200,
        BiteMm = 20,
        ScrewStepMm = 5,
        ShortOfSkinMm = 5,
        BoardPropMm = 1500;

    /// <summary>The job.</summary>
    public static Result<Worked<LiningJob>> Of(LiningSite site, Lining lining)
    {
        if (!LiningHoles.Of(site, lining).IsOk(out Worked<LiningPlan>? worked, out Problem? problem))
            return problem;
        LiningPlan plan = worked.Result;
        var sheet = new Worksheet();
        sheet.Take(worked);
        foreach (string warning in worked.Warnings)
            sheet.Warn(warning);
        double thick = lining.Sheet.ThickMm,
            most = Math.Floor((thick + lining.GapMm - ShortOfSkinMm) / ScrewStepMm) * ScrewStepMm,
            wanted = Math.Ceiling((thick + BiteMm) / ScrewStepMm) * ScrewStepMm;
        double screw = sheet.Step(
            "s",
            "screws",
            $"t + {BiteMm:0}, to {ScrewStepMm:0} mm, at most t + gap - {ShortOfSkinMm:0}; 0 where none is that short",
            most > thick ? Math.Min(wanted, most) : 0,
            "mm"
        );
        double perimeter = plan.Boards.Sum(b => 2 * (b.LengthMm + b.WidthMm));
        int screws =
            screw == 0
                ? 0
                : (int)
                    sheet.Step(
                        "n",
                        "screws",
                        "200 mm apart along edges and along battens that lie 400 mm apart",
                        Math.Ceiling((perimeter / ScrewPitchMm) + (plan.AreaMm2 / (BattenPitchMm * ScrewPitchMm))),
                        "count"
                    );
        sheet.Cite(new Source("Battens 400 mm apart, screws 200 mm along them, 20 mm into the batten", SourceKind.Assumption));
        sheet.Cite(MinutesTable.Source);
        WorkStep[] steps = [.. Steps(site, lining, plan, screw, screws)];
        return sheet.Finish(new LiningJob(plan, Procedure.Of(plan.Verdict, steps), screw, screws));
    }

    private static IEnumerable<WorkStep> Steps(LiningSite site, Lining lining, LiningPlan plan, double screw, int screws)
    {
        LengthFormat lengths = site.Lengths ?? LengthFormat.Millimetres;
        Facing facing = site.Panel.Faces ?? Panel.FacingOf(site.Panel.Kind);
        int holes = plan.Holes.Count;
        double m2 = plan.AreaMm2 / 1e6;
        Judgement[] blocked = [.. plan.Rows.Where(r => r.State == JudgementState.Blocked)];
        string[] power = [.. site.Openings.Where(o => o.Fitting.NeedsPower && plan.Holes.Any(h => h.Opening == o.Name)).Select(o => o.Name)];
        yield return Inside(
            "lining-behind",
            "Look once more at what it will hide",
            string.Join(" ", blocked.Select(r => $"{r.Title}: {r.Remedy}"))
                + (blocked.Length > 0 ? " " : "")
                + "Every wire, rib and screw line photographed with a tape beside it; wires tied where no screw goes."
                + (power.Length > 0 ? $" Cables out through the lining for {string.Join(", ", power)}." : ""),
            1,
            "Camera",
            "Moisture meter"
        ) with
        {
            Cautions = [Cautions.WiringBehind],
            Holds =
            [
                HoldPoint.Seen("Nothing behind it is wet, rusts or leaks"),
                new HoldPoint("Moisture of wood and battens behind it", WoodMoisture.CoatPercent, WoodMoisture.CoatPercent, 0, Unit.Percent)
                {
                    IfMore = WoodMoisture.DryOn,
                },
            ],
        };
        if (holes > 0)
            yield return Inside(
                "lining-frame",
                "Frame the holes with battens",
                string.Join(" ", plan.Holes.Select(h => $"{h.Opening}: {Batten(h, lengths)}"))
                    + " So that an inner frame draws against wood and not against air.",
                holes,
                "Saw",
                "Drill"
            ) with
            {
                Cautions = [Cautions.CuttingWood],
            };
        yield return WorkStep.Of(
            "lining-boards",
            "Saw the boards",
            string.Join(
                " ",
                plan.Boards.Select(b =>
                    $"{b.Name}: {lengths.Number(b.LengthMm)} {facing.Ways().Width} x {lengths.Text(b.WidthMm)} {facing.Ways().Height}"
                    + (IsBox(b) ? "" : ", by its corners on the sheet")
                    + "."
                )
            )
                + $" From {lengths.Text(lining.Sheet.ThickMm)} {lining.Sheet.Material.Name().ToLowerInvariant()}. "
                + "Mark which face is seen and which end is the front.",
            WorkPlace.Bench,
            plan.Boards.Count,
            "Track saw"
        ) with
        {
            Cautions = [Cautions.CuttingWood],
            Consumables = [new Consumable(Sheet(lining.Sheet), Sheets(lining, plan))],
            Holds =
            [
                .. plan.Boards.SelectMany(b =>
                    new[]
                    {
                        HoldPoint.Within($"{b.Name}, {facing.Ways().Width}", b.LengthMm, 1, Unit.Mm).Else(ReplacementProcedure.CutAgain),
                        HoldPoint.Within($"{b.Name}, {facing.Ways().Height}", b.WidthMm, 1, Unit.Mm).Else(ReplacementProcedure.CutAgain),
                    }
                ),
            ],
        };
        if (holes > 0)
        {
            yield return WorkStep.Of(
                "lining-first",
                "Cut the holes, smaller first",
                $"{Capital(lengths.Text(lining.UndersizeMm))} inside the line all round. "
                    + string.Join(" ", plan.Boards.SelectMany(b => b.Holes.Select(h => First(b, h, plan, facing, lengths)))),
                WorkPlace.Bench,
                holes,
                "Jigsaw",
                "Drill"
            ) with
            {
                Cautions = [Cautions.CuttingWood],
            };
            yield return Inside(
                "lining-offer",
                "Hold it up and mark the true holes",
                Uncut(site, plan)
                    + "Up against its battens on props, wedged where it will stay. From outside, through each hole in the skin, a pencil round its "
                    + "edge onto the board."
                    + (
                        plan.Holes.Any(h => IsIn(site, h))
                            ? " Packers as thick as the lining stand for it under inner frames; they come out again."
                            : ""
                    ),
                holes,
                "Props",
                "Pencil"
            ) with
            {
                People = plan.LengthMm > BoardPropMm ? 2 : 1,
                Cautions = site.Panel.Kind == PanelKind.Roof ? [Cautions.OnTheRoof] : [],
                Holds = [HoldPoint.Seen("Each pencil line lies within the material that was left")],
            };
            yield return WorkStep.Of(
                "lining-hole",
                "Saw to the lines",
                string.Join(
                    " ",
                    plan.Holes.Select(h =>
                        $"{h.Opening}: about {lengths.Number(h.Final.WidthMm)} x {lengths.Text(h.Final.HeightMm)}"
                        + (h.CornerMm > 0 ? $", corners {lengths.Text(h.CornerMm)}." : ".")
                    )
                ) + " The seen face down under the jigsaw, a fine blade.",
                WorkPlace.Bench,
                holes,
                "Jigsaw"
            ) with
            {
                Cautions = [Cautions.CuttingWood],
            };
        }
        yield return WorkStep.Of(
            "lining-seal",
            "Seal the back and every edge",
            "One coat on the back and all edges, those of the holes twice: damp comes from behind.",
            WorkPlace.Bench,
            m2,
            "Brush"
        ) with
        {
            Cautions = [Cautions.Solvents],
            Consumables = [new Consumable(Materials.MarineVarnish, Math.Ceiling(m2 * TypicalWoodCoats.VarnishMlPerM2 * RepairSteps.Waste))],
            Weather = RepairSteps.Dry,
            WaitHours = 24,
        };
        yield return Inside(
            "lining-fix",
            "Screw it up",
            screw == 0
                ? "No screw ends before the skin here: glue it, or put thicker battens behind it."
                : $"{screws} screws of {lengths.Text(screw)}, {lengths.Text(ScrewPitchMm)} apart into the battens, from the middle outwards. "
                    + $"Nothing longer: the skin is {lengths.Text(lining.GapMm + lining.Sheet.ThickMm)} behind the face.",
            Math.Max(1, screws),
            "Drill",
            "Props"
        ) with
        {
            People = plan.LengthMm > BoardPropMm ? 2 : 1,
            Consumables = screw == 0 ? [] : [new Consumable(Materials.WoodScrew(screw), Math.Ceiling(screws * 1.1))],
        };
        if (holes > 0)
            yield return Inside(
                "lining-trim",
                "Cut collars and trims to depth, and fit them",
                string.Join(
                    " ",
                    plan.Holes.Select(h => $"{h.Opening}: {lengths.Text(h.DepthMm)} from the outer face of the skin to the finished face.")
                ) + " Measure at each corner before a collar is cut. Packers out.",
                holes,
                "Depth gauge",
                "Saw"
            ) with
            {
                Holds =
                [
                    .. plan.Holes.Select(h =>
                        HoldPoint.Within($"{h.Opening}: skin to finished face", h.DepthMm, 3, Unit.Mm) with
                        {
                            IfLess = "Packers behind the board, or a shorter collar.",
                            IfMore = "A deeper collar or an extension frame: the trim does not reach.",
                        }
                    ),
                ],
            };
    }

    private static Material Sheet(NewSheet sheet) => Materials.WoodSheet(sheet.Material.Name(), sheet.ThickMm, sheet.LengthMm, sheet.WidthMm);

    private static int Sheets(Lining lining, LiningPlan plan) =>
        SheetsNeeded.Of(plan.Boards.Select(b => lining.Grain == Grain.Lengthways ? (b.LengthMm, b.WidthMm) : (b.WidthMm, b.LengthMm)), lining.Sheet);

    /// <summary>What still has to be cut in the skin before a board can be marked from it.</summary>
    private static string Uncut(LiningSite site, LiningPlan plan)
    {
        string[] waits =
        [
            .. site.Openings.Where(o => o.State == OpeningState.Planned && plan.Holes.Any(h => h.Opening == o.Name)).Select(o => o.Name),
        ];
        return waits.Length > 0 ? $"Not before {string.Join(" and ", waits)} {(waits.Length == 1 ? "is" : "are")} cut in the skin. " : "";
    }

    private static bool IsIn(LiningSite site, LiningHole hole) => site.Openings.Any(o => o.Name == hole.Opening && o.State == OpeningState.Fitted);

    private static string Batten(LiningHole hole, LengthFormat lengths) =>
        hole.PackMm >= 1 ? $"{lengths.Text(hole.PackMm)} thick, flush with its edge." : "none, the lining lies on the skin.";

    private static string First(LiningBoard board, BoardHole hole, LiningPlan plan, Facing facing, LengthFormat lengths)
    {
        PanelBox cut = hole.First;
        return $"{plan.Holes[hole.Hole].Opening} in {board.Name}: from {lengths.Number(cut.SMinMm)} to {lengths.Text(cut.SMaxMm)} from its "
            + $"{facing.Name(Side.Front)} edge, "
            + $"from {lengths.Number(cut.TMinMm)} to {lengths.Text(cut.TMaxMm)} from its {facing.Name(Side.Bottom)} edge"
            + (plan.Holes[hole.Hole].FirstCornerMm > 0 ? $", corners {lengths.Text(plan.Holes[hole.Hole].FirstCornerMm)}" : "")
            + (hole.IsNotch ? ", out over the edge." : ".");
    }

    private static bool IsBox(LiningBoard board) => Math.Abs(Outlines.SignedAreaMm2(board.Outline)) > (board.LengthMm * board.WidthMm) - 1;

    private static string Capital(string text) => char.ToUpperInvariant(text[0]) + text[1..];

    private static WorkStep Inside(string work, string title, string what, double amount, params string[] tools) =>
        WorkStep.Of(work, title, what, WorkPlace.Inside, amount, tools);
}
