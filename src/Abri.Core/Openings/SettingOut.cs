using Abri.Core.Declared;
using Abri.Core.Geometry;
using Abri.Core.Shell;

namespace Abri.Core.Openings;

/// <summary>How a line is drawn on the metal.</summary>
/// <param name="View">From which side the metal is marked.</param>
/// <param name="MarkerOffsetMm">How far a pencil line lies from the straight-edge, mm.</param>
/// <param name="StartHoleMm">Diameter of the drill for start holes, mm.</param>
/// <param name="CutSize">The school of cutting.</param>
public sealed record Marking(
    ViewedFrom View,
    [Within(0, 20, "The pencil's offset", "mm")] double MarkerOffsetMm,
    [Within(3, 100, "A start hole", "mm")] double StartHoleMm,
    CutSize CutSize
);

/// <summary>One cut line and how to find it from an edge.</summary>
/// <param name="Side">Which side of the cut-out.</param>
/// <param name="From">One end: the lower, or the front one.</param>
/// <param name="To">The other end.</param>
/// <param name="Datum">The edge to hook the tape on.</param>
/// <param name="DatumFrom">Place on the datum opposite <paramref name="From"/>.</param>
/// <param name="DatumTo">Place on the datum opposite <paramref name="To"/>.</param>
/// <param name="TapeFromMm">What the tape reads from the datum to the line at <paramref name="From"/>, along the skin, mm.</param>
/// <param name="TapeToMm">The same at <paramref name="To"/>, mm.</param>
/// <param name="SetFromMm">Where the straight-edge is set at <paramref name="From"/>, pencil offset included, mm.</param>
/// <param name="SetToMm">The same at <paramref name="To"/>, mm.</param>
public sealed record CutLine(
    Side Side,
    PanelPoint From,
    PanelPoint To,
    string Datum,
    PanelPoint DatumFrom,
    PanelPoint DatumTo,
    double TapeFromMm,
    double TapeToMm,
    double SetFromMm,
    double SetToMm
);

/// <summary>A centre line and its distance from the edges on both sides.</summary>
/// <param name="From">One end.</param>
/// <param name="To">The other end.</param>
/// <param name="LowDatum">The edge in front, or at the lower side.</param>
/// <param name="LowMm">Tape reading from there to the line, mm.</param>
/// <param name="HighDatum">The edge behind, or at the upper side.</param>
/// <param name="HighMm">Tape reading from there to the line, mm.</param>
/// <param name="HalfMm">From the line to either cut line: half of the cut-out, mm.</param>
public sealed record CentreLine(PanelPoint From, PanelPoint To, string LowDatum, double LowMm, string HighDatum, double HighMm, double HalfMm);

/// <summary>A hole to drill.</summary>
/// <param name="Centre">Where.</param>
/// <param name="DiameterMm">How wide, mm.</param>
/// <param name="Drill">The drill, as it is written on its shank: in inches in 64ths, with millimetres beside.</param>
public sealed record DrilledHole(PanelPoint Centre, double DiameterMm, string Drill);

