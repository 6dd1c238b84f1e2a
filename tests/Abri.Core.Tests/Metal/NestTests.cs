using Abri.Core.Geometry;
using Abri.Core.Metal;
using CsCheck;

namespace Abri.Core.Tests.Metal;

/// <summary>Pieces on sheets and offcuts.</summary>
public class NestTests
{
    private static NestPiece Piece(double wide, double high, bool grain = false) => new("Piece", new PanelBox(0, wide, 0, high).Corners, grain);

    private static NestSheet Sheet(double wide, double high) => new("Sheet", new PanelBox(0, wide, 0, high).Corners);

    private static NestPlan Laid(NestQuestion question) => Nest.Of(question).Value!.Result;

    /// <summary>What NetTopologySuite says of a layout: every piece congruent, on its sheet, and nowhere nearer to another than the gap.</summary>
    private static void Holds(NestQuestion question, NestPlan plan)
    {
        var laid = plan.Places.Select(p => (Place: p, Area: Plane.Polygon(p.Outline))).ToArray();
        foreach ((NestPlace place, NetTopologySuite.Geometries.Polygon area) in laid)
        {
            Assert.True(Plane.Polygon(question.Sheets[place.Sheet].Outline).Buffer(1e-4).Covers(area), "A piece reaches over its sheet.");
            Assert.Equal(Plane.Polygon(question.Pieces[place.Piece].Outline).Area, area.Area, 3);
            Assert.True(!question.Pieces[place.Piece].Grain || place.TurnDeg % 180 == 0, "A piece lies across the grain.");
        }
        for (int i = 0; i < laid.Length; i++)
        {
            for (int j = 0; j < i; j++)
                Assert.True(
                    laid[i].Place.Sheet != laid[j].Place.Sheet || laid[i].Area.Distance(laid[j].Area) >= question.GapMm - 1e-3,
                    "Two pieces are too near."
                );
        }
        Assert.Equal(Enumerable.Range(0, question.Pieces.Count), laid.Select(l => l.Place.Piece).Concat(plan.Left).Order());
        foreach (NestOffcut offcut in plan.Offcuts)
        {
            NetTopologySuite.Geometries.Polygon left = Plane.Polygon(offcut.Outline);
            Assert.True(Plane.Polygon(question.Sheets[offcut.Sheet].Outline).Buffer(1e-3).Covers(left), "An offcut reaches over its sheet.");
            Assert.All(laid.Where(l => l.Place.Sheet == offcut.Sheet), l => Assert.True(l.Area.Distance(left) >= question.GapMm - 0.02));
        }
    }

    [Fact]
    public void Four_squares_lie_on_one_sheet_and_the_rest_is_kept_whole()
    {
        var question = new NestQuestion([.. Enumerable.Repeat(Piece(500, 500), 4)], [Sheet(1250, 2500), Sheet(1250, 2500)], 2);
        NestPlan plan = Laid(question);
        Holds(question, plan);
        Assert.True(plan.Proven);
        Assert.Equal((1250 * 2500d, 4 * 250_000d), (plan.SheetsMm2, plan.PiecesMm2));
        // Two rows of two: 1002 and a cut of the sheet's 2500 are gone.
        Assert.Contains(plan.Offcuts, o => PanelBox.Of(o.Outline) is { WidthMm: > 1249, HeightMm: > 1490 });
        Assert.Equal("4 pieces on 1 sheet, 32 % of the sheet used: in quarter turns less sheet does not do.", plan.Verdict);
    }

    [Fact]
    public void What_is_left_round_a_piece_in_the_middle_falls_apart_beside_it()
    {
        NetTopologySuite.Geometries.Geometry rest = Plane.Difference(
            Plane.Polygon(new PanelBox(0, 500, 0, 300).Corners),
            Plane.Polygon(new PanelBox(200, 300, 100, 200).Corners)
        );
        PanelBox[] left = [.. Nest.Whole(rest).Select(PanelBox.Of)];
        Assert.Equal([(0, 200, 300), (300, 500, 300)], left.Select(b => (b.SMinMm, b.SMaxMm, b.HeightMm)));
    }

