using Abri.Core.Declared;
using Abri.Core.Geometry;

namespace Abri.Core.Metal;

/// <summary>What a row of rivets has to do.</summary>
public enum RivetDuty
{
    /// <summary>Hold.</summary>
    Hold,

    /// <summary>Hold, and press a sealant together.</summary>
    Seal,

    /// <summary>Hold until an adhesive does.</summary>
    WithAdhesive,
}

/// <summary>A row of rivets round a patch.</summary>
/// <param name="PatchMm">The patch, mm.</param>
/// <param name="EdgeMm">From the patch's edge to the row, mm; null for the least that holds.</param>
/// <param name="SheetsMm">Thickness of each sheet that is riveted together, mm.</param>
/// <param name="SealantMm">Sealant or adhesive between them when pressed, mm.</param>
/// <param name="Duty">What the row has to do.</param>
public sealed record RivetRow(
    RoundedRectangle PatchMm,
    [Within(3, 200, "The edge distance", "mm")] double? EdgeMm,
    [Count(2, 4, "Two to four sheets are riveted together."), EachWithin(0.3, 6, "A sheet", "mm")] IReadOnlyList<double> SheetsMm,
    [Within(0, 5, "The sealant", "mm")] double SealantMm,
    RivetDuty Duty
);

/// <summary>Which rivets, and where.</summary>
/// <param name="DiameterMm">Diameter, mm.</param>
/// <param name="HoleMm">Hole to drill, mm.</param>
/// <param name="GripMm">What is clamped, mm.</param>
/// <param name="BodyMm">Length of the body, mm; null where none is long enough.</param>
/// <param name="EdgeMm">From the patch's edge to the row, mm.</param>
/// <param name="PitchMm">Greatest distance along a side, mm.</param>
/// <param name="Places">Where, from the patch's middle: along to the right, across upwards; once round from the lower left corner.</param>
/// <param name="Count">How many.</param>
/// <param name="Buy">With one in ten to spare.</param>
/// <param name="Verdict">The same in a sentence.</param>
public sealed record RivetPlan(
    double DiameterMm,
    double HoleMm,
    double GripMm,
    double? BodyMm,
    double EdgeMm,
    double PitchMm,
    IReadOnlyList<PanelPoint> Places,
    int Count,
    int Buy,
    string Verdict
);

/// <summary>A blind rivet.</summary>
/// <param name="DiameterMm">Diameter, mm.</param>
/// <param name="HoleMm">Hole to drill, mm.</param>
/// <param name="GripMm">What it clamps, mm.</param>
/// <param name="BodyMm">Length of the body, mm; null where none is long enough.</param>
public sealed record RivetSize(double DiameterMm, double HoleMm, double GripMm, double? BodyMm);

/// <summary>Chooses blind rivets and sets them out round a patch: one in each corner, equal distances between.</summary>
/// <remarks>
/// Diameter about three times the thickest sheet and never under 3.2 mm; edge distance at least 2 d; distance at least 3 d, at most 25 mm where a
/// sealant is pressed, 40 mm beside an adhesive: common practice. Holes 0.1 mm larger than the rivet. A body reaches a grip of its length less
/// 1.1 d: about what the tables of the ISO 15977 family allow, from memory.
/// </remarks>
/// <example>Two sheets of 1.0 mm with 1 mm of sealant: 3.2 mm rivets, 8 mm long.</example>
public static class Rivets
{
    private static readonly (double Diameter, double Hole)[] Sizes = [(3.2, 3.3), (4.0, 4.1), (4.8, 4.9), (6.4, 6.5)];
    private static readonly double[] Bodies = [6, 8, 10, 12, 14, 16, 18, 20, 25, 30];

    /// <summary>What a body needs beyond its grip, in diameters.</summary>
    public const double HeadDiameters = 1.1;

    /// <summary>Greatest distance where a sealant is pressed, mm.</summary>
    public const double SealPitchMm = 25;

    /// <summary>Greatest distance beside an adhesive, and where a row only holds, mm.</summary>
    public const double HoldPitchMm = 40;

