using Abri.Core.Declared;
using Abri.Core.Geometry;
using Abri.Core.Shell;

namespace Abri.Core.Floor;

/// <summary>How far a replacement has come.</summary>
public enum ReplacementState
{
    /// <summary>To be done.</summary>
    Planned,

    /// <summary>Begun.</summary>
    Doing,

    /// <summary>Done.</summary>
    Done,
}

/// <summary>The sheet that goes in.</summary>
/// <param name="Material">What it is made of.</param>
/// <param name="ThickMm">Thickness, mm.</param>
/// <param name="LengthMm">Length of a whole sheet, along its grain, mm.</param>
/// <param name="WidthMm">Width of a whole sheet, mm.</param>
public sealed record NewSheet(
    BoardMaterial Material,
    [Within(2, 60, "The new sheet", "mm")] double ThickMm,
    [Within(300, 6000, "The length of a sheet", "mm")] double LengthMm,
    [Within(300, 3000, "The width of a sheet", "mm")] double WidthMm
)
{
    /// <summary>A sheet as shops have it: 2440 x 1220, or 96 x 48 inches, which is a little less. Assumption.</summary>
    public static NewSheet Usual(BoardMaterial material, double thickMm, UnitSystem units = UnitSystem.Mm) =>
        units == UnitSystem.Inch ? new(material, thickMm, 96 * 25.4, 48 * 25.4) : new(material, thickMm, 2440, 1220);
}

/// <summary>Bad wood of a floor cut out, and new wood put in.</summary>
/// <param name="Name">What people call it.</param>
/// <param name="Area">Corners of what is certainly bad; the probes in and around it say how far it goes.</param>
/// <param name="MarginMm">Beyond the first sound place, mm; twice as much along the grain.</param>
/// <param name="Sheet">What goes in.</param>
/// <param name="State">How far it has come.</param>
/// <param name="DoneOn">When it was done; null until then.</param>
/// <param name="FindingIds">Ids of the findings that it mends; in a vehicle file their keys there.</param>
/// <param name="Notes">Anything worth keeping.</param>
/// <param name="BoardsCut">Whether its new boards are sawn.</param>
public sealed record Replacement(
    [Name] string Name,
    [Count(3, Limits.MostPoints, "An area has 3 to 500 corners.")] IReadOnlyList<PanelPoint> Area,
    [Within(0, 1000, "The margin", "mm")] double MarginMm,
    NewSheet Sheet,
    ReplacementState State,
    [Dated] DateOnly? DoneOn,
    [Count(0, 50, "A replacement fixes at most 50 findings.")] IReadOnlyList<string> FindingIds,
    [Notes] string Notes,
    bool BoardsCut = false
)
{
    /// <summary>Margin unless somebody says otherwise, mm: assumption.</summary>
    public const double UsualMarginMm = 150;

    /// <summary>The first contradiction, or null.</summary>
    public static Problem? Check(Panel panel, Replacement replacement)
    {
        if (Outlines.Check(replacement.Area, "/area") is { } crossed)
            return crossed;
        if (PlaceCheck.Of(panel, replacement.Area, "replacement-off-panel", "/area") is { } off)
            return off;
        if (replacement.FindingIds.Distinct(StringComparer.Ordinal).Count() < replacement.FindingIds.Count)
            return new Problem("finding-twice", "/findingIds", "Each finding is named once.");
        return replacement is { State: ReplacementState.Done, DoneOn: null }
            ? new Problem("replacement-undated", "/doneOn", "Say when it was done.")
            : null;
    }
}
