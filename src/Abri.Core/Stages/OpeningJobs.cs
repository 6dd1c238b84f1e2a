using Abri.Core.Days;
using Abri.Core.Geometry;
using Abri.Core.Openings;
using Abri.Core.Procedures;
using Abri.Core.Record;
using Abri.Core.Shell;
using Abri.Core.Work;

namespace Abri.Core.Stages;

/// <summary>A job that opens the shell, as far as it can be told.</summary>
internal sealed record OpeningJob(
    Job Job,
    string PanelId,
    string Name,
    OpenSpan? Span,
    string? Trouble,
    (double LengthMm, double WidthMm)? Hole,
    IReadOnlyList<ReadyLine> Told,
    IReadOnlyList<ReadyItem> Asked,
    IReadOnlyList<ReadyItem> Ticked,
    IReadOnlyList<Consumable> Used
);

/// <summary>The jobs of a vehicle that open its shell.</summary>
internal static class OpeningJobs
{
    /// <summary>The jobs that open the shell, in the order of work; each is worked out when it is looked at.</summary>
    public static IEnumerable<OpeningJob> Of(VehicleSnapshot of)
    {
        Dictionary<Job, int> order = [];
        foreach (NextJob next in WholeShell.NextJobs(of))
            order.TryAdd(next.Job, order.Count);
        IEnumerable<(Job Job, Func<OpeningJob?> Make)> openings = of
            .Openings.Where(o => o.Value.State == OpeningState.Planned)
            .Select(o => (new Job(JobKind.Opening, o.Id), (Func<OpeningJob?>)(() => OfOpening(of, o))));
        IEnumerable<(Job Job, Func<OpeningJob?> Make)> repairs = of
            .Repairs.Where(r => r.Value.State == Metal.RepairState.Planned)
            .Select(r => (new Job(JobKind.Repair, r.Id), (Func<OpeningJob?>)(() => OfRepair(of, r))));
        return openings
            .Concat(repairs)
            .OrderBy(j => order.GetValueOrDefault(j.Job, int.MaxValue))
            .Select(j => j.Make())
            .OfType<OpeningJob>()
            .Where(j => j.Span is not null || j.Trouble is not null);
    }

    private static OpeningJob OfOpening(VehicleSnapshot of, Stored<Opening> row)
    {
        bool ok = OpeningProcedure.Of(OpeningSites.Work(of, row)).IsOk(out Worked<Procedure>? procedure, out Problem? problem);
        OpenSpan? span = ok ? VehiclePace.SpanOf(of, procedure!.Result) : null;
        Judgement[] works = OpeningVerdict.Of(OpeningSites.Of(of, row), row.Value.Centre).IsOk(out Worked<Openings.Verdict>? verdict, out _)
            ? [.. verdict.Result.Rows.Where(j => j.State == JudgementState.NeedsWork)]
            : [];
        ReadyLine place = ok
            ? works.Length == 0
                ? new ReadyLine(null, "Its place", JudgementState.Good, "Good as it is.")
                : new ReadyLine(null, "Its place", JudgementState.NeedsWork, string.Join(" ", works.Select(w => $"{w.Title}: {w.Remedy}")))
            : new ReadyLine(null, "Its place", JudgementState.Blocked, problem!.Message);
        ReadyLine product = of.Product(of.JointOf(row)?.Value.ProductId) is { } chosen
            ? new ReadyLine(null, "What seals it", JudgementState.Good, chosen.Name)
            : new ReadyLine(null, "What seals it", JudgementState.NeedsWork, "Nothing is chosen yet: choose it in Sealing.");
        bool two = procedure?.Result.Steps.Any(s => s.People > 1) == true;
        ReadyItem[] asked =
        [
            ReadyItem.FittingLookedOver,
            ReadyItem.CutOutMeasured,
            ReadyItem.OfferedUp,
            ReadyItem.BehindSeen,
            ReadyItem.ConsumablesIn,
            ReadyItem.BladesAndBatteries,
            ReadyItem.CoverReady,
            .. two ? new[] { ReadyItem.SecondPerson } : [],
        ];
        return new OpeningJob(
            new Job(JobKind.Opening, row.Id),
            row.OwnerId!,
            row.Value.Name,
            span,
            problem?.Message,
            HoleOf(of, row.Value),
            [place, product],
            asked,
            row.Value.Ready ?? [],
            procedure?.Result.Consumables ?? []
        );
    }

    private static OpeningJob? OfRepair(VehicleSnapshot of, Stored<Metal.Repair> row)
    {
        Stored<Panel> panel = of.PanelOf(row);
        if (!RepairProcedure.Of(MetalOfVehicle.Work(of, panel, row.Value)).IsOk(out Worked<RepairPlan>? plan, out _) || !plan.Result.Opens)
            return null;
        bool two = plan.Result.Procedure.Steps.Any(s => s.People > 1);
        return new OpeningJob(
            new Job(JobKind.Repair, row.Id),
            panel.Id,
            row.Value.Name,
            VehiclePace.SpanOf(of, plan.Result.Procedure),
            null,
            HoleOf(row.Value),
            [],
            [
                ReadyItem.BehindSeen,
                ReadyItem.ConsumablesIn,
                ReadyItem.BladesAndBatteries,
                ReadyItem.CoverReady,
                .. two ? new[] { ReadyItem.SecondPerson } : [],
            ],
            row.Value.Ready ?? [],
            plan.Result.Procedure.Consumables
        );
    }

    /// <summary>Size of the hole of an opening, as its fitting asks for it.</summary>
    public static (double LengthMm, double WidthMm) HoleOf(VehicleSnapshot of, Opening opening)
    {
        RoundedRectangle cut = of.FittingOf(opening).Turned(opening.TurnDeg).CutOut;
        return (cut.WidthMm, cut.HeightMm);
    }

    /// <summary>Size of the hole of a repair; null where it is a point or a line.</summary>
    public static (double LengthMm, double WidthMm)? HoleOf(Metal.Repair repair) =>
        repair.Extent is var (length, width) && length >= 20 && width >= 20 ? (length, width) : null;
}
