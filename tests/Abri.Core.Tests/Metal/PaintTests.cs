using Abri.Core.Declared;
using Abri.Core.Metal;
using Abri.Core.Work;

namespace Abri.Core.Tests.Metal;

public class PaintTests
{
    private static readonly Coat Primer = new("Primer", 50, 50, PaintBy.Brush, 250, 8, 48, 10, 30);

    private static PaintPlan Painted(double areaM2, double airC, params Coat[] coats) => Paint.Of(coats, areaM2, airC).Result;

    [Theory] // By hand: 10 x 50 / 50 = 10 m2/l; 2 m2 are 0.2 l on the metal, by what stays of it: 0.9, 0.85, 0.6
    [InlineData(PaintBy.Brush, 0.2222, 1)]
    [InlineData(PaintBy.Roller, 0.2353, 1)]
    [InlineData(PaintBy.SprayCan, 0.3333, 2)]
    public void Litres_are_area_by_spreading_and_what_is_lost(PaintBy by, double litres, int cans)
    {
        CoatPlan coat = Painted(2, 20, Primer with { By = by }).Coats[0];
        Assert.Equal(litres, coat.Litres, 4);
        Assert.Equal(cans, coat.Cans);
    }

    [Fact] // Worked the other way: what is on the metal, dried, has the volume of the film
    public void What_dries_is_the_film()
    {
        CoatPlan coat = Painted(3.7, 20, Primer with { DryMicrometres = 120, SolidsPercent = 63 }).Coats[0];
        Assert.Equal(3.7 * 120e-6 * 1000, coat.Litres * 0.9 * 0.63, 9);
    }

    [Theory]
    [InlineData(20, 8, 48)]
    [InlineData(30, 4, 24)]
    [InlineData(10, 16, 96)]
    public void Ten_degrees_colder_take_twice_as_long(double airC, double from, double to)
    {
        CoatPlan coat = Painted(1, airC, Primer).Coats[0];
        Assert.Equal((from, to), (coat.RecoatFromHours!.Value, coat.RecoatToHours!.Value));
    }

    [Theory]
    [InlineData(9.9, false)]
    [InlineData(10, true)]
    [InlineData(30, true)]
    [InlineData(30.1, false)]
    public void Outside_the_coat_s_own_temperatures_no_time_is_promised(double airC, bool goesOn)
    {
        PaintPlan plan = Painted(1, airC, Primer, Primer);
        Assert.Equal(goesOn, plan.LeastHours is not null);
        Assert.Equal(goesOn, plan.Coats[0].RecoatFromHours is not null);
        Assert.Equal(!goesOn, plan.Verdict.Contains("does not", StringComparison.Ordinal));
    }

    [Fact]
    public void Coats_add_up()
    {
        PaintPlan plan = Painted(1, 20, Primer, Primer with { DryMicrometres = 40, RecoatFromHours = 16 });
        Assert.Equal((90, 24), (plan.DryMicrometres, plan.LeastHours!.Value));
    }

    [Fact]
    public void A_coat_that_contradicts_itself_is_told()
    {
        Assert.Equal("/mostC", DeclaredRanges.Of(Primer with { MostC = 10 })!.Pointer);
        Assert.Equal("/recoatToHours", DeclaredRanges.Of(Primer with { RecoatToHours = 8 })!.Pointer);
        Assert.Null(DeclaredRanges.Of(Primer with { RecoatToHours = null }));
        Assert.All(TypicalCoats.System, c => Assert.Null(DeclaredRanges.Of(c)));
    }

    private static PaintNowAnswer Now(
        double airC = 20,
        double percent = 50,
        double? steelC = 18,
        double? dryHours = 24,
        double leastC = 10,
        double mostC = 30
    ) => PaintNow.Of(new PaintWeather(airC, percent, steelC, dryHours, 2, leastC, mostC)).Value!.Result;

    [Theory] // Dew points by psychrometric tables, from memory: 20 C 50 % 9.3; 10 C 85 % 7.6; 5 C 95 % 4.3
    [InlineData(20, 50, 9.3)]
    [InlineData(10, 85, 7.6)]
    [InlineData(5, 95, 4.3)]
    public void The_dew_point_is_that_of_the_tables(double airC, double percent, double dewC) =>
        Assert.Equal(dewC, Now(airC, percent).DewPointC, 0.05);

