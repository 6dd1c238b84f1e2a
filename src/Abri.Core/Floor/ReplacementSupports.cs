using Abri.Core.Geometry;
using Abri.Core.Shell;

namespace Abri.Core.Floor;

/// <summary>Timbers that are let in below edges which no bearer carries, or none that is wide enough.</summary>
internal static class ReplacementSupports
{
    /// <summary>The timbers below the edges of the cut.</summary>
    public static IEnumerable<Support> Of(CutGround ground)
    {
        foreach (CutEdge cut in ground.Edges)
        {
            var edge = new Edge(cut.Side);
            bool isAlongBearers = edge.IsStation == ground.Span.IsStation;
            if (cut is { On: EdgeOn.Bearer, BearsMm: < CutEdges.LeastBearingMm })
            {
                // One on each side: then both boards have their bearing, wherever the cut wanders.
                double off = cut.BearsMm.Value + (CutEdges.KerfMm / 2) + (FloorReplacement.TimberMm / 2);
                foreach (int way in new[] { -1, 1 })
                    yield return Timber(
                        ground,
                        SupportKind.Sister,
                        [.. cut.Line.Select(p => edge.Point(edge.Place(p) + (way * off), edge.Along(p)))]
                    );
            }
            else if (cut.On == EdgeOn.Blocking && isAlongBearers)
            {
                yield return Timber(ground, SupportKind.NewBearer, cut.Line);
            }
            else if (cut.On == EdgeOn.Blocking)
            {
                foreach (Support between in Between(ground, edge.Of(ground.Box)))
                    yield return between;
            }
        }
    }

    /// <summary>Timbers between the bearers, below a line that crosses them.</summary>
    /// <param name="ground">The cut.</param>
    /// <param name="alongMm">Where the line runs.</param>
    public static IEnumerable<Support> Between(CutGround ground, double alongMm)
    {
        Edge span = ground.Span;
        (double from, double to) = (span.Opposite.Of(ground.Box), span.Of(ground.Box));
        IReadOnlyList<PanelPoint> floor = ground.Site.Panel.Outline;
        (double first, double last) = span.Span(floor, alongMm) ?? (from, to);
        (double Least, double Most)[] solid =
        [
            (first, first),
            .. ground
                .Site.Bearers.Select(b => span.Span(MemberOutline.Of(b.Footprint), alongMm))
                .OfType<(double Least, double Most)>()
                .OrderBy(s => s.Least),
            (last, last),
        ];
        foreach ((var a, var b) in solid.Zip(solid.Skip(1)))
        {
            bool isUnderTheLine = Math.Min(b.Least, to) - Math.Max(a.Most, from) > FloorReplacement.TimberMm;
            if (isUnderTheLine)
                yield return Timber(ground, SupportKind.Blocking, [span.Point(a.Most, alongMm), span.Point(b.Least, alongMm)]);
        }
    }

    /// <summary>A timber as high as the bearers.</summary>
    public static Support Timber(CutGround ground, SupportKind kind, IReadOnlyList<PanelPoint> line) =>
        new(kind, line, line[0].DistanceMm(line[1]), FloorReplacement.TimberMm, ground.HighMm);
}
