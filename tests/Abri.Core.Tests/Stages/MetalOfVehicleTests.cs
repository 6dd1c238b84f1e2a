using Abri.Core.Geometry;
using Abri.Core.Metal;
using Abri.Core.Record;
using Abri.Core.Sealing;
using Abri.Core.Shell;
using Abri.Core.Stages;
using Abri.Core.Tests.Procedures;
using Abri.Core.Water;
using Abri.Core.Water.Leaks;
using Abri.Core.Work;

namespace Abri.Core.Tests.Stages;

/// <summary>What a repair changes in the other stages.</summary>
public class MetalOfVehicleTests
{
    private static readonly DateTimeOffset Seen = new(2026, 5, 2, 9, 0, 0, TimeSpan.Zero);

    private static Finding Found(FindingKind kind, FindingState state = FindingState.Open) =>
        new(
            kind.ToString(),
            kind,
            FindingShape.Area,
            RepairProcedureTests.Some(RepairKind.Leave).Points,
            ViewedFrom.Inside,
            Severity.Severe,
            new FindingMeasures(60, 25, null, null),
            state,
            "",
            Seen,
            ""
        );

    [Fact]
    public void A_finding_waits_as_the_repair_that_mends_it_and_wax_comes_last()
    {
        Repair patch = RepairProcedureTests.Some(RepairKind.Patch) with { FindingIds = ["f0"] },
            trim = RepairProcedureTests.Some(RepairKind.Trim, FindingShape.Line);
        VehicleSnapshot van = Vans.Of([patch, trim], [Found(FindingKind.Perforation), Found(FindingKind.SurfaceRust)]);
        IReadOnlyList<NextJob> next = WholeShell.Of(van, Seen).Next;
        Assert.Equal(["r1", "r0", "f1", "r0"], next.Select(j => j.Job.Id));
        Assert.StartsWith("take off and put on again", next[0].What);
        Assert.StartsWith("cut out and patch", next[1].What);
        Assert.StartsWith("wax the cavity", next[^1].What);
        // Once it is begun the shell may stand open, and that comes before everything.
        Assert.Equal(
            "r0",
            WholeShell.Of(Vans.Of([patch with { State = RepairState.Doing }, trim], [Found(FindingKind.Perforation)]), Seen).Next[0].Job.Id
        );
        Assert.DoesNotContain(
            WholeShell.Of(Vans.Of([patch with { State = RepairState.Done, DoneOn = new DateOnly(2026, 6, 1) }], []), Seen).Next,
            j => j.Job.Kind == JobKind.Repair
        );
    }

    [Fact]
    public void Spots_without_a_repair_are_offered_one_and_repairs_tell_when_to_look_again()
    {
        Repair watched = RepairProcedureTests.Some(RepairKind.Treat) with
        {
            Spot = new RustSpot(RustGrade.Begun, false, 1, 0.95, 8, 0, false, false, true, true, []),
            State = RepairState.Done,
            DoneOn = new DateOnly(2026, 6, 1),
            FindingIds = ["f0"],
        };
        MetalOfVehicle metal = MetalOfVehicle.Of(
            Vans.Of([watched], [Found(FindingKind.SurfaceRust, FindingState.Done), Found(FindingKind.Pitting), Found(FindingKind.SoftWood)])
        );
        MetalSpot spot = Assert.Single(metal.Spots);
        Assert.Equal(("f1", RepairKind.Treat), (spot.FindingId, spot.Proposal.Kind));
        // A pocket rusts again in any case: three months.
        Assert.Equal(new DateOnly(2026, 9, 1), Assert.Single(metal.Repairs).LookAgainOn);
        Assert.Null(MetalOfVehicle.Of(Vans.Of([watched with { State = RepairState.Planned, DoneOn = null }], [])).Repairs[0].LookAgainOn);
    }

    [Theory]
    [InlineData(RepairKind.Patch, FindingShape.Area, JointKind.PatchEdge)]
    [InlineData(RepairKind.Plug, FindingShape.Point, JointKind.Penetration)]
    [InlineData(RepairKind.Gutter, FindingShape.Line, JointKind.Gutter)]
    [InlineData(RepairKind.Treat, FindingShape.Area, null)]
    public void A_repair_offers_its_joint_until_one_is_written_down(RepairKind kind, FindingShape shape, JointKind? joint)
    {
        Repair repair = RepairProcedureTests.Some(kind, shape);
        var of = new JointOf(JointOfKind.Repair, "r0");
        Joint? offered = VehicleJoints.Of(Vans.Of([repair], [])).Offered.Select(o => o.Joint).SingleOrDefault(j => j.Of == of);
        Assert.Equal(joint, offered?.Kind);
        if (offered is null)
            return;
        Assert.Null(JointCheck.Of(offered));
        Assert.DoesNotContain(VehicleJoints.Of(Vans.Of([repair], [], joints: [offered])).Offered, o => o.Joint.Of == of);
        if (kind == RepairKind.Patch)
        {
            // 150 by 115 with corners of 35: 530 - 8 x 35 + 2 pi 35.
            Assert.Equal(530 - 280 + (2 * Math.PI * 35), offered.LengthMm, 0.5);
        }
    }

