using Abri.Core.Geometry;
using Abri.Core.Metal;
using Abri.Core.Procedures;
using Abri.Core.Work;
using CsCheck;

namespace Abri.Core.Tests.Metal;

/// <summary>Doors that stand off their seals.</summary>
public class DoorTests
{
    private static readonly double[] Heights = [50, 400, 750, 1100, 1450];

    private static DoorReading[] Gaps(DoorEdge edge, params double[] gaps) => [.. gaps.Select((g, i) => new DoorReading(edge, Heights[i], g))];

    private static DoorRound Round(DoorTurn after, DoorPushed? pushed, params double[] latch) => new(after, pushed, Gaps(DoorEdge.Latch, latch));

    private static DoorFit Door(params DoorRound[] rounds) => new(14, false, false, rounds);

    private static DoorPlan Planned(DoorFit door) => DoorBow.Of(door, 1500, LengthFormat.Millimetres).Value!.Result;

    [Fact] // By hand: straight from 9 to 11 over 1400 mm, so 9.5, 10 and 10.5 in between
    public void Bow_is_what_a_gap_has_more_than_the_straight_through_the_ends()
    {
        DoorLine line = Planned(Door(Round(DoorTurn.AsFound, null, 9, 11.5, 14, 12.5, 11))).Rounds[0].Lines[0];
        Assert.Equal([0, 2, 4, 2, 0], line.Points.Select(p => Math.Round(p.BowMm, 9)));
        Assert.Equal((4, 750), (Math.Round(line.BowMm, 9), line.BowAtMm));
        // Pressed by 1 - 14 / 14 = 0 % in the middle; 20 % is a gap of 11.2 mm, met between 50 and 400 mm and above 1450 - 0.2 / 1.5 of 350 mm.
        Assert.Equal(0, line.Points[2].SqueezePercent, 9);
        HeightSpan passes = Assert.Single(line.Passes);
        Assert.Equal((50 + (2.2 / 2.5 * 350), 1450 - (0.2 / 1.5 * 350)), (Math.Round(passes.FromMm, 6), Math.Round(passes.ToMm, 6)), new Near(1e-3));
    }

    [Fact]
    public void Latch_and_hinges_come_first_then_the_seal_then_bending_and_straight_is_left()
    {
        double[] off = [13, 14, 15, 14, 13],
            ends = [9, 12, 14, 12, 9],
            straight = [9, 9.5, 9.8, 9.5, 9];
        DoorRound found = Round(DoorTurn.AsFound, null, off);
        Assert.Equal(DoorTurn.AsFound, Planned(Door()).Next);
        Assert.Equal(DoorTurn.HingesAndLatch, Planned(Door(found)).Next);
        DoorRound set = Round(DoorTurn.HingesAndLatch, null, off);
        Assert.Equal(DoorTurn.Seal, Planned(Door(found, set)).Next);
        DoorRound seal = Round(DoorTurn.Seal, null, ends);
        Assert.Equal(DoorTurn.Bend, Planned(Door(found, set, seal)).Next);
        DoorRound bent = Round(DoorTurn.Bend, new DoorPushed(DoorEdge.Latch, 750, 20), straight);
        Assert.Null(Planned(Door(found, set, seal, bent)).Next);
        // Bent, and the ends moved: from the start once more.
        Assert.Equal(
            DoorTurn.HingesAndLatch,
            Planned(Door(found, set, seal, bent with { Readings = Gaps(DoorEdge.Latch, 13, 13.5, 13.9, 13.5, 13) })).Next
        );
        Judgement top = Planned(Door(found)).Rows.Single(r => r.Id == "door-latch-top");
        Assert.Equal((13, 9.1), (top.Measured!.Value, Math.Round(top.Required!.Value, 9)));
        Assert.Equal("Set the latch in by 3.9 mm there.", top.Remedy);
        Assert.Contains("thicker", Planned(Door(found, set)).Rows.Single(r => r.Id == "door-latch-top").Remedy);
        Assert.Contains("out by", Planned(Door(Round(DoorTurn.AsFound, null, 5, 5, 5, 5, 5))).Rows[0].Remedy);
    }

