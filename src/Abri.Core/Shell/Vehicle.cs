using Abri.Core.Declared;
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
/// <param name="MarkerOffsetMm">How far a pencil line lies from the straight-edge, mm: it is added to every distance at which a straight-edge is
/// set.</param>
/// <param name="TimeZone">Time zone in which times are shown, by its IANA name.</param>
/// <param name="Place">Where it stands; null when unknown.</param>
/// <param name="Masses">Masses and axles; null when nothing is known yet.</param>
/// <param name="Attitude">How it stands as parked; null for level.</param>
/// <param name="Care">How careful to be before a cut; null for the usual care.</param>
public sealed record Vehicle(
    [Name] string Name,
    VehicleKind Kind,
    [Within(1900, 2100, "The year")] int? Year,
    [Notes] string Notes,
    UnitSystem Units,
    [InchFraction] int InchDenominator,
    Schools Schools,
    [Within(0, 20, "The pencil's offset", "mm")] double MarkerOffsetMm,
    [TimeZone] string TimeZone = "Etc/UTC",
    Place? Place = null,
    Masses? Masses = null,
    Attitude? Attitude = null,
    CutCare? Care = null
)
{
    /// <summary>Common practice, no source: 1/8 inch between straight-edge and pencil line.</summary>
    public const double UsualMarkerOffsetMm = 3.175;
}

/// <summary>A place on the ground, for daylight and weather.</summary>
/// <param name="LatitudeDeg">Degrees north of the equator.</param>
/// <param name="LongitudeDeg">Degrees east of Greenwich.</param>
public sealed record Place(
    [Within(-90, 90, "The latitude", "degrees")] double LatitudeDeg,
    [Within(-180, 180, "The longitude", "degrees")] double LongitudeDeg
);

/// <summary>Masses and axles, as on the vehicle's plate and papers; null what is not known.</summary>
/// <param name="KerbKg">Mass of the vehicle as it is, ready to drive, kg.</param>
/// <param name="PermittedKg">Permitted mass, kg.</param>
/// <param name="FrontAxleKg">Limit of the front axle, kg; of a trailer's coupling.</param>
/// <param name="RearAxleKg">Limit of the rear axle, kg.</param>
/// <param name="WheelbaseMm">From axle to axle, mm; of a trailer, from coupling to axle.</param>
/// <param name="KerbFrontKg">How much of the kerb mass stands on the front axle, kg; of a trailer, hangs on the coupling.</param>
/// <param name="FrontAxleAtMm">X of the front axle, mm; of a trailer, of the coupling.</param>
/// <param name="TrackMm">From the middle of a left wheel to that of a right one, mm.</param>
/// <param name="KerbHeightMm">Height of the empty vehicle's centre of mass above the road, mm.</param>
/// <param name="FloorHeightMm">Height of the floor above the road, mm.</param>
public sealed record Masses(
    [Within(50, 40_000, "The kerb mass", "kg")] double? KerbKg,
    [Within(50, 40_000, "The permitted mass", "kg")] double? PermittedKg,
    [Within(20, 20_000, "The front axle's limit", "kg")] double? FrontAxleKg,
    [Within(20, 30_000, "The rear axle's limit", "kg")] double? RearAxleKg,
    [Within(500, 15_000, "The wheelbase", "mm")] double? WheelbaseMm,
    [Within(0, 20_000, "The kerb mass on the front axle", "kg")] double? KerbFrontKg = null,
    [Within(-6000, 6000, "The place of the front axle", "mm")] double? FrontAxleAtMm = null,
    [Within(700, 2600, "The track", "mm")] double? TrackMm = null,
    [Within(200, 2500, "The height of the centre of mass", "mm")] double? KerbHeightMm = null,
    [Within(100, 1800, "The floor's height above the road", "mm")] double? FloorHeightMm = null
) : IConsistent
{
    (string Field, string Message)? IConsistent.Contradiction() =>
        PermittedKg < KerbKg
            ? ("permittedKg", $"The permitted mass ({PermittedKg:0} kg) is below the kerb mass ({KerbKg:0} kg): look at the papers again.")
        : KerbFrontKg > KerbKg ? ("kerbFrontKg", $"No more than the whole kerb mass ({KerbKg:0} kg) can stand on the front axle.")
        : null;
}

/// <summary>How a vehicle stands.</summary>
/// <param name="PitchDeg">Degrees; positive with the nose up.</param>
/// <param name="RollDeg">Degrees; positive with the left side up.</param>
public sealed record Attitude([Within(-20, 20, "The pitch", "degrees")] double PitchDeg, [Within(-20, 20, "The roll", "degrees")] double RollDeg);

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
/// <param name="RibOrder">What is cut first where ribs have to go.</param>
/// <param name="SpacerRing">What holds a spacer ring.</param>
/// <param name="WideTrim">What to do where two skins are too far apart for the edge trim.</param>
/// <param name="Bedding">What beds a flange.</param>
public sealed record Schools(
    RibInTheWay RibInTheWay,
    CutSize CutSize,
    RibOrder RibOrder = RibOrder.RibsFirst,
    SpacerRing SpacerRing = SpacerRing.Adhesive,
    WideTrim WideTrim = WideTrim.InnerEdge,
    FlangeBedding Bedding = FlangeBedding.ButylAndLapSealant
);

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

/// <summary>What is cut first where ribs have to go.</summary>
public enum RibOrder
{
    /// <summary>The ribs, while the skin is whole and keeps the weather out.</summary>
    RibsFirst,

    /// <summary>The skin, so that the ribs steady it under the blade.</summary>
    SkinFirst,
}

/// <summary>What holds a spacer ring to the wall.</summary>
public enum SpacerRing
{
    /// <summary>Polyurethane adhesive: stronger, messier.</summary>
    Adhesive,

    /// <summary>Double-sided acrylic foam tape: cleaner.</summary>
    FoamTape,
}

/// <summary>What to do where two skins are too far apart for the edge trim.</summary>
public enum WideTrim
{
    /// <summary>Trim on the inner edge alone, the gap filled with mastic.</summary>
    InnerEdge,

    /// <summary>A trim that is wide enough for both.</summary>
    Wider,
}

/// <summary>What beds a flange.</summary>
public enum FlangeBedding
{
    /// <summary>Butyl tape, screws, self-levelling sealant over the heads: comes apart again.</summary>
    ButylAndLapSealant,

    /// <summary>Polyurethane adhesive or structural neutral silicone, roofing tape over the edge: holds without screws.</summary>
    Adhesive,

    /// <summary>Hybrid polymer under the flange and as a fillet at its edge: one product for both, and no isocyanates.</summary>
    HybridPolymer,
}
