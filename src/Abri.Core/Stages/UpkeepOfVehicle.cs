using Abri.Core.Logbook;
using Abri.Core.Openings;
using Abri.Core.Record;
using Abri.Core.Sealing;
using Abri.Core.Shell;
using Abri.Core.Water;
using Abri.Core.Work;

namespace Abri.Core.Stages;

/// <summary>How something stands that is looked after.</summary>
public enum UpkeepState
{
    /// <summary>It is late.</summary>
    Overdue,

    /// <summary>It is due soon.</summary>
    Soon,

    /// <summary>Nobody wrote down when it was looked after last.</summary>
    Unknown,

    /// <summary>It is due later.</summary>
    Later,

    /// <summary>It was to be done once, and is done.</summary>
    Over,
}

/// <summary>Something that is looked after.</summary>
/// <param name="Key">Its key: what was done is kept by it.</param>
/// <param name="Kind">What kind of thing it is.</param>
/// <param name="What">What it is.</param>
/// <param name="How">What is done.</param>
/// <param name="PanelId">Its panel; null where it lies on several.</param>
/// <param name="Months">Months from one time to the next; null for once.</param>
/// <param name="Last">When it was done last, or what it looks after was made; null where nobody wrote it down.</param>
/// <param name="Due">When it is due; null where that is not known, or where it is over.</param>
/// <param name="State">How it stands.</param>
/// <param name="Done">What was written down of it, newest first.</param>
/// <param name="OwnId">Id of what somebody wrote down; null of others.</param>
public sealed record UpkeepLine(
    string Key,
    UpkeepKind Kind,
    string What,
    string How,
    string? PanelId,
    int? Months,
    DateOnly? Last,
    DateOnly? Due,
    UpkeepState State,
    IReadOnlyList<UpkeepDone> Done,
    string? OwnId
);

/// <summary>That something was looked after, and the rows that it changes, as they become.</summary>
/// <param name="Done">What was said.</param>
/// <param name="Drains">Drains that were cleared.</param>
public sealed record UpkeepChange(UpkeepDone Done, IReadOnlyList<Stored<Drain>> Drains);

/// <summary>What a vehicle has to be looked after, and when.</summary>
/// <remarks>
/// From a rule of its kind, from a repair that is watched, or written down. What was never looked after has no date: it is not late, and not well
/// either.
/// </remarks>
public static class UpkeepOfVehicle
{
    private static readonly PanelKind[] Doors = [PanelKind.RearLeftDoor, PanelKind.RearRightDoor, PanelKind.SlidingDoor];

    /// <summary>All of it, what is late first.</summary>
    /// <param name="of">The vehicle.</param>
    /// <param name="now">The moment.</param>
    public static IReadOnlyList<UpkeepLine> Of(VehicleSnapshot of, DateTimeOffset now)
    {
        var today = DateOnly.FromDateTime(VehicleNow.At(of, now).Now.DateTime);
        ILookup<string, UpkeepDone> done = of.Upkeep.Done.Values().OrderByDescending(d => d.On).ToLookup(d => d.Key);
        return
        [
            .. Things(of)
                .Select(thing => Line(thing, [.. done[thing.Key]], today))
                .OrderBy(l => l.State)
                .ThenBy(l => l.Due)
                .ThenBy(l => l.What, StringComparer.Ordinal),
        ];
    }

    /// <summary>How many are late.</summary>
    public static int Overdue(VehicleSnapshot of, DateTimeOffset now) => Of(of, now).Count(l => l.State == UpkeepState.Overdue);

    /// <summary>What follows where somebody looked after something.</summary>
    /// <param name="of">The vehicle.</param>
    /// <param name="done">What was said.</param>
    /// <param name="now">The moment.</param>
    /// <returns>What to keep; a problem where it cannot be so.</returns>
    public static Result<UpkeepChange> Do(VehicleSnapshot of, UpkeepDone done, DateTimeOffset now)
    {
        DateTimeOffset local = VehicleNow.At(of, now).Now;
        if (Of(of, now).FirstOrDefault(l => l.Key == done.Key) is not { } line)
            return new Problem("upkeep-gone", "/key", "This is not looked after any more.");
        if (done.On > DateOnly.FromDateTime(local.DateTime))
            return new Problem("upkeep-ahead", "/on", "That day has not come yet. Write it down when it is done.");
        if (line.Done.Any(d => d.On == done.On))
            return new Problem("upkeep-twice", "/on", $"{line.What} was written down for that day already.");
        var at = new DateTimeOffset(done.On.ToDateTime(new TimeOnly(12, 0)), TimeSpan.Zero);
        return new UpkeepChange(
            done with
            {
                What = line.What,
            },
            line.Kind != UpkeepKind.Drains
                ? []
                : [.. of.Water.Drains.Where(d => !(d.Value.ClearedAt >= at)).Select(d => d with { Value = d.Value with { ClearedAt = at } })]
        );
    }

    /// <summary>When a repair is looked at again: after it was done, or after somebody looked at it last.</summary>
    internal static DateOnly? LookAgainOn(VehicleSnapshot of, string repairId, DateOnly doneOn, int months) =>
        Later(
            doneOn,
            of.Upkeep.Done.Values().Where(d => d.Key == UpkeepDone.KeyOf(UpkeepKind.MendedMetal, repairId)).Select(d => (DateOnly?)d.On).Max()
        )!
            .Value.AddMonths(months);

    private sealed record Thing(
        string Key,
        UpkeepKind Kind,
        string What,
        string How,
        string? PanelId,
        int? Months,
        DateOnly? Since,
        DateOnly? First,
        string? OwnId
    );

