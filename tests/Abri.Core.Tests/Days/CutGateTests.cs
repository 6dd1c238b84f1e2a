using Abri.Core.Days;
using Abri.Core.Shell;
using Abri.Core.Weather;
using Abri.Core.Work;
using CsCheck;
using static Abri.Core.Tests.Days.OpenShellWork;

namespace Abri.Core.Tests.Days;

public class CutGateTests
{
    private static readonly CutCare Care = new(false, 20);

    private static Worked<GateAnswer> Ask(
        Forecast forecast,
        double hour,
        OpenSpan? span = null,
        CutCare? care = null,
        IReadOnlyList<Person>? people = null,
        Place? place = null
    ) => CutGate.Of(span ?? Span, new Conditions(forecast, "Etc/UTC", place, people ?? []), care ?? Care, Monday.AddHours(hour));

    private static Person From(double from, double to, params DayOfWeek[] days) =>
        new("Ada", [.. (days.Length > 0 ? days : Enum.GetValues<DayOfWeek>()).Select(d => new WorkDay(d, from, to))]);

    [Fact] // By hand: 30 + 15 min, 1 h, 30 min, 2 h at 20 C; eight to six leaves the last start at 15:40, its last work until 17:55
    public void On_a_fine_day_one_may_begin_until_the_work_ends_with_the_day()
    {
        GateAnswer gate = Ask(Fine(), 9).Result;
        Assert.Equal(GateState.Go, gate.State);
        Assert.Equal(Monday.AddHours(15).AddMinutes(40), gate.Windows[0].Until);
        Assert.Equal(Monday.AddHours(9 + 4.25), gate.Run!.SafeAt);
        Assert.Empty(gate.Reasons);
        Assert.Equal(
            "Go until 15:40. Start now, and it is safe from rain by 13:15. Dusk is not looked at: say where the vehicle stands.",
            gate.Verdict
        );
        // And on each day that is trusted.
        Assert.Equal(5, gate.Windows.Count);
    }

    [Fact] // Cut at ten in the evening, the paint dries until after midnight: nobody would see the rain come
    public void A_hole_does_not_stand_open_over_night_without_a_cover()
    {
        IReadOnlyList<Person> always = [From(0, 24)];
        GateAnswer late = Ask(Fine(), 22.5, people: always).Result;
        Assert.NotEqual(GateState.Go, late.State);
        Assert.Contains("It would stand open over night before set it.", late.Verdict, StringComparison.Ordinal);
        // An hour earlier it is shut before midnight, and what sets then is shut.
        Assert.Equal(GateState.Go, Ask(Fine(), 21.5, people: always).Result.State);
    }

    [Fact] // Rain all of today, and from ten to five on every other day: begun at five, the last work would end a quarter of an hour after seven
    public void Where_only_another_day_with_a_cover_would_do_that_is_said()
    {
        Forecast wet = Fine(but: (h, w) => h < 24 || (h % 24) is >= 10 and < 17 ? w with { RainPercent = 90, RainMm = 1 } : w);
        GateAnswer gate = Ask(wet, 9, people: [From(8, 19)]).Result;
        Assert.Equal((GateState.NotToday, 0), (gate.State, gate.Windows.Count));
        Assert.Contains(" With a cover: Tue 08:00, safe from rain by Tue 19:30.", gate.Verdict, StringComparison.Ordinal);
        Assert.DoesNotContain("no time that suits", gate.Verdict, StringComparison.Ordinal);
    }

    [Theory] // Chance of rain against what counts as dry: just below, at, just above
    [InlineData(19.9, true)]
    [InlineData(20, true)]
    [InlineData(20.1, false)]
    public void An_hour_is_dry_up_to_the_chance_that_was_chosen(double percent, bool goes) =>
        Assert.Equal(goes, Ask(Fine(but: Rain(percent, 13)), 9).Result.State == GateState.Go);

