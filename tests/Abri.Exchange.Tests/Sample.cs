using Abri.Core.Geometry;
using Abri.Core.Openings;
using Abri.Core.Shell;

namespace Abri.Exchange.Tests;

/// <summary>A vent between two bows, made up for tests, with its sheets.</summary>
internal static class Sample
{
    public static OpeningSheet Sheet(
        ViewedFrom view,
        LengthFormat? lengths = null,
        double clearFromBowMm = 72.5,
        PanelKind kind = PanelKind.Roof,
        string name = "Vent over the glaze bench",
        string vehicle = "Heron"
    )
    {
        var panel = new Panel(kind, new PanelBox(0, 4200, -850, 850).Corners, 0.8, SkinMaterial.MildSteel, null, 6000);
        return Of(panel, new RoundedRectangle(400, 400, 20), new PanelPoint(620 + clearFromBowMm + 200, 0), view, lengths, name, vehicle);
    }

    /// <summary>The sheet of a vent with a cut-out of any size, anywhere on any panel, between ribs that lean by so much over the panel.</summary>
    public static OpeningSheet Of(
        Panel panel,
        RoundedRectangle cutOut,
        PanelPoint centre,
        ViewedFrom view,
        LengthFormat? lengths,
        string name,
        string vehicle,
        double leanMm = 0
    )
    {
        bool roof = panel.Kind == PanelKind.Roof;
        Member[] bows = [Bow(roof ? "Bow 1" : "Rib 1", 590, roof, leanMm), Bow(roof ? "Bow 2" : "Rib 2", 1195, roof, leanMm)];
        var fitting = new Fitting(
            "400 roof vent",
            FittingKind.RoofVent,
            cutOut,
            1,
            4,
            cutOut.Grown(-2),
            cutOut.Grown(45),
            25,
            PerSide.All(38),
            4.5,
            false,
            null,
            PerSide.All(0),
            1,
            10,
            null,
            new FlangeScrews(5, 3, 12, 2.5)
        );
        var site = new Site(panel, bows, fitting, Lengths: lengths);
        var marked = SettingOut.Of(site, centre, new Marking(view, 3.175, 12, CutSize.WasteSide)).Value!;
        return new OpeningSheet(
            vehicle,
            name,
            Panel.FacingOf(panel.Kind),
            fitting,
            marked.Result,
            OpeningDrawing.Of(name, panel, fitting, marked.Result, site.Lengths ?? LengthFormat.Millimetres).Value!,
            OpeningVerdict.Of(site, centre).Value!.Result,
            marked.Warnings,
            lengths ?? LengthFormat.Millimetres,
            new DateOnly(2026, 11, 24)
        );
    }

    private static Member Bow(string name, double atMm, bool roof, double leanMm) =>
        new(
            name,
            roof ? MemberKind.RoofBow : MemberKind.SideRib,
            MemberRole.Secondary,
            new Footprint(FootprintShape.Spine, [new(atMm - leanMm, -850), new(atMm + leanMm, 850)], 60),
            40
        );
}