    private static Observation Test(int day, bool wet, PanelBox zone) =>
        new(
            ObservationKind.WaterTest,
            new PanelPoint(500, 100),
            new DateTimeOffset(2026, 6, day, 9, 0, 0, TimeSpan.Zero),
            wet,
            null,
            null,
            null,
            new Spray(PanelKind.Left, zone, 5, true),
            null,
            "",
            ""
        );

    [Theory] // Mended on the first: what was sprayed that day may have been sprayed before, or on wet sealant; and all of it has to be wetted
    [InlineData(0, false, 300, Condition.Unknown)]
    [InlineData(1, false, 300, Condition.Unknown)]
    [InlineData(2, false, 300, Condition.Sound)]
    [InlineData(2, true, 300, Condition.Unknown)]
    [InlineData(2, false, 550, Condition.Unknown)]
    public void What_was_mended_is_sound_once_a_water_test_of_all_of_it_leaves_it_dry(int day, bool wet, double from, Condition condition)
    {
        Repair plug = RepairProcedureTests.Some(RepairKind.Plug, FindingShape.Point) with
        {
            Points = [new(500, 500), new(600, 500)],
            State = RepairState.Done,
            DoneOn = new DateOnly(2026, 6, 1),
        };
        Observation[] tests = day == 0 ? [] : [Test(day, wet, new PanelBox(from, 700, 300, 700))];
        Suspect Bolt(string name, double at) => new(name, SuspectKind.Screw, [new(at, 500)], Condition.Open, null, "");
        // Somebody had written the holes down as open before they were mended; their neighbours, a hand away and between them, were not.
        Suspect[] written = [Bolt("Bolt", 600), Bolt("Neighbour", 616), Bolt("Between", 550)];
        VehicleSnapshot van = Vans.Of([plug], [], tests) with
        {
            Water = new WaterRows(
                [.. written.Select((w, i) => new Stored<Suspect>($"s{i}", 1, "p", w))],
                [.. tests.Select((o, i) => new Stored<Observation>($"o{i}", 1, "p", o))],
                [],
                [],
                []
            ),
        };
        IReadOnlyList<OfferedSuspect> offered = OfferedSuspects.Of(WetVehicle.Shell(van));
        Assert.Equal(condition, offered.Single(s => s.Suspect.Name == "Bolt").Suspect.Condition);
        Assert.Contains("fixed on 2026-06-01", offered.Single(s => s.Suspect.Name == "Bolt").Why);
        Assert.All(offered.Where(s => s.Suspect.Name is "Neighbour" or "Between"), s => Assert.Equal(Condition.Open, s.Suspect.Condition));
        Assert.Equal(
            Condition.Open,
            OfferedSuspects.Of(WetVehicle.Shell(van with { Repairs = [] })).Single(s => s.Suspect.Name == "Bolt").Suspect.Condition
        );
    }

    [Fact]
    public void A_finding_that_a_repair_seals_offers_no_joint_of_its_own()
    {
        Finding hole = Found(FindingKind.OpenHole);
        Repair plug = RepairProcedureTests.Some(RepairKind.Plug, FindingShape.Point) with { FindingIds = ["f0"] };
        JointOfKind[] Of(params Repair[] repairs) =>
            [
                .. VehicleJoints
                    .Of(Vans.Of(repairs, [hole]))
                    .Offered.Select(o => o.Joint.Of!.Kind)
                    .Where(k => k is JointOfKind.Finding or JointOfKind.Repair),
            ];
        Assert.Equal([JointOfKind.Finding], Of());
        Assert.Equal([JointOfKind.Repair], Of(plug));
        // What is only treated seals nothing.
        Assert.Equal([JointOfKind.Finding], Of(RepairProcedureTests.Some(RepairKind.Treat) with { FindingIds = ["f0"] }));
    }

