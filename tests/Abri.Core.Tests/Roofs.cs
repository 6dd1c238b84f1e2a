using Abri.Core.Geometry;
using Abri.Core.Openings;
using Abri.Core.Shell;

namespace Abri.Core.Tests;

/// <summary>Roofs and fittings made up for tests.</summary>
internal static class Roofs
{
    /// <summary>A flat roof from s 0 to <paramref name="lengthMm"/> and 1700 wide.</summary>
    public static Panel Flat(double lengthMm = 4200) => Rectangle(0, lengthMm, -850, 850);

    public static Panel Rectangle(double s1, double s2, double t1, double t2) =>
        new(PanelKind.Roof, new PanelBox(s1, s2, t1, t2).Corners, 0.8, SkinMaterial.MildSteel);

    public static Member Bow(string name, double s1, double s2, MemberRole role = MemberRole.Secondary) =>
        new(name, MemberKind.RoofBow, role, new Footprint(FootprintShape.Spine, [new((s1 + s2) / 2, -850), new((s1 + s2) / 2, 850)], s2 - s1), 40);

    /// <summary>Bows 60 wide every 545 clear, as in the hand-worked example.</summary>
    public static Member[] Bows(int count = 4, double first = 560) =>
        [.. Enumerable.Range(0, count).Select(i => Bow($"Bow {i + 1}", first + (i * 605), first + (i * 605) + 60))];

    public static Member Swage(double t, double widthMm = 44, double heightMm = 8, double lengthMm = 4200) =>
        new(
            $"Swage {t}",
            MemberKind.Swage,
            MemberRole.Pressed,
            new Footprint(FootprintShape.Spine, [new(0, t), new(lengthMm, t)], widthMm),
            -heightMm
        );

    public static Fitting Vent(double cut = 400, double clearanceMm = 38) =>
        new(
            "400 roof vent",
            FittingKind.RoofVent,
            new RoundedRectangle(cut, cut, 20),
            1,
            4,
            new RoundedRectangle(cut - 4, cut - 4, 18),
            new RoundedRectangle(cut + 90, cut + 90, 30),
            25,
            PerSide.All(clearanceMm),
            4.5,
            false,
            null,
            PerSide.All(0),
            1,
            10,
            null,
            new FlangeScrews(5, 3, 12, 2.5)
        );
}
