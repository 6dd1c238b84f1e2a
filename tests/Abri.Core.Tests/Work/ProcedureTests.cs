using Abri.Core.Work;

namespace Abri.Core.Tests.Work;

public class ProcedureTests
{
    private static WorkStep Step(string key, double likely, ShellChange shell = ShellChange.None, double waitHours = 0) =>
        WorkStep.Of("hold", key, "", WorkPlace.Outside, 1) with
        {
            Key = key,
            Minutes = new Minutes(likely / 2, likely, likely * 3),
            Shell = shell,
            WaitHours = waitHours,
        };

    [Fact] // By hand: 20 + 30 + 10 min from the cut to the step that closes it, and 2 h of waiting between; what waits after it does not count
    public void The_shell_is_open_from_the_step_that_opens_it_to_the_one_that_closes_it_with_what_waits_between()
    {
        var p = Procedure.Of(
            "Vent",
            [
                Step("mark", 40),
                Step("cut", 20, ShellChange.Opens),
                Step("paint", 30, waitHours: 2),
                Step("set", 10, ShellChange.Closes, 24),
                Step("test", 15),
            ]
        );
        Assert.Equal(new Minutes(57.5, 115, 345), p.Work);
        Assert.Equal(new Minutes(30 + 120, 60 + 120, 180 + 120), p.OpenMinutes);
    }

    [Fact]
    public void A_shell_that_is_opened_twice_is_open_twice()
    {
        var p = Procedure.Of(
            "Two",
            [
                Step("cut", 20, ShellChange.Opens),
                Step("set", 10, ShellChange.Closes),
                Step("between", 100),
                Step("cut-2", 5, ShellChange.Opens),
                Step("set-2", 5, ShellChange.Closes),
            ]
        );
        Assert.Equal(40, p.OpenMinutes.Likely);
    }

    [Fact]
    public void A_step_comes_after_the_one_before_it_and_its_waiting_unless_it_says_otherwise()
    {
        var p = Procedure.Of("P", [Step("a", 1, waitHours: 3), Step("b", 1), Step("c", 1) with { After = [new Follows("a", 12)] }]);
        Assert.Equal([1, 2, 3], p.Steps.Select(s => s.Number));
        Assert.Empty(p.Steps[0].After);
        Assert.Equal([new Follows("a", 3)], p.Steps[1].After);
        Assert.Equal([new Follows("a", 12)], p.Steps[2].After);
    }

    [Fact]
    public void Two_steps_of_one_key_are_a_programmers_mistake() =>
        Assert.Throws<ArgumentException>(() => Procedure.Of("P", [Step("a", 1), Step("a", 1)]));

    [Fact]
    public void A_procedure_without_steps_takes_no_time() =>
        Assert.Equal((new Minutes(0, 0, 0), new Minutes(0, 0, 0)), (Procedure.Of("P", []).Work, Procedure.Of("P", []).OpenMinutes));
}
