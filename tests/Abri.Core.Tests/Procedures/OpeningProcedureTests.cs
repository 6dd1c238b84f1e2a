using Abri.Core.Geometry;
using Abri.Core.Openings;
using Abri.Core.Procedures;
using Abri.Core.Sealing;
using Abri.Core.Shell;
using Abri.Core.Work;
using CsCheck;

namespace Abri.Core.Tests.Procedures;

public class OpeningProcedureTests
{
    private static readonly Schools KeepRibs = new(RibInTheWay.Keep, CutSize.WasteSide),
        CutRibs = KeepRibs with { RibInTheWay = RibInTheWay.CutSecondary };
    private static readonly PanelPoint Middle = new(892.5, 0);
    private static readonly Halves Halves = new(60, 8, 8, [new ScrewForWall(35, 25, 60)], new RoundedRectangle(440, 440, 20));

    public static TheoryData<FittingKind> Kinds => [.. Enum.GetValues<FittingKind>()];

    [Theory, MemberData(nameof(Kinds))]
    public void Every_kind_opens_the_shell_once_closes_it_once_and_is_tested_before_trim_hides_it(FittingKind kind)
    {
        Procedure p = Of(Work(kind));
        Assert.Equal(Enumerable.Range(1, p.Steps.Count), p.Steps.Select(s => s.Number));
        WorkStep opens = Assert.Single(p.Steps, s => s.Shell == ShellChange.Opens),
            closes = Assert.Single(p.Steps, s => s.Shell == ShellChange.Closes);
        Assert.True(opens.Number < closes.Number);
        Assert.Equal(["water-test", "inner-trim"], p.Steps.TakeLast(2).Select(s => s.Key));
        Assert.All(p.Steps, s => Assert.True(s.Minutes.Quick <= s.Minutes.Likely && s.Minutes.Likely <= s.Minutes.Slow && s.Do.Length > 10));
        // While the shell is open nothing may be done in the rain.
        Assert.All(p.Steps.Where(s => s.Number >= opens.Number && s.Number <= closes.Number && s.Place is WorkPlace.Roof or WorkPlace.Outside), s =>
            Assert.True(s.Weather.Dry, s.Title)
        );
        Assert.NotEmpty(opens.Cautions);
    }

    [Fact] // Worked by hand: 1.5657 m of cut at 50 mm a minute are 31 minutes; open from the cut to the last screw
    public void The_shell_stands_open_from_the_cut_to_the_step_that_closes_it()
    {
        Procedure p = Of(Work(FittingKind.RoofVent));
        int from = p.Steps.ToList().FindIndex(s => s.Shell == ShellChange.Opens),
            to = p.Steps.ToList().FindIndex(s => s.Shell == ShellChange.Closes);
        Assert.Equal(31, p.Steps[from].Minutes.Likely);
        WorkStep[] open = [.. p.Steps.Skip(from).Take(to - from + 1)];
        Assert.Equal(open.Sum(s => s.Minutes.Likely) + open.SkipLast(1).Sum(s => 60 * s.WaitHours), p.OpenMinutes.Likely, 6);
        Assert.Equal(p.Steps.Sum(s => s.Minutes.Slow), p.Work.Slow, 6);
    }

    [Fact]
    public void What_can_be_made_at_the_bench_is_made_before_the_shell_is_opened()
    {
        Procedure p = Of(Work(FittingKind.RoofSkylight));
        int opens = p.Steps.Single(s => s.Shell == ShellChange.Opens).Number;
        Assert.All(p.Steps.Where(s => s.Place == WorkPlace.Bench), s => Assert.True(s.Number < opens));
        Assert.Contains(p.Steps, s => s.Title == "Trim the lugs" && s.Holds.Any(h => h.Wanted == 8));
    }

