using System.Globalization;
using Abri.Core.Geometry;
using CsCheck;

namespace Abri.Core.Tests.Geometry;

public class LengthTests
{
    private static readonly LengthFormat Inches = new(UnitSystem.Inch);

    [Theory] // Inch of exactly 25.4 mm: international yard and pound agreement of 1959
    [InlineData("41", 41)]
    [InlineData("41 mm", 41)]
    [InlineData("41,5", 41.5)]
    [InlineData("4.1cm", 41)]
    [InlineData("1.2 m", 1200)]
    [InlineData(".5 mm", 0.5)]
    [InlineData("-12", -12)]
    [InlineData("−12 mm", -12)]
    [InlineData("1 5/8\"", 41.275)]
    [InlineData("1-5/8 in", 41.275)]
    [InlineData("1⅝″", 41.275)]
    [InlineData("1 5/8", 41.275)]
    [InlineData("5/8", 15.875)]
    [InlineData("21\"", 533.4)]
    [InlineData("21.5 in", 546.1)]
    [InlineData("3'6", 1066.8)]
    [InlineData("3'6 1/2", 1079.5)]
    [InlineData("3' 6 1/2\"", 1079.5)]
    [InlineData("3 ft 6 in", 1066.8)]
    [InlineData("3'", 914.4)]
    [InlineData("-3'6 1/2", -1079.5)]
    [InlineData("1⁵⁄₈", 41.275)]
    [InlineData("1 ⁵/₈\"", 41.275)]
    [InlineData("¹⁵⁄₁₆", 23.8125)]
    [InlineData("1.250 in", 31.75)]
    [InlineData("1.250 m", 1250)]
    [InlineData("0.250", 0.25)]
    [InlineData("0,125 mm", 0.125)]
    [InlineData("2' 1/2", 622.3)]
    public void A_typed_length_is_read_as_a_person_means_it(string text, double mm)
    {
        Assert.True(LengthText.Parse(text, LengthFormat.Millimetres).IsOk(out var length, out var problem), problem?.Message);
        Assert.Equal(mm, length.Result.Mm, 9);
    }

    [Fact]
    public void A_plain_number_is_taken_in_the_preferred_unit()
    {
        Assert.Equal(41 * 25.4, Mm("41", Inches));
        Assert.Equal(41, Mm("41", LengthFormat.Millimetres));
        Assert.Equal(41, Mm("41 mm", Inches));
    }

    [Theory]
    [InlineData("")]
    [InlineData("  ")]
    [InlineData("abc")]
    [InlineData("NaN")]
    [InlineData("1/0")]
    [InlineData("1 5/7")]
    [InlineData("1 9/8\"")]
    [InlineData("1,250")]
    [InlineData("1'250")]
    [InlineData("1’250 mm")]
    [InlineData("1.250")]
    [InlineData("1.250 mm")]
    [InlineData("12.500 cm")]
    [InlineData("1--5/8")]
    [InlineData("1 - - 5/8")]
    [InlineData("4 1")]
    [InlineData("4 furlong")]
    [InlineData("'")]
    [InlineData("\"")]
    [InlineData("1e9999")]
    [InlineData("999999999999 m")]
    [InlineData("1.2.3")]
    [InlineData("1 5/8 mm")]
    public void What_is_not_a_length_is_refused_with_advice(string text)
    {
        Assert.False(LengthText.Parse(text, LengthFormat.Millimetres).IsOk(out _, out var problem));
        Assert.Equal("/text", problem.Pointer);
        Assert.True(problem.Message.Length > 20);
    }

    [Fact]
    public void Any_text_is_answered_without_an_exception() => Gen.String.Holds(text => LengthText.Parse(text, Inches) is not null);

    [Fact]
    public void Characters_of_lengths_in_any_order_are_answered_without_an_exception() =>
        Gen.Char["0123456789 '\"/.,-mcftin½"].Array[0, 30].Holds(c => LengthText.Parse(new string(c), Inches) is not null);

    [Fact]
    public void Reading_what_was_written_gives_the_length_that_was_shown() =>
        Gen.Select(Gen.Double[-30_000, 30_000], Gen.Bool.Select(fine => fine ? 32 : 16), Gen.Enum<UnitSystem>())
            .Holds(
                (mm, denominator, units) =>
                {
                    var format = new LengthFormat(units, denominator);
                    double read = Mm(format.Text(mm), LengthFormat.Millimetres);
                    return Math.Abs(read - format.Shown(mm)) < 1e-9
                        && Math.Abs(read - mm) <= (units == UnitSystem.Mm ? 0.05 : 25.4 / denominator / 2) + 1e-9
                        && format.Text(read) == format.Text(mm);
                }
            );

    [Fact]
    public void The_error_of_the_nearest_fraction_is_told()
    {
        Assert.True(LengthText.Parse("41", LengthFormat.Millimetres).IsOk(out var length, out _));
        Assert.Equal("1 5/8\"", length.Result.InchText);
        Assert.Equal(0.275, length.Result.FractionErrorMm, 9);
        Assert.Contains(length.Steps, s => s.Symbol == "e" && s.Unit == "mm");
    }

    [Fact]
    public void Lengths_are_written_as_in_the_table_shared_with_the_screen()
    {
        foreach (string[] row in Reference.Rows("length-format.csv"))
        {
            double mm = double.Parse(row[0], CultureInfo.InvariantCulture);
            Assert.Equal(row[1], LengthFormat.Millimetres.Text(mm));
            Assert.Equal(row[2], Inches.Text(mm));
            Assert.Equal(row[3], new LengthFormat(UnitSystem.Inch, 32).Text(mm));
        }
    }

    [Theory] // Facts of the trade: common practice, no source
    [InlineData("marker-example", "1 5/8\"")]
    [InlineData("clear-top-bottom", "1 1/2\"")]
    [InlineData("clear-fore-aft", "3\"")]
    [InlineData("marker-offset", "1/8\"")]
    [InlineData("cut-clearance", "1/16\"")]
    public void Facts_of_the_trade_in_inches_read_as_their_millimetres(string id, string text) =>
        Assert.Equal(Reference.Fact(id), Mm(text, LengthFormat.Millimetres), 9);

    private static double Mm(string text, LengthFormat preferred)
    {
        Assert.True(LengthText.Parse(text, preferred).IsOk(out var length, out var problem), $"{text}: {problem?.Message}");
        return length.Result.Mm;
    }
}
