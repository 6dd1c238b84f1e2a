using Abri.Core.Geometry;
using Abri.Core.Shell;

namespace Abri.Core.Water.Leaks;

/// <summary>From where a suspect comes.</summary>
public enum SuspectOrigin
{
    /// <summary>The shell itself: every seam, penetration and door.</summary>
    Shell,

    /// <summary>A finding.</summary>
    Finding,

    /// <summary>Somebody wrote it down.</summary>
    Written,
}

/// <summary>A suspect with where it comes from.</summary>
/// <param name="PanelId">Id of its panel.</param>
/// <param name="Suspect">The suspect.</param>
/// <param name="Origin">From where it comes.</param>
/// <param name="Why">Why its condition is taken to be so; empty where somebody wrote it down.</param>
/// <param name="Key">Key of the finding or of the suspect that was written down; null for what the shell itself has.</param>
public sealed record OfferedSuspect(string PanelId, Suspect Suspect, SuspectOrigin Origin, string Why, string? Key = null);

/// <summary>
/// Lists all by which water may get into a shell: read off the shell, taken from findings, and what somebody wrote down.
/// </summary>
/// <remarks>
/// A suspect that somebody wrote down takes the place of one of the same kind that was offered within <see cref="SameMm"/>; a finding lends its
/// condition to the one that it lies on, or is a suspect itself; a repair mends what lies on it. Long joints are cut into lengths of at most
/// <see cref="LengthMm"/>, since a leak has to be found to within what one can mend and test.
/// </remarks>
public static class OfferedSuspects
{
    /// <summary>Longest piece of a joint that counts as one suspect, mm: what one wets in one go; assumption.</summary>
    public const double LengthMm = 1200;

    /// <summary>A suspect that was written down replaces an offered one whose middle lies within this, mm.</summary>
    public const double SameMm = 60;

    /// <summary>A finding is about a joint whose line it lies within this of, mm.</summary>
    private const double OnJointMm = 60;

    /// <summary>From this share of a joint's length on a finding is about the whole of it.</summary>
    private const double WholeShare = 0.6;

    /// <summary>All suspects of a shell, panel by panel.</summary>
    public static IReadOnlyList<OfferedSuspect> Of(WetShell shell) => [.. shell.Panels.SelectMany(OfPanel)];

    private static IEnumerable<OfferedSuspect> OfPanel(WetPanel panel)
    {
        var offered = Shell(panel)
            .Select(s => new OfferedSuspect(panel.Id, s, SuspectOrigin.Shell, s.Condition == Condition.Unknown ? "Not checked yet." : ""))
            .ToList();
        offered = [.. offered.Select(o => WithSealReadings(panel, o))];
        foreach ((string key, Finding finding) in panel.Findings.Where(f => f.Value.State != FindingState.Done))
        {
            if (KindOf(finding.Kind) is not { } kind)
                continue;
            PanelPoint[] points = finding.Shape == FindingShape.Line ? [.. finding.Points] : [Middle(finding)];
            int corner = offered.FindIndex(o =>
                o.Suspect.Kind == SuspectKind.Corner && kind == SuspectKind.Seam && DistanceMm(points, o.Suspect.Points[0]) <= OnJointMm
            );
            int on =
                corner >= 0
                    ? corner
                    : offered.FindIndex(o =>
                        o.Origin == SuspectOrigin.Shell && IsJoint(o.Suspect.Kind) && points.All(p => DistanceMm(o.Suspect.Points, p) <= OnJointMm)
                    );
            if (finding.Kind == FindingKind.MissingSeal && on >= 0)
                kind = offered[on].Suspect.Kind;
            var found = new OfferedSuspect(
                panel.Id,
                new Suspect(finding.Name, kind, points, ConditionOf(finding.Kind), null, ""),
                SuspectOrigin.Finding,
                $"Finding: {finding.Name}.",
                key
            );
            // A finding over most of a joint is that joint; one over a short length of it leaves the rest a suspect.
            if (on >= 0 && LengthOf(points) >= WholeShare * LengthOf(offered[on].Suspect.Points))
                offered[on] = found;
            else
                offered.Add(found);
        }
        foreach ((string key, Suspect written) in panel.Suspects)
        {
            int same = offered.FindIndex(o =>
                o.Origin != SuspectOrigin.Written && o.Suspect.Kind == written.Kind && o.Suspect.Middle.DistanceMm(written.Middle) <= SameMm
            );
            var own = new OfferedSuspect(panel.Id, written, SuspectOrigin.Written, "", key);
            if (same >= 0)
                offered[same] = own;
            else
                offered.Add(own);
        }
        return offered.Select(o => Mended(panel, o));
    }

    /// <summary>How near to a repair a hole or a screw lies that it mends, mm: its neighbour stays a suspect.</summary>
    private const double OnMendMm = 15;

    /// <summary>Distance of a place from what was mended: from each hole of a row, or from the line, mm.</summary>
    private static double Off(MendedPlace place, PanelPoint at) =>
        place.IsRow ? place.Points.Min(p => p.DistanceMm(at)) : DistanceMm(place.Points, at);