    [Fact]
    public void A_cut_bow_gets_its_headers_before_it_is_cut_and_deep_valleys_an_adapter_plate()
    {
        OpeningWork work = Work(FittingKind.RoofVent);
        Procedure over = Of(work with { Centre = new PanelPoint(1195, 0), Schools = CutRibs });
        Assert.True(
            over.Steps.ToList().FindIndex(s => s.Title.StartsWith("Headers", StringComparison.Ordinal))
                < over.Steps.ToList().FindIndex(s => s.Shell == ShellChange.Opens)
        );
        Procedure deep = Of(work with { Site = work.Site with { Members = [.. work.Site.Members, Roofs.Swage(0, 60, 25)] } });
        Assert.Contains(deep.Steps, s => s.Do.Contains("adapter plate"));
        // The plate takes up the valleys: thin tape below it and below the flange.
        Consumable tape = Assert.Single(deep.Consumables, c => c.Material.Name.Contains("Butyl"));
        Assert.Equal(
            ("Butyl tape 40 x 3", Math.Round(2.2 * work.Site.Fitting.Flange.PerimeterMm, 6)),
            (tape.Material.Name, Math.Round(tape.Amount, 6))
        );
        Assert.True(deep.Steps.Single(s => s.Key == "adapter").Number < deep.Steps.Single(s => s.Shell == ShellChange.Opens).Number);
    }

    [Fact] // Bead of 10 x 12: 60 mm2 along the pane, 10 % waste
    public void The_bead_of_a_pane_is_reckoned_with_the_product_that_was_chosen()
    {
        Product adhesive = TypicalProducts.All.Single(p => p.Family == ProductFamily.PolyurethaneAdhesive);
        Procedure p = Of(Work(FittingKind.BondedWindow) with { Product = adhesive });
        double path = new RoundedRectangle(490, 490, 30).PerimeterMm;
        Assert.Equal(path * 60 / 1000 * 1.1, p.Consumables.Single(c => c.Material.Name == adhesive.Name).Amount, 6);
        Assert.Contains(p.Steps, s => s.WaitHours > 0 && s.Title == "Let it hold");
    }

    [Theory]
    [InlineData(RibOrder.RibsFirst)]
    [InlineData(RibOrder.SkinFirst)]
    public void Ribs_are_cut_before_or_after_the_skin_as_the_school_says_and_always_after_their_headers(RibOrder order)
    {
        Procedure p = Of(Work(FittingKind.RoofVent) with { Centre = new PanelPoint(1195, 0), Schools = CutRibs with { RibOrder = order } });
        int Number(string begins) => p.Steps.Single(s => s.Title.StartsWith(begins, StringComparison.Ordinal)).Number;
        int ribs = p.Steps.Single(s => s.Title.EndsWith(" back", StringComparison.Ordinal)).Number;
        Assert.True(Number("Headers") < ribs);
        Assert.Equal(order == RibOrder.RibsFirst, ribs < p.Steps.Single(s => s.Shell == ShellChange.Opens).Number);
    }

    [Fact] // Worked by hand: grip from 20 mm, wall 12 mm: a ring of 8 mm; glued it holds the open shell up for 4 hours
    public void A_thin_wall_gets_a_spacer_ring_held_as_the_school_says_and_loose_screws_their_backing()
    {
        OpeningWork thin = Work(FittingKind.HingedWindow);
        thin = thin with { Site = thin.Site with { WallMm = 12, Panel = thin.Site.Panel with { Kind = PanelKind.Left } } };
        Procedure glued = Of(thin),
            taped = Of(thin with { Schools = KeepRibs with { SpacerRing = SpacerRing.FoamTape } }),
            thick = Of(thin with { Site = thin.Site with { WallMm = 30 } });
        Assert.Contains("8 mm thick", glued.Steps.Single(s => s.Title == "Spacer ring").Do);
        Assert.Contains(glued.Consumables, c => c.Material.Name == "Polyurethane adhesive");
        Assert.Contains(taped.Consumables, c =>
            c.Material.Name == "Acrylic foam tape" && Math.Abs(c.Amount - (1.1 * thin.Site.Fitting.CutOut.PerimeterMm)) < 1e-6
        );
        Assert.Equal(240, glued.OpenMinutes.Likely - taped.OpenMinutes.Likely, 6);
        Assert.DoesNotContain(thick.Steps, s => s.Title == "Spacer ring");
        // Frame 440 about a hole of 400, screwed at its corners in lining alone: 40 wide, 480 long.
        Procedure backed = Of(
            thin with
            {
                Site = thin.Site with { Fitting = thin.Site.Fitting with { Halves = Halves with { CornerScrewMm = 10 } } },
            }
        );
        Assert.Contains("480 mm by 40 mm along the top", backed.Steps.Single(s => s.Title == "Backing pieces").Do);
        Assert.DoesNotContain(glued.Steps, s => s.Title == "Backing pieces");
    }

