using Abri.Core.Metal;
using Abri.Core.Work;
using static Abri.Core.Procedures.RepairSteps;

namespace Abri.Core.Procedures;

/// <summary>Writes the procedure of a repair.</summary>
/// <remarks>Rust, patches and plates: <see cref="RustProcedure"/>; every other kind has its own.</remarks>
public static class RepairProcedure
{
    /// <summary>The plan.</summary>
    public static Result<Worked<RepairPlan>> Of(RepairWork work)
    {
        if (RepairCheck.Of(work.Panel, work.Repair) is { } problem)
            return problem;
        Result<Worked<RepairPlan>> plan = work.Repair.Kind switch
        {
            RepairKind.Treat or RepairKind.Patch or RepairKind.Plate => Metal(work),
            RepairKind.Plug => PlugProcedure.Of(work),
            RepairKind.Gutter => GutterProcedure.Of(work, work.Repair.Seam!),
            RepairKind.Trim => TrimProcedure.Of(work, work.Repair.Trim!),
            RepairKind.WindowOut => WindowOutOf(work, work.Repair.Window!),
            RepairKind.Door => DoorOf(work, work.Repair.Door!),
            _ => Leave(),
        };
        if (!plan.IsOk(out Worked<RepairPlan>? worked, out _))
            return plan;
        Repair allowed = work.Allowed;
        return worked with { Result = worked.Result with { IsForWorkshop = work.IsForWorkshop, Opens = allowed.Opens, Seals = allowed.Seals } };
    }

    private static Result<Worked<RepairPlan>> Metal(RepairWork work)
    {
        (Repair repair, RustSpot spot) = (work.Repair, work.Spot!);
        RustMethod advised = RustRules.Of(spot, new RustLimits(), work.Lengths).Result.Method;
        // What is for a licensed workshop is not drawn either.
        Worked<PatchPlan>? patch = null;
        if (!work.IsForWorkshop && work.PatchSite is { } site && !Patch.Of(site).IsOk(out patch, out Problem? problem))
            return problem with
            {
                Pointer = problem
                    .Pointer.Replace("/design", "/patch", StringComparison.Ordinal)
                    .Replace("/damage", "/points", StringComparison.Ordinal),
            };
        RustMethod? chosen = repair.Kind switch
        {
            RepairKind.Patch => RustMethod.CutOutAndPatch,
            RepairKind.Plate => RustMethod.Plate,
            // What the rules would cut out or plate can be treated meanwhile, and then it is said.
            _ => advised is RustMethod.CutOutAndPatch or RustMethod.Plate ? RustMethod.TreatAndWatch : null,
        };
        (double length, double width) = repair.Extent;
        var rust = new RustWork(spot, Math.Max(5, length), Math.Max(5, width));
        Worked<RustPlan> plan = RustProcedure.Of(rust, chosen, patch, work.Lengths);
        var sheet = new Worksheet();
        sheet.Take(plan);
        bool falls = chosen < advised && !work.IsForWorkshop;
        if (falls || (chosen == RustMethod.Plate && advised == RustMethod.MeasureFirst))
            sheet.Warn(
                $"The rules say: {RustRules.Word(advised)}. {RustRules.Word(chosen!.Value)} only, it holds for a while: do that, or watch it."
            );
        RustAdvice advice = plan.Result.Advice;
        Procedure procedure = plan.Result.Procedure;
        Judgement[] blocked = [.. (patch?.Result.Rows ?? []).Where(r => r.State == JudgementState.Blocked)];
        if (blocked.Length > 0)
        {
            string what = string.Join(" ", blocked.Select(r => $"{char.ToUpperInvariant(r.Title[0])}{r.Title[1..]}: {r.Remedy}"));
            sheet.Warn($"Not as it is drawn. {what}");
            procedure = Procedure.Of(procedure.Title, [Mend(what), .. procedure.Steps.Select(s => s with { After = [] })]);
        }
        return sheet.Finish(
            new RepairPlan(
                advice,
                patch?.Result,
                null,
                patch?.Result.Verdict ?? procedure.Title,
                procedure,
                advice.LookAgainMonths ?? (falls ? RustRules.WatchMonths : null)
            )
        );
    }

    /// <summary>Before anything is cut: what must not be done as it is drawn.</summary>
    private static WorkStep Mend(string what) =>
        Outside("repair-mend", "Not yet: fix the drawing", what, 1) with
        {
            Place = WorkPlace.Bench,
            Holds = [HoldPoint.Seen("The bench blocks nothing any more, and the sheets are printed again")],
        };

    private static Result<Worked<RepairPlan>> WindowOutOf(RepairWork work, OldWindow window)
    {
        var site = new WindowSite(work.Repair.Points, work.Cuts, work.Flanges);
        if (!WindowOut.Of(window, site, work.Lengths).IsOk(out Worked<WindowOutPlan>? plan, out Problem? problem))
            return problem with { Pointer = problem.Pointer.Replace("/site/outline", "/points", StringComparison.Ordinal) };
        var sheet = new Worksheet();
        sheet.Take(plan);
        sheet.Cite(MinutesTable.Source);
        WindowOutPlan result = plan.Result;
        return sheet.Finish(
            new RepairPlan(null, null, null, result.Verdict, WindowOutProcedure.Of(result.Verdict, window, result, work.Lengths), null, result)
        );
    }

    private static Result<Worked<RepairPlan>> DoorOf(RepairWork work, DoorFit door)
    {
        if (!DoorBow.Of(door, work.Panel.Box.HeightMm, work.Lengths).IsOk(out Worked<DoorPlan>? plan, out Problem? problem))
            return problem with { Pointer = "/door" + problem.Pointer };
        var sheet = new Worksheet();
        sheet.Take(plan);
        sheet.Cite(MinutesTable.Source);
        DoorPlan result = plan.Result;
        return sheet.Finish(new RepairPlan(null, null, null, result.Verdict, DoorProcedure.Of(door, result, work.Lengths), null, null, result));
    }

    private static Worked<RepairPlan> Leave()
    {
        var sheet = new Worksheet();
        sheet.Cite(new Source("What is left is looked at every 6 months", SourceKind.CommonPractice));
        string verdict = $"Left as it is, and looked at again in {RustRules.WatchMonths} months.";
        return sheet.Finish(
            new RepairPlan(
                null,
                null,
                null,
                verdict,
                Procedure.Of(
                    verdict,
                    [Outside("look-again", "Look at it", "A photo from the same place and distance; compare with the last one.", 1, "Camera")]
                ),
                RustRules.WatchMonths
            )
        );
    }
}
