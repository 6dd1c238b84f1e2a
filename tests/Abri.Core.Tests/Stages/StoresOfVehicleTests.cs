using Abri.Core.Days;
using Abri.Core.Declared;
using Abri.Core.Geometry;
using Abri.Core.Openings;
using Abri.Core.Procedures;
using Abri.Core.Record;
using Abri.Core.Sealing;
using Abri.Core.Stages;
using Abri.Core.Stores;
using Abri.Core.Work;
using CsCheck;
using static Abri.Core.Tests.Days.OpenShellWork;

namespace Abri.Core.Tests.Stages;

public class StoresOfVehicleTests
{
    private static readonly DateTimeOffset Now = Monday.AddHours(8);
    private static readonly DateOnly Today = DateOnly.FromDateTime(Now.DateTime);

    private static VehicleSnapshot Van(params StockItem[] stock) => Van(2, stock);

    /// <summary>A van with so many grilles to be let in.</summary>
    private static VehicleSnapshot Van(int openings, StockItem[] stock) =>
        Vans.Of(
            [],
            [],
            openings:
            [
                .. Enumerable
                    .Range(0, openings)
                    .Select(i =>
                        DaysOfVehicleTests.At(OpeningState.Planned) with
                        {
                            Centre = new PanelPoint(400 + (600 * i), 700),
                            Name = $"Grille {i + 1}",
                        }
                    ),
            ],
            fitting: DaysOfVehicleTests.Grille,
            forecast: Fine(),
            people: [.. new[] { "Ada", "Ben" }.Select(n => new Person(n, [.. Enum.GetValues<DayOfWeek>().Select(d => new WorkDay(d, 8, 20))]))]
        ) with
        {
            Stock = [.. stock.Select((s, i) => new Stored<StockItem>($"s{i}", 1, "v", s))],
        };

    private static StockItem Item(Material m, double amount, DateOnly? bought = null, DateOnly? expires = null, DateOnly? opened = null) =>
        new(m.Id, m.Name, m.Kind, m.Unit, m.Pack, amount, "", bought, expires, opened, "", "");

    private static StoreLine Line(VehicleSnapshot van, Material material) =>
        StoresOfVehicle.Of(van, Now).Lines.Single(l => l.Material.Id == material.Id);

    private static double NeedOf(VehicleSnapshot van, Material material) =>
        OpeningProcedure
            .Of(OpeningSites.Work(van, van.Openings[0]))
            .Value!.Result.Consumables.Where(c => c.Material.Id == material.Id)
            .Sum(c => c.Amount);

    private static bool Near((double, double) a, (double, double) b) => Math.Abs(a.Item1 - b.Item1) < 1e-6 && Math.Abs(a.Item2 - b.Item2) < 1e-6;

    [Fact] // Held against the procedures, added up apart
    public void What_open_work_needs_is_what_its_procedures_use()
    {
        VehicleSnapshot van = Van();
        StoresOfVehicle stores = StoresOfVehicle.Of(van, Now);
        var used = van
            .Openings.SelectMany(o => OpeningProcedure.Of(OpeningSites.Work(van, o)).Value!.Result.Steps)
            .SelectMany(s => s.Consumables)
            .GroupBy(c => c.Material.Id)
            .ToDictionary(g => g.Key, g => g.Sum(c => c.Amount));
        Assert.Equal(used.Keys.Order(), stores.Lines.Select(l => l.Material.Id).Order());
        Assert.All(stores.Lines, l => Assert.Equal(used[l.Material.Id], l.Need, 6));
        Assert.All(stores.Lines, l => Assert.Equal(l.Need, l.Short, 6));
        Assert.All(stores.Lines.Where(l => l.Material.Pack is not null), l =>
            Assert.Equal((int)Math.Ceiling(l.Need / l.Material.Pack!.Value), l.Packs)
        );
        Assert.StartsWith($"{used.Count} materials are short", stores.Verdict, StringComparison.Ordinal);
        Assert.Equal("No open work needs anything.", StoresOfVehicle.Of(Van(0, []), Now).Verdict);
    }

