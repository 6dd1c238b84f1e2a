using Abri.Core.Geometry;
using Abri.Core.Openings.Seating;
using Abri.Core.Shell;
using Abri.Core.Work;

namespace Abri.Core.Openings.Rules;

/// <summary>
/// Finds the headers that carry a secondary rib that is cut (school B): which neighbours they land on and how long they are.
/// </summary>
/// <remarks>
/// A rib that runs across the vehicle is carried by two headers along it, one at each end of the gap, which span from the next member
/// in front to the next behind; a rib that runs along the vehicle, by headers across. The length is the clear distance between those two members;
/// what lands on them comes on top. Members that the opening cuts too cannot carry anything.
/// </remarks>
internal static class HeaderFor
{
    /// <summary>The row that asks for the headers, or null when there is no neighbour on one side.</summary>
    public static Judgement? Row(Placed placed, Obstacle rib, Worksheet sheet)
    {
        bool across = rib.Box.HeightMm >= rib.Box.WidthMm;
        if (Between(placed.Ground, placed.Cut, rib) is not var (first, second, length))
            return null;
        sheet.Step(
            "l_header",
            $"header between {first.Member.Name} and {second.Member.Name}",
            "near edge of one - near edge of the other",
            length,
            "mm"
        );
        sheet.Cite(new Source("A cut secondary rib is carried by headers to its neighbours (school B)", SourceKind.CommonPractice));
        PanelBox cut = placed.Cut;
        Mark[] headers = across
            ? [Line(first.Box.SMaxMm, cut.TMaxMm, second.Box.SMinMm, cut.TMaxMm), Line(first.Box.SMaxMm, cut.TMinMm, second.Box.SMinMm, cut.TMinMm)]
            : [Line(cut.SMinMm, first.Box.TMaxMm, cut.SMinMm, second.Box.TMinMm), Line(cut.SMaxMm, first.Box.TMaxMm, cut.SMaxMm, second.Box.TMinMm)];
        Mark[] where = [new Mark(rib.Outline, true), .. headers];
        if (!HeaderSize.Of(length, InnerFrame.MaterialFor(placed.Fitting)).IsOk(out Worked<Header>? sized, out _))
        {
            string tooLong = HeaderSize.TooLong(placed.Ground.Lengths, length);
            return new Judgement(
                $"crossed-{rib.Index}",
                JudgementState.Blocked,
                $"{rib.Member.Name} would be cut over too long a span",
                length,
                HeaderSize.MostClearMm,
                Unit.Mm,
                $"Its load would go to {first.Member.Name} and {second.Member.Name}.",
                char.ToUpperInvariant(tooLong[0]) + tooLong[1..],
                where
            );
        }
        Header header = sized.Result;
        foreach (Source source in sized.Sources)
            sheet.Cite(source);
        return new Judgement(
            $"crossed-{rib.Index}",
            JudgementState.NeedsWork,
            $"{rib.Member.Name} is cut and needs two headers",
            length,
            HeaderSize.MostClearMm,
            Unit.Mm,
            $"Its load goes to {first.Member.Name} and {second.Member.Name}: headers {placed.L(length)} long in the clear, of "
                + $"{header.Section.Text(placed.Ground.Lengths)}, {placed.L(header.LandingMm)} of landing and {header.BoltsEach} bolts at "
                + "either end.",
            "Fit the headers before the rib is cut through and tie its cut ends to them, or move to a place between ribs.",
            where
        );
    }

    /// <summary>The members that carry the headers of a rib that is cut, and the clear length between them, mm; null where there is none on one
    /// side.</summary>
    public static (Obstacle First, Obstacle Second, double ClearMm)? Between(Ground ground, PanelBox cut, Obstacle rib)
    {
        bool across = rib.Box.HeightMm >= rib.Box.WidthMm;
        (Side low, Side high) = across ? (Side.Front, Side.Rear) : (Side.Bottom, Side.Top);
        return Carrier(ground, cut, rib, low) is { } first && Carrier(ground, cut, rib, high) is { } second
            ? (first, second, across ? second.Box.SMinMm - first.Box.SMaxMm : second.Box.TMinMm - first.Box.TMaxMm)
            : null;
    }

    private static Obstacle? Carrier(Ground ground, PanelBox cut, Obstacle rib, Side side)
    {
        IEnumerable<Obstacle> standing = ground.Obstacles.Where(o =>
            o.Index != rib.Index && (o.Member.Role is MemberRole.Structural or MemberRole.Secondary) && !Clearances.Crosses(cut, o)
        );
        return side switch
        {
            Side.Front => standing
                .Where(o => o.Box.SMaxMm <= rib.Box.SMinMm && Spans(o.Box.TMinMm, o.Box.TMaxMm, cut.TMinMm, cut.TMaxMm))
                .MaxBy(o => o.Box.SMaxMm),
            Side.Rear => standing
                .Where(o => o.Box.SMinMm >= rib.Box.SMaxMm && Spans(o.Box.TMinMm, o.Box.TMaxMm, cut.TMinMm, cut.TMaxMm))
                .MinBy(o => o.Box.SMinMm),
            Side.Bottom => standing
                .Where(o => o.Box.TMaxMm <= rib.Box.TMinMm && Spans(o.Box.SMinMm, o.Box.SMaxMm, cut.SMinMm, cut.SMaxMm))
                .MaxBy(o => o.Box.TMaxMm),
            _ => standing
                .Where(o => o.Box.TMinMm >= rib.Box.TMaxMm && Spans(o.Box.SMinMm, o.Box.SMaxMm, cut.SMinMm, cut.SMaxMm))
                .MinBy(o => o.Box.TMinMm),
        };
    }

    /// <summary>A header lands at both edges of the cut-out, so its carrier must pass both.</summary>
    private static bool Spans(double low, double high, double from, double to) => low <= from && high >= to;

    private static Mark Line(double s1, double t1, double s2, double t2) => new([new PanelPoint(s1, t1), new PanelPoint(s2, t2)], false);
}
