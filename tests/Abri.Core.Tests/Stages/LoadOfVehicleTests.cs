using Abri.Core.Declared;
using Abri.Core.Floor;
using Abri.Core.Geometry;
using Abri.Core.Linings;
using Abri.Core.Load;
using Abri.Core.Openings;
using Abri.Core.Record;
using Abri.Core.Shell;
using Abri.Core.Stages;
using Abri.Core.Work;
using CsCheck;

namespace Abri.Core.Tests.Stages;

public class LoadOfVehicleTests
{
    private static readonly Masses Papers = new(2400, 3500, 1800, 2250, 3000, 1400, -1000, 1700, 800, 600);

    private static VehicleSnapshot Van(
        LoadItem[]? items = null,
        Masses? masses = null,
        VehicleKind kind = VehicleKind.PanelVan,
        Weighing[]? weighed = null,
        VehicleSnapshot? of = null
    )
    {
        VehicleSnapshot van = of ?? Vans.Of([], []);
        return van with
        {
            Vehicle = van.Vehicle with { Value = van.Vehicle.Value with { Masses = masses ?? Papers, Kind = kind } },
            Load = new LoadRows(
                [.. (items ?? []).Select((x, i) => new Stored<LoadItem>($"i{i}", 1, "v", x))],
                [.. (weighed ?? []).Select((x, i) => new Stored<Weighing>($"w{i}", 1, "v", x))]
            ),
        };
    }

    private static LoadItem Item(string name, double kg, double xMm, LoadKind kind = LoadKind.Fixed, bool isIn = false, double percent = 50) =>
        new(name, kind, kg, new LoadPlace(xMm, 0, 200), percent, TakenOut: false, isIn, "");

    private static LoadCase Case(VehicleSnapshot van, LoadState state = LoadState.Loaded, bool planned = true) =>
        LoadOfVehicle.Of(van).Cases.Single(c => c.State == state && c.Planned == planned);

    private static Judgement Row(LoadCase of, string id) => of.Rows.Single(r => r.Id == id);

    [Fact] // By hand: base 1400/1000; kiln 120 kg at x 2300 is 1.1 of the wheelbase: 132 on the rear, -12 on the front
    public void What_is_planned_counts_when_all_is_done_and_not_as_it_stands()
    {
        VehicleSnapshot van = Van([Item("Kiln", 120, 2300), Item("Bed", 60, -1000, isIn: true)]);
        LoadCase now = Case(van, LoadState.Empty, planned: false),
            done = Case(van, LoadState.Empty);
        Assert.Equal((2460, 1460, 1000), (now.TotalKg!.Value, Math.Round(now.On!.FrontKg, 6), Math.Round(now.On.RearKg, 6)));
        Assert.Equal((2580, 1448, 1132), (done.TotalKg!.Value, Math.Round(done.On!.FrontKg, 6), Math.Round(done.On.RearKg, 6)));
    }

    [Theory] // Half a tank, nobody, everything: what a state counts
    [InlineData(LoadKind.Tank, 0, 40, 80)]
    [InlineData(LoadKind.Person, 0, 40, 80)]
    [InlineData(LoadKind.Baggage, 0, 40, 80)]
    [InlineData(LoadKind.Fixed, 80, 80, 80)]
    [InlineData(LoadKind.Deadening, 80, 80, 80)]
    public void A_state_counts_what_is_there_in_it(LoadKind kind, double empty, double travel, double loaded)
    {
        VehicleSnapshot van = Van([Item("Thing", 80, 0, kind)]);
        Assert.Equal(
            [empty, travel, loaded],
            new[] { LoadState.Empty, LoadState.Travel, LoadState.Loaded }.Select(s => Math.Round(Case(van, s).AddedKg, 9))
        );
    }

    [Fact]
    public void What_is_taken_out_makes_it_lighter_once_it_is_out()
    {
        LoadItem shelves = Item("Shelves", 200, 1000) with { TakenOut = true };
        Assert.Equal(2400, Case(Van([shelves]), planned: false).TotalKg!.Value, 6);
        Assert.Equal(2200, Case(Van([shelves]), planned: true).TotalKg!.Value, 6);
        Assert.Equal(2200, Case(Van([shelves with { IsIn = true }]), planned: false).TotalKg!.Value, 6);
        IConsistent tank = shelves with { Kind = LoadKind.Tank };
        Assert.Equal("takenOut", tank.Contradiction()?.Field);
    }

