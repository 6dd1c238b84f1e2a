using Abri.Core.Logbook;
using CsCheck;

namespace Abri.Core.Tests.Logbook;

public class UpkeepRuleTests
{
    [Theory] // The framework's calendar, read off by hand
    [InlineData("2030-08-31", 6, "2031-02-28")]
    [InlineData("2027-08-31", 6, "2028-02-29")]
    [InlineData("2028-02-29", 12, "2029-02-28")]
    [InlineData("2031-05-12", 6, "2031-11-12")]
    [InlineData("2031-12-31", 1, "2032-01-31")]
    public void Due_is_the_same_day_of_a_later_month_or_its_last(string last, int months, string due) =>
        Assert.Equal(DateOnly.Parse(due), UpkeepRule.Due(DateOnly.Parse(last), months).Result);

    [Fact] // Walking day by day: months are counted by their firsts, the day by how long the month is
    public void Due_agrees_with_a_walk_through_the_days() =>
        Gen.Select(Gen.Int[0, 20_000], Gen.Int[1, 60])
            .Holds(
                x =>
                {
                    DateOnly last = new DateOnly(1990, 1, 1).AddDays(x.Item1);
                    DateOnly day = last;
                    int firsts = 0,
                        longest = 0;
                    while (firsts < x.Item2 || day.Day != Math.Min(last.Day, longest))
                    {
                        day = day.AddDays(1);
                        if (day.Day == 1)
                        {
                            firsts++;
                            longest = 28;
                            while (new DateOnly(day.Year, day.Month, 1).AddDays(longest).Month == day.Month)
                                longest++;
                        }
                    }
                    Assert.Equal(day, UpkeepRule.Due(last, x.Item2).Result);
                },
                cases: 300
            );

    [Fact]
    public void Every_kind_but_what_is_new_watched_or_own_has_one_rule() =>
        Assert.Equal(
            Enum.GetValues<UpkeepKind>().Except([UpkeepKind.NewOpening, UpkeepKind.MendedMetal, UpkeepKind.Own]),
            UpkeepRule.All.Select(r => r.Kind).Order()
        );

    [Fact]
    public void A_thing_is_named_otherwise_in_a_file_and_what_is_gone_is_left_out()
    {
        var done = new UpkeepDone(UpkeepDone.KeyOf(UpkeepKind.DoorSeals, "p7"), "Seal", new DateOnly(2031, 5, 12), "Ada", "");
        Assert.Equal("DoorSeals/2", done.Rekeyed(id => id == "p7" ? "2" : null)!.Key);
        Assert.Null(done.Rekeyed(_ => null));
        UpkeepDone wax = done with { Key = UpkeepDone.KeyOf(UpkeepKind.UnderbodyWax, null) };
        Assert.Same(wax, wax.Rekeyed(_ => null));
    }
}
