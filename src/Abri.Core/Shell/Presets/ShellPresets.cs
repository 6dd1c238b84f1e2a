using Abri.Core.Geometry;
using static Abri.Core.Shell.MemberKind;
using static Abri.Core.Shell.Presets.Draw;

namespace Abri.Core.Shell.Presets;

/// <summary>
/// Shells to start from: invented, generic, in plausible dimensions. None is the drawing of any vehicle that was ever built; every figure is to
/// be corrected by measurement.
/// </summary>
public static class ShellPresets
{
    /// <summary>All presets.</summary>
    public static IReadOnlyList<ShellDesign> All { get; } =
    [
        Framed(RibbedVan(), MemberMaterial.Metal),
        Framed(ExtraHighVan(), MemberMaterial.Metal),
        Framed(CompactVan(), MemberMaterial.Metal),
        Framed(SmallBus(), MemberMaterial.Metal),
        Framed(BoxTrailer(), MemberMaterial.Timber),
    ];

    /// <summary>What the frame of a shell is made of; swages, seams and gutters are the skin's.</summary>
    private static ShellDesign Framed(ShellDesign design, MemberMaterial frame) =>
        design with
        {
            Panels =
            [
                .. design.Panels.Select(p =>
                    p with
                    {
                        Members = [.. p.Members.Select(m => m.Kind is Swage or Seam or RainGutter or WiringRun ? m : m with { Material = frame })],
                    }
                ),
            ],
        };

    private static ShellDesign RibbedVan()
    {
        var size = new BoxSize(3400, 1660, 1880);
        var draw = new Draw(size, SkinMaterial.GalvanisedSteel, 0.8);
        double[] posts = [40, 820, 1980, 3350];
        Member[] Side() =>
            [
                .. Upright(Pillar, "Pillar", 0, 1800, 70, 60, posts),
                .. Along(CantRail, "Cant rail", 0, 3400, 80, 60, 1840),
                .. Upright(SideRib, "Rib", 120, 1800, 40, 45, 1400, 2480, 2920),
                .. Along(Swage, "Body line", 40, 3360, 30, 6, 760),
            ];
        return new ShellDesign(
            "ribbed-van",
            "Medium van, high roof, ribbed along",
            "Roof with six ribs along, five bows; sliding door on the right; two rear doors.",
            VehicleKind.PanelVan,
            [
                draw.Roof(
                    6500,
                    [
                        .. Upright(RoofBow, "Bow", -780, 780, 60, 40, 420, 1020, 1640, 2260, 2880),
                        .. Along(CantRail, "Cant rail", 0, 3400, 50, 60, -805, 805),
                        .. SwagesAlong(260, 3200, -500, -300, -100, 100, 300, 500),
                    ]
                ),
                draw.Side(PanelKind.Left, 9000, Side()),
                draw.Side(PanelKind.Right, 9000, Side()),
                draw.SlidingDoor(
                    860,
                    1940,
                    1700,
                    [.. Along(SlidingDoorRail, "Rail", 860, 1940, 40, 35, 900), .. Upright(SideRib, "Door frame", 40, 1700, 60, 35, 890, 1910)]
                ),
                draw.RearDoor(PanelKind.RearLeftDoor, Along(SideRib, "Door frame", 0, 830, 50, 35, 700, 1500)),
                draw.RearDoor(PanelKind.RearRightDoor, Along(SideRib, "Door frame", -830, 0, 50, 35, 700, 1500)),
                draw.Bulkhead(),
                draw.Floor([.. Upright(Bearer, "Bearer", -830, 830, 60, 50, 300, 900, 1500, 2100, 2700, 3250)]),
                draw.Step(220),
            ]
        );
    }