    /// <summary>What lies on a place that was mended is sound once a water test has left it dry; until then its condition is unknown.</summary>
    private static OfferedSuspect Mended(WetPanel panel, OfferedSuspect offered)
    {
        bool Covers(MendedPlace place) =>
            offered.Suspect.Points.All(p =>
                place.IsArea
                    ? Outlines.Encloses(place.Points, p) || DistanceMm([.. place.Points, place.Points[0]], p) <= OnMendMm
                    : Off(place, p) <= (IsJoint(offered.Suspect.Kind) ? OnJointMm : OnMendMm)
            );
        MendedPlace? last = (panel.Mended ?? []).Where(Covers).MaxBy(m => m.On);
        if (last is null || offered.Suspect.SinceAt is { } since && DateOnly.FromDateTime(since.UtcDateTime) >= last.On)
            return offered;
        return offered with
        {
            Suspect = offered.Suspect with
            {
                Condition = last.TestedDry ? Condition.Sound : Condition.Unknown,
                SinceAt = MendedPlace.Midnight(last.On.AddDays(1)),
            },
            Why = $"{last.Name}, fixed on {last.On:yyyy-MM-dd}" + (last.TestedDry ? ", dry when it was tested." : ": test it."),
        };
    }

    /// <summary>What the shell itself has to suspect.</summary>
    private static IEnumerable<Suspect> Shell(WetPanel panel)
    {
        foreach (ShellSeam seam in ShellSeams.Of(panel.Panel))
        {
            foreach (
                Suspect piece in Pieces(seam.Name, seam.Kind == ShellSeamKind.DoorSeal ? SuspectKind.DoorSeal : SuspectKind.Seam, [.. seam.Line])
            )
                yield return piece;
        }
        if (panel.Panel.Kind == PanelKind.Roof)
        {
            PanelBox box = panel.Panel.Box;
            yield return One("front left corner", SuspectKind.Corner, new(box.SMinMm, box.TMaxMm));
            yield return One("front right corner", SuspectKind.Corner, new(box.SMinMm, box.TMinMm));
            yield return One("rear left corner", SuspectKind.Corner, new(box.SMaxMm, box.TMaxMm));
            yield return One("rear right corner", SuspectKind.Corner, new(box.SMaxMm, box.TMinMm));
        }
        if (panel.Panel.Kind is PanelKind.SlidingDoor or PanelKind.RearLeftDoor or PanelKind.RearRightDoor)
        {
            PanelBox door = panel.Panel.Box;
            yield return One("door membrane", SuspectKind.DoorMembrane, new(door.Centre.SMm, door.TMinMm + (door.HeightMm / 4)));
        }
        // One that nobody has cleared may back up: water stands behind it and comes in elsewhere.
        foreach (Drain drain in panel.Drains.Where(d => d.ClearedAt is null))
            yield return One(drain.Name, SuspectKind.BackedUpDrain, drain.Place);
        foreach (Member member in panel.Members)
        {
            SuspectKind? kind = member.Kind switch
            {
                MemberKind.Seam => SuspectKind.Seam,
                MemberKind.RainGutter => SuspectKind.Gutter,
                MemberKind.FillerNeck => SuspectKind.Grommet,
                MemberKind.SlidingDoorRail => SuspectKind.Screw,
                MemberKind.Anchorage => SuspectKind.Screw,
                _ => null,
            };
            if (kind is null)
                continue;
            if (member.Footprint.Shape == FootprintShape.Polygon)
                yield return One(member.Name, kind.Value, PanelBox.Of(member.Footprint.Points).Centre);
            else
                foreach (Suspect piece in Pieces(member.Name, kind.Value, [.. member.Footprint.Points]))
                    yield return piece;
        }
        foreach (CutOpening opening in panel.Openings)
        {
            SuspectKind kind =
                !opening.Fitted ? SuspectKind.Hole
                : opening.Clamped ? SuspectKind.ClampGap
                : SuspectKind.Seal;
            if (!opening.Fitted)
                yield return new Suspect($"{opening.Name}, cut and open", kind, [opening.Edge.Centre], Condition.Open, null, "");
            else
                foreach (Side side in Enum.GetValues<Side>())
                    yield return new Suspect(
                        $"{opening.Name}, {Word(panel.Panel, side)} edge",
                        kind,
                        EdgeOf(opening.Edge, side),
                        Condition.Unknown,
                        null,
                        ""
                    );
        }
        foreach (Covering patch in panel.Coverings.Where(l => l is { Kind: CoveringKind.Patch, Planned: false }))
            yield return new Suspect(
                $"{patch.Name}, upper edge",
                SuspectKind.PatchEdge,
                EdgeOf(patch.Area, UpperSide(panel.Panel, patch.Area)),
                patch.Lap == Lap.LowerOverUpper ? Condition.Open : Condition.Unknown,
                null,
                ""
            );
    }