    [Fact]
    public void The_school_beds_a_roof_flange_until_a_product_is_chosen()
    {
        OpeningWork vent = Work(FittingKind.RoofVent);
        Procedure butyl = Of(vent),
            adhesive = Of(vent with { Schools = KeepRibs with { Bedding = FlangeBedding.Adhesive } });
        Assert.Contains(butyl.Consumables, c => c.Material.Name.StartsWith("Butyl", StringComparison.Ordinal));
        Assert.Contains(butyl.Consumables, c => c.Material.Name == "Lap sealant");
        Assert.DoesNotContain(adhesive.Consumables, c => c.Material.Name.StartsWith("Butyl", StringComparison.Ordinal));
        Assert.Equal(vent.Site.Fitting.Flange.PerimeterMm * 1.1, adhesive.Consumables.Single(c => c.Material.Name == "Roofing tape").Amount, 6);
    }

    [Theory] // Trim takes 25 mm: two skins of 0.8 mm, 20 mm apart are 21.6 mm; 38 mm apart they are 39.6 mm
    [InlineData(20, WideTrim.InnerEdge, "over both skins", "Edge trim")]
    [InlineData(38, WideTrim.InnerEdge, "mastic", "Edge trim")]
    [InlineData(38, WideTrim.Wider, "wide enough", "Wide edge trim")]
    public void Two_skins_get_the_trim_that_their_distance_and_the_school_ask_for(double gapMm, WideTrim school, string says, string buys)
    {
        OpeningWork work = Work(FittingKind.BondedWindow);
        Procedure p = Of(
            work with
            {
                Site = work.Site with { Panel = work.Site.Panel with { SkinGapMm = gapMm } },
                Schools = KeepRibs with { WideTrim = school },
            }
        );
        Assert.Contains(says, p.Steps.Single(s => s.Title == "Edge trim").Do);
        Assert.Equal(work.Site.Fitting.CutOut.PerimeterMm + 20, p.Consumables.Single(c => c.Material.Name == buys).Amount, 6);
    }

    [Fact] // Places, ribs, walls and schools that nobody chose
    public void Wherever_a_place_is_not_blocked_there_are_steps_that_open_the_shell_once_and_close_it_in_the_dry() =>
        Gen.Select(
                Gen.Enum<FittingKind>(),
                Gen.Double[300, 3900],
                Gen.Double[-500, 500],
                Shell.BaysTests.RandomMembers,
                Gen.Enum<RibInTheWay>(),
                Gen.Enum<RibOrder>(),
                Gen.Double[0.8, 70],
                Gen.Bool
            )
            .Holds(
                (kind, s, t, members, rib, order, wall, twoSkins) =>
                {
                    OpeningWork work = Work(kind);
                    var schools = new Schools(rib, CutSize.WithClearance, order, SpacerRing.FoamTape, WideTrim.Wider, FlangeBedding.Adhesive);
                    Member[] named = [.. members.Select((m, i) => m with { Name = $"M{i}" })];
                    work = work with
                    {
                        Centre = new PanelPoint(s, t),
                        Schools = schools,
                        Site = work.Site with
                        {
                            Members = named,
                            WallMm = wall,
                            RibInTheWay = rib,
                            Panel = work.Site.Panel with { SkinGapMm = twoSkins ? 30 : null },
                        },
                    };
                    bool judged = OpeningVerdict.Of(work.Site, work.Centre).IsOk(out Worked<Verdict>? verdict, out _);
                    bool written = OpeningProcedure.Of(work).IsOk(out Worked<Procedure>? procedure, out Problem? problem);
                    if (!judged || verdict!.Result.State == JudgementState.Blocked)
                        return !written && problem!.Message.Length > 10;
                    if (!written)
                        return false;
                    WorkStep[] steps = [.. procedure!.Result.Steps];
                    int opens = Array.FindIndex(steps, x => x.Shell == ShellChange.Opens),
                        closes = Array.FindIndex(steps, x => x.Shell == ShellChange.Closes);
                    bool once =
                        steps.Count(x => x.Shell == ShellChange.Opens) == 1 && steps.Count(x => x.Shell == ShellChange.Closes) == 1 && opens < closes;
                    bool dry = steps[opens..(closes + 1)].Where(x => x.Place is WorkPlace.Outside or WorkPlace.Roof).All(x => x.Weather.Dry);
                    bool headed = steps
                        .Select((x, i) => (x, i))
                        .Where(x => x.x.Title.EndsWith(" back", StringComparison.Ordinal))
                        .All(x => Array.FindIndex(steps, y => y.Title.StartsWith("Headers", StringComparison.Ordinal)) < x.i);
                    bool whole =
                        procedure.Result.Consumables.All(c => c.Amount > 0)
                        && steps.All(x => x.Minutes.Quick >= 0 && x.WaitHours >= 0 && x.People >= 1 && !x.Do.Contains("NaN"));
                    bool trimmed = steps.Any(x => x.Title == "Edge trim") == (kind == FittingKind.BondedWindow);
                    return once && dry && headed && whole && trimmed;
                },
                cases: 300
            );

