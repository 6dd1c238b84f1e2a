using Abri.Core.Geometry;

namespace Abri.Core.Shell.Presets;

/// <summary>Draws the panels of a body of one size: what the presets and the blank box share.</summary>
internal sealed class Draw(BoxSize size, SkinMaterial material, double skinMm)
{
    private double HalfMm => size.WidthMm / 2;

    public DesignedPanel Roof(double? arcAcrossMm = null, params IEnumerable<Member> members) =>
        Panel(PanelKind.Roof, new PanelBox(0, size.LengthMm, -HalfMm, HalfMm), members, arcAcrossMm);

    public DesignedPanel Side(PanelKind kind, double? arcAcrossMm = null, params IEnumerable<Member> members) =>
        Panel(kind, new PanelBox(0, size.LengthMm, 0, size.HeightMm), members, arcAcrossMm);

    public DesignedPanel RearDoor(PanelKind kind, params IEnumerable<Member> members) =>
        Panel(kind, kind == PanelKind.RearLeftDoor ? new PanelBox(0, HalfMm, 0, size.HeightMm) : new PanelBox(-HalfMm, 0, 0, size.HeightMm), members);

    public DesignedPanel SlidingDoor(double fromMm, double toMm, double topMm, params IEnumerable<Member> members) =>
        Panel(PanelKind.SlidingDoor, new PanelBox(fromMm, toMm, 40, topMm), members, gapMm: 38);

    public DesignedPanel Bulkhead(params IEnumerable<Member> members) =>
        Panel(PanelKind.Bulkhead, new PanelBox(-HalfMm, HalfMm, 0, size.HeightMm), members);

    public DesignedPanel Floor(params IEnumerable<Member> members) =>
        Panel(PanelKind.Floor, new PanelBox(0, size.LengthMm, -HalfMm, HalfMm), members);

    public DesignedPanel Step(double depthMm) => Panel(PanelKind.Step, new PanelBox(size.LengthMm, size.LengthMm + depthMm, -HalfMm, HalfMm), []);

    /// <summary>Members that run up a wall, or across roof and floor, by their middle.</summary>
    public static IEnumerable<Member> Upright(
        MemberKind kind,
        string name,
        double lowMm,
        double highMm,
        double widthMm,
        double depthMm,
        params double[] atMm
    ) =>
        atMm.Select(
            (s, i) => Strip(kind, atMm.Length == 1 ? name : $"{name} {i + 1}", new PanelPoint(s, lowMm), new PanelPoint(s, highMm), widthMm, depthMm)
        );

    /// <summary>Members that run along the vehicle, by their middle.</summary>
    public static IEnumerable<Member> Along(
        MemberKind kind,
        string name,
        double fromMm,
        double toMm,
        double widthMm,
        double depthMm,
        params double[] atMm
    ) =>
        atMm.Select(
            (t, i) => Strip(kind, atMm.Length == 1 ? name : $"{name} {i + 1}", new PanelPoint(fromMm, t), new PanelPoint(toMm, t), widthMm, depthMm)
        );

    /// <summary>Swages along the vehicle: base 44, flanks of 10, 8 high.</summary>
    public static IEnumerable<Member> SwagesAlong(double fromMm, double toMm, params double[] atMm) =>
        Along(MemberKind.Swage, "Swage", fromMm, toMm, 44, -8, atMm).Select(m => m with { FlankMm = 10 });

    public static Member Strip(MemberKind kind, string name, PanelPoint from, PanelPoint to, double widthMm, double depthMm) =>
        new(name, kind, Member.DefaultRole(kind), new Footprint(FootprintShape.Spine, [from, to], widthMm), depthMm);

    public static Member Patch(MemberKind kind, string name, PanelBox box, double depthMm, double flankMm = 0) =>
        new(name, kind, Member.DefaultRole(kind), new Footprint(FootprintShape.Polygon, box.Corners), depthMm, flankMm);

    private DesignedPanel Panel(PanelKind kind, PanelBox box, IEnumerable<Member> members, double? arcAcrossMm = null, double? gapMm = null) =>
        new(new Panel(kind, box.Corners, skinMm, material, null, arcAcrossMm, SkinGapMm: gapMm), [.. members]);
}
