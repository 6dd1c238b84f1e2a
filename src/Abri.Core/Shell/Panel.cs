using Abri.Core.Geometry;

namespace Abri.Core.Shell;

/// <summary>Which part of the shell a panel is.</summary>
public enum PanelKind
{
    /// <summary>The roof.</summary>
    Roof,
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

/// <summary>A panel of the shell: its outline in its own frame, its skin and its curvature.</summary>
/// <param name="Kind">Which part of the shell it is.</param>
/// <param name="Outline">Corners of the outline in order.</param>
/// <param name="SkinMm">Thickness of the skin, mm.</param>
/// <param name="Material">What the skin is made of.</param>
/// <param name="ArcRadiusAlongMm">Radius of the curvature along s, mm; null where it is flat.</param>
/// <param name="ArcRadiusAcrossMm">Radius of the curvature along t, mm; null where it is flat.</param>
public sealed record Panel(
    PanelKind Kind, IReadOnlyList<PanelPoint> Outline, double SkinMm, SkinMaterial Material,
    double? ArcRadiusAlongMm = null, double? ArcRadiusAcrossMm = null)
{
    /// <summary>The smallest rectangle around the outline.</summary>
    internal PanelBox Box => PanelBox.Of(Outline);
}
