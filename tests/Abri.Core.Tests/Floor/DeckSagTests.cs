using Abri.Core.Floor;
using Abri.Core.Geometry;

namespace Abri.Core.Tests.Floor;

/// <summary>How far a sheet sags over a bay.</summary>
public class DeckSagTests
{
    private static SagPlan Sag(Deck deck) => DeckSag.Of(deck, LengthFormat.Millimetres).Value!.Result;

    /// <summary>
    /// Navier's double series for a plate on four edges, the other two so far off that it is a strip (Timoshenko and Woinowsky-Krieger, article 29:
    /// from memory).
    /// </summary>
    private static double Navier(Deck deck, double otherMm)
    {
        double d = deck.ModulusMPa * Math.Pow(deck.ThickMm, 3) / 12 / (1 - (0.3 * 0.3)),
            sum = 0;
        for (int m = 1; m < 60; m += 2)
        {
            for (int n = 1; n < 600; n += 2)
            {
                double load =
                    16
                    * deck.LoadN
                    / (deck.FootMm * deck.FootMm * Math.PI * Math.PI * m * n)
                    * Math.Sin(m * Math.PI * deck.FootMm / 2 / deck.SpacingMm)
                    * Math.Sin(n * Math.PI * deck.FootMm / 2 / otherMm);
                double waves = ((double)m * m / deck.SpacingMm / deck.SpacingMm) + ((double)n * n / otherMm / otherMm);
                sum += load / (Math.Pow(Math.PI, 4) * d * waves * waves);
            }
        }
        return sum;
    }

    [Theory] // Handbook coefficient 0.01695 P a2 / D, worked by hand (from memory: table 23)
    [InlineData(18.26, 457.2, 0.81, true)]
    [InlineData(12.7, 457.2, 2.40, false)]
    [InlineData(18.26, 609.6, 1.44, true)]
    public void A_foot_at_a_point_sags_as_the_handbook_says(double thick, double spacing, double expected, bool holds)
    {
        SagPlan plan = Sag(new Deck(thick, 7000, spacing));
        Assert.Equal(expected, plan.SagMm, 0.006);
        Assert.Equal(holds, plan.Holds);
    }

    [Fact]
    public void A_foot_as_fine_as_a_needle_is_a_point() =>
        Assert.Equal(Sag(new Deck(18, 7000, 457)).SagMm, Sag(new Deck(18, 7000, 457, FootMm: 1e-300)).SagMm);

    [Theory]
    [InlineData(18, 457, 100)]
    [InlineData(12, 600, 60)]
    [InlineData(24, 900, 300)]
    [InlineData(15, 300, 280)]
    public void A_load_on_a_square_sags_as_Naviers_series_says(double thick, double spacing, double foot)
    {
        var deck = new Deck(thick, 7000, spacing, 2000, foot);
        Assert.Equal(Navier(deck, 6 * spacing), Sag(deck).SagMm, 0.002 * Sag(deck).SagMm);
    }

    [Theory]
    [InlineData(0)]
    [InlineData(120)]
    public void The_largest_spacing_and_the_least_thickness_just_keep_the_limit(double foot)
    {
        var deck = new Deck(15, 7000, 600, 890, foot);
        SagPlan plan = Sag(deck);
        Assert.Equal(1.5, Sag(deck with { SpacingMm = plan.MostSpacingMm }).SagMm, 6);
        Assert.Equal(1.5, Sag(deck with { ThickMm = plan.LeastThickMm }).SagMm, 6);
        Assert.Equal(plan.Chart.OrderBy(p => p.SpacingMm).Select(p => p.SagMm).Order(), plan.Chart.Select(p => p.SagMm));
        Assert.Contains("too soft", plan.Verdict, StringComparison.Ordinal);
    }

    [Fact]
    public void A_foot_that_stands_on_both_bearers_is_told() =>
        Assert.Equal("foot-wider-than-bay", DeckSag.Of(new Deck(18, 7000, 300, 890, 300), LengthFormat.Millimetres).Problem!.Code);
}