    [Fact]
    public void What_is_there_is_kept_for_the_first_job_and_the_next_one_runs_short()
    {
        double each = NeedOf(Van(), Materials.MaskingTape);
        StoreLine line = Line(Van(Item(Materials.MaskingTape, each * 1.25)), Materials.MaskingTape);
        double[] missing = [.. line.Uses.GroupBy(u => u.Name).Select(g => g.Sum(u => u.Missing))];
        Assert.Equal((0, each * 0.75), (missing[0], missing[1]), Near);
        Assert.Equal(("Grille 2", 1), (line.FirstFor, line.Packs));
        Assert.Equal(["Grille 1", "Grille 2"], line.Stock.Single().ForJobs);
        StoreLine enough = Line(Van(Item(Materials.MaskingTape, each * 2)), Materials.MaskingTape);
        Assert.Equal((0, 0, null), (enough.Short, enough.Packs, enough.FirstFor));
        Assert.Equal((50_000, 0), (line.Buy, enough.Buy));
    }

    [Fact]
    public void What_ends_sooner_goes_first_and_what_is_too_old_is_not_counted()
    {
        double each = NeedOf(Van(), Materials.MaskingTape);
        StoreLine line = Line(
            Van(
                Item(Materials.MaskingTape, each, expires: Today.AddDays(300)),
                Item(Materials.MaskingTape, each, expires: Today.AddDays(3)),
                Item(Materials.MaskingTape, 10 * each, expires: Today.AddDays(-1))
            ),
            Materials.MaskingTape
        );
        Assert.Equal([StockState.Expired, StockState.EndsSoon, StockState.Good], line.Stock.Select(s => s.State));
        Assert.Equal(
            [
                [],
                ["Grille 1"],
                ["Grille 2"],
            ],
            line.Stock.Select(s => s.ForJobs)
        );
        Assert.Equal((2 * each, 0), (line.InStock, line.Short), Near);
        Assert.Contains(
            $"Masking tape: too old since {Today:d MMM yyyy}. It is not counted; do not use it.",
            StoresOfVehicle.Of(Van(Item(Materials.MaskingTape, 1, expires: Today.AddDays(-1))), Now).Alerts
        );
        // The last day counts.
        Assert.Equal(each, Line(Van(Item(Materials.MaskingTape, each, expires: Today)), Materials.MaskingTape).InStock, 6);
    }

    [Fact]
    public void What_will_be_too_old_by_the_day_of_the_work_is_told_before_the_first_cut()
    {
        VehicleSnapshot van = Van(Item(Materials.MaskingTape, 1e6, expires: Today));
        Assert.Equal(0, Line(van, Materials.MaskingTape).Short);
        Assert.True(PlanOfVehicle.Make(van, Monday.AddHours(30), [], [], default).IsOk(out var made, out Problem? problem), problem?.Message);
        van = van with { Days = van.Days with { Plan = new Stored<Abri.Core.Days.Planning.KeptPlan>("plan", 1, "v", made.Keep!) } };
        StoresOfVehicle stores = StoresOfVehicle.Of(van, Now);
        StoreLine tape = stores.Lines.Single(l => l.Material.Id == Materials.MaskingTape.Id);
        Assert.Equal(tape.Need, tape.Short, 6);
        Assert.NotNull(tape.NeededBy);
        Assert.True(tape.NeededBy > Today);
        Assert.Contains(stores.Alerts, a => a.Contains("will be too old for Grille 1", StringComparison.Ordinal));
        Assert.Contains($" on {stores.Lines[0].NeededBy:d MMM yyyy}.", stores.Verdict, StringComparison.Ordinal);
    }

