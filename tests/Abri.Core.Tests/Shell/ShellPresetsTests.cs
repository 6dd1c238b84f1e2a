using Abri.Core.Geometry;
using Abri.Core.Openings;
using Abri.Core.Shell;
using Abri.Core.Shell.Presets;
using Abri.Core.Work;

namespace Abri.Core.Tests.Shell;

public class ShellPresetsTests
{
    [Fact]
    public void Every_preset_is_a_whole_shell_without_contradictions()
    {
        Assert.True(ShellPresets.All.Count >= 5);
        foreach (ShellDesign preset in ShellPresets.All)
        {
            Assert.All(preset.Panels, p => Assert.Null(ShellCheck.Of(p.Panel, p.Members)));
            PanelKind[] whole =
            [
                PanelKind.Roof,
                PanelKind.Left,
                PanelKind.Right,
                PanelKind.RearLeftDoor,
                PanelKind.RearRightDoor,
                PanelKind.Bulkhead,
                PanelKind.Floor,
            ];
            Assert.Empty(whole.Except(preset.Panels.Select(p => p.Panel.Kind)));
            Assert.Equal(preset.Panels.Count, preset.Panels.Select(p => p.Panel.Kind).Distinct().Count());
            DesignedPanel roof = preset.Panels.Single(p => p.Panel.Kind == PanelKind.Roof);
            Assert.True(Bays.Of(roof.Panel, roof.Members).IsOk(out var bays, out _) && bays.Result.Count >= 3, preset.Key);
        }
    }

    [Fact]
    public void Sides_roof_and_floor_of_a_preset_share_their_stations()
    {
        foreach (ShellDesign preset in ShellPresets.All)
        {
            IEnumerable<PanelBox> along = preset
                .Panels.Where(p => p.Panel.Kind is PanelKind.Roof or PanelKind.Left or PanelKind.Right or PanelKind.Floor)
                .Select(p => PanelBox.Of(p.Panel.Outline));
            Assert.Single(along.Select(b => (b.SMinMm, b.SMaxMm)).Distinct());
        }
    }

    [Fact]
    public void A_blank_box_has_the_size_that_was_typed()
    {
        IReadOnlyList<DesignedPanel> box = BlankBox.Of(new BoxSize(5200, 1980, 1900), SkinMaterial.Aluminium, VehicleKind.PanelVan);
        Assert.All(box, p => Assert.Empty(p.Members));
        Assert.Equal(5200 * 1980, PanelBox.Of(box.Single(p => p.Panel.Kind == PanelKind.Roof).Panel.Outline).AreaMm2, 6);
        Assert.Equal(
            1980 * 1900,
            box.Where(p => p.Panel.Kind is PanelKind.RearLeftDoor or PanelKind.RearRightDoor).Sum(p => PanelBox.Of(p.Panel.Outline).AreaMm2),
            6
        );
    }

    [Fact]
    public void A_window_in_a_side_keeps_off_the_pillars_in_the_words_of_a_wall()
    {
        DesignedPanel side = ShellPresets.All[0].Panels.Single(p => p.Panel.Kind == PanelKind.Left);
        Fitting window = Roofs.Vent() with
        {
            Name = "Window",
            CutOut = new RoundedRectangle(500, 400, 60),
            Flange = new RoundedRectangle(560, 460, 70),
            Neck = new RoundedRectangle(496, 396, 58),
            Clearance = new PerSide(30, 30, 30, 30),
            Screws = null,
        };
        var site = new Site(
            side.Panel,
            side.Members,
            window,
            Zones: [new Zone("Galley", ZoneKind.Galley, 900, 1700, 200, 800, 0, 900), new Zone("Bed", ZoneKind.Bed, 900, 1700, -800, -200, 400, 650)]
        );
        Assert.True(RankedPositions.Of(site, [new Wish(WishKind.OverZone, 1, "Galley")]).IsOk(out var places, out var problem), problem?.Message);
        Assert.NotEmpty(places.Result.Positions);
        Assert.True(OpeningVerdict.Of(site, new PanelPoint(820, 1200)).IsOk(out var blocked, out _));
        Assert.Equal(JudgementState.Blocked, blocked.Result.State);
        Assert.Contains(blocked.Result.Rows, r =>
            r.Id.StartsWith("crossed-", StringComparison.Ordinal) && r.Title.Contains("Pillar", StringComparison.Ordinal)
        );
        Assert.True(OpeningVerdict.Of(site, new PanelPoint(1100, 1200)).IsOk(out var verdict, out _));
        Assert.Contains(verdict.Result.Rows, r => r.Id == "clearance-top" && r.Title.EndsWith(", above", StringComparison.Ordinal));
        Assert.DoesNotContain(verdict.Result.Rows, r => r.Id is "hinge" or "carried" or "zone-Bed");
    }

    [Theory]
    [InlineData(VehicleKind.PanelVan, "bulkhead", null, true)]
    [InlineData(VehicleKind.Bus, null, "Rear wall, left half", false)]
    [InlineData(VehicleKind.BoxTrailer, "Front wall", null, true)]
    [InlineData(VehicleKind.CaravanBody, "Front wall", "Rear wall, left half", false)]
    public void A_blank_box_has_the_ends_of_its_kind(VehicleKind kind, string? front, string? rear, bool hasDoors)
    {
        Panel[] panels = [.. BlankBox.Of(new BoxSize(5200, 1980, 1900), SkinMaterial.Aluminium, kind).Select(p => p.Panel)];
        Panel? ahead = panels.SingleOrDefault(p => p.Kind == PanelKind.Bulkhead);
        Assert.Equal(front, ahead is null ? null : ahead.Name ?? "bulkhead");
        Assert.Equal(rear, panels.Single(p => p.Kind == PanelKind.RearLeftDoor).Name);
        Assert.Equal(hasDoors, panels.Single(p => p.Kind == PanelKind.RearRightDoor).Name is null);
    }
}
