using Abri.Core.Geometry;
using Abri.Core.Shell;

namespace Abri.Core.Openings;

/// <summary>A site made ready for asking: the turned fitting, and each member with its edge.</summary>
internal sealed class Ground
{
    private Ground(Site site)
    {
        Site = site;
        Fitting = site.Fitting.Turned(site.TurnDeg);
        Obstacles = [.. site.Members.Select((m, i) => new Obstacle(i, m))];
        Swages = [.. Obstacles.Where(o => o.Member.Role == MemberRole.Pressed)];
        Standing = [.. Obstacles.Where(o => o.Member.Role != MemberRole.Pressed)];
        Lengths = site.Lengths ?? LengthFormat.Millimetres;
        Neighbours = site.Neighbours ?? [];
        Zones = site.Zones ?? [];
        Doors = [.. (site.Doors ?? []).Where(d => d.Kind == PanelKind.SlidingDoor && d.Facing == site.Panel.Facing)];
    }

    public Site Site { get; }

    public Fitting Fitting { get; }

    public IReadOnlyList<Obstacle> Obstacles { get; }

    /// <summary>Those pressed into the skin.</summary>
    public Obstacle[] Swages { get; }

    /// <summary>All others.</summary>
    public Obstacle[] Standing { get; }

    public LengthFormat Lengths { get; }

    public IReadOnlyList<Neighbour> Neighbours { get; }

    public IReadOnlyList<Zone> Zones { get; }

    /// <summary>The sliding doors that look the way the panel does.</summary>
    public Panel[] Doors { get; }

    /// <summary>The ground of a site, or what is contradictory about it.</summary>
    public static Result<Ground> Of(Site site)
    {
        if (ShellCheck.Of(site.Panel, site.Members) is { } shell) return shell;
        if (FittingCheck.Of(site.Fitting) is { } fitting) return fitting.Under("/fitting");
        return new Ground(site);
    }

    /// <summary>What the flange must keep clear of whatever the school: gutters and seams, where water runs and a flange cannot seal.</summary>
    public static bool IsUnderFlange(Member member) => member.Kind is MemberKind.Seam or MemberKind.RainGutter;

    /// <summary>Whether the cut-out must stay clear of a member, in the school of the site.</summary>
    public bool Forbids(Member member) => member.Role switch
    {
        MemberRole.Structural or MemberRole.KeepOut => true,
        MemberRole.Secondary => Site.RibInTheWay == RibInTheWay.Keep,
        _ => false,
    };

    /// <summary>How far the forbidden rectangle reaches from the fitting's centre for a member, mm.</summary>
    public PerSide ReachFor(Member member)
    {
        var cut = new PanelBox(0, Fitting.CutOut.WidthMm, 0, Fitting.CutOut.HeightMm);
        PerSide reach = Reach(cut, Fitting.Clearance);
        return IsUnderFlange(member) ? reach.Max(FlangeReach(0)) : reach;
    }

    /// <summary>How far the flange and a margin reach from the fitting's centre, mm.</summary>
    public PerSide FlangeReach(double marginMm) =>
        Reach(new PanelBox(0, Fitting.Flange.WidthMm, 0, Fitting.Flange.HeightMm), PerSide.All(marginMm));

    private static PerSide Reach(PanelBox box, PerSide more) => new(
        (box.WidthMm / 2) + more.FrontMm, (box.WidthMm / 2) + more.RearMm, (box.HeightMm / 2) + more.TopMm, (box.HeightMm / 2) + more.BottomMm);
}

/// <summary>A member with its edge, and quick answers where that is a rectangle square to the panel.</summary>
internal sealed class Obstacle
{
    public Obstacle(int index, Member member)
    {
        Index = index;
        Member = member;
        Outline = MemberOutline.Of(member.Footprint);
        Box = PanelBox.Of(Outline);
        IsBox = Math.Abs(Math.Abs(Outlines.SignedAreaMm2(Outline)) - Box.AreaMm2) < 1e-6;
    }

    public int Index { get; }

    public Member Member { get; }

    public IReadOnlyList<PanelPoint> Outline { get; }

    public PanelBox Box { get; }

    public bool IsBox { get; }

    /// <summary>The extent of the part that lies in a rectangle; null when none does.</summary>
    public PanelBox? Within(PanelBox box)
    {
        PanelBox shared = Box.Shared(box);
        if (shared.WidthMm < 0 || shared.HeightMm < 0) return null;
        if (IsBox) return shared;
        IReadOnlyList<PanelPoint> kept = Outlines.ClippedTo(Outline, box);
        return kept.Count == 0 ? null : PanelBox.Of(kept);
    }

    /// <summary>Area of the part that lies in a rectangle, mm2.</summary>
    public double AreaWithin(PanelBox box)
    {
        PanelBox shared = Box.Shared(box);
        if (IsBox || shared.AreaMm2 == 0) return shared.AreaMm2;
        return Math.Abs(Outlines.SignedAreaMm2(Outlines.ClippedTo(Outline, box)));
    }
}