    [Theory] // Four hours and a quarter touch five hours of p: 1 - (1 - p)(1 - p/4)^4, 19.9 % for 10.7 and 20.05 % for 10.8
    [InlineData(10.7, true)]
    [InlineData(10.8, false)]
    public void Hours_that_are_each_dry_enough_can_be_too_wet_together(double percent, bool goes)
    {
        GateAnswer gate = Ask(Fine(but: (_, w) => w with { RainPercent = percent }), 9).Result;
        double all = 100 * (1 - ((1 - (percent / 100)) * Math.Pow(1 - (percent / 400), 4)));
        Assert.Equal(goes, all <= 20);
        Assert.Equal(goes, gate.State == GateState.Go);
        if (!goes)
            Assert.Contains($"The chance of rain on the open hole is {all:0} % in all.", gate.Verdict, StringComparison.Ordinal);
    }

    [Fact] // Safe at 13:15 from 9:00 on: rain at 14 lets one begin until 9:45, on the grid 9:40
    public void The_last_safe_cut_is_safe_from_rain_when_the_rain_comes()
    {
        GateAnswer gate = Ask(Fine(but: Rain(60, 14)), 9).Result;
        Assert.Equal(GateState.Go, gate.State);
        Assert.Equal(Monday.AddHours(9).AddMinutes(40), gate.Windows[0].Until);
        Assert.True(gate.Windows[0].Until.AddHours(4.25) <= Monday.AddHours(14));
        Assert.True(gate.Windows[0].Until.AddMinutes(CutGate.EveryMinutes).AddHours(4.25) > Monday.AddHours(14));
    }

    [Fact]
    public void What_stands_in_the_way_is_all_told_each_with_its_time()
    {
        GateAnswer gate = Ask(Fine(but: (h, w) => Rain(60, 17, 18, 19)(h, w) with { WindMs = h < 24 ? 12 : 3 }), 16, Windy).Result;
        Assert.Equal([HindranceKind.Rain, HindranceKind.Wind, HindranceKind.People], gate.Reasons.Select(r => r.Kind).Order());
        Assert.Contains("Rain from Mon 17:00 (60 %).", gate.Verdict, StringComparison.Ordinal);
        Assert.Contains("Next: Tue 08:00", gate.Verdict, StringComparison.Ordinal);
    }

    private static OpenSpan Windy =>
        Span with
        {
            Steps = [Step("Cut the hole", 30, needs: new WeatherNeeds(true, 8, null, null)), .. Span.Steps.Skip(1)],
        };

    [Theory] // Wind at the limit is too much; below it is not
    [InlineData(7.9, true)]
    [InlineData(8, false)]
    public void Wind_counts_from_its_limit_on(double wind, bool goes) =>
        Assert.Equal(goes, Ask(Fine(but: (_, w) => w with { WindMs = wind }), 9, Windy).Result.Windows.Count > 0);

    [Theory] // Product laid from 5 to 35 C, and 3 K above the dew point; 20 C at 80 % has its dew point at 16.4 C, at 85 % at 17.4
    [InlineData(4.9, 40, HindranceKind.Cold)]
    [InlineData(35.1, 20, HindranceKind.Hot)]
    [InlineData(20, 85, HindranceKind.Damp)]
    [InlineData(5, 40, null)]
    [InlineData(35, 20, null)]
    [InlineData(20, 80, null)]
    public void What_is_laid_needs_its_temperature_and_no_dew(double air, double humidity, HindranceKind? kind)
    {
        OpenSpan laid = new([Step("Bed it", 30, needs: new WeatherNeeds(true, null, 5, 35))], true);
        GateAnswer gate = Ask(Fine(but: (_, w) => w with { AirC = air, RelativePercent = humidity }), 9, laid).Result;
        Assert.Equal(kind is null ? [] : [kind.Value], gate.Reasons.Select(r => r.Kind));
    }

    [Fact] // Half as fast at 10 C: an hour of drying takes two, at 0 C for ever
    public void Waits_get_longer_in_the_cold_and_stand_still_in_frost()
    {
        DateTimeOffset? Until(double air) => WaitTime.Until(Fine(but: (_, w) => w with { AirC = air }), Monday.AddHours(9), 1);
        Assert.Equal(Monday.AddHours(10), Until(20));
        Assert.Equal(Monday.AddHours(10), Until(30));
        Assert.Equal(Monday.AddHours(11), Until(10));
        Assert.Null(Until(0));
        GateAnswer frost = Ask(Fine(but: (_, w) => w with { AirC = -1 }), 9).Result;
        Assert.Equal(GateState.NotToday, frost.State);
        Assert.Contains("does not set within the forecast", frost.Verdict, StringComparison.Ordinal);
    }

