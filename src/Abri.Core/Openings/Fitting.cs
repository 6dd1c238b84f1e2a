using Abri.Core.Declared;
using Abri.Core.Geometry;

namespace Abri.Core.Openings;

/// <summary>What a fitting is.</summary>
public enum FittingKind
{
    /// <summary>Roof vent or fan with a screwed flange.</summary>
    RoofVent,

    /// <summary>Skylight, clamped between an outer frame and an inner frame.</summary>
    RoofSkylight,

    /// <summary>Heavy clamped unit on the roof, such as an air conditioner.</summary>
    RoofUnit,

    /// <summary>Plate through which a flue passes.</summary>
    Flue,

    /// <summary>Glass bonded to the skin.</summary>
    BondedWindow,

    /// <summary>Hinged acrylic window in a clamp frame.</summary>
    HingedWindow,

    /// <summary>Window in a rubber gasket.</summary>
    GasketWindow,

    /// <summary>Grille in a side or in the floor.</summary>
    Grille,

    /// <summary>Hatch or ramp door; needs a framed opening.</summary>
    Hatch,
}

/// <summary>Screws round a flange: evenly spaced along each side, corners included in the sides along s.</summary>
/// <param name="AlongWidth">Screws along each side that runs along s, corners included.</param>
/// <param name="AlongHeight">Screws along each side that runs along t, between the corners.</param>
/// <param name="InsetMm">Distance of the screw line from the flange's edge, mm.</param>
/// <param name="PilotMm">Diameter of the pilot hole, mm.</param>
public sealed record FlangeScrews(
    [Within(2, 40, "The number of screws along the width, corners included,")] int AlongWidth,
    [Within(0, 40, "The number of screws along the height")] int AlongHeight,
    [Within(1, 200, "The screw line's distance from the edge", "mm")] double InsetMm,
    [Within(0.5, 20, "The pilot hole", "mm")] double PilotMm
);

/// <summary>Wall thicknesses that a clamped fitting can grip.</summary>
/// <param name="LeastMm">Thinnest, mm.</param>
/// <param name="MostMm">Thickest, mm.</param>
public sealed record ClampRange(
    [Within(0.5, 300, "The thinnest wall", "mm")] double LeastMm,
    [Within(0.5, 300, "The thickest wall", "mm")] double MostMm
);

/// <summary>What a bonded pane is made of.</summary>
public enum Pane
{
    /// <summary>Glass.</summary>
    Glass,

    /// <summary>Acrylic sheet.</summary>
    Acrylic,

    /// <summary>Polycarbonate sheet.</summary>
    Polycarbonate,
}

/// <summary>A screw of the fitting's table.</summary>
/// <param name="LengthMm">Length of the screw, mm.</param>
/// <param name="FromMm">Thinnest wall for it, mm.</param>
/// <param name="ToMm">Thickest wall for it, mm.</param>
public sealed record ScrewForWall(
    [Within(2, 300, "A screw", "mm")] double LengthMm,
    [Within(0, 300, "The thinnest wall of a screw", "mm")] double FromMm,
    [Within(0, 300, "The thickest wall of a screw", "mm")] double ToMm
);

/// <summary>How the two halves of a clamped fitting meet.</summary>
/// <param name="GapMm">Gap between the halves with full spacer lugs, mm; 0 where it has none.</param>
/// <param name="Lugs">Number of spacer lugs.</param>
/// <param name="GasketMm">Free height of the gasket, mm; 0 where it has none.</param>
/// <param name="Screws">Which screw for which wall; may be empty.</param>
/// <param name="InnerFrame">Outline of the frame inside; null where it has none.</param>
/// <param name="CornerScrewMm">How far in from its edges the inner frame is screwed to the wall at each corner, mm; null where it is not.</param>
/// <param name="ScrewPlaces">Where the screws that draw the halves together lie, from the middle of the cut-out, unturned; null where nobody measured
/// them: evenly round the frame, one a lug.</param>
public sealed record Halves(
    [Within(0, 300, "The gap between the halves", "mm")] double GapMm,
    [Within(0, 100, "The number of lugs")] int Lugs,
    [Within(0, 60, "The gasket's free height", "mm")] double GasketMm,
    [Count(0, 20, "A table has at most 20 screws.")] IReadOnlyList<ScrewForWall> Screws,
    RoundedRectangle? InnerFrame,
    [Within(1, 200, "The corner screws' distance from the inner frame's edge", "mm")] double? CornerScrewMm = null,
    [Count(0, 1000, "A frame has at most 64 screws.")] IReadOnlyList<PanelPoint>? ScrewPlaces = null
);

/// <summary>How a pane is bonded on.</summary>
/// <param name="Pane">What it is made of.</param>
/// <param name="LandMm">Width of the land that the bead wets, mm.</param>
public sealed record Bonded(Pane Pane, [Within(1, 300, "The land", "mm")] double LandMm);

/// <summary>What air passes.</summary>
/// <param name="FreeAreaMm2">Free area that cannot be shut, mm2.</param>
/// <param name="FlowM3h">What its fan moves, m3/h; 0 without one.</param>
public sealed record AirPassage(
    [Within(0, 1_000_000, "The free area", "mm2")] double FreeAreaMm2,
    [Within(0, 5000, "What the fan moves", "m3/h")] double FlowM3h
);