    private static readonly Member Pillar = new(
        "Pillar",
        MemberKind.Pillar,
        MemberRole.Structural,
        new Footprint(FootprintShape.Spine, [new(1000, 0), new(1000, 1500)], 60),
        60
    );

    [Fact]
    public void The_list_knows_the_pillar_that_is_drawn()
    {
        Repair treat = RepairProcedureTests.Some(RepairKind.Treat);
        VehicleSnapshot van = Vans.Of([treat], []);
        Assert.NotEqual(RustMethod.ProtectOnly, MetalOfVehicle.Of(van).Repairs[0].Method);
        Assert.Equal(RustMethod.ProtectOnly, MetalOfVehicle.Of(Vans.Of([treat], [], members: [Pillar])).Repairs[0].Method);
    }

    [Fact]
    public void What_is_for_a_licensed_workshop_is_nowhere_a_patch()
    {
        Repair patch = RepairProcedureTests.Some(RepairKind.Patch);
        VehicleSnapshot free = Vans.Of([patch], []),
            held = Vans.Of([patch], [], members: [Pillar]);
        Assert.Contains(VehicleJoints.Of(free).Offered, j => j.Joint.Kind == JointKind.PatchEdge);
        Assert.DoesNotContain(VehicleJoints.Of(held).Offered, j => j.Joint.Kind == JointKind.PatchEdge);
        Assert.Empty(WetVehicle.Coverings(held, held.Panels[0]));
        Assert.StartsWith("clean and protect", Assert.Single(WholeShell.NextJobs(held)).What);
        Assert.Equal(patch.Damage, MetalOfVehicle.Of(held).Repairs[0].Outline);
        Assert.NotEqual(patch.Damage, MetalOfVehicle.Of(free).Repairs[0].Outline);
    }

    [Fact]
    public void A_patch_is_a_covering_whose_lap_water_looks_at()
    {
        Repair over = RepairProcedureTests.Some(RepairKind.Patch);
        Covering Cover(Repair repair) => Assert.Single(WetVehicle.Coverings(Vans.Of([repair], []), Vans.Of([repair], []).Panels[0]));
        Assert.Equal((CoveringKind.Patch, Lap.LowerOverUpperSealed, true), (Cover(over).Kind, Cover(over).Lap, Cover(over).Planned));
        Assert.Equal(Lap.UpperOverLower, Cover(over with { Patch = over.Patch! with { UpperEdge = EdgeLie.UnderTheSkin } }).Lap);
        PatchSide up = new(Side.Top, null, null, [new Fold(FoldTo.Outside, 90, 1, 20)]);
        Assert.Equal(Lap.UpperOverLower, Cover(over with { Patch = over.Patch! with { Sides = [up] } }).Lap);
        Assert.False(Cover(over with { State = RepairState.Done, DoneOn = new DateOnly(2026, 6, 1) }).Planned);
    }

    [Fact]
    public void Blanks_that_repairs_still_need_are_laid_out_by_metal_and_thickness()
    {
        Repair patch = RepairProcedureTests.Some(RepairKind.Patch) with { Name = "Patch" },
            thick = patch with { Name = "Thick", Patch = patch.Patch! with { SheetMm = 1.2, Join = PatchJoin.ButtOnStrip } };
        StockSheet sheet = new("Sheet", SheetMetal.MildSteel, 1, new PanelBox(0, 500, 0, 1000).Corners, "");
        VehicleSnapshot van = Vans.Of(
            [patch, thick, patch with { BlankCut = true }, patch with { State = RepairState.Done, DoneOn = new DateOnly(2026, 6, 1) }],
            [],
            sheets: [sheet, sheet with { Name = "Zinc", Metal = SheetMetal.GalvanisedSteel }]
        );
        SheetsOfVehicle sheets = SheetsOfVehicle.Of(van, 5);
        Assert.Equal([1, 1.2], sheets.Groups.Select(g => Math.Round(g.ThickMm, 6)));
        SheetGroup one = sheets.Groups[0];
        Assert.Equal(("r0", "Patch"), (Assert.Single(one.Pieces).RepairId, one.Pieces[0].Name));
        Assert.Equal((150, 115), (Math.Round(one.Pieces[0].WidthMm, 6), Math.Round(one.Pieces[0].HeightMm, 6)));
        Assert.Equal(["s0"], one.SheetIds);
        Assert.True(one.Plan.Result.Proven);
        // A butt joint needs its backing strip too, and no sheet is that thick.
        Assert.Equal(["Thick", "Thick: backing strip"], sheets.Groups[1].Pieces.Select(p => p.Name));
        Assert.Equal([0, 1], sheets.Groups[1].Plan.Result.Left);
        StockSheet offcut = sheets.OffcutsOf(one).MaxBy(o => Outlines.SignedAreaMm2(o.Outline))!;
        Assert.Equal(("Offcut of Sheet", SheetMetal.MildSteel, 1), (offcut.Name, offcut.Metal, offcut.ThickMm));
        Assert.Equal((0, 0), (Math.Round(PanelBox.Of(offcut.Outline).SMinMm, 6), Math.Round(PanelBox.Of(offcut.Outline).TMinMm, 6)));
        Assert.InRange(Math.Abs(Outlines.SignedAreaMm2(offcut.Outline)), 500 * 840, (500 * 1000) - (150 * 115));
        // What is for a licensed workshop needs no sheet here.
        Assert.Empty(SheetsOfVehicle.Of(Vans.Of([patch], [], members: [Pillar]), 5).Groups);
    }

