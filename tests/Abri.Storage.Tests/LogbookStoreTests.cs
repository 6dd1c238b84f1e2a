using Abri.Core;
using Abri.Core.Bench;
using Abri.Core.Logbook;
using Abri.Core.Record;
using Abri.Core.Stages;
using Abri.Core.Water;
using Abri.Core.Weather;
using Abri.Core.Work;

namespace Abri.Storage.Tests;

public sealed class LogbookStoreTests : IDisposable
{
    private static readonly DateOnly Day = new(2031, 5, 12);
    private readonly Scratch scratch = new();

    public void Dispose() => scratch.Dispose();

    private static readonly LogFilter Everything = new(null, false, null, null, null);

    private static StepDone Step(JobKind kind, string job, string key) =>
        new(
            new Job(kind, job),
            key,
            $"Step {key}",
            ShellChange.None,
            new DateTimeOffset(2031, 5, 12, 9, 0, 0, TimeSpan.Zero),
            new Minutes(1, 2, 3),
            new StepReport("t", "Ada", null, [new HoldReading("Moisture", 14, null, Unit.Percent)], null, null, "", "Do it."),
            new WeatherHour(12, 60, 3, 6, 0, 10, 40)
        );

    /// <summary>A vehicle with steps of all kinds of jobs, and with what was looked after on things of its own.</summary>
    private static VehicleRecord WithLogbook()
    {
        VehicleRecord whole = RecordStoreTests.Whole;
        PanelRecord panel = whole.Panels[0];
        StepDone[] steps =
        [
            Step(JobKind.Opening, "opening-1", "mark"),
            .. panel.Repairs is { Count: > 0 } ? new[] { Step(JobKind.Repair, "repair-1", "cut") } : [],
            .. panel.Floor?.Replacements is { Count: > 0 } ? new[] { Step(JobKind.Replacement, "replacement-1", "cut") } : [],
            .. panel.Floor?.Linings is { Count: > 0 } ? new[] { Step(JobKind.Lining, "lining-1", "fit") } : [],
        ];
        return whole with
        {
            Panels = [panel with { Done = steps }, .. whole.Panels.Skip(1)],
            Upkeep = new UpkeepRecord(
                [new OwnUpkeep("Gas hose", "Soap it", Day, 24), new OwnUpkeep("Inspection", "", Day, null)],
                [
                    new UpkeepDone("UnderbodyWax", "Wax", Day, "Ada", "Dry"),
                    new UpkeepDone("RoofSealant/1", "Roof", Day, "Ada", ""),
                    new UpkeepDone("BondedGlass/1/opening-1", "Pane", Day, "Ben", ""),
                    new UpkeepDone("Own/2", "Inspection", Day, "Ben", ""),
                ]
            ),
        };
    }

    [Fact]
    public void Steps_and_upkeep_go_into_a_file_and_out_with_the_things_that_they_belong_to()
    {
        VehicleRecord record = WithLogbook();
        Assert.Null(RecordCheck.Of(record));
        string id = scratch.Records.Add(record);
        Assert.Equal(AbriJson.Write(record), AbriJson.Write(scratch.Read(id)));
        VehicleSnapshot van = scratch.Snapshots.Read(id)!;
        Assert.Equal(van.Openings[0].Id, van.Done[0].Value.Job.Id);
        Assert.Equal(
            ["UnderbodyWax", $"RoofSealant/{van.Panels[0].Id}", $"BondedGlass/{van.Openings[0].Id}", $"Own/{van.Upkeep.Own[1].Id}"],
            van.Upkeep.Done.Select(d => d.Value.Key)
        );
        // A second one of the same file is another vehicle, not a clash.
        Assert.NotEqual(id, scratch.Records.Add(record));
    }

    [Fact]
    public void What_belongs_to_nothing_in_the_file_is_refused_or_left_out()
    {
        VehicleRecord record = WithLogbook();
        PanelRecord panel = record.Panels[0];
        VehicleRecord With(params StepDone[] done) => record with { Panels = [panel with { Done = done }, .. record.Panels.Skip(1)] };
        Problem unknown = RecordCheck.Of(With(Step(JobKind.Opening, "opening-9", "cut")))!;
        Assert.Equal(("job-unknown", "/panels/0/done/0/job"), (unknown.Code, unknown.Pointer));
        Assert.Equal("job-unknown", RecordCheck.Of(With(Step(JobKind.Lining, "lining-99", "cut")))!.Code);
        Assert.Equal("job-unknown", RecordCheck.Of(With(Step(JobKind.Finding, "finding-1", "cut")))!.Code);
        StepDone once = Step(JobKind.Opening, "opening-1", "cut");
        Assert.Equal("step-twice", RecordCheck.Of(With(once, once))!.Code);
        UpkeepDone wax = new("UnderbodyWax", "Wax", Day, "Ada", "");
        Assert.Equal("upkeep-twice", RecordCheck.Of(record with { Upkeep = new UpkeepRecord([], [wax, wax with { Notes = "again" }]) })!.Code);
        string id = scratch.Records.Add(
            record with
            {
                Upkeep = new UpkeepRecord([], [wax, wax with { Key = "Own/1" }, wax with { Key = "DoorSeals/77" }]),
            }
        );
        Assert.Equal("UnderbodyWax", Assert.Single(scratch.Snapshots.Read(id)!.Upkeep.Done).Value.Key);
    }

