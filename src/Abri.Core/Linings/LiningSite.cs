using Abri.Core.Declared;
using Abri.Core.Geometry;
using Abri.Core.Openings;
using Abri.Core.Shell;

namespace Abri.Core.Linings;

/// <summary>Something that passes through the skin, and through a lining below it.</summary>
/// <param name="Name">What people call it.</param>
/// <param name="Centre">Where its centre lies on the panel.</param>
/// <param name="TurnDeg">Quarter turns of the fitting: 0, 90, 180 or 270.</param>
/// <param name="Fitting">What is fitted, unturned.</param>
/// <param name="State">How far it has come.</param>
/// <param name="AsCut">The hole as it was measured; null until then.</param>
/// <param name="WallMm">The wall that it is reckoned to clamp, mm; null when not known.</param>
public sealed record LinedOpening(
    [Name] string Name,
    PanelPoint Centre,
    [QuarterTurn] int TurnDeg,
    Fitting Fitting,
    OpeningState State,
    AsCut? AsCut,
    [Within(0.3, 300, "The wall's thickness", "mm")] double? WallMm
)
{
    /// <summary>The fitting as it lies on the panel.</summary>
    internal Fitting Turned => Fitting.Turned(TurnDeg);

    /// <summary>The hole that boards below it get: that in the skin as it was measured, else as the fitting asks for it. Boards burn, so that what
    /// gets hot keeps its distance from them.</summary>
    internal RoundedRectangle Hole => Fitting.HeatMm > 0 ? InSkin.Grown(Fitting.HeatMm) : InSkin;

    private RoundedRectangle InSkin =>
        AsCut is { } cut
            ? new RoundedRectangle((cut.TopWidthMm + cut.BottomWidthMm) / 2, (cut.FrontHeightMm + cut.RearHeightMm) / 2, Turned.CutOut.CornerRadiusMm)
            : Turned.CutOut;
}

/// <summary>A panel that gets a lining, with what passes through it.</summary>
/// <param name="Panel">The panel.</param>
/// <param name="Members">Its members.</param>
/// <param name="Openings">What passes through it.</param>
/// <param name="Findings">What was found on it.</param>
/// <param name="Lengths">How lengths are written in sentences; null for millimetres.</param>
public sealed record LiningSite(
    Panel Panel,
    [Members] IReadOnlyList<Member> Members,
    [Count(0, 100, "A panel has at most 100 openings.")] IReadOnlyList<LinedOpening> Openings,
    [Count(0, 500, "A panel has at most 500 findings.")] IReadOnlyList<Finding> Findings,
    LengthFormat? Lengths = null
)
{
    /// <summary>From the outer face of the shell to the inside of its skin, mm: of two skins the inner one, as thick as the outer.</summary>
    internal double SkinsMm => Panel.SkinGapMm is { } gap ? (2 * Panel.SkinMm) + gap : Panel.SkinMm;

    /// <summary>How lengths are written.</summary>
    internal LengthFormat Format => Lengths ?? LengthFormat.Millimetres;

    /// <summary>The first contradiction, or null.</summary>
    internal Problem? Check()
    {
        if (ShellCheck.Of(Panel, Members) is { } shell)
            return shell;
        for (int i = 0; i < Openings.Count; i++)
        {
            if (FittingCheck.Of(Openings[i].Fitting) is { } fitting)
                return fitting.Under($"/openings/{i}/fitting");
        }
        for (int i = 0; i < Findings.Count; i++)
        {
            if (FindingCheck.Of(Panel, Findings[i]) is { } finding)
                return finding.Under($"/findings/{i}");
        }
        return null;
    }
}
