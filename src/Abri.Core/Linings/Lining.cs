using Abri.Core.Declared;
using Abri.Core.Floor;
using Abri.Core.Geometry;
using Abri.Core.Shell;

namespace Abri.Core.Linings;

/// <summary>How a lining lies under a curved skin.</summary>
public enum LiningLies
{
    /// <summary>Bent, as far from the skin everywhere.</summary>
    Bent,

    /// <summary>Flat, nearer to the skin towards the edges.</summary>
    Flat,
}

/// <summary>How far a lining has come.</summary>
public enum LiningState
{
    /// <summary>To be made.</summary>
    Planned,

    /// <summary>Its boards are sawn.</summary>
    Cut,

    /// <summary>It is in.</summary>
    Fixed,
}

/// <summary>Boards that hide a panel from inside: a ceiling, the lining of a side or a door.</summary>
/// <param name="Name">What people call it.</param>
/// <param name="Outline">Its outline on the panel.</param>
/// <param name="Sheet">What it is made of.</param>
/// <param name="Grain">Which way its grain runs.</param>
/// <param name="GapMm">From the inside of the skin to its back, battens and insulation between, mm; of a flat one where the skin stands furthest
/// out.</param>
/// <param name="Lies">How it lies under a curved skin.</param>
/// <param name="UndersizeMm">How much smaller all round its holes are first, mm: what is left is marked from the hole in the skin.</param>
/// <param name="State">How far it has come.</param>
/// <param name="Notes">Anything worth keeping.</param>
public sealed record Lining(
    [Name] string Name,
    [Count(3, Limits.MostPoints, "A lining has 3 to 500 corners.")] IReadOnlyList<PanelPoint> Outline,
    NewSheet Sheet,
    Grain Grain,
    [Within(0, 300, "The gap behind the lining", "mm")] double GapMm,
    LiningLies Lies,
    [Within(0, 60, "How much smaller holes are first", "mm")] double UndersizeMm,
    LiningState State,
    [Notes] string Notes
)
{
    /// <summary>How much smaller all round a hole is cut first, mm: common practice.</summary>
    public const double UsualUndersizeMm = 15;

    /// <summary>The first contradiction, or null.</summary>
    public static Problem? Check(Panel panel, Lining lining) =>
        Outlines.Check(lining.Outline, "/outline") ?? PlaceCheck.Of(panel, lining.Outline, "lining-off-panel", "/outline");
}
