using Abri.Core.Bench;
using Abri.Core.Work;

namespace Abri.Core.Tests.Bench;

public class PaceTests
{
    private static StepDone Took(double? minutes, double counted) =>
        new(
            new Job(JobKind.Opening, "o"),
            "cut",
            "Cut",
            ShellChange.Opens,
            DateTimeOffset.UnixEpoch,
            new Minutes(counted / 2, counted, 2 * counted),
            new StepReport("t", "Ada", minutes, [], null, null, "", "")
        );

    [Fact] // By hand: (360 + 240) / (120 + 240) = 1.667; ten hours more than counted is beyond what is believed
    public void Minutes_that_were_taken_teach_and_one_bad_step_is_no_rule()
    {
        Assert.Equal(1, Pace.Of([], false));
        Assert.Equal(1, Pace.Of([Took(null, 60)], false));
        Assert.Equal(600.0 / 360, Pace.Of([Took(360, 120)], false), 12);
        Assert.Equal(2, Pace.Of([Took(1440, 60)], false));
        // A first-timer is counted on for 240 min, and takes half as long again.
        Assert.Equal(600.0 / 480, Pace.Of([Took(360, 120)], true), 12);
        Assert.Equal(0.5, Pace.Of([Took(0, 5000)], false));
    }
}
