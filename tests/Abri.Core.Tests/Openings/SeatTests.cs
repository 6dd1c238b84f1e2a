using Abri.Core.Geometry;
using Abri.Core.Openings;
using Abri.Core.Openings.Seating;
using Abri.Core.Work;
using CsCheck;
using Google.OrTools.LinearSolver;

namespace Abri.Core.Tests.Openings;

public class SeatTests
{
    /// <summary>Uneven ground round a middle, with places on all sides of it.</summary>
    private static readonly Gen<SurfacePoint[]> Ground = Gen.Select(Gen.Double[-250, 250], Gen.Double[-250, 250], Gen.Double[0, 12])
        .Array[4, 22]
        .Select(places =>
            (SurfacePoint[])
                [
                    new(-300, -300, 1),
                    new(300, -300, 2),
                    new(300, 300, 0),
                    new(-300, 300, 3),
                    .. places.Select(p => new SurfacePoint(p.Item1, p.Item2, p.Item3)),
                ]
        );

    [Fact] // Checked against every plane through three places that lies nowhere below the others
    public void The_frame_rests_as_low_as_any_plane_through_three_places_can() =>
        Ground.Holds(
            places =>
            {
                Rest rest = RestingPlane.Under(places, new PanelPoint(20, -10)).Value!.Result;
                double lowest = double.PositiveInfinity;
                for (int i = 0; i < places.Length; i++)
                {
                    for (int j = i + 1; j < places.Length; j++)
                    {
                        for (int k = j + 1; k < places.Length; k++)
                        {
                            if (
                                Plane(places[i], places[j], places[k]) is { } p
                                && places.All(x => p.A * x.SMm + p.B * x.TMm + p.C >= x.HeightMm - 1e-7)
                            )
                                lowest = Math.Min(lowest, p.A * 20 - p.B * 10 + p.C);
                        }
                    }
                }
                return Math.Abs(rest.At(20, -10) - lowest) < 1e-6;
            },
            cases: 150
        );

    [Fact]
    public void The_frame_lies_nowhere_below_the_ground_and_touches_it_at_three_places() =>
        Ground.Holds(
            places =>
            {
                Rest rest = RestingPlane.Under(places, new PanelPoint(0, 0)).Value!.Result;
                return places.All(p => rest.At(p.SMm, p.TMm) >= p.HeightMm - 1e-6)
                    && rest.Contacts.Count == 3
                    && rest.Contacts.All(c => Math.Abs(rest.At(c.SMm, c.TMm) - c.HeightMm) < 1e-6);
            },
            cases: 200
        );

    [Fact] // Checked against GLOP, the linear solver of OR-Tools
    public void A_general_linear_solver_finds_no_lower_plane() =>
        Ground.Holds(
            drawn =>
            {
                // Whole millimetres and micrometres of height, and bounds of the size of a roof: with heights of 1e-76 beside bounds of 1e6 the
                // solver ended
                // ABNORMAL on one ground in a thousand, where the brute force above agrees with the plane.
                SurfacePoint[] places = [.. drawn.Select(p => new SurfacePoint(Math.Round(p.SMm), Math.Round(p.TMm), Math.Round(p.HeightMm, 3)))];
                var weight = new PanelPoint(35, 15);
                Rest rest = RestingPlane.Under(places, weight).Value!.Result;
                using var glop = Solver.CreateSolver("GLOP");
                Variable a = glop.MakeNumVar(-100, 100, "a"),
                    b = glop.MakeNumVar(-100, 100, "b"),
                    c = glop.MakeNumVar(-1e4, 1e4, "c");
                foreach (SurfacePoint p in places)
                    glop.Add((a * p.SMm) + (b * p.TMm) + c >= p.HeightMm);
                glop.Minimize((a * weight.SMm) + (b * weight.TMm) + c);
                Assert.Equal(Solver.ResultStatus.OPTIMAL, glop.Solve());
                Assert.Equal(glop.Objective().Value(), rest.At(weight.SMm, weight.TMm), 1e-5);
            },
            cases: 150
        );

    [Fact]
    public void Places_in_one_line_or_all_on_one_side_carry_nothing()
    {
        Assert.Equal("seat-unsupported", RestingPlane.Under([new(0, 0, 1), new(100, 0, 2), new(200, 0, 1)], new PanelPoint(100, 0)).Problem!.Code);
        Assert.Equal("seat-unsupported", RestingPlane.Under([new(0, 0, 1), new(100, 0, 2), new(100, 100, 1)], new PanelPoint(-50, 50)).Problem!.Code);
        Assert.Equal("seat-samples", RestingPlane.Under([new(0, 0, 1), new(100, 0, 2)], new PanelPoint(50, 0)).Problem!.Code);
        Assert.Equal(
            "seat-samples",
            RestingPlane.Under([new(0, 0, double.NaN), new(100, 0, 2), new(0, 100, 2)], new PanelPoint(50, 0)).Problem!.Code
        );
    }

