using Abri.Core.Floor;
using Abri.Core.Geometry;
using Abri.Core.Work;

namespace Abri.Core.Tests.Floor;

/// <summary>How much coating wood and roofs take, and whether they may be coated.</summary>
public class CoatingTests
{
    private static CoatingQuestion Boards(WoodCoatKind kind = WoodCoatKind.MarineVarnish, double airC = 20, double? moisture = 12) =>
        new(TypicalWoodCoats.Of(kind), 2, 6000, 18, 0, airC, moisture);

    private static CoatingPlan Plan(CoatingQuestion question) => Coating.Of(question, LengthFormat.Millimetres).Result;

    [Fact] // By hand: (2 + 2 x 6 x 0.018) x 2 / 10 / 0.9 = 0.4924 l; penetrating epoxy (2.216) (1/5 + 1/8) / 0.9 = 0.8002 l
    public void Edges_drink_twice_and_a_first_coat_soaks_in()
    {
        CoatingPlan varnish = Plan(Boards());
        Assert.Equal(0.4924, varnish.Litres, 4);
        Assert.Equal(1, varnish.Cans);
        Assert.Equal("0.49 l of marine varnish in 2 coats, 1 can; the next coat after 16 h and before 72 h.", varnish.Verdict);
        Assert.Equal(2.216 * (1 / 5.0 + 1 / 8.0) / 0.9, Plan(Boards(WoodCoatKind.PenetratingEpoxy)).Litres, 9);
        Assert.Equal(32, varnish.LeastHours);
    }

    [Theory] // Twice as long for each 10 K colder
    [InlineData(20, 16)]
    [InlineData(10, 32)]
    [InlineData(30, 8)]
    public void Cold_makes_it_slow(double airC, double hours) => Assert.Equal(hours, Plan(Boards(airC: airC)).RecoatFromHours!.Value, 9);

    [Theory] // Warmth shortens the time after which it is abraded first; cold is no leave to wait longer
    [InlineData(20, 72)]
    [InlineData(10, 72)]
    [InlineData(30, 36)]
    public void Cold_is_no_leave_to_wait_longer(double airC, double hours) => Assert.Equal(hours, Plan(Boards(airC: airC)).RecoatToHours!.Value, 9);

    [Theory]
    [InlineData(7, "too cold")]
    [InlineData(31, "too hot")]
    public void Outside_of_its_sheet_there_is_no_time_and_no_coat(double airC, string why)
    {
        CoatingPlan plan = Plan(Boards(airC: airC));
        Assert.Null(plan.RecoatFromHours);
        Assert.Null(plan.LeastHours);
        Assert.Equal(JudgementState.Blocked, plan.Rows[0].State);
        Assert.Contains(why, plan.Verdict);
        // A sheet that allows more than the rule of thumb covers does not stretch it.
        CoatingQuestion frost = Boards(airC: -5);
        Assert.Null(Plan(frost with { Coat = frost.Coat with { LeastC = -20 } }).RecoatFromHours);
    }

    [Theory]
    [InlineData(16.0, JudgementState.Good)]
    [InlineData(16.1, JudgementState.Blocked)]
    [InlineData(null, JudgementState.NeedsWork)]
    public void Moisture_comes_first(double? moisture, JudgementState state)
    {
        CoatingPlan plan = Plan(Boards(moisture: moisture));
        Assert.Equal(state, plan.Rows.Single(r => r.Id == "moisture").State);
        Assert.Equal(state == JudgementState.Blocked, plan.Verdict.StartsWith("Not yet: the wood is too wet", StringComparison.Ordinal));
    }

    [Fact] // By hand: 8 m2 x 2 / 1.2 / 0.9 = 14.81 l, three cans of five
    public void A_roof_is_coated_once_its_leaks_are_found_and_for_good()
    {
        CoatingQuestion roof = new(TypicalWoodCoats.Of(WoodCoatKind.RoofSilicone), 8, 0, 0, 9000, 20, null);
        CoatingPlan blind = Plan(roof);
        Assert.StartsWith("Not yet: its leaks are not found yet.", blind.Verdict, StringComparison.Ordinal);
        CoatingPlan plan = Plan(roof with { LeaksFound = true });
        Assert.Equal(14.8148, plan.Litres, 4);
        Assert.Equal((3, 9000.0), (plan.Cans, plan.TapeMm));
        Assert.Equal("Nothing will ever stick to it again", plan.Rows.Single().Title);
        Assert.Contains(plan.Order, o => o.Contains("the second across it"));
        Assert.Contains(plan.Order, o => o.StartsWith("Tape 9000 mm", StringComparison.Ordinal));
        Assert.Contains(Plan(Boards()).Order, o => o.Contains("end grain twice"));
    }

    [Fact]
    public void What_the_steps_of_boards_reckon_with_is_the_same_varnish() =>
        Assert.Equal(1000 / TypicalWoodCoats.Of(WoodCoatKind.MarineVarnish).M2PerLitre, TypicalWoodCoats.VarnishMlPerM2);
}
