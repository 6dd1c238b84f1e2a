using Abri.Core;
using Abri.Core.Geometry;
using Abri.Core.Logbook;
using Abri.Core.Openings;
using Abri.Core.Sealing;
using Abri.Core.Shell;
using Abri.Storage.Shell;

namespace Abri.Storage.Tests;

public sealed class StoreTests : IDisposable
{
    private readonly Scratch scratch = new();

    public void Dispose() => scratch.Dispose();

    [Fact] // A vehicle of many rows, and one row right after it: by the clock alone it would stand among them
    public void Rows_are_listed_in_the_order_in_which_they_came_however_quickly()
    {
        string id = scratch.Records.Add(RecordStoreTests.Whole);
        string panel = scratch.Panels.All(id)[0].Id;
        for (int i = 0; i < 20; i++)
            scratch.Members.Add(panel, Scratch.Bow with { Name = $"Late {i}" });
        Assert.Equal(
            Enumerable.Range(0, 20).Select(i => $"Late {i}"),
            scratch.Members.All(panel).Select(m => m.Value.Name).SkipWhile(n => !n.StartsWith("Late", StringComparison.Ordinal))
        );
    }

    [Fact]
    public void What_is_put_in_comes_out_again()
    {
        var (vehicle, roof, bow, vent, opening) = scratch.Filled();
        Assert.Equal(Scratch.Van, vehicle.Value);
        Assert.Equal(Scratch.Roof.Outline, roof.Value.Outline);
        Assert.Equal(Scratch.Roof with { Outline = roof.Value.Outline }, roof.Value);
        Assert.Equal(Scratch.Bow.Footprint.Points, bow.Value.Footprint.Points);
        Assert.Equal(Scratch.Vent, vent.Value);
        Assert.Equal(new AsCut(400, 401, 402, 403, 549, 548.5), opening.Value.AsCut);
        Assert.Equal((1, roof.Id), (opening.Version, opening.OwnerId));
        Assert.Equal(vehicle.Id, Assert.Single(scratch.Zones.All(vehicle.Id)).OwnerId);
    }

    [Fact] // Two vents of one name: each joint knows its own
    public void Joints_belong_to_one_thing_follow_its_new_name_and_outlive_it()
    {
        var (vehicle, roof, bow, _, opening) = scratch.Filled();
        Stored<Opening> twin = scratch.Openings.Add(roof.Id, opening.Value).Row!;
        string Add(string name, JointOfKind kind, string id) =>
            scratch
                .Joints.Add(
                    roof.Id,
                    new Joint(
                        name,
                        JointKind.RoofFlange,
                        1900,
                        Substrate.PaintedMetal,
                        Substrate.PlasticFrame,
                        3,
                        0,
                        false,
                        true,
                        false,
                        false,
                        false,
                        true,
                        new JointOf(kind, id),
                        null,
                        [],
                        ""
                    )
                )
                .Row!.Id;
        string flange = Add("Vent: flange", JointOfKind.Opening, opening.Id),
            own = Add("My own words", JointOfKind.Opening, opening.Id);
        string other = Add("Vent: flange", JointOfKind.Opening, twin.Id),
            bows = Add("Other", JointOfKind.Member, bow.Id);
        string[] Names() => [.. new[] { flange, own, other, bows }.Select(id => scratch.Joints.Find(id)!.Value.Name)];
        Assert.Equal(WriteState.Done, scratch.Openings.Replace(opening.Id, opening.Version, opening.Value with { Name = "Big vent" }).State);
        Assert.Equal(["Big vent: flange", "My own words", "Vent: flange", "Other"], Names());
        Assert.Equal(new JointOf(JointOfKind.Opening, twin.Id), scratch.Joints.Find(other)!.Value.Of);
        scratch.History.Undo(vehicle.Id);
        Assert.Equal(["Vent: flange", "My own words", "Vent: flange", "Other"], Names());
        // What was sealed once stays known when the thing goes; taken back, they are together again.
        Assert.Equal(WriteState.Done, scratch.Openings.Remove(twin.Id, twin.Version).State);
        Assert.Null(scratch.Joints.Find(other)!.Value.Of);
        scratch.History.Undo(vehicle.Id);
        Assert.Equal(new JointOf(JointOfKind.Opening, twin.Id), scratch.Joints.Find(other)!.Value.Of);
        Assert.True(scratch.Joints.IsOnPanel(roof.Id, new JointOf(JointOfKind.Opening, twin.Id)));
        Assert.False(scratch.Joints.IsOnPanel("elsewhere", new JointOf(JointOfKind.Opening, twin.Id)));
    }

    [Fact]
    public void What_is_read_at_once_is_of_one_moment_and_the_next_reading_shows_the_change()
    {
        var (vehicle, roof, bow, _, _) = scratch.Filled();
        long before = scratch.Database.RevisionOf(vehicle.Id);
        (int Members, int Again) seen = scratch.Database.AtOnce(() =>
        {
            int first = scratch.Members.All(roof.Id).Count;
            Assert.Equal(WriteState.Done, Task.Run(() => scratch.Members.Remove(bow.Id, bow.Version)).GetAwaiter().GetResult().State);
            return (first, scratch.Members.All(roof.Id).Count);
        });
        Assert.Equal((1, 1), seen);
        Assert.Empty(scratch.Members.All(roof.Id));
        Assert.Equal(before + 1, scratch.Database.RevisionOf(vehicle.Id));
        scratch.History.Undo(vehicle.Id);
        Assert.Equal(before + 2, scratch.Database.RevisionOf(vehicle.Id));
        Assert.Equal(WriteState.Stale, scratch.Members.Remove(bow.Id, bow.Version).State);
        Assert.Equal(before + 2, scratch.Database.RevisionOf(vehicle.Id));
    }

