using Abri.Core.Water.Leaks;

namespace Abri.Core.Tests.Water.Leaks;

public class CondensationTests
{
    private static CondensationAnswer Of(CondensationSigns signs) => Condensation.Of(signs).Value!.Result;

    [Theory] // Dew points as psychrometric tables give them, to half a degree: 20 C at 60, 50 and 80 %; 15 C at 70 %; 5 C at 90 %
    [InlineData(20, 60, 12.0)]
    [InlineData(20, 50, 9.3)]
    [InlineData(20, 80, 16.4)]
    [InlineData(15, 70, 9.6)]
    [InlineData(5, 90, 3.5)]
    public void The_dew_point_is_that_of_the_tables(double airC, double percent, double dew) =>
        Assert.Equal(dew, Of(new CondensationSigns(AirC: airC, RelativePercent: percent)).DewPointC!.Value, 0.1);

    [Fact] // By hand: odds 1/2 by 8 (no rain), by 4 (cold nights), by 6 (surface below the dew point) are 96, 0.990
    public void Signs_multiply_the_odds()
    {
        CondensationAnswer cold = Of(new(WetWithoutRain: true, AfterColdNights: true, AirC: 20, RelativePercent: 60, SurfaceC: 8));
        Assert.Equal(96.0 / 97, cold.Probability, 9);
        Assert.Equal((3, 0), (cold.For.Count, cold.Against.Count));
        Assert.StartsWith("Most likely condensation", cold.Verdict);
        // Likely is not shown: the foil is still asked for.
        Assert.Contains("foil", cold.Next[0]);
        // 1/2 by 0.3, by 0.6, by 0.2: 0.018.
        CondensationAnswer leak = Of(new(WetWithoutRain: false, ManyPlaces: false, AirC: 20, RelativePercent: 60, SurfaceC: 16));
        Assert.Equal(0.018 / 1.018, leak.Probability, 9);
        Assert.StartsWith("Most likely a leak", leak.Verdict);
        Assert.Equal((0, 3), (leak.For.Count, leak.Against.Count));
    }

    [Theory] // 20 C and 60 %: dew point 12.0; within 3 K above it nothing is known
    [InlineData(11.9, 3.0)]
    [InlineData(12.1, 0.5)]
    [InlineData(14.9, 0.5)]
    [InlineData(15.1, 0.1)]
    public void A_surface_just_above_the_dew_point_says_nothing(double surface, double odds) =>
        Assert.Equal(odds / (1 + odds), Of(new(AirC: 20, RelativePercent: 60, SurfaceC: surface)).Probability, 9);

    [Fact]
    public void The_foil_settles_it_and_until_then_it_is_asked_for()
    {
        CondensationAnswer open = Of(new());
        Assert.Equal(1.0 / 3, open.Probability, 9);
        Assert.StartsWith("Not settled", open.Verdict);
        Assert.Contains("foil", open.Next[0]);
        Assert.Contains("Measure temperature", open.Next[1]);
        Assert.StartsWith("Condensation", Of(new(Foil: FoilSide.Room)).Verdict);
        Assert.StartsWith("A leak", Of(new(Foil: FoilSide.Behind)).Verdict);
        Assert.Equal(1.0 / 3, Of(new(Foil: FoilSide.Neither)).Probability, 9);
        Assert.Contains(Of(new(Foil: FoilSide.Neither)).Next, n => n.Contains("foil", StringComparison.Ordinal));
        Assert.DoesNotContain(Of(new(Foil: FoilSide.Room)).Next, n => n.Contains("foil", StringComparison.Ordinal));
    }

    [Fact]
    public void Half_a_reading_is_said()
    {
        Assert.Equal(("air-half", "/signs/relativePercent"), Said(new(AirC: 20)));
        Assert.Equal(("air-half", "/signs/airC"), Said(new(RelativePercent: 60)));
        Assert.Equal(("surface-without-air", "/signs/airC"), Said(new(SurfaceC: 5)));
        static (string, string) Said(CondensationSigns signs) => Condensation.Of(signs).Problem is { } p ? (p.Code, p.Pointer) : default;
    }

    [Fact]
    public void Other_ways_to_look_are_told_with_what_they_are_good_for()
    {
        Assert.Equal(OtherTest.All.Count, OtherTest.All.Select(t => t.Id).Distinct().Count());
        Assert.Equal(["air", "dye", "tissue", "meter"], OtherTest.All.Select(t => t.Id));
        Assert.Contains("Nobody inside", OtherTest.All[0].Do);
    }
}