    [Fact]
    public void What_has_no_date_is_counted_and_told_to_be_looked_at_unless_it_keeps_for_ever()
    {
        VehicleSnapshot van = Van(Item(Materials.TopCoat, 400) with { Place = "Shed" }, Item(Materials.MetalBlade, 20));
        StoresOfVehicle stores = StoresOfVehicle.Of(van, Now);
        StockState StateOf(Material m) => stores.Lines.Single(l => l.Material.Id == m.Id).Stock.Single().State;
        Assert.Equal((StockState.NoDate, StockState.Good), (StateOf(Materials.TopCoat), StateOf(Materials.MetalBlade)));
        Assert.Single(stores.Alerts, a => a.StartsWith("Top coat, Shed: no date is written down.", StringComparison.Ordinal));
    }

    [Fact]
    public void What_is_opened_keeps_for_less()
    {
        StockItem wax = Item(Materials.TopCoat, 400, bought: Today.AddDays(-30), opened: Today.AddDays(-200));
        VehicleSnapshot van = Van(wax);
        Assert.Equal(StockState.Expired, StoresOfVehicle.Of(van, Now).Lines.Single(l => l.Material.Id == wax.MaterialId).Stock.Single().State);
        van = Van(wax with { OpenedOn = null });
        Assert.Equal(StockState.Good, StoresOfVehicle.Of(van, Now).Lines.Single(l => l.Material.Id == wax.MaterialId).Stock.Single().State);
    }

    /// <summary>Nothing is lost and nothing made: what is taken off is what was used, or all that was there.</summary>
    [Fact]
    public void What_is_used_is_taken_off_once() =>
        Gen.Select(Gen.Double[1, 900], Gen.Double[1, 1200].Array[0, 5], Gen.Int[0, 2], Gen.Bool)
            .Holds(
                (used, amounts, which, opened) =>
                {
                    Material material = new[] { Materials.SeamSealer, Materials.MaskingTape, Materials.Screw }[which];
                    VehicleSnapshot van = Van([
                        .. amounts.Select((a, i) => Item(material, a, bought: Today.AddDays(-i), opened: opened && i == 0 ? Today : null)),
                    ]);
                    StockTaken taken = StoresOfVehicle.TakeOff(van, [new Consumable(material, used)], Now);
                    double before = amounts.Sum(),
                        after =
                            van.Stock.Sum(s => (taken.Rows.FirstOrDefault(r => r.Id == s.Id) ?? s).Value.Amount) + taken.Opened.Sum(o => o.Amount);
                    Assert.Equal(Math.Min(used, before), before - after, 6);
                    Assert.All(taken.Rows, r => Assert.True(r.Value.Amount >= 0));
                    Assert.All(taken.Opened, o => Assert.True(o.OpenedOn == Today && o.Amount < o.Pack));
                    // Whole packs that are left stay closed.
                    if (which == 0)
                        Assert.All(taken.Rows.Where(r => r.Value.OpenedOn is null && r.Value.Amount > 0 && taken.Opened.Count > 0), r =>
                            Assert.True(r.Value.Amount % 290 < 1e-6 || r.Value.Amount % 290 > 290 - 1e-6)
                        );
                },
                cases: 200
            );

    [Fact] // By hand: 3 cartridges of 290 ml; 400 ml are used: one is whole, 180 ml of another are open
    public void A_cartridge_that_is_begun_is_open_and_a_roll_is_not()
    {
        StockTaken taken = StoresOfVehicle.TakeOff(Van(Item(Materials.SeamSealer, 870)), [new Consumable(Materials.SeamSealer, 400)], Now);
        Assert.Equal(290, taken.Rows.Single().Value.Amount, 6);
        Assert.Equal((180, Today), (Math.Round(taken.Opened.Single().Amount, 6), taken.Opened.Single().OpenedOn));
        StockTaken roll = StoresOfVehicle.TakeOff(Van(Item(Materials.MaskingTape, 50_000)), [new Consumable(Materials.MaskingTape, 400)], Now);
        Assert.Equal((49_600, 0), (roll.Rows.Single().Value.Amount, roll.Opened.Count));
        // What is too old is not what was used.
        StockItem old = Item(Materials.SeamSealer, 290, expires: Today.AddDays(-1));
        Assert.Empty(StoresOfVehicle.TakeOff(Van(old), [new Consumable(Materials.SeamSealer, 40)], Now).Rows);
        Assert.Empty(StoresOfVehicle.TakeOff(Van(), [new Consumable(Materials.SeamSealer, 40)], Now).Rows);
    }

