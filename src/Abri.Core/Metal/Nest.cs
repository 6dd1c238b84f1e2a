using Abri.Core.Declared;
using Abri.Core.Geometry;

namespace Abri.Core.Metal;

/// <summary>A piece that is cut out of a sheet.</summary>
/// <param name="Name">What it is.</param>
/// <param name="Outline">Its outline, mm in a frame of its own.</param>
/// <param name="Grain">Whether its s axis lies along the sheet's: it is turned by half a turn only.</param>
public sealed record NestPiece(
    [Name(120)] string Name,
    [Count(3, Limits.MostPoints, "A piece has 3 to 500 corners.")] IReadOnlyList<PanelPoint> Outline,
    bool Grain = false
);

/// <summary>A sheet or an offcut that pieces are cut from.</summary>
/// <param name="Name">What it is.</param>
/// <param name="Outline">Its outline, mm; of an offcut the true one.</param>
public sealed record NestSheet([Name] string Name, [Count(3, Limits.MostPoints, "A sheet has 3 to 500 corners.")] IReadOnlyList<PanelPoint> Outline);

/// <summary>Pieces and sheets of one metal and one thickness.</summary>
/// <param name="Pieces">The pieces.</param>
/// <param name="Sheets">The sheets and offcuts that are there.</param>
/// <param name="GapMm">Least distance between two pieces, and what a cut takes, mm.</param>
public sealed record NestQuestion(
    [Count(1, 60, "From 1 to 60 pieces are laid out at once.")] IReadOnlyList<NestPiece> Pieces,
    [Count(0, 12, "Of at most 12 sheets.")] IReadOnlyList<NestSheet> Sheets,
    [Within(0.5, 50, "The gap", "mm")] double GapMm
);

/// <summary>Where a piece lies.</summary>
/// <param name="Piece">Its number in the question, from 0.</param>
/// <param name="Sheet">Number of the sheet, from 0.</param>
/// <param name="TurnDeg">By how much it is turned, degrees.</param>
/// <param name="Outline">Its outline on the sheet, mm.</param>
public sealed record NestPlace(int Piece, int Sheet, int TurnDeg, IReadOnlyList<PanelPoint> Outline);

/// <summary>What is left of a sheet, large enough to keep.</summary>
/// <param name="Sheet">Number of the sheet, from 0.</param>
/// <param name="Outline">Its outline on the sheet, mm.</param>
public sealed record NestOffcut(int Sheet, IReadOnlyList<PanelPoint> Outline);

/// <summary>Pieces laid out on sheets.</summary>
/// <param name="Places">Where each piece lies.</param>
/// <param name="Left">Numbers of the pieces that no sheet has room for.</param>
/// <param name="PiecesMm2">Area of the pieces that lie, mm2.</param>
/// <param name="SheetsMm2">Area of the sheets that are cut into, mm2.</param>
/// <param name="LeastMm2">Area of sheets without which it cannot be done in quarter turns, mm2; 0 where pieces are left.</param>
/// <param name="Proven">Whether with pieces in quarter turns nobody can do it with less sheet, nor place more of them.</param>
/// <param name="Offcuts">What is left and kept.</param>
/// <param name="Verdict">The same in a sentence.</param>
public sealed record NestPlan(
    IReadOnlyList<NestPlace> Places,
    IReadOnlyList<int> Left,
    double PiecesMm2,
    double SheetsMm2,
    double LeastMm2,
    bool Proven,
    IReadOnlyList<NestOffcut> Offcuts,
    string Verdict
);

/// <summary>Lays pieces out on sheets and offcuts: as little sheet as can be, and what is left in one piece.</summary>
/// <remarks>
/// First bottom-left along the longer side of each sheet, in several orders, true outlines against true outlines. Where that meets the bound from
/// areas it is proven. Else rectangles on rectangular sheets go to CP-SAT (<see cref="NestModel"/>), which proves it or says what cannot be less;
/// for other outlines the bound from areas stays. Sheets cost their area, so that offcuts are used up first. The same question has the same answer.
/// </remarks>
/// <example>Four pieces of 500 by 500 with a gap of 2 on 1250 by 2500: one sheet, proven.</example>
public static class Nest
{
    /// <summary>Least side of an offcut that is worth keeping, mm: assumption.</summary>
    public const double KeepMm = 50;

    /// <summary>Orders that are tried beyond the three usual ones: each with another piece first.</summary>
    private const int Orders = 12;

