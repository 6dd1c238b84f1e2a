using System.Globalization;
using System.Text;
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
    public void Every_kind_opens_the_shell_once_closes_it_once_and_ends_with_a_water_test(FittingKind kind)
    {
        Procedure p = Of(Work(kind));
        Assert.Equal(Enumerable.Range(1, p.Steps.Count), p.Steps.Select(s => s.Number));
        WorkStep opens = Assert.Single(p.Steps, s => s.Shell == ShellChange.Opens),
            closes = Assert.Single(p.Steps, s => s.Shell == ShellChange.Closes);
        Assert.True(opens.Number < closes.Number);
        Assert.Equal("Water test", p.Steps[^1].Title);
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
        Assert.DoesNotContain(deep.Consumables, c => c.Material.Name.Contains("Butyl"));
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
        thin = thin with { Site = thin.Site with { WallMm = 12 } };
        Procedure glued = Of(thin),
            taped = Of(thin with { Schools = KeepRibs with { SpacerRing = SpacerRing.FoamTape } }),
            thick = Of(thin with { Site = thin.Site with { WallMm = 30 } });
        Assert.Contains("8 mm thick", glued.Steps.Single(s => s.Title == "Spacer ring").Do);
        Assert.Contains(glued.Consumables, c => c.Material.Name == "Polyurethane adhesive");
        Assert.Contains(taped.Consumables, c =>
            c.Material.Name == "Acrylic foam tape" && Math.Abs(c.Amount - thin.Site.Fitting.CutOut.PerimeterMm) < 1e-6
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
        Assert.Contains("neutral silicone", adhesive.Steps.Single(s => s.Title == "Bed the flange").Do);
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
                    bool trimmed = steps.Any(x => x.Title == "Edge trim") == twoSkins;
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
        // What is done in both keeps its key, whatever its number.
        Assert.Subset(overBow.Steps.Select(s => s.Key).ToHashSet(), plain.Steps.Select(s => s.Key).ToHashSet());
        // Each follows one that comes before it, by as long as that one waits; nobody has to wait for the first.
        Assert.Empty(plain.Steps[0].After);
        foreach (WorkStep step in overBow.Steps.Skip(1))
        {
            WorkStep before = overBow.Steps.Single(s => s.Key == Assert.Single(step.After).Key);
            Assert.Equal((true, before.WaitHours), (before.Number < step.Number, step.After[0].LagHours));
        }
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

    [Fact] // Approved as text: what changes in a procedure shows as a change of the file (ABRI_WRITE_ANSWERS=1 writes it anew)
    public void Procedures_of_every_kind_and_school_read_as_they_were_approved()
    {
        var text = new StringBuilder();
        Schools other = new(
            RibInTheWay.CutSecondary,
            CutSize.WithClearance,
            RibOrder.SkinFirst,
            SpacerRing.FoamTape,
            WideTrim.Wider,
            FlangeBedding.Adhesive
        );
        foreach (FittingKind kind in Enum.GetValues<FittingKind>())
        {
            OpeningWork plain = Work(kind),
                hot = plain with { Site = plain.Site with { Fitting = plain.Site.Fitting with { HeatMm = kind == FittingKind.Flue ? 150 : 0 } } };
            OpeningWork overBow = hot with
            {
                Schools = other,
                Centre = new PanelPoint(1195, 0),
                Site = hot.Site with { WallMm = 12, Panel = hot.Site.Panel with { SkinGapMm = 30 } },
            };
            foreach (
                (string name, OpeningWork work) in new[]
                {
                    ("in a bay, usual schools", hot),
                    ("over a bow, two skins, other schools", overBow),
                    ("over a bow, ribs first", overBow with { Schools = other with { RibOrder = RibOrder.RibsFirst } }),
                }
            )
            {
                text.AppendLine($"## {kind}, {name}");
                if (!OpeningProcedure.Of(work).IsOk(out Worked<Procedure>? written, out Problem? problem))
                    text.AppendLine($"{problem.Code}: {problem.Message}");
                else
                    foreach (WorkStep step in written.Result.Steps)
                        Describe(text, step);
            }
        }
        string file = Path.Combine(LayeringTests.Root(), "tests/reference/procedures.txt");
        if (Environment.GetEnvironmentVariable("ABRI_WRITE_ANSWERS") == "1")
            File.WriteAllText(file, text.ToString());
        Assert.Equal(File.ReadAllText(file), text.ToString());
    }

    private static void Describe(StringBuilder text, WorkStep s)
    {
        text.AppendLine(
            CultureInfo.InvariantCulture,
            $"{s.Number}. {s.Title} ({s.Place}, {s.People} people, {s.Minutes.Quick}/{s.Minutes.Likely}/{s.Minutes.Slow} min, "
                + $"{s.Shell}, wait {s.WaitHours} h)"
        );
        text.AppendLine($"   {s.Do}");
        text.AppendLine(
            CultureInfo.InvariantCulture,
            $"   dry {s.Weather.Dry}, wind {s.Weather.WindBelowMs}, {s.Weather.FromC}..{s.Weather.ToC} C; tools: {string.Join(", ", s.Tools)}"
        );
        foreach (Consumable c in s.Consumables)
            text.AppendLine(
                CultureInfo.InvariantCulture,
                $"   uses {c.Amount:0.##} {c.Material.Unit.ToString().ToLowerInvariant()} of {c.Material.Name}"
            );
        foreach (HoldPoint h in s.Holds)
            text.AppendLine(
                CultureInfo.InvariantCulture,
                $"   hold: {h.Name} {h.Wanted:0.##} -{h.Less:0.##} +{h.More:0.##} {h.Unit?.ToString().ToLowerInvariant()}"
            );
        foreach (Caution c in s.Cautions)
            text.AppendLine($"   ! {c.Text}");
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
        bool clamped = kind is FittingKind.RoofSkylight or FittingKind.HingedWindow or FittingKind.RoofUnit or FittingKind.GasketWindow;
        Fitting fitting = Roofs.Vent() with
        {
            Kind = kind,
            Clamp = clamped ? new ClampRange(20, 60) : null,
            Halves = clamped ? Halves : null,
            Screws = clamped || kind == FittingKind.BondedWindow ? null : Roofs.Vent().Screws,
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
