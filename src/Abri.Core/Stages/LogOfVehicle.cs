using Abri.Core.Logbook;
using Abri.Core.Record;

namespace Abri.Core.Stages;

/// <summary>Which changes of a vehicle the logbook shows.</summary>
/// <param name="Before">Only those before this number; null for the newest.</param>
/// <param name="StepsOnly">Only steps that were done.</param>
/// <param name="By">Only those of this person; null for all.</param>
/// <param name="Text">Only those in whose words this stands; null for all.</param>
/// <param name="RecordId">Only those that touched this record, or that were steps of this job; null for all.</param>
public sealed record LogFilter(long? Before, bool StepsOnly, string? By, string? Text, string? RecordId);

/// <summary>A change as it is kept.</summary>
/// <param name="Seq">Its number.</param>
/// <param name="At">When, UTC.</param>
/// <param name="By">Who; null where nobody said.</param>
/// <param name="What">What it was, in a few words.</param>
/// <param name="State">Whether it stands.</param>
/// <param name="Rows">What it altered.</param>
public sealed record KeptChange(long Seq, DateTimeOffset At, string? By, string What, ChangeState State, IReadOnlyList<RowChange> Rows);

/// <summary>The logbook of a vehicle: its changes in words, with what was said of steps and the weather of the hour.</summary>
public static class LogOfVehicle
{
    /// <summary>So many lines of a change are told: a file that is taken in alters hundreds.</summary>
    public const int MostLines = 12;

    /// <summary>The entries.</summary>
    /// <param name="of">The vehicle as it stands now.</param>
    /// <param name="changes">The changes, newest first.</param>
    /// <param name="now">The moment.</param>
    public static IReadOnlyList<LogEntry> Of(VehicleSnapshot of, IReadOnlyList<KeptChange> changes, DateTimeOffset now)
    {
        VehicleNow at = VehicleNow.At(of, now);
        Dictionary<string, string> names = Names(of);
        var words = new RowWords(names.GetValueOrDefault, at.On.Local, of.Lengths);
        var steps = of.Done.ToDictionary(d => d.Id, d => d.Value);
        return
        [
            .. changes.Select(change =>
            {
                // What was said of a step is told by the step itself.
                Bench.StepDone? step = change.Rows.Where(r => r.Table == "step_done").Select(r => steps.GetValueOrDefault(r.Id)).FirstOrDefault();
                RowChange[] rows = [.. change.Rows.Where(r => r.Table is not ("step_done" or "upkeep_done"))];
                // Where one thing came or went the change itself says so.
                LogLine[] lines = rows is [{ Before: null } or { After: null }] ? [] : [.. words.Of(rows)];
                return new LogEntry(
                    change.Seq,
                    at.On.Local(change.At),
                    change.By ?? step?.Report.By,
                    change.What,
                    change.State,
                    [.. lines.Take(MostLines)],
                    Math.Max(0, lines.Length - MostLines),
                    step,
                    step is not null ? step.Weather : at.Forecast?.At(change.At)
                );
            }),
        ];
    }

    /// <summary>What people call the things of a vehicle, by id.</summary>
    private static Dictionary<string, string> Names(VehicleSnapshot of) =>
        new([
            .. of.Panels.Select(p => Named(p.Id, Shell.PanelWords.Title(p.Value))),
            .. of.Members.Select(m => Named(m.Id, m.Value.Name)),
            .. of.Openings.Select(o => Named(o.Id, o.Value.Name)),
            .. of.Findings.Select(f => Named(f.Id, f.Value.Name)),
            .. of.Repairs.Select(r => Named(r.Id, r.Value.Name)),
            .. of.Floor.Replacements.Select(r => Named(r.Id, r.Value.Name)),
            .. of.Floor.Linings.Select(l => Named(l.Id, l.Value.Name)),
            .. of.Fittings.Select(f => Named(f.Id, f.Value.Name)),
            .. of.Products.Select(p => Named(p.Id, p.Value.Name)),
        ]);

    private static KeyValuePair<string, string> Named(string id, string name) => new(id, name);
}
