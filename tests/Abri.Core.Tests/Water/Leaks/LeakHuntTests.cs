using Abri.Core.Geometry;
using Abri.Core.Shell;
using Abri.Core.Water.Leaks;

namespace Abri.Core.Tests.Water.Leaks;

public class LeakHuntTests
{
    private static readonly DateTimeOffset Day = new(2026, 4, 11, 9, 0, 0, TimeSpan.Zero);
    private static readonly Attitude NoseDown = new(-1, 0.2);

    [Fact] // Figure for 200 hunts in docs/performance.md
    [Trait(Long.Name, Long.Value)]
    public void A_hidden_cause_is_found_in_nine_of_ten_leaks()
    {
        IReadOnlyList<LeakSimulation.Hunt> hunts = LeakSimulation.Run(50, 7);
        Assert.InRange(hunts.Count(h => h.Found), 45, 50);
        // It is not the first guess that does it.
        Assert.InRange(hunts.Count(h => h.FirstGuess), 0, 25);
    }

    [Fact]
    public void Water_from_the_rear_runs_forwards_along_the_rail_of_a_roof_that_is_parked_nose_down()
    {
        HuntedSuspect corner = Hunted(Shell(Stain(PanelKind.Roof, new(1500, 780)))).Suspects.Single(s => s.Suspect.Name == "Rear left corner");
        Assert.InRange(corner.Reach, 0.2, 0.8);
        Assert.Contains("forwards along left cant rail", corner.WayWords);
        // Nose up, the same water runs out at the rear: only a way that no drawing shows is left.
        Assert.InRange(
            Hunted(Shell(Stain(PanelKind.Roof, new(1500, 780)), new Attitude(2, 0.2)))
                .Suspects.Single(s => s.Suspect.Name == "Rear left corner")
                .Reach,
            0,
            0.03
        );
    }

    [Fact] // A door's membrane and drains that nobody cleared are suspects; a drain that was cleared is not
    public void Membranes_of_doors_and_drains_that_nobody_cleared_are_suspected()
    {
        WetShell shell = Shell(Stain(PanelKind.Left, new(2000, 200)));
        var door = new Panel(PanelKind.RearLeftDoor, new PanelBox(0, 700, 0, 1600).Corners, 1, SkinMaterial.MildSteel);
        Core.Water.Drain Drain(string name, DateTimeOffset? cleared) => new(name, new PanelPoint(300, 20), cleared, "");
        IReadOnlyList<OfferedSuspect> offered = OfferedSuspects.Of(
            shell with
            {
                Panels = [new WetPanel("door", door, [], [], [], [], [], [], [Drain("blocked", null), Drain("cleared", Day)], [])],
            }
        );
        Assert.Contains(offered, o => o.Suspect is { Kind: SuspectKind.DoorMembrane, Name: "Door membrane" });
        Assert.Equal(["Blocked"], offered.Where(o => o.Suspect.Kind == SuspectKind.BackedUpDrain).Select(o => o.Suspect.Name));
        // Each kind has its prior and its cover.
        Assert.All(Enum.GetValues<SuspectKind>(), k => Assert.InRange(LeakPriors.Of(k, Condition.Unknown, []), 0.01, 0.5));
    }

    [Fact]
    public void Nothing_below_a_mark_is_its_cause()
    {
        LeakHunt hunt = Hunted(Shell(Stain(PanelKind.Left, new(2000, 1700))));
        Assert.Equal(0, hunt.Suspects.Single(s => s.Suspect.Name == "Left side, bottom seam, 2 of 4").Reach);
        Assert.True(hunt.Suspects.Single(s => s.Suspect.Name == "Roof seam, left, 2 of 4").Reach > 0.1);
    }

    [Fact]
    public void Tests_go_from_low_to_high_unless_all_else_is_covered()
    {
        // A mark at the foot of the side: the window above it and the seam of the roof can both have made it.
        WetShell shell = Shell(Stain(PanelKind.Left, new(2000, 200)));
        shell = shell with
        {
            Panels =
            [
                .. shell.Panels.Select(p =>
                    p.Panel.Kind == PanelKind.Left
                        ? p with
                        {
                            Openings = [new CutOpening("Window", new PanelBox(1700, 2300, 900, 1400), true, true)],
                        }
                        : p
                ),
            ],
        };
        IReadOnlyList<PlannedTest> tests = Hunted(shell).Tests;
        PlannedTest roof = tests.First(t => t.PanelId == "roof" && !t.Spray.OthersMasked);
        Assert.StartsWith("First left side", roof.Test.NotYet);
        Assert.All(tests.Where(t => t.Spray.OthersMasked), t => Assert.Null(t.Test.NotYet));
        Assert.All(tests.SkipWhile(t => t.Test.NotYet is null), t => Assert.NotNull(t.Test.NotYet));
        // Two dry tests of the side later the roof's turn has come.
        WetShell tested = Looked(shell, PanelKind.Left, [Dry(new PanelBox(1075, 2150, 0, 1950)), Dry(new PanelBox(2150, 3225, 0, 1950))]);
        Assert.Contains(Hunted(tested).Tests, t => t.PanelId == "roof" && !t.Spray.OthersMasked && t.Test.NotYet is null);
    }