    /// <summary>The row.</summary>
    /// <param name="row">What is riveted.</param>
    /// <param name="lengths">How lengths are written in sentences.</param>
    public static Result<Worked<RivetPlan>> Of(RivetRow row, LengthFormat lengths)
    {
        var sheet = new Worksheet();
        if (!Chosen(row.SheetsMm, row.SealantMm, sheet, lengths).IsOk(out RivetSize? size, out Problem? tooThick))
            return tooThick with { Pointer = "/row/sheetsMm" };
        (double d, double hole, double grip, double? body) = size;
        double least = sheet.Step("e", "least edge distance", "2 d", 2 * d, "mm");
        double edge = row.EdgeMm ?? least;
        if (edge < least - 1e-9)
            return new Problem(
                "edge-too-small",
                "/row/edgeMm",
                $"A rivet of {lengths.Text(d)} wants {lengths.Text(least)} to the edge, or it tears out."
            );
        double along = row.PatchMm.WidthMm - (2 * edge),
            across = row.PatchMm.HeightMm - (2 * edge);
        if (Math.Min(along, across) < (3 * d) - 1e-9)
            return new Problem(
                "patch-too-small",
                "/row/patchMm",
                $"Rows nearer than {lengths.Text(3 * d)} tear the sheet between them: the patch has to be larger."
            );
        double pitch = MostPitchMm(row.Duty);
        int n = Gaps(along, pitch, d),
            m = Gaps(across, pitch, d);
        sheet.Step("n_s", "distances along", "least number that keeps the greatest distance", n, "count");
        sheet.Step("n_t", "distances across", "the same", m, "count");
        PanelPoint[] places = [.. Round(along / 2, across / 2, n, m)];
        int buy = WithSpare(places.Length);
        sheet.Step("N", "rivets", "2 (n_s + n_t)", places.Length, "count");
        sheet.Cite(new Source("Rivet of 3 t, edge 2 d, distance 3 d to 25 or 40 mm", SourceKind.CommonPractice));
        sheet.Cite(new Source("Holes 0.1 mm over; body by grip: about ISO 15977", SourceKind.FromMemory));
        double round = row.PatchMm.CornerRadiusMm,
            inCorner = round > edge ? round - (Math.Sqrt(2) * (round - edge)) : edge;
        if (inCorner < least - 1e-9)
            sheet.Warn(
                $"The corners are so round that their rivets lie {lengths.Text(inCorner)} from the edge: set them in by hand, "
                    + $"{lengths.Text(least)} from it."
            );
        return sheet.Finish(
            new RivetPlan(
                d,
                hole,
                grip,
                body,
                edge,
                Math.Max(along / n, across / m),
                places,
                places.Length,
                buy,
                $"{places.Length} rivets of {lengths.Text(d)}"
                    + (body is { } b ? $" x {lengths.Text(b)}" : ", none of which is long enough: fewer sheets or bolts")
                    + $", holes {lengths.Drill(hole)}, {lengths.Text(edge)} from the edge, {lengths.Text(along / n)} apart along "
                    + $"and {lengths.Text(across / m)} across. Buy {buy}."
            )
        );
    }

    /// <summary>The rivet for sheets, or that none holds them.</summary>
    internal static Result<RivetSize> Chosen(IReadOnlyList<double> sheetsMm, double sealantMm, Worksheet sheet, LengthFormat lengths)
    {
        double thickest = sheet.Step("t", "thickest sheet", "largest of them", sheetsMm.Max(), "mm");
        if (thickest * 3 > Sizes[^1].Diameter + 1.6)
        {
            return new Problem(
                "sheet-too-thick",
                "",
                $"Blind rivets hold sheet up to about {lengths.Text((Sizes[^1].Diameter + 1.6) / 3)}: use bolts with washers, or have it welded."
            );
        }
        (double d, double hole) = SizeFor(thickest);
        sheet.Step("d", "diameter", "size nearest to 3 t, at least 3.2", d, "mm");
        double grip = sheet.Step("g", "grip", "sheets + sealant", sheetsMm.Sum() + sealantMm, "mm");
        sheet.Step("b", "least body", $"g + {HeadDiameters} d", grip + (HeadDiameters * d), "mm");
        return new RivetSize(d, hole, grip, BodyFor(d, grip));
    }

    /// <summary>Widest hole that a rivet fills, mm.</summary>
    internal static double WidestHoleMm => Sizes[^1].Hole;

    /// <summary>The smallest rivet that fills a hole which is there already, or null: the next size up is the rescue.</summary>
    internal static RivetSize? Filling(double holeMm, double gripMm) =>
        Sizes
            .Where(s => s.Hole >= holeMm - 1e-9)
            .Select(s => new RivetSize(s.Diameter, s.Hole, gripMm, BodyFor(s.Diameter, gripMm)))
            .FirstOrDefault();

    private static double? BodyFor(double diameterMm, double gripMm) =>
        Bodies.Where(b => b >= gripMm + (HeadDiameters * diameterMm) - 1e-9).Select(b => (double?)b).FirstOrDefault();

    /// <summary>Greatest distance from one to the next, mm.</summary>
    internal static double MostPitchMm(RivetDuty duty) => duty == RivetDuty.Seal ? SealPitchMm : HoldPitchMm;

    /// <summary>With one in ten to spare.</summary>
    internal static int WithSpare(int count) => (int)Math.Ceiling((count * 1.1) - 1e-9);

    /// <summary>Least lap of two sheets: an edge distance to either edge, mm.</summary>
    /// <param name="thickestMm">Thickest sheet, mm.</param>
    internal static double LeastLapMm(double thickestMm) => 4 * SizeFor(thickestMm).Diameter;

    private static (double Diameter, double Hole) SizeFor(double thickestMm) => Sizes.MinBy(s => Math.Abs(s.Diameter - (3 * thickestMm)));

    /// <summary>Into how many equal distances a side is parted: as few as the greatest distance allows, none nearer than 3 d.</summary>
    internal static int Gaps(double lengthMm, double pitchMm, double diameterMm) =>
        Math.Max(1, Math.Min((int)Math.Ceiling((lengthMm / pitchMm) - 1e-9), (int)Math.Floor((lengthMm / (3 * diameterMm)) + 1e-9)));

    private static IEnumerable<PanelPoint> Round(double s, double t, int n, int m)
    {
        for (int i = 0; i < n; i++)
            yield return new PanelPoint(-s + (2 * s * i / n), -t);
        for (int i = 0; i < m; i++)
            yield return new PanelPoint(s, -t + (2 * t * i / m));
        for (int i = 0; i < n; i++)
            yield return new PanelPoint(s - (2 * s * i / n), t);
        for (int i = 0; i < m; i++)
            yield return new PanelPoint(-s, t - (2 * t * i / m));
    }
}
