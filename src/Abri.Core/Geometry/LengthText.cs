using System.Globalization;
using System.Text.RegularExpressions;

namespace Abri.Core.Geometry;

/// <summary>A length that a person typed, with both ways of writing it.</summary>
/// <param name="Mm">The length, mm.</param>
/// <param name="MmText">Written in millimetres.</param>
/// <param name="InchText">Written in inches, to the nearest fraction.</param>
/// <param name="NearestFractionMm">What <paramref name="InchText"/> stands for, mm.</param>
/// <param name="FractionErrorMm">How far that lies from the length, mm; negative when the fraction is shorter.</param>
/// <param name="ReadAs">How the text was understood, such as <c>feet and inches</c>.</param>
public sealed record ParsedLength(double Mm, string MmText, string InchText, double NearestFractionMm, double FractionErrorMm, string ReadAs);

/// <summary>
/// Reads a length as people type it: <c>41</c>, <c>41 mm</c>, <c>4.1 cm</c>, <c>1 5/8"</c>, <c>1-5/8 in</c>, <c>3'6 1/2</c>.
/// </summary>
/// <remarks>
/// A plain number is taken in the preferred unit. A number with a fraction is always taken as inches, since nobody reads
/// fractions off a metric tape. A decimal comma is accepted; a comma, point or apostrophe before exactly three digits is refused, because
/// it may be meant to group thousands.
/// </remarks>
/// <example><c>1 5/8"</c> is 41.275 mm; <c>3'6 1/2</c> is 1079.5 mm.</example>
public static partial class LengthText
{
    /// <summary>Longest length that is accepted either way, mm: 100 m.</summary>
    public const double LimitMm = 100_000;

    private const int LongestText = 64;

    /// <summary>Reads a length.</summary>
    /// <param name="text">What was typed.</param>
    /// <param name="preferred">Unit of a plain number, and the finest fraction of an inch to write.</param>
    public static Result<Worked<ParsedLength>> Parse(string? text, LengthFormat preferred)
    {
        string cleaned = Normalise(text ?? "");
        if (cleaned.Length == 0)
            return Unreadable("Type a length, such as 41, 41 mm, 1 5/8\" or 3'6.");
        if (cleaned.Length > LongestText)
            return Unreadable($"A length has at most {LongestText} characters.");
        if (MayBeGrouped(cleaned, preferred))
            return Unreadable($"\"{text}\" can be read two ways: write 1250 for a thousand and more, or 1.25 for a decimal.");

        var sheet = new Worksheet();
        (double Mm, string ReadAs)? read = Metric(cleaned, sheet) ?? Imperial(cleaned, preferred, sheet);
        if (read is null)
            return Unreadable($"\"{text}\" is not a length. Type 41, 41 mm, 4.1 cm, 1 5/8\" or 3'6.");
        if (Math.Abs(read.Value.Mm) > LimitMm)
            return new Problem("length-out-of-range", "/text", $"\"{text}\" is longer than {LimitMm / 1000:0} m. Check the unit.");

        double mm = read.Value.Mm;
        var inches = new LengthFormat(UnitSystem.Inch, preferred.InchDenominator);
        double shown = sheet.Step(
            "f",
            $"nearest 1/{preferred.InchDenominator} inch",
            $"round(x / 25.4 * {preferred.InchDenominator}) * 25.4 / {preferred.InchDenominator}",
            inches.Shown(mm),
            "mm"
        );
        double error = sheet.Step("e", "error of that fraction", "f - x", shown - mm, "mm");
        sheet.Cite(new Source("International yard and pound agreement of 1959: one inch is 25.4 mm exactly", SourceKind.Published));
        return sheet.Finish(new ParsedLength(mm, LengthFormat.Millimetres.Text(mm), inches.Text(mm), shown, error, read.Value.ReadAs));
    }

    private static Problem Unreadable(string message) => new("length-unreadable", "/text", message);

    private static string Normalise(string text)
    {
        string s = text.Trim().ToLowerInvariant();
        if (s.Length > LongestText)
            return s;
        s = Raised().Replace(s, PlainFraction);
        foreach ((string glyph, string plain) in Glyphs)
            s = s.Replace(glyph, plain, StringComparison.Ordinal);
        return Spaces().Replace(s, " ").Trim();
    }

    private static readonly (string Glyph, string Plain)[] Glyphs =
    [
        ("\u00A0", " "),
        ("\u202F", " "),
        ("\u2212", "-"),
        ("\u2013", "-"),
        ("\u2044", "/"),
        ("''", "\""),
        ("\u2033", "\""),
        ("\u201D", "\""),
        ("\u201C", "\""),
        ("\u2032", "'"),
        ("\u2019", "'"),
        ("\u2018", "'"),
        ("½", " 1/2"),
        ("¼", " 1/4"),
        ("¾", " 3/4"),
        ("⅛", " 1/8"),
        ("⅜", " 3/8"),
        ("⅝", " 5/8"),
        ("⅞", " 7/8"),
    ];

