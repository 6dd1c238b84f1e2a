using Abri.Core.Geometry;
using Abri.Core.Metal;
using Abri.Core.Procedures;
using Abri.Core.Shell;
using Abri.Core.Work;

namespace Abri.Core.Tests.Procedures;

/// <summary>Repairs of every kind, from the first wash to the test with water.</summary>
public class RepairProcedureTests
{
    private static readonly Panel Wall = new(PanelKind.Left, new PanelBox(0, 2000, 0, 1500).Corners, 1, SkinMaterial.MildSteel);
    private static readonly PanelPoint[] Area = [new(980, 700), new(1040, 700), new(1040, 725), new(980, 725)];
    private static readonly RustSpot Sound = new(RustGrade.Begun, false, 1, 0.95, 8, 0, false, false, true, false, []);

    internal static Repair Some(RepairKind kind, FindingShape shape = FindingShape.Area) =>
        new(
            "A repair",
            kind,
            shape,
            shape switch
            {
                FindingShape.Area => Area,
                FindingShape.Line => [new(200, 1400), new(1400, 1400)],
                _ => [new(500, 500)],
            },
            null,
            null,
            kind is RepairKind.Treat or RepairKind.Patch or RepairKind.Plate ? Sound : null,
            kind switch
            {
                RepairKind.Patch => PatchDesign.Usual(1) with { Metal = SheetMetal.MildSteel },
                RepairKind.Plate => PatchDesign.Usual(1) with { Shape = HoleShape.NoHole, CutBackMm = 0 },
                _ => null,
            },
            kind == RepairKind.Plug ? new HoleRow(6, 1, SheetMetal.MildSteel, true, false, null) : null,
            kind == RepairKind.Gutter ? new SeamRun(12, 6, 0) : null,
            kind == RepairKind.Trim ? new TrimRun(TrimHeld.Clips, 150, 0) : null,
            RepairState.Planned,
            null,
            [],
            "",
            kind == RepairKind.WindowOut ? new OldWindow(WindowHeld.Gasket, 4, false, false, AfterWindow.NewWindow, false, []) : null,
            kind == RepairKind.Door ? new DoorFit(14, false, false, []) : null
        );

    private static Worked<RepairPlan> Planned(Repair repair) =>
        RepairProcedure.Of(new RepairWork(repair, Wall, [], null, [], [], LengthFormat.Millimetres)).Value!;

    private static WorkStep Step(Worked<RepairPlan> plan, string key) => plan.Result.Procedure.Steps.Single(s => s.Key == key);

    [Fact]
    public void A_patch_takes_its_figures_from_its_own_design()
    {
        Worked<RepairPlan> plan = Planned(Some(RepairKind.Patch));
        Assert.Contains("100 mm by 65 mm", Step(plan, "rust-cut").Do);
        Assert.Contains("150 mm by 115 mm", Step(plan, "rust-patch").Do);
        Assert.Equal(plan.Result.Patch!.Rivets!.Buy, Step(plan, "rust-patch").Consumables[0].Amount);
        Assert.Equal(ShellChange.Opens, Step(plan, "rust-cut").Shell);
        Assert.Equal(ShellChange.Closes, Step(plan, "rust-patch").Shell);
        Assert.Equal("rust-wax", plan.Result.Procedure.Steps[^1].Key);
        Assert.DoesNotContain(plan.Result.Procedure.Steps, s => s.Key == "rust-fold");
        Repair folded = Some(RepairKind.Patch) with
        {
            Patch = PatchDesign.Usual(1) with { Sides = [new PatchSide(Side.Top, null, null, [new Fold(FoldTo.Outside, 90, 1, 20)])] },
        };
        Assert.Contains("90 degrees outwards on a radius of 1 mm", Step(Planned(folded), "rust-fold").Do);
    }

    [Fact]
    public void A_weld_has_its_own_cautions_and_no_adhesive()
    {
        Repair welded = Some(RepairKind.Patch) with
        {
            Patch = PatchDesign.Usual(1) with { Join = PatchJoin.WeldedLap, Metal = SheetMetal.MildSteel },
        };
        WorkStep set = Step(Planned(welded), "rust-patch");
        Assert.Contains(Cautions.Welding, set.Cautions);
        Assert.Empty(set.Consumables);
        Assert.Contains("spots", set.Do);
    }

