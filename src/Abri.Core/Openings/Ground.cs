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
        Burnables = Fitting.HeatMm > 0 ? [.. BurnablesOf(site)] : [];
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

    /// <summary>What burns, or may burn, and is drawn; empty for a fitting that does not get hot.</summary>
    public IReadOnlyList<Burnable> Burnables { get; }

    /// <summary>Whether the skin itself burns.</summary>
    public bool SkinBurns => Site.Panel.Material is SkinMaterial.PlywoodSkin or SkinMaterial.GlassReinforcedPlastic;

    /// <summary>The sliding doors that look the way the panel does.</summary>
    public Panel[] Doors { get; }

    /// <summary>Whether a bow in front and one behind have to carry the fitting.</summary>
    public bool MustBeCarried => Site.Panel.Facing == Facing.Up && (Fitting.Vibrates || Fitting.MassKg >= PlacingFigures.HeavyKg);

    /// <summary>The ground of a site, or what is contradictory about it.</summary>
    public static Result<Ground> Of(Site site)
    {
        if (ShellCheck.Of(site.Panel, site.Members) is { } shell)
            return shell;
        if (FittingCheck.Of(site.Fitting) is { } fitting)
            return fitting.Under("/fitting");
        return new Ground(site);
    }

    /// <summary>What the flange must keep clear of whatever the school: gutters and seams, where water runs and a flange cannot seal.</summary>
    public static bool IsUnderFlange(Member member) => member.Kind is MemberKind.Seam or MemberKind.RainGutter;

    /// <summary>Whether the cut-out must stay clear of a member, in the school of the site.</summary>
    public bool Forbids(Member member) =>
        member.Role switch
        {
            MemberRole.Structural or MemberRole.KeepOut => true,
            MemberRole.Secondary => Site.RibInTheWay == RibInTheWay.Keep,
            _ => false,
        };

    /// <summary>How far the forbidden rectangle reaches from the fitting's centre for a member, mm; null where the member forbids nothing.</summary>
    public PerSide? ReachFor(Member member) =>
        (Forbids(member), IsUnderFlange(member)) switch
        {
            (true, true) => CutReach(Fitting.Clearance).Max(FlangeReach(0)),
            (true, false) => CutReach(Fitting.Clearance),
            (false, true) => FlangeReach(0),
            _ => null,
        };

    /// <summary>How far the cut-out and some room reach from the fitting's centre, mm.</summary>
    public PerSide CutReach(PerSide more) => Reach(new PanelBox(0, Fitting.CutOut.WidthMm, 0, Fitting.CutOut.HeightMm), more);

    /// <summary>How far the flange and a margin reach from the fitting's centre, mm.</summary>
    public PerSide FlangeReach(double marginMm) => Reach(new PanelBox(0, Fitting.Flange.WidthMm, 0, Fitting.Flange.HeightMm), PerSide.All(marginMm));

    /// <summary>
    /// Members by what they are made of; zones where they come up to the panel: on a roof or a floor furring, lockers and bulkheads, since how high
    /// the rest
    /// stands below is not a matter of this panel; on a wall all of them. A stove is what gets hot.
    /// </summary>
    private static IEnumerable<Burnable> BurnablesOf(Site site)
    {
        foreach (Member m in site.Members)
        {
            if (m.Burns(site.Panel.Material) is not false)
                yield return new Burnable(m.Name, MemberOutline.Of(m.Footprint), m.Burns(site.Panel.Material) is true);
        }
        foreach (SiteCover cover in (site.Covers ?? []).Where(c => c.Burns is not false))
            yield return new Burnable(cover.Name, cover.Area.Corners, cover.Burns is true);
        bool level = site.Panel.Facing is Facing.Up or Facing.Down;
        foreach (Zone z in (site.Zones ?? []).Where(z => z.Kind != ZoneKind.Stove))
        {
            if (z.On(site.Panel.Facing) is { } area)
                yield return new Burnable(z.Name, area.Corners, !level || z.Kind is ZoneKind.Furring or ZoneKind.OverheadLocker or ZoneKind.Bulkhead);
        }
    }

    private static PerSide Reach(PanelBox box, PerSide more) =>
        new((box.WidthMm / 2) + more.FrontMm, (box.WidthMm / 2) + more.RearMm, (box.HeightMm / 2) + more.TopMm, (box.HeightMm / 2) + more.BottomMm);
}

/// <summary>Something drawn that burns, or may burn.</summary>
/// <param name="Name">What people call it.</param>
/// <param name="Outline">Its edge on the panel.</param>
/// <param name="Sure">Whether it surely burns and comes up to the panel.</param>
internal sealed record Burnable(string Name, IReadOnlyList<PanelPoint> Outline, bool Sure);

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
        Pieces = Outlines.ConvexPieces(Outline);
    }

    public int Index { get; }

    public Member Member { get; }

    public IReadOnlyList<PanelPoint> Outline { get; }

    public PanelBox Box { get; }

    public bool IsBox { get; }

    /// <summary>Convex pieces of its outline: one, unless it is bent.</summary>
    public IReadOnlyList<IReadOnlyList<PanelPoint>> Pieces { get; }

    /// <summary>The extent of the part that lies in a rectangle; null when none does.</summary>
    public PanelBox? Within(PanelBox box)
    {
        PanelBox shared = Box.Shared(box);
        if (shared.WidthMm < 0 || shared.HeightMm < 0)
            return null;
        if (IsBox)
            return shared;
        PanelPoint[] kept = [.. Pieces.SelectMany(piece => Outlines.ClippedTo(piece, box))];
        return kept.Length == 0 ? null : PanelBox.Of(kept);
    }

    /// <summary>Area of the part that lies in a rectangle, mm2.</summary>
    public double AreaWithin(PanelBox box)
    {
        PanelBox shared = Box.Shared(box);
        if (IsBox || shared.AreaMm2 == 0)
            return shared.AreaMm2;
        return Pieces.Sum(piece => Math.Abs(Outlines.SignedAreaMm2(Outlines.ClippedTo(piece, box))));
    }
}