    [Fact]
    public void Two_people_are_needed_where_a_step_takes_two()
    {
        OpenSpan two = Span with { Steps = [.. Span.Steps.Take(2), Step("Set the pane", 30, waitHours: 2, people: 2)] };
        Assert.Equal("Set the pane takes 2 people; only 1 is there.", Ask(Fine(), 9, two).Result.Reasons[0].Text);
        // A friend who comes at two in the afternoon.
        GateAnswer gate = Ask(Fine(), 9, two, people: [From(8, 18), From(14, 16) with { Name = "Friend" }]).Result;
        Assert.Equal((Monday.AddHours(12.25 + (5 / 60.0)), GateState.Later), (gate.Windows[0].From, gate.State));
    }

    [Fact] // Seven hours of help are not enough for a cut that takes two people for nine
    public void Where_no_time_suits_it_says_which_comes_closest_and_what_is_in_its_way()
    {
        OpenSpan two = new([Step("Cut the hole", 60), Step("Set the pane", 480, people: 2)], true);
        GateAnswer gate = Ask(Fine(), 9, two, people: [From(8, 18), From(10, 17) with { Name = "Friend" }]).Result;
        Assert.Empty(gate.Windows);
        Assert.Contains("Closest: Mon 09:00, but then: Set the pane takes 2 people", gate.Verdict, StringComparison.Ordinal);
    }

    [Fact]
    public void Nobody_works_on_a_free_day()
    {
        Person weekend = From(9, 17, DayOfWeek.Saturday);
        GateAnswer gate = Ask(Fine(), 9, people: [weekend]).Result;
        Assert.Equal(GateState.NotToday, gate.State);
        Assert.Equal("Cut the hole: nobody works then.", gate.Reasons[0].Text);
        Assert.Contains("The forecast shows no time that suits.", gate.Verdict, StringComparison.Ordinal);
    }

    [Fact] // Civil dusk in Lisbon on 12 May 2031 is at 20:08 UTC (npm suncalc)
    public void Work_outside_ends_with_the_light_and_inside_a_lamp_helps()
    {
        Person late = From(8, 23);
        OpenSpan inside = Span with { Steps = [.. Span.Steps.Select(s => s with { Inside = true })] };
        GateAnswer Gate(OpenSpan span) => Ask(Fine(), 9, span, people: [late], place: new Place(38.7, -9.1)).Result;
        DateTimeOffset last = Gate(Span).Windows[0].Until;
        // The last work, 2 h 15 min after the cut begins, ends before dusk; ten minutes later it does not.
        Assert.InRange((Monday.AddHours(20).AddMinutes(8) - last.AddMinutes(135)).TotalMinutes, -1, 10);
        Assert.True(Gate(inside).Windows[0].Until > last.AddHours(2));
    }

    [Fact] // The edge's paint dries in a shower: under a cover the hole stays open over it, not without
    public void A_shower_while_something_dries_is_got_over_with_a_cover()
    {
        OpenSpan slow = new([Step("Cut the hole", 30), Step("Paint the edge", 30, waitHours: 6), Step("Set it", 30, waitHours: 1)], true);
        GateAnswer gate = Ask(Fine(but: Rain(70, 11, 12, 35, 36, 59, 60, 83, 84, 107, 108)), 8, slow).Result;
        Assert.Equal(GateState.WithCover, gate.State);
        TimedStep cover = Assert.Single(gate.Run!.Covered);
        Assert.True(cover.From <= Monday.AddHours(11) && cover.To >= Monday.AddHours(13));
        Assert.StartsWith(
            "Only with a cover ready: begun at 08:00, covered 09:00 to 15:00, safe from rain by",
            gate.Verdict,
            StringComparison.Ordinal
        );
    }

    [Theory] // A taped cover lies up to 17 m/s
    [InlineData(16.9, GateState.WithCover)]
    [InlineData(17, GateState.NotToday)]
    public void No_cover_lies_in_a_storm(double gust, GateState state)
    {
        OpenSpan slow = new([Step("Cut the hole", 30), Step("Paint the edge", 30, waitHours: 6), Step("Set it", 30, waitHours: 1)], true);
        Forecast forecast = Fine(but: (h, w) => Rain(70, 11, 12, 35, 36, 59, 60, 83, 84, 107, 108)(h, w) with { GustMs = gust });
        Assert.Equal(state, Ask(forecast, 8, slow).Result.State);
    }