/// <summary>What is marked on the metal, seen from one side.</summary>
/// <param name="View">From which side.</param>
/// <param name="CutOut">The cut-out.</param>
/// <param name="Centre">Its centre.</param>
/// <param name="CutLines">Its four lines.</param>
/// <param name="AlongLine">Centre line along the vehicle.</param>
/// <param name="AcrossLine">Centre line across it.</param>
/// <param name="CornerCentres">Centres of the corner radii.</param>
/// <param name="StartHoles">Start holes for the blade, inside the corners.</param>
/// <param name="ThroughHoles">Small holes that carry the position to the other side.</param>
/// <param name="ScrewHoles">Pilot holes of the flange screws.</param>
/// <param name="LinesWidthMm">Distance along the skin between the front and rear line, mm: more than the cut-out's own width where the skin is curved
/// along.</param>
/// <param name="LinesHeightMm">The same between the upper and lower line, mm.</param>
/// <param name="DiagonalMm">Both diagonals between the crossings of the cut lines, along the skin, mm.</param>
/// <param name="ArcDiagonalMm">Both diagonals from corner arc to corner arc, straight through the hole, mm: what is measured once it is cut.</param>
/// <param name="ThroughDiagonalMm">Both diagonals between through-holes, along the skin, mm.</param>
/// <param name="PerimeterMm">Length of the cut edge, mm.</param>
/// <param name="CutPath">Where the blade goes.</param>
/// <param name="Order">What to do, in order.</param>
/// <param name="Trims">Where inner ribs are cut back; empty where none stands in the way.</param>
public sealed record SettingOutSheet(
    ViewedFrom View,
    RoundedRectangle CutOut,
    PanelPoint Centre,
    IReadOnlyList<CutLine> CutLines,
    CentreLine AlongLine,
    CentreLine AcrossLine,
    IReadOnlyList<PanelPoint> CornerCentres,
    IReadOnlyList<DrilledHole> StartHoles,
    IReadOnlyList<DrilledHole> ThroughHoles,
    IReadOnlyList<DrilledHole> ScrewHoles,
    double LinesWidthMm,
    double LinesHeightMm,
    double DiagonalMm,
    double ArcDiagonalMm,
    double ThroughDiagonalMm,
    double PerimeterMm,
    CutPath CutPath,
    IReadOnlyList<string> Order,
    IReadOnlyList<RibTrim> Trims
);

/// <summary>
/// Works out what a person marks on the metal: datums a tape can hook, the distances to set, holes, diagonals, the blade's path.
/// </summary>
/// <remarks>
/// Inside, the tape hooks on ribs and rails; outside, on seams, gutters and the panel's edge. Where an edge is not parallel to the cut
/// line the reading differs from end to end, and both are given. On a curved panel the tape follows the skin and reads more than the
/// plan shows. A pencil held against a straight-edge draws its line an offset nearer to the datum, so the straight-edge is set that
/// much further out: 41.3 for a wanted 38.1 mm (common practice, no source: 1/8 inch).
/// Start holes touch the blade's path in each corner from inside; through-holes stand on the centres of the corner arcs, or at least 15 mm inside
/// both lines; in a round hole 15 mm inside its arcs.
/// </remarks>
public static class SettingOut
{
    /// <summary>Least distance of a through-hole from the cut lines, mm: assumption.</summary>
    private const double ThroughInsideMm = 15;

    /// <summary>Diameter of through-holes, mm: assumption, a common small drill.</summary>
    private const double ThroughMm = 3;

    /// <summary>From how much the template is said to be out on a skin that is curved both ways, mm: assumption.</summary>
    private const double TemplateOffMm = 0.5;

    /// <summary>The frame's middle in its own plane.</summary>
    private static readonly PanelPoint Origin = new(0, 0);

