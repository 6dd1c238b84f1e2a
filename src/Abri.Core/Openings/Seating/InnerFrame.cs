using Abri.Core.Geometry;
using Abri.Core.Shell;

namespace Abri.Core.Openings.Seating;

/// <summary>One place along a scribed edge.</summary>
/// <param name="AlongMm">From the side's beginning, mm.</param>
/// <param name="CutMm">How much is planed off the blank's top there, mm.</param>
public readonly record struct ScribePlace(double AlongMm, double CutMm);

/// <summary>The scribe of one side of an inner frame.</summary>
/// <param name="Side">The side.</param>
/// <param name="LengthMm">Length of the piece, mm.</param>
/// <param name="Places">What is planed off, place by place; the last is its end.</param>
/// <param name="MostMm">Most that is planed off, mm.</param>
public sealed record Scribe(Side Side, double LengthMm, IReadOnlyList<ScribePlace> Places, double MostMm);

/// <summary>A pair of headers for bows that are cut.</summary>
/// <param name="Bows">Names of the bows.</param>
/// <param name="ClearMm">Length between the members that carry the headers, mm; null where there is none on one side.</param>
/// <param name="Size">Each header; null where nothing carries it, or where it would be longer than is sized here.</param>
/// <param name="Onto">On what it lands.</param>
public sealed record FrameHeader(IReadOnlyList<string> Bows, double? ClearMm, Header? Size, IReadOnlyList<string> Onto);

/// <summary>A frame of timber or ply below the skin.</summary>
/// <param name="Sides">Scribe of each side.</param>
/// <param name="ThickMm">Least thickness that leaves <see cref="InnerFrame.LeastLeftMm"/> at the deepest place, mm.</param>
/// <param name="Headers">Headers for the bows that are cut.</param>
/// <param name="Verdict">How to make it.</param>
public sealed record FramePlan(IReadOnlyList<Scribe> Sides, double ThickMm, IReadOnlyList<FrameHeader> Headers, string Verdict);

/// <summary>Works out the frame below the skin whose top follows its underside.</summary>
/// <remarks>
/// Each side is a straight blank held against the underside at its lowest place; what stands between blank and skin elsewhere is what the blank must
/// be taller there, so all but the highest places are planed off. The skin has the same thickness everywhere, so its underside has the shape of the
/// surface.
/// Where a bow is cut (school B) headers carry it to the next members (<see cref="HeaderSize"/>), of steel where it gets hot.
/// </remarks>
/// <example>Ridges 8 mm high across a side: under the flat skin 8 mm are planed off, under the ridges nothing.</example>
public static class InnerFrame
{
    /// <summary>Step of the scribe, mm.</summary>
    public const double StepMm = 20;

    /// <summary>What a frame keeps at its thinnest, mm: assumption.</summary>
    public const double LeastLeftMm = 18;

