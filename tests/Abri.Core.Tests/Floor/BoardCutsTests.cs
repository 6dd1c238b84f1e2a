using Abri.Core.Floor;
using Abri.Core.Geometry;
using CsCheck;

namespace Abri.Core.Tests.Floor;

/// <summary>Boards cut from sheets with straight cuts.</summary>
public class BoardCutsTests
{
    private static CutPlan Plan(CutQuestion question)
    {
        Result<Worked<CutPlan>> result = BoardCuts.Of(question);
        Assert.Null(result.Problem);
        Sawn(question, result.Value!.Result);
        return result.Value.Result;
    }

    private static CutStock Bought(double length = 2440, double width = 1220) => new("New sheet", length, width, null);

    /// <summary>Saws a plan apart as a person would, in the order that it says: each cut from edge to edge of one part, each piece one of
    /// them.</summary>
    private static void Sawn(CutQuestion question, CutPlan plan)
    {
        foreach (CutSheet sheet in plan.Sheets)
        {
            CutStock stock = question.Stock[sheet.Stock];
            List<PanelBox> parts = [new PanelBox(0, stock.LengthMm, 0, stock.WidthMm)];
            Assert.Equal(Enumerable.Range(1, sheet.Cuts.Count), sheet.Cuts.Select(c => c.Number));
            foreach (SawCut cut in sheet.Cuts)
            {
                PanelBox part = Assert.Single(parts, p =>
                    cut.IsRip
                        ? Near(p.SMinMm, cut.AlongMm)
                            && Near(p.WidthMm, cut.LengthMm)
                            && Near(p.TMinMm + cut.FenceMm, cut.AcrossMm)
                            && p.TMaxMm > cut.AcrossMm
                        : Near(p.TMinMm, cut.AcrossMm)
                            && Near(p.HeightMm, cut.LengthMm)
                            && Near(p.SMinMm + cut.FenceMm, cut.AlongMm)
                            && p.SMaxMm > cut.AlongMm
                );
                parts.Remove(part);
                double end = cut.IsRip ? cut.AcrossMm : cut.AlongMm;
                parts.Add(cut.IsRip ? part with { TMaxMm = end } : part with { SMaxMm = end });
                PanelBox beyond = cut.IsRip ? part with { TMinMm = end + question.KerfMm } : part with { SMinMm = end + question.KerfMm };
                if (beyond is { WidthMm: > 1e-9, HeightMm: > 1e-9 })
                    parts.Add(beyond);
                Assert.Equal(
                    question.Car is { } car
                        && (
                            Math.Max(part.WidthMm, part.HeightMm) > Math.Max(car.LengthMm, car.WidthMm) + 1e-6
                            || Math.Min(part.WidthMm, part.HeightMm) > Math.Min(car.LengthMm, car.WidthMm) + 1e-6
                        ),
                    cut.AtShop
                );
            }
            foreach (
                (double s, double t, double length, double width) in sheet
                    .Places.Select(p => (p.AlongMm, p.AcrossMm, p.LengthMm, p.WidthMm))
                    .Concat(sheet.Offcuts.Select(r => (r.AlongMm, r.AcrossMm, r.LengthMm, r.WidthMm)))
            )
            {
                PanelBox part = Assert.Single(parts, p =>
                    Near(p.SMinMm, s) && Near(p.TMinMm, t) && Near(p.WidthMm, length) && Near(p.HeightMm, width)
                );
                parts.Remove(part);
            }
            // What nobody named is waste: nothing that is large enough to keep.
            Assert.All(parts, p => Assert.True(Math.Min(p.WidthMm, p.HeightMm) < BoardCuts.KeepMm));
            foreach (CutPlace place in sheet.Places)
            {
                CutPiece piece = question.Pieces[place.Piece];
                bool straight = Near(piece.LengthMm, place.LengthMm) && Near(piece.WidthMm, place.WidthMm);
                Assert.True(straight || (piece.TurnsFree && Near(piece.LengthMm, place.WidthMm) && Near(piece.WidthMm, place.LengthMm)));
            }
        }
        int[] lie = [.. plan.Sheets.SelectMany(s => s.Places).Select(p => p.Piece).Concat(plan.Left)];
        Assert.All(question.Pieces.Select((p, i) => (p, i)), x => Assert.Equal(x.p.Count, lie.Count(n => n == x.i)));
        foreach ((CutStock stock, int j) in question.Stock.Select((s, j) => (s, j)))
            Assert.True(stock.Count is not { } count || plan.Sheets.Count(s => s.Stock == j) <= count, "More sheets than there are.");
    }

    private static bool Near(double a, double b) => Math.Abs(a - b) < 1e-6;