    [Theory] // A bead that takes several small cartridges: none there, one, and all
    [InlineData(0, "less than 1 is there")]
    [InlineData(1.5, "1 is there")]
    [InlineData(2.2, "2 are there")]
    [InlineData(1000, null)]
    public void A_bead_that_would_run_out_half_way_round_is_told(double cartridges, string? said)
    {
        Product small = TypicalProducts.All.First(p => p.Family == ProductFamily.PolyurethaneAdhesive) with { PackMl = 10 };
        Joint joint = new(
            "Grille",
            JointKind.SideFlange,
            600,
            Substrate.PaintedMetal,
            Substrate.PlasticFrame,
            2,
            1,
            true,
            false,
            true,
            false,
            false,
            true,
            new JointOf(JointOfKind.Opening, "o0"),
            "pu",
            [],
            ""
        );
        StockItem tube = Item(new Material($"product/{small.Name}", small.Name, MaterialKind.Sealant, Unit.Ml, 10), cartridges * 10, bought: Today);
        VehicleSnapshot van = Van(1, [tube]) with
        {
            Joints = [new Stored<Joint>("j", 1, "p", joint)],
            Products = [new Stored<Product>("pu", 1, null, small)],
        };
        StoresOfVehicle stores = StoresOfVehicle.Of(van, Now);
        StoreLine line = stores.Lines.Single(l => l.Material.Id == tube.MaterialId);
        Assert.True(line.Need > 22, "The bead takes more than two of these.");
        Assert.Equal(said is null ? 0 : 1, line.Uses.Count(u => u.Alert is not null));
        if (said is not null)
            Assert.Contains(stores.Alerts, t =>
                t.Contains("without a stop", StringComparison.Ordinal) && t.EndsWith(said + ".", StringComparison.Ordinal)
            );
        // It keeps as long as Sealing says, and not as long as its kind does.
        Assert.Equal(Today.AddMonths(small.ShelfMonths), line.Stock.Single().LastDay);
    }

    [Fact]
    public void A_tool_that_goes_back_before_it_is_needed_and_one_that_is_late_are_told()
    {
        VehicleSnapshot van = Van();
        Assert.True(PlanOfVehicle.Make(van, Monday.AddHours(30), [], [], default).IsOk(out var made, out Problem? problem), problem?.Message);
        string tool = OpeningProcedure.Of(OpeningSites.Work(van, van.Openings[0])).Value!.Result.Tools[0];
        StoresOfVehicle With(params BorrowedTool[] tools) =>
            StoresOfVehicle.Of(
                van with
                {
                    Days = van.Days with { Plan = new Stored<Abri.Core.Days.Planning.KeptPlan>("plan", 1, "v", made.Keep!) },
                    Borrowed = [.. tools.Select((t, i) => new Stored<BorrowedTool>($"b{i}", 1, "v", t))],
                },
                Now
            );
        StoresOfVehicle stores = With(
            new BorrowedTool("Lathe", "", Today.AddDays(-1), true, ""),
            new BorrowedTool(tool.ToUpperInvariant(), "Jo", Today, false, ""),
            new BorrowedTool("Lathe", "Jo", Today.AddDays(-1), false, ""),
            new BorrowedTool(tool, "", Today.AddDays(100), false, "")
        );
        Assert.Equal([true, false, false, false], stores.Borrowed.Select(b => b.IsLate));
        // Whichever grille the plan lets in after today.
        Assert.Equal([null, "Grille", null, null], stores.Borrowed.Select(b => b.Trouble?.Split(" needs it on ")[0][..^2]));
        Assert.Contains($"Lathe, lent by Jo: should have gone back on {Today.AddDays(-1):d MMM yyyy}.", stores.Alerts);
        Assert.Contains(stores.Alerts, a => a.StartsWith($"{tool.ToUpperInvariant()}, lent by Jo: goes back on", StringComparison.Ordinal));
        Assert.DoesNotContain(stores.Alerts, a => a.StartsWith($"{tool}:", StringComparison.Ordinal));
    }

