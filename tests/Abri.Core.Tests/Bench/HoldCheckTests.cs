using Abri.Core.Bench;
using Abri.Core.Geometry;
using Abri.Core.Openings;
using Abri.Core.Work;
using CsCheck;

namespace Abri.Core.Tests.Bench;

public class HoldCheckTests
{
    private static readonly HoldPoint Width = new("Width of the hole", 400, 1, 4, Unit.Mm)
    {
        IfLess = "File.",
        IfMore = "Look at As cut.",
        Reads = HoleReading.Widths,
    };

    private static HoldVerdict Ask(HoldPoint hold, double? value, bool? seen = null, LengthFormat? lengths = null) =>
        HoldCheck.Of([hold], [new HoldReading(hold.Name, value, seen)], lengths ?? LengthFormat.Millimetres).Single();

    [Theory]
    [InlineData(399, true, "", null)]
    [InlineData(404, true, "", null)]
    [InlineData(398, false, "Width of the hole: 398 mm is 1 mm too small, at least 399 mm.", "File.")]
    [InlineData(406.5, false, "Width of the hole: 406.5 mm is 2.5 mm too large, at most 404 mm.", "Look at As cut.")]
    // 15.75 in is 400.05 mm
    [InlineData(
        15.75,
        false,
        "Width of the hole: 15.8 mm is 383.3 mm too small, at least 399 mm.",
        "As inches it would fit (400 mm): check the unit."
    )]
    public void A_reading_outside_says_by_how_much_and_what_now(double value, bool met, string text, string? now) =>
        Assert.Equal(new HoldVerdict("Width of the hole", met, text, now), Ask(Width, value));

    [Fact]
    public void What_is_looked_at_is_so_or_not_and_nothing_said_is_not_so()
    {
        HoldPoint dry = HoldPoint.Seen("Dry inside");
        Assert.True(Ask(dry, null, true).IsMet);
        Assert.Equal("Dry inside: no.", Ask(dry, null, false).Text);
        Assert.Equal("Dry inside: not answered yet.", HoldCheck.Of([dry], [], LengthFormat.Millimetres).Single().Text);
        Assert.False(Ask(Width, null).IsMet);
        // What is only written down has no limits, but is written down.
        HoldPoint left = new("Sheet left", null, null, null, Unit.Mm);
        Assert.True(Ask(left, 0.2).IsMet);
        Assert.False(Ask(left, null).IsMet);
    }

    [Fact]
    public void On_an_inch_vehicle_it_speaks_inches()
    {
        HoldVerdict verdict = Ask(Width, 395, null, new LengthFormat(UnitSystem.Inch, 16));
        Assert.Contains("\"", verdict.Text, StringComparison.Ordinal);
        // Sixteen millimetres were typed as inches: 406.4 mm; the same number as millimetres does not fit either.
        Assert.Equal("Look at As cut.", Ask(Width, 406.4, null, new LengthFormat(UnitSystem.Inch, 16)).WhatNow);
        Assert.StartsWith("As millimetres", Ask(Width, 400 * 25.4, null, new LengthFormat(UnitSystem.Inch, 16)).WhatNow, StringComparison.Ordinal);
    }

    [Fact] // Brute force: each of the two readings asked by itself; one that is outside shows in what is handed on
    public void Of_two_widths_the_one_that_is_further_off_is_handed_on() =>
        Gen.Select(Gen.Double[390, 410], Gen.Double[390, 410])
            .Holds(
                (a, b) =>
                {
                    AsCut cut = new(a, b, 300, 300, 500, 500);
                    HoldReading read = Assert.Single(HoldCheck.With([], cut, [Width, HoldPoint.Seen("Dry")]));
                    bool both = a is >= 399 and <= 404 && b is >= 399 and <= 404;
                    Assert.Equal(both, Ask(Width, read.Value).IsMet);
                },
                cases: 500
            );
}
