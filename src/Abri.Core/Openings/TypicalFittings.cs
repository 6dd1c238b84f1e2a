using Abri.Core.Geometry;

namespace Abri.Core.Openings;

/// <summary>Fittings as they typically are, one a kind, to begin with: invented and generic. Every figure is an assumption until somebody types what the sheet of the part says.</summary>
public static class TypicalFittings
{
    /// <summary>One fitting of each kind.</summary>
    public static IReadOnlyList<Fitting> All { get; } =
    [
        new Fitting(
            "400 roof vent", FittingKind.RoofVent, new RoundedRectangle(400, 400, 20), 1, 4, new RoundedRectangle(396, 396, 18), new RoundedRectangle(490, 490, 30), 25,
            PerSide.All(38), 4.5, false, Side.Front, new PerSide(0, 120, 0, 0), 1, 12, null, new FlangeScrews(5, 3, 12, 2.5),
            Air: new AirPassage(4000, 160), NeedsPower: true),
        new Fitting(
            "Skylight 700 x 500", FittingKind.RoofSkylight, new RoundedRectangle(700, 500, 60), 1, 3, new RoundedRectangle(697, 497, 58), new RoundedRectangle(800, 600, 90), 30,
            new PerSide(20, 20, 25, 25), 11, false, Side.Top, new PerSide(0, 0, 0, 260), 1, 8, new ClampRange(25, 60), null,
            new Halves(60, 10, 8, [new ScrewForWall(35, 25, 42), new ScrewForWall(50, 42, 60)], new RoundedRectangle(770, 570, 80)), Air: new AirPassage(6000, 0)),
        new Fitting(
            "Flue plate 150", FittingKind.Flue, new RoundedRectangle(150, 150, 75), 1, 4, new RoundedRectangle(146, 146, 73), new RoundedRectangle(260, 260, 20), 40,
            PerSide.All(60), 2.2, false, null, PerSide.All(0), 2, 10, null, new FlangeScrews(4, 2, 14, 2.5), HeatMm: 150),
        new Fitting(
            "Hinged window 1100 x 450", FittingKind.HingedWindow, new RoundedRectangle(1100, 450, 80), 1, 3, new RoundedRectangle(1096, 446, 78), new RoundedRectangle(1160, 510, 110), 20,
            new PerSide(76, 76, 38, 38), 12, false, Side.Top, new PerSide(0, 0, 0, 60), 2, 6, new ClampRange(26, 42), null,
            new Halves(42, 16, 6, [new ScrewForWall(14, 26, 32), new ScrewForWall(20, 32, 42)], new RoundedRectangle(1150, 500, 105), 12)),
        new Fitting(
            "Bonded glass 800 x 460", FittingKind.BondedWindow, new RoundedRectangle(800, 460, 60), 2, 4, new RoundedRectangle(790, 450, 55), new RoundedRectangle(860, 520, 85), 25,
            PerSide.All(20), 9, false, null, PerSide.All(0), 3, 5, null, null, Bonded: new Bonded(Pane.Glass, 18)),
        new Fitting(
            "Side grille 200 x 120", FittingKind.Grille, new RoundedRectangle(200, 120, 10), 1, 3, new RoundedRectangle(197, 117, 9), new RoundedRectangle(240, 160, 15), 15,
            PerSide.All(15), 0.4, false, null, PerSide.All(0), 2, 4, null, new FlangeScrews(3, 1, 8, 2.5), Air: new AirPassage(9000, 0)),
        new Fitting(
            "Roof unit 400 x 400", FittingKind.RoofUnit, new RoundedRectangle(400, 400, 20), 1, 4, new RoundedRectangle(392, 392, 18), new RoundedRectangle(760, 640, 60), 40,
            PerSide.All(40), 32, true, Side.Front, PerSide.All(0), 2, 8, new ClampRange(25, 70), null,
            new Halves(70, 4, 14, [new ScrewForWall(80, 25, 45), new ScrewForWall(100, 45, 70)], new RoundedRectangle(520, 520, 30)), NeedsPower: true),
        new Fitting(
            "Gasket window 800 x 400", FittingKind.GasketWindow, new RoundedRectangle(800, 400, 60), 2, 2, new RoundedRectangle(788, 388, 54), new RoundedRectangle(836, 436, 78), 15,
            PerSide.All(25), 6, false, null, PerSide.All(0), 3, 2, null, null),
        new Fitting(
            "Hatch 900 x 400", FittingKind.Hatch, new RoundedRectangle(900, 400, 20), 2, 4, new RoundedRectangle(890, 390, 15), new RoundedRectangle(980, 480, 25), 30,
            PerSide.All(10), 8, false, Side.Top, new PerSide(0, 0, 0, 380), 3, 6, null, null),
    ];

    /// <summary>The typical fitting of a kind: its parts are those that the kind has.</summary>
    public static Fitting Of(FittingKind kind) => All.Single(f => f.Kind == kind);
}