    [Theory, MemberData(nameof(Kinds))]
    public void Steps_have_keys_of_their_own_that_stay_when_others_come_before_them(FittingKind kind)
    {
        OpeningWork work = Work(kind);
        Procedure plain = Of(work),
            overBow = Of(
                work with
                {
                    Schools = CutRibs,
                    Centre = new PanelPoint(1195, 0),
                    Site = work.Site with { Panel = work.Site.Panel with { SkinGapMm = 30 } },
                }
            );
        Assert.True(overBow.Steps.Count > plain.Steps.Count);
        Assert.Equal(overBow.Steps.Count, overBow.Steps.Select(s => s.Key).Distinct().Count());
        // What is done in both keeps its key, whatever its number; where it burns nothing is cut.
        Assert.Subset(overBow.Steps.Select(s => s.Key).ToHashSet(), plain.Steps.Select(s => s.Key).ToHashSet());
        // Each follows one that comes before it, by as long as that one waits; nobody has to wait for the first.
        Assert.Empty(plain.Steps[0].After);
        foreach (WorkStep step in overBow.Steps.Skip(1))
        {
            WorkStep before = overBow.Steps.Single(s => s.Key == Assert.Single(step.After).Key);
            // Tape and gaskets settle for a day before they are tightened again.
            double wait = step.Key == "tighten-again" ? 24 : before.WaitHours;
            Assert.Equal((true, wait), (before.Number < step.Number, step.After[0].LagHours));
        }
    }

    private static Site OnWall(Fitting fitting, double? gap = null, SkinMaterial skin = SkinMaterial.MildSteel) =>
        new(
            Roofs.Rectangle(0, 4000, -900, 900) with
            {
                Kind = PanelKind.Left,
                SkinGapMm = gap,
                Material = skin,
            },
            [],
            fitting,
            WallMm: fitting.Clamp?.LeastMm + 2
        );

    private static Procedure Typical(FittingKind kind, Schools? schools = null, double? gap = null, SkinMaterial skin = SkinMaterial.MildSteel) =>
        Of(new OpeningWork("Opening", OnWall(TypicalFittings.Of(kind), gap, skin), new PanelPoint(2000, 0), schools ?? KeepRibs, null));

    private static int At(Procedure p, string key) => p.Steps.Single(s => s.Key == key).Number;

    [Theory, MemberData(nameof(Kinds))] // The order of the trade: holes before paint, paint before bedding, trim after the test
    public void Work_comes_in_the_order_of_the_trade(FittingKind kind)
    {
        Procedure p = Of(Work(kind));
        string[] keys = [.. p.Steps.Select(s => s.Key)];
        string dry = keys.Single(k => k.StartsWith("dry-fit", StringComparison.Ordinal)),
            last = p.Steps.Single(s => s.Shell == ShellChange.Closes).Key;
        string[] order =
        [
            "offer",
            "look-behind",
            "mark-out",
            "protect",
            "cut",
            "measure",
            dry,
            "swarf",
            "edge-prime",
            "edge-paint",
            last,
            "water-test",
            "inner-trim",
        ];
        Assert.Equal(order, keys.Where(order.Contains));
        Assert.Contains("through-holes", p.Steps[1].Do);
        // A cable is tried before anything is bedded over it.
        OpeningWork work = Work(kind);
        Procedure powered = Of(work with { Site = work.Site with { Fitting = work.Site.Fitting with { NeedsPower = true } } });
        Assert.InRange(At(powered, "cable"), At(powered, "edge-paint"), At(powered, last));
    }

