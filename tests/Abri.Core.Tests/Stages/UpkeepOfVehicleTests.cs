using Abri.Core.Bench;
using Abri.Core.Geometry;
using Abri.Core.Logbook;
using Abri.Core.Metal;
using Abri.Core.Openings;
using Abri.Core.Record;
using Abri.Core.Sealing;
using Abri.Core.Shell;
using Abri.Core.Stages;
using Abri.Core.Water;
using Abri.Core.Work;

namespace Abri.Core.Tests.Stages;

public class UpkeepOfVehicleTests
{
    private static readonly DateTimeOffset Now = new(2031, 5, 12, 9, 0, 0, TimeSpan.Zero);
    private static readonly DateOnly Today = new(2031, 5, 12);

    private static VehicleSnapshot Van(
        OwnUpkeep[]? own = null,
        UpkeepDone[]? done = null,
        Drain[]? drains = null,
        Repair[]? repairs = null,
        Joint[]? joints = null,
        Panel? panel = null
    )
    {
        VehicleSnapshot van = Vans.Of(repairs ?? [], [], joints: joints, panel: panel);
        return van with
        {
            Water = van.Water with { Drains = [.. (drains ?? []).Select((d, i) => new Stored<Drain>($"d{i}", 1, "p", d))] },
            Upkeep = new UpkeepRows(
                [.. (done ?? []).Select((d, i) => new Stored<UpkeepDone>($"u{i}", 1, "v", d))],
                [.. (own ?? []).Select((o, i) => new Stored<OwnUpkeep>($"w{i}", 1, "v", o))]
            ),
        };
    }

    private static UpkeepLine Line(VehicleSnapshot van, UpkeepKind kind) => UpkeepOfVehicle.Of(van, Now).Single(l => l.Kind == kind);

    private static UpkeepDone Done(string key, DateOnly on) => new(key, "", on, "Ada", "");

    private static Drain Cleared(int daysAgo) => new($"Drain {daysAgo}", new PanelPoint(100, 10), Now.AddDays(-daysAgo), "");

    [Theory] // The day before, on the day, the last day that is soon, and the next one
    [InlineData(-1, UpkeepState.Overdue)]
    [InlineData(0, UpkeepState.Soon)]
    [InlineData(UpkeepRule.SoonDays, UpkeepState.Soon)]
    [InlineData(UpkeepRule.SoonDays + 1, UpkeepState.Later)]
    public void What_was_written_down_is_late_from_the_day_after(int days, UpkeepState state)
    {
        UpkeepLine line = Line(Van([new OwnUpkeep("Gas hose", "", Today.AddDays(days), 12)]), UpkeepKind.Own);
        Assert.Equal((state, Today.AddDays(days)), (line.State, line.Due!.Value));
    }

    [Fact] // Fitted on 1 May: after the first rain, on 15 May at the latest; once
    public void A_new_opening_is_looked_at_after_its_first_rain_and_once()
    {
        VehicleSnapshot van = Vans.Of([], [], openings: [DaysOfVehicleTests.At(OpeningState.Fitted)], fitting: DaysOfVehicleTests.Grille);
        // Of one that was fitted without steps nobody knows when that was.
        Assert.DoesNotContain(UpkeepOfVehicle.Of(van, Now), l => l.Kind == UpkeepKind.NewOpening);
        StepDone done = new(
            new Job(JobKind.Opening, "o0"),
            "water-test",
            "Water test",
            ShellChange.None,
            new DateTimeOffset(2031, 5, 1, 9, 0, 0, TimeSpan.Zero),
            new Minutes(1, 1, 1),
            new StepReport("t", "Ada", null, [], null, null, "", ""),
            null
        );
        van = van with { Done = [new Stored<StepDone>("s", 1, "v", done)] };
        UpkeepLine line = Line(van, UpkeepKind.NewOpening);
        Assert.Equal((new DateOnly(2031, 5, 15), UpkeepState.Soon), (line.Due!.Value, line.State));
        Assert.Contains("first rain", line.How);
        UpkeepRows looked = van.Upkeep with { Done = [new Stored<UpkeepDone>("u", 1, "v", Done("NewOpening/o0", Today))] };
        Assert.Equal(UpkeepState.Over, Line(van with { Upkeep = looked }, UpkeepKind.NewOpening).State);
    }

    [Fact]
    public void What_was_done_is_due_again_after_its_months_and_what_is_due_once_is_over()
    {
        OwnUpkeep[] own = [new("Gas hose", "", Today.AddDays(-1), 12), new("Inspection", "", Today.AddDays(-1), null)];
        Assert.Equal(2, UpkeepOfVehicle.Overdue(Van(own), Now));
        UpkeepDone[] done = [Done("Own/w0", Today.AddDays(-40)), Done("Own/w0", Today), Done("Own/w1", Today)];
        UpkeepLine[] lines = [.. UpkeepOfVehicle.Of(Van(own, done), Now).Where(l => l.Kind == UpkeepKind.Own)];
        Assert.Equal([(UpkeepState.Later, (DateOnly?)Today.AddMonths(12)), (UpkeepState.Over, null)], lines.Select(l => (l.State, l.Due)));
        // The newest first.
        Assert.Equal([Today, Today.AddDays(-40)], lines[0].Done.Select(d => d.On));
    }

