using System.Text.RegularExpressions;
using Abri.Core.Declared;
using Abri.Core.Geometry;

namespace Abri.Core.Shell;

/// <summary>From which edge of a panel a tape was run.</summary>
public enum TapeFrom
{
    /// <summary>From the front edge towards the rear.</summary>
    Front,

    /// <summary>From the rear edge towards the front.</summary>
    Rear,

    /// <summary>From the lower edge (on the roof, the vehicle's right) upwards.</summary>
    Bottom,

    /// <summary>From the upper edge (on the roof, the vehicle's left) downwards.</summary>
    Top,
}

/// <summary>What a tape was run along and what it crossed.</summary>
/// <param name="Readings">Running readings as typed: <c>560 / 620 / 1165 / 1225</c>; spaces, commas, slashes, semicolons and new lines part them, a
/// fraction such as <c>1 5/8</c> stays one reading.</param>
/// <param name="From">The edge at which the tape was hooked.</param>
/// <param name="StartsOnMember">Whether the first stretch, from the edge to the first reading, is a member; as a rule it is a gap.</param>
/// <param name="Kind">What the members are.</param>
/// <param name="Name">What to call them; they are numbered from the front or from the lower edge.</param>
/// <param name="FirstNumber">Number of the first.</param>
/// <param name="DepthMm">Depth of each, mm inwards.</param>
/// <param name="Lengths">Unit of plain numbers.</param>
/// <param name="Again">The same edges taped a second time, as typed; null where that was not done.</param>
/// <param name="Overall">What the tape read at the far edge of the panel, as typed; null where it was not read.</param>
public sealed record TapeRun(
    [Letters(4000, "A run of readings has at most 4000 characters.")] string Readings,
    TapeFrom From,
    bool StartsOnMember,
    MemberKind Kind,
    [Name] string Name,
    [Within(0, 999, "The first number")] int FirstNumber,
    [Within(-100, 500, "The depth", "mm")] double DepthMm,
    LengthFormat Lengths,
    [Letters(4000, "A run of readings has at most 4000 characters.")] string? Again = null,
    [Letters(80, "A reading has at most 80 characters.")] string? Overall = null
);

/// <summary>Two readings of one dimension, side by side.</summary>
/// <param name="Name">What was read.</param>
/// <param name="FirstMm">The first reading, mm.</param>
/// <param name="SecondMm">The second one, mm.</param>
/// <param name="Asks">Whether they differ by so much that somebody has to say which is right.</param>
/// <param name="Number">Number of the reading in the run, from 0; null for the far edge of the panel.</param>
public sealed record ReadingPair(string Name, double FirstMm, double SecondMm, bool Asks, int? Number = null);

/// <summary>What a tape run gives.</summary>
/// <param name="Members">The members, by the first readings: nothing is averaged.</param>
/// <param name="RestMm">From the last reading to the far edge, mm.</param>
/// <param name="Twice">Dimensions that were read twice.</param>
/// <param name="Readings">The readings one by one, as they were understood.</param>
/// <param name="Again">Those of the second run; empty where there was none.</param>
public sealed record TapedMembers(
    IReadOnlyList<Member> Members,
    double RestMm,
    IReadOnlyList<ReadingPair> Twice,
    IReadOnlyList<string> Readings,
    IReadOnlyList<string> Again
);

/// <summary>
/// Turns a running chain of tape readings across a panel into members: stretches are gap and member in turn.
/// </summary>
/// <example>From the front, <c>560 / 620 / 1165 / 1225</c> gives two bows 60 wide, with 545 clear between them.</example>
public static partial class TapeChain
{
    /// <summary>Two readings of one dimension that differ by more than this are asked about, mm: assumption.</summary>
    public const double AskMm = 3;

    /// <summary>Most readings in one run.</summary>
    public const int MostReadings = 200;

    /// <summary>Most doubtful readings that are told at once.</summary>
    private const int MostDoubts = 5;