    [Theory] // ISO 8502-4, from memory: 3 K above 9.26 C
    [InlineData(12.2, JudgementState.Blocked)]
    [InlineData(12.3, JudgementState.Good)]
    [InlineData(null, JudgementState.NeedsWork)]
    public void Metal_has_to_be_three_degrees_above_the_dew_point(double? steelC, JudgementState state) =>
        Assert.Equal(state, Now(steelC: steelC).State);

    [Theory]
    [InlineData(84.9, JudgementState.Good)]
    [InlineData(85, JudgementState.Blocked)]
    public void Air_has_to_be_drier_than_85_percent(double percent, JudgementState state) => Assert.Equal(state, Now(20, percent, 25).State);

    [Theory]
    [InlineData(1.9, JudgementState.Blocked)]
    [InlineData(2.0, JudgementState.Good)]
    [InlineData(null, JudgementState.NeedsWork)]
    public void Rain_may_come_once_it_is_touch_dry(double? dryHours, JudgementState state) => Assert.Equal(state, Now(dryHours: dryHours).State);

    [Theory]
    [InlineData(15, 15, true)]
    [InlineData(14.9, 15.5, false)]
    [InlineData(20, 35, true)]
    [InlineData(20, 35.1, false)]
    [InlineData(35.1, 30, false)]
    public void Both_air_and_metal_lie_within_what_the_coat_stands(double airC, double steelC, bool good) =>
        Assert.Equal(good ? JudgementState.Good : JudgementState.Blocked, Now(airC, 30, steelC, 24, 15, 35).State);

    [Fact]
    public void A_no_says_first_what_stands_in_the_way_and_what_to_do()
    {
        PaintNowAnswer no = Now(8, 92, null, 1);
        Assert.Equal(JudgementState.Blocked, no.Rows[0].State);
        Assert.StartsWith("No: the air is too wet. Wait for drier air", no.Verdict);
        Assert.Equal("Yes: paint now.", Now().Verdict);
        Assert.StartsWith("Not sure yet: the metal is not measured. Measure it: 12.3 °C", Now(steelC: null).Verdict);
    }

    [Fact]
    public void A_system_is_said_in_a_sentence_with_steps_by_number_and_sources()
    {
        Worked<PaintPlan> plan = Paint.Of([Primer, Primer with { Name = "Top coat", RecoatFromHours = 16 }], 2, 20);
        Assert.Equal("0.22 l of Primer, 0.22 l of Top coat; 24 h from the first coat to the end of the last.", plan.Result.Verdict);
        Assert.Equal(["q", "s_1", "V_1", "s_2", "V_2"], plan.Steps.Select(s => s.Symbol));
        Assert.Equal([SourceKind.Geometry, SourceKind.Assumption, SourceKind.Assumption], plan.Sources.Select(s => s.Kind));
    }

    [Theory]
    [InlineData(47.9, "47.9 h")]
    [InlineData(48, "2 days")]
    [InlineData(84, "3.5 days")]
    public void Long_times_are_said_in_days(double hours, string words) =>
        Assert.Contains($"; {words} from the first coat", Painted(1, 20, Primer with { RecoatFromHours = hours, RecoatToHours = null }).Verdict);

    [Fact] // 2 m2 of this primer take 222.2 ml: just one can of that much, two of less
    public void Cans_are_whole()
    {
        double ml = 1000 * Painted(2, 20, Primer).Coats[0].Litres;
        Assert.Equal(1, Painted(2, 20, Primer with { CanMl = ml }).Coats[0].Cans);
        Assert.Equal(2, Painted(2, 20, Primer with { CanMl = ml - 0.1 }).Coats[0].Cans);
    }

    [Fact]
    public void What_may_not_go_on_has_no_time_to_abrade_either() => Assert.Null(Painted(1, 5, Primer).Coats[0].RecoatToHours);

    [Fact]
    public void Whether_now_shows_how_the_dew_point_was_found_and_cold_metal_counts()
    {
        Worked<PaintNowAnswer> now = PaintNow.Of(new PaintWeather(20, 50, 18, 24, 2, 10, 30)).Value!;
        Assert.Contains(now.Steps, s => s.Symbol == "T_d");
        Assert.Contains(now.Sources, s => s.Name.Contains("ISO 8502-4", StringComparison.Ordinal));
        Judgement cold = Now(20, 20, 9, 24, 10).Rows.Single(r => r.Id == "warmth");
        Assert.Equal((JudgementState.Blocked, 9), (cold.State, cold.Measured!.Value));
    }
}