    [Fact]
    public void Looking_after_drains_clears_them_in_the_same_change_and_once_a_day()
    {
        string id = scratch.Records.Add(RecordStoreTests.Whole);
        Stored<Drain> drain = scratch.Snapshots.Read(id)!.Water.Drains[0];
        DateTimeOffset at = new(2031, 5, 12, 12, 0, 0, TimeSpan.Zero);
        var change = new UpkeepChange(
            new UpkeepDone("Drains", "2 drains", Day, "Ada", "Leaves"),
            [drain with { Value = drain.Value with { ClearedAt = at } }]
        );
        Assert.Equal(WriteState.Done, scratch.Upkeep.Done.Do(id, change).State);
        Assert.Equal(at, scratch.Snapshots.Read(id)!.Water.Drains[0].Value.ClearedAt);
        Assert.Equal("Leaves", Assert.Single(scratch.Snapshots.Read(id)!.Upkeep.Done).Value.Notes);
        // The drain is another one by now; and the day has its entry.
        Assert.Equal(WriteState.Stale, scratch.Upkeep.Done.Do(id, change).State);
        Assert.Equal(WriteState.Conflict, scratch.Upkeep.Done.Do(id, change with { Drains = [] }).State);
        Assert.Equal("Looked after: 2 drains", scratch.History.Undo(id).What);
        Assert.Equal(drain.Value.ClearedAt, scratch.Snapshots.Read(id)!.Water.Drains[0].Value.ClearedAt);
        Assert.Empty(scratch.Snapshots.Read(id)!.Upkeep.Done);
    }

    [Fact]
    public void The_log_is_told_by_kind_person_words_and_thing_and_page_by_page()
    {
        string id = scratch.Records.Add(WithLogbook());
        VehicleSnapshot van = scratch.Snapshots.Read(id)!;
        Stored<Core.Openings.Opening> vent = van.Openings[0];
        StepDone step = Step(JobKind.Opening, vent.Id, "cut");
        Stored<Core.Openings.Opening> cut = vent with { Value = vent.Value with { State = Core.Openings.OpeningState.Cut } };
        Assert.Equal(WriteState.Done, scratch.Done.Do(id, new BenchChange(step, Opening: cut)).State);
        Stored<OwnUpkeep> own = scratch.Upkeep.Own.Add(id, new OwnUpkeep("Gas bottle", "", Day, null)).Row!;
        scratch.Upkeep.Own.Replace(own.Id, own.Version, own.Value with { Months = 12 });

        IReadOnlyList<KeptChange> Kept(LogFilter filter, int most = 10) => scratch.History.Kept(id, filter, most);
        Assert.Equal(["Changed Gas bottle", "Added Gas bottle", "Done: Step cut"], Kept(Everything).Select(c => c.What));
        KeptChange done = Assert.Single(Kept(Everything with { StepsOnly = true }));
        Assert.Equal(("Ada", ChangeState.Done), (done.By, done.State));
        Assert.Equal(["opening", "step_done"], done.Rows.Select(r => r.Table));
        Assert.Equal(done.Seq, Assert.Single(Kept(Everything with { By = "Ada" })).Seq);
        Assert.Empty(Kept(Everything with { By = "Ben" }));
        Assert.Equal(2, Kept(Everything with { Text = "gas BOTTLE" }).Count);
        // What is not letters is no pattern.
        Assert.Empty(Kept(Everything with { Text = "%" }));
        // A job shows its steps; of what was taken back too.
        Assert.Equal(done.Seq, Assert.Single(Kept(Everything with { RecordId = vent.Id })).Seq);
        Assert.Equal(2, Kept(Everything with { RecordId = own.Id }).Count);
        Assert.Equal(["Added Gas bottle"], Kept(Everything with { Before = Kept(Everything, 1)[0].Seq }, 1).Select(c => c.What));
        Assert.Equal(["Ada"], scratch.History.People(id));
        scratch.History.Undo(id);
        Assert.Equal(ChangeState.Undone, Kept(Everything)[0].State);
    }

    [Fact]
    public void A_change_bears_the_name_of_whoever_works_at_the_device()
    {
        string? who = null;
        using var database = Database.Open(Path.Combine(scratch.Folder, "other.db"), TimeProvider.System, () => who);
        var vehicles = new Shell.VehicleStore(database);
        string id = vehicles.Add(null, Scratch.Van).Row!.Id;
        who = "Zoë";
        vehicles.Replace(id, 1, Scratch.Van with { Notes = "n" });
        KeptChange change = Assert.Single(new History(database).Kept(id, Everything, 10));
        Assert.Equal("Zoë", change.By);
        Assert.Null(Assert.Single(new History(database).Kept(Shell.VehicleStore.ListScope, Everything, 10)).By);
    }
}
