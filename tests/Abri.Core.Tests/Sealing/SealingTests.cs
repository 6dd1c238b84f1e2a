using Abri.Core.Geometry;
using Abri.Core.Sealing;
using Abri.Core.Weather;

namespace Abri.Core.Tests.Sealing;

public class SealingTests
{
    private static readonly BeadInput Glass = new(2662.65, 10, 12, 4, 14, 290, 10, 600, 8, true);

    [Fact] // Worked by hand: 10 * 12 / 2 = 60 mm2; 60 * 2662.65 = 159.76 ml; squeezed to 4 mm it is 15 mm wide
    public void A_bead_round_a_window_comes_out_as_by_hand()
    {
        BeadPlan plan = Bead.Of(Glass with { PathMm = new RoundedRectangle(1000, 400, 80).PerimeterMm }, LengthFormat.Millimetres).Value!.Result;
        Assert.Equal((60, 159.8, 15.0, 1), (plan.SectionMm2, Math.Round(plan.VolumeMl, 1), plan.SqueezedWidthMm!.Value, plan.Cartridges));
        Assert.True(plan.InTime);
        Assert.Equal("It can be laid in one go.", plan.Verdict);
    }

    [Fact]
    public void Too_little_in_the_gun_too_little_time_and_too_wide_a_land_are_said()
    {
        BeadPlan plan = Bead.Of(Glass with { CartridgeMl = 100, OpenMinutes = 5, LandMm = 20 }, LengthFormat.Millimetres).Value!.Result;
        // 175.7 ml are two cartridges; 4.4 min and one change of 1.5 min are 5.9.
        Assert.Equal((2, 1, 5.9), (plan.Cartridges, plan.Changes, Math.Round(plan.LayMinutes, 1)));
        Assert.Contains("second gun loaded", plan.Verdict);
        Assert.Contains("stays open for 5", plan.Verdict);
        Assert.Contains("second line", plan.Verdict);
        // What just fits does not need one more.
        Assert.Equal(1, Bead.Of(Glass with { CartridgeMl = 159.759 * 1.1, PathMm = 2662.65 }, LengthFormat.Millimetres).Value!.Result.Cartridges);
    }

    [Theory] // Worked by hand: (70 - 12) 1e-6 * 50 * 1092 / 2 = 1.58; glass (12 - 9) 1e-6: 0.08
    [InlineData(Part.Acrylic, Part.Steel, 1.58, 3.2)]
    [InlineData(Part.Glass, Part.Steel, 0.08, 0.2)]
    public void A_bond_follows_what_heat_moves(Part a, Part b, double movement, double least)
    {
        BondLine line = BondThickness.Of(a, b, 1092, 50).Result;
        Assert.Equal((movement, least), (Math.Round(line.MovementMm, 2), Math.Round(line.LeastMm, 1)));
    }

    [Theory] // Handbook figures of absolute humidity
    [InlineData(23, 50, 10.3)]
    [InlineData(10, 80, 7.5)]
    [InlineData(5, 60, 4.1)]
    [InlineData(30, 70, 21.2)]
    public void Air_holds_so_much_water(double airC, double percent, double grams) =>
        Assert.Equal(grams, MoistAir.Holds(airC, percent).Value!.Result.GramsPerM3, 1);

    [Fact]
    public void The_dew_point_of_air_that_is_full_is_its_own_temperature()
    {
        Assert.Equal(17, MoistAir.Point(17, 100).Value!.Result.DewPointC, 9);
        Assert.Equal(12.0, MoistAir.Point(23, 50).Value!.Result.DewPointC, 1);
        Assert.Equal("humidity", MoistAir.Holds(20, 0).Problem!.Code);
    }

    [Theory] // Air of 23 C and 50 % has its dew point at 12.0 C, so that 15.0 C is the coldest to coat
    [InlineData(18, "Dry enough")]
    [InlineData(14, "to be sure")]
    [InlineData(11, "water settles")]
    public void A_surface_is_coated_three_kelvin_above_the_dew_point(double surfaceC, string says)
    {
        Dew dew = MoistAir.Point(23, 50, surfaceC).Value!.Result;
        Assert.Contains(says, dew.Verdict);
        Assert.Equal(surfaceC - dew.DewPointC - 3, dew.SpareK!.Value, 9);
    }
}
