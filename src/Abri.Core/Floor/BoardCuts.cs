using Abri.Core.Declared;

namespace Abri.Core.Floor;

/// <summary>Equal pieces that are cut from sheets.</summary>
/// <param name="Name">What they are.</param>
/// <param name="LengthMm">Length, along the grain where it has one, mm.</param>
/// <param name="WidthMm">Width, mm.</param>
/// <param name="Count">How many.</param>
/// <param name="TurnsFree">Whether they may lie across the sheet too: foam has no grain.</param>
public sealed record CutPiece(
    [Name(120)] string Name,
    [Within(10, 6000, "The length of a piece", "mm")] double LengthMm,
    [Within(10, 3000, "The width of a piece", "mm")] double WidthMm,
    [Within(1, 60, "The number of equal pieces")] int Count = 1,
    bool TurnsFree = false
);

/// <summary>Equal sheets or offcuts to cut from.</summary>
/// <param name="Name">What they are.</param>
/// <param name="LengthMm">Length, along the grain, mm.</param>
/// <param name="WidthMm">Width, mm.</param>
/// <param name="Count">How many are there; null for sheets that are bought, as many as it takes.</param>
public sealed record CutStock(
    [Name(120)] string Name,
    [Within(50, 6000, "The length of a sheet", "mm")] double LengthMm,
    [Within(50, 3000, "The width of a sheet", "mm")] double WidthMm,
    [Within(1, 60, "The number of equal sheets")] int? Count
);

/// <summary>What can be carried home in one piece.</summary>
/// <param name="LengthMm">Longest that goes in, mm.</param>
/// <param name="WidthMm">Widest that goes in, mm.</param>
public sealed record CarryHome(
    [Within(300, 6000, "The length that goes in", "mm")] double LengthMm,
    [Within(300, 3000, "The width that goes in", "mm")] double WidthMm
);

/// <summary>Pieces and sheets of one material and one thickness.</summary>
/// <param name="Pieces">The pieces.</param>
/// <param name="Stock">Sheets that are there, and what can be bought.</param>
/// <param name="KerfMm">What the saw takes, mm.</param>
/// <param name="Car">What can be carried home; null where whole sheets can.</param>
public sealed record CutQuestion(
    [Count(1, 60, "From 1 to 60 sizes are laid out at once.")] IReadOnlyList<CutPiece> Pieces,
    [Count(0, 12, "At most 12 sizes of sheets are looked at.")] IReadOnlyList<CutStock> Stock,
    [Within(0, 20, "The kerf", "mm")] double KerfMm,
    CarryHome? Car = null
)
{
    /// <summary>Kerf of a panel saw or a track saw, mm: assumption.</summary>
    public const double UsualKerfMm = 3.2;

    /// <summary>Most pieces in all.</summary>
    public const int MostPieces = 120;

    /// <summary>The first contradiction, or null.</summary>
    internal Problem? Check() =>
        Pieces.Sum(p => p.Count) > MostPieces
            ? new Problem("too-many-pieces", "/pieces", $"At most {MostPieces} pieces are laid out at once: leave some for a second plan.")
        : Stock.Count(s => s.Count is null) > 1 ? new Problem("two-bought", "/stock", "Say one size of sheet that is bought; others by number.")
        : null;
}

/// <summary>Where a piece lies on its sheet.</summary>
/// <param name="Piece">Its number in the question, from 0.</param>
/// <param name="AlongMm">From the sheet's end, along it, mm.</param>
/// <param name="AcrossMm">From the sheet's side, across it, mm.</param>
/// <param name="LengthMm">Extent along the sheet, mm.</param>
/// <param name="WidthMm">Extent across it, mm.</param>
public sealed record CutPlace(int Piece, double AlongMm, double AcrossMm, double LengthMm, double WidthMm);

