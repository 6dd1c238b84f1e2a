using Abri.Core.Declared;
using Abri.Core.Geometry;
using Abri.Core.Shell;
using Abri.Core.Work;

namespace Abri.Core.Metal;

/// <summary>What a repair is.</summary>
public enum RepairKind
{
    /// <summary>Rust treated and coated.</summary>
    Treat,

    /// <summary>Damage cut out, and a patch over the hole.</summary>
    Patch,

    /// <summary>A plate over what stays, to carry instead of it.</summary>
    Plate,

    /// <summary>Small holes closed, one or a row.</summary>
    Plug,

    /// <summary>A gutter or seam stripped and sealed anew.</summary>
    Gutter,

    /// <summary>A trim or an edge strip taken off and put on again.</summary>
    Trim,

    /// <summary>Left as it is, and looked at now and then.</summary>
    Leave,

    /// <summary>An old window taken out.</summary>
    WindowOut,

    /// <summary>A door made to lie in its seal.</summary>
    Door,
}

/// <summary>How far a repair has come.</summary>
public enum RepairState
{
    /// <summary>To be done.</summary>
    Planned,

    /// <summary>Begun.</summary>
    Doing,

    /// <summary>Done.</summary>
    Done,

    /// <summary>Done or left, and looked at now and then.</summary>
    Watch,
}

/// <summary>A repair of the shell.</summary>
/// <param name="Name">What people call it.</param>
/// <param name="Kind">What it is.</param>
/// <param name="Shape">How its place is given.</param>
/// <param name="Points">The point, the points of the line, or the corners of the area; of holes in a row, each hole.</param>
/// <param name="LengthMm">Diameter of a point, mm; null where nobody measured.</param>
/// <param name="WidthMm">Width of a line, mm; null where nobody measured.</param>
/// <param name="Spot">What the metal is like; asked of what is treated, patched and plated.</param>
/// <param name="Patch">The patch or plate; null for others.</param>
/// <param name="Holes">The holes; null for others.</param>
/// <param name="Seam">The gutter or seam; null for others.</param>
/// <param name="Trim">The trim; null for others.</param>
/// <param name="State">How far it has come.</param>
/// <param name="DoneOn">When it was done; null until then.</param>
/// <param name="FindingIds">Ids of the findings that it mends; in a vehicle file their keys there.</param>
/// <param name="Notes">Anything worth keeping.</param>
/// <param name="Window">The old window; null for others.</param>
/// <param name="Door">The door with its readings; null for others.</param>
/// <param name="BlankCut">Whether the blank of its patch is cut out of a sheet.</param>
/// <param name="Ready">What was looked at before the shell is opened; null for nothing.</param>
public sealed record Repair(
    [Name] string Name,
    RepairKind Kind,
    FindingShape Shape,
    [Count(1, Limits.MostPoints, "A repair has 1 to 500 points.")] IReadOnlyList<PanelPoint> Points,
    [Within(0, Limits.LongestMm, "The diameter", "mm")] double? LengthMm,
    [Within(0, Limits.LongestMm, "The width", "mm")] double? WidthMm,
    RustSpot? Spot,
    PatchDesign? Patch,
    HoleRow? Holes,
    SeamRun? Seam,
    TrimRun? Trim,
    RepairState State,
    [Dated] DateOnly? DoneOn,
    [Count(0, 50, "A repair fixes at most 50 findings.")] IReadOnlyList<string> FindingIds,
    [Notes] string Notes,
    OldWindow? Window = null,
    DoorFit? Door = null,
    bool BlankCut = false,
    [Count(0, 20, "At most {1} things are looked at.")] IReadOnlyList<ReadyItem>? Ready = null
)
{
    /// <summary>A planned repair of which no more is known than where it is.</summary>
    public static Repair At(string name, RepairKind kind, FindingShape shape, IReadOnlyList<PanelPoint> points) =>
        new(name, kind, shape, points, null, null, null, null, null, null, null, RepairState.Planned, null, [], "");

    /// <summary>Whether nothing is left to do but to look at it.</summary>
    public bool IsOver => State is RepairState.Done or RepairState.Watch;

    /// <summary>Whether the shell may stand open from when it is begun.</summary>
    internal bool Opens => Kind is RepairKind.Patch or RepairKind.Plug or RepairKind.WindowOut;

    /// <summary>Whether it keeps water out once it is done, so that a water test tells.</summary>
    internal bool Seals => Kind is RepairKind.Patch or RepairKind.Plate or RepairKind.Plug or RepairKind.Gutter or RepairKind.Trim;

    /// <summary>Outline of what is damaged.</summary>
    internal IReadOnlyList<PanelPoint> Damage => DamageOutline.Of(Shape, Points, LengthMm, WidthMm);

    /// <summary>Extent of what is damaged along and across the panel, mm.</summary>
    internal (double LengthMm, double WidthMm) Extent => PanelBox.Of(Damage) is var box ? (box.WidthMm, box.HeightMm) : default;
}

/// <summary>A gutter or seam that is sealed anew.</summary>
/// <param name="WideMm">Width of the bead, mm.</param>
/// <param name="DeepMm">Depth of the bead, mm.</param>
/// <param name="SpotWelds">Spot welds drilled out along it: each is a hole that leaks until it is sealed.</param>
public sealed record SeamRun(
    [Within(2, 100, "The bead's width", "mm")] double WideMm,
    [Within(1, 50, "The bead's depth", "mm")] double DeepMm,
    [Within(0, 200, "The spot welds", "")] int SpotWelds
);

/// <summary>By what a trim is held.</summary>
public enum TrimHeld
{
    /// <summary>Clips.</summary>
    Clips,

    /// <summary>Screws through the skin.</summary>
    Screws,
}

/// <summary>A trim or an edge strip that comes off and goes on again.</summary>
/// <param name="Held">By what it is held.</param>
/// <param name="PitchMm">From one to the next, mm.</param>
/// <param name="BeddingWideMm">Width of the bedding under it, mm; 0 where it lies on none.</param>
public sealed record TrimRun(
    TrimHeld Held,
    [Within(20, 1000, "The distance", "mm")] double PitchMm,
    [Within(0, 200, "The bedding's width", "mm")] double BeddingWideMm
);