    [Fact]
    public void A_first_timer_counts_with_the_slow_minutes()
    {
        OpenSpan span = new([new DayStep("Cut the hole", new Minutes(20, 30, 60), 0, WeatherNeeds.Any, 1, false)], true);
        Assert.Equal(Monday.AddHours(10), Ask(Fine(), 9, span, new CutCare(true, 20)).Result.Run!.SafeAt);
        Assert.Equal(Monday.AddHours(9.5), Ask(Fine(), 9, span).Result.Run!.SafeAt);
    }

    [Fact]
    public void A_forecast_is_not_trusted_beyond_its_time()
    {
        Worked<GateAnswer> gate = Ask(Fine(12), 9);
        Assert.Equal(HindranceKind.Unknown, Assert.Single(gate.Result.Reasons).Kind);
        Assert.Empty(gate.Result.Windows);
        Assert.Contains(gate.Warnings, w => w.Contains("one person, every day from eight to six", StringComparison.Ordinal));
    }

    [Fact] // Everything that is told is told by the clock at the vehicle, in May an hour ahead of universal time
    public void Times_are_those_of_the_clock_at_the_vehicle()
    {
        GateAnswer gate = CutGate.Of(Span, new Conditions(Fine(), "Europe/Lisbon", null, []), Care, Monday.AddHours(9)).Result;
        TimeSpan hour = TimeSpan.FromHours(1);
        Assert.Equal((hour, hour), (gate.Windows[0].From.Offset, gate.Windows[0].Until.Offset));
        Assert.All(gate.Run!.Steps, s => Assert.Equal((hour, hour), (s.From.Offset, s.To.Offset)));
        Assert.Equal(hour, gate.Run.SafeAt.Offset);
        Assert.StartsWith($"Go until {gate.Windows[0].Until:HH:mm}.", gate.Verdict, StringComparison.Ordinal);
        // The day ends at six by that clock.
        Assert.Equal(new TimeSpan(15, 40, 0), gate.Windows[0].Until.TimeOfDay);
    }

    [Fact]
    public void Minutes_that_do_not_lie_on_the_grid_begin_with_the_next_that_do() =>
        Assert.Equal(Monday.AddHours(9).AddMinutes(10), Ask(Fine(), 9 + (1 / 60.0)).Result.Windows[0].From);

    [Fact] // The property of the whole: whatever window is told, every hour of its run is looked at again by its own rule
    public void No_window_ever_opens_the_shell_into_rain() =>
        Gen.Select(Gen.Double[0, 30].Array[72], Gen.Double[0, 3], Gen.Double[8, 25])
            .Holds(
                x =>
                {
                    (double[] percents, double wait, double air) = x;
                    OpenSpan span = new([Step("Cut the hole", 40), Step("Set it", 20, waitHours: wait)], true);
                    Forecast forecast = Fine(72, (h, w) => w with { RainPercent = percents[h], AirC = air });
                    foreach (CutWindow window in Ask(forecast, 0, span).Result.Windows)
                    {
                        for (DateTimeOffset at = window.From; at <= window.Until; at = at.AddMinutes(10))
                        {
                            double pace = Math.Min(1, Math.Pow(2, (air - 20) / 10)),
                                from = (at - Monday).TotalHours,
                                to = from + 1 + (wait / pace);
                            double dry = 1;
                            for (int h = (int)from; h < to - 1e-9; h++)
                            {
                                Assert.True(percents[h] <= 20);
                                double p = percents[h] / 100,
                                    b = h == (int)from ? 0 : percents[h - 1] / 100;
                                dry *= 1 - (p - (b == 0 ? 0 : Math.Min(0.75, Math.Min(p / b, (1 - p) / (1 - b))) * b));
                            }
                            Assert.True(dry >= 0.8 - 1e-9);
                            Assert.True(from % 24 >= 8 && (from % 24) + 1 <= 18 + 1e-9);
                        }
                    }
                },
                cases: 60
            );
}