    /// <summary>Works out the sheet for a place.</summary>
    public static Result<Worked<SettingOutSheet>> Of(Site site, PanelPoint centre, Marking marking)
    {
        if (!Ground.Of(site).IsOk(out Ground? ground, out Problem? problem))
            return problem;
        if (marking.StartHoleMm > Math.Min(site.Fitting.CutOut.WidthMm, site.Fitting.CutOut.HeightMm) / 2)
            return new Problem("start-hole-too-large", "/marking/startHoleMm", "A start hole may be at most half as wide as the cut-out.");

        var sheet = new Worksheet();
        Fitting fitting = ground.Fitting;
        RoundedRectangle cutOut = fitting.CutOut;
        if (!FrameOnSkin.Of(site.Panel, centre, fitting.Flange).IsOk(out FrameOnSkin? skin, out problem))
            return problem;
        CutLine[] lines = [.. Enum.GetValues<Side>().Select(side => Line(side, cutOut, skin, ground, marking, sheet))];
        var path = CutPath.For(fitting, marking.CutSize, marking.StartHoleMm, ground.Lengths);
        RoundedRectangle through = Through(cutOut);
        DrilledHole On(PanelPoint p, double diameterMm) => new(skin.PlaceOf(p.SMm, p.TMm), diameterMm, ground.Lengths.Drill(diameterMm));

        (double width, double height) = OnSkin(skin, cutOut, sheet);
        double diagonal = sheet.Step(
            "d",
            "diagonal between the crossings of the lines, along the skin",
            "sqrt(w_skin^2 + h_skin^2)",
            Diagonal(width, height),
            "mm"
        );
        double arcDiagonal = sheet.Step(
            "d_arc",
            "diagonal from corner arc to corner arc, straight through the hole",
            "sqrt(w^2 + h^2) - 2 r (sqrt(2) - 1)",
            cutOut.DiagonalMm - (2 * cutOut.CornerLossMm),
            "mm"
        );
        double throughDiagonal = skin.Developed(skin.PlaceOf(-through.WidthMm / 2, -through.HeightMm / 2))
            .DistanceMm(skin.Developed(skin.PlaceOf(through.WidthMm / 2, through.HeightMm / 2)));
        double perimeter = sheet.Step("p", "length of the cut edge", "2 (w + h) - (8 - 2 pi) r", cutOut.PerimeterMm, "mm");
        sheet.Cite(new Source("Rounded rectangle, circle and arc length", SourceKind.Geometry));
        sheet.Cite(
            new Source(
                "Pencil line 1/8 inch off the straight-edge; cut 1.5 mm outside the line when cutting with clearance",
                SourceKind.CommonPractice
            )
        );
        double more = Math.Min(path.MostHole.WidthMm - cutOut.WidthMm, path.MostHole.HeightMm - cutOut.HeightMm);
        if (marking.CutSize == CutSize.WithClearance && 2 * path.OffsetMm > more)
            sheet.Warn(
                $"Cutting {ground.Lengths.Text(path.OffsetMm)} outside the line makes the hole "
                    + $"{ground.Lengths.Text(2 * path.OffsetMm)} larger; this fitting allows {ground.Lengths.Text(more)}. Cut on "
                    + "the waste side instead."
            );

        WarnOfSkin(site.Panel, skin, cutOut, ground.Lengths, sheet);

        (CentreLine along, CentreLine across) = CentreLines(skin, centre, (width, height), lines);
        return sheet.Finish(
            new SettingOutSheet(
                marking.View,
                cutOut,
                centre,
                lines,
                along,
                across,
                [.. cutOut.CornerCentresAt(Origin).Select(c => skin.PlaceOf(c.SMm, c.TMm))],
                [.. StartHoles(path).Select(c => On(c, path.StartHoleMm))],
                [.. through.BoxAt(Origin).Corners.Select(c => On(c, ThroughMm))],
                [.. ScrewHoles(fitting).Select(c => On(c, fitting.Screws!.PilotMm))],
                width,
                height,
                diagonal,
                arcDiagonal,
                throughDiagonal,
                perimeter,
                path,
                Order(marking, ground, throughDiagonal),
                RibTrim.Of(ground, skin)
            )
        );
    }

    private static double Diagonal(double widthMm, double heightMm) => Math.Sqrt((widthMm * widthMm) + (heightMm * heightMm));

    /// <summary>How far the opposite lines lie apart along the skin.</summary>
    private static (double WidthMm, double HeightMm) OnSkin(FrameOnSkin skin, RoundedRectangle cutOut, Worksheet sheet)
    {
        double Apart(double x, double y) => skin.Developed(skin.PlaceOf(-x, -y)).DistanceMm(skin.Developed(skin.PlaceOf(x, y)));
        return (
            sheet.Step(
                "w_skin",
                "from the front line to the rear one, along the skin",
                "2 R asin(w / (2 R)), w where it is flat",
                Apart(cutOut.WidthMm / 2, 0),
                "mm"
            ),
            sheet.Step(
                "h_skin",
                "from the lower line to the upper one, along the skin",
                "2 R asin(h / (2 R)), h where it is flat",
                Apart(0, cutOut.HeightMm / 2),
                "mm"
            )
        );
    }

