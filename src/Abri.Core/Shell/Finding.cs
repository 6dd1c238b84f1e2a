using Abri.Core.Declared;
using Abri.Core.Geometry;

namespace Abri.Core.Shell;

/// <summary>What is wrong at a place.</summary>
public enum FindingKind
{
    /// <summary>Rust on the surface.</summary>
    SurfaceRust,

    /// <summary>Rust that flakes.</summary>
    Scale,

    /// <summary>Rust that has eaten pits.</summary>
    Pitting,

    /// <summary>Rusted or torn through.</summary>
    Perforation,

    /// <summary>Mark that water left.</summary>
    Stain,

    /// <summary>Water that stands.</summary>
    StandingWater,

    /// <summary>Wood gone soft.</summary>
    SoftWood,

    /// <summary>Seam that has opened.</summary>
    OpenSeam,

    /// <summary>Sealant that has cracked or let go.</summary>
    CrackedSealant,

    /// <summary>Clip that holds no more.</summary>
    LooseClip,

    /// <summary>Hole that something left.</summary>
    OpenHole,

    /// <summary>Dent.</summary>
    Dent,

    /// <summary>Crack in plastic.</summary>
    CrackInPlastic,

    /// <summary>Seal or grommet that is gone or perished.</summary>
    MissingSeal,

    /// <summary>Drain that is blocked.</summary>
    BlockedDrain,

    /// <summary>Insulation that is damp.</summary>
    DampInsulation,
}

/// <summary>How a finding is drawn.</summary>
public enum FindingShape
{
    /// <summary>At one point.</summary>
    Point,

    /// <summary>Along a line.</summary>
    Line,

    /// <summary>Over an area.</summary>
    Area,
}

/// <summary>How bad a finding is.</summary>
public enum Severity
{
    /// <summary>Can wait.</summary>
    Minor,

    /// <summary>To be done with the job.</summary>
    Moderate,

    /// <summary>To be done first.</summary>
    Severe,
}

/// <summary>How far the work on a finding is.</summary>
public enum FindingState
{
    /// <summary>Nothing is decided.</summary>
    Open,

    /// <summary>It will be mended.</summary>
    Planned,

    /// <summary>Mended.</summary>
    Done,

    /// <summary>Left, and looked at now and then.</summary>
    Watch,
}

/// <summary>What was measured at a finding; null what was not.</summary>
/// <param name="LengthMm">Length, or diameter, mm.</param>
/// <param name="WidthMm">Width, mm.</param>
/// <param name="DepthMm">Depth, mm.</param>
/// <param name="MoisturePercent">Moisture of wood, % of dry mass.</param>
public sealed record FindingMeasures(
    [Within(0, Limits.LongestMm, "The length", "mm")] double? LengthMm,
    [Within(0, Limits.LongestMm, "The width", "mm")] double? WidthMm,
    [Within(0, 1000, "The depth", "mm")] double? DepthMm,
    [Within(0, 200, "The moisture", "%")] double? MoisturePercent
);

/// <summary>Something wrong with the shell, at a place on a panel.</summary>
/// <param name="Name">What people call it.</param>
/// <param name="Kind">What is wrong.</param>
/// <param name="Shape">How it is drawn.</param>
/// <param name="Points">The point, the points of the line, or the corners of the area.</param>
/// <param name="Seen">From which side it was seen.</param>
/// <param name="Severity">How bad it is.</param>
/// <param name="Measures">What was measured.</param>
/// <param name="State">How far the work on it is.</param>
/// <param name="SeenBy">Who saw it; empty when nobody says.</param>
/// <param name="SeenAt">When, UTC.</param>
/// <param name="Notes">Anything worth keeping.</param>
public sealed record Finding(
    [Name] string Name,
    FindingKind Kind,
    FindingShape Shape,
    [Count(1, Limits.MostPoints, "A finding has 1 to 500 points.")] IReadOnlyList<PanelPoint> Points,
    ViewedFrom Seen,
    Severity Severity,
    FindingMeasures Measures,
    FindingState State,
    [Letters(80, "Who saw it may have at most 80 characters.")] string SeenBy,
    [Dated] DateTimeOffset SeenAt,
    [Notes] string Notes
);