    private static UpkeepLine Line(Thing thing, UpkeepDone[] done, DateOnly today)
    {
        DateOnly? last = Later(thing.Since, done.Select(d => (DateOnly?)d.On).FirstOrDefault());
        DateOnly? due =
            last is { } l && thing.Months is { } months ? UpkeepRule.Due(l, months).Result
            : last is null ? thing.First
            : null;
        UpkeepState state =
            due is not { } day ? (last is null ? UpkeepState.Unknown : UpkeepState.Over)
            : day < today ? UpkeepState.Overdue
            : day <= today.AddDays(UpkeepRule.SoonDays) ? UpkeepState.Soon
            : UpkeepState.Later;
        return new UpkeepLine(thing.Key, thing.Kind, thing.What, thing.How, thing.PanelId, thing.Months, last, due, state, done, thing.OwnId);
    }

    private static IEnumerable<Thing> Things(VehicleSnapshot of)
    {
        Stored<Panel>[] low = [.. of.Panels.Where(p => p.Value.Kind is PanelKind.Left or PanelKind.Right || Doors.Contains(p.Value.Kind))];
        if (low.Length > 0)
            yield return ByRule(UpkeepKind.BottomChannels, "Bottom channels of sides and doors", null, null);
        if (of.Water.Drains.Count > 0)
            yield return ByRule(
                UpkeepKind.Drains,
                of.Water.Drains.Count == 1 ? of.Water.Drains[0].Value.Name : $"{of.Water.Drains.Count} drains",
                null,
                // As long ago as the one that waits longest; not known where one has no date.
                of.Water.Drains.Any(d => d.Value.ClearedAt is null)
                    ? null
                    : of.Water.Drains.Min(d => Day(d.Value.ClearedAt!.Value))
            );
        foreach (Stored<Panel> panel in of.Panels.Where(p => p.Value.Kind == PanelKind.Roof))
        {
            DateOnly?[] laid = [.. of.Joints.On(panel.Id).Select(j => LastLaid(j.Value)).Where(d => d is not null)];
            if (laid.Length > 0 || of.Openings.On(panel.Id).Any(o => o.Value.State == OpeningState.Fitted))
                yield return ByRule(UpkeepKind.RoofSealant, $"Sealant on the {PanelWords.Name(panel.Value.Kind)}", panel, laid.Min());
        }
        foreach (Stored<Panel> panel in of.Panels.Where(p => Doors.Contains(p.Value.Kind)))
            yield return ByRule(UpkeepKind.DoorSeals, $"Seal of the {PanelWords.Name(panel.Value.Kind)}", panel, null);
        yield return ByRule(UpkeepKind.UnderbodyWax, "Wax under the vehicle", null, null);
        foreach (
            Stored<Opening> pane in of.Openings.Where(o =>
                o.Value.State == OpeningState.Fitted && of.FittingOf(o.Value).Kind == FittingKind.BondedWindow
            )
        )
            yield return ByRule(
                UpkeepKind.BondedGlass,
                pane.Value.Name,
                of.PanelOf(pane),
                of.JointOf(pane) is { } joint ? LastLaid(joint.Value) : null
            ) with
            {
                Key = UpkeepDone.KeyOf(UpkeepKind.BondedGlass, pane.Id),
            };
        foreach (Stored<Opening> opening in of.Openings.Where(o => o.Value.State == OpeningState.Fitted))
        {
            // What was fitted without steps has no first rain that anybody could still wait for.
            if (of.DoneOf(new Job(JobKind.Opening, opening.Id)).Select(d => (DateOnly?)Day(d.Value.At)).Max() is { } fitted)
                yield return new Thing(
                    UpkeepDone.KeyOf(UpkeepKind.NewOpening, opening.Id),
                    UpkeepKind.NewOpening,
                    opening.Value.Name,
                    "After the first rain feel inside all round the edge and below it; after the first hot day tighten screws on tape or "
                        + "a gasket once more. "
                        + "Then once a year.",
                    opening.OwnerId,
                    null,
                    null,
                    fitted.AddDays(UpkeepRule.NewOpeningDays),
                    null
                );
        }
        foreach (MetalRepair repair in MetalOfVehicle.Of(of).Repairs.Where(r => r.LookAgainMonths is not null))
            yield return new Thing(
                UpkeepDone.KeyOf(UpkeepKind.MendedMetal, repair.Row.Id),
                UpkeepKind.MendedMetal,
                repair.Row.Value.Name,
                "Look and feel for bubbles, brown edges and damp; repair again what rusts again.",
                repair.Row.OwnerId,
                repair.LookAgainMonths,
                repair.Row.Value.DoneOn,
                null,
                null
            );
        foreach (Stored<OwnUpkeep> own in of.Upkeep.Own)
            yield return new Thing(
                UpkeepDone.KeyOf(UpkeepKind.Own, own.Id),
                UpkeepKind.Own,
                own.Value.Name,
                own.Value.How,
                null,
                own.Value.Months,
                null,
                own.Value.First,
                own.Id
            );
    }

    private static Thing ByRule(UpkeepKind kind, string what, Stored<Panel>? panel, DateOnly? since)
    {
        UpkeepRule rule = UpkeepRule.Of(kind);
        return new Thing(UpkeepDone.KeyOf(kind, panel?.Id), kind, what, rule.How, panel?.Id, rule.Months, since, null, null);
    }

    private static DateOnly? LastLaid(Joint joint) => joint.History.Where(e => e.Kind == JointEventKind.Sealed).Select(e => (DateOnly?)e.On).Max();

    private static DateOnly Day(DateTimeOffset at) => DateOnly.FromDateTime(at.UtcDateTime);

    private static DateOnly? Later(DateOnly? a, DateOnly? b) => a is null || b > a ? b : a;
}