    /// <summary>Usual gap between pieces, mm: room for snips or a blade, common practice.</summary>
    public const double UsualGapMm = 5;

    /// <summary>The plan.</summary>
    /// <param name="question">Pieces and sheets.</param>
    /// <param name="stop">Stops the search.</param>
    /// <exception cref="OperationCanceledException">Nobody waits any more.</exception>
    public static Result<Worked<NestPlan>> Of(NestQuestion question, CancellationToken stop = default)
    {
        if (Wrong(question) is { } problem)
            return problem;
        var sheet = new Worksheet();
        NestLayout best = BestOrder(question, stop);
        double least = LeastOf(question);
        bool proven = question.Sheets.Count == 0 || (best.Left.Count == 0 && best.SheetsMm2 <= least + 1);
        if (!proven && NestModel.Fits(question))
        {
            (NestLayout? exact, bool optimal, double bound) = NestModel.Solve(question, best, stop);
            if (exact is not null)
            {
                // The same once more from below, so that what is left stays in one piece.
                int[] order = [.. exact.Places.OrderBy(p => PanelBox.Of(p.Outline).SMaxMm + PanelBox.Of(p.Outline).TMaxMm).Select(p => p.Piece)];
                NestLayout pressed = NestLayout.Laid(question, order, [.. exact.Places.Select(p => p.Sheet).Distinct().Order()], stop);
                foreach (NestLayout tried in new[] { exact, pressed })
                    best = NestLayout.Better(tried, best) ? tried : best;
                proven = optimal && exact.PlacedMm2 > best.PlacedMm2 - 1 && exact.SheetsMm2 < best.SheetsMm2 + 1;
                least = Math.Max(least, exact.Left.Count == 0 ? bound : 0);
            }
        }
        double pieces = sheet.Step("A", "pieces that lie", "sum of their areas", best.PlacedMm2 / 1e6, "m2") * 1e6,
            used = sheet.Step("S", "sheets cut into", "sum of their areas", best.SheetsMm2 / 1e6, "m2") * 1e6;
        least = best.Left.Count > 0 ? 0 : sheet.Step("B", "no less does", proven ? "proven" : "bound", Math.Min(least, used) / 1e6, "m2") * 1e6;
        sheet.Cite(new Source("Bottom-left in several orders; rectangles by CP-SAT, with proof or bound", SourceKind.Geometry));
        sheet.Cite(new Source("Offcuts that are 50 mm wide and more are kept", SourceKind.Assumption));
        return sheet.Finish(
            new NestPlan(best.Places, best.Left, pieces, used, least, proven, Offcuts(question, best), Verdict(question, best, least, proven))
        );
    }

    private static Problem? Wrong(NestQuestion question)
    {
        for (int i = 0; i < question.Pieces.Count; i++)
        {
            if (Outlines.Check(question.Pieces[i].Outline, $"/pieces/{i}/outline") is { } wrong)
                return wrong;
        }
        for (int j = 0; j < question.Sheets.Count; j++)
        {
            if (Outlines.Check(question.Sheets[j].Outline, $"/sheets/{j}/outline") is { } wrong)
                return wrong;
        }
        return null;
    }

    /// <summary>The best of several orders: by area, by length, by height, then with one piece after the other first.</summary>
    private static NestLayout BestOrder(NestQuestion question, CancellationToken stop)
    {
        int[] all = [.. Enumerable.Range(0, question.Pieces.Count)];
        PanelBox Box(int i) => PanelBox.Of(question.Pieces[i].Outline);
        double Area(int i) => Math.Abs(Outlines.SignedAreaMm2(question.Pieces[i].Outline));
        IEnumerable<int[]> orders =
        [
            [.. all.OrderByDescending(Area)],
            [.. all.OrderByDescending(i => Math.Max(Box(i).WidthMm, Box(i).HeightMm))],
            [.. all.OrderByDescending(i => Math.Min(Box(i).WidthMm, Box(i).HeightMm))],
            .. Enumerable
                .Range(0, Math.Min(Orders, all.Length))
                .Select(k => all.OrderByDescending(i => i == all.Length - 1 - k).ThenByDescending(Area).ToArray()),
        ];
        // Small sheets first: what fits on an offcut does not begin a new sheet. And the other way round, where one large sheet holds all.
        int[] small = [.. Enumerable.Range(0, question.Sheets.Count).OrderBy(j => Math.Abs(Outlines.SignedAreaMm2(question.Sheets[j].Outline)))];
        double least = LeastOf(question);
        NestLayout? best = null;
        // Each sheet that has the area alone, in the usual orders only: that one large sheet holds all shows at once.
        double pieces = all.Sum(Area);
        int[][] alone = [.. small.Where(j => Math.Abs(Outlines.SignedAreaMm2(question.Sheets[j].Outline)) >= pieces).Select(j => new[] { j })];
        foreach ((int[] order, int n) in orders.Select((o, n) => (o, n)).Until(stop))
        {
            foreach (int[] sheets in n < 3 ? alone.Append(small) : [small])
            {
                NestLayout tried = NestLayout.Laid(question, order, sheets, stop);
                if (best is null || NestLayout.Better(tried, best))
                    best = tried;
            }
            if (best!.Left.Count == 0 && best.SheetsMm2 <= least + 1)
                break;
        }
        return best!;
    }