    /// <summary>Where the flat template and the tape leave what the model of the skin carries.</summary>
    private static void WarnOfSkin(Panel panel, FrameOnSkin skin, RoundedRectangle cutOut, LengthFormat lengths, Worksheet sheet)
    {
        if (panel is { Surface: SurfaceSource.Measured, Sections.Count: > 0 })
            sheet.Warn(
                "Tape readings follow the panel's radius; the sections that were measured on it are not in them. Check one reading "
                    + "on the skin before you cut."
            );
        if (!skin.CurvedBothWays)
            return;
        PanelPoint[] corners = skin.CornersOf(cutOut.WidthMm, cutOut.HeightMm);
        double off = corners
            .SelectMany((a, i) => corners.Skip(i + 1).Select(b => Math.Abs(skin.Developed(a).DistanceMm(skin.Developed(b)) - skin.AlongMm(a, b))))
            .Max();
        if (off >= TemplateOffMm)
            sheet.Warn(
                "This skin is curved both ways: no flat sheet lies on it everywhere. Between the corners the template is up to "
                    + $"{lengths.Amount(off)} out. Trust the tape, and offer the frame up."
            );
    }

    /// <summary>
    /// The rectangle on whose corners through-holes stand: on the centres of the corner arcs, or, where these fall together or nearly, as in a round
    /// or slotted hole, on the
    /// diagonals of the corners, <see cref="ThroughInsideMm"/> inside the arc.
    /// </summary>
    private static RoundedRectangle Through(RoundedRectangle cutOut)
    {
        double inside = Math.Min(ThroughInsideMm, Math.Min(cutOut.WidthMm, cutOut.HeightMm) / 4),
            r = cutOut.CornerRadiusMm;
        RoundedRectangle centres = cutOut.Grown(-Math.Max(r, inside));
        return Math.Min(centres.WidthMm, centres.HeightMm) >= 2 * ThroughInsideMm
            ? centres
            : cutOut.Grown(-(r > inside ? r - ((r - inside) / Math.Sqrt(2)) : inside));
    }

    private static CutLine Line(Side side, RoundedRectangle cutOut, FrameOnSkin skin, Ground ground, Marking marking, Worksheet sheet)
    {
        bool along = side is Side.Front or Side.Rear;
        double x = cutOut.WidthMm / 2,
            y = cutOut.HeightMm / 2;
        (PanelPoint low, PanelPoint high) = side switch
        {
            Side.Front => (skin.PlaceOf(-x, -y), skin.PlaceOf(-x, y)),
            Side.Rear => (skin.PlaceOf(x, -y), skin.PlaceOf(x, y)),
            Side.Top => (skin.PlaceOf(-x, y), skin.PlaceOf(x, y)),
            _ => (skin.PlaceOf(-x, -y), skin.PlaceOf(x, -y)),
        };
        var datum = Datum.On(side, low, high, ground, marking.View);
        PanelPoint At(double across, PanelPoint end) => along ? new PanelPoint(across, end.TMm) : new PanelPoint(end.SMm, across);
        double Tape(double from, PanelPoint end) => skin.TapeMm(along, from, along ? end.SMm : end.TMm);

        double first = Tape(datum.FirstMm, low),
            second = Tape(datum.SecondMm, high);
        string name = side.ToString().ToLowerInvariant();
        sheet.Step(
            $"m_{name}",
            $"tape from {datum.Name} to the {name} line",
            Curve(ground.Site.Panel, along) ? "R (asin(b/R) - asin(a/R)), along the skin" : "line - datum",
            first,
            "mm"
        );
        sheet.Step($"e_{name}", "straight-edge set at", $"m_{name} + pencil offset", first + marking.MarkerOffsetMm, "mm");
        return new CutLine(
            side,
            low,
            high,
            datum.Name,
            At(datum.FirstMm, low),
            At(datum.SecondMm, high),
            first,
            second,
            first + marking.MarkerOffsetMm,
            second + marking.MarkerOffsetMm
        );
    }

    private static bool Curve(Panel panel, bool along) => (along ? panel.ArcRadiusAlongMm : panel.ArcRadiusAcrossMm) is not null;

