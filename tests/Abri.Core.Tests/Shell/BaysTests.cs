using Abri.Core.Geometry;
using Abri.Core.Shell;
using CsCheck;
using NetTopologySuite.Geometries;

namespace Abri.Core.Tests.Shell;

public class BaysTests
{
    private static readonly GeometryFactory Factory = new();

    [Fact] // Worked by hand: 1165 - 620 = 545
    public void Bows_sixty_wide_leave_bays_of_545_by_the_width_of_the_roof()
    {
        IReadOnlyList<Bay> bays = Bay(Roofs.Rectangle(0, 2600, -850, 850), Roofs.Bows());
        Assert.Equal(["A", "B", "C", "D", "E"], bays.Select(b => b.Label));
        Assert.Equal(560, bays[0].ClearWidthMm, 6);
        Assert.All(bays.Skip(1).Take(3), b => Assert.Equal((545, 1700), (Math.Round(b.ClearWidthMm, 6), Math.Round(b.ClearHeightMm, 6))));
        Assert.All(bays, b => Assert.True(b.IsExact));
        Assert.Equal(0.545 * 1.7, bays[1].AreaM2, 9);
    }

    [Fact]
    public void Swages_do_not_bound_bays() => Assert.Equal(5, Bay(Roofs.Flat(), [.. Roofs.Bows(), Roofs.Swage(-400), Roofs.Swage(400)]).Count);

    [Fact]
    public void The_twenty_seventh_bay_is_AA()
    {
        Member[] many = [.. Enumerable.Range(0, 26).Select(i => Roofs.Bow($"Bow {i}", 140 + (i * 150), 160 + (i * 150)))];
        Assert.Equal("AA", Bay(Roofs.Flat(), many)[26].Label);
    }

    [Fact] // Checked against NetTopologySuite's difference, one member after another
    public void Areas_of_bays_add_up_to_the_panel_less_its_members() =>
        RandomMembers
            .Select(members => members.Select(AsPolygon).ToArray())
            .Holds(
                members =>
                {
                    Panel panel = Roofs.Flat();
                    NetTopologySuite.Geometries.Geometry left = Polygon(panel.Outline);
                    foreach (Member m in members)
                        left = left.Difference(Polygon(MemberOutline.Of(m.Footprint)));
                    double slivers = Enumerable
                        .Range(0, left.NumGeometries)
                        .Select(left.GetGeometryN)
                        .Where(g => 2 * g.Area / g.Length < Bays.NarrowestMm)
                        .Sum(g => g.Area);
                    return Math.Abs(((left.Area - slivers) / 1e6) - Bay(panel, members).Sum(b => b.AreaM2)) < 1e-6;
                },
                cases: 80
            );

    [Theory] // A gap of less than 100 mm beside a rib's end lets no opening through
    [InlineData(0, 3)]
    [InlineData(50, 3)]
    [InlineData(99, 3)]
    [InlineData(101, 1)]
    public void A_rib_that_ends_just_short_of_the_edge_ends_the_bay_there(double shortMm, int bays)
    {
        Member[] ribs =
        [
            .. new[] { 1000.0, 2000 }.Select(s => new Member(
                $"Rib {s}",
                MemberKind.RoofBow,
                MemberRole.Secondary,
                new Footprint(FootprintShape.Spine, [new(s, -850 + shortMm), new(s, 850 - shortMm)], 60),
                40
            )),
        ];
        IReadOnlyList<Bay> found = Bay(Roofs.Rectangle(0, 3000, -850, 850), ribs);
        Assert.Equal(bays, found.Count);
        if (bays == 3)
            Assert.Equal((940, 1700), (Math.Round(found[1].ClearWidthMm, 6), Math.Round(found[1].ClearHeightMm, 6)));
    }

    [Fact]
    public void Ribs_drawn_out_to_what_they_nearly_reach_never_make_room() =>
        RandomMembers.Holds(
            members =>
            {
                Panel panel = Roofs.Flat();
                return Bay(panel, members).Sum(b => b.AreaM2) <= Bay(panel, [.. members.Select(AsPolygon)]).Sum(b => b.AreaM2) + 1e-9;
            },
            cases: 40
        );

    [Fact] // Checked against brute force over all pairs of grid lines
    public void The_clear_rectangle_is_the_largest_there_is_where_members_lie_square() =>
        SquareMembers.Holds(
            members =>
            {
                Panel panel = Roofs.Rectangle(0, 2000, -850, 850);
                return Bay(panel, members).All(bay => Math.Abs(BruteForceArea(bay.Area) - (bay.ClearWidthMm * bay.ClearHeightMm)) < 1e-3);
            },
            cases: 30
        );

