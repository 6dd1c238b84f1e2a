using Abri.Core;
using Abri.Core.Geometry;
using Abri.Core.Openings;
using Abri.Core.Sealing;
using Abri.Core.Shell;
using CsCheck;

namespace Abri.Storage.Tests;

/// <summary>Random walks through changes, back and forward, held against the plainest model of a history: a list of whole states and a place in
/// it.</summary>
public class HistoryTests
{
    private enum Move
    {
        AddBow,
        ChangeMember,
        RemoveMember,
        RenameOpening,
        MoveOpening,
        AddJoint,
        RemoveOpening,
        Stale,
        Undo,
        Redo,
    }

    [Fact]
    public void Any_walk_of_changes_undone_and_redone_shows_the_states_of_a_plain_list() =>
        Gen.Select(Gen.Enum<Move>(), Gen.Int[0, 1000])
            .Array[3, 25]
            .Holds(
                walk =>
                {
                    using var scratch = new Scratch();
                    var (vehicle, roof, _, _, _) = scratch.Filled();
                    List<string[]> states = [scratch.Rows()];
                    int at = 0,
                        made = 0;
                    foreach ((Move move, int pick) in walk)
                    {
                        if (move == Move.Undo)
                        {
                            Assert.NotNull(scratch.History.Undo(vehicle.Id).What);
                            // Below the first state lies what the vehicle was filled with: that is put back at once.
                            if (at == 0)
                                Assert.NotNull(scratch.History.Redo(vehicle.Id).What);
                            else
                                at--;
                            Assert.Equal(states[at], scratch.Rows());
                        }
                        else if (move == Move.Redo)
                        {
                            Assert.Equal(at < states.Count - 1, scratch.History.Redo(vehicle.Id).What is not null);
                            if (at < states.Count - 1)
                                at++;
                            Assert.Equal(states[at], scratch.Rows());
                        }
                        else if (Change(scratch, move, pick, roof.Id, ++made))
                        {
                            states.RemoveRange(at + 1, states.Count - at - 1);
                            states.Add(scratch.Rows());
                            at++;
                        }
                        else
                        {
                            Assert.Equal(states[at], scratch.Rows());
                        }
                    }
                },
                cases: 60
            );

    /// <summary>Makes a change; whether there was anything to change.</summary>
    private static bool Change(Scratch scratch, Move move, int pick, string roofId, int number)
    {
        IReadOnlyList<Stored<Member>> members = scratch.Members.All(roofId);
        IReadOnlyList<Stored<Opening>> openings = scratch.Openings.All(roofId);
        Stored<Member>? member = members.Count > 0 ? members[pick % members.Count] : null;
        Stored<Opening>? opening = openings.Count > 0 ? openings[pick % openings.Count] : null;
        WriteState? ended = move switch
        {
            Move.AddBow => scratch.Members.Add(roofId, Scratch.Bow with { Name = $"Bow made {number}" }).State,
            Move.ChangeMember when member is not null => scratch
                .Members.Replace(member.Id, member.Version, member.Value with { DepthMm = member.Value.DepthMm + 1 + pick })
                .State,
            Move.RemoveMember when member is not null => scratch.Members.Remove(member.Id, member.Version).State,
            Move.RenameOpening when opening is not null => scratch
                .Openings.Replace(opening.Id, opening.Version, opening.Value with { Name = $"Opening {number}" })
                .State,
            Move.MoveOpening when opening is not null => scratch
                .Openings.ReplaceAll([(opening.Id, opening.Version, opening.Value with { Centre = new PanelPoint(500 + pick, number) })], "Placed")
                .State,
            Move.AddJoint when opening is not null => scratch
                .Joints.Add(
                    roofId,
                    new Joint(
                        $"{opening.Value.Name}: joint {number}",
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
                        new JointOf(JointOfKind.Opening, opening.Id),
                        null,
                        [],
                        ""
                    )
                )
                .State,
            Move.RemoveOpening when opening is not null => scratch.Openings.Remove(opening.Id, opening.Version).State,
            Move.Stale when member is not null => scratch
                .Members.Replace(member.Id, member.Version + 1, member.Value with { Name = "Nobody sees this" })
                .State,
            _ => null,
        };
        Assert.Equal(move == Move.Stale && ended is not null ? WriteState.Stale : WriteState.Done, ended ?? WriteState.Done);
        return ended == WriteState.Done;
    }
}