    /// <summary>A fraction in raised and lowered digits, as in <c>1⁵⁄₈</c>, in plain ones, parted from the whole number before it.</summary>
    private static string PlainFraction(Match raised)
    {
        string Plain(string digits) =>
            string.Concat(
                digits.Select(d => Math.Max("⁰¹²³⁴⁵⁶⁷⁸⁹".IndexOf(d, StringComparison.Ordinal), "₀₁₂₃₄₅₆₇₈₉".IndexOf(d, StringComparison.Ordinal)))
            );
        return $" {Plain(raised.Groups["num"].Value)}/{Plain(raised.Groups["den"].Value)}";
    }

    private static (double, string)? Metric(string text, Worksheet sheet)
    {
        Match match = MetricPattern().Match(text);
        if (!match.Success)
            return null;
        string unit = match.Groups["unit"].Value;
        double factor = unit switch
        {
            "mm" => 1,
            "cm" => 10,
            _ => 1000,
        };
        double number = Number(match.Groups["number"].Value);
        double mm = sheet.Step("x", "length", $"{match.Groups["number"].Value} {unit} * {factor}", Signed(match, number * factor), "mm");
        return (
            mm,
            unit == "mm" ? "millimetres"
            : unit == "cm" ? "centimetres"
            : "metres"
        );
    }

    private static (double, string)? Imperial(string text, LengthFormat preferred, Worksheet sheet)
    {
        Match match = ImperialPattern().Match(text);
        if (!match.Success)
            return null;
        bool feet = match.Groups["feet"].Success,
            marked = match.Groups["mark"].Success,
            fraction = match.Groups["num"].Success;
        bool whole = match.Groups["whole"].Success;
        if (!feet && !whole && !fraction)
            return null;
        if (fraction && !IsTapeFraction(match))
            return null;

        if (!feet && !marked && !fraction && preferred.Units == UnitSystem.Mm)
        {
            double plain = Signed(match, Number(match.Groups["whole"].Value));
            return (sheet.Step("x", "length, a plain number in millimetres", match.Groups["whole"].Value, plain, "mm"), "millimetres");
        }
        double inches =
            (feet ? 12 * Number(match.Groups["feet"].Value) : 0)
            + (whole ? Number(match.Groups["whole"].Value) : 0)
            + (fraction ? Number(match.Groups["num"].Value) / Number(match.Groups["den"].Value) : 0);
        sheet.Step("i", "length in inches", "12 * feet + inches + fraction", Signed(match, inches), "in");
        double mm = sheet.Step("x", "length", "i * 25.4", Signed(match, inches * LengthFormat.MmPerInch), "mm");
        string readAs =
            feet ? "feet and inches"
            : marked ? "inches"
            : fraction ? "inches, because of the fraction"
            : "inches, a plain number";
        return (mm, readAs);
    }

    /// <summary>A tape shows halves to sixty-fourths, and a fraction after whole inches is less than one.</summary>
    private static bool IsTapeFraction(Match match)
    {
        double numerator = Number(match.Groups["num"].Value),
            denominator = Number(match.Groups["den"].Value);
        return denominator is 2 or 4 or 8 or 16 or 32 or 64 && numerator > 0 && numerator < denominator;
    }

    private static double Signed(Match match, double value) => match.Groups["sign"].Value == "-" && value != 0 ? -value : value;

    private static double Number(string text) => double.Parse(text.Replace(',', '.'), NumberStyles.AllowDecimalPoint, CultureInfo.InvariantCulture);

    [GeneratedRegex(@"(?<num>[⁰¹²³⁴⁵⁶⁷⁸⁹]+)[/\u2044](?<den>[₀₁₂₃₄₅₆₇₈₉]+)", RegexOptions.NonBacktracking)]
    private static partial Regex Raised();

    [GeneratedRegex(@"\s+", RegexOptions.NonBacktracking)]
    private static partial Regex Spaces();

    /// <summary>Whether what parts three digits may group thousands: a comma or an apostrophe does; a point does where millimetres or centimetres are
    /// meant, since a tape shows no thousandth of them.</summary>
    private static bool MayBeGrouped(string text, LengthFormat preferred)
    {
        if (GroupedThousands().Match(text) is not { Success: true } match)
            return false;
        string unit = match.Groups["unit"].Value.Trim().TrimEnd('.');
        return match.Groups["part"].Value switch
        {
            "." => unit is "mm" or "cm" || (unit.Length == 0 && preferred.Units == UnitSystem.Mm),
            _ => true,
        };
    }

    [GeneratedRegex(@"^[-+]? ?[1-9]\d{0,2}(?<part>[,.'])\d{3}(?<unit>$|\D.*$)", RegexOptions.NonBacktracking)]
    private static partial Regex GroupedThousands();

    [GeneratedRegex(@"^(?<sign>[-+]?) ?(?<number>\d+([.,]\d+)?|[.,]\d+) ?(?<unit>mm|cm|m)\.?$", RegexOptions.NonBacktracking)]
    private static partial Regex MetricPattern();

    [GeneratedRegex(
        @"^(?<sign>[-+]?) ?(?:(?<feet>\d+(?:[.,]\d+)?) ?(?:'|feet|foot|ft)\.? ?-? ?)?(?:(?<whole>\d+)(?: ?- ?| )(?<num>\d+)/(?<den>\d+)|(?<num>\d+)/(?<den>\d+)|(?<whole>\d+(?:[.,]\d+)?|[.,]\d+))? ?(?<mark>""|inches|inch|in\.?)?$",
        RegexOptions.NonBacktracking
    )]
    private static partial Regex ImperialPattern();
}