    [Fact]
    public void A_change_made_from_an_old_version_is_refused_and_shown_the_new_one()
    {
        var (_, _, bow, _, _) = scratch.Filled();
        Assert.Equal(WriteState.Done, scratch.Members.Replace(bow.Id, 1, bow.Value with { Name = "Front bow" }).State);
        Written<Member> stale = scratch.Members.Replace(bow.Id, 1, bow.Value with { Name = "Other" });
        Assert.Equal((WriteState.Stale, "Front bow", 2), (stale.State, stale.Row!.Value.Name, stale.Row.Version));
        Assert.Equal(WriteState.Stale, scratch.Members.Remove(bow.Id, 1).State);
        Assert.Equal(WriteState.NotFound, scratch.Members.Remove("nobody", 1).State);
    }

    [Fact]
    public void Undo_and_redo_walk_through_every_state_in_order()
    {
        var (vehicle, roof, bow, _, opening) = scratch.Filled();
        List<string[]> states = [scratch.Rows()];
        void Do(Action change)
        {
            change();
            states.Add(scratch.Rows());
        }
        Do(() => scratch.Members.Replace(bow.Id, 1, bow.Value with { DepthMm = 55 }));
        Do(() => scratch.Members.Add(roof.Id, [bow.Value with { Name = "Bow 2" }, bow.Value with { Name = "Bow 3" }], "Taped 2 bows"));
        Do(() => scratch.Openings.Replace(opening.Id, 1, opening.Value with { WallMm = null, AsCut = null, Centre = new PanelPoint(900.5, -3) }));
        Do(() => scratch.Openings.Remove(opening.Id, 2));
        Do(() => scratch.Panels.Remove(roof.Id, 1));

        for (int i = states.Count - 2; i >= 0; i--)
        {
            Assert.NotNull(scratch.History.Undo(vehicle.Id).What);
            Assert.Equal(states[i], scratch.Rows());
        }
        for (int i = 1; i < states.Count; i++)
        {
            Assert.NotNull(scratch.History.Redo(vehicle.Id).What);
            Assert.Equal(states[i], scratch.Rows());
        }
        Assert.Null(scratch.History.Redo(vehicle.Id).What);
    }

    [Fact]
    public void A_removed_vehicle_comes_back_whole()
    {
        var (vehicle, _, _, _, _) = scratch.Filled();
        string[] before = scratch.Rows();
        Assert.Equal(WriteState.Done, scratch.Vehicles.Remove(vehicle.Id, 1).State);
        Assert.Empty(scratch.Openings.All());
        Assert.Equal("Removed Heron", scratch.History.Undo(VehicleStore.ListScope).What);
        Assert.Equal(before, scratch.Rows());
    }

    [Fact]
    public void Something_new_after_undo_ends_redo()
    {
        var (vehicle, _, bow, _, _) = scratch.Filled();
        scratch.Members.Replace(bow.Id, 1, bow.Value with { DepthMm = 55 });
        scratch.History.Undo(vehicle.Id);
        int version = scratch.Members.Find(bow.Id)!.Version;
        Assert.Equal(3, version);
        scratch.Members.Replace(bow.Id, version, bow.Value with { DepthMm = 66 });
        Assert.Null(scratch.History.Redo(vehicle.Id).What);
        Assert.Equal(66, scratch.Members.Find(bow.Id)!.Value.DepthMm);
        Assert.Contains(scratch.History.Newest(vehicle.Id, 10), c => c.State == ChangeState.Dropped);
    }

    [Fact]
    public void A_fitting_in_use_cannot_be_removed_and_its_name_cannot_be_taken()
    {
        var (_, _, _, vent, _) = scratch.Filled();
        Assert.Equal(WriteState.Conflict, scratch.Fittings.Remove(vent.Id, 1).State);
        Assert.NotNull(scratch.Fittings.Find(vent.Id));
        Written<Fitting> twice = scratch.Fittings.Add(null, Scratch.Vent);
        Assert.Equal(WriteState.Conflict, twice.State);
        Assert.NotNull(twice.Message);
    }

    [Fact]
    public void Undo_that_would_refer_to_something_gone_changes_nothing()
    {
        var (vehicle, _, _, vent, opening) = scratch.Filled();
        scratch.Openings.Remove(opening.Id, 1);
        scratch.Fittings.Remove(vent.Id, 1);
        HistoryStep step = scratch.History.Undo(vehicle.Id);
        Assert.NotNull(step.Conflict);
        Assert.Null(scratch.Openings.Find(opening.Id));
    }

    [Fact]
    public void A_pillar_that_may_be_cut_is_refused_by_the_table_itself()
    {
        var (_, roof, bow, _, _) = scratch.Filled();
        Assert.Throws<Microsoft.Data.Sqlite.SqliteException>(() => scratch.Members.Add(roof.Id, bow.Value with { Kind = MemberKind.Pillar }));
        Assert.Single(scratch.Members.All());
    }
}