    /// <summary>Readings along a door's seal say more than a look.</summary>
    private static OfferedSuspect WithSealReadings(WetPanel panel, OfferedSuspect offered)
    {
        if (offered.Suspect.Kind != SuspectKind.DoorSeal)
            return offered;
        SealPlace[] near = [.. panel.SealReadings.Where(r => DistanceMm(offered.Suspect.Points, r.Place) <= 150).Select(SealCheck.Place)];
        if (near.Length == 0)
            return offered;
        double least = near.Min(p => p.SqueezePercent);
        Condition condition =
            least < 0 ? Condition.Open
            : least < SealCheck.LeastSqueezePercent ? Condition.Loose
            : Condition.Sound;
        return offered with
        {
            Suspect = offered.Suspect with { Condition = condition },
            Why = $"Measured: the seal is squeezed by {least:0} % where it is squeezed least.",
        };
    }

    private static bool IsJoint(SuspectKind kind) =>
        kind is SuspectKind.Seam or SuspectKind.DoorSeal or SuspectKind.Seal or SuspectKind.ClampGap or SuspectKind.Gutter;

    private static double LengthOf(IReadOnlyList<PanelPoint> line) => line.Zip(line.Skip(1)).Sum(p => p.First.DistanceMm(p.Second));

    private static SuspectKind? KindOf(FindingKind kind) =>
        kind switch
        {
            FindingKind.OpenSeam or FindingKind.CrackedSealant => SuspectKind.Seam,
            FindingKind.LooseClip => SuspectKind.ClipRow,
            FindingKind.OpenHole or FindingKind.Perforation => SuspectKind.Hole,
            FindingKind.CrackInPlastic => SuspectKind.CrackedPlastic,
            FindingKind.MissingSeal => SuspectKind.Grommet,
            _ => null,
        };

    /// <summary>What a suspect is called as a finding once somebody wants to work on it.</summary>
    public static FindingKind FindingOf(SuspectKind kind) =>
        kind switch
        {
            SuspectKind.Hole or SuspectKind.SpotWeld or SuspectKind.Screw => FindingKind.OpenHole,
            SuspectKind.Grommet
            or SuspectKind.DoorSeal
            or SuspectKind.RoofFixing
            or SuspectKind.Lamp
            or SuspectKind.CableGland
            or SuspectKind.FloorPlug => FindingKind.MissingSeal,
            SuspectKind.CrackedPlastic => FindingKind.CrackInPlastic,
            SuspectKind.ClipRow => FindingKind.LooseClip,
            SuspectKind.BackedUpDrain => FindingKind.BlockedDrain,
            _ => FindingKind.OpenSeam,
        };

    private static Condition ConditionOf(FindingKind kind) =>
        kind switch
        {
            FindingKind.CrackedSealant or FindingKind.CrackInPlastic => Condition.Cracked,
            FindingKind.LooseClip => Condition.Loose,
            _ => Condition.Open,
        };

    internal static PanelPoint Middle(Finding finding) =>
        finding.Shape switch
        {
            FindingShape.Point => finding.Points[0],
            FindingShape.Line => Suspect.Along(finding.Points, 0.5),
            _ => PanelBox.Of(finding.Points).Centre,
        };

    private static Suspect One(string name, SuspectKind kind, PanelPoint at) => new(Capital(name), kind, [at], Condition.Unknown, null, "");

    /// <summary>A line in equal pieces that are short enough.</summary>
    private static IEnumerable<Suspect> Pieces(string name, SuspectKind kind, PanelPoint[] line)
    {
        int pieces = Math.Clamp((int)Math.Ceiling(LengthOf(line) / LengthMm), 1, 30);
        for (int i = 0; i < pieces; i++)
        {
            string which = pieces == 1 ? "" : $", {i + 1} of {pieces}";
            yield return new Suspect(
                Capital(name) + which,
                kind,
                [Suspect.Along(line, (double)i / pieces), Suspect.Along(line, (i + 1.0) / pieces)],
                Condition.Unknown,
                null,
                ""
            );
        }
    }

    private static string Capital(string name) => char.ToUpperInvariant(name[0]) + name[1..];

    /// <summary>The side from which water comes: the crown's side on a roof, the top elsewhere.</summary>
    private static Side UpperSide(Panel panel, PanelBox area) =>
        panel.Facing == Facing.Up && area.Centre.TMm > panel.Box.Centre.TMm ? Side.Bottom : Side.Top;

    private static PanelPoint[] EdgeOf(PanelBox box, Side side) =>
        side switch
        {
            Side.Front => [new(box.SMinMm, box.TMinMm), new(box.SMinMm, box.TMaxMm)],
            Side.Rear => [new(box.SMaxMm, box.TMinMm), new(box.SMaxMm, box.TMaxMm)],
            Side.Top => [new(box.SMinMm, box.TMaxMm), new(box.SMaxMm, box.TMaxMm)],
            _ => [new(box.SMinMm, box.TMinMm), new(box.SMaxMm, box.TMinMm)],
        };

    private static string Word(Panel panel, Side side) => panel.Facing.Name(side);

    /// <summary>Distance from the nearest of points that are a line, mm.</summary>
    internal static double DistanceMm(IReadOnlyList<PanelPoint> line, PanelPoint at) =>
        line.Count == 1 ? line[0].DistanceMm(at) : line.Zip(line.Skip(1)).Min(piece => Outlines.DistanceToEdgeMm([piece.First, piece.Second], at));
}