    [Fact] // Worked by hand: two ridges 8 high carry the frame level at 8; between them the gap is 8
    public void On_two_ridges_a_vent_lies_level_and_needs_a_second_layer_of_tape_between_them()
    {
        Seat seat = Of(new Site(Roofs.Flat(), [Roofs.Swage(-150), Roofs.Swage(150)], Roofs.Vent()), new PanelPoint(1500, 0));
        Assert.Equal((8, 0), (Math.Round(seat.Rest.MaxGapMm, 6), Math.Round(seat.Rest.TiltDeg, 6)));
        Assert.Equal(8, seat.Sides.Max(s => s.MaxGapMm), 6);
        SeatSide front = seat.Sides.Single(s => s.Side == Side.Front);
        Assert.Equal(490, front.LengthMm);
        // Base layer all round, a layer squeezed to 5 below it where more than 2.5 mm is left.
        Assert.Equal([1, 2], seat.Strips.Select(s => s.Layer).Distinct().Order());
        Assert.Equal(4, seat.Strips.Count(s => s.Layer == 2));
        Assert.All(seat.Strips.GroupBy(s => (s.Layer, s.Side)), g =>
            Assert.All(g.Zip(g.Skip(1)), p => Assert.True(p.Second.FromMm > p.First.FromMm + p.First.LengthMm - 5))
        );
        Assert.All(seat.Strips, s => Assert.True(s.LengthMm > 0 && s.FromMm + s.LengthMm <= seat.Sides.Single(x => x.Side == s.Side).LengthMm + 5));
        Assert.Equal(seat.Strips.Sum(s => s.LengthMm), seat.TapeMm);
        Assert.Equal((JudgementState.NeedsWork, false), (seat.State, seat.Rest.Rocks));
    }

    [Fact]
    public void The_place_and_the_seat_say_the_same_about_the_gap() =>
        Gen.Select(Gen.Int[-4, 4], Gen.Double[2, 20], Gen.Bool)
            .Holds(
                (at, height, curved) =>
                {
                    var site = new Site(
                        Roofs.Flat() with
                        {
                            ArcRadiusAcrossMm = curved ? 3500 : null,
                        },
                        [Roofs.Swage(at * 45, 50, height), Roofs.Swage((at * 45) + 170, 50, height)],
                        Roofs.Vent()
                    );
                    var centre = new PanelPoint(1500, 0);
                    Seat seat = Of(site, centre);
                    Judgement row = OpeningVerdict.Of(site, centre).Value!.Result.Rows.Single(r => r.Id == "rest");
                    return row.State == seat.State && Math.Abs(row.Measured!.Value - seat.Rest.MaxGapMm) < 1e-9;
                },
                cases: 40
            );

    [Fact]
    public void On_one_ridge_across_the_middle_it_rocks_and_deep_valleys_are_more_than_bedding_may_carry()
    {
        Seat rocks = Of(new Site(Roofs.Flat(), [Roofs.Swage(0)], Roofs.Vent()), new PanelPoint(1500, 0));
        Assert.True(rocks.Rest.Rocks);
        Assert.Contains("It rocks", rocks.Verdict);
        Seat deep = Of(
            new Site(Roofs.Flat(), [Roofs.Swage(-150) with { DepthMm = -20 }, Roofs.Swage(150) with { DepthMm = -20 }], Roofs.Vent()),
            new PanelPoint(1500, 0)
        );
        Assert.Equal((JudgementState.NeedsWork, false, 0), (deep.State, deep.Bedded, deep.Strips.Count));
        Assert.Contains("adapter plate", deep.Verdict);
        Assert.Empty(deep.Strips);
        Assert.Equal(JudgementState.Good, Of(new Site(Roofs.Flat(), [], Roofs.Vent()), new PanelPoint(1500, 0)).State);
    }

    [Fact]
    public void A_flange_wider_than_the_panel_has_no_ground() =>
        Assert.Equal(
            "flange-off-panel",
            FlangeSeat.Of(new Site(Roofs.Flat(), [], Roofs.Vent()), new PanelPoint(100, 0), BeddingTape.Usual).Problem!.Code
        );

    private static Seat Of(Site site, PanelPoint centre) => FlangeSeat.Of(site, centre, BeddingTape.Usual).Value!.Result;

    private static (double A, double B, double C)? Plane(SurfacePoint p, SurfacePoint q, SurfacePoint r)
    {
        double det = ((q.SMm - p.SMm) * (r.TMm - p.TMm)) - ((r.SMm - p.SMm) * (q.TMm - p.TMm));
        if (Math.Abs(det) < 1e-6)
            return null;
        double a = (((q.HeightMm - p.HeightMm) * (r.TMm - p.TMm)) - ((r.HeightMm - p.HeightMm) * (q.TMm - p.TMm))) / det;
        double b = (((q.SMm - p.SMm) * (r.HeightMm - p.HeightMm)) - ((r.SMm - p.SMm) * (q.HeightMm - p.HeightMm))) / det;
        return (a, b, p.HeightMm - (a * p.SMm) - (b * p.TMm));
    }
}
