using Abri.Core.Declared;

namespace Abri.Core.Days;

/// <summary>A way to shut a hole in a hurry.</summary>
/// <param name="Id">What it is known by.</param>
/// <param name="Title">What it is.</param>
/// <param name="Do">What to do.</param>
/// <param name="Minutes">How long it takes, min.</param>
/// <param name="Materials">What has to lie ready.</param>
public sealed record ShutWay(string Id, string Title, string Do, double Minutes, IReadOnlyList<string> Materials);

/// <summary>A cover for a hole.</summary>
/// <param name="LengthMm">Its length, mm.</param>
/// <param name="WidthMm">Its width, mm.</param>
/// <param name="TapeMm">Tape for its edges, twice round, mm.</param>
/// <param name="Ways">Ways to shut the hole, quickest first.</param>
public sealed record CoverPlan(double LengthMm, double WidthMm, double TapeMm, IReadOnlyList<ShutWay> Ways);

/// <summary>What lies ready before a hole is cut: a cover that is large enough, and what to do when the weather turns.</summary>
/// <remarks>Margins and minutes are assumptions; that tape goes on from the low side up, so that each piece laps over the one below, is common
/// practice.</remarks>
/// <example>Hole 400 by 400: cover 700 by 700, 5.6 m of tape.</example>
public static class HoleCover
{
    /// <summary>How far a cover reaches beyond the hole, mm: assumption.</summary>
    public const double BeyondMm = 150;

    private const double SheetMinutes = 8,
        SheetMmPerMinute = 600,
        BoardMinutes = 20,
        BoardMmPerMinute = 200,
        FitMinutes = 15;

    /// <summary>The cover of a hole.</summary>
    /// <param name="lengthMm">Length of the hole, mm.</param>
    /// <param name="widthMm">Its width, mm.</param>
    /// <param name="fits">Whether a fitting is there that can be set in dry and held.</param>
    public static Worked<CoverPlan> Of(
        [Within(20, 5000, "The hole", "mm")] double lengthMm,
        [Within(20, 5000, "The hole", "mm")] double widthMm,
        bool fits
    )
    {
        var sheet = new Worksheet();
        double length = sheet.Step("l", "length of the cover", $"hole + 2 x {BeyondMm:0} mm", lengthMm + (2 * BeyondMm), "mm"),
            width = sheet.Step("w", "width of the cover", $"hole + 2 x {BeyondMm:0} mm", widthMm + (2 * BeyondMm), "mm"),
            tape = sheet.Step("t", "tape", "2 x 2 (l + w): edge, and a second run over it", 4 * (length + width), "mm");
        sheet.Cite(new Source($"A cover reaches {BeyondMm:0} mm beyond the hole; minutes", SourceKind.Assumption));
        sheet.Cite(new Source("Tape from the low side up, each piece over the one below", SourceKind.CommonPractice));
        double round = 2 * (length + width);
        ShutWay[] ways =
        [
            .. fits
                ? new[]
                {
                    new ShutWay(
                        "fit-dry",
                        "Set the fitting in dry",
                        "Set it in without bedding and hold it with a few screws or its clamp. It keeps most rain out for hours, not for a "
                            + "storm: tape its upper edge.",
                        FitMinutes,
                        ["The fitting", "Screws", "Tape"]
                    ),
                }
                : [],
            new ShutWay(
                "sheet",
                "Tape a sheet over it",
                "Dry the skin. Sheet over the hole, low side taped first, then the sides, the high side last and lapping over them; a batten "
                    + "under it, so that no pool hangs in the hole.",
                Math.Round(SheetMinutes + (round / SheetMmPerMinute)),
                ["Sheet", "Tape", "Batten"]
            ),
            new ShutWay(
                "board",
                "Board on butyl",
                "Board over the hole on a ring of butyl, drawn down from inside with two battens across the hole. Holds overnight and in wind.",
                Math.Round(BoardMinutes + (round / BoardMmPerMinute)),
                ["Board", "Butyl tape", "Battens", "Screws"]
            ),
        ];
        return sheet.Finish(new CoverPlan(length, width, tape, [.. ways.OrderBy(w => w.Minutes)]));
    }
}
