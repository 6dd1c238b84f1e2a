using Abri.Core.Declared;

namespace Abri.Core.Tests.Declared;

/// <summary>Each kind of declaration just below, at and just above its ends.</summary>
public class AttributesTests
{
    private static bool Takes(DeclaredAttribute declared, object value) => declared.Wrong(value) is null;

    private static string Text(int letters) => new('x', letters);

    [Theory]
    [InlineData(0, true)]
    [InlineData(79, true)]
    [InlineData(80, true)]
    [InlineData(81, false)]
    public void A_text_has_at_most_its_letters(int letters, bool taken) =>
        Assert.Equal(taken, Takes(new LettersAttribute(80, "Too long."), Text(letters)));

    [Theory]
    [InlineData("", false)]
    [InlineData("  ", false)]
    [InlineData("a", true)]
    [InlineData("a\u0007b", false)]
    [InlineData("a\nb", false)]
    [InlineData("Vent 400 × 400", true)]
    public void A_name_shows_and_has_no_control_characters(string name, bool taken) => Assert.Equal(taken, Takes(new NameAttribute(), name));

    [Fact]
    public void A_name_has_at_most_its_letters() =>
        Assert.Equal((true, false), (Takes(new NameAttribute(5, ""), Text(5)), Takes(new NameAttribute(5, ""), Text(6))));

    [Fact]
    public void The_first_name_of_a_list_that_is_none_is_told_by_its_place()
    {
        var each = new EachNameAttribute(5, "Names of 1 to 5 characters.");
        Assert.Null(each.Wrong(Array.Empty<string>()));
        Assert.Null(each.Wrong(new[] { "a", "b" }));
        Assert.Equal(("/1", "Names of 1 to 5 characters."), each.Wrong(new[] { "a", Text(6), "" }));
        Assert.Equal(("/2", "Names of 1 to 5 characters."), each.Wrong(new[] { "a", null!, " " }));
    }

    [Fact]
    public void The_first_number_of_a_list_that_is_out_of_range_is_told_by_its_place()
    {
        var each = new EachWithinAttribute(0, 10, "A depth", "mm");
        Assert.Null(each.Wrong(Array.Empty<double>()));
        Assert.Null(each.Wrong(new[] { 0d, 10 }));
        Assert.Equal(("/1", "A depth must lie between 0 and 10 mm; 10.5 was given."), each.Wrong(new[] { 0, 10.5, -1 }));
    }

    [Fact]
    public void A_figure_without_a_unit_is_told_without_one() =>
        Assert.Equal(("", "The number must lie between 1 and 9; 0 was given."), new WithinAttribute(1, 9, "The number").Wrong(0));

    [Theory]
    [InlineData(1, false)]
    [InlineData(2, true)]
    [InlineData(4, true)]
    [InlineData(5, false)]
    public void A_list_has_its_fewest_and_its_most_entries(int entries, bool taken)
    {
        var count = new CountAttribute(2, 4, "From {0} to {1} readings.");
        Assert.Equal(taken ? null : ("", "From 2 to 4 readings."), count.Wrong(new int[entries]));
        // One that counts itself only by being walked.
        Assert.Equal(taken, count.Wrong(Enumerable.Range(0, entries)) is null);
    }

    [Theory]
    [InlineData(0, true)]
    [InlineData(90, true)]
    [InlineData(180, true)]
    [InlineData(270, true)]
    [InlineData(45, false)]
    [InlineData(360, false)]
    [InlineData(-90, false)]
    public void A_fitting_is_turned_by_quarters(int degrees, bool taken) => Assert.Equal(taken, Takes(new QuarterTurnAttribute(), degrees));

    [Theory]
    [InlineData(8, false)]
    [InlineData(16, true)]
    [InlineData(32, true)]
    [InlineData(64, false)]
    public void Inches_are_shown_in_sixteenths_or_thirty_seconds(int denominator, bool taken) =>
        Assert.Equal(taken, Takes(new InchFractionAttribute(), denominator));

    [Theory]
    [InlineData(1949, false)]
    [InlineData(1950, true)]
    [InlineData(2150, true)]
    [InlineData(2151, false)]
    public void A_date_is_one_that_can_be_meant(int year, bool taken)
    {
        Assert.Equal(taken, Takes(new DatedAttribute(), new DateOnly(year, 6, 1)));
        Assert.Equal(taken, Takes(new DatedAttribute(), new DateTimeOffset(year, 6, 1, 0, 0, 0, TimeSpan.Zero)));
    }

    [Theory]
    [InlineData("Etc/UTC", true)]
    [InlineData("Europe/Lisbon", true)]
    [InlineData("Nowhere/Land", false)]
    [InlineData("../etc/passwd", false)]
    [InlineData("", false)]
    public void A_time_zone_is_one_that_the_machine_knows(string name, bool taken) => Assert.Equal(taken, Takes(new TimeZoneAttribute(), name));

    [Theory] // The whole text is meant, not a part of it
    [InlineData("abc-1", true)]
    [InlineData("abc-1 ", false)]
    [InlineData("x abc-1", false)]
    [InlineData("abc-1\n", false)]
    public void A_text_of_a_form_has_it_from_end_to_end(string text, bool taken) =>
        Assert.Equal(taken, Takes(new FormAttribute("[a-z]+-[0-9]", "Letters, a dash, a figure."), text));
}
