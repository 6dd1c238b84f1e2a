using Abri.Core.Geometry;
using Abri.Core.Openings.Clamping;

namespace Abri.Core.Openings;

/// <summary>Says what is contradictory about a fitting, or that nothing is: its neck must pass the hole, its flange must cover it.</summary>
public static class FittingCheck
{
    /// <summary>The first contradiction, or null.</summary>
    public static Problem? Of(Fitting fitting)
    {
        foreach ((string field, RoundedRectangle part) in new[] { ("cutOut", fitting.CutOut), ("neck", fitting.Neck), ("flange", fitting.Flange) })
        {
            double most = Math.Min(part.WidthMm, part.HeightMm) / 2;
            if (part.CornerRadiusMm > most)
                return new Problem(
                    "corner-radius-too-large",
                    $"/{field}/cornerRadiusMm",
                    $"The corner radius may be at most half of the shorter side: {most:0.#} mm."
                );
        }
        if (fitting.Neck.WidthMm > fitting.CutOut.WidthMm || fitting.Neck.HeightMm > fitting.CutOut.HeightMm)
            return new Problem("neck-larger-than-cut-out", "/neck", "The neck must not be larger than the cut-out that it passes through.");
        double lap = LapMm(fitting.Flange, fitting.CutOut);
        if (lap < fitting.LeastLapMm)
        {
            return new Problem(
                "flange-too-small",
                "/flange",
                $"The flange laps the cut-out by {lap:0.#} mm, less than the least lap of {fitting.LeastLapMm:0.#} mm. Check "
                    + "flange, cut-out and least lap."
            );
        }
        if (fitting is { MouthMm: not null, Kind: not FittingKind.Flue })
            return new Problem("mouth-without-flue", "/mouthMm", "Only a flue has a mouth: leave its distance empty here.");
        if (fitting.Clamp is { } clamp && clamp.LeastMm > clamp.MostMm)
            return new Problem("clamp-range-reversed", "/clamp", "The thinnest wall that can be clamped must not be thicker than the thickest.");
        if (fitting.Halves?.InnerFrame is { } inner && (inner.WidthMm < fitting.CutOut.WidthMm || inner.HeightMm < fitting.CutOut.HeightMm))
            return new Problem("inner-frame-too-small", "/halves/innerFrame", "The inner frame must cover the cut-out.");
        if (fitting.Halves is { CornerScrewMm: { } corner } halves && (halves.InnerFrame is not { } frame || corner > LapMm(frame, fitting.CutOut)))
            return new Problem(
                "corner-screws-in-the-hole",
                "/halves/cornerScrewMm",
                halves.InnerFrame is { } f
                    ? $"The corner screws must lie beside the hole: at most {LapMm(f, fitting.CutOut):0.#} mm in from the inner frame's edge."
                    : "Corner screws go through an inner frame: give its outline."
            );
        if (fitting.Halves?.ScrewPlaces is { } places)
        {
            if (places.Count is < 2 or > TighteningOrder.Most)
                return new Problem(
                    "screws-count",
                    "/halves/screwPlaces",
                    $"Give 2 to {TighteningOrder.Most} screws, or none where they lie evenly round the frame; {places.Count} were given."
                );
            PanelBox frameBox = (fitting.Halves.InnerFrame ?? fitting.Flange).BoxAt(new PanelPoint(0, 0)),
                hole = fitting.Neck.BoxAt(new PanelPoint(0, 0));
            for (int i = 0; i < places.Count; i++)
            {
                if (!frameBox.Holds(places[i]) || hole.Holds(places[i]))
                    return new Problem(
                        "screw-off-the-frame",
                        $"/halves/screwPlaces/{i}",
                        $"Screw {i + 1} does not lie on the frame: measure from the middle of the cut-out, to the rear and up."
                    );
            }
        }
        if (fitting.Bonded is { } bonded && bonded.LandMm > lap)
            return new Problem(
                "land-too-wide",
                "/bonded/landMm",
                $"The pane laps the cut-out by {lap:0.#} mm: a land of {bonded.LandMm:0.#} mm does not fit on it."
            );
        return fitting.Screws is { } screws && screws.InsetMm > lap
            ? new Problem(
                "screws-in-the-hole",
                "/screws/insetMm",
                $"The screw line must lie on the flange beside the hole: at most {lap:0.#} mm in from the flange's edge."
            )
            : null;
    }

    /// <summary>How far a flange laps a hole when both are centred, at the narrower pair of sides, mm.</summary>
    internal static double LapMm(RoundedRectangle flange, RoundedRectangle hole) =>
        Math.Min(flange.WidthMm - hole.WidthMm, flange.HeightMm - hole.HeightMm) / 2;
}