    [Fact] // By hand: 610 + 3.2 + 610 = 1223.2 is more than 1220, so that two of each sheet's four quarters are lost
    public void The_kerf_takes_what_the_area_leaves()
    {
        CutPlan plan = Plan(new CutQuestion([new CutPiece("Quarter", 1220, 610, 4)], [Bought()], 3.2));
        Assert.Equal((4, 4), (plan.Bought, plan.Sheets.Count));
        Assert.True(plan.Proven);
        CutPlan without = Plan(new CutQuestion([new CutPiece("Quarter", 1220, 610, 4)], [Bought()], 0));
        Assert.Equal(1, without.Bought);
        Assert.Equal("4 pieces from 1 sheet: with straight cuts nothing less does.", without.Verdict);
        // Three cuts part four quarters: one across and one along either half.
        Assert.Equal(3, without.Sheets[0].Cuts.Count);
    }

    [Fact]
    public void Grain_keeps_a_piece_as_it_is_and_foam_may_lie_across()
    {
        CutQuestion Of(bool free) => new([new CutPiece("Strip", 1000, 2000, 1, free)], [Bought(2440, 1220)], 3);
        Assert.Equal([0], Plan(Of(false)).Left);
        CutPlan turned = Plan(Of(true));
        Assert.Equal((2000.0, 1000.0), (turned.Sheets[0].Places[0].LengthMm, turned.Sheets[0].Places[0].WidthMm));
        Assert.StartsWith("No sheet has room for 1 piece", Plan(Of(false)).Verdict);
    }

    [Fact]
    public void What_is_there_comes_before_what_is_bought_and_the_rest_stays_in_one_piece()
    {
        CutPlan plan = Plan(
            new CutQuestion(
                [new CutPiece("Piece", 600, 400, 2)],
                [new CutStock("Old one", 1300, 450, 1), new CutStock("Large", 2440, 1220, 1), Bought()],
                3
            )
        );
        Assert.Equal((0, 0), (Assert.Single(plan.Sheets).Stock, plan.Bought));
        // Nothing there: the rest of the new sheet is a whole strip, not two corners.
        CutOffcut rest = Plan(new CutQuestion([new CutPiece("Piece", 600, 400)], [Bought()], 3))
            .Sheets[0]
            .Offcuts.MaxBy(r => r.LengthMm * r.WidthMm)!;
        Assert.Equal((1837.0, 1220.0), (rest.LengthMm, rest.WidthMm));
    }

    [Fact]
    public void Cuts_that_no_car_carries_are_made_at_the_shop()
    {
        var car = new CarryHome(2450, 900);
        SawCut[] cuts = [.. Assert.Single(Plan(new CutQuestion([new CutPiece("Half", 1200, 600, 4)], [Bought()], 3, car)).Sheets).Cuts];
        // Ripped once at the shop; the edges that are waste come off at home.
        Assert.Equal([true, false], cuts.Take(2).Select(c => c.AtShop));
        Assert.Equal(("the sheet", true, 600.0), (cuts[0].Of, cuts[0].IsRip, cuts[0].FenceMm));
        Assert.Equal(["Wide"], Plan(new CutQuestion([new CutPiece("Wide", 1200, 1100)], [Bought()], 3, car)).TooLarge);
    }

    [Fact]
    public void The_fence_says_what_lies_between_it_and_the_blade()
    {
        SawCut[] cuts = [.. Plan(new CutQuestion([new CutPiece("Shelf", 1000, 300, 2)], [new CutStock("Offcut", 1000, 620, 1)], 3)).Sheets[0].Cuts];
        // Narrowed to 603 first, as the rest of 14 is waste; then in two.
        Assert.Equal(
            [("the sheet", 603.0, "part 1", null), ("part 1", 300.0, "Shelf", "Shelf")],
            cuts.Select(c => (c.Of, c.FenceMm, c.First, c.Second))
        );
    }

    [Fact]
    public void Many_pieces_are_laid_against_a_bound()
    {
        CutQuestion question = new(
            [.. Enumerable.Range(0, 30).Select(i => new CutPiece($"Piece {i}", 400 + (37 * i % 500), 200 + (53 * i % 300)))],
            [Bought()],
            3
        );
        CutPlan plan = Plan(question);
        Assert.False(CutSearch.Fits(question));
        Assert.Empty(plan.Left);
        Assert.InRange(plan.Bought, plan.LeastBought, plan.LeastBought + 1);
        Assert.Equal(plan.Proven, plan.Bought == plan.LeastBought);
        // Two dozen equal ones are few choices, and proven.
        Assert.True(CutSearch.Fits(new CutQuestion([new CutPiece("Foam", 419, 419, 24, true)], [Bought()], 3)));
    }

    [Fact]
    public void A_plan_of_too_many_pieces_or_two_sizes_bought_is_refused()
    {
        CutPiece many = new("Piece", 100, 100, 60);
        Assert.Equal("too-many-pieces", BoardCuts.Of(new CutQuestion([many, many, many], [Bought()], 3)).Problem!.Code);
        Assert.Equal("two-bought", BoardCuts.Of(new CutQuestion([many], [Bought(), Bought(2000)], 3)).Problem!.Code);
    }