    [Fact] // No edge is filed to a line by the school that cuts with its clearance; the tolerances are those of the sheet in both
    public void The_clearance_school_never_files()
    {
        foreach (FittingKind kind in Enum.GetValues<FittingKind>())
        {
            OpeningWork work = Work(kind);
            WorkStep clear = Of(work with { Schools = KeepRibs with { CutSize = CutSize.WithClearance } }).Steps.Single(s => s.Key == "measure"),
                waste = Of(work).Steps.Single(s => s.Key == "measure");
            Assert.DoesNotContain(
                "file",
                $"{clear.Do} {string.Concat(clear.Tools)} {string.Concat(clear.Holds.Select(h => h.IfLess))}",
                StringComparison.OrdinalIgnoreCase
            );
            Assert.Contains("file to the line", waste.Do);
            Assert.Equal(waste.Holds.Select(h => (h.Wanted, h.Less, h.More)), clear.Holds.Select(h => (h.Wanted, h.Less, h.More)));
        }
    }

    [Fact]
    public void Paint_lies_over_night_before_an_adhesive_and_an_hour_before_tape()
    {
        double Last(Procedure p) => p.Steps.Last(s => s.Key is "edge-prime" or "edge-paint").WaitHours;
        Assert.Equal(1, Last(Of(Work(FittingKind.RoofVent))));
        Assert.Equal(12, Last(Of(Work(FittingKind.RoofVent) with { Schools = KeepRibs with { Bedding = FlangeBedding.Adhesive } })));
        Assert.Equal(12, Last(Of(Work(FittingKind.BondedWindow))));
        Assert.Equal(12, Last(Typical(FittingKind.Grille, KeepRibs with { Bedding = FlangeBedding.HybridPolymer })));
        Assert.Equal(1, Last(Typical(FittingKind.GasketWindow)));
    }

    [Fact] // What was glued is never tightened again; tape and gaskets are, a day later
    public void Only_what_settles_is_tightened_again()
    {
        bool Again(Procedure p) => p.Steps.Any(s => s.Key == "tighten-again");
        Assert.True(Again(Of(Work(FittingKind.RoofVent))));
        Assert.True(Again(Of(Work(FittingKind.RoofUnit))));
        Assert.False(Again(Of(Work(FittingKind.RoofVent) with { Schools = KeepRibs with { Bedding = FlangeBedding.Adhesive } })));
        Assert.False(Again(Of(Work(FittingKind.BondedWindow))));
        Assert.False(Again(Typical(FittingKind.GasketWindow)));
    }

    [Fact] // Worked by hand: 788 by 388 with corners of 54 are 2259.3 round, a hundredth more of rubber
    public void A_window_in_rubber_is_drawn_in_by_two_with_a_cord_and_sealed_with_what_never_sets()
    {
        Procedure p = Typical(FittingKind.GasketWindow);
        Assert.Equal(
            ["rubber", "set-pane", "filler", "seal-over"],
            p.Steps.Where(s => s.Key is "rubber" or "set-pane" or "filler" or "seal-over").Select(s => s.Key)
        );
        Assert.Equal(2281.9, p.Consumables.Single(c => c.Material.Id == "window-rubber").Amount, 0.05);
        Assert.Contains("middle of the top", p.Steps.Single(s => s.Key == "rubber").Do);
        WorkStep set = p.Steps.Single(s => s.Key == "set-pane");
        Assert.Equal((2, ShellChange.Closes), (set.People, set.Shell));
        Assert.DoesNotContain(p.Steps, s => s.Key == "bed");
    }

