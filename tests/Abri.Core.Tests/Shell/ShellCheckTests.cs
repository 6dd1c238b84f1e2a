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

    [Theory] // Right-handed as seen: paper right x paper up must point from the panel to the viewer.
    [InlineData(ViewedFrom.Outside, 1)]
    [InlineData(ViewedFrom.Inside, -1)]
    public void A_roof_drawing_is_not_mirrored_by_mistake(ViewedFrom from, int viewerIsUp)
    {
        // Ordinary right-handed axes: x forwards, y left, z up; so s runs along -x and t along +y.
        var view = PanelView.Of(PanelKind.Roof, from);
        (double x, double y) right = (-view.SSign, 0), up = (0, view.TSign);
        Assert.Equal(viewerIsUp, (right.x * up.y) - (right.y * up.x));
    }

    [Fact]
    public void A_bent_spine_is_widened_on_both_sides()
    {
        var bent = new Footprint(FootprintShape.Spine, [new(0, 0), new(1000, 0), new(1000, 500)], 40);
        // Mitred: two strips that share the corner square.
        Assert.Equal((1000 * 40) + (500 * 40), Math.Abs(Outlines.SignedAreaMm2(MemberOutline.Of(bent))), 3);
    }
}