    [Fact]
    public void A_blank_that_the_bench_blocks_is_not_laid_out_but_named()
    {
        Repair narrow = RepairProcedureTests.Some(RepairKind.Patch) with { Name = "Narrow", Patch = PatchDesign.Usual(1) with { LapMm = 8 } };
        SheetsOfVehicle sheets = SheetsOfVehicle.Of(Vans.Of([narrow, RepairProcedureTests.Some(RepairKind.Patch)], []), 5);
        Assert.Equal("A repair", Assert.Single(Assert.Single(sheets.Groups).Pieces).Name);
        NotReady told = Assert.Single(sheets.NotReady);
        Assert.Equal(("r0", "Narrow", "Lap: Take at least 12.8 mm."), (told.RepairId, told.Name, told.Why));
    }

    [Fact]
    public void More_blanks_than_are_laid_out_at_once_wait()
    {
        Repair patch = RepairProcedureTests.Some(RepairKind.Patch);
        SheetGroup group = Assert.Single(SheetsOfVehicle.Of(Vans.Of([.. Enumerable.Repeat(patch, 63)], []), 5).Groups);
        Assert.Equal((60, 3), (group.Pieces.Count, group.Later));
    }

    [Theory] // Begun, or out with nothing over its hole yet
    [InlineData(RepairKind.Patch, RepairState.Planned, false)]
    [InlineData(RepairKind.Patch, RepairState.Doing, true)]
    [InlineData(RepairKind.Patch, RepairState.Done, false)]
    [InlineData(RepairKind.Plug, RepairState.Doing, true)]
    [InlineData(RepairKind.Treat, RepairState.Doing, false)]
    [InlineData(RepairKind.WindowOut, RepairState.Planned, false)]
    [InlineData(RepairKind.WindowOut, RepairState.Doing, true)]
    [InlineData(RepairKind.WindowOut, RepairState.Done, true)]
    public void The_shell_stands_open_from_when_a_repair_is_begun(RepairKind kind, RepairState state, bool open)
    {
        Repair repair = RepairProcedureTests.Some(kind) with { State = state, DoneOn = state == RepairState.Done ? new DateOnly(2026, 6, 1) : null };
        Assert.Equal(open, OpenShell.Of(Vans.Of([repair], [])).Any(o => o.Job == new Job(JobKind.Repair, "r0")));
        // On a pillar nothing is opened.
        if (kind != RepairKind.WindowOut)
            Assert.Empty(OpenShell.Of(Vans.Of([repair], [], members: [Pillar])));
    }

    [Fact]
    public void The_hole_of_an_old_window_is_closed_by_a_patch_that_is_done_over_it()
    {
        Repair window = RepairProcedureTests.Some(RepairKind.WindowOut) with { State = RepairState.Done, DoneOn = new DateOnly(2026, 6, 1) },
            patch = RepairProcedureTests.Some(RepairKind.Patch);
        Assert.Single(OpenShell.Of(Vans.Of([window, patch], [])));
        Assert.Empty(OpenShell.Of(Vans.Of([window, patch with { State = RepairState.Done, DoneOn = new DateOnly(2026, 6, 2) }], [])));
        Repair elsewhere = patch with { Points = [.. patch.Points.Select(p => new PanelPoint(p.SMm - 600, p.TMm))] };
        Assert.Single(OpenShell.Of(Vans.Of([window, elsewhere with { State = RepairState.Done, DoneOn = new DateOnly(2026, 6, 2) }], [])));
    }
}