    [Theory] // Permitted 3500: 95 % are 3325
    [InlineData(925, JudgementState.Good)]
    [InlineData(926, JudgementState.NeedsWork)]
    [InlineData(1100, JudgementState.NeedsWork)]
    [InlineData(1101, JudgementState.Blocked)]
    public void It_warns_as_it_grows(double kg, JudgementState state) =>
        Assert.Equal(state, Row(Case(Van([Item("Clay", kg, -400)])), "load-total").State);

    [Fact] // Rear axle: 1000 + 1300 * 1.2 + 10 / 3 = 2563.3 of 2250; 313.3 too much, by a lever of 3000 and 1300 kg: 723 mm, rounded up to 730
    public void An_axle_that_carries_too_much_says_what_to_move_how_far_and_that_is_enough()
    {
        VehicleSnapshot van = Van([Item("Kiln", 1300, 2600), Item("Box", 10, 0)]);
        Judgement rear = Row(Case(van), "load-rear");
        Assert.Equal(JudgementState.Blocked, rear.State);
        Assert.Contains("Move Kiln (1300 kg) 730 mm to the front", rear.Remedy!, StringComparison.Ordinal);
        Assert.NotEqual(JudgementState.Blocked, Row(Case(Van([Item("Kiln", 1300, 1870), Item("Box", 10, 0)])), "load-rear").State);
        VehicleSnapshot inches = Van([Item("Kiln", 1300, 2600), Item("Box", 10, 0)]);
        inches = inches with { Vehicle = inches.Vehicle with { Value = inches.Vehicle.Value with { Units = UnitSystem.Inch } } };
        Assert.Contains("28 3/4\" to the front, or take something out at the rear", Row(Case(inches), "load-rear").Remedy!, StringComparison.Ordinal);
        // Nothing that could be moved: a person does not count.
        VehicleSnapshot people = Van([Item("Choir", 1300, 2600, LoadKind.Person)]);
        Assert.EndsWith("Take something out at the rear.", Row(Case(people), "load-rear").Remedy!, StringComparison.Ordinal);
    }

    /// <summary>Every remedy is tried: moved as it says, the axle is within its limit.</summary>
    [Fact]
    public void A_move_that_is_named_is_enough() =>
        Gen.Select(Gen.Double[300, 2000], Gen.Double[-3000, 5000], Gen.Double[10, 200], Gen.Double[-1500, 4000])
            .Holds(
                (kg, x, small, at) =>
                {
                    LoadItem[] items = [Item("Big", kg, x), Item("Small", small, at)];
                    foreach ((string id, double sign) in new[] { ("load-rear", -1.0), ("load-front", 1.0) })
                    {
                        Judgement row = Row(Case(Van(items)), id);
                        string name = kg >= small ? "Big" : "Small";
                        if (row.Remedy?.Split($"Move {name} (") is not [_, var said])
                            continue;
                        double by = double.Parse(said.Split("kg) ")[1].Split(" mm")[0], System.Globalization.CultureInfo.InvariantCulture);
                        LoadItem[] moved = [.. items.Select(i => i.Name == name ? i with { At = i.At with { XMm = i.At.XMm + (sign * by) } } : i)];
                        Assert.NotEqual(JudgementState.Blocked, Row(Case(Van(moved)), id).State);
                    }
                },
                cases: 200
            );

    [Fact] // 20 % of 3400 kg are 680 kg: 1000 kg at 2.0 of the wheelbase leave 400 kg on the front
    public void Steered_wheels_that_stand_too_lightly_are_told()
    {
        Judgement light = Row(Case(Van([Item("Kiln", 1000, 5000)])), "load-steering");
        Assert.Equal((JudgementState.Blocked, 400, 680), (light.State, light.Measured, light.Required));
        Assert.Equal(JudgementState.Good, Row(Case(Van([Item("Kiln", 100, 1000)])), "load-steering").State);
    }