    /// <summary>The least area of sheets that has the area of the pieces.</summary>
    private static double LeastOf(NestQuestion question)
    {
        double pieces = question.Pieces.Sum(p => Math.Abs(Outlines.SignedAreaMm2(p.Outline)));
        double[] sheets = [.. question.Sheets.Select(s => Math.Abs(Outlines.SignedAreaMm2(s.Outline)))];
        double least = sheets.Sum();
        for (int chosen = 0; chosen < 1 << sheets.Length; chosen++)
        {
            double area = 0;
            for (int j = 0; j < sheets.Length; j++)
                area += (chosen >> j & 1) * sheets[j];
            if (area >= pieces && area < least)
                least = area;
        }
        return least;
    }

    /// <summary>What is left of the sheets that are cut into, where a square of the least side has room in it.</summary>
    private static NestOffcut[] Offcuts(NestQuestion question, NestLayout layout) =>
        [
            .. layout
                .Places.GroupBy(p => p.Sheet)
                .OrderBy(g => g.Key)
                .SelectMany(on =>
                {
                    NestSheet sheet = question.Sheets[on.Key];
                    NetTopologySuite.Geometries.Geometry cut = Plane.Union([
                        .. on.Select(p => Plane.Square(Plane.Polygon(p.Outline), question.GapMm)),
                    ]);
                    return Whole(Plane.Difference(Plane.Polygon(sheet.Outline), cut))
                        .Where(part => !Plane.Square(Plane.Polygon(part), -KeepMm / 2).IsEmpty)
                        .Select(part => new NestOffcut(on.Key, part));
                }),
        ];

    /// <summary>Outlines of areas without holes: where a piece was cut from the middle, all that lies above and below it goes with it.</summary>
    internal static IEnumerable<IReadOnlyList<PanelPoint>> Whole(NetTopologySuite.Geometries.Geometry rest)
    {
        foreach (RegionPart part in Plane.Parts(rest.Each()))
        {
            if (part.Holes.Count == 0)
            {
                yield return part.Outline;
                continue;
            }
            NetTopologySuite.Geometries.Geometry bands = Plane.Union([
                .. part
                    .Holes.Select(PanelBox.Of)
                    .Select(b => Plane.Polygon(new PanelBox(b.SMinMm, b.SMaxMm, part.Box.TMinMm - 1, part.Box.TMaxMm + 1))),
            ]);
            foreach (RegionPart beside in Plane.Parts(Plane.Difference(Plane.Polygon(part), bands).Each()))
                yield return beside.Outline;
        }
    }

    private static string Verdict(NestQuestion question, NestLayout layout, double least, bool proven)
    {
        string Counted(int n, string what) => $"{n} {what}{(n == 1 ? "" : "s")}";
        int used = layout.Places.Select(p => p.Sheet).Distinct().Count();
        string lie = $"{Counted(layout.Places.Count, "piece")} on {Counted(used, "sheet")}";
        if (layout.Left.Count > 0)
            return layout.Places.Count == 0
                ? $"No sheet has room for {Counted(layout.Left.Count, "piece")}, straight or turned by quarters: take a larger one."
                : $"{lie}; {Counted(layout.Left.Count, "piece")} found no room" + (proven ? ", and in quarter turns there is none." : ".");
        string filled = $"{100 * layout.PlacedMm2 / layout.SheetsMm2:0} % of the sheet used";
        return proven
            ? $"{lie}, {filled}: in quarter turns less sheet does not do."
            : $"{lie}, {filled}; in quarter turns less than {least / 1e6:0.00} m2 of sheet does not do.";
    }
}
