using Abri.Core.Geometry;
using Abri.Core.Shell;

namespace Abri.Core.Tests.Shell;

public class ShellCheckTests
{
    [Fact]
    public void An_outline_that_crosses_itself_is_refused_with_the_place()
    {
        Panel bowTie = Roofs.Flat() with { Outline = [new(0, 0), new(1000, 1000), new(1000, 0), new(0, 1000)] };
        Assert.Equal("outline-crosses-itself", ShellCheck.OfPanel(bowTie)?.Code);
        Assert.Contains("500", ShellCheck.OfPanel(bowTie)?.Message);
    }

    [Fact]
    public void An_outline_needs_an_area() =>
        Assert.NotNull(ShellCheck.OfPanel(Roofs.Flat() with { Outline = [new(0, 0), new(500, 0), new(1000, 0)] }));

    [Fact]
    public void A_member_off_the_roof_is_refused_by_name_and_pointer()
    {
        Problem? problem = ShellCheck.Of(Roofs.Flat(), [.. Roofs.Bows(2), Roofs.Bow("Bow 9", 9000, 9060)]);
        Assert.Equal("member-off-panel", problem?.Code);
        Assert.Equal("/members/2/footprint", problem?.Pointer);
        Assert.Contains("Bow 9", problem?.Message);
    }

    [Fact] // Limits by hand: 30 x 3.4 m are 102 m2; 236 bows of 1.7 m are 401 m; 18 x 17 strips cross 306 times
    public void What_cannot_be_worked_on_in_seconds_is_refused_with_its_limit()
    {
        Assert.Null(ShellCheck.OfPanel(Roofs.Rectangle(0, 30_000, -1650, 1650)));
        Problem large = ShellCheck.OfPanel(Roofs.Rectangle(0, 30_000, -1700, 1700))!;
        Assert.Equal(("panel-too-large", "/outline"), (large.Code, large.Pointer));
        Assert.Contains("30 by 3.4 m; at most 100 m2", large.Message);
        Member[] Bows(int count) => [.. Enumerable.Range(0, count).Select(i => Roofs.Bow($"Bow {i}", 10 + (i * 80), 40 + (i * 80)))];
        Assert.Null(ShellCheck.Of(Roofs.Flat(20_000), Bows(235)));
        Problem along = ShellCheck.Of(Roofs.Flat(20_000), Bows(236))!;
        Assert.Equal("members-too-long", along.Code);
        Assert.Contains("401 m; at most 400 m", along.Message);
        Member[] Rails(int count) =>
            [
                .. Enumerable
                    .Range(0, count)
                    .Select(i => new Member(
                        $"Rail {i}",
                        MemberKind.CantRail,
                        MemberRole.Structural,
                        new Footprint(FootprintShape.Spine, [new(0, -800 + (i * 90)), new(2000, -800 + (i * 90))], 20),
                        40
                    )),
            ];
        Assert.Null(ShellCheck.Of(Roofs.Flat(), [.. Bows(17), .. Rails(17)]));
        Assert.Equal("members-meet-too-often", ShellCheck.Of(Roofs.Flat(), [.. Bows(18), .. Rails(17)])!.Code);
    }

    [Theory]
    [InlineData(MemberKind.Pillar)]
    [InlineData(MemberKind.CantRail)]
    [InlineData(MemberKind.Anchorage)]
    public void Pillars_rails_and_anchorages_cannot_be_marked_as_cuttable(MemberKind kind) =>
        Assert.Equal("member-never-cut", ShellCheck.OfMember(Roofs.Flat(), Roofs.Bow("X", 500, 560) with { Kind = kind })?.Code);

    [Fact]
    public void A_bow_cannot_be_pressed_and_a_swage_is_always_pressed()
    {
        Assert.NotNull(ShellCheck.OfMember(Roofs.Flat(), Roofs.Bow("X", 500, 560, MemberRole.Pressed)));
        Assert.NotNull(ShellCheck.OfMember(Roofs.Flat(), Roofs.Swage(0) with { Role = MemberRole.Secondary }));
    }

    [Fact]
    public void An_arc_too_tight_for_its_panel_is_refused() =>
        Assert.Equal("/arcRadiusAcrossMm", ShellCheck.OfPanel(Roofs.Flat() with { ArcRadiusAcrossMm = 500 })?.Pointer);

    [Fact] // Right-handed as seen: paper right x paper up must point from the panel to the viewer
    public void No_panel_is_drawn_as_its_mirror_image_from_either_side()
    {
        // Right-handed axes: x forwards, y to the left, z up. X of the vehicle runs backwards, so s along X is -x.
        var frames = new Dictionary<Facing, ((int X, int Y, int Z) S, (int X, int Y, int Z) T, (int X, int Y, int Z) Out)>
        {
            [Facing.Up] = ((-1, 0, 0), (0, 1, 0), (0, 0, 1)),
            [Facing.Down] = ((-1, 0, 0), (0, 1, 0), (0, 0, -1)),
            [Facing.Left] = ((-1, 0, 0), (0, 0, 1), (0, 1, 0)),
            [Facing.Right] = ((-1, 0, 0), (0, 0, 1), (0, -1, 0)),
            [Facing.Rear] = ((0, 1, 0), (0, 0, 1), (-1, 0, 0)),
            [Facing.Front] = ((0, 1, 0), (0, 0, 1), (1, 0, 0)),
        };
        foreach ((Facing facing, var (s, t, outwards)) in frames)
        {
            foreach (ViewedFrom from in Enum.GetValues<ViewedFrom>())
            {
                var view = PanelView.Of(facing, from);
                int sign = view.SSign * view.TSign * (from == ViewedFrom.Outside ? 1 : -1);
                Assert.Equal(outwards, (sign * ((s.Y * t.Z) - (s.Z * t.Y)), sign * ((s.Z * t.X) - (s.X * t.Z)), sign * ((s.X * t.Y) - (s.Y * t.X))));
            }
        }
    }

    [Fact] // The same table holds the screen's drawings to Core's
    public void The_table_of_views_is_the_one_that_is_drawn_by()
    {
        string[][] rows = [.. Reference.Rows("panel-view.csv")];
        Assert.Equal(12, rows.Length);
        Assert.All(rows, r =>
            Assert.Equal(
                new PanelView(int.Parse(r[2]), int.Parse(r[3])),
                PanelView.Of(Enum.Parse<Facing>(r[0], true), Enum.Parse<ViewedFrom>(r[1], true))
            )
        );
    }

    [Fact]
    public void Walls_stand_upright_and_a_left_side_has_its_front_at_the_left()
    {
        foreach (Facing wall in new[] { Facing.Left, Facing.Right, Facing.Rear, Facing.Front })
            Assert.All(Enum.GetValues<ViewedFrom>(), from => Assert.Equal(1, PanelView.Of(wall, from).TSign));
        Assert.Equal((1, -1), (PanelView.Of(Facing.Left, ViewedFrom.Outside).SSign, PanelView.Of(Facing.Right, ViewedFrom.Outside).SSign));
    }

    [Fact]
    public void A_bent_spine_is_widened_on_both_sides()
    {
        var bent = new Footprint(FootprintShape.Spine, [new(0, 0), new(1000, 0), new(1000, 500)], 40);
        // Mitred: two strips that share the corner square.
        Assert.Equal((1000 * 40) + (500 * 40), Math.Abs(Outlines.SignedAreaMm2(MemberOutline.Of(bent))), 3);
    }
}