    [Theory] // Trailer of 600 kg, 30 kg on the coupling, axle 2500 behind it; 100 kg put at x: 4 % of 700 are 28, 10 % are 70
    [InlineData(-500, JudgementState.NeedsWork, "Much.")] // 130 on the coupling
    [InlineData(1500, JudgementState.Good, null)] // 50
    [InlineData(2100, JudgementState.Blocked, "It will sway. Move Box (100 kg) 50 mm to the front")] // 26
    [InlineData(3000, JudgementState.Blocked, "It lifts the towing vehicle. Move Box (100 kg) 950 mm to the front")] // -10
    public void A_trailer_needs_something_on_its_coupling_and_not_much(double xMm, JudgementState state, string? said)
    {
        Masses papers = new(600, 1300, 150, 1200, 2500, 30, -500, 1650);
        Judgement row = Row(Case(Van([Item("Box", 100, xMm)], papers, VehicleKind.BoxTrailer)), "load-coupling");
        Assert.Equal(state, row.State);
        if (said is null)
            Assert.Null(row.Remedy);
        else
            Assert.StartsWith(said, row.Remedy!, StringComparison.Ordinal);
        Assert.DoesNotContain(Case(Van([], papers, VehicleKind.BoxTrailer)).Rows, r => r.Id == "load-steering");
    }

    [Fact] // 400 kg 800 mm to the left on a track of 1700: 188 kg more on the left than half; sides differ by 376 of 2800: over 8 %, 224
    public void A_vehicle_that_leans_and_one_that_is_top_heavy_are_told()
    {
        LoadItem tank = Item("Tank", 400, 500) with { At = new LoadPlace(500, 800, 100) };
        Judgement sides = Row(Case(Van([tank])), "load-sides");
        Assert.Equal((JudgementState.NeedsWork, 376.5), (sides.State, sides.Measured));
        Assert.Contains("more on the left", sides.Remedy!, StringComparison.Ordinal);
        // Base 2400 kg at 800 mm; 600 kg at 2600 mm above the road: 1160 mm; 850 / 1160 = 73 %.
        LoadCase high = Case(Van([Item("Roof rack", 600, 500) with { At = new LoadPlace(500, 0, 2000) }]));
        Assert.Equal((1160, 73.0), (Math.Round(high.HeightMm!.Value), Row(high, "load-height").Measured));
        Assert.Equal(JudgementState.Good, Row(high, "load-height").State);
        LoadCase higher = Case(Van([Item("Roof rack", 1600, 500) with { At = new LoadPlace(500, 0, 2000) }]));
        Assert.Equal(JudgementState.NeedsWork, Row(higher, "load-height").State);
    }

    [Fact]
    public void What_the_papers_do_not_say_is_asked_for_and_not_made_up()
    {
        LoadOfVehicle none = LoadOfVehicle.Of(Van([Item("Kiln", 100, 0)], new Masses(null, null, null, null, null)));
        Assert.All(none.Cases, c => Assert.Equal((null, null, 0), (c.TotalKg, c.On, c.Rows.Count)));
        Assert.Contains(none.Missing, m => m.StartsWith("The kerb mass", StringComparison.Ordinal));
        Assert.Contains(none.Missing, m => m.StartsWith("Where the axles are", StringComparison.Ordinal));
        // The mass without its place: a total, no axles.
        LoadOfVehicle half = LoadOfVehicle.Of(Van([], Papers with { KerbFrontKg = null, KerbHeightMm = null }));
        Assert.All(half.Cases, c => Assert.Equal((2400.0, null), (c.TotalKg, c.On)));
        Assert.Contains(half.Missing, m => m.StartsWith("What of the kerb mass stands on the front axle", StringComparison.Ordinal));
        Assert.Empty(LoadOfVehicle.Of(Van()).Missing);
        Assert.Null(Case(Van(null, Papers with { FloorHeightMm = null })).HeightMm);
    }

