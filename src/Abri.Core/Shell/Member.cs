using Abri.Core.Declared;
using Abri.Core.Geometry;

namespace Abri.Core.Shell;

/// <summary>What a member of the shell is.</summary>
public enum MemberKind
{
    /// <summary>Upright that carries the roof.</summary>
    Pillar,

    /// <summary>Rail along the top of a side, where side and roof meet.</summary>
    CantRail,

    /// <summary>Rib across the roof.</summary>
    RoofBow,

    /// <summary>Rib of a side.</summary>
    SideRib,

    /// <summary>Line pressed into the skin: a ridge or a groove.</summary>
    Swage,

    /// <summary>Joint of two skins.</summary>
    Seam,

    /// <summary>Rain gutter.</summary>
    RainGutter,

    /// <summary>Beam that carries a floor.</summary>
    Bearer,

    /// <summary>Rail in which a sliding door runs.</summary>
    SlidingDoorRail,

    /// <summary>Run of wiring.</summary>
    WiringRun,

    /// <summary>Neck of the fuel filler.</summary>
    FillerNeck,

    /// <summary>Anchorage of a seat or belt.</summary>
    Anchorage,
}

/// <summary>What may be done to a member.</summary>
public enum MemberRole
{
    /// <summary>Carries the shell: never cut.</summary>
    Structural,

    /// <summary>May be cut where a frame or header carries its load.</summary>
    Secondary,

    /// <summary>Part of the skin: may be cut, must be filled level.</summary>
    Pressed,

    /// <summary>Nothing may touch it.</summary>
    KeepOut,
}

/// <summary>What a member is made of.</summary>
public enum MemberMaterial
{
    /// <summary>Steel or aluminium.</summary>
    Metal,

    /// <summary>Timber or ply.</summary>
    Timber,

    /// <summary>Plastic, glass-reinforced or not.</summary>
    Plastic,
}

/// <summary>How a footprint is given.</summary>
public enum FootprintShape
{
    /// <summary>A line along the middle, with a width.</summary>
    Spine,

    /// <summary>The corners of the edge.</summary>
    Polygon,
}

/// <summary>The area that a member takes up on its panel.</summary>
/// <param name="Shape">How it is given.</param>
/// <param name="Points">Points of the spine, or corners of the polygon, in order.</param>
/// <param name="WidthMm">Width across the spine, mm; not used with a polygon.</param>
public sealed record Footprint(
    FootprintShape Shape,
    [Count(2, Limits.MostPoints, "A footprint has 2 to 500 points.")] IReadOnlyList<PanelPoint> Points,
    [Within(0, 2000, "A width", "mm")] double WidthMm = 0
);

/// <summary>A member of the shell: something on or behind the skin that an opening has to respect.</summary>
/// <param name="Name">What people call it, such as <c>Bow 3</c>.</param>
/// <param name="Kind">What it is.</param>
/// <param name="Role">What may be done to it.</param>
/// <param name="Footprint">The area that it takes up.</param>
/// <param name="DepthMm">How far it reaches inwards from the skin, mm; negative for a swage that stands proud of the skin.</param>
/// <param name="FlankMm">Width in plan of a swage's sloping flank, all round, mm: half of base width less top width. 0 for upright flanks and for
/// other members.</param>
/// <param name="Material">What it is made of; null where nobody said.</param>
public sealed record Member(
    [Name] string Name,
    MemberKind Kind,
    MemberRole Role,
    Footprint Footprint,
    [Within(-100, 500, "The depth", "mm")] double DepthMm,
    [Within(0, 300, "The flank's width", "mm")] double FlankMm = 0,
    MemberMaterial? Material = null
)
{
    /// <summary>Whether it burns, on a skin of some material: cables and fuel do; a frame of which nobody said what it is does on plywood, and on
    /// steel it is steel. Null where not known.</summary>
    internal bool? Burns(SkinMaterial skin) =>
        (Kind, Material, skin) switch
        {
            (MemberKind.WiringRun or MemberKind.FillerNeck, _, _) => true,
            (_, MemberMaterial.Metal, _) => false,
            (_, not null, _) => true,
            // Part of the skin, or a joint of it: the skin is judged by itself.
            (MemberKind.Swage or MemberKind.Seam or MemberKind.RainGutter, _, _) => false,
            (_, _, SkinMaterial.PlywoodSkin) => true,
            (_, _, SkinMaterial.MildSteel or SkinMaterial.GalvanisedSteel) => false,
            _ => null,
        };

    /// <summary>The role of each kind, unless somebody says otherwise.</summary>
    public static IReadOnlyList<MemberRoleOfKind> DefaultRoles { get; } =
    [.. Enum.GetValues<MemberKind>().Select(kind => new MemberRoleOfKind(kind, DefaultRole(kind)))];

    /// <summary>The role that a member of a kind has unless somebody says otherwise.</summary>
    public static MemberRole DefaultRole(MemberKind kind) =>
        kind switch
        {
            MemberKind.Pillar or MemberKind.CantRail or MemberKind.Bearer => MemberRole.Structural,
            MemberKind.RoofBow or MemberKind.SideRib => MemberRole.Secondary,
            MemberKind.Swage => MemberRole.Pressed,
            _ => MemberRole.KeepOut,
        };

    /// <summary>Whether the kind can never be given a role in which it may be cut: pillars and cant rails carry the roof, anchorages carry
    /// people.</summary>
    public static bool IsAlwaysUncut(MemberKind kind) => kind is MemberKind.Pillar or MemberKind.CantRail or MemberKind.Anchorage;
}

/// <summary>The role that a member of a kind has unless somebody says otherwise.</summary>
/// <param name="Kind">The kind.</param>
/// <param name="Role">Its role.</param>
public sealed record MemberRoleOfKind(MemberKind Kind, MemberRole Role);
