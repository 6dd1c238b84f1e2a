using Abri.Core.Geometry;
using Abri.Core.Shell;

namespace Abri.Core.Floor;

/// <summary>How far bearers lie apart.</summary>
internal static class BearerBays
{
    /// <summary>The side seen along which boards span from bearer to bearer: bearers mostly run across the vehicle.</summary>
    public static Edge Span(FloorSite site)
    {
        PanelBox[] boxes = [.. site.Bearers.Select(b => PanelBox.Of(MemberOutline.Of(b.Footprint)))];
        return new(boxes.Length == 0 || 2 * boxes.Count(b => b.HeightMm >= b.WidthMm) >= boxes.Length ? Side.Rear : Side.Top);
    }

    /// <summary>Bearers that a line along the span meets, each by its middle there, from small to great, with its width there.</summary>
    /// <param name="site">The floor.</param>
    /// <param name="alongMm">Where the line runs.</param>
    public static IReadOnlyList<(Member Bearer, double AtMm, double WideMm)> On(FloorSite site, double alongMm)
    {
        Edge span = Span(site);
        return
        [
            .. site
                .Bearers.Select(b => (Bearer: b, Met: span.Span(MemberOutline.Of(b.Footprint), alongMm)))
                .Where(b => b.Met is not null)
                .Select(b => (b.Bearer, (b.Met!.Value.Least + b.Met.Value.Most) / 2, b.Met.Value.Most - b.Met.Value.Least))
                .OrderBy(b => b.Item2),
        ];
    }

    /// <summary>The widest bay along the middle of the floor, middle to middle, mm; null where fewer than two bearers are met there.</summary>
    public static double? WidestMm(FloorSite site)
    {
        (double from, double to) = Span(site).Lane(site.Panel.Box);
        double[] at = [.. On(site, (from + to) / 2).Select(b => b.AtMm)];
        return at.Length < 2 ? null : at.Zip(at.Skip(1), (a, b) => b - a).Max();
    }
}
