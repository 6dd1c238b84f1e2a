using Abri.Core.Declared;
using Abri.Core.Geometry;
using Abri.Core.Openings;
using Abri.Core.Openings.Seating;
using Abri.Core.Procedures.Phases;
using Abri.Core.Sealing;
using Abri.Core.Shell;
using Abri.Core.Work;

namespace Abri.Core.Procedures;

/// <summary>What the procedure of an opening is made from.</summary>
/// <param name="Name">What people call the opening.</param>
/// <param name="Site">What decides.</param>
/// <param name="Centre">The place.</param>
/// <param name="Schools">The schools followed; what they say of a rib in the way replaces what the site says.</param>
/// <param name="Product">What beds or bonds it; null until it is chosen.</param>
/// <param name="Tape">The bedding tape; null for the one that suits land and gap.</param>
public sealed record OpeningWork([Name] string Name, Site Site, PanelPoint Centre, Schools Schools, Product? Product, BeddingTape? Tape = null);

/// <summary>
/// Writes the procedure of an opening: every step from the offered-up fitting to the water test, with the figures of this opening in it.
/// </summary>
/// <remarks>Each phase is a file of its own in <c>Phases</c>. The order is common practice; where schools differ the school of the opening
/// decides.</remarks>
/// <example>A 400 vent: 1.6 m of cut at 50 mm a minute are 32 minutes; the shell stands open from the cut to the last screw.</example>
public static class OpeningProcedure
{
    /// <summary>The procedure.</summary>
    public static Result<Worked<Procedure>> Of(OpeningWork asked)
    {
        OpeningWork work = asked with { Site = asked.Site with { RibInTheWay = asked.Schools.RibInTheWay } };
        if (
            !SettingOut
                .Of(work.Site, work.Centre, new Marking(ViewedFrom.Outside, 0, 12, work.Schools.CutSize))
                .IsOk(out Worked<SettingOutSheet>? marked, out Problem? problem)
        )
            return InWork(problem);
        if (!FlangeSeat.Of(work.Site, work.Centre, work.Tape).IsOk(out Worked<Seat>? seat, out problem))
            return InWork(problem);
        if (!InnerFrame.Of(work.Site, work.Centre).IsOk(out Worked<FramePlan>? frame, out problem))
            return InWork(problem);
        if (!OpeningVerdict.Of(work.Site, work.Centre).IsOk(out Worked<Verdict>? verdict, out problem))
            return InWork(problem);
        // No steps for cutting where nothing may be cut.
        if (verdict.Result.State == JudgementState.Blocked)
            return new Problem(
                "place-blocked",
                "/centre",
                $"Nothing is cut at this place: {verdict.Result.Reason}. Place says what would make it fit."
            );
        (Product? product, string? refused) = Allowed(work);
        var procedure = Procedure.Of(
            work.Name,
            [.. Steps(new OpeningPlan(work, marked.Result, seat.Result, frame.Result, verdict.Result, product, refused))]
        );
        var sheet = new Worksheet();
        sheet.Step("p", "length of the cut", "perimeter of the cut-out", marked.Result.PerimeterMm, "mm");
        sheet.Step("t_c", "cutting", $"p / {MinutesTable.CutMmPerMinute:0} mm/min", marked.Result.PerimeterMm / MinutesTable.CutMmPerMinute, "min");
        sheet.Step("t", "work in all, likely", "sum of steps", procedure.Work.Likely, "min");
        sheet.Step("t_o", "shell open, likely", "from the cut to the step that closes it, waiting included", procedure.OpenMinutes.Likely, "min");
        sheet.Cite(new Source("Order of steps and hold points", SourceKind.CommonPractice));
        sheet.Cite(
            new Source(
                $"A glued spacer ring holds after {ClampPhase.RingHours:0} h, in a bead of {ClampPhase.RingBeadMm2:0} mm2",
                SourceKind.Assumption
            )
        );
        sheet.Cite(MinutesTable.Source);
        return sheet.Finish(procedure);
    }

    /// <summary>What beds or bonds it: what was chosen where Sealing allows it on this joint, else the best that it knows, by the school of the
    /// opening;
    /// and why what was chosen is refused.</summary>
    private static (Product? Product, string? Refused) Allowed(OpeningWork work)
    {
        Joint joint = OfferedJoints.OfFitting(work.Site.Panel, work.Site.Fitting.Turned(work.Site.TurnDeg), work.Name);
        JointLies lies = JointPreparation.LiesOn(work.Site.Panel.Facing);
        IReadOnlyList<string> why = work.Product is { } chosen ? SealantChoice.RuledOut(joint, chosen, lies) : [];
        if (work.Product is not null && why.Count == 0)
            return (work.Product, null);
        string? best = SealantChoice.Of(joint, TypicalProducts.All, work.Schools.Bedding, null, LengthFormat.Millimetres, lies).Value!.Result.Best;
        Product? instead = TypicalProducts.All.FirstOrDefault(p => p.Name == best);
        return (
            instead,
            work.Product is null
                ? null
                : $"Not {work.Product.Name} here: {char.ToLowerInvariant(why[0][0])}{why[0][1..]} "
                    + $"{(instead is null ? "Sealing knows nothing that suits." : $"{instead.Name} suits.")}"
        );
    }

    private static Problem InWork(Problem problem) =>
        problem.Pointer.StartsWith("/centre", StringComparison.Ordinal) ? problem : problem.Under("/site");

    private static WorkStep[] Steps(OpeningPlan plan)
    {
        WorkStep[] closing =
        [
            .. plan.Fitting.Kind switch
            {
                FittingKind.BondedWindow => BondPhase.Of(plan),
                FittingKind.GasketWindow => GasketPhase.Of(plan),
                _ => plan.Clamped ? ClampPhase.Of(plan) : BedPhase.Of(plan),
            },
        ];
        return
        [
            .. OfferPhase.Of(plan),
            MarkPhase.Of(plan),
            .. PreparePhase.Of(plan),
            MarkPhase.Protect(plan),
            .. plan.Roof && plan.Heavy ? [MarkPhase.Lift(plan)] : Array.Empty<WorkStep>(),
            .. CutPhase.Of(plan),
            FitPhase.Dry(plan),
            .. EdgePhase.Of(plan),
            .. plan.Fitting.NeedsPower ? [FitPhase.Cable(plan)] : Array.Empty<WorkStep>(),
            .. closing,
            .. ProvePhase.Of(plan, closing[^1].Key),
        ];
    }
}