    [Fact]
    public void The_clear_rectangle_of_a_slanted_bay_fits_and_is_nearly_the_largest()
    {
        var slanted = new Member(
            "Slanted",
            MemberKind.RoofBow,
            MemberRole.Secondary,
            new Footprint(FootprintShape.Spine, [new(900, -850), new(1100, 850)], 60),
            40
        );
        Bay bay = Bay(Roofs.Rectangle(0, 2000, -850, 850), [slanted])[0];
        Assert.False(bay.IsExact);
        Assert.True(Polygon(bay.Area.Outline).Buffer(1e-6).Covers(Polygon(bay.ClearRectangle.Corners)));
        // Full height beside the slanted bow, whose foremost corner lies half its width off the spine, square to it.
        double foremost = 900 - (30 * 1700 / Math.Sqrt((200 * 200) + (1700 * 1700)));
        Assert.InRange(bay.ClearWidthMm * bay.ClearHeightMm, 0.98 * foremost * 1700, (foremost * 1700) + 0.01);
    }

    private static Member AsPolygon(Member m) => m with { Footprint = new Footprint(FootprintShape.Polygon, MemberOutline.Of(m.Footprint)) };

    internal static readonly Gen<Member[]> RandomMembers = Gen.Select(
            Gen.Double[100, 4000],
            Gen.Double[-750, 750],
            Gen.Double[-300, 300],
            Gen.Double[-300, 300],
            Gen.Double[20, 90]
        )
        .Where((s, t, ds, dt, w) => Math.Abs(ds) + Math.Abs(dt) > 40)
        .Select(
            (s, t, ds, dt, w) =>
                new Member(
                    "M",
                    MemberKind.RoofBow,
                    MemberRole.Secondary,
                    new Footprint(FootprintShape.Spine, [new(s, t), new(Math.Clamp(s + ds, 60, 4140), Math.Clamp(t + dt, -800, 800))], w),
                    40
                )
        )
        .Where(m => m.Footprint.Points[0].DistanceMm(m.Footprint.Points[1]) > 5)
        .Array[0, 8];

    private static readonly Gen<Member[]> SquareMembers = Gen.Select(Gen.Int[0, 30], Gen.Int[-14, 14], Gen.Int[1, 12], Gen.Int[1, 12])
        .Select(
            (s, t, w, h) =>
                new Member(
                    "M",
                    MemberKind.RoofBow,
                    MemberRole.Secondary,
                    new Footprint(
                        FootprintShape.Polygon,
                        new PanelBox(s * 50, Math.Min(2000, (s + w) * 50), t * 50, Math.Min(850, (t + h) * 50)).Corners
                    ),
                    40
                )
        )
        .Array[1, 6];

    private static double BruteForceArea(RegionPart part)
    {
        double[] s = [.. part.Outline.Concat(part.Holes.SelectMany(h => h)).Select(p => p.SMm).Distinct().Order()];
        double[] t = [.. part.Outline.Concat(part.Holes.SelectMany(h => h)).Select(p => p.TMm).Distinct().Order()];
        var area = Factory
            .CreatePolygon(Factory.CreateLinearRing(Ring(part.Outline)), [.. part.Holes.Select(h => Factory.CreateLinearRing(Ring(h)))])
            .Buffer(1e-7);
        double best = 0;
        for (int i = 0; i < s.Length; i++)
        for (int j = i + 1; j < s.Length; j++)
        for (int k = 0; k < t.Length; k++)
        for (int l = k + 1; l < t.Length; l++)
        {
            var box = new PanelBox(s[i], s[j], t[k], t[l]);
            if (box.AreaMm2 > best && area.Covers(Polygon(box.Corners)))
                best = box.AreaMm2;
        }
        return best;
    }

    private static IReadOnlyList<Bay> Bay(Panel panel, IReadOnlyList<Member> members)
    {
        Assert.True(Bays.Of(panel, members).IsOk(out var bays, out var problem), problem?.Message);
        return bays.Result;
    }

    private static Polygon Polygon(IReadOnlyList<PanelPoint> points) => Factory.CreatePolygon(Ring(points));

    private static Coordinate[] Ring(IReadOnlyList<PanelPoint> points) => [.. points.Append(points[0]).Select(p => new Coordinate(p.SMm, p.TMm))];
}
