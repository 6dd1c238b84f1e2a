using Abri.Core.Sealing;
using CsCheck;

namespace Abri.Core.Tests.Sealing;

public class CureTests
{
    private static readonly Product Polyurethane = TypicalProducts.All.Single(p => p.Family == ProductFamily.PolyurethaneAdhesive);
    private static readonly AirHour Sheet = new(23, 50);
    private static readonly Gen<AirHour> Air = Gen.Select(Gen.Double[1, 38], Gen.Double[15, 98]).Select(a => new AirHour(a.Item1, a.Item2));

    [Fact] // Worked by hand: 24 h (6 / 3)^2 = 96 h through one open face, a quarter of that through two
    public void At_the_data_sheet_s_air_a_bead_cures_by_the_square_of_its_width()
    {
        Assert.Equal(96, Hours(6, 1, [Sheet])[CureState.Full]!.Value, 6);
        Assert.Equal(24, Hours(6, 2, [Sheet])[CureState.Full]!.Value, 6);
        Assert.Equal(35.0 / 60, Hours(6, 1, [Sheet])[CureState.TackFree]!.Value, 6);
    }

    [Fact] // Closed form at constant air: t = 24 (w / d)^2 / pace, found hour by hour
    public void Steady_air_hour_by_hour_gives_the_closed_form() => Gen.Select(Air, Gen.Double[1, 8]).Holds((air, width) =>
    {
        double closed = 24 * Math.Pow(width / 3, 2) / Cure.Pace(air);
        double? found = Hours(width, 1, [.. Enumerable.Repeat(air, Cure.MostHours)])[CureState.Full];
        return closed > Cure.MostHours ? found is null : Math.Abs(found!.Value - Math.Max(closed, 2 * 35 / 60.0 / Cure.Pace(air))) < 1e-6;
    }, cases: 60);

    [Fact]
    public void Warmer_damper_air_never_takes_longer_and_states_come_in_order() => Gen.Select(Air, Gen.Double[0, 5], Gen.Double[0, 2]).Holds((air, warmer, damper) =>
    {
        Dictionary<CureState, double?> now = Hours(5, 1, [air]), then = Hours(5, 1, [new AirHour(air.AirC + warmer, air.RelativePercent + damper)]);
        double?[] times = [.. now.OrderBy(n => n.Key).Select(n => n.Value)];
        return times.Zip(times.Skip(1)).All(p => p.Second is null || p.First <= p.Second) && now.All(n => n.Value is null || then[n.Key] <= n.Value + 1e-9);
    }, cases: 100);

    [Fact]
    public void Frost_stops_the_cure_and_the_thaw_goes_on_with_it()
    {
        AirHour[] night = [.. Enumerable.Repeat(new AirHour(-4, 90), 10)], day = [.. Enumerable.Repeat(Sheet, 200)];
        Assert.Equal(106, Hours(6, 1, [.. night, .. day])[CureState.Full]!.Value, 6);
        Assert.All(Hours(6, 1, night), s => Assert.Null(s.Value));
        Assert.Contains(Cure.Of(Polyurethane, 6, 1, night).Value!.Warnings, w => w.Contains("not to be laid"));
    }

    [Fact]
    public void Tape_holds_at_once_and_two_parts_have_a_pot_life_instead()
    {
        Product Of(ProductFamily family) => TypicalProducts.All.Single(p => p.Family == family);
        Assert.All(Cure.Of(Of(ProductFamily.ButylTape), 40, 1, [Sheet]).Value!.Result.States, s => Assert.Equal(0, s.Hours));
        Assert.Equal("cure-two-part", Cure.Of(Of(ProductFamily.EpoxyPutty), 5, 1, [Sheet]).Problem!.Code);
        Assert.Equal("open-time-none", OpenTime.Of(Of(ProductFamily.ButylTape), Sheet, null).Problem!.Code);
    }

    [Fact] // Worked by hand: half for every 10 K; 800 g heats itself: cube root of 8 halves it again
    public void Pot_life_halves_for_every_ten_kelvin_and_with_eight_times_the_batch()
    {
        Assert.Equal(30, OpenTime.InThePot(30, 23, 100).Result.Minutes, 9);
        Assert.Equal(15, OpenTime.InThePot(30, 33, 100).Result.Minutes, 9);
        Assert.Equal(15, OpenTime.InThePot(30, 23, 800).Result.Minutes, 9);
        Assert.Contains("Too hot", OpenTime.InThePot(30, 38, 50).Result.Verdict); // 37.8 C: common practice, no source
    }

    [Fact]
    public void Open_time_is_held_against_the_time_to_lay()
    {
        Assert.Equal(35, OpenTime.Of(Polyurethane, Sheet, null).Value!.Result.Minutes, 6);
        Assert.Contains("in time", OpenTime.Of(Polyurethane, Sheet, 20).Value!.Result.Verdict);
        Assert.Contains("two guns", OpenTime.Of(Polyurethane, new AirHour(34, 80), 20).Value!.Result.Verdict);
    }

    private static Dictionary<CureState, double?> Hours(double widthMm, int faces, IReadOnlyList<AirHour> weather) =>
        Cure.Of(Polyurethane, widthMm, faces, weather).Value!.Result.States.ToDictionary(s => s.State, s => s.Hours);
}