    [Fact]
    public void Structure_is_protected_whatever_was_chosen()
    {
        Repair repair = Some(RepairKind.Patch) with { Spot = Sound with { Structure = true } };
        Worked<RepairPlan> plan = Planned(repair);
        Assert.Equal(RustMethod.ProtectOnly, plan.Result.Advice!.Method);
        Assert.Equal("rust-protect", plan.Result.Procedure.Steps[^1].Key);
        Assert.DoesNotContain(plan.Result.Procedure.Steps, s => s.Key == "rust-cut");
    }

    [Fact]
    public void What_should_be_cut_out_and_is_treated_only_is_watched_and_said()
    {
        Worked<RepairPlan> plan = Planned(Some(RepairKind.Treat) with { Spot = Sound with { LeftMm = 0.5 } });
        Assert.Contains(plan.Warnings, w => w.Contains("The rules say", StringComparison.Ordinal));
        Assert.Equal(6, plan.Result.LookAgainMonths);
        Assert.DoesNotContain(Planned(Some(RepairKind.Treat)).Warnings, w => w.Contains("The rules say", StringComparison.Ordinal));
    }

    private static Member Upright(MemberKind kind, double at, double wide = 40) =>
        new("M", kind, Member.DefaultRole(kind), new Footprint(FootprintShape.Spine, [new(at, 0), new(at, 1500)], wide), 40);

    private static Worked<RepairPlan> Beside(Repair repair, params Member[] members) =>
        RepairProcedure.Of(new RepairWork(repair, Wall, members, null, [], [], LengthFormat.Millimetres)).Value!;

    [Theory] // Damage reaches to 1040; what is drawn counts though nobody ticked it: pillars under it, belts and fuel within 300 mm
    [InlineData(MemberKind.Pillar, 1059, true)]
    [InlineData(MemberKind.Pillar, 1061, false)]
    [InlineData(MemberKind.Anchorage, 1359, true)]
    [InlineData(MemberKind.Anchorage, 1361, false)]
    [InlineData(MemberKind.SideRib, 1010, false)]
    public void What_is_drawn_round_the_damage_decides_as_if_it_were_said(MemberKind kind, double at, bool licensed)
    {
        RepairPlan plan = Beside(Some(RepairKind.Patch), Upright(kind, at)).Result;
        Assert.Equal(licensed, plan.Advice!.Method == RustMethod.ProtectOnly);
        // What is for a licensed workshop is not drawn, and nothing is cut.
        Assert.Equal(licensed, plan.Patch is null);
        Assert.Equal(licensed, plan.Procedure.Steps.All(s => s.Key != "rust-cut"));
        Assert.Equal(licensed, Beside(Some(RepairKind.Treat), Upright(kind, at)).Result.Advice!.Method == RustMethod.ProtectOnly);
    }

    [Theory]
    [InlineData(1359, true)]
    [InlineData(1361, false)]
    public void Near_a_filler_neck_nothing_sparks(double at, bool near)
    {
        WorkStep strip = Step(Beside(Some(RepairKind.Patch), Upright(MemberKind.FillerNeck, at)), "rust-strip");
        Assert.Equal(near, strip.Cautions.Contains(Cautions.FuelNear));
        Assert.Equal(near, !strip.Tools.Contains("Angle grinder"));
    }

    [Theory]
    [InlineData(519, true)]
    [InlineData(521, false)]
    public void A_hole_in_a_pillar_is_left_to_a_workshop(double at, bool licensed)
    {
        RepairPlan plan = Beside(Some(RepairKind.Plug, FindingShape.Point), Upright(MemberKind.Pillar, at)).Result;
        Assert.Equal(licensed, plan.Holes is null);
        Assert.Equal(licensed, plan.IsForWorkshop);
        Assert.Equal(licensed, plan.Procedure.Steps.All(s => s.Key == "rust-protect"));
    }

    [Theory]
    [InlineData(RepairKind.Treat, false, false)]
    [InlineData(RepairKind.Patch, true, true)]
    [InlineData(RepairKind.Plate, false, true)]
    [InlineData(RepairKind.Plug, true, true)]
    [InlineData(RepairKind.WindowOut, true, false)]
    [InlineData(RepairKind.Leave, false, false)]
    public void A_plan_says_whether_it_opens_the_shell_and_whether_a_water_test_tells(RepairKind kind, bool opens, bool seals)
    {
        RepairPlan plan = Planned(Some(kind)).Result;
        Assert.Equal((opens, seals), (plan.Opens, plan.Seals));
    }