    [Fact] // A straight door that does not press its seal all along is not done, however often it was set
    public void Nothing_more_is_to_do_only_where_every_reading_is_pressed()
    {
        DoorRound found = Round(DoorTurn.AsFound, null, 13, 13, 13, 13, 13);
        DoorRound After(DoorTurn turn, params double[] gaps) => Round(turn, null, gaps);
        double[] wide = [13, 13, 13, 13, 13],
            middle = [11, 11.3, 11.5, 11.3, 11];
        DoorRound set = After(DoorTurn.HingesAndLatch, wide),
            seal = After(DoorTurn.Seal, wide);
        Assert.Equal(DoorTurn.HingesAndLatch, Planned(Door(found, set, seal)).Next);
        Assert.Equal(DoorTurn.Seal, Planned(Door(found, set, seal, set)).Next);
        // Ends that are pressed do not make up for a middle that is not, within the bow that is left.
        DoorPlan between = Planned(Door(found, set, After(DoorTurn.Seal, middle)));
        Assert.Equal(DoorTurn.HingesAndLatch, between.Next);
        Judgement passes = between.Rows.Single(r => r.Id == "door-latch-passes");
        Assert.Equal("The gap is 2.4 mm too wide at 750 mm: set the latch, or the seal.", passes.Remedy);
        Assert.Contains(
            passes.Remedy!,
            DoorProcedure.Of(Door(found, set, After(DoorTurn.Seal, middle)), between, LengthFormat.Millimetres).Steps[0].Do
        );
        // A thin seal has little room: within 1 mm of what is wanted is not pressed yet.
        DoorFit thin = new(3, false, false, [Round(DoorTurn.AsFound, null, 2.9, 2.9, 2.9)]);
        Assert.NotNull(Planned(thin).Next);
        Assert.StartsWith("Straight within 1 mm and pressed all along", Planned(Door(Round(DoorTurn.AsFound, null, 9, 9, 9))).Verdict);
    }

    [Fact]
    public void The_next_round_is_read_where_the_last_one_was()
    {
        Assert.Equal([80, 750, 1420, 80, 750, 1420], Planned(Door()).ReadAt.Select(r => r.HeightMm));
        DoorRound found = Round(DoorTurn.AsFound, null, 9, 12, 15, 12, 9);
        Assert.Equal(Heights, Planned(Door(found)).ReadAt.Select(r => r.HeightMm));
    }

    [Fact] // By hand: bow 6 in the middle; pushed by 20 and 3 stayed, so it springs back by 17; 3 are left, 17 + 3 = 20
    public void Spring_back_is_learned_from_what_stayed()
    {
        DoorRound found = Round(DoorTurn.AsFound, null, 9, 12, 15, 12, 9);
        DoorPush first = Planned(Door(found)).Push!;
        Assert.Equal((750, true, 6, 11), (first.AtMm, first.Inwards, first.WantMm, first.PushMm));
        Assert.Null(first.SpringBackMm);
        Assert.Equal([50, 1450], first.EndsMm);
        DoorRound Bent(double by, double middle) =>
            Round(DoorTurn.Bend, new DoorPushed(DoorEdge.Latch, 750, by), 9, 9 + (middle / 2), 9 + middle, 9 + (middle / 2), 9);
        DoorPush next = Planned(Door(found, Bent(20, 3))).Push!;
        Assert.Equal((17, 3, 20), (next.SpringBackMm!.Value, next.WantMm, next.PushMm));
        // What moved nothing teaches that it springs back by at least that much; no push goes more than 5 mm further.
        DoorPush nothing = Planned(Door(found, Bent(11, 6))).Push!;
        Assert.Equal((11, 16), (nothing.SpringBackMm!.Value, nothing.PushMm));
        // Bent past straight it is pushed the other way.
        DoorPush back = Planned(Door(found, Bent(20, -2))).Push!;
        Assert.Equal((false, 2, 14), (back.Inwards, back.WantMm, back.PushMm));
    }

    [Fact] // A door made up at random: stiff until its limit, then a part of what it is pushed further stays; readings round to half a millimetre
    public void Any_door_comes_straight_and_is_hardly_bent_past_it()
    {
        Gen.Select(Gen.Double[5, 45], Gen.Double[0.5, 1], Gen.Double[2, 15], Gen.Bool)
            .Holds(
                (limit, share, bow, off) =>
                {
                    double middle = off ? bow : -bow;
                    double Read(double mm) => Math.Round(mm * 2) / 2;
                    DoorRound Seen(DoorTurn after, DoorPushed? pushed) =>
                        new(after, pushed, [new(DoorEdge.Latch, 50, 20), new(DoorEdge.Latch, 750, Read(20 + middle)), new(DoorEdge.Latch, 1450, 20)]);
                    DoorFit door = new(30, false, false, [Seen(DoorTurn.AsFound, null)]);
                    for (int go = 0; go < 25 && Planned(door).Push is { } push; go++)
                    {
                        Assert.Equal(middle > 0, push.Inwards);
                        double before = middle;
                        middle -= Math.Sign(middle) * Math.Max(0, push.PushMm - limit) * share;
                        Assert.True(
                            Math.Sign(middle) == Math.Sign(before) || Math.Abs(middle) <= DoorBow.FurtherMm,
                            $"Bent past straight by {middle}."
                        );
                        door = door with { Rounds = [.. door.Rounds, Seen(DoorTurn.Bend, new DoorPushed(DoorEdge.Latch, push.AtMm, push.PushMm))] };
                    }
                    Assert.Null(Planned(door).Next);
                    Assert.InRange(Math.Abs(middle), 0, DoorBow.LeaveMm + 0.25);
                }
            );
    }

