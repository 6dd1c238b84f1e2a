using Abri.Core.Days;
using Abri.Core.Geometry;
using Abri.Core.Metal;
using Abri.Core.Openings;
using Abri.Core.Record;
using Abri.Core.Sealing;
using Abri.Core.Shell;
using Abri.Core.Stages;
using Abri.Core.Tests.Procedures;
using Abri.Core.Weather;
using Abri.Core.Work;
using static Abri.Core.Tests.Days.OpenShellWork;

namespace Abri.Core.Tests.Stages;

/// <summary>What opens the shell of a vehicle, and whether it may be begun.</summary>
public class DaysOfVehicleTests
{
    internal static readonly Fitting Grille = new(
        "Grille",
        FittingKind.Grille,
        new RoundedRectangle(200, 100, 5),
        1,
        4,
        new RoundedRectangle(196, 96, 4),
        new RoundedRectangle(260, 160, 8),
        20,
        new PerSide(20, 20, 20, 20),
        1,
        false,
        null,
        new PerSide(0, 0, 0, 0),
        1,
        5,
        null,
        new FlangeScrews(3, 2, 10, 2.5)
    );

    internal static Opening At(OpeningState state = OpeningState.Planned, params ReadyItem[] ready) =>
        new(
            "Heater grille",
            "g",
            new PanelPoint(1000, 700),
            0,
            null,
            new Schools(RibInTheWay.Keep, CutSize.WasteSide),
            state,
            null,
            "",
            Ready: ready
        );

    private static VehicleSnapshot Van(Forecast? forecast, params Opening[] openings) =>
        Vans.Of([], [], openings: openings, fitting: Grille, forecast: forecast);

    private static DaysOfVehicle Of(VehicleSnapshot van, double hour = 9) => DaysOfVehicle.Of(van, Monday.AddHours(hour));

    [Fact]
    public void A_planned_opening_has_its_gate_and_the_badge_says_until_when()
    {
        DaysOfVehicle days = Of(Van(Fine(), At()));
        JobGate gate = Assert.Single(days.Gates);
        Assert.Equal((new Job(JobKind.Opening, "o0"), "p", GateState.Go), (gate.Job, gate.PanelId, gate.State!.Value));
        DateTimeOffset until = gate.Gate!.Result.Windows[0].Until;
        Assert.Equal((BadgeKind.LastCut, $"Last safe cut today {until:HH:mm}"), (days.Strip.Badge.Kind, days.Strip.Badge.Title));
        Assert.Equal(gate.Job, days.Strip.NextJob);
        // Begun a minute later than that grid allows it is not.
        Assert.NotEqual(GateState.Go, Of(Van(Fine(), At()), (until - Monday).TotalHours + 0.02).Gates[0].State);
    }

    [Fact]
    public void What_is_cut_is_open_and_needs_no_gate_any_more()
    {
        DaysOfVehicle days = Of(Van(Fine(but: Rain(60, 14)), At(OpeningState.Cut)));
        Assert.Empty(days.Gates);
        Assert.Equal((BadgeKind.Open, "Shell open: 1 place"), (days.Strip.Badge.Kind, days.Strip.Badge.Title));
        Assert.Equal("Likely dry until Mon 14:00: Heater grille", days.Strip.Badge.More);
        Assert.Contains("It may rain now", Of(Van(Fine(but: Rain(60, 9)), At(OpeningState.Cut))).Strip.Badge.More, StringComparison.Ordinal);
        Assert.Contains("out of date", Of(Van(Fine(5), At(OpeningState.Cut))).Strip.Badge.More, StringComparison.Ordinal);
        Assert.Contains("No forecast", Of(Van(null, At(OpeningState.Cut))).Strip.Badge.More, StringComparison.Ordinal);
    }

    [Theory] // Rain within three hours is no time for anything else
    [InlineData(11, true, "Likely dry until Mon 11:00. Shut it now.")]
    [InlineData(12, false, "Likely dry until Mon 12:00.")]
    public void A_hole_that_stands_open_is_told_with_the_ways_to_shut_it(int rainsAt, bool urgent, string says)
    {
        OpenNow open = Assert.Single(Of(Van(Fine(but: Rain(60, rainsAt)), At(OpeningState.Cut))).Open);
        Assert.Equal((new Job(JobKind.Opening, "o0"), urgent, says), (open.Job, open.IsUrgent, open.State));
        Assert.Equal((500, 400), (open.Cover!.Result.LengthMm, open.Cover.Result.WidthMm));
        Assert.Contains(open.Cover.Result.Ways, w => w.Id == "fit-dry");
        Assert.Empty(Of(Van(Fine(), At())).Open);
    }

