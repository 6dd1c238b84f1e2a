using Abri.Core.Declared;

namespace Abri.Core.Metal;

/// <summary>What the surface of uncoated steel looks like: ISO 8501-1, from memory.</summary>
public enum RustGrade
{
    /// <summary>A: hardly any rust.</summary>
    HardlyAny,

    /// <summary>B: rust has begun.</summary>
    Begun,

    /// <summary>C: rust can be scraped off, few pits are seen.</summary>
    FewPits,

    /// <summary>D: pits all over.</summary>
    ManyPits,
}

/// <summary>What lies near a spot and forbids or endangers work on it.</summary>
public enum Nearby
{
    /// <summary>Anchorage of a belt or a seat.</summary>
    BeltOrSeat,

    /// <summary>Mount of suspension.</summary>
    Suspension,

    /// <summary>Mount of steering.</summary>
    Steering,

    /// <summary>Chassis or main beam.</summary>
    Chassis,

    /// <summary>Fuel tank or line.</summary>
    Fuel,

    /// <summary>Brake line.</summary>
    BrakeLine,

    /// <summary>Glass.</summary>
    Glass,

    /// <summary>Wiring.</summary>
    Wiring,
}

/// <summary>What was found at a rusty place; the worst place of it decides.</summary>
/// <param name="Grade">What the steel looks like once the loose rust is off.</param>
/// <param name="Flakes">Whether rust flakes off in layers.</param>
/// <param name="SheetMm">Thickness of the sound sheet, mm.</param>
/// <param name="LeftMm">
/// Sheet left at the worst place, mm, by pit gauge or by thickness less pit; beside a hole, what its rim still has. Null where nobody measured it.
/// </param>
/// <param name="AreaPercent">Share of the area that rusts, %.</param>
/// <param name="HoleMm">Widest hole that is rusted through, mm; 0 for none.</param>
/// <param name="Carries">Whether something is fastened there, or it holds a part up.</param>
/// <param name="Structure">Whether it is a pillar, rail, sill or other part that holds the body together.</param>
/// <param name="BothSides">Whether both faces can be reached.</param>
/// <param name="Pocket">Whether water gathers there: a bottom pocket, a channel, a folded lower edge.</param>
/// <param name="Near">What lies within 300 mm.</param>
public sealed record RustSpot(
    RustGrade Grade,
    bool Flakes,
    [Within(0.3, 12, "The sheet", "mm")] double SheetMm,
    [Within(0, 12, "What is left of the sheet", "mm")] double? LeftMm,
    [Within(0, 100, "The rusted share", "%")] double AreaPercent,
    [Within(0, 2000, "The hole", "mm")] double HoleMm,
    bool Carries,
    bool Structure,
    bool BothSides,
    bool Pocket,
    [Count(0, 8, "At most 8 things lie near a spot.")] IReadOnlyList<Nearby> Near
) : IConsistent
{
    /// <summary>Whether sparks must not fly: fuel burns, and a brake line that was ground fails.</summary>
    internal bool NoSparks => Near.Contains(Nearby.Fuel) || Near.Contains(Nearby.BrakeLine);

    /// <inheritdoc/>
    public (string Field, string Message)? Contradiction() =>
        LeftMm > SheetMm ? ("leftMm", "No more of the sheet can be left than there was.")
        : LeftMm == 0 && HoleMm == 0 ? ("holeMm", "Where nothing is left it is rusted through: give the width of the hole.")
        : null;
}

/// <summary>Where the rules draw their lines: assumptions, to be changed by whoever knows better.</summary>
/// <param name="TreatBelowPercent">Loss of sheet below which treating is enough, %.</param>
/// <param name="CutAbovePercent">Loss of sheet above which it is cut out, %.</param>
/// <param name="PuttyMostMm">Widest hole that putty closes, mm.</param>
public sealed record RustLimits(
    [Within(1, 50, "The loss that is only treated", "%")] double TreatBelowPercent = 10,
    [Within(1, 90, "The loss above which it is cut out", "%")] double CutAbovePercent = 30,
    [Within(0, 10, "The hole that putty closes", "mm")] double PuttyMostMm = RustLimits.UsualPuttyMm
) : IConsistent
{
    /// <summary>Widest hole that putty closes where nobody says otherwise, mm: assumption.</summary>
    public const double UsualPuttyMm = 10;

    /// <inheritdoc/>
    public (string Field, string Message)? Contradiction() =>
        TreatBelowPercent >= CutAbovePercent ? ("cutAbovePercent", "It is cut out at a greater loss than what is only treated.") : null;
}
