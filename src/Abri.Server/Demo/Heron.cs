using Abri.Core.Geometry;
using Abri.Core.Openings;
using Abri.Core.Shell;
using Abri.Storage.Openings;
using Abri.Storage.Shell;

namespace Abri.Server.Demo;

/// <summary>
/// The demo vehicle, all invented: a retired mobile-library van with a ribbed high roof, becoming a travelling ceramics studio.
/// </summary>
internal sealed class Heron(VehicleStore vehicles, PanelStore panels, MemberStore members, ZoneStore zones, FittingStore fittings, OpeningStore openings)
{
    private const double RoofLengthMm = 4300, HalfWidthMm = 850;
    private static readonly Schools Schools = new(RibInTheWay.Keep, CutSize.WasteSide);

    /// <summary>Adds the demo to a database that holds nothing yet.</summary>
    public void AddIfEmpty()
    {
        if (vehicles.All().Count > 0 || fittings.All().Count > 0) return;
        string vent = fittings.Add(null, Vent).Row!.Id, skylight = fittings.Add(null, Skylight).Row!.Id, flue = fittings.Add(null, FluePlate).Row!.Id;
        string id = vehicles.Add(null, new Vehicle(
            "Heron", VehicleKind.PanelVan, 2009, "Retired mobile-library van, long wheelbase, high ribbed roof. Becoming a travelling ceramics studio with a bed.",
            UnitSystem.Mm, 16, Schools, Vehicle.UsualMarkerOffsetMm)).Row!.Id;
        string roof = panels.Add(id, Roof).Row!.Id;
        members.Add(roof, Members(), "Taped the roof");
        foreach (Zone zone in Zones) zones.Add(id, zone);
        openings.Add(roof, new Opening("Vent over the glaze bench", vent, new PanelPoint(1497.5, 320), 0, null, Schools, OpeningState.Planned, null, ""));
        openings.Add(roof, new Opening("Skylight over the throwing wheel", skylight, new PanelPoint(2732, 0), 90, null, Schools, OpeningState.Planned, null, "Lining not chosen yet."));
        openings.Add(roof, new Opening("Stove flue", flue, new PanelPoint(3910, -480), 0, null, Schools, OpeningState.Planned, null, ""));
    }

    private static Fitting Vent { get; } = new(
        "400 roof vent", FittingKind.RoofVent, new RoundedRectangle(400, 400, 20), 1, 4, new RoundedRectangle(396, 396, 18), new RoundedRectangle(490, 490, 30), 25,
        PerSide.All(38), 4.5, false, Side.Front, new PerSide(0, 120, 0, 0), 1, 10, null, new FlangeScrews(5, 3, 12, 2.5));

    private static Fitting Skylight { get; } = new(
        "Skylight 700 x 500", FittingKind.RoofSkylight, new RoundedRectangle(700, 500, 60), 1, 3, new RoundedRectangle(697, 497, 58), new RoundedRectangle(800, 600, 90), 30,
        new PerSide(20, 20, 25, 25), 11, false, Side.Top, new PerSide(0, 0, 0, 260), 1, 8, new ClampRange(25, 60), null);

    private static Fitting FluePlate { get; } = new(
        "Flue plate 150", FittingKind.Flue, new RoundedRectangle(150, 150, 75), 1, 4, new RoundedRectangle(146, 146, 73), new RoundedRectangle(260, 260, 20), 40,
        PerSide.All(60), 2.2, false, null, PerSide.All(0), 2, 10, null, new FlangeScrews(4, 2, 14, 2.5));

    private static Panel Roof { get; } = new(
        PanelKind.Roof,
        [new(0, -720), new(260, -HalfWidthMm), new(RoofLengthMm, -HalfWidthMm), new(RoofLengthMm, HalfWidthMm), new(260, HalfWidthMm), new(0, 720)],
        0.8, SkinMaterial.GalvanisedSteel, null, 7000);

    private static Zone[] Zones { get; } =
    [
        new("Glaze bench", ZoneKind.Bench, 1200, 1850, 230, 800, 0, 900),
        new("Throwing wheel", ZoneKind.Bench, 2430, 3030, -300, 300, 0, 550),
        new("Stove", ZoneKind.Stove, 3700, 4120, -760, -320, 0, 800),
        new("Bed", ZoneKind.Bed, 3050, 4250, -250, 800, 400, 650),
    ];

    private static Member[] Members() =>
    [
        Along("Left cant rail", MemberKind.CantRail, 822, 56, 60, 260),
        Along("Right cant rail", MemberKind.CantRail, -822, 56, 60, 260),
        Bow("Bow 1", 560, 60), Bow("Bow 2", 1165, 60), Bow("Bow 3", 1770, 60), Bow("Bow 4", 2375, 60), Bow("Bow 5", 3029, 60), Bow("Bow 6", 3600, 60),
        new("Rear header", MemberKind.RoofBow, MemberRole.Structural, Strip(new(4240, -794), new(4240, 794), 120), 70),
        new("Wiring run", MemberKind.WiringRun, MemberRole.KeepOut, Strip(new(300, -779), new(4180, -779), 30), 20),
        .. new double[] { -560, -400, -240, -80, 80, 240, 400, 560 }.Select((t, i) => new Member(
            $"Swage {i + 1}", MemberKind.Swage, MemberRole.Pressed, Strip(new(320, t), new(4080, t), 44), -8)),
    ];

    private static Member Bow(string name, double frontMm, double widthMm) => new(
        name, MemberKind.RoofBow, MemberRole.Secondary, Strip(new(frontMm + (widthMm / 2), -794), new(frontMm + (widthMm / 2), 794), widthMm), 40);

    private static Member Along(string name, MemberKind kind, double t, double widthMm, double depthMm, double fromMm) => new(
        name, kind, Member.DefaultRole(kind), Strip(new(fromMm, t), new(RoofLengthMm, t), widthMm), depthMm);

    private static Footprint Strip(PanelPoint from, PanelPoint to, double widthMm) => new(FootprintShape.Spine, [from, to], widthMm);
}