    [Theory] // A core is filled, a gap closed, and neither gets an edge trim below a frame; a pane with room for it does on two sheets of steel
    [InlineData(FittingKind.HingedWindow, SkinMaterial.GlassReinforcedPlastic, "core", "Dig the core out")]
    [InlineData(FittingKind.Grille, SkinMaterial.PlywoodSkin, "core", "Dig the core out")]
    [InlineData(FittingKind.HingedWindow, SkinMaterial.MildSteel, "core", "nothing pinches them together")]
    [InlineData(FittingKind.BondedWindow, SkinMaterial.GlassReinforcedPlastic, "core", "Dig the core out")]
    [InlineData(FittingKind.BondedWindow, SkinMaterial.MildSteel, "skins", "still bonded")]
    public void Two_skins_are_held_apart_as_their_kind_asks(FittingKind kind, SkinMaterial skin, string key, string says)
    {
        Procedure p = Typical(kind, KeepRibs, 20, skin);
        Assert.Contains(says, p.Steps.Single(s => s.Key is "core" or "skins").Do);
        Assert.Equal(key, p.Steps.Single(s => s.Key is "core" or "skins").Key);
        Assert.Contains("Each skin by itself", p.Steps.Single(s => s.Key == "cut").Do);
        Assert.Equal(kind == FittingKind.BondedWindow && skin == SkinMaterial.MildSteel, p.Steps.Any(s => s.Key == "edge-trim"));
        Assert.Equal(key == "skins", p.Consumables.All(c => c.Material.Id != "gap-strip"));
    }

    [Theory]
    [InlineData(SkinMaterial.MildSteel, "metal-blade", "zinc-primer", "Magnet", "screw")]
    [InlineData(SkinMaterial.Aluminium, "metal-blade", "aluminium-primer", null, "isolated-screw")]
    [InlineData(SkinMaterial.GlassReinforcedPlastic, "grit-blade", "edge-resin", null, "screw")]
    [InlineData(SkinMaterial.PlywoodSkin, "wood-blade", "edge-resin", null, "screw")]
    public void Each_skin_has_its_blade_its_dust_and_its_edge(SkinMaterial skin, string blade, string coat, string? tool, string screw)
    {
        Procedure p = Typical(FittingKind.Grille, KeepRibs, null, skin);
        Assert.Subset(p.Consumables.Select(c => c.Material.Id).ToHashSet(), new HashSet<string> { blade, coat, screw });
        Assert.Equal(tool is not null, p.Tools.Contains("Magnet"));
        bool steel = skin == SkinMaterial.MildSteel;
        // Rust is no matter on what does not rust, and dust of glass fibre asks for a mask.
        Assert.Equal(steel, p.Steps.Any(s => s.Do.Contains("rust", StringComparison.OrdinalIgnoreCase)));
        Assert.Equal(skin == SkinMaterial.GlassReinforcedPlastic, p.Steps.Single(s => s.Key == "cut").Cautions.Contains(Cautions.GlassFibreDust));
    }

    [Fact] // 32 kg at 12 kg a head are three people; its own gasket and no adhesive below it
    public void A_heavy_unit_has_its_lift_planned_and_its_own_gasket()
    {
        OpeningWork unit = Work(FittingKind.RoofUnit);
        Procedure p = Of(unit with { Site = unit.Site with { Fitting = unit.Site.Fitting with { MassKg = 32, Vibrates = true } } });
        WorkStep lift = p.Steps.Single(s => s.Key == "lift");
        Assert.Equal(3, lift.People);
        Assert.True(lift.Number < At(p, "cut"));
        Assert.Contains("no sealant below it", p.Steps.Single(s => s.Key == "bed").Do);
        Assert.DoesNotContain(p.Consumables, c => c.Material.Kind is MaterialKind.Sealant && c.Material.Id != "bedding");
        Assert.Contains("Thread lock", p.Steps.Single(s => s.Key == "clamp").Do);
    }

    [Fact]
    public void A_hatch_closes_when_its_leaf_hangs_and_a_sharp_corner_gets_a_stop_hole()
    {
        Fitting hatch = TypicalFittings.Of(FittingKind.Hatch);
        Procedure p = Typical(FittingKind.Hatch);
        Assert.Equal("hang", p.Steps.Single(s => s.Shell == ShellChange.Closes).Key);
        Assert.DoesNotContain("stop hole", p.Steps.Single(s => s.Key == "cut").Do);
        Site sharp = OnWall(hatch with { CutOut = hatch.CutOut with { CornerRadiusMm = 5 }, Neck = hatch.Neck with { CornerRadiusMm = 5 } });
        Assert.Contains(
            "stop hole",
            Of(new OpeningWork("Hatch", sharp, new PanelPoint(2000, 0), KeepRibs, null)).Steps.Single(s => s.Key == "cut").Do
        );
    }