    [Fact]
    public void What_nobody_wrote_down_has_no_date_and_is_not_late()
    {
        VehicleSnapshot van = Van();
        Assert.All(UpkeepOfVehicle.Of(van, Now), l => Assert.Equal((UpkeepState.Unknown, null), (l.State, l.Due)));
        Assert.Equal([UpkeepKind.BottomChannels, UpkeepKind.UnderbodyWax], UpkeepOfVehicle.Of(van, Now).Select(l => l.Kind).Order());
    }

    [Fact]
    public void Drains_are_as_late_as_the_one_that_waits_longest_and_clearing_them_clears_each()
    {
        Assert.Equal(Today.AddDays(-100).AddMonths(6), Line(Van(drains: [Cleared(3), Cleared(100)]), UpkeepKind.Drains).Due);
        Assert.Equal(
            UpkeepState.Unknown,
            Line(Van(drains: [Cleared(3), new Drain("Other", new PanelPoint(0, 0), null, "")]), UpkeepKind.Drains).State
        );
        Assert.True(
            UpkeepOfVehicle.Do(Van(drains: [Cleared(3), Cleared(100)]), Done("Drains", Today.AddDays(-10)), Now).IsOk(out UpkeepChange? change, out _)
        );
        // The one that was cleared since stays.
        Assert.Equal("Drain 100", Assert.Single(change.Drains).Value.Name);
        Assert.Equal(Today.AddDays(-10), DateOnly.FromDateTime(change.Drains[0].Value.ClearedAt!.Value.UtcDateTime));
        Assert.Equal("2 drains", change.Done.What);
    }

    [Fact]
    public void Watched_metal_is_due_after_it_was_done_or_looked_at_last_and_the_metal_screen_says_the_same()
    {
        Repair watched = Repair.At("Sill", RepairKind.Leave, FindingShape.Point, [new(1, 1)]) with
        {
            State = RepairState.Watch,
            DoneOn = new DateOnly(2030, 10, 31),
        };
        VehicleSnapshot van = Van(repairs: [watched]);
        Assert.Equal(
            (UpkeepState.Overdue, (DateOnly?)new DateOnly(2031, 4, 30)),
            (Line(van, UpkeepKind.MendedMetal).State, Line(van, UpkeepKind.MendedMetal).Due)
        );
        VehicleSnapshot looked = Van(repairs: [watched], done: [Done("MendedMetal/r0", Today)]);
        Assert.Equal(new DateOnly(2031, 11, 12), Line(looked, UpkeepKind.MendedMetal).Due);
        Assert.Equal(new DateOnly(2031, 11, 12), MetalOfVehicle.Of(looked).Repairs[0].LookAgainOn);
    }

    [Fact]
    public void Sealant_on_a_roof_counts_from_the_bead_that_is_oldest()
    {
        Joint Laid(DateOnly on) =>
            new(
                "Seam",
                JointKind.Seam,
                100,
                Substrate.PaintedMetal,
                Substrate.PaintedMetal,
                3,
                0,
                false,
                false,
                false,
                false,
                false,
                false,
                null,
                null,
                [
                    new JointEvent(new DateOnly(2020, 1, 1), JointEventKind.Sealed, null, "", ""),
                    new JointEvent(on, JointEventKind.Sealed, null, "", ""),
                ],
                ""
            );
        var roof = new Panel(PanelKind.Roof, new PanelBox(0, 4000, -800, 800).Corners, 0.8, SkinMaterial.MildSteel);
        VehicleSnapshot van = Van(joints: [Laid(new DateOnly(2031, 3, 1)), Laid(new DateOnly(2030, 5, 12))], panel: roof);
        Assert.Equal((Today, UpkeepState.Soon), (Line(van, UpkeepKind.RoofSealant).Due!.Value, Line(van, UpkeepKind.RoofSealant).State));
        // Sides are no roof: nothing lies at their bottom either.
        Assert.DoesNotContain(UpkeepOfVehicle.Of(van, Now), l => l.Kind == UpkeepKind.BottomChannels);
    }

    [Fact]
    public void A_day_ahead_a_day_twice_and_a_thing_that_is_gone_are_refused()
    {
        VehicleSnapshot van = Van(done: [Done("UnderbodyWax", Today)]);
        string Code(UpkeepDone done) => UpkeepOfVehicle.Do(van, done, Now).Problem!.Code;
        Assert.Equal("upkeep-ahead", Code(Done("BottomChannels", Today.AddDays(1))));
        Assert.Equal("upkeep-twice", Code(Done("UnderbodyWax", Today)));
        Assert.Equal("upkeep-gone", Code(Done("Own/w9", Today)));
        Assert.True(UpkeepOfVehicle.Do(van, Done("BottomChannels", Today), Now).IsOk(out _, out _));
    }
}