    [Fact]
    public void The_bench_and_the_list_of_a_day_name_what_is_not_on_the_shelf()
    {
        VehicleSnapshot van = Van(Item(Materials.MetalBlade, 100), Item(Materials.MaskingTape, 1));
        BenchJob bench = BenchOfJob.Of(van, new Job(JobKind.Opening, "o0"), Now)!;
        foreach (BenchStep step in bench.Steps)
            Assert.Equal(
                step.Step.Consumables.Where(c => c.Material.Id != Materials.MetalBlade.Id).Select(c => c.Material.Name).Distinct(),
                step.NotThere
            );
        Assert.All(BenchOfJob.Of(Van(), new Job(JobKind.Opening, "o0"), Now)!.Steps, s => Assert.Empty(s.NotThere));
        Assert.True(PlanOfVehicle.Make(van, Monday.AddHours(30), [], [], default).IsOk(out var made, out Problem? problem), problem?.Message);
        van = van with { Days = van.Days with { Plan = new Stored<Abri.Core.Days.Planning.KeptPlan>("plan", 1, "v", made.Keep!) } };
        DayList list = DayList.Of(van, Now, null)!;
        Assert.NotEmpty(list.NotThere);
        Assert.DoesNotContain(Materials.MetalBlade.Name, list.NotThere);
        Assert.Subset(list.Consumables.Select(c => c.Material.Name).ToHashSet(), list.NotThere.ToHashSet());
    }

    [Fact]
    public void The_cut_gate_says_what_of_the_job_is_not_on_the_shelf()
    {
        string Why(VehicleSnapshot van) =>
            DaysOfVehicle.Of(van, Now).Gates.First(g => g.Name == "Grille 1").Ready.Single(r => r.Item == ReadyItem.ConsumablesIn).Why;
        Assert.Equal("In date and enough for one unbroken bead.", Why(Van()));
        VehicleSnapshot van = Van();
        IReadOnlyList<Consumable> used = OpeningProcedure.Of(OpeningSites.Work(van, van.Openings[0])).Value!.Result.Consumables;
        StockItem[] all = [.. used.Select(c => Item(c.Material, c.Amount))];
        Assert.Equal("All of it is on the shelf and in date.", Why(Van(all)));
        all[0] = all[0] with { ExpiresOn = Today.AddDays(-1) };
        all[1] = all[1] with { Amount = used[1].Amount * 0.9 };
        Assert.Equal($"Not on the shelf, or too old: {all[0].Name}, {all[1].Name}.", Why(Van(all)));
    }

    [Fact]
    public void Dates_that_cannot_be_are_told()
    {
        StockItem item = Item(Materials.SeamSealer, 290, bought: Today);
        Assert.Null(StoresOfVehicle.Check(item, Now));
        Assert.Equal("/openedOn", StoresOfVehicle.Check(item with { OpenedOn = Today.AddDays(2) }, Now)!.Pointer);
        Assert.Equal("/boughtOn", StoresOfVehicle.Check(item with { BoughtOn = Today.AddDays(2) }, Now)!.Pointer);
        Assert.Equal("expiresOn", ((IConsistent)(item with { ExpiresOn = Today.AddDays(-1) })).Contradiction()?.Field);
        Assert.Equal("openedOn", ((IConsistent)(item with { OpenedOn = Today.AddDays(-1) })).Contradiction()?.Field);
        Assert.Null(((IConsistent)(item with { OpenedOn = Today, ExpiresOn = Today })).Contradiction());
    }
}
