using Abri.Core.Geometry;
using Abri.Core.Shell;
using Abri.Core.Work;

namespace Abri.Core.Water;

/// <summary>A panel, as far as letting water out is concerned.</summary>
/// <param name="Id">By what the caller knows it.</param>
/// <param name="Panel">The panel.</param>
/// <param name="Members">Its members.</param>
/// <param name="Findings">What was found on it.</param>
/// <param name="Drains">Its drains.</param>
/// <param name="Coverings">What was put on it or into it.</param>
public sealed record DrainedPanel(
    string Id,
    Panel Panel,
    IReadOnlyList<Member> Members,
    IReadOnlyList<Finding> Findings,
    IReadOnlyList<Drain> Drains,
    IReadOnlyList<Covering> Coverings
);

/// <summary>One rule's judgement of one panel.</summary>
/// <param name="PanelId">Id of the panel.</param>
/// <param name="Row">The judgement.</param>
public sealed record WayOut(string PanelId, Judgement Row);

/// <summary>
/// Judges whether water that gets into a shell can leave it, by rules over the whole shell.
/// </summary>
/// <remarks>Common practice, no source; distances are assumptions and said to be so. What is only planned is judged like what is done: one wants to
/// know before.</remarks>
public static class WaysOut
{
    /// <summary>The lowest channel of a side reaches so far up, mm: assumption.</summary>
    public const double ChannelMm = 80;

    /// <summary>A drain is covered by what comes within this of it, mm: assumption.</summary>
    private const double DrainMm = 20;

    private static readonly FindingKind[] OutsideSeals =
    [
        FindingKind.OpenSeam,
        FindingKind.CrackedSealant,
        FindingKind.MissingSeal,
        FindingKind.OpenHole,
        FindingKind.CrackInPlastic,
    ];
    private static readonly FindingKind[] Rust = [FindingKind.SurfaceRust, FindingKind.Scale, FindingKind.Pitting, FindingKind.Perforation];

    /// <summary>What keeps water in, worst first.</summary>
    /// <param name="panels">All panels of the shell.</param>
    /// <param name="now">The time now, for how long ago drains were cleared.</param>
    /// <param name="lengths">How lengths are written in sentences.</param>
    public static IReadOnlyList<WayOut> Of(IReadOnlyList<DrainedPanel> panels, DateTimeOffset now, LengthFormat lengths)
    {
        Finding[] leaks = [.. panels.SelectMany(p => p.Findings).Where(f => Waits(f) && OutsideSeals.Contains(f.Kind))];
        return
        [
            .. panels
                .SelectMany(p =>
                    p.Coverings.SelectMany(l => OfCovering(p, l, leaks, lengths))
                        .Concat(p.Findings.Where(f => Waits(f) && f.Kind == FindingKind.BlockedDrain).Select(Blocked))
                        .Concat(p.Drains.SelectMany(d => OfDrain(d, now)))
                        .Select(row => new WayOut(p.Id, row))
                )
                .OrderByDescending(w => w.Row.State),
        ];
    }

    private static IEnumerable<Judgement> OfCovering(DrainedPanel p, Covering covering, Finding[] leaks, LengthFormat lengths)
    {
        bool isSide = p.Panel.Facing is not (Facing.Up or Facing.Down);
        double foot = p.Panel.Box.TMinMm;
        PanelBox area = covering.Area;
        if (covering is { SealedAtBottom: true, Kind: CoveringKind.Cladding or CoveringKind.Lining } && isSide)
        {
            yield return Row(
                "sealed-at-bottom",
                JudgementState.Blocked,
                $"{covering.Name} is sealed along its bottom edge",
                null,
                null,
                "Water that gets behind it runs down and stands on that bead, where it causes hidden rust and rot.",
                $"Leave the bottom edge open: cut the bead out, or gaps of {lengths.Text(10)} every {lengths.Text(300)} into it.",
                area
            );
        }
        if (covering.Kind is CoveringKind.Insulation or CoveringKind.Foam && isSide && area.TMinMm < foot + ChannelMm)
        {
            yield return Row(
                "channel-filled",
                JudgementState.Blocked,
                $"{covering.Name} lies in the bottom channel",
                area.TMinMm - foot,
                ChannelMm,
                "The bottom channel is where water collects and leaves; what lies in it keeps it wet.",
                $"End it {lengths.Text(ChannelMm)} above the foot.",
                area with
                {
                    TMaxMm = Math.Min(area.TMaxMm, foot + ChannelMm),
                }
            );
        }
        if (covering.Kind == CoveringKind.Membrane && (p.Panel.Facing == Facing.Down || covering.SealedAtBottom))
        {
            yield return Row(
                "membrane-holds-water",
                JudgementState.NeedsWork,
                $"{covering.Name} can hold a puddle",
                null,
                null,
                "Water that gets on it cannot run off, and it stays hidden.",
                p.Panel.Facing == Facing.Down ? "Let it fall to an open edge, or leave it out under the boards." : "Leave its bottom edge open.",
                area
            );
        }
        foreach (Drain drain in p.Drains.Where(d => area.Grown(DrainMm).Holds(d.Place)))
        {
            if (covering.Kind == CoveringKind.Foam)
                yield return Row(
                    "foam-in-drained-cavity",
                    JudgementState.Blocked,
                    $"{covering.Name} lies before {drain.Name}",
                    null,
                    null,
                    "Foam in a cavity that drains stops the drain and cannot be got out again.",
                    "Keep foam out of this cavity.",
                    area
                );
            else if (covering.Kind == CoveringKind.Sealant)
                yield return Row(
                    "drain-sealed",
                    JudgementState.Blocked,
                    $"{covering.Name} covers {drain.Name}",
                    null,
                    null,
                    "The drain is closed: what gets in stays.",
                    "Cut the sealant out of the drain.",
                    area
                );
            else if (covering.Kind is CoveringKind.Insulation or CoveringKind.Membrane or CoveringKind.Cladding)
                yield return Row(
                    "drain-covered",
                    JudgementState.NeedsWork,
                    $"{covering.Name} covers {drain.Name}",
                    null,
                    null,
                    "A covered drain clogs, and nobody checks it.",
                    "Cut it back round the drain.",
                    area
                );
        }
        if (covering.Kind == CoveringKind.Patch)
            foreach (Judgement row in OfPatch(p, covering))
                yield return row;
        if (covering.Kind != CoveringKind.Lining)
            yield break;
        Finding[] rust = [.. p.Findings.Where(f => Waits(f) && Rust.Contains(f.Kind) && Around(f).Overlaps(area.Grown(1)))];
        if (rust.Length > 0)
            yield return Row(
                "lined-before-rust",
                JudgementState.Blocked,
                $"{covering.Name} goes over rust that is not treated",
                null,
                null,
                $"Behind it: {string.Join(", ", rust.Select(f => f.Name))}.",
                "Treat the rust first.",
                area
            );
        if (leaks.Length > 0)
            yield return Row(
                "lined-before-sealed",
                JudgementState.Blocked,
                $"{covering.Name} comes before the outside is sealed",
                null,
                null,
                $"Still open: {string.Join(", ", leaks.Take(3).Select(f => f.Name))}{(leaks.Length > 3 ? $" and {leaks.Length - 3} more" : "")}.",
                "Seal the outside and prove it with water first.",
                area
            );
    }