    [Fact]
    public void A_weighing_keeps_what_was_aboard_and_corrects_the_base()
    {
        LoadItem bed = Item("Bed", 60, 500, isIn: true),
            water = Item("Water", 100, 2000, LoadKind.Tank, isIn: true),
            kiln = Item("Kiln", 120, 2300);
        VehicleSnapshot van = Van([bed, water, kiln]);
        // Bed half on each axle, half the water on the rear; the kiln is not in yet.
        AxleShares aboard = LoadOfVehicle.Aboard(van, LoadState.Travel);
        Assert.Equal((30, 80), (Math.Round(aboard.FrontKg, 9), Math.Round(aboard.RearKg, 9)));
        Weighing weighing = new(new DateOnly(2031, 5, 1), LoadState.Travel, new WeighbridgeReading(null, 1460, 1130), aboard, "");
        LoadOfVehicle load = LoadOfVehicle.Of(Van([bed, water, kiln], weighed: [weighing]));
        Assert.Equal(80, load.Base!.MoreKg!.Value, 2);
        Assert.Equal(1460 + 1130, load.Cases.Single(c => c is { State: LoadState.Travel, Planned: false }).TotalKg!.Value, 2);
        // What was bought since then does not change what the base weighs.
        Assert.Equal(80, LoadOfVehicle.Of(Van([bed, water, kiln with { IsIn = true }], weighed: [weighing])).Base!.MoreKg!.Value, 2);
        DateTimeOffset now = new(2031, 5, 12, 9, 0, 0, TimeSpan.Zero);
        Assert.Null(LoadOfVehicle.Check(van, weighing, now));
        Assert.Equal("weighing-ahead", LoadOfVehicle.Check(van, weighing with { On = new DateOnly(2031, 5, 13) }, now)!.Code);
        VehicleSnapshot bare = Van([], Papers with { FrontAxleAtMm = null });
        Assert.Equal("weighing-no-axles", LoadOfVehicle.Check(bare, weighing, now)!.Code);
        Assert.Null(LoadOfVehicle.Check(bare, weighing with { Reading = new WeighbridgeReading(2500, null, null) }, now));
    }

    [Theory] // 15 % of 2400 kg are 360 kg; aboard is nothing
    [InlineData(1400, 1359, false)]
    [InlineData(1400, 1361, true)]
    [InlineData(1400, 100, true)] // A digit was left out
    public void A_weighbridge_that_is_far_from_the_papers_is_doubted(double front, double rear, bool doubted)
    {
        Weighing weighing = new(new DateOnly(2031, 5, 1), LoadState.Empty, new WeighbridgeReading(null, front, rear), new AxleShares(0, 0, 0), "");
        LoadCase of = Case(Van(weighed: [weighing]));
        Assert.Equal(doubted, of.Rows.Any(r => r.Id == "load-base" && r.State == JudgementState.Blocked));
        Assert.DoesNotContain(Case(Van()).Rows, r => r.Id == "load-base");
    }

    [Fact] // 2000 kg over the rear axle: 750 kg too much there, and the front one has room for 400
    public void No_move_is_named_that_overloads_the_other_axle()
    {
        Judgement rear = Row(Case(Van([Item("Kiln", 2000, 2000)])), "load-rear");
        Assert.Equal("750 kg too much. The other axle has no room for that: take something out at the rear.", rear.Remedy);
    }

    [Fact]
    public void What_is_asked_before_it_is_bought_is_the_same_as_when_it_is_kept()
    {
        LoadItem kiln = Item("Kiln", 120, 2300),
            heavier = kiln with { Kg = 200 };
        LoadOfVehicle asked = LoadOfVehicle.Of(Van([Item("Bed", 60, 0), kiln]), heavier, "i1"),
            kept = LoadOfVehicle.Of(Van([Item("Bed", 60, 0), heavier]));
        Assert.Equal(kept.Cases.Select(c => c.TotalKg), asked.Cases.Select(c => c.TotalKg));
        Assert.Equal(kept.Cases.Select(c => c.On), asked.Cases.Select(c => c.On));
    }

    [Fact] // By hand: 4.5 kg less 0.4 x 0.4 m of 1 mm steel, 1.256 kg
    public void An_opening_brings_its_fitting_less_the_skin()
    {
        Fitting vent = TypicalFittings.Of(FittingKind.RoofVent) with { MassKg = 4.5, CutOut = new RoundedRectangle(400, 400, 0) };
        Panel roof = new(PanelKind.Roof, new PanelBox(0, 3000, -800, 800).Corners, 1, SkinMaterial.MildSteel);
        Opening opening = new(
            "Vent",
            "g",
            new PanelPoint(1000, 200),
            0,
            null,
            new Schools(RibInTheWay.Keep, CutSize.WasteSide),
            OpeningState.Planned,
            null,
            ""
        );
        LoadLine line = LoadOfVehicle.Of(Van(of: Vans.Of([], [], panel: roof, openings: [opening], fitting: vent))).Lines.Single();
        Assert.Equal(4.5 - 1.256, line.Item.Kg, 6);
        Assert.Equal((1000, 200, false), (line.Item.At.XMm, line.Item.At.YMm, line.Item.IsIn));
        opening = opening with { State = OpeningState.Fitted };
        Assert.True(LoadOfVehicle.Of(Van(of: Vans.Of([], [], panel: roof, openings: [opening], fitting: vent))).Lines.Single().Item.IsIn);
    }