/// <summary>What is left of a sheet and kept.</summary>
/// <param name="AlongMm">From the sheet's end, along it, mm.</param>
/// <param name="AcrossMm">From the sheet's side, across it, mm.</param>
/// <param name="LengthMm">Extent along the sheet, mm.</param>
/// <param name="WidthMm">Extent across it, mm.</param>
public sealed record CutOffcut(double AlongMm, double AcrossMm, double LengthMm, double WidthMm);

/// <summary>One straight cut from edge to edge.</summary>
/// <param name="Number">Its place in the order, from 1.</param>
/// <param name="Of">What is cut: the sheet, or a part that an earlier cut gave.</param>
/// <param name="IsRip">Whether it runs along the sheet's length.</param>
/// <param name="FenceMm">From fence to blade: the extent of the first part, mm.</param>
/// <param name="AlongMm">Where the cut begins, along the sheet, mm.</param>
/// <param name="AcrossMm">Where it begins, across it, mm.</param>
/// <param name="LengthMm">Length of the cut, mm.</param>
/// <param name="First">What lies between fence and blade.</param>
/// <param name="Second">What lies beyond the blade; null where it is waste.</param>
/// <param name="AtShop">Whether it is made at the shop, as its part cannot be carried home.</param>
public sealed record SawCut(
    int Number,
    string Of,
    bool IsRip,
    double FenceMm,
    double AlongMm,
    double AcrossMm,
    double LengthMm,
    string First,
    string? Second,
    bool AtShop
);

/// <summary>A sheet with what is cut from it.</summary>
/// <param name="Stock">Number of its size in the question, from 0.</param>
/// <param name="Places">Where the pieces lie.</param>
/// <param name="Cuts">The cuts, in order.</param>
/// <param name="Offcuts">What is left and kept.</param>
public sealed record CutSheet(int Stock, IReadOnlyList<CutPlace> Places, IReadOnlyList<SawCut> Cuts, IReadOnlyList<CutOffcut> Offcuts);

/// <summary>Pieces laid out on sheets with cuts from edge to edge.</summary>
/// <param name="Sheets">The sheets that are cut into.</param>
/// <param name="Left">Numbers of the pieces that no sheet has room for, each as often as it is left.</param>
/// <param name="Bought">How many sheets are bought.</param>
/// <param name="LeastBought">Fewer do not do.</param>
/// <param name="Proven">Whether with cuts from edge to edge nobody can do it with fewer bought sheets, nor then with less of what is there.</param>
/// <param name="PiecesMm2">Area of the pieces that lie, mm2.</param>
/// <param name="SheetsMm2">Area of the sheets that are cut into, mm2.</param>
/// <param name="TooLarge">Names of pieces that cannot be carried home in one.</param>
/// <param name="Verdict">The same in a sentence.</param>
public sealed record CutPlan(
    IReadOnlyList<CutSheet> Sheets,
    IReadOnlyList<int> Left,
    int Bought,
    int LeastBought,
    bool Proven,
    double PiecesMm2,
    double SheetsMm2,
    IReadOnlyList<string> TooLarge,
    string Verdict
);

/// <summary>Lays rectangular pieces out on sheets so that a panel saw or a track saw can cut them: every cut runs from edge to edge.</summary>
/// <remarks>
/// Fewest bought sheets first, then least area of what is there, then the largest offcut. Small sets are solved exactly
/// (<see cref="CutSearch"/>): for each choice of pieces all smallest rectangles that cuts from edge to edge can give, and for each sheet the best
/// choice. Larger ones are laid piece by piece (<see cref="CutFill"/>) and held against a bound from areas.
/// </remarks>
/// <example>Four pieces 1220 x 610 take four sheets of 2440 x 1220 with a kerf of 3.2, and one with none.</example>
public static class BoardCuts
{
    /// <summary>Least side of an offcut that is worth keeping, mm: assumption.</summary>
    public const double KeepMm = 100;

