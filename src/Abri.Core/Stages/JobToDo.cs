using Abri.Core.Linings;
using Abri.Core.Metal;
using Abri.Core.Openings;
using Abri.Core.Procedures;
using Abri.Core.Record;
using Abri.Core.Work;

namespace Abri.Core.Stages;

/// <summary>A job with its procedure.</summary>
/// <param name="Name">Its name.</param>
/// <param name="Kind">Of what kind it is: the next one of a kind goes quicker.</param>
/// <param name="PanelId">Its panel; empty where it has none.</param>
/// <param name="Procedure">Its steps; null where it cannot be done as it stands.</param>
/// <param name="Missing">What is missing then.</param>
/// <param name="IsOver">Whether it is done.</param>
/// <param name="IsCut">Whether the shell was opened there already.</param>
/// <param name="DoneBefore">How many of its kind are done.</param>
internal sealed record JobToDo(
    string Name,
    string Kind,
    string PanelId,
    Procedure? Procedure,
    string? Missing,
    bool IsOver,
    bool IsCut = false,
    int DoneBefore = 0
)
{
    /// <summary>A job of a vehicle; null where there is none, or where it has no procedure by its kind.</summary>
    public static JobToDo? Of(VehicleSnapshot of, Job job) =>
        job.Kind switch
        {
            JobKind.Opening when of.Openings.FirstOrDefault(o => o.Id == job.Id) is { } opening => OfOpening(of, opening),
            JobKind.Repair when of.Repairs.FirstOrDefault(r => r.Id == job.Id) is { } repair => OfRepair(of, repair),
            JobKind.Replacement when of.Floor.Replacements.FirstOrDefault(r => r.Id == job.Id) is { } wood => OfReplacement(of, wood),
            JobKind.Lining when of.Floor.Linings.FirstOrDefault(l => l.Id == job.Id) is { } lining => OfLining(of, lining),
            JobKind.Finding when of.Findings.FirstOrDefault(f => f.Id == job.Id) is { } finding => new JobToDo(
                finding.Value.Name,
                "",
                "",
                null,
                "Nothing is planned for it yet.",
                false
            ),
            _ => null,
        };

    private static JobToDo OfOpening(VehicleSnapshot of, Stored<Opening> opening)
    {
        FittingKind kind = of.FittingOf(opening.Value).Kind;
        bool ok = OpeningProcedure.Of(OpeningSites.Work(of, opening)).IsOk(out Worked<Procedure>? steps, out Problem? problem);
        int before = of.Openings.Count(o => o.Value.State == OpeningState.Fitted && of.FittingOf(o.Value).Kind == kind);
        return new JobToDo(
            opening.Value.Name,
            $"opening/{kind}",
            opening.OwnerId!,
            ok ? steps!.Result : null,
            problem?.Message,
            opening.Value.State == OpeningState.Fitted,
            opening.Value.State == OpeningState.Cut,
            before
        );
    }

    private static JobToDo OfRepair(VehicleSnapshot of, Stored<Repair> repair)
    {
        _ = RepairProcedure.Of(MetalOfVehicle.Work(of, of.PanelOf(repair), repair.Value)).IsOk(out Worked<RepairPlan>? plan, out Problem? wrong);
        int mended = of.Repairs.Count(r => r.Value.IsOver && r.Value.Kind == repair.Value.Kind);
        string? patch = Blocked(plan?.Result.Patch?.Rows);
        return new JobToDo(
            repair.Value.Name,
            $"repair/{repair.Value.Kind}",
            repair.OwnerId!,
            patch is null ? plan?.Result.Procedure : null,
            wrong?.Message ?? patch,
            repair.Value.IsOver,
            DoneBefore: mended
        );
    }

    private static JobToDo OfReplacement(VehicleSnapshot of, Stored<Floor.Replacement> wood)
    {
        _ = ReplacementProcedure.Of(FloorOfVehicle.Site(of, of.PanelOf(wood)), wood.Value).IsOk(out Worked<FloorJob>? floor, out Problem? off);
        string? boards = Blocked(floor?.Result.Plan.Rows);
        return new JobToDo(
            wood.Value.Name,
            "replacement",
            wood.OwnerId!,
            boards is null ? floor?.Result.Procedure : null,
            off?.Message ?? boards,
            wood.Value.State == Floor.ReplacementState.Done
        );
    }

    private static JobToDo OfLining(VehicleSnapshot of, Stored<Lining> lining)
    {
        _ = LiningProcedure.Of(LiningsOfVehicle.Site(of, of.PanelOf(lining)), lining.Value).IsOk(out Worked<LiningJob>? lined, out Problem? bad);
        string? hides = Blocked(lined?.Result.Plan.Rows);
        return new JobToDo(
            lining.Value.Name,
            "lining",
            lining.OwnerId!,
            hides is null ? lined?.Result.Procedure : null,
            bad?.Message ?? hides,
            lining.Value.State == LiningState.Fixed
        );
    }

    /// <summary>What must not be done as it is drawn, in words; null where nothing is in the way.</summary>
    private static string? Blocked(IReadOnlyList<Judgement>? rows) =>
        rows?.Where(r => r.State == JudgementState.Blocked).Select(r => $"{r.Title}: {r.Remedy}").ToArray() is [_, ..] blocked
            ? string.Join(" ", blocked)
            : null;
}