    [Fact] // Both cut ends of a bow are tied, each with an angle and two bolts to either part, whichever is cut first
    public void Cut_ends_are_tied_to_their_headers()
    {
        foreach (RibOrder order in Enum.GetValues<RibOrder>())
        {
            Procedure p = Of(Work(FittingKind.RoofVent) with { Centre = new PanelPoint(1195, 0), Schools = CutRibs with { RibOrder = order } });
            Assert.Equal(At(p, "cut-back-1") + 1, At(p, "tie-1"));
            Assert.Equal(2, p.Consumables.Single(c => c.Material.Id == "angle").Amount);
            // Two headers with two bolts at either end, two ends with four.
            Assert.Equal(8 + 8, p.Consumables.Single(c => c.Material.Id == "bolt-m6").Amount);
            Assert.Equal(2 * 1430, p.Consumables.Single(c => c.Material.Id == "timber-45x70").Amount, 6);
        }
    }

    [Theory]
    [InlineData(Pane.Acrylic)]
    [InlineData(Pane.Polycarbonate)]
    public void A_pane_of_plastic_never_meets_solvent_and_is_bonded_with_what_sealing_allows(Pane pane)
    {
        Fitting window = TypicalFittings.Of(FittingKind.BondedWindow) with { Bonded = new Bonded(pane, 18) };
        Procedure p = Of(new OpeningWork("Window", OnWall(window), new PanelPoint(2000, 0), KeepRibs, null));
        Assert.DoesNotContain(p.Consumables, c => c.Material.Id is "activator-wipe" or "glass-primer");
        Assert.Contains(Cautions.PlasticCrazes, p.Steps.Single(s => s.Key == "clean").Cautions);
        Assert.Contains(p.Consumables, c => c.Material.Name == "Silane-modified polymer");
        // What was chosen and does not hold there is refused, with what does.
        Product acid = TypicalProducts.All.Single(x => x.Family == ProductFamily.AcetoxySilicone);
        WorkStep bead = Of(new OpeningWork("Window", OnWall(window), new PanelPoint(2000, 0), KeepRibs, acid)).Steps.Single(s => s.Key == "bead");
        Assert.Contains(bead.Cautions, c => c.Id == "product-refused" && c.Text.Contains("Silane-modified polymer suits", StringComparison.Ordinal));
    }

    [Fact] // What lies below the flange is mended before it is marked; a wall that nobody measured is asked for
    public void What_was_found_and_what_nobody_measured_are_steps()
    {
        OpeningWork work = Work(FittingKind.RoofSkylight);
        Procedure unknown = Of(work);
        Assert.Contains("The wall is not measured yet", unknown.Steps.Single(s => s.Key == "dry-fit-halves").Do);
        Assert.DoesNotContain(unknown.Steps, s => s.Key == "mend-first");
        var dents = new Finding(
            "Hail dents",
            FindingKind.Dent,
            FindingShape.Area,
            [.. new PanelBox(500, 1500, -500, 500).Corners],
            ViewedFrom.Outside,
            Severity.Minor,
            new FindingMeasures(null, null, null, null),
            FindingState.Open,
            "Ada",
            DateTimeOffset.UnixEpoch,
            ""
        );
        Procedure dented = Of(work with { Site = work.Site with { WallMm = 30, Findings = [dents] } });
        WorkStep mend = dented.Steps.Single(s => s.Key == "mend-first");
        Assert.StartsWith("Hail dents. The flange stands off it", mend.Do);
        Assert.InRange(mend.Number, At(dented, "look-behind"), At(dented, "mark-out"));
        Assert.DoesNotContain("measured the wall", dented.Steps.Single(s => s.Key == "dry-fit-halves").Do);
    }

    [Fact] // 126 ml of 300 are one pack; 301 are two; screws come a hundred in a pack
    public void What_is_used_up_is_told_in_whole_packs()
    {
        Procedure p = Of(Work(FittingKind.RoofVent));
        Consumable Of_(string id) => p.Consumables.Single(c => c.Material.Id == id);
        Assert.Equal((1, 1), (Of_("lap-sealant").Packs, Of_("screw").Packs));
        Assert.Equal(2, new Consumable(Materials.LapSealant, 291).Packs);
        Assert.Equal(1, new Consumable(Materials.LapSealant, 290).Packs);
        Assert.Null(new Consumable(Materials.Timber(45, 60), 2000).Packs);
    }