    [Fact]
    public void What_the_bench_blocks_comes_before_everything()
    {
        Repair narrow = Some(RepairKind.Patch) with { Patch = PatchDesign.Usual(1) with { LapMm = 8 } };
        Worked<RepairPlan> plan = Planned(narrow);
        Assert.Equal("repair-mend", plan.Result.Procedure.Steps[0].Key);
        Assert.Contains("Lap: Take at least 12.8 mm.", plan.Result.Procedure.Steps[0].Do);
        Assert.Single(plan.Result.Procedure.Steps[0].Holds);
        Assert.Contains(plan.Warnings, w => w.StartsWith("Not as it is drawn", StringComparison.Ordinal));
        Assert.Equal("rust-wash", Planned(Some(RepairKind.Patch)).Result.Procedure.Steps[0].Key);
    }

    [Theory] // A plate hides what should be cut out, or what nobody measured
    [InlineData(0.5, true)]
    [InlineData(0.8, false)]
    [InlineData(null, true)]
    public void A_plate_over_too_little_is_said(double? left, bool said)
    {
        RustSpot pits = Sound with { Grade = RustGrade.ManyPits, LeftMm = left, Carries = true };
        Assert.Equal(
            said,
            Planned(Some(RepairKind.Plate) with { Spot = pits }).Warnings.Any(w => w.Contains("The rules say", StringComparison.Ordinal))
        );
    }

    [Fact]
    public void A_repair_done_in_another_way_keeps_what_was_typed()
    {
        Repair begun = RepairProposal.At(Wall, new PanelPoint(500, 600));
        Assert.Equal(new PanelBox(470, 530, 570, 630), PanelBox.Of(begun.Points));
        // Nothing is taken for sound.
        Assert.Null(begun.Spot!.LeftMm);
        Assert.Null(RepairCheck.Of(Wall, begun));
        Repair butt = begun with { Patch = begun.Patch! with { Join = PatchJoin.ButtOnStrip, LapMm = 31 } };
        foreach (FindingShape shape in Enum.GetValues<FindingShape>())
        {
            foreach (RepairKind kind in RepairProposal.Kinds(shape, false))
            {
                Repair other = RepairProposal.As(butt with { Shape = shape, Points = Some(kind, shape).Points }, kind, Wall);
                Assert.Null(RepairCheck.Of(Wall, other));
                Assert.Null(other.Patch!.Contradiction());
                Assert.Equal(31, other.Patch.LapMm);
            }
        }
        Assert.DoesNotContain(RepairKind.Gutter, RepairProposal.Kinds(FindingShape.Area, true));
        Assert.Equal(
            HoleShape.SquareRectangle,
            RepairProposal.As(RepairProposal.As(begun, RepairKind.Plate, Wall), RepairKind.Patch, Wall).Patch!.Shape
        );
        Assert.Equal(SheetMetal.Aluminium, RepairProposal.At(Wall with { Material = SkinMaterial.Aluminium }, new PanelPoint(500, 600)).Patch!.Metal);
    }

    [Fact]
    public void A_plate_cuts_nothing()
    {
        Worked<RepairPlan> plan = Planned(Some(RepairKind.Plate));
        Assert.Empty(plan.Result.Patch!.Holes);
        Assert.All(plan.Result.Procedure.Steps, s => Assert.Equal(ShellChange.None, s.Shell));
    }

    [Fact] // By hand: 1200 x 12 x 6 = 86.4 ml and a fifth: 103.7; two spot welds 2.4 more
    public void A_gutter_is_sealed_in_one_go()
    {
        Worked<RepairPlan> plan = Planned(Some(RepairKind.Gutter, FindingShape.Line));
        Assert.Equal(103.68, Step(plan, "seam-lay").Consumables[0].Amount, 6);
        Assert.Equal(
            106.08,
            Step(Planned(Some(RepairKind.Gutter, FindingShape.Line) with { Seam = new SeamRun(12, 6, 2) }), "seam-lay").Consumables[0].Amount,
            6
        );
        Assert.Contains("1 cartridge.", plan.Result.Verdict);
        Assert.Equal("seam-pour", plan.Result.Procedure.Steps[^1].Key);
    }