    /// <summary>The frame of a fitting at a place.</summary>
    /// <param name="site">What decides.</param>
    /// <param name="centre">The place.</param>
    public static Result<Worked<FramePlan>> Of(Site site, PanelPoint centre)
    {
        if (!Ground.Of(site).IsOk(out Ground? ground, out Problem? problem))
            return problem;
        Fitting fitting = ground.Fitting;
        PanelBox cut = fitting.CutOut.BoxAt(centre),
            outer = (fitting.Halves?.InnerFrame ?? fitting.Flange).BoxAt(centre);
        if (outer.Shared(site.Panel.Box).AreaMm2 < outer.AreaMm2 - 1)
            return new Problem("frame-off-panel", "/centre", "The inner frame reaches off the panel here. Move the opening.");
        Surface surface = Surface.Of(site.Panel, site.Members);
        var sheet = new Worksheet();
        Scribe[] sides = [.. Enum.GetValues<Side>().Select(side => Along(side, cut, outer, surface))];
        double most = sheet.Step("p", "most that is planed off", "highest - lowest along a side", sides.Max(s => s.MostMm), "mm");
        double thick = sheet.Step("t", "blank", $"p + {LeastLeftMm:0} mm", most + LeastLeftMm, "mm");
        sheet.Cite(new Source("The underside has the shape of the surface", SourceKind.Geometry));
        sheet.Cite(new Source($"{LeastLeftMm:0} mm left at the thinnest", SourceKind.Assumption));
        FrameHeader[] headers = site.RibInTheWay == RibInTheWay.CutSecondary ? [.. Headers(ground, cut, sheet)] : [];
        if (headers.Length > 0)
            sheet.Cite(new Source("A cut bow is carried by headers that land on its neighbours", SourceKind.CommonPractice));
        LengthFormat l = ground.Lengths;
        string verdict =
            (
                most < 0.5
                    ? $"Straight blanks {l.Text(LeastLeftMm)} thick; nothing to scribe."
                    : $"Blanks {l.Text(thick)} thick; scribe up to {l.Text(most)} off their tops, dry-fit, then bed them."
            )
            + (fitting.HeatMm > 0 ? " Of steel or cement board, not of timber: it gets hot here." : "")
            + string.Concat(
                headers.Select(h =>
                    h.Size is { } size
                        ? $" {string.Join(" and ", h.Bows)} {(h.Bows.Count == 1 ? "is" : "are")} cut: two headers of {size.Section.Text(l)}, "
                            + $"{l.Text(size.LengthMm)} long, onto {string.Join(" and ", h.Onto)}, fitted before anything is cut through."
                        : $" {string.Join(" and ", h.Bows)} must not be cut: "
                            + (h.ClearMm is { } clear ? HeaderSize.TooLong(l, clear) : "nothing carries a header on one side.")
                )
            );
        return sheet.Finish(new FramePlan(sides, thick, headers, verdict));
    }

    private static Scribe Along(Side side, PanelBox cut, PanelBox outer, Surface surface)
    {
        bool along = side is Side.Top or Side.Bottom;
        (double from, double length) = along ? (outer.SMinMm, outer.WidthMm) : (outer.TMinMm, outer.HeightMm);
        double middle = side switch
        {
            Side.Front => (outer.SMinMm + cut.SMinMm) / 2,
            Side.Rear => (outer.SMaxMm + cut.SMaxMm) / 2,
            Side.Top => (outer.TMaxMm + cut.TMaxMm) / 2,
            _ => (outer.TMinMm + cut.TMinMm) / 2,
        };
        double[] at = [.. Enumerable.Range(0, (int)Math.Ceiling(length / StepMm)).Select(i => i * StepMm), length];
        double[] heights = [.. at.Select(x => surface.HeightAt(along ? new PanelPoint(from + x, middle) : new PanelPoint(middle, from + x)))];
        double top = heights.Max();
        return new Scribe(
            side,
            length,
            [.. at.Select((x, i) => new ScribePlace(x, Math.Round(top - heights[i], 2)))],
            Math.Round(top - heights.Min(), 2)
        );
    }

    /// <summary>Bows that are cut between the same two neighbours share one pair of headers.</summary>
    private static IEnumerable<FrameHeader> Headers(Ground ground, PanelBox cut, Worksheet sheet)
    {
        var carried = ground
            .Standing.Where(o => o.Member.Role == MemberRole.Secondary && Clearances.Crosses(cut, o))
            .Select(bow => (Bow: bow.Member.Name, By: Rules.HeaderFor.Between(ground, cut, bow)));
        foreach (var pair in carried.GroupBy(c => (c.By?.First.Index, c.By?.Second.Index)))
        {
            string[] bows = [.. pair.Select(c => c.Bow)];
            if (pair.First().By is not var (first, second, clear))
            {
                yield return new FrameHeader(bows, null, null, []);
                continue;
            }
            Header? size = null;
            if (HeaderSize.Of(clear, MaterialFor(ground.Fitting)).IsOk(out Worked<Header>? sized, out _))
            {
                size = sized.Result;
                sheet.Step($"l_{bows[0]}", $"header for {string.Join(" and ", bows)}", "clear + 2 landings", size.LengthMm, "mm");
                foreach (Source source in sized.Sources)
                    sheet.Cite(source);
            }
            yield return new FrameHeader(bows, clear, size, [first.Member.Name, second.Member.Name]);
        }
    }

    /// <summary>Headers are of timber, since the frame and the lining are screwed to them; of steel where it gets hot.</summary>
    internal static HeaderMaterial MaterialFor(Fitting fitting) => fitting.HeatMm > 0 ? HeaderMaterial.SteelTube : HeaderMaterial.Timber;
}