    private static (CentreLine Along, CentreLine Across) CentreLines(
        FrameOnSkin skin,
        PanelPoint c,
        (double WidthMm, double HeightMm) apart,
        CutLine[] lines
    )
    {
        CutLine front = lines[(int)Side.Front],
            rear = lines[(int)Side.Rear],
            top = lines[(int)Side.Top],
            bottom = lines[(int)Side.Bottom];
        double frontMm = skin.TapeMm(true, Middle(front.DatumFrom.SMm, front.DatumTo.SMm), c.SMm),
            rearMm = skin.TapeMm(true, Middle(rear.DatumFrom.SMm, rear.DatumTo.SMm), c.SMm);
        double topMm = skin.TapeMm(false, Middle(top.DatumFrom.TMm, top.DatumTo.TMm), c.TMm),
            bottomMm = skin.TapeMm(false, Middle(bottom.DatumFrom.TMm, bottom.DatumTo.TMm), c.TMm);
        return (
            new CentreLine(
                new PanelPoint(Middle(front.From.SMm, front.To.SMm), c.TMm),
                new PanelPoint(Middle(rear.From.SMm, rear.To.SMm), c.TMm),
                bottom.Datum,
                bottomMm,
                top.Datum,
                topMm,
                apart.HeightMm / 2
            ),
            new CentreLine(
                new PanelPoint(c.SMm, Middle(bottom.From.TMm, bottom.To.TMm)),
                new PanelPoint(c.SMm, Middle(top.From.TMm, top.To.TMm)),
                front.Datum,
                frontMm,
                rear.Datum,
                rearMm,
                apart.WidthMm / 2
            )
        );
    }

    private static double Middle(double a, double b) => (a + b) / 2;

    /// <summary>Middles of holes that touch the path in each corner from inside: both straight lines, or the arc where the hole is smaller than
    /// it.</summary>
    private static PanelPoint[] StartHoles(CutPath path)
    {
        double hole = path.StartHoleMm / 2,
            corner = path.Path.CornerRadiusMm;
        double inset = hole >= corner ? hole : corner - ((corner - hole) / Math.Sqrt(2));
        return path.Path.BoxAt(Origin).Grown(-inset).Corners;
    }

    private static IEnumerable<PanelPoint> ScrewHoles(Fitting fitting)
    {
        if (fitting.Screws is not { } screws)
            yield break;
        PanelBox line = fitting.Flange.BoxAt(Origin).Grown(-screws.InsetMm);
        for (int i = 0; i < screws.AlongWidth; i++)
        {
            double s = line.SMinMm + (line.WidthMm * i / Math.Max(1, screws.AlongWidth - 1));
            yield return new PanelPoint(s, line.TMinMm);
            yield return new PanelPoint(s, line.TMaxMm);
        }
        for (int i = 1; i <= screws.AlongHeight; i++)
        {
            double t = line.TMinMm + (line.HeightMm * i / (screws.AlongHeight + 1));
            yield return new PanelPoint(line.SMinMm, t);
            yield return new PanelPoint(line.SMaxMm, t);
        }
    }

    private static string[] Order(Marking marking, Ground ground, double throughDiagonalMm) =>
        marking.View == ViewedFrom.Inside
            ?
            [
                "Mark from inside first: only there can the tape hook on the ribs.",
                "Draw both centre lines, then the four cut lines; set the straight-edge at the figure given, which includes the pencil's offset.",
                "Measure both diagonals. They must agree before anything is drilled.",
                $"Drill the {ground.Lengths.Drill(ThroughMm)} through-holes square to the skin, in the corners of the waste.",
                "Go on from outside: the through-holes carry the position.",
            ]
            :
            [
                "Join the through-holes with a straight-edge and check their diagonals: " + ground.Lengths.Text(throughDiagonalMm) + " both ways.",
                "Tape the template over them, FRONT to the front, or draw the lines parallel to the holes.",
                "Check the distances from the edges of the panel against this sheet before the first cut.",
                "Drill the start holes, cut, then measure the hole and enter it.",
            ];
}