    private static IEnumerable<Judgement> OfPatch(DrainedPanel p, Covering patch)
    {
        if (patch.Lap == Lap.LowerOverUpper)
            yield return Row(
                "lapped-against-flow",
                JudgementState.Blocked,
                $"{patch.Name} is lapped against the flow",
                null,
                null,
                "The sheet below lies over the one above: water runs into the joint.",
                "Lap it the other way round, the upper sheet over the lower.",
                patch.Area
            );
        else if (patch.Lap == Lap.LowerOverUpperSealed)
            yield return Row(
                "lapped-on-a-bead",
                JudgementState.NeedsWork,
                $"Only its bead keeps water out of {patch.Name}",
                null,
                null,
                "The sheet below lies over the one above: water runs against the joint.",
                "Look at the bead every year, or slip the upper edge under.",
                patch.Area
            );
        else if (patch.Lap == Lap.Unknown)
            yield return Row(
                "lap-unknown",
                JudgementState.NeedsWork,
                $"Not known how {patch.Name} is lapped",
                null,
                null,
                "The upper sheet must lie over the lower.",
                "Look, and write it down.",
                patch.Area
            );
        foreach (
            Member gutter in p.Members.Where(m => m.Kind == MemberKind.RainGutter && PanelBox.Of(MemberOutline.Of(m.Footprint)).Overlaps(patch.Area))
        )
            yield return Row(
                "patch-on-gutter",
                JudgementState.Blocked,
                $"{patch.Name} lies on {gutter.Name}",
                null,
                null,
                "What the gutter carries runs behind a patch that lies on it.",
                "Put its upper edge under the gutter.",
                patch.Area
            );
    }

    private static Judgement Blocked(Finding f) =>
        Row(
            "drain-blocked",
            JudgementState.Blocked,
            f.Name,
            null,
            null,
            "Water that cannot leave finds its own way.",
            "Clear it, and write the date into the register.",
            Around(f)
        );

    private static IEnumerable<Judgement> OfDrain(Drain drain, DateTimeOffset now)
    {
        var at = PanelBox.Around(drain.Place, 2 * DrainMm, 2 * DrainMm);
        if (drain.ClearedAt is not { } cleared)
            yield return Row(
                "drain-never-cleared",
                JudgementState.NeedsWork,
                $"{drain.Name}: not known when it was last cleared",
                null,
                null,
                "Leaves and sealant crumbs close drains.",
                "Clear it, pour a cup of water through, and write the date down.",
                at
            );
        else if (now > cleared.AddMonths(Drain.LookAgainMonths))
            yield return new Judgement(
                "drain-due",
                JudgementState.NeedsWork,
                $"{drain.Name} was cleared {Days(cleared, now):0} days ago",
                Days(cleared, now),
                Days(cleared, cleared.AddMonths(Drain.LookAgainMonths)),
                Unit.Days,
                "Leaves and sealant crumbs close drains.",
                "Clear it again.",
                [new Mark(at.Corners, true)]
            );
    }

    private static double Days(DateTimeOffset from, DateTimeOffset to) => Math.Floor((to - from).TotalDays);

    private static bool Waits(Finding f) => f.State is FindingState.Open or FindingState.Planned;

    private static PanelBox Around(Finding f) => PanelBox.Of(f.Points).Grown(DrainMm);

    private static Judgement Row(
        string id,
        JudgementState state,
        string title,
        double? measured,
        double? required,
        string why,
        string remedy,
        PanelBox where
    ) => new(id, state, title, measured, required, Unit.Mm, why, remedy, [new Mark(where.Corners, true)]);
}