    [Theory]
    [InlineData("door-readings", "/rounds/0/readings")]
    [InlineData("door-height-twice", "/rounds/0/readings")]
    [InlineData("door-push", "/rounds/1/pushed")]
    [InlineData("door-first", "/rounds/0/after")]
    [InlineData("door-push-unread", "/rounds/1/pushed/atMm")]
    public void Readings_that_contradict_each_other_are_told(string code, string where)
    {
        DoorRound found = Round(DoorTurn.AsFound, null, 9, 12, 15, 12, 9);
        DoorFit door = code switch
        {
            "door-readings" => Door(found with { Readings = [.. found.Readings, new(DoorEdge.Hinge, 50, 9)] }),
            "door-height-twice" => Door(found with { Readings = [.. found.Readings, new(DoorEdge.Latch, 50, 9)] }),
            "door-push" => Door(found, Round(DoorTurn.Bend, null, 9, 9, 9)),
            "door-first" => Door(Round(DoorTurn.Seal, null, 9, 9, 9)),
            _ => Door(found, Round(DoorTurn.Bend, new DoorPushed(DoorEdge.Latch, 3000, 10), 9, 9, 9)),
        };
        Problem problem = DoorBow.Of(door, 1500, LengthFormat.Millimetres).Problem!;
        Assert.Equal((code, where), (problem.Code, problem.Pointer));
    }

    [Fact]
    public void A_door_that_would_have_to_be_pushed_too_far_is_for_a_body_shop()
    {
        DoorRound found = Round(DoorTurn.AsFound, null, 9, 30, 50, 30, 9),
            still = Round(DoorTurn.Bend, new DoorPushed(DoorEdge.Latch, 750, 78), 9, 30, 50, 30, 9);
        Worked<DoorPlan> plan = DoorBow.Of(Door(found, still), 1500, LengthFormat.Millimetres).Value!;
        Assert.Null(plan.Result.Push);
        Assert.Contains("body shop", Assert.Single(plan.Warnings));
        Assert.DoesNotContain(DoorProcedure.Of(Door(found, still), plan.Result, LengthFormat.Millimetres).Steps, s => s.Key == "door-bend");
    }

    [Fact]
    public void The_steps_go_to_the_next_round_of_readings()
    {
        DoorRound found = Round(DoorTurn.AsFound, null, 9, 12, 15, 12, 9);
        IReadOnlyList<WorkStep> Steps(DoorFit door) => DoorProcedure.Of(door, Planned(door), LengthFormat.Millimetres).Steps;
        DoorFit glazed = Door(found) with { Glass = true, Dents = true };
        Assert.Equal(["door-pane", "door-bend", "door-read"], Steps(glazed).Select(s => s.Key));
        Assert.Contains("50 mm and 1450 mm", Steps(glazed)[1].Do);
        Assert.Contains("11 mm from where it was", Steps(glazed)[1].Do);
        Assert.Equal(2, Steps(glazed)[1].People);
        Assert.Contains(Planned(glazed).Rows, r => r.Id == "door-glass");
        DoorFit straight = glazed with { Rounds = [Round(DoorTurn.AsFound, null, 9, 9, 9, 9, 9)] };
        Assert.Equal(["door-strut", "door-dust"], Steps(straight).Select(s => s.Key));
        Assert.Equal(["door-read"], Steps(Door()).Select(s => s.Key));
        Assert.Equal(["door-set", "door-read"], Steps(Door(Round(DoorTurn.AsFound, null, 13, 13, 13, 13, 13))).Select(s => s.Key));
        Assert.Contains("Set the latch in by 3.9 mm there.", Steps(Door(Round(DoorTurn.AsFound, null, 13, 13, 13, 13, 13)))[0].Do);
        Assert.Equal(
            ["door-seal", "door-read"],
            Steps(Door(Round(DoorTurn.AsFound, null, 13, 13, 13), Round(DoorTurn.HingesAndLatch, null, 13, 13, 13))).Select(s => s.Key)
        );
    }

    /// <summary>Two pairs of numbers that are as good as equal.</summary>
    private sealed class Near(double within) : IEqualityComparer<(double, double)>
    {
        public bool Equals((double, double) x, (double, double) y) => Math.Abs(x.Item1 - y.Item1) < within && Math.Abs(x.Item2 - y.Item2) < within;

        public int GetHashCode((double, double) pair) => 0;
    }
}
