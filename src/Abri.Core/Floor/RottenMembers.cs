using Abri.Core.Geometry;
using Abri.Core.Shell;

namespace Abri.Core.Floor;

/// <summary>Bearers under a cut that were probed and are bad somewhere, each with its splice.</summary>
internal static class RottenMembers
{
    /// <summary>A probe belongs to the member that it lies on, or misses by no more than this, mm: assumption.</summary>
    private const double BesideMm = 30;

    private const double LeastHighMm = 10,
        LeastLengthMm = 50;

    /// <summary>The members.</summary>
    public static IEnumerable<RottenMember> Of(CutGround ground, Worksheet sheet)
    {
        FloorSite site = ground.Site;
        Probe[] probes = [.. site.Probes.Where(p => p.Of == ProbeOf.Member)];
        NetTopologySuite.Geometries.Geometry under = ground.Cut.Buffer(BesideMm);
        foreach (Member member in site.Bearers)
        {
            IReadOnlyList<PanelPoint> outline = MemberOutline.Of(member.Footprint);
            // Metal rusts, and is judged in Metal: what an awl says of it is no splice.
            if (member.Material == MemberMaterial.Metal || !Plane.Polygon(outline).Intersects(under))
                continue;
            Probe[] own = [.. probes.Where(p => Outlines.Encloses(outline, p.At) || Outlines.DistanceToEdgeMm(outline, p.At) <= BesideMm)];
            (PanelPoint a, PanelPoint b, double wide) = Axis(member.Footprint);
            double length = a.DistanceMm(b);
            if (length < LeastLengthMm || !own.Any(p => p.IsBad))
                continue;
            (double ds, double dt) = ((b.SMm - a.SMm) / length, (b.TMm - a.TMm) / length);
            double Along(PanelPoint p) => Math.Clamp(((p.SMm - a.SMm) * ds) + ((p.TMm - a.TMm) * dt), 0, length);
            double high = Math.Abs(member.DepthMm) >= LeastHighMm ? Math.Abs(member.DepthMm) : wide;
            var timber = new RottenTimber(length, wide, high, [.. own.Select(p => new SpliceReading(Along(p.At), p.IsBad))]);
            Worked<SplicePlan> splice = Splice.Of(timber, site.Format, End(site.Panel.Facing, ds, dt)).Value!;
            sheet.Take(splice);
            PanelPoint At(double along) => a.Plus(ds * along, dt * along);
            yield return new RottenMember(member.Name, wide, high, splice.Result, [At(splice.Result.CutFromMm), At(splice.Result.CutToMm)]);
        }
    }

    /// <summary>What the end is called that a member begins at, by the way it runs from there.</summary>
    private static string End(Facing facing, double ds, double dt) =>
        facing.Name(
            Math.Abs(ds) >= Math.Abs(dt) ? (ds > 0 ? Side.Front : Side.Rear)
            : dt > 0 ? Side.Bottom
            : Side.Top
        );

    /// <summary>The middle of a member from end to end, and its width.</summary>
    private static (PanelPoint From, PanelPoint To, double WideMm) Axis(Footprint footprint)
    {
        if (footprint.Shape == FootprintShape.Spine)
            return (footprint.Points[0], footprint.Points[^1], footprint.WidthMm);
        PanelBox box = PanelBox.Of(footprint.Points);
        PanelPoint middle = box.Centre;
        return box.WidthMm >= box.HeightMm
            ? (new(box.SMinMm, middle.TMm), new(box.SMaxMm, middle.TMm), box.HeightMm)
            : (new(middle.SMm, box.TMinMm), new(middle.SMm, box.TMaxMm), box.WidthMm);
    }
}