/// <summary>A thing that is fitted into an opening: all that placing and setting-out have to know of it, unturned.</summary>
/// <param name="Name">What people call it.</param>
/// <param name="Kind">What it is.</param>
/// <param name="CutOut">The hole that it asks for.</param>
/// <param name="ToleranceMinusMm">How much smaller than the cut-out the hole may be, mm in all.</param>
/// <param name="TolerancePlusMm">How much larger than the cut-out the hole may be, mm in all.</param>
/// <param name="Neck">The part of the frame that passes through the hole.</param>
/// <param name="Flange">The outer flange that lies on the skin.</param>
/// <param name="LeastLapMm">Least width of flange that must lie on the skin beside the hole, mm.</param>
/// <param name="Clearance">Distance that members must keep from the cut edge, mm.</param>
/// <param name="MassKg">Mass, kg.</param>
/// <param name="Vibrates">Whether it shakes in use.</param>
/// <param name="HingeSide">Side of the hinge of its lid; null without one.</param>
/// <param name="Sweep">How far the open lid reaches past the flange, mm.</param>
/// <param name="FlatnessMm">Unevenness under the flange that it takes as it is, mm.</param>
/// <param name="BeddingMostMm">Greatest depth that its bedding may fill, mm.</param>
/// <param name="Clamp">Wall thicknesses that it grips; null when it is not clamped.</param>
/// <param name="Screws">Screws through the flange; null when there are none.</param>
/// <param name="Halves">How the halves meet; null when it is not clamped, or not known.</param>
/// <param name="Bonded">How it is bonded on; null when it is not.</param>
/// <param name="Air">What air it passes; null for none.</param>
/// <param name="HeatMm">Distance that everything that burns keeps from its cut-out, mm; 0 when it does not get hot.</param>
/// <param name="NeedsPower">Whether a cable has to reach it.</param>
/// <param name="MouthMm">Distance that the mouth of a flue keeps from anything that opens or draws air, by the appliance's sheet, mm; null where
/// the sheet
/// does not say.</param>
public sealed record Fitting(
    [Name] string Name,
    FittingKind Kind,
    RoundedRectangle CutOut,
    [Within(0, 20, "How much smaller the hole may be", "mm")] double ToleranceMinusMm,
    [Within(0, 20, "How much larger the hole may be", "mm")] double TolerancePlusMm,
    RoundedRectangle Neck,
    RoundedRectangle Flange,
    [Within(0, 300, "The least lap", "mm")] double LeastLapMm,
    PerSide Clearance,
    [Within(0, 300, "The mass", "kg")] double MassKg,
    bool Vibrates,
    Side? HingeSide,
    PerSide Sweep,
    [Within(0, 50, "The unevenness that it takes", "mm")] double FlatnessMm,
    [Within(0, 100, "The greatest depth of bedding", "mm")] double BeddingMostMm,
    ClampRange? Clamp,
    FlangeScrews? Screws,
    Halves? Halves = null,
    Bonded? Bonded = null,
    AirPassage? Air = null,
    [Within(0, 2000, "The distance of what burns", "mm")] double HeatMm = 0,
    bool NeedsPower = false,
    [Within(0, 5000, "The distance of the flue's mouth", "mm")] double? MouthMm = null
)
{
    /// <summary>The fitting after quarter turns on its panel.</summary>
    /// <param name="turnDeg">0, 90, 180 or 270, anticlockwise with s to the right and t up.</param>
    public Fitting Turned(int turnDeg) =>
        turnDeg == 0
            ? this
            : this with
            {
                CutOut = CutOut.Turned(turnDeg),
                Neck = Neck.Turned(turnDeg),
                Flange = Flange.Turned(turnDeg),
                Clearance = Clearance.Turned(turnDeg),
                Sweep = Sweep.Turned(turnDeg),
                Halves = Halves is null
                    ? null
                    : Halves with
                    {
                        InnerFrame = Halves.InnerFrame?.Turned(turnDeg),
                        ScrewPlaces = Halves.ScrewPlaces is { } places ? [.. places.Select(p => TurnedPlace(p, turnDeg))] : null,
                    },
                HingeSide = HingeSide is { } side ? TurnedSide(side, turnDeg) : null,
                Screws =
                    Screws is { } s && turnDeg is 90 or 270
                        ? Screws! with
                        {
                            AlongWidth = Screws.AlongHeight + 2,
                            AlongHeight = Screws.AlongWidth - 2,
                        }
                        : Screws,
            };

    private static PanelPoint TurnedPlace(PanelPoint p, int turnDeg) =>
        turnDeg switch
        {
            90 => new PanelPoint(-p.TMm, p.SMm),
            180 => new PanelPoint(-p.SMm, -p.TMm),
            _ => new PanelPoint(p.TMm, -p.SMm),
        };

    private static Side TurnedSide(Side side, int turnDeg)
    {
        Side[] anticlockwise = [Side.Rear, Side.Top, Side.Front, Side.Bottom];
        return anticlockwise[(Array.IndexOf(anticlockwise, side) + (turnDeg / 90)) % 4];
    }
}