    [Theory] // 1200 at 150: 8 distances, 9 clips, a fifth more is 11; at 149: 9 distances
    [InlineData(150, 9, 11)]
    [InlineData(149, 10, 12)]
    public void A_trim_has_one_clip_in_five_to_spare(double pitch, int count, int buy)
    {
        Worked<RepairPlan> plan = Planned(Some(RepairKind.Trim, FindingShape.Line) with { Trim = new TrimRun(TrimHeld.Clips, pitch, 0) });
        Assert.Contains($"by {count} clips; have {buy}", plan.Result.Verdict);
        Assert.Equal(buy, Step(plan, "trim-on").Consumables.Single(c => c.Material == Materials.TrimClip).Amount);
        Assert.DoesNotContain(Step(plan, "trim-on").Consumables, c => c.Material == Materials.Bedding);
        // 1200 x 25 x 2 and a fifth is 72 ml.
        Worked<RepairPlan> screwed = Planned(Some(RepairKind.Trim, FindingShape.Line) with { Trim = new TrimRun(TrimHeld.Screws, pitch, 25) });
        Assert.Equal(72, Step(screwed, "trim-on").Consumables.Single(c => c.Material == Materials.Bedding).Amount, 9);
        Assert.Equal(buy, Step(screwed, "trim-on").Consumables.Single(c => c.Material == Materials.Screw).Amount);
    }

    [Theory] // Widest rivet 6.4 in a hole of 6.5; putty and weld to 10
    [InlineData(6.5, true, false, HoleWay.SealedRivet)]
    [InlineData(6.6, true, false, HoleWay.Putty)]
    [InlineData(10, true, false, HoleWay.Putty)]
    [InlineData(10.1, true, false, HoleWay.RivetedDisc)]
    [InlineData(8, false, false, HoleWay.RivetedDisc)]
    [InlineData(8, true, true, HoleWay.WeldOverBacking)]
    public void Holes_are_closed_by_diameter_and_access(double diameter, bool bothSides, bool carries, HoleWay way)
    {
        HoleRowPlan plan = HoleRows
            .Of(new HoleRow(diameter, 1, SheetMetal.MildSteel, bothSides, carries, null), 2, LengthFormat.Millimetres)
            .Value!.Result;
        Assert.Equal(way, plan.Way);
        Assert.Equal(4, plan.Ways.Count);
    }

    [Fact]
    public void A_way_that_does_not_do_is_refused_with_another()
    {
        HoleRow row = new(6, 1, SheetMetal.Aluminium, true, false, HoleWay.WeldOverBacking);
        HoleRowPlan plan = HoleRows.Of(row, 2, LengthFormat.Millimetres).Value!.Result;
        Assert.Null(plan.Way);
        Assert.Contains("sealed rivets", plan.Verdict);
        Assert.Empty(Planned(Some(RepairKind.Plug) with { Holes = row }).Result.Procedure.Steps);
        Assert.False(
            HoleRows.Of(new HoleRow(20, 4, SheetMetal.MildSteel, true, false, null), 1, LengthFormat.Millimetres).IsOk(out _, out Problem? thick)
        );
        Assert.Equal("/row/sheetMm", thick!.Pointer);
    }

    [Fact] // The next size up is the rescue: 4.0 fits 4.1, 4.2 wants 4.8
    public void A_hole_that_is_a_little_wide_takes_the_next_rivet()
    {
        RivetSize? At(double hole) =>
            HoleRows
                .Of(new HoleRow(hole, 1, SheetMetal.MildSteel, true, false, HoleWay.SealedRivet), 1, LengthFormat.Millimetres)
                .Value!.Result.Rivet;
        Assert.Equal(4.0, At(4.1)!.DiameterMm);
        Assert.Equal(4.8, At(4.2)!.DiameterMm);
    }

    [Theory]
    [InlineData(HoleWay.Putty, "putty")]
    [InlineData(HoleWay.WeldOverBacking, null)]
    [InlineData(HoleWay.RivetedDisc, "panel-adhesive")]
    [InlineData(HoleWay.SealedRivet, "seam-sealer")]
    public void Each_way_uses_up_its_own(HoleWay way, string? material)
    {
        Worked<RepairPlan> plan = Planned(Some(RepairKind.Plug) with { Holes = new HoleRow(6, 1, SheetMetal.MildSteel, true, false, way) });
        WorkStep close = Step(plan, "plug-close");
        Assert.Equal(ShellChange.Closes, close.Shell);
        Assert.Equal(material, close.Consumables.Select(c => c.Material.Id).FirstOrDefault(id => id == material));
        // Nothing is welded through primer.
        string[] keys = [.. plan.Result.Procedure.Steps.Select(s => s.Key)];
        Assert.Equal(way == HoleWay.WeldOverBacking, Array.IndexOf(keys, "plug-prime") > Array.IndexOf(keys, "plug-close"));
    }