    [Fact] // By hand: 2 x 1 m of 6 mm softwood plywood at 560 kg/m3 are 6.72 kg; 5 mm would save a sixth
    public void A_lining_brings_its_boards_and_could_be_thinner()
    {
        Panel side = new(PanelKind.Left, new PanelBox(0, 3000, 0, 1800).Corners, 1, SkinMaterial.MildSteel);
        Lining lining = new(
            "Left wall",
            new PanelBox(500, 2500, 400, 1400).Corners,
            NewSheet.Usual(BoardMaterial.SoftwoodPly, 6),
            Grain.Lengthways,
            25,
            LiningLies.Flat,
            15,
            LiningState.Planned,
            ""
        );
        VehicleSnapshot van = Van(of: Vans.Of([], [], panel: side, floor: new FloorRecord([], [], [], [lining])));
        LoadOfVehicle load = LoadOfVehicle.Of(van);
        Assert.Equal(6.72, load.Lines.Single().Item.Kg, 1);
        LighterWay thinner = load.Lighter.Single();
        Assert.Equal(load.Lines.Single().Item.Kg / 6, thinner.SavesKg, 6);
        // (5/6)^(3/4) = 0.872; (6/5)^3 = 1.728
        Assert.Contains("at 87 %", thinner.Costs, StringComparison.Ordinal);
        Assert.Contains("1.7 times", thinner.Costs, StringComparison.Ordinal);
        Lining sawn = lining with { State = LiningState.Cut };
        Assert.Empty(LoadOfVehicle.Of(Van(of: Vans.Of([], [], panel: side, floor: new FloorRecord([], [], [], [sawn])))).Lighter);
    }

    [Fact]
    public void Deadening_and_tanks_are_ways_to_get_lighter_what_saves_most_first()
    {
        LoadOfVehicle load = LoadOfVehicle.Of(
            Van([
                Item("Felt", 40, 0, LoadKind.Deadening),
                Item("Water", 100, 0, LoadKind.Tank, percent: 80),
                Item("Waste", 20, 0, LoadKind.Tank, percent: 30),
                Item("Old felt", 40, 0, LoadKind.Deadening, isIn: true),
            ])
        );
        Assert.Equal([("Water", 60.0), ("Felt", 30.0)], load.Lighter.Select(w => (w.What.Split(':')[0], w.SavesKg)));
    }

    /// <summary>Totals against a sum over the rows, written apart from the stage.</summary>
    [Fact]
    public void The_total_is_the_base_and_all_that_is_there() =>
        Gen.Select(Gen.Double[1, 300], Gen.Double[-3000, 6000], Gen.Int[0, 4], Gen.Bool, Gen.Bool, Gen.Double[0, 100])
            .Select(x => new LoadItem(
                "x",
                (LoadKind)x.Item3,
                x.Item1,
                new LoadPlace(x.Item2, 100, 300),
                x.Item6,
                x.Item4 && x.Item3 < 2,
                x.Item5,
                ""
            ))
            .Array[0, 40]
            .Holds(items =>
            {
                foreach (LoadCase of in LoadOfVehicle.Of(Van(items)).Cases)
                {
                    double sum = 2400;
                    foreach (LoadItem i in items)
                    {
                        if (!of.Planned && !i.IsIn)
                            continue;
                        double share =
                            (int)i.Kind < 2 ? 1
                            : of.State == LoadState.Empty ? 0
                            : of.State == LoadState.Loaded ? 1
                            : i.TravelPercent / 100;
                        sum += (i.TakenOut ? -1 : 1) * share * i.Kg;
                    }
                    Assert.Equal(sum, of.TotalKg!.Value, 6);
                    Assert.Equal(sum, of.On!.FrontKg + of.On.RearKg, 6);
                }
            });
}