    [Fact]
    public void An_offcut_is_used_up_before_a_sheet_is_begun()
    {
        NestPlan plan = Laid(new NestQuestion([Piece(300, 200)], [Sheet(1250, 2500), Sheet(400, 250)], 2));
        Assert.Equal(1, plan.Places[0].Sheet);
        Assert.True(plan.Proven);
        // Turned, unless the grain forbids it.
        Assert.Equal(90, Laid(new NestQuestion([Piece(200, 380)], [Sheet(400, 250)], 2)).Places[0].TurnDeg);
        Assert.Equal([0], Laid(new NestQuestion([Piece(200, 380, grain: true)], [Sheet(400, 250)], 2)).Left);
    }

    [Fact] // Only round a pinwheel, so that the order matters
    public void Five_pieces_round_a_pinwheel_fill_a_sheet()
    {
        var question = new NestQuestion(
            [Piece(198, 98, true), Piece(98, 198, true), Piece(198, 98, true), Piece(98, 198, true), Piece(98, 98, true)],
            [Sheet(298, 298), Sheet(2000, 1000)],
            2
        );
        NestPlan plan = Laid(question);
        Holds(question, plan);
        Assert.Empty(plan.Left);
        Assert.True(plan.Proven);
        Assert.Equal(298 * 298d, plan.SheetsMm2);
    }

    [Fact] // Two L-shaped pieces lie in one another: their rectangles would not
    public void True_outlines_lie_in_one_another()
    {
        PanelPoint[] angle = [new(0, 0), new(300, 0), new(300, 100), new(100, 100), new(100, 300), new(0, 300)];
        var question = new NestQuestion([new("A", angle), new("B", angle)], [Sheet(405, 305)], 2);
        NestPlan plan = Laid(question);
        Holds(question, plan);
        Assert.Empty(plan.Left);
        // An offcut with a bite out of it takes what goes round the bite.
        var bitten = new NestSheet("Offcut", angle);
        question = new NestQuestion([Piece(190, 90), Piece(90, 200)], [bitten], 2);
        plan = Laid(question);
        Holds(question, plan);
        Assert.Empty(plan.Left);
        Assert.Equal([0], Laid(new NestQuestion([Piece(150, 150)], [bitten], 2)).Left);
    }

    [Fact] // Brute force: every piece on every sheet, at every corner that a packing pushed down and left can have, both ways round
    public void Small_questions_have_the_answer_of_brute_force()
    {
        Gen.Select(
                Gen.Int[2, 4].SelectMany(n => Gen.Select(Gen.Int[4, 12], Gen.Int[4, 12]).Array[n]),
                Gen.Select(Gen.Int[10, 20], Gen.Int[10, 20]).Array[1, 2]
            )
            .Holds(
                (pieces, sheets) =>
                {
                    // In steps of 10 mm with a gap of 1, which each size has less.
                    var question = new NestQuestion(
                        [.. pieces.Select(p => Piece((p.Item1 * 10) - 1, (p.Item2 * 10) - 1))],
                        [.. sheets.Select(s => Sheet((s.Item1 * 10) - 1, (s.Item2 * 10) - 1))],
                        1
                    );
                    NestPlan plan = Laid(question);
                    Holds(question, plan);
                    (double placed, double used) = Brute(pieces, sheets);
                    // Layouts that differ by no more than a square millimetre are as good as each other.
                    Assert.InRange(plan.PiecesMm2, placed - 1.001, placed + 0.001);
                    if (plan.PiecesMm2 > placed - 0.5)
                        Assert.Equal(used, plan.SheetsMm2, 0);
                    Assert.True(plan.Proven, "A small question was not proven.");
                },
                cases: 30
            );
    }