    private static ShellDesign ExtraHighVan()
    {
        var size = new BoxSize(4250, 1720, 2140);
        var draw = new Draw(size, SkinMaterial.MildSteel, 0.9);
        double[] posts = [40, 900, 2150, 3150, 4200];
        Member[] Side() =>
            [
                .. Upright(Pillar, "Pillar", 0, 2050, 75, 65, posts),
                .. Along(CantRail, "Cant rail", 0, 4250, 90, 65, 2095),
                .. Upright(SideRib, "Rib", 150, 2050, 45, 50, 1520, 2650, 3680),
                .. Along(Swage, "Body line", 40, 4200, 34, 7, 820, 1250),
            ];
        // Ribs of the roof run along, across and end in pads, as pressed roofs often do.
        Member[] ribs =
        [
            .. SwagesAlong(300, 1900, -560, -190, 190, 560),
            .. Upright(Swage, "Cross rib", -600, 600, 50, -9, 2120, 2380).Select(m => m with { FlankMm = 12 }),
            Patch(Swage, "Pad left", new PanelBox(2600, 3300, 120, 620), -7, 15),
            Patch(Swage, "Pad right", new PanelBox(2600, 3300, -620, -120), -7, 15),
            Strip(Swage, "Slanted rib left", new PanelPoint(3420, 150), new PanelPoint(4050, 480), 46, -8) with
            {
                FlankMm = 10,
            },
            Strip(Swage, "Slanted rib right", new PanelPoint(3420, -150), new PanelPoint(4050, -480), 46, -8) with
            {
                FlankMm = 10,
            },
        ];
        return new ShellDesign(
            "extra-high-van",
            "Long van, extra high, irregular roof ribs",
            "Roof with ribs along, across and slanted, and two square pads; six bows; sliding door on the right.",
            VehicleKind.PanelVan,
            [
                draw.Roof(
                    5200,
                    [
                        .. Upright(RoofBow, "Bow", -800, 800, 65, 45, 480, 1160, 1840, 2480, 3160, 3800),
                        .. Along(CantRail, "Cant rail", 0, 4250, 60, 65, -830, 830),
                        .. ribs,
                    ]
                ),
                draw.Side(PanelKind.Left, 8000, Side()),
                draw.Side(PanelKind.Right, 8000, Side()),
                draw.SlidingDoor(
                    940,
                    2110,
                    1850,
                    [.. Along(SlidingDoorRail, "Rail", 940, 2110, 40, 35, 980), .. Upright(SideRib, "Door frame", 40, 1850, 60, 35, 970, 2080)]
                ),
                draw.RearDoor(PanelKind.RearLeftDoor, Along(SideRib, "Door frame", 0, 860, 50, 35, 800, 1700)),
                draw.RearDoor(PanelKind.RearRightDoor, Along(SideRib, "Door frame", -860, 0, 50, 35, 800, 1700)),
                draw.Bulkhead(),
                draw.Floor([.. Upright(Bearer, "Bearer", -860, 860, 60, 55, 350, 950, 1550, 2150, 2750, 3350, 4050)]),
                draw.Step(240),
            ]
        );
    }

    private static ShellDesign CompactVan()
    {
        var size = new BoxSize(2150, 1420, 1230);
        var draw = new Draw(size, SkinMaterial.GalvanisedSteel, 0.7);
        Member[] Side() =>
            [
                .. Upright(Pillar, "Pillar", 0, 1180, 60, 50, 35, 760, 2110),
                .. Along(CantRail, "Cant rail", 0, 2150, 60, 50, 1200),
                .. Upright(SideRib, "Rib", 100, 1170, 35, 40, 1420),
                .. Along(WiringRun, "Wiring run", 60, 2090, 25, 20, 1130),
            ];
        return new ShellDesign(
            "compact-van",
            "Compact van",
            "Low roof with three bows and four shallow ribs; sliding door on the right; two rear doors.",
            VehicleKind.PanelVan,
            [
                draw.Roof(
                    5000,
                    [
                        .. Upright(RoofBow, "Bow", -665, 665, 50, 30, 380, 1020, 1640),
                        .. Along(CantRail, "Cant rail", 0, 2150, 45, 50, -687, 687),
                        .. SwagesAlong(200, 1950, -390, -130, 130, 390).Select(m => m with { DepthMm = -5 }),
                    ]
                ),
                draw.Side(PanelKind.Left, 6000, Side()),
                draw.Side(PanelKind.Right, 6000, Side()),
                draw.SlidingDoor(790, 1500, 1120, [.. Along(SlidingDoorRail, "Rail", 790, 1500, 35, 30, 560)]),
                draw.RearDoor(PanelKind.RearLeftDoor),
                draw.RearDoor(PanelKind.RearRightDoor),
                draw.Bulkhead(),
                draw.Floor([.. Upright(Bearer, "Bearer", -710, 710, 55, 40, 300, 900, 1500, 2050)]),
            ]
        );
    }

