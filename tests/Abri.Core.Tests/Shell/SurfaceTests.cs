using Abri.Core.Geometry;
using Abri.Core.Shell;
using CsCheck;
using MathNet.Numerics.Interpolation;

namespace Abri.Core.Tests.Shell;

public class SurfaceTests
{
    private static readonly Panel Curved = Roofs.Rectangle(0, 4000, -850, 850) with { ArcRadiusAcrossMm = 3000 };

    [Fact] // Worked by hand: 3000 - sqrt(3000^2 - 225^2) = 8.45
    public void A_curved_roof_falls_away_from_its_crown()
    {
        var surface = new DrawnSurface(Curved, []);
        Assert.Equal(0, surface.HeightAt(new PanelPoint(2000, 0)));
        Assert.Equal(-8.45, surface.HeightAt(new PanelPoint(2000, 225)), 2);
        Assert.Equal(surface.HeightAt(new PanelPoint(100, 500)), surface.HeightAt(new PanelPoint(3900, -500)), 9);
    }

    [Theory] // Worked by hand: a trapezoid 44 wide at its base with flanks of 10, 8 high
    [InlineData(0, 8)]
    [InlineData(12, 8)]
    [InlineData(17, 4)]
    [InlineData(22, 0)]
    [InlineData(30, 0)]
    public void A_swage_rises_over_its_flanks(double off, double height) =>
        Assert.Equal(height, new DrawnSurface(Roofs.Flat(), [Roofs.Swage(100) with { FlankMm = 10 }]).HeightAt(new PanelPoint(2000, 100 + off)), 9);

    [Fact]
    public void Where_ribs_cross_the_roof_is_no_higher_than_the_higher_one()
    {
        Member cross = Draw(new PanelPoint(2000, -850), new PanelPoint(2000, 850), 60, -5),
            groove = Draw(new PanelPoint(2500, -850), new PanelPoint(2500, 850), 60, 12);
        var surface = new DrawnSurface(Roofs.Flat(), [Roofs.Swage(0), cross, groove]);
        Assert.Equal(8, surface.HeightAt(new PanelPoint(2000, 0)));
        Assert.Equal(-12, surface.HeightAt(new PanelPoint(2500, 0)));
    }

    [Fact] // The raster takes another way than the single place; both must agree on any grid
    public void Sampling_gives_what_single_places_give() =>
        Gen.Select(BaysTests.RandomMembers, Gen.Double[0, 40], Gen.Int[2, 60], Gen.Int[2, 60])
            .Holds(
                (members, flank, columns, rows) =>
                {
                    Member[] swages =
                    [
                        .. members.Select(m => m with { Kind = MemberKind.Swage, Role = MemberRole.Pressed, DepthMm = -9, FlankMm = flank }),
                    ];
                    Surface[] surfaces = [new DrawnSurface(Curved, swages), new MeasuredSurface(Sections)];
                    var grid = new SurfaceGrid(new PanelBox(-50, 4100, -900, 900), columns, rows);
                    return surfaces.All(surface =>
                    {
                        double[] heights = surface.Sample(grid);
                        return Enumerable
                            .Range(0, columns)
                            .All(c =>
                                Enumerable
                                    .Range(0, rows)
                                    .All(r => Math.Abs(heights[(c * rows) + r] - surface.HeightAt(new PanelPoint(grid.SMm(c), grid.TMm(r)))) < 1e-9)
                            );
                    });
                },
                cases: 60
            );

    [Fact] // Checked against MathNet.Numerics: linear splines across each section, then along
    public void Between_readings_and_stations_the_skin_is_taken_as_straight() =>
        Gen.Select(Gen.Double[600, 3200], Gen.Double[-800, 800])
            .Holds(
                (s, t) =>
                {
                    double[] across =
                    [
                        .. Sections.Select(x =>
                            x.StraightEdgeMm
                            - LinearSpline.Interpolate(x.Readings.Select(r => r.TMm), x.Readings.Select(r => r.DepthMm)).Interpolate(t)
                        ),
                    ];
                    double expected = LinearSpline.Interpolate(Sections.Select(x => x.StationMm), across).Interpolate(s);
                    return Math.Abs(expected - new MeasuredSurface(Sections).HeightAt(new PanelPoint(s, t))) < 1e-9;
                }
            );