    private static (double Placed, double Used) Brute((int W, int H)[] pieces, (int W, int H)[] sheets)
    {
        static double Cut(int w, int h) => ((w * 10) - 1) * ((h * 10) - 1);
        (double Placed, double Used) best = (0, 0);
        var lain = new List<(int Piece, int Sheet, int S, int T, int W, int H)>();
        void Go()
        {
            double placed = lain.Sum(l => Cut(l.W, l.H)),
                used = lain.Select(l => l.Sheet).Distinct().Sum(j => Cut(sheets[j].W, sheets[j].H));
            if (placed > best.Placed || (placed == best.Placed && used < best.Used))
                best = (placed, used);
            foreach (int i in Enumerable.Range(0, pieces.Length).Except(lain.Select(l => l.Piece)))
            {
                for (int j = 0; j < sheets.Length; j++)
                {
                    var there = lain.Where(l => l.Sheet == j).ToArray();
                    foreach ((int w, int h) in new[] { pieces[i], (pieces[i].H, pieces[i].W) }.Distinct())
                    {
                        foreach (int s in there.Select(l => l.S + l.W).Append(0).Distinct())
                        {
                            foreach (int t in there.Select(l => l.T + l.H).Append(0).Distinct())
                            {
                                bool off = s + w > sheets[j].W || t + h > sheets[j].H;
                                if (off || there.Any(l => s < l.S + l.W && l.S < s + w && t < l.T + l.H && l.T < t + h))
                                    continue;
                                lain.Add((i, j, s, t, w, h));
                                Go();
                                lain.RemoveAt(lain.Count - 1);
                            }
                        }
                    }
                }
            }
        }
        Go();
        return best;
    }

    [Fact] // How long that takes is measured in Abri.Bench
    public void Forty_rectangles_have_an_answer_and_a_bound()
    {
        var random = new Random(5);
        var question = new NestQuestion(
            [.. Enumerable.Range(0, 40).Select(_ => Piece(80 + random.Next(300), 80 + random.Next(300)))],
            [Sheet(1000, 2000), Sheet(1000, 2000), Sheet(1250, 2500), Sheet(500, 700)],
            2
        );
        NestPlan plan = Laid(question);
        Holds(question, plan);
        Assert.Empty(plan.Left);
        Assert.InRange(plan.LeastMm2, plan.PiecesMm2, plan.SheetsMm2);
    }

    [Fact]
    public void What_crosses_itself_is_told_and_what_finds_no_room_is_said()
    {
        PanelPoint[] crossed = [new(0, 0), new(100, 100), new(100, 0), new(0, 100)];
        Assert.Equal("/pieces/1/outline", Nest.Of(new NestQuestion([Piece(1, 1), new("B", crossed)], [], 2)).Problem!.Pointer);
        Assert.Equal("/sheets/0/outline", Nest.Of(new NestQuestion([Piece(1, 1)], [new("S", crossed)], 2)).Problem!.Pointer);
        NestPlan none = Laid(new NestQuestion([Piece(600, 600)], [Sheet(500, 500)], 2));
        Assert.Equal("No sheet has room for 1 piece, straight or turned by quarters: take a larger one.", none.Verdict);
        Assert.Equal([0], Laid(new NestQuestion([Piece(600, 600)], [], 2)).Left);
        Assert.Equal(
            "1 piece on 1 sheet; 1 piece found no room, and in quarter turns there is none.",
            Laid(new NestQuestion([Piece(600, 600), Piece(400, 400)], [Sheet(500, 500)], 2)).Verdict
        );
    }

    [Fact]
    public void A_search_that_nobody_waits_for_ends()
    {
        using var stop = new CancellationTokenSource();
        stop.Cancel();
        Assert.Throws<OperationCanceledException>(() => Nest.Of(new NestQuestion([Piece(100, 100)], [Sheet(500, 500)], 2), stop.Token));
    }
}
