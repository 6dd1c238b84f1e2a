using Abri.Core.Geometry;

namespace Abri.Core.Shell;

/// <summary>The vehicle whose shell is worked on.</summary>
/// <param name="Name">What its people call it.</param>
/// <param name="Kind">What sort of body it has.</param>
/// <param name="Year">Year of manufacture; null when unknown.</param>
/// <param name="Notes">Anything worth keeping.</param>
/// <param name="Units">Unit in which lengths are shown, and in which plain numbers are read.</param>
/// <param name="InchDenominator">Finest fraction of an inch shown: 16 or 32.</param>
/// <param name="Schools">What a new opening starts from where practitioners differ.</param>
/// <param name="MarkerOffsetMm">How far a pencil line lies from the straight-edge, mm: it is added to every distance at which a straight-edge is set.</param>
public sealed record Vehicle(
    string Name, VehicleKind Kind, int? Year, string Notes, UnitSystem Units, int InchDenominator, Schools Schools, double MarkerOffsetMm)
{
    /// <summary>Common practice, no source: 1/8 inch between straight-edge and pencil line.</summary>
    public const double UsualMarkerOffsetMm = 3.175;
}

/// <summary>What sort of body a vehicle has.</summary>
public enum VehicleKind
{
    /// <summary>Panel van.</summary>
    PanelVan,

    /// <summary>Bus.</summary>
    Bus,

    /// <summary>Box trailer.</summary>
    BoxTrailer,

    /// <summary>Caravan body.</summary>
    CaravanBody,
}

/// <summary>The choices where practitioners differ; what each costs stands in docs/schools.md.</summary>
/// <param name="RibInTheWay">What to do about a secondary rib in the way of an opening.</param>
/// <param name="CutSize">How big to cut.</param>
public sealed record Schools(RibInTheWay RibInTheWay, CutSize CutSize);

/// <summary>What to do about a secondary rib in the way of an opening. Pillars and marked structure are never cut in either school.</summary>
public enum RibInTheWay
{
    /// <summary>Keep every rib: only positions between them.</summary>
    Keep,

    /// <summary>Cut a secondary rib and carry its load with headers to its neighbours.</summary>
    CutSecondary,
}

/// <summary>How big to cut.</summary>
public enum CutSize
{
    /// <summary>On the waste side of the line, then open up to the line, since metal cannot be put back.</summary>
    WasteSide,

    /// <summary>With clearance all round at once, since filing a whole perimeter takes hours.</summary>
    WithClearance,
}
