using Abri.Core.Geometry;
using Abri.Core.Shell;
using Abri.Core.Work;

namespace Abri.Core.Openings.Rules;

/// <summary>Whether the corner screws of an inner frame find something to hold, and the backing piece where they do not.</summary>
/// <remarks>
/// A screw holds in a secondary member and in furring. Structure, wiring and anchorages are not drilled. Where nothing holds, a piece of ply goes
/// behind the lining before it is closed: from the cut edge to <see cref="BeyondMm"/> past the frame's edge, <see cref="ThickMm"/> thick,
/// along the whole side where both of its corners need it.
/// </remarks>
internal static class BackingRule
{
    /// <summary>Id of its row.</summary>
    public const string Id = "backing";

    /// <summary>How far a backing piece reaches past the frame's edge, mm: common practice.</summary>
    public const double BeyondMm = 20;

    /// <summary>Thickness of a backing piece, mm: common practice.</summary>
    public const double ThickMm = 12;

    public static IEnumerable<Judgement> Rows(Placed placed, Worksheet sheet)
    {
        if (placed.Fitting.Halves is not { InnerFrame: { } outline, CornerScrewMm: { } inset })
            yield break;
        PanelBox frame = outline.BoxAt(placed.Centre),
            line = frame.Grown(PerSide.All(-inset));
        PanelPoint[] screws = [.. line.Corners];
        foreach (PanelPoint screw in screws)
        {
            if (
                placed.Ground.Standing.FirstOrDefault(o => o.Member.Role != MemberRole.Secondary && Outlines.Encloses(o.Outline, screw))
                is not { } solid
            )
                continue;
            yield return new Judgement(
                $"screw-{solid.Member.Name}",
                JudgementState.NeedsWork,
                $"A corner screw would go into {solid.Member.Name}",
                null,
                null,
                Unit.Mm,
                solid.Member.Role == MemberRole.Structural ? "Structure is not drilled." : "Nothing may be drilled there.",
                "Leave this screw out and put one beside it, or move the opening.",
                [new Mark(solid.Outline, true)]
            );
        }
        PanelPoint[] loose = [.. screws.Where(screw => !Holds(placed, screw))];
        if (loose.Length == 0)
        {
            yield return new Judgement(
                Id,
                JudgementState.Good,
                "The inner frame's screws find something to hold",
                4,
                4,
                Unit.Count,
                "A rib or furring lies behind each corner.",
                null,
                []
            );
            yield break;
        }
        double wide = sheet.Step(
            "b_back",
            "width of a backing piece",
            $"inner frame - cut-out + {BeyondMm:0} mm",
            ((frame.HeightMm - placed.Cut.HeightMm) / 2) + BeyondMm,
            "mm"
        );
        double whole = sheet.Step("l_back", "its length along a side", $"inner frame + 2 * {BeyondMm:0} mm", frame.WidthMm + (2 * BeyondMm), "mm");
        sheet.Cite(new Source($"Backing of {ThickMm:0} mm ply, {BeyondMm:0} mm past the frame", SourceKind.CommonPractice));
        string[] pieces =
        [
            .. loose
                .GroupBy(p => p.TMm)
                .OrderByDescending(g => g.Key)
                .Select(side =>
                    side.Count() == 2
                        ? $"{placed.L(whole)} by {placed.L(wide)} along the {(side.Key > placed.Centre.TMm ? "top" : "bottom")}"
                        : $"{placed.L(2 * wide)} by {placed.L(wide)} at the {(side.Key > placed.Centre.TMm ? "top" : "bottom")} "
                            + $"{(side.First().SMm < placed.Centre.SMm ? "front" : "rear")} corner"
                ),
        ];
        yield return new Judgement(
            Id,
            JudgementState.NeedsWork,
            $"{loose.Length} of 4 corner screws find nothing to hold",
            4 - loose.Length,
            4,
            Unit.Count,
            "Lining alone does not hold the inner frame.",
            $"Behind the lining, before it is closed: ply {placed.L(ThickMm)} thick, {string.Join(", ", pieces)}.",
            [.. loose.Select(p => new Mark(PanelBox.Around(p, 2 * inset, 2 * inset).Corners, true))]
        );
    }

    private static bool Holds(Placed placed, PanelPoint screw) =>
        placed.Ground.Standing.Any(o => o.Member.Role == MemberRole.Secondary && Outlines.Encloses(o.Outline, screw))
        || placed.Ground.Zones.Any(z => z.Kind == ZoneKind.Furring && z.On(placed.Ground.Site.Panel.Facing) is { } area && area.Holds(screw));
}