    /// <summary>The plan.</summary>
    /// <param name="question">Pieces and sheets.</param>
    /// <param name="stop">Stops the search.</param>
    /// <exception cref="OperationCanceledException">Nobody waits any more.</exception>
    public static Result<Worked<CutPlan>> Of(CutQuestion question, CancellationToken stop = default)
    {
        if (question.Check() is { } problem)
            return problem;
        var sheet = new Worksheet();
        bool exact = CutSearch.Fits(question);
        CutLayout layout = Laid(question, stop);
        CutSheet[] sheets = [.. layout.Trees.Select(t => SawOrder.Of(question, t.Stock, t.Tree))];
        int bought = layout.Trees.Count(t => question.Stock[t.Stock].Count is null);
        double pieces = sheet.Step(
                "A",
                "pieces that lie",
                "sum of l w",
                sheets.SelectMany(s => s.Places).Sum(p => p.LengthMm * p.WidthMm) / 1e6,
                "m2"
            ),
            used = sheet.Step("S", "sheets cut into", "sum of L W", sheets.Sum(s => Area(question.Stock[s.Stock])) / 1e6, "m2");
        int least = (int)
            sheet.Step(
                "n",
                "sheets bought at least",
                exact ? "proven" : "area of pieces with a kerf each, less what is there, in sheets",
                exact ? bought : Math.Min(bought, CutFill.LeastBought(question, layout.Left)),
                "count"
            );
        // Where something is left over, that no more of it has room is proven by the search alone.
        bool proven = exact || (layout.Left.Count == 0 && bought == least && layout.Trees.Count == bought);
        sheet.Cite(new Source("Cuts from edge to edge; smallest rectangles of every choice of pieces, else a bound from areas", SourceKind.Geometry));
        sheet.Cite(new Source($"Offcuts that are {KeepMm:0} mm wide and more are kept", SourceKind.Assumption));
        string[] large = question.Car is { } car
            ? [.. question.Pieces.Where(p => !SawOrder.Carries(car, p.LengthMm, p.WidthMm)).Select(p => p.Name).Distinct()]
            : [];
        if (large.Length > 0)
            sheet.Warn($"Too large to carry home in one piece: {string.Join(", ", large)}. Have them brought, or part them over a bearer.");
        return sheet.Finish(
            new CutPlan(sheets, layout.Left, bought, least, proven, pieces * 1e6, used * 1e6, large, Verdict(sheets, layout, bought, proven, least))
        );
    }

    /// <summary>The layout: exactly where that is quick, else piece by piece.</summary>
    internal static CutLayout Laid(CutQuestion question, CancellationToken stop) =>
        CutSearch.Fits(question) ? CutSearch.Solve(question, stop) : CutFill.Solve(question, stop);

    private static double Area(CutStock stock) => stock.LengthMm * stock.WidthMm;

    private static string Verdict(CutSheet[] sheets, CutLayout layout, int bought, bool proven, int least)
    {
        static string Counted(int n, string what) => $"{n} {what}{(n == 1 ? "" : "s")}";
        int pieces = sheets.Sum(s => s.Places.Count);
        string lie =
            $"{Counted(pieces, "piece")} from {Counted(sheets.Length, "sheet")}"
            + (bought > 0 && bought < sheets.Length ? $", {bought} of them bought" : "");
        if (layout.Left.Count > 0)
            return pieces == 0
                ? $"No sheet has room for {Counted(layout.Left.Count, "piece")}: take a larger one, or part them."
                : $"{lie}; {Counted(layout.Left.Count, "piece")} found no room.";
        return proven ? $"{lie}: with straight cuts nothing less does."
            : bought > 0 ? $"{lie}; fewer than {least} bought do not do."
            : $"{lie}.";
    }
}

/// <summary>Which pieces are cut from which sheets, and how.</summary>
/// <param name="Trees">For each sheet that is cut into the number of its size, and the cuts.</param>
/// <param name="Left">Numbers of the pieces that no sheet has room for.</param>
internal sealed record CutLayout(IReadOnlyList<(int Stock, CutTree Tree)> Trees, IReadOnlyList<int> Left);
