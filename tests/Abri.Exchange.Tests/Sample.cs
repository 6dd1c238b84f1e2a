using Abri.Core.Geometry;
using Abri.Core.Openings;
using Abri.Core.Shell;

namespace Abri.Exchange.Tests;

/// <summary>A vent between two bows, made up for tests, with its sheets.</summary>
internal static class Sample
{
    public static OpeningSheet Sheet(ViewedFrom view, LengthFormat? lengths = null, double clearFromBowMm = 72.5, PanelKind kind = PanelKind.Roof, string name = "Vent over the glaze bench", string vehicle = "Heron")
    {
        var panel = new Panel(kind, new PanelBox(0, 4200, -850, 850).Corners, 0.8, SkinMaterial.MildSteel, null, 6000);
        bool roof = kind == PanelKind.Roof;
        Member[] bows = [Bow(roof ? "Bow 1" : "Rib 1", 560, 620, roof), Bow(roof ? "Bow 2" : "Rib 2", 1165, 1225, roof)];
        var fitting = new Fitting(
            "400 roof vent", FittingKind.RoofVent, new RoundedRectangle(400, 400, 20), 1, 4, new RoundedRectangle(396, 396, 18), new RoundedRectangle(490, 490, 30), 25,
            PerSide.All(38), 4.5, false, null, PerSide.All(0), 1, 10, null, new FlangeScrews(5, 3, 12, 2.5));
        var site = new Site(panel, bows, fitting, Lengths: lengths);
        var centre = new PanelPoint(620 + clearFromBowMm + 200, 0);
        var marked = SettingOut.Of(site, centre, new Marking(view, 3.175, 12, CutSize.WasteSide)).Value!;
        return new OpeningSheet(
            vehicle, name, Panel.FacingOf(kind), fitting, marked.Result, OpeningDrawing.Of(name, panel, fitting, marked.Result, site.Lengths ?? LengthFormat.Millimetres).Value!,
            OpeningVerdict.Of(site, centre).Value!.Result, marked.Warnings, lengths ?? LengthFormat.Millimetres, new DateOnly(2026, 11, 24));
    }

    private static Member Bow(string name, double s1, double s2, bool roof) => new(
        name, roof ? MemberKind.RoofBow : MemberKind.SideRib, MemberRole.Secondary, new Footprint(FootprintShape.Spine, [new((s1 + s2) / 2, -850), new((s1 + s2) / 2, 850)], s2 - s1), 40);
}