    [Fact]
    public void What_nobody_knows_of_is_as_urgent_as_rain()
    {
        Assert.True(Of(Van(null, At(OpeningState.Cut))).Open[0].IsUrgent);
        Assert.True(Of(Van(Fine(11), At(OpeningState.Cut))).Open[0].IsUrgent);
        Assert.False(Of(Van(Fine(13), At(OpeningState.Cut))).Open[0].IsUrgent);
    }

    [Fact]
    public void Without_a_forecast_nothing_is_said_of_any_hour()
    {
        DaysOfVehicle days = Of(Van(null, At()));
        Assert.Null(days.Forecast);
        Assert.Null(days.Gates[0].State);
        Assert.StartsWith("No forecast yet", days.Gates[0].Headline, StringComparison.Ordinal);
        Assert.Equal((BadgeKind.Closed, "Nothing is cut and unfitted."), (days.Strip.Badge.Kind, days.Strip.Badge.More));
        Assert.Empty(DaysOfVehicle.Air(Van(null), Monday));
        Assert.Null(days.Strip.Present);
    }

    [Fact]
    public void The_list_before_the_first_hole_is_told_and_ticked()
    {
        JobGate gate = Of(Van(Fine(), At())).Gates[0];
        Assert.Contains("Do first: ", gate.Headline, StringComparison.Ordinal);
        Assert.Equal(
            [
                ReadyItem.FittingLookedOver,
                ReadyItem.CutOutMeasured,
                ReadyItem.OfferedUp,
                ReadyItem.BehindSeen,
                ReadyItem.ConsumablesIn,
                ReadyItem.BladesAndBatteries,
                ReadyItem.CoverReady,
                ReadyItem.SecondPerson,
            ],
            gate.Ready.Select(r => r.Item).OfType<ReadyItem>()
        );
        // The hole of 200 by 100 and 150 mm beyond it on each side.
        Assert.Contains(gate.Ready, r => r.Why == "At least 500 mm by 400 mm, and 3.6 m of tape.");
        Assert.Contains(gate.Ready, r => r is { Item: null, Title: "What seals it", State: JudgementState.NeedsWork });
        JobGate ticked = Of(Van(Fine(), At(ready: [ReadyItem.CoverReady]))).Gates[0];
        Assert.Equal(gate.Ready.Count(r => r.State == JudgementState.NeedsWork) - 1, ticked.Ready.Count(r => r.State == JudgementState.NeedsWork));
    }

    [Fact]
    public void The_strip_alone_is_that_of_the_screen_and_looks_at_the_next_jobs_only()
    {
        VehicleSnapshot van = Van(
            Fine(),
            [
                .. Enumerable
                    .Range(0, 8)
                    .Select(i => At() with { Name = $"Grille {i}", Centre = new PanelPoint(280 + (i % 4 * 460), i < 4 ? 400 : 1050) }),
            ]
        );
        DaysOfVehicle days = Of(van);
        Assert.Equal(8, days.Gates.Count);
        Assert.Equal(AbriJson.Write(days.Strip), AbriJson.Write(WeatherStrip.Of(van, Monday.AddHours(9))));
        Assert.Contains(days.Gates.Take(6), g => g.Job == days.Strip.NextJob);
        // In the order of work, which is that of the list of what comes next.
        Assert.Equal(WholeShell.NextJobs(van).Select(n => n.Job).Where(j => j.Kind == JobKind.Opening), days.Gates.Select(g => g.Job));
    }

    [Fact]
    public void One_hole_at_a_time()
    {
        VehicleSnapshot van = Van(Fine(), At(), At(OpeningState.Cut) with { Name = "Vent", Centre = new PanelPoint(300, 300) });
        JobGate gate = Assert.Single(Of(van).Gates);
        Assert.Equal(("One hole at a time", "Vent stands open: close that first."), (gate.Ready[0].Title, gate.Ready[0].Why));
        Assert.DoesNotContain(Of(Van(Fine(), At())).Gates[0].Ready, r => r.Title == "One hole at a time");
    }