    [Fact] // Worked by hand: sqrt((1 + 4 + 9) / 3) = 2.160
    public void A_drawing_is_held_against_the_readings()
    {
        Panel panel = Roofs.Flat() with { Sections = [new SurfaceSection(1000, [new(-500, 1), new(0, 2), new(500, 3)])] };
        Assert.True(SurfaceComparison.Of(panel, []).IsOk(out var worked, out _));
        Assert.Equal((-3, new PanelPoint(1000, 500), 3), (worked.Result.WorstMm, worked.Result.WorstAt, worked.Result.Readings));
        Assert.Equal(2.160, worked.Result.RmsMm, 3);
    }

    [Fact] // Worked by hand: 3000 - sqrt(3000^2 - 850^2) = 122.9
    public void A_roof_cut_across_shows_drawing_and_readings_side_by_side()
    {
        Assert.True(CrossSection.At(Curved with { Sections = Sections }, [], 1500).IsOk(out var cut, out var problem), problem?.Message);
        Assert.Equal((-850, 850), (cut.Result.TMm[0], cut.Result.TMm[^1]));
        Assert.Equal(-122.9, cut.Result.DrawnMm[0], 1);
        Assert.Equal(2, cut.Result.MeasuredMm!.Max(), 1);
        Assert.Equal(122.9, cut.Steps[0].Value, 1);
        Assert.False(CrossSection.At(Curved, [], 4100).IsOk(out _, out problem));
        Assert.Equal("station-off-panel", problem.Code);
    }

    [Fact]
    public void A_relief_keeps_to_its_number_of_places_however_fine_it_is_asked_for()
    {
        Assert.True(SurfaceRelief.Of(Curved, [Roofs.Swage(0, lengthMm: 4000)], 0.1).IsOk(out var relief, out _));
        Assert.InRange(relief.Result.HeightsMm.Count, SurfaceRelief.MostPlaces * 0.9, SurfaceRelief.MostPlaces);
        Assert.Equal(8, relief.Result.HighestMm, 2);
    }

    [Fact]
    public void The_measured_surface_counts_only_where_the_panel_says_so()
    {
        Panel measured = Curved with { Sections = Sections, Surface = SurfaceSource.Measured };
        Assert.IsType<MeasuredSurface>(Surface.Of(measured, []));
        Assert.IsType<DrawnSurface>(Surface.Of(measured with { Surface = SurfaceSource.Drawn }, []));
        Assert.Equal("/surface", ShellCheck.OfPanel(measured with { Sections = null })?.Pointer);
    }

    [Fact]
    public void Two_readings_at_one_place_are_asked_about_and_never_averaged()
    {
        Panel twice = Curved with { Sections = [new SurfaceSection(1000, [new(0, 4), new(500, 9), new(0, 12)])] };
        Problem problem = ShellCheck.OfPanel(twice)!;
        Assert.Equal(("section-reading-twice", "/sections/0/readings"), (problem.Code, problem.Pointer));
        Assert.Contains("4 and 12 mm deep", problem.Message);
        Assert.NotNull(SectionCheck.Of([Sections[0], Sections[0]], "/sections"));
        Assert.NotNull(SectionCheck.Of([new SurfaceSection(1, [new(0, 1)])], "/sections"));
    }

    private static readonly SurfaceSection[] Sections =
    [
        new(600, [new(-800, 40), new(-250, 9), new(10, 3), new(800, 44)]),
        new(1500, [new(-800, 38), new(0, 0), new(300, 6), new(800, 41)], 2),
        new(3200, [new(-800, 52), new(-100, 5), new(800, 60)], -1),
    ];

    private static Member Draw(PanelPoint from, PanelPoint to, double width, double depth) =>
        new("Rib", MemberKind.Swage, MemberRole.Pressed, new Footprint(FootprintShape.Spine, [from, to], width), depth);
}