    [Fact]
    public void What_was_seen_before_a_joint_was_made_does_not_bear_on_it_and_that_is_said()
    {
        Suspect resealed = new("Rear left corner", SuspectKind.Corner, [new(4300, 850)], Condition.Sound, Day.AddDays(5), "");
        WetShell shell = Shell(Stain(PanelKind.Roof, new(1500, 780)));
        shell = shell with
        {
            Panels = [.. shell.Panels.Select(p => p.Panel.Kind == PanelKind.Roof ? p with { Suspects = Keyed.All("suspect", [resealed]) } : p)],
        };
        Worked<LeakHunt> worked = LeakHunt.Of(shell).Value!;
        RankedSuspect corner = worked.Result.Ranking.Suspects.Single(s => s.Name == "Rear left corner");
        Assert.Equal(corner.Prior, corner.Leaks, 9);
        Assert.Contains(worked.Warnings, w => w.Contains("before 16 Apr", StringComparison.Ordinal));
        // It took the place of the one that the shell offers.
        Assert.Single(worked.Result.Suspects, s => s.Suspect.Name == "Rear left corner");
    }

    [Fact]
    public void A_finding_lends_its_state_to_what_it_lies_on_and_a_mended_one_is_no_suspect()
    {
        Finding open = Stain(PanelKind.Roof, new(0, 0)).Finding with
        {
            Name = "Seam lifts",
            Kind = FindingKind.OpenSeam,
            Shape = FindingShape.Line,
            Points = [new(4120, 845), new(4290, 845)],
        };
        WetShell With(Finding f) => Shell((PanelKind.Roof, f));
        OfferedSuspect seam = OfferedSuspects.Of(With(open)).Single(o => o.Origin == SuspectOrigin.Finding);
        Assert.Equal((Condition.Open, SuspectKind.Seam, "Seam lifts"), (seam.Suspect.Condition, seam.Suspect.Kind, seam.Suspect.Name));
        Assert.DoesNotContain(OfferedSuspects.Of(With(open)), o => o.Suspect.Name == "Rear left corner");
        Assert.DoesNotContain(OfferedSuspects.Of(With(open with { State = FindingState.Done })), o => o.Origin == SuspectOrigin.Finding);
    }

    [Fact]
    public void Readings_along_a_door_say_in_what_state_its_seal_is()
    {
        WetShell shell = Shell(Stain(PanelKind.Roof, new(1500, 780)));
        shell = shell with
        {
            Panels =
            [
                .. shell.Panels.Select(p =>
                    p.Panel.Kind == PanelKind.RearLeftDoor ? p with { SealReadings = [new(new(400, 1945), 13, 12), new(new(5, 400), 8, 12)] } : p
                ),
            ],
        };
        IReadOnlyList<OfferedSuspect> offered = OfferedSuspects.Of(shell);
        Assert.Equal(Condition.Open, offered.Single(o => o.Suspect.Name == "Left rear door seal, top").Suspect.Condition);
        Assert.Equal(Condition.Sound, offered.Single(o => o.Suspect.Name == "Left rear door seal, right, 1 of 2").Suspect.Condition);
    }

    [Fact]
    public void Where_rain_is_near_the_likeliest_are_covered_with_what_does_not_spoil_the_mend()
    {
        LeakHunt hunt = Hunted(Shell(Stain(PanelKind.Roof, new(1500, 780))));
        Assert.NotEmpty(hunt.Covers);
        Assert.All(hunt.Covers, c => Assert.True(c.Minutes > 0 && c.Needs.Count > 0));
        Assert.Contains(hunt.Covers, c => c.Caution!.Contains("No silicone", StringComparison.Ordinal));
    }