    /// <summary>The members that the tape crossed, right across the panel.</summary>
    /// <returns>The members, or the reading that cannot be right.</returns>
    public static Result<Worked<TapedMembers>> Members(Panel panel, TapeRun run)
    {
        if (ShellCheck.OfPanel(panel) is { } wrong)
            return wrong.Under("/panel");
        if (!Readings(run.Readings, run.Lengths, "/run/readings").IsOk(out IReadOnlyList<double>? readings, out Problem? problem))
            return problem;

        PanelBox box = panel.Box;
        bool along = run.From is TapeFrom.Front or TapeFrom.Rear;
        double span = along ? box.WidthMm : box.HeightMm;
        if (readings[^1] > span + ShellCheck.OverhangMm)
            return Wrong($"The last reading, {run.Lengths.Text(readings[^1])}, is past the far edge at {run.Lengths.Text(span)}.");

        var stretches = new List<(double From, double To)>();
        var edges = new List<double> { 0 };
        edges.AddRange(readings);
        for (int i = run.StartsOnMember ? 0 : 1; i + 1 < edges.Count; i += 2)
            stretches.Add((edges[i], edges[i + 1]));
        if (stretches.Count == 0 || (edges.Count % 2 == 0) != run.StartsOnMember)
            return Wrong("The last member has only one edge. Type the readings of both edges of each member.");
        if (stretches[0].To - stretches[0].From < 1)
            return Wrong("The first member begins and ends at the edge. Leave out the reading of 0, or say that the first stretch is no member.");

        IEnumerable<(double From, double To)> ordered = stretches
            .Select(x =>
                run.From switch
                {
                    TapeFrom.Front => (From: box.SMinMm + x.From, To: box.SMinMm + x.To),
                    TapeFrom.Rear => (From: box.SMaxMm - x.To, To: box.SMaxMm - x.From),
                    TapeFrom.Bottom => (From: box.TMinMm + x.From, To: box.TMinMm + x.To),
                    _ => (From: box.TMaxMm - x.To, To: box.TMaxMm - x.From),
                }
            )
            .OrderBy(x => x.From);
        var sheet = new Worksheet();
        var members = new List<Member>();
        foreach ((double from, double to) in ordered)
        {
            Member member = Across(panel, run, along, from, to, run.FirstNumber + members.Count);
            sheet.Step($"w_{members.Count + 1}", $"{member.Name}, width", "reading at its far edge - reading at its near edge", to - from, "mm");
            members.Add(member);
        }
        double rest = sheet.Step("rest", "from the last reading to the far edge", "extent of the panel - last reading", span - readings[^1], "mm");
        sheet.Cite(new Source("Differences of running readings", SourceKind.Geometry));
        if (!Twice(run, readings, span).IsOk(out IReadOnlyList<ReadingPair>? twice, out problem))
            return problem;
        foreach (ReadingPair pair in twice.Where(t => t.Asks))
        {
            sheet.Cite(new Source($"Two readings of one dimension that differ by more than {AskMm} mm are asked about", SourceKind.Assumption));
            sheet.Warn($"{pair.Name}: {run.Lengths.Text(pair.FirstMm)} and {run.Lengths.Text(pair.SecondMm)}. Which one is right? Read it again.");
        }
        return sheet.Finish(new TapedMembers(members, rest, twice, Texts(run.Readings), Texts(run.Again ?? "")));
    }

    private static Result<IReadOnlyList<ReadingPair>> Twice(TapeRun run, IReadOnlyList<double> readings, double span)
    {
        var pairs = new List<ReadingPair>();
        void Add(string name, double first, double second, int? number = null) =>
            pairs.Add(new ReadingPair(name, first, second, Math.Abs(first - second) > AskMm, number));
        if (!string.IsNullOrWhiteSpace(run.Again))
        {
            if (!Readings(run.Again, run.Lengths, "/run/again").IsOk(out IReadOnlyList<double>? again, out Problem? problem))
                return problem;
            if (again.Count != readings.Count)
                return new Problem(
                    "tape-reading",
                    "/run/again",
                    $"The second run has {again.Count} readings, the first has {readings.Count}. Both must cross the same edges."
                );
            for (int i = 0; i < again.Count; i++)
                Add($"Reading {i + 1}", readings[i], again[i], i);
        }
        if (!string.IsNullOrWhiteSpace(run.Overall))
        {
            if (!LengthText.Parse(run.Overall, run.Lengths).IsOk(out Worked<ParsedLength>? overall, out Problem? problem))
                return new Problem("tape-reading", "/run/overall", problem.Message);
            Add("The panel's far edge: as drawn, and by this tape", span, overall.Result.Mm);
        }
        return pairs;
    }

