using Abri.Core.Declared;
using Abri.Core.Geometry;
using Abri.Core.Openings.Clamping;
using Abri.Core.Openings.Seating;
using Abri.Core.Shell;
using Abri.Core.Work;

namespace Abri.Core.Openings;

/// <summary>How far an opening has come.</summary>
public enum OpeningState
{
    /// <summary>Placed on the drawing.</summary>
    Planned,

    /// <summary>Cut: the shell is open here.</summary>
    Cut,

    /// <summary>Fitted and sealed: the shell is closed here.</summary>
    Fitted,
}

/// <summary>How the clamping of an opening stands.</summary>
/// <param name="Layers">What lies between the halves.</param>
/// <param name="Trimmed">Whether each lug was trimmed, lug by lug.</param>
/// <param name="Tight">Screws that are tight, by their number in the order of tightening.</param>
/// <param name="BeforeMm">Gaps of the gasket before tightening, mm.</param>
/// <param name="AfterMm">Gaps at the same places after it, mm; may be empty.</param>
public sealed record ClampWork(
    [Count(0, 20, "A stack has at most 20 layers.")] IReadOnlyList<ClampLayer> Layers,
    [Count(0, 100, "A fitting has at most 100 lugs.")] IReadOnlyList<bool> Trimmed,
    [Count(0, TighteningOrder.Most, "A fitting has at most {1} screws.")] IReadOnlyList<int> Tight,
    [Count(0, 100, "At most 100 places are measured."), EachWithin(0, 1000, "A gap", "mm")] IReadOnlyList<double> BeforeMm,
    [Count(0, 100, "At most 100 places are measured."), EachWithin(0, 1000, "A gap", "mm")] IReadOnlyList<double> AfterMm
);

/// <summary>An opening in a panel: which fitting goes where, in which school, and how it turned out.</summary>
/// <param name="Name">What people call it.</param>
/// <param name="FittingId">The fitting of the catalogue.</param>
/// <param name="Centre">Where its centre lies on the panel.</param>
/// <param name="TurnDeg">Quarter turns of the fitting: 0, 90, 180 or 270.</param>
/// <param name="WallMm">Thickness to be clamped, mm; null when not known yet.</param>
/// <param name="Schools">The schools followed.</param>
/// <param name="State">How far it has come.</param>
/// <param name="AsCut">The hole as it was measured; null until then.</param>
/// <param name="Notes">Anything worth keeping.</param>
/// <param name="Clamp">How its clamping stands; null until somebody begins.</param>
/// <param name="Tape">The bedding tape that lies ready; null for the usual one.</param>
/// <param name="Ready">What was looked at before the cut; null for nothing.</param>
public sealed record Opening(
    [Name] string Name,
    string FittingId,
    PanelPoint Centre,
    [QuarterTurn] int TurnDeg,
    [Within(0.3, 300, "The wall's thickness", "mm")] double? WallMm,
    Schools Schools,
    OpeningState State,
    AsCut? AsCut,
    [Notes] string Notes,
    ClampWork? Clamp = null,
    BeddingTape? Tape = null,
    [Count(0, 20, "At most {1} things are looked at.")] IReadOnlyList<ReadyItem>? Ready = null
);