    private static ShellDesign SmallBus()
    {
        var size = new BoxSize(6100, 2040, 1840);
        var draw = new Draw(size, SkinMaterial.MildSteel, 1.0);
        double[] posts = [45, 985, 1925, 2865, 3805, 4745, 6055];
        Member[] Side(int windows) =>
            [
                .. Upright(Pillar, "Pillar", 0, 1760, 80, 55, posts),
                .. Along(CantRail, "Cant rail", 0, 6100, 80, 55, 1800),
                .. Along(CantRail, "Waist rail", 0, 6100, 60, 50, 740),
                .. Enumerable
                    .Range(0, windows)
                    .Select(i => Patch(Seam, $"Window {i + 1}", new PanelBox(posts[i] + 70, posts[i + 1] - 70, 820, 1560), 20)),
                .. Along(RainGutter, "Rain gutter", 0, 6100, 25, 15, 1825),
            ];
        return new ShellDesign(
            "small-bus",
            "Small bus, square windows",
            "Pillars between square windows, waist and cant rails, rain gutters; eight bows; flat rear wall in two halves.",
            VehicleKind.Bus,
            [
                draw.Roof(
                    4200,
                    [
                        .. Upright(RoofBow, "Bow", -980, 980, 60, 40, 45, 985, 1925, 2865, 3805, 4745, 5400, 6055),
                        .. Along(CantRail, "Cant rail", 0, 6100, 40, 55, -995, 995),
                        .. Upright(Seam, "Roof seam", -980, 980, 30, 0, 3335),
                    ]
                ),
                draw.Side(PanelKind.Left, 7000, Side(6)),
                draw.Side(PanelKind.Right, 7000, Side(5)),
                draw.RearDoor(PanelKind.RearLeftDoor, Along(Pillar, "Rail", 0, 1020, 60, 50, 740)),
                draw.RearDoor(PanelKind.RearRightDoor, Along(Pillar, "Rail", -1020, 0, 60, 50, 740)),
                draw.Bulkhead(),
                draw.Floor([.. Upright(Bearer, "Bearer", -1020, 1020, 70, 60, 400, 1100, 1800, 2500, 3200, 3900, 4600, 5300, 6000)]),
                draw.Step(260),
            ]
        );
    }

    private static ShellDesign BoxTrailer()
    {
        var size = new BoxSize(3000, 1900, 1950);
        var draw = new Draw(size, SkinMaterial.Aluminium, 1.0);
        Member[] Side() =>
            [
                .. Upright(Pillar, "Corner post", 0, 1950, 60, 45, 30, 2970),
                .. Upright(SideRib, "Stud", 45, 1905, 45, 45, 500, 1000, 1500, 2000, 2500),
                .. Along(CantRail, "Top rail", 0, 3000, 45, 45, 1927),
                .. Along(Bearer, "Sole plate", 0, 3000, 45, 45, 22),
            ];
        return new ShellDesign(
            "box-trailer",
            "Box trailer, timber frame",
            "Aluminium skin on studs every 500; flat roof on joists; two rear doors.",
            VehicleKind.BoxTrailer,
            [
                draw.Roof(
                    null,
                    [
                        .. Upright(RoofBow, "Joist", -905, 905, 45, 45, 22, 500, 1000, 1500, 2000, 2500, 2978),
                        .. Along(CantRail, "Top rail", 0, 3000, 45, 45, -927, 927),
                        .. Upright(Seam, "Sheet joint", -905, 905, 30, 0, 1250),
                    ]
                ),
                draw.Side(PanelKind.Left, null, Side()),
                draw.Side(PanelKind.Right, null, Side()),
                draw.RearDoor(PanelKind.RearLeftDoor, Along(SideRib, "Door frame", 0, 950, 45, 30, 60, 1890)),
                draw.RearDoor(PanelKind.RearRightDoor, Along(SideRib, "Door frame", -950, 0, 45, 30, 60, 1890)),
                draw.Bulkhead([.. Upright(SideRib, "Stud", 45, 1905, 45, 45, -475, 0, 475)]),
                draw.Floor([.. Upright(Bearer, "Bearer", -950, 950, 60, 70, 30, 620, 1210, 1800, 2390, 2970)]),
            ]
        );
    }
}
