using Abri.Core.Geometry;
using Abri.Core.Openings;
using Abri.Core.Shell;

namespace Abri.Bench;

/// <summary>A long roof with a hundred members, made up for measuring: bows, swages, and slanted strips at its rear.</summary>
internal static class HundredMembers
{
    public static Site Site { get; } =
        new(
            new Panel(PanelKind.Roof, new PanelBox(0, 12_400, -1250, 1250).Corners, 0.8, SkinMaterial.MildSteel, null, 8000),
            [.. Members()],
            Vent,
            Zones: [new Zone("Bench", ZoneKind.Bench, 5000, 5600, 300, 1000, 0, 900)]
        );

    public static PanelPoint Centre { get; } = new(3000, 0);

    public static Wish[] Wishes { get; } =
    [new(WishKind.BayCentre), new(WishKind.CentreLine, 0.5), new(WishKind.OverZone, 1, "Bench"), new(WishKind.LeastFill, 0.3)];

    private static Fitting Vent =>
        new(
            "400 roof vent",
            FittingKind.RoofVent,
            new RoundedRectangle(400, 400, 20),
            1,
            4,
            new RoundedRectangle(396, 396, 18),
            new RoundedRectangle(490, 490, 30),
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

    private static IEnumerable<Member> Members()
    {
        for (int i = 0; i < 19; i++)
            yield return Strip($"Bow {i}", MemberKind.RoofBow, new(300 + (i * 605), -1250), new(300 + (i * 605), 1250), 60, 40);
        for (int i = 0; i < 12; i++)
            yield return Strip($"Swage {i}", MemberKind.Swage, new(200, -1100 + (i * 200)), new(12_000, -1100 + (i * 200)), 44, -8);
        for (int i = 0; i < 69; i++)
        {
            double s = 11_300 + (i % 10 * 100),
                t = -1200 + (i / 10 * 350);
            yield return Strip($"Run {i}", MemberKind.WiringRun, new(s, t), new(s + 70, t + 40), 8, 10);
        }
    }

    private static Member Strip(string name, MemberKind kind, PanelPoint from, PanelPoint to, double widthMm, double depthMm) =>
        new(name, kind, Member.DefaultRole(kind), new Footprint(FootprintShape.Spine, [from, to], widthMm), depthMm);
}
