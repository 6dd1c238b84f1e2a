using Abri.Core.Geometry;
using Abri.Core.Shell;

namespace Abri.Core.Metal;

/// <summary>Completes what somebody said of a rusty place by what is drawn round it: nobody has to remember a pillar or a belt.</summary>
/// <remarks>
/// Damage on a structural member is structure. Anchorages, fuel and wiring count within <see cref="NearMm"/>: common practice. What was said stands;
/// nothing that is drawn takes anything away from it.
/// </remarks>
internal static class Surroundings
{
    /// <summary>How near something counts, mm.</summary>
    public const double NearMm = 300;

    /// <summary>The spot with what the drawing knows.</summary>
    /// <param name="spot">What somebody said.</param>
    /// <param name="damage">Outline of the damage.</param>
    /// <param name="members">Members of the panel.</param>
    public static RustSpot Of(RustSpot spot, IReadOnlyList<PanelPoint> damage, IReadOnlyList<Member> members)
    {
        NetTopologySuite.Geometries.Geometry place = Plane.Polygon(damage);
        double Away(Member m) => Plane.Polygon(MemberOutline.Of(m.Footprint)).Distance(place);
        IEnumerable<Nearby> near = members.Where(m => KindOf(m.Kind) is not null && Away(m) <= NearMm).Select(m => KindOf(m.Kind)!.Value);
        return spot with
        {
            Structure = spot.Structure || members.Any(m => PatchRules.IsStructure(m) && Away(m) == 0),
            Near = [.. spot.Near.Union(near)],
        };
    }

    /// <summary>Whether a place lies on a structural member.</summary>
    public static bool IsOnStructure(PanelPoint place, IReadOnlyList<Member> members) =>
        members.Any(m => PatchRules.IsStructure(m) && Outlines.Encloses(MemberOutline.Of(m.Footprint), place));

    private static Nearby? KindOf(MemberKind kind) =>
        kind switch
        {
            MemberKind.Anchorage => Nearby.BeltOrSeat,
            MemberKind.FillerNeck => Nearby.Fuel,
            MemberKind.WiringRun => Nearby.Wiring,
            _ => null,
        };
}