    private static Result<IReadOnlyList<double>> Readings(string typed, LengthFormat lengths, string pointer)
    {
        Problem Wrong(string message) => new("tape-reading", pointer, message);
        string[] texts = Texts(typed);
        if (texts.Length == 0)
            return Wrong("Type running readings, such as 560 / 620 / 1165 / 1225.");
        if (texts.Length > MostReadings)
            return Wrong($"A run has at most {MostReadings} readings; this one has {texts.Length}.");
        var readings = new List<double>();
        var doubts = new List<string>();
        // A first reading of 0 says that a member begins at the edge itself.
        double before = -1;
        for (int i = 0; i < texts.Length; i++)
        {
            if (HalfFraction().IsMatch(texts[i]))
                doubts.Add(
                    $"Reading {i + 1}, {texts[i]}: a fraction or two readings? Write "
                        + $"{texts[i].Replace(" ", "", StringComparison.Ordinal)} for the fraction."
                );
            else if (!LengthText.Parse(texts[i], lengths).IsOk(out Worked<ParsedLength>? length, out Problem? problem))
                doubts.Add($"Reading {i + 1}: {problem.Message}");
            else if (length.Result.Mm - before < 1)
                doubts.Add(
                    $"Reading {i + 1}, {texts[i]}, is not past the one before it. Running readings are all taken from the same edge and grow."
                );
            else
                readings.Add(before = length.Result.Mm);
        }
        return doubts.Count == 0 ? readings : Wrong(string.Join(" ", doubts.Take(MostDoubts)));
    }

    /// <summary>The readings of a run, one by one; what is no reading stands by itself, so that it can be asked about.</summary>
    private static string[] Texts(string typed) =>
        [.. Reading().Matches(typed.Replace('\u2044', '/').Replace('\u00A0', ' ')).Select(m => m.Value.Trim())];

    private static Member Across(Panel panel, TapeRun run, bool along, double from, double to, int number)
    {
        PanelBox box = panel.Box;
        double middle = (from + to) / 2;
        PanelPoint[] spine = along ? [new(middle, box.TMinMm), new(middle, box.TMaxMm)] : [new(box.SMinMm, middle), new(box.SMaxMm, middle)];
        return new Member(
            $"{run.Name} {number}",
            run.Kind,
            Member.DefaultRole(run.Kind),
            new Footprint(FootprintShape.Spine, spine, to - from),
            run.DepthMm
        );
    }

    private static Problem Wrong(string message) => new("tape-reading", "/run/readings", message);

    /// <summary>
    /// One reading: metric with its unit; feet with what follows; whole inches with a fraction; a fraction; a number, whose comma is a decimal one
    /// where one or two digits follow; or whatever else stands between separators.
    /// A fraction has a denominator that a tape shows, and no third number behind another slash.
    /// </summary>
    [GeneratedRegex(
        """
            [-+]?\d+(?:[.,]\d{1,2}(?!\d))?(?:\.\d+)?[ \t]*(?:mm|cm|m)\b\.?
            | \d+(?:[.,]\d{1,2}(?!\d))?[ \t]*(?:'(?!')|\u2032|feet\b|foot\b|ft\b\.?)[ \t]*-?[ \t]*(?:\d+[ \t-]+\d+/(?:64|32|16|8|4|2)(?![\d/])|\d+/(?:64|32|16|8|4|2)(?![\d/])|\d+(?:\.\d+)?(?![\d.]|[ \t]*(?:'(?!')|\u2032|f(?:ee|oo)?t\b)))?[ \t]*(?:["\u2033]|''|inch(?:es)?\b|in\b\.?)?
            | (?<![\d/])\d+[ \t]/(?:64|32|16|8|4|2)(?![\d/])(?![ \t]*/)|(?<![\d/])\d+/[ \t](?:64|32|16|8|4|2)(?![\d/])(?![ \t]*/)
            | \d+[ \t-]+\d+[ \t]/(?:64|32|16|8|4|2)(?![\d/])|\d+[ \t-]+\d+/[ \t](?:64|32|16|8|4|2)(?![\d/])
            | \d+[ \t-]+\d+/(?:64|32|16|8|4|2)(?![\d/])[ \t]*(?:["\u2033]|''|inch(?:es)?\b|in\b\.?)?
            | (?<![\d/])\d+/(?:64|32|16|8|4|2)(?![\d/])[ \t]*(?:["\u2033]|''|inch(?:es)?\b|in\b\.?)?
            | \d+[ \t]*[½¼¾⅛⅜⅝⅞][ \t]*["\u2033]?
            | [-+]?\d+(?:,\d{1,2}(?!\d)|\.\d+)?[ \t]*(?:["\u2033]|''|inch(?:es)?\b|in\b\.?)?(?=[\s,;/]|$)
            | [^\s,;/]+
            """,
        RegexOptions.IgnorePatternWhitespace | RegexOptions.IgnoreCase,
        1000
    )]
    private static partial Regex Reading();

    /// <summary>A fraction with a space on one side of its slash.</summary>
    [GeneratedRegex(@"\d[ \t]/\d|\d/[ \t]\d")]
    private static partial Regex HalfFraction();
}
