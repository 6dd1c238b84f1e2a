using Abri.Core.Geometry;

namespace Abri.Exchange;

/// <summary>Joins lines and arcs of one layer that meet end to end, as programs write an outline piece by piece.</summary>
internal static class Chains
{
    /// <summary>Ends nearer than this are one, mm.</summary>
    private const double MeetMm = 0.05;

    /// <summary>The shapes, with open ones that have no width of their own joined to chains; a chain that comes back to its start is
    /// closed.</summary>
    public static List<DrawnShape> Joined(IReadOnlyList<DrawnShape> shapes)
    {
        var joined = new List<DrawnShape>();
        var open = new List<DrawnShape>();
        foreach (DrawnShape shape in shapes)
            (shape.IsClosed || shape.HasWidth ? joined : open).Add(shape);
        foreach (IGrouping<string, DrawnShape> layer in open.GroupBy(s => s.Layer))
        {
            var left = new LinkedList<DrawnShape>(layer);
            while (left.First is { } first)
            {
                left.RemoveFirst();
                DrawnShape chain = first.Value;
                while (Next(left, chain.Points[^1]) is { } next)
                    chain = chain with { Points = [.. chain.Points, .. next.Skip(1)] };
                while (Next(left, chain.Points[0]) is { } before)
                    chain = chain with { Points = [.. before.Reverse().SkipLast(1), .. chain.Points] };
                joined.Add(
                    chain.Points.Count > 3 && chain.Points[0].DistanceMm(chain.Points[^1]) < MeetMm
                        ? chain with
                        {
                            Points = [.. chain.Points.SkipLast(1)],
                            IsClosed = true,
                        }
                        : chain
                );
            }
        }
        return joined;
    }

    /// <summary>Takes the piece that begins or ends at a place; its points from there on.</summary>
    private static IReadOnlyList<PanelPoint>? Next(LinkedList<DrawnShape> left, PanelPoint end)
    {
        for (LinkedListNode<DrawnShape>? node = left.First; node is not null; node = node.Next)
        {
            IReadOnlyList<PanelPoint> points = node.Value.Points;
            bool forwards = points[0].DistanceMm(end) < MeetMm;
            if (!forwards && points[^1].DistanceMm(end) >= MeetMm)
                continue;
            left.Remove(node);
            return forwards ? points : [.. points.Reverse()];
        }
        return null;
    }
}