    [Fact]
    public void What_is_left_is_looked_at_again() => Assert.Equal(6, Planned(Some(RepairKind.Leave)).Result.LookAgainMonths);

    [Theory]
    [InlineData("repair-points")]
    [InlineData("outline-crosses-itself")]
    [InlineData("repair-off-panel")]
    [InlineData("repair-incomplete")]
    [InlineData("repair-not-a-line")]
    [InlineData("plate-with-hole")]
    [InlineData("patch-without-hole")]
    [InlineData("finding-twice")]
    [InlineData("repair-no-door")]
    [InlineData("repair-not-an-area")]
    [InlineData("repair-undated")]
    public void What_contradicts_itself_is_said(string code)
    {
        Repair patch = Some(RepairKind.Patch);
        Repair repair = code switch
        {
            "repair-points" => patch with { Points = [new(1, 1), new(2, 2)] },
            "outline-crosses-itself" => patch with { Points = [Area[0], Area[2], Area[1], Area[3]] },
            "repair-off-panel" => patch with { Points = [new(5000, 1), new(5010, 1), new(5000, 9)] },
            "repair-incomplete" => patch with { Patch = null },
            "repair-not-a-line" => Some(RepairKind.Gutter),
            "plate-with-hole" => patch with { Kind = RepairKind.Plate },
            "patch-without-hole" => Some(RepairKind.Plate) with { Kind = RepairKind.Patch },
            "repair-no-door" => Some(RepairKind.Door),
            "repair-not-an-area" => Some(RepairKind.WindowOut, FindingShape.Line),
            "finding-twice" => patch with { FindingIds = ["a", "a"] },
            _ => patch with { State = RepairState.Done },
        };
        Assert.Equal(code, RepairCheck.Of(Wall, repair)!.Code);
        Assert.False(RepairProcedure.Of(new RepairWork(repair, Wall, [], null, [], [], LengthFormat.Millimetres)).IsOk(out _, out _));
        Panel door = Wall with { Kind = PanelKind.SlidingDoor };
        Assert.All(Enum.GetValues<RepairKind>(), kind =>
            Assert.Null(RepairCheck.Of(door, Some(kind, kind is RepairKind.Gutter or RepairKind.Trim ? FindingShape.Line : FindingShape.Area)))
        );
    }

    [Theory]
    [InlineData(FindingKind.SurfaceRust, FindingShape.Area, RepairKind.Treat)]
    [InlineData(FindingKind.Scale, FindingShape.Area, RepairKind.Treat)]
    [InlineData(FindingKind.Pitting, FindingShape.Area, RepairKind.Treat)]
    [InlineData(FindingKind.Perforation, FindingShape.Area, RepairKind.Patch)]
    [InlineData(FindingKind.OpenHole, FindingShape.Point, RepairKind.Plug)]
    [InlineData(FindingKind.OpenSeam, FindingShape.Line, RepairKind.Gutter)]
    [InlineData(FindingKind.LooseClip, FindingShape.Line, RepairKind.Trim)]
    [InlineData(FindingKind.OpenSeam, FindingShape.Point, null)]
    [InlineData(FindingKind.SoftWood, FindingShape.Area, null)]
    public void A_finding_offers_a_repair_that_can_be_worked_out(FindingKind kind, FindingShape shape, RepairKind? repair)
    {
        var finding = new Finding(
            "Found",
            kind,
            shape,
            Some(RepairKind.Leave, shape).Points,
            ViewedFrom.Outside,
            Severity.Moderate,
            new FindingMeasures(30, 20, 0.3, null),
            FindingState.Open,
            "",
            DateTimeOffset.UnixEpoch,
            ""
        );
        Repair? offered = RepairProposal.Of("f", finding, Wall);
        Assert.Equal(repair, offered?.Kind);
        Assert.Null(RepairProposal.Of("f", finding, Wall with { Material = SkinMaterial.PlywoodSkin }));
        if (offered is null)
            return;
        Assert.Equal(["f"], offered.FindingIds);
        Assert.NotEmpty(Planned(offered).Result.Procedure.Steps);
        // What nobody measured is not taken for sound: a pit takes off what it is deep, a hole leaves its rim open.
        if (repair == RepairKind.Treat)
            Assert.Equal(0.7, offered.Spot!.LeftMm!.Value, 9);
        if (repair == RepairKind.Patch)
            Assert.Null(offered.Spot!.LeftMm);
    }
}