    [Fact]
    public void A_moisture_reading_says_wet_or_dry_by_the_limits_and_nothing_between_them()
    {
        Observation Meter(double percent) => new(ObservationKind.Moisture, new(1500, 780), Day, null, percent, null, null, null, null, "", "");
        Assert.Equal([true, null, false], new[] { 24.0, 18, 12 }.Select(p => Meter(p).SaysWet));
        Assert.Single(Hunted(Looked(Shell(Stain(PanelKind.Left, new(2000, 200))), PanelKind.Roof, [Meter(18)])).Spots);
    }

    [Fact]
    public void A_shell_with_nothing_wet_says_what_to_write_down_and_an_unknown_mark_is_named()
    {
        WetShell dry = Shell();
        Assert.Equal(LeakState.NothingWet, Hunted(dry).Ranking.State);
        Assert.Equal("mark-unknown", LeakHunt.Of(dry, "Moon").Problem!.Code);
        Assert.Equal("shell-empty", LeakHunt.Of(dry with { Panels = [] }).Problem!.Code);
    }

    private static LeakHunt Hunted(WetShell shell) => LeakHunt.Of(shell).Value!.Result;

    private static Observation Dry(PanelBox zone) =>
        new(
            ObservationKind.WaterTest,
            new(2000, 200),
            Day.AddDays(1),
            false,
            null,
            null,
            null,
            new Spray(PanelKind.Left, zone, 10, false),
            null,
            "",
            ""
        );

    private static WetShell Looked(WetShell shell, PanelKind at, Observation[] seen) =>
        shell with
        {
            Panels = [.. shell.Panels.Select(p => p.Panel.Kind == at ? p with { Observations = seen } : p)],
        };

    private static (PanelKind On, Finding Finding) Stain(PanelKind on, PanelPoint at) =>
        (
            on,
            new Finding(
                "Stain",
                FindingKind.Stain,
                FindingShape.Point,
                [at],
                ViewedFrom.Inside,
                Severity.Moderate,
                new(null, null, null, null),
                FindingState.Open,
                "",
                Day,
                ""
            )
        );

    private static WetShell Shell((PanelKind On, Finding Finding) stain, Attitude? attitude = null)
    {
        WetShell shell = Shell();
        return new WetShell(
            [.. shell.Panels.Select(p => p.Panel.Kind == stain.On ? p with { Findings = Keyed.All("finding", [stain.Finding]) } : p)],
            attitude ?? NoseDown,
            []
        );
    }

    /// <summary>A van 4300 x 1700 x 1950 with a crowned roof, rails, four bows and pillars.</summary>
    private static WetShell Shell()
    {
        static Member Strip(string name, MemberKind kind, PanelPoint from, PanelPoint to) =>
            new(name, kind, Member.DefaultRole(kind), new Footprint(FootprintShape.Spine, [from, to], 60), 40);
        WetPanel Of(PanelKind kind, PanelBox box, double? arc, params Member[] members) =>
            new(
                char.ToLowerInvariant(kind.ToString()[0]) + kind.ToString()[1..],
                new Panel(kind, box.Corners, 0.8, SkinMaterial.MildSteel, null, arc),
                members,
                [],
                [],
                [],
                [],
                [],
                [],
                []
            );
        Member[] pillars =
        [
            .. new double[] { 40, 900, 2200, 3560, 4255 }.Select((s, i) => Strip($"Pillar {i + 1}", MemberKind.Pillar, new(s, 0), new(s, 1850))),
        ];
        return new WetShell(
            [
                Of(
                    PanelKind.Roof,
                    new PanelBox(0, 4300, -850, 850),
                    7000,
                    [
                        Strip("Left cant rail", MemberKind.CantRail, new(0, 820), new(4300, 820)),
                        Strip("Right cant rail", MemberKind.CantRail, new(0, -820), new(4300, -820)),
                        .. new double[] { 700, 1500, 2400, 3400 }.Select(
                            (s, i) => Strip($"Bow {i + 1}", MemberKind.RoofBow, new(s, -790), new(s, 790))
                        ),
                    ]
                ),
                Of(PanelKind.Left, new PanelBox(0, 4300, 0, 1950), null, pillars),
                Of(PanelKind.Right, new PanelBox(0, 4300, 0, 1950), null, pillars),
                Of(PanelKind.RearLeftDoor, new PanelBox(0, 850, 0, 1950), null),
                Of(PanelKind.RearRightDoor, new PanelBox(-850, 0, 0, 1950), null),
                Of(PanelKind.Floor, new PanelBox(0, 4300, -850, 850), null),
            ],
            NoseDown,
            []
        );
    }
}
