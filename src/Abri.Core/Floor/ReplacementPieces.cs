using Abri.Core.Geometry;

namespace Abri.Core.Floor;

/// <summary>Parts what was cut out into new boards that whole sheets give: along the span on bearers, across it in equal strips.</summary>
internal static class ReplacementPieces
{
    /// <summary>The pieces.</summary>
    /// <param name="ground">The cut.</param>
    /// <param name="below">Timbers that joints need which no bearer carries.</param>
    public static IReadOnlyList<FloorPiece> Of(CutGround ground, out IReadOnlyList<Support> below)
    {
        Edge span = ground.Span;
        (double from, double to) = (span.Opposite.Of(ground.Box), span.Of(ground.Box));
        (double left, double right) = span.Lane(ground.Box);
        List<Support> timbers = [];
        double[] along = Breaks(ground, from, to, left, right, timbers);
        int strips = (int)Math.Ceiling(((right - left) / ground.Replacement.Sheet.WidthMm) - 1e-9);
        double[] across = [.. Enumerable.Range(0, strips + 1).Select(i => left + ((right - left) * i / strips))];
        foreach (double seam in across[1..^1])
            timbers.AddRange(ReplacementSupports.Between(ground, seam));
        below = timbers;
        NetTopologySuite.Geometries.Geometry inside = Plane.Square(Plane.Polygon(ground.Site.Panel.Outline), -FloorReplacement.WallGapMm);
        double gap = FloorReplacement.HalfGapMm;
        PanelBox[] cells =
        [
            .. along
                .Zip(along.Skip(1))
                .SelectMany(
                    _ => across.Zip(across.Skip(1)),
                    (a, b) => PanelBox.Of([span.Point(a.First + gap, b.First + gap), span.Point(a.Second - gap, b.Second - gap)])
                ),
        ];
        IReadOnlyList<PanelPoint>[] outlines =
        [
            .. cells.SelectMany(cell => Plane.Parts(Plane.Polygon(cell).Intersection(inside).Each())).Select(p => p.Outline),
        ];
        return
        [
            .. outlines.Select(
                (outline, i) =>
                {
                    PanelBox box = PanelBox.Of(outline);
                    string name = outlines.Length == 1 ? "New board" : $"New board {i + 1}";
                    return new FloorPiece(name, outline, box.WidthMm, box.HeightMm, ground.Grain);
                }
            ),
        ];
    }

    /// <summary>Where boards part along the span: as far on as a sheet reaches, on a bearer where there is one.</summary>
    private static double[] Breaks(CutGround ground, double from, double to, double left, double right, List<Support> timbers)
    {
        List<double> at = [from];
        while (to - at[^1] > ground.Replacement.Sheet.LengthMm)
        {
            double reach = at[^1] + ground.Replacement.Sheet.LengthMm;
            double[] bearers =
            [
                .. ground
                    .Bearers.Where(b => b.AtMm > at[^1] + CutEdges.LeastStripMm && b.AtMm <= reach)
                    .Where(b => b.WideMm >= (2 * CutEdges.LeastBearingMm) + CutEdges.KerfMm)
                    .Select(b => b.AtMm),
            ];
            if (bearers.Length == 0)
                timbers.Add(
                    ReplacementSupports.Timber(ground, SupportKind.NewBearer, [ground.Span.Point(reach, left), ground.Span.Point(reach, right)])
                );
            at.Add(bearers.Length == 0 ? reach : bearers[^1]);
        }
        return [.. at, to];
    }
}
