using Abri.Core.Days;
using Abri.Core.Work;

namespace Abri.Core.Tests.Days;

public class LearningAndCoverTests
{
    [Theory] // Wright's law: each doubling takes 85 %: 100, 85, 72.25, 61.41
    [InlineData(1, 100)]
    [InlineData(2, 85)]
    [InlineData(4, 72.25)]
    [InlineData(8, 61.4125)]
    public void Each_doubling_takes_the_same_share(int count, double minutes) => Assert.Equal(minutes, Learning.Of(100, count).Result.Minutes, 6);

    [Fact]
    public void All_together_is_the_sum_of_each()
    {
        Assert.Equal(Enumerable.Range(1, 5).Sum(n => Learning.Of(60, n, 0.9).Result.Minutes), Learning.Of(60, 5, 0.9).Result.TotalMinutes, 6);
        Assert.Equal(300, Learning.Of(60, 5, 1).Result.TotalMinutes, 6);
    }

    [Fact] // Hole 400 x 300: 700 x 600, twice round 2 x 2600 mm
    public void A_cover_reaches_a_hand_beyond_the_hole_and_is_taped_twice()
    {
        CoverPlan cover = HoleCover.Of(400, 300, true).Result;
        Assert.Equal((700, 600, 5200), (cover.LengthMm, cover.WidthMm, cover.TapeMm));
        Assert.Equal(["sheet", "fit-dry", "board"], cover.Ways.Select(w => w.Id));
        Assert.Equal([12, 15, 33], cover.Ways.Select(w => w.Minutes));
        Assert.DoesNotContain(HoleCover.Of(400, 300, false).Result.Ways, w => w.Id == "fit-dry");
        // Water runs down: what is taped last lies on top, and that is the high side.
        Assert.Contains("low side taped first", cover.Ways[0].Do, StringComparison.Ordinal);
    }

    [Fact]
    public void The_span_goes_from_the_cut_through_what_still_needs_it_dry()
    {
        WorkStep Step(string key, ShellChange shell, bool dry, double wait = 0) =>
            new(
                0,
                key,
                key,
                "",
                [],
                [],
                new Minutes(1, 2, 3),
                1,
                key == "inside" ? WorkPlace.Inside : WorkPlace.Roof,
                [],
                [],
                shell,
                new WeatherNeeds(dry, null, null, null),
                wait,
                []
            );
        Procedure Of(params WorkStep[] steps) => new("t", steps, new Minutes(0, 0, 0), new Minutes(0, 0, 0), [], []);
        OpenSpan span = OpenSpan.Of(
            Of(
                Step("mark", ShellChange.None, false),
                Step("cut", ShellChange.Opens, true),
                Step("inside", ShellChange.None, false, 9),
                Step("set", ShellChange.Closes, true),
                Step("seal", ShellChange.None, true, 24),
                Step("paint", ShellChange.None, true),
                Step("test", ShellChange.None, false)
            )
        )!;
        Assert.Equal(["cut", "inside", "set", "seal"], span.Steps.Select(s => s.Title));
        Assert.Equal([0, 9, 0, OpenSpan.RainSafeHours], span.Steps.Select(s => s.WaitHours));
        Assert.Equal([false, true, false, false], span.Steps.Select(s => s.Inside));
        Assert.True(span.Closes);
        Assert.Null(OpenSpan.Of(Of(Step("mark", ShellChange.None, false))));
        OpenSpan open = OpenSpan.Of(Of(Step("cut", ShellChange.Opens, true), Step("tape", ShellChange.None, false)))!;
        Assert.Equal((2, false), (open.Steps.Count, open.Closes));
    }

    [Theory] // Works from half past eight to twelve, on Mondays; just before, at, just after
    [InlineData(8.4, 9, false)]
    [InlineData(8.5, 12, true)]
    [InlineData(11, 12.1, false)]
    [InlineData(32.5, 33, false)]
    public void Somebody_works_within_their_hours_only(double from, double to, bool works)
    {
        var ada = new Person("Ada", [new WorkDay(DayOfWeek.Monday, 8.5, 12)]);
        Assert.Equal(works, ada.Works(OpenShellWork.Monday.AddHours(from).DateTime, OpenShellWork.Monday.AddHours(to).DateTime));
        Assert.NotNull(new WorkDay(DayOfWeek.Monday, 12, 12).Contradiction());
    }
}