    [Fact] // A kit of which nobody said its hours: a day, and it says so
    public void A_kit_without_hours_waits_a_day_and_says_why()
    {
        Product foam = TypicalProducts.All.Single(x => x.Family == ProductFamily.FoamTape);
        WorkStep hold = Of(Work(FittingKind.BondedWindow) with { Product = foam }).Steps.Single(s => s.Key == "hold");
        Assert.Equal(24, hold.WaitHours);
        Assert.Contains("Not known after how many hours", hold.Do);
    }

    [Fact]
    public void Minutes_come_from_the_table_and_work_that_it_does_not_know_is_a_mistake()
    {
        Assert.Equal(MinutesTable.All.Count, MinutesTable.All.Select(r => r.Work).Distinct().Count());
        Assert.All(MinutesTable.All, r => Assert.Equal(r.Each == 0, r.Per.Length == 0));
        // By hand: 1600 mm at 50 mm a minute; 10 + 16 screws of 1.5; quick 60 %, slow 200 %.
        Assert.Equal(new Minutes(19, 32, 64), MinutesTable.For("cut", 1600));
        Assert.Equal(new Minutes(20, 34, 68), MinutesTable.For("set", 16));
        Assert.Throws<ArgumentException>(() => MinutesTable.For("whistle", 1));
        WorkStep once = WorkStep.Of("bed", "Bed", "", WorkPlace.Inside, 1);
        Assert.Throws<ArgumentException>(() => Procedure.Of("twice", [once, once]));
    }

    [Fact]
    public void Each_caution_is_said_in_the_same_words_everywhere()
    {
        Caution[] listed = [.. typeof(Cautions).GetProperties().Select(p => (Caution)p.GetValue(null)!)];
        Assert.Equal(listed.Length, listed.Select(c => c.Id).Distinct().Count());
        Assert.All(listed, c => Assert.EndsWith(".", c.Text));
        foreach (FittingKind kind in Enum.GetValues<FittingKind>())
            Assert.All(Of(Work(kind)).Steps.SelectMany(s => s.Cautions).Where(c => c.Id is not ("product" or "product-refused")), c =>
                Assert.Contains(c, listed)
            );
    }

    [Fact]
    public void There_are_no_steps_for_cutting_structure()
    {
        OpeningWork work = Work(FittingKind.RoofVent);
        Member pillar = Roofs.Bow("Header", 880, 940, MemberRole.Structural);
        Problem problem = OpeningProcedure
            .Of(work with { Site = work.Site with { Members = [.. work.Site.Members, pillar] }, Schools = CutRibs })
            .Problem!;
        Assert.Equal(("place-blocked", "/centre"), (problem.Code, problem.Pointer));
        Assert.Contains("Header", problem.Message);
    }

    [Fact]
    public void A_place_off_the_panel_is_answered_with_what_is_wrong() =>
        Assert.Equal("/centre", OpeningProcedure.Of(Work(FittingKind.RoofVent) with { Centre = new PanelPoint(20, 0) }).Problem!.Pointer);

    private static OpeningWork Work(FittingKind kind)
    {
        bool clamped = kind is FittingKind.RoofSkylight or FittingKind.HingedWindow or FittingKind.RoofUnit;
        Fitting fitting = Roofs.Vent() with
        {
            Kind = kind,
            Clamp = clamped ? new ClampRange(20, 60) : null,
            Halves = clamped ? Halves : null,
            Screws = clamped || kind is FittingKind.BondedWindow or FittingKind.GasketWindow ? null : Roofs.Vent().Screws,
            // Room for an edge trim beside a bonded pane.
            CutOut = kind == FittingKind.BondedWindow ? new RoundedRectangle(402, 402, 20) : Roofs.Vent().CutOut,
            HeatMm = kind == FittingKind.Flue ? 150 : 0,
            Bonded = kind == FittingKind.BondedWindow ? new Bonded(Pane.Glass, 18) : null,
        };
        return new OpeningWork("Opening", new Site(Roofs.Flat(), Roofs.Bows(), fitting), Middle, KeepRibs, null);
    }

    private static Procedure Of(OpeningWork work)
    {
        Assert.True(OpeningProcedure.Of(work).IsOk(out Worked<Procedure>? procedure, out Problem? problem), problem?.Message);
        return procedure.Result;
    }
}
