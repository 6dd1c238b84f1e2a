using Abri.Core.Declared;
using Abri.Core.Geometry;
using Abri.Core.Shell;

namespace Abri.Core.Water.Leaks;

/// <summary>An opening that is cut, as far as water is concerned.</summary>
/// <param name="Name">What people call it.</param>
/// <param name="Edge">Its flange on the panel.</param>
/// <param name="Fitted">Whether something is fitted in it; otherwise the hole stands open.</param>
/// <param name="Clamped">Whether it is held by clamping the wall.</param>
public sealed record CutOpening([Name] string Name, [Enclosing("The edge of an opening")] PanelBox Edge, bool Fitted, bool Clamped);

/// <summary>A place that was mended.</summary>
/// <param name="Name">What people call the repair.</param>
/// <param name="Points">The place, the holes, the line, or the corners of the area.</param>
/// <param name="IsArea">Whether the points are the corners of an area.</param>
/// <param name="IsRow">Whether the points are holes, and what lies between them was not mended.</param>
/// <param name="On">When it was mended.</param>
/// <param name="TestedDry">Whether a water test that wetted it since left it dry.</param>
public sealed record MendedPlace(
    [Name] string Name,
    [Count(1, Limits.MostPoints, "A place has 1 to 500 points.")] IReadOnlyList<PanelPoint> Points,
    bool IsArea,
    bool IsRow,
    [Dated] DateOnly On,
    bool TestedDry
)
{
    /// <summary>The beginning of a day.</summary>
    internal static DateTimeOffset Midnight(DateOnly day) => new(day.ToDateTime(TimeOnly.MinValue), TimeSpan.Zero);
}

/// <summary>A panel with all that bears on water.</summary>
/// <param name="Id">By what the caller knows it.</param>
/// <param name="Panel">The panel.</param>
/// <param name="Members">Its members.</param>
/// <param name="Findings">What was found on it.</param>
/// <param name="Openings">Openings that are cut.</param>
/// <param name="Suspects">Suspects that somebody wrote down.</param>
/// <param name="Observations">What was looked at.</param>
/// <param name="SealReadings">Readings along its seal, where it is a door.</param>
/// <param name="Drains">Its drains.</param>
/// <param name="Coverings">What was put on it or into it.</param>
/// <param name="Mended">What was mended on it; null for nothing.</param>
public sealed record WetPanel(
    [Name] string Id,
    Panel Panel,
    [Members] IReadOnlyList<Member> Members,
    IReadOnlyList<Keyed<Finding>> Findings,
    IReadOnlyList<CutOpening> Openings,
    IReadOnlyList<Keyed<Suspect>> Suspects,
    IReadOnlyList<Observation> Observations,
    IReadOnlyList<SealReading> SealReadings,
    IReadOnlyList<Drain> Drains,
    IReadOnlyList<Covering> Coverings,
    IReadOnlyList<MendedPlace>? Mended = null
)
{
    /// <summary>What people call the panel.</summary>
    internal string Name => Panel.Name ?? PanelWords.Name(Panel.Kind);
}

/// <summary>A shell with all that bears on water.</summary>
/// <param name="Panels">Its panels.</param>
/// <param name="Attitude">How it is parked.</param>
/// <param name="Priors">Priors that somebody changed.</param>
public sealed record WetShell(
    [Count(0, 40, "A vehicle has at most 40 panels.")] IReadOnlyList<WetPanel> Panels,
    Attitude Attitude,
    IReadOnlyList<LeakPrior> Priors
) : IConsistent
{
    (string Field, string Message)? IConsistent.Contradiction() =>
        Panels.Select(p => p.Id).Distinct().Count() == Panels.Count ? null : ("panels", "Two panels have the same id.");
}