    [Fact]
    public void A_place_where_nothing_may_be_cut_has_no_window()
    {
        // Its centre lies on the panel's edge.
        JobGate gate = Of(Van(Fine(), At() with { Centre = new PanelPoint(0, 0) })).Gates[0];
        Assert.Null(gate.Gate);
        Assert.Equal(JudgementState.Blocked, gate.Ready[0].State);
        Assert.Equal(gate.Ready[0].Why, gate.Headline);
    }

    [Fact]
    public void A_patch_opens_the_shell_and_paint_does_not()
    {
        Repair patch = RepairProcedureTests.Some(RepairKind.Patch);
        VehicleSnapshot van = Vans.Of(
            [patch, patch with { Kind = RepairKind.Leave, Patch = null }, patch with { State = RepairState.Done }],
            [],
            forecast: Fine()
        );
        JobGate gate = Assert.Single(Of(van).Gates);
        Assert.Equal(new Job(JobKind.Repair, "r0"), gate.Job);
        Assert.NotNull(gate.Cover);
        Assert.DoesNotContain(gate.Ready, r => r.Item == ReadyItem.FittingLookedOver);
    }

    [Fact] // The next 72 hours from the present one on; the air that cures is that of the hours that are trusted
    public void The_strip_shows_three_days_and_the_air_is_that_of_now()
    {
        Forecast forecast = Fine(120, (h, w) => w with { AirC = h, RainPercent = h == 15 ? 80 : 0 });
        VehicleSnapshot van = Van(forecast);
        WeatherStrip strip = Of(van, 9.5).Strip;
        Assert.Equal((72, Monday.AddHours(9)), (strip.Hours.Count, strip.Hours[0].At));
        Assert.Equal((9, 5.5), (strip.Present!.Air.AirC, strip.Present.DryHours));
        IReadOnlyList<AirHour> air = DaysOfVehicle.Air(van, Monday.AddHours(9.5));
        Assert.Equal((9, 111), (air[0].AirC, air.Count));
        Assert.Empty(DaysOfVehicle.Air(van, Monday.AddHours(120)));
        Assert.All(strip.Hours, h => Assert.False(h.IsDark));
    }

    [Fact] // Lisbon in May: dark from about nine in the evening to half past five, a dark roof far warmer than the air at noon
    public void With_a_place_nights_are_dark_and_roofs_are_hot()
    {
        VehicleSnapshot van = Van(Fine(48));
        van = van with
        {
            Vehicle = van.Vehicle with { Value = van.Vehicle.Value with { Place = new Place(38.7, -9.1), TimeZone = "Europe/Lisbon" } },
        };
        DaysOfVehicle days = Of(van, 0);
        ForecastHour At(int hour) => days.Forecast!.Hours.First(h => h.At.Hour == hour);
        Assert.True(At(23).IsDark && At(3).IsDark);
        Assert.False(At(7).IsDark || At(20).IsDark);
        Assert.True(At(13).RoofC > 45, $"{At(13).RoofC}");
        Assert.True(At(3).RoofC < 20);
        Assert.Equal(6, days.Light.Count);
        Assert.Equal(Monday, days.Forecast!.IssuedAt);
    }

    [Fact]
    public void The_risk_is_that_of_the_job_in_local_time_and_of_nothing_else()
    {
        VehicleSnapshot van = Van(Fine(but: Rain(100, 30, 31, 32, 33)), At());
        van = van with { Vehicle = van.Vehicle with { Value = van.Vehicle.Value with { TimeZone = "Europe/Lisbon" } } };
        RiskCurve curve = DaysOfVehicle.Risk(van, new Job(JobKind.Opening, "o0"), Monday.AddHours(9.2), default)!.Value!.Result;
        Assert.Equal((Monday.AddHours(9.5), TimeSpan.FromHours(1)), (curve.Starts[0].At, curve.Starts[0].At.Offset));
        Assert.Equal(1, curve.Starts.Single(s => s.At == Monday.AddHours(31)).Chance);
        // Best only where somebody works: between eight and six by that clock.
        Assert.All(curve.Best, b => Assert.InRange(b.At.Hour, 8, 17));
        Assert.Null(DaysOfVehicle.Risk(van, new Job(JobKind.Opening, "gone"), Monday, default));
        Assert.Null(DaysOfVehicle.Risk(Van(null, At()), new Job(JobKind.Opening, "o0"), Monday, default));
    }
}