    [Fact] // Held against a search that tries every place of every straight cut, written apart
    public void Small_sets_are_solved_as_by_trying_every_cut() =>
        Gen.Select(Gen.Select(Gen.Int[1, 5], Gen.Int[1, 5], Gen.Bool).Array[1, 5], Gen.Select(Gen.Int[4, 8], Gen.Int[3, 7]), Gen.Int[0, 1])
            .Holds(
                (pieces, sheet, kerf) =>
                {
                    // In steps of 100 mm; a kerf of 1 % of a step fits wherever a whole step is left.
                    (int L, int W, bool Free)[] sizes = [.. pieces.Select(p => (p.Item1, p.Item2, p.Item3))];
                    (int Left, int Bought) tried = EveryCut.Fewest(sizes, sheet.Item1, sheet.Item2, kerf);
                    CutPlan plan = Plan(
                        new CutQuestion(
                            [.. sizes.Select((p, i) => new CutPiece($"Piece {i}", p.L * 100, p.W * 100, 1, p.Free))],
                            [Bought(sheet.Item1 * 100, sheet.Item2 * 100)],
                            kerf == 0 ? 0 : 20
                        )
                    );
                    Assert.True(plan.Proven || plan.Left.Count > 0);
                    Assert.Equal(tried, (plan.Left.Count, plan.Bought));
                },
                cases: 150
            );

    [Fact] // Held against the exact search where both can be asked
    public void Filling_never_does_better_than_the_search_and_its_bound_never_says_more() =>
        Gen.Select(Gen.Select(Gen.Int[200, 1500], Gen.Int[150, 900], Gen.Bool).Array[2, 7], Gen.Int[0, 1])
            .Holds(
                (pieces, there) =>
                {
                    CutStock[] stock = there == 0 ? [Bought()] : [new CutStock("Offcut", 1200, 800, 1), Bought()];
                    var question = new CutQuestion([.. pieces.Select((p, i) => new CutPiece($"P{i}", p.Item1, p.Item2, 1, p.Item3))], stock, 3);
                    CutPlan exact = Plan(question);
                    CutLayout filled = CutFill.Solve(question, default);
                    Assert.Empty(filled.Left);
                    Sawn(question, exact with { Sheets = [.. filled.Trees.Select(t => SawOrder.Of(question, t.Stock, t.Tree))] });
                    int bought = filled.Trees.Count(t => question.Stock[t.Stock].Count is null);
                    Assert.InRange(exact.Bought, CutFill.LeastBought(question, []), bought);
                },
                cases: 60
            );

    /// <summary>Tries every straight cut at every whole step, and every way to part the pieces.</summary>
    private static class EveryCut
    {
        public static (int Left, int Bought) Fewest((int L, int W, bool Free)[] pieces, int length, int width, int kerf)
        {
            int all = (1 << pieces.Length) - 1;
            // With a kerf, all is told in fifths of a step: a cut takes one of them.
            int per = kerf == 0 ? 1 : 5;
            (int L, int W, bool Free)[] sizes = [.. pieces.Select(p => (p.L * per, p.W * per, p.Free))];
            Dictionary<(int, int, int), bool> known = [];
            bool Goes(int set, int l, int w)
            {
                if (set == 0)
                    return true;
                if (l <= 0 || w <= 0)
                    return false;
                if (known.TryGetValue((set, l, w), out bool goes))
                    return goes;
                if ((set & (set - 1)) == 0)
                {
                    (int pl, int pw, bool free) = sizes[int.TrailingZeroCount(set)];
                    goes = (pl <= l && pw <= w) || (free && pw <= l && pl <= w);
                }
                for (int part = (set - 1) & set; !goes && part > 0; part = (part - 1) & set)
                {
                    for (int at = 1; !goes && at < l; at++)
                        goes = Goes(part, at, w) && Goes(set & ~part, l - at - kerf, w);
                    for (int at = 1; !goes && at < w; at++)
                        goes = Goes(part, l, at) && Goes(set & ~part, l, w - at - kerf);
                }
                return known[(set, l, w)] = goes;
            }
            int possible = Enumerable.Range(0, pieces.Length).Where(i => Goes(1 << i, length * per, width * per)).Sum(i => 1 << i);
            int[] fewest = [.. Enumerable.Repeat(int.MaxValue, all + 1)];
            fewest[0] = 0;
            for (int set = 1; set <= all; set++)
            {
                for (int part = set; part > 0; part = (part - 1) & set)
                {
                    if (fewest[set & ~part] != int.MaxValue && Goes(part, length * per, width * per))
                        fewest[set] = Math.Min(fewest[set], fewest[set & ~part] + 1);
                }
            }
            return (pieces.Length - int.PopCount(possible), fewest[possible]);
        }
    }
}
