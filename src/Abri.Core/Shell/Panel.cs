using Abri.Core.Declared;
using Abri.Core.Geometry;

namespace Abri.Core.Shell;

/// <summary>Which part of the shell a panel is.</summary>
public enum PanelKind
{
    /// <summary>The roof.</summary>
    Roof,

    /// <summary>The left side.</summary>
    Left,

    /// <summary>The right side.</summary>
    Right,

    /// <summary>The left rear door, or the left half of the rear wall.</summary>
    RearLeftDoor,

    /// <summary>The right rear door, or the right half of the rear wall.</summary>
    RearRightDoor,

    /// <summary>The sliding side door.</summary>
    SlidingDoor,

    /// <summary>The front bulkhead, or the front wall of a trailer.</summary>
    Bulkhead,

    /// <summary>The floor.</summary>
    Floor,

    /// <summary>A step, such as the one below the rear doors.</summary>
    Step,

    /// <summary>Any other part.</summary>
    Other,
}

/// <summary>Which way the outside of a panel looks; it fixes the panel's frame and how it is drawn.</summary>
public enum Facing
{
    /// <summary>Up, as the roof: s is X, t is Y.</summary>
    Up,

    /// <summary>Down, as the floor: s is X, t is Y.</summary>
    Down,

    /// <summary>To the vehicle's left: s is X, t is Z.</summary>
    Left,

    /// <summary>To the vehicle's right: s is X, t is Z.</summary>
    Right,

    /// <summary>Backwards, as the rear doors: s is Y, t is Z.</summary>
    Rear,

    /// <summary>Forwards, as the bulkhead: s is Y, t is Z.</summary>
    Front,
}

/// <summary>What a skin is made of.</summary>
public enum SkinMaterial
{
    /// <summary>Mild steel.</summary>
    MildSteel,

    /// <summary>Galvanised steel.</summary>
    GalvanisedSteel,

    /// <summary>Aluminium.</summary>
    Aluminium,

    /// <summary>Glass-reinforced plastic.</summary>
    GlassReinforcedPlastic,

    /// <summary>Plywood skin.</summary>
    PlywoodSkin,
}

/// <summary>Which of two descriptions of a panel's surface counts.</summary>
public enum SurfaceSource
{
    /// <summary>Curvature and swages as drawn.</summary>
    Drawn,

    /// <summary>Sections measured with straight-edge and depth gauge.</summary>
    Measured,
}

/// <summary>A panel of the shell: its outline in its own frame, its skin and its curvature.</summary>
/// <param name="Kind">Which part of the shell it is.</param>
/// <param name="Outline">Corners of the outline in order.</param>
/// <param name="SkinMm">Thickness of the (outer) skin, mm.</param>
/// <param name="Material">What the skin is made of.</param>
/// <param name="ArcRadiusAlongMm">Radius of the curvature along s, mm; null where it is flat.</param>
/// <param name="ArcRadiusAcrossMm">Radius of the curvature along t, mm; null where it is flat.</param>
/// <param name="Faces">Which way its outside looks; null for what its kind looks (see <see cref="FacingOf"/>).</param>
/// <param name="SkinGapMm">Gap between outer and inner skin, mm; null where there is one skin.</param>
/// <param name="TaperDeg">Angle of the panel in plan against the vehicle's axis, degrees; positive where the vehicle narrows to the rear.</param>
/// <param name="Surface">Which description of its surface counts.</param>
/// <param name="Sections">Measured sections across it, by station; null where none were taken.</param>
/// <param name="Name">What people call it; null for the usual name of its kind.</param>
public sealed record Panel(
    PanelKind Kind,
    [Count(3, Limits.MostPoints, "An outline has 3 to 500 corners.")] IReadOnlyList<PanelPoint> Outline,
    [Within(0.3, 50, "The skin's thickness", "mm")] double SkinMm,
    SkinMaterial Material,
    [Within(200, 1_000_000, "The radius along", "mm")] double? ArcRadiusAlongMm = null,
    [Within(200, 1_000_000, "The radius across", "mm")] double? ArcRadiusAcrossMm = null,
    Facing? Faces = null,
    [Within(0.5, 300, "The gap between the skins", "mm")] double? SkinGapMm = null,
    [Within(-45, 45, "The taper", "degrees")] double TaperDeg = 0,
    SurfaceSource Surface = SurfaceSource.Drawn,
    [Count(0, 200, "A panel has at most 200 sections.")] IReadOnlyList<SurfaceSection>? Sections = null,
    [Name] string? Name = null
)
{
    /// <summary>Which way its outside looks.</summary>
    internal Facing Facing => Faces ?? FacingOf(Kind);

    /// <summary>Whether it hangs or runs, or may: a panel of no kind can be a cab's door.</summary>
    internal bool IsDoor => Kind is PanelKind.RearLeftDoor or PanelKind.RearRightDoor or PanelKind.SlidingDoor or PanelKind.Other;

    /// <summary>The smallest rectangle around the outline.</summary>
    internal PanelBox Box => PanelBox.Of(Outline);

    /// <summary>Which way the outside of a panel of a kind looks unless somebody says otherwise.</summary>
    public static Facing FacingOf(PanelKind kind) =>
        kind switch
        {
            PanelKind.Left => Facing.Left,
            PanelKind.Right or PanelKind.SlidingDoor => Facing.Right,
            PanelKind.RearLeftDoor or PanelKind.RearRightDoor => Facing.Rear,
            PanelKind.Bulkhead => Facing.Front,
            PanelKind.Floor => Facing.Down,
            _ => Facing.Up,
        };
}
